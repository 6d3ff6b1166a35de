<script setup lang="ts">
import LedgerList from './LedgerList.vue'
</script>

<template>
  <section aria-labelledby="ledger-title">
    <h2 id="ledger-title">List what came on and off the spools</h2>
    <p class="quiet">
      Cut lengths with what the knots take of them, by your own hand. Nothing is ever wiped out: an
      act is undone by another, and “Left on it” in a spool’s form is the count that sets it right.
    </p>
    <LedgerList />
  </section>
</template>

<style scoped>
p {
  margin: 4px 0 12px;
}
</style>
