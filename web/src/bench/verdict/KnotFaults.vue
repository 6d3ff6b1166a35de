<script setup lang="ts">
import { computed } from 'vue'
import type { Connection } from '@/api/client'
import { useBench } from '../useBench'
import { useSelection } from '../useSelection'

/** What is poor about how the leader is tied, wherever it is, with its mend. */
const bench = useBench()
const selection = useSelection()
const found = computed(() =>
  (bench.evaluation?.joints ?? []).flatMap((joint) =>
    joint.advice.faults.map((fault) => ({ ...fault, joint: joint.index })),
  ),
)
const last = computed(() => (bench.evaluation?.joints.length ?? 1) - 1)
const place = (joint: number) =>
  joint === 0 ? 'At the line' : joint === last.value ? 'At the fly' : `Joint ${joint}`

function mend(joint: number, instead: Connection) {
  const dropper = bench.design?.leader.joints[joint]?.dropper ?? null
  bench.edit({ act: 'set-joint', joint, tied: { ...instead, dropper } })
}
</script>

<template>
  <section v-if="found.length" class="faults" aria-label="How it is tied">
    <p v-for="fault in found" :key="`${fault.joint} ${fault.what}`" class="poor" role="note">
      <button type="button" class="link" @click="selection.select('joint', fault.joint)">
        {{ place(fault.joint) }}</button>: <strong>{{ fault.what }}</strong> {{ fault.hint }}
      <button
        v-if="fault.instead"
        type="button"
        class="link"
        :disabled="bench.lost"
        @click="mend(fault.joint, fault.instead)"
      >
        Fix it
      </button>
    </p>
  </section>
</template>

<style scoped>
.faults {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
  margin-left: 46px;
  font-size: 14px;
  line-height: 1.35;
}
</style>
