<script setup lang="ts">
import { api, type Design } from '@/api/client'
import { keepAnswer } from '@/api/keepAnswer'
import { inWords } from '@/api/problems'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'

type Paper = 'a6' | 'a4' | 'sheet' | 'labels'

/** Tying cards and wallet labels as PDF, of one leader or of a batch. */
const props = defineProps<{ wanted: { design: Design; count: number }[] }>()
const settings = useSettings()
const PAPERS: { paper: Paper; words: string }[] = [
  { paper: 'a6', words: 'A card each, A6' },
  { paper: 'a4', words: 'A sheet each, A4' },
  { paper: 'sheet', words: 'Four cards on an A4 sheet' },
  { paper: 'labels', words: 'Labels for leader wallets, 24 on an A4 sheet' },
]

async function write(paper: Paper) {
  try {
    const body = { wanted: props.wanted, paper, units: settings.units }
    await keepAnswer(api.POST('/api/tying/cards', { body, parseAs: 'blob' }))
  } catch (error) {
    notify(inWords(error), 'trouble')
  }
}
</script>

<template>
  <el-dropdown trigger="click" :disabled="!wanted.length" @command="write">
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
