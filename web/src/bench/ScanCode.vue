<script setup lang="ts">
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { inWords } from '@/api/problems'
import { useFitted } from './useFitted'
import { useScan } from './useScan'

/** A leader off somebody's card: through the camera, or from a picture of its code. */
const open = defineModel<boolean>({ required: true })
const router = useRouter()
const fitted = useFitted()
const video = ref<HTMLVideoElement>()
const picker = ref<HTMLInputElement>()
const over = ref(false)
const refused = ref('')
const { trouble, camera, readPicture, look, end } = useScan((text) => void take(text))

async function take(text: string) {
  refused.value = ''
  try {
    await fitted.openCode(text)
    open.value = false
    await router.push('/')
  } catch (error) {
    refused.value = inWords(error)
  }
}
function chosen(event: Event) {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (file) void readPicture(file)
  field.value = ''
}
function dropped(event: DragEvent) {
  over.value = false
  const file = event.dataTransfer?.files[0]
  if (file) void readPicture(file)
}
watch(open, (shown) => {
  if (shown) refused.value = trouble.value = ''
  else end()
})
</script>

<template>
  <el-dialog v-model="open" title="Scan a code" width="min(480px, 94vw)" append-to-body>
    <div
      class="drop"
      :class="{ 'drop--over': over }"
      @dragover.prevent="over = true"
      @dragleave="over = false"
      @drop.prevent="dropped"
    >
      <video v-show="camera" ref="video" muted playsinline aria-label="What the camera sees" />
      <p v-if="!camera">Drop a picture of a tying card's code here, or</p>
      <p class="row">
        <button v-if="!camera" class="do do--main" type="button" @click="look(video!)">
          Use the camera
        </button>
        <button v-else class="do" type="button" @click="end">Camera off</button>
        <button class="do" type="button" @click="picker?.click()">Choose a picture …</button>
      </p>
      <input
        ref="picker"
        class="unseen"
        type="file"
        accept="image/*"
        aria-label="Picture of a code"
        tabindex="-1"
        @change="chosen"
      />
    </div>
    <p v-if="trouble || refused" class="refusal" role="alert">{{ refused || trouble }}</p>
    <p class="quiet">
      The picture stays on this machine. The leader opens on the bench, built from your nearest
      spools. Undo brings back what was there.
    </p>
  </el-dialog>
</template>

<style scoped>
.drop {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  margin-bottom: 10px;
  padding: 18px;
  border: 2px dashed var(--hair-strong);
  border-radius: var(--radius);
}

.drop--over {
  border-color: var(--act);
  background: var(--act-soft);
}

video {
  width: 100%;
}
</style>
