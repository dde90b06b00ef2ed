import { defineStore } from 'pinia'
import { dabbedOpenings, dabOnly, goAroundOnly, isKind, openingNumbers, type SheetStep } from '#core/look'
import { distance, polygonArea, ringCentroid } from '#core/geometry'
import { motifsOf, type PreparedSheet } from '#core/stencil'
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

type Scene = ReturnType<typeof useScene>

/** Choosing openings for a pass of a sheet; `emptied` when none is chosen yet. */
function choosingFor(step: SheetStep | null, pass: number | null, emptied: boolean, { world }: Scene) {
  const own = pass === null ? undefined : step?.passes[pass]
  const sheet = step && own && world.stencil(step.stencil)
  if (!step || !own || !sheet) return null
  return {
    step,
    words: `openings for layer ${pass! + 1}`,
    chosen: new Set(emptied ? [] : openingNumbers(own, sheet)),
    may: new Set(sheet.openings.keys()),
  } satisfies Choosing
}

/** A stencil step that others go around, and which of its openings; null for all that it prints. */
export interface AroundSheet {
  readonly step: SheetStep
  readonly openings: readonly number[] | null
}

/**
 * Choosing the openings that a line goes around: only what is printed can be; none chosen means all of it.
 */
const choosingAround = ({ step, openings }: AroundSheet, { world }: Scene): Choosing => ({
  step,
  words: 'openings to outline',
  chosen: new Set(openings ?? []),
  may: dabbedOpenings(step, world),
})

/** Openings in the order of a way that goes from each to the nearest next, from the leftmost on. */
function oneAfterAnother(numbers: readonly number[], { openings }: PreparedSheet): number[] {
  const middle = (n: number) => ringCentroid(openings[n]!.outer)
  const left = [...numbers].sort((a, b) => middle(a)[0] - middle(b)[0])
  const way = left.splice(0, 1)
  while (left.length) {
    const from = middle(way.at(-1)!)
    const next = left.reduce((best, n) =>
      distance(middle(n), from) < distance(middle(best), from) ? n : best,
    )
    way.push(...left.splice(left.indexOf(next), 1))
  }
  return way
}

/** Ways of choosing some openings among others. */
function picking(now: () => Choosing | null, scene: Scene, put: (numbers: Iterable<number>) => void) {
  /** Takes some openings in, or out. */
  function take(numbers: Iterable<number>, into: boolean): void {
    const own = now()?.chosen ?? new Set<number>()
    const next = new Set(numbers)
    put(into ? [...own, ...next] : [...own].filter(n => !next.has(n)))
  }
  const all = () => put(now()?.may ?? [])
  const none = () => put([])
  const invert = () => put([...(now()?.may ?? [])].filter(n => !now()!.chosen.has(n)))
  /** Every second one of those that are chosen, along the way from one to the nearest next. */
  function everyOther(): void {
    const at = now()
    const sheet = at && scene.world.stencil(at.step.stencil)
    if (!at || !sheet) return
    put(oneAfterAnother([...(at.chosen.size ? at.chosen : at.may)], sheet).filter((_, i) => i % 2 === 0))
  }
  /** Half of those that are chosen, large and small ones mixed. */
  function mixedSizes(): void {
    const at = now()
    const sheet = at && scene.world.stencil(at.step.stencil)
    if (!at || !sheet) return
    const area = (n: number) => polygonArea(sheet.openings[n]!)
    const bySize = [...(at.chosen.size ? at.chosen : at.may)].sort((a, b) => area(b) - area(a))
    put(bySize.filter((_, i) => i % 2 === 0))
  }
  /** The openings that make up one motif with an opening, and no others. */
  function onlyMotif(n: number): void {
    const at = now()
    const sheet = at && scene.world.stencil(at.step.stencil)
    const motif = sheet && motifsOf(sheet).find(list => list.includes(n))
    if (motif) put(motif)
  }
  return { take, all, none, invert, everyOther, mixedSizes, onlyMotif }
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
  /** Whether a press takes a whole motif, and only that. */
  const motif = ref(false)
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

  /** What the selected line goes around, when that is a stencil. */
  const host = computed<AroundSheet | null>(() => {
    const { mark } = selection
    const of = mark && 'of' in mark ? mark.of : null
    const step = of?.use === 'step' ? session.look!.steps.find(s => s.id === of.step) : undefined
    return of?.use === 'step' && isKind('sheet', step) ? { step, openings: of.openings } : null
  })
  const now = computed<Choosing | null>(
    () =>
      choosingFor(selection.sheet, pass.value, emptied.value, scene) ??
      (around.value && host.value ? choosingAround(host.value, scene) : null),
  )

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
  function end(): void {
    motif.value = false
    pass.value = null
    around.value = false
  }
  return { pass, around, motif, host, now, end, ...picking(() => now.value, scene, put) }
})
