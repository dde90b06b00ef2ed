import { boxAround, boxOf, EMPTY_BOX, wrapDegrees, type Point } from '../geometry'
import { layOn, type Ground, type Placement } from '../skin'
import { anchorOf, flippedHandles } from './handles'
import {
  axisAfter,
  isMark,
  kindOf,
  paintedOpenings,
  placementOf,
  type LineStep,
  type SheetStep,
  type Step,
  type World,
} from './kinds'
import { NO_TWIN } from './parts'

/** Nearer to the sheet's middle than this what is printed counts as the whole sheet, mm. */
const WHOLE = 2

const tenth = (v: number): number => Math.round(v * 10) / 10 + 0

/** The middle of what a sheet prints, in the sheet's frame (mm); its own middle when it prints about there. */
export function printedMiddle(step: SheetStep, world: World): Point {
  const sheet = world.stencil(step.stencil)
  const shapes = sheet
    ? [...paintedOpenings({ ...step, twin: NO_TWIN }, world)[0]!].flatMap(n => sheet.openings[n] ?? [])
    : []
  if (!shapes.length) return [0, 0]
  const b = boxAround(shapes)
  const middle: Point = [(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2]
  return Math.hypot(...middle) < WHOLE ? [0, 0] : middle
}

/**
 * Where a sheet held at its middle must lie so that a point of it lies where told.
 * @param point in the sheet's frame
 * @param there on the skin
 */
export function atSoThat(
  point: Point,
  there: Point,
  { tilt, side }: Pick<Placement, 'tilt' | 'side'>,
  ground: Ground,
): [number, number] {
  let at: Point = there
  for (let n = 0; n < 5; n++) {
    const [x, y] = layOn(ground.surface, { at, tilt, side }, true).point(point)
    const dx = there[0] - x
    const dy = there[1] - y
    at = [at[0] + dx, at[1] + dy]
    if (Math.hypot(dx, dy) < 0.02) break
  }
  return [tenth(at[0]), tenth(at[1])]
}

/** Where a point of a sheet lies on the skin. */
export const liesAt = (point: Point, placement: Placement, ground: Ground): Point =>
  layOn(ground.surface, placement, true).point(point)

/** How far outward the dark edge of a stroke of several colours looks: above 0 away from a point, below 0 toward it. */
function darkOutward({ points, dark }: Pick<LineStep, 'points' | 'dark'>, from: Point): number {
  const a = points[0]!
  const b = points.at(-1)!
  const [x, y] = anchorOf(points)
  const way = dark === 'right' ? 1 : -1
  return way * (-(b[1] - a[1]) * (x - from[0]) + (b[0] - a[0]) * (y - from[1]))
}

/**
 * Turns steps over together, as their mirror image about the upright through their middle. Sheets are flipped to their other side, and a dark edge that
 * looked outward goes on looking outward. The steps are changed in place.
 * @param from what is outward of: the focal point
 */
export function flipTogether(steps: readonly Step[], world: World, from: Point): void {
  const marks = steps.filter(isMark).filter(s => s.points.length)
  const sheets = steps.filter((s): s is SheetStep => s.kind === 'sheet')
  const middles = sheets.map(s => printedMiddle(s, world))
  const own = sheets.map((s, i) => liesAt(middles[i]!, placementOf(s), world.ground))
  const mirrored = flippedHandles([...marks.flatMap(s => s.points as Point[]), ...own], world)
  let k = 0
  for (const step of marks) {
    const points = mirrored.slice(k, (k += step.points.length))
    if (step.kind === 'line' && step.load.kind !== 'one') {
      const before = darkOutward(step, from)
      const after = darkOutward({ points, dark: step.dark }, from)
      if (before * after < 0) step.dark = step.dark === 'left' ? 'right' : 'left'
    }
    if (step.kind === 'wash') step.axis = axisAfter(step, { ...step, points }, world.ground)
    if (step.kind === 'gem') step.heading = -step.heading + 0
    step.points = points
  }
  sheets.forEach((step, i) => {
    const side = step.side === 'A' ? ('B' as const) : ('A' as const)
    const tilt = tenth(wrapDegrees(-step.tilt))
    Object.assign(step, {
      side,
      tilt,
      grip: [0, 0],
      register: null,
      at: atSoThat(middles[i]!, mirrored[k + i]!, { side, tilt }, world.ground),
    })
  })
}

/** The middle of everything that a look paints, twins left out, mm on the skin; null when it paints nothing. */
export function designMiddle(steps: readonly Step[], world: World): Point | null {
  const box = steps
    .flatMap(s => {
      const single = { ...s, twin: NO_TWIN } as Step
      return kindOf(single).boxes(single, world)
    })
    .reduce((b, o) => boxOf(Float64Array.of(o.minX, o.minY, o.maxX, o.maxY), b), { ...EMPTY_BOX })
  return Number.isFinite(box.minX)
    ? [tenth((box.minX + box.maxX) / 2), tenth((box.minY + box.maxY) / 2)]
    : null
}

/** Nearer to its own middle than this a half turn would lay a step upon itself, mm. */
const UPON_ITSELF = 6

/**
 * The point about which a step is turned by half a turn: the middle of the whole design; for what lies there itself the arm's middle line at its
 * height, so that its twin goes to the other edge, and for what lies on that line the middle of the arm.
 */
export function halfTurnAbout(step: Step, steps: readonly Step[], world: World): [number, number] {
  const own = designMiddle([step], world) ?? [0, 0]
  const middle = designMiddle(steps, world) ?? own
  const clear = (p: Point) => Math.hypot(p[0] - own[0], p[1] - own[1]) > UPON_ITSELF
  const about = [middle, [0, own[1]] as Point, [0, 0] as Point].find(clear) ?? [0, 0]
  return [about[0], about[1]]
}
