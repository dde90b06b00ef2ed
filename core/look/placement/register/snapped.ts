import type Flatbush from 'flatbush'
import { distance, movedBy, rigidFit, wrapDegrees, type Point, type Rigid } from '../../../geometry'

/** Slides nodes onto the nearest targets until the pairs stay the same. */
export function snapped(
  nodes: readonly Point[],
  targets: readonly Point[],
  index: Flatbush,
  start: Rigid,
  pitch: number,
): (Rigid & { residual: number; matched: number }) | null {
  // First the node nearest the middle of what the sheets share is put on its target, then all are fitted.
  const placed = nodes.map(n => movedBy(start, n))
  const inside = placed
    .map((p, i) => ({ p, i }))
    .filter(
      ({ p }) =>
        p[0] > index.minX - pitch &&
        p[0] < index.maxX + pitch &&
        p[1] > index.minY - pitch &&
        p[1] < index.maxY + pitch,
    )
  if (inside.length < 3) return null
  const mean = [
    inside.reduce((s, n) => s + n.p[0], 0) / inside.length,
    inside.reduce((s, n) => s + n.p[1], 0) / inside.length,
  ] as const
  const anchor = inside.reduce((a, n) => (distance(n.p, mean) < distance(a.p, mean) ? n : a))
  const [first] = index.neighbors(...anchor.p, 1)
  const to = targets[first!]!
  let map: Rigid = {
    turn: start.turn,
    shift: [start.shift[0] + to[0] - anchor.p[0], start.shift[1] + to[1] - anchor.p[1]],
  }
  let fit: ReturnType<typeof rigidFit> | null = null,
    matched = 0
  for (let round = 0; round < 8; round++) {
    const pairs: [Point, Point][] = []
    for (const node of nodes) {
      const p = movedBy(map, node)
      const [n] = index.neighbors(...p, 1, pitch * 0.45)
      if (n !== undefined) pairs.push([node, targets[n]!])
    }
    if (pairs.length < 3) return null
    const next = rigidFit(pairs)
    const still = fit && Math.abs(next.residual - fit.residual) < 1e-9 && pairs.length === matched
    fit = next
    matched = pairs.length
    map = next
    if (still) break
  }
  // A few nodes that happen to land well make no register.
  return fit && matched >= Math.max(3, 0.35 * inside.length)
    ? { turn: wrapDegrees(fit.turn), shift: fit.shift, residual: fit.residual, matched }
    : null
}
