<script setup lang="ts">
import LedgerList from './LedgerList.vue'
</script>

<template>
  <section aria-labelledby="ledger-title">
    <h2 id="ledger-title">What came on and off the spools</h2>
    <p class="quiet">
      Cut lengths include what your knots use. Nothing is ever erased: an entry is undone by
      another, and “Left on it” in a spool’s form corrects the count.
    </p>
    <LedgerList />
  </section>
</template>

<style scoped>
p {
  margin: 4px 0 12px;
}
</style>
