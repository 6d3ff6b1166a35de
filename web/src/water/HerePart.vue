<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import ElsewhereTable from './ElsewhereTable.vue'
import type { DayPack } from './keep'
import { rigNow } from './rigNow'
import RigDrawing from './RigDrawing.vue'
import type { DayNow } from './state'
import type { Detail } from './useDay'

/** This stretch: the rig on the line, what to set, what the water does to it, what is seen. */
const props = defineProps<{ pack: DayPack; now: DayNow; stop: Schemas['PackedStop'] }>()
const emit = defineEmits<{ note: [kind: string, detail: Detail] }>()
const rig = computed(() => props.pack.rigs.find((rig) => rig.key === props.now.rig))
const planned = computed(() => props.pack.rigs.find((rig) => rig.key === props.stop.rig))
const state = computed(() => rig.value && rigNow(rig.value, props.now.rigs[props.now.rig]))
const seen = ref('')
const does = computed(() => props.stop.sees.find((option) => option.sees === seen.value)?.do)

function move(event: Event) {
  seen.value = ''
  emit('note', 'came-to', { stretch: (event.target as HTMLSelectElement).value })
}
</script>

<template>
  <section class="part" :aria-label="stop.title">
    <label>
      <span class="quiet">Where you are</span>
      <select class="field where" :value="stop.stretch_id" @change="move">
        <option v-for="other in pack.stops" :key="other.stretch_id" :value="other.stretch_id">
          {{ other.title }}
        </option>
      </select>
    </label>
    <p>
      <b>{{ stop.hours }}.</b> {{ stop.water }}
    </p>
    <p v-if="stop.beyond" class="warn">{{ stop.beyond }}</p>

    <div v-if="rig && state" class="rig">
      <h1>{{ rig.title }}</h1>
      <RigDrawing :rig="rig" />
      <p v-if="state.renew" class="warn" role="alert">{{ state.renew }}</p>
      <dl v-if="state.state">
        <div>
          <dt>Fly</dt>
          <dd>{{ now.fly }}</dd>
        </div>
        <div>
          <dt>Tippet</dt>
          <dd>{{ state.state.tippet }}; {{ state.state.left }}</dd>
        </div>
        <div>
          <dt>Hold</dt>
          <dd>{{ state.state.hold }}</dd>
        </div>
      </dl>
    </div>
    <p v-else class="warn">No planned rig is on the line.</p>
    <p v-if="planned && stop.rig !== now.rig" class="warn">
      Planned here: {{ planned.title }}.
      <button
        class="tap"
        type="button"
        @click="emit('note', 'changed-rig', { rig: stop.rig, fly: stop.fly })"
      >
        It is on now
      </button>
    </p>
    <p v-if="stop.change"><b>First:</b> {{ stop.change }}</p>
    <p v-if="stop.words">{{ stop.words }}</p>
    <ul v-if="stop.setting.length">
      <li v-for="line in stop.setting" :key="line">{{ line }}</li>
    </ul>

    <ElsewhereTable
      v-if="stop.cells.length"
      :key="stop.stretch_id"
      :stop="stop"
      :level="now.level"
    />

    <h2>What do you see?</h2>
    <div class="grid">
      <button
        v-for="option in stop.sees"
        :key="option.sees"
        class="tap"
        :class="{ 'tap--main': option.sees === seen }"
        type="button"
        :aria-pressed="option.sees === seen"
        @click="seen = option.sees === seen ? '' : option.sees"
      >
        {{ option.sees }}
      </button>
    </div>
    <p v-if="does" class="does" role="status"><b>Next:</b> {{ does }}</p>
    <template v-if="stop.flies.length">
      <h2>The other flies on this rig</h2>
      <p v-for="line in stop.flies" :key="line">{{ line }}</p>
    </template>
    <h2>Keep in mind</h2>
    <p v-for="line in stop.cautions" :key="line" class="warn">{{ line }}</p>
    <p>{{ stop.rules || pack.rules }}</p>
    <p v-for="line in pack.cautions" :key="line">{{ line }}</p>
    <p v-if="pack.light">{{ pack.light }}</p>
  </section>
</template>

<style scoped>
.where {
  font-size: 22px;
  font-weight: 680;
}

.rig {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}

dl {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
  margin: 0;
}

dl div {
  display: grid;
  grid-template-columns: 76px minmax(0, 1fr);
}

dt {
  color: var(--ink-2);
}

dd {
  margin: 0;
  font-weight: 620;
}

.does {
  padding: 12px;
  border: 3px solid var(--line);
  border-radius: 10px;
  font-size: 20px;
}
</style>
