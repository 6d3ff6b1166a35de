<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref, shallowRef } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useRefusal } from '@/shell/useRefusal'
import { dayText } from '@/widgets/dayText'
import { useMe } from './useMe'
import QrPicture from '@/widgets/QrPicture.vue'

/** Letting others join: an address that is good once. */
const me = useMe()
const queries = useQueryClient()
const { refused, attempt } = useRefusal()
const note = ref('')
const mail = ref('')
const asOperator = ref(false)
const made = shallowRef<Schemas['NewInvitation'] | null>(null)
const { data: invitations } = useQuery({
  queryKey: ['account', 'invitations'],
  queryFn: () => answered(api.GET('/api/v1/account/invitations')),
})
const again = () => queries.invalidateQueries({ queryKey: ['account', 'invitations'] })
const invite = () =>
  attempt(async () => {
    const body = { note: note.value, as_operator: asOperator.value, mail: mail.value }
    made.value = await me.gravely(() => answered(api.POST('/api/v1/account/invitations', { body })))
    note.value = mail.value = ''
    await again()
  })
const takeBack = (invitation_id: string) =>
  attempt(async () => {
    const params = { path: { invitation_id } }
    await answered(api.DELETE('/api/v1/account/invitations/{invitation_id}', { params }))
    await again()
  })
const copy = (url: string) => navigator.clipboard.writeText(url)
</script>

<template>
  <div class="account">
    <section aria-labelledby="invite-title">
      <h2 id="invite-title">Invite another</h2>
      <p class="quiet">
        An invitation is a link that lets one person sign up within a week. They see nothing of
        yours until you share it with them.
      </p>
      <form class="row" @submit.prevent="invite">
        <input
          v-model="note"
          class="pick"
          aria-label="Who it is for"
          placeholder="who it is for"
          maxlength="80"
        />
        <input
          v-if="me.me?.mail"
          v-model="mail"
          class="pick"
          type="email"
          aria-label="Email address to send it to"
          placeholder="email it to (or pass it on yourself)"
          maxlength="254"
        />
        <label v-if="me.me?.operator" class="row">
          <input v-model="asOperator" type="checkbox" /> as an operator
        </label>
        <button class="do" type="submit">Invite</button>
      </form>
      <div v-if="made" class="made">
        <QrPicture :svg="made.qr" alt="The address of the invitation, as a code to scan" />
        <div>
          <p>{{ made.words }}</p>
          <p class="figure url">{{ made.url }}</p>
          <button class="do" type="button" @click="copy(made.url)">Copy the link</button>
        </div>
      </div>
    </section>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <section aria-labelledby="open-title">
      <h2 id="open-title">Invitations</h2>
      <ul class="list">
        <li v-for="item in invitations" :key="item.invitation_id" class="row">
          <span class="grow">
            {{ item.note || 'somebody' }}{{ item.as_operator ? ', as an operator' : '' }}
            <span class="quiet">
              {{ item.taken ? 'has joined' : `open till ${dayText(item.ends_at)}` }}
            </span>
          </span>
          <button
            v-if="!item.taken"
            class="link"
            type="button"
            :aria-label="`Take it back, the invitation of ${item.note || 'somebody'}`"
            @click="takeBack(item.invitation_id)"
          >
            take it back
          </button>
        </li>
        <li v-if="!invitations?.length" class="quiet">You haven’t invited anyone yet.</li>
      </ul>
    </section>
  </div>
</template>

<style scoped src="./part.css"></style>
<style scoped>
.made {
  display: flex;
  gap: 18px;
  align-items: center;
}

.made div {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  justify-items: start;
}

.url {
  overflow-wrap: anywhere;
}
</style>
