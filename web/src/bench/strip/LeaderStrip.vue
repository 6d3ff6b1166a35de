<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import type { Evaluation } from '@/api/client'
import { useBench } from '../useBench'
import { useSelection } from '../useSelection'
import ChainAbove from '../ChainAbove.vue'
import FlyMark from './FlyMark.vue'
import StripBranch from './StripBranch.vue'
import StripJoint from './StripJoint.vue'
import StripPiece from './StripPiece.vue'
import StripRuler from './StripRuler.vue'
import StripThing from './StripThing.vue'
import SighterBands from './SighterBands.vue'
import { sideOf, thickest } from '@/drawing/side'
import { useStripKeys } from './useStripKeys'
import { useStripDrag } from './useStripDrag'
import type { Axis } from './useAxis'
import { useZoom } from './useZoom'

const props = defineProps<{ axis: Axis; ghost: Evaluation | null }>()
const emit = defineEmits<{ fields: [] }>()

const PLAIN_HEIGHT = 166
const PLAIN_AXIS_Y = 78
const FOR_BRANCHES = 20
const THICKEST_PX = 34

const bench = useBench()
const zoom = useZoom()
const selection = useSelection()
const reel = ref(false)
const svg = ref<SVGSVGElement>()
const drag = useStripDrag(() => props.axis)
const onKey = useStripKeys(() => emit('fields'))

const reading = computed(() => bench.evaluation)
/** Droppers stand above the lengths: they need some more height. */
const more = computed(() => (reading.value?.branches.length ? FOR_BRANCHES : 0))
const height = computed(() => PLAIN_HEIGHT + more.value)
const axisY = computed(() => PLAIN_AXIS_Y + more.value)
const scale = computed(
  () => THICKEST_PX / thickest(reading.value?.outline ?? [], reading.value?.line_spans ?? []),
)
const factor = computed(() => Math.round(scale.value / props.axis.perM))

function key(event: KeyboardEvent) {
  if (event.key === 'Escape') drag.cancel()
  else onKey(event)
}

const water = computed(() => reading.value?.water_line_m ?? null)
const greased = computed(() => reading.value?.things.find((thing) => thing.kind === 'grease'))

/** Focus follows the selection while it is on the strip. */
watch(
  () => selection.selected,
  async () => {
    if (!svg.value?.contains(document.activeElement)) return
    await nextTick()
    svg.value.querySelector<SVGElement>('[aria-selected=true]')?.focus()
  },
)
defineExpose({ focus: () => svg.value?.querySelector<SVGElement>('[aria-selected=true]')?.focus() })
</script>

<template>
  <div class="strip">
    <p class="strip__scale quiet">
      <template v-if="axis.spread">short pieces drawn longer</template>
      <template v-else>length to scale</template> · thickness
      <span class="figure">×{{ factor }}</span>
      <button type="button" class="link closer" :aria-pressed="zoom.closer" @click="zoom.toggle">
        {{ zoom.closer ? 'Whole leader' : 'Zoom in' }}
      </button>
      <button type="button" class="link closer" :aria-expanded="reel" @click="reel = !reel">
        {{ reel ? 'Leader only' : 'From the reel' }}
      </button>
    </p>
    <svg
      v-if="reading && bench.design"
      ref="svg"
      :width="axis.width"
      :height="height"
      role="listbox"
      aria-orientation="horizontal"
      aria-label="The leader, from the line’s tip to the fly"
      @keydown="key"
      @pointermove="drag.move"
      @pointerup="drag.end"
      @pointercancel="drag.cancel"
    >
      <SighterBands />
      <g aria-hidden="true">
        <path
          v-for="(span, i) in reading.line_spans"
          :key="`line-${i}`"
          :d="sideOf(span, axis.x, axisY, scale)"
          class="tint--line"
        />
        <text :x="axis.x(0) - 10" :y="axisY + 36" text-anchor="end" class="end-word">line</text>
        <path
          v-for="(part, i) in ghost?.outline ?? []"
          :key="`ghost-${i}`"
          :d="sideOf(part, axis.x, axisY, scale)"
          class="ghost"
        />
      </g>
      <g v-if="greased" class="greased" aria-hidden="true">
        <line :x1="axis.x(0)" :x2="axis.x(greased.at_m)" :y1="axisY - 21" :y2="axisY - 21" />
      </g>
      <g v-if="water !== null" class="water" aria-hidden="true">
        <line :x1="axis.x(water)" :x2="axis.x(water)" :y1="8" :y2="height - 26" />
        <text
          :x="axis.x(water) + (water * 2 > reading.length.si ? -6 : 6)"
          :y="14"
          :text-anchor="water * 2 > reading.length.si ? 'end' : 'start'"
        >
          under water from here on
        </text>
      </g>
      <StripPiece
        v-for="piece in reading.pieces"
        :key="`piece-${piece.index}`"
        :piece="piece"
        :parts="reading.outline.filter((part) => part.piece === piece.index)"
        :axis="axis"
        :y="axisY"
        :scale="scale"
        :selected="selection.is('piece', piece.index)"
        @grab="selection.select('piece', piece.index)"
      />
      <FlyMark :x="axis.x(reading.length.si) + 10" :y="axisY" />
      <StripJoint
        v-for="joint in reading.joints"
        :key="`joint-${joint.index}`"
        :reading="joint"
        :joint="bench.design.leader.joints[joint.index]!"
        :x="axis.x(joint.at_m)"
        :y="axisY"
        :selected="selection.is('joint', joint.index)"
        :dragging="drag.dragged.value === joint.index"
        @grab="drag.joint($event, joint.index, joint.at_m)"
      />
      <StripBranch
        v-for="branch in reading.branches"
        :key="`branch-${branch.joint}`"
        :reading="branch"
        :axis="axis"
        :y="axisY"
        :selected="selection.is('branch', branch.joint)"
        @grab="selection.select('branch', branch.joint)"
      />
      <StripThing
        v-for="thing in reading.things"
        :key="`thing-${thing.index}`"
        :reading="thing"
        :x="axis.x(thing.at_m)"
        :y="axisY"
        :selected="selection.is('thing', thing.index)"
        @grab="drag.thing($event, thing.index, thing.at_m, thing.above.si)"
      />
      <StripRuler :ticks="reading.ruler" :axis="axis" :y="height - 24" />
    </svg>
    <ChainAbove v-if="reel" />
  </div>
</template>

<style scoped>
.strip {
  position: relative;
}

.closer {
  margin-left: 8px;
}

svg {
  display: block;
  touch-action: pan-y;
  user-select: none;
}

.ghost {
  fill: none;
  stroke: var(--ghost);
  stroke-width: 1.5;
  stroke-dasharray: 5 4;
}

.water line {
  stroke: var(--little);
  stroke-width: 1.5;
  stroke-dasharray: 2 4;
}

.water text {
  fill: var(--little);
  font-size: 12px;
}

.greased line {
  stroke: var(--act);
  stroke-width: 2;
  stroke-dasharray: 8 3;
}

.end-word {
  fill: var(--ink-2);
  font-size: 13px;
}

.strip__scale {
  position: absolute;
  left: 0;
  top: 0;
}

@media (max-width: 820px) {
  .closer {
    min-height: 48px;
  }

  .strip__scale {
    position: static;
  }
}
</style>
