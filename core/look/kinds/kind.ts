import type { z } from 'zod'
import { clockwise, difference, regionOf, ringsOf, type Box, type Point, type Ring } from '../../geometry'
import {
  EDGE_SPREAD,
  TOOLS,
  type Finish,
  type GroundState,
  type LinearRgb,
  type Optics,
  type Paint,
  type Tool,
  type ToolId,
  type Wetness,
} from '../../paint'
import type { Ground } from '../../skin'
import type { Stencil } from '../../stencil'

/** What a look is read against: what it is painted on, and the sheets it names. */
export interface World {
  readonly ground: Ground
  readonly stencil: (id: string) => Stencil | undefined
  /** A paint of the kit; undefined when the kit has it no more. */
  readonly paint: (id: string) => Paint | undefined
  /** Edge spread of a tool at a wetness on dry skin, mm; the starting values when left out. */
  readonly edge?: (tool: ToolId, wetness: Wetness) => number
  /** A tool as this painter has it; the starting values when left out. */
  readonly tool?: (id: ToolId) => Tool
  /** What a step finds beneath it; dry when left out. */
  readonly under?: (stepId: string) => GroundState
  /** Leave the lift of sheets out of the spread: quicker, for vector drawings. */
  readonly flat?: boolean
  /** The steps of the look, for those that go around another's print; none when left out. */
  readonly steps?: readonly { readonly id: string }[]
  /** Width of the painter's finger, mm; a usual one when left out. */
  readonly finger?: number
  /** Lay sheets more coarsely, for what moves under the hand. */
  readonly quick?: boolean
}

/** A tool, and its edge spread at a wetness (mm), as the world knows them. */
export const toolIn = (world: Pick<World, 'tool'>, id: ToolId): Tool => world.tool?.(id) ?? TOOLS[id]
export const edgeIn = (world: Pick<World, 'edge'>, tool: ToolId, wetness: Wetness): number =>
  world.edge?.(tool, wetness) ?? EDGE_SPREAD[tool][wetness]

/** A paint as it lies in a film. */
export interface LaidPaint {
  readonly optics: Optics
  readonly finish: Finish
}

/** One film of paint on the skin. */
export interface Print {
  /** Where, in the skin frame (mm); holes run the other way round. */
  readonly rings: readonly Ring[]
  /** Rings inside which nothing of it lies: left free by the hand, with a sharper edge than its own. */
  readonly free?: readonly Ring[]
  /** How far the paint creeps past each ring, mm; null where nothing masks it. */
  readonly spread: readonly number[] | null
  /** Paints, first to last along the axis. */
  readonly paints: readonly LaidPaint[]
  readonly axis: Axis | null
  /** Far ends of the strips of a split cake along the axis, 0 to 1; null when the paints blend wet into wet. */
  readonly strips: readonly number[] | null
  /** Thickness, mg/cm2. */
  readonly film: number
  /** Share of what lies beneath that the film covers, 0 to 1: for flat drawings. */
  readonly opacity: number
  /** Standard deviation of the edge, mm. */
  readonly softness: number
  /** How grainy the tool leaves it, 0 to 1. */
  readonly grain: number
  /** What lies there instead of a film: loose flakes, or a gem. */
  readonly bits?: Flakes | Gem
}

/** The rings of a print, what it leaves free taken out, running clockwise. */
export const printedRings = ({ rings, free }: Pick<Print, 'rings' | 'free'>): readonly Ring[] =>
  free?.length
    ? ringsOf(difference(regionOf(clockwise(rings), 'nonzero'), regionOf(clockwise(free), 'nonzero')))
    : clockwise(rings)

/** Glitter: flakes of a size (mm), so many to the mm2 where it lies thickest, each with a tilt of its own. */
export interface Flakes {
  readonly kind: 'flakes'
  readonly colour: LinearRgb
  readonly size: number
  readonly density: number
  readonly seed: number
  /** Gel that holds them shines itself, 0 to 1. */
  readonly gel: number
}

export const GEM_CUTS = ['round', 'drop', 'star'] as const
export type GemCut = (typeof GEM_CUTS)[number]
/** A gem by its cut, colour, middle on the skin, size (mm) and the way it points (degrees clockwise from up). */
export interface Gem {
  readonly kind: 'gem'
  readonly cut: GemCut
  readonly colour: LinearRgb
  readonly at: Point
  readonly size: number
  readonly heading: number
}

/** One thing of a step as the eye follows it: where it is, the way it points (degrees clockwise from up on the skin; null when no way), and how large it is, mm. */
export interface Pointer {
  readonly at: Point
  readonly heading: number | null
  readonly size: number
  readonly twin: boolean
  /** It leads both ways, as a line does. */
  readonly both?: boolean
}

/** Along what several colours follow one another: out from a point to a distance, or along a line (mm). */
export type Axis =
  | { readonly kind: 'out'; readonly from: Point; readonly reach: number }
  | { readonly kind: 'line'; readonly from: Point; readonly to: Point }

/** A sheet lying on the skin while a step is painted. */
export interface SheetOutline {
  readonly stepId: string
  readonly twin: boolean
  readonly ring: Ring
  readonly openings: readonly Ring[]
}

/** One line of a step sheet. */
export interface CardLine {
  readonly label: string
  readonly text: string
  readonly estimate?: boolean
}

/** How the step card shows a field: `control` names the control, `path` the value in the step. */
export interface Field {
  readonly control:
    | 'zones'
    | 'paints'
    | 'axis'
    | 'tool'
    | 'wetness'
    | 'dabs'
    | 'switch'
    | 'placement'
    | 'twin'
    | 'register'
    | 'passes'
    | 'handles'
    | 'brushwork'
    | 'dots'
    | 'gem'
    | 'glitter'
    | 'lips'
    | 'free'
  readonly path: string
  readonly label: string
}

/** Seconds of a pair of hands, from the table of common practice. */
export interface Effort {
  readonly seconds: number
  readonly loads: number
}

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
  readonly paints: (step: S) => { id: string; name: string; colour: string }[]
  /** The films that it lays, from the skin up. */
  readonly prints: (step: S, world: World) => Print[]
  readonly outlines: (step: S, world: World) => SheetOutline[]
  readonly lines: (step: S, world: World) => CardLine[]
  readonly effort: (step: S, world: World) => Effort
  readonly fields: readonly Field[]
  /** The point that stands for the step on the face, mm; null when it covers a region. */
  readonly anchor: (step: S) => Point | null
  /** The tool in the hand, for counting tool changes. */
  readonly tool: (step: S) => string | null
  /** Where in the step its paints and split cakes are named. */
  readonly paintPaths: (step: S) => (string | number)[][]
  /** What it covers, as boxes on the skin (mm). */
  readonly boxes: (step: S, world: World) => Box[]
  /** Seconds until what it lays is dry. */
  readonly dries: (step: S) => number
  /** Milligrams that it lays on the skin, by the paints that share them. */
  readonly lays: (
    step: S,
    world: World,
  ) => { readonly refs: readonly { id: string; name: string; colour: string }[]; readonly mg: number }[]
  /** What of it the eye follows. */
  readonly pointers: (step: S, world: World) => Pointer[]
}
