<script setup lang="ts">
import { nextTick, ref } from 'vue'
import type { LeaderCard } from '@/api/client'
import MiniStrip from '@/widgets/MiniStrip.vue'
import { dayText } from '@/widgets/dayText'

/** One saved leader in a row: its name, labels, strip, and what can be done with it. */
const props = defineProps<{ card: LeaderCard; longestM: number; chosen: boolean }>()
const emit = defineEmits<{
  choose: [on: boolean]
  open: []
  compare: []
  history: []
  takeOff: []
  give: []
  keepRaw: []
  label: [text: string]
}>()
const labels = ref<string | null>(null)
const field = ref<HTMLInputElement>()

async function editLabels() {
  labels.value = props.card.labels.join(', ')
  await nextTick()
  field.value?.focus()
}
function keepLabels() {
  if (labels.value === null) return
  emit('label', labels.value)
  labels.value = null
}
</script>

<template>
  <li class="card">
    <div class="card__words">
      <h3>
        <template v-if="card.damaged">{{ card.title }}</template>
        <template v-else>
          <input
            type="checkbox"
            :checked="chosen"
            :aria-label="`Choose ${card.title}`"
            @change="emit('choose', ($event.target as HTMLInputElement).checked)"
          />
          <button class="card__open" type="button" @click="emit('open')">{{ card.title }}</button>
        </template>
      </h3>
      <p v-if="card.damaged" class="quiet">revision {{ card.revision }}</p>
      <p v-else class="quiet">
        {{ card.school }} · {{ card.length }} to {{ card.tippet }} · revision {{ card.revision }},
        {{ dayText(card.updated_at) }}
      </p>
      <p class="card__notes">{{ card.notes }}</p>
      <form v-if="labels !== null" class="row" @submit.prevent="keepLabels">
        <input
          ref="field"
          v-model="labels"
          class="pick card__labels"
          :aria-label="`Labels of ${card.title}`"
          placeholder="salt, spring"
          @keydown.esc="labels = null"
        />
        <button class="do" type="submit">Keep</button>
      </form>
      <p v-else-if="card.labels.length" class="row">
        <span v-for="label in card.labels" :key="label" class="tag">{{ label }}</span>
      </p>
    </div>
    <p v-if="card.damaged" class="refusal">
      Damaged. {{ card.damaged }} Nothing is lost, and the other leaders are fine.
    </p>
    <MiniStrip v-else :outline="card.outline" :hung="card.hung" :longest-m="longestM" />
    <div class="card__acts">
      <button
        v-if="card.damaged"
        class="do"
        type="button"
        :aria-label="`Export: ${card.title}`"
        @click="emit('keepRaw')"
      >
        Export
      </button>
      <template v-else>
        <button
          class="do"
          type="button"
          :aria-label="`Compare: ${card.title}`"
          @click="emit('compare')"
        >
          Compare
        </button>
        <button
          class="do do--plain"
          type="button"
          :aria-label="`History: ${card.title}`"
          @click="emit('history')"
        >
          History
        </button>
        <button
          class="do do--plain"
          type="button"
          :aria-label="`Labels: ${card.title}`"
          @click="editLabels"
        >
          Labels
        </button>
        <button
          class="do do--plain"
          type="button"
          :aria-label="`Share: ${card.title}`"
          @click="emit('give')"
        >
          Share
        </button>
      </template>
      <button
        class="do do--plain"
        type="button"
        :aria-label="`Take off: ${card.title}`"
        @click="emit('takeOff')"
      >
        Take off
      </button>
    </div>
  </li>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: minmax(240px, 2fr) minmax(180px, 2.4fr) auto;
  align-items: center;
  gap: 18px;
  padding: 10px 0;
  border-bottom: 1px solid var(--hair);
}

.card input[type='checkbox'] {
  width: 24px;
  height: 24px;
}

.card__open {
  min-height: 24px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--act);
  font-size: 17px;
  font-weight: 640;
  text-align: left;
  text-decoration: underline;
  text-decoration-thickness: 1px;
  text-underline-offset: 3px;
  cursor: pointer;
}

.card__notes {
  margin-top: 2px;
  font-size: 14px;
}

.card__labels {
  flex: 1;
  width: auto;
}

.tag {
  padding: 0 8px;
  border-radius: 10px;
  background: var(--act-soft);
  font-size: var(--small);
}

.card__acts {
  display: flex;
  gap: 2px;
}

@media (max-width: 820px) {
  .card {
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
  }

  .card__acts {
    flex-wrap: wrap;
  }

  .card__open {
    min-height: 48px;
  }
}
</style>
