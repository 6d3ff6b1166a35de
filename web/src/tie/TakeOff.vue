<script setup lang="ts">
import { computed, ref } from 'vue'
import { useBench } from '@/bench/useBench'
import { useLedger } from '@/spools/useLedger'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'

/** Tied or renewed away from the bench: it comes off the spools, knots and all. */
const bench = useBench()
const ledger = useLedger()
const WHOLE = 'whole'
const part = ref<string>(WHOLE)
const pieces = computed(() => bench.design?.leader.pieces.length ?? 0)
const parts = computed(() => [
  option(WHOLE, 'the whole leader'),
  ...Array.from({ length: Math.max(0, pieces.value - 1) }, (_, i) => {
    const from = pieces.value - i
    return option(
      String(from - 1),
      i === 0 ? `a new piece ${from}, the tippet` : `new pieces ${from} to ${pieces.value}`,
    )
  }),
])
const chosen = computed({
  get: () => (parts.value.some((item) => item.value === part.value) ? part.value : WHOLE),
  set: (value) => (part.value = value),
})

function take() {
  if (!bench.design) return
  const from = Number(chosen.value)
  const renewed =
    chosen.value === WHOLE ? null : Array.from({ length: pieces.value - from }, (_, i) => from + i)
  void ledger.tied([{ design: bench.design, count: 1 }], renewed)
}
</script>

<template>
  <p class="row take">
    <span>Tied</span>
    <PickOne v-model="chosen" label="What was tied" :options="parts" />
    <button class="do" type="button" @click="take">Take it off the spools</button>
  </p>
</template>

<style scoped>
.take {
  margin-top: 10px;
}

.take :deep(.pick) {
  width: auto;
}
</style>
