<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import { photoName, shrunk } from '@/widgets/picture'
import { keepPhoto, type DayPack } from './keep'
import type { DayEvent, EventKind } from './state'
import type { Detail } from './useDay'

/** More of what was tapped: everything is a choice, and nothing of it must be told. */
const props = defineProps<{
  event: DayEvent
  kind: EventKind
  pack: DayPack
  stop: Schemas['PackedStop']
}>()
const emit = defineEmits<{ tell: [detail: Detail]; leave: [] }>()
const detail = ref<Detail>({ ...props.event.detail })
const refused = ref('')
const asks = (key: string) => (props.kind.details as string[]).includes(key)
const places = computed(() => props.kind.by_place.map((row) => String(row[0])))
const flies = computed(() => props.pack.flies)
const rigs = computed(() => props.pack.rigs)
const LANDED = ['piled up', 'soft', 'straight', 'slammed'] as const

function pick<K extends keyof Detail>(key: K, value: Detail[K]) {
  detail.value = { ...detail.value, [key]: detail.value[key] === value ? null : value }
}
async function photo(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  refused.value = ''
  const small = await shrunk(file).catch(() => null)
  if (!small) {
    refused.value = 'This picture can’t be read here. Take it as JPEG.'
    return
  }
  const name = photoName(new Date())
  try {
    await keepPhoto({ name, plan_id: props.pack.plan_id, photo: small, sent: false })
    detail.value = { ...detail.value, photo: name }
  } catch {
    refused.value = 'The photo wasn’t saved: the phone is full, or doesn’t allow storage here.'
  }
}
const told = () =>
  Object.fromEntries(
    Object.entries(detail.value).filter(([, value]) => value !== null && value !== ''),
  )
</script>

<template>
  <section class="detail" :aria-label="`More of: ${kind.title}`">
    <h2>{{ kind.title }}: recorded. Add details?</h2>
    <template v-if="asks('place')">
      <p class="quiet">Where</p>
      <div class="grid">
        <button
          v-for="item in places"
          :key="item"
          class="tap"
          :class="{ 'tap--main': detail.place === item }"
          type="button"
          :aria-pressed="detail.place === item"
          @click="pick('place', item)"
        >
          {{ item }}
        </button>
      </div>
    </template>
    <template v-if="asks('landed')">
      <div class="grid">
        <button
          v-for="item in LANDED"
          :key="item"
          class="tap"
          :class="{ 'tap--main': detail.landed === item }"
          type="button"
          :aria-pressed="detail.landed === item"
          @click="pick('landed', item)"
        >
          {{ item }}
        </button>
      </div>
    </template>
    <label v-if="asks('fish')">
      <span class="quiet">Which fish</span>
      <select v-model="detail.fish" class="field">
        <option :value="undefined">not told</option>
        <option v-for="item in pack.fish" :key="item.key" :value="item.key">
          {{ item.title }}
        </option>
      </select>
    </label>
    <template v-if="asks('mass')">
      <p class="quiet">Weight, roughly</p>
      <div class="grid">
        <button
          v-for="item in pack.masses"
          :key="item.kg"
          class="tap"
          :class="{ 'tap--main': detail.mass === item.kg }"
          type="button"
          :aria-pressed="detail.mass === item.kg"
          @click="pick('mass', item.kg)"
        >
          {{ item.words }}
        </button>
      </div>
    </template>
    <label v-if="asks('fly')">
      <span class="quiet">Which fly</span>
      <select v-model="detail.fly" class="field">
        <option :value="undefined">not told</option>
        <option v-for="fly in flies" :key="fly" :value="fly">{{ fly }}</option>
      </select>
    </label>
    <label v-if="asks('rig')">
      <span class="quiet">Which rig</span>
      <select v-model="detail.rig" class="field">
        <option :value="undefined">not told</option>
        <option v-for="rig in rigs" :key="rig.key" :value="rig.key">{{ rig.title }}</option>
      </select>
    </label>
    <label v-if="asks('level') && stop.levels.length">
      <span class="quiet">The gauge reads</span>
      <select v-model="detail.level" class="field">
        <option :value="undefined">not told</option>
        <option v-for="level in stop.levels" :key="level.level" :value="level.level_m">
          {{ level.level }}
        </option>
      </select>
    </label>
    <label v-if="asks('setting') && stop.settings.length">
      <span class="quiet">Indicator now set above the point fly</span>
      <select v-model="detail.setting" class="field">
        <option :value="undefined">not told</option>
        <option v-for="setting in stop.settings" :key="setting.m" :value="setting.m">
          {{ setting.words }}
        </option>
      </select>
    </label>
    <label v-if="asks('words')">
      <span class="quiet">Note</span>
      <textarea v-model="detail.words" class="field" rows="2" maxlength="1000" />
    </label>
    <label v-if="asks('photo')" class="tap photo">
      {{ detail.photo ? 'Photo added' : 'Take a photo' }}
      <input type="file" accept="image/*" capture="environment" @change="photo" />
    </label>
    <p v-if="refused" class="warn" role="alert">{{ refused }}</p>
    <div class="grid">
      <button class="tap tap--main" type="button" @click="emit('tell', told())">Save</button>
      <button class="tap" type="button" @click="emit('leave')">No details</button>
    </div>
  </section>
</template>

<style scoped>
.detail {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}

.photo {
  position: relative;
}

.photo input {
  position: absolute;
  width: 1px;
  opacity: 0;
}
</style>
