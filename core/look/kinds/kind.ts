import type { z } from 'zod'
import type { Box, Point, Ring } from '../../geometry'
import type { HandTask } from '../../order'
import type { Ground, Placement } from '../../skin'
import type { PreparedSheet } from '../../stencil'
import type { CakeRef, PaintRef } from '../document'
import type { Lie } from '../placement/handles'
import type { Print } from './print'
import type { Transfer } from './transfer'
import type { World } from './world'

/** One thing of a step as the eye follows it. */
export interface Pointer {
  /** Where it is on the skin, mm. */
  readonly at: Point
  /** The way it points, degrees clockwise from up on the skin; null when no way. */
  readonly heading: number | null
  /** How large it is, mm. */
  readonly size: number
  readonly twin: boolean
  /** It leads both ways, as a line does. */
  readonly both?: boolean
}

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

/** Controls of the step card. */
type Control =
  | 'zones'
  | 'paints'
  | 'axis'
  | 'tool'
  | 'wetness'
  | 'dabs'
  | 'switch'
  | 'placement'
  | 'sheetTwin'
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
  | 'pull'
  | 'toolLoad'
  | 'rework'
  | 'strokeHand'
  | 'brush'
  | 'guide'

/** How the step card shows a field: `control` names the control, `path` the value in the step. */
export interface Field {
  readonly control: Control
  readonly path: string
  readonly label: string
}

/** Seconds of a pair of hands, from the table of common practice. */
export interface Effort {
  readonly seconds: number
  readonly loads: number
  /** What the hands do one after the other; the seconds are theirs. */
  readonly tasks: readonly HandTask[]
}

/** Paint that reaches the skin, mg, shared evenly by some paints. */
export interface Laying {
  readonly refs: readonly PaintRef[]
  readonly mg: number
}

/** One place of a step where a paint or a split cake is named, and what the look remembers of it. */
export interface PaintPlace {
  readonly path: (string | number)[]
  readonly ref: PaintRef | CakeRef
}

/** How the handles of a step may be changed by hand. */
interface HandleRules {
  /** Least and most handles. */
  readonly room: readonly [number, number]
  /** Whether they draw a closed outline, and whether that goes straight from handle to handle. */
  readonly outline: 'open' | 'closed' | 'straight'
  /** What one handle is called when there are several. */
  readonly words: string
}

/**
 * Ways in which a step can be kept off a place, tried in this order; a step that has none can only be left
 * out.
 */
export type KeepOffWay = 'free' | 'openings' | 'zones' | 'redraw' | 'shift' | 'narrow'

/** What there is to mind about a kind of step, for the checks. */
interface Cautions<S> {
  readonly keepOff: (step: S) => readonly KeepOffWay[]
  /** What to do by hand where it runs over an eye or a nostril; null when that is told otherwise. */
  readonly byHand: (step: S) => string | null
  /** It is drawn on lids that are shut, whatever the finished look shows. */
  readonly onShutLids?: (step: S) => boolean
  /** It is the lips themselves. */
  readonly onLips?: true
  /** A brush that takes up a wet base beneath it. */
  readonly takesUpBase?: true
  /** A base: what others are drawn on, and no element by itself. */
  readonly isBase?: true
  /** It lays no paint, and nothing can show of it. */
  readonly laysNothing?: true
  /** Something loose that others cannot go around or lie wet on. */
  readonly isSparkle?: true
}

/** A step that does not fit a canvas: why, and the sheet that should be smaller where it is one. */
export interface Misfitting {
  readonly sentence: string
  readonly sheet?: { readonly sheet: PreparedSheet; readonly placement: Placement }
}

/**
 * What a kind that lies on the skin by handles does besides; every kind has these, and those without handles
 * do nothing.
 */
export interface Moves<S> {
  /** Brings the step to another canvas, in place. */
  readonly carry: (step: S, transfer: Transfer) => void
  /** Why the step does not fit its canvas; null when it does. */
  readonly misfit: (step: S, world: World) => Misfitting | null
  /** Turns the step so that it points at a point of the skin, in place; one without a way stays. */
  readonly aim: (step: S, world: World, focus: Point) => void
  /** Turns it by some degrees clockwise by itself, in place, where that is more than turning its handles. */
  readonly spin?: (step: S, degrees: number) => void
  /** Grows it about its middle with every number that is a length, in place; sheets keep their size. */
  readonly grow: (step: S, world: World, by: number) => void
  /** Gives it other handles, in place; what depends on them goes along. */
  readonly reshape: (step: S, points: [number, number][], ground: Ground) => void
  /**
   * Turns over, in place, what a mirror image changes besides the handles.
   * @param from what is outward of: the focal point
   */
  readonly mirror: (step: S, points: [number, number][], from: Point) => void
  /** Makes a copy of the step, whose handles lie as its twin's do, the twin in everything else, in place. */
  readonly becomeTwin: (own: S, step: S, lie: Lie, ground: Ground) => void
}

/**
 * Everything the application knows about one kind of step. A new kind is one folder that makes one of these,
 * and one line in the table of kinds:
 * schema, printing, card text and step card all follow from it.
 */
export interface StepKind<S> {
  readonly kind: string
  readonly words: string
  readonly schema: z.ZodType<S> & z.core.$ZodTypeDiscriminable

  /** Ids of the sheets that the step needs. */
  readonly sheets: (step: S) => string[]
  /** Where in the step each of its paints and split cakes is named. */
  readonly paintPlaces: (step: S) => PaintPlace[]
  /** Milligrams that it lays on the skin, by the paints that share them. */
  readonly lays: (step: S, world: World) => Laying[]
  /** The tool in the hand, for counting tool changes. */
  readonly tool: (step: S) => string | null
  readonly effort: (step: S, world: World) => Effort
  /** Seconds until what it lays is dry. */
  readonly dries: (step: S, world: World) => number
  /** Whether the hands wait for what lies beneath to dry first. */
  readonly waits: (step: S) => boolean

  /** The films that it lays, from the skin up. */
  readonly prints: (step: S, world: World) => Print[]
  /** The sheets as they lie. */
  readonly outlines: (step: S, world: World) => SheetOutline[]
  /** What it covers, as boxes on the skin (mm): quick. */
  readonly boxes: (step: S, world: World) => Box[]
  /** Rings on the skin that tell its shape to the eye and the hand, mm: quick. */
  readonly silhouette: (step: S, world: World) => readonly Ring[]
  /** The rings that those get which go around it. */
  readonly contour: (step: S, world: World, openings: readonly number[] | null) => Ring[]
  /** Where the pulls of its brush begin and end on the skin, mm; left out for what is not drawn in pulls. */
  readonly tips?: (step: S, world: World) => { readonly start: Point; readonly end: Point }[]
  /** The ways of its brush, point by point on the skin, mm; left out for what is not drawn in pulls. */
  readonly ways?: (step: S, world: World) => (readonly Point[])[]
  /** Places that it leaves free by itself, as rings on the skin. */
  readonly keepsFree: (step: S, ground: Ground) => Ring[]
  /** The share of its pixels at which it is judged how it shows; the median when left out. */
  readonly judgedAt?: number

  /** The ids of the steps whose prints its own depends on: what it goes around, over, or keeps to. */
  readonly follows: (step: S) => readonly string[]
  /** The id of the step on whose wet paint it goes, and behind which it stays; null for none. */
  readonly boundTo: (step: S) => string | null

  /** The point that stands for the step on the face, mm; null when it covers a region. */
  readonly anchor: (step: S) => Point | null
  /** What of it the eye follows. */
  readonly pointers: (step: S, world: World) => Pointer[]
  /** Whether it can be given a twin, or another one. */
  readonly mayTwin: (step: S) => boolean
  /**
   * How the hand has hold of it: a sheet, something drawn, or a base beneath everything; null when it cannot
   * be held.
   */
  readonly held: (step: S) => 'sheet' | 'mark' | 'base' | null
  /**
   * Whether it lies under a point of the skin, and whether it is its twin that does.
   * @param held it is selected: a sheet is then held by all of it
   */
  readonly hit: (step: S, world: World, at: Point, held: boolean) => { readonly twin: boolean } | null
  readonly handling: (step: S) => HandleRules
  readonly moves: Moves<S>

  readonly cautions: Cautions<S>
  /** What the step sheet says. */
  readonly lines: (step: S, world: World) => CardLine[]
  /** What the step card shows. */
  readonly fields: (step: S) => readonly Field[]
}
