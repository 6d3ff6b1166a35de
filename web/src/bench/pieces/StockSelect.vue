<script setup lang="ts">
import { computed } from 'vue'
import type { PieceReading, StockRow } from '@/api/client'
import PickOne from '@/widgets/PickOne.vue'
import { useBench } from '../useBench'

/** The spool or packet a piece is made of; one no longer on the shelf still shows its name. */
const props = defineProps<{ stock: StockRow[]; piece: PieceReading; label: string }>()
const bench = useBench()
const owned = computed(() => bench.design?.leader.pieces[props.piece.index]?.strand.spool_id ?? '')
const groups = computed(() =>
  [
    { title: 'Spools', form: 'spool' },
    { title: 'Knotless tapers', form: 'packet' },
  ].flatMap(({ title, form }) => {
    const rows = props.stock.filter((row) => row.form === form)
    const options = rows.map((row) => ({ value: row.spool_id, words: row.title }))
    return options.length ? [{ title, options }] : []
  }),
)

const use = (spool_id: string) =>
  bench.edit({ act: 'use-stock', piece: props.piece.index, spool_id })
</script>

<template>
  <PickOne
    :label="label"
    :groups="groups"
    :otherwise="`${piece.stock} (not on the shelf)`"
    :model-value="owned"
    @update:model-value="use"
  />
</template>
