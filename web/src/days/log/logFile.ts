import type { Schemas } from '@/api/client'

type Event = Schemas['Event']
const NO_LOG = 'This is not a Nine Knots log. Choose the file the phone saved.'
const FOLDER = 'photos/'

/** What a phone saved: events, and photos by their names where they lie beside in a zip. */
export async function readLogFile(
  file: Blob,
): Promise<{ log: Event[]; photos: Map<string, Blob> }> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b)
    return { log: eventsIn(new TextDecoder().decode(bytes)), photos: new Map() }
  const { unzipSync } = await import('fflate')
  let packed: Record<string, Uint8Array>
  try {
    packed = unzipSync(bytes)
  } catch {
    throw new Error('The zip is damaged: save it on the phone again.')
  }
  const photos = new Map(
    Object.entries(packed)
      .filter(([name]) => name.startsWith(FOLDER) && name !== FOLDER)
      .map(([name, data]) => [name.slice(FOLDER.length), new Blob([data.slice().buffer])]),
  )
  return { log: eventsIn(new TextDecoder().decode(packed['log.json'])), photos }
}

function eventsIn(text: string): Event[] {
  let log: { format?: string; events?: Event[] }
  try {
    log = JSON.parse(text) as typeof log
  } catch {
    throw new Error(NO_LOG)
  }
  if (log.format !== 'nine-knots-log' || !Array.isArray(log.events)) throw new Error(NO_LOG)
  return log.events
}
