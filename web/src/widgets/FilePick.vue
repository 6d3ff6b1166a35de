<script setup lang="ts">
/** A button that chooses a file; the same one may be chosen again. */
defineProps<{ accept: string }>()
const emit = defineEmits<{ pick: [file: File] }>()
function chosen(event: Event) {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (file) emit('pick', file)
  field.value = ''
}
</script>

<template>
  <label class="do file">
    <slot />
    <input type="file" :accept="accept" class="unseen" @change="chosen" />
  </label>
</template>

<style scoped>
.file {
  display: inline-flex;
  align-items: center;
}

.file:focus-within {
  outline: 3px solid var(--act);
}
</style>
