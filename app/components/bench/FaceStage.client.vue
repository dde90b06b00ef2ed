<script setup lang="ts">
import { useElementSize, useEventListener } from '@vueuse/core'
import Konva from 'konva'
import { Crosshair, Ruler, Waypoints, ZoomIn, ZoomOut } from '@lucide/vue'
import { degrees, ringHolds, wrapDegrees, type Point } from '#core/geometry'
import { kindOf, openingNumbers, type SheetStep } from '#core/look'
import { HEAD_BOX } from '#core/raster'
import { zoneAt, zoneWords } from '#core/skin'
import { drawGuides, drawRuler, RULER } from './stage/guides'
import { drawChoice, drawSelection, handlesOf, openingAt } from './stage/selection'
import { toScreen, toSkin, wholeHead, zoomed, type View } from './stage/view'

const props = defineProps<{ playTo: number | null }>()

const bench = useBench(), settings = useSettings(), painter = usePainter(), drawer = useDrawer(), kit = useKit()
const holder = useTemplateRef<HTMLDivElement>('holder')
const { width, height } = useElementSize(holder)
const busy = ref(false), slow = ref(false), problem = ref('')

let stage: Konva.Stage | null = null
const pictureLayer = new Konva.Layer({ listening: false }), guideLayer = new Konva.Layer({ listening: false }), handleLayer = new Konva.Layer({ listening: false })
const picture = shallowRef<HTMLCanvasElement | null>(null)
const view = shallowRef<View>({ k: 2, ox: 0, oy: 0 })
const whole = computed(() => wholeHead(width.value, height.value, settings.ruler ? RULER : 0))

/** What the hand does at the moment; the print follows when it lets go. */
type Grip = { kind: 'move', from: Point, at: Point } | { kind: 'turn' } | { kind: 'pan', from: Point, view: View }
let grip: Grip | null = null
const preview = shallowRef<SheetStep | null>(null)

onMounted(async () => {
  await nextTick()
  stage = new Konva.Stage({ container: holder.value!, width: 10, height: 10 })
  stage.add(pictureLayer, guideLayer, handleLayer)
  fit()
  if (import.meta.dev || window.location.search.includes('probe')) (window as unknown as { faceStage: unknown }).faceStage = { stage, view: () => view.value }
})
onBeforeUnmount(() => stage?.destroy())

watch([width, height, () => settings.ruler], fit)
function fit(): void {
  if (!stage || width.value < 20) return
  stage.size({ width: width.value, height: height.value })
  view.value = whole.value
}

/** Pixels to the mm of the print: as fine as the screen shows, at most 6. */
const fineness = computed(() => Math.min(6, Math.max(1, Math.round(view.value.k * Math.min(2, window.devicePixelRatio || 1) * 4) / 4)))

const repaint = newestOnly(async () => {
  const look = bench.look
  if (!look || !bench.loaded) return
  busy.value = true
  const late = setTimeout(() => { slow.value = true }, 500)
  try {
    await painter.tell(drawer.shapes, Object.fromEntries(kit.paints.map(p => [p.id, p.colour])))
    picture.value = canvasOf(await painter.paint(look, fineness.value, props.playTo ?? undefined))
    problem.value = ''
  } catch (error) {
    problem.value = `The picture could not be painted (${error instanceof Error ? error.message : error}). The look itself is safe; reload the page to try again.`
  } finally {
    clearTimeout(late)
    slow.value = false
    busy.value = false
  }
})
watch([() => bench.look, () => bench.loaded, fineness, () => props.playTo, () => kit.paints], () => repaint(), { immediate: true })

watchEffect(() => {
  pictureLayer.destroyChildren()
  if (picture.value) {
    const { k, ox, oy } = view.value
    pictureLayer.add(new Konva.Image({
      image: picture.value, x: ox + k * HEAD_BOX.minX, y: oy + k * HEAD_BOX.minY, width: k * (HEAD_BOX.maxX - HEAD_BOX.minX), height: k * (HEAD_BOX.maxY - HEAD_BOX.minY),
    }))
  }
  pictureLayer.batchDraw()
})

watchEffect(() => {
  guideLayer.destroyChildren()
  if (bench.look) {
    if (settings.guides) drawGuides(guideLayer, view.value, bench.world.face, bench.look.focus, height.value)
    if (bench.spot) {
      const [x, y] = toScreen(view.value, bench.spot)
      guideLayer.add(new Konva.Circle({ x, y, radius: 5, fill: '#7A2E5D', stroke: 'white', strokeWidth: 2 }))
    }
  }
  if (settings.ruler) drawRuler(guideLayer, view.value, width.value, height.value, settings.inches)
  guideLayer.batchDraw()
})

watchEffect(() => {
  handleLayer.destroyChildren()
  const step = preview.value ?? bench.selectedSheet
  if (step && props.playTo === null) {
    drawSelection(handleLayer, step, bench.world, view.value, preview.value !== null)
    const pass = bench.choosing === null ? undefined : step.passes[bench.choosing], sheet = bench.world.stencil(step.stencil)
    if (pass && sheet) drawChoice(handleLayer, step, new Set(openingNumbers(pass, sheet)), bench.world, view.value)
  }
  handleLayer.batchDraw()
})

const at = (event: { clientX: number, clientY: number }): Point => {
  const box = holder.value!.getBoundingClientRect()
  return [event.clientX - box.left, event.clientY - box.top]
}
const near = (a: Point, b: Point): boolean => Math.hypot(a[0] - b[0], a[1] - b[1]) < 13

/** The sheet under a point of the skin: the selected one first, then from the top down. */
function sheetAt([x, y]: Point): SheetStep | null {
  const steps = bench.look!.steps.filter((s): s is SheetStep => s.kind === 'sheet').reverse()
  const hit = (step: SheetStep, whole: boolean) => kindOf(step).outlines(step, bench.world).some(o => whole ? ringHolds(o.ring, x, y) : o.openings.some(r => ringHolds(r, x, y)))
  const chosen = bench.selectedSheet
  if (chosen && hit(chosen, true)) return chosen
  return steps.find(s => hit(s, false)) ?? null
}

function press(event: PointerEvent): void {
  if (!bench.look || event.button !== 0) return
  const point = at(event), chosen = bench.selectedSheet, handles = chosen && handlesOf(chosen, bench.world, view.value)
  holder.value!.setPointerCapture(event.pointerId)
  if (handles && near(point, handles.flip)) return bench.flip()
  if (handles && near(point, handles.turn)) {
    grip = { kind: 'turn' }
    return
  }
  const skin = toSkin(view.value, point), opening = chosen && bench.choosing !== null ? openingAt(chosen, bench.world, skin) : null
  if (opening !== null) return bench.choose(opening)
  const sheet = sheetAt(skin)
  if (sheet) {
    bench.selectedId = sheet.id
    bench.spot = null
    grip = { kind: 'move', from: skin, at: [sheet.at[0], sheet.at[1]] }
    return
  }
  grip = { kind: 'pan', from: point, view: view.value }
}

function drag(event: PointerEvent): void {
  if (!grip) return
  const point = at(event), skin = toSkin(view.value, point), chosen = bench.selectedSheet
  if (grip.kind === 'pan') {
    if (view.value.k > whole.value.k) view.value = { ...grip.view, ox: grip.view.ox + point[0] - grip.from[0], oy: grip.view.oy + point[1] - grip.from[1] }
  } else if (chosen && grip.kind === 'move') {
    const x = bench.round(grip.at[0] + skin[0] - grip.from[0]), y = bench.round(grip.at[1] + skin[1] - grip.from[1])
    // A sheet pulled close to the midline snaps onto it, unless Alt is held.
    preview.value = { ...chosen, at: [Math.abs(x) < 1.2 && !event.altKey ? 0 : x, y] }
  } else if (chosen) {
    const angle = degrees(Math.atan2(skin[0] - chosen.at[0], chosen.at[1] - skin[1]))
    preview.value = { ...chosen, tilt: event.shiftKey ? Math.round(angle / 15) * 15 : bench.round(wrapDegrees(Math.round(angle))) }
  }
}

function release(event: PointerEvent): void {
  if (!grip) return
  const moved = preview.value, done = grip
  grip = null
  preview.value = null
  if (moved) bench.editSheet(done.kind === 'turn' ? 'turn' : 'move', (s) => { s.at = [moved.at[0], moved.at[1]]; s.tilt = moved.tilt })
  else if (done.kind === 'pan' && near(done.from, at(event))) {
    // A tap on bare skin picks the spot for the next sheet; one beside the head lets go of everything.
    const skin = toSkin(view.value, at(event))
    bench.selectedId = null
    bench.spot = zoneAt(bench.world.face, skin) ? [bench.round(skin[0]), bench.round(skin[1])] : null
  }
}

useEventListener(holder, 'wheel', (event: WheelEvent) => {
  event.preventDefault()
  view.value = zoomed(view.value, whole.value, Math.exp(-event.deltaY / 500), at(event))
}, { passive: false })
const zoomBy = (factor: number) => { view.value = zoomed(view.value, whole.value, factor, [width.value / 2, height.value / 2]) }

function drop(event: DragEvent): void {
  const id = event.dataTransfer?.getData('application/x-janusform-sheet')
  if (id) void bench.addSheet(id, toSkin(view.value, at(event)))
}

const spotWords = computed(() => {
  const zone = bench.spot && zoneAt(bench.world.face, bench.spot)
  return zone ? `Spot picked: ${zoneWords(zone)}` : ''
})
</script>

<template>
  <section class="relative min-h-0 min-w-0 overflow-hidden bg-stage" aria-label="Face">
    <div
      ref="holder" data-testid="stage" tabindex="0" class="absolute inset-0 touch-none" role="application" aria-label="The face with the painted look; arrow keys move the selected sheet"
      @pointerdown="press" @pointermove="drag" @pointerup="release" @pointercancel="grip = null; preview = null" @dragover.prevent @drop.prevent="drop"
    />
    <div class="absolute right-2 bottom-2 flex flex-col gap-1 rounded-lg border border-rule bg-card/90 p-0.5">
      <button class="icon-btn" title="Zoom in" aria-label="Zoom in" @click="zoomBy(1.35)"><ZoomIn :size="17" /></button>
      <button class="icon-btn" title="Zoom out" aria-label="Zoom out" @click="zoomBy(1 / 1.35)"><ZoomOut :size="17" /></button>
      <button class="icon-btn" title="Midline, landmarks and focal point" aria-label="Guides" :aria-pressed="settings.guides" :class="settings.guides && 'text-mulberry'" @click="settings.guides = !settings.guides"><Waypoints :size="17" /></button>
      <button class="icon-btn" title="Edge ruler" aria-label="Edge ruler" :aria-pressed="settings.ruler" :class="settings.ruler && 'text-mulberry'" @click="settings.ruler = !settings.ruler"><Ruler :size="17" /></button>
    </div>
    <p v-if="spotWords" class="pointer-events-none absolute top-6 left-1/2 flex -translate-x-1/2 items-center gap-1.5 rounded-full bg-ink/85 px-3 py-0.5 text-sm text-paper"><Crosshair :size="14" />{{ spotWords }}</p>
    <p v-if="bench.choosing !== null" class="absolute top-6 left-1/2 flex -translate-x-1/2 items-center gap-3 rounded-full bg-ink/85 py-0.5 pr-1 pl-3 text-sm text-paper">Click openings for pass {{ bench.choosing + 1 }}<button class="rounded-full bg-paper px-2 font-semibold text-ink" @click="bench.choosing = null">Done</button></p>
    <p v-if="slow" role="status" class="absolute bottom-2 left-6 rounded-full bg-ink/85 px-3 py-0.5 text-sm text-paper">Painting the face…</p>
    <p v-if="problem" role="alert" class="absolute inset-x-8 bottom-4 rounded-lg border border-stop bg-card p-3 text-stop">{{ problem }}</p>
    <span class="sr-only" data-testid="picture-state">{{ busy ? 'painting' : picture ? 'painted' : 'empty' }}</span>
  </section>
</template>
