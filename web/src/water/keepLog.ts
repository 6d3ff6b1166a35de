import type { DayPack } from './keep'
import type { DayEvent } from './state'

/** Saves what happened as a file that the bench reads: format nine-knots-log. */
export function saveLog(pack: DayPack, events: DayEvent[]) {
  const log = { format: 'nine-knots-log', version: 1, plan_id: pack.plan_id, events }
  const blob = new Blob([JSON.stringify(log, null, 1)], { type: 'application/json' })
  const link = document.createElement('a')
  link.href = URL.createObjectURL(blob)
  link.download = `log-${pack.on}.json`
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}
