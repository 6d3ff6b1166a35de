import { onScopeDispose, ref, shallowRef } from 'vue'

const LARGEST = 1600
const EVERY_MS = 250

/** The text of a QR code in a picture; empty where none is seen. */
async function codeIn(source: CanvasImageSource, width: number, height: number): Promise<string> {
  const { default: readCode } = await import('jsqr')
  const scale = Math.min(1, LARGEST / Math.max(width, height, 1))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(width * scale))
  canvas.height = Math.max(1, Math.round(height * scale))
  const context = canvas.getContext('2d', { willReadFrequently: true })
  if (!context) return ''
  context.fillStyle = '#fff'
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.drawImage(source, 0, 0, canvas.width, canvas.height)
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height)
  return readCode(data, canvas.width, canvas.height)?.data ?? ''
}

/** Reading a code: off a picture that is dropped or chosen, or live through the camera. */
export function useScan(found: (text: string) => void) {
  const trouble = ref('')
  const camera = shallowRef<MediaStream | null>(null)
  let timer: ReturnType<typeof setInterval> | undefined

  async function readPicture(file: File) {
    trouble.value = ''
    try {
      const picture = await createImageBitmap(file)
      const text = await codeIn(picture, picture.width, picture.height)
      if (text) found(text)
      else trouble.value = `No code found in ${file.name}. Take it closer, whole and in focus.`
    } catch {
      trouble.value = `${file.name} is not a readable picture. Choose a PNG or a JPEG.`
    }
  }

  async function look(video: HTMLVideoElement) {
    trouble.value = ''
    try {
      camera.value = await navigator.mediaDevices.getUserMedia({
        video: { facingMode: 'environment' },
      })
    } catch {
      trouble.value =
        'The camera isn’t available. Allow it in the browser, or choose a picture of the code.'
      return
    }
    video.srcObject = camera.value
    await video.play()
    timer = setInterval(() => {
      void codeIn(video, video.videoWidth, video.videoHeight).then((text) => {
        if (!text || !camera.value) return
        end()
        found(text)
      })
    }, EVERY_MS)
  }

  function end() {
    clearInterval(timer)
    camera.value?.getTracks().forEach((track) => track.stop())
    camera.value = null
  }
  onScopeDispose(end)

  return { trouble, camera, readPicture, look, end }
}
