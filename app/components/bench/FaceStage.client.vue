<script setup lang="ts">
import { useElementSize, useEventListener } from '@vueuse/core'
import Konva from 'konva'
import { Compass, Crosshair, Grid3x3, Layers2, Ruler, ScanFace, Rotate3d, Waypoints, ZoomIn, ZoomOut } from '@lucide/vue'
import { toast } from 'vue-sonner'
import { degrees, wrapDegrees, type Point } from '#core/geometry'
import { BREAKS, isMark, isOutline, laidOf, movedHandles, openingNumbers, placementOf, placementsOf, type MarkStep, type SheetStep, type World } from '#core/look'
import { layOn, onSkin, SAME, zoneAt, zoneWords, type Placement } from '#core/skin'
import { drawGuides, drawLandmarkHandles, drawRuler, RULER } from './stage/guides'
import { stepAt } from './stage/hit'
import { lightened } from './stage/lighter'
import { drawChoice, drawLift, drawOutlines, drawSelection, drawSheetGrid, handlesOf, LIFT_CLASSES, openingAt } from './stage/selection'
import { drawFlow, drawMarks, drawSpots, gapAt, handleAt } from './stage/marks'
import { toPicture, toScreen, toSkin, wholePicture, zoomed, type View } from './stage/view'

const props = defineProps<{ playTo: number | null }>()

const bench = useBench(), brush = useBrushwork(), settings = useSettings(), painter = usePainter(), kit = useKit()
const holder = useTemplateRef<HTMLDivElement>('holder')
const { width, height } = useElementSize(holder)
const busy = ref(false), slow = ref(false), problem = ref('')
/** Whether landmarks are being moved to match a person, and whether the head is turned. */
const fitting = ref(false), turned = ref(false)

let stage: Konva.Stage | null = null
const pictureLayer = new Konva.Layer({ listening: false }), guideLayer = new Konva.Layer({ listening: false }), handleLayer = new Konva.Layer({ listening: false })
const picture = shallowRef<{ canvas: HTMLCanvasElement, box: { minX: number, minY: number, maxX: number, maxY: number } } | null>(null)
const view = shallowRef<View>({ k: 2, ox: 0, oy: 0, front: SAME })
const ground = computed(() => bench.ground)
const whole = computed(() => wholePicture(width.value, height.value, settings.ruler ? RULER : 0, ground.value.box, ground.value.front))

/** What the hand does at the moment; the print follows when it lets go. */
type Grip = { kind: 'move', from: Point, start: Placement, along: Point } | { kind: 'turn', start: Placement } | { kind: 'pan', from: Point, view: View } | { kind: 'mark', id: string, from: Point, start: Point }
  | { kind: 'handle', step: MarkStep, n: number } | { kind: 'carry', from: Point, steps: MarkStep[], along: Point } | { kind: 'focus', at: Point }
let grip: Grip | null = null
const preview = shallowRef<SheetStep | null>(null), shaped = shallowRef<readonly MarkStep[] | null>(null), focusAt = shallowRef<Point | null>(null), mark = shallowRef<{ id: string, at: Point } | null>(null)

onMounted(async () => {
  await nextTick()
  stage = new Konva.Stage({ container: holder.value!, width: 10, height: 10 })
  stage.add(pictureLayer, guideLayer, handleLayer)
  fit()
  if (import.meta.dev || window.location.search.includes('probe')) (window as unknown as { faceStage: unknown }).faceStage = { stage, view: () => view.value, handles: () => handlesNow(), screen: (p: Point) => toScreen(view.value, p) }
})
onBeforeUnmount(() => stage?.destroy())

watch([width, height, () => settings.ruler, () => JSON.stringify(ground.value.box)], fit)
watch(ground, ({ front }) => { view.value = { ...view.value, front } })
function fit(): void {
  if (!stage || width.value < 20) return
  stage.size({ width: width.value, height: height.value })
  view.value = whole.value
}

/** Pixels to the mm of the print: as fine as the screen shows, at most 6. */
const fineness = computed(() => Math.min(6, Math.max(1, Math.round(view.value.k * Math.min(2, window.devicePixelRatio || 1) * 4) / 4)))

/** The canvas that patches are put into, and the box of the skin that it shows. */
let canvas: HTMLCanvasElement | null = null, wanted = 0
async function repaint(): Promise<void> {
  const look = bench.look
  if (!look || !bench.loaded) return
  busy.value = true
  const mine = ++wanted, late = setTimeout(() => { slow.value = true }, 500), { box } = ground.value
  try {
    // A newer change makes the worker give this one up.
    const answer = await painter.update(look, fineness.value, props.playTo ?? undefined, canvas !== null)
    if (!answer) return
    if (answer.fresh || !canvas) {
      canvas = document.createElement('canvas')
      canvas.width = answer.width
      canvas.height = answer.height
    }
    const { patch } = answer
    if (patch) canvas.getContext('2d')!.putImageData(new ImageData(patch.rgba, patch.width, patch.height), patch.i0, patch.j0)
    picture.value = { canvas, box }
    bench.painted(look, answer.shows)
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
watch([() => bench.look, () => bench.loaded, fineness, () => props.playTo, () => kit.paints, () => kit.readings], () => void repaint(), { immediate: true })

watchEffect(() => {
  pictureLayer.destroyChildren()
  if (picture.value) {
    const { k, ox, oy } = view.value, { canvas, box } = picture.value
    pictureLayer.add(new Konva.Image({ image: canvas, x: ox + k * box.minX, y: oy + k * box.minY, width: k * (box.maxX - box.minX), height: k * (box.maxY - box.minY) }))
  }
  pictureLayer.batchDraw()
})

const moved = computed(() => new Set(bench.look?.canvas.kind === 'face' ? Object.keys(bench.look.canvas.nudges) : []))
watchEffect(() => {
  guideLayer.destroyChildren()
  if (bench.look) {
    if (settings.guides && !fitting.value) drawGuides(guideLayer, view.value, ground.value.marks, focusAt.value ?? bench.look.focus, height.value)
    if (fitting.value) drawLandmarkHandles(guideLayer, view.value, ground.value.marks, moved.value, mark.value)
    if (brush.watching && brush.composition) drawFlow(guideLayer, brush.composition.flow.elements, BREAKS, view.value)
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
const quick = computed<World>(() => ({ ...bench.world, quick: true, stencil: (id) => {
  const sheet = bench.world.stencil(id)
  return sheet && lightened(sheet)
} }))

watchEffect(() => {
  handleLayer.destroyChildren()
  const marks = shaped.value ?? bench.chosen.filter(isMark), also = bench.chosen.filter((s): s is SheetStep => s.kind === 'sheet' && s.id !== bench.selectedId)
  if (props.playTo === null && !fitting.value) {
    for (const s of also) drawOutlines(handleLayer, s, bench.world, view.value)
    if (brush.choosing && brush.host) drawChoice(handleLayer, brush.host.step, new Set(brush.host.openings ?? []), bench.world, view.value)
    else if (marks.length) drawMarks(handleLayer, marks, bench.chosen.length === 1 ? marks[0]! : null, shaped.value ? quick.value : bench.world, view.value, shaped.value !== null)
  }
  const step = preview.value ?? bench.selectedSheet
  if (step && props.playTo === null && !fitting.value) {
    const world = preview.value ? quick.value : bench.world, sheet = world.stencil(step.stencil)
    drawSelection(handleLayer, step, world, view.value, preview.value !== null, bench.holdsTwin)
    if (sheet && !preview.value) {
      const laid = laidOf(step, world)
      for (const [x, y] of (bench.outcomes.get(step.id)?.marks ?? []).map(p => toScreen(view.value, p))) handleLayer.add(new Konva.Text({ x: x - 5, y: y - 6, text: '×', fontSize: 13, fontStyle: 'bold', fill: '#A0331F', listening: false }))
      if (settings.grid) laid.forEach(l => drawSheetGrid(handleLayer, l, sheet, view.value))
      bench.seating.forEach((s, i) => laid[i] && drawLift(handleLayer, laid[i], sheet, s.gaps, view.value))
      const pass = bench.choosing === null ? undefined : step.passes[bench.choosing]
      if (pass) drawChoice(handleLayer, step, new Set(openingNumbers(pass, sheet)), world, view.value)
    }
  }
  handleLayer.batchDraw()
})

const at = (event: { clientX: number, clientY: number }): Point => {
  const box = holder.value!.getBoundingClientRect()
  return [event.clientX - box.left, event.clientY - box.top]
}
const near = (a: Point, b: Point): boolean => Math.hypot(a[0] - b[0], a[1] - b[1]) < 13

/** The placement that the hand has of the selected step, held at its middle. */
function heldPlacement(step: SheetStep): Placement {
  const own = (bench.holdsTwin ? step.twin.own : null) ?? placementOf(step)
  return { at: layOn(ground.value.surface, own).point([0, 0]), tilt: own.tilt, side: own.side }
}

function handlesNow() {
  const step = bench.selectedSheet, sheet = step && bench.world.stencil(step.stencil), held = step && placementsOf(step, bench.world)[bench.holdsTwin ? 1 : 0]
  return held && sheet ? handlesOf(held, bench.world, sheet, view.value) : null
}

function press(event: PointerEvent): void {
  if (!bench.look || event.button !== 0) return
  const point = at(event), chosen = bench.selectedSheet
  holder.value!.setPointerCapture(event.pointerId)
  if (fitting.value) return pressMark(point)
  const handles = handlesNow()
  if (handles && near(point, handles.flip)) return bench.flip()
  if (handles && chosen && near(point, handles.turn)) {
    grip = { kind: 'turn', start: heldPlacement(chosen) }
    return
  }
  const outlined = brush.choosing && brush.host ? toSkin(view.value, point) : null, piece = outlined && openingAt(brush.host!.step, bench.world, outlined)
  if (piece !== null) return brush.choose(piece)
  const own = bench.chosen.length === 1 ? bench.selectedMark : null, n = own && handleAt(own, view.value, point)
  if (own && n !== null && event.altKey && isOutline(own)) return brush.dropHandle(n)
  if (own && n !== null) {
    grip = { kind: 'handle', step: own, n }
    return
  }
  const gap = own && gapAt(own, view.value, point), between = gap !== null && toSkin(view.value, point)
  if (own && gap !== null && between) {
    brush.insertHandle(gap, between)
    grip = { kind: 'handle', step: bench.selectedMark!, n: gap + 1 }
    return
  }
  if (settings.guides && near(point, toScreen(view.value, bench.look.focus)) && !event.shiftKey) {
    grip = { kind: 'focus', at: bench.look.focus }
    return
  }
  const skin = toSkin(view.value, point), opening = skin && chosen && bench.choosing !== null ? openingAt(chosen, bench.world, skin) : null
  if (opening !== null) return bench.choose(opening)
  const found = skin && stepAt(bench.look.steps, chosen, bench.chosen, bench.world, skin)
  if (found && (event.shiftKey || event.ctrlKey)) return bench.alsoSelect(found.step.id)
  if (skin && found && found.step.kind !== 'sheet') {
    if (!bench.chosen.some(s => s.id === found.step.id)) bench.selectedId = found.step.id
    bench.spot = null
    const held = bench.chosen.filter(isMark).filter(s => s.points.length)
    if (held.length) grip = { kind: 'carry', from: skin, steps: held, along: found.twin ? [-1, found.step.twin.rule === 'turn' ? -1 : 1] : [1, 1] }
    return
  }
  const hit = found && found.step.kind === 'sheet' ? { step: found.step, twin: found.twin } : null
  if (skin && hit) {
    bench.selectedId = hit.step.id
    bench.spot = null
    void nextTick(() => { bench.holdsTwin = hit.twin && hit.step.twin.own !== null })
    // A linked twin pulls its original along as in a mirror.
    const linked = hit.twin && hit.step.twin.own === null, along: Point = !linked ? [1, 1] : hit.step.twin.rule === 'turn' ? [-1, -1] : [-1, 1]
    const own = (hit.twin && hit.step.twin.own) || placementOf(hit.step)
    grip = { kind: 'move', from: skin, start: { at: layOn(ground.value.surface, own).point([0, 0]), tilt: own.tilt, side: own.side }, along }
    return
  }
  grip = { kind: 'pan', from: point, view: view.value }
}

function pressMark(point: Point): void {
  const hit = ground.value.marks.find(m => near(point, toScreen(view.value, m.at)))
  grip = hit ? { kind: 'mark', id: hit.id, from: toPicture(view.value, point), start: hit.at } : { kind: 'pan', from: point, view: view.value }
  if (hit) mark.value = { id: hit.id, at: hit.at }
}

function drag(event: PointerEvent): void {
  if (!grip) return
  const point = at(event), skin = toSkin(view.value, point), chosen = bench.selectedSheet
  if (grip.kind === 'pan') {
    if (view.value.k > whole.value.k) view.value = { ...grip.view, ox: grip.view.ox + point[0] - grip.from[0], oy: grip.view.oy + point[1] - grip.from[1] }
  } else if (grip.kind === 'mark') {
    const [x, y] = toPicture(view.value, point)
    mark.value = { id: grip.id, at: [grip.start[0] + x - grip.from[0], grip.start[1] + y - grip.from[1]] }
  } else if (grip.kind === 'focus' && skin) {
    grip = { kind: 'focus', at: skin }
    focusAt.value = skin
  } else if (grip.kind === 'handle' && skin) {
    const { step, n } = grip, points = step.points.map((p, i): [number, number] => i === n ? [bench.round(Math.abs(skin[0]) < 0.8 && !event.altKey ? 0 : skin[0]), bench.round(skin[1])] : [p[0], p[1]])
    shaped.value = [{ ...step, points }]
  } else if (grip.kind === 'carry' && skin) {
    const { from, along, steps } = grip, dx = along[0] * (skin[0] - from[0]), dy = along[1] * (skin[1] - from[1])
    if (Math.hypot(dx, dy) > 0.4) shaped.value = steps.map(s => ({ ...s, points: movedHandles(s.points, ([x, y]) => [x + dx, y + dy]) }))
  } else if (chosen && grip.kind === 'move' && skin) {
    const x = bench.round(grip.start.at[0] + grip.along[0] * (skin[0] - grip.from[0])), y = bench.round(grip.start.at[1] + grip.along[1] * (skin[1] - grip.from[1]))
    // A sheet pulled close to the midline snaps onto it, unless Alt is held.
    show(chosen, { ...grip.start, at: [Math.abs(x) < 1.2 && !event.altKey ? 0 : x, y] })
  } else if (chosen && grip.kind === 'turn') {
    const [mx, my] = toScreen(view.value, grip.start.at), angle = degrees(Math.atan2(point[0] - mx, my - point[1]))
    show(chosen, { ...grip.start, tilt: event.shiftKey ? Math.round(angle / 15) * 15 : bench.round(wrapDegrees(Math.round(angle))) })
  }
}

function show(step: SheetStep, { at: [x, y], tilt, side }: Placement): void {
  const place = { at: [x, y] as [number, number], tilt, side, grip: [0, 0] as [number, number] }
  preview.value = bench.holdsTwin && step.twin.own ? { ...step, twin: { ...step.twin, own: place } } : { ...step, ...place }
}

function release(event: PointerEvent): void {
  if (!grip) return
  const step = preview.value, done = grip, put = mark.value, forms = shaped.value
  grip = null
  shaped.value = null
  focusAt.value = null
  if (done.kind === 'focus' && done.at !== bench.look!.focus) return brush.moveFocus(done.at)
  if (done.kind === 'handle' && forms) return brush.moveHandle(done.n, forms[0]!.points[done.n]!)
  // A tap on the base that is held picks the spot for the next sheet, as one beside it does.
  if (done.kind === 'carry' && !forms && done.steps[0]!.kind === 'wash') return pick(event)
  if (done.kind === 'carry' && forms) {
    const [a] = forms[0]!.points, [b] = done.steps[0]!.points
    return brush.shift(a![0] - b![0], a![1] - b![1])
  }
  preview.value = null
  mark.value = null
  if (done.kind === 'mark' && put) moveMark(done.id, put.at[0] - done.start[0], put.at[1] - done.start[1])
  else if (step) {
    const to = bench.holdsTwin && step.twin.own ? step.twin.own : step
    bench.place(done.kind === 'turn' ? 'turn' : 'move', (s) => { s.at = [to.at[0], to.at[1]]; s.tilt = to.tilt })
  } else if (done.kind === 'pan' && near(done.from, at(event)) && !fitting.value) pick(event)
}

/** A tap on bare skin picks the spot for the next sheet; one beside the head lets go of everything. */
function pick(event: PointerEvent): void {
  const skin = toSkin(view.value, at(event))
  bench.selectedId = null
  bench.spot = skin && onSkin(ground.value, skin) ? [bench.round(skin[0]), bench.round(skin[1])] : null
}

/** Moves a landmark by some mm from where it is; one that would cross another stays where it was. */
function moveMark(id: string, dx: number, dy: number): void {
  if (Math.hypot(dx, dy) < 0.3) return
  bench.setCanvas('move a landmark', (look) => {
    if (look.canvas.kind !== 'face') return
    const was = look.canvas.nudges[id] ?? [0, 0]
    look.canvas.nudges[id] = [bench.round(was[0] + dx), bench.round(was[1] + dy)]
  })
}
function resetMarks(): void {
  bench.setCanvas('even the face again', (look) => { if (look.canvas.kind === 'face') look.canvas.nudges = {} })
  toast('Landmarks back where age and measures put them.')
}

useEventListener(holder, 'wheel', (event: WheelEvent) => {
  event.preventDefault()
  view.value = zoomed(view.value, whole.value, Math.exp(-event.deltaY / 500), at(event))
}, { passive: false })
const zoomBy = (factor: number) => { view.value = zoomed(view.value, whole.value, factor, [width.value / 2, height.value / 2]) }

function drop(event: DragEvent): void {
  const id = event.dataTransfer?.getData('application/x-janusform-sheet'), skin = toSkin(view.value, at(event))
  if (id && skin) void bench.addSheet(id, skin)
}

const spotWords = computed(() => {
  const zone = bench.spot && zoneAt(ground.value, bench.spot)
  return bench.spot ? `Spot picked: ${zone ? zoneWords(zone) : 'bare skin'}` : ''
})
const faceCanvas = computed(() => bench.look?.canvas.kind === 'face')
watch(faceCanvas, (is) => { if (!is) fitting.value = false })
useEventListener(window, 'keydown', (event) => { if (event.key === 'Escape' && turned.value) turned.value = false })
</script>

<template>
  <section class="relative min-h-0 min-w-0 overflow-hidden bg-stage" aria-label="Face">
    <div
      ref="holder" data-testid="stage" tabindex="0" class="absolute inset-0 touch-none" role="application" :aria-label="`The ${ground.words} with the painted look; arrow keys move the selected sheet`"
      @pointerdown="press" @pointermove="drag" @pointerup="release" @pointercancel="grip = null; preview = null; mark = null; shaped = null; focusAt = null" @dragover.prevent @drop.prevent="drop"
    />
    <div class="absolute right-2 bottom-2 flex flex-col gap-1 rounded-lg border border-rule bg-card/90 p-0.5">
      <button class="icon-btn" :title="`Turn the ${ground.face ? 'head' : 'arm'}`" aria-label="Turn the head" :aria-pressed="turned" @click="turned = true"><Rotate3d :size="17" /></button>
      <button v-if="faceCanvas" class="icon-btn" title="Fit landmarks to a person" aria-label="Fit landmarks" :aria-pressed="fitting" :class="fitting && 'bg-mulberry! text-white!'" @click="fitting = !fitting"><ScanFace :size="17" /></button>
      <button class="icon-btn" title="How the sheet lifts off the skin" aria-label="Lift" :aria-pressed="settings.lift" :class="settings.lift && 'text-mulberry'" @click="settings.lift = !settings.lift"><Layers2 :size="17" /></button>
      <button class="icon-btn" title="The sheet's own grid, 10 mm" aria-label="Sheet grid" :aria-pressed="settings.grid" :class="settings.grid && 'text-mulberry'" @click="settings.grid = !settings.grid"><Grid3x3 :size="17" /></button>
      <button class="icon-btn" title="Where everything points, and to what" aria-label="Flow" :aria-pressed="brush.watching" :class="brush.watching && 'text-mulberry'" @click="brush.watching = !brush.watching"><Compass :size="17" /></button>
      <span class="mx-1 h-px bg-rule" />
      <button class="icon-btn" title="Zoom in" aria-label="Zoom in" @click="zoomBy(1.35)"><ZoomIn :size="17" /></button>
      <button class="icon-btn" title="Zoom out" aria-label="Zoom out" @click="zoomBy(1 / 1.35)"><ZoomOut :size="17" /></button>
      <button class="icon-btn" title="Midline, landmarks and focal point" aria-label="Guides" :aria-pressed="settings.guides" :class="settings.guides && 'text-mulberry'" @click="settings.guides = !settings.guides"><Waypoints :size="17" /></button>
      <button class="icon-btn" title="Edge ruler" aria-label="Edge ruler" :aria-pressed="settings.ruler" :class="settings.ruler && 'text-mulberry'" @click="settings.ruler = !settings.ruler"><Ruler :size="17" /></button>
    </div>
    <p v-if="fitting" class="absolute top-6 left-1/2 flex -translate-x-1/2 items-center gap-2 rounded-full bg-ink/85 py-0.5 pr-1 pl-3 text-sm whitespace-nowrap text-paper">Drag the dots onto the person's features<button v-if="moved.size" class="rounded-full bg-paper/20 px-2 font-semibold" @click="resetMarks">Even again</button><button class="rounded-full bg-paper px-2 font-semibold text-ink" @click="fitting = false">Done</button></p>
    <p v-else-if="spotWords" class="pointer-events-none absolute top-6 left-1/2 flex -translate-x-1/2 items-center gap-1.5 rounded-full bg-ink/85 px-3 py-0.5 text-sm whitespace-nowrap text-paper"><Crosshair :size="14" />{{ spotWords }}</p>
    <p v-if="brush.choosing" class="absolute top-6 left-1/2 flex -translate-x-1/2 items-center gap-3 rounded-full bg-ink/85 py-0.5 pr-1 pl-3 text-sm whitespace-nowrap text-paper">Click the openings to outline<button class="rounded-full bg-paper px-2 font-semibold text-ink" @click="brush.choosing = false">Done</button></p>
    <p v-if="bench.choosing !== null" class="absolute top-6 left-1/2 flex -translate-x-1/2 items-center gap-3 rounded-full bg-ink/85 py-0.5 pr-1 pl-3 text-sm whitespace-nowrap text-paper">Click openings for pass {{ bench.choosing + 1 }}<button class="rounded-full bg-paper px-2 font-semibold text-ink" @click="bench.choosing = null">Done</button></p>
    <p v-if="bench.seating.length" class="pointer-events-none absolute bottom-2 left-6 flex flex-col gap-0.5 rounded-lg border border-rule bg-card/90 px-2 py-1 text-[0.8rem] text-soft" aria-label="Lift in colours"><span v-for="c in LIFT_CLASSES" :key="c.words" class="flex items-center gap-1"><span class="lift size-3 rounded-sm border" :class="c.pattern" :style="{ borderColor: c.colour, '--c': c.colour }" />{{ c.words }}</span></p>
    <p v-if="slow" role="status" class="absolute bottom-2 left-6 rounded-full bg-ink/85 px-3 py-0.5 text-sm text-paper">Painting…</p>
    <p v-if="problem" role="alert" class="absolute inset-x-8 bottom-4 rounded-lg border border-stop bg-card p-3 text-stop">{{ problem }}</p>
    <FlowPanel v-if="brush.watching" class="absolute top-6 left-6" />
    <LazyTurnedHead v-if="turned" :play-to="props.playTo" @close="turned = false" />
    <span class="sr-only" data-testid="picture-state">{{ busy ? 'painting' : picture ? 'painted' : 'empty' }}</span>
  </section>
</template>

<style scoped>
.lift { background: color-mix(in srgb, var(--c) 30%, transparent); }
.lift.lines { background-image: repeating-linear-gradient(135deg, var(--c) 0 1.5px, transparent 1.5px 4px); }
.lift.cross { background-image: repeating-linear-gradient(135deg, var(--c) 0 1.5px, transparent 1.5px 4px), repeating-linear-gradient(45deg, var(--c) 0 1.5px, transparent 1.5px 4px); }
</style>
