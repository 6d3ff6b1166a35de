<script setup lang="ts">
import { useId } from 'vue'
import type { Schemas } from '@/api/client'
import { useCatalogue } from '@/api/queries'

/** Which material a spool or a packet is of. */
const material = defineModel<Schemas['SpoolForm']['material']>({ required: true })
const { data: catalogue } = useCatalogue()
const id = useId()
</script>

<template>
  <div>
    <label class="quiet" :for="id">Material</label>
    <el-select :id="id" v-model="material">
      <el-option
        v-for="one in catalogue?.materials"
        :key="one.key"
        :value="one.key"
        :label="one.title"
      />
    </el-select>
  </div>
</template>
