<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { usePreferredReducedMotion, useRafFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useAnglerStorage } from '@/settings/useAnglerStorage'
import KnotPicture from './KnotPicture.vue'

type Key = Schemas['KnotCard']['key']

/** A knot to scrub forwards and back through the steps of its tying. */
const props = defineProps<{ knot: Key; title: string }>()
const STEP_S = 1.6
const motion = usePreferredReducedMotion()
const mirrored = useAnglerStorage('left-handed', false)
const at = ref(0)
const goal = ref<number | null>(null)
const { data: drawing } = useQuery({
  queryKey: computed(() => ['drawing', props.knot]),
  queryFn: () =>
    answered(api.GET('/api/v1/knots/{key}/drawing', { params: { path: { key: props.knot } } })),
  staleTime: Infinity,
})
const captions = computed(() => drawing.value?.captions ?? [])
const last = computed(() => Math.max(1, captions.value.length - 1))
const now = computed(() => Math.min(last.value, Math.ceil(at.value - 1e-6)))

useRafFn(({ delta }) => {
  if (goal.value === null) return
  const left = goal.value - at.value
  const by = Math.sign(left) * Math.min(Math.abs(left), delta / 1000 / STEP_S)
  at.value += by
  if (Math.abs(goal.value - at.value) < 1e-6) goal.value = null
})

function go(by: number) {
  const from = by > 0 ? Math.floor(at.value + 1e-6) : Math.ceil(at.value - 1e-6)
  const to = Math.min(last.value, Math.max(0, from + by))
  if (motion.value === 'reduce') at.value = to
  else goal.value = to
}
function scrub(event: Event) {
  goal.value = null
  at.value = Number((event.target as HTMLInputElement).value)
}

watch(
  () => props.knot,
  () => {
    goal.value = null
    at.value = 0
  },
)
</script>

<template>
  <section class="steps" :aria-label="`${title}, step by step`">
    <div class="steps__picture">
      <KnotPicture :knot="knot" :step="at" :mirrored="mirrored" />
    </div>
    <div class="row steps__row">
      <button class="do steps__go" type="button" :disabled="at <= 0" @click="go(-1)">← Back</button>
      <input
        class="grow"
        type="range"
        min="0"
        :max="last"
        step="0.05"
        :value="at"
        aria-label="How far it is tied"
        :aria-valuetext="`Step ${now + 1} of ${captions.length}: ${captions[now]}`"
        @input="scrub"
      />
      <button class="do do--main steps__go" type="button" :disabled="at >= last" @click="go(1)">
        Next →
      </button>
    </div>
    <p class="steps__said" role="status">
      <span class="figure">{{ now + 1 }}/{{ captions.length }}</span> {{ captions[now] }}
    </p>
    <label class="quiet steps__mirror">
      <input v-model="mirrored" type="checkbox" />
      Mirrored, for the left-handed
    </label>
  </section>
</template>

<style scoped>
.steps {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}

.steps__picture {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-items: center;
  min-height: 210px;
  padding: 10px;
  border-radius: 6px;
  background: var(--surface);
}

.steps__go {
  min-width: 92px;
  min-height: 48px;
}

input[type='range'] {
  min-width: 90px;
}

.steps__said {
  min-height: 52px;
  font-size: 18px;
  line-height: 1.4;
}

.steps__said .figure {
  margin-right: 6px;
  color: var(--ink-2);
  font-size: 15px;
}

.steps__mirror {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: var(--small);
  cursor: pointer;
}
</style>
