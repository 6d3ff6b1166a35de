<script setup lang="ts">
import type { PieceReading } from '@/api/client'
import { useCatalogue } from '@/api/queries'
import PickOne from '@/widgets/PickOne.vue'
import { useBench } from '../useBench'

/** What a piece is for. */
defineProps<{ piece: PieceReading }>()
const bench = useBench()
const { data: catalogue } = useCatalogue()
</script>

<template>
  <PickOne
    :label="`Role of piece ${piece.index + 1}`"
    :options="(catalogue?.roles ?? []).map((role) => ({ value: role, words: role }))"
    :model-value="piece.role"
    @update:model-value="(role) => bench.edit({ act: 'set-role', piece: piece.index, role })"
  />
</template>
