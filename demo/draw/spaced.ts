import { boxOf, difference, offset, polygonArea, type Point, type Polygon } from '../../core/geometry'
import { readSvg } from '../../core/stencil'
import { regions, type Shape } from './pen'

/** One shape as regions in mm about the sheet's centre. */
export function regionsOf(shape: Shape): Polygon[] {
  return [
    ...readSvg(
      `<svg xmlns="http://www.w3.org/2000/svg" width="600mm" height="600mm" viewBox="-300 -300 600 600"><path d="${shape}"/></svg>`,
    ).sheet.openings,
  ]
}

/** Regions without what is narrower than `slot` mm, and without loose pieces. */
const rounded = (list: readonly Polygon[], slot: number): Polygon[] =>
  solid(offset(offset(solid(list), -slot / 2), slot / 2))

const solid = (list: readonly Polygon[]): Polygon[] => list.map(p => ({ outer: p.outer, holes: [] }))

/** Notches narrower than this would leave a tongue of sheet too thin to hold, mm. */
const NOTCH = 0.9
const notched = (list: readonly Polygon[]): Polygon[] => solid(offset(offset(list, NOTCH / 2), -NOTCH / 2))

/** Smaller crumbs than this are left out, mm2. */
const CRUMB = 0.4

/**
 * Shapes with a bridge between all of them: each one is cut back where it comes nearer than `bridge` to one
 * before it, and what would be narrower than `slot` is rounded off. So the sheet can be cut, and nothing
 * falls out.
 */
export function spaced(shapes: readonly Shape[], bridge = 1.2, slot = 0.5): Shape[] {
  const placed: Polygon[] = []
  const cutBack = (piece: Polygon): Polygon[] => {
    const taken = placed.filter(p => near(p, [piece], bridge + 1))
    return taken.length ? difference([piece], offset(taken, bridge)) : [piece]
  }
  for (const shape of shapes) {
    const pieces = notched(regionsOf(shape))
      .flatMap(piece => rounded(cutBack(piece), slot))
      .sort((a, b) => polygonArea(b) - polygonArea(a))
    // A shape that fell into pieces needs bridges between them too.
    for (const piece of pieces)
      placed.push(...rounded(cutBack(piece), slot).filter(p => polygonArea(p) > CRUMB))
  }
  return regions(placed)
}

function near(p: Polygon, own: readonly Polygon[], gap: number): boolean {
  const a = boxOf(p.outer)
  return own.some(o => {
    const b = boxOf(o.outer)
    return a.minX < b.maxX + gap && b.minX < a.maxX + gap && a.minY < b.maxY + gap && b.minY < a.maxY + gap
  })
}

/** How wide the bars are that hold what lies within a shape, mm. */
const BAR = 1.5

/**
 * A shape with others cut within it, as a stencil can have them: round each stays a rim of sheet, and a bar holds
 * it to the edge.
 * @param bars where bars run, from the middle of what lies within to past the edge
 */
export function holding(
  shape: Shape,
  within: readonly Shape[],
  bars: readonly (readonly [from: Point, to: Point])[],
  bridge = 1.15,
): Shape[] {
  const strips = bars.map(([[ax, ay], [bx, by]]): Polygon => {
    const l = Math.hypot(bx - ax, by - ay)
    const [nx, ny] = [((ay - by) / l) * (BAR / 2), ((bx - ax) / l) * (BAR / 2)]
    return {
      outer: Float64Array.from([ax + nx, ay + ny, bx + nx, by + ny, bx - nx, by - ny, ax - nx, ay - ny]),
      holes: [],
    }
  })
  const rims = offset(within.flatMap(regionsOf), bridge)
  return [...within, ...regions(difference(regionsOf(shape), [...rims, ...strips]))]
}
