import { distance, radians, bearing, type Point } from '../geometry'
import { pathThrough } from './curves'
import { jitter, lengthOf, stationsAt } from './spine'
import { param, valuesOf, type Param, type Params, type Values } from './params'

/** A dot: its middle and its diameter, mm. */
export interface Dot {
  readonly at: Point
  readonly size: number
}

export const DOT_RUNS = ['row', 'ring', 'threes', 'cluster'] as const
export type DotRun = (typeof DOT_RUNS)[number]

const FIRST = param('first', 'first', 'mm', 0.6, 14, 0.2, 4.2)
const LAST = param('last', 'last', 'mm', 0.6, 14, 0.2, 1.4)
const COUNT = param('count', 'dots', '', 1, 60, 1, 7)

/** How a run of dots is laid out: handles, numbers, and the dots that follow, in the flat. */
export interface DotShape {
  readonly words: string
  readonly handles: readonly [number, number]
  readonly usual: readonly Point[]
  readonly params: readonly Param[]
  readonly draw: (handles: readonly Point[], value: Params) => Dot[]
}

const lerp = (a: number, b: number, t: number) => a + (b - a) * t
/** First and last size of some dots, mm. */
type Sizes = Readonly<Record<'first' | 'last', number>>
const sizes = (n: number, v: Sizes) =>
  Array.from({ length: n }, (_, i) => lerp(v.first, v.last, n === 1 ? 0 : i / (n - 1)))

/**
 * Where a row's dots stand along it, as shares: even steps, or gaps between the dots that shrink as the dots
 * do.
 */
function placesOf(size: readonly number[], length: number, shrinking: boolean): number[] {
  const n = size.length
  if (n === 1) return [0]
  if (!shrinking) return size.map((_, i) => i / (n - 1))
  const free = length - size.reduce((s, d) => s + d, 0) + (size[0]! + size[n - 1]!) / 2
  const between = size.slice(1).map((d, i) => (d + size[i]!) / 2)
  const weight = between.reduce((s, b) => s + b, 0)
  let at = 0
  return [
    0,
    ...between.map(
      b => (at += b + (Math.max(0, free) * b) / weight - (free < 0 ? (-free * b) / weight : 0)) / length,
    ),
  ].map(s => Math.min(1, s))
}

/** Makes a run whose numbers are known by the names of its descriptors. */
const run = <const P extends readonly Param[]>(
  shape: Omit<DotShape, 'params' | 'draw'> & {
    readonly params: P
    readonly draw: (handles: readonly Point[], value: Values<P>) => Dot[]
  },
): DotShape => ({ ...shape, draw: (handles, value) => shape.draw(handles, valuesOf(shape.params, value)) })

export const DOTS = {
  row: run({
    words: 'row along a path',
    handles: [2, 10],
    usual: [
      [0, 16],
      [3, 0],
      [0, -16],
    ],
    params: [COUNT, FIRST, LAST, param('shrink', 'gaps shrink with the dots', '', 0, 1, 1, 1)],
    draw: (h, v) => {
      const path = pathThrough(h)
      const size = sizes(v.count, v)
      return stationsAt(path, placesOf(size, lengthOf(path), v.shrink > 0.5)).map((s, i) => ({
        at: s.at,
        size: size[i]!,
      }))
    },
  }),
  ring: run({
    words: 'ring',
    handles: [2, 2],
    usual: [
      [0, 0],
      [0, -11],
    ],
    params: [
      { ...COUNT, usual: 12 },
      { ...FIRST, usual: 2 },
      { ...LAST, usual: 2 },
    ],
    draw: ([centre, rim], v) => {
      const r = distance(centre!, rim!)
      const a = radians(bearing(centre!, rim!))
      // There and back: the first size at the rim's handle, the last across from it.
      return Array.from({ length: v.count }, (_, i) => {
        const t = i / v.count
        const angle = a + 2 * Math.PI * t
        return {
          at: [centre![0] + r * Math.sin(angle), centre![1] - r * Math.cos(angle)] as Point,
          size: lerp(v.first, v.last, 1 - Math.abs(1 - 2 * t)),
        }
      })
    },
  }),
  threes: run({
    words: 'threes, big to small',
    handles: [2, 2],
    usual: [
      [0, 5],
      [0, -5],
    ],
    params: [
      { ...FIRST, usual: 4.6 },
      { ...LAST, usual: 1.8 },
      param('groups', 'groups', '', 1, 6, 1, 1),
      param('apart', 'groups apart', 'mm', 3, 40, 1, 10),
    ],
    draw: ([a, b], v) =>
      Array.from({ length: v.groups }, (_, g): Dot[] => {
        const l = distance(a!, b!) || 1
        const side: Point = [(b![1] - a![1]) / l, -(b![0] - a![0]) / l]
        const off = (g - (v.groups - 1) / 2) * v.apart
        return placesOf(
          [0, 1, 2].map(i => lerp(v.first, v.last, i / 2)),
          l,
          true,
        ).map((t, i) => ({
          at: [lerp(a![0], b![0], t) + side[0] * off, lerp(a![1], b![1], t) + side[1] * off],
          size: lerp(v.first, v.last, i / 2),
        }))
      }).flat(),
  }),
  cluster: run({
    words: 'cluster',
    handles: [2, 2],
    usual: [
      [0, 0],
      [0, -9],
    ],
    params: [
      { ...COUNT, usual: 9 },
      { ...FIRST, usual: 4 },
      { ...LAST, usual: 1.2 },
    ],
    draw: ([centre, rim], v) => {
      const reach = distance(centre!, rim!)
      const dots: Dot[] = []
      // Big ones inside, small ones where room is left, on a sunflower's spiral so that none stands in a row.
      sizes(v.count, v).forEach((size, i) => {
        const r = v.count === 1 ? 0 : reach * Math.sqrt(i / (v.count - 1))
        const angle = i * 2.39996 + 0.3 * jitter(i)
        const at: Point = [centre![0] + r * Math.cos(angle), centre![1] + r * Math.sin(angle)]
        if (dots.every(d => distance(d.at, at) > (d.size + size) / 2 + 0.3)) dots.push({ at, size })
      })
      return dots
    },
  }),
} satisfies Record<DotRun, DotShape>

export const dotShape = (run: DotRun): DotShape => DOTS[run]

/**
 * Dots of a run along a closed or open outline: even steps, sizes from first to last and back on a closed
 * one.
 */
export function dotsAlong(
  outline: readonly Point[],
  closed: boolean,
  v: Sizes & { readonly count: number },
): Dot[] {
  const n = Math.max(1, v.count)
  const at = Array.from({ length: n }, (_, i) => (closed ? i / n : n === 1 ? 0 : i / (n - 1)))
  return stationsAt(outline, at, closed).map((s, i) => ({
    at: s.at,
    size: lerp(v.first, v.last, closed ? 1 - Math.abs(1 - 2 * at[i]!) : at[i]!),
  }))
}
