<script setup lang="ts">
import { shallowRef } from 'vue'
import { useMe } from '@/account/useMe'
import { answered, api, type Schemas } from '@/api/client'
import { useRefusal } from '@/shell/useRefusal'
import PairingCodes from '@/shell/PairingCodes.vue'

/** A guest's phone is paired for this day, and sees nothing else. */
const props = defineProps<{ planId: string }>()
const me = useMe()
const { refused, attempt } = useRefusal()
const code = shallowRef<Schemas['PairingCode'] | null>(null)
const pair = () =>
  attempt(async () => {
    const body = { plan_id: props.planId }
    code.value = await me.gravely(() => answered(api.POST('/api/v1/phones/code', { body })))
  })
</script>

<template>
  <button class="do" type="button" @click="pair">For a guest’s phone …</button>
  <div v-if="code" class="guest">
    <PairingCodes :code="code">
      The guest scans this:
      <template #time>two days</template>
    </PairingCodes>
    <p class="quiet">
      That phone sees only this day. What is recorded on it goes into your log. Access ends the
      evening after, or when you remove it under My things, Phones.
    </p>
  </div>
  <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
</template>

<style scoped>
.guest {
  display: flex;
  flex-basis: 100%;
  flex-wrap: wrap;
  gap: 18px;
  align-items: center;
}

.guest p {
  max-width: 320px;
}

.refusal {
  flex-basis: 100%;
}
</style>
