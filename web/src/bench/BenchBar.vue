<script setup lang="ts">
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import DoOrWhyNot from '@/widgets/DoOrWhyNot.vue'
import NewLeaderMenu from './NewLeaderMenu.vue'
import { useBench } from './useBench'
import { useFiles } from './useFiles'

const ShareCode = defineAsyncComponent(() => import('./ShareCode.vue'))
const ScanCode = defineAsyncComponent(() => import('./ScanCode.vue'))
const props = defineProps<{ busy: boolean; plain: boolean; piecesShown: boolean }>()
const emit = defineEmits<{ save: []; saveNew: []; pieces: [] }>()

const bench = useBench()
const files = useFiles()
const title = ref('')
const picker = ref<HTMLInputElement>()
const sharing = ref(false)
const scanning = ref(false)

watch(
  () => bench.design?.title,
  (now) => (title.value = now ?? ''),
  { immediate: true },
)

function rename() {
  const wanted = title.value.trim()
  if (!wanted) title.value = bench.design?.title ?? ''
  else if (wanted !== bench.design?.title) bench.put({ title: wanted })
}

const state = computed(() => {
  if (!bench.saved) return 'not saved yet'
  return bench.changedSinceSaved
    ? `changed since revision ${bench.saved.revision}`
    : `revision ${bench.saved.revision}`
})

const whyNotSave = computed(() => {
  if (props.busy) return 'Saving …'
  return bench.changedSinceSaved ? '' : 'No changes since it was saved.'
})

function ghost() {
  bench.pinGhost(bench.ghost ? null : bench.design)
}

type Command = 'json' | 'csv' | 'svg' | 'import' | 'new' | 'share' | 'scan'
function file(command: Command) {
  if (command === 'import') picker.value?.click()
  else if (command === 'share') sharing.value = true
  else if (command === 'scan') scanning.value = true
  else if (command === 'new') emit('saveNew')
  else void files.exportAs(command)
}

function picked(event: Event) {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  if (chosen) void files.importFile(chosen)
  input.value = ''
}
</script>

<template>
  <header class="bench-bar">
    <h1 class="unseen">Bench: {{ bench.design?.title }}</h1>
    <input
      v-model="title"
      class="title"
      aria-label="Name of this leader"
      maxlength="80"
      @change="rename"
      @keydown.enter="($event.target as HTMLElement).blur()"
    />
    <span class="quiet state" role="status">{{ state }}</span>
    <span class="grow" />
    <DoOrWhyNot :why-not="bench.canUndo ? '' : 'Nothing was changed yet.'" @act="bench.undo">
      Undo
    </DoOrWhyNot>
    <DoOrWhyNot :why-not="bench.canRedo ? '' : 'Nothing was undone.'" @act="bench.redo">
      Redo
    </DoOrWhyNot>
    <template v-if="!plain">
      <button class="do" type="button" :aria-pressed="bench.ghost !== null" @click="ghost">
        {{ bench.ghost ? 'Remove the ghost' : 'Pin as ghost' }}
      </button>
      <button class="do" type="button" :aria-pressed="piecesShown" @click="emit('pieces')">
        {{ piecesShown ? 'Hide rows' : 'Show rows' }}
      </button>
    </template>
    <NewLeaderMenu />
    <el-dropdown trigger="click" @command="file">
      <button class="do" type="button">File ▾</button>
      <template #dropdown>
        <el-dropdown-menu>
          <el-dropdown-item command="new">Save as a new leader</el-dropdown-item>
          <el-dropdown-item command="json" divided>Export as JSON</el-dropdown-item>
          <el-dropdown-item command="csv">Export as CSV table</el-dropdown-item>
          <el-dropdown-item command="svg">Export the strip as SVG</el-dropdown-item>
          <el-dropdown-item command="share" divided>Share as a code (QR) …</el-dropdown-item>
          <el-dropdown-item command="scan">Scan a code …</el-dropdown-item>
          <el-dropdown-item command="import" divided>Import JSON or CSV …</el-dropdown-item>
        </el-dropdown-menu>
      </template>
    </el-dropdown>
    <DoOrWhyNot class="do--main" :why-not="whyNotSave" @act="emit('save')">Save</DoOrWhyNot>
    <input
      ref="picker"
      class="unseen"
      type="file"
      accept=".json,.csv"
      aria-label="File to import"
      tabindex="-1"
      @change="picked"
    />
    <ShareCode v-if="sharing" v-model="sharing" />
    <ScanCode v-if="scanning" v-model="scanning" />
  </header>
</template>

<style scoped>
.bench-bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}

.title {
  field-sizing: content;
  min-width: 8ch;
  max-width: 420px;
  padding: 2px 4px;
  border: 0;
  border-bottom: 1px solid transparent;
  background: none;
  font-size: 22px;
  font-weight: 640;
}

.title:hover,
.title:focus {
  border-bottom-color: var(--hair-strong);
}

[aria-pressed='true'] {
  border-color: var(--act);
  background: var(--act-soft);
}
</style>
