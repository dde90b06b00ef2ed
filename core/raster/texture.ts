import type { Print } from '../look'
import type { Wetness } from '../paint'
import { noise } from './grid'

/** How uneven each wetness leaves a film, against the tool's own grain (common practice). */
const UNEVEN: Readonly<Record<Wetness, number>> = { chalky: 3.4, tacky: 1, damp: 0.7, runny: 0.35 }
/** How much thicker a film stands along its edge, as a share of it: wet paint gathers there (common practice). */
const RIM: Readonly<Record<Wetness, number>> = { chalky: 0, tacky: 0, damp: 0.3, runny: 0.9 }
/** Where a cover is thinner than full the film is too: a bleed runs out thin. Pooled paint does not. */
const THIN_EDGE: Readonly<Record<Wetness, number>> = { chalky: 0.5, tacky: 0.4, damp: 0.3, runny: 0.1 }
/** How much more uneven the last of a load is (common practice). */
const FADING = 2.6

/** How the tool, its wetness and what is left on it make a film uneven. */
export interface Texture {
  readonly tool: Print['texture']
  /** Swing of the thickness about its mean, as a share of it; above 2 there are bare pores. */
  readonly swing: number
  /** What the thickness is divided by, so that the film is as thick as it should be on average. */
  readonly mean: number
  readonly rim: number
  readonly thin: number
}

/** Samples of the grain by which its mean thickness is worked out. */
const SIDE = 64

/**
 * The texture of a print. On average its film is exactly as thick as it is told to be: pores that stay bare are
 * made up for beside them.
 */
export function textureOf({ grain, texture, wetness, charge }: Print): Texture {
  const swing = grain * UNEVEN[wetness] * (1 + FADING * (1 - charge))
  const even = { tool: texture, rim: RIM[wetness], thin: THIN_EDGE[wetness] }
  // While nothing is bare the swings cancel out by themselves.
  if (swing <= 2) return { ...even, swing, mean: 1 }
  let sum = 0
  for (let n = 0; n < SIDE * SIDE; n++) {
    const x = (n % SIDE) * 1.3
    const y = Math.floor(n / SIDE) * 1.3
    const g = texture === 'sponge' ? spongeAt(x, y) : grainAt(texture, x, y)
    sum += Math.max(0, 1 + swing * (0.5 - g))
  }
  return { ...even, swing, mean: sum / (SIDE * SIDE) }
}

/** The grain of a sponge at a place of the picture, mm: in [0, 1], a half on average. */
export const spongeAt = (x: number, y: number): number =>
  0.5 * noise(x * 0.55, y * 0.55, 11) + 0.5 * noise(x * 1.9, y * 1.9, 12)

/** The grain of the other tools: a dauber's fine pile, a soft brush's streaks, a brush's hairs. */
export function grainAt(tool: Exclude<Print['texture'], 'sponge'>, x: number, y: number): number {
  switch (tool) {
    case 'dauber':
      return 0.4 * noise(x * 1.3, y * 1.3, 13) + 0.6 * noise(x * 3.6, y * 3.6, 14)
    case 'soft brush':
      return 0.6 * noise(x * 0.07, y * 0.9, 15) + 0.4 * noise(x * 0.16, y * 2.6, 16)
    case 'brush':
      return 0.5 * noise(x * 2.2, y * 2.2, 17) + 0.5 * noise(x * 0.5, y * 0.5, 18)
  }
}

/**
 * How thick a film lies at a place, against its mean.
 * @param g the grain there, in [0, 1]
 * @param cover how much of the place it covers, 0 to 1
 */
export function thicknessAt({ swing, mean, rim, thin }: Texture, g: number, cover: number): number {
  const even = 1 + swing * (0.5 - g)
  // Paint gathers where the cover begins to fall.
  const edge = cover > 0.5 ? rim * 16 * (cover - 0.5) * (1 - cover) : 0
  return ((even > 0 ? even : 0) / mean) * (1 - thin + thin * cover + edge)
}
