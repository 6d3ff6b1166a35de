<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Schemas } from '@/api/client'
import { useCatalogue } from '@/api/queries'

/** Which material a spool or a packet is of. */
const material = defineModel<Schemas['SpoolForm']['material']>({ required: true })
const { data: catalogue } = useCatalogue()
const id = useId()
const chosen = computed(() =>
  catalogue.value?.materials.find((item) => item.key === material.value),
)
</script>

<template>
  <div>
    <label class="quiet" :for="id">Material</label>
    <el-select :id="id" v-model="material">
      <el-option
        v-for="option in catalogue?.materials"
        :key="option.key"
        :value="option.key"
        :label="option.title"
      />
    </el-select>
    <ul v-if="chosen" class="reasons">
      <li v-for="reason in chosen.reasons" :key="reason">{{ reason }}</li>
    </ul>
  </div>
</template>

<style scoped>
.reasons {
  margin: 6px 0 0;
  padding-left: 18px;
  color: var(--ink-2);
  font-size: var(--small);
}
</style>
