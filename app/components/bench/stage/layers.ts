import Konva from 'konva'
import { watchEffect, type Ref } from 'vue'
import type { Box, Point } from '#core/geometry'
import { labOf, linearOf, typologyAngle } from '#core/paint'
import { BREAKS, isMark, laidOf, ofKind, type Look, type SheetStep, type World } from '#core/look'
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
import { lightened } from './lighter'
import { drawFlow, drawSpots } from './flow'
import { drawAxis, drawHeldLoop, drawSnap, drawTape } from './shapes'
import { drawGuideSteps, drawMarks } from './marks'
import { drawChoice } from './openings'
import type { NearPicture } from './near'
import type { StandingPicture } from './standing'
import { drawLoop, drawOutlines, drawSelection } from './selection'
import type { Ghosts } from './tools'
import { toScreen, type View } from './view'

/** What the layers of the stage show. */
export interface Shown {
  readonly picture: Readonly<Ref<StandingPicture | null>>
  /** What is seen from near, over the whole picture. */
  readonly near: Readonly<Ref<NearPicture | null>>
  readonly view: Readonly<Ref<View>>
  readonly width: Readonly<Ref<number>>
  readonly height: Readonly<Ref<number>>
  readonly fitting: Readonly<Ref<boolean>>
  /** Landmarks that were moved by hand. */
  readonly moved: Readonly<Ref<ReadonlySet<string>>>
  readonly playing: () => boolean
  readonly ghosts: Ghosts
}

/** Skin of a typology angle below this is so dark that light shows better on it, degrees. */
const TAN = 20

const layer = () => new Konva.Layer({ listening: false })

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

/** The picture itself, and over it what is seen from near. */
function pictureLayer({ picture, near, view }: Shown): Konva.Layer {
  const on = layer()
  kept(on, () => {
    if (!picture.value) return
    on.add(laid(picture.value, picture.value.box, view.value))
    if (near.value) on.add(laid(near.value, near.value.of.seen, view.value))
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

/** While something moves it is laid more coarsely, so that no frame waits for it. */
const coarse = (world: World): World => ({
  ...world,
  quick: true,
  stencil: id => {
    const sheet = world.stencil(id)
    return sheet && lightened(sheet)
  },
})

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

/** What is selected, with its handles; what is chosen; and what moves under the hand. */
function handleLayer({ view, fitting, playing, ghosts }: Shown): Konva.Layer {
  const on = layer()
  const selection = useSelection()
  const scene = useScene()
  const analysis = useAnalysis()
  const choice = useChoice()
  const settings = useSettings()
  const gradient = useGradient()
  const session = useSession()
  const { loops } = useLoops()

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
  }
  kept(on, () => {
    if (fitting.value || playing()) return
    for (const step of ofKind('sheet', selection.steps))
      if (step.id !== selection.id) drawOutlines(on, step, scene.world, view.value)
    marks()
    const moving = ghosts.preview.value
    const step = moving ?? selection.sheet
    const world = moving ? coarse(scene.world) : scene.world
    if (step) {
      const dark = typologyAngle(labOf(linearOf(session.look!.skin.colour))) < TAN
      drawSelection(on, step, world, view.value, moving !== null, selection.holdsTwin, dark)
    }
    if (step && !moving) told(step)
    if (!moving && !ghosts.shaped.value && !choice.now) shapes()
    if (choice.now)
      drawChoice(on, choice.now.step, choice.now.chosen, choice.now.may, scene.world, view.value)
    if (ghosts.snap.value) drawSnap(on, ghosts.snap.value, view.value)
    if (ghosts.loop.value) drawLoop(on, ghosts.loop.value, view.value)
  })
  return on
}

/** The layers of the stage, from the picture up. */
export const stageLayers = (shown: Shown): Konva.Layer[] => [
  pictureLayer(shown),
  guideLayer(shown),
  handleLayer(shown),
]
