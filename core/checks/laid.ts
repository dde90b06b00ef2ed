import { boxOf, ringCentroid, ringHolds, type Point } from '../geometry'
import {
  FOLLOWS,
  freshLook,
  paintedOpenings,
  placementsOf,
  seatingOf,
  usualHeading,
  aimedTilt,
  type Look,
  type SheetStep,
  type World,
} from '../look'
import { layOn, plainZone, ZONE_IDS, type Ground } from '../skin'
import type { PreparedSheet } from '../stencil'
import { afterFix } from './applyFix'
import type { Finding } from './finding'
import { findingsOf } from './findings'

/** A sheet with what its drawer says of it. */
export interface ToLay extends PreparedSheet {
  readonly zones: readonly string[]
}

/** So far from where it was asked for a sheet is looked for a place, and in such steps, mm. */
const NEAR = 12
const FAR = 25
const STEP = 5
/** As many points of each opening tell roughly where it lies. */
const POINTS = 10
/** As many samples tell roughly how a sheet follows the skin. */
const COARSE = 120
/** So many fixes one after the other, and no more, take what is wrong away. */
const MOST_FIXES = 4

/** Places about a point, the nearest first, along eight ways. */
function placesAbout([x, y]: Point, most: number): Point[] {
  const out: Point[] = [[x, y]]
  for (let d = STEP; d <= most; d += STEP)
    for (const [dx, dy] of [
      [0, -1],
      [0, 1],
      [1, 0],
      [-1, 0],
      [0.7, -0.7],
      [-0.7, -0.7],
      [0.7, 0.7],
      [-0.7, 0.7],
    ] as const)
      // prettier-ignore
      out.push([x + d * dx, y + d * dy])
  return out
}

/**
 * The middles of the zones that a sheet is made for, as its drawer names them; of zones that come in pairs the
 * person's right one first. Where things usually go comes first for what is made for it.
 */
function madeFor(ground: Ground, zones: readonly string[], usual: Point): Point[] {
  const rings = zones
    .flatMap(zone => ZONE_IDS.filter(id => plainZone(id) === zone))
    .flatMap(id => ground.zone(id) ?? [])
  const here = !zones.includes('face') && rings.some(ring => ringHolds(ring, ...usual))
  const middles = rings.map(ringCentroid)
  return here ? [usual, ...middles] : [...middles, usual]
}

/** How much of a sheet's openings lies where nothing may be painted, or off the skin, 0 to 1: roughly. */
function astray(step: SheetStep, sheet: PreparedSheet, ground: Ground): number {
  const laid = layOn(ground.surface, step)
  const kept = ground.keepOuts.map(k => ({ ring: k.ring, box: boxOf(k.ring) }))
  let points = 0
  let off = 0
  for (const { outer } of sheet.openings) {
    const every = 2 * Math.max(1, Math.floor(outer.length / 2 / POINTS))
    for (let i = 0; i < outer.length; i += every) {
      const [x, y] = laid.point([outer[i]!, outer[i + 1]!])
      points++
      const over = kept.some(
        ({ ring, box }) =>
          x > box.minX && x < box.maxX && y > box.minY && y < box.maxY && ringHolds(ring, x, y),
      )
      if (over || !ground.extent.some(e => ringHolds(e, x, y))) off++
    }
  }
  return points ? off / points : 1
}

/** How well a sheet follows the skin under the fingers where it lies, 0 to 1. */
const follows = (step: SheetStep, sheet: PreparedSheet, world: World): number =>
  seatingOf(sheet, placementsOf(step, world)[0]!, world, paintedOpenings(step, world)[0], COARSE)
    .seatedPressed

/** A step at a place, a texture turned as the flow runs there. */
function at(step: SheetStep, sheet: ToLay, place: Point, world: World, focus: Point): SheetStep {
  const [x, y] = place.map(v => Math.round(v * 10) / 10) as [number, number]
  const tilt =
    sheet.kind === 'texture' && typeof sheet.heading === 'number'
      ? aimedTilt('A', sheet.heading, usualHeading(world.ground, [x, y], focus))
      : step.tilt
  return { ...step, at: [x, y], tilt: Math.round(tilt * 10) / 10 }
}

/** The step after one press each for what `wanted` finds, and what it still finds then. */
function pressed(
  step: SheetStep,
  wanted: (f: Finding) => boolean,
  most: number,
  { look, world, today }: { look: Look; world: World; today: string },
): { step: SheetStep; left: Finding[] } {
  let now = step
  for (let n = 0; ; n++) {
    const found = findingsOf({ ...look, steps: [now] }, world, [], [], today)
    const left = found.filter(f => f.stepId === step.id && wanted(f))
    const fix = left.find(f => f.fix && !f.fix.goes)?.fix
    if (!fix || n === most) return { step: now, left }
    now = afterFix([now], step.id, fix, () => '')[0] as SheetStep
  }
}

/**
 * The step with everything put right that would be a problem, and laid so that it touches the skin, as far as one
 * press each puts it right: nobody should have to press what could have been laid at once. A shift for the sake of
 * the touch that brings a problem which stays is not made.
 */
function putRight(step: SheetStep, look: Look, world: World, today: string): SheetStep {
  const on = { look, world, today }
  const isProblem = (f: Finding) => f.level === 'problem'
  const sound = pressed(step, isProblem, MOST_FIXES, on)
  const touching = pressed(sound.step, f => f.check === 'seats', MOST_FIXES, on)
  if (touching.step === sound.step) return sound.step
  const both = pressed(touching.step, isProblem, MOST_FIXES, on)
  return both.left.length > sound.left.length ? sound.step : both.step
}

/**
 * A new sheet laid where it fits: near the place that was asked for, or where nobody asked, on a zone that it
 * is made for; openings that would lie over eyes, nostrils or hair left free, and no wetter than its bridges
 * take.
 * @param asked the place that the painter pointed at, skin mm; null when the sheet was only pressed
 * @param proposed whether a search has found its place: then it is only put right there
 * @param usual where things go when nobody says and the sheet is made for no zone in particular
 * @param today ISO 8601
 */
export function laidWell(
  step: SheetStep,
  sheet: ToLay,
  {
    look,
    world,
    asked,
    proposed = false,
    usual,
    today,
  }: {
    look: Pick<Look, 'skin' | 'canvas' | 'focus'>
    world: World
    asked: Point | null
    proposed?: boolean
    usual: Point
    today: string
  },
): SheetStep {
  const whole: Look = { ...freshLook('laid', 'laid'), ...look }
  if (proposed) return putRight(step, whole, world, today)
  const anchors = asked ? [asked] : madeFor(world.ground, sheet.zones, usual)
  const texture = sheet.kind === 'texture'
  let best: { step: SheetStep; worth: number } | null = null
  for (const [n, anchor] of anchors.entries()) {
    // Of a texture the openings that lie over something are left out, so that it stays where it was asked for.
    for (const place of texture ? [anchor] : placesAbout(anchor, asked ? NEAR : FAR)) {
      const here = at(step, sheet, place, world, look.focus)
      const stray = astray(here, sheet, world.ground)
      const far = Math.hypot(place[0] - anchor[0], place[1] - anchor[1]) / FAR
      // Whether it follows the skin is only asked where the rest is worth it.
      const rough = -(texture ? 1 : 4) * stray - 0.2 * far - 0.1 * n
      if (best && rough <= best.worth) continue
      const worth = rough - Math.max(0, FOLLOWS - follows(here, sheet, world))
      if (!best || worth > best.worth) best = { step: here, worth }
      if (best.worth > -0.05) break
    }
    if (best && best.worth > -0.25) break
  }
  return putRight(best!.step, whole, world, today)
}
