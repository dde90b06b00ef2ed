import { monotoneCubic } from './profile'

/** A smooth bump or hollow: centre, spread and height in mm; paired ones stand on both sides. */
interface Bump { x: number, y: number, sx: number, sy: number, h: number, paired: boolean, lean?: number }

const pair = (x: number, y: number, sx: number, sy: number, h: number, lean = 0): Bump => ({ x, y, sx, sy, h, paired: true, lean })
const mid = (y: number, sx: number, sy: number, h: number): Bump => ({ x: 0, y, sx, sy, h, paired: false })

/** Starting values that looked right when tried on an adult (common practice, no source). */
const ADULT_BUMPS: readonly Bump[] = [
  pair(21, -12, 17, 6, 4.2), mid(-8, 9, 6, 1.6),
  pair(31, 3, 13, 9, -7.5), pair(13, 4, 6, 9, -4.6), pair(31.5, 5, 10.5, 6.4, 5.2),
  pair(12.5, 48, 5, 6.2, 5.4), mid(45, 7, 6, 4.2), mid(55, 6, 3, -1.2),
  pair(45, 29, 16, 12, 5), pair(46, 66, 14, 18, -3.6), pair(25, 58, 6, 10, 1.6, 0.5),
  pair(6.5, 68.5, 12, 3.4, 2.8), mid(63, 2.6, 4.5, -1.1), mid(73.8, 15, 1.3, -2.2), pair(27, 74.5, 4, 3.5, -1.6),
  mid(78.5, 13, 4, 4), mid(88.5, 13, 4, -3), mid(104, 14, 9, 6.2), pair(24, -42, 20, 16, 1.6),
]

/** Half width of the skin's silhouette against height, squared: so the crown and the chin come out round, not cut. */
const halfWidthSquared = monotoneCubic([
  [-121, 0], [-117, 26 ** 2], [-108, 44 ** 2], [-92, 59 ** 2], [-70, 68 ** 2], [-45, 71.5 ** 2], [-20, 71.5 ** 2], [0, 70.5 ** 2], [20, 69 ** 2], [45, 64.5 ** 2], [65, 59 ** 2],
  [82, 51 ** 2], [96, 41.5 ** 2], [107, 31.5 ** 2], [114, 22 ** 2], [118.5, 12 ** 2], [120.5, 0],
])

/** Half width of the head at height y, mm; 0 above the crown and below the chin. */
export const halfWidth = (y: number): number => Math.sqrt(Math.max(0, halfWidthSquared(y)))

const TOP = -121, BOTTOM = 120.5, CENTRE = 10

/**
 * Height of an adult face over the picture plane at (x, y) of the skin frame, in mm, 0 outside the head.
 * A super-ellipsoid mask with Gaussian ridges and hollows for the features.
 */
export function adultRelief(x: number, y: number): number {
  const w = halfWidth(y)
  if (w === 0 || Math.abs(x) >= w) return 0
  const v = y < CENTRE ? (CENTRE - y) / (CENTRE - TOP) : (y - CENTRE) / (BOTTOM - CENTRE)
  const across = (1 - Math.abs(x / w) ** 2.35) ** 0.55
  const mask = 60 * Math.sqrt(1 - v ** 2.6) * across
  let features = nose(x, y)
  for (const b of ADULT_BUMPS) features += b.paired ? bump(b, x - b.x, y - b.y) + bump(b, -x - b.x, y - b.y) : bump(b, x, y - b.y)
  // The features fade out toward the silhouette, where the mask itself falls steeply.
  return mask + features * Math.min(1, across * 1.25)
}

function bump(b: Bump, dx: number, dy: number): number {
  const u = (dx - (b.lean ?? 0) * dy) / b.sx, v = dy / b.sy, q = u * u + v * v
  return q > 18 ? 0 : b.h * Math.exp(-q / 2)
}

/** The ridge of the nose: low at the bridge, high at the tip, rounded off beneath. */
function nose(x: number, y: number): number {
  const t = Math.min(1, Math.max(0, (y + 6) / 52))
  const height = 3.2 + 16.5 * t ** 1.15
  const sigma = 5 + 4 * t
  const fadeTop = y < -6 ? Math.exp(-(((y + 6) / 9) ** 2) / 2) : 1
  const fadeEnd = y > 46 ? Math.exp(-(((y - 46) / 5.2) ** 2) / 2) : 1
  return height * fadeTop * fadeEnd * Math.exp(-((x / sigma) ** 2) / 2)
}
