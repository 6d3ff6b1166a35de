<script setup lang="ts">
import { useStock } from '@/api/queries'
import { useAnglers } from '@/settings/useAnglers'
import { attempt } from '@/shell/attempt'

/** Where to go while nothing lies on the bench. */
const anglers = useAnglers()
const { data: stock } = useStock()
</script>

<template>
  <section class="place">
    <h1>The bench is empty</h1>
    <ul class="ways">
      <li v-if="stock && !stock.length">
        First enter what you own: <RouterLink to="/spools">type it under Spools</RouterLink>, one
        item per line, or start with one of the starter shelves there.
      </li>
      <li>
        <RouterLink to="/shelf">Ask the schools</RouterLink> for a leader from your spools, for a
        typical day. You can change the day once it is here.
      </li>
      <li>
        <RouterLink to="/find">Find one</RouterLink> by what it must do and what you would rather.
      </li>
      <li>Or <RouterLink to="/shelf">open one</RouterLink> that was saved.</li>
      <li v-if="!anglers.here.some((item) => item.demo)">
        Or
        <button class="link" type="button" @click="attempt(anglers.toDemo)">look round</button> in
        the demo: a made-up angler’s spools, leaders and days, separate from yours.
      </li>
    </ul>
  </section>
</template>

<style scoped>
.ways {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  margin-top: 12px;
  padding-left: 20px;
  font-size: 16px;
}
</style>
