import { boxAround, type Point } from '../../../geometry'
import { filmOf, USED } from '../../../paint'
import type { Laid } from '../../../skin'
import type { PreparedSheet } from '../../../stencil'
import type { Print } from '../print'
import { toolIn, type World } from '../world'
import { openArea } from './openings'
import { partShare } from './part'
import { placementsOf } from './placements'
import type { Pass, SheetStep } from './schema'

/** Places along a sheet at which it is told how much a tool still gives. */
const STATIONS = 9

/**
 * How fast a tool runs out over a pass on one side: the load that a full film would take, as a share of what it
 * lets go. What it lets go falls with what it holds, exponentially (common practice: a print grows paler dab by
 * dab).
 */
export function fallOver(pass: Pass, step: SheetStep, sheet: PreparedSheet, world: World): number {
  const tool = toolIn(world, pass.tool)
  const mg =
    ((partShare(pass, step, world) * openArea(pass, sheet)) / 100) * filmOf(tool, pass.wetness, pass.dabs)
  return mg / (USED * tool.capacity)
}

/** What a tool holds for a pass that goes on without reloading. */
export interface Carried {
  /** Share of a load when a side is begun, 0 to 1. */
  readonly start: number
  /** The exponent by which it falls over that side. */
  readonly fall: number
}

/** What the tool holds when a pass begins on a side; null for a pass that is loaded anew. */
export function carriedOf(step: SheetStep, index: number, side: number, world: World): Carried | null {
  const pass = step.passes[index]!
  const sheet = world.stencil(step.stencil)
  if (!pass.carries || !sheet) return null
  const fall = fallOver(pass, step, sheet, world)
  return { start: (world.held?.(step.id, index) ?? 1) * Math.exp(-fall * side), fall }
}

/** The mean share of a full film that is laid while a tool runs out. */
export const meanShare = ({ start, fall }: Carried): number =>
  fall < 1e-6 ? start : (start * (1 - Math.exp(-fall))) / fall

/** The share that is left once the last side of a pass is done. */
export function leftAfter(step: SheetStep, index: number, world: World): number {
  const last = carriedOf(step, index, placementsOf(step, world).length - 1, world)
  return last ? last.start * Math.exp(-last.fall) : 1
}

/** How the film of a carried pass falls from the top of what is printed to its foot, as a field of a print. */
export function thinning(
  { fall }: Carried,
  sheet: PreparedSheet,
  numbers: readonly number[],
  laid: Laid,
): Pick<Print, 'thins'> {
  const b = boxAround(numbers.map(n => sheet.openings[n]!))
  const at = (t: number) => b.minY + t * (b.maxY - b.minY)
  const places = Array.from({ length: STATIONS }, (_, i) => i / (STATIONS - 1))
  const edge = (x: number): Point[] => places.map(t => laid.point([x, at(t)]))
  return {
    thins: {
      rails: { left: edge(b.minX), right: edge(b.maxX) },
      shares: places.map(t => Math.exp(-fall * t)),
    },
  }
}
