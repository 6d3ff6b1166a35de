import { strToU8, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { readLogFile } from '@/days/log/logFile'

const event = { event_id: '1'.repeat(32), plan_id: '2'.repeat(32), at: 1, kind: 'note', detail: {} }
const log = JSON.stringify({ format: 'nine-knots-log', version: 1, events: [event] })
const blob = (content: string | Uint8Array) =>
  ({
    arrayBuffer: async () =>
      (typeof content === 'string' ? strToU8(content) : content).slice().buffer,
  }) as unknown as Blob

describe('the file that a phone saved', () => {
  it('is a log alone', async () => {
    expect(await readLogFile(blob(log))).toEqual({ log: [event], photos: new Map() })
  })

  it('or a zip with its photos, by the names that events tell', async () => {
    const zip = zipSync({
      'log.json': strToU8(log),
      photos: { 'seen.jpg': new Uint8Array([255, 216, 255]) },
      'other.txt': strToU8('x'),
    })
    const read = await readLogFile(blob(zip))
    expect(read.log).toEqual([event])
    expect([...read.photos.keys()]).toEqual(['seen.jpg'])
    expect(read.photos.get('seen.jpg')?.size).toBe(3)
  })

  it.each([
    ['no JSON', 'hello', 'not a Nine Knots log'],
    ['another format', '{"format": "other", "events": []}', 'not a Nine Knots log'],
    ['no events', '{"format": "nine-knots-log"}', 'not a Nine Knots log'],
    ['half a zip', new Uint8Array([0x50, 0x4b, 3, 4, 9]), 'The zip is damaged'],
    ['a zip without a log', zipSync({ 'other.txt': strToU8('x') }), 'not a Nine Knots log'],
  ])('is refused where it is %s', async (_what, content, words) => {
    await expect(readLogFile(blob(content))).rejects.toThrow(words)
  })
})
