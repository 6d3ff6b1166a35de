<script setup lang="ts">
import { computed } from 'vue'
import { useBench } from '../useBench'
import { useSelection } from '../useSelection'

/** On a narrow screen the strip is a thread: its pieces and joints in rows, each a thumb wide. */
const bench = useBench()
const selection = useSelection()
const reading = computed(() => bench.evaluation)
const chips = computed(() =>
  selection.things.flatMap((thing) => {
    const piece = thing.kind === 'piece' ? reading.value?.pieces[thing.index] : undefined
    if (piece) {
      const words = `${piece.index + 1} ${piece.role}`
      return [{ ...thing, words, more: piece.length.text }]
    }
    return thing.kind === 'joint' ? [{ ...thing, words: '·', more: `joint ${thing.index}` }] : []
  }),
)
</script>

<template>
  <div class="chips" role="group" aria-label="Pieces and joints of the strip">
    <button
      v-for="chip in chips"
      :key="`${chip.kind}${chip.index}`"
      class="chip"
      :class="{ 'chip--joint': chip.kind === 'joint' }"
      type="button"
      :aria-pressed="selection.is(chip.kind, chip.index)"
      @click="selection.select(chip.kind, chip.index)"
    >
      <template v-if="chip.kind === 'piece'">
        <b>{{ chip.words }}</b> <span class="figure">{{ chip.more }}</span>
      </template>
      <template v-else><span aria-hidden="true">⁘</span> {{ chip.index }}</template>
      <span v-if="chip.kind === 'joint'" class="unseen">joint</span>
    </button>
  </div>
</template>

<style scoped>
.chips {
  display: none;
}

@media (max-width: 820px) {
  .chips {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    margin: 0 0 10px;
  }
}

.chip {
  min-width: 44px;
  min-height: 46px;
  padding: 2px 8px;
  border: 1px solid var(--hair-strong);
  border-radius: var(--radius);
  background: var(--raised);
  font-size: var(--small);
  text-align: left;
}

.chip span {
  display: block;
}

.chip--joint span {
  display: inline;
}

.chip--joint {
  padding: 2px 4px;
  text-align: center;
}

.chip[aria-pressed='true'] {
  border-color: var(--act);
  background: var(--act-soft);
  box-shadow: inset 0 -3px 0 var(--act);
}
</style>
