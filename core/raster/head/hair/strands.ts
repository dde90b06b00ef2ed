import type { Point } from '../../../geometry'
import { linearOf, type LinearRgb } from '../../../paint/colour'
import { SAME } from '../../../skin/chart'
import type { Form } from '../../../skin/faces/face'
import { hash } from '../../grid'
import type { Mask } from '../../coverage'
import { hairLight } from '../lamp'
import { onCells } from '../softened'
import type { SkinLayers } from '../skinLayers'

/** How wide a strand is drawn at its root, mm: some hairs that keep together (common practice). */
const STRAND_MM = 0.42
/** Strands of a picture that is no finer than this are drawn wider and fewer, px/mm. */
const FINE = 3

/** What one strand is like beside its way. */
export interface StrandLook {
  /** Share of its colour that it shows, 1 = as it is; below, it lies deeper. */
  readonly shade: number
  /** Width against a usual strand. */
  readonly width?: number
  /** Share of what lies beneath that it hides at its thickest. */
  readonly strength?: number
  /** Where it begins and ends to be as thick as it gets, shares of its length. */
  readonly taper?: readonly [number, number]
}

/**
 * Draws strands of hair over skin and paint, each along a way over the head, under the lamps. A strand is drawn
 * pixel by pixel along its longer side, as wide as it is there.
 */
export class Strands {
  private readonly base: LinearRgb
  private readonly n = Float64Array.of(0, 0, 1)
  /** How much of its shine it shows, 0 to 1. */
  private gloss = 1
  /** Whether `n` was given, for what does not lie on the head. */
  private given = false
  private readonly t = new Float64Array(3)
  private readonly lit = new Float64Array(3)
  private readonly colour = new Float64Array(3)
  private readonly lifts: number
  private readonly centre: number
  private readonly tall: number
  private readonly broad: number

  constructor(
    readonly easel: SkinLayers,
    readonly form: Form,
    colour: string,
    private readonly under = false,
  ) {
    this.base = linearOf(colour)
    this.lifts = 1.28 - 0.5 * Math.min(1, this.base[1] * 3)
    this.centre = form.fromMean(-14)
    this.tall = this.centre - form.crown + 7
    this.broad = 82 * form.skullWidth
  }

  /** Strands that lie under whatever is drawn after them: what hangs behind the head. */
  static beneath(easel: SkinLayers, form: Form, colour: string): Strands {
    return new Strands(easel, form, colour, true)
  }

  /** Strands for a model that is lit by itself: they face the painter, and shine little. */
  static inFlatLight(easel: SkinLayers, form: Form, colour: string): Strands {
    const hair = new Strands(easel, form, colour)
    hair.faces(0, -0.2)
    hair.gloss = 0.3
    return hair
  }

  /** Whether the picture shows the head's outline, as it does from the front. */
  get rimmed(): boolean {
    return this.easel.chart === SAME
  }

  /** As many strands as a picture this fine is drawn with, of those that a fine one has. */
  count(most: number): number {
    return Math.round(most * Math.min(1, Math.max(0.3, this.easel.grid.pxPerMm / FINE)))
  }

  /** What is drawn from now on hangs off the head and turns to the right and down by so much, -1 to 1. */
  faces(right: number, down: number): void {
    this.given = true
    this.n[0] = right
    this.n[1] = down
    this.n[2] = Math.sqrt(Math.max(0.05, 1 - right * right - down * down))
  }

  /** The head's unit normal where it is seen at (x, y), written into `n`: an ellipsoid about the skull. */
  private face(x: number, y: number): void {
    if (this.given) return
    const u = x / this.broad
    const v = (y - this.centre) / this.tall
    const q = u * u + v * v
    const k = q > 0.94 ? Math.sqrt(0.94 / q) : 1
    this.n[0] = u * k
    this.n[1] = v * k
    this.n[2] = Math.sqrt(Math.max(0.06, 1 - q * k * k))
  }

  /**
   * The colour of hair that runs one way at (x, y), linear: the same three numbers, written anew each time.
   * @param key a number of the strand: strands differ a little
   */
  colourAt(x: number, y: number, dx: number, dy: number, shade: number, key: number): Float64Array {
    const { n, t, base, lit, colour } = this
    this.face(x, y)
    // The strand keeps to the head: what it loses in depth follows from the normal.
    const dz = Math.max(-2.5, Math.min(2.5, -(dx * n[0]! + dy * n[1]!) / n[2]!))
    const l = 1 / (Math.sqrt(dx * dx + dy * dy + dz * dz) || 1)
    t[0] = dx * l
    t[1] = dy * l
    t[2] = dz * l
    hairLight(this.easel.lamp, t, n, 0.1 * (hash(key, 3) - 0.5), lit)
    // Dark hair is drawn a little lighter than it is, fair hair no lighter.
    const light = lit[0]! * shade * this.lifts
    // What lies in the shade of other hair is warmer.
    const deep = Math.max(0, 1 - light)
    const streak = this.gloss * shade * shade * (0.55 + 0.45 * hash(key, 5))
    const w = 0.06 * lit[1]! * streak
    const c = lit[2]! * streak
    colour[0] = base[0] * (light + 1.5 * c) + w + 0.03 * c
    colour[1] = base[1] * (1 - 0.16 * deep) * (light + 1.45 * c) + w * 0.95 + 0.021 * c
    colour[2] = base[2] * (1 - 0.2 * deep) * (light + 1.4 * c) + w * 0.88 + 0.014 * c
    return colour
  }

  /**
   * Draws one strand.
   * @param way what it runs through from root to tip, mm: near enough together to be joined by straight lines
   * @param key a number of its own
   */
  draw(way: readonly Point[], look: StrandLook, key: number): void {
    const { easel } = this
    const { grid, chart } = easel
    const px = way.map(at => {
      const [x, y] = chart.point(at)
      return [(x - grid.x0) * grid.pxPerMm, (y - grid.y0) * grid.pxPerMm] as const
    })
    const [begins, ends] = look.taper ?? [0.12, 0.6]
    const thin = Math.max(0.35, grid.pxPerMm / FINE)
    const mm = STRAND_MM * (look.width ?? 1)
    for (let i = 0; i + 1 < way.length; i++) {
      const [x, y] = way[i]!
      const dx = way[i + 1]![0] - x
      const dy = way[i + 1]![1] - y
      const colour = this.colourAt(x + dx / 2, y + dy / 2, dx, dy, look.shade, key)
      const s = (i + 0.5) / (way.length - 1)
      const full = Math.min(1, s / begins) * Math.min(1, (1 - s) / (1 - ends))
      const wide = Math.max(0.5, (mm / Math.min(1, thin)) * grid.pxPerMm * (0.35 + 0.65 * full))
      const strength = (look.strength ?? 0.85) * (0.25 + 0.75 * full)
      this.segment(px[i]!, px[i + 1]!, wide / 2, strength, colour)
    }
  }

  /** A straight piece in px, `half` wide on either side. */
  private segment(
    [x0, y0]: readonly [number, number],
    [x1, y1]: readonly [number, number],
    half: number,
    strength: number,
    colour: Float64Array,
  ): void {
    const flat = Math.abs(x1 - x0) > Math.abs(y1 - y0)
    const [a0, b0, a1, b1] = flat ? [x0, y0, x1, y1] : [y0, x0, y1, x1]
    const long = Math.abs(a1 - a0)
    if (long < 1e-6) return
    const { width, height } = this.easel.grid
    const slope = (b1 - b0) / (a1 - a0)
    // Across the longer side a slanting strand is wider than across itself.
    const h = half * Math.sqrt(1 + slope * slope)
    const last = flat ? width : height
    const side = flat ? height : width
    const from = Math.max(0, Math.ceil(Math.min(a0, a1) - 0.5))
    const to = Math.min(last - 1, Math.ceil(Math.max(a0, a1) - 0.5) - 1)
    for (let a = from; a <= to; a++) {
      const b = b0 + (a + 0.5 - a0) * slope
      const low = Math.max(0, Math.floor(b - h))
      const high = Math.min(side - 1, Math.floor(b + h))
      for (let c = low; c <= high; c++) {
        const cover = Math.min(c + 1, b + h) - Math.max(c, b - h)
        if (cover > 0) this.lay(flat ? c * width + a : a * width + c, Math.min(1, cover) * strength, colour)
      }
    }
  }

  /**
   * Lays the dark mass of hair beneath its strands.
   * @param way which way it runs at (x, y)
   */
  fill(mask: Mask, shade: number, strength: number, way: (x: number, y: number) => Point): void {
    const lit = onCells(mask, this.easel.grid, 3, (px, py, out) => {
      const at = this.easel.chart.back([px, py])
      if (!at) return
      const [dx, dy] = way(...at)
      out.set(this.colourAt(...at, dx, dy, shade, 1))
    })
    const here = new Float64Array(3)
    this.easel.each(mask, (p, cover) => {
      lit(p, here)
      this.lay(p, cover * strength, here)
    })
  }

  private lay(p: number, a: number, colour: Float64Array): void {
    const { over, albedo } = this.easel
    const keep = 1 - a
    if (this.under) {
      for (let k = 0; k < 3; k++) albedo[3 * p + k] = albedo[3 * p + k]! * keep + colour[k]! * a
      return
    }
    const o = 4 * p
    over[o] = over[o]! * keep + colour[0]! * a
    over[o + 1] = over[o + 1]! * keep + colour[1]! * a
    over[o + 2] = over[o + 2]! * keep + colour[2]! * a
    over[o + 3] = over[o + 3]! * keep + a
  }
}

/** A way through points given by a function of t from 0 to 1. */
export function wayOf(n: number, at: (t: number) => Point): Point[] {
  return Array.from({ length: n + 1 }, (_, i) => at(i / n))
}
