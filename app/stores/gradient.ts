import { defineStore } from 'pinia'
import type { Point } from '#core/geometry'
import { isKind, type Pass, type Step, type Wash } from '#core/look'
import { useSelection } from './selection'
import { useSession } from './session'
import { useScene } from './scene'

/** Along what colours run on the face, with handles at both ends. */
export type HeldAxis = Extract<Wash['axis'], { kind: 'out' | 'line' }>

/** Where the handles of an axis stand: where it begins and where it ends. */
export const endsOf = (axis: HeldAxis): readonly [Point, Point] =>
  axis.kind === 'line' ? [axis.from, axis.to] : [axis.from, [axis.from[0], axis.from[1] - axis.reach]]

/** The axis once one of its handles was moved; the middle of one that runs outward takes its reach along. */
export function withEnd(axis: HeldAxis, end: 0 | 1, at: [number, number]): HeldAxis {
  if (axis.kind === 'line') return end ? { ...axis, to: at } : { ...axis, from: at }
  if (!end) return { ...axis, from: at }
  const reach = Math.hypot(at[0] - axis.from[0], at[1] - axis.from[1])
  return { ...axis, reach: Math.max(1, Math.round(reach * 10) / 10) }
}

const runs = (step: Wash): boolean =>
  step.colours.length > 1 || step.cake !== undefined || step.runsOut !== undefined

/** The gradient of the selected step that can be dragged on the face. */
export const useGradient = defineStore('gradient', () => {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  /** The pass whose gradient is in hand; null when none is. */
  const pass = ref<number | null>(null)
  watch(
    () => selection.id,
    () => {
      pass.value = null
    },
  )
  const axisOf = (step: Step | null): HeldAxis | null => {
    if (isKind('wash', step)) return step.axis.kind !== 'edge' && runs(step) ? step.axis : null
    const own = isKind('sheet', step) && pass.value !== null ? step.passes[pass.value] : undefined
    return own?.axis ?? null
  }
  const now = computed(() => (selection.steps.length === 1 ? axisOf(selection.step) : null))
  function put(axis: HeldAxis): void {
    session.edit('where the colours run', draft => {
      const step = draft.steps.find(s => s.id === selection.id)
      if (isKind('wash', step)) step.axis = axis
      const own = isKind('sheet', step) && pass.value !== null ? step.passes[pass.value] : undefined
      if (own) own.axis = axis
    })
  }
  /** Lets the colours of a pass be dragged on the face, from where they would lie; or lets them lie as they did. */
  function byHand(n: number, own: Pass): void {
    const { sheet } = selection
    if (!sheet) return
    const on = own.axis === undefined
    session.edit('where the colours run', draft => {
      const step = draft.steps.find(s => s.id === sheet.id)
      const changed = isKind('sheet', step) ? step.passes[n] : undefined
      if (!changed) return
      if (!on) delete changed.axis
      else changed.axis = usualAxis(scene.world.stencil(sheet.stencil)?.height ?? 40, sheet.at)
    })
    pass.value = on ? n : null
  }
  return { pass, now, put, byHand }
})

/** A gradient down a sheet where it lies. */
const usualAxis = (height: number, [x, y]: [number, number]): HeldAxis => ({
  kind: 'line',
  from: [x, Math.round(y - height / 3)],
  to: [x, Math.round(y + height / 3)],
})
