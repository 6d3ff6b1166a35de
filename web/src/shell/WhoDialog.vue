<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import { useAnglers } from '@/settings/useAnglers'
import { attempt } from './attempt'
import { useMe } from '@/account/useMe'
import CodePart from './CodePart.vue'

/** Whose things are in front: the demo's or one's own, with the way from one to the other. */
const anglers = useAnglers()
const me = useMe()
const name = ref('')
const codes = ref<Record<string, string>>({})
const go = (angler: Schemas['AnglerAtBench']) =>
  attempt(() => anglers.to(angler.angler_id, codes.value[angler.angler_id]))
const hasDemo = computed(() => anglers.here.some((item) => item.demo))
</script>

<template>
  <el-dialog
    v-model="anglers.open"
    title="Whose bench is this?"
    width="min(560px, 94vw)"
    append-to-body
  >
    <p class="quiet">
      Spools, tackle, leaders and everything learnt belong to one angler. Proposals use only the
      current angler’s things; the others’ stay as they are.
    </p>
    <ul class="who">
      <li v-for="item in anglers.here" :key="item.angler_id">
        <span
          ><b>{{ item.name }}</b>
          <span class="quiet">{{ item.demo ? ' demo, made up' : ' own' }}</span></span
        >
        <span v-if="item.in_front">in front</span>
        <form v-else class="row" @submit.prevent="go(item)">
          <input
            v-if="item.locked"
            v-model="codes[item.angler_id]"
            class="pick code"
            type="password"
            autocomplete="off"
            :aria-label="`Code of ${item.name}`"
            placeholder="code"
            maxlength="40"
            required
          />
          <button class="do" type="submit">
            Switch to {{ item.demo ? 'the demo' : item.name }}
          </button>
        </form>
      </li>
      <li v-if="!hasDemo">
        <span><b>The demo</b> <span class="quiet">made up, to look around</span></span>
        <button class="do" type="button" @click="attempt(anglers.toDemo)">Look around</button>
      </li>
    </ul>
    <CodePart v-if="!me.me?.hosted && anglers.front && !anglers.front.demo" :here="anglers.front" />
    <form class="row" @submit.prevent="attempt(() => anglers.begin(name))">
      <el-input
        v-model="name"
        class="who__name"
        aria-label="Name of another angler"
        placeholder="Name, if you like"
      />
      <button class="do" type="submit">Start with an empty shelf</button>
    </form>
  </el-dialog>
</template>

<style scoped>
.who__name {
  width: 220px;
}

.code {
  width: 120px;
}

.who {
  margin: 12px 0;
  padding: 0;
  list-style: none;
}

.who li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 14px;
  padding: 7px 0;
  border-top: 1px solid var(--hair);
}
</style>
