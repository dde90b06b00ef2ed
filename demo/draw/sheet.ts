import { readSvg, type StencilKind } from '../../core/stencil'
import { boxAround } from '../../core/geometry'
import type { Shape } from './pen'

/** A demo stencil before it is written: its openings about the sheet's centre, mm. */
export interface Drawing {
  id: string
  name: string
  kind: StencilKind
  tags: string[]
  /** Zones that it is made for. */
  zones: string[]
  /** Size of the sheet, mm; 0 fits it round the openings with a margin. */
  width: number
  height: number
  shapes: Shape[]
  /** Shapes of the right half, cut a second time as their mirror image. */
  both?: Shape[]
  /** The sheet's edge; a rectangle with round corners when left out. */
  edge?: Shape
  /** Degrees clockwise from up in which the motif or texture points. */
  heading?: number
  /** Fill rule of the shapes; non-zero when left out. */
  rule?: 'evenodd'
}

const edgeOf = (w: number, h: number): Shape => {
  const r = Math.min(6, w / 6, h / 6)
  return `M${r - w / 2} ${-h / 2}H${w / 2 - r}A${r} ${r} 0 0 1 ${w / 2} ${r - h / 2}V${h / 2 - r}A${r} ${r} 0 0 1 ${w / 2 - r} ${h / 2}H${r - w / 2}A${r} ${r} 0 0 1 ${-w / 2} ${h / 2 - r}V${r - h / 2}A${r} ${r} 0 0 1 ${r - w / 2} ${-h / 2}Z`
}

const FIT_MARGIN = 6

/** The middle of a drawing's sheet and its size: as given, or fitted round the openings. */
function pageOf(drawing: Drawing): { cx: number; cy: number; w: number; h: number } {
  if (drawing.width > 0) return { cx: 0, cy: 0, w: drawing.width, h: drawing.height }
  const big = readSvg(svgOf({ ...drawing, width: 400, height: 400 })).sheet
  const box = boxAround(big.openings)
  const round = (v: number) => Math.round(v * 2) / 2
  return {
    cx: round((box.minX + box.maxX) / 2),
    cy: round((box.minY + box.maxY) / 2),
    w: Math.ceil(box.maxX - box.minX + 2 * FIT_MARGIN),
    h: Math.ceil(box.maxY - box.minY + 2 * FIT_MARGIN),
  }
}

/** A drawing as an SVG file in millimetres: the sheet's edge, and every opening as a filled path. */
export function svgOf(drawing: Drawing): string {
  const { shapes, both = [] } = drawing
  const { cx, cy, w, h } = pageOf(drawing)
  const paths = (list: Shape[]) => list.map(d => `      <path d="${d}"/>`).join('\n')
  const half =
    both.length === 0
      ? ''
      : `
    <g id="right-half">
${paths(both)}
    </g>
    <g id="left-half" transform="scale(-1 1)">
${paths(both)}
    </g>`
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="${cx - w / 2} ${cy - h / 2} ${w} ${h}">
  <title>${drawing.name}</title>
  <path id="sheet" d="${drawing.edge ?? edgeOf(w, h)}" transform="translate(${cx} ${cy})" fill="none" stroke="#23201D" stroke-width="0.3"/>
  <g id="openings" fill="#23201D"${drawing.rule ? ` fill-rule="${drawing.rule}"` : ''} stroke="none">${half}
${paths(shapes)}
  </g>
</svg>
`
}
