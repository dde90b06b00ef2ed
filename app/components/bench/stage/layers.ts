import Konva from 'konva'
import { computed, watchEffect, type Ref } from 'vue'
import type { Box, Point } from '#core/geometry'
import { BREAKS, isMark, laidOf, ofKind, type Look, type SheetStep } from '#core/look'
import { useAnalysis } from '~/stores/analysis'
import { useChoice } from '~/stores/choice'
import { useLoops } from '~/composables/useLoops'
import { useFlow } from '~/stores/flow'
import { useGradient } from '~/stores/gradient'
import { useScene } from '~/stores/scene'
import { useSelection } from '~/stores/selection'
import { useSession } from '~/stores/session'
import { useSettings } from '~/stores/settings'
import { useTape } from '~/stores/tape'
import { drawGuides, drawLandmarkHandles, drawRuler } from './guides'
import { drawLift, drawSheetGrid } from './lift'
import { coarse } from './lighter'
import { drawFlow, drawSpots } from './flow'
import { drawAxis, drawHalfTurn, drawHeldLoop, drawLoop, drawSnap, drawTape } from './shapes'
import { drawGuideSteps, drawMarks } from './marks'
import { drawChoice } from './openings'
import type { NearPicture } from './middle'
import type { StandingPicture } from './standing'
import type { Ghosts } from './tools'
import { useHalfTurn } from './tools/halfTurn'
import { toScreen, type View } from './view'

/** What the layers of the stage show. */
export interface Shown {
  readonly picture: Readonly<Ref<StandingPicture | null>>
  /** Parts that were painted by themselves, over the whole picture. */
  readonly parts: Readonly<Ref<readonly NearPicture[]>>
  readonly view: Readonly<Ref<View>>
  readonly width: Readonly<Ref<number>>
  readonly height: Readonly<Ref<number>>
  readonly fitting: Readonly<Ref<boolean>>
  /** Landmarks that were moved by hand. */
  readonly moved: Readonly<Ref<ReadonlySet<string>>>
  readonly playing: () => boolean
  readonly ghosts: Ghosts
}

const layer = () => new Konva.Layer({ listening: false })

/**
 * Shows what a layer drew last as a still picture in its place. A browser without a graphics card copies each
 * canvas that is drawn on with every frame in which any of them changes, and stills never.
 */
function still(on: Konva.Layer): void {
  const drawn = on.getNativeCanvasElement()
  const shown = document.createElement('canvas')
  const picture = shown.getContext('bitmaprenderer')
  if (!picture) return
  drawn.style.visibility = 'hidden'
  on.on('draw', () => {
    const { width, height } = drawn
    if (width === 0 || height === 0) return
    const copy = new OffscreenCanvas(width, height)
    copy.getContext('2d')!.drawImage(drawn, 0, 0)
    picture.transferFromImageBitmap(copy.transferToImageBitmap())
    const { width: wide, height: high } = drawn.style
    Object.assign(shown.style, { position: 'absolute', left: '0', top: '0', width: wide, height: high })
    if (!shown.isConnected) drawn.before(shown)
  })
}

/** Draws a layer anew whenever something that it shows changes. */
const kept = (on: Konva.Layer, draw: () => void) =>
  watchEffect(() => {
    on.destroyChildren()
    draw()
    on.batchDraw()
  })

/** A part of a picture where it belongs on the stage. */
function laid(
  { canvas: image, box }: StandingPicture,
  part: Readonly<Box>,
  { k, ox, oy }: View,
): Konva.Image {
  const fine = image.width / (box.maxX - box.minX)
  const [wide, high] = [part.maxX - part.minX, part.maxY - part.minY]
  return new Konva.Image({
    image,
    x: ox + k * part.minX,
    y: oy + k * part.minY,
    width: k * wide,
    height: k * high,
    crop: {
      x: fine * (part.minX - box.minX),
      y: fine * (part.minY - box.minY),
      width: fine * wide,
      height: fine * high,
    },
  })
}

/** The picture itself, and over it what was painted by itself. */
function pictureLayer({ picture, parts, view }: Shown): Konva.Layer {
  const on = layer()
  kept(on, () => {
    if (!picture.value) return
    on.add(laid(picture.value, picture.value.box, view.value))
    for (const part of parts.value) on.add(laid(part, part.of.seen, view.value))
  })
  return on
}

/** Guides, landmarks, the flow, empty patches, the picked spot and the rulers. */
function guideLayer({ view, width, height, fitting, moved, ghosts }: Shown): Konva.Layer {
  const on = layer()
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  const flow = useFlow()
  const settings = useSettings()
  /** The focal points, the one that moves where the hand has it. */
  const fociNow = ({ focus, foci = [] }: Look): Point[] => {
    const moving = ghosts.focusAt.value
    const all: Point[] = [focus, ...foci]
    return all.map((p, n) => (n === moving?.n ? moving.at : p))
  }
  const spot = () => {
    if (!selection.spot) return
    const [x, y] = toScreen(view.value, selection.spot)
    on.add(new Konva.Circle({ x, y, radius: 5, fill: '#7A2E5D', stroke: 'white', strokeWidth: 2 }))
  }
  const tape = useTape()
  kept(on, () => {
    const { look } = session
    if (tape.ends) drawTape(on, tape.ends, view.value)
    if (look) {
      const marked = ofKind('guide', look.steps).filter(s => !scene.world.off?.has(s.id))
      if (marked.length) drawGuideSteps(on, marked, scene.world, view.value)
      const { marks } = scene.ground
      if (fitting.value) drawLandmarkHandles(on, view.value, marks, moved.value, ghosts.mark.value)
      else if (settings.guides) drawGuides(on, view.value, marks, fociNow(look), height.value)
      const { composition } = flow
      if (composition && flow.watching) drawFlow(on, composition.flow.elements, BREAKS, view.value)
      if (composition && flow.showSpots) drawSpots(on, composition.spots, view.value)
      spot()
    }
    if (settings.ruler) drawRuler(on, view.value, width.value, height.value, settings.inches)
  })
  return on
}

/** A cross where paint closes a bridge. */
const cross = (x: number, y: number) =>
  new Konva.Text({
    x: x - 5,
    y: y - 6,
    text: '×',
    fontSize: 13,
    fontStyle: 'bold',
    fill: '#A0331F',
    listening: false,
  })

/** What is told of what is selected; strokes and marks with their handles; what is chosen and what snaps. */
function handleLayer({ view, fitting, playing, ghosts }: Shown): Konva.Layer {
  const on = layer()
  const selection = useSelection()
  const scene = useScene()
  const analysis = useAnalysis()
  const choice = useChoice()
  const settings = useSettings()
  const gradient = useGradient()
  const { loops } = useLoops()
  const halfTurn = useHalfTurn()

  function marks(): void {
    const shaped = ghosts.shaped.value
    const list = shaped ?? selection.steps.filter(isMark)
    const only = selection.steps.length === 1 ? (list[0] ?? null) : null
    const world = shaped ? coarse(scene.world) : scene.world
    if (!choice.now && list.length) drawMarks(on, list, only, world, view.value, shaped !== null)
  }
  /** What is told of the selected sheet where it lies. */
  function told(step: SheetStep): void {
    const sheet = scene.world.stencil(step.stencil)
    if (!sheet) return
    const laid = laidOf(step, scene.world)
    for (const at of analysis.outcomes.get(step.id)?.marks ?? []) on.add(cross(...toScreen(view.value, at)))
    if (settings.grid) laid.forEach(l => drawSheetGrid(on, l, sheet, view.value))
    scene.seating.forEach((s, i) => laid[i] && drawLift(on, laid[i], sheet, s.gaps, view.value))
  }
  /** The drawn shapes of what is selected, and where its colours run. */
  function shapes(): void {
    for (const loop of loops.value) drawHeldLoop(on, loop, view.value)
    const axis = ghosts.axis.value ?? gradient.now
    if (axis) drawAxis(on, axis, view.value)
    const centre = ghosts.about.value ?? halfTurn()
    if (centre) drawHalfTurn(on, centre, view.value)
  }
  // Where it moves to is none of this layer's: it would be drawn anew for nothing with each move.
  const moving = computed(() => ghosts.preview.value !== null)
  kept(on, () => {
    if (fitting.value || playing()) return
    marks()
    const step = selection.sheet
    if (step && !moving.value) told(step)
    if (!moving.value && !ghosts.shaped.value && !choice.now) shapes()
    if (choice.now)
      drawChoice(on, choice.now.step, choice.now.chosen, choice.now.may, scene.world, view.value)
    if (ghosts.snap.value) drawSnap(on, ghosts.snap.value, view.value)
    if (ghosts.loop.value) drawLoop(on, ghosts.loop.value, view.value)
  })
  return on
}

/** The layers of the stage, from the picture up; the first two rest while something moves under the hand. */
export function stageLayers(shown: Shown): Konva.Layer[] {
  const resting = [pictureLayer(shown), guideLayer(shown)]
  resting.forEach(still)
  return [...resting, handleLayer(shown)]
}
