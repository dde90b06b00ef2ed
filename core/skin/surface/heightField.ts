import type { Box, Point } from '../../geometry'
import type { HeightTable } from './spline'
import { remembering, type Exponential, type Surface } from './surface'

/**
 * Rays shot from the middle of a sheet and the length of a step along them, mm. The fine ones keep within 0.3 mm
 * between rays 50 mm out over the bridge of the nose; the quick ones are off by millimetres there, and only for
 * what moves under the hand.
 */
const FINE = { rays: 180, step: 1 }
const QUICK = { rays: 32, step: 5 }
/** Farther than this nothing is followed, mm; from there on rays go straight. */
const FARTHEST = 420

/**
 * A skin given as a height field z(x, y). A sheet follows it along geodesics: with p = z_x, q = z_y and
 * k = (z_xx x'^2 + 2 z_xy x'y' + z_yy y'^2) / (1 + p^2 + q^2), x'' = -p k and y'' = -q k (do Carmo,
 * Differential Geometry of Curves and Surfaces, 4.4).
 * @param box past it rays go straight on
 */
export function heightField(table: HeightTable, box: Readonly<Box>): Surface {
  const jet = new Float64Array(6)
  const here = new Float64Array(2)
  return {
    position(x, y, out, k = 0) {
      out[k] = x
      out[k + 1] = y
      out[k + 2] = table.z(x, y)
    },
    normal(x, y, out) {
      here[0] = x
      here[1] = y
      table.jet(here, jet)
      const l = 1 / Math.sqrt(1 + jet[1]! ** 2 + jet[2]! ** 2)
      out[0] = -jet[1]! * l
      out[1] = -jet[2]! * l
      out[2] = l
    },
    exponential: remembering((at, quick) => new Fan(table, box, at, quick ? QUICK : FINE)),
  }
}

/**
 * Geodesics in all directions from one point, grown outward as far as they are asked for. Their sag from the
 * tangent plane is read linearly outward and cubically from ray to ray (Catmull and Rom 1974, Computer Aided
 * Geometric Design 317).
 */
class Fan implements Exponential {
  /** Sag (dx, dy) of each node from the tangent plane's point, ray by ray within a ring of equal distance. */
  private sag: Float64Array
  /** Where each ray is now and where it heads: x, y, x', y'. */
  private readonly head: Float64Array
  /** Cosine and sine of each ray's direction in the tangent plane. */
  private readonly ways: Float64Array
  private readonly jet = new Float64Array(6)
  private readonly bent = new Float64Array(2)
  /** Where a ray is on its way within a step, and where it heads: x, y, x', y'. */
  private readonly here = new Float64Array(4)
  /** The tangent plane's own axes as the picture shows them. */
  private readonly e1: Point
  private readonly e2: Point
  /** How many rings each ray has been followed for: no farther than something lies that way. */
  private readonly rings: Uint16Array

  constructor(
    private readonly table: HeightTable,
    private readonly box: Readonly<Box>,
    private readonly at: Point,
    private readonly grid: { rays: number; step: number },
  ) {
    table.jet(Float64Array.from(at), this.jet)
    const l = 1 / Math.sqrt(1 + this.jet[1]! ** 2 + this.jet[2]! ** 2)
    const nx = -this.jet[1]! * l
    const ny = -this.jet[2]! * l
    // The plane turned from the picture's by the smallest turn: so mirror images stay mirror images.
    this.e1 = [1 - (nx * nx) / (1 + l), (-nx * ny) / (1 + l)]
    this.e2 = [(-nx * ny) / (1 + l), 1 - (ny * ny) / (1 + l)]
    const { rays } = grid
    this.head = new Float64Array(4 * rays)
    this.rings = new Uint16Array(rays)
    this.ways = new Float64Array(2 * rays)
    this.sag = new Float64Array(2 * rays * 65)
    for (let i = 0; i < rays; i++) {
      const a = (2 * Math.PI * i) / rays
      const c = Math.cos(a)
      const s = Math.sin(a)
      this.ways.set([c, s], 2 * i)
      this.head.set([at[0], at[1], c * this.e1[0] + s * this.e2[0], c * this.e1[1] + s * this.e2[1]], 4 * i)
    }
  }

  to(points: Float64Array, k: number): void {
    const { rays, step } = this.grid
    const u = points[k]!
    const v = points[k + 1]!
    const r = Math.sqrt(u * u + v * v) / step
    const ring = Math.min(FARTHEST / step - 1, Math.floor(r))
    const f = Math.min(1, r - ring)
    let a = (Math.atan2(v, u) * rays) / (2 * Math.PI)
    if (a < 0) a += rays
    const i = Math.floor(a)
    const g = a - i
    const rayHere = i < rays ? i : i - rays
    const rayBefore = rayHere > 0 ? rayHere - 1 : rays - 1
    const rayNext = rayHere + 1 < rays ? rayHere + 1 : 0
    const rayAfter = rayNext + 1 < rays ? rayNext + 1 : 0
    const { rings } = this
    if (rings[rayBefore]! <= ring) this.grow(rayBefore, ring + 1)
    if (rings[rayHere]! <= ring) this.grow(rayHere, ring + 1)
    if (rings[rayNext]! <= ring) this.grow(rayNext, ring + 1)
    if (rings[rayAfter]! <= ring) this.grow(rayAfter, ring + 1)
    const before = 2 * rayBefore
    const here = 2 * rayHere
    const next = 2 * rayNext
    const after = 2 * rayAfter
    const inner = 2 * rays * ring
    const outer = inner + 2 * rays
    const { sag } = this
    const g2 = g * g
    const w0 = g * (-0.5 + g - 0.5 * g2)
    const w1 = 1 + g2 * (-2.5 + 1.5 * g)
    const w2 = g * (0.5 + 2 * g - 1.5 * g2)
    const w3 = g2 * (0.5 * g - 0.5)
    for (let c = 0; c < 2; c++) {
      const near =
        w0 * sag[inner + before + c]! +
        w1 * sag[inner + here + c]! +
        w2 * sag[inner + next + c]! +
        w3 * sag[inner + after + c]!
      const far =
        w0 * sag[outer + before + c]! +
        w1 * sag[outer + here + c]! +
        w2 * sag[outer + next + c]! +
        w3 * sag[outer + after + c]!
      points[k + c] = this.at[c]! + u * this.e1[c]! + v * this.e2[c]! + near + f * (far - near)
    }
  }

  from(x: number, y: number): Point {
    const { at, e1, e2 } = this
    const det = e1[0] * e2[1] - e2[0] * e1[1]
    const dx = x - at[0]
    const dy = y - at[1]
    const here = new Float64Array(6)
    let u = (dx * e2[1] - dy * e2[0]) / det,
      v = (dy * e1[0] - dx * e1[1]) / det,
      best: Point = [u, v],
      least = Infinity
    for (let n = 0; n < 24; n++) {
      here[0] = u
      here[1] = v
      this.to(here, 0)
      const fx = x - here[0]!
      const fy = y - here[1]!
      const miss = Math.hypot(fx, fy)
      if (miss < least) {
        least = miss
        best = [u, v]
      }
      if (miss < 1e-7) break
      const h = 0.4
      here[2] = u + h
      here[3] = v
      here[4] = u
      here[5] = v + h
      this.to(here, 2)
      this.to(here, 4)
      const a = (here[2]! - here[0]!) / h
      const b = (here[4]! - here[0]!) / h
      const c = (here[3]! - here[1]!) / h
      const d = (here[5]! - here[1]!) / h
      const jac = a * d - b * c
      if (Math.abs(jac) < 1e-4) break
      // Where the skin falls away a whole step can overshoot.
      const du = (fx * d - fy * b) / jac
      const dv = (fy * a - fx * c) / jac
      const long = Math.hypot(du, dv)
      const k = long > 25 ? 25 / long : 1
      u += du * k
      v += dv * k
    }
    return best
  }

  stretch(u: number, v: number): number {
    const { rays } = this.grid
    const r = Math.hypot(u, v)
    const turn = (2 * Math.PI) / rays
    if (r < this.grid.step) return 0
    const a = Math.atan2(v, u)
    const left = this.space(r, a - turn)
    const right = this.space(r, a + turn)
    return (
      Math.hypot(left[0] - right[0], left[1] - right[1], left[2] - right[2]) / (2 * Math.sin(turn) * r) - 1
    )
  }

  private space(r: number, a: number): [number, number, number] {
    const out = Float64Array.of(r * Math.cos(a), r * Math.sin(a))
    this.to(out, 0)
    return [out[0]!, out[1]!, this.table.z(out[0]!, out[1]!)]
  }

  /** Follows a ray step by step (fourth-order Runge-Kutta) until it has that many rings. */
  private grow(ray: number, rings: number): void {
    const { rays, step: h } = this.grid
    const { head, at, e1, e2, here, bent: d } = this
    if (2 * rays * (rings + 1) > this.sag.length) {
      const more = new Float64Array(2 * rays * (rings + 33))
      more.set(this.sag)
      this.sag = more
    }
    const { sag } = this
    const o = 4 * ray
    const c = this.ways[2 * ray]!
    const s = this.ways[2 * ray + 1]!
    let x = head[o]!
    let y = head[o + 1]!
    let p = head[o + 2]!
    let q = head[o + 3]!
    for (let n = this.rings[ray]! + 1; n <= rings; n++) {
      here[0] = x
      here[1] = y
      here[2] = p
      here[3] = q
      this.bend()
      const ax = d[0]!
      const ay = d[1]!
      const p2 = p + (h / 2) * ax
      const q2 = q + (h / 2) * ay
      here[0] = x + (h / 2) * p
      here[1] = y + (h / 2) * q
      here[2] = p2
      here[3] = q2
      this.bend()
      const bx = d[0]!
      const by = d[1]!
      const p3 = p + (h / 2) * bx
      const q3 = q + (h / 2) * by
      here[0] = x + (h / 2) * p2
      here[1] = y + (h / 2) * q2
      here[2] = p3
      here[3] = q3
      this.bend()
      const cx = d[0]!
      const cy = d[1]!
      const p4 = p + h * cx
      const q4 = q + h * cy
      here[0] = x + h * p3
      here[1] = y + h * q3
      here[2] = p4
      here[3] = q4
      this.bend()
      x += (h / 6) * (p + 2 * p2 + 2 * p3 + p4)
      y += (h / 6) * (q + 2 * q2 + 2 * q3 + q4)
      p += (h / 6) * (ax + 2 * bx + 2 * cx + d[0]!)
      q += (h / 6) * (ay + 2 * by + 2 * cy + d[1]!)
      const u = n * h * c
      const v = n * h * s
      const at2 = 2 * (rays * n + ray)
      sag[at2] = x - at[0] - u * e1[0] - v * e2[0]
      sag[at2 + 1] = y - at[1] - u * e1[1] - v * e2[1]
    }
    head[o] = x
    head[o + 1] = y
    head[o + 2] = p
    head[o + 3] = q
    this.rings[ray] = rings
  }

  /** How a geodesic bends at the place and in the direction that `here` tells: x'' and y'', into `bent`. */
  private bend(): void {
    const { box, jet, here, bent } = this
    const x = here[0]!
    const y = here[1]!
    if (x < box.minX || x > box.maxX || y < box.minY || y > box.maxY) {
      bent[0] = 0
      bent[1] = 0
      return
    }
    this.table.jet(here, jet)
    const p = here[2]!
    const q = here[3]!
    const zx = jet[1]!
    const zy = jet[2]!
    const k = (jet[3]! * p * p + 2 * jet[4]! * p * q + jet[5]! * q * q) / (1 + zx * zx + zy * zy)
    bent[0] = -zx * k
    bent[1] = -zy * k
  }
}
