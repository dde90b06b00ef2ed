import {
  boxOf,
  EMPTY_BOX,
  hullOf,
  mix,
  pointsOf,
  shareOnLine,
  distance,
  type Box,
  type Point,
} from '../../geometry'
import { layOn, type Placement } from '../../skin'
import { kindOf, openingNumbers, type SheetStep, type Step, type World } from '../kinds'
import { featureLines } from '../placement'

/** A line to which what moves can be drawn: of the face, or the rim of another print. */
export interface SnapLine {
  readonly words: string
  readonly line: readonly Point[]
  /** What of a sheet goes to it: its own edge, or the rim of what it prints. */
  readonly takes: 'edge' | 'print'
  readonly box: Box
}

/** What drew a sheet to itself, and by how much it goes there, mm. */
export interface Snap {
  readonly to: SnapLine
  readonly by: Point
}

const snapLine = (words: string, line: readonly Point[], takes: SnapLine['takes']): SnapLine => ({
  words,
  line,
  takes,
  box: line.reduce<Box>(
    (b, [x, y]) => ({
      minX: Math.min(b.minX, x),
      minY: Math.min(b.minY, y),
      maxX: Math.max(b.maxX, x),
      maxY: Math.max(b.maxY, y),
    }),
    { ...EMPTY_BOX },
  ),
})

const closed = (points: readonly Point[]): Point[] => [...points, points[0]!]

/** The lines of the face to which a sheet can be drawn. */
export const featureSnaps = ({ ground }: Pick<World, 'ground'>): SnapLine[] =>
  featureLines(ground).map(({ words, line }) => snapLine(`the ${words}`, line, 'edge'))

/** Prints nearer to one another than this across the midline are one, mm. */
const MEETS = 8

/** The rims of what a step prints, one on each side of the midline; none of a base. */
export function rimSnaps(step: Step, world: World): SnapLine[] {
  if (world.off?.has(step.id) || kindOf(step).held(step) === 'base') return []
  const rings = kindOf(step).silhouette(step, world)
  const left = rings.filter(r => boxOf(r).maxX < 0)
  const right = rings.filter(r => boxOf(r).maxX >= 0)
  const gap = Math.min(...right.map(r => boxOf(r).minX)) - Math.max(...left.map(r => boxOf(r).maxX))
  // Two prints to the eye, left and right of the midline, unless they all but meet there.
  const sides = gap < MEETS ? [rings] : [left, right]
  return sides.flatMap(side =>
    side.length ? [snapLine(`"${step.label}"`, closed(pointsOf(hullOf(side))), 'print')] : [],
  )
}

/** Points of a sheet, in its own frame, that are drawn to lines: along its edge, and round what it prints. */
export interface SnapPoints {
  readonly edge: readonly Point[]
  readonly print: readonly Point[]
}

/** Points along a closed line, at its corners and half-way between, mm. */
const dense = (corners: readonly Point[]): Point[] =>
  corners.flatMap((p, i) => [p, mix(p, corners[(i + 1) % corners.length]!, 0.5)])

/** As many corners of a hull as count: a round one has hundreds. */
const MOST_CORNERS = 40

export function snapPointsOf(step: SheetStep, world: World): SnapPoints {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return { edge: [], print: [] }
  const used = new Set(step.passes.flatMap(p => openingNumbers(p, sheet)))
  const rings = sheet.openings.filter((_, i) => used.has(i)).map(o => o.outer)
  const thinned = (list: readonly Point[]) => {
    const every = Math.ceil(list.length / MOST_CORNERS)
    return list.filter((_, i) => i % every === 0)
  }
  return {
    edge: dense(thinned(pointsOf(hullOf([sheet.outline])))),
    print: rings.length ? dense(thinned(pointsOf(hullOf(rings)))) : [],
  }
}

/** The way from a point to the nearest point of a line. */
function wayTo(line: readonly Point[], [x, y]: Point): Point {
  let best: Point = [Infinity, Infinity]
  for (let i = 1; i < line.length; i++) {
    const a = line[i - 1]!
    const b = line[i]!
    const [qx, qy] = mix(a, b, Math.min(1, Math.max(0, shareOnLine(x, y, ...a, ...b))))
    if (Math.hypot(qx - x, qy - y) < Math.hypot(...best)) best = [qx - x, qy - y]
  }
  return best
}

/**
 * What a sheet at some place is drawn to: the line that lies nearest to its edge, or to the rim of what it
 * prints, within some mm; null when none lies so near.
 */
export function snapAt(
  points: SnapPoints,
  lines: Iterable<SnapLine>,
  place: Placement,
  within: number,
  world: World,
): Snap | null {
  const laid = layOn(world.ground.surface, place, true)
  const there = { edge: points.edge.map(laid.point), print: points.print.map(laid.point) }
  let best: Snap | null = null
  let least = within
  for (const to of lines) {
    for (const p of there[to.takes]) {
      const { minX, minY, maxX, maxY } = to.box
      if (p[0] < minX - least || p[0] > maxX + least || p[1] < minY - least || p[1] > maxY + least) continue
      const by = wayTo(to.line, p)
      if (distance(by, [0, 0]) >= least) continue
      least = distance(by, [0, 0])
      best = { to, by }
    }
  }
  return best
}
