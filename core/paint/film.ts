import type { LinearRgb } from './colour'

/**
 * What a paint does to light, per band of linear red, green and blue: absorption K and scattering S of one
 * swatch film (its thickness counts as 1).
 * Two-flux optics of Kubelka and Munk.
 */
export interface Optics {
  readonly k: LinearRgb
  readonly s: LinearRgb
}

/**
 * Reflectance of the white part of a swatch card: colours of swatches are read against it, as a picture of the
 * card is set to its white. Its black part counts as 0 (common practice).
 */
export const WHITE_CARD = 1
/** Bounds of reflectances that are read off a swatch: none is quite black or quite white. */
const LEAST = 0.002
const MOST = 0.985

const bands = (f: (band: 0 | 1 | 2) => number): LinearRgb => [f(0), f(1), f(2)]
const bounded = (v: number) => Math.min(MOST, Math.max(LEAST, v))

/**
 * Reflectance of a film over a ground (Kubelka 1948, J Opt Soc Am 38:448), one band. Written with g = sqrt(K
 * (K + 2S)) and t = tanh(g X), so that films that only absorb or only scatter need no case of their own.
 * @param x thickness in swatch films; 0 leaves the ground
 * @param ground reflectance beneath, 0 to 1
 */
export function reflectance(k: number, s: number, x: number, ground: number): number {
  const g = Math.sqrt(k * (k + 2 * s))
  const t = g * x > 1e-9 ? Math.tanh(g * x) / g : x
  // Both sides are divided by g: t is then the limit x where nothing is absorbed.
  return (s * t + ground * (1 - (k + s) * t)) / (1 + (k + s) * t - ground * s * t)
}

/** A film over a painted ground, all bands. */
export const filmOver = ({ k, s }: Optics, x: number, ground: LinearRgb): LinearRgb =>
  bands(b => reflectance(k[b], s[b], x, ground[b]))

/** The colour of a film that is so thick that no ground shows: a - b with a = 1 + K/S. */
export const masstone = ({ k, s }: Optics): LinearRgb =>
  bands(b => {
    if (s[b] <= 0) return 0
    const a = 1 + k[b] / s[b]
    return a - Math.sqrt(a * a - 1)
  })

/**
 * Absorption and scattering of one band from a swatch: reflectance over black and over a ground.
 * a = (R + (R0 - R + Rg) / (R0 Rg)) / 2, b S X = arcoth((1 - a R0) / (b R0)); X is the swatch's own
 * thickness.
 * Throws RangeError when no film gives such a swatch.
 */
export function bandOf(overBlack: number, overGround: number, ground = WHITE_CARD): { k: number; s: number } {
  if (!(overBlack > 0 && overGround >= overBlack && overGround < 1))
    throw new RangeError('A swatch cannot be lighter over black than over white.')
  // Where both are alike the film hides: any thicker one looks the same, so a thick one is taken.
  if (overGround - overBlack < 1e-9) {
    const a = (1 / overBlack + overBlack) / 2
    const s = 6 / Math.max(1e-6, Math.sqrt(a * a - 1))
    return { k: (a - 1) * s, s }
  }
  const a = (overGround + (overBlack - overGround + ground) / (overBlack * ground)) / 2
  const b = Math.sqrt(Math.max(0, a * a - 1))
  if (a < 1 - 1e-9) throw new RangeError('No film of paint gives such a swatch: measure it again.')
  // Without absorption b is 0 and the limit of arcoth(z) / b is R0 / (1 - R0).
  if (b < 1e-7) return { k: 0, s: overBlack / (1 - overBlack) }
  const z = (1 - a * overBlack) / (b * overBlack)
  if (!(z > 1)) throw new RangeError('No film of paint gives such a swatch: measure it again.')
  const s = Math.log((z + 1) / (z - 1)) / 2 / b
  return { k: (a - 1) * s, s }
}

/**
 * A paint's optics from the colours of its swatch over black and over white. Values off what a film can do
 * are brought to the nearest that it can.
 */
export function opticsOf(overBlack: LinearRgb, overWhite: LinearRgb): Optics {
  const found = ([0, 1, 2] as const).map(b => {
    const white = bounded(overWhite[b])
    const black = Math.min(white - 1e-4, bounded(overBlack[b]))
    return bandOf(Math.max(LEAST / 2, black), white)
  })
  return { k: bands(b => found[b]!.k), s: bands(b => found[b]!.s) }
}

/** Luminance Y of a linear-light colour, 0 to 1 (sRGB primaries, IEC 61966-2-1). */
export const luminance = ([r, g, b]: LinearRgb): number => 0.2126 * r + 0.7152 * g + 0.0722 * b

/**
 * Hiding power as a contrast ratio, Y over black against Y over white (ISO 6504-3, ASTM D2805), of a film of
 * `x` swatch films.
 */
export function contrastRatio(optics: Optics, x = 1): number {
  return (
    luminance(filmOver(optics, x, [0, 0, 0])) /
    luminance(filmOver(optics, x, [WHITE_CARD, WHITE_CARD, WHITE_CARD]))
  )
}

/** From this contrast ratio on a film hides. */
export const HIDES = 0.98

/** Hiding power in words. */
export function hidingWords(ratio: number): string {
  return ratio >= HIDES ? 'hides' : ratio >= 0.93 ? 'hides nearly' : ratio >= 0.8 ? 'covers partly' : 'sheer'
}

/**
 * Optics of a paint of which only its colour and its hiding power are known. Bands in which it is light
 * scatter more than those in which it absorbs, between the two extremes of equal scattering (thin films too
 * dark) and equal depth b S X (thin films too light); how much follows from the hiding power.
 */
export function opticsFrom(colour: LinearRgb, ratio: number): Optics {
  const at = (depth: number): Optics => {
    const s = bands(band => {
      const r = bounded(colour[band])
      const a = (1 / r + r) / 2
      return depth / Math.sqrt(Math.sqrt(a * a - 1))
    })
    return {
      s,
      k: bands(band => {
        const r = bounded(colour[band])
        return (s[band] * (1 - r) ** 2) / (2 * r)
      }),
    }
  }
  let low = 0.02,
    high = 12
  for (let i = 0; i < 60; i++) {
    const middle = Math.sqrt(low * high)
    if (contrastRatio(at(middle)) < ratio) low = middle
    else high = middle
  }
  return at(Math.sqrt(low * high))
}

/** Hiding power of a paint nobody measured (common practice). */
export const USUAL_HIDING = 0.92
