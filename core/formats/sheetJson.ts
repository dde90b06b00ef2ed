import type { Ring } from '../geometry'
import type { SheetGeometry } from '../stencil'

/** A sheet's geometry as JSON: rings as flat lists of mm, rounded to a micrometre. */
export interface SheetJson {
  width: number
  height: number
  outline: number[]
  openings: { outer: number[]; holes: number[][] }[]
}

const flat = (ring: Ring): number[] => Array.from(ring, v => Math.round(v * 1000) / 1000)

/** A sheet for sending or keeping. */
export function sheetJson(sheet: SheetGeometry): SheetJson {
  return {
    width: sheet.width,
    height: sheet.height,
    outline: flat(sheet.outline),
    openings: sheet.openings.map(o => ({ outer: flat(o.outer), holes: o.holes.map(flat) })),
  }
}

/** A sheet from what `sheetJson` made. */
export function sheetFromJson(json: SheetJson): SheetGeometry {
  const ring = (list: readonly number[]): Ring => Float64Array.from(list)
  return {
    width: json.width,
    height: json.height,
    outline: ring(json.outline),
    openings: json.openings.map(o => ({ outer: ring(o.outer), holes: o.holes.map(ring) })),
  }
}
