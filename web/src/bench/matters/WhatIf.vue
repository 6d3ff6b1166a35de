<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import { answered, api } from '@/api/client'
import { useKit } from '@/api/queries'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import PickOne from '@/widgets/PickOne.vue'
import { overhead, useCast } from '../air/useCast'
import { useBench } from '../useBench'
import VerdictCord from '../verdict/VerdictCord.vue'

/** Another wind, stroke or fly on sliders: how the leader would open then. */
const bench = useBench()
const cast = useCast()
const settings = useSettings()
const { data: kit } = useKit()
const who = `what-if-${crypto.randomUUID().slice(0, 8)}`
const supposed = reactive<{ head_wind_m_s: number | null; times: number; fly: string }>({
  head_wind_m_s: null,
  times: 1,
  fly: '',
})
const asIs = () => Object.assign(supposed, { head_wind_m_s: null, times: 1, fly: '' })
watch(() => bench.design?.situation, asIs)

const own = computed(() => bench.design?.situation.fly.title ?? 'fly')
const flies = computed(() => [
  { value: '', words: `the ${own.value}` },
  ...(kit.value?.flies ?? [])
    .filter(({ title }) => title !== own.value)
    .map(({ title }) => ({ value: title, words: `the ${title}` })),
])
const { answer, refused } = useAnswer(
  () =>
    bench.design && {
      bench: who,
      design: bench.design,
      stroke: overhead(cast.stroke),
      units: settings.units,
      supposed: {
        head_wind_m_s: supposed.head_wind_m_s,
        times: supposed.times,
        fly: kit.value?.flies.find((fly) => fly.title === supposed.fly) ?? null,
      },
    },
  (body, { signal }) => answered(api.POST('/api/v1/sensitivity/what-if', { body, signal })),
  { keep: true },
)
</script>

<template>
  <section class="what-if" aria-label="What if">
    <div class="row">
      <h3>What if</h3>
      <span class="grow" />
      <button class="do" type="button" @click="asIs">As it is</button>
    </div>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <div v-if="answer" class="sliders">
      <label>
        <span>{{ answer.wind }}</span>
        <input
          type="range"
          min="-10"
          max="12"
          step="0.5"
          :value="answer.head_wind_m_s"
          aria-label="Wind along the cast"
          :aria-valuetext="answer.wind"
          @input="supposed.head_wind_m_s = Number(($event.target as HTMLInputElement).value)"
        />
      </label>
      <label>
        <span>{{ answer.stroke }}</span>
        <input
          v-model.number="supposed.times"
          type="range"
          min="0.6"
          max="1.8"
          step="0.05"
          aria-label="How hard"
          :aria-valuetext="answer.stroke"
        />
      </label>
      <label>
        <span>with</span>
        <PickOne v-model="supposed.fly" :options="flies" label="Another fly" />
      </label>
    </div>
    <VerdictCord v-if="answer" :measure="answer.turnover" :ghost="null" />
  </section>
</template>

<style scoped>
.what-if {
  padding: 8px 12px;
  border: 1px solid var(--hair);
  background: var(--surface);
}

.sliders {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px;
}

label span {
  display: block;
  color: var(--ink-2);
  font-size: var(--small);
}

input[type='range'] {
  width: 100%;
}

@media (max-width: 820px) {
  .sliders {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
