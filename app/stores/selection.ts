import { defineStore } from 'pinia'
import type { Ref } from 'vue'
import { isKind, isMark, type MarkStep, type SheetStep, type Step } from '#core/look'
import type { Point } from '#core/geometry'
import { useSession } from './session'

type Session = ReturnType<typeof useSession>
type Ids = { readonly id: Ref<string | null>; readonly alsoIds: Ref<readonly string[]> }

/** The steps that ids stand for: the one in hand, as what it is, and all of them in the order of painting. */
function stepsOf(session: Session, { id, alsoIds }: Ids) {
  const step = computed<Step | null>(() => session.look?.steps.find(s => s.id === id.value) ?? null)
  const mark = computed<MarkStep | null>(() => (step.value && isMark(step.value) ? step.value : null))
  const sheet = computed<SheetStep | null>(() => (isKind('sheet', step.value) ? step.value : null))
  const steps = computed<Step[]>(
    () => session.look?.steps.filter(s => s.id === id.value || alsoIds.value.includes(s.id)) ?? [],
  )
  const ids = computed<ReadonlySet<string>>(() => new Set(steps.value.map(s => s.id)))
  /** Whether several steps, or brushwork, are held, which move by their handles. */
  const byHandles = computed(() => steps.value.length > 1 || mark.value !== null)
  return { step, mark, sheet, steps, ids, byHandles }
}

/** Ways of selecting. */
function selecting(session: Session, { id, alsoIds }: Ids) {
  /** Selects some steps, the first of them in hand. */
  function take(list: readonly string[]): void {
    id.value = list[0] ?? null
    void nextTick(() => {
      alsoIds.value = list.slice(1)
    })
  }
  /** Adds a step to what is selected, or takes it out again. */
  function also(other: string): void {
    if (id.value === null) id.value = other
    else if (other !== id.value)
      alsoIds.value = alsoIds.value.includes(other)
        ? alsoIds.value.filter(a => a !== other)
        : [...alsoIds.value, other]
  }
  /** Selects every step; the one in hand stays so. */
  function takeAll(): void {
    const all = session.look?.steps.map(s => s.id) ?? []
    const first = id.value ?? all[0]
    if (first) take([first, ...all.filter(a => a !== first)])
  }
  /** Selects all steps of the selected one's arrangement. */
  function takeGroup(): void {
    const { steps } = session.look!
    const group = steps.find(s => s.id === id.value)?.group
    if (group) alsoIds.value = steps.filter(s => s.group === group && s.id !== id.value).map(s => s.id)
  }
  return { take, also, takeAll, takeGroup }
}

/** What of the look is selected, and the spot that is picked on the face. */
export const useSelection = defineStore('selection', () => {
  const session = useSession()
  /** The step in hand. */
  const id = ref<string | null>(null)
  /** Steps that are selected together with the one in hand. */
  const alsoIds = ref<readonly string[]>([])
  /** Which of a twinned pair the hand has: the sheet itself or its unlinked twin. */
  const holdsTwin = ref(false)
  /** A spot picked on the face, where the next sheet goes. */
  const spot = ref<Point | null>(null)
  watch(id, () => {
    alsoIds.value = []
    holdsTwin.value = false
  })
  function letGo(): void {
    id.value = null
    spot.value = null
  }
  watch(() => session.opened, letGo)
  const all = { id, alsoIds }
  return { ...all, holdsTwin, spot, letGo, ...stepsOf(session, all), ...selecting(session, all) }
})
