import { answered } from './client'

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
  const link = document.createElement('a')
  link.href = URL.createObjectURL(blob)
  link.download = named?.[1] ?? 'nine-knots'
  link.click()
  URL.revokeObjectURL(link.href)
}
