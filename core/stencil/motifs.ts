import { boxAround, boxesMeet, distanceBetween, polygonArea, type Box } from '../geometry'
import type { SheetGeometry } from './types'

/** Openings nearer than this are always one motif, farther than that never, mm (common practice). */
const SURE = 1.2
const NEVER = 9
/** A gap so much wider than the usual one between neighbours parts two motifs. */
const WIDER = 1.9

/** A sheet of more openings is a texture, which has no motifs. */
const MOST = 400

const grown = (b: Box, by: number): Box => ({
  minX: b.minX - by,
  minY: b.minY - by,
  maxX: b.maxX + by,
  maxY: b.maxY + by,
})

/**
 * The openings of a sheet that make up one motif each, such as the pads of a paw: single linkage by the gaps
 * between them, cut where a gap is much wider than neighbours usually have (Sibson 1973, Computer Journal 16:30).
 * @returns groups of opening numbers, the largest first; a texture comes out as one group
 */
export function motifsOf({ openings }: Pick<SheetGeometry, 'openings'>): number[][] {
  if (openings.length > MOST) return [openings.map((_, n) => n)]
  const boxes = openings.map(o => boxAround([o]))
  const gaps: { a: number; b: number; gap: number }[] = []
  for (let a = 0; a < openings.length; a++)
    for (let b = a + 1; b < openings.length; b++) {
      if (!boxesMeet(grown(boxes[a]!, NEVER), boxes[b]!)) continue
      const gap = distanceBetween([openings[a]!], [openings[b]!])
      if (gap < NEVER) gaps.push({ a, b, gap })
    }
  gaps.sort((p, q) => p.gap - q.gap)
  const parent = openings.map((_, n) => n)
  const root = (n: number): number => (parent[n] === n ? n : (parent[n] = root(parent[n]!)))
  const nearest = openings.map(() => Infinity)
  for (const { a, b, gap } of gaps) {
    nearest[a] = Math.min(nearest[a]!, gap)
    nearest[b] = Math.min(nearest[b]!, gap)
  }
  const known = nearest.filter(Number.isFinite).sort((p, q) => p - q)
  const usual = known[known.length >> 1] ?? SURE
  for (const { a, b, gap } of gaps) if (gap <= Math.max(SURE, usual * WIDER)) parent[root(a)] = root(b)
  const groups = new Map<number, number[]>()
  openings.forEach((_, n) => groups.set(root(n), [...(groups.get(root(n)) ?? []), n]))
  const area = (list: readonly number[]) => list.reduce((sum, n) => sum + polygonArea(openings[n]!), 0)
  return [...groups.values()].sort((p, q) => area(q) - area(p))
}
