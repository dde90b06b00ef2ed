<script setup lang="ts">
import { useElementSize, useEventListener } from '@vueuse/core'
import { Crosshair } from '@lucide/vue'
import Konva from 'konva'
import { tenthPoint } from '#core/geometry'
import { onCanvas, stepAt } from '#core/look'
import { onSkin, SAME } from '#core/skin'
import { RULER } from './stage/ruler'
import { useHand } from './stage/hand'
import { useKeyHand } from './stage/keyHand'
import { useHeldSheet } from './stage/heldSheet'
import { stageLayers } from './stage/layers'
import { LIFT_CLASSES } from './stage/lift'
import { useSpot } from './stage/spot'
import { useStandingPicture } from './stage/picture'
import { offerProbe } from './stage/probe'
import { finenessOf, toSkin, wholePicture, zoomed, type View } from './stage/view'

const props = defineProps<{ playTo: number | null }>()
const emit = defineEmits<{ words: []; moves: [] }>()

const session = useSession()
const selection = useSelection()
const scene = useScene()
const laying = useLaying()
const flow = useFlow()
const choice = useChoice()
const drawing = useDrawing()
const tape = useTape()
const settings = useSettings()
const notices = useNotices()
const held = useHeldSheet()
const holder = useTemplateRef<HTMLDivElement>('holder')
const { width, height } = useElementSize(holder)
/**
 * Whether landmarks are being moved to match a person, whether the head is turned, and whether the next tap
 * picks a spot.
 */
const fitting = ref(false)
const turned = ref(false)
const picking = ref(false)

const ground = computed(() => scene.ground)
const view = shallowRef<View>({ k: 2, ox: 0, oy: 0, front: SAME })
/** Whether the stage has its size, and the view follows from it. */
const sized = ref(false)
const whole = computed(() =>
  wholePicture(width.value, height.value, settings.ruler ? RULER : 0, ground.value.box, ground.value.front),
)
/** The whole picture stays as fine as it is seen whole. */
const fineness = computed(() => finenessOf(whole.value, window.devicePixelRatio || 1))
const { picture, parts, busy, slow, problem, standing } = useStandingPicture({
  view,
  size: () => [width.value, height.value],
  fineness,
  sized,
  upTo: () => props.playTo ?? undefined,
})
const { at, ghosts, grip, press, drag, release, cancel } = useHand({ holder, view, whole, fitting, picking })
const keyHand = useKeyHand({ view, fitting, grip })
const { at: cursor, holding, told } = keyHand
const moved = computed(
  () => new Set(session.look?.canvas.kind === 'face' ? Object.keys(session.look.canvas.nudges) : []),
)

const playing = () => props.playTo !== null
const layers = stageLayers({ picture, parts, view, width, height, fitting, moved, playing, ghosts })

let stage: Konva.Stage | null = null
onMounted(async () => {
  await nextTick()
  stage = new Konva.Stage({ container: holder.value!, width: 10, height: 10 })
  // The hand is followed here, not by what is drawn: else each move is looked at twice.
  stage.content.style.pointerEvents = 'none'
  for (const layer of layers) stage.add(layer)
  fit()
  offerProbe({ stage, view, picture, parts, fineness, handles: () => held.handlesOn(view.value) })
})
onBeforeUnmount(() => stage?.destroy())

watch([width, height, () => settings.ruler, () => JSON.stringify(ground.value.box)], fit)
watch(ground, ({ front }) => {
  view.value = { ...view.value, front }
})
function fit(): void {
  if (!stage || width.value < 20) return
  stage.size({ width: width.value, height: height.value })
  view.value = whole.value
  sized.value = true
  noteStage(width.value, height.value)
}

function resetMarks(): void {
  const even = onCanvas(({ canvas }) => {
    if (canvas.kind === 'face') canvas.nudges = {}
  })
  session.edit('even the face again', even)
  notices.tell('Landmarks back where age and measures put them.')
}

useEventListener(
  holder,
  'wheel',
  (event: WheelEvent) => {
    event.preventDefault()
    view.value = zoomed(view.value, whole.value, Math.exp(-event.deltaY / 500), at(event))
  },
  { passive: false },
)
const zoomBy = (factor: number) => {
  view.value = zoomed(view.value, whole.value, factor, [width.value / 2, height.value / 2])
}

offerCommands(() => [
  {
    id: 'turn-head',
    words: `Turn the ${ground.value.face ? 'head' : 'arm'}`,
    also: 'rotate 3d side view',
    run: () => (turned.value = true),
  },
  { id: 'zoom-in', words: 'Zoom in', also: 'closer larger size', run: () => zoomBy(1.35) },
  { id: 'zoom-out', words: 'Zoom out', also: 'smaller size', run: () => zoomBy(1 / 1.35) },
  { id: 'zoom-whole', words: 'Zoom to the whole picture', also: 'fit size all', run: fit },
  { id: 'pick-spot', words: 'Pick a spot', also: 'place position', run: () => (picking.value = true) },
  {
    id: 'fit-landmarks',
    words: 'Fit landmarks to a person',
    also: 'face measure',
    run: () => (fitting.value = true),
  },
  { id: 'tape', words: 'Tape measure', also: 'distance mm', run: () => (tape.on = true) },
])
function drop(event: DragEvent): void {
  const id = event.dataTransfer?.getData('application/x-janusform-sheet')
  const skin = toSkin(view.value, at(event))
  if (id && skin) void laying.addSheet(id, skin)
}

const spot = useSpot()
const { words: spotWords, told: spotTold } = spot
/** A hand on the stage needs no cursor. */
function pressHand(event: PointerEvent): void {
  keyHand.end()
  press(event)
}
function pressKeys(event: KeyboardEvent): void {
  if (keyHand.press(event) || spot.walk(event)) event.preventDefault()
}
/** A right press takes what lies there, or picks the spot of bare skin. */
function takeUnder(event: MouseEvent): void {
  const skin = toSkin(view.value, at(event))
  const { look } = session
  if (!skin || !look) return
  const hit = stepAt(look.steps, selection.sheet, selection.steps, scene.world, skin)
  if (!hit) {
    selection.id = null
    selection.spot = onSkin(scene.ground, skin) ? tenthPoint(skin) : null
  } else if (!selection.ids.has(hit.step.id)) selection.id = hit.step.id
}
const offered = computed(() => (selection.id ? STEP_COMMANDS : BARE_COMMANDS))
const spotItems = computed(() =>
  selection.spot && !selection.id
    ? [{ id: 'forget-spot', words: 'Forget this spot', run: () => selection.letGo() }]
    : [],
)
const faceCanvas = computed(() => session.look?.canvas.kind === 'face')
watch(faceCanvas, is => {
  if (!is) fitting.value = false
})
useEventListener(window, 'keydown', event => {
  if (event.key === 'Escape' && turned.value) turned.value = false
})
</script>

<template>
  <section class="relative min-h-0 min-w-0 overflow-hidden bg-stage" aria-label="Face">
    <CardPicture v-if="standing === 'nothing' && session.look" :id="session.look.id" />
    <StepMenu :commands="offered" :others="spotItems">
      <div
        ref="holder"
        data-testid="stage"
        tabindex="0"
        :inert="turned"
        class="absolute inset-0 touch-none"
        role="application"
        :aria-label="`The ${ground.words} with the painted look; arrow keys move what is selected, else the spot; Enter brings a cursor`"
        aria-describedby="stage-keys"
        @pointerdown="pressHand"
        @pointermove="drag"
        @pointerup="release"
        @pointercancel="cancel"
        @keydown="pressKeys"
        @blur="keyHand.end"
        @dragover.prevent
        @drop.prevent="drop"
        @contextmenu="takeUnder"
      />
    </StepMenu>
    <span id="stage-keys" class="sr-only"
      >The cursor moves by 1 mm with the arrows, by 5 with Shift; Page Down goes to the next thing to take
      hold of, Home to the nearest landmark. Space presses, Enter takes hold and sets down, Escape ends.</span
    >
    <SheetOutlines
      v-if="session.look && !fitting && playTo === null"
      :view="view"
      :size="[width, height]"
      :ghosts="ghosts"
    />
    <KeyCursor v-if="cursor" :at="cursor" :holding="holding" />
    <StageToolbar
      :inert="turned"
      v-model:turned="turned"
      v-model:fitting="fitting"
      v-model:picking="picking"
      :on-face="faceCanvas"
      @zoom="zoomBy"
      @words="emit('words')"
      @moves="emit('moves')"
    />
    <p
      v-if="fitting"
      class="absolute top-6 left-1/2 flex -translate-x-1/2 items-center gap-2 rounded-full bg-ink/85 py-0.5 pr-1 pl-3 text-sm whitespace-nowrap text-paper"
    >
      Drag the dots onto the person's features<button
        v-if="moved.size"
        class="rounded-full bg-paper/20 px-2 font-semibold"
        @click="resetMarks"
      >
        Even again</button
      ><button class="rounded-full bg-paper px-2 font-semibold text-ink" @click="fitting = false">
        Done
      </button>
    </p>
    <p
      v-else-if="spotWords && !choice.now && !drawing.asked && !tape.on"
      class="pointer-events-none absolute top-6 left-1/2 flex -translate-x-1/2 items-center gap-1.5 rounded-full bg-ink/85 px-3 py-0.5 text-sm whitespace-nowrap text-paper"
    >
      <Crosshair :size="14" />{{ spotWords }}
    </p>
    <ChoiceBar class="absolute top-6 left-1/2 -translate-x-1/2" />
    <p
      v-if="tape.on"
      class="pointer-events-none absolute top-6 left-1/2 -translate-x-1/2 rounded-full bg-ink/85 px-3 py-0.5 text-sm whitespace-nowrap text-paper"
      data-testid="tape"
    >
      {{ tape.words || 'Drag between two points of the skin' }}
    </p>
    <DrawingBar class="absolute top-6 left-1/2 -translate-x-1/2" />
    <p
      v-if="scene.seating.length"
      class="pointer-events-none absolute bottom-2 left-6 flex flex-col gap-0.5 rounded-lg border border-rule bg-card/90 px-2 py-1 text-[0.8rem] text-soft"
      aria-label="Lift in colours"
    >
      <span v-for="c in LIFT_CLASSES" :key="c.words" class="flex items-center gap-1"
        ><span
          class="lift size-3 rounded-sm border"
          :class="c.pattern"
          :style="{ 'borderColor': c.colour, '--c': c.colour }"
        />{{ c.words }}</span
      >
    </p>
    <p
      v-if="slow"
      role="status"
      class="absolute bottom-2 left-6 rounded-full bg-ink/85 px-3 py-0.5 text-sm text-paper"
    >
      Painting…
    </p>
    <p
      v-if="problem"
      role="alert"
      class="absolute inset-x-8 bottom-4 rounded-lg border border-stop bg-card p-3 text-stop"
    >
      {{ problem }}
    </p>
    <FlowPanel v-if="flow.watching" class="absolute top-6 left-6" />
    <LazyTurnedHead v-if="turned" :play-to="props.playTo" @close="turned = false" />
    <span class="sr-only" role="status" data-testid="spot-told">{{ spotTold }}</span>
    <span class="sr-only" role="status" data-testid="cursor-told">{{ told }}</span>
    <span class="sr-only" data-testid="picture-state" :data-standing="standing">{{
      standing === 'fine' && !busy ? 'painted' : busy || picture ? 'painting' : 'empty'
    }}</span>
  </section>
</template>

<style scoped>
.lift {
  background: color-mix(in srgb, var(--c) 30%, transparent);
}
.lift.lines {
  background-image: repeating-linear-gradient(135deg, var(--c) 0 1.5px, transparent 1.5px 4px);
}
.lift.cross {
  background-image:
    repeating-linear-gradient(135deg, var(--c) 0 1.5px, transparent 1.5px 4px),
    repeating-linear-gradient(45deg, var(--c) 0 1.5px, transparent 1.5px 4px);
}
</style>
