<script setup lang="ts">
import { computed } from 'vue'
import type { Edit } from '@/api/client'
import { useCatalogue } from '@/api/queries'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
import type { Axis } from '../strip/useAxis'
import { useBench } from '../useBench'
import { useSelection } from '../useSelection'
import ChainAbove from '../ChainAbove.vue'
import FactList from '../FactList.vue'
import HoldPicture from './HoldPicture.vue'
import { useHold } from './useHold'
import { usePull } from './usePull'

const SOAKED = [option(true, 'soaked, as fished'), option(false, 'dry, on the table')]

type Wear = Extract<Edit, { act: 'set-wear' }>['wear']

defineProps<{ axis: Axis }>()
const bench = useBench()
const selection = useSelection()
const { data: catalogue } = useCatalogue()
const { reading, soaked, record } = useHold()
const pull = usePull(() => reading.value ?? undefined)
const facts = computed(() => [
  ...(reading.value?.facts ?? []),
  ...(reading.value?.record ?? []).map(({ passes, text }) => ({
    title: 'Record rule',
    text: `${passes ? 'Passes: ' : 'Fails: '}${text} The rules in force decide.`,
    status: passes ? ('right' as const) : ('too much' as const),
  })),
])
const wears = computed(() =>
  (catalogue.value?.wears ?? []).map((wear) =>
    option(wear, wear === 'wind knot' ? 'wind-knotted' : wear),
  ),
)
const pieces = computed(() => bench.evaluation?.pieces ?? [])
/** Wear is told of the piece that is selected, or else of the tippet. */
const worn = computed(() => {
  const { kind, index } = selection.selected
  return (kind === 'piece' ? pieces.value[index] : undefined) ?? pieces.value.at(-1)
})

function wear(said: Wear) {
  if (worn.value) bench.edit({ act: 'set-wear', piece: worn.value.index, wear: said })
}
</script>

<template>
  <section v-if="reading" class="hold" aria-label="The leader under a pull">
    <div class="row hold__row">
      <button class="do" type="button" :disabled="pull.pulling.value" @click="pull.pull">
        Pull until it breaks
      </button>
      <input
        class="grow"
        type="range"
        min="0"
        :max="pull.last.value"
        step="1"
        :value="Math.round(pull.at.value)"
        aria-label="Pull"
        :aria-valuetext="pull.point.value?.text ?? 'no pull yet'"
        @input="pull.drag(Number(($event.target as HTMLInputElement).value))"
      />
      <label class="quiet">
        Nylon
        <PickOne v-model="soaked" :options="SOAKED" />
      </label>
      <label v-if="worn" class="quiet">
        Piece {{ worn.index + 1 }} is
        <PickOne :options="wears" :model-value="worn.wear" @update:model-value="wear" />
      </label>
      <label class="quiet hold__rule">
        <input v-model="record" type="checkbox" />
        Record rule
      </label>
    </div>
    <HoldPicture
      :reading="reading"
      :axis="axis"
      :load-n="pull.load_n.value"
      :load-text="(pull.broken.value ?? pull.point.value)?.load.text ?? ''"
      :broken-at-m="pull.broken.value?.at_m ?? null"
      @drag="(load) => pull.drag(pull.placeOf(load))"
    />
    <p class="hold__said" role="status">
      <strong v-if="pull.broken.value">{{ pull.broken.value.words }}</strong>
      <template v-else>{{ pull.point.value?.text }}</template>
    </p>
    <FactList :facts="facts" />
    <h3 class="hold__above">From the reel to the leader</h3>
    <ChainAbove />
  </section>
  <p v-else class="quiet" role="status">Computing the pull …</p>
</template>

<style scoped>
.hold {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
  align-content: start;
}

.hold__row {
  flex-wrap: wrap;
  row-gap: 4px;
}

input[type='range'] {
  min-width: 120px;
}

label {
  display: flex;
  align-items: center;
  gap: 6px;
  white-space: nowrap;
}

.pick {
  width: auto;
}

.hold__rule {
  cursor: pointer;
}

.hold__above {
  margin-top: 10px;
  font-size: 15px;
}

.hold__said {
  min-height: 24px;
}
</style>
