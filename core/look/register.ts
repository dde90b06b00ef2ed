import Flatbush from 'flatbush'
import {
  boxAround,
  boxOf,
  centroidOf,
  degrees,
  distance,
  movedBack,
  movedBy,
  polygonArea,
  polygonHolds,
  rigidFit,
  wrapDegrees,
  type Point,
  type Polygon,
  type Rigid,
} from '../geometry'
import type { Placement } from '../skin'
import { distanceToRing, latticeOf, type Lattice, type Stencil } from '../stencil'
import type { SheetStep, Step } from './kinds'
import type { RegisterWay } from './registerSchema'

/** How well one sheet lies in register with another. */
export interface RegisterFit extends Rigid {
  /** Root mean square distance of the matched points, mm. */
  readonly residual: number
  /** How far the sheet may slip before the first node leaves its opening (or its bridge), mm. */
  readonly tolerance: number
  readonly matched: number
}

const lattices = new WeakMap<Stencil, Lattice | null>()
const middles = new WeakMap<Stencil, Point[]>()

function latticeFor(sheet: Stencil): Lattice | null {
  if (!lattices.has(sheet)) lattices.set(sheet, latticeOf(sheet.openings))
  return lattices.get(sheet)!
}
function middlesOf(sheet: Stencil): Point[] {
  if (!middles.has(sheet))
    middles.set(
      sheet,
      sheet.openings.map(o => centroidOf([o])),
    )
  return middles.get(sheet)!
}

/**
 * Fits a guest sheet on a host: how the guest's frame must lie in the host's.
 * @param hint how it lies now; among equally good places the nearest is taken
 * @returns the fit, or a sentence that says why there is none
 */
export function registerFit(
  host: Stencil,
  guest: Stencil,
  way: RegisterWay,
  hint: Rigid,
): RegisterFit | string {
  return way === 'motif'
    ? motifFit(host, guest, hint)
    : way === 'edge'
      ? edgeFit(host, guest, hint)
      : latticeFit(host, guest, way, hint)
}

const toEdge = ([x, y]: Point, o: Polygon): number =>
  Math.min(...[o.outer, ...o.holes].map(ring => distanceToRing(ring, x, y)))

const indexOf = (points: readonly Point[]): Flatbush => {
  const index = new Flatbush(Math.max(1, points.length))
  for (const [x, y] of points.length ? points : [[0, 0] as Point]) index.add(x, y, x, y)
  index.finish()
  return index
}

/** Where the solid between a texture's openings is widest, one point a cell. */
function bridgePoints(host: Stencil, { a, b }: Lattice): Point[] {
  const all = middlesOf(host)
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

function latticeFit(
  host: Stencil,
  guest: Stencil,
  way: 'openings' | 'bridges',
  hint: Rigid,
): RegisterFit | string {
  const H = latticeFor(host)
  const G = latticeFor(guest)
  if (!H) return `"${host.name}" has no regular pattern to register on; try motif in motif.`
  if (!G) return `"${guest.name}" has no regular pattern; try motif in motif.`
  const nodes = middlesOf(guest)
  const targets = way === 'openings' ? middlesOf(host) : bridgePoints(host, H)
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
  if (!best) return 'The sheets lie too far apart: bring one over the other first.'
  if (best.matched === 0) return 'Nothing of the one lies over the other: bring one over the other first.'
  return best.residual > pitch / 5
    ? `The patterns do not go together: their steps differ, and ${best.residual.toFixed(1)} mm would be left on average.`
    : best
}

/** Slides nodes onto the nearest targets until the pairs stay the same. */
function snapped(
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

function tolerance(
  host: Stencil,
  nodes: readonly Point[],
  map: Rigid,
  way: 'openings' | 'bridges',
  pitch: number,
): number {
  const index = indexOf(middlesOf(host))
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

/** The guest's motif in the middle of the host's: in the opening that holds it, else in the middle of all of them. */
function motifFit(host: Stencil, guest: Stencil, hint: Rigid): RegisterFit {
  const own =
    host.heading !== null &&
    host.heading !== undefined &&
    guest.heading !== null &&
    guest.heading !== undefined
      ? host.heading - guest.heading
      : host.axes?.length && guest.axes?.length
        ? nearestTurn(
            host.axes.map(a => a - guest.axes![0]!),
            hint.turn,
          )
        : hint.turn
  const turn = wrapDegrees(own)
  const middle = centroidOf(guest.openings)
  const g = boxAround(guest.openings)
  const now = movedBy({ turn: hint.turn, shift: hint.shift }, middle)
  const big = host.openings
    .filter(o => {
      const b = boxOf(o.outer)
      return b.maxX - b.minX > g.maxX - g.minX && b.maxY - b.minY > g.maxY - g.minY
    })
    .map(o => centroidOf([o]))
    .sort((a, b) => distance(a, now) - distance(b, now))
  const to = big[0] ?? centroidOf(host.openings)
  const at = movedBy({ turn, shift: [0, 0] }, middle)
  const shift: Point = [to[0] - at[0], to[1] - at[1]]
  return {
    turn,
    shift,
    residual: distance(movedBy({ turn, shift }, middle), to),
    tolerance: clearance(host, guest, { turn, shift }),
    matched: 1,
  }
}

const nearestTurn = (turns: readonly number[], to: number): number =>
  turns
    .flatMap(t => [t, t + 180])
    .reduce((best, t) => (Math.abs(wrapDegrees(t - to)) < Math.abs(wrapDegrees(best - to)) ? t : best))

/** The least distance from a point of the guest's print to the edge of the host's, mm; 0 where they cross. */
function clearance(host: Stencil, guest: Stencil, map: Rigid): number {
  let least = Infinity
  const holders = new Set<number>()
  for (const o of guest.openings) {
    for (let i = 0; i < o.outer.length; i += 4) {
      const p = movedBy(map, [o.outer[i]!, o.outer[i + 1]!])
      holders.add(host.openings.findIndex(h => polygonHolds(h, ...p)))
      for (const h of host.openings) least = Math.min(least, toEdge(p, h))
    }
  }
  // Partly in an opening and partly out of it: the prints cross already.
  return holders.size > 1 ? 0 : least
}

/** The guest beside the host on the side where it is now, edge to edge, with the host's narrowest bridge between; a common pattern goes on. */
function edgeFit(host: Stencil, guest: Stencil, hint: Rigid): RegisterFit | string {
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
  const H = latticeFor(host)
  const G = latticeFor(guest)
  const nodes = middlesOf(guest)
  const same = H && G && turn === 0 && distance(H.a, G.a) < 0.3 && distance(H.b, G.b) < 0.3
  if (!same) return { turn, shift, residual: 0, tolerance: gap, matched: 1 }
  // The host's pattern is thought on past its edge, and the guest's nodes are put on it.
  const [start] = middlesOf(host)
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

/**
 * How many of a guest's painted openings meet what the host prints, held as told: on openings and as motif their middles lie in one of the host's,
 * on bridges and edge to edge beside one, no farther than a bridge is wide.
 */
export function registerMeets(
  host: Stencil,
  guest: Stencil,
  painted: { host: ReadonlySet<number>; guest: ReadonlySet<number> },
  way: RegisterWay,
  held: Rigid,
): number {
  const shapes = [...painted.host].flatMap(n => host.openings[n] ?? [])
  const inside = way === 'openings' || way === 'motif'
  return [...painted.guest].filter(n => {
    const opening = guest.openings[n]
    if (!opening) return false
    const p = movedBy(held, centroidOf([opening]))
    return shapes.some(
      o => polygonHolds(o, ...p) || (!inside && toEdge(p, o) < BESIDE_MM + Math.sqrt(polygonArea(opening))),
    )
  }).length
}
/** A bridge between two patterns in register is no wider than this, mm (common practice). */
const BESIDE_MM = 4

/** How a guest lies in its host's sheet frame, from where both lie on the skin; null when they lie on different sides. */
export function relationOf(host: Placement, guest: Placement): Rigid | null {
  if (host.side !== guest.side) return null
  // Both frames are read in the flat; on the skin they share the host's grip.
  const k = host.side === 'B' ? -1 : 1
  const turn = wrapDegrees(k * (guest.tilt - host.tilt))
  const dx = guest.at[0] - host.at[0]
  const dy = guest.at[1] - host.at[1]
  const [ux, uy] = movedBack({ turn: host.tilt, shift: [0, 0] }, [dx, dy])
  const [hx, hy] = host.grip ?? [0, 0]
  const [gx, gy] = guest.grip ?? [0, 0]
  const at: Point = [hx + k * ux, hy + uy]
  const g = movedBy({ turn, shift: [0, 0] }, [gx, gy])
  return { turn, shift: [at[0] - g[0], at[1] - g[1]] }
}

/** Where a guest lies when it is held in register with its host: pressed down on the same point of the skin, so that both follow the skin alike. */
export function registeredPlacement(host: Placement, { turn, shift }: Rigid): Placement {
  return {
    at: host.at,
    tilt: wrapDegrees(host.side === 'B' ? host.tilt - turn : host.tilt + turn),
    side: host.side,
    grip: movedBack({ turn, shift }, host.grip ?? [0, 0]),
  }
}

/**
 * Brings every registered step of a look to where its host now is, twins included, in place; a step whose host is gone is let go where it lies.
 */
export function settle(steps: readonly Step[]): void {
  const sheets = new Map(steps.filter((s): s is SheetStep => s.kind === 'sheet').map(s => [s.id, s]))
  const done = new Set<string>()
  const visit = (step: SheetStep, path: ReadonlySet<string>): void => {
    if (done.has(step.id)) return
    done.add(step.id)
    const { register } = step
    const host = register && sheets.get(register.on)
    if (!register) return
    if (!host || path.has(register.on)) {
      step.register = null
      return
    }
    visit(host, new Set([...path, step.id]))
    put(step, registeredPlacement(host, register))
    const own = host.twin.own && registeredPlacement({ ...host.twin.own }, register)
    const twin: SheetStep['twin'] = {
      rule: host.twin.rule,
      about: host.twin.about && [...host.twin.about],
      own: own && { at: [...own.at], tilt: own.tilt, side: own.side, grip: [...(own.grip ?? [0, 0])] },
    }
    if (JSON.stringify(twin) !== JSON.stringify(step.twin)) step.twin = twin
  }
  for (const step of sheets.values()) visit(step, new Set([step.id]))
}

function put(step: SheetStep, { at, tilt, side, grip = [0, 0] }: Placement): void {
  if (
    step.at[0] === at[0] &&
    step.at[1] === at[1] &&
    step.tilt === tilt &&
    step.side === side &&
    step.grip[0] === grip[0] &&
    step.grip[1] === grip[1]
  )
    return
  step.at = [at[0], at[1]]
  step.tilt = tilt
  step.side = side
  step.grip = [grip[0], grip[1]]
}
