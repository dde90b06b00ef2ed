import {
  boxesMeet,
  boxOf,
  cornersCurve,
  difference,
  ellipseCurve,
  intersection,
  mapCurve,
  outlineThrough,
  signedArea,
  stroked,
  union,
  type Curve,
  type Point,
  type Polygon,
} from '../geometry'
import { mapOpening, openingOf, polygonOf, type Draft, type DraftOpening } from './draft'

/** How closely openings are looked at to tell whether they meet, mm. */
const COARSE_MM = 0.05
/** Pieces that cutting leaves and that are smaller than this are crumbs, mm2. */
const CRUMB_MM2 = 0.02

const whole = (p: Polygon): boolean => Math.abs(signedArea(p.outer)) > CRUMB_MM2

/** The openings that a region comes near, with the rest of the draft left as it is. */
function parted(draft: Draft, region: readonly Polygon[]): { near: Polygon[]; far: DraftOpening[] } {
  const boxes = region.map(p => boxOf(p.outer))
  const near: Polygon[] = []
  const far: DraftOpening[] = []
  for (const opening of draft.openings) {
    const polygon = polygonOf(opening)
    const box = boxOf(polygon.outer)
    if (boxes.some(b => boxesMeet(b, box))) near.push(polygon)
    else far.push(opening)
  }
  return { near, far }
}

/** A draft with a region cut out too: openings that it touches become one with it. */
export function cutOut(draft: Draft, region: readonly Polygon[]): Draft {
  const { near, far } = parted(draft, region)
  return {
    ...draft,
    openings: [
      ...far,
      ...union([...near, ...region])
        .filter(whole)
        .map(openingOf),
    ],
  }
}

/** A draft with a region filled up: openings lose what lies in it, or fall apart in it. */
export function filledUp(draft: Draft, region: readonly Polygon[]): Draft {
  const { near, far } = parted(draft, region)
  return { ...draft, openings: [...far, ...difference(near, region).filter(whole).map(openingOf)] }
}

/** What a round brush of `width` mm covers along some points. */
export function brushed(points: readonly Point[], width: number): Polygon[] {
  const [x, y] = points[0]!
  const line = points.length > 1 ? points.flat() : [x, y, x + 1e-3, y]
  return stroked(Float64Array.from(line), false, { width, cap: 'round', join: 'round', miterLimit: 2 })
}

/** What a straight strip of `width` mm covers from one point to another: a bridge, or a slot. */
export const strip = (from: Point, to: Point, width: number): Polygon[] =>
  stroked(Float64Array.from([...from, ...to]), false, { width, cap: 'butt', join: 'miter', miterLimit: 2 })

/** A draft without one opening. */
export const without = (draft: Draft, opening: number): Draft => ({
  ...draft,
  openings: draft.openings.filter((_, i) => i !== opening),
})

const meets = (a: Polygon, b: Polygon): boolean => intersection([a], [b]).some(whole)

/** A draft with openings added: as they are where they lie by themselves, else as one with what they lie over. */
export function added(draft: Draft, openings: readonly DraftOpening[]): Draft {
  let so = draft
  let shapes = draft.openings.map(o => polygonOf(o, COARSE_MM))
  let boxes = shapes.map(p => boxOf(p.outer))
  for (const opening of openings) {
    const shape = polygonOf(opening, COARSE_MM)
    const box = boxOf(shape.outer)
    if (boxes.some((b, i) => boxesMeet(b, box) && meets(shapes[i]!, shape))) {
      so = cutOut(so, [polygonOf(opening)])
      shapes = so.openings.map(o => polygonOf(o, COARSE_MM))
      boxes = shapes.map(p => boxOf(p.outer))
    } else {
      so = { ...so, openings: [...so.openings, opening] }
      shapes.push(shape)
      boxes.push(box)
    }
  }
  return so
}

export const circleAt = (at: Point, radius: number): DraftOpening => ({
  outer: ellipseCurve(at, radius, radius),
  holes: [],
})

/** A rectangle between two corners. */
export const rectangleOf = ([x, y]: Point, [u, v]: Point): DraftOpening => ({
  outer: cornersCurve([[x, y], [u, y], [u, v], [x, v]]), // prettier-ignore
  holes: [],
})

/** A closed outline through points: with corners there, or smooth. */
export function pathThrough(points: readonly Point[], smooth: boolean): DraftOpening {
  if (!smooth || points.length < 3) return { outer: cornersCurve(points), holes: [] }
  const ring = Float64Array.from(outlineThrough(points, 16))
  return openingOf({ outer: ring, holes: [] })
}

/** Which node of a draft: of an opening's outline (ring 0) or of a loose piece in it (1 and on). */
export interface NodeAt {
  readonly opening: number
  readonly ring: number
  readonly node: number
}

const ringsOf = ({ outer, holes }: DraftOpening): Curve[] => [outer, ...holes]

/** A draft with one node moved, and its handles with it. */
export function nodeMoved(draft: Draft, { opening, ring, node }: NodeAt, to: Point): Draft {
  const moved = (curve: Curve): Curve => {
    const from = curve[node]!.at
    const by: Point = [to[0] - from[0], to[1] - from[1]]
    const [one] = mapCurve([curve[node]!], p => [p[0] + by[0], p[1] + by[1]])
    return curve.map((n, i) => (i === node ? one! : n))
  }
  const openings = draft.openings.map((o, i) => {
    if (i !== opening) return o
    const [outer, ...holes] = ringsOf(o).map((curve, k) => (k === ring ? moved(curve) : curve))
    return { outer: outer!, holes }
  })
  return { ...draft, openings }
}

/** An opening brought to another place: turned clockwise by degrees about its frame's origin, then moved. */
export function placed(opening: DraftOpening, at: Point, turn = 0, scale = 1): DraftOpening {
  const c = Math.cos((turn * Math.PI) / 180) * scale
  const s = Math.sin((turn * Math.PI) / 180) * scale
  return mapOpening(opening, ([x, y]) => [at[0] + c * x - s * y, at[1] + s * x + c * y])
}
