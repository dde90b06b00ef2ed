import { otsu, histogramOf } from './otsu'
import type { Plane } from './picture'
import { fitted, levelsOf, samplesOf, sumOf, terms, type Samples } from './samples'

/**
 * A picture in which light no longer matters: 0 where it is as dark as the darker of sheet and ground, 1
 * where it is as light as the lighter.
 */
export interface Evened extends Plane {
  /** How well the two are parted, 0 to 1 (variance between them by the whole variance). */
  readonly parted: number
  /** The darker by the lighter, in reflected light. */
  readonly contrast: number
  /** Scatter of the pixels about the two, as a share of the step between them. */
  readonly noise: number
}

/** About how many pixels the light is worked out from; fewer where channels are only compared. */
const SAMPLES = 12_000
const FEW_SAMPLES = 3_000
/** A sample about which the plane changes by more than this share of the step lies on an edge. */
const ON_EDGE = 0.22
/** Pixels nearer than this to one of the two levels count as of that level. */
const SURE = 0.35

/** The light as a polynomial, and how much of it the darker of the two throws back. */
interface Light {
  readonly a: readonly number[]
  readonly dark: number
}

/** When fewer samples than this share change sides, the light has settled. */
const SETTLED = 0.002
/** With fewer samples away from edges than this, one of the two says nothing of how the light falls. */
const SPEAKS = 300
/** With fewer than this its level is taken from the edges, where it is lightest or darkest. */
const TELLS = 12

/** Sorted values at a share of the way from the least to the most. */
const quantile = (values: readonly number[], share: number): number =>
  [...values].sort((p, q) => p - q)[Math.min(values.length - 1, Math.floor(share * values.length))]!

/** The samples of one of the two that lie away from edges, by what they are of the light there. */
function levelOf(
  s: Samples,
  light: Uint8Array,
  which: 0 | 1,
  now: Float64Array,
  edge: (i: number) => boolean,
) {
  const inside: number[] = []
  const any: number[] = []
  for (let i = 0; i < light.length; i++) {
    if (light[i] !== which) continue
    any.push((which ? s.most[i]! : s.least[i]!) / now[i]!)
    if (!edge(i)) inside.push(s.value[i]! / now[i]!)
  }
  if (inside.length >= TELLS) return quantile(inside, 0.5)
  return any.length ? quantile(any, which ? 0.75 : 0.25) : null
}

/** The light from a first guess of what is light: by turns the light, the two levels, and what is which. */
function settled(s: Samples, first: Uint8Array): Light {
  let light = first
  let a: number[] = []
  let dark = 0.3
  for (let turn = 0; turn < 9; turn++) {
    const level = a.length ? levelsOf(s, a) : s.value
    const edge = (i: number) => s.most[i]! - s.least[i]! > ON_EDGE * (1 - dark) * level[i]!
    const inside = [0, 0]
    for (let i = 0; i < light.length; i++) if (!edge(i)) inside[light[i]!]!++
    const silent = inside[0]! < SPEAKS && inside[0]! < inside[1]! ? 0 : inside[1]! < SPEAKS && inside[1]! < inside[0]! ? 1 : -1 // prettier-ignore
    // Paint lies far from both levels and counts little.
    const weight = (i: number) => {
      if (edge(i) || light[i] === silent) return 0
      if (turn === 0) return 1
      const off = Math.abs(s.value[i]! / level[i]! - (light[i] ? 1 : dark)) / (1 - dark)
      return off < SURE ? 1 : (SURE / off) ** 2
    }
    a = fitted(s, i => (light[i] ? 1 : dark), weight)
    let now = levelsOf(s, a)
    const bright = levelOf(s, light, 1, now, edge) ?? 1
    const dim = levelOf(s, light, 0, now, edge) ?? dark
    a = a.map(v => v * bright)
    now = now.map(v => v * bright)
    dark = Math.max(0.01, Math.min(0.97, dim / bright))
    const part = (1 + dark) / 2
    const next = Uint8Array.from(s.value, (v, i) => (v / now[i]! > part ? 1 : 0))
    const moved = next.reduce((n, v, i) => n + (v === light[i] ? 0 : 1), 0)
    light = next
    if (turn > 2 && moved < SETTLED * next.length) break
  }
  return { a, dark }
}

/** Samples above Otsu's threshold. */
function above(values: ArrayLike<number>): Uint8Array {
  let from = Infinity
  let to = -Infinity
  for (let i = 0; i < values.length; i++) {
    from = Math.min(from, values[i]!)
    to = Math.max(to, values[i]!)
  }
  const { bin } = otsu(histogramOf(Float32Array.from(values), from, to + 1e-6))
  const level = from + ((bin + 1) / 256) * (to - from)
  return Uint8Array.from(values, v => (v > level ? 1 : 0))
}

/** Cells in which the two levels are followed where the light is more uneven than a polynomial. */
const CELLS = 24

/** The levels of the lighter and the darker in cells over the picture. */
function levelsIn(s: Samples, light: Light): Levels {
  const columns = CELLS
  const n = columns * columns
  const seen = [new Float64Array(n), new Float64Array(n)]
  const meant = [new Float64Array(n), new Float64Array(n)]
  const model = new Float64Array(n)
  for (let k = 0; k < n; k++) {
    const x = (2 * ((k % columns) + 0.5)) / columns - 1
    const y = (2 * (Math.floor(k / columns) + 0.5)) / columns - 1
    model[k] = Math.max(1e-3, sumOf(light.a, terms(x, y)))
  }
  const levels = levelsOf(s, light.a)
  s.value.forEach((v, i) => {
    const level = levels[i]!
    const back = (v / level - light.dark) / (1 - light.dark)
    const which = back > 0.5 ? 1 : 0
    if (Math.abs(back - which) > SURE || s.most[i]! - s.least[i]! > ON_EDGE * (1 - light.dark) * level) return
    const column = Math.min(columns - 1, Math.floor(((s.x[i]! + 1) / 2) * columns))
    const row = Math.min(columns - 1, Math.floor(((s.y[i]! + 1) / 2) * columns))
    seen[which]![row * columns + column]! += v
    meant[which]![row * columns + column]! += level * (which ? 1 : light.dark)
  })
  const gain = [0, 1].map(which => smoothGain(seen[which]!, meant[which]!, columns))
  return {
    columns,
    bright: Float32Array.from(model, (m, k) => m * gain[1]![k]!),
    dark: Float32Array.from(model, (m, k) => m * light.dark * gain[0]![k]!),
  }
}

/** Seen by meant in every cell, smoothed over its neighbours; 1 where there is nothing to go by. */
function smoothGain(seen: Float64Array, meant: Float64Array, columns: number): Float64Array {
  const reach = 3
  const typical = meant.reduce((a, b) => a + b, 0) / meant.length
  return seen.map((_, k) => {
    const [i, j] = [k % columns, Math.floor(k / columns)]
    let s = 0.3 * typical
    let m = s
    for (let v = Math.max(0, j - reach); v <= Math.min(columns - 1, j + reach); v++)
      for (let u = Math.max(0, i - reach); u <= Math.min(columns - 1, i + reach); u++) {
        const w = Math.exp(-((u - i) ** 2 + (v - j) ** 2) / 4)
        s += w * seen[v * columns + u]!
        m += w * meant[v * columns + u]!
      }
    return m > 0 ? s / m : 1
  })
}

/** The scatter of neighbouring pixels, by the median of their differences: edges hardly count. */
function noiseOf({ width, height, values }: Plane): number {
  const off: number[] = []
  const every = Math.max(1, Math.floor(values.length / 20_000))
  for (let k = 0; k + 1 < width * height; k += every)
    if ((k + 1) % width) off.push(Math.abs(values[k + 1]! - values[k]!))
  off.sort((a, b) => a - b)
  // 0.954 is the median of the difference of two normal values of unit scatter. From memory.
  return (off[off.length >> 1] ?? 0) / 0.954
}

/** How far in from a picture's edge its border goes, as a share of its half. */
const BORDER = 0.07
/** What throws back so much less, or more, than the border is of the other kind. */
const OTHER = 0.68

/** What is light, told by the border alone: it is all sheet, or all ground, under the same light. */
function byBorder(s: Samples): Uint8Array {
  const border = fitted(
    s,
    () => 1,
    i => (Math.max(Math.abs(s.x[i]!), Math.abs(s.y[i]!)) > 1 - BORDER ? 1 : 1e-4),
  )
  const level = levelsOf(s, border)
  const back = s.value.map((v, i) => v / level[i]!)
  const count = (is: (v: number) => boolean) => back.reduce((n, v) => n + (is(v) ? 1 : 0), 0)
  const darker = count(v => v < OTHER) >= count(v => v > 1 / OTHER)
  return Uint8Array.from(back, v => (darker ? (v < OTHER ? 0 : 1) : v > 1 / OTHER ? 1 : 0))
}

/** The two levels in cells, between which a pixel's lightness is told. */
interface Levels {
  readonly columns: number
  readonly bright: Float32Array
  readonly dark: Float32Array
}

/** Calls `each` with every column's place between two cells of a row, and the levels of that row there. */
function acrossRow(levels: Levels, share: number, into: Float32Array): void {
  const { columns, bright, dark } = levels
  const v = Math.min(columns - 1, Math.max(0, share * columns - 0.5))
  const r = Math.min(columns - 2, Math.floor(v))
  for (let c = 0; c < columns; c++) {
    const k = r * columns + c
    into[2 * c] = bright[k]! + (bright[k + columns]! - bright[k]!) * (v - r)
    into[2 * c + 1] = dark[k]! + (dark[k + columns]! - dark[k]!) * (v - r)
  }
}

/** A value between the two levels of a row at a share of the way across: 0 dark, 1 bright. */
function between(value: number, row: Float32Array, columns: number, share: number): number {
  const u = Math.min(columns - 1, Math.max(0, share * columns - 0.5))
  const c = Math.min(columns - 2, u | 0)
  const t = u - c
  const b = row[2 * c]! + (row[2 * c + 2]! - row[2 * c]!) * t
  const d = row[2 * c + 1]! + (row[2 * c + 3]! - row[2 * c + 1]!) * t
  return (value - d) / Math.max(1e-3, b - d)
}

/** How well levels part the samples: Otsu's measure, once light is taken out. */
function partedBy(s: Samples, levels: Levels): number {
  const row = new Float32Array(2 * levels.columns)
  const back = Float32Array.from(s.value, (v, i) => {
    acrossRow(levels, (s.y[i]! + 1) / 2, row)
    return Math.max(-0.5, Math.min(1.5, between(v, row, levels.columns, (s.x[i]! + 1) / 2)))
  })
  return otsu(histogramOf(back, -0.5, 1.5)).parted
}

/** No paper is brighter than this, white being 1. */
const BRIGHTEST = 1.5

/** How much the step between the two counts beside how well they are parted. */
const STEP_COUNTS = 0.15

/** The light of a picture of two levels, by the first guess that parts them best. */
function bestLight(s: Samples): { light: Light; levels: Levels; parted: number } {
  const flat = fitted(
    s,
    () => 1,
    () => 1,
  )
  const level = levelsOf(s, flat)
  const guesses = [above(s.value), above(s.value.map((v, i) => v / level[i]!)), byBorder(s)]
  const tries = guesses
    .filter(guess => guess.some(v => v === 1) && guess.some(v => v === 0))
    .map(guess => {
      const light = settled(s, guess)
      const levels = levelsIn(s, light)
      // A light beyond white is that of a guess that found nothing of one of the two.
      const parted = levels.bright.some(v => v > BRIGHTEST) ? 0 : partedBy(s, levels)
      return { light, levels, parted }
    })
  if (!tries.length) throw new RangeError('The picture is of one colour only: there is no stencil in it.')
  // Of guesses that part alike, the one with the larger step: light alone parts too, by little.
  const worth = (t: (typeof tries)[number]) => t.parted * (1 - t.light.dark) ** STEP_COUNTS
  return tries.reduce((a, b) => (worth(b) > worth(a) + 0.004 ? b : a))
}

/** How well sheet and ground are parted in a picture, 0 to 1, once its light is taken out. */
export function partedIn(plane: Plane): number {
  return bestLight(samplesOf(plane, FEW_SAMPLES)).parted
}

/**
 * Takes uneven light out of a picture of two levels: the light is a polynomial of third degree that both
 * share, worked out by turns with what is light and what is dark; what is left is followed in cells.
 */
export function evened(plane: Plane): Evened {
  const { light, levels, parted } = bestLight(samplesOf(plane, SAMPLES))
  const { width, height, values } = plane
  const out = new Float32Array(values.length)
  const row = new Float32Array(2 * levels.columns)
  for (let j = 0; j < height; j++) {
    acrossRow(levels, (j + 0.5) / height, row)
    for (let i = 0, k = j * width; i < width; i++, k++)
      out[k] = between(values[k]!, row, levels.columns, (i + 0.5) / width)
  }
  const flat = { width, height, values: out }
  return { ...flat, parted, contrast: light.dark, noise: noiseOf(flat) }
}
