<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { sideOf, thickest } from '@/drawing/side'

/** A rig drawn from the line to the fly: thick enough to be seen at arm's length. */
const props = defineProps<{ rig: Schemas['PackedRig'] }>()
const WIDTH = 360
const MIDDLE = 30
const end = computed(() => props.rig.outline.at(-1)?.to_m ?? 1)
const x = (at_m: number) => 8 + ((WIDTH - 16) * at_m) / end.value
const scale = computed(() => 22 / thickest(props.rig.outline))
const joints = computed(() =>
  props.rig.outline.flatMap((part, i) =>
    part.piece !== props.rig.outline[i - 1]?.piece ? [part.from_m] : [],
  ),
)
const cold = (material: string) => material.startsWith('fluoro')
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} 56`" role="img" :aria-label="`${rig.title}: ${rig.facts}`">
    <path
      v-for="(part, i) in rig.outline"
      :key="i"
      :d="sideOf(part, x, MIDDLE, scale)"
      :class="cold(part.material) ? 'cold' : 'piece'"
    />
    <path
      v-for="(item, i) in rig.hung.filter((it) => it.kind === 'dropper' || it.kind === 'in line')"
      :key="`f${i}`"
      :d="`M${x(item.at_m)} ${MIDDLE}l18 -18m-6 0h8v8`"
      class="tag"
    />
    <circle
      v-for="(item, i) in rig.hung.filter((it) => it.kind === 'shot' || it.kind === 'indicator')"
      :key="`t${i}`"
      :cx="x(item.at_m)"
      :cy="MIDDLE"
      :r="item.kind === 'indicator' ? 10 : 6"
      class="thing"
    />
    <circle v-for="at in joints" :key="at" :cx="x(at)" :cy="MIDDLE" r="4" class="joint" />
    <path :d="`M${x(end)} ${MIDDLE}q-1 12 -9 8`" class="tag" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}

.piece {
  fill: var(--piece);
}

.cold {
  fill: var(--piece-cold);
}

.tag {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
}

.thing {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 2.5;
}

.joint {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
