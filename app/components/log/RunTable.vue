<script setup lang="ts">
import {
  createColumnHelper,
  FlexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useVueTable,
  type SortingState,
} from '@tanstack/vue-table'
import { ArrowDown, ArrowUp, Image } from '@lucide/vue'
import { format } from 'date-fns'
import { standingOf, type Standing } from '#core/chair'
import type { KeptRun } from '~~/server/db/runs'

/** The log as a table that can be sorted and searched. */
const props = defineProps<{ kept: readonly KeptRun[]; search: string; chosen: string | null }>()
const emit = defineEmits<{ choose: [id: string] }>()
const column = createColumnHelper<KeptRun>()
const badly = ({ run }: KeptRun) => run.steps.filter(s => s.went !== null && s.went !== 'fine')
const waited = ({ run }: KeptRun) => run.steps.reduce((sum, s) => sum + s.waited, 0)
const leftOut = ({ run }: KeptRun) =>
  run.steps.filter(s => s.ending === 'skipped' || s.ending === 'left out').length
const lengthOf = ({ run }: KeptRun) =>
  run.typed ? 'typed in' : run.endedAt === null ? `${run.length}, not ended` : run.length
const words = (list: ReturnType<typeof badly>) =>
  [...new Set(list.map(s => s.went))].map(w => `${list.filter(s => s.went === w).length} ${w}`).join(', ')
const PACE: Readonly<Record<Standing, string>> = {
  'counts': 'counts',
  'not ended': 'no: not ended',
  'clicked through': 'no: pressed through',
  'left out': 'no: left out',
  'no times': 'no: no times',
}
const columns = [
  column.accessor(k => k.run.startedAt, {
    id: 'day',
    header: 'Day',
    cell: c => format(new Date(c.getValue()), 'd MMM yyyy, HH:mm'),
  }),
  column.accessor(k => k.run.look.name, { id: 'look', header: 'Look' }),
  column.accessor(k => lengthOf(k), { id: 'length', header: 'Length' }),
  column.accessor(k => k.run.ticket, { id: 'ticket', header: 'Ticket' }),
  column.accessor(k => k.run.seconds, { id: 'took', header: 'Took', cell: c => clock(c.getValue()) }),
  column.accessor(k => k.run.planned, { id: 'planned', header: 'Planned', cell: c => clock(c.getValue()) }),
  column.accessor(k => PACE[standingOf(k.run)], { id: 'pace', header: 'Pace' }),
  column.accessor(waited, { id: 'waited', header: 'Waited', cell: c => clock(c.getValue()) }),
  column.accessor(leftOut, { id: 'out', header: 'Left out', cell: c => c.getValue() || '' }),
  column.accessor(k => words(badly(k)), {
    id: 'went',
    header: 'Went',
    sortingFn: (a, b) => badly(a.original).length - badly(b.original).length,
  }),
  column.accessor(k => k.run.note, { id: 'note', header: 'Note' }),
]
const sorting = ref<SortingState>([{ id: 'day', desc: true }])
const rows = computed(() => [...props.kept])
const table = useVueTable({
  // The same array while nothing has changed: a new one would make the table begin again for ever.
  get data() {
    return rows.value
  },
  columns,
  state: {
    get sorting() {
      return sorting.value
    },
    get globalFilter() {
      return props.search
    },
  },
  onSortingChange: next => {
    sorting.value = typeof next === 'function' ? next(sorting.value) : next
  },
  getRowId: k => k.run.id,
  getCoreRowModel: getCoreRowModel(),
  getSortedRowModel: getSortedRowModel(),
  getFilteredRowModel: getFilteredRowModel(),
})
const NUMBERS = new Set(['took', 'planned', 'waited', 'out'])
</script>

<template>
  <ul class="space-y-2 sm:hidden" aria-label="Runs, as cards">
    <li v-for="row in table.getRowModel().rows" :key="row.id">
      <button
        class="block w-full rounded-xl border bg-card p-3 text-left"
        :class="row.id === chosen ? 'border-mulberry' : 'border-rule'"
        @click="emit('choose', row.id)"
      >
        <span class="flex items-baseline gap-2"
          ><strong class="min-w-0 flex-1 truncate">{{ row.original.run.look.name }}</strong
          ><span class="shrink-0 tabular-nums"
            >{{ clock(row.original.run.seconds) }} of {{ clock(row.original.run.planned) }}</span
          ></span
        >
        <span class="block text-soft"
          >{{ format(new Date(row.original.run.startedAt), 'd MMM yyyy, HH:mm') }}, {{ lengthOf(row.original)
          }}{{ row.original.run.ticket ? `, ticket ${row.original.run.ticket}` : '' }}</span
        >
        <span class="block text-soft">pace: {{ PACE[standingOf(row.original.run)] }}</span>
      </button>
    </li>
  </ul>
  <table class="w-full text-left text-[0.93rem] max-sm:hidden">
    <thead>
      <tr class="border-b border-rule">
        <th
          v-for="head in table.getFlatHeaders()"
          :key="head.id"
          class="py-1 pr-3 font-semibold whitespace-nowrap"
          :class="NUMBERS.has(head.id) && 'text-right'"
          :aria-sort="
            head.column.getIsSorted() === 'asc'
              ? 'ascending'
              : head.column.getIsSorted() === 'desc'
                ? 'descending'
                : 'none'
          "
        >
          <button class="inline-flex items-center gap-1" @click="head.column.toggleSorting()">
            <FlexRender :render="head.column.columnDef.header" :props="head.getContext()" /><ArrowUp
              v-if="head.column.getIsSorted() === 'asc'"
              :size="13"
            /><ArrowDown v-else-if="head.column.getIsSorted() === 'desc'" :size="13" />
          </button>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="row in table.getRowModel().rows"
        :key="row.id"
        class="cursor-pointer border-b border-rule hover:bg-mulberry-wash"
        :class="row.id === chosen && 'bg-mulberry-wash'"
        :data-run="row.id"
        @click="emit('choose', row.id)"
      >
        <td
          v-for="cell in row.getVisibleCells()"
          :key="cell.id"
          class="py-1.5 pr-3"
          :class="
            NUMBERS.has(cell.column.id)
              ? 'text-right tabular-nums'
              : cell.column.id === 'note'
                ? 'max-w-48 truncate'
                : 'whitespace-nowrap'
          "
        >
          <button
            v-if="cell.column.id === 'look'"
            class="inline-flex items-center gap-1.5 font-semibold underline-offset-4 hover:underline"
          >
            <FlexRender :render="cell.column.columnDef.cell" :props="cell.getContext()" /><Image
              v-if="row.original.picture"
              :size="14"
              aria-label="with a picture"
            />
          </button>
          <FlexRender v-else :render="cell.column.columnDef.cell" :props="cell.getContext()" />
        </td>
      </tr>
    </tbody>
  </table>
</template>
