import { radians, ringCentroid, ringHolds, type Point } from '../geometry'
import { keptWords } from '../skin'
import type { Candidate, Spot } from './spot'

/** One way of laying a sheet on a spot, with the shares that make up its score. */
export interface Trial {
  readonly at: Point
  readonly tilt: number
  readonly inside: number
  readonly kept: number
  readonly filled: number
  readonly aim: number | null
  readonly score: number
}

/** Why a fit is as good as it is, in words. */
export function reasonsOf(
  spot: Spot,
  sheet: Candidate,
  t: Trial,
  even: boolean,
  openings: readonly number[] | null,
): string[] {
  const percent = (v: number) => `${Math.round(100 * v)} %`
  const reasons = [
    openings
      ? `dab only the ${openings.length} of ${sheet.openings.length} openings inside`
      : `${percent(t.inside)} of its openings lie inside`,
  ]
  if (!openings && t.kept > 0.004) {
    const hit = spot.keepOuts
      .filter(k =>
        sheet.openings.some(o => {
          const [x, y] = ringCentroid(o.outer)
          const c = Math.cos(radians(t.tilt))
          const s = Math.sin(radians(t.tilt))
          return ringHolds(k.ring, t.at[0] + c * x - s * y, t.at[1] + s * x + c * y)
        }),
      )
      .map(keptWords)
    reasons.push(
      `${percent(t.kept)} would fall on ${hit.length ? hit.join(', ') : 'eyes, nostrils or mouth'}`,
    )
  }
  reasons.push(
    t.filled > 0.85
      ? 'fills the spot'
      : t.filled > 0.4
        ? `fills ${percent(t.filled)} of the spot`
        : `small for it: ${percent(t.filled)} of the spot`,
  )
  if (spot.zone !== null && sheet.zones.includes(spot.zone)) reasons.push(`made for the ${spot.zone}`)
  if (even) reasons.push('even on the midline')
  else if (t.aim !== null && Math.abs(t.aim) < 20) reasons.push('leads to the focal point')
  else if (t.aim !== null && Math.abs(t.aim) > 100) reasons.push('leads away from the focal point')
  if (sheet.bridge !== null && sheet.bridge < 0.8)
    reasons.push(`fine: bridges of ${sheet.bridge.toFixed(1)} mm`)
  return reasons
}
