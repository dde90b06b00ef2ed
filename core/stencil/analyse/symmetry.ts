import Flatbush from 'flatbush'
import {
  centroidOf,
  compose,
  degrees,
  intersection,
  mapPolygon,
  mapRing,
  polygonArea,
  rotation,
  scaling,
  translation,
  type Affine,
  type Point,
  type Polygon,
} from '../../geometry'
import { measuringBudget, type Budget } from '../bounds'

/**
 * A mirror axis through the sheet's balance point, by its angle from upright (degrees, 0 = upright), with how
 * well the halves agree.
 */
interface Axis {
  readonly angle: number
  readonly iou: number
}
/** A turn that maps the sheet on itself: its order (3 = a third of a turn), with how well it agrees. */
interface Turn {
  readonly order: number
  readonly iou: number
}
export interface Symmetry {
  readonly centre: Point
  readonly axes: Axis[]
  readonly turns: Turn[]
}

/** Above this the openings count as mapped on themselves. */
const SYMMETRIC_IOU = 0.97

/** One opening as symmetry sees it: where it is, how large, and its shape. */
interface Item {
  c: Point
  area: number
  shape: Polygon
}

/**
 * Mirror axes and turns by intersection over union of the openings with their image.
 * Candidates are found from the openings' middles alone, and only the good ones are measured exactly.
 */
export function symmetryOf(openings: readonly Polygon[], budget: Budget = measuringBudget()): Symmetry {
  const items: Item[] = openings.map(shape => ({ c: centroidOf([shape]), area: polygonArea(shape), shape }))
  const centre = centroidOf(openings)
  const index = new Flatbush(Math.max(1, items.length))
  for (const { c } of items) index.add(c[0], c[1], c[0], c[1])
  if (items.length === 0) index.add(0, 0, 0, 0)
  index.finish()
  const about = (m: Affine) =>
    compose(translation(...centre), compose(m, translation(-centre[0], -centre[1])))
  // A mirror axis at angle a from upright: turn it upright, flip x, turn back.
  const mirror = (a: number) => about(compose(rotation(a), compose(scaling(-1, 1), rotation(-a))))
  const score = (map: Affine) => iouUnder(items, index, map, budget)

  const fair = candidateAngles(items, centre, openings)
    .map(angle => ({ angle, iou: score(mirror(angle)) }))
    .filter(a => a.iou > SYMMETRIC_IOU)
  const axes: Axis[] = []
  // Two angles close together are one axis found twice: the better one is it, and of equally good ones the
  // plainer.
  for (const axis of fair.sort((a, b) =>
    Math.abs(a.iou - b.iou) > 1e-4 ? b.iou - a.iou : plainness(a.angle) - plainness(b.angle),
  )) {
    if (!axes.some(a => angleGap(a.angle, axis.angle) < ONE_AXIS)) axes.push(axis)
  }
  const turns: Turn[] = []
  for (let order = 2; order <= 24; order++) {
    const iou = score(about(rotation(360 / order)))
    if (iou > SYMMETRIC_IOU) turns.push({ order, iou })
  }
  return { centre, axes: axes.sort((a, b) => Math.abs(a.angle) - Math.abs(b.angle)), turns }
}

/** Axes nearer together than this are one, degrees: a pattern of more than 36 axes is round. */
const ONE_AXIS = 5
/** How far an angle is from upright, level or a diagonal, degrees. */
const plainness = (angle: number): number => Math.abs(angle - 45 * Math.round(angle / 45))

const angleGap = (a: number, b: number): number => {
  const d = Math.abs(a - b) % 180
  return Math.min(d, 180 - d)
}

/**
 * Angles at which an axis may stand. An axis either passes through the middle of an opening or swaps two of
 * equal area and distance from the centre, so the openings that are rarest by (area, distance) give a short
 * complete list; a single opening is judged by its own outline's points instead.
 */
function candidateAngles(items: readonly Item[], centre: Point, openings: readonly Polygon[]): number[] {
  const angles: number[] = []
  const add = (a: number) => {
    const upright = (((a % 180) + 270) % 180) - 90
    if (!angles.some(b => angleGap(b, upright) < 0.02)) angles.push(upright)
  }
  const polar = (p: Point) => ({
    r: Math.hypot(p[0] - centre[0], p[1] - centre[1]),
    a: degrees(Math.atan2(p[0] - centre[0], centre[1] - p[1])),
  })
  const points = items.map(i => ({ ...polar(i.c), area: i.area })).filter(p => p.r > 0.3)
  const groups = grouped(
    points,
    (p, q) =>
      Math.abs(p.r - q.r) < 0.15 && Math.abs(p.area - q.area) < 0.02 * Math.max(p.area, q.area) + 0.05,
  )
  const rarest = groups.sort((a, b) => a.length - b.length || b[0]!.r - a[0]!.r)[0]
  if (rarest) for (const q of rarest) add((rarest[0]!.a + q.a) / 2)
  if (rarest) for (const q of rarest) add((rarest[0]!.a + q.a) / 2 + 90)
  if (items.length <= 3 || !rarest) {
    // Openings about the centre itself: the farthest points of their outlines stand on, or in pairs about, an
    // axis.
    for (const o of openings.slice(0, 3)) {
      const rim: { r: number; a: number }[] = []
      for (let i = 0; i < o.outer.length; i += 2) rim.push(polar([o.outer[i]!, o.outer[i + 1]!]))
      const far = Math.max(...rim.map(p => p.r))
      const tips = rim.filter(p => p.r > far - 0.03 * far - 0.01).slice(0, 90)
      for (const q of tips) add((tips[0]!.a + q.a) / 2)
    }
  }
  for (const a of [0, 90, 45, -45]) add(a)
  return angles.slice(0, 120)
}

function grouped<T>(list: readonly T[], same: (a: T, b: T) => boolean): T[][] {
  const groups: T[][] = []
  for (const item of list) {
    const home = groups.find(g => same(g[0]!, item))
    if (home) home.push(item)
    else groups.push([item])
  }
  return groups
}

/**
 * Intersection over union of the openings with their image, opening by opening; gives up early when it cannot
 * be good.
 */
function iouUnder(items: readonly Item[], index: Flatbush, map: Affine, budget: Budget): number {
  const total = items.reduce((a, i) => a + i.area, 0)
  const pairs: [Item, Item][] = []
  let lost = 0
  for (const item of items) {
    const [a, b, c, d, e, f] = map
    const x = a * item.c[0] + c * item.c[1] + e
    const y = b * item.c[0] + d * item.c[1] + f
    // Several openings may share a middle, as rings do: the one of the nearest area is meant.
    const near = index.neighbors(x, y, 8, Math.sqrt(item.area) * 0.35 + 0.2).map(n => items[n]!)
    const other = near.sort((p, q) => Math.abs(p.area - item.area) - Math.abs(q.area - item.area))[0]
    if (!other || Math.abs(other.area - item.area) > 0.06 * item.area + 0.05) {
      lost += item.area
      // Already the best that is left falls short.
      if ((total - lost) / (total + lost) < SYMMETRIC_IOU) return (total - lost) / (total + lost)
    } else pairs.push([item, other])
  }
  let common = 0
  for (const [item, other] of pairs) {
    // Clipping a point costs as much as comparing some twenty pairs, and of large outlines far more.
    const values = item.shape.outer.length + other.shape.outer.length
    budget.spend(10 * values * (1 + values / 4000))
    common += intersection([mapPolygon(item.shape, ring => mapRing(map, ring))], [other.shape]).reduce(
      (a, p) => a + polygonArea(p),
      0,
    )
  }
  return common / (2 * total - common)
}
