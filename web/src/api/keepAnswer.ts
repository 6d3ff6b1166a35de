import { answered } from './client'
import type { FileTold } from './job'

interface FileAnswer {
  data?: unknown
  error?: unknown
  response: Response
}

/** Keeps a file that was asked for as a blob, under the name the server gave it. */
export async function keepAnswer(asked: Promise<FileAnswer>): Promise<void> {
  const { response } = await asked
  const blob = (await answered(asked)) as Blob
  const named = /filename="([^"]+)"/.exec(response.headers.get('content-disposition') ?? '')
  keepBlob(blob, named?.[1] ?? 'nine-knots')
}

/** Keeps a file that a job worked out. */
export function keepTold({ name, media, base64 }: FileTold): void {
  const bytes = Uint8Array.from(atob(base64), (char) => char.charCodeAt(0))
  keepBlob(new Blob([bytes], { type: media }), name)
}

/** Keeps a text as a file of JSON. */
export function keepText(text: string, name: string): void {
  keepBlob(new Blob([text], { type: 'application/json' }), name)
}

function keepBlob(blob: Blob, name: string) {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(blob)
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
