<script setup lang="ts">
import { computed } from 'vue'
import { useRigActs } from './useRigActs'

/** What may be hung on the leader: weights, floats and marks anywhere, flies at a joint. */
const acts = useRigActs()
const choices: Record<string, () => void> = {
  shot: () => acts.hang('shot'),
  indicator: () => acts.hang('indicator'),
  mark: () => acts.hang('mark'),
  grease: () => acts.hang('grease'),
  tag: () => acts.addFly('tag'),
  behind: () => acts.addFly('behind'),
  dropper: acts.addDropper,
  line: acts.addInLine,
}
const elsewhere = computed(() =>
  acts.hangs.value ? '' : ': choose a joint between two pieces first',
)
</script>

<template>
  <el-dropdown trigger="click" @command="(name: string) => choices[name]?.()">
    <button class="do" type="button">Add ▾</button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item command="shot">A split shot (W)</el-dropdown-item>
        <el-dropdown-item command="indicator">An indicator (O)</el-dropdown-item>
        <el-dropdown-item command="mark">A sighter mark</el-dropdown-item>
        <el-dropdown-item command="grease">Where the grease ends</el-dropdown-item>
        <el-dropdown-item divided command="tag">Another fly, on a tag above (A)</el-dropdown-item>
        <el-dropdown-item command="behind">Another fly, in line behind (B)</el-dropdown-item>
        <el-dropdown-item command="dropper" :disabled="!acts.hangs.value">
          A fly on a dropper here (D){{ elsewhere }}
        </el-dropdown-item>
        <el-dropdown-item command="line" :disabled="!acts.hangs.value">
          A fly in line here (L){{ elsewhere }}
        </el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>
