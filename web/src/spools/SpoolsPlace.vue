<script setup lang="ts">
import { computed, ref } from 'vue'
import type { StockRow } from '@/api/client'
import { useCatalogue, useStock } from '@/api/queries'
import DamagedRows from '@/shell/DamagedRows.vue'
import KitList from './KitList.vue'
import PacketForm from './PacketForm.vue'
import SayOwned from './SayOwned.vue'
import SpoolDisc from './SpoolDisc.vue'
import SpoolForm from './SpoolForm.vue'

const { data: stock, isSuccess } = useStock()
const { data: catalogue } = useCatalogue()
const editing = ref<{ form: 'spool' | 'packet'; row: StockRow | null } | null>(null)

/** Words of which every one must be found in a row's own. */
const sought = ref('')
function isSought(row: StockRow) {
  const own = `${row.title} ${row.material_title} ${row.diameter} ${row.strength} ${row.left}`
  return sought.value
    .toLowerCase()
    .split(/\s+/)
    .every((word) => own.toLowerCase().includes(word))
}

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
  <div class="place">
    <header class="row">
      <h1>Spools</h1>
      <span class="grow" />
      <button class="do" type="button" @click="editing = { form: 'packet', row: null }">
        Add knotless tapers
      </button>
      <button class="do do--main" type="button" @click="editing = { form: 'spool', row: null }">
        Add a spool
      </button>
    </header>
    <p class="quiet">
      Each disc is a spool: the thicker its ring, the more is left on it. Leaders are built from
      these; a strength without a label, or a thickness (≈) with nothing else, is the usual for the
      material.
    </p>
    <SayOwned :begins="isSuccess && !stock?.length" />
    <label v-if="stock?.length" class="seek">
      <span class="quiet">Look for</span>
      <el-input v-model="sought" placeholder="5X, fluorocarbon, stiff .01" clearable />
      <span v-if="sought && !shelves.length && !packets.length" role="status"
        >Nothing on the shelf is like that.</span
      >
    </label>
    <DamagedRows :kinds="['spool']" />
    <p v-if="isSuccess && !stock?.length">
      The shelf is empty: type what you own above, or begin with one of the shelves.
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
            <span class="quiet">{{ row.left }} · tip {{ row.strength }}</span>
          </button>
        </li>
      </ul>
    </section>
    <KitList />
    <SpoolForm v-model="spoolOpen" :row="editing?.row ?? null" />
    <PacketForm v-model="packetOpen" :row="editing?.row ?? null" />
  </div>
</template>

<style scoped>
.seek {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
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
</style>
