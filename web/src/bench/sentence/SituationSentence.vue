<script setup lang="ts">
import { computed, nextTick, ref, type Component } from 'vue'
import { useBench } from '../useBench'
import FishPart from './FishPart.vue'
import FlyPart from './FlyPart.vue'
import OutfitPart from './OutfitPart.vue'
import PacePart from './PacePart.vue'
import { wordsBefore } from './sentenceText'
import WaterPart from './WaterPart.vue'
import WindPart from './WindPart.vue'
import WishPart from './WishPart.vue'

const bench = useBench()
const editors: Record<string, { title: string; part: Component }> = {
  water: { title: 'The water', part: WaterPart },
  pace: { title: 'How fast it flows', part: PacePart },
  wind: { title: 'The wind', part: WindPart },
  fly: { title: 'The fly', part: FlyPart },
  wish: { title: 'What the fly should do', part: WishPart },
  fish: { title: 'The fish', part: FishPart },
  outfit: { title: 'Rod and line', part: OutfitPart },
}
const open = ref('')
const panel = ref<HTMLElement>()
const left = ref(0)
const editor = computed(() => editors[open.value])

async function show(part: string, button: HTMLElement) {
  open.value = open.value === part ? '' : part
  if (!open.value) return
  const room = (button.parentElement?.clientWidth ?? 0) - 480
  left.value = Math.max(0, Math.min(room, button.offsetLeft - 16))
  await nextTick()
  const checked = panel.value?.querySelector<HTMLElement>('input:checked')
  ;(checked ?? panel.value?.querySelector<HTMLElement>('input, button, select'))?.focus()
}

function close() {
  const was = open.value
  open.value = ''
  document.getElementById(`say-${was}`)?.focus()
}

/** Leaving the panel by keyboard or pointer closes it; lists that float above it belong to it. */
function leave(event: FocusEvent) {
  const to = event.relatedTarget
  if (!(to instanceof HTMLElement) || to.closest('.say-area, .el-popper, .el-overlay')) return
  open.value = ''
}
</script>

<template>
  <div v-if="bench.evaluation" class="say-area" @focusout="leave">
    <p class="sentence">
      <template v-for="phrase in bench.evaluation.sentence" :key="phrase.part">
        <span class="sentence__plain">{{ wordsBefore(phrase) }}</span>
        <button
          :id="`say-${phrase.part}`"
          type="button"
          class="sentence__say"
          :aria-expanded="open === phrase.part"
          aria-haspopup="dialog"
          @click="show(phrase.part, $event.currentTarget as HTMLElement)"
        >
          {{ phrase.text }}
        </button>
      </template>
      <span class="sentence__plain sentence__stop">.</span>
    </p>
    <div
      v-if="editor"
      ref="panel"
      class="panel"
      tabindex="-1"
      role="dialog"
      :aria-label="editor.title"
      :style="{ '--left': `${left}px` }"
      @keydown.esc.stop="close"
    >
      <div class="row panel__head">
        <h2>{{ editor.title }}</h2>
        <span class="grow" />
        <button type="button" class="do" @click="close">Done</button>
      </div>
      <component :is="editor.part" />
    </div>
  </div>
</template>

<style scoped>
.say-area {
  position: relative;
}

.sentence {
  font-size: 19px;
  line-height: 1.55;
}

.sentence__plain {
  color: var(--ink-2);
}

.sentence__say {
  padding: 0 2px;
  border: 0;
  border-bottom: 2px dotted var(--act);
  background: none;
  color: var(--ink);
  font-style: italic;
  line-height: 1.3;
  text-align: left;
  cursor: pointer;
}

.sentence__say:hover,
.sentence__say[aria-expanded='true'] {
  border-bottom-style: solid;
  background: var(--act-soft);
}

.panel {
  position: absolute;
  top: 100%;
  left: var(--left);
  z-index: 11;
  display: grid;
  gap: 12px;
  width: min(480px, 100%);
  max-height: min(560px, 70vh);
  padding: 14px 16px 18px;
  overflow: auto;
  border: 1px solid var(--hair-strong);
  border-radius: 6px;
  background: var(--raised);
  box-shadow: 0 12px 34px rgb(0 0 0 / 22%);
}

.panel:focus {
  outline: none;
}

.panel__head {
  min-height: 30px;
}

@media (max-width: 820px) {
  .sentence__stop {
    display: none;
  }

  .panel {
    left: 0;
  }
}
</style>
