<script setup lang="ts">
import { ref, useId, watch } from 'vue'
import { inWords } from '@/api/problems'

/**
 * A figure as the angler types it. Enter or leaving the field hands the text on; what Python
 * refuses is said below and the text stays as typed. Escape brings the last figure back.
 */
const props = defineProps<{
  label: string
  modelValue: string
  take: (text: string) => Promise<void>
  hideLabel?: boolean
  hint?: string
}>()

const text = ref(props.modelValue)
const refused = ref('')
const asking = ref(false)
/** While something is being typed, an answer that comes late does not put its figure over it. */
const typing = ref(false)
const box = ref<HTMLInputElement>()
const id = useId()

watch(
  () => props.modelValue,
  (value) => {
    if (!refused.value && !typing.value) text.value = value
  },
)

async function hand() {
  typing.value = false
  const typed = text.value.trim()
  if (typed === props.modelValue) {
    refused.value = ''
    return
  }
  refused.value = ''
  asking.value = true
  try {
    await props.take(typed)
    if (!typing.value) text.value = props.modelValue
  } catch (error) {
    refused.value = inWords(error)
  } finally {
    asking.value = false
  }
}

/** Left as it was found: what changed meanwhile shows now. */
function left() {
  typing.value = false
  if (!asking.value && !refused.value) text.value = props.modelValue
}

/** Escape brings the last figure back; where it stands already, the key is for someone else. */
function back(event: KeyboardEvent) {
  if (asking.value || (!refused.value && text.value === props.modelValue)) return
  event.stopPropagation()
  typing.value = false
  refused.value = ''
  text.value = props.modelValue
}

defineExpose({ focus: () => box.value?.select() })
</script>

<template>
  <div class="typed">
    <label :for="id" :class="{ unseen: hideLabel }">{{ label }}</label>
    <input
      :id="id"
      ref="box"
      v-model="text"
      class="typed__box figure"
      :class="{ 'typed__box--refused': refused }"
      autocomplete="off"
      spellcheck="false"
      :aria-invalid="refused ? 'true' : undefined"
      :aria-describedby="refused ? `${id}-no` : undefined"
      :placeholder="hint"
      @input="typing = true"
      @change="hand"
      @blur="left"
      @keydown.enter.prevent="hand"
      @keydown.esc="back"
    />
    <p v-if="refused" :id="`${id}-no`" class="typed__no" role="alert">{{ refused }}</p>
  </div>
</template>

<style scoped>
.typed {
  position: relative;
}

label {
  display: block;
  margin-bottom: 3px;
  color: var(--ink-2);
  font-size: var(--small);
}

.typed__box {
  width: 100%;
  min-width: 0;
  height: 32px;
  padding: 0 8px;
  border: 1px solid var(--hair-strong);
  border-radius: var(--radius);
  background: var(--raised);
}

.typed__box::placeholder {
  color: var(--ink-2);
}

.typed__box--refused {
  border-color: var(--doubt);
  border-width: 2px;
}

.typed__no {
  margin-top: 4px;
  padding: 5px 8px;
  border-left: 3px solid var(--doubt);
  background: var(--doubt-soft);
  font-size: var(--small);
}

@media (max-width: 820px) {
  .typed__box {
    height: 48px;
  }
}
</style>
