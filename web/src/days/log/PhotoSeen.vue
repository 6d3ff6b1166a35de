<script setup lang="ts">
import { ref } from 'vue'
import { attempt } from '@/shell/attempt'
import { useLogActs, type LogLine } from './useLog'

/** The photo that an event tells of, where it is at the bench; it goes for good by two clicks. */
const props = defineProps<{ line: LogLine }>()
const acts = useLogActs()
const asked = ref(false)
const address = () => `/api/v1/photos/${encodeURIComponent(props.line.photo)}`
const drop = () =>
  asked.value ? attempt(() => acts.dropPhoto(props.line.photo)) : (asked.value = true)
</script>

<template>
  <template v-if="line.photo_here">
    <a :href="address()" target="_blank" :aria-label="`Show the photo: ${line.words}`">
      <img :src="address()" alt="" loading="lazy" />
    </a>
    <button
      class="link"
      type="button"
      :aria-label="`${asked ? 'This can’t be undone: delete' : 'Delete'} the photo: ${line.words}`"
      @click="drop"
    >
      {{ asked ? 'this can’t be undone: delete it' : 'delete the photo' }}
    </button>
  </template>
  <span v-else class="quiet">
    The photo isn’t here: it is still on the phone that took it, or was deleted.
  </span>
</template>

<style scoped>
img {
  display: block;
  width: 132px;
  height: 88px;
  margin: 4px 0;
  object-fit: cover;
  border: 1px solid var(--hair-strong);
}
</style>
