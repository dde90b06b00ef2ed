import type { Draft } from '#core/draft'

/** A draft with all that it was: undo and redo without a limit. */
export function useDraftHistory() {
  const past = shallowRef<{ draft: Draft; words: string }[]>([])
  const at = ref(-1)
  const draft = computed<Draft | null>(() => past.value[at.value]?.draft ?? null)
  return {
    draft,
    /** The draft as it was begun. */
    first: computed<Draft | null>(() => past.value[0]?.draft ?? null),
    begin(next: Draft): void {
      past.value = [{ draft: markRaw(next), words: '' }]
      at.value = 0
    },
    put(next: Draft, words: string): void {
      past.value = [...past.value.slice(0, at.value + 1), { draft: markRaw(next), words }]
      at.value++
    },
    undoes: computed(() => (at.value > 0 ? past.value[at.value]!.words : null)),
    redoes: computed(() => past.value[at.value + 1]?.words ?? null),
    undo(): void {
      if (at.value > 0) at.value--
    },
    redo(): void {
      if (at.value < past.value.length - 1) at.value++
    },
  }
}
