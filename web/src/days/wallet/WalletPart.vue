<script setup lang="ts">
import { dayText } from '@/widgets/dayText'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { useBench } from '@/bench/useBench'
import { longestOf } from '@/drawing/side'
import { attempt } from '@/shell/attempt'
import { notify } from '@/shell/notify'
import MiniStrip from '@/widgets/MiniStrip.vue'
import { option } from '@/widgets/option'
import CardPrinter from '@/tie/CardPrinter.vue'
import PickOne from '@/widgets/PickOne.vue'
import { useWallet, type WalletCard } from './useWallet'

/** The rig wallet: what is tied, where it lies, how worn it is. */
const wallet = useWallet()
const { rigs, isSuccess } = wallet
const bench = useBench()
const router = useRouter()
const longest = computed(() => longestOf(rigs.value ?? []))
const wanted = computed(() => (rigs.value ?? []).map(({ design }) => ({ design, count: 1 })))
const STATES = [option('new', 'new'), option('fished', 'fished'), option('worn', 'worn')]

const putBench = () =>
  attempt(async () => {
    if (!bench.design) return
    const made = await wallet.put(bench.design, '')
    notify(`${made.title} is in the wallet.`)
  })
const say = (rig: WalletCard, lies: string, state: WalletCard['state']) =>
  attempt(() => wallet.say(rig.rig_id, lies, state))
const open = (rig: WalletCard) =>
  attempt(async () => {
    await bench.openDesign(rig.design)
    await router.push('/')
  })
</script>

<template>
  <div class="wallet">
    <p class="quiet lead">
      Leaders that are tied and ready. A leader tied step by step, or recorded as tied, is added
      automatically. Plans use these first.
    </p>
    <p class="row">
      <button class="do" type="button" :disabled="!bench.design" @click="putBench">
        Add the leader on the bench to the wallet
      </button>
      <CardPrinter v-if="rigs?.length" :wanted="wanted" />
    </p>
    <p v-if="isSuccess && !rigs?.length" class="empty">
      Nothing is ready. Tie one: choose it on the <RouterLink to="/shelf">shelf</RouterLink>, then
      <RouterLink to="/tie">Tie</RouterLink>.
    </p>
    <ul>
      <li v-for="rig in rigs" :key="rig.rig_id" :class="{ worn: rig.state === 'worn' }">
        <div>
          <b>{{ rig.title }}</b>
          <span class="quiet"
            >{{ rig.facts }} · {{ rig.fly }} · tied {{ dayText(rig.tied_on) }}</span
          >
          <MiniStrip :outline="rig.outline" :hung="rig.hung" :longest-m="longest" />
        </div>
        <p class="row">
          <label class="quiet">
            lies in
            <input
              class="pick where"
              :value="rig.lies"
              maxlength="80"
              placeholder="wallet, sleeve 3"
              :aria-label="`Where ${rig.title} is`"
              @change="(event) => say(rig, (event.target as HTMLInputElement).value, rig.state)"
            />
          </label>
          <PickOne
            :model-value="rig.state"
            :label="`How worn ${rig.title} is`"
            :options="STATES"
            @update:model-value="(state) => say(rig, rig.lies, state ?? 'new')"
          />
          <button
            class="link"
            type="button"
            :aria-label="`${rig.title} to the bench`"
            @click="open(rig)"
          >
            to the bench
          </button>
          <button
            class="link"
            type="button"
            :aria-label="`take out: ${rig.title}`"
            @click="attempt(() => wallet.takeOut(rig.rig_id))"
          >
            take out
          </button>
        </p>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.lead {
  max-width: 76ch;
  margin-bottom: 10px;
}

.empty {
  margin-top: 14px;
}

ul {
  margin: 14px 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(360px, 4fr);
  gap: 20px;
  padding: 9px 0;
  border-top: 1px solid var(--hair);
}

li > div {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
}

.worn b {
  color: var(--ink-2);
  text-decoration: line-through;
}

.where {
  width: 150px;
  color: var(--ink);
}

li :deep(select) {
  width: 92px;
}

@media (max-width: 820px) {
  li {
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
  }
}
</style>
