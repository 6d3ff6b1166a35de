<script setup lang="ts">
import { computed } from 'vue'
import type { PieceReading, StockRow } from '@/api/client'
import { useBench } from '../useBench'

/** The spool or packet a piece is made of; one no longer on the shelf still shows its name. */
const props = defineProps<{ stock: StockRow[]; piece: PieceReading; label: string }>()
const bench = useBench()
const owned = computed(() => bench.design?.leader.pieces[props.piece.index]?.strand.spool_id ?? '')
const onShelf = computed(() => props.stock.some((row) => row.spool_id === owned.value))
const spools = computed(() => props.stock.filter((row) => row.form === 'spool'))
const packets = computed(() => props.stock.filter((row) => row.form === 'packet'))

function use(event: Event) {
  const spool_id = (event.target as HTMLSelectElement).value
  bench.edit({ act: 'use-stock', piece: props.piece.index, spool_id })
}
</script>

<template>
  <select class="pick" :aria-label="label" :value="onShelf ? owned : ''" @change="use">
    <option v-if="!onShelf" value="" disabled>{{ piece.stock }} (not on the shelf)</option>
    <optgroup label="Spools">
      <option v-for="row in spools" :key="row.spool_id" :value="row.spool_id">
        {{ row.title }}
      </option>
    </optgroup>
    <optgroup v-if="packets.length" label="Knotless tapers">
      <option v-for="row in packets" :key="row.spool_id" :value="row.spool_id">
        {{ row.title }}
      </option>
    </optgroup>
  </select>
</template>
