import {
  bearing,
  boxOf,
  polygonHolds,
  radians,
  ringCentroid,
  ringHolds,
  wrapDegrees,
  type Point,
  type Ring,
} from '../geometry'
import type { Placement } from '../skin'
import type { SheetGeometry, StencilKind } from './types'

/** Where something is looked for: a region of the skin (mm), whether it lies even across the midline, what must stay free, and the zone's plain name. */
export interface Spot {
  readonly ring: Ring
  readonly even: boolean
  readonly keepOuts: readonly { words: string; ring: Ring }[]
  readonly focus: Point
  readonly zone: string | null
}

/** A sheet as the search sees it. */
export interface Candidate extends SheetGeometry {
  readonly id: string
  readonly kind: StencilKind
  readonly zones: readonly string[]
  readonly heading: number | null
  readonly axes: readonly number[]
  readonly bridge: number | null
}

/** The best seat of a sheet on a spot: its score 0 to 1, and the shares that make it up. */
export interface Seat extends Placement {
  readonly id: string
  readonly score: number
  readonly inside: number
  readonly filled: number
  readonly aim: number | null
  readonly kept: number
  readonly even: boolean
  readonly reasons: string[]
  /** Of a texture that is larger than the spot: the openings inside, which alone are dabbed; null for all. */
  readonly openings: number[] | null
}

/** How finely the region is gridded, mm. */
const CELL = 1
const SAMPLES = 140

/** What stands for a sheet in the search: points spread evenly over its openings. */
export function samplePoints(sheet: SheetGeometry, wanted = SAMPLES): Point[] {
  const area = sheet.width * sheet.height
  for (let step = Math.sqrt(area / (wanted * 3)); step > 0.3; step *= 0.7) {
    const points: Point[] = []
    for (const opening of sheet.openings) {
      const b = boxOf(opening.outer)
      const before = points.length
      for (let y = Math.ceil(b.minY / step) * step; y <= b.maxY; y += step)
        for (let x = Math.ceil(b.minX / step) * step; x <= b.maxX; x += step)
          if (polygonHolds(opening, x, y)) points.push([x, y])
      // An opening that falls between the points still counts, with its middle.
      if (points.length === before && sheet.openings.length < wanted) points.push(ringCentroid(opening.outer))
    }
    if (points.length >= wanted * 0.6) {
      const every = Math.max(1, Math.floor(points.length / wanted))
      return points.filter((_, i) => i % every === 0)
    }
  }
  return sheet.openings.map(o => ringCentroid(o.outer))
}

/** A spot as a grid of 1 mm: 1 inside, -1 on what must stay free, 0 elsewhere. */
export interface Field {
  x0: number
  y0: number
  w: number
  h: number
  cells: Int8Array
  area: number
  box: ReturnType<typeof boxOf>
}

export function fieldOf({ ring, keepOuts }: Spot): Field {
  const box = boxOf(ring)
  const pad = 40
  const x0 = Math.floor(box.minX - pad)
  const y0 = Math.floor(box.minY - pad)
  const w = Math.ceil(box.maxX + pad) - x0
  const h = Math.ceil(box.maxY + pad) - y0
  const cells = new Int8Array(w * h)
  let area = 0
  for (let j = 0; j < h; j++) {
    for (let i = 0; i < w; i++) {
      const x = x0 + i + CELL / 2
      const y = y0 + j + CELL / 2
      if (keepOuts.some(k => ringHolds(k.ring, x, y))) cells[j * w + i] = -1
      else if (ringHolds(ring, x, y)) {
        cells[j * w + i] = 1
        area++
      }
    }
  }
  return { x0, y0, w, h, cells, area, box }
}

/**
 * The best seat of every sheet on a spot, best first. For each sheet positions, tilts and, on an even spot, its own axes are tried; what counts is the
 * share of its openings inside the spot, the share on eyes, nostrils and mouth, how much of the spot it fills, and whether it leads to the focal point.
 * @param onProgress called after each sheet with the share done; return false to stop
 * @param field the spot's grid, when several searches share it
 */
export function seatsFor(
  spot: Spot,
  sheets: readonly Candidate[],
  onProgress: (done: number) => boolean | void = () => {},
  field = fieldOf(spot),
): Seat[] {
  const seats: Seat[] = []
  for (const [n, sheet] of sheets.entries()) {
    const seat = bestSeat(spot, field, sheet)
    if (seat) seats.push(seat)
    if (onProgress((n + 1) / sheets.length) === false) break
  }
  return seats.sort((a, b) => b.score - a.score)
}

interface Trial {
  at: Point
  tilt: number
  inside: number
  kept: number
  filled: number
  aim: number | null
  score: number
}

function bestSeat(spot: Spot, field: Field, sheet: Candidate): Seat | null {
  const points = samplePoints(sheet)
  const rough = points.filter((_, i) => i % 4 === 0)
  if (points.length === 0) return null
  const span = spanOf(points)
  const { box } = field
  const even = spot.even && sheet.axes.length > 0
  // On an even spot a sheet with an axis sits on the midline, with the axis upright.
  const xs = even ? [0] : steps(box.minX, box.maxX, 7)
  const ys = steps(box.minY, box.maxY, 6)
  const tilts = even
    ? sheet.axes.flatMap(a => [wrapDegrees(-a), wrapDegrees(180 - a)])
    : Array.from({ length: 12 }, (_, i) => wrapDegrees(30 * i))
  const trials: Trial[] = []
  for (const y of ys) {
    for (const x of xs) {
      if (field.cells[cellAt(field, x, y)] === undefined) continue
      for (const tilt of [
        ...tilts,
        ...(even || sheet.heading === null ? [] : [wrapDegrees(bearing([x, y], spot.focus) - sheet.heading)]),
      ])
        trials.push(tried(spot, field, sheet, rough, span, [x, y], tilt))
    }
  }
  let best: Trial | null = null
  for (const start of trials.sort((a, b) => b.score - a.score).slice(0, 4)) {
    let now = tried(spot, field, sheet, points, span, start.at, start.tilt)
    for (const [d, turn] of [
      [4, 10],
      [2, 5],
      [1, 2],
    ] as const) {
      for (let moved = true; moved;) {
        moved = false
        for (const [dx, dy, dt] of [
          [d, 0, 0],
          [-d, 0, 0],
          [0, d, 0],
          [0, -d, 0],
          [0, 0, turn],
          [0, 0, -turn],
        ] as const) {
          if (even && (dx || dt)) continue
          const next = tried(
            spot,
            field,
            sheet,
            points,
            span,
            [now.at[0] + dx, now.at[1] + dy],
            wrapDegrees(now.tilt + dt),
          )
          if (next.score > now.score + 1e-6) {
            now = next
            moved = true
          }
        }
      }
    }
    if (!best || now.score > best.score) best = now
  }
  const openings =
    best && sheet.kind === 'texture' && best.inside < 0.99 ? openingsInside(spot, sheet, best) : null
  if (!best || openings?.length === 0) return null
  return {
    id: sheet.id,
    side: 'A',
    even,
    ...best,
    openings,
    reasons: reasonsOf(spot, sheet, best, even, openings),
  }
}

/** The openings whose middles land inside the spot and on nothing that must stay free. */
function openingsInside(spot: Spot, sheet: Candidate, { at, tilt }: Trial): number[] {
  const c = Math.cos(radians(tilt))
  const s = Math.sin(radians(tilt))
  return sheet.openings.flatMap((opening, n) => {
    const [u, v] = ringCentroid(opening.outer)
    const x = at[0] + c * u - s * v
    const y = at[1] + s * u + c * v
    return ringHolds(spot.ring, x, y) && !spot.keepOuts.some(k => ringHolds(k.ring, x, y)) ? [n] : []
  })
}

const steps = (from: number, to: number, most: number): number[] =>
  Array.from({ length: most }, (_, i) => from + ((to - from) * (i + 0.5)) / most)
const cellAt = (f: Field, x: number, y: number): number => {
  const i = Math.floor(x - f.x0)
  const j = Math.floor(y - f.y0)
  return i < 0 || j < 0 || i >= f.w || j >= f.h ? -1 : j * f.w + i
}

/** Whether a sheet is laid upright, as a crown is, rather than led to the focal point. */
const standing = ({ kind }: Candidate): boolean =>
  kind === 'crest' || kind === 'half face' || kind === 'full face'

/** Area that the openings take up with what lies between them: the box of the sample points. */
function spanOf(points: readonly Point[]): number {
  const xs = points.map(p => p[0])
  const ys = points.map(p => p[1])
  return Math.max(9, (Math.max(...xs) - Math.min(...xs) + 2) * (Math.max(...ys) - Math.min(...ys) + 2))
}

function tried(
  spot: Spot,
  field: Field,
  sheet: Candidate,
  points: readonly Point[],
  span: number,
  at: Point,
  tilt: number,
): Trial {
  const c = Math.cos(radians(tilt))
  const s = Math.sin(radians(tilt))
  let inside = 0,
    kept = 0
  for (const [x, y] of points) {
    const cell = field.cells[cellAt(field, at[0] + c * x - s * y, at[1] + s * x + c * y)] ?? 0
    if (cell > 0) inside++
    else if (cell < 0) kept++
  }
  inside /= points.length
  kept /= points.length
  const filled = Math.min(1, (span * inside) / field.area)
  const far = Math.hypot(at[0] - spot.focus[0], at[1] - spot.focus[1])
  const aim =
    sheet.heading === null || far < 4 ? null : wrapDegrees(sheet.heading + tilt - bearing(at, spot.focus))
  const led = 0.5 + 0.5 * Math.cos(radians(standing(sheet) ? tilt : (aim ?? 60)))
  const made = spot.zone !== null && sheet.zones.includes(spot.zone) ? 1 : 0
  // Of a texture only what lies inside is dabbed; any other print that runs off its spot, or onto an eye, is spoilt.
  const texture = sheet.kind === 'texture'
  const whole = texture ? 0.75 + 0.25 * inside : inside ** 2
  return {
    at,
    tilt,
    inside,
    kept,
    filled,
    aim: standing(sheet) ? null : aim,
    score: Math.max(
      0,
      whole * (0.34 + 0.28 * Math.min(1, filled / 0.75) + 0.2 * led + 0.18 * made) -
        (texture ? 0.2 : 2) * kept,
    ),
  }
}

function reasonsOf(
  spot: Spot,
  sheet: Candidate,
  t: Trial,
  even: boolean,
  openings: readonly number[] | null,
): string[] {
  const percent = (v: number) => `${Math.round(100 * v)} %`
  const reasons = [
    openings
      ? `dab only the ${openings.length} of ${sheet.openings.length} openings inside`
      : `${percent(t.inside)} of its openings lie inside`,
  ]
  if (!openings && t.kept > 0.004) {
    const hit = spot.keepOuts
      .filter(k =>
        sheet.openings.some(o => {
          const [x, y] = ringCentroid(o.outer)
          const c = Math.cos(radians(t.tilt))
          const s = Math.sin(radians(t.tilt))
          return ringHolds(k.ring, t.at[0] + c * x - s * y, t.at[1] + s * x + c * y)
        }),
      )
      .map(k => k.words)
    reasons.push(
      `${percent(t.kept)} would fall on ${hit.length ? hit.join(', ') : 'eyes, nostrils or mouth'}`,
    )
  }
  reasons.push(
    t.filled > 0.85
      ? 'fills the spot'
      : t.filled > 0.4
        ? `fills ${percent(t.filled)} of the spot`
        : `small for it: ${percent(t.filled)} of the spot`,
  )
  if (spot.zone !== null && sheet.zones.includes(spot.zone)) reasons.push(`made for the ${spot.zone}`)
  if (even) reasons.push('even on the midline')
  else if (t.aim !== null && Math.abs(t.aim) < 20) reasons.push('leads to the focal point')
  else if (t.aim !== null && Math.abs(t.aim) > 100) reasons.push('leads away from the focal point')
  if (sheet.bridge !== null && sheet.bridge < 0.8)
    reasons.push(`fine: bridges of ${sheet.bridge.toFixed(1)} mm`)
  return reasons
}
