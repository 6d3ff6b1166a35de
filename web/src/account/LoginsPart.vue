<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api } from '@/api/client'
import { useRefusal } from '@/shell/useRefusal'
import { dayText } from '@/widgets/dayText'
import TriedTable from './TriedTable.vue'

/** Where I am logged in, and what was tried at my log-in. */
const queries = useQueryClient()
const { refused, attempt } = useRefusal()
const { data: logins } = useQuery({
  queryKey: ['account', 'logins'],
  queryFn: () => answered(api.GET('/api/v1/account/logins')),
})
const { data: notes } = useQuery({
  queryKey: ['account', 'notes'],
  queryFn: () => answered(api.GET('/api/v1/account/activity')),
})
const others = computed(() => logins.value?.filter((login) => !login.here).length ?? 0)
const change = (work: Promise<unknown>) =>
  attempt(async () => {
    await work
    await queries.invalidateQueries({ queryKey: ['account'] })
  })
const end = (login_id: string) =>
  change(
    answered(api.DELETE('/api/v1/account/logins/{login_id}', { params: { path: { login_id } } })),
  )
const endOthers = () => change(answered(api.DELETE('/api/v1/account/logins')))
</script>

<template>
  <div class="account">
    <section aria-labelledby="logins-title">
      <h2 id="logins-title">Where I am logged in</h2>
      <ul class="list">
        <li v-for="login in logins" :key="login.login_id" class="row">
          <span class="grow">
            {{ login.device }}
            <span class="quiet">
              since {{ dayText(login.made_at) }}, seen {{ dayText(login.seen_at) }}
            </span>
          </span>
          <b v-if="login.here">this browser</b>
          <button
            v-else
            class="link"
            type="button"
            :aria-label="`Log out ${login.device}`"
            @click="end(login.login_id)"
          >
            log out
          </button>
        </li>
      </ul>
      <p v-if="others" class="row">
        <button class="do" type="button" @click="endOthers">
          Log out all others, including phones
        </button>
      </p>
      <p v-else class="quiet">
        No other devices. A device that isn’t used for a week is logged out.
      </p>
    </section>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <section aria-labelledby="tried-title">
      <h2 id="tried-title">Recent log-in activity</h2>
      <p class="quiet">Of ninety days, by network and kind of device: no whole address is kept.</p>
      <TriedTable v-if="notes" :notes="notes" />
    </section>
  </div>
</template>

<style scoped src="./part.css"></style>
