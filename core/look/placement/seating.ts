import {
  boxOf,
  pointsOf,
  polygonHolds,
  ringCentroid,
  ringHolds,
  ringOf,
  type Point,
  type Ring,
} from '../../geometry'
import {
  landmarkList,
  layOn,
  liftOf,
  placesOf,
  pressedGaps,
  SEATS_MM,
  zoneAt,
  zoneWords,
  type Placement,
} from '../../skin'
import type { Stencil } from '../../stencil'
import type { OnGround } from './handles'
import { whereIs } from './where'

/** How a sheet seats on the skin. All lengths are estimates from the relief. */
export interface Seating {
  /** Gap between the sheet by itself and the skin at each opening, mm; NaN where nothing is painted. */
  readonly gaps: Float64Array
  /** The same where fingers press it down piece by piece. */
  readonly pressed: Float64Array
  /** Shares of the openings that seat by themselves, and pressed down, 0 to 1. */
  readonly seated: number
  readonly seatedPressed: number
  /** Direction of the rulings along which the sheet stays straight, degrees clockwise from up. */
  readonly rulings: number
  /** Largest share by which the sheet puckers (below 0) and is pulled tight (above 0). */
  readonly pucker: number
  readonly pull: number
  /** In a painter's words: what it rests on, where it stands off, what to do. */
  readonly sentence: string
}

/** Spacing of the samples over the sheet, mm, and how many there are at most. */
const SPACING = 3.5
const MOST = 1600
/** Closer than this the sheet touches, mm. */
const TOUCHES = 0.25

/** Samples of a sheet, and which of them tell of each of its openings. */
interface Samples {
  /** Its openings' middles first, in their order, then the solid all over it; mm. */
  readonly points: readonly Point[]
  /** Of each opening the sample in its middle, and of large ones all within. */
  readonly within: readonly (readonly number[])[]
}
const known = new WeakMap<Stencil, Map<number, Samples>>()

/** Samples of a sheet, made once: it lies elsewhere each time, and stays the same. */
function samplesOf(sheet: Stencil, most: number): Samples {
  const kept = known.get(sheet) ?? new Map<number, Samples>()
  known.set(sheet, kept)
  const found = kept.get(most)
  if (found) return found
  const { minX, minY, maxX, maxY } = boxOf(sheet.outline)
  const step = Math.max(SPACING, Math.sqrt(((maxX - minX) * (maxY - minY)) / most))
  const points = sheet.openings.map(o => ringCentroid(o.outer))
  for (let y = minY + step / 2; y < maxY; y += step)
    for (let x = minX + step / 2; x < maxX; x += step) if (ringHolds(sheet.outline, x, y)) points.push([x, y])
  const samples = { points, within: sheet.openings.map((o, i) => [i, ...heldBy(o, points, sheet)]) }
  kept.set(most, samples)
  return samples
}

/** Which of the samples of the solid lie in an opening. */
function heldBy(opening: Stencil['openings'][number], points: readonly Point[], sheet: Stencil): number[] {
  const { minX, minY, maxX, maxY } = boxOf(opening.outer)
  const held: number[] = []
  for (let k = sheet.openings.length; k < points.length; k++) {
    const [x, y] = points[k]!
    if (x < minX || x > maxX || y < minY || y > maxY) continue
    if (polygonHolds(opening, x, y)) held.push(k)
  }
  return held
}

/** A ring of fewer points: whether a sample lies on the skin needs no fine edge. */
const coarse = (ring: Ring): Ring => (ring.length < 400 ? ring : ring.filter((_, i) => (i >> 1) % 8 === 0))

/**
 * The sheet counts this far around what is painted through it, mm: fingers press it down there (common
 * practice).
 */
const PRESSED_MM = 10

/** A sheet as it stands off the skin: the samples of it that lie there, and the gaps at its openings. */
function standing(
  sheet: Stencil,
  placement: Placement,
  { ground }: OnGround,
  painted: ReadonlySet<number>,
  most: number,
) {
  const laid = layOn(ground.surface, placement)
  const n = sheet.openings.length
  const boxes = [...painted].flatMap(i => (sheet.openings[i] ? [boxOf(sheet.openings[i]!.outer)] : []))
  const near = ([x, y]: Point) =>
    boxes.some(
      b =>
        x > b.minX - PRESSED_MM &&
        x < b.maxX + PRESSED_MM &&
        y > b.minY - PRESSED_MM &&
        y < b.maxY + PRESSED_MM,
    )
  const extent = ground.extent.map(coarse)
  const { points: all, within } = samplesOf(sheet, most)
  const samples: Sample[] = []
  /** Where each sample of the sheet stands among those on the skin; -1 where it does not. */
  const among = new Int32Array(all.length).fill(-1)
  all.forEach((at, i) => {
    if (painted.size !== n && !(i < n ? painted.has(i) : near(at))) return
    const skin = laid.point(at)
    // What hangs in the air past the skin's edge says nothing of how the rest seats.
    if (!extent.some(r => ringHolds(r, ...skin))) return
    among[i] = samples.length
    samples.push({ at, skin })
  })
  if (samples.length === 0) return null
  const points = samples.map(s => s.at)
  const places = placesOf(
    ground.surface,
    samples.map(s => s.skin),
  )
  const lift = liftOf(ground.surface, laid, points, undefined, places)
  const fingers = pressedGaps(ground.surface, laid, points, places)
  const worstOf = (gap: (k: number) => number) =>
    Float64Array.from(within, (list, i) => {
      if (!painted.has(i)) return NaN
      let worst = 0
      for (const k of list) if (among[k]! >= 0) worst = Math.max(worst, gap(among[k]!))
      return worst
    })
  // Fingers never leave more of a gap than the sheet has by itself.
  return {
    laid,
    samples,
    lift,
    gaps: worstOf(k => lift.gaps[k]!),
    pressed: worstOf(k => Math.min(lift.gaps[k]!, fingers[k]!)),
  }
}

/** A point of a sheet (mm), and where it comes to lie on the skin. */
interface Sample {
  readonly at: Point
  readonly skin: Point
}

/**
 * Gaps between the skin and a sheet that is pressed down where it is dabbed, one an opening, mm; NaN where
 * nothing is painted.
 */
export const pressedAt = (
  sheet: Stencil,
  placement: Placement,
  world: OnGround,
  painted: ReadonlySet<number>,
  most: number,
): Float64Array =>
  standing(sheet, placement, world, painted, most)?.pressed ?? new Float64Array(sheet.openings.length)

/**
 * How the sheet of a placement seats on the skin.
 * @param painted the openings that are painted; only they must seat, and only the sheet around them is
 *   pressed down
 * @param most as many samples of the solid at most: fewer are quicker
 */
export function seatingOf(
  sheet: Stencil,
  placement: Placement,
  world: OnGround,
  painted: ReadonlySet<number> = new Set(sheet.openings.keys()),
  most = MOST,
): Seating {
  const { ground } = world
  const n = sheet.openings.length
  const stands = standing(sheet, placement, world, painted, most)
  if (!stands)
    return {
      gaps: new Float64Array(n),
      pressed: new Float64Array(n),
      seated: 0,
      seatedPressed: 0,
      rulings: 0,
      pucker: 0,
      pull: 0,
      sentence: 'The stencil lies beside the skin.',
    }
  const { laid, samples, lift, gaps, pressed } = stands
  const count = gaps.reduce((sum, g) => sum + (Number.isNaN(g) ? 0 : 1), 0)
  const share = (list: Float64Array) =>
    list.reduce((sum, g) => sum + (g <= SEATS_MM ? 1 : 0), 0) / Math.max(1, count)
  const seatedPressed = share(pressed)
  const strains = samples.filter((_, i) => i % 4 === 0).map(s => laid.stretch(s.at))
  const touching = new Map<string, number>()
  samples.forEach((s, k) => {
    const zone = lift.gaps[k]! < TOUCHES ? zoneAt(ground, s.skin) : null
    if (zone && zone !== 'face' && zone !== 'arm')
      touching.set(zoneWords(zone), (touching.get(zoneWords(zone)) ?? 0) + 1)
  })
  const rests = [...touching]
    .sort((a, b) => b[1] - a[1])
    .slice(0, 2)
    .map(([words]) => words)
  const worst = gaps.reduce((w, g, i) => (g > (gaps[w]! || 0) || Number.isNaN(gaps[w]!) ? i : w), 0)
  return {
    gaps,
    pressed,
    seated: share(gaps),
    seatedPressed,
    rulings: lift.rulings,
    pucker: Math.min(0, ...strains),
    pull: Math.max(0, ...strains),
    sentence: sentenceOf(
      seatedPressed,
      rests,
      gaps[worst]!,
      besideWords(world, laid.point(ringCentroid(sheet.openings[worst]!.outer))),
    ),
  }
}

function sentenceOf(pressed: number, rests: readonly string[], gap: number, where: string): string {
  const on = rests.length ? `Rests on the ${rests.join(' and the ')}` : 'Rests on the skin'
  if (gap <= SEATS_MM) return `${on}; every opening touches the skin.`
  return `${on}; gap ${gap > TOLD ? `over ${TOLD}` : gap.toFixed(1)} mm ${where}: press this side down separately${pressed < FOLLOWS ? ', or lay the stencil in two goes' : ''}.`
}
/** A larger gap than this is not told to the millimetre. */
const TOLD = 10
/** Where fewer of its openings seat even under the fingers, a sheet does not follow the skin. */
export const FOLLOWS = 0.5

/** Where the sheet stands off, against the nearest feature: "beside the nose", "below the left pupil". */
function besideWords({ ground }: OnGround, at: Point): string {
  if (!ground.face) return `near the ${whereIs(ground, at).nearest.words}`
  const nose = ground.zone('nose')
  if (nose) {
    const b = boxOf(nose)
    const near = at[1] > b.minY && at[1] < b.maxY + 6 && at[0] > b.minX - 12 && at[0] < b.maxX + 12
    if (near && !ringHolds(nose, ...at)) return 'beside the nose'
    if (near) return 'on the nose'
  }
  const mark = landmarkList(ground.face.landmarks).reduce((best, m) =>
    Math.hypot(m.at[0] - at[0], m.at[1] - at[1]) < Math.hypot(best.at[0] - at[0], best.at[1] - at[1])
      ? m
      : best,
  )
  const dx = at[0] - mark.at[0]
  const dy = at[1] - mark.at[1]
  return `${Math.abs(dy) > Math.abs(dx) ? (dy < 0 ? 'above' : 'below') : 'beside'} the ${mark.words}`
}

/** Why a placement cannot be, as a sentence: off the skin, or larger than the canvas; null when it can. */
export function placementProblem(
  sheet: Stencil | undefined,
  placement: Placement,
  { ground }: OnGround,
): string | null {
  const laid = layOn(ground.surface, placement)
  const rim = sheet ? pointsOf(sheet.outline) : []
  const { minX, minY, maxX, maxY } = boxOf(ringOf([[0, 0], ...rim]))
  // The rim alone would miss a small face under a large sheet: a grid of points over the sheet decides.
  const grid = Array.from({ length: 49 }, (_, i): Point => [
    minX + ((maxX - minX) * (i % 7)) / 6,
    minY + ((maxY - minY) * Math.floor(i / 7)) / 6,
  ])
  if (![...grid, [0, 0] as Point].some(p => ground.extent.some(r => ringHolds(r, ...laid.point(p)))))
    return `There is no skin to lay a stencil on there: keep some of it on the ${ground.words}.`
  if (
    sheet &&
    Math.min(sheet.width, sheet.height) >
      Math.hypot(ground.box.maxX - ground.box.minX, ground.box.maxY - ground.box.minY)
  )
    return `${sheet.name} (${Math.round(sheet.width)} × ${Math.round(sheet.height)} mm) is larger than the ${ground.words}.`
  return null
}
