<script setup lang="ts">
import { computed, onMounted, onUnmounted } from 'vue'
import { usePlayer } from '../air/usePlayer'
import { useBench } from '../useBench'
import FactList from '../FactList.vue'
import DepthTable from './DepthTable.vue'
import DryPicture from './DryPicture.vue'
import HowFished from './HowFished.vue'
import SectionPicture from './SectionPicture.vue'
import { useWater } from './useWater'

const props = defineProps<{ width: number }>()
const bench = useBench()
const water = useWater()
const reading = computed(() => water.reading)
const player = usePlayer(
  () => reading.value?.movie?.frames.length ?? reading.value?.lane?.left.length ?? 0,
  () => {
    const { movie, lane } = reading.value ?? {}
    if (movie) return movie.every_s
    return (lane?.left[1]?.[0] ?? 1) - (lane?.left[0]?.[0] ?? 0)
  },
)
const indicator = computed(
  () => bench.evaluation?.things.find((thing) => thing.kind === 'indicator')?.index ?? null,
)
const time = computed(() => {
  const movie = reading.value?.movie
  return movie ? `${(player.frame.value * movie.every_s).toFixed(1)} s` : ''
})
const facts = computed(() => [...(reading.value?.facts ?? []), ...(reading.value?.rules ?? [])])

onMounted(() => (water.seen = true))
onUnmounted(() => (water.seen = false))
</script>

<template>
  <section class="water-stage" aria-label="The rig in the water">
    <p v-if="water.refused" class="refusal" role="alert">{{ water.refused }}</p>
    <p v-else-if="!reading" class="quiet" role="status">Computing the drift …</p>
    <template v-else>
      <div class="row controls">
        <strong class="words">{{ reading.words }}</strong>
        <button class="do" type="button" :disabled="player.last.value === 0" @click="player.toggle">
          {{ player.playing.value ? 'Pause' : 'Play' }}
        </button>
        <input
          class="grow"
          type="range"
          min="0"
          :max="player.last.value"
          :value="player.frame.value"
          :disabled="player.last.value === 0"
          aria-label="Moment of the drift"
          :aria-valuetext="time"
          @input="player.show(Number(($event.target as HTMLInputElement).value))"
        />
        <span class="figure quiet time">{{ time }}</span>
        <HowFished />
      </div>
      <div
        class="picture"
        tabindex="0"
        role="img"
        :aria-label="`${reading.drift.figure}, ${reading.depth_cord.figure}. Space plays, arrows step.`"
        @keydown="player.key"
      >
        <SectionPicture
          v-if="reading.movie"
          :reading="reading"
          :ghost="water.ghost?.movie ? water.ghost : null"
          :frame="player.frame.value"
          :width="props.width"
          :indicator="indicator"
        />
        <DryPicture
          v-else-if="reading.lane"
          :lane="reading.lane"
          :frame="player.frame.value"
          :width="props.width"
        />
      </div>
      <ul v-if="reading.flies.length" class="flies">
        <li v-for="fly in reading.flies" :key="fly.node">
          <strong>{{ fly.title }}</strong>
          fishes at <span class="figure">{{ fly.depth.text }}</span>, {{ fly.share }},
          {{ fly.height }}<template v-if="fly.zone">; {{ fly.zone }}</template
          ><template v-if="fly.carried">; {{ fly.carried }}</template
          >.
        </li>
      </ul>
      <FactList :facts="facts" />
      <DepthTable v-if="reading.followed" />
      <p v-if="reading.lane" class="quiet limits">
        Seen from above, not to scale. The speed difference between currents is the least certain:
        watch two leaves, and enter what you see.
      </p>
      <p v-else class="quiet limits">
        Seen from the side, in one plane along the stream. Depth is accurate to a hand’s breadth,
        time to half a second. The fly’s drag in water is the least certain: a jar test of your own
        fly settles it. Dashed green: the steady drift, where there is one clear of the bed.
      </p>
    </template>
  </section>
</template>

<style scoped>
.water-stage {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  align-content: start;
}

.controls {
  flex-wrap: wrap;
  row-gap: 4px;
}

.words {
  align-self: center;
  font-size: 14px;
}

.time {
  align-self: center;
}

.time {
  min-width: 44px;
}

input[type='range'] {
  min-width: 120px;
}

.flies {
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 14px;
}

.limits {
  font-size: 12.5px;
}
</style>
