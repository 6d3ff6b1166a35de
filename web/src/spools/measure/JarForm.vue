<script setup lang="ts">
import { useEventListener, useRafFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useSettings } from '@/settings/useSettings'
import { isTyping } from '@/widgets/isTyping'
import MeasuredSays from './MeasuredSays.vue'
import ReadingFields from './ReadingFields.vue'
import { useMeasure } from './useMeasure'

/** Jar: a fly timed over a measured fall; Space or the big button is the stopwatch. */
const props = defineProps<{ ofId: string }>()
const settings = useSettings()
const empty = () => ['', '', '']
const fall = ref('')
const times = ref(empty())
watch(
  () => props.ofId,
  () => (times.value = empty()),
)
const measure = useMeasure('jar', () =>
  props.ofId && fall.value.trim() && times.value.some((time) => time.trim())
    ? { of_id: props.ofId, fall: fall.value, times: times.value }
    : null,
)
const { answer, refused, trouble, busy } = measure

const startedAt = ref<number | null>(null)
const now = ref(0)
const clock = useRafFn(() => (now.value = performance.now()), { immediate: false })
const running = computed(() => startedAt.value !== null)
const shown = computed(() =>
  startedAt.value === null ? '0.00 s' : `${((now.value - startedAt.value) / 1000).toFixed(2)} s`,
)

function press() {
  const moment = performance.now()
  if (startedAt.value === null) {
    startedAt.value = now.value = moment
    clock.resume()
    return
  }
  const took = `${((moment - startedAt.value) / 1000).toFixed(2)} s`
  startedAt.value = null
  clock.pause()
  const at = times.value.findIndex((time) => !time.trim())
  const filled = at < 0 ? [...times.value.slice(1), ''] : times.value
  const place = at < 0 ? filled.length - 1 : at
  times.value = filled.map((item, i) => (i === place ? took : item))
}
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (event.key !== ' ' || event.repeat || isTyping(event)) return
  if (event.target instanceof HTMLButtonElement) return
  event.preventDefault()
  press()
})
async function keep() {
  if (await measure.keep()) times.value = empty()
}
</script>

<template>
  <p class="quiet measure__how">
    A tall jar of tap water with two marks, the upper one a hand below the surface so that the fly
    falls steadily by then. Soak the fly, let it go with tweezers under the surface, and time it
    from mark to mark, three times.
  </p>
  <div class="measure__fields">
    <label class="quiet measure__one">
      Between the marks
      <input
        v-model="fall"
        class="pick figure"
        :placeholder="settings.units === 'metric' ? '25 cm' : '10 in'"
      />
    </label>
    <ReadingFields v-model="times" label="It took" hint="0.8 s" />
    <p class="row">
      <button class="do do--main watch" type="button" @click="press">
        {{ running ? 'Stop' : 'Start' }}
      </button>
      <span class="figure watch__time" role="timer">{{ shown }}</span>
      <span class="quiet">or Space</span>
    </p>
  </div>
  <MeasuredSays v-bind="{ ofId, answer, refused, trouble, busy }" @keep="keep" />
</template>

<style scoped>
.watch {
  min-width: 120px;
  min-height: 56px;
  font-size: 20px;
}

.watch__time {
  font-size: 26px;
}
</style>
