import { distance, PAPER, type Point } from '../geometry'
import type { Frame, Lens } from './frame'
import { cornerTrouble, homographyOf } from './homography'

/** Paper sizes, mm, upright. */
export const PAPERS = { ...PAPER, A7: [74, 105], letter: [215.9, 279.4] } as const
export type PaperName = keyof typeof PAPERS

/** The four corners, clockwise from the upper left. */
export type Corners = readonly [Point, Point, Point, Point]

/** Smallest and largest side of a sheet, mm. */
const SIDES = [15, 500] as const

/** A sheet seen from 45 degrees is foreshortened by 1.4; more than this nobody photographs. */
const ASKEW = 1.6

/**
 * The frame of a rectangle whose corners are known in the picture.
 * @throws RangeError with a sentence when the corners or the sizes cannot be right
 */
export function frameOfCorners(
  corners: Corners,
  width: number,
  height: number,
  lens: Lens | null = null,
): Frame {
  const trouble = cornerTrouble(corners)
  if (trouble) throw new RangeError(trouble)
  for (const side of [width, height])
    if (!(side >= SIDES[0] && side <= SIDES[1]))
      throw new RangeError(`A stencil's sides must be between ${SIDES[0]} and ${SIDES[1]} mm.`)
  const seen = sidesOf(corners)
  const stretched = seen.across / seen.down / (width / height)
  if (stretched > ASKEW || stretched < 1 / ASKEW)
    throw new RangeError(
      `The sides do not fit the picture: between the corners it is ${(seen.across / seen.down).toFixed(2)} times as wide as tall, and ${width} by ${height} mm is ${(width / height).toFixed(2)} times. Perhaps the two are swapped.`,
    )
  const flat: Point[] = [[0, 0], [width, 0], [width, height], [0, height]] // prettier-ignore
  return { width, height, lens, toPicture: homographyOf(flat, corners) }
}

/** Mean lengths of the two pairs of sides between corners, pixels: across and down. */
function sidesOf([a, b, c, d]: Corners): { across: number; down: number } {
  return { across: (distance(a, b) + distance(d, c)) / 2, down: (distance(a, d) + distance(b, c)) / 2 }
}

/**
 * The frame of a rectangle in a picture taken flat (a scan, or straight from above), by two points of known
 * distance.
 * @throws RangeError with a sentence when the points lie on one another, or the sizes cannot be right
 */
export function frameOfDistance(corners: Corners, from: Point, to: Point, mm: number): Frame {
  const pixels = distance(from, to)
  if (!(pixels > 20)) throw new RangeError('The two points lie too close together. Put them further apart.')
  if (!(mm > 0)) throw new RangeError('Enter how many millimetres lie between the two points.')
  const { across, down } = sidesOf(corners)
  return frameOfCorners(corners, (across * mm) / pixels, (down * mm) / pixels)
}

/** How far a paper's sides may be off the picture's in proportion, for it to be proposed. */
const ALIKE = 0.09

/**
 * The paper that four corners look like, with its sides as they lie in the picture; null when they look like
 * none. Perspective shortens one side, so this is a guess to be looked at.
 */
export function paperLike(corners: Corners): { paper: PaperName; width: number; height: number } | null {
  const { across, down } = sidesOf(corners)
  const shape = Math.max(across, down) / Math.min(across, down)
  const { A4, letter } = PAPERS
  const off = (paper: readonly [number, number]) => Math.abs(shape / (paper[1] / paper[0]) - 1)
  const name = off(letter) < off(A4) ? 'letter' : 'A5'
  if (off(PAPERS[name]) > ALIKE) return null
  const [short, long] = PAPERS[name]
  return across > down
    ? { paper: name, width: long, height: short }
    : { paper: name, width: short, height: long }
}

/** Bridges narrower than this are no plastic: the size that was entered must be wrong, mm. */
const LEAST_BRIDGE = 0.12

/** Why a size cannot be right, by the narrowest bridge that it gives; null when it may be. */
export function sizeTrouble(bridge: number | null): string | null {
  if (bridge === null || bridge >= LEAST_BRIDGE) return null
  return `At this size the narrowest bridge would be ${bridge.toFixed(2)} mm, which no stencil has. Check the size, and whether it is in millimetres.`
}
