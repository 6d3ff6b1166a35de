<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useSettings } from '@/settings/useSettings'
import { dayText } from '@/widgets/dayText'
import { useLedger } from './useLedger'

/** List what came on and off the spools, or one of them, the newest first; each act can be undone. */
const props = defineProps<{ spoolId?: string; most?: number }>()
const settings = useSettings()
const { undo } = useLedger()
const shown = ref(props.most ?? 30)
const query = computed(() => ({
  units: settings.units,
  limit: shown.value,
  spool_id: props.spoolId ?? null,
}))
const { data: page } = useQuery({
  queryKey: ['ledger', query],
  queryFn: () => answered(api.GET('/api/v1/ledger', { params: { query: query.value } })),
  placeholderData: keepPreviousData,
})

const changes = (line: Schemas['LedgerLine']) =>
  props.spoolId ? line.changes.filter((change) => change.spool_id === props.spoolId) : line.changes
</script>

<template>
  <div class="ledger">
    <p v-if="page && !page.total" class="quiet">
      Nothing yet. What you tie, renew or lose is recorded here and taken off its spools.
    </p>
    <p v-if="page?.cost" class="quiet">{{ page.cost }}</p>
    <ol v-if="page?.total">
      <li v-for="line in page?.lines" :key="line.act_id" :class="{ undone: line.undone }">
        <span class="quiet figure ledger__day">{{ dayText(line.at) }}</span>
        <span class="ledger__what">
          <b>{{ line.title }}</b>
          <span v-if="line.undone" class="quiet"> undone since</span>
          <span v-for="change in changes(line)" :key="change.spool_id" class="ledger__change">
            <span class="figure">{{ change.change }}</span>
            <span v-if="!spoolId" class="quiet">{{ change.title }}</span>
          </span>
          <span v-if="line.cost && !spoolId" class="quiet figure ledger__change"
            >cost {{ line.cost }}</span
          >
        </span>
        <button
          v-if="line.can_undo"
          class="link"
          type="button"
          :aria-label="`Undo: ${line.title}`"
          @click="undo(line.act_id)"
        >
          undo
        </button>
      </li>
    </ol>
    <p v-if="page && page.total > page.lines.length" class="row">
      <button class="do" type="button" @click="shown = Math.min(200, shown + 30)">Show more</button>
      <span class="quiet figure">{{ page.lines.length }} of {{ page.total }}</span>
    </p>
  </div>
</template>

<style scoped>
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  align-items: baseline;
  gap: 14px;
  padding: 7px 0;
  border-top: 1px solid var(--hair);
}

.ledger__day {
  flex: 0 0 112px;
  white-space: nowrap;
}

.ledger__what {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  gap: 2px 14px;
}

.ledger__change {
  display: inline-flex;
  gap: 6px;
  white-space: nowrap;
}

.undone b,
.undone .figure {
  text-decoration: line-through;
  color: var(--ink-2);
}

@media (max-width: 820px) {
  li {
    flex-wrap: wrap;
  }
}
</style>
