<script setup lang="ts">
import { dayText, withDays } from '@/widgets/dayText'
import { computed, watch } from 'vue'
import { useAnglerStorage } from '@/settings/useAnglerStorage'
import { usePlaces } from '../usePlaces'
import PlanDay from './PlanDay.vue'
import { usePlans } from './usePlans'

/** Days planned the night before: one at a time, with the others to choose from. */
const { data: plans, isSuccess } = usePlans()
const { data: places } = usePlaces()
const NEW = 'new'
const chosen = useAnglerStorage('plan', '')
const open = computed(() =>
  chosen.value === NEW || plans.value?.some((plan) => plan.plan_id === chosen.value)
    ? chosen.value
    : '',
)

const toCome = computed(() =>
  (plans.value ?? []).filter((plan) => !plan.fished || plan.plan_id === chosen.value),
)
const fished = computed(() => (plans.value ?? []).filter((plan) => plan.fished).length)

watch(
  plans,
  (now) => {
    if (now && !open.value) chosen.value = now.find((item) => !item.fished)?.plan_id ?? NEW
  },
  { immediate: true },
)
</script>

<template>
  <div class="plans">
    <nav aria-label="Planned days">
      <ul>
        <li v-for="item in toCome" :key="item.plan_id">
          <label :class="{ here: item.plan_id === open }">
            <input v-model="chosen" class="behind" type="radio" name="plan" :value="item.plan_id" />
            <b>{{ withDays(item.title) }}</b>
            <span class="quiet">{{ dayText(item.on) }} · {{ item.words }}</span>
          </label>
        </li>
        <li>
          <label :class="{ here: open === NEW }">
            <input v-model="chosen" class="behind" type="radio" name="plan" :value="NEW" />
            <b>Plan another day</b>
          </label>
        </li>
      </ul>
      <p v-if="fished" class="quiet fished">
        {{ fished === 1 ? 'One day was' : `${fished} days were` }} fished:
        <RouterLink to="/days/log">what happened</RouterLink>.
      </p>
    </nav>
    <p v-if="isSuccess && places && !places.length" class="poor">
      A day is planned on a water of yours: <RouterLink to="/days">add one</RouterLink> with its
      stretches first.
    </p>
    <PlanDay
      v-else-if="open && places"
      :key="open"
      :plan-id="open === NEW ? '' : open"
      :places="places"
      @kept="(planId) => (chosen = planId)"
      @gone="chosen = ''"
    />
  </div>
</template>

<style scoped>
.fished {
  margin-top: 12px;
}

.plans {
  display: grid;
  grid-template-columns: minmax(180px, 1fr) minmax(0, 5fr);
  gap: 30px;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

nav label {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  padding: 7px 0 7px 10px;
  border-left: 3px solid var(--hair);
  cursor: pointer;
}

nav label.here {
  border-left-color: var(--act);
}

nav label:focus-within {
  outline: 3px solid var(--act);
}

@media (max-width: 820px) {
  .plans {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media print {
  .plans {
    display: block;
  }

  nav {
    display: none;
  }
}
</style>
