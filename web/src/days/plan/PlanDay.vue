<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import { useCatalogue, useKit } from '@/api/queries'
import { useDayAtHand } from '@/bench/useDayAtHand'
import { useGiving } from '@/shared/useGiving'
import { attempt } from '@/shell/attempt'
import { useRefusal } from '@/shell/useRefusal'
import { dayText, withDays } from '@/widgets/dayText'
import JobAnswer from '@/widgets/JobAnswer.vue'
import PlanEdit from './PlanEdit.vue'
import PlanResult from './PlanResult.vue'
import { useDayJob } from './useDayJob'
import { planBegun, planTyped, usePlanForm } from './usePlanForm'
import { usePlan, usePlanActs } from './usePlans'

/** One planned day: what is asked above, what it came to below. */
const props = defineProps<{ planId: string; places: Schemas['PlaceCard'][] }>()
const emit = defineEmits<{ kept: [planId: string]; gone: [] }>()
const { data: kit } = useKit()
const { data: catalogue } = useCatalogue()
const { data: plan } = usePlan(() => props.planId)
const { situation } = useDayAtHand()
const acts = usePlanActs()
const giving = useGiving()
const { refused, attempt: tryIt } = useRefusal()
const working = useDayJob('/api/v1/plans/work', () => props.planId)
const keeping = ref(false)
const { form, changed, addStop, settled } = usePlanForm(props.planId, props.places, () => {
  if (props.planId) return plan.value ? planTyped(plan.value.texts) : null
  return kit.value ? planBegun(kit.value, props.places, situation.value) : null
})
/** Once it is worked out the form folds away to a line. */
const unfolded = ref(false)
const worked = computed(() => (changed.value ? null : plan.value?.worked))

async function workOut() {
  if (!form.value || keeping.value || working.busy.value) return
  let planId = props.planId
  keeping.value = true
  const kept = await tryIt(async () => {
    planId = await acts.keep(props.planId, form.value!)
  })
  keeping.value = false
  if (!kept) return
  settled()
  unfolded.value = false
  // a new plan opens under its own id; the work on it goes on there
  emit('kept', planId)
  if (await working.work(planId)) await acts.anew()
}
const water = computed(
  () => props.places.find((place) => place.place_id === form.value?.place_id)?.title ?? '',
)
/** What the plan was asked, in a line: what was left to the usual is not said. */
const asked = computed(() => {
  const { on, level, wind, bearing, temper, fish, mass } = form.value!
  const name = catalogue.value?.fish.find((item) => item.key === fish)?.title ?? fish
  const where = level ? `${water.value} at ${level}` : water.value
  const which = mass ? `${temper} ${name} of ${mass}` : `${temper} ${name}`
  return `${dayText(on)}: ${where}, wind of ${wind} ${bearing}, ${which}.`
})
const forget = () =>
  attempt(async () => {
    await acts.forget(props.planId)
    settled()
    emit('gone')
  })
</script>

<template>
  <div v-if="form && kit" class="day">
    <p v-if="worked && !unfolded" class="row asked">
      <span class="grow">
        <b>{{ withDays(form.title) }}</b>, {{ asked }}
        <template v-if="form.notes"> {{ form.notes }}</template>
      </span>
      <button class="do" type="button" @click="giving.give('day', planId, form.title)">
        Share it
      </button>
      <button class="do" type="button" @click="unfolded = true">Change it</button>
    </p>
    <PlanEdit v-else :form="form" :kit="kit" :places="places" @add-stop="addStop">
      <button
        class="do do--main"
        type="button"
        :disabled="keeping || working.busy.value || !form.stops.length"
        @click="workOut"
      >
        Work it out
      </button>
      <button v-if="planId" class="link" type="button" @click="forget">forget this plan</button>
    </PlanEdit>
    <p v-if="!form.stops.length" class="quiet">
      Add the stretches in the order you will fish them. Each is worked out at the level you expect.
    </p>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <JobAnswer
      :share="working.share.value"
      words="Building schools and trying every leader on every stretch …"
      :stopped="working.stopped.value"
      :refused="working.refused.value"
      @stop="working.stop"
      @again="workOut"
    >
      <p v-if="plan && changed" class="poor">
        Changed since. Work it out again to update the plan.
      </p>
      <PlanResult
        v-if="worked && plan"
        :plan-id="plan.plan_id"
        :packed-at="plan.packed_at"
        :before="plan.before"
        :reading="worked"
      />
    </JobAnswer>
  </div>
</template>

<style scoped>
.day {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  align-content: start;
}
</style>
