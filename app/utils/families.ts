import type { LookCardData } from '~~/server/utils/cards'

/** A look with its other tries. */
export interface CardFamily {
  readonly head: LookCardData
  /** The others, by their letters. */
  readonly tries: readonly LookCardData[]
}

/** Cards by their families; of each the one that is kept stands for all, else the first by letter. */
export function inFamilies(cards: readonly LookCardData[]): CardFamily[] {
  const found = new Map<string, LookCardData[]>()
  for (const card of cards) found.set(card.family, [...(found.get(card.family) ?? []), card])
  return [...found.values()].map(list => {
    const byLetter = [...list].sort((a, b) => a.letter.localeCompare(b.letter))
    const head = byLetter.find(c => c.kept) ?? byLetter[0]!
    return { head, tries: byLetter.filter(c => c !== head) }
  })
}
