<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { StockRow } from '@/api/client'
import { useCatalogue, useStock } from '@/api/queries'
import DamagedRows from '@/shell/DamagedRows.vue'
import KitList from './KitList.vue'
import { soughtIn } from '@/widgets/soughtIn'
import PacketForm from './PacketForm.vue'
import PutAway from './PutAway.vue'
import SayOwned from './SayOwned.vue'
import SpoolDisc from './SpoolDisc.vue'
import SpoolForm from './SpoolForm.vue'

const { data: stock, isSuccess } = useStock()
const { data: catalogue } = useCatalogue()
type Form = 'spool' | 'packet'
const editing = ref<{ form: Form; row: StockRow | null; like?: StockRow } | null>(null)

/** The form once more, empty of what is this one's own: another like it. */
async function again(form: Form, like: StockRow) {
  editing.value = null
  await nextTick()
  editing.value = { form, row: null, like }
}

/** Words of which every one must be found in a row's own. */
const sought = ref('')
const lowOnly = ref(false)
const renewOnly = ref(false)
const narrowed = computed(() => !!sought.value || lowOnly.value || renewOnly.value)
const isSought = (row: StockRow) =>
  (!lowOnly.value || row.low) &&
  (!renewOnly.value || !!row.note) &&
  soughtIn(
    sought.value,
    `${row.title} ${row.material_title} ${row.diameter} ${row.strength} ${row.left}`,
  )

/** A shelf a material, thickest first as the server sends them. */
const shelves = computed(() =>
  (catalogue.value?.materials ?? [])
    .map((material) => ({
      ...material,
      rows: (stock.value ?? []).filter(
        (row) => row.form === 'spool' && row.material === material.key && isSought(row),
      ),
    }))
    .filter((shelf) => shelf.rows.length),
)
const packets = computed(() =>
  (stock.value ?? []).filter((row) => row.form === 'packet' && isSought(row)),
)

const spoolOpen = computed({
  get: () => editing.value?.form === 'spool',
  set: (open) => open || (editing.value = null),
})
const packetOpen = computed({
  get: () => editing.value?.form === 'packet',
  set: (open) => open || (editing.value = null),
})
</script>

<template>
  <div>
    <header class="row">
      <p class="quiet grow owned__words">
        Each disc is a spool: the thicker its ring, the more is left; a dashed ring means it is low.
        Leaders are built from these. A strength without a label, or a diameter marked ≈, is typical
        for the material.
      </p>
      <button class="do" type="button" @click="editing = { form: 'packet', row: null }">
        Add knotless tapers
      </button>
      <button class="do do--main" type="button" @click="editing = { form: 'spool', row: null }">
        Add a spool
      </button>
    </header>
    <SayOwned :begins="isSuccess && !stock?.length" />
    <div v-if="stock" class="seek">
      <label class="row">
        <span class="quiet">Search</span>
        <el-input v-model="sought" placeholder="5X, fluorocarbon, stiff .01" clearable />
      </label>
      <label><input v-model="lowOnly" type="checkbox" /> low</label>
      <label><input v-model="renewOnly" type="checkbox" /> needs attention</label>
      <span v-if="narrowed && !shelves.length && !packets.length" role="status"
        >Nothing on the shelf matches.</span
      >
    </div>
    <DamagedRows :kinds="['spool']" />
    <p v-if="isSuccess && !stock?.length">
      The shelf is empty. Type what you own above, or start with one of the starter shelves.
    </p>
    <section v-for="shelf in shelves" :key="shelf.key" class="shelf">
      <h2>
        {{ shelf.title }} <span class="quiet">{{ shelf.reasons.join(' ') }}</span>
      </h2>
      <ul>
        <li v-for="row in shelf.rows" :key="row.spool_id">
          <SpoolDisc :row="row" @edit="editing = { form: 'spool', row }" />
        </li>
      </ul>
    </section>
    <section v-if="packets.length" class="shelf">
      <h2>Knotless tapers <span class="quiet">by the packet</span></h2>
      <ul>
        <li v-for="row in packets" :key="row.spool_id">
          <button class="packet" type="button" @click="editing = { form: 'packet', row }">
            <strong>{{ row.title }}</strong>
            <span class="figure">{{ row.diameter }}</span>
            <span class="quiet"
              >{{ row.left }} · tip {{ row.strength }}{{ row.low ? ' · low' : '' }}</span
            >
          </button>
        </li>
      </ul>
    </section>
    <KitList :sought="sought" />
    <PutAway />
    <SpoolForm
      v-model="spoolOpen"
      :row="editing?.row ?? null"
      :like="editing?.like ?? null"
      @another="(row) => again('spool', row)"
    />
    <PacketForm
      v-model="packetOpen"
      :row="editing?.row ?? null"
      :like="editing?.like ?? null"
      @another="(row) => again('packet', row)"
    />
  </div>
</template>

<style scoped>
.owned__words {
  max-width: 84ch;
  margin-right: auto;
}

.seek {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 18px;
}

.seek .el-input {
  width: 260px;
}

.shelf {
  margin-top: 22px;
}

.shelf h2 {
  padding-bottom: 6px;
}

.shelf h2::first-letter {
  text-transform: uppercase;
}

.shelf h2 .quiet {
  margin-left: 8px;
  font-weight: 400;
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 4px;
  margin: 0;
  padding: 0 0 6px;
  border-bottom: 3px solid var(--hair);
  list-style: none;
}

.packet {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 2px;
  padding: 10px 14px;
  border: 1px solid var(--hair-strong);
  border-radius: var(--radius);
  background: var(--raised);
  text-align: left;
  cursor: pointer;
}

.packet:hover {
  border-color: var(--act);
}

@media (max-width: 820px) {
  .owned__words {
    flex-basis: 100%;
  }
}
</style>
