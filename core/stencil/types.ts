import type { Polygon, Ring } from '../geometry'

/** The kinds of sheet, in the trade's words. */
export const STENCIL_KINDS = ['texture', 'motif', 'crest', 'border', 'half face', 'full face', 'set'] as const
export type StencilKind = (typeof STENCIL_KINDS)[number]

/** A sheet's geometry in the sheet frame: mm, origin at the sheet's centre, +x right, +y down, side A up. */
export interface SheetGeometry {
  /** Size of the sheet's box, mm. */
  readonly width: number
  readonly height: number
  /** The sheet's edge. */
  readonly outline: Ring
  /** What is cut out, as separate regions; the holes of an opening are loose pieces. */
  readonly openings: readonly Polygon[]
}

/** A sheet of the collection. */
export interface Stencil extends SheetGeometry {
  readonly id: string
  readonly name: string
  readonly kind: StencilKind
  /** Degrees clockwise from up in which it points; null when it has no direction. */
  readonly heading?: number | null
  /** Its mirror axes through the openings' balance point, degrees from upright; unknown when left out. */
  readonly axes?: readonly number[]
  /** How many of it the drawer holds. */
  readonly copies?: number
  /** Named sets of openings, by their numbers. */
  readonly groups?: readonly { readonly name: string; readonly openings: readonly number[] }[]
}
