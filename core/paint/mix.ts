// The package ships no types.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./spectral.d.ts" />
import { Color, mix } from 'spectral.js'
import { converter } from 'culori'
import { hexOf, type LinearRgb } from './colour'
import { masstone, type Optics } from './film'

const toLch = converter('lch65')

/**
 * The colour of two paints stirred together wet, by a spectral mix: blue and yellow make green. `share` is
 * the second's.
 */
export function wetMix(a: LinearRgb, b: LinearRgb, share: number): LinearRgb {
  const mixed = mix([new Color(hexOf(a)), 1 - share], [new Color(hexOf(b)), share]).lRGB
  return [Math.max(0, mixed[0]), Math.max(0, mixed[1]), Math.max(0, mixed[2])]
}

/**
 * Optics of two paints blended wet: they scatter by their shares, and absorb so that the thick film has the
 * spectral mix's colour.
 */
export function wetBlend(a: Optics, b: Optics, share: number): Optics {
  if (share <= 0) return a
  if (share >= 1) return b
  const colour = wetMix(masstone(a), masstone(b), share)
  const scatter = (i: 0 | 1 | 2): number => a.s[i] * (1 - share) + b.s[i] * share
  const absorb = (i: 0 | 1 | 2): number => {
    const r = Math.min(0.985, Math.max(0.002, colour[i]))
    return (scatter(i) * (1 - r) ** 2) / (2 * r)
  }
  return { k: [absorb(0), absorb(1), absorb(2)], s: [scatter(0), scatter(1), scatter(2)] }
}

/** Chroma C* of a colour (CIE L*C*h, D65). */
export const chromaOf = ([r, g, b]: LinearRgb): number => toLch({ mode: 'lrgb', r, g, b }).c ?? 0

/** What blending two paints wet does to their colour, at the share at which it loses most. */
export interface Mud {
  readonly chroma: number
  /** The chroma of the duller of the two. */
  readonly parent: number
  readonly muddy: boolean
}

/** Shares at which a blend is looked at: nearer to either end it is that paint, a little dulled. */
const SHARES = [0.3, 0.4, 0.5, 0.6, 0.7] as const
/** Less of the duller parent's chroma than this, and less than so much of it, is mud. */
const MUD_SHARE = 0.4
const MUD_CHROMA = 20
/** A paint of less chroma is a grey, which has none to lose. */
const GREY = 14

/**
 * Whether the blend of two paints turns to mud: at its worst share it keeps less than two fifths of the chroma
 * of its duller parent, and is dull in itself. Greens of blue and yellow and oranges of red and yellow keep more
 * (common practice; the bounds were set on the mixes of painters' colours).
 */
export function mudOf(a: LinearRgb, b: LinearRgb): Mud {
  const chroma = Math.min(...SHARES.map(share => chromaOf(wetMix(a, b, share))))
  const parent = Math.min(chromaOf(a), chromaOf(b))
  return { chroma, parent, muddy: parent > GREY && chroma < MUD_SHARE * parent && chroma < MUD_CHROMA }
}
