import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import type { Movie } from '@/api/client'
import { extent, trace, unpack } from '@/bench/air/movie'
import { usePlayer } from '@/bench/air/usePlayer'

/** Two frames of three nodes, in millimetres. */
const FRAMES = [
  [0, 2400, -1000, 2400, -2000, 2500],
  [0, 2400, 1500, 300, 3000, 0],
]

function movie(): Movie {
  const bytes = new Uint8Array(new Int16Array(FRAMES.flat()).buffer)
  const points = btoa(String.fromCharCode(...bytes))
  return { gap_s: 0.05, count: 2, nodes: 3, leader: 1, joints: [1, 2], points }
}

describe('the movie of a cast', () => {
  it('unpacks to metres, frame by frame', () => {
    const reel = unpack(movie())
    expect(reel.at(0, 2)).toEqual([-2, 2.5])
    expect(reel.at(1, 1)).toEqual([1.5, 0.3])
  })

  it('knows how far the cast reaches', () => {
    const { left, right, top } = extent([unpack(movie())])
    expect(left).toBe(0)
    expect(right).toBe(1)
    expect(top).toBe(2.6)
  })

  it('traces a stretch of it as a path', () => {
    const path = trace(unpack(movie()), 1, 1, 2, (x, y) => [10 * x, -10 * y])
    expect(path).toBe('M15.0 -3.0L30.0 0.0')
  })
})

describe('the player', () => {
  async function player(count: number) {
    vi.stubGlobal('matchMedia', () => ({
      matches: false,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
    }))
    const frames = ref(count)
    let made!: ReturnType<typeof usePlayer>
    mount({
      setup() {
        made = usePlayer(
          () => frames.value,
          () => 0.05,
        )
        return () => null
      },
    })
    await nextTick()
    return { made, frames }
  }

  it('begins with the landing and stays within the movie', async () => {
    const { made } = await player(30)
    expect(made.frame.value).toBe(29)
    made.show(99)
    expect(made.frame.value).toBe(29)
    made.show(-4)
    expect(made.frame.value).toBe(0)
  })

  it('plays from the start again once it has landed, and stops when scrubbed', async () => {
    const { made } = await player(30)
    made.toggle()
    expect([made.playing.value, made.frame.value]).toEqual([true, 0])
    made.show(7)
    expect([made.playing.value, made.frame.value]).toEqual([false, 7])
  })

  it('shows the landing of a new cast', async () => {
    const { made, frames } = await player(30)
    made.show(3)
    frames.value = 44
    await nextTick()
    expect(made.frame.value).toBe(43)
  })
})
