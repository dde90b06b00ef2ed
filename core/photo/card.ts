import { signedArea, type Point } from '../geometry'
import { unbent, type Frame, type Lens } from './frame'
import { homographyOf, inverted, taken, type Homography } from './homography'
import { blurred, channelOf, reduced, valueAt, type Picture, type Plane } from './picture'

/**
 * The calibration card, mm, from the middle of its upper left cross: four crosses, dots along the lines
 * between them, a bar to check the printer by. It fits on A4 and on letter paper.
 */
export const CARD = {
  width: 170,
  height: 230,
  /** Length and thickness of a cross's arms. */
  cross: 12,
  arm: 3,
  dot: 2.4,
  /** Dots lie so far apart. */
  step: 10,
  /** The bar by which the printer is checked. */
  bar: 100,
  /** What is read of it begins so far inside the crosses. */
  inset: 9,
} as const

/** The middles of the crosses, clockwise from the upper left. */
export const CARD_CROSSES: readonly Point[] = [
  [0, 0],
  [CARD.width, 0],
  [CARD.width, CARD.height],
  [0, CARD.height],
]

/** The middles of the dots. */
export function cardDots(): Point[] {
  const dots: Point[] = []
  for (let x = 2 * CARD.step; x <= CARD.width - 2 * CARD.step; x += CARD.step)
    dots.push([x, 0], [x, CARD.height])
  for (let y = 2 * CARD.step; y <= CARD.height - 2 * CARD.step; y += CARD.step)
    dots.push([0, y], [CARD.width, y])
  return dots
}

/** A dark spot of a picture. */
interface Spot {
  readonly at: Point
  readonly area: number
  readonly wide: number
  readonly tall: number
}

/** Dark spots that stand by themselves, in a plane where 1 is dark. */
function spotsOf({ width, values }: Plane, most: number): Spot[] {
  const left = Uint8Array.from(values, v => (v > 0.5 ? 1 : 0))
  const spots: Spot[] = []
  for (let k = 0; k < left.length; k++) {
    if (!left[k]) continue
    const pixels = [k]
    left[k] = 0
    let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity]
    let [sx, sy, sum] = [0, 0, 0]
    for (let n = 0; n < pixels.length; n++) {
      const p = pixels[n]!
      const i = p % width
      const j = (p - i) / width
      minX = Math.min(minX, i)
      maxX = Math.max(maxX, i)
      minY = Math.min(minY, j)
      maxY = Math.max(maxY, j)
      sx += values[p]! * (i + 0.5)
      sy += values[p]! * (j + 0.5)
      sum += values[p]!
      for (const q of [i > 0 ? p - 1 : -1, i < width - 1 ? p + 1 : -1, p - width, p + width])
        if (q >= 0 && q < left.length && left[q]) {
          left[q] = 0
          pixels.push(q)
        }
    }
    const [wide, tall] = [maxX - minX + 1, maxY - minY + 1]
    if (pixels.length >= 8 && wide < most && tall < most)
      spots.push({ at: [sx / sum, sy / sum], area: pixels.length, wide, tall })
  }
  return spots
}

/** Darkness against the brightness about each place: 1 where it is well under it. */
function darkness(plane: Plane, about: number): Plane {
  const ground = blurred(reduced(plane, 4), about / 4)
  const values = new Float32Array(plane.values.length)
  for (let j = 0, k = 0; j < plane.height; j++)
    for (let i = 0; i < plane.width; i++, k++) {
      const here = valueAt(ground, (i + 0.5) / 4, (j + 0.5) / 4)
      values[k] = Math.max(0, Math.min(1, (1 - plane.values[k]! / Math.max(0.02, here)) * 1.6))
    }
  return { ...plane, values }
}

/** The longer side of the picture in which crosses are looked for. */
const LOOKED_AT = 1200

/** A spot shaped like a cross: about as wide as tall, and so much of its box filled (44 % when upright). */
const crossLike = (s: Spot): boolean => {
  const filled = s.area / (s.wide * s.tall)
  const shape = s.wide / s.tall
  return s.wide >= 8 && shape > 0.6 && shape < 1.7 && filled > 0.26 && filled < 0.62
}

/** Whether the middle of a spot is dark, and the corners of its box are light. */
function hollowed(plane: Plane, { at: [x, y], wide, tall }: Spot): boolean {
  const corner = (u: number, v: number) => valueAt(plane, x + u * 0.36 * wide, y + v * 0.36 * tall)
  const light = [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)].filter(v => v < 0.5).length
  return valueAt(plane, x, y) > 0.5 && light >= 3
}

/** What was found of the card: where its crosses lie, and the frame that follows. */
export interface CardFound {
  readonly crosses: readonly Point[]
  readonly frame: Frame
  /** Marks that were used, crosses and dots. */
  readonly marks: number
  /** How far the marks lie from where they should at most, mm. */
  readonly offMm: number
}

/** All ways of taking four of a few. */
function* foursOf<T>(list: readonly T[]): Generator<[T, T, T, T]> {
  for (let a = 0; a < list.length; a++)
    for (let b = a + 1; b < list.length; b++)
      for (let c = b + 1; c < list.length; c++)
        for (let d = c + 1; d < list.length; d++) yield [list[a]!, list[b]!, list[c]!, list[d]!]
}

/** Round a middle, clockwise with y down. */
function clockwiseOf(points: readonly Point[]): Point[] {
  const x = points.reduce((s, p) => s + p[0], 0) / 4
  const y = points.reduce((s, p) => s + p[1], 0) / 4
  return [...points].sort((p, q) => Math.atan2(p[1] - y, p[0] - x) - Math.atan2(q[1] - y, q[0] - x))
}

/** The spot nearest to a place, within a reach. */
function nearest(spots: readonly Spot[], [x, y]: Point, reach: number): Spot | null {
  let best: Spot | null = null
  let least = reach
  for (const s of spots) {
    const d = Math.hypot(s.at[0] - x, s.at[1] - y)
    if (d < least) {
      least = d
      best = s
    }
  }
  return best
}

/** The card between its crosses has some 600 times the area of one; seen askew still half of that. */
const APART = 250

/** Marks of the card with where they lie in the picture, for the way it lies that most dots speak for. */
function matched(
  crosses: readonly Spot[],
  spots: readonly Spot[],
): { card: Point[]; picture: Point[] } | null {
  let best: { card: Point[]; picture: Point[] } | null = null
  for (const four of foursOf(crosses)) {
    const areas = four.map(s => s.area)
    if (Math.max(...areas) > 2.5 * Math.min(...areas)) continue
    const round = clockwiseOf(four.map(s => s.at))
    // The crosses stand far apart: many times their own size.
    if (Math.abs(signedArea(Float64Array.from(round.flat()))) < APART * Math.max(...areas)) continue
    for (const first of [0, 1]) {
      const picture = [0, 1, 2, 3].map(k => round[(first + k) % 4]!)
      let h: Homography
      try {
        h = homographyOf(CARD_CROSSES, picture)
      } catch {
        continue
      }
      const card: Point[] = [...CARD_CROSSES]
      const found = [...picture]
      for (const dot of cardDots()) {
        const at = taken(h, dot[0], dot[1])
        const aside = taken(h, dot[0] + 2.5, dot[1])
        const spot = nearest(spots, at, Math.hypot(aside[0] - at[0], aside[1] - at[1]))
        if (!spot) continue
        card.push(dot)
        found.push(spot.at)
      }
      if (!best || found.length > best.picture.length) best = { card, picture: found }
    }
  }
  return best
}

/** Fewer marks than this say nothing of the lens. */
const LENS_MARKS = 20
/** No lens of a telephone bends more than this at the corner of its picture. */
const MOST_BEND = 0.2

/** How far marks lie from where a homography puts them, mm: root mean square and the most. */
function offOf(card: readonly Point[], straight: readonly Point[], h: Homography) {
  const back = inverted(h)
  const off = card.map((p, k) => {
    const q = taken(back, straight[k]![0], straight[k]![1])
    return Math.hypot(q[0] - p[0], q[1] - p[1])
  })
  return { rms: Math.sqrt(off.reduce((s, v) => s + v * v, 0) / off.length), most: Math.max(...off) }
}

/** The lens by which the marks fit best, by golden section (Kiefer 1953). */
function lensOf(
  card: readonly Point[],
  picture: readonly Point[],
  width: number,
  height: number,
): Lens | null {
  if (card.length < LENS_MARKS) return null
  const off = (k: number) => {
    const straight = picture.map(p => unbent({ k }, p, width, height))
    return offOf(card, straight, homographyOf(card, straight)).rms
  }
  const golden = (Math.sqrt(5) - 1) / 2
  let [a, b] = [-MOST_BEND, MOST_BEND]
  for (let n = 0; n < 28; n++) {
    const c = b - golden * (b - a)
    const d = a + golden * (b - a)
    if (off(c) < off(d)) b = d
    else a = c
  }
  return { k: (a + b) / 2 }
}

/**
 * The frame that marks of the card give, with the lens where there are enough of them.
 * @param scale by how much the printer made it larger: the bar as measured by its 100 mm
 */
export function frameOfMarks(
  card: readonly Point[],
  picture: readonly Point[],
  size: { width: number; height: number },
  scale = 1,
): { frame: Frame; offMm: number } {
  const lens = lensOf(card, picture, size.width, size.height)
  const straight = lens ? picture.map(p => unbent(lens, p, size.width, size.height)) : picture
  const at = (p: Point): Point => [(p[0] - CARD.inset) * scale, (p[1] - CARD.inset) * scale]
  const own = card.map(at)
  const toPicture = homographyOf(own, straight)
  return {
    frame: {
      width: (CARD.width - 2 * CARD.inset) * scale,
      height: (CARD.height - 2 * CARD.inset) * scale,
      toPicture,
      lens,
    },
    offMm: offOf(own, straight, toPicture).most,
  }
}

/**
 * Finds the calibration card in a picture.
 * @returns null when its crosses are not all seen
 */
export function findCard(picture: Picture, scale = 1): CardFound | null {
  const by = Math.max(1, Math.floor(Math.max(picture.width, picture.height) / LOOKED_AT))
  const plane = blurred(reduced(channelOf(picture, 'luma'), by), 0.7)
  const dark = darkness(plane, Math.max(plane.width, plane.height) / 25)
  const spots = spotsOf(dark, Math.max(plane.width, plane.height) / 8)
  const crosses = spots.filter(s => crossLike(s) && hollowed(dark, s)).sort((a, b) => b.area - a.area)
  if (crosses.length < 4) return null
  const found = matched(crosses.slice(0, 8), spots)
  if (!found || found.card.length < 8) return null
  const marks = found.picture.map(([x, y]): Point => [x * by, y * by])
  const { frame, offMm } = frameOfMarks(found.card, marks, picture, scale)
  return { crosses: marks.slice(0, 4), frame, marks: marks.length, offMm }
}
