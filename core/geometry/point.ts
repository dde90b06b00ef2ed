import { degrees } from './units'

/** A point or vector in mm: [x, y], +y down. */
export type Point = readonly [number, number]

export const distance = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1])
export const mix = (a: Point, b: Point, t: number): Point => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
]

/** The mirror image of a point across the midline (x = 0). */
export const mirrored = (a: Point): Point => [-a[0], a[1]]

/** Bearing from one point to another, degrees clockwise from up, in (-180, 180]. */
export const bearing = ([x0, y0]: Point, [x1, y1]: Point): number => degrees(Math.atan2(x1 - x0, y0 - y1))
