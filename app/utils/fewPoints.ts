import { distance, pointsOf, ringOf, simplified, tenthPoint, type Point } from '#core/geometry'

/** As many points a drawn shape keeps. */
const MOST = 40
/** Points of a loop that lie closer together than this are one, mm. */
const CLOSE = 0.8

/** A drawn loop with as few points as tell its shape, to a tenth of a millimetre. */
export function fewPoints(loop: readonly Point[]): [number, number][] {
  const apart = loop.filter((p, i) => i === 0 || distance(p, loop[i - 1]!) > 0.05)
  const ring = ringOf(apart)
  let off = CLOSE / 4
  let few = simplified(ring, off)
  while (few.length > 2 * MOST) few = simplified(ring, (off *= 1.4))
  return pointsOf(few.length >= 6 ? few : ring).map(tenthPoint)
}
