<script setup lang="ts">
import { useRefusal } from '@/shell/useRefusal'
import { dayText } from '@/widgets/dayText'
import { howGiven, KIND_WORDS, useGivenByMe, useSharedActs } from './useGiving'

/** What I have given, to whom, and taking it back. */
const { data: given } = useGivenByMe()
const acts = useSharedActs()
const { refused, attempt } = useRefusal()
</script>

<template>
  <p v-if="given && !given.length" class="quiet">
    You share nothing yet. “Share” is beside saved leaders and lower rigs on the Shelf, and beside
    waters and plans under Days.
  </p>
  <table v-else-if="given" class="ruled">
    <thead>
      <tr>
        <th>What</th>
        <th>To</th>
        <th>How</th>
        <th>Since</th>
        <th><span class="unseen">Stop sharing</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in given" :key="one.given_id">
        <td>
          <b>{{ one.gone ? 'deleted' : one.title }}</b>,
          <span class="quiet">{{ KIND_WORDS[one.kind] }}</span>
        </td>
        <td>{{ one.to }}</td>
        <td>{{ howGiven(one) }}</td>
        <td>{{ dayText(one.given_at) }}</td>
        <td>
          <button
            class="link"
            type="button"
            :aria-label="`Stop sharing with ${one.to}: ${one.title}`"
            @click="attempt(() => acts.takeBack(one.given_id))"
          >
            stop sharing
          </button>
        </td>
      </tr>
    </tbody>
  </table>
  <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
</template>

<style scoped>
table {
  width: 100%;
  max-width: 900px;
}
</style>
