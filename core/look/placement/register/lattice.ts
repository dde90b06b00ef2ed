import {
  boxAround,
  degrees,
  distance,
  movedBy,
  polygonHolds,
  wrapDegrees,
  type Point,
  type Rigid,
} from '../../../geometry'
import type { Lattice, PreparedSheet } from '../../../stencil'
import { indexOf, toEdge } from './near'
import type { RegisterFit } from './registerFit'
import { snapped } from './snapped'

/** Where the solid between a texture's openings is widest, one point a cell. */
function bridgePoints(host: PreparedSheet, { a, b }: Lattice): Point[] {
  const all = host.measures.middles
  const index = indexOf(all)
  const box = boxAround(host.openings)
  const offsets: Point[] = [
    [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2],
    [(a[0] - b[0]) / 2, (a[1] - b[1]) / 2],
    [a[0] / 2, a[1] / 2],
    [b[0] / 2, b[1] / 2],
  ]
  const room = ([x, y]: Point): number => {
    const near = index.neighbors(x, y, 6)
    return Math.min(
      ...near.map(n => (polygonHolds(host.openings[n]!, x, y) ? 0 : toEdge([x, y], host.openings[n]!))),
    )
  }
  // Judged at the middle of the pattern, where every neighbour is there.
  const [centre] = index.neighbors((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2, 1)
  const [cx, cy] = all[centre!]!
  const best = offsets
    .map(o => ({ o, room: room([cx + o[0], cy + o[1]]) }))
    .sort((p, q) => q.room - p.room)[0]!.o
  return all
    .map((c): Point => [c[0] + best[0], c[1] + best[1]])
    .filter(([x, y]) => x > box.minX && x < box.maxX && y > box.minY && y < box.maxY)
}

/** The pattern of a guest on the openings of a host, or on its bridges. */
export function latticeFit(
  host: PreparedSheet,
  guest: PreparedSheet,
  way: 'openings' | 'bridges',
  hint: Rigid,
): RegisterFit | string {
  const H = host.measures.lattice
  const G = guest.measures.lattice
  if (!H) return `"${host.name}" has no regular pattern to register on; try motif in motif.`
  if (!G) return `"${guest.name}" has no regular pattern; try motif in motif.`
  const nodes = guest.measures.middles
  const targets = way === 'openings' ? host.measures.middles : bridgePoints(host, H)
  const index = indexOf(targets)
  const length = (v: Point) => Math.hypot(...v)
  const angle = (v: Point) => degrees(Math.atan2(v[1], v[0]))
  const pitch = Math.min(length(H.a), length(H.b))
  const around = ({ a, b }: Lattice): Point[] =>
    [a, b, [a[0] + b[0], a[1] + b[1]], [a[0] - b[0], a[1] - b[1]]].flatMap(([x, y]): Point[] => [
      [x!, y!],
      [-x!, -y!],
    ])
  const turns: number[] = []
  for (const h of around(H)) {
    for (const g of around(G)) {
      const turn = wrapDegrees(angle(h) - angle(g))
      if (!turns.some(t => Math.abs(wrapDegrees(t - turn)) < 0.3)) turns.push(turn)
    }
  }
  let best: RegisterFit | null = null
  const cost = (f: RegisterFit) =>
    Math.round(f.residual / 0.02) * 1000 +
    Math.abs(wrapDegrees(f.turn - hint.turn)) +
    distance(f.shift, hint.shift)
  for (const turn of turns) {
    const fit = snapped(nodes, targets, index, { turn, shift: hint.shift }, pitch)
    if (!fit) continue
    const whole = { ...fit, tolerance: tolerance(host, nodes, fit, way, pitch) }
    if (!best || cost(whole) < cost(best)) best = whole
  }
  if (!best) return 'The stencils lie too far apart: bring one over the other first.'
  if (best.matched === 0) return 'Nothing of the one lies over the other: bring one over the other first.'
  return best.residual > pitch / 5
    ? `The patterns do not go together: their steps differ, and ${best.residual.toFixed(1)} mm would be left on average.`
    : best
}

function tolerance(
  host: PreparedSheet,
  nodes: readonly Point[],
  map: Rigid,
  way: 'openings' | 'bridges',
  pitch: number,
): number {
  const index = indexOf(host.measures.middles)
  const box = boxAround(host.openings)
  let least = Infinity
  for (const node of nodes) {
    const p = movedBy(map, node)
    if (p[0] < box.minX || p[0] > box.maxX || p[1] < box.minY || p[1] > box.maxY) continue
    const near = index.neighbors(...p, 4, pitch * 1.6).map(n => host.openings[n]!)
    const inside = near.find(o => polygonHolds(o, ...p))
    if (way === 'openings') least = Math.min(least, inside ? toEdge(p, inside) : near.length ? 0 : Infinity)
    else least = Math.min(least, inside ? 0 : Math.min(Infinity, ...near.map(o => toEdge(p, o))))
  }
  return Number.isFinite(least) ? least : 0
}
