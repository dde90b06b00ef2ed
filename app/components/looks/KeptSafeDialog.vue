<script setup lang="ts">
import { format } from 'date-fns'
import { Download, FileUp, RotateCcw } from '@lucide/vue'
import { toast } from 'vue-sonner'
import type { Damaged, DamagedKind } from '~~/server/pool/damage'
import type { BackupKept } from '~~/server/utils/backups'

/** Backups of everything, and looks that were deleted: made, fetched and brought back. */
const emit = defineEmits<{ close: []; restored: [] }>()

interface Deleted {
  id: string
  name: string
  version: number
  deletedAt: string
}
interface HouseState {
  folder: string
  trouble: string | null
  /** What cannot be read where it is kept. */
  damaged: Damaged[]
  /** What can be read, and is not as it was written. */
  changed: Damaged[]
  backups: BackupKept[]
  /** The data files of before a restore. */
  earlier: BackupKept[]
}

const state = shallowRef<HouseState | null>(null)
const deleted = shallowRef<Deleted[]>([])
const drawer = useDrawer()
const failed = ref<string[]>([])
/** What is being done, in words; null when nothing is. */
const doing = ref<string | null>(null)
/** The backup that is to be restored once the painter has said so: its name, or a file. */
const asked = shallowRef<{ words: string; name?: string; file?: File } | null>(null)
const box = useTemplateRef<HTMLInputElement>('box')

async function attempt(words: string, job: () => Promise<void>): Promise<void> {
  doing.value = words
  failed.value = []
  try {
    await job()
  } catch (error) {
    failed.value = sentencesOf(error)
  }
  doing.value = null
}
async function read(): Promise<void> {
  state.value = await $fetch<HouseState>('/api/house')
  if (state.value.trouble) return
  const [looks] = await Promise.all([$fetch<Deleted[]>('/api/looks/deleted'), drawer.load()])
  deleted.value = looks
}
onMounted(() => attempt('Reading…', read))

const backUp = () =>
  attempt('Backing everything up…', async () => {
    await $fetch('/api/house/backups', { method: 'POST' })
    await read()
  })
const bringBack = ({ id, name }: Deleted) =>
  attempt('Bringing it back…', async () => {
    await $fetch(`/api/looks/${id}/restore`, { method: 'POST' })
    await read()
    toast(`${name} is back`)
    emit('restored')
  })
const bringSheetBack = (id: string, name: string) =>
  attempt('Bringing it back…', async () => {
    await drawer.bringBack(id)
    toast(`${name} is back in the drawer`)
  })
function chosen(event: Event): void {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (file) asked.value = { words: file.name, file }
  field.value = ''
}
const restore = () =>
  attempt('Restoring…', async () => {
    const { name, file } = asked.value!
    asked.value = null
    const { looks, sheets } = await $fetch<{ looks: number; sheets: number }>('/api/house/restore', {
      method: 'POST',
      query: name ? { name } : {},
      body: file,
    })
    await read()
    toast(`Restored: ${looks} looks, ${sheets} stencils. What was there before is kept as a backup.`)
    emit('restored')
  })
const KINDS: Readonly<Record<DamagedKind, string>> = {
  look: 'look',
  version: 'earlier version',
  picture: 'picture',
  stencil: 'stencil',
  photograph: 'photograph of the stencil',
  paint: 'paint',
  sitting: 'sitting of',
  reading: 'reading of the',
  setting: 'setting',
}
const damagedWords = ({ kind, name }: Damaged) =>
  `${KINDS[kind]} ${kind === 'sitting' && !Number.isNaN(Date.parse(name)) ? time(name) : name}`
const size = (bytes: number) => `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`
const time = (at: string) => format(new Date(at), 'd MMM yyyy, HH:mm')
</script>

<template>
  <PanelDialog open wide title="Kept safe" @close="emit('close')">
    <p v-for="s in failed" :key="s" role="alert" class="mb-2 text-stop">{{ s }}</p>
    <p v-if="state?.trouble" role="alert" class="mb-2 text-stop">{{ state.trouble }}</p>
    <p v-if="state?.damaged.length" role="alert" class="mb-2 text-stop">
      Damaged where it is kept, and passed over: {{ state.damaged.map(damagedWords).join(', ') }}. A backup
      from before has it whole.
    </p>
    <p v-if="state?.changed.length" role="alert" class="mb-2 text-stop">
      Not as it was saved, by damage of the disk or by another program:
      {{ state.changed.map(damagedWords).join(', ') }}. Look at it before you use it; a backup from before has
      it as it was.
    </p>
    <section class="mb-5">
      <div class="flex items-center gap-2">
        <h3 class="mr-auto font-display text-lg font-semibold">Backups of everything</h3>
        <button class="btn" :disabled="doing !== null" @click="box?.click()">
          <FileUp :size="15" />Restore a file
        </button>
        <input
          ref="box"
          type="file"
          accept=".zip,application/zip"
          class="hidden"
          aria-label="Backup file"
          @change="chosen"
        />
        <button class="btn-main" :disabled="doing !== null" @click="backUp">Back up now</button>
      </div>
      <p class="text-sm text-soft">
        Looks with their versions, stencils, paints and readings in one file. One is made every day while
        Janusform runs; the last seven stay, and the last seven that you make.
        <template v-if="state">They lie in {{ state.folder }}/backups.</template>
      </p>
      <p v-if="doing" role="status" class="mt-2 flex items-center gap-2">
        <progress class="h-1.5 w-28" aria-hidden="true" />{{ doing }}
      </p>
      <div
        v-if="asked"
        role="alertdialog"
        aria-label="Restore"
        class="mt-2 rounded-xl border border-stop bg-card p-3"
      >
        <p>
          Everything becomes as it is in <strong>{{ asked.words }}</strong>. What is there now is kept as a
          backup first.
        </p>
        <div class="mt-2 flex gap-2">
          <button class="btn-main" @click="restore">Restore</button
          ><button class="btn" @click="asked = null">Leave it as it is</button>
        </div>
      </div>
      <ul class="mt-2 max-h-56 space-y-1 overflow-y-auto">
        <li
          v-for="b in state?.backups"
          :key="b.name"
          class="flex flex-wrap items-center gap-x-3 rounded-lg border border-rule bg-card px-3 py-1"
        >
          <span class="w-40 tabular-nums">{{ time(b.madeAt) }}</span><span class="flex-auto text-soft"
            >{{ b.kind === 'daily' ? 'of the day' : 'made by hand' }}, {{ size(b.bytes) }}</span
          >
          <a
            class="icon-btn"
            :href="`/api/house/backups/${b.name}`"
            :aria-label="`Download the backup of ${time(b.madeAt)}`"
            ><Download :size="16" /></a
          ><button
            class="btn"
            :disabled="doing !== null"
            @click="asked = { words: `the backup of ${time(b.madeAt)}`, name: b.name }"
          >
            Restore
          </button>
        </li>
      </ul>
      <template v-if="state?.earlier.length">
        <h4 class="eyebrow mt-3">Data files of before a restore, the last three; in the folder itself</h4>
        <ul class="space-y-0.5 text-sm text-soft">
          <li v-for="b in state.earlier" :key="b.name" class="flex flex-wrap gap-x-3">
            <span class="w-40 tabular-nums">{{ time(b.madeAt) }}</span><span class="min-w-0 break-all"
              >{{ b.name }}, {{ size(b.bytes) }}</span
            >
          </li>
        </ul>
      </template>
      <p v-if="state && !state.backups.length" class="mt-2 text-soft">There is no backup yet.</p>
    </section>
    <section>
      <h3 class="font-display text-lg font-semibold">Deleted looks</h3>
      <p v-if="!deleted.length" class="text-soft">None: what you delete can be brought back here.</p>
      <ul v-else class="mt-1 max-h-56 space-y-1 overflow-y-auto">
        <li
          v-for="d in deleted"
          :key="d.id"
          class="flex items-center gap-3 rounded-lg border border-rule bg-card px-3 py-1"
        >
          <img
            :src="`/api/looks/${d.id}/revisions/${d.version}/picture.png`"
            alt=""
            loading="lazy"
            class="h-14 w-12 rounded bg-stage object-cover object-top"
          /><span class="flex-1 truncate">{{ d.name }}</span
          ><span class="text-sm text-soft tabular-nums">deleted {{ time(d.deletedAt) }}</span
          ><button class="btn" :disabled="doing !== null" @click="bringBack(d)">
            <RotateCcw :size="15" />Bring back
          </button>
        </li>
      </ul>
    </section>
    <section v-if="drawer.deleted.length" class="mt-5">
      <h3 class="font-display text-lg font-semibold">Deleted stencils</h3>
      <ul class="mt-1 max-h-56 space-y-1 overflow-y-auto">
        <li
          v-for="s in drawer.deleted"
          :key="s.id"
          class="flex items-center gap-3 rounded-lg border border-rule bg-card px-3 py-1"
        >
          <img
            :src="`/api/stencils/${s.id}/picture.svg`"
            alt=""
            loading="lazy"
            class="size-12 rounded bg-white object-contain"
          /><span class="flex-1 truncate">{{ s.name }}</span
          ><span class="text-sm text-soft tabular-nums">deleted {{ time(s.deletedAt!) }}</span
          ><button class="btn" :disabled="doing !== null" @click="bringSheetBack(s.id, s.name)">
            <RotateCcw :size="15" />Bring back
          </button>
        </li>
      </ul>
    </section>
  </PanelDialog>
</template>
