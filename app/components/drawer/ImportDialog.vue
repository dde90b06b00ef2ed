<script setup lang="ts">
import { CircleAlert, CircleCheck, FileUp, X } from '@lucide/vue'
import { STENCIL_KINDS, summaryOf, type Analysis, type FileRead, type StencilKind } from '#core/stencil'
import type { StencilMeta } from '~~/server/db/stencils'

const props = defineProps<{ dropped?: readonly File[] }>()
const emit = defineEmits<{ close: [] }>()
const worker = useSheetWorker()

interface Entry {
  key: number
  file: string
  text: string
  name: string
  kind: StencilKind
  width: number | null
  asked: string | null
  read: FileRead | null
  analysis: Analysis | null
  problem: string
  progress: string
  state: 'reading' | 'ready' | 'bad' | 'sending' | 'done'
}
const entries = ref<Entry[]>([])
const box = useTemplateRef<HTMLInputElement>('box')
const known = {
  'A4 portrait': 210,
  'A5 portrait': 148,
  'A5 landscape': 210,
  'A6 portrait': 105,
  'A6 landscape': 148,
} as const
let count = 0

const MOST = 8 * 1024 * 1024

async function take(files: Iterable<File> | null): Promise<void> {
  for (const file of files ?? []) {
    entries.value.push({
      key: ++count,
      file: file.name,
      text: '',
      name:
        file.name
          .replace(/\.(svg|dxf)$/i, '')
          .replace(/[-_]+/g, ' ')
          .slice(0, 80) || 'Stencil',
      kind: 'motif',
      width: null,
      asked: null,
      read: null,
      analysis: null,
      problem: '',
      progress: '',
      state: 'reading',
    })
    const entry = entries.value.at(-1)!
    if (file.size > MOST) {
      entry.state = 'bad'
      entry.problem = `The file is ${Math.round(file.size / 1048576)} MB; stencils of up to 8 MB are read.`
      continue
    }
    entry.text = await file.text()
    await read(entry)
  }
  if (box.value) box.value.value = ''
}

onMounted(() => void take(props.dropped ?? null))

const STOPPED = 'Stopped. Take it off the list, or choose the file again.'
/** A reading that was stopped, as one that gave a sentence. */
function stopped(error: unknown): { ok: false; sentence: string } {
  return { ok: false, sentence: error instanceof GivenUp ? STOPPED : sentencesOf(error).join(' ') }
}

async function read(entry: Entry): Promise<void> {
  entry.state = 'reading'
  const width = entry.width ?? undefined
  const result = await worker.read(entry.text, width).catch(stopped)
  if (!result.ok) {
    entry.state = 'bad'
    entry.problem = result.sentence
    return
  }
  entry.read = markRaw(result.read)
  entry.asked = entry.asked ?? result.read.ask
  entry.problem = ''
  try {
    entry.analysis = markRaw(
      await worker.analyse(result.read.sheet, 1, (words, done) => {
        entry.progress = `${words}, ${Math.round(100 * done)} %`
      }),
    )
  } catch (error) {
    // It can be kept and used without its measures.
    entry.problem = error instanceof GivenUp ? 'Measuring was stopped.' : sentencesOf(error).join(' ')
  }
  entry.state = 'ready'
}

function size(entry: Entry, width: number): void {
  entry.width = width
  void read(entry)
}
const sizeKnown = (entry: Entry) => entry.read !== null && entry.read.ask === null

async function add(entry: Entry): Promise<void> {
  entry.state = 'sending'
  try {
    await $fetch<{ stencil: StencilMeta }>('/api/stencils', {
      method: 'POST',
      body: {
        file: entry.text,
        widthMm: entry.width ?? undefined,
        about: { name: entry.name, kind: entry.kind, groups: entry.analysis?.groups ?? [] },
        analysis: entry.analysis ? summaryOf(toRaw(entry.analysis)) : undefined,
      },
    })
    entry.state = 'done'
  } catch (error) {
    entry.state = 'ready'
    entry.problem = sentencesOf(error).join(' ')
  }
}
const ready = computed(() => entries.value.filter(e => e.state === 'ready' && sizeKnown(e)))
const addAll = async () => {
  for (const entry of ready.value) await add(entry)
}
</script>

<template>
  <PanelDialog open title="Import stencils" wide @close="emit('close')">
    <label
      class="grid cursor-pointer place-items-center gap-1 rounded-xl border-2 border-dashed border-rule p-5 text-center hover:border-mulberry"
      @dragover.prevent
      @drop.prevent="take($event.dataTransfer?.files ?? null)"
    >
      <FileUp :size="22" class="text-mulberry" /><span
        ><strong>Choose SVG or DXF files</strong> or drop them here</span
      ><span class="text-sm text-soft">What is closed is cut out. Nothing is kept until you add it.</span>
      <input
        ref="box"
        type="file"
        accept=".svg,.dxf,image/svg+xml"
        multiple
        class="sr-only"
        aria-label="Stencil files"
        @change="take(($event.target as HTMLInputElement).files)"
      />
    </label>
    <ul class="mt-3 max-h-[46vh] space-y-2 overflow-y-auto">
      <li
        v-for="(entry, i) in entries"
        :key="entry.key"
        class="flex gap-3 rounded-xl border border-rule bg-card p-2"
        :aria-label="entry.file"
      >
        <div class="size-28 shrink-0 rounded-lg bg-stage">
          <SheetDrawing
            v-if="entry.read"
            :sheet="entry.read.sheet"
            :analysis="entry.analysis"
            :show="{ islands: true }"
          />
        </div>
        <div class="min-w-0 flex-1 space-y-1">
          <div class="flex items-center gap-2">
            <input
              v-model="entry.name"
              class="field min-w-0 flex-1"
              maxlength="80"
              :aria-label="`Name of ${entry.file}`"
              :disabled="entry.state === 'done'"
            />
            <select
              v-model="entry.kind"
              class="field w-32!"
              :aria-label="`Kind of ${entry.file}`"
              :disabled="entry.state === 'done'"
            >
              <option v-for="k in STENCIL_KINDS" :key="k">{{ k }}</option>
            </select>
            <button
              class="icon-btn"
              :aria-label="`Take ${entry.file} off the list`"
              @click="entries.splice(i, 1)"
            >
              <X :size="15" />
            </button>
          </div>
          <WaitBar
            v-if="entry.state === 'reading'"
            class="text-sm"
            :words="`Reading… ${entry.progress}`"
            @stop="worker.giveUp()"
          />
          <p v-if="entry.problem" class="flex items-start gap-1 text-sm text-stop" role="alert">
            <CircleAlert :size="15" class="mt-0.5 shrink-0" />{{ entry.problem }}
          </p>
          <template v-if="entry.read && entry.analysis && entry.state !== 'bad'">
            <p class="text-sm">
              {{
                sizeKnown(entry)
                  ? `${entry.read.sheet.width.toFixed(1)} × ${entry.read.sheet.height.toFixed(1)} mm, `
                  : ''
              }}{{ entry.analysis.openings }} {{ entry.analysis.openings === 1 ? 'opening' : 'openings'
              }}<span v-if="sizeKnown(entry) && entry.analysis.bridge"
                >, narrowest bridge {{ entry.analysis.bridge.width.toFixed(2) }} mm</span
              ><span v-if="entry.analysis.islands.length" class="text-stop"
                >, {{ entry.analysis.islands.length }} loose
                {{ entry.analysis.islands.length === 1 ? 'piece' : 'pieces' }} (repair it on its page)</span
              >
            </p>
            <p v-for="note in entry.read.notes" :key="note" class="text-sm text-care">{{ note }}</p>
            <div
              v-if="entry.asked && entry.state !== 'done'"
              class="rounded-lg border border-care/50 bg-field p-2 text-sm"
            >
              <p class="text-care">{{ entry.asked }}</p>
              <div class="mt-1 flex flex-wrap items-center gap-1.5">
                <label class="flex items-center gap-1"
                  >stencil's width<NumberInput
                    :model-value="entry.width"
                    class="w-20!"
                    :min="5"
                    :max="1200"
                    :step="0.5"
                    :label="`Real width of ${entry.file}, mm`"
                    @update:model-value="mm => size(entry, mm!)"
                  />mm</label
                >
                <button v-for="(mm, words) in known" :key="words" class="chip" @click="size(entry, mm)">
                  {{ words }}
                </button>
              </div>
            </div>
          </template>
          <p v-if="entry.state === 'done'" class="flex items-center gap-1 text-sm text-go">
            <CircleCheck :size="15" />In the drawer
          </p>
          <button
            v-else-if="entry.state === 'ready'"
            class="btn"
            :disabled="!sizeKnown(entry)"
            @click="add(entry)"
          >
            Add to the drawer
          </button>
        </div>
      </li>
    </ul>
    <div v-if="entries.length" class="mt-3 flex justify-end gap-2">
      <button v-if="ready.length > 1" class="btn-main" @click="addAll">Add all {{ ready.length }}</button
      ><button class="btn" @click="emit('close')">Done</button>
    </div>
  </PanelDialog>
</template>
