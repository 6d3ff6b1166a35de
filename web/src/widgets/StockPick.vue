<script setup lang="ts">
import { computed, ref } from 'vue'
import type { StockRow } from '@/api/client'
import { soughtIn } from './soughtIn'

/** A spool or packet picked by typing: its name, stuff, size or what is left narrow the list. */
const props = defineProps<{
  rows: readonly StockRow[]
  label: string
  /** Words for one that is not on the list. */
  otherwise?: string | undefined
  placeholder?: string | undefined
}>()
const picked = defineModel<string>({ required: true })
const sought = ref('')

const wordsOf = (row: StockRow) =>
  `${row.title} ${row.material_title} ${row.diameter} ${row.strength} ${row.left}`
const groups = computed(() =>
  [
    { title: 'Spools', form: 'spool' },
    { title: 'Knotless tapers', form: 'packet' },
  ]
    .map((group) => ({
      title: group.title,
      rows: props.rows.filter(
        (row) => row.form === group.form && soughtIn(sought.value, wordsOf(row)),
      ),
    }))
    .filter((group) => group.rows.length),
)
const known = computed(() => props.rows.some((row) => row.spool_id === picked.value))
/** What is shown: the name of one that is not on the list, where there is none of it. */
const chosenTitle = computed(
  () => props.rows.find((row) => row.spool_id === picked.value)?.title ?? props.otherwise ?? '',
)
const shown = computed(() => (known.value ? picked.value : (props.otherwise ?? '')))
</script>

<template>
  <el-select
    class="stock-pick"
    filterable
    default-first-option
    :aria-label="label"
    :model-value="shown"
    :filter-method="(text: string) => (sought = text)"
    :placeholder="placeholder ?? 'Type: 5X, fluorocarbon …'"
    no-match-text="Nothing on the shelf matches."
    no-data-text="Nothing on the shelf matches."
    @visible-change="sought = ''"
    @change="(id: string) => (picked = id)"
  >
    <template #label>{{ chosenTitle }}</template>
    <el-option-group v-for="group in groups" :key="group.title" :label="group.title">
      <el-option
        v-for="row in group.rows"
        :key="row.spool_id"
        :value="row.spool_id"
        :label="row.title"
      >
        <span class="stock-pick__one">
          <span>{{ row.title }}</span>
          <span class="quiet figure">{{ row.left }}{{ row.low ? ', low' : '' }}</span>
        </span>
      </el-option>
    </el-option-group>
  </el-select>
</template>

<style>
.stock-pick .el-select__wrapper {
  gap: 2px;
  padding: 4px 8px;
}

.grid .stock-pick .el-select__wrapper {
  gap: 2px;
  min-height: 27px;
  padding: 0 4px;
  font-size: 13px;
  line-height: 1.2;
}

.grid .stock-pick .el-select__suffix {
  transform: scale(0.8);
}

.stock-pick__one {
  display: flex;
  justify-content: space-between;
  gap: 18px;
}
</style>
