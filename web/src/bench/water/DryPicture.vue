<script setup lang="ts">
import { computed } from 'vue'
import type { WaterReading } from '@/api/client'

/** From above: slack of the leader being used up by currents that differ. */
const props = defineProps<{
  lane: NonNullable<WaterReading['lane']>
  frame: number
  width: number
}>()
const HEIGHT = 170
const WAVES = 5
/** Narrower, the figure has no room beside the fly: it stands below. */
const NARROW_PX = 700
const narrow = computed(() => props.width < NARROW_PX)
const left = computed(() => props.lane.left[props.frame]?.[1] ?? 1)
const time = computed(() => props.lane.left[props.frame]?.[0] ?? 0)
const fly = computed(() => ({ x: props.width * 0.72, y: 112 }))
const tip = computed(() => ({ x: props.width * 0.24, y: 52 }))
/** The tippet's waves, as high as slack is left. */
const path = computed(() => {
  const [from, to, high] = [tip.value, fly.value, 30 * left.value]
  const points = Array.from({ length: 61 }, (_, i) => {
    const s = i / 60
    const wave = Math.sin(s * WAVES * Math.PI) * high * Math.sin(s * Math.PI) ** 0.5
    return `${(from.x + s * (to.x - from.x)).toFixed(1)} ${(from.y + s * (to.y - from.y) + wave).toFixed(1)}`
  })
  return `M${points.join('L')}`
})
</script>

<template>
  <svg :width="width" :height="HEIGHT" class="lane">
    <rect :width="width" height="80" class="fast" />
    <rect y="80" :width="width" :height="HEIGHT - 80" class="slow" />
    <path d="M20 26h120m-8 -5l8 5l-8 5" class="arrow" />
    <path d="M20 140h60m-8 -5l8 5l-8 5" class="arrow" />
    <text x="20" y="16">the faster current, by {{ lane.differs }}</text>
    <text x="20" y="130">where the fly is</text>
    <path :d="path" class="leader stroke--nylon-soft" />
    <circle :cx="fly.x" :cy="fly.y" r="5" class="fly" />
    <text
      :x="narrow ? width - 8 : fly.x + 10"
      :y="narrow ? fly.y + 26 : fly.y + 4"
      :text-anchor="narrow ? 'end' : 'start'"
      class="figure"
    >
      {{ time.toFixed(1) }} s, {{ Math.round(100 * left) }}% of the slack left
    </text>
  </svg>
</template>

<style scoped>
.lane {
  display: block;
}

.fast {
  fill: var(--little);
  fill-opacity: 0.16;
}

.slow {
  fill: var(--little);
  fill-opacity: 0.07;
}

.arrow {
  fill: none;
  stroke: var(--little);
  stroke-width: 1.5;
}

.leader {
  fill: none;
  stroke-width: 2.2;
}

.fly {
  fill: var(--ink);
}

text {
  fill: var(--ink-2);
  font-size: 12.5px;
}
</style>
