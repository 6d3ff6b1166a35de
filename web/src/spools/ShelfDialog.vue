<script setup lang="ts">
import { computed } from 'vue'
import { useSpoolUse } from './useShelfForm'

/** A form about one thing on the shelf of spools, with its refusal and its two ends. */
const props = defineProps<{ title: string; spoolId: string | undefined; refused: string }>()
const open = defineModel<boolean>({ required: true })
const known = computed(() => props.spoolId !== undefined)
const { data: use } = useSpoolUse(() => (open.value ? props.spoolId : undefined))
const emit = defineEmits<{ save: []; remove: [] }>()
</script>

<template>
  <el-dialog v-model="open" :title="title" width="min(560px, 94vw)" append-to-body>
    <form class="form" @submit.prevent="emit('save')">
      <slot />
      <p v-if="known && use" class="quiet whole">{{ use.words }}</p>
      <p v-if="refused" class="refusal whole" role="alert">{{ refused }}</p>
      <div class="row whole">
        <button class="do do--main" type="submit">{{ known ? 'Keep' : 'Put on the shelf' }}</button>
        <button v-if="known" class="do" type="button" @click="emit('remove')">
          Take off the shelf
        </button>
      </div>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 16px;
}

.form :deep(.whole) {
  grid-column: 1 / -1;
}
</style>
