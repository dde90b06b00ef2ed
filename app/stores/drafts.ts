import { nanoid } from 'nanoid'
import type { Look } from '#core/look'

/** A look that has not reached the server yet, kept on this device: from which version it was made, and when, ms. */
export interface Draft {
  readonly look: Look
  readonly base: number
  readonly at: number
}

/** This page, until it is closed or loaded anew. */
const PAGE = nanoid(8)
const PREFIX = 'janusform-draft-'
const lockOf = (page: string) => `janusform-page-${page}`
const keyOf = (id: string, page: string) => `${PREFIX}${id}~${page}`

/** Held for as long as this page lives, so that another knows whose drafts are left behind. */
const holding =
  typeof navigator === 'undefined' || !('locks' in navigator)
    ? null
    : navigator.locks.request(lockOf(PAGE), () => new Promise<void>(() => {}))
holding?.catch(() => {})

/** Keeps a draft of this page. Throws when the device has no room. */
export const keepDraft = (draft: Draft): void =>
  localStorage.setItem(keyOf(draft.look.id, PAGE), JSON.stringify(draft))

/** Drops this page's draft of a look, and no other's. */
export const dropDraft = (id: string): void => localStorage.removeItem(keyOf(id, PAGE))

function draftIn(text: string | null): Draft | null {
  try {
    const draft = JSON.parse(text ?? 'null') as Partial<Draft> | null
    return draft?.look && typeof draft.base === 'number'
      ? { look: draft.look, base: draft.base, at: draft.at ?? 0 }
      : null
  } catch {
    return null
  }
}

/** This page's draft of a look. */
export const readDraft = (id: string): Draft | null => draftIn(localStorage.getItem(keyOf(id, PAGE)))

/** Pages that are open now. */
async function openPages(): Promise<ReadonlySet<string>> {
  if (typeof navigator === 'undefined' || !('locks' in navigator)) return new Set()
  const { held } = await navigator.locks.query()
  return new Set(held?.flatMap(l => l.name ?? []))
}

/** A draft that a page has left behind. */
export interface LeftDraft extends Draft {
  /** Drops it for good: once it is on the server, or kept by this page. */
  readonly drop: () => void
}

/** The drafts of a look whose pages are closed, the newest first. */
export async function draftsLeft(id: string): Promise<LeftDraft[]> {
  const open = await openPages().catch(() => new Set<string>())
  const all = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '')
  return all
    .filter(key => key === `${PREFIX}${id}` || key.startsWith(keyOf(id, '')))
    .filter(key => key !== keyOf(id, PAGE) && !open.has(lockOf(key.split('~')[1] ?? '')))
    .flatMap(key => {
      const draft = draftIn(localStorage.getItem(key))
      return draft ? [{ ...draft, drop: () => localStorage.removeItem(key) }] : []
    })
    .sort((a, b) => b.at - a.at)
}
