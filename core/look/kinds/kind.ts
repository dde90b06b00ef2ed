import type { z } from 'zod'
import type { Point, Ring } from '../../geometry'
import type { LinearRgb, ToolId } from '../../paint'
import type { Landmarks } from '../../skin'
import type { Stencil } from '../../stencil'

/** What a look is read against: the face, and the sheets it names. */
export interface World {
  readonly face: Landmarks
  readonly stencil: (id: string) => Stencil | undefined
  /** The kit's present colour of a paint, hex; undefined when the kit has it no more. */
  readonly paintColour: (id: string) => string | undefined
}

/** One film of paint on the skin. */
export interface Print {
  /** Where, in the skin frame (mm); holes run the other way round. */
  readonly rings: readonly Ring[]
  /** Colours in linear light, first to last along the axis. */
  readonly colours: readonly LinearRgb[]
  readonly axis: Axis | null
  /** Share of what lies beneath that the film covers, 0 to 1. */
  readonly opacity: number
  /** Standard deviation of the edge, mm. */
  readonly softness: number
  /** How grainy the tool leaves it, 0 to 1. */
  readonly grain: number
}

/** Along what several colours follow one another: out from a point to a distance, or along a line (mm). */
export type Axis = { readonly kind: 'out', readonly from: Point, readonly reach: number } | { readonly kind: 'line', readonly from: Point, readonly to: Point }

/** A sheet lying on the skin while a step is painted. */
export interface SheetOutline { readonly stepId: string, readonly twin: boolean, readonly ring: Ring, readonly openings: readonly Ring[] }

/** One line of a step sheet. */
export interface CardLine { readonly label: string, readonly text: string, readonly estimate?: boolean }

/** How the step card shows a field: `control` names the control, `path` the value in the step. */
export interface Field { readonly control: 'zones' | 'paints' | 'axis' | 'tool' | 'wetness' | 'dabs' | 'switch' | 'placement' | 'twin' | 'passes', readonly path: string, readonly label: string }

/** Seconds of a pair of hands, from the table of common practice. */
export interface Effort { readonly seconds: number, readonly loads: number }

/**
 * Everything the application knows about one kind of step. A new kind is one file that makes one of these, and one line in the table of kinds:
 * schema, printing, card text and step card all follow from it.
 */
export interface StepKind<S extends { kind: string }> {
  readonly kind: S['kind']
  readonly words: string
  readonly schema: z.ZodType<S>
  /** Ids of the sheets that the step needs. */
  readonly sheets: (step: S) => string[]
  /** Ids of the paints that it uses. */
  readonly paints: (step: S) => { id: string, name: string, colour: string }[]
  /** The films that it lays, from the skin up. */
  readonly prints: (step: S, world: World) => Print[]
  readonly outlines: (step: S, world: World) => SheetOutline[]
  readonly lines: (step: S, world: World) => CardLine[]
  readonly effort: (step: S, world: World) => Effort
  readonly fields: readonly Field[]
  /** The point that stands for the step on the face, mm; null when it covers a region. */
  readonly anchor: (step: S) => Point | null
  /** The tool in the hand, for counting tool changes. */
  readonly tool: (step: S) => ToolId | null
}
