<script setup lang="ts">
import { computed, ref } from 'vue'
import { useCatalogue, useStock } from '@/api/queries'
import DoOrWhyNot from '@/widgets/DoOrWhyNot.vue'
import TypedField from '@/widgets/TypedField.vue'
import JointAdvice from './JointAdvice.vue'
import BelowRing from './BelowRing.vue'
import JointSelect from './pieces/JointSelect.vue'
import StockSelect from './pieces/StockSelect.vue'
import { useBench } from './useBench'
import { usePieceActs } from './usePieceActs'
import RigMenu from './RigMenu.vue'
import StepButtons from './StepButtons.vue'
import SelectedHung from './SelectedHung.vue'
import { useSelection } from './useSelection'

/** Selection on the strip, in one line: its figures as fields, its acts as buttons. */
const bench = useBench()
const selection = useSelection()
const acts = usePieceActs()
const { data: stock } = useStock()
const { data: catalogue } = useCatalogue()
const told = ref(false)
const bar = ref<HTMLElement>()

const piece = computed(() =>
  selection.selected.kind === 'piece' ? bench.evaluation?.pieces[selection.selected.index] : null,
)
const joint = computed(() =>
  selection.selected.kind === 'joint' ? bench.evaluation?.joints[selection.selected.index] : null,
)
const stuff = computed(() => {
  const made = bench.design?.leader.pieces[piece.value?.index ?? -1]?.strand.material
  return catalogue.value?.materials.find((material) => material.key === made)
})
/** Whether a ring or swivel is selected, below which all is a lower rig. */
const parts = computed(() => {
  const kind = bench.design?.leader.joints[joint.value?.index ?? -1]?.kind
  return kind === 'ring' || kind === 'swivel'
})
const last = computed(() => (bench.evaluation?.pieces.length ?? 1) - 1)
const place = computed(() => {
  const index = joint.value?.index ?? 0
  if (index === 0) return 'Joint to the line'
  return index > last.value ? 'The fly’s knot' : `Joint ${index}`
})

const setLength = (length: string) =>
  bench.tryEdit({ act: 'set-length', piece: selection.selected.index, length })
const cut = (end: 'butt' | 'tip') => (length: string) =>
  length
    ? bench.tryEdit({ act: 'cut-back', piece: selection.selected.index, end, length })
    : Promise.resolve()

defineExpose({ focus: () => bar.value?.querySelector<HTMLElement>('input, select')?.focus() })
</script>

<template>
  <section ref="bar" class="bar" aria-label="Selection">
    <template v-if="piece">
      <h2>
        Piece {{ piece.index + 1 }} <span class="quiet">{{ piece.role }}</span>
      </h2>
      <TypedField
        :key="`length-${piece.index}`"
        class="bar__length"
        label="Length"
        :model-value="piece.length.text"
        :take="setLength"
      />
      <div class="bar__spool">
        <span class="bar__label">
          <span aria-hidden="true">Spool</span>
          <button
            v-if="stuff"
            class="link bar__why"
            type="button"
            :aria-expanded="told"
            @click="told = !told"
          >
            {{ told ? 'enough' : `what ${stuff.title} is like` }}
          </button>
        </span>
        <div class="bar__steps">
          <StockSelect :stock="stock ?? []" :piece="piece" label="Spool" />
          <StepButtons smaller="Thinner spool" bigger="Thicker spool" @step="acts.stepStock" />
        </div>
      </div>
      <template v-if="piece.form === 'tapered'">
        <TypedField
          :key="`butt-${piece.index}`"
          class="bar__cut"
          label="Cut from the butt"
          model-value=""
          hint="4 in"
          :take="cut('butt')"
        />
        <TypedField
          :key="`tip-${piece.index}`"
          class="bar__cut"
          label="Cut from the tip"
          model-value=""
          hint="4 in"
          :take="cut('tip')"
        />
      </template>
      <div class="row bar__acts">
        <button class="do" type="button" @click="acts.split">Split</button>
        <DoOrWhyNot
          :why-not="piece.index < last ? '' : 'There is no piece below to merge with.'"
          label="Merge with next"
          @act="acts.merge"
        >
          Merge
        </DoOrWhyNot>
        <button class="do" type="button" @click="acts.insert">Add below</button>
        <DoOrWhyNot
          :why-not="last ? '' : 'The last piece stays: change its spool or length instead.'"
          @act="acts.remove"
        >
          Take out
        </DoOrWhyNot>
        <RigMenu />
      </div>
      <p v-if="told && stuff" class="quiet bar__stuff">
        <span class="bar__name">{{ stuff.title }}:</span> {{ stuff.reasons.join(' ') }}
      </p>
    </template>
    <template v-else-if="joint">
      <h2>{{ place }}</h2>
      <div class="bar__knot">
        <label class="unseen" for="bar-knot">Tied as</label>
        <JointSelect id="bar-knot" :key="joint.index" :joint="joint.index" />
        <div class="row">
          <button class="do" type="button" @click="acts.insert">Add a piece here</button>
          <RigMenu />
        </div>
      </div>
      <JointAdvice class="bar__advice" :joint="joint" />
      <BelowRing v-if="parts" :key="joint.index" class="bar__below" :joint="joint.index" />
    </template>
    <SelectedHung v-else />
    <p v-if="bench.refusal" class="refusal bar__refusal" role="alert">{{ bench.refusal }}</p>
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 8px 12px;
  min-height: 58px;
}

h2 {
  align-self: center;
  min-width: 64px;
  font-size: 16px;
}

h2 .quiet {
  display: block;
  font-weight: 400;
}

.bar__label {
  display: block;
  margin-bottom: 3px;
  color: var(--ink-2);
  font-size: var(--small);
}

.bar__length {
  width: 118px;
}

.bar__cut {
  width: 104px;
}

.bar__steps {
  display: flex;
  gap: 4px;
}

.bar__spool .pick,
.bar__steps > :first-child {
  width: 150px;
}

.bar__knot {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-self: center;
  gap: 4px;
  width: 236px;
}

.bar__advice {
  flex: 1 1 360px;
  align-self: center;
}

.bar__below {
  flex-basis: 100%;
}

.bar__acts {
  gap: 5px;
  flex-wrap: nowrap;
}

.bar__why {
  margin-left: 10px;
}

.bar__stuff {
  flex-basis: 100%;
  margin: 0;
}

.bar__name::first-letter {
  text-transform: uppercase;
}

.bar__refusal {
  flex-basis: 100%;
}

@media (max-width: 820px) {
  .bar__spool {
    flex-basis: 100%;
  }

  .bar__why {
    min-height: 48px;
  }

  .bar__acts {
    flex-wrap: wrap;
  }
}
</style>
