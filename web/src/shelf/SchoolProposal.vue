<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { answered, api, type Leader, type Schemas, type Situation } from '@/api/client'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import MiniStrip from '@/widgets/MiniStrip.vue'
import PlainField from '@/widgets/PlainField.vue'

const QUIET_MS = 200

const props = defineProps<{ school: Schemas['SchoolCard']; situation: Situation }>()
const emit = defineEmits<{ bench: [leader: Leader, title: string] }>()

const settings = useSettings()
const asked = reactive({ length: '', tippet: '', power: 0, whole: false })
const { answer: proposal, refused } = useAnswer(
  () => ({
    ...asked,
    school: props.school.key,
    units: settings.units,
    situation: props.situation,
  }),
  (body, { signal }) => answered(api.POST('/api/v1/proposals', { body, signal })),
  { quiet: QUIET_MS, keep: true },
)
const cutBefore = ref('')
watch(proposal, (now) => {
  if (now?.cut) cutBefore.value = now.cut
})
const longest = computed(() => proposal.value?.outline.at(-1)?.to_m ?? 1)
const powerWords = (value: number) =>
  value === 0 ? 'as the line wants it' : value > 0 ? 'more power' : 'softer'
</script>

<template>
  <article>
    <p class="rule">{{ school.rule }}</p>
    <p class="against">
      <strong>{{ school.opponent }}</strong> disagrees: {{ school.objection }}
    </p>
    <div class="ask">
      <PlainField v-model="asked.length" label="Length (empty: usual)" hint="9 ft, 2.7 m" />
      <PlainField
        v-model="asked.tippet"
        label="Tippet (empty: by the day)"
        hint="5X, 20 lb, 0.15 mm"
      />
      <label class="power">
        <span class="quiet">Butt: {{ powerWords(asked.power) }}</span>
        <input
          v-model.number="asked.power"
          type="range"
          min="-1"
          max="1"
          step="0.25"
          aria-label="Softer butt to more power"
          :aria-valuetext="powerWords(asked.power)"
        />
      </label>
    </div>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <template v-else-if="proposal">
      <MiniStrip :outline="proposal.outline" :hung="proposal.hung" :longest-m="longest" />
      <ol class="recipe" aria-label="How to tie it, from the line down">
        <li v-for="(line, number) in proposal.recipe.lines" :key="number">
          <span class="quiet">{{ line.joint }}</span>
          <span
            ><strong class="figure">{{ line.length }}</strong> of
            <span class="figure">{{ line.thickness }}</span> · {{ line.of }}</span
          >
        </li>
        <li>
          <span class="quiet">{{ proposal.recipe.at_the_fly }}</span> <span>the fly</span>
        </li>
      </ol>
      <fieldset v-if="proposal.cut || asked.whole" class="cut">
        <legend>{{ proposal.cut || cutBefore }}: cut it?</legend>
        <label><input v-model="asked.whole" type="radio" :value="false" /> Cut it off</label>
        <label><input v-model="asked.whole" type="radio" :value="true" /> Use it whole</label>
      </fieldset>
      <ul class="reasons">
        <li v-for="reason in proposal.reasons" :key="reason">{{ reason }}</li>
        <li v-if="proposal.buys.length" class="short">
          Your shelf can’t make this leader. Buy first: {{ proposal.buys.join(', ') }}.
        </li>
        <li v-for="short in proposal.shortfalls" :key="short.piece" class="short">
          The shelf lacks {{ short.wanted }} for piece {{ short.piece + 1 }}; nearest is
          {{ short.nearest }}.
        </li>
      </ul>
      <button
        class="do do--main"
        type="button"
        @click="emit('bench', proposal.leader, `${school.title}, ${proposal.length.text}`)"
      >
        Put this {{ proposal.length.text }} leader on the bench
      </button>
    </template>
  </article>
</template>

<style scoped>
.rule {
  font-size: 17px;
}

.against {
  margin-top: 6px;
  color: var(--ink-2);
}

.ask {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px;
  margin: 16px 0;
}

.power {
  padding: 0 12px;
}

.power input {
  display: block;
  width: 100%;
  height: 32px;
}

.cut {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin: 10px 0 0;
  padding: 8px 12px;
  border: 1px solid var(--hair-strong);
}

.recipe {
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
}

.recipe li {
  display: grid;
  grid-template-columns: minmax(150px, 2fr) minmax(0, 3fr);
  gap: 12px;
  padding: 3px 0;
  border-bottom: 1px solid var(--hair);
}

.reasons {
  margin: 10px 0 14px;
  padding-left: 18px;
}

.short {
  color: var(--doubt);
}

@media (max-width: 820px) {
  .ask {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
