import {
  ClipType,
  EndType,
  FillRule,
  inflatePaths,
  JoinType,
  simplifyPaths,
  Clipper64,
  PolyTree64,
  type Path64,
  type Paths64,
  type PolyPath64,
} from 'clipper2-ts'
import type { Polygon } from './polygon'
import { boxOf, signedArea, type Ring } from './ring'

/** Clipping works on whole numbers; this many to the millimetre (0.1 micrometre). */
const GRID = 10_000

export type Rule = 'nonzero' | 'evenodd'

const RULE: Record<Rule, FillRule> = { nonzero: FillRule.NonZero, evenodd: FillRule.EvenOdd }

function toPath(ring: Ring): Path64 {
  const path: Path64 = []
  for (let i = 0; i < ring.length; i += 2)
    path.push({ x: Math.round(ring[i]! * GRID), y: Math.round(ring[i + 1]! * GRID) })
  return path
}

function toRing(path: Path64): Ring {
  const ring = new Float64Array(path.length * 2)
  path.forEach((p, i) => {
    ring[2 * i] = p.x / GRID
    ring[2 * i + 1] = p.y / GRID
  })
  return ring
}

function polygonsIn(node: PolyPath64, into: Polygon[]): Polygon[] {
  for (let i = 0; i < node.count; i++) {
    const outer = node.child(i)
    const holes: Ring[] = []
    for (let k = 0; k < outer.count; k++) {
      const hole = outer.child(k)
      holes.push(toRing(hole.polygon!))
      polygonsIn(hole, into)
    }
    into.push({ outer: toRing(outer.polygon!), holes })
  }
  return into
}

function combine(type: ClipType, subject: Paths64, clip: Paths64, rule: FillRule): Polygon[] {
  const tree = new PolyTree64()
  const engine = new Clipper64()
  engine.addSubject(subject)
  if (clip.length) engine.addClip(clip)
  engine.execute(type, rule, tree)
  return polygonsIn(tree, [])
}

const pathsOf = (polygons: Iterable<Polygon>): Paths64 => {
  const paths: Paths64 = []
  for (const p of polygons) {
    // Outer rings and holes must run opposite ways for the non-zero rule.
    const outer = toPath(p.outer)
    const sign = Math.sign(signedArea(p.outer))
    paths.push(sign < 0 ? outer.reverse() : outer)
    for (const hole of p.holes) {
      const path = toPath(hole)
      paths.push(Math.sign(signedArea(hole)) > 0 ? path.reverse() : path)
    }
  }
  return paths
}

/** A ring with fewer points, none of which it leaves by more than `off` mm. */
export const simplified = (ring: Ring, off: number): Ring =>
  toRing(simplifyPaths([toPath(ring)], off * GRID, true)[0]!)

/**
 * The region that some rings enclose under a fill rule, as separate polygons with holes. Coordinates in mm.
 */
export function regionOf(rings: Iterable<Ring>, rule: Rule): Polygon[] {
  return combine(ClipType.Union, Array.from(rings, toPath), [], RULE[rule])
}

/** Everything that is in any of the polygons. */
export const union = (polygons: Iterable<Polygon>): Polygon[] =>
  combine(ClipType.Union, pathsOf(polygons), [], FillRule.NonZero)

/** What is in `a` but not in `b`. */
export const difference = (a: Iterable<Polygon>, b: Iterable<Polygon>): Polygon[] =>
  combine(ClipType.Difference, pathsOf(a), pathsOf(b), FillRule.NonZero)

/** What is in both. */
export const intersection = (a: Iterable<Polygon>, b: Iterable<Polygon>): Polygon[] =>
  combine(ClipType.Intersection, pathsOf(a), pathsOf(b), FillRule.NonZero)

/** Whether a ring is wider and taller than so many mm. */
function wider(ring: Ring, mm: number): boolean {
  const { minX, minY, maxX, maxY } = boxOf(ring)
  return Math.min(maxX - minX, maxY - minY) > mm
}

/**
 * The polygons grown (delta > 0) or shrunk (delta < 0) by `delta` mm, with round corners true to 0.005 mm.
 */
export function offset(polygons: Iterable<Polygon>, delta: number): Polygon[] {
  // What shrinks to nothing is left out ahead: turned inside out it is what takes longest to untangle.
  const stays = delta < 0 ? Array.from(polygons).filter(p => wider(p.outer, -2 * delta)) : polygons
  const grown = inflatePaths(pathsOf(stays), delta * GRID, JoinType.Round, EndType.Polygon, 2, 0.005 * GRID)
  // Arcs leave more points than their tolerance needs.
  return combine(ClipType.Union, simplifyPaths(grown, 0.002 * GRID), [], FillRule.NonZero)
}

/** How the ends and corners of a stroke are drawn. */
export interface Pen {
  readonly width: number
  readonly cap: 'butt' | 'round' | 'square'
  readonly join: 'miter' | 'round' | 'bevel'
  readonly miterLimit: number
}

const JOINS = { miter: JoinType.Miter, round: JoinType.Round, bevel: JoinType.Bevel } as const
const CAPS = { butt: EndType.Butt, round: EndType.Round, square: EndType.Square } as const

/**
 * What a stroke along a line covers.
 * @param line flat points, mm
 * @param closed whether it goes back to its start, with a corner there
 */
export function stroked(line: Ring, closed: boolean, { width, cap, join, miterLimit }: Pen): Polygon[] {
  const grown = inflatePaths(
    [toPath(line)],
    (width / 2) * GRID,
    JOINS[join],
    closed ? EndType.Joined : CAPS[cap],
    Math.max(1, miterLimit),
    0.005 * GRID,
  )
  return combine(ClipType.Union, simplifyPaths(grown, 0.002 * GRID), [], FillRule.NonZero)
}
