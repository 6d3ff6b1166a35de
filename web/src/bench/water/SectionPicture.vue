<script setup lang="ts">
import { computed } from 'vue'
import type { WaterReading } from '@/api/client'
import { around, placed, type Label } from '@/drawing/labels'
import type { ToPixels } from '@/drawing/paths'
import { strokeOf } from '@/drawing/tints'
import FlyMark from '../strip/FlyMark.vue'
import FlyWays from './FlyWays.vue'
import SectionBack from './SectionBack.vue'
import { boxOf, pathOf, timeMarks } from './section'
import { useRigDrag } from './useRigDrag'

/** A section along the stream, to scale: bed, zone, flow, the rig at a moment, its flies' ways. */
const props = defineProps<{
  reading: WaterReading
  ghost: WaterReading | null
  frame: number
  width: number
  indicator: number | null
}>()

const [LEFT, RIGHT, TOP, BED] = [104, 74, 22, 22]
const HIGHEST = 276
const box = computed(() => boxOf(props.ghost ? [props.reading, props.ghost] : [props.reading]))
const perM = computed(() =>
  Math.min(
    (props.width - LEFT - RIGHT) / (box.value.right - box.value.left),
    (HIGHEST - TOP - BED) / box.value.top,
  ),
)
const height = computed(() => box.value.top * perM.value + TOP + BED)
const floor = computed(() => height.value - BED)
const px = computed<ToPixels>(() => {
  const { left, right } = box.value
  const middle = (LEFT + props.width - RIGHT) / 2 - (perM.value * (left + right)) / 2
  return (x, z) => [middle + x * perM.value, floor.value - z * perM.value]
})
const surface = computed(() => px.value(0, props.reading.depth.si)[1])

const movie = computed(() => props.reading.movie)
const now = computed(() => {
  const frames = movie.value?.frames ?? []
  return frames[Math.min(props.frame, frames.length - 1)] ?? []
})
const threads = computed(() =>
  props.reading.threads.map((thread) => ({
    path: pathOf(now.value, thread.nodes, px.value),
    tint: thread.piece < 0 ? 'line' : thread.sighter ? 'sighter' : strokeOf(thread.material),
  })),
)
const ghostNow = computed(() => {
  const frames = props.ghost?.movie?.frames
  const frame = frames?.[Math.min(props.frame, frames.length - 1)]
  if (!frame || !props.ghost) return []
  return props.ghost.threads.map((thread) => pathOf(frame, thread.nodes, px.value))
})
const steady = computed(() => {
  const shape = props.reading.steady
  return shape ? props.reading.threads.map((t) => pathOf(shape, t.nodes, px.value)) : []
})
const at = (node: number) => px.value(...(now.value[node] ?? [0, 0]))
const top = computed(() => at(0))
const floats = computed(() => ['indicator', 'fly'].includes(props.reading.top))
const led = computed(() => props.reading.top === 'rod')
const settable = computed(() => props.reading.top === 'indicator' && props.indicator !== null)
const drag = useRigDrag(() => perM.value)

/** Everything that a label must not cover: the flies' ways, the rig, where it would hang. */
const drawn = computed(() => {
  const { movie: reel, flies, asides, steady: shape } = props.reading
  const ways = flies.flatMap((fly) => (reel?.frames ?? []).map((frame) => frame[fly.node]))
  const rest = [...asides.flatMap((aside) => aside.path), ...(shape ?? []), ...now.value]
  return [...ways, ...rest].flatMap((place) => (place ? [px.value(...place)] : []))
})
const labels = computed(() => {
  const { movie: reel, flies, asides, zone_m } = props.reading
  const zone = px.value(0, zone_m)[1]
  const edge = props.width - RIGHT
  const all: Label[] = flies.map((fly) => ({
    key: `fly ${fly.node}`,
    text: fly.title,
    spots: around(...at(fly.node), 9),
  }))
  for (const { title, path } of asides)
    all.push({ key: title, text: title, spots: around(...px.value(...(path.at(-1) ?? [0, 0]))) })
  for (const { node, joint } of reel ? flies : [])
    if (joint === null || joint === undefined)
      for (const { x, y, text } of timeMarks(reel!, node, px.value))
        all.push({ key: text, text, spots: around(x, y) })
  const beside = [LEFT, (LEFT + edge) / 2, edge - 4]
  const anchors = ['start', 'middle', 'end'] as const
  all.push({
    key: 'zone',
    text: 'zone at the bed',
    spots: [zone - 4, (zone + floor.value) / 2 + 4].flatMap((y) =>
      anchors.map((anchor, i) => ({ x: beside[i]!, y, anchor })),
    ),
  })
  return placed(all, edge, drawn.value)
})
const hung = computed(() => props.reading.things.filter((thing) => thing.kind === 'shot'))
</script>

<template>
  <svg
    :width="width"
    :height="height"
    class="section"
    @pointermove="drag.move"
    @pointerup="drag.end"
    @pointercancel="drag.end"
  >
    <SectionBack
      :reading="reading"
      :px="px"
      :floor="floor"
      :width="width"
      :ruler-at="width - RIGHT"
    />
    <path v-for="(path, i) in steady" :key="`s${i}`" :d="path" class="steady" />
    <path v-for="(path, i) in ghostNow" :key="`g${i}`" :d="path" class="ghost" />
    <FlyWays :reading="reading" :px="px" />
    <path v-if="led" :d="`M${top[0]} ${top[1]}l-40 -70`" class="rod" />
    <path
      v-for="(thread, i) in threads"
      :key="`t${i}`"
      :d="thread.path"
      :class="thread.tint"
      class="thread"
    />
    <circle
      v-for="item in hung"
      :key="`h${item.thing}`"
      :cx="at(item.node)[0]"
      :cy="at(item.node)[1]"
      r="5.5"
      class="shot grab"
      @pointerdown="drag.thing($event, item.thing)"
    />
    <circle
      v-for="fly in reading.flies"
      :key="`f${fly.node}`"
      :cx="at(fly.node)[0]"
      :cy="at(fly.node)[1]"
      r="5"
      class="fly"
      :class="{ grab: fly.joint !== null }"
      @pointerdown="fly.joint !== null && drag.dropper($event, fly.joint!)"
    />
    <g
      v-if="floats"
      :transform="`translate(${top[0]} ${surface})`"
      :class="{ grab: settable }"
      @pointerdown="settable && drag.thing($event, indicator!)"
    >
      <template v-if="reading.top === 'indicator'">
        <circle r="9" class="float" />
        <path d="M-9 0a9 9 0 0 0 18 0z" class="float-under" />
      </template>
      <FlyMark v-else :x="-9" :y="-5" />
    </g>
    <circle v-else-if="!led" :cx="top[0]" :cy="surface" r="4" class="tip" />
    <text
      v-for="label in labels"
      :key="label.key"
      :x="label.x"
      :y="label.y"
      :text-anchor="label.anchor"
    >
      {{ label.text }}
    </text>
  </svg>
</template>

<style scoped>
.section {
  display: block;
  touch-action: pan-y;
}

text {
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 3px;
  font-size: 12px;
  pointer-events: none;
}

.thread {
  fill: none;
  stroke-width: 2.2;
}

.line {
  stroke: var(--line);
  stroke-width: 4;
}

.sighter {
  stroke: var(--sighter);
  stroke-width: 3;
}

.steady {
  fill: none;
  stroke: var(--right);
  stroke-width: 1.4;
  stroke-dasharray: 6 4;
}

.ghost {
  fill: none;
  stroke: var(--ghost);
  stroke-width: 1.5;
  stroke-dasharray: 5 4;
}

.rod {
  stroke: var(--wire);
  stroke-width: 3;
  stroke-linecap: round;
}

.fly,
.tip {
  fill: var(--ink);
}

.shot {
  fill: var(--wire);
  stroke: var(--raised);
}

.float {
  fill: var(--indicator);
  stroke: var(--ink);
}

.float-under {
  fill: var(--raised);
  stroke: var(--ink);
}

.grab {
  cursor: ns-resize;
}
</style>
