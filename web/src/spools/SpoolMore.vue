<script setup lang="ts">
import { withDays } from '@/widgets/dayText'
import { computed, ref } from 'vue'
import { answered, api, type StockRow } from '@/api/client'
import { useStock } from '@/api/queries'
import { useIntent } from '@/api/useIntent'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'
import { useRefusal } from '@/shell/useRefusal'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
import StockPick from '@/widgets/StockPick.vue'
import LedgerList from './LedgerList.vue'
import { useMeasurements } from './measure/useMeasure'
import { useLedger } from './useLedger'
import { useSpoolUse } from './useShelfForm'

/** All else about a spool or packet: how it is known, where it is used, what came on and off it. */
const props = defineProps<{ row: StockRow }>()
const emit = defineEmits<{ merged: [] }>()
const settings = useSettings()
const ledger = useLedger()
const { data: stock } = useStock()
const { data: use } = useSpoolUse(() => props.row.spool_id)
const { data: measured } = useMeasurements(() => props.row.spool_id)
const once = useIntent()
const amount = ref('')
const words = ref('')
const { refused, attempt } = useRefusal()
const WHYS = [
  option('lost' as const, 'lost or thrown away'),
  option('renewed' as const, 'tippet renewed'),
  option('given' as const, 'given away'),
]
const why = ref<(typeof WHYS)[number]['value']>('lost')
const others = computed(() =>
  (stock.value ?? []).filter(
    (row) =>
      row.spool_id !== props.row.spool_id &&
      row.form === props.row.form &&
      row.material === props.row.material &&
      row.sighter === props.row.sighter,
  ),
)

const takeOff = () =>
  attempt(async () => {
    await ledger.taken({
      spool_id: props.row.spool_id,
      amount: amount.value,
      why: why.value,
      words: words.value,
    })
    amount.value = words.value = ''
    emit('merged')
  })

const putTogether = (other: string) =>
  attempt(async () => {
    const body = { other, units: settings.units }
    const path = { spool_id: props.row.spool_id }
    const made = await once({ ...body, ...path }, (header) =>
      answered(api.POST('/api/v1/stock/{spool_id}/ends', { params: { path, header }, body })),
    )
    await ledger.moved()
    notify(`Combined: ${made.left} on ${made.title}. Undo it under “History”.`)
    emit('merged')
  })
</script>

<template>
  <section class="more" :aria-label="`More of ${row.title}`">
    <p v-if="row.note" class="poor">{{ row.note }}</p>
    <p class="quiet">
      {{ row.known.join(' ') }}
      <RouterLink
        v-if="row.form === 'spool'"
        :to="{ path: '/spools/measure', query: { of: row.spool_id } }"
        >Measure it</RouterLink
      >
    </p>
    <p v-if="use" class="quiet">{{ use.words }}</p>
    <form class="row" @submit.prevent="takeOff">
      <span class="quiet">Take off</span>
      <input
        v-model="amount"
        class="pick figure more__amount"
        aria-label="How much to take off"
        :placeholder="row.form === 'packet' ? '1' : settings.units === 'metric' ? '60 cm' : '2 ft'"
      />
      <PickOne v-model="why" class="more__why" label="Why" :options="WHYS" />
      <input v-model="words" class="pick more__words" aria-label="Note" placeholder="words to it" />
      <button class="do" type="submit" :disabled="!amount.trim()">Take it off</button>
    </form>
    <p v-if="others.length" class="row">
      <span class="quiet">Another spool of the same?</span>
      <StockPick
        class="more__other"
        label="Combine with this one"
        :rows="others"
        :model-value="''"
        placeholder="put its rest on this one"
        @update:model-value="putTogether"
      />
    </p>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <template v-if="measured?.length">
      <h3>Measured</h3>
      <ul class="more__measured">
        <li v-for="(item, i) in measured.slice(0, 3)" :key="i">
          <span class="quiet figure">{{ withDays(item.day) }}</span> {{ item.words }}
        </li>
      </ul>
    </template>
    <h3>History</h3>
    <LedgerList :spool-id="row.spool_id" :most="5" />
  </section>
</template>

<style scoped>
.more {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  margin-top: 16px;
  padding-top: 14px;
  border-top: 1px solid var(--hair);
}

.more__amount {
  width: 84px;
}

.more__why {
  width: auto;
}

.more__words {
  flex: 1;
  width: auto;
  min-width: 120px;
}

.more__measured {
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 14px;
}

.more__other {
  width: 260px;
}
</style>
