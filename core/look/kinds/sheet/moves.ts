import { distance, ringHolds, tenth } from '../../../geometry'
import { keptWords, layOn, onSkin, type Placement } from '../../../skin'
import { samplePoints } from '../../../stencil'
import { aimedTilt, atSoThat, bearingOn, carried, carryTwin, liesAt } from '../../placement'
import type { Misfitting, Moves } from '../kind'
import { movedLoops } from '../leftFree'
import type { Transfer } from '../transfer'
import { carriedAxis } from '../wash/axis'
import type { World } from '../world'
import { printedMiddle } from './middle'
import { openingNumbers } from './openings'
import { placementOf, placementsOf } from './placements'
import type { Pass, SheetStep } from './schema'

/**
 * More of a print than this beside the skin, or on eyes, nostrils and mouth, does not fit: shares, 0 to 1.
 */
const BESIDE = 0.06
const SPOILT = 0.05

/** Shares of a sheet's print that lie beside the skin and on eyes, nostrils and mouth. */
export function spoiltShares(
  step: SheetStep,
  placement: Placement,
  world: World,
): { beside: number; spoilt: string[]; share: number } {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return { beside: 0, spoilt: [], share: 0 }
  const laid = layOn(world.ground.surface, placement)
  const used = new Set(step.passes.flatMap(p => openingNumbers(p, sheet)))
  const openings = sheet.openings.filter((_, i) => used.has(i))
  const points = samplePoints({ ...sheet, openings }).map(laid.point)
  const keep = world.ground.keepOuts.filter(k => k.kind !== 'hair')
  if (points.length === 0) return { beside: 0, spoilt: [], share: 0 }
  const beside = points.filter(p => !onSkin(world.ground, p)).length
  const hit = keep.filter(k => points.some(p => ringHolds(k.ring, ...p)))
  return {
    beside: beside / points.length,
    spoilt: hit.map(keptWords),
    share: points.filter(p => keep.some(k => ringHolds(k.ring, ...p))).length / points.length,
  }
}

function misfit(step: SheetStep, world: World): Misfitting | null {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return null
  for (const placement of placementsOf(step, world)) {
    const { beside, spoilt, share } = spoiltShares(step, placement, world)
    if (beside <= BESIDE && share <= SPOILT) continue
    const size = `${Math.round(sheet.width)} × ${Math.round(sheet.height)} mm`
    const why =
      beside > BESIDE
        ? `${Math.round(100 * beside)} % of its print lies beside the skin`
        : `${Math.round(100 * share)} % of its print falls on the ${spoilt.join(' and the ')}`
    return {
      sentence: `${step.label}: ${sheet.name} (${size}) no longer fits; ${why}.`,
      sheet: { sheet, placement },
    }
  }
  return null
}

/** Brings what a pass says of places on the skin along to another canvas, in place. */
function carryPass(pass: Pass, { map, zones }: Transfer): void {
  const { part, axis } = pass
  if (part?.by === 'shape') part.loop = movedLoops([part.loop], map)[0]!
  if (part?.by === 'zones') {
    const there = zones(part.zones)
    // Without any of its zones there is no place to keep to.
    if (there.length) part.zones = there
    else delete pass.part
  }
  const moved = axis && carriedAxis(axis, map)
  if (moved && moved.kind !== 'edge') pass.axis = moved
}

/** How a stencil step moves: it has no handles, and its sheet keeps its size. */
export const sheetMoves: Moves<SheetStep> = {
  carry(step, transfer) {
    const { map, to } = transfer
    step.passes.forEach(pass => carryPass(pass, transfer))
    Object.assign(step, carried(step, map))
    if (step.twin.own) step.twin.own = carried(step.twin.own, map)
    carryTwin(step.twin, map, to)
  },
  misfit,
  aim(step, world, focus) {
    // What is printed aims, and stays where it is; of a part-used sheet that is not the sheet's middle.
    const middle = printedMiddle(step, world)
    const there = liesAt(middle, placementOf(step), world.ground)
    if (distance(there, focus) < 1) return
    const heading = world.stencil(step.stencil)?.heading ?? 0
    step.tilt = tenth(aimedTilt(step.side, heading, bearingOn(world.ground, there, focus)))
    if (middle[0] || middle[1])
      Object.assign(step, { at: atSoThat(middle, there, step, world.ground), grip: [0, 0] })
  },
  grow: () => {},
  reshape: () => {},
  mirror: () => {},
  becomeTwin: () => {},
}
