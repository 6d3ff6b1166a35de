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
      <tr v-for="item in given" :key="item.given_id">
        <td>
          <b>{{ item.gone ? 'deleted' : item.title }}</b>,
          <span class="quiet">{{ KIND_WORDS[item.kind] }}</span>
        </td>
        <td>{{ item.to }}</td>
        <td>{{ howGiven(item) }}</td>
        <td>{{ dayText(item.given_at) }}</td>
        <td>
          <button
            class="link"
            type="button"
            :aria-label="`Stop sharing with ${item.to}: ${item.title}`"
            @click="attempt(() => acts.takeBack(item.given_id))"
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
