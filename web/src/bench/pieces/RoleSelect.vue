<script setup lang="ts">
import type { Edit, PieceReading } from '@/api/client'
import { useCatalogue } from '@/api/queries'
import { useBench } from '../useBench'

type Role = Extract<Edit, { act: 'set-role' }>['role']

/** What a piece is for. */
const props = defineProps<{ piece: PieceReading }>()
const bench = useBench()
const { data: catalogue } = useCatalogue()

function set(event: Event) {
  const role = (event.target as HTMLSelectElement).value as Role
  bench.edit({ act: 'set-role', piece: props.piece.index, role })
}
</script>

<template>
  <select
    class="pick"
    :aria-label="`Part that piece ${piece.index + 1} plays`"
    :value="piece.role"
    @change="set"
  >
    <option v-for="role in catalogue?.roles" :key="role" :value="role">{{ role }}</option>
  </select>
</template>
