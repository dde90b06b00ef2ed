import type { z } from 'zod'
import type { StepKind } from './kind'
import { sheetKind } from './sheet'
import { washKind } from './wash'

/** Every kind of step: adding one is a file and a line here. */
export const KINDS = { wash: washKind, sheet: sheetKind }

export type KindName = keyof typeof KINDS
export type Step = { [K in KindName]: z.infer<typeof KINDS[K]['schema']> }[KindName]

/** The kind of a step, typed for that step. */
export function kindOf<S extends Step>(step: S): StepKind<S> {
  return KINDS[step.kind] as unknown as StepKind<S>
}

export * from './kind'
export * from './wash'
export * from './sheet'
