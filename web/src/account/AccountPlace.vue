<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import PlaceParts from '@/widgets/PlaceParts.vue'
import KeysPart from './KeysPart.vue'

/** One's own account: by what one comes in, where one is in, whom one invites. */
const PARTS = [
  { key: '', words: 'Log-in', shows: KeysPart },
  {
    key: 'logins',
    words: 'Log-ins',
    shows: defineAsyncComponent(() => import('./LoginsPart.vue')),
  },
  {
    key: 'invite',
    words: 'Inviting',
    shows: defineAsyncComponent(() => import('./InvitePart.vue')),
  },
]
</script>

<template>
  <PlaceParts title="Account" base="/account" label="Parts of your account" :parts="PARTS" />
</template>
