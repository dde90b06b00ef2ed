import { polygonArea, regionOf, signedArea, type Ring } from '../../geometry'
import { LIMITS } from '../assemble'

/** Lets an open path count as closed across a small gap only: what it encloses is a guess otherwise. */
export function closeRun(points: readonly number[], mmPerUnit: number, notes: Set<string>): void {
  const gap = mmPerUnit * Math.hypot(points[0]! - points.at(-2)!, points[1]! - points.at(-1)!)
  if (gap >= LIMITS.closeGapMm)
    throw new RangeError(`A path is open by ${gap.toFixed(1)} mm. Close it, and try again.`)
  if (gap > 1e-3) notes.add(`A path was closed across a gap of ${gap.toFixed(2)} mm.`)
}

/** Notes on rings that enclose nothing or cross themselves. */
export function noteOddRings(rings: readonly Ring[], notes: Set<string>): void {
  for (const ring of rings) {
    const plain = Math.abs(signedArea(ring))
    const covered = regionOf([ring], 'nonzero').reduce((a, p) => a + polygonArea(p), 0)
    if (covered < LIMITS.leastAreaMm2) notes.add('An opening without area was left out.')
    else if (Math.abs(covered - plain) > 0.002 * covered + 0.01)
      notes.add(
        'A path crosses itself; what it encloses was taken by its fill rule. Look at it before you cut.',
      )
  }
}
