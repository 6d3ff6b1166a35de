<script setup lang="ts">
import { ref } from 'vue'
import type { Leader, Situation } from '@/api/client'
import { useCatalogue } from '@/api/queries'
import SchoolProposal from './SchoolProposal.vue'

/** The schools as a list of names on the left, the chosen one with its rule and its leader. */
defineProps<{ situation: Situation | null }>()
const emit = defineEmits<{ bench: [leader: Leader, title: string] }>()
const { data: catalogue } = useCatalogue()
const chosen = ref('sixty-twenty-twenty')
</script>

<template>
  <div class="schools">
    <fieldset class="names">
      <legend class="unseen">School</legend>
      <label v-for="school in catalogue?.schools" :key="school.key">
        <input v-model="chosen" type="radio" name="school" :value="school.key" />
        <span>
          <strong>{{ school.title }}</strong>
          <small>{{ school.used_for }}</small>
        </span>
      </label>
    </fieldset>
    <template v-for="school in catalogue?.schools" :key="school.key">
      <SchoolProposal
        v-if="school.key === chosen && situation"
        :school="school"
        :situation="situation"
        @bench="(leader, title) => emit('bench', leader, title)"
      />
    </template>
  </div>
</template>

<style scoped>
.schools {
  display: grid;
  grid-template-columns: 270px minmax(0, 1fr);
  gap: 28px;
}

.schools > :last-child {
  position: sticky;
  top: 12px;
  align-self: start;
}

.names {
  margin: 0;
  padding: 0;
  border: 0;
}

.names label {
  display: block;
  cursor: pointer;
}

.names input {
  position: absolute;
  opacity: 0;
}

.names span {
  display: block;
  padding: 8px 12px;
  border-left: 3px solid var(--hair);
}

.names small {
  display: block;
  color: var(--ink-2);
  font-size: var(--small);
}

.names input:checked + span {
  border-left-color: var(--act);
  background: var(--act-soft);
}

.names input:focus-visible + span {
  outline: 3px solid var(--act);
}

@media (max-width: 820px) {
  .schools {
    grid-template-columns: 1fr;
  }

  .schools > :last-child {
    position: static;
  }
}
</style>
