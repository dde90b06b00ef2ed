import { defineStore } from 'pinia'
import { openingNumbers, paintedOpenings, type SheetStep } from '#core/look'
import { useBench } from './bench'
import { useBrushwork } from './brushwork'

/** What openings are being chosen among: the sheet, those that are chosen, and those that may be. */
export interface Choosing {
  readonly step: SheetStep
  readonly words: string
  readonly chosen: ReadonlySet<number>
  readonly may: ReadonlySet<number>
}

/** Choosing openings on the face: those that a pass dabs, or those that a line goes around. */
export const useChoice = defineStore('choice', () => {
  const bench = useBench()
  const brush = useBrushwork()
  /** Whether none is chosen yet: a pass keeps what it had until the first one is. */
  const emptied = ref(false)
  const now = computed<Choosing | null>(() => {
    const step = bench.selectedSheet
    const i = bench.choosing
    const pass = i === null ? undefined : step?.passes[i]
    if (step && pass) {
      const sheet = bench.world.stencil(step.stencil)
      return sheet
        ? {
            step,
            words: `openings for pass ${i! + 1}`,
            chosen: new Set(emptied.value ? [] : openingNumbers(pass, sheet)),
            may: new Set(sheet.openings.keys()),
          }
        : null
    }
    // Only what is printed can be gone around; none chosen means all of it.
    return brush.choosing && brush.host
      ? {
          step: brush.host.step,
          words: 'openings to outline',
          chosen: new Set(brush.host.openings ?? []),
          may: paintedOpenings(brush.host.step, bench.world)[0]!,
        }
      : null
  })
  watch(
    () => [bench.choosing, bench.selectedId, brush.choosing],
    () => {
      emptied.value = false
    },
  )

  function put(numbers: Iterable<number>): void {
    const at = now.value
    if (!at) return
    const next = [...new Set(numbers)].filter(n => at.may.has(n)).sort((a, b) => a - b)
    if (bench.choosing === null) return brush.chooseOnly(next)
    emptied.value = next.length === 0
    if (next.length) bench.chooseOnly(next)
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
    bench.choosing = null
    brush.choosing = false
  }
  return { now, take, all, none, invert, end }
})
