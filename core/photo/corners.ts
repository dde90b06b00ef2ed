import { distance, signedArea, type Point, type Ring } from '../geometry'
import { fittedTip, lookedInto, type Inside, type Tip } from './tips'

interface Arm {
  readonly at: Point
  readonly way: Point
  /** How far the points lie from the line at most. */
  readonly off: number
}

/** The line through the points of a ring from `from` to `to` (numbers, going round). */
function armOf(ring: Ring, from: number, to: number): Arm {
  const n = ring.length / 2
  let x = 0,
    y = 0
  const count = to - from + 1
  const px = (k: number) => ring[2 * (((k % n) + n) % n)]!
  const py = (k: number) => ring[2 * (((k % n) + n) % n) + 1]!
  for (let k = from; k <= to; k++) {
    x += px(k) / count
    y += py(k) / count
  }
  let xx = 0,
    xy = 0,
    yy = 0
  for (let k = from; k <= to; k++) {
    xx += (px(k) - x) ** 2
    xy += (px(k) - x) * (py(k) - y)
    yy += (py(k) - y) ** 2
  }
  const turn = Math.atan2(2 * xy, xx - yy) / 2
  let way: Point = [Math.cos(turn), Math.sin(turn)]
  if (way[0] * (px(to) - px(from)) + way[1] * (py(to) - py(from)) < 0) way = [-way[0], -way[1]]
  let off = 0
  for (let k = from; k <= to; k++) off = Math.max(off, Math.abs((px(k) - x) * way[1] - (py(k) - y) * way[0]))
  return { at: [x, y], way, off }
}

/** Two sides of an outline that would meet near a point of its ring. */
interface Meeting {
  readonly index: number
  /** How much the outline turns, radians, and on which side. */
  readonly turn: number
  readonly cross: number
  /** How far the outline has retreated from where they meet, pixels. */
  readonly off: number
  readonly from: Point
  readonly tip: Tip
}

/** A corner found. */
interface Corner {
  readonly index: number
  /** Points of the ring on each side of `index` that it stands for. */
  readonly reach: number
  /** Sharp when its radius is 0. */
  readonly tip: Tip
  /** Which way the outline comes to it. */
  readonly from: Point
  /** Whether its sides were fitted to what is seen, so that they are better known than the contour. */
  readonly fitted: boolean
}

/** Points that take the place of those of a ring near a corner. */
export interface Drawn {
  readonly index: number
  /** Points on each side of `index` that go. */
  readonly reach: number
  readonly points: readonly Point[]
  /** Which of the points is a sharp corner, if one is. */
  readonly sharp: number | null
}

/** An outline with what is seen inside it. */
interface View {
  readonly ring: Ring
  readonly sigma: number
  readonly inside: Inside
  /** Which way it goes round: the sign of its area. */
  readonly round: number
}

/** Point `k` of a ring, going round. */
const pointOf = (ring: Ring, k: number): Point => {
  const n = ring.length / 2
  const i = 2 * (((k % n) + n) % n)
  return [ring[i]!, ring[i + 1]!]
}

/** Least turn of a corner, radians. */
const LEAST_TURN = 0.55
/** Straightness of the two sides of a corner, pixels. */
const STRAIGHT = 0.22

/** How far on each side of a corner its blur reaches, in points a pixel apart. */
const cornerSkip = (sigma: number): number => Math.max(1, Math.round(1.9 * sigma))

/**
 * How far a blur by a Gaussian of `sigma` takes the tip of a wedge back, of half the angle `half`: worked out
 * from the probability that a point scattered about the wedge's axis lies in it (0.77 sigma at a right angle).
 */
const retreatOf = (half: number, sigma: number): number =>
  (sigma * (0.6745 + 0.125 * Math.sin(half))) / Math.tan(half)

/** Wedges wider than this are told by how far their tips have retreated, narrower ones by what is seen. */
const WIDE = 1.3
/** Wider wedges than this hardly show how they are rounded. */
const SHOWS_ROUND = 0.87
/** A tip is first looked for this far from where it is seen at most, in sigma. */
const MOST_OFF = 4
/** Sharp corners nearer than this to one another, in points, are one. */
const LEAST_APART = 7
/** A tip rounded by less than this is sharp, pixels. */
const SHARP = 0.45

/** A tip that is hardly rounded as a sharp one that ends where it does. */
function sharpened({ at, way, half, radius }: Tip): Tip {
  const back = radius / Math.sin(half) - radius
  return { at: [at[0] + back * Math.cos(way), at[1] + back * Math.sin(way)], way, half, radius: 0 }
}

/** The arc that rounds a tip, from the side where `from` came to the other. */
function arcOf({ at, way, half, radius }: Tip, from: Point): Point[] {
  const middle: Point = [
    at[0] + (Math.cos(way) * radius) / Math.sin(half),
    at[1] + (Math.sin(way) * radius) / Math.sin(half),
  ]
  const side = Math.sign(Math.cos(way) * from[1] - Math.sin(way) * from[0]) || 1
  const sweep = Math.PI / 2 - half
  const count = Math.max(3, Math.ceil((2 * sweep * radius) / 0.7))
  return Array.from({ length: count + 1 }, (_, k): Point => {
    const turn = way + Math.PI + side * sweep * (1 - (2 * k) / count)
    return [middle[0] + radius * Math.cos(turn), middle[1] + radius * Math.sin(turn)]
  })
}

/** Whether two sides meet in a corner at point `k`: blurred, a wide one retreats by what its angle tells. */
function cornerAt(ring: Ring, k: number, skip: number, arm: number, sigma: number): Meeting | null {
  const a = armOf(ring, k - skip - arm, k - skip)
  const b = armOf(ring, k + skip, k + skip + arm)
  if (a.off > STRAIGHT || b.off > STRAIGHT) return null
  const cross = a.way[0] * b.way[1] - a.way[1] * b.way[0]
  const turn = Math.acos(Math.max(-1, Math.min(1, a.way[0] * b.way[0] + a.way[1] * b.way[1])))
  if (turn < LEAST_TURN || turn > 2.95) return null
  const t = ((b.at[0] - a.at[0]) * b.way[1] - (b.at[1] - a.at[1]) * b.way[0]) / cross
  const at: Point = [a.at[0] + t * a.way[0], a.at[1] + t * a.way[1]]
  const half = (Math.PI - turn) / 2
  const retreat = distance(at, pointOf(ring, k))
  if (half > WIDE && retreat >= 1.15 * retreatOf(half, sigma) + 0.2) return null
  const way = Math.atan2(b.way[1] - a.way[1], b.way[0] - a.way[0])
  return { index: k, turn, cross, off: retreat, from: a.way, tip: { at, way, half, radius: 0.5 * sigma } }
}

/** How far the contour may lie outside the sides of a wedge where it goes over into them, and inside, pixels. */
const JOINED = 0.6
const INSIDE = { sharp: 0.6, round: 0.2 }

/** How many points to each side the sides of a wedge stand for: to where the contour comes nearest to them. */
function reachOf({ ring }: View, index: number, tip: Tip, least: number, most: number): number | null {
  const off = (k: number): number => {
    const [x, y] = pointOf(ring, k)
    const [dx, dy] = [x - tip.at[0], y - tip.at[1]]
    const s = dx * Math.cos(tip.way) + dy * Math.sin(tip.way)
    const v = Math.abs(dy * Math.cos(tip.way) - dx * Math.sin(tip.way))
    const out = v * Math.cos(tip.half) - s * Math.sin(tip.half)
    // A round tip on a narrower neck would be a bridge that is none.
    return out < 0 ? (-out * JOINED) / INSIDE[tip.radius < SHARP ? 'sharp' : 'round'] : out
  }
  let reach = least
  let best = Infinity
  for (let k = least; k <= most; k++) {
    const here = Math.max(off(index - k), off(index + k))
    if (here < best) [reach, best] = [k, here]
  }
  return best < JOINED ? reach : null
}

/** The point of a ring nearest to a place, of those within `reach` points of `index`. */
function nearestOf(ring: Ring, index: number, reach: number, place: Point): number {
  let best = index
  for (let k = index - reach; k <= index + reach; k++)
    if (distance(pointOf(ring, k), place) < distance(pointOf(ring, best), place)) best = k
  const n = ring.length / 2
  return ((best % n) + n) % n
}

/** A narrow meeting of two sides as what its light tells it to be; null when no wedge looks like it. */
function seenAs(view: View, met: Meeting, skip: number): Corner | null {
  const { tip, from, cross, off } = met
  const { sigma, inside } = view
  // Near a narrow tip blur bends its sides in, so that they seem to meet too far off.
  const far = Math.max(0, off - MOST_OFF * sigma)
  const [x, y] = tip.at
  const start = { ...tip, at: [x + far * Math.cos(tip.way), y + far * Math.sin(tip.way)] as Point }
  // Where the sheet pokes into an opening, the wedge is of sheet.
  const poking = cross * view.round < 0
  const fitted = fittedTip(poking ? (x, y) => 1 - inside(x, y) : inside, start, sigma)
  if (!fitted) return null
  const index = nearestOf(view.ring, met.index, 4 * skip, fitted.at)
  const rounded = fitted.radius >= SHARP
  if (rounded && fitted.half > SHOWS_ROUND) return null
  const along = rounded ? fitted.radius / Math.tan(fitted.half) : 0
  const most = Math.ceil(sigma * lookedInto(fitted.half)) + 2
  const reach = reachOf(view, index, fitted, Math.max(skip, Math.ceil(along)), most)
  if (!reach || along > reach + 0.5) return null
  const kept = rounded ? fitted : sharpened(fitted)
  return { index, reach, tip: kept, from, fitted: true }
}

/** A meeting of two sides as a corner; null when it is none. */
function cornerOf(view: View, met: Meeting, skip: number): Corner | null {
  const seen = met.tip.half > WIDE ? null : seenAs(view, met, skip)
  if (seen) return seen
  // A rounded tip has retreated further than blur takes a sharp one back, and stays rounded.
  const sharp = met.off < 1.15 * retreatOf(met.tip.half, view.sigma) + 0.2
  const { index, from } = met
  return sharp ? { index, reach: skip, tip: { ...met.tip, radius: 0 }, from, fitted: false } : null
}

/**
 * Corners of which none stands for a point that another stands for: sharp neighbours part what lies between,
 * a round one that touches another was a bend.
 */
function unshared(corners: readonly Corner[], n: number): Corner[] {
  const kept: Corner[] = []
  const byTrust = [...corners].sort((a, b) => a.tip.radius - b.tip.radius || a.tip.half - b.tip.half)
  for (const corner of byTrust) {
    const apart = ({ index }: Corner) =>
      Math.min(Math.abs(corner.index - index), n - Math.abs(corner.index - index)) - 1
    const near = kept.filter(other => apart(other) < corner.reach + other.reach)
    const split = (other: Corner) => Math.floor((apart(other) * other.reach) / (corner.reach + other.reach))
    if (near.some(other => other.tip.radius > 0 || corner.tip.radius > 0 || apart(other) < LEAST_APART))
      continue
    let reach = corner.reach
    for (const other of near) {
      const theirs = split(other)
      reach = Math.min(reach, apart(other) - theirs)
      kept[kept.indexOf(other)] = { ...other, reach: theirs }
    }
    kept.push({ ...corner, reach })
  }
  return kept.sort((a, b) => a.index - b.index)
}

/** Points along the side of a tip that leads to `to`, from its arc to there, a pixel apart. */
function sideOf({ at, half, radius }: Tip, to: Point): Point[] {
  const begin = radius / Math.tan(half) + 0.7
  const far = distance(at, to)
  const count = Math.floor(far - begin)
  return Array.from({ length: Math.max(0, count + 1) }, (_, k): Point => {
    const share = (begin + k) / far
    return [at[0] + (to[0] - at[0]) * share, at[1] + (to[1] - at[1]) * share]
  })
}

/** The points of a corner: its arc or its tip, and its sides as far as they stand for the contour. */
function drawn(ring: Ring, { index, reach, tip, from, fitted }: Corner): Drawn {
  const middle = tip.radius > 0 ? arcOf(tip, from) : [tip.at]
  const [before, after] = [index - reach, index + reach].map(k =>
    fitted ? sideOf(tip, pointOf(ring, k)) : [],
  )
  const points = [...before!.reverse(), ...middle, ...after!]
  return { index, reach, points, sharp: tip.radius > 0 ? null : before!.length }
}

/**
 * The corners of an outline whose points lie a pixel apart, blurred by `sigma` pixels: where two straight
 * sides meet, put back to where they meet.
 */
export function cornersOf(ring: Ring, sigma: number, inside: Inside): Drawn[] {
  const view: View = { ring, sigma, inside, round: Math.sign(signedArea(ring)) }
  const n = ring.length / 2
  const skip = cornerSkip(sigma)
  const arm = Math.max(3, Math.round(2.2 * sigma))
  if (n < 3 * (skip + arm)) return []
  const found: Meeting[] = []
  for (let k = 0; k < n; k++) {
    const met = cornerAt(ring, k, skip, arm, sigma)
    if (met) found.push(met)
  }
  // Of those beside one another the one that lies nearest to where its sides meet.
  const apart = (a: Meeting, b: Meeting) =>
    Math.min(Math.abs(a.index - b.index), n - Math.abs(a.index - b.index))
  const kept: Meeting[] = []
  for (const met of found.sort((a, b) => b.turn - a.turn || a.off - b.off))
    if (kept.every(other => apart(met, other) > skip + arm / 2)) kept.push(met)
  const corners = kept.map(met => cornerOf(view, met, skip)).filter(corner => corner !== null)
  return unshared(corners, n).map(corner => drawn(ring, corner))
}
