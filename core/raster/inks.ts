import type { Memo } from '../memo'
import { wetBlend, type Optics } from '../paint'
import type { LaidPaint, Print } from '../look'

/** Steps of thickness and along a blend that are worked out beforehand. */
const THICK = 48
const ALONG = 64

/**
 * One paint ready to be laid: for each step of thickness and band the three numbers of R = (p + Rg q) / (r -
 * Rg p), so that a pixel costs a look-up and a division.
 */
export interface Ink {
  readonly optics: Optics
  readonly table: Float32Array
  /** Thickness of the last step, swatch films. */
  readonly most: number
  /** How much of a sheen it has, 0 to 1, and whether the sheen has the paint's colour. */
  readonly sheen: number
  /** How much brighter than any reflecting paint it looks. */
  readonly glow: number
}

/** Sheen of finishes (common practice). */
const SHEEN = { matte: 0, pearl: 0.75, metallic: 1, neon: 0 } as const

const inkOf = ({ optics, finish }: LaidPaint, most: number): Ink =>
  inkThick(optics, { sheen: SHEEN[finish], glow: finish === 'neon' ? 0.16 : 0 }, most)

/** An ink of some optics that looks like another one else, up to a thickness of `most` swatch films. */
export function inkThick(optics: Optics, { sheen, glow }: Pick<Ink, 'sheen' | 'glow'>, most: number): Ink {
  const { k, s } = optics
  const table = new Float32Array((THICK + 1) * 9)
  for (let n = 0; n <= THICK; n++) {
    const x = (most * n) / THICK
    for (let b = 0; b < 3; b++) {
      const kb = k[b]!
      const sb = s[b]!
      const g = Math.sqrt(kb * (kb + 2 * sb))
      const t = g * x > 1e-9 ? Math.tanh(g * x) / g : x
      table[9 * n + 3 * b] = sb * t
      table[9 * n + 3 * b + 1] = 1 - (kb + sb) * t
      table[9 * n + 3 * b + 2] = 1 + (kb + sb) * t
    }
  }
  return { optics, table, most, sheen, glow }
}

/** The inks of a print along its axis; one for a print of one paint. */
export interface Inks {
  readonly list: readonly Ink[]
  readonly at: (t: number, dither: number) => number
}

/**
 * Inks for a print. Paints of a strip cake stand side by side with a short blend between; others blend wet
 * into wet all along.
 */
export function inksOf(print: Print, most: number, memo?: Memo): Inks {
  const { paints, strips, meet = MEET, stops } = print
  if (paints.length === 1) return { list: [inkOf(paints[0]!, most)], at: () => 0 }
  const list = Array.from({ length: ALONG + 1 }, (_, i) => {
    const [a, b, share] = strips
      ? stripAt(strips, i / ALONG, meet)
      : blendAt(paints.length, stops ? evenAt(stops, i / ALONG) : i / ALONG)
    return inkOf(blended(paints[a]!, paints[b]!, share, memo), most)
  })
  return { list, at: (t, dither) => Math.min(ALONG, Math.max(0, Math.floor(t * ALONG + dither))) }
}

function blended(a: LaidPaint, b: LaidPaint, share: number, memo: Memo | undefined): LaidPaint {
  if (share <= 0 || a === b) return a
  if (share >= 1) return b
  const make = () => wetBlend(a.optics, b.optics, share)
  const key = () => JSON.stringify(['blend', a.optics, b.optics, share])
  return { optics: memo ? memo.recall(key(), [], make) : make(), finish: share < 0.5 ? a.finish : b.finish }
}

/** Between which two paints of an even blend a place lies, and how far along. */
function blendAt(n: number, t: number): [number, number, number] {
  const v = t * (n - 1)
  const i = Math.min(n - 2, Math.floor(v))
  const u = v - i
  return [i, i + 1, u * u * (3 - 2 * u)]
}

/** Where a place lies among stops, as if those were spread evenly, 0 to 1. */
function evenAt(stops: readonly number[], t: number): number {
  const last = stops.length - 1
  if (t <= stops[0]!) return 0
  const next = stops.findIndex(s => s > t)
  if (next < 0) return 1
  const a = stops[next - 1]!
  return (next - 1 + (t - a) / Math.max(1e-6, stops[next]! - a)) / last
}

/** Half width of the blend where two strips meet, as a share of the whole cake (common practice). */
const MEET = 0.03

/** Which strips lie at a place of a cake; `ends` are their far ends, 0 to 1. */
function stripAt(ends: readonly number[], t: number, meet: number): [number, number, number] {
  const i = Math.max(
    0,
    ends.findIndex(e => t <= e),
  )
  const near = ends.findIndex(e => Math.abs(t - e) < meet)
  if (near >= 0 && near < ends.length - 1) return [near, near + 1, (t - ends[near]! + meet) / (2 * meet)]
  return [i, i, 0]
}

/**
 * Reflectance of one band of an ink over a ground.
 * @param o where the band's three numbers stand in the table: nine a step of thickness, three a band
 */
export function inkOver(table: Float32Array, o: number, ground: number): number {
  const p = table[o]!
  return (p + ground * table[o + 1]!) / (table[o + 2]! - ground * p)
}

/** The step of the table for a thickness; asked of every pixel, so it rounds without a call. */
export function stepOf(x: number, most: number): number {
  const n = ((x / most) * THICK + 0.5) | 0
  return n < THICK ? n : THICK
}
