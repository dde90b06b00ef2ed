import { difference, intersection, union, type Polygon } from '../../geometry'

/** A region that one shape covers, and whether it is cut there or is paper again. */
export interface Mark {
  readonly region: readonly Polygon[]
  readonly paper: boolean
}

/** A file whose paper and cuts take turns more often than this is no drawing of a sheet. */
const MOST_TURNS = 300

/**
 * What is cut of some marks, the later ones lying over the earlier. Throws RangeError with a sentence when paper
 * and cuts take turns too often.
 */
export function cutOf(marks: readonly Mark[]): Polygon[] {
  let region: Polygon[] = []
  let turns = 0
  for (let i = 0; i < marks.length;) {
    const { paper } = marks[i]!
    const same: Polygon[] = []
    while (i < marks.length && marks[i]!.paper === paper) same.push(...marks[i++]!.region)
    // Paper on nothing is the sheet itself.
    if (paper && region.length === 0) continue
    if (++turns > MOST_TURNS)
      throw new RangeError('White and dark shapes lie over one another too often; simplify the drawing.')
    region = paper ? difference(region, union(same)) : union([...region, ...same])
  }
  return region
}

/** Marks as far as they lie in a region. */
export const within = (marks: readonly Mark[], region: readonly Polygon[]): Mark[] =>
  marks.map(({ region: own, paper }) => ({ region: intersection(own, region), paper }))
