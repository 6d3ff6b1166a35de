<script setup lang="ts">
import { job } from '@/api/job'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import JobAnswer from '@/widgets/JobAnswer.vue'
import FactList from '../FactList.vue'
import { useBench } from '../useBench'
import { useWater } from '../water/useWater'

/** How surely the rig reaches the zone, in water a little other than was guessed. */
const bench = useBench()
const water = useWater()
const settings = useSettings()
const who = `reach-${crypto.randomUUID().slice(0, 8)}`
const { answer, share, refused, stopped, stop, again } = useAnswer(
  () =>
    bench.design ? { design: bench.design, fished: water.fished, units: settings.units } : null,
  (body, waiting) => job('/api/v1/water/reach', { bench: who, ...body }, waiting),
  { quiet: 300, keep: true },
)
</script>

<template>
  <section class="reach" aria-label="How surely it reaches the zone">
    <JobAnswer
      :share="share"
      words="Fishing it in water a little other …"
      :stopped="stopped"
      :refused="refused"
      @stop="stop"
      @again="again"
    >
      <template v-if="answer">
        <FactList :facts="[answer.fact]" />
        <p v-if="answer.settle" class="reach__settle">{{ answer.settle }}</p>
        <p v-if="answer.supposed" class="quiet">{{ answer.supposed }}</p>
      </template>
    </JobAnswer>
  </section>
</template>

<style scoped>
.reach {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
}

.reach__settle {
  font-size: 17px;
}
</style>
