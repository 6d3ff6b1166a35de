<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import EmptyBench from '@/bench/EmptyBench.vue'
import { useBench } from '@/bench/useBench'
import { isTyping } from '@/widgets/isTyping'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
import KnotPicture from '@/knots/KnotPicture.vue'
import { useAnglerStorage } from '@/settings/useAnglerStorage'
import CameOut from './CameOut.vue'
import { useCompanion } from './useCompanion'

/** The companion at the tying bench: one step a screen, in big type, hands nearly free. */
const bench = useBench()
const router = useRouter()
const { order, at, count, screen, next, done, cameOut, go, note, startAgain } = useCompanion()
/** Not one step but the whole loose knot, and the knot drawn up. */
const LOOSE = -1
const TIGHT = 99
const ORDERS = [
  option('cut first' as const, 'all cut first'),
  option('spool by spool' as const, 'spool by spool'),
]
const mirrored = useAnglerStorage('left-handed', false)
const field = ref<HTMLInputElement>()

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const on = [' ', 'Enter', 'ArrowRight', 'PageDown'].includes(event.key)
  const back = ['ArrowLeft', 'Backspace', 'PageUp'].includes(event.key)
  const typing = isTyping(event)
  if (event.key === 'Escape') void router.push('/tie')
  else if (typing && event.key !== 'Enter') return
  else if (!typing && event.target instanceof HTMLButtonElement && event.key !== 'ArrowLeft') return
  else if (on && !done.value) {
    event.preventDefault()
    go(at.value + 1)
  } else if (back) {
    event.preventDefault()
    go(at.value - 1)
  }
})

watch(
  screen,
  async (now) => {
    await nextTick()
    if (now?.kind === 'measure') field.value?.focus()
    else field.value?.blur()
  },
  { immediate: true },
)
</script>

<template>
  <div v-if="bench.design && count" class="now">
    <header class="row">
      <RouterLink class="do" to="/tie">Leave</RouterLink>
      <p class="quiet grow">{{ bench.design.title }}</p>
      <PickOne v-model="order" label="In what order" :options="ORDERS" />
      <button class="do do--plain" type="button" @click="startAgain">Start again</button>
      <p class="figure" role="status">{{ done ? 'done' : `${at + 1} of ${count}` }}</p>
    </header>
    <progress :value="at" :max="count" aria-label="Progress" />
    <CameOut
      v-if="done"
      class="now__step"
      :came-out="cameOut"
      @back="go(count - 1)"
      @kept="startAgain"
    />
    <section v-else-if="screen" class="now__step" aria-live="polite" aria-label="This step">
      <h1>{{ screen.title }}</h1>
      <p class="now__detail">{{ screen.detail }}</p>
      <p v-if="screen.caution" class="now__caution">{{ screen.caution }}</p>
      <KnotPicture
        v-if="screen.knot"
        class="now__knot"
        :knot="screen.knot"
        :step="screen.kind === 'tie' ? LOOSE : TIGHT"
        :mirrored="mirrored"
      />
      <input
        v-if="screen.kind === 'measure' && screen.piece !== null"
        ref="field"
        class="now__field figure"
        :value="cameOut[screen.piece ?? 0]"
        aria-label="It came out at"
        placeholder="38 in; leave empty if not measured"
        autocomplete="off"
        @input="note(screen.piece ?? 0, ($event.target as HTMLInputElement).value)"
      />
    </section>
    <footer class="now__foot">
      <button class="do now__big" type="button" :disabled="at === 0" @click="go(at - 1)">
        ← Back
      </button>
      <p class="quiet grow">
        <template v-if="next">Then: {{ next.title }}</template>
        <template v-else-if="!done">Then: what it came out as</template>
      </p>
      <button v-if="!done" class="do do--main now__big" type="button" @click="go(at + 1)">
        Done, next →
      </button>
    </footer>
    <p class="quiet now__keys">Space or → next, ← back, Esc closes. Your place is kept.</p>
  </div>
  <EmptyBench v-else-if="bench.ready" />
</template>

<style scoped>
.now {
  display: flex;
  flex-direction: column;
  gap: 14px;
  min-height: 100%;
  padding: 18px 32px;
}

progress {
  width: 100%;
  height: 8px;
}

.now__step {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  flex: 1;
  gap: 18px;
  align-content: center;
  max-width: 900px;
}

h1 {
  font-size: clamp(28px, 4.4vw, 52px);
  line-height: 1.15;
}

.now__detail {
  font-size: clamp(18px, 2vw, 25px);
  line-height: 1.4;
}

.now__caution {
  padding: 8px 14px;
  border-left: 5px solid var(--doubt);
  background: var(--doubt-soft);
  font-size: 20px;
}

.now__knot {
  --knot-ground: var(--ground);

  max-width: 640px;
  max-height: 30vh;
}

.now__field {
  width: min(420px, 100%);
  height: 64px;
  padding: 0 14px;
  border: 2px solid var(--act);
  border-radius: var(--radius);
  background: var(--raised);
  font-size: 28px;
}

.now__field::placeholder {
  color: var(--ink-2);
  font-size: 17px;
}

.now__foot {
  display: flex;
  align-items: center;
  gap: 18px;
}

.now__big {
  min-width: 150px;
  min-height: 64px;
  font-size: 20px;
}

.now__keys {
  font-size: var(--small);
}

@media (max-width: 820px) {
  .now {
    padding: 12px 16px;
  }

  .now__big {
    min-width: 0;
  }

  .now__keys {
    display: none;
  }
}
</style>
