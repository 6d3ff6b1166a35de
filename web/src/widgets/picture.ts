/** Pictures as they are kept and sent: small enough for a phone, and without the place beside them. */

const LONGEST = 1600
const QUALITY = 0.85

/** The picture upright, at most 1600 pixels long, as JPEG; refused where this browser reads none. */
export async function shrunk(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' })
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(picture.width * scale))
  canvas.height = Math.max(1, Math.round(picture.height * scale))
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('The picture can’t be read here.'))),
      'image/jpeg',
      QUALITY,
    ),
  )
}

/** A name that no other photo bears. */
export const photoName = (at: Date) =>
  `${at.toISOString().slice(0, 19).replaceAll(':', '.')} ${crypto.getRandomValues(new Uint32Array(1))[0]!.toString(36)}.jpg`

export async function inBase64(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer())
  let text = ''
  for (let at = 0; at < bytes.length; at += 0x8000)
    text += String.fromCharCode(...bytes.subarray(at, at + 0x8000))
  return btoa(text)
}
