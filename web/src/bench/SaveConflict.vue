<script setup lang="ts">
import { computed } from 'vue'
import type { Problem } from '@/api/problems'

const props = defineProps<{ problem: Problem | null }>()
const emit = defineEmits<{ close: []; own: []; top: [revision: number]; look: [] }>()
const open = computed({
  get: () => props.problem !== null,
  set: (value) => value || emit('close'),
})
</script>

<template>
  <el-dialog v-model="open" title="Saved in another window" width="min(560px, 94vw)" append-to-body>
    <p>{{ problem?.detail }} {{ problem?.hint }}</p>
    <div class="choices">
      <button class="do do--main" type="button" @click="emit('own')">
        Save mine as a new leader
      </button>
      <button class="do" type="button" @click="emit('top', problem?.newest ?? 0)">
        Save mine on top of revision {{ problem?.newest }}
      </button>
      <button class="do" type="button" @click="emit('look')">
        Show the other as a ghost behind mine
      </button>
    </div>
  </el-dialog>
</template>

<style scoped>
.choices {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  margin-top: 16px;
}
</style>
