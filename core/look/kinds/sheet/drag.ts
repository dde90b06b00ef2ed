import type { Point, Ring } from '../../../geometry'
import { SLIPS, type FilmState } from '../../../paint'
import { layOn } from '../../../skin'
import type { World } from '../world'
import { placementsOf } from './placements'
import type { SheetStep } from './schema'

/** Paint that a sheet drags along, because what lies beneath it is not dry. */
export interface Drag {
  /** Where the sheet lies on it, in the skin frame (mm). */
  readonly ring: Ring
  /** How far it slips and which way, mm of the skin, for films of each wetness. */
  readonly slips: Readonly<Record<FilmState, Point>>
}

/** What a sheet and its twin drag along: it slips toward its own lower edge, as it is lifted by the upper one. */
export function dragsOf(step: SheetStep, world: World): Drag[] {
  const sheet = world.stencil(step.stencil)
  if (!sheet || !world.wetUnder?.(step.id).size) return []
  return placementsOf(step, world).map(placement => {
    const laid = layOn(world.ground.surface, placement, world.quick)
    const [x, y] = laid.point([0, 0])
    const slip = (mm: number): Point => {
      const [px, py] = laid.point([0, mm])
      return [px - x, py - y]
    }
    return {
      ring: laid.ring(sheet.outline),
      slips: { wet: slip(SLIPS.wet), tacky: slip(SLIPS.tacky), dry: [0, 0] },
    }
  })
}
