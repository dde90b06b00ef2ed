import { boxAround, distance, movedBy, wrapDegrees, type Point, type Rigid } from '../../../geometry'
import type { PreparedSheet } from '../../../stencil'
import { indexOf } from './near'
import type { RegisterFit } from './registerFit'
import { snapped } from './snapped'

/**
 * The guest beside the host on the side where it is now, edge to edge, with the host's narrowest bridge
 * between; a common pattern goes on.
 */
export function edgeFit(host: PreparedSheet, guest: PreparedSheet, hint: Rigid): RegisterFit | string {
  const turn = wrapDegrees(Math.round(hint.turn / 90) * 90)
  const h = boxAround(host.openings)
  const rotated = guest.openings.map(o => o.outer.length / 2)
  if (rotated.length === 0) return `"${guest.name}" has no openings.`
  let minX = Infinity,
    maxX = -Infinity,
    minY = Infinity,
    maxY = -Infinity
  for (const o of guest.openings) {
    for (let i = 0; i < o.outer.length; i += 2) {
      const [x, y] = movedBy({ turn, shift: [0, 0] }, [o.outer[i]!, o.outer[i + 1]!])
      minX = Math.min(minX, x)
      maxX = Math.max(maxX, x)
      minY = Math.min(minY, y)
      maxY = Math.max(maxY, y)
    }
  }
  const gap = EDGE_GAP
  const hx = (h.minX + h.maxX) / 2
  const hy = (h.minY + h.maxY) / 2
  const gx = (minX + maxX) / 2
  const gy = (minY + maxY) / 2
  const sides: Point[] = [
    [h.maxX + gap - minX, hy - gy],
    [h.minX - gap - maxX, hy - gy],
    [hx - gx, h.maxY + gap - minY],
    [hx - gx, h.minY - gap - maxY],
  ]
  const shift = sides.reduce((best, s) => (distance(s, hint.shift) < distance(best, hint.shift) ? s : best))
  const H = host.measures.lattice
  const G = guest.measures.lattice
  const nodes = guest.measures.middles
  const same = H && G && turn === 0 && distance(H.a, G.a) < 0.3 && distance(H.b, G.b) < 0.3
  if (!same) return { turn, shift, residual: 0, tolerance: gap, matched: 1 }
  // The host's pattern is thought on past its edge, and the guest's nodes are put on it.
  const [start] = host.measures.middles
  const far = 60
  const grid: Point[] = []
  for (let i = -far; i <= far; i++)
    for (let j = -far; j <= far; j++)
      grid.push([start![0] + i * H.a[0] + j * H.b[0], start![1] + i * H.a[1] + j * H.b[1]])
  const fit = snapped(
    nodes,
    grid,
    indexOf(grid),
    { turn, shift },
    Math.min(Math.hypot(...H.a), Math.hypot(...H.b)),
  )
  return fit ? { ...fit, tolerance: gap } : { turn, shift, residual: 0, tolerance: gap, matched: 1 }
}

/** Gap between two prints laid edge to edge, mm (common practice). */
const EDGE_GAP = 2
