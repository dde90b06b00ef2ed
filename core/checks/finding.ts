import { isKind, kindOf } from '../look'
import type {
  Beneath,
  Cover,
  KindName,
  Look,
  PaintPlace,
  SheetStep,
  Shows,
  Step,
  StepOf,
  World,
} from '../look'
import type { Paint } from '../paint'
import type { PreparedSheet } from '../stencil'
import type { Regions } from './regions'

export type Level = 'problem' | 'warning' | 'tip'

/**
 * A change that one press makes: fields of the step set anew, by their path, steps that come right after it,
 * and where the step goes: out of the look, or behind another.
 */
export interface Fix {
  readonly words: string
  readonly sets: readonly { readonly path: readonly (string | number)[]; readonly to: unknown }[]
  readonly adds?: readonly Step[]
  readonly goes?: 'out' | { readonly behind: string }
}

/** Takes the step out of the look. */
export const LEAVE_OUT: Fix = { words: 'Take this step out', sets: [], goes: 'out' }

/**
 * Something that a painter would want to know of a step before painting it; of the whole sitting when it
 * names no step.
 */
export interface Finding {
  readonly check: string
  readonly stepId: string | null
  readonly level: Level
  readonly title: string
  readonly why: string
  readonly fix: Fix | null
}

/** Everything that the checks look at. */
export interface Case {
  readonly look: Look
  readonly step: Step
  readonly index: number
  readonly world: World
  readonly kit: readonly Paint[]
  readonly under: Beneath
  /** What the step covers, its twin too. */
  readonly cover: Cover
  /** The places of the face about which there are cautions. */
  readonly regions: Regions
  /** How the step shows, when its picture has been painted. */
  readonly shows: Shows | undefined
  /** Today, ISO 8601. */
  readonly today: string
}

/** A check of stencil steps with their sheet. */
export type SheetCase = Case & { readonly step: SheetStep; readonly sheet: PreparedSheet }

/** A check looks at one step and says what it finds. */
export type Found = Omit<Finding, 'check' | 'stepId'>
export type Check = (at: Case) => Found[]

/** A check that only concerns steps of one kind. */
export const ofOneKind =
  <K extends KindName>(
    kind: K,
    check: (at: Case & { readonly step: StepOf<K> }) => ReturnType<Check>,
  ): Check =>
  at =>
    // The union of all kinds is too large for TypeScript to narrow through a parameter.
    isKind(kind, at.step) ? check(at as Case & { readonly step: StepOf<K> }) : []

/** A check that only concerns stencils whose sheet is at hand. */
export const ofSheets = (check: (at: SheetCase) => ReturnType<Check>): Check =>
  ofOneKind('sheet', at => {
    const sheet = at.world.stencil(at.step.stencil)
    return sheet ? check({ ...at, sheet }) : []
  })

/** One place of a step where a paint is named, with the paint as the kit knows it. */
export interface KitPlace extends PaintPlace {
  readonly paint: Paint | undefined
  /** The strips of a cake that are taken up, by number; null for all of it. */
  readonly strips: readonly number[] | null
}

/** Where in a step each of its paints is named, split cakes too. */
export const paintPlaces = (step: Step, { paint }: World): KitPlace[] =>
  kindOf(step)
    .paintPlaces(step)
    .map(place => ({ ...place, paint: paint(place.ref.id), strips: chosenStrips(step, place) }))

/** The strips that the load takes up in which a paint is named: all of a cake where it may choose and did not. */
function chosenStrips(step: Step, { path, ref }: PaintPlace): readonly number[] | null {
  const load: unknown = path.slice(0, -1).reduce<unknown>((at, key) => Reflect.get(Object(at), key), step)
  const strips: unknown = Reflect.get(Object(load), 'strips')
  if (Array.isArray(strips)) return strips as number[]
  return strips === null && 'strips' in ref ? ref.strips.map((_, n) => n) : null
}

export const mm = (v: number): string => `${v.toFixed(1)} mm`
