import {
  cornersCurve,
  curveData,
  ellipseCurve,
  fittedCurve,
  flattened,
  mapCurve,
  sharpPoints,
  type Curve,
  type Point,
  type Polygon,
  type Ring,
} from '../geometry'
import { assembleSheet, type SheetGeometry } from '../stencil'

/** One opening of a sheet that is being drawn: its outline, and the loose pieces in it. */
export interface DraftOpening {
  readonly outer: Curve
  readonly holes: readonly Curve[]
}

/** A sheet that is being drawn or read: in mm, origin at its middle, +y down; nothing of it is flattened. */
export interface Draft {
  readonly width: number
  readonly height: number
  readonly outline: Curve
  readonly openings: readonly DraftOpening[]
}

/** How closely curves are followed where they are clipped or measured, mm. */
const FINE_MM = 0.005
/** How far an outline that was clipped may lie from what clipping gave, mm. */
const REFIT_MM = 0.015

/** An opening as a polygon, mm. */
export const polygonOf = ({ outer, holes }: DraftOpening, tolerance = FINE_MM): Polygon => ({
  outer: flattened(outer, tolerance),
  holes: holes.map(h => flattened(h, tolerance)),
})

/** A ring that clipping gave, as curves again. */
const refitted = (ring: Ring): Curve => fittedCurve(ring, sharpPoints(ring), REFIT_MM)

/** A polygon as an opening of curves. */
export const openingOf = ({ outer, holes }: Polygon): DraftOpening => ({
  outer: refitted(outer),
  holes: holes.map(refitted),
})

/** An opening with every point put through `map`. */
export const mapOpening = ({ outer, holes }: DraftOpening, map: (p: Point) => Point): DraftOpening => ({
  outer: mapCurve(outer, map),
  holes: holes.map(h => mapCurve(h, map)),
})

/** A sheet of a rectangle's shape with rounded corners and nothing cut out, mm. */
export function blankDraft(width: number, height: number, radius = 0): Draft {
  const [x, y] = [width / 2, height / 2]
  const r = Math.min(radius, x, y)
  if (!(r > 0)) {
    const outline = cornersCurve([[-x, -y], [x, -y], [x, y], [-x, y]]) // prettier-ignore
    return { width, height, outline, openings: [] }
  }
  const arcs = [[x - r, y - r], [-x + r, y - r], [-x + r, -y + r], [x - r, -y + r]] as const // prettier-ignore
  const outline = arcs.flatMap((middle, k) => {
    const circle = ellipseCurve(middle, r, r)
    const [from, to] = [circle[k]!, circle[(k + 1) % 4]!]
    return [
      { at: from.at, before: from.at, after: from.after },
      { at: to.at, before: to.before, after: to.at },
    ]
  })
  return { width, height, outline, openings: [] }
}

/**
 * A draft as a sheet that can be measured, flattened as sheets are.
 * @throws RangeError with a sentence when nothing is cut out, or an opening lies outside the sheet
 */
export const sheetOfDraft = (draft: Draft, tolerance?: number): SheetGeometry =>
  assembleSheet(
    draft.openings.map(o => polygonOf(o, tolerance)),
    flattened(draft.outline, tolerance),
  )

/** A sheet of the drawer as a draft. */
export const draftOf = (sheet: SheetGeometry): Draft => ({
  width: sheet.width,
  height: sheet.height,
  outline: refitted(sheet.outline),
  openings: sheet.openings.map(openingOf),
})

/** A number as the file has it: to a ten-thousandth of a millimetre. */
const f = (v: number): string => String(Math.round(v * 1e4) / 1e4 + 0)

/** A draft as an SVG file in mm: its edge and its openings, as curves. The title is text that is safe in XML. */
export function draftSvg({ width: w, height: h, outline, openings }: Draft, title = 'Stencil'): string {
  const path = (o: DraftOpening) => [o.outer, ...o.holes].map(c => curveData(c, f)).join('')
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${f(w)}mm" height="${f(h)}mm" viewBox="${f(-w / 2)} ${f(-h / 2)} ${f(w)} ${f(h)}">
<title>${title}</title>
<path id="sheet" d="${curveData(outline, f)}" fill="none" stroke="#23201D" stroke-width="0.2"/>
<g id="openings" fill="#23201D" fill-rule="evenodd">
${openings.map(o => `<path d="${path(o)}"/>`).join('\n')}
</g>
</svg>
`
}
