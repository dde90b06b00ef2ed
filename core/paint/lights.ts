import type { LinearRgb } from './colour'

/** A unit vector: right, down, toward the painter. */
export type Way = readonly [number, number, number]
const unit = (x: number, y: number, z: number): Way => {
  const l = Math.hypot(x, y, z)
  return [x / l, y / l, z / l]
}

/** Under which light a look is judged. */
export const LIGHT_IDS = ['lamp', 'noon', 'shade', 'lanterns'] as const
export type LightId = (typeof LIGHT_IDS)[number]

/** A light as it falls on a head; ways are unit vectors toward where it comes from. */
export interface Light {
  readonly words: string
  /** The main light: from where, how strong, and how far it reaches past the edge of shadow, 0 to 1. */
  readonly key: Way
  readonly strength: number
  readonly wrap: number
  /** Light that comes back from elsewhere. */
  readonly fill: Way
  readonly filled: number
  /** Light from all round. */
  readonly ambient: number
  /** Halfway between the main light and the painter. */
  readonly half: Way
  /** How strongly skin shines. */
  readonly gloss: number
  /** Its colour as an eye sees it that has got used to it in part; linear, 1 = white. */
  readonly tint: LinearRgb
}

const light = (l: Omit<Light, 'half'>): Light => ({ ...l, half: unit(l.key[0], l.key[1], l.key[2] + 1) })

/**
 * The lights of a fair (common practice, estimates): the lamp of the stall from up left, which is also what all
 * pictures are painted under; the sun at noon; open shade under a blue sky; lanterns in the evening, of about
 * 2000 K, to which an eye gets used by two thirds.
 */
export const LIGHTS: Readonly<Record<LightId, Light>> = {
  lamp: light({
    words: "the stall's lamp",
    key: unit(-0.42, -0.5, 0.76),
    strength: 0.8,
    wrap: 0.17,
    fill: unit(0.75, 0.05, 0.55),
    filled: 0.21,
    ambient: 0.19,
    gloss: 0.045,
    tint: [1, 1, 1],
  }),
  noon: light({
    words: 'the sun at noon',
    key: unit(0.16, -0.84, 0.52),
    strength: 0.98,
    wrap: 0.07,
    fill: unit(0, 0.8, 0.6),
    filled: 0.14,
    ambient: 0.27,
    gloss: 0.07,
    tint: [1.05, 1.04, 0.99],
  }),
  shade: light({
    words: 'open shade',
    key: unit(0, -0.6, 0.8),
    strength: 0.42,
    wrap: 0.45,
    fill: unit(0, 0.5, 0.86),
    filled: 0.12,
    ambient: 0.36,
    gloss: 0.012,
    tint: [0.9, 0.97, 1.12],
  }),
  lanterns: light({
    words: 'evening lanterns',
    key: unit(0.62, 0.12, 0.77),
    strength: 0.62,
    wrap: 0.2,
    fill: unit(-0.8, -0.1, 0.6),
    filled: 0.34,
    ambient: 0.12,
    gloss: 0.06,
    tint: [1.06, 0.85, 0.5],
  }),
}
