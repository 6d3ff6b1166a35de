<script setup lang="ts">
/** The next smaller and the next bigger, as − and +. */
defineProps<{ smaller: string; bigger: string }>()
const emit = defineEmits<{ step: [by: 1 | -1] }>()
</script>

<template>
  <button class="do" type="button" :aria-label="smaller" :title="smaller" @click="emit('step', -1)">
    −
  </button>
  <button class="do" type="button" :aria-label="bigger" :title="bigger" @click="emit('step', 1)">
    +
  </button>
</template>

<style scoped>
.do {
  width: 32px;
  padding: 0;
  font-size: 17px;
}
</style>
