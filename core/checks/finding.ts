import { kindOf, type Look, type PaintRef, type SheetStep, type Shows, type Step, type Under, type World } from '../look'
import type { Paint } from '../paint'
import type { Stencil } from '../stencil'

export type Level = 'stop' | 'care' | 'tip'

/** A change that one press makes: fields of the step set anew, by their path, steps that come right after it, and where the step goes: out of the look, or behind another. */
export interface Fix { readonly words: string, readonly sets: readonly { readonly path: readonly (string | number)[], readonly to: unknown }[], readonly adds?: readonly Step[], readonly goes?: 'out' | { readonly behind: string } }

/** Takes the step out of the look. */
export const LEAVE_OUT: Fix = { words: 'Take this step out', sets: [], goes: 'out' }

/** Something that a painter would want to know of a step before painting it; of the whole sitting when it names no step. */
export interface Finding { readonly check: string, readonly stepId: string | null, readonly level: Level, readonly title: string, readonly why: string, readonly fix: Fix | null }

/** Everything that the checks look at. */
export interface Case {
  readonly look: Look
  readonly step: Step
  readonly index: number
  readonly world: World
  readonly kit: readonly Paint[]
  readonly under: Under
  /** How the step shows, when its picture has been painted. */
  readonly shows: Shows | undefined
  /** Today, ISO 8601. */
  readonly today: string
}

/** A check of stencil steps with their sheet. */
export type SheetCase = Case & { readonly step: SheetStep, readonly sheet: Stencil }

/** A check looks at one step and says what it finds. */
export type Check = (at: Case) => Omit<Finding, 'check' | 'stepId'>[]

/** A check that only concerns stencils whose sheet is at hand. */
export const ofSheets = (check: (at: SheetCase) => ReturnType<Check>): Check => (at) => {
  const sheet = at.step.kind === 'sheet' ? at.world.stencil(at.step.stencil) : undefined
  return sheet ? check({ ...at, step: at.step as SheetStep, sheet }) : []
}

/** Where in a step each of its paints is named, with the paint as the kit knows it. */
export function paintPlaces(step: Step, world: World): { path: (string | number)[], ref: PaintRef, paint: Paint | undefined }[] {
  return kindOf(step).paintPaths(step).map((path) => {
    const ref = path.reduce<unknown>((at, key) => (at as Record<string | number, unknown>)[key], step) as PaintRef
    return { path, ref, paint: world.paint(ref.id) }
  })
}

export const refOf = ({ id, name, colour }: Paint): PaintRef => ({ id, name, colour })
export const mm = (v: number): string => `${v.toFixed(1)} mm`
