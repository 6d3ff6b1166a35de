<script setup lang="ts">
import { computed } from 'vue'
import { useCatalogue } from '@/api/queries'
import { useCast } from './useCast'
import { useCastFiles } from './useCastFiles'
import type { usePlayer } from './usePlayer'

defineProps<{ player: ReturnType<typeof usePlayer>; playable: boolean }>()
const cast = useCast()
const exportCast = useCastFiles()
const { data: catalogue } = useCatalogue()
const known = computed(() => catalogue.value?.casts.some((one) => one.key === cast.stroke.speed))
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
      @input="player.show(Number(($event.target as HTMLInputElement).value))"
    />
    <label class="quiet">
      Stroke
      <select v-model="cast.stroke.speed" class="pick">
        <option v-if="!known" :value="cast.stroke.speed">{{ cast.stroke.speed }}</option>
        <option v-for="one in catalogue?.casts" :key="one.key" :value="one.key">
          {{ one.title }}, {{ one.note }}
        </option>
      </select>
    </label>
    <label class="quiet">
      Line out
      <select v-model="cast.stroke.line_out" class="pick">
        <option value="">usual</option>
        <option v-for="one in catalogue?.lines_out" :key="one.key" :value="one.key">
          {{ one.title }}
        </option>
      </select>
    </label>
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
  accent-color: var(--act);
}

label {
  display: flex;
  align-items: center;
  gap: 6px;
  white-space: nowrap;
}

.pick {
  width: auto;
}

[aria-pressed='true'] {
  border-color: var(--act);
  background: var(--act-soft);
}
</style>
