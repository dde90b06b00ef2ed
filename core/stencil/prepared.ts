import { centroidOf, distance, radians, type Point } from '../geometry'
import { edgesOf } from './analyse/edges'
import { latticeOf, type Lattice } from './analyse/lattice'
import { necksOf, type Neck } from './analyse/necks'
import { edgeMargin } from './analyse/widths'
import type { Stencil } from './types'

/**
 * The mirror of a sheet's shape that is the sheet itself: a line through a point of it, by its angle from
 * upright (degrees).
 */
export interface OwnAxis {
  readonly angle: number
  readonly centre: Point
}

/** Bridges wider than this never close, mm (common practice). */
const WIDE = 3.6

/**
 * What is worked out of a sheet's shape, each when it is first asked for and then kept with the sheet. All in
 * the sheet frame, mm.
 */
class SheetMeasures {
  #middles: readonly Point[] | undefined
  #axis: OwnAxis | null | undefined
  #partners: readonly number[] | null | undefined
  #lattice: Lattice | null | undefined
  #bridges: readonly Neck[] | undefined
  #margin: number | undefined

  constructor(private readonly sheet: Stencil) {}

  /** The balance point of each opening. */
  get middles(): readonly Point[] {
    return (this.#middles ??= this.sheet.openings.map(o => centroidOf([o])))
  }

  /** The first mirror axis, through the balance point of all openings; null for a sheet without one. */
  get axis(): OwnAxis | null {
    if (this.#axis === undefined) {
      const angle = this.sheet.axes?.[0]
      this.#axis = angle === undefined ? null : { angle, centre: centroidOf(this.sheet.openings) }
    }
    return this.#axis
  }

  /** For each opening the number of its mirror image; null for a sheet without an axis. */
  get partners(): readonly number[] | null {
    if (this.#partners === undefined) this.#partners = this.axis && mirrorImages(this.middles, this.axis)
    return this.#partners
  }

  /** The lattice of a texture; null where there is none. */
  get lattice(): Lattice | null {
    if (this.#lattice === undefined) this.#lattice = latticeOf(this.sheet.openings)
    return this.#lattice
  }

  /** The bridges that paint could close. */
  get bridges(): readonly Neck[] {
    return (this.#bridges ??= necksOf(edgesOf(this.sheet), WIDE).bridges)
  }

  /** The narrowest rim between an opening and the sheet's edge. */
  get margin(): number {
    return (this.#margin ??= edgeMargin(this.sheet).width)
  }
}

/** For each point the number of the one nearest to its mirror image about an axis. */
function mirrorImages(middles: readonly Point[], { angle, centre: [cx, cy] }: OwnAxis): number[] {
  const c = Math.cos(radians(2 * angle))
  const s = Math.sin(radians(2 * angle))
  return middles.map(([x, y]) => {
    const u = x - cx
    const v = y - cy
    const image: Point = [cx - c * u - s * v, cy - s * u + c * v]
    return middles.reduce(
      (best, m, i) => (distance(m, image) < distance(middles[best]!, image) ? i : best),
      0,
    )
  })
}

/** A sheet with what is worked out of its shape. */
export interface PreparedSheet extends Stencil {
  readonly measures: SheetMeasures
}

/** Prepares a sheet for being laid; its shape and axes must stay as they are. */
export const prepared = (sheet: Stencil): PreparedSheet => ({ ...sheet, measures: new SheetMeasures(sheet) })

/** A sheet as data again, such as a worker can be sent. */
export function unprepared({ measures: _, ...sheet }: PreparedSheet): Stencil {
  return sheet
}
