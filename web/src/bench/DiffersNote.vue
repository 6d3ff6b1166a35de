<script setup lang="ts">
import { useFitted } from './useFitted'

/** Which pieces of a leader taken from another are of other spools here. */
const { differs } = useFitted()
</script>

<template>
  <section v-if="differs" class="refusal differs" aria-label="What is different here">
    <p>
      <b>“{{ differs.title }}” is on the bench, from your own spools.</b>
    </p>
    <ul>
      <li v-for="words in differs.words" :key="words">{{ words }}</li>
    </ul>
    <button class="do" type="button" @click="differs = null">I see</button>
  </section>
</template>

<style scoped>
.differs {
  margin-bottom: 10px;
}

ul {
  margin: 4px 0 8px;
  padding-left: 20px;
}
</style>
