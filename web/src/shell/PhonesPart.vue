<script setup lang="ts">
import { useMe } from '@/account/useMe'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { shallowRef } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { dayText } from '@/widgets/dayText'
import { useRefusal } from './useRefusal'
import PairingCodes from './PairingCodes.vue'

/** Phones that are paired with the bench at home: another by a code, one no more. */
const me = useMe()
const queries = useQueryClient()
const { refused, attempt } = useRefusal()
const code = shallowRef<Schemas['PairingCode'] | null>(null)
const { data: phones } = useQuery({
  queryKey: ['phones'],
  queryFn: () => answered(api.GET('/api/v1/phones')),
})
const pair = () =>
  attempt(async () => {
    code.value = await me.gravely(() => answered(api.POST('/api/v1/phones/code')))
  })
const revoke = (phone_id: string) =>
  attempt(async () => {
    await answered(api.DELETE('/api/v1/phones/{phone_id}', { params: { path: { phone_id } } }))
    await queries.invalidateQueries({ queryKey: ['phones'] })
  })
</script>

<template>
  <section v-if="phones" aria-labelledby="phones-title">
    <h3 id="phones-title">Phones</h3>
    <p v-if="phones.words" class="quiet">{{ phones.words }}</p>
    <template v-else>
      <button class="do" type="button" @click="pair">Pair a phone …</button>
      <div v-if="code" class="codes">
        <PairingCodes :code="code">
          {{ code.authority_qr ? 'Then scan this' : 'Scan this with it' }}:
        </PairingCodes>
      </div>
    </template>
    <ul v-if="phones.phones.length">
      <li v-for="phone in phones.phones" :key="phone.phone_id" class="row">
        <span class="grow" :class="{ gone: phone.revoked }">
          {{ phone.name }}
          <span class="quiet">
            paired {{ dayText(phone.paired_at) }},
            {{ phone.revoked ? 'removed' : `seen ${dayText(phone.seen_at)}`
            }}<template v-if="phone.day">, a guest's for “{{ phone.day }}” only</template>
          </span>
        </span>
        <button
          v-if="!phone.revoked"
          class="link"
          type="button"
          :aria-label="`Remove ${phone.name}`"
          @click="revoke(phone.phone_id)"
        >
          remove
        </button>
      </li>
    </ul>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  justify-items: start;
  margin-top: 16px;
}

.codes {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 18px;
}

ul {
  width: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}

.gone {
  text-decoration: line-through;
}
</style>
