<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import type { Evaluation } from '@/api/client'
import { useBench } from '../useBench'
import { useSelection } from '../useSelection'
import FlyMark from './FlyMark.vue'
import StripJoint from './StripJoint.vue'
import StripPiece from './StripPiece.vue'
import StripRuler from './StripRuler.vue'
import SighterBands from './SighterBands.vue'
import { sidePath, thickest } from './shapes'
import { useJointDrag } from './useJointDrag'
import { useStripKeys } from './useStripKeys'
import type { Axis } from './useAxis'

const props = defineProps<{ axis: Axis; ghost: Evaluation | null }>()
const emit = defineEmits<{ fields: [] }>()

const HEIGHT = 166
const AXIS_Y = 78
const THICKEST_PX = 34

const bench = useBench()
const selection = useSelection()
const svg = ref<SVGSVGElement>()
const drag = useJointDrag(() => props.axis)
const onKey = useStripKeys(() => emit('fields'))

const reading = computed(() => bench.evaluation)
const scale = computed(
  () => THICKEST_PX / thickest(reading.value?.outline ?? [], reading.value?.line_spans ?? []),
)
const factor = computed(() => Math.round(scale.value / props.axis.perM))

function key(event: KeyboardEvent) {
  if (event.key === 'Escape') drag.cancel()
  else onKey(event)
}

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
    <svg
      v-if="reading && bench.design"
      ref="svg"
      :width="axis.width"
      :height="HEIGHT"
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
          :d="sidePath(span, axis, AXIS_Y, scale)"
          class="tint--line"
        />
        <text :x="axis.x(0) - 10" :y="AXIS_Y + 36" text-anchor="end" class="end-word">line</text>
        <path
          v-for="(part, i) in ghost?.outline ?? []"
          :key="`ghost-${i}`"
          :d="sidePath(part, axis, AXIS_Y, scale)"
          class="ghost"
        />
      </g>
      <StripPiece
        v-for="piece in reading.pieces"
        :key="`piece-${piece.index}`"
        :piece="piece"
        :parts="reading.outline.filter((part) => part.piece === piece.index)"
        :axis="axis"
        :y="AXIS_Y"
        :scale="scale"
        :selected="selection.is('piece', piece.index)"
        @grab="selection.select('piece', piece.index)"
      />
      <FlyMark :x="axis.x(reading.length.si) + 10" :y="AXIS_Y" />
      <StripJoint
        v-for="joint in reading.joints"
        :key="`joint-${joint.index}`"
        :reading="joint"
        :joint="bench.design.leader.joints[joint.index]!"
        :x="axis.x(joint.at_m)"
        :y="AXIS_Y"
        :selected="selection.is('joint', joint.index)"
        :dragging="drag.dragging.value === joint.index"
        @grab="drag.begin($event, joint.index, joint.at_m)"
      />
      <StripRuler :ticks="reading.ruler" :axis="axis" :y="HEIGHT - 24" />
    </svg>
    <p class="strip__scale quiet">
      length to scale · thickness <span class="figure">×{{ factor }}</span>
    </p>
  </div>
</template>

<style scoped>
.strip {
  position: relative;
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

.end-word {
  fill: var(--ink-2);
  font-size: 13px;
}

.strip__scale {
  position: absolute;
  right: 14px;
  top: 4px;
}
</style>
