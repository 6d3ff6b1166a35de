<script setup lang="ts">
import { defineAsyncComponent, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { inWords } from '@/api/problems'
import type { Settings } from '@/api/client'
import { useSettings } from '@/settings/useSettings'
import { useAnglers } from '@/settings/useAnglers'
import { useMe } from '@/account/useMe'
import { attempt } from './attempt'
import { notify } from './notify'
import { useKeyListOpen } from './useKeyListOpen'

// what is looked at now and then is fetched then
const MyThings = defineAsyncComponent(() => import('./MyThings.vue'))
const WhoDialog = defineAsyncComponent(() => import('./WhoDialog.vue'))
const route = useRoute()
const settings = useSettings()
const anglers = useAnglers()
const keysOpen = useKeyListOpen()
const me = useMe()
const thingsOpen = ref(false)
/** On a phone what is no place opens above the rail. */
const moreOpen = ref(false)
watch(
  () => route.name,
  () => (moreOpen.value = false),
)
const places = [
  { name: 'bench', words: 'Bench' },
  { name: 'find', words: 'Find' },
  { name: 'tie', words: 'Tie' },
  { name: 'spools', words: 'Spools' },
  { name: 'knots', words: 'Knots' },
  { name: 'days', words: 'Days' },
  { name: 'shelf', words: 'Shelf' },
]

function keep(work: Promise<void>) {
  work.catch((error: unknown) => notify(inWords(error), 'trouble'))
}

function turnTheme() {
  const next: Settings['theme'] = settings.theme === 'dark' ? 'light' : 'dark'
  keep(settings.useTheme(next))
}
</script>

<template>
  <nav class="rail" aria-label="Places">
    <div class="rail__mark" aria-hidden="true">
      <svg viewBox="0 0 60 40" width="60" height="40">
        <path
          d="M2 28c10 0 14-18 25-18 7 0 10 9 2 11-9 2-11-11-3-16 9-6 14 23 32 23"
          class="rail__knot"
        />
      </svg>
    </div>
    <RouterLink
      v-for="place in places"
      :key="place.name"
      :to="{ name: place.name }"
      class="go"
      :class="{ 'go--here': route.name === place.name }"
    >
      {{ place.words }}
    </RouterLink>
    <span class="grow" />
    <button
      class="go rail__more"
      type="button"
      :aria-expanded="moreOpen"
      aria-controls="rail-more"
      @click="moreOpen = !moreOpen"
    >
      More
    </button>
    <div id="rail-more" class="rail__rest" :class="{ 'rail__rest--open': moreOpen }">
      <fieldset class="units">
        <legend class="unseen">Units</legend>
        <label v-for="system in ['imperial', 'metric'] as const" :key="system">
          <input
            class="behind"
            type="radio"
            name="units"
            :value="system"
            :checked="settings.units === system"
            @change="keep(settings.useUnits(system))"
          />
          <span>{{ system === 'imperial' ? 'in · lb' : 'cm · kg' }}</span>
        </label>
      </fieldset>
      <button class="rail__small" type="button" @click="turnTheme">
        {{ settings.theme === 'dark' ? 'Lamp' : 'Night' }}
      </button>
      <button
        class="rail__small rail__who"
        type="button"
        :title="`Current angler: ${anglers.front?.name ?? ''}`"
        @click="anglers.open = true"
      >
        {{ anglers.front?.demo ? 'Demo' : (anglers.front?.name ?? '…') }}
      </button>
      <button class="rail__small" type="button" @click="thingsOpen = true">My things</button>
      <RouterLink class="rail__small" :to="{ name: 'shared' }">Shared</RouterLink>
      <template v-if="me.me?.hosted">
        <RouterLink class="rail__small" :to="{ name: 'account' }">Account</RouterLink>
        <RouterLink v-if="me.me.operator" class="rail__small" :to="{ name: 'operator' }">
          Service
        </RouterLink>
        <button class="rail__small" type="button" @click="attempt(me.out)">Log out</button>
      </template>
      <button class="rail__small rail__keys" type="button" @click="keysOpen = true">Keys ?</button>
    </div>
    <MyThings v-if="thingsOpen" v-model="thingsOpen" />
    <WhoDialog v-if="anglers.open" />
  </nav>
</template>

<style scoped>
/* Positioned, so that what is unseen in it scrolls with it and widens no page. */
.rail {
  position: relative;
  display: flex;
  flex-direction: column;
  gap: 2px;
  padding: 14px 0 14px 12px;
  border-right: 1px solid var(--hair);
}

.rail__mark {
  margin: 0 0 14px 2px;
}

.rail__knot {
  fill: none;
  stroke: var(--act);
  stroke-width: 3;
  stroke-linecap: round;
}

.go {
  padding: 9px 4px 9px 10px;
  border-left: 3px solid transparent;
  color: var(--ink-2);
  font-size: 16px;
  text-decoration: none;
}

.go:hover {
  color: var(--ink);
}

.go.router-link-exact-active,
.go--here {
  border-left-color: var(--act);
  color: var(--ink);
  font-weight: 640;
}

.units {
  margin: 0 8px 6px 0;
  padding: 0;
  border: 0;
}

.units label {
  display: block;
  cursor: pointer;
}

.units span {
  display: block;
  padding: 4px 8px;
  border-radius: var(--radius);
  color: var(--ink-2);
  font-size: var(--small);
}

.units input:checked + span {
  background: var(--act-soft);
  color: var(--ink);
}

.units input:focus-visible + span {
  outline: 3px solid var(--act);
}

.rail__small {
  padding: 5px 8px;
  border: 0;
  background: none;
  color: var(--ink-2);
  font-size: var(--small);
  text-align: left;
  text-decoration: none;
  cursor: pointer;
}

.rail__who {
  overflow: hidden;
  max-width: 80px;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.rail__small:hover {
  color: var(--ink);
}

.rail__more {
  display: none;
}

.rail__rest {
  display: flex;
  flex-direction: column;
  gap: 2px;
}

@media (max-width: 820px) {
  .rail {
    grid-row: 2;
    flex-direction: row;
    align-items: center;
    justify-content: space-between;
    gap: 0;
    padding: 0 2px;
    white-space: nowrap;
    border-right: 0;
    border-top: 1px solid var(--hair);
  }

  .rail__mark,
  .rail__keys,
  .rail > .grow {
    display: none;
  }

  .go {
    min-width: 44px;
    padding: 14px 3px 11px;
    border: 0;
    border-bottom: 3px solid transparent;
    background: none;
    font-size: clamp(13px, 3.85vw, 16px);
    text-align: center;
  }

  .rail__more {
    display: block;
  }

  .rail__rest {
    position: absolute;
    right: 0;
    bottom: 100%;
    left: 0;
    z-index: 15;
    display: none;
    flex-flow: row wrap;
    justify-content: space-between;
    padding: 6px 10px;
    border-top: 1px solid var(--hair);
    background: var(--surface);
  }

  .rail__rest--open {
    display: flex;
  }

  .go.router-link-exact-active,
  .go--here {
    border-bottom-color: var(--act);
  }

  .units {
    display: flex;
    margin: 0;
  }

  .units span {
    padding: 12px 6px;
  }

  .rail__small {
    min-height: 48px;
  }
}

@media print {
  .rail {
    display: none;
  }
}
</style>
