<script setup lang="ts">
import { useElementSize, useEventListener, useStorage } from '@vueuse/core'
import { computed, defineAsyncComponent, ref } from 'vue'
import { isTyping } from '@/widgets/isTyping'
import { useCast } from './air/useCast'
import BenchBar from './BenchBar.vue'
import DamagedDraft from './DamagedDraft.vue'
import DiffersNote from './DiffersNote.vue'
import EmptyBench from './EmptyBench.vue'
import LanesStage from './lanes/LanesStage.vue'
import LeaderNotes from './LeaderNotes.vue'
import PiecesGrid from './pieces/PiecesGrid.vue'
import SelectedThing from './SelectedThing.vue'
import SituationSentence from './sentence/SituationSentence.vue'
import LeaderStrip from './strip/LeaderStrip.vue'
import PieceChips from './strip/PieceChips.vue'
import { useAxis } from './strip/useAxis'
import { useZoom } from './strip/useZoom'
import { useBench } from './useBench'
import { useGhost } from './useGhost'
import { usePlain } from './usePlain'
import { useSaving } from './useSaving'
import StageTabs from './StageTabs.vue'
import VerdictColumn from './verdict/VerdictColumn.vue'

// a stage is fetched when it is first looked at
const AirStage = defineAsyncComponent(() => import('./air/AirStage.vue'))
const WaterStage = defineAsyncComponent(() => import('./water/WaterStage.vue'))
const HoldStage = defineAsyncComponent(() => import('./hold/HoldStage.vue'))
const SaveConflict = defineAsyncComponent(() => import('./SaveConflict.vue'))
const MattersStage = defineAsyncComponent(() => import('./matters/MattersStage.vue'))

const bench = useBench()
const { evaluation: ghost, title: ghostTitle } = useGhost()
const saving = useSaving()
const bar = ref<InstanceType<typeof SelectedThing>>()
const cast = useCast()
const stage = useStorage<'lanes' | 'air' | 'water' | 'hold' | 'sure'>('nine-knots.stage', 'lanes')
const piecesShown = useStorage('nine-knots.rows', true)
const plain = usePlain()

const work = ref<HTMLElement>()
const { width } = useElementSize(work)
const longest = computed(() =>
  Math.max(bench.evaluation?.length.si ?? 1, ghost.value?.length.si ?? 0),
)
const zoom = useZoom()
const wide = computed(() => Math.max(320, width.value))
const joints = () => bench.evaluation?.joints.map((joint) => joint.at_m) ?? []
const axis = useAxis(wide, () => zoom.viewOf(longest.value), joints)
/** The pull is shown on the whole leader, however close the strip is looked at. */
const whole = useAxis(wide, () => ({ from_m: 0, to_m: longest.value }), joints)

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const letter = event.key.toLowerCase()
  if (event.ctrlKey || event.metaKey) {
    if (letter === 's') {
      event.preventDefault()
      void saving.save()
    } else if (letter === 'y' || (letter === 'z' && event.shiftKey)) {
      if (isTyping(event)) return
      event.preventDefault()
      bench.redo()
    } else if (letter === 'z' && !isTyping(event)) {
      event.preventDefault()
      bench.undo()
    }
  } else if (letter === 'g' && !isTyping(event) && !event.altKey) {
    bench.pinGhost(bench.ghost ? null : bench.design)
  }
})
</script>

<template>
  <DamagedDraft />
  <DiffersNote />
  <div v-if="bench.design && bench.evaluation" class="bench">
    <BenchBar
      :plain="plain"
      :busy="saving.busy.value"
      :pieces-shown="piecesShown"
      @save="saving.save"
      @save-new="saving.asItsOwn(`${bench.design.title.slice(0, 74)}, again`)"
      @pieces="piecesShown = !piecesShown"
    />
    <SituationSentence />
    <div class="bench__body">
      <div ref="work" class="bench__work">
        <LeaderStrip :axis="axis" :ghost="ghost" @fields="bar?.focus()" />
        <PieceChips class="inset" />
        <SelectedThing ref="bar" class="inset" />
        <p v-if="plain" class="inset row plain">
          <RouterLink class="do do--main" to="/tie">Tie this leader</RouterLink>
          <button class="do" type="button" @click="plain = false">Full bench</button>
          <span class="quiet">
            Click a piece or a knot to change it. The full bench has lanes, the film of the cast,
            the water and the pull.
          </span>
        </p>
        <div v-else>
          <StageTabs v-model="stage" @plain="plain = true" />
          <LanesStage v-if="stage === 'lanes'" :axis="axis" :ghost="ghost" />
          <AirStage v-else-if="stage === 'air'" :width="axis.width" />
          <WaterStage v-else-if="stage === 'water'" :width="axis.width" />
          <HoldStage v-else-if="stage === 'hold'" :axis="whole" />
          <MattersStage v-else :axis="whole" />
        </div>
        <PiecesGrid v-if="piecesShown && !plain" />
      </div>
      <VerdictColumn
        :ghost="ghost"
        :ghost-title="ghostTitle"
        :turnover="cast.reading"
        :ghost-turnover="cast.ghost"
        :cast-refused="cast.refused"
        class="bench__verdict"
      >
        <LeaderNotes />
      </VerdictColumn>
    </div>
    <SaveConflict
      v-if="saving.conflict.value"
      :problem="saving.conflict.value"
      @close="saving.conflict.value = null"
      @own="saving.asItsOwn(`${bench.design.title.slice(0, 74)}, mine`)"
      @top="saving.onTop"
      @look="saving.lookAtNewest"
    />
  </div>
  <EmptyBench v-else-if="bench.ready" />
  <p v-else class="place quiet" role="status">Loading the bench …</p>
</template>

<style scoped>
.bench {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-height: 100%;
  padding: 12px 20px 6px 22px;
}

.bench__body {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 284px;
  flex: 1;
  gap: 22px;
  min-height: 0;
}

.bench__work {
  display: grid;
  grid-template: max-content max-content max-content minmax(0, 1fr) / minmax(0, 1fr);
  gap: 8px;
  min-width: 0;
}

.plain {
  align-self: start;
  margin-top: 12px;
}

.bench__verdict {
  padding-left: 18px;
  border-left: 1px solid var(--hair);
}

@media (min-width: 1100px) and (min-height: 700px) {
  .bench {
    height: 100%;
  }

  .bench__work,
  .bench__verdict {
    min-height: 0;
  }

  .bench__verdict {
    overflow: auto;
  }
}

@media (max-width: 1099px) {
  .bench__body {
    grid-template-columns: minmax(0, 1fr);
  }

  .bench__verdict {
    grid-template-columns: repeat(auto-fit, minmax(250px, 1fr));
    padding: 12px 0 0;
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
</style>
