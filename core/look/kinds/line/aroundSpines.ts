import { bearing, offset, polygonArea, ringCentroid, type Point, type Polygon } from '../../../geometry'
import { BRUSHES, widthAt, type BrushId } from '../../../paint'
import { layOn } from '../../../skin'
import {
  jitter,
  lengthOf,
  lineTo,
  petalWidth,
  shares,
  spine,
  stationsAt,
  thinThickThin,
  turned,
  valuesOf,
  type Params,
  type Spine,
  type Values,
} from '../../../stroke'
import type { Source } from '../../document'
import { onSurfaceAway } from '../../placement'
import { evenly, regionFrom, sourceRings, stepsOf } from '../contour'
import type { World } from '../world'
import { AROUND, type AroundId } from './around'

/**
 * A closed line around a region, thicker where it turns toward the ground: a line of one width looks printed.
 */
function outlineSpines(
  print: readonly Polygon[],
  value: Values<(typeof AROUND)['outline']['params']>,
  brush: BrushId,
  { ground }: World,
): Spine[] {
  const thick = widthAt(brush, value.press / 100)
  const thin = BRUSHES[brush].least
  const away = value.distance + thick / 2
  const brought = onSurfaceAway(print, away, ground.surface)
  return offset(print, away).map(poly => {
    const line = uneven(brought(evenly(poly.outer)), value.wobble)
    const swell = (i: number) => 0.62 + 0.38 * Math.sin(((2 * Math.PI * i) / line.length) * 2 + 1)
    return { points: line, closed: true, widths: line.map((_, i) => thin + (thick - thin) * swell(i)) }
  })
}

/** A closed line as a hand draws it: off to either side by up to some mm, never twice alike. */
function uneven(line: Point[], wobble: number): Point[] {
  if (wobble <= 0) return line
  const n = line.length
  const salt = Math.round(10 * (line[0]![0] + line[0]![1]))
  // Three slow waves that close: their ends meet.
  const phase = [1, 2, 3].map(k => Math.PI * jitter(k, salt))
  const off = (i: number) =>
    [3, 5, 8].reduce((sum, waves, k) => sum + Math.sin((2 * Math.PI * waves * i) / n + phase[k]!), 0) / 3
  return line.map((p, i): Point => {
    const a = line[(i + n - 1) % n]!
    const b = line[(i + 1) % n]!
    const l = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
    const by = (wobble * off(i)) / l
    return [p[0] - (b[1] - a[1]) * by, p[1] + (b[0] - a[0]) * by]
  })
}

/**
 * A half outline lies on one side of what it goes around, and on the mirrored side for what lies across the
 * midline from its host.
 */
function halfOutlineSpine(
  poly: Polygon,
  n: number,
  value: Values<(typeof AROUND)['halfOutline']['params']>,
  brush: BrushId,
  host: { readonly anchor: Point | null; readonly turned: boolean },
  { ground }: World,
): Spine {
  const grown = value.distance ? (offset([poly], value.distance)[0] ?? poly) : poly
  const line = onSurfaceAway([poly], value.distance, ground.surface)(evenly(grown.outer))
  const middle = ringCentroid(poly.outer)
  const { anchor } = host
  const mirror =
    anchor !== null &&
    Math.abs(anchor[0]) > 3 &&
    !host.turned &&
    Math.sign(middle[0]) !== Math.sign(anchor[0])
  const wanted = mirror ? -value.side : value.side
  const turn = (q: Point) => Math.abs(((bearing(middle, q) - wanted + 540) % 360) - 180)
  const start = line.reduce((best, q, i) => (turn(q) < turn(line[best]!) ? i : best), 0)
  const half = Math.round((line.length * value.share) / 200)
  const at = (k: number) => (((start + k - half) % line.length) + line.length) % line.length
  const run = Array.from({ length: 2 * half + 1 }, (_, k) => line[at(k)]!)
  const jag = value.jag / 100
  const taper = thinThickThin(widthAt(brush, value.press / 100), 0.15)
  const jagged = (k: number) => 1 - jag * (0.45 + 0.45 * jitter(Math.floor(k / 2), n))
  return { points: run, widths: run.map((_, k) => taper(k / Math.max(1, run.length - 1)) * jagged(k)) }
}

/** A short stroke inside the edge of a piece, thin-thick-thin: the light on a petal. */
function highlightSpine(
  poly: Polygon,
  value: Values<(typeof AROUND)['highlight']['params']>,
  brush: BrushId,
  { ground }: World,
): Spine | null {
  const away = -value.inset
  const [inner] = offset([poly], away).sort((a, b) => polygonArea(b) - polygonArea(a))
  // A piece too small for the inset has no room for a light.
  if (!inner) return null
  const line = onSurfaceAway([poly], away, ground.surface)(evenly(inner.outer))
  const middle = ringCentroid(poly.outer)
  const turn = (q: Point) => Math.abs(((bearing(middle, q) - value.side + 540) % 360) - 180)
  const start = line.reduce((best, q, i) => (turn(q) < turn(line[best]!) ? i : best), 0)
  const half = Math.max(1, Math.round((line.length * value.share) / 200))
  const at = (k: number) => (((start + k - half) % line.length) + line.length) % line.length
  const run = Array.from({ length: 2 * half + 1 }, (_, k) => line[at(k)]!)
  const taper = thinThickThin(widthAt(brush, value.press / 100), BRUSHES[brush].least * 0.5)
  return { points: run, widths: run.map((_, k) => taper(k / (run.length - 1))) }
}

/** On which sides of a stem its leaves grow, for each choice: left is 1. */
const LEAF_SIDES = [[1, -1], [1, -1], [1], [-1]] as const

/** Leaves along the pulls of a brush, or along the outline of what is not drawn in pulls. */
function leafSpines(
  source: Source,
  value: Values<(typeof AROUND)['leaves']['params']>,
  brush: BrushId,
  asking: string,
  world: World,
): Spine[] {
  const pulls = stepsOf(source).flatMap(id => world.host?.(id, asking)?.ways(world) ?? [])
  const outlines = () => regionFrom(sourceRings(source, asking, world)).map(poly => evenly(poly.outer))
  const stems = pulls.length ? pulls : outlines()
  const sides = LEAF_SIDES[value.sides] ?? LEAF_SIDES[0]
  const foot = BRUSHES[brush].least * 0.5
  return stems.flatMap(stem => {
    const count = Math.min(MOST_LEAVES, Math.max(1, Math.round(lengthOf(stem) / value.every)))
    return stationsAt(stem, shares(count, 0.5 / count, 1 - 0.5 / count)).flatMap(({ at, along }, i) => {
      const long = value.length * (1 - ((value.shorter / 100) * i) / Math.max(1, count - 1))
      const laid = layOn(world.ground.surface, { at, tilt: 0, side: 'A' }, world.quick)
      const here = value.sides === 0 ? [sides[i % 2]!] : sides
      return here.map(side => {
        const way = turned(along, -side * value.lean)
        const points = lineTo([0, 0], [way[0] * long, way[1] * long]).map(laid.point)
        return spine(points, petalWidth((value.wide * long) / value.length, foot))
      })
    })
  })
}
/** More leaves no stem has. */
const MOST_LEAVES = 60

/** The pulls of a line around something, on the skin. */
export function aroundSpines(
  shape: AroundId,
  source: Source,
  given: Params,
  brush: BrushId,
  asking: string,
  world: World,
): Spine[] {
  if (shape === 'leaves')
    return leafSpines(source, valuesOf(AROUND.leaves.params, given), brush, asking, world)
  const print = regionFrom(sourceRings(source, asking, world))
  if (shape === 'outline') return outlineSpines(print, valuesOf(AROUND.outline.params, given), brush, world)
  if (shape === 'highlight') {
    const value = valuesOf(AROUND.highlight.params, given)
    return print.flatMap(poly => highlightSpine(poly, value, brush, world) ?? [])
  }
  const [id] = stepsOf(source)
  const found = id === undefined ? undefined : world.host?.(id)
  const host = { anchor: found?.anchor ?? null, turned: found?.step.twin.rule === 'turn' }
  const value = valuesOf(AROUND.halfOutline.params, given)
  return print.map((poly, n) => halfOutlineSpine(poly, n, value, brush, host, world))
}
