<script setup lang="ts">
import { computed } from 'vue'
import type { StockRow } from '@/api/client'
import { fillOf } from '@/drawing/tints'
import SighterBands from '@/bench/strip/SighterBands.vue'

const props = defineProps<{ row: StockRow }>()
const emit = defineEmits<{ edit: [] }>()

const OUTER = 40
const HUB = 17
/** Metres at which a disc is drawn nearly full. */
const FULL_M = 60
const left_m = computed(() => ('remaining_m' in props.row.item ? props.row.item.remaining_m : 0))
const ring = computed(() => (OUTER - HUB) * Math.min(1, Math.sqrt(left_m.value / FULL_M)))
const size = computed(() => props.row.diameter.split(' · '))
</script>

<template>
  <button class="disc" type="button" @click="emit('edit')">
    <svg width="88" height="88" viewBox="-44 -44 88 88" aria-hidden="true">
      <SighterBands v-if="row.sighter" />
      <circle :r="OUTER + 2" class="rim" />
      <circle :r="HUB + ring" :class="fillOf(row.material, row.sighter)" />
      <circle v-if="row.low" :r="OUTER - 2" class="low" />
      <circle :r="HUB" class="hub" />
      <text v-if="size[1]" y="5" class="x">{{ size[1] }}</text>
    </svg>
    <span class="unseen">{{ row.title }},</span>
    <span class="figure disc__size">{{ size[0] }}</span>
    <span class="unseen">,</span>
    <span class="quiet figure">{{ row.left }}{{ row.low ? ', low' : '' }}</span>
    <span class="unseen">left, breaks at</span>
    <span class="quiet figure">{{ row.strength }}{{ row.labelled ? '' : ' est.' }}</span>
    <span v-if="row.note" class="disc__note" :title="row.note">see to it</span>
  </button>
</template>

<style scoped>
.disc {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  justify-items: center;
  width: 108px;
  padding: 6px 2px 8px;
  border: 1px solid transparent;
  border-radius: 6px;
  background: none;
  line-height: 1.25;
  cursor: pointer;
}

.disc:hover {
  border-color: var(--act);
  background: var(--surface);
}

.rim {
  fill: var(--surface);
  stroke: var(--hair-strong);
}

.hub {
  fill: var(--raised);
  stroke: var(--hair-strong);
}

.x {
  fill: var(--ink);
  font-size: 13px;
  font-weight: 640;
  text-anchor: middle;
}

.low {
  fill: none;
  stroke: var(--doubt);
  stroke-width: 2;
  stroke-dasharray: 4 4;
}

.disc__note {
  padding: 0 6px;
  border-left: 3px solid var(--doubt);
  background: var(--doubt-soft);
  font-size: var(--small);
}

.disc__size {
  font-weight: 640;
}
</style>
