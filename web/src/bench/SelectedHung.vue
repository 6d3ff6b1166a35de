<script setup lang="ts">
import { computed } from 'vue'
import { useKit, useStock } from '@/api/queries'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
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
const spools = computed(() =>
  (stock.value ?? [])
    .filter((row) => row.form === 'spool')
    .map((row) => option(row.spool_id, row.title)),
)
const flies = computed(() => kit.value?.flies.map(({ title }) => option(title, title)) ?? [])
const from = computed(() => (branch.value?.tied_from === 'eye' ? 'eye' : 'bend'))
const tag = computed(() => (branch.value?.tag === 'upper' ? 'upper' : 'lower'))
const metal = computed(() => (thing.value?.metal === 'tin' ? 'tin' : 'lead'))
const METALS = [option('lead', 'lead'), option('tin', 'tin')]
const TAGS = [
  option('upper', 'upper, of the piece above'),
  option('lower', 'lower, of the piece below'),
]
const ENDS = [option('bend', 'bend'), option('eye', 'eye')]
const NAMES = { shot: 'Shot', indicator: 'Indicator', mark: 'Sighter mark', grease: 'Grease' }

const setThing = (part: 'above' | 'size') => (text: string) =>
  bench.tryEdit({ act: 'set-thing', thing: thing.value!.index, [part]: text })
const setMetal = (metal: 'lead' | 'tin') =>
  bench.edit({ act: 'set-thing', thing: thing.value!.index, metal })
const setTag = (length: string) =>
  bench.tryEdit({ act: 'set-dropper', joint: branch.value!.joint, length })

function pickFly(title: string) {
  const fly = kit.value?.flies.find((fly) => fly.title === title)
  const on = branch.value
  if (!fly || !on) return
  const { joint } = on
  if (on.form === 'dropper') bench.edit({ act: 'set-dropper', joint, fly })
  else bench.edit({ act: 'set-fly-in-line', joint, fly, tied_from: from.value })
}

const pickSpool = (spool_id: string) =>
  bench.edit({ act: 'set-dropper', joint: branch.value!.joint, spool_id })
const pickTag = (tag: 'upper' | 'lower') =>
  bench.edit({ act: 'set-dropper', joint: branch.value!.joint, tag })

function pickFrom(tied_from: 'bend' | 'eye') {
  const fly = bench.design?.leader.joints[branch.value!.joint]?.fly
  if (fly) bench.edit({ act: 'set-fly-in-line', joint: branch.value!.joint, fly, tied_from })
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
      <PickOne
        label="Metal"
        :options="METALS"
        :model-value="metal"
        @update:model-value="setMetal"
      />
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
      <PickOne
        label="Fly"
        :options="flies"
        :model-value="branch.fly"
        @update:model-value="pickFly"
      />
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
        <PickOne label="Tag" :options="TAGS" :model-value="tag" @update:model-value="pickTag" />
      </label>
      <label class="pick-field">
        Spool
        <PickOne
          label="Spool"
          :options="spools"
          :otherwise="branch.diameter"
          :model-value="branch.spool_id"
          @update:model-value="pickSpool"
        />
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
      <PickOne
        label="The next is tied from its"
        :options="ENDS"
        :model-value="from"
        @update:model-value="pickFrom"
      />
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
  grid-template-columns: minmax(0, 1fr);
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
