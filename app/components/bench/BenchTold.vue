<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'

/** What is told of changes to who does not see them: one message for each. */
const session = useSession()
const analysis = useAnalysis()
const told = ref('')
/** The same words again are told again. */
function tell(words: string): void {
  told.value = words === told.value ? `${words}\u00A0` : words
}

// A save has many states on the screen; it is told once it is done, or when it cannot be.
watch(
  () => session.saver?.state.value,
  (now, before) => {
    if (!before) return
    if (now === 'saved') tell('Saved.')
    if (now === 'failed') {
      const kept = session.saver!.keeps.value
        ? 'Not saved yet; kept on this device.'
        : 'Not saved, and this device has no room to keep it: leave this page open.'
      tell(`${kept} ${session.saver!.problem.value}`)
    }
    if (now === 'conflict') tell('There are two versions of this look.')
  },
)
/** What was undone or done again when the order was looked at last: such a move is told as that. */
let seen = session.went
watch(
  () => session.look?.steps.map(s => s.id),
  (now, before) => {
    const went = session.went !== seen
    seen = session.went
    if (
      went ||
      !now ||
      !before ||
      now.length !== before.length ||
      new Set([...now, ...before]).size !== now.length
    )
      return
    // Of two orders the step that went farthest is the one that was moved; of neighbours, the one in hand.
    const inHand = (document.activeElement as HTMLElement | null)?.dataset.step ?? null
    const far = now
      .map((id, to) => ({ id, to, by: Math.abs(to - before.indexOf(id)) }))
      .sort((a, b) => b.by - a.by || Number(b.id === inHand) - Number(a.id === inHand))[0]
    const step = far?.by ? session.look!.steps[far.to]! : null
    if (step) tell(`${step.label || 'The step'} is now step ${far!.to + 1} of ${now.length}.`)
  },
)
/** What was told of the steps last; edits that follow one another, such as a drag, are told as one. */
const painter = usePainter()
const TOLD_AFTER_MS = 600
let toldOf = session.look
watch(
  () => [session.opened, session.went] as const,
  () => {
    // What was opened, undone or done again is told as that.
    toldOf = session.look
  },
)
watchDebounced(
  () => session.look,
  async now => {
    const before = toldOf
    toldOf = now
    if (!before || !now || before.id !== now.id || before.steps === now.steps) return
    try {
      const sentences = await painter.changes(before, now)
      if (sentences.length) tell(sentences.join(' '))
    } catch (error) {
      if (!(error instanceof GivenUp)) throw error
    }
  },
  { debounce: TOLD_AFTER_MS },
)
watch(
  () => session.went,
  went => went && tell(`${went.back ? 'Undone' : 'Done again'}: ${went.words}.`),
)
/** Problems as they were told last, of the look that is open. */
let known: ReadonlySet<string> | null = null
watch(
  () => session.opened,
  () => {
    known = null
  },
)
watch(
  () => [analysis.findings, analysis.checking] as const,
  ([findings, checking]) => {
    if (checking) return
    const problems = findings.filter(f => f.level === 'problem')
    const keyed = new Map(problems.map(f => [`${f.stepId} ${f.check} ${f.title}`, f.title]))
    const fresh = known && [...keyed].filter(([key]) => !known!.has(key)).map(([, title]) => title)
    if (fresh?.length) tell(`New problem: ${fresh.join('; ')}.`)
    else if (known?.size && !keyed.size) tell('No problems any more.')
    known = new Set(keyed.keys())
  },
)
</script>

<template>
  <p class="sr-only" role="status" data-testid="told">{{ told }}</p>
</template>
