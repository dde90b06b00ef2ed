import { polygonArea, type Polygon } from '../../../geometry'
import type { Placement } from '../../../skin'
import type { PreparedSheet, Stencil } from '../../../stencil'
import type { World } from '../world'
import { placementsOf } from './placements'
import type { Pass, SheetStep } from './schema'

/**
 * The numbers of the openings that a pass paints; on a twin laid without a flip they are the mirrored ones.
 * Numbers that the sheet lacks are left out.
 */
export function passNumbers(pass: Pass, stencil: PreparedSheet, mirrored = false): number[] {
  const partner = mirrored && pass.openings.use !== 'all' ? stencil.measures.partners : null
  return openingNumbers(pass, stencil)
    .map(n => partner?.[n] ?? n)
    .filter(n => stencil.openings[n])
}
export const passOpenings = (pass: Pass, stencil: PreparedSheet, mirrored = false): Polygon[] =>
  passNumbers(pass, stencil, mirrored).map(n => stencil.openings[n]!)

/**
 * Whether a step's twin paints the mirrored openings: it lies on the same side because the sheet is its own
 * mirror image.
 */
export const twinMirrors = (step: SheetStep, placements: readonly Placement[], world: World): boolean =>
  step.twin.rule !== 'turn' &&
  placements[1]?.side === placements[0]!.side &&
  Boolean(world.stencil(step.stencil)?.measures.axis)

/** The openings that the passes of a step paint, of the sheet itself and of its twin. */
export function paintedOpenings(step: SheetStep, world: World): Set<number>[] {
  const sheet = world.stencil(step.stencil)
  const placements = placementsOf(step, world)
  if (!sheet) return placements.map(() => new Set())
  const own = new Set(step.passes.flatMap(p => openingNumbers(p, sheet)))
  const partner = twinMirrors(step, placements, world) ? sheet.measures.partners : null
  return placements.map((_, i) => (i && partner ? new Set([...own].map(n => partner[n]!)) : own))
}

/**
 * The number by which the step names an opening that its twin prints: of an even sheet the twin prints the
 * mirrored one.
 */
export function ownNumber(step: SheetStep, world: World): (n: number) => number {
  const sheet = world.stencil(step.stencil)
  const partner =
    sheet && twinMirrors(step, placementsOf(step, world), world) ? sheet.measures.partners : null
  return n => (partner ? partner[n]! : n)
}

/** The numbers of the openings that a pass paints; none when its group is not there any more. */
export function openingNumbers({ openings }: Pass, stencil: Stencil): readonly number[] {
  if (openings.use === 'all') return stencil.openings.map((_, n) => n)
  return openings.use === 'chosen'
    ? openings.numbers
    : (stencil.groups?.find(g => g.name === openings.name)?.openings ?? [])
}

/** Which openings a pass paints, in words; empty for all. */
export const openingWords = ({ openings }: Pass): string =>
  openings.use === 'all'
    ? ''
    : openings.use === 'group'
      ? `, ${openings.name} only`
      : `, ${openings.numbers.length} openings only`

/** Area of the openings that a pass paints, mm2. */
export const openArea = (pass: Pass, stencil: PreparedSheet): number =>
  passOpenings(pass, stencil).reduce((a, p) => a + polygonArea(p), 0)
