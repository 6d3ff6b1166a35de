<script setup lang="ts">
import { useRigActs } from './useRigActs'

/** What may be hung on the leader: weights, floats and marks anywhere, flies at a joint. */
const acts = useRigActs()
const choices: Record<string, () => void> = {
  shot: () => acts.hang('shot'),
  indicator: () => acts.hang('indicator'),
  mark: () => acts.hang('mark'),
  grease: () => acts.hang('grease'),
  dropper: acts.addDropper,
  line: acts.addInLine,
}
</script>

<template>
  <el-dropdown trigger="click" @command="(name: string) => choices[name]?.()">
    <button class="do" type="button">Hang on ▾</button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item command="shot">A split shot (W)</el-dropdown-item>
        <el-dropdown-item command="indicator">An indicator (O)</el-dropdown-item>
        <el-dropdown-item command="mark">A sighter mark</el-dropdown-item>
        <el-dropdown-item command="grease">Where the grease ends</el-dropdown-item>
        <el-dropdown-item divided command="dropper" :disabled="!acts.hangs.value">
          A fly on a dropper here (D)
        </el-dropdown-item>
        <el-dropdown-item command="line" :disabled="!acts.hangs.value">
          A fly in line here (L)
        </el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>
