import Konva from 'konva'
import { boxOf, polygonHolds, ringCentroid, ringHolds, ringOf, type Point } from '#core/geometry'
import { laidOf, ownNumber, placementsOf, type SheetOutline, type SheetStep, type World } from '#core/look'
import { kindOf } from '#core/look'
import { layOn, SEATS_MM, type Laid, type Placement } from '#core/skin'
import { distanceToRing, type Stencil } from '#core/stencil'
import { edged, MULBERRY, openingsShape } from './pen'
import { toScreen, trace, type View } from './view'

/** One sheet as it lies on the skin: its edge, and while it moves its openings too. */
function outlineShape(outline: SheetOutline, view: View, moving: boolean): Konva.Shape {
  return new Konva.Shape({
    listening: false,
    sceneFunc(ctx) {
      const c = ctx._context
      c.beginPath()
      trace(c, outline.ring, view)
      c.fillStyle = outline.twin ? 'rgba(246,244,239,0.06)' : 'rgba(246,244,239,0.12)'
      c.fill()
      c.setLineDash(outline.twin ? [5, 4] : [])
      edged(c, 3, 1.4)
      if (!moving) return
      c.beginPath()
      for (const ring of outline.openings) trace(c, ring, view)
      c.fillStyle = outline.twin ? 'rgba(122,46,93,0.28)' : 'rgba(122,46,93,0.5)'
      c.fill('evenodd')
    },
  })
}

export interface Handles {
  readonly turn: Point
  readonly flip: Point
  readonly top: Point
  readonly middle: Point
}

/** Where a sheet's handles stand on the stage: turning above its top edge, flipping off its right edge, both where the sheet goes on in the air. */
export function handlesOf(placement: Placement, world: World, sheet: Stencil, view: View): Handles {
  const laid = layOn(world.ground.surface, placement, true)
  const top = toScreen(view, laid.point([0, -sheet.height / 2]))
  const right = toScreen(view, laid.point([sheet.width / 2, 0]))
  const middle = toScreen(view, laid.point([0, 0]))
  const beyond = (p: Point): Point => {
    const dx = p[0] - middle[0]
    const dy = p[1] - middle[1]
    const l = Math.hypot(dx, dy) || 1
    return [p[0] + (dx / l) * 16, p[1] + (dy / l) * 16]
  }
  return { turn: beyond(top), flip: beyond(right), top, middle }
}

/** Draws the openings of a sheet and its twin that may be chosen, those that are chosen filled. */
export function drawChoice(
  layer: Konva.Layer,
  step: SheetStep,
  chosen: ReadonlySet<number>,
  may: ReadonlySet<number>,
  world: World,
  view: View,
): void {
  const sheet = world.stencil(step.stencil)
  const own = ownNumber(step, world)
  if (!sheet) return
  laidOf(step, world).forEach((laid, i) =>
    layer.add(
      openingsShape(
        sheet.openings.map(o => [o.outer, ...o.holes].map(laid.ring)),
        view,
        (c, k) => {
          const n = i ? own(k) : k
          if (!may.has(n)) return false
          c.fillStyle = chosen.has(n) ? 'rgba(122,46,93,0.55)' : 'rgba(253,252,249,0.45)'
          c.lineWidth = 1
          c.strokeStyle = MULBERRY
          return true
        },
      ),
    ),
  )
}

/**
 * The opening of a step's sheet, or of its twin, under a point of the skin, as the step numbers it; the nearest one within reach, so that small ones are
 * hit easily. Null beside them all.
 * @param reach mm
 */
export function openingAt(step: SheetStep, world: World, at: Point, reach: number): number | null {
  const sheet = world.stencil(step.stencil)
  const own = ownNumber(step, world)
  let best: number | null = null,
    least = reach
  laidOf(step, world).forEach((laid, i) =>
    sheet?.openings.forEach((o, n) => {
      const [x, y] = laid.back(at)
      const b = boxOf(o.outer)
      if (x < b.minX - least || x > b.maxX + least || y < b.minY - least || y > b.maxY + least) return
      const far = polygonHolds(o, x, y)
        ? 0
        : Math.min(...[o.outer, ...o.holes].map(r => distanceToRing(r, x, y)))
      if (far < least || (far === 0 && least === 0)) {
        least = far
        best = i ? own(n) : n
      }
    }),
  )
  return best
}

/** The openings of a step's sheet, or of its twin, whose middles lie inside a loop on the skin, as the step numbers them. */
export function openingsIn(step: SheetStep, world: World, loop: readonly Point[]): number[] {
  const sheet = world.stencil(step.stencil)
  const own = ownNumber(step, world)
  const ring = ringOf(loop)
  return sheet
    ? laidOf(step, world).flatMap((laid, i) =>
        sheet.openings.flatMap((o, n) =>
          ringHolds(ring, ...laid.point(ringCentroid(o.outer))) ? [i ? own(n) : n] : [],
        ),
      )
    : []
}

/** Draws the sheet's own grid of 10 mm as it comes to lie on the skin. */
export function drawSheetGrid(layer: Konva.Layer, laid: Laid, sheet: Stencil, view: View): void {
  const lines: Float64Array[] = []
  const w = sheet.width / 2
  const h = sheet.height / 2
  const line = (from: Point, to: Point) => {
    const n = Math.max(2, Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1]) / 2))
    lines.push(
      laid.ring(
        ringOf(
          Array.from({ length: n + 1 }, (_, i): Point => [
            from[0] + ((to[0] - from[0]) * i) / n,
            from[1] + ((to[1] - from[1]) * i) / n,
          ]),
        ),
      ),
    )
  }
  for (let x = -Math.floor(w / 10) * 10; x <= w; x += 10) line([x, -h], [x, h])
  for (let y = -Math.floor(h / 10) * 10; y <= h; y += 10) line([-w, y], [w, y])
  layer.add(
    new Konva.Shape({
      listening: false,
      sceneFunc(ctx) {
        const c = ctx._context
        c.beginPath()
        for (const l of lines) trace(c, l, view, false)
        c.lineWidth = 2.2
        c.strokeStyle = 'rgba(255,255,255,0.55)'
        c.stroke()
        c.lineWidth = 0.9
        c.strokeStyle = 'rgba(35,32,29,0.75)'
        c.stroke()
      },
    }),
  )
}

/** Gaps between sheet and skin, by colour and pattern: seats plain, a little off dotted, far off crossed. */
export const LIFT_CLASSES = [
  { least: 0, colour: '#3F6B4B', words: `seats (up to ${SEATS_MM} mm)`, pattern: 'plain' },
  { least: SEATS_MM, colour: '#B47A12', words: '0.5 to 1.5 mm off', pattern: 'lines' },
  { least: 1.5, colour: '#A0331F', words: 'more than 1.5 mm off', pattern: 'cross' },
] as const
export const liftClass = (gap: number) =>
  LIFT_CLASSES.findLast(c => gap >= c.least && (c.least === 0 || gap > c.least)) ?? LIFT_CLASSES[0]

const patterns = new Map<string, CanvasPattern | string>()
function patternOf(c: CanvasRenderingContext2D, kind: (typeof LIFT_CLASSES)[number]): CanvasPattern | string {
  const known = patterns.get(kind.pattern)
  if (known) return known
  const tile = document.createElement('canvas')
  tile.width = tile.height = 6
  const t = tile.getContext('2d')!
  t.fillStyle = `${kind.colour}66`
  t.fillRect(0, 0, 6, 6)
  t.strokeStyle = kind.colour
  t.lineWidth = 1.4
  t.beginPath()
  if (kind.pattern !== 'plain') {
    t.moveTo(-1, 7)
    t.lineTo(7, -1)
  }
  if (kind.pattern === 'cross') {
    t.moveTo(-1, -1)
    t.lineTo(7, 7)
  }
  t.stroke()
  const made = c.createPattern(tile, 'repeat') ?? kind.colour
  patterns.set(kind.pattern, made)
  return made
}

/** Draws how far each opening stands off the skin. */
export function drawLift(
  layer: Konva.Layer,
  laid: Laid,
  sheet: Stencil,
  gaps: Float64Array,
  view: View,
): void {
  const openings = sheet.openings.map(o => [o.outer, ...o.holes].map(laid.ring))
  layer.add(
    openingsShape(openings, view, (c, n) => {
      if (Number.isNaN(gaps[n])) return false
      const kind = liftClass(gaps[n] ?? 0)
      c.fillStyle = patternOf(c, kind)
      c.lineWidth = 0.8
      c.strokeStyle = kind.colour
      return true
    }),
  )
}

/** Draws the edges of a step's sheet and its twin. */
export const drawOutlines = (layer: Konva.Layer, step: SheetStep, world: World, view: View): void =>
  kindOf(step)
    .outlines(step, world)
    .forEach(o => layer.add(outlineShape(o, view, false)))

/** Draws the selected sheet above the picture: outline, twin's ghost, and the handles of the one that is held. */
export function drawSelection(
  layer: Konva.Layer,
  step: SheetStep,
  world: World,
  view: View,
  moving: boolean,
  holdsTwin: boolean,
): void {
  for (const outline of kindOf(step).outlines(step, world)) layer.add(outlineShape(outline, view, moving))
  const placements = placementsOf(step, world)
  const held = placements[holdsTwin ? 1 : 0]
  const sheet = world.stencil(step.stencil)
  if (!held || !sheet) return
  const handles = handlesOf(held, world, sheet, view)
  layer.add(
    new Konva.Line({
      points: [...handles.top, ...handles.turn],
      stroke: MULBERRY,
      strokeWidth: 1.4,
      listening: false,
    }),
  )
  layer.add(
    new Konva.Circle({
      x: handles.turn[0],
      y: handles.turn[1],
      radius: 8,
      fill: '#FDFCF9',
      stroke: MULBERRY,
      strokeWidth: 1.6,
      listening: false,
    }),
  )
  layer.add(
    new Konva.Arc({
      x: handles.turn[0],
      y: handles.turn[1],
      innerRadius: 3.6,
      outerRadius: 3.6,
      angle: 270,
      rotation: -60,
      stroke: MULBERRY,
      strokeWidth: 1.5,
      listening: false,
    }),
  )
  layer.add(
    new Konva.Circle({
      x: handles.flip[0],
      y: handles.flip[1],
      radius: 8,
      fill: '#FDFCF9',
      stroke: MULBERRY,
      strokeWidth: 1.6,
      listening: false,
    }),
  )
  layer.add(
    new Konva.Text({
      x: handles.flip[0] - 8,
      y: handles.flip[1] - 5.5,
      width: 16,
      align: 'center',
      text: held.side,
      fontSize: 11,
      fontStyle: 'bold',
      fill: MULBERRY,
      listening: false,
    }),
  )
  const [cx, cy] = handles.middle
  layer.add(
    new Konva.Line({
      points: [cx - 5, cy, cx + 5, cy],
      stroke: MULBERRY,
      strokeWidth: 1.2,
      listening: false,
    }),
  )
  layer.add(
    new Konva.Line({
      points: [cx, cy - 5, cx, cy + 5],
      stroke: MULBERRY,
      strokeWidth: 1.2,
      listening: false,
    }),
  )
}

/** Draws the loop that the hand draws around openings. */
export function drawLoop(layer: Konva.Layer, loop: readonly Point[], view: View): void {
  layer.add(
    new Konva.Line({
      points: loop.flatMap(p => toScreen(view, p)),
      closed: true,
      stroke: MULBERRY,
      strokeWidth: 1.4,
      dash: [4, 3],
      fill: 'rgba(122,46,93,0.12)',
      listening: false,
    }),
  )
}
