import { boxOf, polygonHolds, ringCentroid, ringHolds, type Point, type Ring } from '../geometry'
import type { KeepOut, Placement } from '../skin'
import type { SheetGeometry, StencilKind } from './types'

/**
 * Where something is looked for: a region of the skin (mm), whether it lies even across the midline, what
 * must stay free, and the zone's plain name.
 */
export interface Spot {
  readonly ring: Ring
  readonly even: boolean
  readonly keepOuts: readonly KeepOut[]
  readonly focus: Point
  readonly zone: string | null
}

/** A sheet as the search sees it. */
export interface Candidate extends SheetGeometry {
  readonly id: string
  readonly kind: StencilKind
  readonly zones: readonly string[]
  readonly heading: number | null
  readonly axes: readonly number[]
  readonly bridge: number | null
}

/** How a sheet fits best on a spot: its score 0 to 1, and the shares that make it up. */
export interface Fit extends Placement {
  readonly id: string
  readonly score: number
  readonly inside: number
  readonly filled: number
  readonly aim: number | null
  readonly kept: number
  readonly even: boolean
  readonly reasons: string[]
  /** Of a texture that is larger than the spot: the openings inside, which alone are dabbed; null for all. */
  readonly openings: number[] | null
}

/** How finely the region is gridded, mm. */
const CELL = 1
const SAMPLES = 140

/** What stands for a sheet in the search: points spread evenly over its openings. */
export function samplePoints(sheet: SheetGeometry, wanted = SAMPLES): Point[] {
  const area = sheet.width * sheet.height
  for (let step = Math.sqrt(area / (wanted * 3)); step > 0.3; step *= 0.7) {
    const points: Point[] = []
    for (const opening of sheet.openings) {
      const b = boxOf(opening.outer)
      const before = points.length
      for (let y = Math.ceil(b.minY / step) * step; y <= b.maxY; y += step)
        for (let x = Math.ceil(b.minX / step) * step; x <= b.maxX; x += step)
          if (polygonHolds(opening, x, y)) points.push([x, y])
      // An opening that falls between the points still counts, with its middle.
      if (points.length === before && sheet.openings.length < wanted) points.push(ringCentroid(opening.outer))
    }
    if (points.length >= wanted * 0.6) {
      const every = Math.max(1, Math.floor(points.length / wanted))
      return points.filter((_, i) => i % every === 0)
    }
  }
  return sheet.openings.map(o => ringCentroid(o.outer))
}

/** A spot as a grid of 1 mm: 1 inside, -1 on what must stay free, 0 elsewhere. */
export interface Field {
  x0: number
  y0: number
  w: number
  h: number
  cells: Int8Array
  area: number
  box: ReturnType<typeof boxOf>
}

export function fieldOf({ ring, keepOuts }: Spot): Field {
  const box = boxOf(ring)
  const pad = 40
  const x0 = Math.floor(box.minX - pad)
  const y0 = Math.floor(box.minY - pad)
  const w = Math.ceil(box.maxX + pad) - x0
  const h = Math.ceil(box.maxY + pad) - y0
  const cells = new Int8Array(w * h)
  let area = 0
  for (let j = 0; j < h; j++) {
    for (let i = 0; i < w; i++) {
      const x = x0 + i + CELL / 2
      const y = y0 + j + CELL / 2
      if (keepOuts.some(k => ringHolds(k.ring, x, y))) cells[j * w + i] = -1
      else if (ringHolds(ring, x, y)) {
        cells[j * w + i] = 1
        area++
      }
    }
  }
  return { x0, y0, w, h, cells, area, box }
}

/** The cell of a field in which a point lies; -1 beside it. */
export const cellAt = (f: Field, x: number, y: number): number => {
  const i = Math.floor(x - f.x0)
  const j = Math.floor(y - f.y0)
  return i < 0 || j < 0 || i >= f.w || j >= f.h ? -1 : j * f.w + i
}
