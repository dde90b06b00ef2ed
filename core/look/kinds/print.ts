import { clockwise, difference, regionOf, ringsOf, type Point, type Ring } from '../../geometry'
import type { Finish, LinearRgb, Optics, ToolId, Wetness } from '../../paint'

/** Along what several colours follow one another: out from a point to a distance, or along a line (mm). */
export type Axis =
  | { readonly kind: 'out'; readonly from: Point; readonly reach: number }
  | { readonly kind: 'line'; readonly from: Point; readonly to: Point }

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
  /**
   * Far ends of the strips of a split cake along the axis, 0 to 1; null when the paints blend wet into wet.
   */
  readonly strips: readonly number[] | null
  /** Thickness, mg/cm2. */
  readonly film: number
  /** Share of what lies beneath that the film covers, 0 to 1: for flat drawings. */
  readonly opacity: number
  /** Standard deviation of the edge, mm. */
  readonly softness: number
  /** How grainy the tool leaves it when it is tacky and full, 0 to 1. */
  readonly grain: number
  /** Whose grain that is. */
  readonly texture: 'sponge' | 'dauber' | 'soft brush' | 'brush'
  readonly wetness: Wetness
  /** Share of a full load that the tool had, 0 to 1: the last of it prints grainier. */
  readonly charge: number
  /**
   * How it takes up what lies beneath while that is not dry: in so many dabs, and how readily; see TAKES_UP. Null
   * for what is no wet paint.
   */
  readonly meets: { readonly dabs: number; readonly takesUp: number } | null
  /** What lies there instead of a film: loose flakes, or a gem. */
  readonly particles?: Flakes | Gem
}

/** Whose grain a tool of the table leaves. */
export const textureOfTool = (tool: ToolId): Print['texture'] =>
  tool === 'dauber' ? 'dauber' : tool === 'baseBrush' ? 'soft brush' : 'sponge'

/** The texture of what a brush lays, and of what has none of its own. */
export const BY_BRUSH = { texture: 'brush', wetness: 'tacky', charge: 1 } as const

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
/**
 * A gem by its cut, colour, middle on the skin, size (mm) and the way it points (degrees clockwise from up).
 */
export interface Gem {
  readonly kind: 'gem'
  readonly cut: GemCut
  readonly colour: LinearRgb
  readonly at: Point
  readonly size: number
  readonly heading: number
}
