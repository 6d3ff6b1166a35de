<script setup lang="ts">
import { job } from '@/api/job'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import JobProgress from '@/widgets/JobProgress.vue'
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
  (body, waiting) => job('/api/water/reach', { bench: who, ...body }, waiting),
  { quiet: 300, keep: true },
)
</script>

<template>
  <section class="reach" aria-label="How surely it reaches the zone">
    <JobProgress
      v-if="share !== null"
      :share="share"
      words="Fishing it in water a little other …"
      @stop="stop"
    />
    <p v-else-if="stopped" class="quiet" role="status">
      Stopped. <button class="do" type="button" @click="again">Work it out after all</button>
    </p>
    <p v-if="refused" class="refusal" role="status">{{ refused }}</p>
    <template v-else-if="answer">
      <FactList :facts="[answer.fact]" />
      <p v-if="answer.settle" class="reach__settle">{{ answer.settle }}</p>
      <p v-if="answer.supposed" class="quiet">{{ answer.supposed }}</p>
    </template>
  </section>
</template>

<style scoped>
.reach {
  display: grid;
  gap: 6px;
}

.reach__settle {
  font-size: 17px;
}
</style>
