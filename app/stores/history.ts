import { Refused } from '#core/look'
import { applyPatches, enablePatches, produceWithPatches, type Draft, type Patch } from 'immer'
import { plain } from '../utils/plain'

enablePatches()

interface Entry {
  label: string
  forth: Patch[]
  back: Patch[]
  merge: string | null
  at: number
}

/** Edits of the same kind that follow within this time are undone together, ms. */
const MERGE_MS = 900

/**
 * Undo and redo of an immutable document by patches, without limit. What enters the document is plain data
 * and has been checked.
 */
export class History<T extends object> {
  private done: Entry[] = []
  private undone: Entry[] = []
  present: T

  /** @param problemOf what is wrong with a document, as a sentence; null when nothing is */
  constructor(
    present: T,
    private readonly problemOf: (next: T) => string | null = () => null,
  ) {
    this.present = plain(present)
  }

  get canUndo(): boolean {
    return this.done.length > 0
  }
  get canRedo(): boolean {
    return this.undone.length > 0
  }
  get undoLabel(): string {
    return this.done.at(-1)?.label ?? ''
  }
  get redoLabel(): string {
    return this.undone.at(-1)?.label ?? ''
  }

  /**
   * Changes the document; returns whether anything changed. Edits with the same `merge` key in quick
   * succession become one.
   * Throws Refused, with the document as it was, when something would be wrong with the new one.
   */
  edit(
    label: string,
    recipe: (draft: Draft<T>) => void,
    merge: string | null = null,
    at = Date.now(),
  ): boolean {
    const [made, patches, back] = produceWithPatches(this.present, draft => void recipe(draft))
    if (patches.length === 0) return false
    const next = plain(made)
    const forth = patches.map(p => ('value' in p ? { ...p, value: plain(p.value as unknown) } : p))
    const problem = this.problemOf(next)
    // A document that was wrong already, as an old draft may be, must still be mendable.
    if (problem !== null && this.problemOf(this.present) === null) throw new Refused(problem)
    this.present = next
    this.undone = []
    const last = this.done.at(-1)
    if (last && merge !== null && last.merge === merge && at - last.at < MERGE_MS) {
      last.forth = [...last.forth, ...forth]
      last.back = [...back, ...last.back]
      last.at = at
    } else {
      this.done.push({ label, forth, back, merge, at })
    }
    return true
  }

  undo(): string | null {
    const entry = this.done.pop()
    if (!entry) return null
    this.present = plain(applyPatches(this.present, entry.back))
    this.undone.push(entry)
    return entry.label
  }

  redo(): string | null {
    const entry = this.undone.pop()
    if (!entry) return null
    this.present = plain(applyPatches(this.present, entry.forth))
    this.done.push({ ...entry, merge: null })
    return entry.label
  }
}
