import { clockwise, difference, intersection, regionOf, ringsOf, type Point, type Ring } from '../../geometry'
import type { Finish, LinearRgb, Optics, ToolId, Wetness } from '../../paint'
import type { SparkFinish } from '../document'

/** The two edges of a band on the skin, point by point along its way (mm). */
export interface Rails {
  readonly left: readonly Point[]
  readonly right: readonly Point[]
}

/**
 * Along what several colours follow one another: out from a point to a distance, along a line (over and over when
 * it repeats after some mm), in from the print's own edge to a depth, or across a band from its left edge (mm).
 */
export type Axis =
  | { readonly kind: 'out'; readonly from: Point; readonly reach: number }
  | { readonly kind: 'line'; readonly from: Point; readonly to: Point; readonly every?: number | undefined }
  | { readonly kind: 'edge'; readonly depth: number }
  | { readonly kind: 'across'; readonly rails: Rails }

/** Wiping: the share of the paint whose tint stays in the skin. */
export interface Wipe {
  readonly kind: 'wipe'
  readonly stays: number
}
/** Going over what lies there until it is soft: how far colours run into one another, mm. */
export interface Blend {
  readonly kind: 'blend'
  readonly reach: number
}

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
  /** Half width of the blend where two strips meet, as a share of the cake; as a sponge leaves it when left out. */
  readonly meet?: number | undefined
  /** Where along the axis each paint lies, 0 to 1; evenly spread when left out. */
  readonly stops?: readonly number[] | undefined
  /** Share of the axis from which the film runs out, to nothing at its end; it does not when left out. */
  readonly runsOut?: number | undefined
  /** Shares of its thickness along a band, from its beginning to its end; even when left out. */
  readonly thins?: { readonly rails: Rails; readonly shares: readonly number[] } | undefined
  /** The only place where it is laid, with the standard deviation of that edge (mm); everywhere when left out. */
  readonly only?: { readonly rings: readonly Ring[]; readonly softness: number } | undefined
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
  /** What it does to the paint beneath, instead of laying any. */
  readonly works?: Wipe | Blend
}

/** Whose grain a tool of the table leaves. */
export const textureOfTool = (tool: ToolId): Print['texture'] =>
  tool === 'dauber' ? 'dauber' : tool === 'baseBrush' ? 'soft brush' : 'sponge'

/** The texture of what a brush lays, and of what has none of its own. */
export const BY_BRUSH = { texture: 'brush', wetness: 'tacky', charge: 1 } as const

/** The rings of a print, without what it leaves free and outside its only place, running clockwise. */
export function printedRings({ rings, free, only }: Pick<Print, 'rings' | 'free' | 'only'>): readonly Ring[] {
  if (!free?.length && !only) return clockwise(rings)
  const all = regionOf(clockwise(rings), 'nonzero')
  const placed = only ? intersection(all, regionOf(clockwise(only.rings), 'nonzero')) : all
  return ringsOf(free?.length ? difference(placed, regionOf(clockwise(free), 'nonzero')) : placed)
}

/** Glitter: flakes of a size (mm), so many to the mm2 where it lies thickest, each with a tilt of its own. */
export interface Flakes {
  readonly kind: 'flakes'
  readonly colour: LinearRgb
  readonly size: number
  readonly density: number
  readonly seed: number
  /** Gel that holds them shines itself, 0 to 1. */
  readonly gel: number
  /** Plain when left out. */
  readonly finish?: SparkFinish
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
  /** Cut in facets when left out. */
  readonly finish?: SparkFinish
}
