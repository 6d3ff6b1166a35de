<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import PlaceParts from '@/widgets/PlaceParts.vue'
import GivenToMe from './GivenToMe.vue'

/** What others have given, what one has given oneself, and the groups it is given to. */
const PARTS = [
  { key: '', words: 'Shared with me', shows: GivenToMe },
  {
    key: 'mine',
    words: 'Shared by me',
    shows: defineAsyncComponent(() => import('./GivenByMe.vue')),
  },
  { key: 'groups', words: 'Groups', shows: defineAsyncComponent(() => import('./GroupsPart.vue')) },
]
</script>

<template>
  <PlaceParts title="Shared" base="/shared" label="Parts of Shared" :parts="PARTS" />
</template>
