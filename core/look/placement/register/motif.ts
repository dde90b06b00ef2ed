import {
  boxAround,
  boxOf,
  centroidOf,
  distance,
  movedBy,
  polygonHolds,
  wrapDegrees,
  type Point,
  type Rigid,
} from '../../../geometry'
import type { PreparedSheet } from '../../../stencil'
import { toEdge } from './near'
import type { RegisterFit } from './registerFit'

/**
 * The guest's motif in the middle of the host's: in the opening that holds it, else in the middle of all of
 * them.
 */
export function motifFit(host: PreparedSheet, guest: PreparedSheet, hint: Rigid): RegisterFit {
  const own =
    host.heading !== null &&
    host.heading !== undefined &&
    guest.heading !== null &&
    guest.heading !== undefined
      ? host.heading - guest.heading
      : host.axes?.length && guest.axes?.length
        ? nearestTurn(
            host.axes.map(a => a - guest.axes![0]!),
            hint.turn,
          )
        : hint.turn
  const turn = wrapDegrees(own)
  const middle = centroidOf(guest.openings)
  const g = boxAround(guest.openings)
  const now = movedBy({ turn: hint.turn, shift: hint.shift }, middle)
  const big = host.openings
    .filter(o => {
      const b = boxOf(o.outer)
      return b.maxX - b.minX > g.maxX - g.minX && b.maxY - b.minY > g.maxY - g.minY
    })
    .map(o => centroidOf([o]))
    .sort((a, b) => distance(a, now) - distance(b, now))
  const to = big[0] ?? centroidOf(host.openings)
  const at = movedBy({ turn, shift: [0, 0] }, middle)
  const shift: Point = [to[0] - at[0], to[1] - at[1]]
  return {
    turn,
    shift,
    residual: distance(movedBy({ turn, shift }, middle), to),
    tolerance: clearance(host, guest, { turn, shift }),
    matched: 1,
  }
}

const nearestTurn = (turns: readonly number[], to: number): number =>
  turns
    .flatMap(t => [t, t + 180])
    .reduce((best, t) => (Math.abs(wrapDegrees(t - to)) < Math.abs(wrapDegrees(best - to)) ? t : best))

/** The least distance from a point of the guest's print to the edge of the host's, mm; 0 where they cross. */
function clearance(host: PreparedSheet, guest: PreparedSheet, map: Rigid): number {
  let least = Infinity
  const holders = new Set<number>()
  for (const o of guest.openings) {
    for (let i = 0; i < o.outer.length; i += 4) {
      const p = movedBy(map, [o.outer[i]!, o.outer[i + 1]!])
      holders.add(host.openings.findIndex(h => polygonHolds(h, ...p)))
      for (const h of host.openings) least = Math.min(least, toEdge(p, h))
    }
  }
  // Partly in an opening and partly out of it: the prints cross already.
  return holders.size > 1 ? 0 : least
}
