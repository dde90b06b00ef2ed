import { computed, ref, type ComputedRef } from 'vue'

/** What is asked again and again, and whether the answer that stands there is to the last question. */
export interface Asked {
  /** The answer that stands there is of before: it is dimmed, and cannot be taken. */
  readonly old: ComputedRef<boolean>
  /** Begins to ask; returns the number of the question. */
  readonly ask: () => number
  /** The answer to a question has come. */
  readonly answer: (question: number) => void
}

/** Tells old answers from those to the last question, so that old results never look new. */
export function useAsked(): Asked {
  const asked = ref(0)
  const answered = ref(0)
  return {
    old: computed(() => answered.value !== asked.value),
    ask: () => ++asked.value,
    answer: question => {
      answered.value = Math.max(answered.value, question)
    },
  }
}
