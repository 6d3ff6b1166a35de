<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import type { Schemas } from '@/api/client'
import { useMe } from '@/account/useMe'
import { notify } from '@/shell/notify'
import { useRefusal } from '@/shell/useRefusal'
import { useClubs, useSharedActs } from './useGiving'
import QrPicture from '@/widgets/QrPicture.vue'

/** Groups that one is in: a club, a guide's guests; made, joined by a code, left, ended. */
const { data: clubs } = useClubs()
const acts = useSharedActs()
const me = useMe()
const { refused, attempt } = useRefusal()
const title = ref('')
const code = ref(decodeURIComponent(location.hash.slice(1)))
const shown = shallowRef<{ club_id: string; code: Schemas['ClubCode'] } | null>(null)

const make = () =>
  attempt(async () => {
    await acts.makeClub(title.value)
    title.value = ''
  })
const join = () =>
  attempt(async () => {
    await acts.join(code.value)
    code.value = ''
    notify('You have signed up. What the group shares is under Shared with me.')
  })
const show = (club_id: string) =>
  attempt(async () => {
    shown.value = { club_id, code: await acts.codeOf(club_id) }
  })
const myself = (club: Schemas['ClubRow']) => club.members.find((member) => member.me)!
</script>

<template>
  <div class="groups">
    <p class="quiet">
      In a group you see each other’s names and what is shared with the group, nothing else.
      <template v-if="!me.me?.hosted">People on this bench don’t need one.</template>
    </p>
    <form class="row" @submit.prevent="join">
      <input
        v-model="code"
        class="pick figure"
        aria-label="Group code"
        placeholder="code of a group"
        autocomplete="off"
        maxlength="20"
        required
      />
      <button class="do" type="submit">Join</button>
    </form>
    <form class="row" @submit.prevent="make">
      <input
        v-model="title"
        class="pick"
        aria-label="Name of a new group"
        placeholder="The Skarn club, my guests …"
        maxlength="80"
        required
      />
      <button class="do" type="submit">Create a group</button>
    </form>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <section v-for="club in clubs" :key="club.club_id" :aria-label="club.title">
      <header class="row">
        <h2 class="grow">{{ club.title }}</h2>
        <template v-if="club.mine">
          <button class="do" type="button" @click="show(club.club_id)">Create a join code …</button>
          <button class="link" type="button" @click="attempt(() => acts.end(club.club_id))">
            end it
          </button>
        </template>
        <button
          v-else
          class="link"
          type="button"
          @click="attempt(() => acts.leave(club.club_id, myself(club).angler_id))"
        >
          leave it
        </button>
      </header>
      <div v-if="shown?.club_id === club.club_id" class="row code">
        <QrPicture v-if="shown.code.qr" :svg="shown.code.qr" alt="The code, to be scanned" />
        <p>
          <b class="figure">{{ shown.code.code }}</b><br />
          Valid for a week, for as many people as you give it to. A new code replaces it.
        </p>
      </div>
      <ul>
        <li v-for="member in club.members" :key="member.angler_id" class="row">
          <span class="grow">
            {{ member.name }}
            <span class="quiet">
              {{
                [member.me ? 'you' : '', member.keeps ? 'runs it' : ''].filter(Boolean).join(', ')
              }}
            </span>
          </span>
          <button
            v-if="club.mine && !member.me"
            class="link"
            type="button"
            @click="attempt(() => acts.leave(club.club_id, member.angler_id))"
          >
            remove {{ member.name }}
          </button>
        </li>
      </ul>
    </section>
    <p v-if="clubs && !clubs.length">You aren’t in a group yet.</p>
  </div>
</template>

<style scoped>
.groups {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  max-width: 760px;
}

.pick {
  width: 260px;
}

section {
  margin-top: 10px;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  min-height: 36px;
  border-top: 1px solid var(--hair);
}

.code {
  gap: 18px;
  padding: 8px 0;
}

.code b {
  font-size: 22px;
  letter-spacing: 0.06em;
}
</style>
