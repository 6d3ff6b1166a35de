<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import type { Design, Schemas } from '@/api/client'
import { job } from '@/api/job'
import { keepTold } from '@/api/keepAnswer'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'
import JobProgress from '@/widgets/JobProgress.vue'

type Paper = NonNullable<Schemas['CardsRequest']['paper']>
type More = '' | 'depths' | 'chain' | 'code'
interface Choice {
  key: string
  paper: Paper
  more: More
  words: string
}

/** Tying cards and wallet labels as PDF, of one leader or of a batch. */
const props = defineProps<{ wanted: { design: Design; count: number }[] }>()
const settings = useSettings()

/** What can be printed on one family of paper: its card, its sheet. */
function onPaper(card: [Paper, string], sheet: [Paper, string], four: Paper, labels: Paper) {
  const row: [Paper, More, string][] = [
    [card[0], '', `A card each, ${card[1]}`],
    [sheet[0], '', `A sheet each, ${sheet[1]}`],
    [card[0], 'depths', `A card each with depth table, ${card[1]}`],
    [sheet[0], 'depths', `A sheet each with its depth table, ${sheet[1]}`],
    [card[0], 'chain', `A card each with the chain from the reel, ${card[1]}`],
    [card[0], 'code', `A card each with a code to share on its back, ${card[1]}`],
    [four, '', `Four cards on one sheet, ${sheet[1]}`],
    [labels, '', `24 labels for leader wallets, ${sheet[1]}`],
    [labels, 'code', `24 labels with a code to share each, ${sheet[1]}`],
  ]
  return row.map(([paper, more, words]) => ({ key: `${paper} ${more}`, paper, more, words }))
}
const BY_INCHES = onPaper(
  ['3x5', '3 × 5 in'],
  ['letter', 'Letter'],
  'letter-sheet',
  'letter-labels',
)
const BY_MILLIMETRES = onPaper(['a6', 'A6'], ['a4', 'A4'], 'sheet', 'labels')
/** The angler's own papers first. */
const papers = computed<Choice[]>(() =>
  settings.units === 'imperial'
    ? [...BY_INCHES, ...BY_MILLIMETRES]
    : [...BY_MILLIMETRES, ...BY_INCHES],
)

const asked = shallowRef<{
  paper: Paper
  depth_table: boolean
  chain: boolean
  code: boolean
} | null>(null)
const { answer, share, refused, stopped, stop } = useAnswer(
  () => asked.value && { ...asked.value, wanted: props.wanted, units: settings.units },
  (body, waiting) => job('/api/v1/tying/cards', body, waiting),
)

function write({ paper, more }: Choice) {
  asked.value = {
    paper,
    depth_table: more === 'depths',
    chain: more === 'chain',
    code: more === 'code',
  }
}

watch([answer, refused, stopped], () => {
  if (answer.value) keepTold(answer.value)
  if (refused.value) notify(refused.value, 'trouble')
  if (answer.value || refused.value || stopped.value) asked.value = null
})
</script>

<template>
  <JobProgress v-if="share !== null" :share="share" words="Drawing the cards …" @stop="stop" />
  <el-dropdown v-else trigger="click" :max-height="400" :disabled="!wanted.length" @command="write">
    <button class="do" type="button" :disabled="!wanted.length">Cards as PDF ▾</button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item v-for="paper in papers" :key="paper.key" :command="paper">
          {{ paper.words }}
        </el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>
