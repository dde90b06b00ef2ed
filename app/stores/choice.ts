import { defineStore } from 'pinia'
import { dabOnly, goAroundOnly, isKind, openingNumbers, paintedOpenings, type SheetStep } from '#core/look'
import { useScene } from './scene'
import { useSelection } from './selection'
import { useSession } from './session'

/** What openings are being chosen among: the sheet, those that are chosen, and those that may be. */
export interface Choosing {
  readonly step: SheetStep
  readonly words: string
  readonly chosen: ReadonlySet<number>
  readonly may: ReadonlySet<number>
}

/** Choosing openings on the face: those that a pass dabs, or those that a line goes around. */
export const useChoice = defineStore('choice', () => {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  /** The pass whose openings are being chosen; null when none is. */
  const pass = ref<number | null>(null)
  /** Whether those are being chosen around which the selected line goes. */
  const around = ref(false)
  /** Whether none is chosen yet: a pass keeps what it had until the first one is. */
  const emptied = ref(false)
  watch(
    () => selection.id,
    () => {
      pass.value = null
      around.value = false
    },
  )
  watch([pass, around, () => selection.id], () => {
    emptied.value = false
  })

  /** The stencil step around whose openings the selected line goes, and which of them. */
  const host = computed(() => {
    const { mark } = selection
    const of = mark && 'of' in mark ? mark.of : null
    if (of?.use !== 'step') return null
    const step = session.look!.steps.find(s => s.id === of.step)
    return isKind('sheet', step) ? { step, openings: of.openings } : null
  })
  const forPass = computed<Choosing | null>(() => {
    const step = selection.sheet
    const own = pass.value === null ? undefined : step?.passes[pass.value]
    const sheet = step && own && scene.world.stencil(step.stencil)
    if (!step || !own || !sheet) return null
    return {
      step,
      words: `openings for pass ${pass.value! + 1}`,
      chosen: new Set(emptied.value ? [] : openingNumbers(own, sheet)),
      may: new Set(sheet.openings.keys()),
    }
  })
  // Only what is printed can be gone around; none chosen means all of it.
  const forLine = computed<Choosing | null>(() =>
    around.value && host.value
      ? {
          step: host.value.step,
          words: 'openings to outline',
          chosen: new Set(host.value.openings ?? []),
          may: paintedOpenings(host.value.step, scene.world)[0]!,
        }
      : null,
  )
  const now = computed(() => forPass.value ?? forLine.value)

  function put(numbers: Iterable<number>): void {
    const at = now.value
    const id = selection.id
    if (!at || id === null) return
    const next = [...new Set(numbers)].filter(n => at.may.has(n)).sort((a, b) => a - b)
    const merge = `choose-${id}`
    if (pass.value === null) return void session.edit('choose openings', goAroundOnly(id, next), merge)
    emptied.value = next.length === 0
    const sheet = scene.world.stencil(at.step.stencil)
    if (next.length && sheet) session.edit('choose openings', dabOnly(id, pass.value, next, sheet), merge)
  }
  /** Takes some openings in, or out. */
  function take(numbers: Iterable<number>, into: boolean): void {
    const next = new Set(now.value?.chosen ?? [])
    for (const n of numbers) {
      if (into) next.add(n)
      else next.delete(n)
    }
    put(next)
  }
  const all = () => put(now.value?.may ?? [])
  const none = () => put([])
  const invert = () => put([...(now.value?.may ?? [])].filter(n => !now.value!.chosen.has(n)))
  function end(): void {
    pass.value = null
    around.value = false
  }
  return { pass, around, host, now, take, all, none, invert, end }
})
