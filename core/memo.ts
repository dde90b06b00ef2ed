import { LRUCache } from 'lru-cache'

/** Weight of all results that are kept by default; most weigh 1. */
const MOST = 4096

/**
 * Results that are kept so that they need not be worked out again: bounded, and owned by whoever hands it in.
 * The core itself keeps nothing.
 * A key is text, or the object that a result belongs to; no two kinds of results share a key.
 */
export class Memo {
  readonly #kept: LRUCache<string | object, { readonly from: readonly unknown[]; readonly made: unknown }>

  /** @param most weight of what is kept; what is longest unused goes first */
  constructor(most = MOST) {
    this.#kept = new LRUCache({ maxSize: most })
  }

  /**
   * What was made for a key, as long as it was made from the very same things; else it is made anew.
   * @param from what the result depends on besides its key, compared by identity
   * @param weight how much of the memo's room it takes
   */
  recall<T>(key: string | object, from: readonly unknown[], make: () => T, weight = 1): T {
    const found = this.#kept.get(key)
    // The same key is only ever asked for by the one function that makes its result, so the type holds.
    if (found?.from.length === from.length && from.every((v, i) => v === found.from[i]))
      return found.made as T
    const made = make()
    this.#kept.set(key, { from, made }, { size: weight })
    return made
  }
}
