import {
  boxAround,
  clockwise,
  intersection,
  pointsOf,
  polygonArea,
  regionOf,
  ringHolds,
  ringOf,
  type Point,
  type Ring,
} from '../../../geometry'
import { layOn, mirroredZone, zoneWords, type ZoneId } from '../../../skin'
import type { Print } from '../print'
import type { World } from '../world'
import { passNumbers, passOpenings } from './openings'
import { placementOf } from './placements'
import type { Part, Pass, SheetStep } from './schema'

/** The sharpest end of a part, mm: a sponge has no edge. */
const LEAST_FADE = 0.4

/**
 * The rings of a part on the skin.
 * @param across the map to the twin's side; null for the sheet itself
 */
function partRings(
  part: Part,
  step: SheetStep,
  world: World,
  across: ((p: Point) => Point) | null = null,
): Ring[] {
  const there = (rings: readonly Ring[]): Ring[] =>
    across ? rings.map(r => ringOf(pointsOf(r).map(across))) : [...rings]
  switch (part.by) {
    case 'shape':
      return there([ringOf(part.loop)])
    case 'zones': {
      const zones = (ids: readonly ZoneId[]) => ids.flatMap(id => world.ground.zone(id) ?? [])
      // A zone of the other side is drawn by that side's own features.
      const named = across !== null && step.twin.rule !== 'turn'
      return named ? zones(part.zones.map(mirroredZone)) : there(zones(part.zones))
    }
    case 'step': {
      const host = world.host?.(part.step, step.id)
      const rings = host?.rings(part.strips, world) ?? []
      // A step that has a twin itself, or lies on both sides, covers the other side already.
      return across ? [...rings, ...(host?.step.twin.rule === 'none' ? there(rings) : [])] : rings
    }
  }
}

/**
 * What keeps a pass to its part, as a field of a print: none where it is dabbed everywhere.
 * @param across the map to the twin's side; null for the sheet itself
 */
export function onlyPart(
  pass: Pass,
  step: SheetStep,
  world: World,
  across: ((p: Point) => Point) | null,
): Pick<Print, 'only'> {
  const { part } = pass
  if (!part) return {}
  const rings = partRings(part, step, world, across)
  return { only: { rings, softness: Math.max(LEAST_FADE, part.fades / 2) } }
}

/** Share of what a pass would print that its part lets through, by the middles of its openings. */
export function partShare(pass: Pass, step: SheetStep, world: World): number {
  const sheet = world.stencil(step.stencil)
  if (!pass.part || !sheet) return 1
  const rings = partRings(pass.part, step, world)
  const laid = layOn(world.ground.surface, placementOf(step), world.quick)
  let all = 0
  let within = 0
  for (const opening of passOpenings(pass, sheet)) {
    const area = polygonArea(opening)
    const b = boxAround([opening])
    const at: Point = laid.point([(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2])
    all += area
    if (rings.some(r => ringHolds(r, ...at))) within += area
  }
  return all > 0 ? within / all : 1
}

/**
 * The openings of a step's sheet that some pass dabs where it lies: those that it names and that its part reaches
 * with their middles.
 */
export function dabbedOpenings(step: SheetStep, world: World): ReadonlySet<number> {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return new Set()
  const laid = layOn(world.ground.surface, placementOf(step), world.quick)
  return new Set(
    step.passes.flatMap(pass => {
      const rings = pass.part ? partRings(pass.part, step, world) : null
      return passNumbers(pass, sheet).filter(n => {
        const b = boxAround([sheet.openings[n]!])
        const at: Point = laid.point([(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2])
        return !rings || rings.some(r => ringHolds(r, ...at))
      })
    }),
  )
}

/** Whether a pass that is kept to a part dabs anything there. */
export function partReached(pass: Pass, step: SheetStep, world: World): boolean {
  const sheet = world.stencil(step.stencil)
  if (!pass.part || !sheet) return true
  const part = regionOf(clockwise(partRings(pass.part, step, world)), 'nonzero')
  if (!part.length) return false
  const laid = layOn(world.ground.surface, placementOf(step), world.quick)
  const rings = passOpenings(pass, sheet).map(o => laid.ring(o.outer))
  return intersection(regionOf(clockwise(rings), 'nonzero'), part).length > 0
}

/** A part in words, as the end of a line of the step sheet. */
export function partWords({ part }: Pass, world: World): string {
  switch (part?.by) {
    case 'shape':
      return ', only in the drawn shape'
    case 'zones':
      return `, only on ${part.zones.map(zoneWords).join(', ')}`
    case 'step': {
      const label = world.host?.(part.step)?.step.label ?? 'a step that is gone'
      return part.strips ? `, only on some strips of "${label}"` : `, only where "${label}" lies`
    }
    default:
      return ''
  }
}
