<script setup lang="ts">
import { CircleCheck, FileDown, FileUp } from '@lucide/vue'
import { standingOf, type SheetCame, type SheetOnTheWay, type Standing } from '#core/formats'
import { unprepared } from '#core/stencil'
import type { StencilMeta } from '~~/server/db/stencils'

/** Sheets out of the drawer as one file, and in from somebody else's. */
const props = defineProps<{ shown: readonly StencilMeta[] }>()
const emit = defineEmits<{ close: [] }>()
const drawer = useDrawer()
const worker = useSheetWorker()
const problem = ref('')
const working = ref(false)

interface Row {
  came: SheetCame
  standing: Standing | 'damaged'
  /** The shape is the same as that of the one in the drawer. */
  shape: boolean
  of: StencilMeta | null
  take: boolean
  said: string
  done: boolean
}
const rows = ref<Row[]>([])

const known = async (list: readonly StencilMeta[]): Promise<SheetOnTheWay[]> => {
  await drawer.ensure(list.map(s => s.id))
  return list.flatMap(
    ({ analysis: _, mendedFrom: _m, photo: _p, cleanedOn: _c, width: _w, height: _h, ...about }) => {
      const sheet = drawer.shapes.get(about.id)
      return sheet ? [{ about, sheet: unprepared(sheet) }] : []
    },
  )
}
async function out(list: readonly StencilMeta[]): Promise<void> {
  working.value = true
  problem.value = ''
  try {
    const bytes = await worker.packed(await known(list))
    const url = URL.createObjectURL(new Blob([bytes as BlobPart], { type: 'application/zip' }))
    const link = document.createElement('a')
    link.href = url
    link.download = `stencils, ${new Date().toISOString().slice(0, 10)}.zip`
    link.click()
    setTimeout(() => URL.revokeObjectURL(url), 10_000)
  } catch (error) {
    problem.value = sentencesOf(error).join(' ')
  }
  working.value = false
}
const MOST = 30e6
async function take(files: FileList | null | undefined): Promise<void> {
  const file = files?.[0]
  if (!file) return
  working.value = true
  problem.value = ''
  rows.value = []
  try {
    if (file.size > MOST) throw new RangeError(`The file is ${Math.round(file.size / 1e6)} MB; files of up to ${MOST / 1e6} MB are read.`) // prettier-ignore
    const answer = await worker.unpacked(new Uint8Array(await file.arrayBuffer()))
    if (!answer.ok) throw new RangeError(answer.sentence)
    const have = await known(drawer.list)
    rows.value = answer.came.map(one => markedRow(one, have))
  } catch (error) {
    problem.value = sentencesOf(error).join(' ')
  }
  working.value = false
}
function markedRow(came: SheetCame, have: readonly SheetOnTheWay[]): Row {
  const plainRow = { came: markRaw(came), of: null, shape: true, take: false, said: '', done: false }
  if (!came.ok) return { ...plainRow, standing: 'damaged', said: came.sentence }
  const { standing, of, shape } = standingOf(came, have)
  return {
    ...plainRow,
    standing,
    shape,
    of: of ? (drawer.find(of.about.id) ?? null) : null,
    take: standing === 'new',
  }
}
const words = (row: Row): string =>
  ({
    new: 'new',
    same: 'you have it already',
    changed: row.shape
      ? 'you have it; what is noted differs'
      : 'you have one of this name with another shape',
    damaged: 'cannot be used',
  })[row.standing]

async function takeIn(row: Row): Promise<void> {
  if (!row.came.ok) return
  const { id: _, ...about } = row.came.about
  try {
    if (row.of && row.shape) {
      // How many one has is one's own.
      const { copies: _copies, ...notes } = about
      await drawer.change(row.of.id, notes)
    } else
      await $fetch('/api/stencils', {
        method: 'POST',
        body: {
          file: row.came.svg,
          about: { ...about, name: row.of ? `${about.name.slice(0, 70)} (came in)` : about.name },
        },
      })
    row.done = true
    row.said = row.of && row.shape ? 'Its notes were taken over.' : 'In the drawer.'
  } catch (error) {
    row.said = sentencesOf(error).join(' ')
  }
}
const chosen = computed(() => rows.value.filter(r => r.take && !r.done))
async function takeAll(): Promise<void> {
  if (working.value) return
  working.value = true
  for (const row of chosen.value) await takeIn(row)
  working.value = false
  await drawer.load().catch(() => {})
}
</script>

<template>
  <PanelDialog open title="Send stencils, take them in" wide @close="emit('close')">
    <div class="grid grid-cols-2 gap-3">
      <section class="rounded-xl border border-rule bg-card p-3">
        <h3 class="font-semibold">Out of the drawer</h3>
        <p class="text-sm text-soft">
          One file with drawings in millimetres (SVG) and what you noted of each (JSON).
        </p>
        <div class="mt-2 flex flex-wrap gap-2">
          <button class="btn" :disabled="working" @click="out(drawer.list)">
            <FileDown :size="16" />All {{ drawer.list.length }}
          </button>
          <button
            v-if="props.shown.length && props.shown.length < drawer.list.length"
            class="btn"
            :disabled="working"
            @click="out(props.shown)"
          >
            The {{ props.shown.length }} shown
          </button>
        </div>
      </section>
      <label
        class="grid cursor-pointer place-content-center justify-items-center gap-1 rounded-xl border-2 border-dashed border-rule p-3 text-center hover:border-mulberry"
        @dragover.prevent
        @drop.prevent="take($event.dataTransfer?.files)"
      >
        <FileUp :size="20" class="text-mulberry" /><strong>Choose a file of stencils</strong>
        <span class="text-sm text-soft">You see what is new before anything is kept.</span>
        <input
          type="file"
          accept=".zip,application/zip"
          class="sr-only"
          aria-label="File of stencils"
          @change="
            (take(($event.target as HTMLInputElement).files),
            (($event.target as HTMLInputElement).value = ''))
          "
        />
      </label>
    </div>
    <p v-if="problem" role="alert" class="mt-2 text-stop">{{ problem }}</p>
    <template v-if="rows.length">
      <p role="status" class="mt-3 text-sm">
        {{ rows.filter(r => r.standing === 'new').length }} new,
        {{ rows.filter(r => r.standing === 'same').length }} the same,
        {{ rows.filter(r => r.standing === 'changed').length }} changed<template
          v-if="rows.some(r => r.standing === 'damaged')"
          >, {{ rows.filter(r => r.standing === 'damaged').length }} that cannot be used</template
        >.
      </p>
      <ul class="mt-2 max-h-[44vh] space-y-1 overflow-y-auto">
        <li
          v-for="(row, i) in rows"
          :key="i"
          class="flex items-center gap-3 rounded-lg border border-rule bg-card p-2"
        >
          <div class="size-14 shrink-0 rounded bg-stage">
            <SheetDrawing v-if="row.came.ok" :sheet="row.came.sheet" />
          </div>
          <label class="flex flex-1 items-center gap-2"
            ><input
              v-model="row.take"
              type="checkbox"
              class="accent-mulberry"
              :disabled="row.done || row.standing === 'same' || row.standing === 'damaged'"
            />
            <span
              ><strong>{{ row.came.ok ? row.came.about.name : row.came.name }}</strong>
              <span class="block text-sm" :class="row.standing === 'damaged' ? 'text-stop' : 'text-soft'"
                >{{ words(row)
                }}<template v-if="row.standing === 'changed'"
                  >: {{ row.shape ? 'take its notes over' : 'add it beside yours' }}</template
                ></span
              ></span
            ></label
          >
          <span
            v-if="row.said"
            class="flex items-center gap-1 text-sm"
            :class="row.done ? 'text-go' : 'text-stop'"
            ><CircleCheck v-if="row.done" :size="15" />{{ row.said }}</span
          >
        </li>
      </ul>
      <div class="mt-3 flex justify-end gap-2">
        <button class="btn-main" :disabled="working || !chosen.length" @click="takeAll()">
          Import {{ chosen.length }}
        </button>
        <button class="btn" @click="emit('close')">Done</button>
      </div>
    </template>
  </PanelDialog>
</template>
