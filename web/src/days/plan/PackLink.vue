<script setup lang="ts">
import { computed } from 'vue'
import { momentText } from '@/widgets/dayText'
import JobAnswer from '@/widgets/JobAnswer.vue'
import GuestPhone from './GuestPhone.vue'
import { useDayJob } from './useDayJob'
import { usePlanActs } from './usePlans'

/** The way to the water: packed for the phone, printed, in the calendar. */
const props = defineProps<{ planId: string; packedAt: string }>()
const packing = useDayJob('/api/v1/plans/pack', () => props.planId)
const acts = usePlanActs()
const packed = computed(() => (props.packedAt ? momentText(props.packedAt) : ''))

async function pack() {
  if (await packing.work(props.planId)) await acts.anew()
}
</script>

<template>
  <div class="link-row">
    <div class="row">
      <button class="do do--main" type="button" :disabled="packing.busy.value" @click="pack">
        {{ packed ? 'Pack it again' : 'Pack it for the water' }}
      </button>
      <!-- a build of its own, outside this router -->
      <a v-if="packed" class="do" :href="`/water/${planId}`">At the water</a>
      <a v-if="packed" class="do" :href="`/api/v1/plans/${planId}/pack.html`" download
        >As one file, for a phone without a network</a
      >
      <a v-if="packed" class="do" :href="`/api/v1/plans/${planId}/card.pdf`" download
        >A card to print</a
      >
      <a class="do" :href="`/api/v1/plans/${planId}/calendar.ics`" download>For the calendar</a>
      <GuestPhone v-if="packed" :plan-id="planId" />
      <span v-if="packed" class="quiet">packed {{ packed }}</span>
      <span v-else class="quiet">
        computed beforehand for deeper and faster water, wind and the other flies, so it needs no
        signal
      </span>
    </div>
    <JobAnswer
      :share="packing.share.value"
      words="Fishing every stretch deeper, faster and in more wind …"
      :stopped="packing.stopped.value"
      :refused="packing.refused.value"
      @stop="packing.stop"
      @again="pack"
    />
  </div>
</template>

<style scoped>
@media print {
  .link-row {
    display: none;
  }
}
</style>
