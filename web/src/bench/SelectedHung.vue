<script setup lang="ts">
import { computed } from 'vue'
import { useKit, useStock } from '@/api/queries'
import TypedField from '@/widgets/TypedField.vue'
import StepButtons from './StepButtons.vue'
import { useBench } from './useBench'
import { useRigActs } from './useRigActs'

/** A thing on the line or a fly above the point, in one line of fields. */
const bench = useBench()
const acts = useRigActs()
const { data: kit } = useKit()
const { data: stock } = useStock()
const thing = computed(() => acts.thing.value)
const branch = computed(() => acts.branch.value)
const spools = computed(() => stock.value?.filter((row) => row.form === 'spool') ?? [])
const NAMES = { shot: 'Shot', indicator: 'Indicator', mark: 'Sighter mark', grease: 'Grease' }

const setThing = (part: 'above' | 'size') => (text: string) =>
  bench.tryEdit({ act: 'set-thing', thing: thing.value!.index, [part]: text })
const setMetal = (event: Event) =>
  bench.edit({
    act: 'set-thing',
    thing: thing.value!.index,
    metal: (event.target as HTMLSelectElement).value as 'lead' | 'tin',
  })
const setTag = (length: string) =>
  bench.tryEdit({ act: 'set-dropper', joint: branch.value!.joint, length })

function pickFly(event: Event) {
  const title = (event.target as HTMLSelectElement).value
  const fly = kit.value?.flies.find((one) => one.title === title)
  const on = branch.value
  if (!fly || !on) return
  if (on.form === 'dropper') bench.edit({ act: 'set-dropper', joint: on.joint, fly })
  else
    bench.edit({
      act: 'set-fly-in-line',
      joint: on.joint,
      fly,
      tied_from: on.tied_from === 'eye' ? 'eye' : 'bend',
    })
}

function pickSpool(event: Event) {
  const spool_id = (event.target as HTMLSelectElement).value
  bench.edit({ act: 'set-dropper', joint: branch.value!.joint, spool_id })
}

function pickTag(event: Event) {
  const tag = (event.target as HTMLSelectElement).value as 'upper' | 'lower'
  bench.edit({ act: 'set-dropper', joint: branch.value!.joint, tag })
}

function pickFrom(event: Event) {
  const fly = bench.design?.leader.joints[branch.value!.joint]?.fly
  if (!fly) return
  const tied_from = (event.target as HTMLSelectElement).value as 'bend' | 'eye'
  bench.edit({ act: 'set-fly-in-line', joint: branch.value!.joint, fly, tied_from })
}
</script>

<template>
  <template v-if="thing">
    <h2>{{ NAMES[thing.kind] }}</h2>
    <TypedField
      :key="`above-${thing.index}`"
      class="field"
      label="Above the point fly"
      :model-value="thing.above.text"
      :take="setThing('above')"
    />
    <template v-if="thing.size">
      <TypedField
        :key="`size-${thing.index}`"
        class="field"
        :label="thing.kind === 'shot' ? 'Size or grams' : 'Across'"
        :model-value="thing.size"
        :take="setThing('size')"
      />
      <div class="row steps">
        <StepButtons smaller="Smaller" bigger="Bigger" @step="acts.stepSize" />
      </div>
    </template>
    <label v-if="thing.kind === 'shot'" class="pick-field">
      Metal
      <select class="pick" :value="thing.metal" aria-label="Metal" @change="setMetal">
        <option value="lead">lead</option>
        <option value="tin">tin</option>
      </select>
    </label>
    <button class="do" type="button" @click="acts.takeOff">Take off</button>
    <p class="quiet note">{{ thing.title }}. Slide it with Shift and the arrows.</p>
  </template>
  <template v-else-if="branch">
    <h2>
      {{ branch.form === 'dropper' ? 'Dropper' : 'Fly in line' }}
      <span class="quiet">joint {{ branch.joint }}</span>
    </h2>
    <label class="pick-field">
      Fly
      <select class="pick" :value="branch.fly" aria-label="Fly" @change="pickFly">
        <option v-if="!kit?.flies.some((fly) => fly.title === branch!.fly)" disabled>
          {{ branch.fly }}
        </option>
        <option v-for="fly in kit?.flies" :key="fly.title">{{ fly.title }}</option>
      </select>
    </label>
    <template v-if="branch.form === 'dropper'">
      <TypedField
        :key="`tag-${branch.joint}`"
        class="field"
        label="Length"
        :model-value="branch.length.text"
        :take="setTag"
      />
      <label class="pick-field">
        Tag
        <select class="pick" :value="branch.tag" aria-label="Tag" @change="pickTag">
          <option value="upper">upper, of the piece above</option>
          <option value="lower">lower, of the piece below</option>
        </select>
      </label>
      <label class="pick-field">
        Spool
        <select class="pick" :value="branch.spool_id" aria-label="Spool" @change="pickSpool">
          <option v-if="!branch.spool_id" value="" disabled>{{ branch.diameter }}</option>
          <option v-for="row in spools" :key="row.spool_id" :value="row.spool_id">
            {{ row.title }}
          </option>
        </select>
      </label>
      <button
        class="do"
        type="button"
        @click="bench.edit({ act: 'change-fly', joint: branch!.joint })"
      >
        Fly changed
      </button>
    </template>
    <label v-else class="pick-field">
      The next is tied from its
      <select
        class="pick"
        :value="branch.tied_from"
        aria-label="The next is tied from its"
        @change="pickFrom"
      >
        <option value="bend">bend</option>
        <option value="eye">eye</option>
      </select>
    </label>
    <button class="do" type="button" @click="acts.takeOff">Take off</button>
    <p class="quiet note">{{ branch.title }}.</p>
  </template>
</template>

<style scoped>
h2 {
  align-self: center;
  min-width: 64px;
  font-size: 16px;
}

h2 .quiet {
  display: block;
  font-weight: 400;
}

.field {
  width: 132px;
}

.pick-field {
  display: grid;
  gap: 3px;
  color: var(--ink-2);
  font-size: var(--small);
}

.pick-field .pick {
  width: auto;
  max-width: 200px;
}

.steps {
  gap: 4px;
}

.note {
  flex-basis: 100%;
}
</style>
