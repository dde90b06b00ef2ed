import { boxAround, distanceBetween, polygonArea, type Box } from '../geometry'
import type { SheetGeometry } from './types'

/** Openings nearer than this are always one motif, mm (common practice). */
const SURE = 1.2
/** From here on a gap is told roughly, mm. */
const FAR = 9
/** A gap parts two motifs when it is so much wider than the widest within them. */
const WIDER = 1.9

/** A sheet of more openings is a texture, which has no motifs. */
const MOST = 400

/** How far two boxes lie apart, mm; 0 where they meet. */
const boxGap = (a: Box, b: Box): number =>
  Math.hypot(Math.max(0, b.minX - a.maxX, a.minX - b.maxX), Math.max(0, b.minY - a.maxY, a.minY - b.maxY))

/** Sets that are joined two and two. */
function disjoint(count: number) {
  const parent = Array.from({ length: count }, (_, n) => n)
  const root = (n: number): number => (parent[n] === n ? n : (parent[n] = root(parent[n]!)))
  return {
    root,
    /** Joins the sets of two members; false when they were one already. */
    join(a: number, b: number): boolean {
      const [p, q] = [root(a), root(b)]
      parent[p] = q
      return p !== q
    },
  }
}

/**
 * The widest gap within a motif, by the gaps that link all openings, narrow to wide: below the largest leap among
 * them, when that is a leap; else all of them are of one motif.
 */
function widestWithin(links: readonly number[]): number {
  let best = 0
  let widest = Infinity
  links.slice(1).forEach((gap, i) => {
    const before = links[i]!
    if (gap < SURE || gap < WIDER * Math.max(before, SURE / 2) || gap - before <= best) return
    best = gap - before
    widest = before
  })
  return widest
}

/**
 * The openings of a sheet that make up one motif each, such as the pads of a paw: single linkage by the gaps
 * between them, cut where they leap (Sibson 1973, Computer Journal 16:30).
 * @returns groups of opening numbers, the largest first; a texture comes out as one group
 */
export function motifsOf({ openings }: Pick<SheetGeometry, 'openings'>): number[][] {
  if (openings.length > MOST) return [openings.map((_, n) => n)]
  const boxes = openings.map(o => boxAround([o]))
  const gaps: { a: number; b: number; gap: number }[] = []
  for (let a = 0; a < openings.length; a++)
    for (let b = a + 1; b < openings.length; b++) {
      const far = boxGap(boxes[a]!, boxes[b]!)
      // Far apart, their boxes tell it well enough.
      gaps.push({ a, b, gap: far > FAR ? far : distanceBetween([openings[a]!], [openings[b]!]) })
    }
  gaps.sort((p, q) => p.gap - q.gap)
  const joined = disjoint(openings.length)
  const links = gaps.filter(({ a, b }) => joined.join(a, b))
  const widest = widestWithin(links.map(l => l.gap))
  const motifs = disjoint(openings.length)
  for (const { a, b, gap } of links) if (gap <= widest) motifs.join(a, b)
  const groups = new Map<number, number[]>()
  openings.forEach((_, n) => groups.set(motifs.root(n), [...(groups.get(motifs.root(n)) ?? []), n]))
  const area = (list: readonly number[]) => list.reduce((sum, n) => sum + polygonArea(openings[n]!), 0)
  return [...groups.values()].sort((p, q) => area(q) - area(p))
}
