<script setup lang="ts">
import { ArrowLeft, CircleAlert, CircleCheck } from '@lucide/vue'
import { sheetOfDraft, type Draft } from '#core/draft'
import type { Point } from '#core/geometry'
import type { Analysis } from '#core/stencil'
import type { DraftTool } from '~/utils/draftTools'

useHead({ title: 'Draw a stencil, Janusform' })
const drawer = useDrawer()
const worker = useSheetWorker()
const maker = useMaker()
const { history } = maker
const tool = ref<DraftTool>('circle')
const chosen = ref<number | null>(null)
const line = shallowRef<Point[] | null>(null)
const analysis = shallowRef<Analysis | null>(null)
const problem = ref('')
const ending = ref(false)
const failed = ref<string[]>([])

onMounted(async () => {
  try {
    await drawer.load()
  } catch (error) {
    failed.value = sentencesOf(error)
  }
  measure()
})
/** Bridges narrower than this are shown: plastic breaks there. Common practice. */
const WEAK_MM = 0.8
const measure = newestOnly(async () => {
  const draft = history.draft.value
  problem.value = ''
  if (!draft?.openings.length) {
    analysis.value = null
    return
  }
  try {
    analysis.value = await worker.analyse(sheetOfDraft(draft), WEAK_MM)
  } catch (error) {
    analysis.value = null
    if (!(error instanceof GivenUp)) problem.value = sentencesOf(error).join(' ')
  }
})
watch(() => history.draft.value, () => measure()) // prettier-ignore
const cutReady = computed(
  () => analysis.value !== null && !analysis.value.islands.length && !analysis.value.bridges.length,
)
const says = computed(() => {
  const a = analysis.value
  if (problem.value) return problem.value
  if (!a) return 'Nothing is cut out yet. Add a circle, a path, or a motif of the drawer.'
  const loose = a.islands.length
    ? `${a.islands.length} loose ${a.islands.length === 1 ? 'piece falls' : 'pieces fall'} out when it is cut (red). `
    : ''
  const weak = a.bridges.length
    ? `${a.bridges.length} ${a.bridges.length === 1 ? 'bridge is' : 'bridges are'} under ${WEAK_MM} mm (red lines) and will break. `
    : ''
  return loose + weak || `Ready to be cut: one piece, ${a.openings} openings${a.bridge ? `, narrowest bridge ${a.bridge.width.toFixed(2)} mm` : ''}.` // prettier-ignore
})
function draw(): void {
  tool.value = 'line'
}
function ended(points: Point[]): void {
  line.value = points
  tool.value = 'select'
}
const put = (draft: Draft, words: string) => {
  chosen.value = null
  history.put(draft, words)
}
async function done(ids: string[]): Promise<void> {
  maker.begin()
  await navigateTo(`/drawer/${ids[0]}`)
}
</script>

<template>
  <main class="mx-auto flex min-h-dvh max-w-[1440px] flex-col px-3 sm:px-6 lg:h-dvh pb-4">
    <header class="flex flex-wrap items-center gap-3 py-3">
      <NuxtLink to="/drawer" class="btn"><ArrowLeft :size="16" />Drawer</NuxtLink>
      <h1 class="font-display text-2xl font-bold">Draw a stencil</h1>
      <p
        role="status"
        class="ml-4 flex min-w-0 flex-1 items-center gap-1.5 text-[0.93rem]"
        :class="cutReady ? 'text-go' : analysis || problem ? 'text-stop' : 'text-soft'"
      >
        <component
          :is="cutReady ? CircleCheck : CircleAlert"
          v-if="analysis || problem"
          :size="17"
          class="shrink-0"
        />{{ says }}
      </p>
      <button v-if="!ending && history.undoes.value !== null" class="btn" @click="maker.begin()">
        Begin anew
      </button>
      <button v-if="!ending" class="btn-main" :disabled="!analysis" @click="ending = true">
        Into the drawer
      </button>
      <button v-else class="btn" @click="ending = false"><ArrowLeft :size="16" />Draw on</button>
    </header>
    <p v-for="s in failed" :key="s" role="alert" class="text-stop">{{ s }}</p>
    <IntoDrawer
      v-if="ending && history.draft.value"
      :drafts="[history.draft.value]"
      name="My own stencil"
      @done="done"
    />
    <div
      v-else
      class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] max-lg:auto-rows-max lg:grid-cols-[minmax(0,1fr)_300px] gap-4"
    >
      <DraftEditor
        v-model:tool="tool"
        v-model:chosen="chosen"
        :history="history"
        :analysis="analysis"
        @line="ended"
      />
      <aside class="overflow-y-auto pr-2">
        <MakerPanel
          v-if="history.draft.value"
          :draft="history.draft.value"
          :chosen="chosen"
          :line="line"
          @put="put"
          @draw="draw()"
        />
      </aside>
    </div>
  </main>
</template>
