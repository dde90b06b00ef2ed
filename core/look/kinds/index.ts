import type { z } from 'zod'
import type { StepKind } from './kind'
import { dotsKind } from './dots'
import { gemKind } from './gem'
import { glitterKind } from './glitter'
import { lineKind } from './line'
import { lipsKind } from './lips'
import { sheetKind } from './sheet'
import { washKind } from './wash'

/** Every kind of step: adding one is a file and a line here. */
export const KINDS = {
  wash: washKind,
  sheet: sheetKind,
  line: lineKind,
  dots: dotsKind,
  gem: gemKind,
  glitter: glitterKind,
  lips: lipsKind,
}

export type KindName = keyof typeof KINDS
export type Step = { [K in KindName]: z.infer<(typeof KINDS)[K]['schema']> }[KindName]

/** The kind of a step, typed for that step. */
export function kindOf<S extends Step>(step: S): StepKind<S> {
  return KINDS[step.kind] as unknown as StepKind<S>
}

export * from './kind'
export * from './wash'
export * from './sheet'
export * from './flakes'
export * from './line'
export * from './dots'
export * from './gem'
export * from './glitter'
export * from './lips'

/** Steps that lie on the skin by handles of their own. */
export type MarkStep = Extract<Step, { points: unknown }>
export const isMark = (step: Step): step is MarkStep => 'points' in step
