import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it, vi } from 'vitest'
import { router } from '@/router'

vi.stubGlobal('BroadcastChannel', class {})

const SOURCES = readdirSync('src', { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.(vue|ts)$/.test(name))
  .map((name) => join('src', name))
const INSIDE = [
  /\bto="(\/[^"]*)"/g,
  /\bpush\(['`](\/[^'`]*)['`]/g,
  /\bpath: ['`](\/[^'`]*)['`]/g,
  /:to="`(\/[^`]*)`"/g,
]

/** Every path that a link or a push inside the application names, with its file. */
const links = SOURCES.filter((file) => !file.endsWith('router.ts')).flatMap((file) => {
  const text = readFileSync(file, 'utf8')
  return INSIDE.flatMap((pattern) => [...text.matchAll(pattern)].map((found) => [file, found[1]!]))
})

it('every link inside the application leads to a page of this build', () => {
  expect(links.length).toBeGreaterThan(10)
  const dead = links.filter(([, path]) => {
    const to = router.resolve(path!.replace(/\$\{[^}]*\}/g, 'x'))
    return to.matched.length === 0 || to.matched[0]!.path.includes(':rest')
  })
  expect(dead).toEqual([])
})
