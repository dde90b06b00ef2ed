import { boxOf, pointsOf, ringCentroid, ringHolds, ringOf, type Point } from '../../geometry'
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
import { onSkinOf, samplesOf } from './sheetSamples'
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

/** How many samples of a sheet there are at most. */
const MOST = 1600
/** Closer than this the sheet touches, mm. */
const TOUCHES = 0.25

/**
 * The sheet counts this far around what is painted through it, mm: fingers press it down there (common
 * practice).
 */
const PRESSED_MM = 10

/**
 * A sheet as it stands off the skin: the samples of it that lie there, in its own frame and on the skin (x, y,
 * one after the other; mm), and the gaps at its openings.
 */
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
  const onSkin = onSkinOf(ground)
  const { points: all, within } = samplesOf(sheet, most)
  const every = [...all.keys()]
  const asked = painted.size === n ? every : every.filter(i => (i < n ? painted.has(i) : near(all[i]!)))
  const lying = laid.ring(ringOf(asked.map(i => all[i]!)))
  const points: Point[] = []
  const skin: number[] = []
  /** Where each sample of the sheet stands among those on the skin; -1 where it does not. */
  const among = new Int32Array(all.length).fill(-1)
  asked.forEach((i, k) => {
    const x = lying[2 * k]!
    const y = lying[2 * k + 1]!
    // What hangs in the air past the skin's edge says nothing of how the rest seats.
    if (!onSkin(x, y)) return
    among[i] = points.length
    points.push(all[i]!)
    skin.push(x, y)
  })
  if (points.length === 0) return null
  const places = placesOf(ground.surface, Float64Array.from(skin))
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
    points,
    skin,
    lift,
    gaps: worstOf(k => lift.gaps[k]!),
    pressed: worstOf(k => Math.min(lift.gaps[k]!, fingers[k]!)),
  }
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
  const { laid, points, skin, lift, gaps, pressed } = stands
  const count = gaps.reduce((sum, g) => sum + (Number.isNaN(g) ? 0 : 1), 0)
  const share = (list: Float64Array) =>
    list.reduce((sum, g) => sum + (g <= SEATS_MM ? 1 : 0), 0) / Math.max(1, count)
  const seatedPressed = share(pressed)
  const strains = points.filter((_, i) => i % 4 === 0).map(laid.stretch)
  const touching = new Map<string, number>()
  points.forEach((_, k) => {
    const zone = lift.gaps[k]! < TOUCHES ? zoneAt(ground, [skin[2 * k]!, skin[2 * k + 1]!]) : null
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
