<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useRefusal } from '@/shell/useRefusal'
import PlainField from '@/widgets/PlainField.vue'
import { usePlaceActs, type PlaceReading } from './usePlaces'

/** A water's name, notes and rules as the angler wrote them down. */
const props = defineProps<{ placeId: string; water: PlaceReading }>()
const emit = defineEmits<{ close: [] }>()
const acts = usePlaceActs(() => props.placeId)
const { place } = props.water
const { refused, attempt } = useRefusal()
const title = ref(place.title)
const notes = ref(place.notes)
const latitude = ref(place.latitude === null ? '' : String(place.latitude))
const longitude = ref(place.longitude === null ? '' : String(place.longitude))
const most = ref(place.rules.most_flies ? String(place.rules.most_flies) : '')
const rules = reactive({ ...place.rules })

async function keep() {
  const most_flies = Number(most.value) > 0 ? Math.round(Number(most.value)) : null
  const form = {
    title: title.value,
    kind: place.kind,
    notes: notes.value,
    latitude: latitude.value,
    longitude: longitude.value,
    rules: { ...rules, most_flies },
  }
  if (await attempt(() => acts.write(form))) emit('close')
}
</script>

<template>
  <el-dialog
    :model-value="true"
    title="This water"
    width="min(520px, 94vw)"
    append-to-body
    @close="emit('close')"
  >
    <form class="form" @submit.prevent="keep">
      <PlainField v-model="title" label="Name" />
      <PlainField v-model="most" label="Flies at most" hint="as many as you like" />
      <label><input v-model="rules.barbless" type="checkbox" /> barbless hooks only</label>
      <label><input v-model="rules.lead_banned" type="checkbox" /> no lead</label>
      <label><input v-model="rules.wire_required" type="checkbox" /> wire for teeth</label>
      <PlainField v-model="latitude" label="Latitude, degrees north" hint="63.2, for the light" />
      <PlainField v-model="longitude" label="Longitude, degrees east" hint="14.6" />
      <PlainField v-model="notes" label="Notes" />
      <p class="quiet">Your own notes of the rules: the local authority has the say.</p>
      <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
      <p><button class="do do--main" type="submit">Keep</button></p>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
</style>
