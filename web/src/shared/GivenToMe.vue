<script setup lang="ts">
import { ref } from 'vue'
import { dayText } from '@/widgets/dayText'
import GivenThing from './GivenThing.vue'
import { KIND_WORDS, useGivenToMe } from './useGiving'

/** What others have given: whose it is, to read or to copy. */
const { data: given } = useGivenToMe()
const open = ref('')
const turn = (given_id: string) => (open.value = open.value === given_id ? '' : given_id)
</script>

<template>
  <p v-if="given && !given.length" class="nothing">
    Nothing is shared with you yet. What your groups or your household share with you appears here:
    leaders and lower rigs to tie, waters and days to fish.
    <RouterLink to="/shared/groups">Join a group by its code</RouterLink>.
  </p>
  <ul v-else class="given">
    <li v-for="row in given" :key="row.given_id">
      <div class="row">
        <span class="grow">
          <b>{{ row.gone ? `A ${KIND_WORDS[row.kind]} (deleted)` : row.title }}</b>
          <span class="quiet">
            {{ KIND_WORDS[row.kind] }} of {{ row.giver }}, to {{ row.may_copy ? 'copy' : 'read' }},
            since {{ dayText(row.given_at) }}
          </span>
        </span>
        <span v-if="row.gone" class="quiet">{{ row.giver }} no longer has it</span>
        <button
          v-else
          class="do"
          type="button"
          :aria-expanded="open === row.given_id"
          :aria-label="`Show it: ${row.title}`"
          @click="turn(row.given_id)"
        >
          Show it
        </button>
      </div>
      <GivenThing v-if="open === row.given_id" :row="row" />
    </li>
  </ul>
</template>

<style scoped>
.nothing {
  max-width: 640px;
}

.given {
  max-width: 900px;
  margin: 0;
  padding: 0;
  list-style: none;
}

.given > li {
  padding: 7px 0;
  border-top: 1px solid var(--hair);
}

.grow {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
}
</style>
