<script setup lang="ts">
import { keepText } from '@/api/keepAnswer'
import { useBench } from './useBench'

/** A draft of this browser that no program known reads: told, and given out as it is. */
const bench = useBench()
const keep = () => keepText(JSON.stringify(bench.damaged?.draft), 'nine-knots-draft.json')
</script>

<template>
  <p v-if="bench.damaged" class="refusal row" role="alert">
    The draft in this browser is damaged. {{ bench.damaged.why }} Saved leaders are on the shelf.
    <button class="do" type="button" @click="keep">Export the draft</button>
    <button class="do do--plain" type="button" @click="bench.damaged = null">Discard it</button>
  </p>
</template>
