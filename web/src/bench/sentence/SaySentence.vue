<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { nextTick, ref } from 'vue'
import { wordsBefore } from './sentenceText'

/** A sentence whose italic words open a panel, in which they are said otherwise. */
const props = defineProps<{
  phrases: readonly { part: string; before: string; text: string }[]
  /** The panel of each part by its title. */
  titles: Record<string, string>
  /** What the parts' ids begin with, one for each sentence of a page. */
  name?: string
}>()
const idOf = (part: string) => `${props.name ?? 'say'}-${part}`
const open = ref('')
const panel = ref<HTMLElement>()
const left = ref(0)

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
  document.getElementById(idOf(was))?.focus()
}

/** Escape closes it wherever the focus is; inside, whoever has the key first may keep it. */
useEventListener(
  window,
  'keydown',
  (event: KeyboardEvent) => {
    const outside = !panel.value?.contains(event.target as Node)
    if (event.key === 'Escape' && open.value && outside) close()
  },
  { capture: true }, // before anything that keeps the key for itself
)

const ABOVE = '.el-popper, .el-overlay'

/** Tabbing out of the panel closes it, onto another word too; lists that float above belong to it. */
function leave(event: FocusEvent) {
  const to = event.relatedTarget
  if (!(to instanceof HTMLElement) || panel.value?.contains(to) || to.closest(ABOVE)) return
  if (to.id !== idOf(open.value)) open.value = ''
}

/** So does pressing anywhere outside; a word of the sentence opens its own instead. */
useEventListener(window, 'pointerdown', (event: PointerEvent) => {
  const at = event.target as Element
  if (open.value && !panel.value?.contains(at) && !at.closest(`.sentence, ${ABOVE}`))
    open.value = ''
})
</script>

<template>
  <div class="say-area">
    <p class="sentence">
      <template v-for="phrase in phrases" :key="phrase.part">
        <span class="sentence__plain">{{ wordsBefore(phrase) }}</span>
        <button
          :id="idOf(phrase.part)"
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
      v-if="titles[open]"
      ref="panel"
      class="panel"
      tabindex="-1"
      role="dialog"
      :aria-label="titles[open]"
      :style="{ '--left': `${left}px` }"
      @focusout="leave"
      @keydown.esc.stop="close"
    >
      <div class="row panel__head">
        <h2>{{ titles[open] }}</h2>
        <span class="grow" />
        <button type="button" class="do" @click="close">Done</button>
      </div>
      <slot :part="open" />
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
  grid-template-columns: minmax(0, 1fr);
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
