import type { Point } from '../../../core/geometry'
import {
  NO_TWIN,
  freshAround,
  freshDots,
  freshPull,
  freshRework,
  type DotsStep,
  type LineStep,
  type Pull,
  type Rework,
  type Step,
  type TwinRule,
} from '../../../core/look'
import type { Ground } from '../../../core/skin'
import { cake, ref } from '../kit'

/** Makers of what hands do with sponges, and of what follows things, for the menu's looks. */
export function sponging(id: () => string, ground: Ground) {
  const twin = (rule: TwinRule) => ({ ...NO_TWIN, rule, own: null })
  const tenths = (list: readonly Point[]): [number, number][] =>
    list.map(([x, y]) => [Math.round(x * 10) / 10, Math.round(y * 10) / 10])
  return {
    pull(
      label: string,
      manner: Pull['manner'],
      points: readonly Point[],
      of: string,
      { rule = 'features', ...more }: Partial<Omit<Pull, 'twin'>> & { rule?: TwinRule } = {},
    ): Pull {
      const load: Pull['load'] = { kind: 'cake', cake: cake(of), strips: null }
      const fresh = freshPull(id(), manner, points[0]!, load, ground, [0, 0])
      return { ...fresh, label, points: tenths(points), twin: twin(rule), dabs: 3, ...more }
    },
    rework(label: string, act: Rework['act'], over: readonly Step[], more: Partial<Rework> = {}): Rework {
      const area = more.area ?? 'rim'
      return {
        ...freshRework(
          id(),
          act,
          area,
          [0, 0],
          over.map(s => s.id),
          ground,
        ),
        label,
        ...more,
      }
    },
    lights(label: string, of: Step, paint: string, params: Record<string, number> = {}): LineStep {
      const fresh = freshAround(id(), 'highlight', { use: 'step', step: of.id, openings: null }, ref(paint))
      return { ...fresh, label, params: { ...fresh.params, ...params } }
    },
    /** A jagged outline about a part of each print of a step. */
    half(
      label: string,
      of: Step,
      paint: string,
      params: Record<string, number> = {},
      openings: number[] | null = null,
    ): LineStep {
      const fresh = freshAround(id(), 'halfOutline', { use: 'step', step: of.id, openings }, ref(paint))
      return { ...fresh, label, params: { ...fresh.params, ...params } }
    },
    /** An outline about all that some steps print. */
    round(label: string, of: Step, paint: string, params: Record<string, number> = {}): LineStep {
      const fresh = freshAround(id(), 'outline', { use: 'step', step: of.id, openings: null }, ref(paint))
      return { ...fresh, label, params: { ...fresh.params, ...params } }
    },
    onEach(
      label: string,
      run: 'each' | 'ends',
      of: Step,
      paint: string,
      params: Record<string, number> = {},
    ): DotsStep {
      const source = { use: 'step' as const, step: of.id, openings: null }
      const fresh = freshDots(id(), run, [0, 0], source, ref(paint), ground, [0, 0])
      return { ...fresh, label, params: { ...fresh.params, ...params } }
    },
  }
}
