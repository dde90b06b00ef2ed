import {
  boxAround,
  boxOf,
  mapPolygon,
  mapRing,
  polygonArea,
  translation,
  type Polygon,
  type Ring,
} from '../geometry'
import type { SheetGeometry } from './types'

/** What a sheet may hold at most, so that a hostile file cannot stall the reader. */
export const LIMITS = {
  points: 120_000,
  shapes: 12_000,
  elements: 150_000,
  depth: 40,
  sheetMm: 1200,
  closeGapMm: 0.2,
  leastAreaMm2: 0.01,
} as const

/** A sheet whose size cannot be right: its real size must be asked for. */
export class SizeError extends RangeError {}

/** Margin of a sheet whose file draws no edge, mm. */
const MARGIN = 8

/**
 * A sheet in its own frame from openings and an edge in any place.
 * @param openings regions in mm, not overlapping
 * @param edge the sheet's edge in mm; null puts a margin round the openings
 * @param loose leaves sizes unchecked: for a first look at a file whose real size is not known yet
 * @throws RangeError with a sentence when there is nothing to cut, the size cannot be right, or an opening
 *   lies outside
 */
export function assembleSheet(openings: readonly Polygon[], edge: Ring | null, loose = false): SheetGeometry {
  const kept = openings.filter(p => polygonArea(p) >= (loose ? 0 : LIMITS.leastAreaMm2))
  if (kept.length > LIMITS.shapes)
    throw new RangeError(
      `The stencil would have ${kept.length.toLocaleString('en')} openings; up to ${LIMITS.shapes.toLocaleString('en')} are read.`,
    )
  if (kept.length === 0)
    throw new RangeError('The file has no opening: draw what is cut out as closed shapes.')
  const outline = edge ?? around(kept)
  const box = boxOf(outline)
  const width = box.maxX - box.minX
  const height = box.maxY - box.minY
  if (!(width > 0 && height > 0))
    throw new RangeError('The stencil has no size: give the file a width and a height in mm.')
  if (!loose && Math.max(width, height) > LIMITS.sheetMm) {
    throw new SizeError(
      `The stencil would be ${(Math.max(width, height) / 1000).toFixed(1)} m long. Check the file's units, or give its real size.`,
    )
  }
  const inside = boxAround(kept)
  const slack = loose ? 0.001 * (width + height) : 0.05
  if (
    inside.minX < box.minX - slack ||
    inside.maxX > box.maxX + slack ||
    inside.minY < box.minY - slack ||
    inside.maxY > box.maxY + slack
  ) {
    throw new RangeError(
      "An opening reaches past the stencil's edge. Move it inside, or make the stencil larger.",
    )
  }
  const centre = translation(-(box.minX + box.maxX) / 2, -(box.minY + box.maxY) / 2)
  return {
    width,
    height,
    outline: mapRing(centre, outline),
    openings: kept.map(p => mapPolygon(p, ring => mapRing(centre, ring))),
  }
}

function around(openings: readonly Polygon[]): Ring {
  const b = boxAround(openings)
  const m = MARGIN
  return Float64Array.from([
    b.minX - m,
    b.minY - m,
    b.maxX + m,
    b.minY - m,
    b.maxX + m,
    b.maxY + m,
    b.minX - m,
    b.maxY + m,
  ])
}
