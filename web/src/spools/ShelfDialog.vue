<script setup lang="ts">
import type { StockRow } from '@/api/client'
import SpoolMore from './SpoolMore.vue'

/** A form about one thing on the shelf of spools, with its refusal, its ends, and all else of it. */
defineProps<{ title: string; row: StockRow | null; refused: string }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ save: []; remove: []; another: [] }>()
</script>

<template>
  <el-dialog v-model="open" :title="title" width="min(620px, 94vw)" append-to-body top="6vh">
    <form class="form" @submit.prevent="emit('save')">
      <slot />
      <p v-if="refused" class="refusal whole" role="alert">{{ refused }}</p>
      <div class="row whole">
        <button class="do do--main" type="submit">{{ row ? 'Keep' : 'Put on the shelf' }}</button>
        <template v-if="row">
          <button class="do" type="button" @click="emit('another')">Add a similar one</button>
          <button class="do" type="button" @click="emit('remove')">Take off the shelf</button>
        </template>
      </div>
    </form>
    <SpoolMore v-if="row && open" :row="row" @merged="open = false" />
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 12px 16px;
}

.form :deep(.whole) {
  grid-column: 1 / -1;
}
</style>
