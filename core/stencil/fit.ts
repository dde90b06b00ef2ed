import { bearing, radians, ringCentroid, ringHolds, wrapDegrees, type Point } from '../geometry'
import { reasonsOf, type Trial } from './fitReasons'
import { cellAt, fieldOf, samplePoints, type Candidate, type Field, type Fit, type Spot } from './spot'

/**
 * The best fit of every sheet on a spot, best first. For each sheet positions, tilts and, on an even spot,
 * its own axes are tried; what counts is the share of its openings inside the spot, the share on eyes,
 * nostrils and mouth, how much of the spot it fills, and whether it leads to the focal point.
 * @param onProgress called after each sheet with the share done; return false to stop
 * @param field the spot's grid, when several searches share it
 */
export function fitsFor(
  spot: Spot,
  sheets: readonly Candidate[],
  onProgress: (done: number) => boolean | void = () => {},
  field = fieldOf(spot),
): Fit[] {
  const fits: Fit[] = []
  for (const [n, sheet] of sheets.entries()) {
    const fit = bestFit(spot, field, sheet)
    if (fit) fits.push(fit)
    if (onProgress((n + 1) / sheets.length) === false) break
  }
  return fits.sort((a, b) => b.score - a.score)
}

/** The search on one spot for one sheet. */
interface Search {
  readonly spot: Spot
  readonly field: Field
  readonly sheet: Candidate
  /** On an even spot a sheet with an axis sits on the midline, with the axis upright. */
  readonly even: boolean
  /** Area that the sheet takes up, mm2. */
  readonly span: number
}

/** Places and tilts spread over the spot, the best first. */
function roughTrials(search: Search, points: readonly Point[]): Trial[] {
  const { spot, field, sheet, even } = search
  const { box } = field
  const xs = even ? [0] : steps(box.minX, box.maxX, 7)
  const ys = steps(box.minY, box.maxY, 6)
  const tilts = even
    ? sheet.axes.flatMap(a => [wrapDegrees(-a), wrapDegrees(180 - a)])
    : Array.from({ length: 12 }, (_, i) => wrapDegrees(30 * i))
  const trials: Trial[] = []
  for (const y of ys) {
    for (const x of xs) {
      if (field.cells[cellAt(field, x, y)] === undefined) continue
      const aimed =
        even || sheet.heading === null ? [] : [wrapDegrees(bearing([x, y], spot.focus) - sheet.heading)]
      for (const tilt of [...tilts, ...aimed]) trials.push(tried(search, points, [x, y], tilt))
    }
  }
  return trials.sort((a, b) => b.score - a.score)
}

/** By how much a fit is moved and turned while it is refined, mm and degrees: coarsely first. */
const REFINED = [
  [4, 10],
  [2, 5],
  [1, 2],
] as const

/** A fit moved and turned as long as that makes it better. */
function refined(search: Search, points: readonly Point[], start: Trial): Trial {
  let now = tried(search, points, start.at, start.tilt)
  for (const [d, turn] of REFINED) {
    const moves = [
      [d, 0, 0],
      [-d, 0, 0],
      [0, d, 0],
      [0, -d, 0],
      [0, 0, turn],
      [0, 0, -turn],
    ] as const
    for (let moved = true; moved;) {
      moved = false
      for (const [dx, dy, dt] of moves) {
        if (search.even && (dx || dt)) continue
        const next = tried(search, points, [now.at[0] + dx, now.at[1] + dy], wrapDegrees(now.tilt + dt))
        if (next.score <= now.score + 1e-6) continue
        now = next
        moved = true
      }
    }
  }
  return now
}

function bestFit(spot: Spot, field: Field, sheet: Candidate): Fit | null {
  const points = samplePoints(sheet)
  if (points.length === 0) return null
  const even = spot.even && sheet.axes.length > 0
  const search = { spot, field, sheet, even, span: spanOf(points) }
  const rough = points.filter((_, i) => i % 4 === 0)
  let best: Trial | null = null
  for (const start of roughTrials(search, rough).slice(0, 4)) {
    const now = refined(search, points, start)
    if (!best || now.score > best.score) best = now
  }
  if (!best) return null
  const part = sheet.kind === 'texture' && best.inside < 0.99
  const openings = part ? openingsInside(spot, sheet, best) : null
  if (openings?.length === 0) return null
  const reasons = reasonsOf(spot, sheet, best, even, openings)
  return { id: sheet.id, side: 'A', even, ...best, openings, reasons }
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

/** Whether a sheet is laid upright, as a crown is, rather than led to the focal point. */
const standing = ({ kind }: Candidate): boolean =>
  kind === 'crest' || kind === 'half face' || kind === 'full face'

/** Area that the openings take up with what lies between them: the box of the sample points. */
function spanOf(points: readonly Point[]): number {
  const xs = points.map(p => p[0])
  const ys = points.map(p => p[1])
  return Math.max(9, (Math.max(...xs) - Math.min(...xs) + 2) * (Math.max(...ys) - Math.min(...ys) + 2))
}

/** How good a place and a tilt are. */
function tried(
  { spot, field, sheet, span }: Search,
  points: readonly Point[],
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
  // Of a texture only what lies inside is dabbed; any other print that runs off its spot, or onto an eye, is
  // spoilt.
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
