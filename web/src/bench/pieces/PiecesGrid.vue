<script setup lang="ts">
import { computed } from 'vue'
import { useStock } from '@/api/queries'
import TypedField from '@/widgets/TypedField.vue'
import { useBench } from '../useBench'
import { useSelection } from '../useSelection'
import JointSelect from './JointSelect.vue'
import RoleSelect from './RoleSelect.vue'
import StockSelect from './StockSelect.vue'

const bench = useBench()
const selection = useSelection()
const { data: stock } = useStock()
const pieces = computed(() => bench.evaluation?.pieces ?? [])
const joints = computed(() => bench.evaluation?.joints ?? [])

const faultsAt = (joint: number) =>
  joints.value[joint]?.advice.faults.map((fault) => `${fault.what} ${fault.hint}`).join(' ') ?? ''

const take = (piece: number) => (length: string) =>
  bench.tryEdit({ act: 'set-length', piece, length })

/** Up and down go to the same column of the next row, as in any table of figures. */
function move(event: KeyboardEvent) {
  const by = { ArrowUp: -1, ArrowDown: 1 }[event.key]
  const from = event.target
  if (!by || !(from instanceof HTMLInputElement)) return
  const cell = from.closest('td')
  const row = cell?.parentElement
  const next = by > 0 ? row?.nextElementSibling : row?.previousElementSibling
  const field = next?.children[cell?.cellIndex ?? 0]?.querySelector<HTMLInputElement>('input')
  if (!field) return
  event.preventDefault()
  field.focus()
  field.select()
}
</script>

<template>
  <div class="grid" tabindex="0" role="region" aria-label="Pieces as rows">
    <table @keydown="move">
      <thead>
        <tr>
          <th scope="col" class="number">#</th>
          <th scope="col" class="part">Part</th>
          <th scope="col" class="wide">Spool</th>
          <th scope="col" class="size">Diameter</th>
          <th scope="col" class="short">Length</th>
          <th scope="col" class="load">Breaks at</th>
          <th scope="col" class="wide">Joint below</th>
          <th scope="col" class="load">Holds</th>
          <th scope="col">Cut</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="piece in pieces"
          :key="piece.index"
          :class="{ chosen: selection.is('piece', piece.index) }"
          @focusin="selection.select('piece', piece.index)"
        >
          <th scope="row" class="figure">{{ piece.index + 1 }}</th>
          <td><RoleSelect :piece="piece" /></td>
          <td>
            <StockSelect
              :stock="stock ?? []"
              :piece="piece"
              :label="`Spool of piece ${piece.index + 1}`"
            />
          </td>
          <td class="figure">{{ piece.diameter }}</td>
          <td>
            <TypedField
              :label="`Length of piece ${piece.index + 1}`"
              hide-label
              :model-value="piece.length.text"
              :take="take(piece.index)"
            />
          </td>
          <td class="figure">{{ piece.breaks.text }}</td>
          <td class="tied">
            <JointSelect :joint="piece.index + 1" />
            <span
              v-if="faultsAt(piece.index + 1)"
              class="fault"
              role="img"
              :aria-label="faultsAt(piece.index + 1)"
              :title="faultsAt(piece.index + 1)"
              >!</span
            >
          </td>
          <td class="figure">{{ joints[piece.index + 1]?.holds.text }}</td>
          <td class="figure">{{ piece.cut.text }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.grid {
  overflow: auto;
}

table {
  min-width: 780px;
  width: 100%;
  table-layout: fixed;
  border-collapse: collapse;
  font-size: 13px;
}

th,
td {
  padding: 1px 8px 1px 0;
  border-bottom: 1px solid var(--hair);
  text-align: left;
  white-space: nowrap;
}

thead th {
  position: sticky;
  top: 0;
  z-index: 1;
  background: var(--ground);
  color: var(--ink-2);
  font-size: var(--small);
  font-weight: 500;
}

.tied {
  position: relative;
}

.fault {
  position: absolute;
  top: 5px;
  right: 14px;
  width: 17px;
  border-radius: 50%;
  background: var(--doubt);
  color: var(--surface);
  font-weight: 700;
  text-align: center;
}

.chosen th,
.chosen td {
  background: var(--act-soft);
}

.grid :deep(.typed__box),
.grid :deep(.pick) {
  height: 27px;
}

.number {
  width: 18px;
}

.part {
  width: 78px;
}

.wide {
  width: 150px;
}

.size {
  width: 112px;
}

.short {
  width: 108px;
}

.load {
  width: 71px;
}
</style>
