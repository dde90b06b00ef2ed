<script setup lang="ts">
import { CircleAlert, CircleCheck } from '@lucide/vue'
import { draftSvg, sheetOfDraft, type Draft } from '#core/draft'
import { proposalFor, readAsSet, sizeTrouble } from '#core/photo'
import { STENCIL_KINDS, summaryOf, type Analysis, type SheetGeometry, type StencilKind } from '#core/stencil'
import type { StencilMeta } from '~~/server/db/stencils'

/** Drafts with their names, kinds and tags, on the way into the drawer. */
const props = defineProps<{
  drafts: readonly Draft[]
  name: string
  /** Makes the small photograph of one of them; none where there is no photograph. */
  keepsake?: (index: number) => Promise<Blob | null>
}>()
const emit = defineEmits<{ done: [ids: string[]] }>()
const worker = useSheetWorker()
const drawer = useDrawer()

interface Entry {
  draft: Draft
  sheet: SheetGeometry | null
  analysis: Analysis | null
  name: string
  kind: StencilKind
  heading: number | null
  why: string
  tags: string
  copies: number
  problem: string
  progress: string
  state: 'measuring' | 'ready' | 'sending' | 'done'
  /** A loose piece, or a name that is there twice, has been seen. */
  id: string | null
}
const entries = ref<Entry[]>([])
const photo = ref(true)
const asSet = ref(false)
const shared = ref<readonly number[]>([])
const sending = ref(false)

function begin(): void {
  const set = asSet.value ? readAsSet(props.drafts) : null
  shared.value = set?.shared ?? []
  entries.value = (set?.drafts ?? props.drafts).map((draft, i) => ({
    draft: markRaw(draft),
    sheet: null,
    analysis: null,
    name: props.drafts.length > 1 ? `${props.name} ${i + 1}`.slice(0, 80) : props.name,
    kind: 'motif',
    heading: null,
    why: '',
    tags: '',
    copies: 1,
    problem: '',
    progress: '',
    state: 'measuring',
    id: null,
  }))
  void measure()
}
async function measure(): Promise<void> {
  for (const entry of entries.value) {
    try {
      entry.sheet = markRaw(sheetOfDraft(entry.draft))
      entry.analysis = markRaw(
        await worker.analyse(entry.sheet, 1, (words, done) => {
          entry.progress = `${words}, ${Math.round(100 * done)} %`
        }),
      )
      const proposal = proposalFor(entry.sheet, entry.analysis)
      entry.kind = asSet.value ? 'set' : proposal.kind
      entry.heading = asSet.value ? null : proposal.heading
      entry.why = asSet.value ? 'it is a part of a set' : proposal.why
      entry.problem = sizeTrouble(entry.analysis.bridge?.width ?? null) ?? ''
    } catch (error) {
      entry.problem = error instanceof GivenUp ? 'Measuring was stopped.' : sentencesOf(error).join(' ')
    }
    entry.state = 'ready'
  }
}
onMounted(begin)
watch(asSet, begin)

const tagsOf = (text: string) =>
  [...new Set(text.split(',').map(t => t.trim().toLowerCase().slice(0, 30)).filter(Boolean))].slice(0, 20) // prettier-ignore
const sendable = (e: Entry) => e.state === 'ready' && e.sheet !== null && !e.problem && e.name.trim() !== ''
const twice = (e: Entry) => drawer.list.some(s => s.name.toLowerCase() === e.name.trim().toLowerCase())

async function send(entry: Entry, index: number): Promise<void> {
  entry.state = 'sending'
  try {
    const { stencil } = await $fetch<{ stencil: StencilMeta }>('/api/stencils', {
      method: 'POST',
      body: {
        file: draftSvg(toRaw(entry.draft)),
        about: {
          name: entry.name.trim(),
          kind: entry.kind,
          heading: entry.heading,
          tags: tagsOf(entry.tags),
          copies: entry.copies,
          groups: entry.analysis?.groups ?? [],
        },
        analysis: entry.analysis ? summaryOf(toRaw(entry.analysis)) : undefined,
      },
    })
    entry.id = stencil.id
    const picture = photo.value && props.keepsake ? await props.keepsake(index) : null
    if (picture)
      await $fetch(`/api/stencils/${stencil.id}/photo`, { method: 'PUT', body: picture, headers: { 'content-type': 'image/jpeg' } }) // prettier-ignore
    entry.state = 'done'
  } catch (error) {
    entry.state = entry.id ? 'done' : 'ready'
    entry.problem = sentencesOf(error).join(' ')
  }
}
async function sendAll(): Promise<void> {
  if (sending.value) return
  sending.value = true
  for (const [i, entry] of entries.value.entries()) if (sendable(entry)) await send(entry, i)
  sending.value = false
  if (entries.value.every(e => e.state === 'done' && !e.problem)) emit('done', entries.value.map(e => e.id!)) // prettier-ignore
}
</script>

<template>
  <section class="space-y-3" aria-label="Into the drawer">
    <div class="flex flex-wrap items-center gap-4 text-[0.93rem]">
      <label v-if="keepsake" class="flex items-center gap-1"
        ><input v-model="photo" type="checkbox" class="accent-mulberry" /> keep the photograph, small</label
      >
      <label v-if="drafts.length > 1" class="flex items-center gap-1"
        ><input v-model="asSet" type="checkbox" class="accent-mulberry" /> these are parts of one set that
        must register</label
      >
    </div>
    <p v-if="asSet" role="status" class="text-sm text-soft">
      {{
        shared
          .slice(1)
          .map((n, i) =>
            n >= 2
              ? `Part ${i + 2} is laid on the first by ${n} round marks.`
              : `Part ${i + 2} shares no two round marks with the first: it is laid on it by its middle.`,
          )
          .join(' ')
      }}
    </p>
    <ul class="space-y-3">
      <li
        v-for="(entry, i) in entries"
        :key="i"
        class="flex gap-4 rounded-2xl border border-rule bg-card p-3"
        :aria-label="`Stencil ${i + 1}`"
      >
        <div class="h-52 w-72 shrink-0 rounded-lg bg-stage">
          <SheetDrawing
            v-if="entry.sheet"
            :sheet="entry.sheet"
            :analysis="entry.analysis"
            :show="{ islands: true, bridges: true }"
            :heading="entry.heading"
          />
        </div>
        <div class="min-w-0 flex-1 space-y-2">
          <div class="grid grid-cols-2 sm:grid-cols-[minmax(0,1fr)_140px_90px_90px] gap-2">
            <label
              ><span class="eyebrow">Name</span
              ><input v-model="entry.name" class="field" maxlength="80" :disabled="entry.state === 'done'"
            /></label>
            <label
              ><span class="eyebrow">Kind</span
              ><select v-model="entry.kind" class="field" :disabled="entry.state === 'done'">
                <option v-for="k in STENCIL_KINDS" :key="k">{{ k }}</option>
              </select></label
            >
            <label
              ><span class="eyebrow">Points to, °</span
              ><NumberInput
                live
                v-model="entry.heading"
                :min="-360"
                :max="360"
                clearable
                placeholder="none"
                :disabled="entry.state === 'done'"
            /></label>
            <label
              ><span class="eyebrow">Copies</span
              ><NumberInput live v-model="entry.copies" :min="0" :max="99" :disabled="entry.state === 'done'"
            /></label>
          </div>
          <label class="block"
            ><span class="eyebrow">Tags, with commas</span
            ><input v-model="entry.tags" class="field" maxlength="300" :disabled="entry.state === 'done'"
          /></label>
          <p v-if="entry.why" class="text-sm text-soft">Proposed as {{ entry.kind }}: {{ entry.why }}.</p>
          <WaitBar
            v-if="entry.state === 'measuring'"
            :words="`Measuring… ${entry.progress}`"
            @stop="worker.giveUp()"
          />
          <p v-if="entry.sheet && entry.analysis" class="text-sm">
            {{ entry.sheet.width.toFixed(1) }} × {{ entry.sheet.height.toFixed(1) }} mm,
            {{ entry.analysis.openings }} {{ entry.analysis.openings === 1 ? 'opening' : 'openings'
            }}<template v-if="entry.analysis.bridge"
              >, narrowest bridge {{ entry.analysis.bridge.width.toFixed(2) }} mm</template
            ><span v-if="entry.analysis.islands.length" class="text-stop"
              >, {{ entry.analysis.islands.length }} loose
              {{ entry.analysis.islands.length === 1 ? 'piece' : 'pieces' }}: what lies loose in an opening is
              no plastic, erase it by hand</span
            >
          </p>
          <p v-if="entry.state === 'ready' && twice(entry)" class="text-sm text-care">
            The drawer holds a stencil of this name already.
          </p>
          <p v-if="entry.problem" role="alert" class="flex items-start gap-1 text-sm text-stop">
            <CircleAlert :size="15" class="mt-0.5 shrink-0" />{{ entry.problem }}
          </p>
          <p v-if="entry.state === 'done'" class="flex items-center gap-1 text-sm text-go">
            <CircleCheck :size="15" />In the drawer:
            <NuxtLink class="underline" :to="`/drawer/${entry.id}`">{{ entry.name }}</NuxtLink>
          </p>
        </div>
      </li>
    </ul>
    <button class="btn-main" :disabled="sending || !entries.some(sendable)" @click="sendAll">
      {{
        entries.length > 1
          ? `Add all ${entries.filter(sendable).length || entries.length} to the drawer`
          : 'Add to the drawer'
      }}
    </button>
  </section>
</template>
