import {
  difference,
  mix,
  offset,
  polygonHolds,
  ringCentroid,
  shareAlong,
  union,
  type Point,
  type Polygon,
} from '../geometry'
import type { Island } from './analyse/islands'
import type { Neck } from './analyse/necks'
import type { Slot } from './analyse/widths'
import type { SheetGeometry } from './types'

/** Sheet materials with the bridge width that holds in them, mm (common practice). */
export const MATERIALS = {
  film: { words: 'thin film, 0.1 mm', bridge: 2 },
  mylar: { words: 'flexible stencil, 0.2 mm', bridge: 1.5 },
  card: { words: 'stiff stencil, 0.4 mm', bridge: 1.2 },
} as const
export type MaterialId = keyof typeof MATERIALS

/** An island larger than this needs two bridges at least, mm2 (common practice). */
const TWO_BRIDGES_FROM = 100

/** A bridge that joins an island to the sheet. */
export interface Join {
  readonly island: number
  readonly from: Point
  readonly to: Point
  readonly width: number
}

const wide = (from: Point, to: Point, width: number, over = 0.4): Polygon => {
  const dx = to[0] - from[0]
  const dy = to[1] - from[1]
  const l = Math.hypot(dx, dy) || 1
  const ux = dx / l
  const uy = dy / l
  const h = width / 2
  const corner = (p: Point, along: number, side: number) => [
    p[0] + ux * along - uy * side,
    p[1] + uy * along + ux * side,
  ]
  return {
    outer: Float64Array.from(
      [corner(from, -over, -h), corner(to, over, -h), corner(to, over, h), corner(from, -over, h)].flat(),
    ),
    holes: [],
  }
}

/**
 * The shortest joins for every island: one for a small island, two on opposite sides or more for larger ones.
 * @param width of the bridges, mm
 */
export function proposedJoins(sheet: SheetGeometry, islands: readonly Island[], width: number): Join[] {
  return islands.flatMap((island, n): Join[] => {
    if (island.touches?.length) return atCorners(island, n, width)
    const { outer } = sheet.openings[island.opening]!
    const centre = ringCentroid(island.ring)
    const count = island.area > TWO_BRIDGES_FROM ? Math.min(4, 2 + Math.floor(island.area / 2000)) : 1
    const rim = samples(island.ring)
    const reach = Math.ceil(width / STEP)
    const ways = rim.map((from, i) => {
      const to = nearestOn(outer, from)
      const bend = turnAt(rim, i, reach)
      // A bridge that starts at a corner holds badly: there it counts as longer.
      return {
        from,
        to,
        length: Math.hypot(from[0] - to[0], from[1] - to[1]) * (1 + bend),
        angle: Math.atan2(from[1] - centre[1], from[0] - centre[0]),
      }
    })
    const chosen: typeof ways = []
    const apart = (a: number, b: number) => Math.abs(Math.atan2(Math.sin(a - b), Math.cos(a - b)))
    const least = count === 2 ? 2.2 : ((2 * Math.PI) / count) * 0.7
    for (let k = 0; k < count; k++) {
      const free = (gap: number) =>
        ways.map((_, i) => i).filter(i => chosen.every(c => apart(c.angle, ways[i]!.angle) > gap))
      const open = free(least).length ? free(least) : free(least / 2)
      const best = open.reduce((b, i) => (ways[i]!.length < ways[b]!.length ? i : b), open[0] ?? 0)
      if (open.length) chosen.push(ways[middleOfRun(ways, best, new Set(open))]!)
    }
    return chosen.map(({ from, to }) => ({ island: n, from, to, width }))
  })
}

/**
 * Bridges over the points in which an island only touches the rest: each corner is filled to the width of a
 * bridge.
 */
function atCorners({ touches, ring, area }: Island, n: number, width: number): Join[] {
  const [cx, cy] = ringCentroid(ring)
  const half = width / 2
  const sorted = [...touches!].sort(
    (a, b) => Math.atan2(a[1] - cy, a[0] - cx) - Math.atan2(b[1] - cy, b[0] - cx),
  )
  // Opposite corners hold a larger piece; one is enough for a small one.
  const chosen =
    area > TWO_BRIDGES_FROM && sorted.length > 1
      ? [sorted[0]!, sorted[sorted.length >> 1]!]
      : sorted.slice(0, 1)
  return chosen.map(([x, y]) => {
    const l = Math.hypot(x - cx, y - cy) || 1
    const ux = (x - cx) / l
    const uy = (y - cy) / l
    return { island: n, from: [x - ux * half, y - uy * half], to: [x + ux * half, y + uy * half], width }
  })
}

/** Spacing of the places at which a bridge may start, mm. */
const STEP = 0.5

/** How much a rim turns about its point i, radians, between the points `reach` before and after. */
function turnAt(rim: readonly Point[], i: number, reach: number): number {
  const n = rim.length
  const a = rim[(i - reach + n * reach) % n]!
  const b = rim[i]!
  const c = rim[(i + reach) % n]!
  const d = Math.atan2(c[1] - b[1], c[0] - b[0]) - Math.atan2(b[1] - a[1], b[0] - a[0])
  return Math.abs(Math.atan2(Math.sin(d), Math.cos(d)))
}

/**
 * The middle of the run of ways about as short as the one at `best`: a bridge there stands clear of corners.
 */
function middleOfRun(ways: readonly { length: number }[], best: number, open: ReadonlySet<number>): number {
  const n = ways.length
  const short = (i: number) =>
    open.has((i + n) % n) && ways[(i + n) % n]!.length <= ways[best]!.length * 1.03 + 0.02
  let from = best,
    to = best
  while (to - from < n / 2 && short(to + 1)) to++
  while (to - from < n / 2 && short(from - 1)) from--
  return (Math.round((from + to) / 2) + n) % n
}

function samples(ring: Float64Array): Point[] {
  const out: Point[] = []
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const ax = ring[j]!
    const ay = ring[j + 1]!
    const bx = ring[i]!
    const by = ring[i + 1]!
    const n = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / STEP))
    for (let k = 0; k < n; k++) out.push([ax + ((bx - ax) * k) / n, ay + ((by - ay) * k) / n])
  }
  return out
}

function nearestOn(ring: Float64Array, [x, y]: Point): Point {
  let best: Point = [ring[0]!, ring[1]!],
    least = Infinity
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const ax = ring[j]!
    const ay = ring[j + 1]!
    const bx = ring[i]!
    const by = ring[i + 1]!
    const t = shareAlong(x, y, ax, ay, bx, by)
    const qx = ax + t * (bx - ax)
    const qy = ay + t * (by - ay)
    const d = (x - qx) ** 2 + (y - qy) ** 2
    if (d < least) {
      least = d
      best = [qx, qy]
    }
  }
  return best
}

/** The sheet with bridges left standing across its openings. */
export function withJoins(sheet: SheetGeometry, joins: readonly Join[]): SheetGeometry {
  return joins.length === 0
    ? sheet
    : { ...sheet, openings: difference(sheet.openings, union(joins.map(j => wide(j.from, j.to, j.width)))) }
}

/** What of a region is narrower than `least`, where a narrow place is marked, grown until it is that wide. */
function widened(
  region: readonly Polygon[],
  marks: readonly { width: number; from: Point; to: Point }[],
  least: number,
): Polygon[] {
  const thin = difference(region, offset(offset(region, -0.495 * least), 0.495 * least + 0.002))
  return thin.flatMap(part => {
    // A neck may sit at the very end of its thin part; one that is only just too narrow has slivers at its
    // sides and none in its middle.
    const about = offset([part], 0.15 * least)
    const here = marks.filter(({ from, to }) =>
      [0, 0.5, 1].some(t => about.some(p => polygonHolds(p, ...mix(from, to, t)))),
    )
    return here.length ? offset([part], (least - Math.min(...here.map(m => m.width))) / 2 + 0.01) : []
  })
}

/**
 * The sheet with narrow bridges made at least `least` mm wide, by drawing the openings back there and nowhere
 * else.
 */
export function withWiderBridges(
  sheet: SheetGeometry,
  bridges: readonly Neck[],
  least: number,
): SheetGeometry {
  const marks = bridges.filter(b => b.width < least)
  if (marks.length === 0) return sheet
  return {
    ...sheet,
    openings: difference(
      sheet.openings,
      union(widened(difference([{ outer: sheet.outline, holes: [] }], sheet.openings), marks, least)),
    ),
  }
}

/**
 * The sheet with openings opened up to `least` mm where they are narrower: at their neck, or all along when
 * they are narrow everywhere.
 */
export function withWiderSlots(sheet: SheetGeometry, slots: readonly Slot[], least: number): SheetGeometry {
  const marks = slots.filter(s => s.width < least)
  return marks.length === 0
    ? sheet
    : { ...sheet, openings: union([...sheet.openings, ...widened(sheet.openings, marks, least)]) }
}
