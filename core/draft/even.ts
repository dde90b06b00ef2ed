import {
  boxAround,
  centroidOf,
  intersection,
  polygonArea,
  shareAlong,
  union,
  type Point,
  type Polygon,
  type Ring,
} from '../geometry'
import { latticeOf, symmetryOf } from '../stencil'
import { mapOpening, openingOf, polygonOf, type Draft, type DraftOpening } from './draft'

/** A change that is offered, with how far it moves points of outlines at most, mm. */
export interface Offer {
  readonly kind: 'level' | 'mirror' | 'lattice'
  readonly words: string
  readonly moves: number
  readonly draft: Draft
}

/** How finely curves are looked at here, mm. */
const LOOK_MM = 0.03

function toRing(x: number, y: number, ring: Ring): number {
  let least = Infinity
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const t = shareAlong(x, y, ring[j]!, ring[j + 1]!, ring[i]!, ring[i + 1]!)
    least = Math.min(
      least,
      Math.hypot(
        ring[j]! + (ring[i]! - ring[j]!) * t - x,
        ring[j + 1]! + (ring[i + 1]! - ring[j + 1]!) * t - y,
      ),
    )
  }
  return least
}

/** How far the points of one outline lie from another at most, mm. */
function movedBy(from: DraftOpening, to: DraftOpening): number {
  const a = polygonOf(from, LOOK_MM).outer
  const b = polygonOf(to, LOOK_MM).outer
  let most = 0
  for (let i = 0; i < a.length; i += 2) most = Math.max(most, toRing(a[i]!, a[i + 1]!, b))
  return most
}
const movesOf = (before: readonly DraftOpening[], after: readonly DraftOpening[]): number =>
  before.reduce((most, opening, i) => Math.max(most, movedBy(opening, after[i]!)), 0)

/** Turns a point about another, clockwise by degrees. */
const turned = (centre: Point, degrees: number) => {
  const c = Math.cos((degrees * Math.PI) / 180)
  const s = Math.sin((degrees * Math.PI) / 180)
  return ([x, y]: Point): Point => [
    centre[0] + c * (x - centre[0]) - s * (y - centre[1]),
    centre[1] + s * (x - centre[0]) + c * (y - centre[1]),
  ]
}

/** A mirror axis further from upright than this is meant to lie so, degrees. */
const CROOKED = 8
/** Nearer than this it is upright already. */
const LEVEL = 0.1

/** How far the nearest axis is off upright or across, degrees; null where there is none. */
function offLevel(angles: readonly number[]): number | null {
  const off = angles.map(a => ((((a + 45) % 90) + 90) % 90) - 45).sort((a, b) => Math.abs(a) - Math.abs(b))
  return off[0] ?? null
}

/** The draft with all its openings turned about their balance point, clockwise by degrees. */
export function turnedBy(draft: Draft, degrees: number): Draft {
  const centre = centroidOf(draft.openings.map(o => polygonOf(o, LOOK_MM)))
  return { ...draft, openings: draft.openings.map(o => mapOpening(o, turned(centre, degrees))) }
}

/** Reflects a point across the line through a centre, at an angle from upright (degrees). */
function reflection(centre: Point, angle: number) {
  const t = (2 * angle * Math.PI) / 180
  // Across an upright line x changes sign; the line's turn comes twice.
  const [c, s] = [Math.cos(t), Math.sin(t)]
  return ([x, y]: Point): Point => {
    const u = x - centre[0]
    const v = y - centre[1]
    return [centre[0] - c * u - s * v, centre[1] - s * u + c * v]
  }
}

/** How far middles may be off, and areas, for two openings to be meant as images of one another. */
const PARTNER_MM = 1.2
const PARTNER_AREA = 0.15

/** For each opening the one that its mirror image lies on; null when one has none. */
function partners(shapes: readonly Polygon[], mirror: (p: Point) => Point): number[] | null {
  const items = shapes.map(s => ({ at: centroidOf([s]), area: polygonArea(s) }))
  const found = items.map(({ at, area }) => {
    const image = mirror(at)
    let best = -1
    let least = PARTNER_MM
    items.forEach((other, k) => {
      const d = Math.hypot(other.at[0] - image[0], other.at[1] - image[1])
      if (d < least && Math.abs(other.area / area - 1) < PARTNER_AREA) {
        least = d
        best = k
      }
    })
    return best
  })
  return found.every((k, i) => k >= 0 && found[k] === i) ? found : null
}

/** An opening that lies on the axis, made of its left half and that half's image. */
function halved(opening: DraftOpening, half: Polygon, mirror: (p: Point) => Point): DraftOpening {
  const kept = intersection([polygonOf(opening)], [half])
  const image = kept.map(p => polygonOf(mapOpening(openingOf(p), mirror)))
  const whole = union([...kept, ...image]).sort((a, b) => polygonArea(b) - polygonArea(a))
  return whole[0] ? openingOf(whole[0]) : opening
}

/** The half of the plane on one side of an axis, as far as a sheet reaches. */
function halfPlane(centre: Point, angle: number): Polygon {
  const far = 2000
  const place = turned(centre, angle)
  const corners: Point[] = [[-far, -far], [1e-3, -far], [1e-3, far], [-far, far]] // prettier-ignore
  const ring = corners.map(([x, y]) => place([centre[0] + x, centre[1] + y])).flat()
  return { outer: Float64Array.from(ring), holes: [] }
}

/** A draft whose openings are exact images of one another across an axis; null when some have none. */
function mirroredOn(draft: Draft, centre: Point, angle: number): Draft | null {
  const shapes = draft.openings.map(o => polygonOf(o, LOOK_MM))
  const mirror = reflection(centre, angle)
  const pairs = partners(shapes, mirror)
  if (!pairs) return null
  const half = halfPlane(centre, angle)
  const openings = [...draft.openings]
  pairs.forEach((k, i) => {
    if (k === i) openings[i] = halved(draft.openings[i]!, half, mirror)
    else if (i < k) {
      // Both meet half way; the shape is that of the one.
      const here = centroidOf([shapes[i]!])
      const there = mirror(centroidOf([shapes[k]!]))
      const by: Point = [(there[0] - here[0]) / 2, (there[1] - here[1]) / 2]
      openings[i] = mapOpening(draft.openings[i]!, ([x, y]) => [x + by[0], y + by[1]])
      openings[k] = mapOpening(openings[i]!, mirror)
    }
  })
  return { ...draft, openings }
}

/** How far an opening reaches in twelve directions, which tells shapes of one area apart, mm. */
function reach(ring: Ring, [x, y]: Point): number[] {
  return Array.from({ length: 12 }, (_, k) => {
    const [c, s] = [Math.cos((k * Math.PI) / 6), Math.sin((k * Math.PI) / 6)]
    let far = -Infinity
    for (let i = 0; i < ring.length; i += 2) far = Math.max(far, (ring[i]! - x) * c + (ring[i + 1]! - y) * s)
    return far
  })
}

/** How far two openings of one kind may reach differently, mm. */
const SAME_REACH = 0.3
/** Fewer openings of a kind than this are left as they are. */
const LEAST_KIND = 4

interface Item {
  readonly at: Point
  readonly area: number
  readonly reach: number[]
  readonly index: number
}

/** Openings of one shape each, the rest in none. */
function kindsOf(shapes: readonly Polygon[]): Item[][] {
  const kinds: Item[][] = []
  shapes.forEach((shape, index) => {
    const at = centroidOf([shape])
    const item: Item = { at, area: polygonArea(shape), reach: reach(shape.outer, at), index }
    const home = kinds.find(([first]) =>
      item.reach.every((r, k) => Math.abs(r - first!.reach[k]!) < SAME_REACH),
    )
    if (home) home.push(item)
    else kinds.push([item])
  })
  return kinds
}

/** A draft whose openings of one shape lie exactly on a lattice and are exactly alike. */
function latticedOn(draft: Draft, a: Point, b: Point): Draft {
  const shapes = draft.openings.map(o => polygonOf(o, LOOK_MM))
  const openings = [...draft.openings]
  const det = a[0] * b[1] - a[1] * b[0]
  for (const kind of kindsOf(shapes)) {
    if (kind.length < LEAST_KIND) continue
    const [x0, y0] = kind[0]!.at
    const places = kind.map(({ at: [x, y] }) => {
      const u = Math.round(((x - x0) * b[1] - (y - y0) * b[0]) / det)
      const v = Math.round((a[0] * (y - y0) - a[1] * (x - x0)) / det)
      return [u * a[0] + v * b[0], u * a[1] + v * b[1]] as const
    })
    const mean = (axis: 0 | 1) =>
      kind.reduce((s, { at }, i) => s + at[axis] - places[i]![axis], 0) / kind.length
    const origin: Point = [mean(0), mean(1)]
    const model = [...kind].sort((p, q) => p.area - q.area)[kind.length >> 1]!
    kind.forEach((item, i) => {
      const [dx, dy] = [origin[0] + places[i]![0] - model.at[0], origin[1] + places[i]![1] - model.at[1]]
      openings[item.index] = mapOpening(draft.openings[model.index]!, ([x, y]) => [x + dx, y + dy])
    })
  }
  return { ...draft, openings }
}

/** Offers that would move points further than this are not made: the sheet is meant to be as it is, mm. */
const FURTHEST = 1.5

/**
 * What could be made even in a draft: its axis upright, both sides alike, a lattice regular; each with how
 * far it would move points. What is even already is not offered.
 */
export function offersFor(draft: Draft): Offer[] {
  const shapes = draft.openings.map(o => polygonOf(o, LOOK_MM))
  if (!shapes.length) return []
  const { axes, centre } = symmetryOf(shapes)
  const angles = axes.map(x => x.angle)
  const offers: Offer[] = []
  const off = offLevel(angles)
  if (off !== null && Math.abs(off) > LEVEL && Math.abs(off) < CROOKED) {
    const level = turnedBy(draft, -off)
    const words = `Straighten: turn by ${Math.abs(off).toFixed(1)}°, so that its axis stands upright`
    offers.push({ kind: 'level', words, moves: movesOf(draft.openings, level.openings), draft: level })
  }
  const nearest = [...angles, 0].sort((p, q) => Math.abs(p) - Math.abs(q))[0]!
  const even = mirroredOn(draft, centre, angles.length ? nearest : 0)
  const evenMoves = even && movesOf(draft.openings, even.openings)
  if (even && evenMoves! > 0.01 && evenMoves! < FURTHEST)
    offers.push({ kind: 'mirror', words: 'Make both sides exactly alike', moves: evenMoves!, draft: even })
  const lattice = latticeOf(shapes)
  if (lattice) {
    const regular = latticedOn(draft, lattice.a, lattice.b)
    const moves = movesOf(draft.openings, regular.openings)
    if (moves > 0.01 && moves < FURTHEST)
      offers.push({ kind: 'lattice', words: 'Make the repeat exactly regular', moves, draft: regular })
  }
  return offers
}

/** The box round a draft's openings, mm. */
export const openingsBox = (draft: Draft) => boxAround(draft.openings.map(o => polygonOf(o, LOOK_MM)))
