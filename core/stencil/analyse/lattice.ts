import Flatbush from 'flatbush'
import { centroidOf, polygonArea, type Point, type Polygon, type Ring } from '../../geometry'

/** Directions in which shapes are compared, evenly round. */
const WAYS = 12

/**
 * How far a ring reaches from a point in each of some directions, mm (its support function): tells shapes of
 * one area apart, and how they lie.
 */
function reachOf(ring: Ring, [cx, cy]: Point): number[] {
  return Array.from({ length: WAYS }, (_, k) => {
    const ux = Math.cos((2 * Math.PI * k) / WAYS)
    const uy = Math.sin((2 * Math.PI * k) / WAYS)
    let far = -Infinity
    for (let i = 0; i < ring.length; i += 2)
      far = Math.max(far, (ring[i]! - cx) * ux + (ring[i + 1]! - cy) * uy)
    return far
  })
}

/**
 * Two shortest independent translations that map a texture's openings on themselves, mm, with the residual of
 * their middles.
 */
export interface Lattice {
  readonly a: Point
  readonly b: Point
  readonly residual: number
}

const TOLERANCE = 0.25
/** Fewer openings than this make no texture. */
const LEAST = 9
/** Share of the openings, those at the rim left out, that must land on another one. */
const SUPPORT = 0.9

/** An opening as it is compared with others: its balance point, area, and how far it reaches each way. */
interface Item {
  readonly c: Point
  readonly area: number
  readonly reach: readonly number[]
}

const alike = (a: Item, b: Item): boolean =>
  Math.abs(a.area - b.area) < 0.03 * Math.max(a.area, b.area) + 0.01 &&
  a.reach.every((r, i) => Math.abs(r - b.reach[i]!) < 0.06 * Math.max(r, b.reach[i]!) + 0.06)

/** Openings with an index of their balance points. */
interface Pattern {
  readonly items: readonly Item[]
  readonly index: Flatbush
}

function patternOf(openings: readonly Polygon[]): Pattern {
  const items = openings.map(o => {
    const c = centroidOf([o])
    return { c, area: polygonArea(o), reach: reachOf(o.outer, c) }
  })
  const index = new Flatbush(items.length)
  for (const { c } of items) index.add(c[0], c[1], c[0], c[1])
  index.finish()
  return { items, index }
}

/** A translation that is worth trying, with how far it leaves the openings from others, mm. */
interface Step {
  readonly v: Point
  readonly residual: number
}

/** Whether two translations are one, the same way or the other way round. */
const same = (t: Point, v: Point): boolean =>
  Math.hypot(t[0] - v[0], t[1] - v[1]) < TOLERANCE || Math.hypot(t[0] + v[0], t[1] + v[1]) < TOLERANCE

/**
 * Translations from a few openings near the middle to others like them, so that one odd opening does not
 * decide.
 */
function differences({ items, index }: Pattern): Point[] {
  const middle: Point = [(index.minX + index.maxX) / 2, (index.minY + index.maxY) / 2]
  const [start] = index.neighbors(middle[0], middle[1], 1)
  const found: Point[] = []
  for (const from of index.neighbors(items[start!]!.c[0], items[start!]!.c[1], 4)) {
    const a = items[from]!
    for (const k of index.neighbors(a.c[0], a.c[1], 25)) {
      const b = items[k]!
      const v: Point = [b.c[0] - a.c[0], b.c[1] - a.c[1]]
      if (Math.hypot(...v) > 0.5 && alike(b, a) && !found.some(t => same(t, v))) found.push(v)
    }
  }
  return found
}

/** The translation near `v` that fits best, or null when too few openings land on others. */
function fitOf({ items, index }: Pattern, v: Point): Step | null {
  let inside = 0,
    hits = 0,
    sx = 0,
    sy = 0,
    squares = 0
  for (const item of items) {
    const { c } = item
    const x = c[0] + v[0]
    const y = c[1] + v[1]
    if (
      x < index.minX - TOLERANCE ||
      x > index.maxX + TOLERANCE ||
      y < index.minY - TOLERANCE ||
      y > index.maxY + TOLERANCE
    )
      continue
    inside++
    const [n] = index.neighbors(x, y, 1, TOLERANCE * 2)
    const other = n === undefined ? undefined : items[n]
    if (!other || !alike(other, item)) continue
    hits++
    const dx = other.c[0] - c[0]
    const dy = other.c[1] - c[1]
    sx += dx
    sy += dy
    squares += dx * dx + dy * dy
  }
  if (hits < LEAST / 2 || hits < SUPPORT * inside) return null
  const mean: Point = [sx / hits, sy / hits]
  return { v: mean, residual: Math.sqrt(Math.max(0, squares / hits - mean[0] ** 2 - mean[1] ** 2)) }
}

/** Less than this share of the product of two lengths they are taken for parallel. */
const PARALLEL = 0.1
const parallel = (a: Point, b: Point): boolean =>
  Math.abs(a[0] * b[1] - a[1] * b[0]) <= PARALLEL * Math.hypot(...a) * Math.hypot(...b)

/**
 * Finds the lattice of a texture, or null where there is none: nearest differences between openings of equal
 * area are tried from the shortest on, and kept when nearly every opening whose image lies inside the pattern
 * lands on an opening of the same size.
 */
export function latticeOf(openings: readonly Polygon[]): Lattice | null {
  if (openings.length < LEAST) return null
  const pattern = patternOf(openings)
  let first: Step | null = null
  for (const v of differences(pattern).sort((p, q) => Math.hypot(...p) - Math.hypot(...q))) {
    const fit = fitOf(pattern, v)
    if (!fit) continue
    if (!first) first = fit
    else if (!parallel(first.v, fit.v))
      return { a: first.v, b: fit.v, residual: Math.max(first.residual, fit.residual) }
  }
  return null
}
