import { apart, type Alternative, type Features } from './alternative'

/** As many are shown at a glance. */
export const NINE = 9
/** As many of one sort at most, as long as there are others. */
const MOST_OF_A_SORT = 3
/** How much a choice is worth that is like one that was chosen already. */
const LIKE_ANOTHER = 0.12

/** What is chosen with what in view. */
export interface Choice {
  /** What is there now: the nine are other than it. */
  readonly now: Features | null
  /** Those that were chosen already, the pinned ones first. */
  readonly standing: readonly Alternative[]
  /** Those that the painter keeps: the others are to be like them. */
  readonly pinned: readonly Alternative[]
  /** Keys of those that are not to come: shown before, or like another one once painted. */
  readonly seen: ReadonlySet<string>
}

/**
 * The next alternative: of those that may come, the one whose score times its distance to the nearest of those
 * that stand already is greatest, so that all are good and really different (maximal marginal relevance,
 * Carbonell and Goldstein 1998; the farthest point first, Gonzalez 1985). Pinned ones draw it near them.
 * @returns null when there is none left
 */
export function nextBest(
  list: readonly Alternative[],
  { now, standing, pinned, seen }: Choice,
): Alternative | null {
  const kept = new Set(standing.map(s => s.key))
  const left = list.filter(a => !kept.has(a.key) && !seen.has(a.key))
  const near = ({ features }: Alternative): number =>
    pinned.length ? 1 - Math.min(...pinned.map(p => apart(p.features, features))) : 1
  const others = [...(now ? [now] : []), ...standing.map(s => s.features)]
  const worth = (a: Alternative): number => {
    const far = others.length ? Math.min(...others.map(f => apart(f, a.features))) : 1
    return a.score * near(a) ** 2 * (LIKE_ANOTHER + far)
  }
  const mayCome = ({ sort }: Alternative): boolean =>
    pinned.length > 0 || standing.filter(s => s.sort === sort).length < MOST_OF_A_SORT
  const open = left.some(mayCome) ? left.filter(mayCome) : left
  return open.length ? open.reduce((a, b) => (worth(b) > worth(a) ? b : a)) : null
}
