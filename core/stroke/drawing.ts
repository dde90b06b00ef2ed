import { distance, radians, type Point } from '../geometry'
import { BRUSHES, widthAt, type BrushForm, type BrushId } from '../paint'
import type { Station } from './spine'

/** Brushes that draw a line as thick as they are pressed. */
export const ROUND: BrushForm[] = ['round', 'dagger']
/** Brushes of which a curve can be drawn: a flat one shows its strips along it. */
export const EVERY: BrushForm[] = ['round', 'dagger', 'flat', 'angled', 'filbert']
/** Width of the brush at its pressure, mm. */
export const thick = (value: { readonly press: number }, brush: BrushId) => widthAt(brush, value.press / 100)
/** The thinnest line of a brush, mm. */
export const thin = (brush: BrushId) => BRUSHES[brush].least
/** Even shares from one bound to the other, both included. */
export const shares = (n: number, from = 0, to = 1): number[] =>
  Array.from({ length: n }, (_, i) => (n === 1 ? (from + to) / 2 : from + ((to - from) * i) / (n - 1)))
/** The way to the left of the travel: up for a path from left to right. */
export const left = ({ along: [x, y] }: Station): Point => [y, -x]
/** A point some way off another. */
export const from = ([x, y]: Point, [dx, dy]: Point, by: number): Point => [x + dx * by, y + dy * by]
/** A direction turned clockwise by some degrees. */
export const turned = ([x, y]: Point, by: number): Point => {
  const c = Math.cos(radians(by))
  const s = Math.sin(radians(by))
  return [c * x - s * y, s * x + c * y]
}
/** The way from one point to another, of length 1. */
export const unit = (a: Point, b: Point): Point => {
  const l = distance(a, b) || 1
  return [(b[0] - a[0]) / l, (b[1] - a[1]) / l]
}
/**
 * Width of a petal or leaf along its length: narrow at its foot, widest past its middle, closing to a tip.
 */
export const petalWidth =
  (wide: number, foot: number) =>
  (t: number): number =>
    Math.max(foot, wide * Math.sin(Math.PI * t ** 1.25) ** 0.75)
