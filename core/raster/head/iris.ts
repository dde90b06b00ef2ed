import { linearOf, mixLinear, type LinearRgb } from '../../paint/colour'
import { hash, smoothstep } from '../grid'

/** Colours of an iris: between its spokes, on them, and about the pupil. */
export interface Iris {
  readonly deep: LinearRgb
  readonly light: LinearRgb
  readonly ring: LinearRgb
}
const BROWN: Iris = {
  deep: linearOf('#3d2614'),
  light: linearOf('#8a6238'),
  ring: linearOf('#9a7040'),
}

/** The colours of an iris of some colour (#RRGGBB); brown when left out. */
export function irisOf(colour: string | undefined): Iris {
  if (colour === undefined) return BROWN
  const c = linearOf(colour)
  // What light irises hold of pigment lies about the pupil.
  return { deep: mixLinear([0, 0, 0], c, 0.3), light: c, ring: mixLinear(c, BROWN.ring, 0.35) }
}

/**
 * The iris at some mm from its middle: a dark rim, a lighter ring about the pupil, spokes, and more light where it
 * lies across from the lamp.
 * @param d the distance as of a grown iris, mm
 */
export function irisAt({ deep, light, ring: inmost }: Iris, dx: number, dy: number, d: number): LinearRgb {
  const turn = Math.atan2(dy, dx)
  const spoke = hash(Math.floor(turn * 16), 7) * 0.6 + hash(Math.floor(turn * 41), 9) * 0.4
  const across = smoothstep(-2, 4.5, 0.5 * dx + dy)
  const body = mixLinear(deep, light, 0.4 * spoke + 0.6 * across)
  const ring = mixLinear(inmost, body, smoothstep(2.4, 3.7, d))
  const rim = mixLinear(ring, linearOf('#160d08'), smoothstep(4, 5.9, d))
  return mixLinear(linearOf('#040303'), rim, smoothstep(2, 2.6, d))
}
