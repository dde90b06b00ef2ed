/** Something that is looked for by its name, and by other words that people use for it. */
interface Named {
  readonly words: string
  readonly also?: string | undefined
}

/**
 * How well something is named by what was typed: lower is better, null where some part of it is in neither the name
 * nor the other words. A name that begins with it comes before one with a word that does, before one that has it
 * somewhere, before what only the other words say.
 */
function rankOf({ words, also = '' }: Named, parts: readonly string[]): number | null {
  const name = words.toLowerCase()
  const others = also.toLowerCase()
  let rank = 0
  for (const part of parts) {
    const at = name.indexOf(part)
    const begins = at === 0 ? 0 : at > 0 && /[^\p{L}\p{N}]/u.test(name[at - 1]!) ? 1 : at > 0 ? 2 : null
    if (begins === null && !others.includes(part)) return null
    rank += begins ?? 3
  }
  return rank
}

/** Those of a list that are named by what was typed, the best named first; all of it, in its order, for nothing. */
export function bestNamed<T extends Named>(typed: string, list: readonly T[], most = Infinity): T[] {
  const parts = typed.toLowerCase().split(/\s+/).filter(Boolean)
  return list
    .flatMap(item => {
      const rank = rankOf(item, parts)
      return rank === null ? [] : [{ item, rank }]
    })
    .sort((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map(r => r.item)
}
