import type { Point } from '../geometry'
import { MEAN_CROWN, MEAN_FOOT, MEAN_SIDE, type Face } from './faces/face'
import type { MidLandmark, SideLandmark } from './faces/landmarks'
import { MEAN_TRAITS } from './faces/traits'
import { monotoneCubic } from './profile'

/** A smooth bump or hollow: centre, spread and height in mm; `lean` shears it. */
interface Bump {
  readonly x: number
  readonly y: number
  readonly sx: number
  readonly sy: number
  readonly h: number
  readonly lean: number
}

/**
 * A bump beside a landmark, as it is on the mean adult (offset, spread, height; mm), with the share of its
 * height that is missing at three years.
 */
interface Shape {
  readonly by: SideLandmark | MidLandmark
  readonly dx: number
  readonly dy: number
  readonly sx: number
  readonly sy: number
  readonly h: number
  readonly young: number
  readonly lean?: number
  /** What comes to its height at three years, and in old age; mm. */
  readonly child?: number
  readonly aged?: number
  /** Whether it is of the lips: as high and as full as they are. */
  readonly lips?: boolean
}

/**
 * Starting values that looked right when tried (common practice, no source). A child's brow, nose and chin
 * are flatter, its cheeks fuller.
 */
const SHAPES: readonly Shape[] = [
  { by: 'browPeak', dx: -13, dy: 5.5, sx: 17, sy: 6, h: 4.2, young: 0.75 },
  { by: 'nasion', dx: 0, dy: -8, sx: 9, sy: 6, h: 1.6, young: 0.8 },
  { by: 'pupil', dx: -0.5, dy: -1.8, sx: 13, sy: 9, h: -7.5, young: 0.3 },
  { by: 'innerEye', dx: -3, dy: -3, sx: 7.2, sy: 9.5, h: -3.9, young: 0.4 },
  { by: 'pupil', dx: 0, dy: 0.2, sx: 10.5, sy: 6.4, h: 5.2, young: 0.1 },
  { by: 'noseWing', dx: -4, dy: -0.5, sx: 5.6, sy: 6.6, h: 4.8, young: 0.4 },
  { by: 'noseTip', dx: 0, dy: -0.5, sx: 7.4, sy: 6.4, h: 4.4, young: -0.1 },
  { by: 'noseBase', dx: 0, dy: 1.5, sx: 6, sy: 3, h: -0.8, young: 0.3 },
  { by: 'cheekbone', dx: -11, dy: 2, sx: 16, sy: 12, h: 5, young: 0.25 },
  { by: 'mouthCorner', dx: 20, dy: -8, sx: 14, sy: 18, h: -2.9, young: 1.3, aged: -1.2 },
  { by: 'mouthCorner', dx: 13, dy: -17, sx: 15, sy: 13, h: 0, young: 0, child: 3.4 },
  { by: 'mouthCorner', dx: -1, dy: -16, sx: 6, sy: 10, h: 1.4, young: 0.3, lean: 0.5 },
  // Folds of age: beside nose and mouth, the bag under the eye, the jowl, the hollow of the temple.
  { by: 'mouthCorner', dx: -1.5, dy: -13, sx: 3.4, sy: 12, h: -0.25, young: 1, aged: -2.1, lean: 0.42 },
  { by: 'mouthCorner', dx: 8.5, dy: -14, sx: 6, sy: 12, h: 0, young: 0, aged: 2, lean: 0.42 },
  { by: 'mouthCorner', dx: 2.5, dy: 9, sx: 2.6, sy: 8, h: 0, young: 0, aged: -1.4 },
  { by: 'mouthCorner', dx: 15, dy: 20, sx: 9, sy: 9, h: 0, young: 0, aged: 2.4 },
  { by: 'pupil', dx: 0.5, dy: 12, sx: 10, sy: 3.6, h: 0, young: 0, aged: 1.2 },
  { by: 'pupil', dx: 0, dy: 17.5, sx: 11, sy: 3, h: 0, young: 0, aged: -1 },
  { by: 'temple', dx: -7, dy: 20, sx: 9, sy: 14, h: 0, young: 0, aged: -2 },
  { by: 'upperLip', dx: 6.5, dy: 1.5, sx: 12, sy: 3.9, h: 2.5, young: 0.15, lips: true },
  { by: 'upperLip', dx: 0, dy: -4, sx: 2.8, sy: 4.8, h: -1, young: 0.3 },
  { by: 'mouth', dx: 0, dy: -0.2, sx: 15, sy: 2.7, h: -1.7, young: 0.1, lips: true },
  { by: 'mouthCorner', dx: 1, dy: 0.5, sx: 4, sy: 3.5, h: -1.6, young: 0.1 },
  { by: 'lowerLip', dx: 0, dy: -4.5, sx: 13, sy: 4.3, h: 4, young: 0.15, lips: true },
  { by: 'lowerLip', dx: 0, dy: 5.5, sx: 13, sy: 4, h: -3, young: 0.25 },
  { by: 'chin', dx: 0, dy: -14, sx: 14, sy: 9, h: 6.2, young: 0.42 },
  { by: 'browPeak', dx: -10, dy: -24.5, sx: 20, sy: 16, h: 1.6, young: -0.9 },
]
/** Midline shapes that stand on both sides of it. */
const TWICE = 6.5

/**
 * Half width of the mean adult's silhouette against height, squared: so the crown and the chin come out
 * round, not cut.
 */
const halfWidthSquared = monotoneCubic([
  [-121, 0],
  [-117, 26 ** 2],
  [-108, 44 ** 2],
  [-92, 59 ** 2],
  [-70, 68 ** 2],
  [-45, 71.5 ** 2],
  [-20, 71.5 ** 2],
  [0, 70.5 ** 2],
  [20, 69 ** 2],
  [45, 64.5 ** 2],
  [65, 59 ** 2],
  [82, 51 ** 2],
  [96, 41.5 ** 2],
  [107, 31.5 ** 2],
  [114, 22 ** 2],
  [118.5, 12 ** 2],
  [120.5, 0],
])

/** The same of a skull that no hair lies on: rounder, since it is seen. */
const baldSquared = monotoneCubic([
  [-121, 0],
  [-119.5, 15 ** 2],
  [-115, 28 ** 2],
  [-106, 42 ** 2],
  [-94, 53 ** 2],
  [-80, 61.5 ** 2],
  [-64, 67 ** 2],
  [-45, 70.6 ** 2],
  [-20, 71.5 ** 2],
])

const CENTRE = 10
const DEPTH = 60
const END = 0.15
/** Rounds off the rim, where a super-ellipsoid would stand upright: no slope grows past about 4. */
const RIM = 0.08

/** s^q with a finite slope at 0, going on straight below; 1 at 1. */
function eased(s: number, q: number): number {
  const base = RIM ** q
  const span = (1 + RIM) ** q - base
  return s >= 0 ? ((s + RIM) ** q - base) / span : ((q * RIM ** (q - 1)) / span) * Math.max(s, -1.5)
}

/** The relief of a face. */
export interface Relief {
  /**
   * Height over the picture plane at (x, y) of the skin frame, mm; it goes on below 0 past the silhouette.
   */
  readonly z: (x: number, y: number) => number
  /** Half width of the skin's silhouette at height y, mm; 0 above the crown and below the chin. */
  readonly halfWidth: (y: number) => number
  /** The mask alone, without features, mm. */
  readonly mask: (x: number, y: number) => number
}

/**
 * The relief of a face: a super-ellipsoid mask with Gaussian ridges and hollows beside the landmarks, so that
 * an uneven face has an uneven relief.
 * Such a field looks right when shaded and carries everything that is draped over it.
 */
export function reliefOf({ landmarks, form }: Face): Relief {
  const bumps = SHAPES.flatMap(shape => placed(shape)).filter(b => b.h !== 0)
  const squared = (ym: number) => (form.bald && ym < -20 ? baldSquared(ym) : halfWidthSquared(ym))
  const halfWidth = (y: number): number => {
    const ym = form.toMean(y)
    return Math.sqrt(Math.max(0, squared(ym))) * form.wide(ym)
  }
  const depth = DEPTH * (0.45 * form.kx + 0.55 * form.skullWidth)
  const across = (x: number, ym: number): number => {
    const w = form.wide(ym)
    const w2 = Math.max(64, squared(ym) * w * w)
    return eased(1 - ((x * x) / w2) ** 1.175, 0.55)
  }
  const along = (ym: number): number =>
    eased(
      1 - (ym < CENTRE ? (CENTRE - ym) / (CENTRE - MEAN_CROWN) : (ym - CENTRE) / (MEAN_FOOT - CENTRE)) ** 2.6,
      0.5,
    )
  // Past the rim the mask falls on as steeply as it came to it, so that a sheet can follow it round the side
  // of the head.
  const maskAt = (a: number, l: number) =>
    depth *
    (a >= 0 && l >= 0
      ? a * l
      : a < 0 && l < 0
        ? END * (a + l)
        : a < 0
          ? a * Math.max(l, END)
          : l * Math.max(a, END))
  return {
    halfWidth,
    mask(x, y) {
      const ym = form.toMean(y)
      return maskAt(across(x, ym), along(ym))
    },
    z(x, y) {
      const ym = form.toMean(y)
      const a = across(x, ym)
      let features = nose(x, y)
      for (const b of bumps) features += bump(b, x, y)
      // The features fade out toward the silhouette, where the mask itself falls steeply.
      return maskAt(a, along(ym)) + features * fading(a)
    },
  }

  function placed(shape: Shape): Bump[] {
    const { by, sx, lean = 0, child = 0, aged = 0 } = shape
    const { kx, ky, grown, old, traits } = form
    const full = shape.lips ? traits.lips / (MEAN_TRAITS.lips * ky) : 1
    const usual = shape.h * (1 - shape.young * (1 - grown)) * full ** 0.6
    const h = (usual + child * (1 - grown) + aged * old) * (0.35 + 0.65 * kx)
    const sy = shape.sy * full ** 0.8
    if (by in MEAN_SIDE) {
      return (['left', 'right'] as const).map(side => {
        const out = side === 'right' ? 1 : -1
        const [x, y] = landmarks[side][by as SideLandmark]
        return {
          x: x + out * shape.dx * kx,
          y: y + shape.dy * ky,
          sx: sx * kx,
          sy: sy * ky,
          h,
          lean: out * lean,
        }
      })
    }
    const [x, y] = landmarks.mid[by as MidLandmark]
    const at = (dx: number): Bump => ({
      x: x + dx * kx,
      y: y + shape.dy * ky,
      sx: sx * kx,
      sy: sy * ky,
      h,
      lean,
    })
    return shape.dx === TWICE ? [at(-TWICE), at(TWICE)] : [at(shape.dx)]
  }

  /** The ridge of the nose: low at the bridge, high at the tip, rounded off beneath. */
  function nose(x: number, y: number): number {
    const { mid } = landmarks
    const k = form.kx
    const long = (mid.noseTip[1] - mid.nasion[1]) / 45
    if (Math.abs(x) > 80 * k) return 0
    const v = (y - mid.nasion[1]) / long
    const t = 1 - above0(1 - above0((v + 6) / 52))
    const { traits } = form
    const young = 1 - form.grown
    const middle = mid.nasion[0] + (mid.noseTip[0] - mid.nasion[0]) * t
    const risen = 16.3 * (1 - 0.5 * young) * Math.max(0, t) ** (1.15 + 0.85 * young)
    const height = traits.noseBridge * (1 - 0.55 * t) + risen * (0.35 + 0.65 * k)
    const broad = traits.noseWidth / (MEAN_TRAITS.noseWidth * k)
    const sigma = (5.2 + 4 * t * broad) * k * (1 + 0.18 * young)
    const fadeTop = v < -6 ? Math.exp(-(((v + 6) / 9) ** 2) / 2) : 1
    const fadeEnd = v > 46 ? Math.exp(-(((v - 46) / 7.2) ** 2) / 2) : 1
    // A narrow ridge on a broad foot: its sides run out softly into the cheeks.
    const q = ((x - middle) / sigma) ** 2 / 2
    return height * fadeTop * fadeEnd * (0.76 * Math.exp(-q) + 0.24 * Math.exp(-q / 4.4))
  }
}

/** x where it is above 0, and 0 below, with the corner rounded off. */
const above0 = (x: number): number => (x + Math.sqrt(x * x + 0.0064)) / 2

/** 1 over the face, smoothly 0 at the silhouette. */
function fading(across: number): number {
  const t = Math.min(1, Math.max(0, across * 1.25))
  return t * (2 - t)
}

function bump(b: Bump, x: number, y: number): number {
  const dy = y - b.y
  const u = (x - b.x - b.lean * dy) / b.sx
  const v = dy / b.sy
  const q = u * u + v * v
  return q > 24 ? 0 : b.h * Math.exp(-q / 2)
}

/** The outline of a face's silhouette, mm. */
export function silhouetteOf({ form }: Face, { halfWidth }: Relief, dy = 0): Point[] {
  const right: Point[] = []
  for (let y = form.crown; y < form.foot; y += 0.5) right.push([halfWidth(y), y + dy])
  right.push([0, form.foot + dy])
  return [...right, ...right.map(([x, y]): Point => [-x, y]).reverse()]
}
