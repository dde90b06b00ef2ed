<script setup lang="ts">
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { pressedInField, pressKey, type KeyActions } from './keys'

/** The bench with a look on it. */
const { id } = defineProps<{ id: string }>()
const session = useSession()
const failed = ref<string[]>([])
/** Whether what went wrong is the data file itself: then nothing is said to be safe there. */
const trouble = ref(false)
const help = ref(false)
const choosing = ref(false)
const listing = ref(false)
const trying = ref(false)
const versions = ref(false)
/** Whether two versions are to be chosen from, and the painter has put that off. */
const later = ref(false)
watch(
  () => session.saver?.theirs.value,
  () => {
    later.value = false
  },
)
/** How many steps the played build shows; null when it is not played. */
const playTo = ref<number | null>(null)

async function open(): Promise<void> {
  failed.value = []
  try {
    await Promise.all([session.open(id), useWays().load()])
  } catch (error) {
    failed.value = sentencesOf(error)
    trouble.value = refusalData(error, 503) !== null
  }
}
void open()
useHead({ title: () => (session.look ? `${session.look.name}, Janusform` : 'Janusform') })
// When one look leads straight to another, that one is open already when this page goes.
onBeforeUnmount(() => {
  if (session.look?.id === id) session.close()
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

const keys: KeyActions = {
  session,
  selection: useSelection(),
  steps: useSteps(),
  placing: usePlacing(),
  shaping: useShaping(),
  twins: useTwins(),
  play,
  help: () => {
    help.value = true
  },
}
useEventListener(window, 'keydown', event => {
  const target = event.target as HTMLElement
  // A key that a list, a tab or a menu has taken is theirs alone.
  if (
    event.defaultPrevented ||
    !session.look ||
    help.value ||
    choosing.value ||
    listing.value ||
    trying.value ||
    versions.value
  )
    return
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
    v-if="session.look"
    class="grid h-screen min-h-[560px] min-w-[1000px] grid-cols-[264px_minmax(0,1fr)_316px] grid-rows-[52px_minmax(0,1fr)_124px]"
  >
    <BenchHeader
      class="col-span-3"
      @help="help = true"
      @canvas="choosing = true"
      @findings="listing = true"
      @skins="trying = true"
      @versions="session.saver?.theirs.value ? (later = false) : (versions = true)"
    />
    <TrayPanel />
    <FaceStage :play-to="playTo" />
    <StepCard />
    <BuildStrip class="col-span-3" :play-to="playTo" @play="play" />
    <CanvasDialog v-if="choosing" @close="choosing = false" />
    <FindingsDialog v-if="listing" @close="listing = false" />
    <SkinsDialog v-if="trying" @close="trying = false" />
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
