import { clockwise, type Point, type Ring } from '../../../geometry'
import { opacityOf, takesUpOf } from '../../../paint'
import { layOn, type Laid } from '../../../skin'
import type { PreparedSheet } from '../../../stencil'
import { contactGaps } from '../../placement'
import { dripsFrom } from '../drips'
import { flakesOn, WHITE_GLITTER } from '../flakes'
import { freeOf } from '../leftFree'
import { textureOfTool, type Print } from '../print'
import type { World } from '../world'
import { carriedOf, meanShare, thinning, type Carried } from './carried'
import { passFilm } from './effort'
import { loadPrint } from './load'
import { ownNumber, paintedOpenings, passNumbers, twinMirrors } from './openings'
import { onlyPart } from './part'
import { acrossOf, placementsOf } from './placements'
import type { Pass, SheetStep } from './schema'
import { spreadOf } from './spread'

/** One pass of a sheet where it lies, with the openings that it paints there and how far each creeps. */
interface LaidPass {
  /** The map to the twin's side; null for the sheet itself. */
  readonly across: ((p: Point) => Point) | null
  readonly stepId: string
  readonly pass: Pass
  readonly sheet: PreparedSheet
  readonly laid: Laid
  /** What it is the mirror image of, where an even sheet was turned over in its place; null where it is none. */
  readonly mirrorOf: Pick<LaidPass, 'laid' | 'numbers'> | null
  /** The rings of an opening as they lie, its own outline first. */
  readonly rings: (opening: number) => readonly Ring[]
  readonly numbers: readonly number[]
  readonly spread: readonly number[]
  /** What the tool still holds; null where it is loaded anew. */
  readonly carried: Carried | null
}

/** How far a drip creeps, mm: it hangs free, and nothing is pressed. */
const DRIP_SPREAD = 0.12

function passPrint(
  { stepId, pass, sheet, laid, rings, numbers, spread, across, mirrorOf, carried }: LaidPass,
  world: World,
): Print {
  const film = passFilm(pass, world) * (carried?.start ?? 1)
  const openings = numbers.map(rings)
  const drips =
    pass.wetness === 'runny' && !world.flat
      ? dripsFrom(
          openings.map(own => own[0]!),
          stepId,
        )
      : []
  return {
    rings: [...openings.flat(), ...drips],
    spread: [...openings.flatMap((own, k) => own.map(() => spread[k]!)), ...drips.map(() => DRIP_SPREAD)],
    ...loadPrint(pass, sheet, mirrorOf ?? { laid, numbers }, mirrorOf ? across : null, across, world),
    runsOut: pass.runsOut,
    film,
    opacity: opacityOf(film),
    softness: 0.12,
    grain: pass.tool === 'dauber' ? 0.25 : 0.4,
    texture: textureOfTool(pass.tool),
    wetness: pass.wetness,
    charge: carried ? meanShare(carried) : pass.charge,
    ...(carried && thinning(carried, sheet, numbers, laid)),
    meets: { dabs: pass.dabs, takesUp: takesUpOf(pass.tool) },
  }
}

/** The rings of a sheet's openings where it lies: each worked out once, however many passes go through it. */
function ringsLaid(sheet: PreparedSheet, laid: Laid): LaidPass['rings'] {
  const known = new Map<number, readonly Ring[]>()
  return n => {
    let found = known.get(n)
    if (!found) {
      const { outer, holes } = sheet.openings[n]!
      found = [outer, ...holes].map(laid.ring)
      known.set(n, found)
    }
    return found
  }
}

/** The glitter that is strewn on a pass before the sheet is lifted. */
const sparkleOn = (rings: readonly Ring[], { sparkle }: Pass, id: string): Print =>
  sparkle
    ? flakesOn(rings, sparkle.sort, sparkle.colour, sparkle.amount, id)
    : flakesOn(rings, 'fine', WHITE_GLITTER, 0.9, id)

/** The films of every pass, of the sheet itself and of its twin. */
export function printsOf(step: SheetStep, world: World): Print[] {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return []
  const placements = placementsOf(step, world)
  const mirrored = twinMirrors(step, placements, world)
  const painted = paintedOpenings(step, world)
  const map = acrossOf(step, world)
  const free = freeOf(step, world.ground, map)
  const own = layOn(world.ground.surface, placements[0]!, world.quick)
  return placements.flatMap((placement, i) => {
    const laid = layOn(world.ground.surface, placement, world.quick)
    const rings = ringsLaid(sheet, laid)
    const across = i ? map : null
    const gaps = world.flat ? null : contactGaps(sheet, placement, world, painted[i]!)
    return step.passes.flatMap((pass, index): Print[] => {
      const numbers = passNumbers(pass, sheet, i > 0 && mirrored)
      const spread = spreadOf(step, pass, numbers, gaps, world, index)
      const print = passPrint(
        {
          stepId: `${step.id} ${index} ${i}`,
          pass,
          sheet,
          laid,
          rings,
          numbers,
          spread,
          across,
          mirrorOf: i > 0 && mirrored ? { laid: own, numbers: passNumbers(pass, sheet) } : null,
          carried: carriedOf(step, index, i, world),
        },
        world,
      )
      const kept = { ...free, ...onlyPart(pass, step, world, across) }
      const glitter = () => ({ ...sparkleOn(print.rings, pass, step.id), ...kept })
      return pass.glitter ? [{ ...print, ...kept }, glitter()] : [{ ...print, ...kept }]
    })
  })
}

/**
 * Some openings as they lie, of its twin too: only what is printed can be gone around, and the twin of an
 * even sheet prints the mirrored ones.
 */
export function openingRings(step: SheetStep, numbers: readonly number[], world: World): Ring[] {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return []
  const printed = paintedOpenings(step, world)
  const asTwin = ownNumber(step, world)
  return placementsOf(step, world).flatMap((place, i) => {
    const laid = layOn(world.ground.surface, place, world.quick)
    return numbers
      .map(n => (i ? asTwin(n) : n))
      .flatMap(n =>
        sheet.openings[n] && printed[i]!.has(n) ? clockwise([laid.ring(sheet.openings[n].outer)]) : [],
      )
  })
}

/** Points that all passes of a step print together, its twin's too: what printing it costs. */
export function printedPoints(step: SheetStep, world: World): number {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return 0
  const points = sheet.openings.map(o => (o.outer.length + o.holes.reduce((n, h) => n + h.length, 0)) / 2)
  const once = step.passes.reduce(
    (sum, pass) => sum + passNumbers(pass, sheet).reduce((n, i) => n + points[i]!, 0),
    0,
  )
  return once * placementsOf(step, world).length
}
