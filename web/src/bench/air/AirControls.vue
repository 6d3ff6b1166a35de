<script setup lang="ts">
import { useCastFiles } from './useCastFiles'
import type { usePlayer } from './usePlayer'

defineProps<{ player: ReturnType<typeof usePlayer>; playable: boolean }>()
const exportCast = useCastFiles()
</script>

<template>
  <div class="row controls">
    <button class="do" type="button" :disabled="!playable" @click="player.toggle">
      {{ player.playing.value ? 'Pause' : 'Play' }}
    </button>
    <button
      class="do"
      type="button"
      :aria-pressed="player.slow.value"
      :disabled="!playable"
      @click="player.slower"
    >
      Quarter speed
    </button>
    <input
      class="grow"
      type="range"
      min="0"
      :max="player.last.value"
      :value="player.frame.value"
      :disabled="!playable"
      aria-label="Moment of the cast"
      :aria-valuetext="`${player.seconds.value.toFixed(2)} s`"
      @input="player.show(Number(($event.target as HTMLInputElement).value))"
    />
    <el-dropdown trigger="click" :disabled="!playable" @command="exportCast">
      <button class="do" type="button" :disabled="!playable">Export ▾</button>
      <template #dropdown>
        <el-dropdown-menu>
          <el-dropdown-item command="svg">The cast as a picture, SVG</el-dropdown-item>
          <el-dropdown-item command="csv">Its nodes as a table, CSV</el-dropdown-item>
        </el-dropdown-menu>
      </template>
    </el-dropdown>
  </div>
</template>

<style scoped>
input[type='range'] {
  min-width: 120px;
}

[aria-pressed='true'] {
  border-color: var(--act);
  background: var(--act-soft);
}
</style>
