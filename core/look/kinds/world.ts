import type { Point, Ring } from '../../geometry'
import {
  EDGE_SPREAD,
  TOOLS,
  type FilmState,
  type Paint,
  type Tool,
  type ToolId,
  type Wetness,
  OILY,
} from '../../paint'
import type { Memo } from '../../memo'
import type { Ground } from '../../skin'
import type { PreparedSheet } from '../../stencil'
import type { BaseStep, Ways } from '../document'

/** A step of the look as those that go around it see it. */
export interface Host {
  readonly step: BaseStep
  /** The step itself and all that it goes around, directly or through others: what its rings are made from. */
  readonly madeFrom: (world: World) => readonly BaseStep[]
  /** The point that stands for it on the face, mm; null when it covers a region. */
  readonly anchor: Point | null
  /**
   * The rings that it covers on the skin, of its twin too, mm.
   * @param openings only these openings of its sheet, or strips of its cake; null for all that it prints
   */
  readonly rings: (openings: readonly number[] | null, world: World) => Ring[]
  /** Where the pulls of its brush begin and end, mm; none of what is not drawn in pulls. */
  readonly tips: (world: World) => readonly { readonly start: Point; readonly end: Point }[]
  /** The ways of the pulls of its brush, point by point, mm; none of what is not drawn in pulls. */
  readonly ways: (world: World) => readonly (readonly Point[])[]
}

/**
 * What a look is read against: what it is painted on, the sheets and paints it names, and its own steps as
 * hosts.
 */
export interface World {
  readonly ground: Ground
  readonly stencil: (id: string) => PreparedSheet | undefined
  /** A paint of the kit; undefined when the kit has it no more. */
  readonly paint: (id: string) => Paint | undefined
  /** Edge spread of a tool at a wetness on dry skin, mm; the starting values when left out. */
  readonly edge?: (tool: ToolId, wetness: Wetness) => number
  /** A tool as this painter has it; the starting values when left out. */
  readonly tool?: (id: ToolId) => Tool
  /** Whether the skin is oily or sweaty; it is not when left out. */
  readonly oily?: boolean | undefined
  /** What a step finds beneath it; dry when left out. */
  readonly under?: (stepId: string) => FilmState
  /** The steps whose films are not dry yet where a step is laid over them; none when left out. */
  readonly wetUnder?: (stepId: string) => ReadonlyMap<string, FilmState>
  /**
   * A step of the look, for those that go around another's print; none when left out.
   * @param before only when it comes before this step, so that nothing goes around itself
   */
  readonly host?: (id: string, before?: string) => Host | undefined
  /** The ids of the steps that are not painted this time; none when left out. */
  readonly off?: ReadonlySet<string> | undefined
  /** Shares of a load that a tool still holds when a pass begins that goes on without reloading; full when left out. */
  readonly held?: (stepId: string, pass: number) => number
  /** Where results are kept that are asked for again and again; nothing is when left out. */
  readonly memo?: Memo
  /** Leave the lift of sheets out of the spread: quicker, for vector drawings. */
  readonly flat?: boolean
  /** How many times as long as usual films take to dry in this room; as usual when left out. */
  readonly driesBy?: number
  /** Times as long as by the starting values that the painter takes for a kind of task; as usual when left out. */
  readonly pace?: (task: string) => number
  /** How the painter works; as usual when left out. */
  readonly ways?: Ways
  /** Width of the painter's finger, mm; a usual one when left out. */
  readonly finger?: number
  /** Lay sheets more coarsely, for what moves under the hand. */
  readonly quick?: boolean
}

/** A tool as the world knows it. */
export const toolIn = (world: Pick<World, 'tool'>, id: ToolId): Tool => world.tool?.(id) ?? TOOLS[id]

/** The edge spread of a tool at a wetness on dry skin, mm, as the world knows it. */
export const edgeIn = (world: Pick<World, 'edge' | 'oily'>, tool: ToolId, wetness: Wetness): number =>
  (world.edge?.(tool, wetness) ?? EDGE_SPREAD[tool][wetness]) * (world.oily ? OILY.creeps : 1)

/** Share of the paint that a tool lets go which stays on the skin. */
export const heldBy = ({ oily }: Pick<World, 'oily'>): number => (oily ? OILY.holds : 1)
