<script setup lang="ts">
import { shallowRef, watch } from 'vue'
import type { Design } from '@/api/client'
import { job } from '@/api/job'
import { keepTold } from '@/api/keepAnswer'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'
import JobProgress from '@/widgets/JobProgress.vue'

type Paper = 'a6' | 'a4' | 'sheet' | 'labels'
type Choice = Paper | 'a6-depths' | 'a4-depths' | 'a6-chain' | 'a6-code' | 'labels-code'

/** Tying cards and wallet labels as PDF, of one leader or of a batch. */
const props = defineProps<{ wanted: { design: Design; count: number }[] }>()
const settings = useSettings()
const PAPERS: { paper: Choice; words: string }[] = [
  { paper: 'a6', words: 'A card each, A6' },
  { paper: 'a4', words: 'A sheet each, A4' },
  { paper: 'a6-depths', words: 'A card each with its depth table, A6' },
  { paper: 'a4-depths', words: 'A sheet each with its depth table, A4' },
  { paper: 'a6-chain', words: 'A card each with the chain from the reel, A6' },
  { paper: 'a6-code', words: 'A card each with a code to share on its back, A6' },
  { paper: 'sheet', words: 'Four cards on an A4 sheet' },
  { paper: 'labels', words: 'Labels for leader wallets, 24 on an A4 sheet' },
  { paper: 'labels-code', words: 'The same with a code each, to open it on a bench' },
]

const asked = shallowRef<{
  paper: Paper
  depth_table: boolean
  chain: boolean
  code: boolean
} | null>(null)
const { answer, share, refused, stopped, stop } = useAnswer(
  () => asked.value && { ...asked.value, wanted: props.wanted, units: settings.units },
  (body, waiting) => job('/api/tying/cards', body, waiting),
)

function write(choice: Choice) {
  const [paper, more] = choice.split('-') as [Paper, string?]
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
  <el-dropdown v-else trigger="click" :disabled="!wanted.length" @command="write">
    <button class="do" type="button" :disabled="!wanted.length">Cards as PDF ▾</button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item v-for="one in PAPERS" :key="one.paper" :command="one.paper">
          {{ one.words }}
        </el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>
