import { strToU8, zipSync, type Zippable } from 'fflate'
import { readPhotos, type DayPack } from './keep'
import type { DayEvent } from './state'

/** Saves what happened as a file that the bench reads: format nine-knots-log, in a zip where there
    are photos to lie beside it. */
export async function saveLog(pack: DayPack, events: DayEvent[]) {
  const log = { format: 'nine-knots-log', version: 1, plan_id: pack.plan_id, events }
  const text = JSON.stringify(log, null, 1)
  const told = new Set(events.map((event) => event.detail?.photo))
  const photos: Zippable = {}
  for (const photo of await readPhotos(pack.plan_id).catch(() => []))
    if (told.has(photo.name))
      photos[photo.name] = [new Uint8Array(await photo.photo.arrayBuffer()), { level: 0 }]
  if (!Object.keys(photos).length) return save(text, 'application/json', `log-${pack.on}.json`)
  const zip = zipSync({ 'log.json': strToU8(text), photos })
  return save(zip.slice().buffer, 'application/zip', `log-${pack.on}.zip`)
}

function save(content: BlobPart, type: string, name: string) {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([content], { type }))
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}
