<script setup lang="ts">
import type { Schemas } from '@/api/client'
import QrPicture from '@/widgets/QrPicture.vue'

/** What a phone scans to be paired: at home the authority first, which it is to trust. */
defineProps<{ code: Schemas['PairingCode'] }>()
</script>

<template>
  <figure v-if="code.authority_qr">
    <QrPicture :svg="code.authority_qr" alt="Code of the address of the authority" />
    <figcaption>
      First, once: scan this, and install it as a trusted certificate on the phone.
    </figcaption>
  </figure>
  <figure>
    <QrPicture :svg="code.qr" alt="Code that pairs one phone" />
    <figcaption>
      <slot /> code <b class="figure">{{ code.code }}</b>, valid for
      <slot name="time">{{ code.minutes }} minutes</slot> and one phone.
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  max-width: 240px;
  margin: 0;
}
</style>
