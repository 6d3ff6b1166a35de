<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRefusal } from '@/shell/useRefusal'
import {
  howGiven,
  KIND_WORDS,
  useGivenByMe,
  useGiving,
  useReceivers,
  useSharedActs,
} from './useGiving'

/** Giving a thing to another angler or a group, and taking it back from them. */
const giving = useGiving()
const acts = useSharedActs()
const { refused, attempt } = useRefusal()
const { data: receivers } = useReceivers()
const { data: given } = useGivenByMe()
const to = ref('')
const mayCopy = ref(true)
const places = ref(false)
watch(receivers, (now) => (to.value ||= now?.[0]?.to_id ?? ''), { immediate: true })

const thing = computed(() => giving.thing!)
const has = computed(() =>
  (given.value ?? []).filter(
    (given) => given.kind === thing.value.kind && given.thing_id === thing.value.id,
  ),
)
const PLACES = {
  leader: 'with its notes, which may reveal where it is fished',
  rig: '',
  water: 'with its location: stretch names, notes, gauge and map position',
  day: 'with its location: stretch names, notes, gauge and map position',
}
const give = () =>
  attempt(async () => {
    const whom = receivers.value?.find((receiver) => receiver.to_id === to.value)
    if (!whom) return
    await acts.give({
      kind: thing.value.kind,
      thing_id: thing.value.id,
      whom: whom.kind,
      to_id: whom.to_id,
      may_copy: mayCopy.value,
      places: places.value,
    })
  })
</script>

<template>
  <el-dialog
    :model-value="true"
    :title="`Share “${thing.title}”`"
    width="min(520px, 94vw)"
    append-to-body
    @close="giving.close"
  >
    <p v-if="!receivers" class="quiet" role="status">Loading …</p>
    <p v-else-if="!receivers.length">
      There is nobody to share it with yet. Create or join a group under
      <RouterLink to="/shared/groups" @click="giving.close">Shared, Groups</RouterLink>. You can
      pass a leader to anyone as a code or a file.
    </p>
    <form v-else @submit.prevent="give">
      <label class="to">
        <span class="quiet">To</span>
        <select v-model="to" class="pick">
          <option v-for="receiver in receivers" :key="receiver.to_id" :value="receiver.to_id">
            {{ receiver.name }}{{ receiver.kind === 'club' ? ', all of the group' : '' }}
          </option>
        </select>
      </label>
      <label class="row"><input v-model="mayCopy" type="checkbox" /> may be copied</label>
      <label v-if="PLACES[thing.kind]" class="row places">
        <input v-model="places" type="checkbox" /> {{ PLACES[thing.kind] }}
      </label>
      <p class="quiet">
        It stays yours. They see its current version, with your name, until you stop sharing. Copies
        they have made stay theirs.
      </p>
      <button class="do do--main" type="submit">Share the {{ KIND_WORDS[thing.kind] }}</button>
    </form>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <section v-if="has.length" aria-labelledby="has-title">
      <h3 id="has-title">Shared with</h3>
      <ul>
        <li v-for="item in has" :key="item.given_id" class="row">
          <span class="grow">
            {{ item.to }}
            <span class="quiet">{{ howGiven(item) }}</span>
          </span>
          <button
            class="link"
            type="button"
            :aria-label="`Stop sharing with ${item.to}`"
            @click="attempt(() => acts.takeBack(item.given_id))"
          >
            stop sharing
          </button>
        </li>
      </ul>
    </section>
  </el-dialog>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  justify-items: start;
}

.places {
  flex-wrap: nowrap;
  align-items: start;
}

.to {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 3px;
  width: 300px;
}

.refusal {
  margin-top: 10px;
}

section {
  margin-top: 18px;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  padding: 5px 0;
  border-top: 1px solid var(--hair);
}
</style>
