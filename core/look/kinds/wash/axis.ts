import { boxOf, distance, EMPTY_BOX, tenth, tenthPoint, type Point, type Ring } from '../../../geometry'
import type { Ground } from '../../../skin'
import { anchorOf } from '../../placement'
import { washSides, type WashPlace } from './region'
import type { Wash } from './schema'

/** Along what the colours of a base follow one another. */
export type WashAxis = Wash['axis']

/** An axis that suits a region: out from its middle, as far as it goes. */
export function axisFor(rings: readonly Ring[]): WashAxis {
  if (rings.length === 0) return { kind: 'out', from: [0, 0], reach: 50 }
  const box = rings.reduce((b, r) => boxOf(r, b), { ...EMPTY_BOX })
  return {
    kind: 'out',
    from: [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2],
    reach: Math.max(5, Math.hypot(box.maxX - box.minX, box.maxY - box.minY) / 2),
  }
}

/** Whether the light of a base stays in its middle, as a fresh one has it. */
export const isCentred = (wash: Wash, ground: Ground): boolean =>
  JSON.stringify(axisFor(washSides(wash, ground)[0]!)) === JSON.stringify(wash.axis)

/** An axis where a map takes it; how far it reaches stays. */
export function mappedAxis(axis: WashAxis, map: (p: Point) => [number, number]): WashAxis {
  switch (axis.kind) {
    case 'out':
      return { ...axis, from: map(axis.from) }
    case 'line':
      return { ...axis, from: map(axis.from), to: map(axis.to) }
    case 'edge':
      return axis
  }
}

/**
 * A base's axis once its handles have moved: light stays in the middle where it was there, else the axis goes
 * along.
 */
export function axisAfter(before: Wash, after: WashPlace, ground: Ground): WashAxis {
  if (isCentred(before, ground)) return axisFor(washSides(after, ground)[0]!)
  const [ax, ay] = anchorOf(before.points)
  const [bx, by] = anchorOf(after.points)
  return mappedAxis(before.axis, ([x, y]) => [x + bx - ax, y + by - ay])
}

/**
 * An axis carried along a map to another canvas; how far it reaches is told by four points about its start.
 */
export function carriedAxis(axis: WashAxis, map: (p: Point) => Point): WashAxis {
  if (axis.kind === 'edge') return axis
  if (axis.kind === 'line')
    return { ...axis, kind: 'line', from: tenthPoint(map(axis.from)), to: tenthPoint(map(axis.to)) }
  const { from, reach } = axis
  const start = map(from)
  const ends = [
    [reach, 0],
    [-reach, 0],
    [0, reach],
    [0, -reach],
  ].map(([x, y]) => distance(start, map([from[0] + x!, from[1] + y!])))
  const mean = ends.reduce((a, b) => a + b, 0) / 4
  return { kind: 'out', from: tenthPoint(start), reach: tenth(Math.max(5, mean)) }
}
