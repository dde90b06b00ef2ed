<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import { onKeyStroke, useRefHistory } from '@vueuse/core'
import { ArrowLeft, CircleAlert, CircleCheck, FileDown, Printer, Redo2, Undo2 } from '@lucide/vue'
import { titleAmong } from '#core/look'
import { unprepared, LISTED_MM, type Analysis } from '#core/stencil'
import { toast } from 'vue-sonner'
import type { OpeningGroup } from '#core/stencil'
import type { LookCardData } from '~~/server/utils/cards'

const id = String(useRoute().params.id)
const drawer = useDrawer()
const worker = useSheetWorker()
const settings = useSettings()
const failed = ref<string[]>([])
const analysis = shallowRef<Analysis | null>(null)
const progress = ref('')
/** Why it could not be measured, in sentences; empty while it is, or was. */
const unmeasured = ref('')
const below = ref(LISTED_MM)
const usedIn = shallowRef<LookCardData[]>([])
const group = ref<number | null>(null)
const show = reactive({ bridges: true, slot: true, axes: true, lattice: true, islands: true })
const about = computed(() => drawer.find(id))
const sheet = computed(() => {
  const shape = drawer.shapes.get(id)
  return shape && unprepared(shape)
})

try {
  await drawer.load()
  if (!drawer.find(id)) failed.value = ['There is no such stencil in the drawer.']
  await drawer.ensure([id])
} catch (error) {
  failed.value = sentencesOf(error)
}
useHead({ title: () => (about.value ? `${about.value.name}, Janusform` : 'Stencil') })

const measure = newestOnly(async () => {
  if (!sheet.value || !(below.value > 0)) return
  try {
    analysis.value = await worker.analyse(toRaw(sheet.value), Math.min(20, below.value), (words, done) => {
      progress.value = `${words}, ${Math.round(100 * done)} %`
    })
    unmeasured.value = ''
  } catch (error) {
    unmeasured.value = sentencesOf(error).join(' ')
  }
  progress.value = ''
})
onMounted(async () => {
  measure()
  const looks = await $fetch<LookCardData[]>('/api/looks')
  usedIn.value = looks.filter(l => l.uses.includes(id))
})
watch(below, () => measure())

async function pick(opening: number): Promise<void> {
  const groups = about.value!.groups
  const i = group.value
  if (i === null || !groups[i]) return
  const openings = groups[i].openings.includes(opening)
    ? groups[i].openings.filter(n => n !== opening)
    : [...groups[i].openings, opening]
  if (openings.length)
    await drawer.change(id, { groups: groups.map((g, k) => (k === i ? { ...g, openings } : g)) })
}
/** The groups with all that they were while this page is open. */
const groups = computed<readonly OpeningGroup[]>({
  get: () => about.value?.groups ?? [],
  set: next =>
    void drawer
      .change(id, { groups: [...next] })
      .catch((error: unknown) => toast.error(sentencesOf(error).join(' '))),
})
const history = useRefHistory(groups, {
  flush: 'sync',
  // What the server answers is told as a change too.
  shouldCommit: (before, now) => JSON.stringify(before) !== JSON.stringify(now),
})
ownHistory()
onKeyStroke(['z', 'Z', 'y'], event => {
  const field = (event.target as HTMLElement).closest('input, textarea, select')
  if (!(event.ctrlKey || event.metaKey) || field || event.defaultPrevented) return
  event.preventDefault()
  if (event.key === 'y' || event.shiftKey) history.redo()
  else history.undo()
})
const chosen = computed(
  () => new Set(group.value === null ? [] : (about.value?.groups[group.value]?.openings ?? [])),
)

const facts = computed(() => {
  const a = analysis.value
  if (!a || !sheet.value) return []
  const angle = (v: number) =>
    Math.abs(v) < 0.5 ? 'upright' : Math.abs(Math.abs(v) - 90) < 0.5 ? 'across' : `at ${v.toFixed(0)}°`
  return [
    ['Stencil', settings.size(sheet.value.width, sheet.value.height)],
    [
      'Openings',
      `${a.openings}, ${(a.openArea / 100).toFixed(1)} cm² open, ${Math.round(a.openShare * 100)} %`,
    ],
    ['Narrowest bridge', a.bridge ? `${a.bridge.width.toFixed(2)} mm` : 'none'],
    [`Bridges under ${below.value} mm`, String(a.bridges.length)],
    ['Narrowest slot', `${a.slot.width.toFixed(2)} mm`],
    ['Edge to opening', `${a.margin.width.toFixed(1)} mm`],
    [
      'Mirror axes',
      a.symmetry.axes.length
        ? a.symmetry.axes.map(x => angle(x.angle)).join(', ')
        : 'none: flip it for its twin',
    ],
    [
      'Turns on itself',
      a.symmetry.turns.length ? a.symmetry.turns.map(t => `1/${t.order}`).join(', ') : 'none',
    ],
    [
      'Lattice',
      a.lattice
        ? `${Math.hypot(...a.lattice.a).toFixed(2)} and ${Math.hypot(...a.lattice.b).toFixed(2)} mm, off by ${a.lattice.residual.toFixed(3)}`
        : 'none',
    ],
  ] as const
})
</script>

<template>
  <main class="mx-auto max-w-[1280px] px-3 sm:px-6 min-[1800px]:max-w-[1800px] pb-10">
    <header class="flex flex-wrap items-center gap-3 py-4">
      <NuxtLink to="/drawer" class="btn"><ArrowLeft :size="16" />Drawer</NuxtLink>
      <h1 v-if="about" class="mr-auto font-display text-2xl font-bold">{{ about.name }}</h1>
      <template v-if="about"
        ><a :href="`/api/stencils/${id}/file.svg`" class="btn"><FileDown :size="16" />SVG</a
        ><a :href="`/api/stencils/${id}/file.dxf`" class="btn"><FileDown :size="16" />DXF</a
        ><a :href="`/api/stencils/${id}/print.pdf`" target="_blank" class="btn"
          ><Printer :size="16" />Print 1:1</a
        ><DeleteSheet v-if="about.deletedAt === null" :id="id" :name="about.name" :used-in="usedIn" /><button
          v-else
          class="btn-main"
          @click="drawer.bringBack(id)"
        >
          Bring it back
        </button></template
      >
    </header>
    <div v-if="failed.length" role="alert" class="rounded-xl border border-stop bg-card p-4">
      <p v-for="s in failed" :key="s">{{ s }}</p>
    </div>
    <div
      v-else-if="about && sheet"
      class="grid grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_330px] gap-5"
    >
      <div>
        <div class="rounded-2xl border border-rule bg-stage p-3">
          <div class="h-[400px]">
            <SheetDrawing
              :sheet="sheet"
              :analysis="analysis"
              :show="show"
              :heading="about.heading"
              :pickable="group !== null"
              :chosen="chosen"
              @pick="pick"
            />
          </div>
          <div class="mt-2 flex flex-wrap items-center gap-1.5">
            <button
              v-for="(words, key) in {
                bridges: 'bridges',
                slot: 'slot',
                axes: 'axes',
                lattice: 'lattice',
                islands: 'loose pieces',
              }"
              :key="key"
              class="chip"
              :aria-pressed="show[key]"
              @click="show[key] = !show[key]"
            >
              {{ words }}
            </button>
            <label class="ml-auto flex items-center gap-1 text-sm"
              >list bridges under
              <NumberInput
                v-model="below"
                class="w-16!"
                :min="0.2"
                :max="20"
                :step="0.1"
                label="List bridges under, mm"
              />
              mm</label
            >
          </div>
          <p v-if="progress" role="status" class="mt-1 text-sm text-soft">{{ progress }}</p>
        </div>
        <p
          v-if="analysis"
          class="mt-2 flex items-center gap-1.5"
          :class="analysis.islands.length ? 'text-stop' : 'text-go'"
        >
          <component :is="analysis.islands.length ? CircleAlert : CircleCheck" :size="17" />{{
            analysis.islands.length
              ? `Problem: ${analysis.islands.length} loose ${analysis.islands.length === 1 ? 'piece falls' : 'pieces fall'} out when it is cut (hatched red).`
              : 'One piece: nothing falls out when it is cut.'
          }}
        </p>
        <TabGroup>
          <TabList class="mt-3 flex gap-1 border-b border-rule"
            ><Tab v-for="t in ['Repair', 'Groups', 'Cutter']" :key="t" v-slot="{ selected }" as="template"
              ><button
                class="px-3 py-1.5 font-semibold"
                :class="selected ? 'border-b-2 border-mulberry text-mulberry' : 'text-soft'"
              >
                {{ t }}
              </button></Tab
            ></TabList
          >
          <TabPanels class="pt-3">
            <TabPanel
              ><MendPanel v-if="analysis" :key="id" :about="about" :sheet="sheet" :analysis="analysis" />
              <p v-else-if="unmeasured" class="text-soft">What is not measured cannot be repaired here.</p>
            </TabPanel>
            <TabPanel>
              <p class="mb-1 flex justify-end gap-1">
                <button
                  class="icon-btn"
                  v-tip="'Undo (Ctrl Z)'"
                  aria-label="Undo the change of the groups"
                  :disabled="!history.canUndo.value"
                  @click="history.undo()"
                >
                  <Undo2 :size="17" /></button
                ><button
                  class="icon-btn"
                  v-tip="'Redo (Ctrl Shift Z)'"
                  aria-label="Redo the change of the groups"
                  :disabled="!history.canRedo.value"
                  @click="history.redo()"
                >
                  <Redo2 :size="17" />
                </button>
              </p>
              <GroupsPanel v-if="analysis" v-model="group" :about="about" :analysis="analysis" />
            </TabPanel>
            <TabPanel><CutterPanel :id="id" /></TabPanel>
          </TabPanels>
        </TabGroup>
      </div>
      <aside class="space-y-4">
        <dl v-if="facts.length" class="rounded-2xl border border-rule bg-card p-3 text-[0.93rem]">
          <div
            v-for="[label, value] in facts"
            :key="label"
            class="flex justify-between gap-3 border-b border-rule py-1 last:border-0"
          >
            <dt class="text-soft">{{ label }}</dt>
            <dd class="text-right font-semibold">{{ value }}</dd>
          </div>
        </dl>
        <p v-else-if="unmeasured" role="alert" class="rounded-2xl border border-rule bg-card p-3 text-care">
          Not measured. {{ unmeasured }} It can be used all the same, without the checks that need its
          measures.
        </p>
        <p v-else role="status" class="text-soft">Measuring…</p>
        <p v-if="about.mendedFrom" class="text-sm">
          Repaired from
          <NuxtLink
            class="inline-block min-h-[24px] text-mulberry underline"
            :to="`/drawer/${about.mendedFrom}`"
            >{{ drawer.find(about.mendedFrom)?.name }}</NuxtLink
          >
        </p>
        <figure v-if="about.photo">
          <img
            :src="`/api/stencils/${id}/photo.jpg`"
            alt="The photograph that it was read from"
            class="w-full rounded-xl border border-rule"
          />
          <figcaption class="text-sm text-soft">Read from this photograph</figcaption>
        </figure>
        <div class="rounded-2xl border border-rule bg-card p-3"><NotesPanel :about="about" /></div>
        <div>
          <h2 class="eyebrow">Used in</h2>
          <p v-if="!usedIn.length" class="text-sm text-soft">No look uses it yet.</p>
          <ul>
            <li v-for="l in usedIn" :key="l.id">
              <NuxtLink class="inline-block min-h-[24px] text-mulberry underline" :to="`/looks/${l.id}`">{{
                titleAmong(l, usedIn)
              }}</NuxtLink>
            </li>
          </ul>
        </div>
      </aside>
    </div>
  </main>
</template>
