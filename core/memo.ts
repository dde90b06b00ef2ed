import { LRUCache } from 'lru-cache'

/** As many results are kept by default. */
const MOST = 512

/**
 * Results that are kept so that they need not be worked out again: bounded, and owned by whoever hands it in. The core itself keeps nothing.
 * A key is text or the object that a result belongs to.
 */
export class Memo {
  readonly #kept: LRUCache<string | object, { readonly from: readonly unknown[]; readonly made: unknown }>

  /** @param most as many results are kept; the one longest unused goes first */
  constructor(most = MOST) {
    this.#kept = new LRUCache({ max: most })
  }

  /**
   * What was made for a key, as long as it was made from the very same things; else it is made anew.
   * @param from what the result depends on besides its key, compared by identity
   */
  recall<T>(key: string | object, from: readonly unknown[], make: () => T): T {
    const found = this.#kept.get(key)
    // The same key is only ever asked for by the one function that makes its result, so the type holds.
    if (found?.from.length === from.length && from.every((v, i) => v === found.from[i]))
      return found.made as T
    const made = make()
    this.#kept.set(key, { from, made })
    return made
  }
}
