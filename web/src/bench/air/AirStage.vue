<script setup lang="ts">
import { computed } from 'vue'
import { useBench } from '../useBench'
import AirControls from './AirControls.vue'
import CastPicture from './CastPicture.vue'
import { unpack } from './movie'
import OwnCast from './OwnCast.vue'
import StrokeRow from './StrokeRow.vue'
import { useCast } from './useCast'
import { usePlayer } from './usePlayer'

const props = defineProps<{ width: number }>()
const bench = useBench()
const cast = useCast()
const reel = computed(() => (cast.reading?.movie ? unpack(cast.reading.movie) : null))
const ghost = computed(() => (cast.ghost?.movie ? unpack(cast.ghost.movie) : null))
const materials = computed(() => bench.evaluation?.pieces.map((piece) => piece.material) ?? [])
const player = usePlayer(
  () => reel.value?.count ?? 0,
  () => reel.value?.gap_s ?? 1,
)
</script>

<template>
  <section class="air" aria-label="The cast from the side">
    <AirControls :player="player" :playable="reel !== null" />
    <StrokeRow />
    <p v-if="cast.refused" class="refusal" role="alert">{{ cast.refused }}</p>
    <p v-else-if="!cast.reading" class="quiet" role="status">Computing the cast …</p>
    <p v-else-if="!reel" class="quiet">
      The fly pulls the mono out, not a line, so there is no loop to draw. The verdict shows the
      result.
    </p>
    <div
      v-else
      class="air__picture"
      tabindex="0"
      role="img"
      :aria-label="`${[cast.reading.figure, cast.reading.landing].filter(Boolean).join(', ')}. Space plays, arrows step.`"
      @keydown="player.key"
    >
      <CastPicture
        :reel="reel"
        :ghost="ghost"
        :frame="player.frame.value"
        :materials="materials"
        :reading="cast.reading"
        :width="props.width"
        :timelapse="player.still.value || player.frame.value === player.last.value"
      />
    </div>
    <p v-if="cast.reading?.eased" class="quiet" role="status">{{ cast.reading.eased }}</p>
    <p v-if="cast.reading?.lift" class="quiet">Before the next cast: {{ cast.reading.lift }}</p>
    <OwnCast v-if="reel" />
    <p class="quiet air__limits">
      A straight overhead cast in one plane, without shooting line or coil memory. The margin
      depends most on the fly's air resistance and on your own line speed.
    </p>
  </section>
</template>

<style scoped>
.air {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  align-content: start;
}

.air__limits {
  font-size: 12.5px;
}
</style>
