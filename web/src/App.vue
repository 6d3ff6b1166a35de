<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useMe } from './account/useMe'
import { OUT } from './api/client'
import { inWords } from './api/problems'
import { useBench } from './bench/useBench'
import { useSettings } from './settings/useSettings'
import { useAnglers } from './settings/useAnglers'
import CompileNotice from './shell/CompileNotice.vue'
import { useGiving } from './shared/useGiving'
import LostNotice from './shell/LostNotice.vue'
import PlaceRail from './shell/PlaceRail.vue'
import { useKeyListOpen } from './shell/useKeyListOpen'

// what is looked at now and then is fetched then
const BeginNote = defineAsyncComponent(() => import('./shell/BeginNote.vue'))
const EnterPlace = defineAsyncComponent(() => import('./account/EnterPlace.vue'))
const JoinPlace = defineAsyncComponent(() => import('./account/JoinPlace.vue'))
const ProveDialog = defineAsyncComponent(() => import('./account/ProveDialog.vue'))
const GiveDialog = defineAsyncComponent(() => import('./shared/GiveDialog.vue'))
const KeyList = defineAsyncComponent(() => import('./shell/KeyList.vue'))
const settings = useSettings()
const bench = useBench()
const anglers = useAnglers()
const trouble = ref('')
const keysOpen = useKeyListOpen()
const me = useMe()
const giving = useGiving()
const route = useRoute()
/** Never over work that is done hand over hand. */
const asksWhose = computed(() => anglers.isFirst && route.name !== 'tie-now')
const joins = location.pathname === '/join'

async function begin() {
  trouble.value = ''
  try {
    await me.load()
    if (me.isOut) return
    await Promise.all([settings.load(), anglers.load()])
    await bench.begin(anglers.front?.angler_id ?? '', anglers.here.length < 2)
  } catch (error) {
    trouble.value = inWords(error)
    setTimeout(begin, 2000)
  }
}
onMounted(() => joins || begin())
useEventListener(window, OUT, () => joins || void me.load())
</script>

<template>
  <JoinPlace v-if="joins" />
  <EnterPlace v-else-if="me.isOut" />
  <div v-else class="house">
    <a class="skip" href="#place">Skip to the work</a>
    <PlaceRail />
    <main id="place" class="house__place" tabindex="-1">
      <LostNotice />
      <BeginNote v-if="asksWhose" />
      <CompileNotice />
      <p v-if="trouble" class="refusal" role="alert">{{ trouble }}</p>
      <!-- what the browser remembers is an angler's own: nothing is read before it is known whose -->
      <RouterView v-if="anglers.front" />
    </main>
    <KeyList v-if="keysOpen" />
    <ProveDialog v-if="me.isProving" />
    <GiveDialog v-if="giving.thing" :key="giving.thing.id" />
  </div>
</template>

<style scoped>
.house {
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr);
  height: 100%;
}

.house__place {
  position: relative;
  min-height: 0;
  overflow: auto;
  outline: none;
}

.skip {
  position: absolute;
  left: -999px;
  z-index: 20;
  padding: 8px 12px;
  background: var(--raised);
}

.skip:focus {
  left: 8px;
  top: 8px;
}

@media (max-width: 820px) {
  .house {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr) auto;
  }

  .house__place {
    grid-row: 1;
  }
}

@media print {
  .house,
  .house__place {
    display: block;
    height: auto;
    overflow: visible;
  }
}
</style>
