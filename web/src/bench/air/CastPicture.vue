<script setup lang="ts">
import { computed } from 'vue'
import type { CastReading } from '@/api/client'
import type { ToPixels } from '@/drawing/paths'
import { strokeOf } from '@/drawing/tints'
import { extent, trace, type Reel } from './movie'

/** The cast from the side, to scale: the line, the leader by material, the water, the landing. */
const props = defineProps<{
  reel: Reel
  ghost: Reel | null
  frame: number
  materials: string[]
  reading: CastReading
  width: number
  timelapse: boolean
}>()

const MARGIN = 14
/** Narrower, words would lie over one another: they stand below. */
const NARROW_PX = 560
const narrow = computed(() => props.width < NARROW_PX)
/** A drawing as flat as this is drawn no flatter. */
const LEAST_HIGH_PX = 110
const WATER = 26
const EVERY = 5
const box = computed(() => extent(props.ghost ? [props.reel, props.ghost] : [props.reel]))
const perM = computed(() => (props.width - 2 * MARGIN) / (box.value.right - box.value.left))
const height = computed(() => Math.max(LEAST_HIGH_PX, box.value.top * perM.value + MARGIN + WATER))
const floor = computed(() => height.value - WATER)
const px = computed<ToPixels>(() => {
  const { left } = box.value
  return (x, y) => [MARGIN + (x - left) * perM.value, floor.value - y * perM.value]
})

const pieces = computed(() => {
  const { joints } = props.reel
  return joints.slice(0, -1).map((from, i) => ({
    path: trace(props.reel, props.frame, from, joints[i + 1] ?? from, px.value),
    tint: strokeOf(props.materials[i] ?? ''),
  }))
})
const line = computed(() => trace(props.reel, props.frame, 0, props.reel.leader, px.value))
const faint = computed(() => {
  const to = props.timelapse ? props.reel.count : props.frame
  const frames: string[] = []
  for (let frame = 0; frame < to; frame += EVERY)
    frames.push(trace(props.reel, frame, 0, props.reel.nodes - 1, px.value))
  return frames
})
const ghost = computed(() => {
  const reel = props.ghost
  if (!reel) return ''
  const frame = props.frame === props.reel.count - 1 ? reel.count - 1 : props.frame
  return trace(reel, Math.min(reel.count - 1, frame), 0, reel.nodes - 1, px.value)
})
const at = (node: number) => px.value(...props.reel.at(props.frame, node))
const rod = computed(() => at(0))
const fly = computed(() => at(props.reel.nodes - 1))
const tip = computed(() => at(props.reel.leader))
const landed = computed(() => props.frame === props.reel.count - 1)
const gust = computed(() => {
  const { gust: found, gust_along } = props.reading
  return found && `and a gust of ${found.text} ${gust_along > 0 ? 'from behind' : 'in the face'}`
})
const below = computed(() => {
  const { wind, line_out, landing } = props.reading
  const blows = wind.si > 0.1 ? [`${wind.text} of wind along the cast`, gust.value] : []
  const lies = landed.value ? [`the leader: ${landing || props.reading.figure}`] : []
  return [`${line_out.text} of line out`, ...blows, ...lies].filter(Boolean).join('; ')
})
const windPx = computed(() => Math.min(90, 12 * props.reading.wind.si))
const tailwind = computed(() => props.reading.wind_along > 0)
</script>

<template>
  <svg :width="width" :height="height" class="cast">
    <rect x="0" :y="floor" :width="width" :height="WATER" class="water" />
    <line x1="0" :x2="width" :y1="floor" :y2="floor" class="surface" />
    <line :x1="rod[0]" :x2="rod[0] - 26" :y1="rod[1]" :y2="rod[1] + 60" class="rod" />
    <path v-for="(path, i) in faint" :key="i" :d="path" class="faint" />
    <path v-if="ghost" :d="ghost" class="ghost" />
    <path :d="line" class="line" />
    <path
      v-for="(piece, i) in pieces"
      :key="`p${i}`"
      :d="piece.path"
      :class="piece.tint"
      class="piece"
    />
    <circle
      v-for="joint in reel.joints.slice(1, -1)"
      :key="joint"
      :cx="at(joint)[0]"
      :cy="at(joint)[1]"
      r="2.6"
      class="joint"
    />
    <circle :cx="rod[0]" :cy="rod[1]" r="3.5" class="tip" />
    <circle :cx="fly[0]" :cy="fly[1]" r="4" class="fly" />
    <g v-if="reading.wind.si > 0.1" class="wind" :transform="`translate(${width - 110} 16)`">
      <path
        :d="
          tailwind
            ? `M${-windPx / 2} 0h${windPx}m-8 -5l8 5l-8 5`
            : `M${windPx / 2} 0h${-windPx}m8 -5l-8 5l8 5`
        "
      />
      <text v-if="!narrow" y="20">{{ reading.wind.text }} of wind along the cast</text>
    </g>
    <text v-if="gust && !narrow" :x="width - 110" y="54">{{ gust }}</text>
    <g v-if="landed" class="lies">
      <path
        :d="`M${tip[0]} ${floor + 8}v6M${fly[0]} ${floor + 8}v6M${tip[0]} ${floor + 11}H${fly[0]}`"
      />
      <text v-if="!narrow" :x="Math.max(tip[0], fly[0])" :y="floor + 24" class="ends">
        the leader: {{ reading.landing || reading.figure }}
      </text>
    </g>
    <text v-if="!narrow" :x="rod[0] + 4" :y="floor + 18" class="note">
      {{ reading.line_out.text }} of line out
    </text>
  </svg>
  <p v-if="narrow" class="quiet">{{ below }}</p>
</template>

<style scoped>
.cast {
  display: block;
}

.water {
  fill: var(--little);
  fill-opacity: 0.1;
}

.surface {
  stroke: var(--little);
  stroke-width: 1.4;
}

.rod {
  stroke: var(--ink-2);
  stroke-width: 3;
  stroke-linecap: round;
}

path {
  fill: none;
  stroke-linejoin: round;
}

.faint {
  stroke: var(--ink-2);
  stroke-opacity: 0.28;
  stroke-width: 1;
}

.ghost {
  stroke: var(--ghost);
  stroke-width: 1.6;
  stroke-dasharray: 5 4;
}

.line {
  stroke: var(--line);
  stroke-width: 3;
}

.piece {
  stroke-width: 2.6;
  stroke-linecap: round;
}

.joint {
  fill: var(--raised);
  stroke: var(--ink);
}

.tip {
  fill: var(--ink);
}

.fly {
  fill: var(--much);
  stroke: var(--surface);
}

.wind path,
.lies path {
  stroke: var(--ink);
  stroke-width: 1.6;
}

text {
  fill: var(--ink);
  font-size: 12.5px;
  text-anchor: middle;
}

.ends {
  text-anchor: end;
}

.note {
  fill: var(--ink-2);
  text-anchor: start;
}
</style>
