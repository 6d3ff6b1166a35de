<script setup lang="ts">
import { computed } from 'vue'

/** A button that says why it cannot act just now, for as long as one is on it, pressed or not; it
 * keeps its place in the order of keys. */
defineOptions({ inheritAttrs: false })
const { whyNot, label = '' } = defineProps<{ whyNot: string; label?: string }>()
const described = computed(() => (whyNot ? { 'aria-description': whyNot } : {}))
const emit = defineEmits<{ act: [] }>()
</script>

<template>
  <el-tooltip
    :content="whyNot"
    :disabled="!whyNot"
    :trigger="['hover', 'focus']"
    :trigger-keys="[]"
  >
    <button
      v-bind="{ ...$attrs, ...described }"
      class="do"
      type="button"
      :aria-disabled="whyNot !== ''"
      :aria-label="label || undefined"
      @click="whyNot || emit('act')"
    >
      <slot />
    </button>
  </el-tooltip>
</template>
