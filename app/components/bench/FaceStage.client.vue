<script setup lang="ts">
import { useElementSize, useEventListener } from '@vueuse/core'
import Konva from 'konva'
import {
  Compass,
  Crosshair,
  Grid3x3,
  Layers2,
  Ruler,
  ScanFace,
  Rotate3d,
  Waypoints,
  ZoomIn,
  ZoomOut,
} from '@lucide/vue'
import { toast } from 'vue-sonner'
import type { Point } from '#core/geometry'
import { BREAKS, isMark, laidOf, type SheetStep, type World } from '#core/look'
import { SAME, zoneAt, zoneWords } from '#core/skin'
import { drawGuides, drawLandmarkHandles, drawRuler, RULER } from './stage/guides'
import { useHand } from './stage/hand'
import { lightened } from './stage/lighter'
import {
  drawChoice,
  drawLift,
  drawLoop,
  drawOutlines,
  drawSelection,
  drawSheetGrid,
  LIFT_CLASSES,
} from './stage/selection'
import { drawFlow, drawMarks, drawSpots } from './stage/marks'
import { toScreen, toSkin, wholePicture, zoomed, type View } from './stage/view'

const props = defineProps<{ playTo: number | null }>()

const bench = useBench()
const brush = useBrushwork()
const choice = useChoice()
const settings = useSettings()
const painter = usePainter()
const kit = useKit()
const drawer = useDrawer()
const holder = useTemplateRef<HTMLDivElement>('holder')
const { width, height } = useElementSize(holder)
const busy = ref(false)
const slow = ref(false)
const problem = ref('')
/** Whether landmarks are being moved to match a person, and whether the head is turned. */
const fitting = ref(false)
const turned = ref(false)

let stage: Konva.Stage | null = null
const pictureLayer = new Konva.Layer({ listening: false })
const guideLayer = new Konva.Layer({ listening: false })
const handleLayer = new Konva.Layer({ listening: false })
const picture = shallowRef<{
  canvas: HTMLCanvasElement
  box: { minX: number; minY: number; maxX: number; maxY: number }
} | null>(null)
const view = shallowRef<View>({ k: 2, ox: 0, oy: 0, front: SAME })
const ground = computed(() => bench.ground)
/** Whether the stage has its size, and the view follows from it. */
const sized = ref(false)
const whole = computed(() =>
  wholePicture(width.value, height.value, settings.ruler ? RULER : 0, ground.value.box, ground.value.front),
)

/** Whether the next tap picks a spot, whatever is painted there. */
const picking = ref(false)
const { at, handlesNow, preview, shaped, focusAt, mark, loop, press, drag, release, letGo } = useHand({
  holder,
  view,
  whole,
  fitting,
  picking,
})

onMounted(async () => {
  await nextTick()
  stage = new Konva.Stage({ container: holder.value!, width: 10, height: 10 })
  stage.add(pictureLayer, guideLayer, handleLayer)
  fit()
  if (import.meta.dev || window.location.search.includes('probe'))
    (window as unknown as { faceStage: unknown }).faceStage = {
      stage,
      view: () => view.value,
      handles: () => handlesNow(),
      screen: (p: Point) => toScreen(view.value, p),
      picture: () => ({
        width: picture.value!.canvas.width,
        wide: picture.value!.box.maxX - picture.value!.box.minX,
        fine: fineness.value,
      }),
    }
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
}

/** Pixels to the mm of the print: as fine as the screen shows, at most 6. */
const fineness = computed(() =>
  Math.min(6, Math.max(1, Math.round(view.value.k * Math.min(2, window.devicePixelRatio || 1) * 4) / 4)),
)

/** The canvas that patches are put into, with the number of the picture on it. */
let canvas: HTMLCanvasElement | null = null,
  have: number | null = null,
  wanted = 0
async function repaint(): Promise<void> {
  const look = bench.look
  // How fine the picture must be is known once the stage has its size.
  if (!look || !bench.loaded || !sized.value) return
  busy.value = true
  const mine = ++wanted
  const upTo = props.playTo ?? undefined
  const late = setTimeout(() => {
    slow.value = true
  }, 500)
  const { box } = ground.value
  try {
    // A newer change makes the worker give this one up.
    const answer = await painter.update(look, fineness.value, upTo, have)
    if (!answer) return
    if (answer.fresh || !canvas) {
      canvas = document.createElement('canvas')
      canvas.width = answer.width
      canvas.height = answer.height
    }
    have = answer.picture
    const { patch } = answer
    if (patch)
      canvas
        .getContext('2d')!
        .putImageData(new ImageData(patch.rgba, patch.width, patch.height), patch.i0, patch.j0)
    picture.value = { canvas, box }
    // A build that is played shows only some of the steps.
    if (upTo === undefined) bench.painted(look, answer.shows)
    problem.value = ''
  } catch (error) {
    problem.value = `The picture could not be painted (${error instanceof Error ? error.message : error}). The look itself is safe; reload the page to try again.`
  } finally {
    clearTimeout(late)
    if (mine === wanted) {
      slow.value = false
      busy.value = false
    }
  }
}
watch(
  [
    () => bench.look,
    () => bench.loaded,
    sized,
    fineness,
    () => props.playTo,
    () => kit.paints,
    () => kit.readings,
    () => drawer.shapes,
  ],
  () => void repaint(),
  { immediate: true },
)

watchEffect(() => {
  pictureLayer.destroyChildren()
  if (picture.value) {
    const { k, ox, oy } = view.value
    const { canvas, box } = picture.value
    pictureLayer.add(
      new Konva.Image({
        image: canvas,
        x: ox + k * box.minX,
        y: oy + k * box.minY,
        width: k * (box.maxX - box.minX),
        height: k * (box.maxY - box.minY),
      }),
    )
  }
  pictureLayer.batchDraw()
})

const moved = computed(
  () => new Set(bench.look?.canvas.kind === 'face' ? Object.keys(bench.look.canvas.nudges) : []),
)
watchEffect(() => {
  guideLayer.destroyChildren()
  if (bench.look) {
    if (settings.guides && !fitting.value)
      drawGuides(guideLayer, view.value, ground.value.marks, focusAt.value ?? bench.look.focus, height.value)
    if (fitting.value)
      drawLandmarkHandles(guideLayer, view.value, ground.value.marks, moved.value, mark.value)
    if (brush.watching && brush.composition)
      drawFlow(guideLayer, brush.composition.flow.elements, BREAKS, view.value)
    if (brush.showSpots && brush.composition) drawSpots(guideLayer, brush.composition.spots, view.value)
    if (bench.spot) {
      const [x, y] = toScreen(view.value, bench.spot)
      guideLayer.add(new Konva.Circle({ x, y, radius: 5, fill: '#7A2E5D', stroke: 'white', strokeWidth: 2 }))
    }
  }
  if (settings.ruler) drawRuler(guideLayer, view.value, width.value, height.value, settings.inches)
  guideLayer.batchDraw()
})

/** While a sheet moves it is laid more coarsely, so that no frame waits for it. */
const quick = computed<World>(() => ({
  ...bench.world,
  quick: true,
  stencil: id => {
    const sheet = bench.world.stencil(id)
    return sheet && lightened(sheet)
  },
}))

watchEffect(() => {
  handleLayer.destroyChildren()
  const marks = shaped.value ?? bench.chosen.filter(isMark)
  const also = bench.chosen.filter((s): s is SheetStep => s.kind === 'sheet' && s.id !== bench.selectedId)
  if (props.playTo === null && !fitting.value) {
    for (const s of also) drawOutlines(handleLayer, s, bench.world, view.value)
    if (!choice.now && marks.length)
      drawMarks(
        handleLayer,
        marks,
        bench.chosen.length === 1 ? marks[0]! : null,
        shaped.value ? quick.value : bench.world,
        view.value,
        shaped.value !== null,
      )
  }
  const step = preview.value ?? bench.selectedSheet
  if (step && props.playTo === null && !fitting.value) {
    const world = preview.value ? quick.value : bench.world
    const sheet = world.stencil(step.stencil)
    drawSelection(handleLayer, step, world, view.value, preview.value !== null, bench.holdsTwin)
    if (sheet && !preview.value) {
      const laid = laidOf(step, world)
      for (const [x, y] of (bench.outcomes.get(step.id)?.marks ?? []).map(p => toScreen(view.value, p)))
        handleLayer.add(
          new Konva.Text({
            x: x - 5,
            y: y - 6,
            text: '×',
            fontSize: 13,
            fontStyle: 'bold',
            fill: '#A0331F',
            listening: false,
          }),
        )
      if (settings.grid) laid.forEach(l => drawSheetGrid(handleLayer, l, sheet, view.value))
      bench.seating.forEach((s, i) => laid[i] && drawLift(handleLayer, laid[i], sheet, s.gaps, view.value))
    }
  }
  if (choice.now && props.playTo === null && !fitting.value) {
    drawChoice(handleLayer, choice.now.step, choice.now.chosen, choice.now.may, bench.world, view.value)
    if (loop.value) drawLoop(handleLayer, loop.value, view.value)
  }
  handleLayer.batchDraw()
})

function resetMarks(): void {
  bench.setCanvas('even the face again', look => {
    if (look.canvas.kind === 'face') look.canvas.nudges = {}
  })
  toast('Landmarks back where age and measures put them.')
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

function drop(event: DragEvent): void {
  const id = event.dataTransfer?.getData('application/x-janusform-sheet')
  const skin = toSkin(view.value, at(event))
  if (id && skin) void bench.addSheet(id, skin)
}

const spotWords = computed(() => {
  const zone = bench.spot && zoneAt(ground.value, bench.spot)
  return bench.spot ? `Spot picked: ${zone ? zoneWords(zone) : 'bare skin'}` : ''
})
const faceCanvas = computed(() => bench.look?.canvas.kind === 'face')
watch(faceCanvas, is => {
  if (!is) fitting.value = false
})
useEventListener(window, 'keydown', event => {
  if (event.key === 'Escape' && turned.value) turned.value = false
})
</script>

<template>
  <section class="relative min-h-0 min-w-0 overflow-hidden bg-stage" aria-label="Face">
    <div
      ref="holder"
      data-testid="stage"
      tabindex="0"
      class="absolute inset-0 touch-none"
      role="application"
      :aria-label="`The ${ground.words} with the painted look; arrow keys move the selected sheet`"
      @pointerdown="press"
      @pointermove="drag"
      @pointerup="release"
      @pointercancel="letGo"
      @dragover.prevent
      @drop.prevent="drop"
    />
    <div class="absolute right-2 bottom-2 flex flex-col gap-1 rounded-lg border border-rule bg-card/90 p-0.5">
      <button
        class="icon-btn"
        :title="`Turn the ${ground.face ? 'head' : 'arm'}`"
        aria-label="Turn the head"
        :aria-pressed="turned"
        @click="turned = true"
      >
        <Rotate3d :size="17" />
      </button>
      <button
        v-if="faceCanvas"
        class="icon-btn"
        title="Fit landmarks to a person"
        aria-label="Fit landmarks"
        :aria-pressed="fitting"
        :class="fitting && 'bg-mulberry! text-white!'"
        @click="fitting = !fitting"
      >
        <ScanFace :size="17" />
      </button>
      <button
        class="icon-btn"
        title="How the sheet lifts off the skin"
        aria-label="Lift"
        :aria-pressed="settings.lift"
        :class="settings.lift && 'text-mulberry'"
        @click="settings.lift = !settings.lift"
      >
        <Layers2 :size="17" />
      </button>
      <button
        class="icon-btn"
        title="The sheet's own grid, 10 mm"
        aria-label="Sheet grid"
        :aria-pressed="settings.grid"
        :class="settings.grid && 'text-mulberry'"
        @click="settings.grid = !settings.grid"
      >
        <Grid3x3 :size="17" />
      </button>
      <button
        class="icon-btn"
        title="Where everything points, and to what"
        aria-label="Flow"
        :aria-pressed="brush.watching"
        :class="brush.watching && 'text-mulberry'"
        @click="brush.watching = !brush.watching"
      >
        <Compass :size="17" />
      </button>
      <button
        class="icon-btn"
        title="Pick a spot, also on what is painted (or press long, or Alt and click)"
        aria-label="Pick a spot"
        :aria-pressed="picking"
        :class="picking && 'bg-mulberry! text-white!'"
        @click="picking = !picking"
      >
        <Crosshair :size="17" />
      </button>
      <span class="mx-1 h-px bg-rule" />
      <button class="icon-btn" title="Zoom in" aria-label="Zoom in" @click="zoomBy(1.35)">
        <ZoomIn :size="17" />
      </button>
      <button class="icon-btn" title="Zoom out" aria-label="Zoom out" @click="zoomBy(1 / 1.35)">
        <ZoomOut :size="17" />
      </button>
      <button
        class="icon-btn"
        title="Midline, landmarks and focal point"
        aria-label="Guides"
        :aria-pressed="settings.guides"
        :class="settings.guides && 'text-mulberry'"
        @click="settings.guides = !settings.guides"
      >
        <Waypoints :size="17" />
      </button>
      <button
        class="icon-btn"
        title="Edge ruler"
        aria-label="Edge ruler"
        :aria-pressed="settings.ruler"
        :class="settings.ruler && 'text-mulberry'"
        @click="settings.ruler = !settings.ruler"
      >
        <Ruler :size="17" />
      </button>
    </div>
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
      v-else-if="spotWords && !choice.now"
      class="pointer-events-none absolute top-6 left-1/2 flex -translate-x-1/2 items-center gap-1.5 rounded-full bg-ink/85 px-3 py-0.5 text-sm whitespace-nowrap text-paper"
    >
      <Crosshair :size="14" />{{ spotWords }}
    </p>
    <ChoiceBar class="absolute top-6 left-1/2 -translate-x-1/2" />
    <p
      v-if="bench.seating.length"
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
    <FlowPanel v-if="brush.watching" class="absolute top-6 left-6" />
    <LazyTurnedHead v-if="turned" :play-to="props.playTo" @close="turned = false" />
    <span class="sr-only" data-testid="picture-state">{{
      busy ? 'painting' : picture ? 'painted' : 'empty'
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
