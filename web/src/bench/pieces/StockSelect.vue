<script setup lang="ts">
import { computed } from 'vue'
import type { PieceReading, StockRow } from '@/api/client'
import StockPick from '@/widgets/StockPick.vue'
import { useBench } from '../useBench'

/** The spool or packet a piece is made of; one no longer on the shelf still shows its name. */
const props = defineProps<{ stock: StockRow[]; piece: PieceReading; label: string }>()
const bench = useBench()
const owned = computed(() => bench.design?.leader.pieces[props.piece.index]?.strand.spool_id ?? '')
const otherwise = computed(() =>
  props.piece.stock.endsWith(')') ? props.piece.stock : `${props.piece.stock} (not on the shelf)`,
)

const use = (spool_id: string) =>
  bench.edit({ act: 'use-stock', piece: props.piece.index, spool_id })
</script>

<template>
  <StockPick
    :label="label"
    :rows="stock"
    :otherwise="otherwise"
    :model-value="owned"
    @update:model-value="use"
  />
</template>
