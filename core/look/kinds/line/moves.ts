import { bearing, type Point } from '../../../geometry'
import { darkOutward, other } from '../dark'
import type { Moves, Pointer } from '../kind'
import { carryParams, carrySource, growParams } from '../lengths'
import { carryHandles, markMoves } from '../marks'
import type { World } from '../world'
import { paramsOf, type LineStep } from './schema'

export const lineMoves = (pointers: (step: LineStep, world: World) => Pointer[]): Moves<LineStep> => {
  const usual = markMoves(pointers)
  return {
    ...usual,
    carry(step, transfer) {
      const by = carryHandles(step, transfer)
      carrySource(step, transfer)
      carryParams(step, paramsOf(step.shape), by)
    },
    grow(step, world, by) {
      usual.grow(step, world, by)
      growParams(step, paramsOf(step.shape), by)
    },
    // A dark edge that looked outward goes on looking outward.
    mirror(step, points, from) {
      if (step.load.kind === 'one') return
      const before = darkOutward(step.points, step.dark, from)
      if (before * darkOutward(points, step.dark, from) < 0) step.dark = other(step.dark)
    },
    becomeTwin(own, _step, lie) {
      if (lie.mirror) own.dark = other(own.dark)
    },
  }
}

/** Circular mean of directions, degrees; null when they cancel out. */
export function meanDirection(list: readonly number[]): number | null {
  const x = list.reduce((s, a) => s + Math.sin((a * Math.PI) / 180), 0)
  const y = list.reduce((s, a) => s + Math.cos((a * Math.PI) / 180), 0)
  return Math.hypot(x, y) < 1e-3 * Math.max(1, list.length) ? null : (Math.atan2(x, y) * 180) / Math.PI
}

/** The way in which a line of points ends, degrees clockwise from up. */
export const endTangent = (points: readonly Point[]): number =>
  bearing(points[Math.max(0, points.length - 3)]!, points.at(-1)!)
