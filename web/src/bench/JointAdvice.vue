<script setup lang="ts">
import { useIsMutating } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api, type Connection, type JointReading } from '@/api/client'
import { OWN_TIES, useOwnTies } from '@/api/queries'
import { useSettings } from '@/settings/useSettings'
import { attempt } from '@/shell/attempt'
import { tieKey } from './pieces/ties'
import { useBench } from './useBench'

/** What to tie at a joint and why, the other school's choice, and what is poor as it is tied. */
const props = defineProps<{ joint: JointReading }>()
const bench = useBench()
const settings = useSettings()
const advice = computed(() => props.joint.advice)
const tied = computed(() => bench.design?.leader.joints[props.joint.index])
const isTied = (joint: Connection) => tied.value && tieKey(joint) === tieKey(tied.value)
const choices = computed(() => [
  { lead: isTied(advice.value.best.joint) ? 'Best choice' : 'Best', ...advice.value.best },
  { lead: 'Other school', ...advice.value.other },
])

const { data: own } = useOwnTies()
const beingKept = useIsMutating({ mutationKey: OWN_TIES })
const hasOwn = computed(() => Object.values(own.value ?? {}).some((knot) => knot !== null))

const mineEverywhere = () =>
  attempt(async () => {
    if (!bench.design) return
    const body = { design: bench.design, units: settings.units }
    const leader = await answered(api.POST('/api/v1/bench/my-knots', { body }))
    bench.put({ leader })
  })

function tie(joint: Connection) {
  const made: Connection = { ...joint, dropper: tied.value?.dropper ?? null }
  bench.edit({ act: 'set-joint', joint: props.joint.index, tied: made })
}

/** What the faults don’t say already: the best choice, and the other school’s. */
const unsaid = computed(() =>
  choices.value.filter(
    (choice) =>
      !advice.value.faults.some(
        ({ instead }) => instead && tieKey(instead) === tieKey(choice.joint),
      ),
  ),
)
</script>

<template>
  <div class="advice">
    <p>
      {{ joint.title }}, holds <span class="figure">{{ joint.holds.text }}</span><template
        v-if="joint.bend_step"
        >, {{ joint.bend_step }}</template
      >
    </p>
    <p v-for="fault in advice.faults" :key="fault.what" class="poor" role="note">
      <strong>{{ fault.what }}</strong> {{ fault.hint }}
      <button v-if="fault.instead" type="button" class="link" @click="tie(fault.instead)">
        Fix it
      </button>
    </p>
    <p v-for="choice in unsaid" :key="choice.lead" class="quiet">
      {{ choice.lead }}: <b>{{ choice.title }}</b> ({{ choice.holds }}), {{ choice.reason }}
      <button
        v-if="!isTied(choice.joint)"
        type="button"
        class="link"
        :aria-label="`Tie it as ${choice.title}`"
        @click="tie(choice.joint)"
      >
        Tie it this way
      </button>
    </p>
    <p v-if="hasOwn" class="quiet">
      <button type="button" class="link" :disabled="beingKept > 0" @click="mineEverywhere">
        Use my own knots throughout, where they hold
      </button>
    </p>
  </div>
</template>

<style scoped>
.advice {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  line-height: 1.35;
  gap: 2px;
  font-size: var(--small);
}
</style>
