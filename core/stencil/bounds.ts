import Flatbush from 'flatbush'
import type { Ring } from '../geometry'
import { LIMITS } from './assemble'

/** Pairs of straight pieces that are compared in one file at most; a sheet of 2,000 dots needs 100,000. */
const MOST_TESTS = 6_000_000
/** Crossings of straight pieces in one file at most; what clipping makes of them grows with their number. */
const MOST_CROSSINGS = 6_000

const TANGLED =
  'The shapes of the file lie over or across one another in too many places. Unite them where they were drawn, and try again.'

/** Counts how often the outlines of one file cross one another, before anything is clipped. */
export class Crossings {
  private tests = 0
  private found = 0

  /** Looks at some outlines together. Throws RangeError with a sentence when there is too much to clip. */
  among(rings: readonly Ring[]): void {
    const count = rings.reduce((n, r) => n + r.length / 2, 0)
    // A triangle or a rectangle alone has nothing to cross.
    if (count <= 4) return
    const pieces = new Float64Array(4 * count)
    const index = new Flatbush(count)
    let k = 0
    for (const ring of rings)
      for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2, k += 4) {
        pieces.set([ring[j]!, ring[j + 1]!, ring[i]!, ring[i + 1]!], k)
        index.add(
          Math.min(ring[j]!, ring[i]!),
          Math.min(ring[j + 1]!, ring[i + 1]!),
          Math.max(ring[j]!, ring[i]!),
          Math.max(ring[j + 1]!, ring[i + 1]!),
        )
      }
    index.finish()
    for (let i = 0; i < count; i++) this.compare(pieces, index, i)
  }

  private compare(p: Float64Array, index: Flatbush, i: number): void {
    const a = 4 * i
    const near = index.search(
      Math.min(p[a]!, p[a + 2]!),
      Math.min(p[a + 1]!, p[a + 3]!),
      Math.max(p[a]!, p[a + 2]!),
      Math.max(p[a + 1]!, p[a + 3]!),
    )
    this.tests += near.length
    for (const j of near) if (j > i && cross(p, a, 4 * j)) this.found++
    if (this.tests > MOST_TESTS || this.found > MOST_CROSSINGS) throw new RangeError(TANGLED)
  }
}

/** To which side of the straight piece at `a` the point at `k` lies, by its sign. */
const side = (p: Float64Array, a: number, k: number): number =>
  (p[a + 2]! - p[a]!) * (p[k + 1]! - p[a + 1]!) - (p[a + 3]! - p[a + 1]!) * (p[k]! - p[a]!)

/** Whether two straight pieces cross, other than at an end. */
const cross = (p: Float64Array, a: number, b: number): boolean =>
  side(p, a, b) * side(p, a, b + 2) < 0 && side(p, b, a) * side(p, b, a + 2) < 0

/** Work that may be done for one file: whoever does some says so, and is stopped when it becomes too much. */
export class Budget {
  constructor(
    private left: number,
    private readonly sentence: string,
  ) {}

  /** Throws RangeError with the sentence when nothing is left. */
  spend(work: number): void {
    this.left -= work
    if (this.left < 0) throw new RangeError(this.sentence)
  }
}

/** What may be spent on measuring one sheet, in pairs of pieces compared: some seconds for the finest. */
export const measuringBudget = (): Budget =>
  new Budget(
    30_000_000,
    'The outlines of this stencil are too fine to be measured: they have too many points close together. Simplify them, and import the stencil again.',
  )

/** Throws RangeError with a sentence when a file has more points than a sheet may have. */
export function checkPoints(points: number): void {
  if (points > LIMITS.points)
    throw new RangeError(
      `The file has more than ${LIMITS.points.toLocaleString('en')} points; simplify its curves and try again.`,
    )
}

/** Throws RangeError with a sentence when a file draws more shapes than a sheet may have. */
export function checkShapes(shapes: number): void {
  if (shapes > LIMITS.shapes)
    throw new RangeError(
      `The file draws more than ${LIMITS.shapes.toLocaleString('en')} shapes; a stencil holds no more. Leave some out, and try again.`,
    )
}
