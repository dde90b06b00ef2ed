import { radians, ringOf, type Point, type Ring } from '../geometry'
import type { Surface } from './surface'
import type { Laid } from './layOn'

/** How far the skin gives way under a sheet, mm (common practice). */
const SKIN_GIVES = 1
/** An opening seats when the sheet stands off the skin there by no more than this, mm (common practice). */
export const SEATS_MM = 0.5
/** Width of a strip of the profile, mm. */
const STRIP = 2

/** Where a sheet touches and where it stands off. */
export interface Lift {
  /**
   * Direction of the rulings along which it does not bend, degrees clockwise from the picture's up, in [0,
   * 180).
   */
  readonly rulings: number
  /** Root mean square of the skin's distance from the best cylinder before it is raised, mm. */
  readonly residual: number
  /** Gap between sheet and skin at each sample, mm, at least 0. */
  readonly gaps: Float64Array
}

/**
 * How a sheet stands off the skin: it bends one way only, so over its footprint a generalised cylinder is
 * fitted. For each direction the height along the rulings is averaged into a profile across them; the
 * direction with the smallest residual is kept, and the cylinder is raised until it rests on the skin, which
 * gives way a little.
 * @param points samples of the sheet, in its own frame (mm)
 * @param gives how far the skin gives way, mm
 * @param places where the samples come to lie, when that is known; see placesOf
 */
export function liftOf(
  surface: Surface,
  laid: Laid,
  points: readonly Point[],
  gives = SKIN_GIVES,
  places = placesOf(surface, laid.ring(ringOf(points))),
): Lift {
  // A sheet bends round an arm as far as it likes and touches everywhere.
  if (surface.unrolls) return { rulings: 0, residual: 0, gaps: new Float64Array(points.length) }
  const { residual, angle, sag } = bestFit(places, frameAt(surface, laid, [0, 0]), FINE)
  return { rulings: angle, residual, gaps: raised(sag, gives) }
}

/** Points of the skin (x, y, one after the other) in space, three numbers each, mm. */
export function placesOf(surface: Surface, skin: Ring): Float64Array {
  const n = skin.length / 2
  const places = new Float64Array(3 * n)
  for (let i = 0; i < n; i++) surface.position(skin[2 * i]!, skin[2 * i + 1]!, places, 3 * i)
  return places
}

/** The tangent plane under a point of the sheet. */
interface Frame {
  readonly origin: Float64Array
  readonly normal: Float64Array
}
function frameAt(surface: Surface, laid: Laid, about: Point): Frame {
  const middle = laid.point(about)
  const origin = new Float64Array(3)
  const normal = new Float64Array(3)
  surface.position(...middle, origin)
  surface.normal(...middle, normal)
  return { origin, normal }
}

/** Raised until the skin pokes through nowhere by more than it gives way. */
function raised(sag: Float64Array, gives: number): Float64Array {
  const raise = sag.reduce((most, s) => Math.max(most, s), -Infinity) - gives
  return sag.map(s => Math.max(0, raise - s))
}

/**
 * Directions of rulings that are tried: all round first, degrees; then closer about the best, since the
 * residual changes slowly with the direction.
 */
interface Tries {
  readonly step: number
  readonly closer: readonly number[]
}
const FINE: Tries = { step: 15, closer: [-10, -5, 5, 10] }
const COARSE: Tries = { step: 30, closer: [-15, 15] }

interface Fit {
  readonly residual: number
  readonly angle: number
  readonly sag: Float64Array<ArrayBuffer>
}

/** The cylinder that fits some places of the skin best. */
function bestFit(places: Float64Array, { origin, normal }: Frame, tries: Tries): Fit {
  const n = places.length / 3
  const u = new Float64Array(n)
  const v = new Float64Array(n)
  const w = new Float64Array(n)
  for (let i = 0; i < n; i++) {
    const dx = places[3 * i]! - origin[0]!
    const dy = places[3 * i + 1]! - origin[1]!
    const dz = places[3 * i + 2]! - origin[2]!
    const h = dx * normal[0]! + dy * normal[1]! + dz * normal[2]!
    w[i] = h
    // The plane's axes are the picture's, turned by the smallest turn that brings the picture's normal onto
    // the skin's.
    const k = (dz + h) / (1 + normal[2]!)
    u[i] = dx - normal[0]! * k
    v[i] = dy - normal[1]! * k
  }
  let best: Fit = { residual: Infinity, angle: 0, sag: new Float64Array(n) }
  let spare = new Float64Array(n)
  const room = new Room(n)
  const consider = (angle: number) => {
    const sag = spare
    const residual = profileFit(u, v, w, angle, room, sag, best.residual)
    // A direction in which all samples of two strips coincide has no slope, and counts for nothing.
    if (!(residual < best.residual - 1e-9)) return
    spare = best.sag
    best = { residual, angle: (angle + 180) % 180, sag }
  }
  for (let angle = 0; angle < 180; angle += tries.step) consider(angle)
  const coarse = best.angle
  for (const off of tries.closer) consider(coarse + off)
  return best
}

/**
 * As much of a sheet as fingers press down at one time, and how much around it follows, mm (common practice).
 */
const FINGERS = 24
const AROUND = 6

/**
 * Gaps that stay when fingers press the sheet down piece by piece, as a painter does where the paint is
 * dabbed: each piece bends as it will by itself, so that a gentle dome is followed and a hollow beside the
 * nose is not.
 * @param points samples of the sheet, in its own frame (mm)
 * @param places where the samples come to lie, when that is known; see placesOf
 * @returns the gap at each sample, mm
 */
export function pressedGaps(
  surface: Surface,
  laid: Laid,
  points: readonly Point[],
  places = placesOf(surface, laid.ring(ringOf(points))),
): Float64Array {
  const gaps = new Float64Array(points.length)
  if (surface.unrolls) return gaps
  const pieces = new Map<number, { cx: number; cy: number; own: number[]; beside: number[] }>()
  const piece = (i: number, j: number) => {
    const key = 65_536 * i + j
    const found = pieces.get(key)
    if (found) return found
    const made = { cx: i * FINGERS, cy: j * FINGERS, own: [], beside: [] }
    pieces.set(key, made)
    return made
  }
  points.forEach(([x, y], i) => {
    const a = Math.round(x / FINGERS)
    const b = Math.round(y / FINGERS)
    piece(a, b).own.push(i)
    // It lies beside each piece that follows as far as here.
    for (let p = a - 1; p <= a + 1; p++)
      for (let q = b - 1; q <= b + 1; q++) {
        if (
          (p !== a || q !== b) &&
          Math.abs(x - p * FINGERS) <= FINGERS / 2 + AROUND &&
          Math.abs(y - q * FINGERS) <= FINGERS / 2 + AROUND
        )
          piece(p, q).beside.push(i)
      }
  })
  for (const { cx, cy, own, beside } of pieces.values()) {
    if (own.length === 0) continue
    const all = [...own, ...beside]
    const there = new Float64Array(3 * all.length)
    all.forEach((i, k) => {
      there[3 * k] = places[3 * i]!
      there[3 * k + 1] = places[3 * i + 1]!
      there[3 * k + 2] = places[3 * i + 2]!
    })
    const left = raised(bestFit(there, frameAt(surface, laid, [cx, cy]), COARSE).sag, SKIN_GIVES)
    own.forEach((i, k) => {
      gaps[i] = left[k]!
    })
  }
  return gaps
}

/** Room that a fit works in: of each sample one number, of each strip of the profile several. */
class Room {
  /** Where each sample lies across the rulings, mm. */
  readonly across: Float64Array
  /** Middles of the strips that have samples, heights there, and the slope from each to the next. */
  xs = new Float64Array(0)
  hs = new Float64Array(0)
  slopes = new Float64Array(0)
  /** How much of a sample counts for each strip. */
  count = new Float64Array(0)
  /** For each strip the last one up to it that has samples; strips without are passed over. */
  until = new Int32Array(0)

  constructor(samples: number) {
    this.across = new Float64Array(samples)
  }

  /** Room for some strips and one to spare, with nothing in it. */
  clear(strips: number): void {
    const n = strips + 1
    if (this.xs.length < n) {
      this.xs = new Float64Array(2 * n)
      this.hs = new Float64Array(2 * n)
      this.slopes = new Float64Array(2 * n)
      this.count = new Float64Array(2 * n)
      this.until = new Int32Array(2 * n)
      return
    }
    this.xs.fill(0, 0, n)
    this.hs.fill(0, 0, n)
    this.count.fill(0, 0, n)
  }
}

/**
 * Writes skin minus profile at each sample into `sag`, for rulings in one direction (degrees clockwise from
 * up).
 * @param enough as soon as more than this is left it is given up, mm
 * @returns the root mean square of what is left, mm; infinite where it was given up
 */
function profileFit(
  u: Float64Array,
  v: Float64Array,
  w: Float64Array,
  angle: number,
  room: Room,
  sag: Float64Array,
  enough: number,
): number {
  const { across } = room
  const n = u.length
  const c = Math.cos(radians(angle))
  const s = Math.sin(radians(angle))
  let least = Infinity,
    most = -Infinity
  for (let i = 0; i < n; i++) {
    // Rulings run along (s, -c); across them is (c, s).
    const t = u[i]! * c + v[i]! * s
    across[i] = t
    if (t < least) least = t
    if (t > most) most = t
  }
  const last = profile(room, w, least, Math.max(1, Math.ceil((most - least) / STRIP)) + 1) - 2
  const { xs, hs, slopes, until } = room
  const most2 = enough * enough * n
  let squares = 0
  for (let i = 0; i < n; i++) {
    if (squares > most2) return Infinity
    const t = across[i]!
    // The last strip whose middle lies at or before the sample; the strip that it falls into is beside it.
    let a = until[Math.floor((t - least) / STRIP)]!
    while (a > 0 && xs[a]! > t) a--
    while (a < last && xs[a + 1]! <= t) a++
    if (a > last) a = last < 0 ? 0 : last
    const left = w[i]! - (hs[a]! + slopes[a]! * (t - xs[a]!))
    sag[i] = left
    squares += left * left
  }
  return Math.sqrt(squares / n)
}

/**
 * Mean heights of samples in strips across the rulings, written into the room.
 * @param least where the first strip begins, mm
 * @returns how many strips have samples
 */
function profile(room: Room, w: Float64Array, least: number, strips: number): number {
  room.clear(strips)
  const { across, xs, hs, slopes, count, until } = room
  for (let i = 0; i < across.length; i++) {
    // Each sample counts for the two strips beside it, by how near it is to them, so that a strip's edge cuts
    // no ruling in two.
    const x = across[i]!
    const h = w[i]!
    const t = (x - least) / STRIP
    const k = Math.min(strips - 1, Math.floor(t))
    const next = t - k
    const here = 1 - next
    hs[k]! += here * h
    xs[k]! += here * x
    count[k]! += here
    hs[k + 1]! += next * h
    xs[k + 1]! += next * x
    count[k + 1]! += next
  }
  let kept = 0
  for (let k = 0; k < strips; k++) {
    if (count[k]! >= 1e-6) {
      xs[kept] = xs[k]! / count[k]!
      hs[kept++] = hs[k]! / count[k]!
    }
    until[k] = Math.max(0, kept - 1)
  }
  slopes[0] = 0
  for (let a = 0; a < kept - 1; a++) slopes[a] = (hs[a + 1]! - hs[a]!) / (xs[a + 1]! - xs[a]!)
  return kept
}
