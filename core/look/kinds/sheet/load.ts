import { boxAround, radians, type Point } from '../../../geometry'
import type { Laid } from '../../../skin'
import type { Stencil } from '../../../stencil'
import type { PaintRef } from '../../document'
import type { PaintPlace } from '../kind'
import { cakeAsPaint, cakeStrips, laidPaint } from '../paints'
import type { Print } from '../print'
import type { World } from '../world'
import type { Pass } from './schema'

/** Where in a load each of its paints is named. */
export function loadPlaces(load: Pass['load']): PaintPlace[] {
  switch (load.kind) {
    case 'one':
      return [{ path: ['paint'], ref: load.paint }]
    case 'over':
      return [
        { path: ['first'], ref: load.first },
        { path: ['second'], ref: load.second },
      ]
    case 'cake':
      return [{ path: ['cake'], ref: load.cake }]
  }
}

/** The paints that a load takes up. */
export const loadPaints = (load: Pass['load']): PaintRef[] =>
  load.kind === 'cake' ? [cakeAsPaint(load.cake)] : loadPlaces(load).map(place => place.ref)

/** A load in words. */
export const loadWords = (load: Pass['load']): string =>
  load.kind === 'one'
    ? load.paint.name
    : load.kind === 'cake'
      ? `${load.cake.name} across the sheet`
      : `${load.first.name} with ${load.second.name} over its end`

/**
 * The paints of a load and how they run over the skin: strips of a cake, or one colour into the other, along
 * the load's direction.
 */
export function loadPrint(
  load: Pass['load'],
  sheet: Stencil,
  numbers: readonly number[],
  laid: Laid,
  world: World,
): Pick<Print, 'paints' | 'axis' | 'strips'> {
  if (load.kind === 'one') return { paints: [laidPaint(load.paint, world)], axis: null, strips: null }
  const b = boxAround(numbers.map(n => sheet.openings[n]!))
  const middle: Point = [(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2]
  const c = Math.sin(radians(load.direction))
  const s = -Math.cos(radians(load.direction))
  // The axis is as long as the painted openings are wide that way.
  const half = (Math.abs(c) * (b.maxX - b.minX) + Math.abs(s) * (b.maxY - b.minY)) / 2
  const axis = {
    kind: 'line' as const,
    from: laid.point([middle[0] - c * half, middle[1] - s * half]),
    to: laid.point([middle[0] + c * half, middle[1] + s * half]),
  }
  if (load.kind === 'over')
    return { paints: [laidPaint(load.first, world), laidPaint(load.second, world)], axis, strips: null }
  const { paints, ends } = cakeStrips(load.cake, world)
  return { paints, axis, strips: ends }
}
