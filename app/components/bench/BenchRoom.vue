<script setup lang="ts">
import { useEventListener, useIntervalFn } from '@vueuse/core'
import type { Doing } from '~/composables/useCommands'
import { keyCommands } from './keyCommands'
import { keyNow, pressedInField, pressKey, type KeyActions } from './keys'
import { useTour } from './tour'

/** The bench with a look on it. */
const { id } = defineProps<{ id: string }>()
const session = useSession()
const selection = useSelection()
const settings = useSettings()
const scene = useScene()
const route = useRoute()
const drawer = useDrawer()
const laying = useLaying()
const bench = useBenchLayout()
// What is taken in hand on a small screen shows its card; the tray comes back when nothing is.
watch(
  () => selection.id,
  id => {
    if (bench.panel.value === 'tray' && id) bench.panel.value = 'card'
  },
)
const failed = ref<string[]>([])
/** Whether what went wrong is the data file itself: then nothing is said to be safe there. */
const trouble = ref(false)
const help = ref(false)
const choosing = ref(false)
const listing = ref(false)
const trying = ref(false)
const moving = ref(false)
const versions = ref(false)
const telling = ref(false)
const attempting = ref(false)
const nine = ref(false)
/** Whether two versions are to be chosen from, and the painter has put that off. */
const later = ref(false)
watch(
  () => session.saver?.theirs.value,
  () => {
    later.value = false
  },
)
/** Where the keyboard can go at once. */
const SKIPS = [
  ['To the face', '[data-testid="stage"]'],
  ['To the tray', '[aria-label="Tray"] [role="tab"][aria-selected="true"]'],
  ['To the step', '[aria-label="Step card"] input, [aria-label="Step card"] textarea'],
  ['To the build', '[data-strip] [data-step], [aria-label="Build strip"] button'],
] as const
/** How many steps the played build shows; null when it is not played. */
const playTo = ref<number | null>(null)

/** Whether the bench may be laid out: the painter has begun with the picture by then. */
const begun = ref(false)
const ahead = usePictureAhead()
watch(
  () => session.look?.id === id,
  opened => opened && !begun.value && ahead.head(),
  // At once: the sheets are asked for next, and the painter need not wait for them.
  { flush: 'sync' },
)
async function open(): Promise<void> {
  failed.value = []
  begun.value = false
  try {
    await Promise.all([session.open(id), useWays().load()])
    await ahead.begin()
  } catch (error) {
    failed.value = sentencesOf(error)
    trouble.value = refusalData(error, 503) !== null
  }
  begun.value = true
}
void open()
// What neither the server nor this device has would be lost with the page.
useEventListener('beforeunload', event => {
  const saver = session.saver
  if (saver && saver.state.value !== 'saved' && !saver.keeps.value) event.preventDefault()
})
useHead({ title: () => (session.look ? `${session.look.name}, Janusform` : 'Janusform') })
// When one look leads straight to another, that one is open already when this page goes.
onBeforeUnmount(() => {
  if (session.look?.id === id) session.close()
})
// A new look on which nothing was done is not kept.
onBeforeRouteLeave(async () => {
  const { look } = session
  if (look?.id === id && !look.steps.length && !session.undoWords)
    await $fetch<unknown, string>(`/api/looks/${id}`, { method: 'DELETE', query: { untouched: '' } }).catch(
      () => {},
    )
})
useEventListener(window, 'pagehide', () => void session.saver?.flush())

const { pause, resume } = useIntervalFn(
  () => {
    if (playTo.value === null || playTo.value >= session.look!.steps.length) {
      playTo.value = null
      pause()
    } else playTo.value++
  },
  700,
  { immediate: false },
)
function play(): void {
  playTo.value = playTo.value === null ? 0 : null
  if (playTo.value === null) pause()
  else resume()
}

const tour = useTour({
  play,
  check: () => {
    listing.value = true
  },
})
// Asked for from elsewhere, it begins once there is something to show.
watch(
  () => session.look?.id === id && scene.loaded && route.query.tour !== undefined,
  async asked => {
    if (!asked) return
    await nextTick()
    await navigateTo(route.path, { replace: true })
    await tour.begin()
  },
  { immediate: true },
)
const byName = useToolsByName()
const keys: KeyActions = {
  session,
  selection,
  steps: useSteps(),
  placing: usePlacing(),
  shaping: useShaping(),
  twins: useTwins(),
  clipboard: useStepClipboard(),
  letters: () => settings.letterKeys,
  own: () => settings.ownKeys,
  play,
  nine: () => {
    nine.value = true
  },
  help: () => {
    help.value = true
  },
}
ownHistory()
const dialogs = { help, choosing, listing, trying, versions, telling, attempting, nine, moving }
/** The dialogs in the list of commands, each known by its own id. */
const DIALOGS: readonly (readonly [keyof typeof dialogs, words: string, also?: string])[] = [
  ['listing', 'Check the look', 'problems warnings tips findings'],
  ['choosing', 'Paint it on another face, an arm or the board', 'canvas move size age'],
  ['trying', 'Try on other skins'],
  ['moving', 'How it moves with the face'],
  ['nine', 'Nine others at a glance'],
  ['attempting', 'Try another way'],
  ['versions', 'Earlier versions'],
  ['telling', 'The face in words'],
  ['help', 'Keys'],
]
/** What else the bench offers there. */
function benchCommands(): Doing[] {
  const letter = settings.letterKeys ? keyNow('N', settings.ownKeys) : undefined
  const keyOf: Partial<Record<keyof typeof dialogs, string | undefined>> = { nine: letter, help: '?' }
  return [
    // Only a face moves.
    ...DIALOGS.filter(([id]) => id !== 'moving' || scene.ground.relief).map(([id, words, also]) => ({
      ...{ id, words, also, keys: keyOf[id] },
      run: () => {
        dialogs[id].value = true
      },
    })),
    { id: 'tries', words: 'Tries side by side', run: () => navigateTo(`/looks/${id}/tries`) },
    {
      id: 'guides',
      words: 'Guides on or off',
      also: 'midline landmarks',
      run: () => (settings.guides = !settings.guides),
    },
    {
      id: 'ruler',
      words: 'Ruler on or off',
      also: 'measure mm inches',
      run: () => (settings.ruler = !settings.ruler),
    },
    {
      id: 'snap',
      words: 'Snap on or off',
      also: 'magnet align',
      run: () => (settings.snap = !settings.snap),
    },
    {
      id: 'step-list',
      words: 'Step list',
      also: 'print card paper pdf a4',
      run: () => navigateTo(`/looks/${id}/steps`),
    },
    {
      id: 'chair',
      words: 'To the chair',
      also: 'paint start sitting phone',
      run: () => navigateTo(`/looks/${id}/chair`),
    },
    ...byName(),
    ...drawer.list.map(s => ({
      id: layCommand(s.id),
      words: `Lay ${s.name}`,
      also: `stencil ${s.kind} ${s.tags.join(' ')}`,
      run: () => laying.addSheet(s.id, null),
    })),
  ]
}
offerCommands(() => (session.look ? [...keyCommands(keys), ...benchCommands()] : []))
useEventListener(window, 'keydown', event => {
  const target = event.target as HTMLElement
  // A key that a list, a tab or a menu has taken is theirs alone.
  if (event.defaultPrevented || !session.look || Object.values(dialogs).some(open => open.value)) return
  if (
    target.closest(
      '[role="dialog"], [role="listbox"], [role="menu"], [role="radiogroup"], [data-testid="turned"]',
    )
  )
    return
  const field = target.closest<HTMLInputElement>('input, textarea, select')
  if (field && !pressedInField(event, field)) return
  if (pressKey(event, keys)) event.preventDefault()
})
</script>

<template>
  <main
    v-if="session.look && begun"
    class="grid h-dvh overflow-hidden"
    :class="bench.layout.value !== 'phone' && 'min-h-[520px]'"
    :style="{ gridTemplate: bench.frame.value }"
  >
    <h1 class="sr-only">{{ session.look.name }}</h1>
    <SkipLinks :to="SKIPS" />
    <BenchTold />
    <BenchHeader
      style="grid-area: head"
      @help="help = true"
      @canvas="choosing = true"
      @findings="listing = true"
      @skins="trying = true"
      @try="attempting = true"
      @versions="session.saver?.theirs.value ? (later = false) : (versions = true)"
    />
    <TrayPanel
      v-show="bench.area('tray')"
      :style="{ gridArea: bench.area('tray') ?? '' }"
      @tour="tour.begin"
    />
    <FaceStage style="grid-area: face" :play-to="playTo" @words="telling = true" @moves="moving = true" />
    <StepCard
      v-show="bench.area('card')"
      :style="{ gridArea: bench.area('card') ?? '' }"
      @nine="nine = true"
    />
    <PanelTabs v-if="!bench.wide.value" style="grid-area: tabs" />
    <BuildStrip
      v-show="bench.area('build')"
      :style="{ gridArea: bench.area('build') ?? '' }"
      :play-to="playTo"
      @play="play"
    />
    <CanvasDialog v-if="choosing" @close="choosing = false" />
    <FindingsDialog v-if="listing" @close="listing = false" />
    <SkinsDialog v-if="trying" @close="trying = false" />
    <MovingDialog v-if="moving" @close="moving = false" />
    <NineDialog v-if="nine" @close="nine = false" />
    <TryDialog v-if="attempting" @close="attempting = false" />
    <WordsDialog v-if="telling" @close="telling = false" />
    <KeysDialog :open="help" @close="help = false" />
    <RevisionsDialog v-if="versions" @close="versions = false" />
    <ConflictDialog
      v-if="session.saver?.theirs.value && !later"
      :theirs="session.saver.theirs.value"
      @close="later = true"
    />
  </main>
  <main v-else-if="failed.length" class="mx-auto grid h-screen max-w-md content-center gap-3 text-center">
    <h1 class="font-display text-2xl font-semibold">The look could not be opened</h1>
    <p v-for="s in failed" :key="s">{{ s }}</p>
    <p v-if="!trouble" class="text-soft">Whatever was saved is safe on the server.</p>
    <div class="flex justify-center gap-2">
      <button class="btn-main" @click="open">Try again</button
      ><NuxtLink to="/" class="btn">All looks</NuxtLink>
    </div>
  </main>
  <BenchSkeleton v-else :id="id" />
</template>
