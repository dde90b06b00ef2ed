import { toast } from 'vue-sonner'

/** For how long a toast offers to take something back, ms; Ctrl Z does so for longer. */
const OFFERED_MS = 10_000
/** As many things can be taken back by Ctrl Z at most. */
const MOST = 50

/** What was done and can be taken back, the latest last. */
const done = shallowRef<readonly (() => void)[]>([])
/** How many parts of the page have a history of their own, to which Ctrl Z goes there. */
const histories = ref(0)

/** Says what was done, and offers to take it back: by the toast, or by Ctrl Z. */
export function tellUndoable(words: string, undo: () => Promise<unknown>): void {
  const take = () => {
    // Pressed twice, it is taken back once.
    if (!done.value.includes(take)) return
    done.value = done.value.filter(other => other !== take)
    toast.dismiss(told)
    undo().catch((error: unknown) => toast.error(sentencesOf(error).join(' '), { duration: 9000 }))
  }
  done.value = [...done.value, take].slice(-MOST)
  const told = toast(words, { duration: OFFERED_MS, action: { label: 'Undo', onClick: take } })
}

/** Ctrl Z belongs to a history of this part's own as long as it is shown. */
export function ownHistory(): void {
  histories.value++
  onScopeDispose(() => histories.value--)
}

/** Takes back what was done last, where no part of the page has a history of its own; returns whether it did. */
export function undoLast(): boolean {
  const take = histories.value ? undefined : done.value.at(-1)
  take?.()
  return take !== undefined
}
