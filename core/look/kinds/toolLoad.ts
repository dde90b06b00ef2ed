import { wetBlend } from '../../paint'
import type { PaintRef, ToolLoad } from '../document'
import type { PaintPlace } from './kind'
import { cakeAsPaint, cakeStrips, laidPaint } from './paints'
import type { LaidPaint, Print } from './print'
import type { World } from './world'

/** Where in a load each of its paints is named. */
export function toolLoadPlaces(load: ToolLoad): PaintPlace[] {
  switch (load.kind) {
    case 'one':
      return [{ path: ['paint'], ref: load.paint }]
    case 'cake':
      return [{ path: ['cake'], ref: load.cake }]
    default:
      return [
        { path: ['first'], ref: load.first },
        { path: ['second'], ref: load.second },
      ]
  }
}

/** The paints that a load takes up, a cake as one. */
export const toolLoadPaints = (load: ToolLoad): PaintRef[] =>
  load.kind === 'cake' ? [cakeAsPaint(load.cake)] : toolLoadPlaces(load).map(place => place.ref)

/** A load in words. */
export function toolLoadWords(load: ToolLoad): string {
  switch (load.kind) {
    case 'one':
      return load.paint.name
    case 'cake': {
      const { strips, cake } = load
      const names = strips?.map(n => cake.strips[n]!.name).join(', ')
      return names ? `${cake.name}, only ${names}` : cake.name
    }
    case 'double':
      return `${load.first.name}, its edge in ${load.second.name}`
    case 'mixed':
      return `${load.first.name} and ${load.second.name} mixed on the tool, ${Math.round(100 * load.share)} % of the second`
  }
}

/** What lies on a tool from its light edge to its dark one. */
export type Across = Pick<Print, 'paints' | 'strips' | 'stops'>

/** Half the width over which a second colour on the edge of a tool runs into the first, as a share of it. */
const RUNS = 0.18

/** The paints of a load across its tool; one paint has neither strips nor stops. */
export function acrossTool(load: ToolLoad, world: Pick<World, 'paint' | 'memo'>): Across {
  switch (load.kind) {
    case 'one':
      return even([laidPaint(load.paint, world)])
    case 'mixed': {
      const [a, b] = [laidPaint(load.first, world), laidPaint(load.second, world)]
      const optics = wetBlend(a.optics, b.optics, load.share)
      return even([{ optics, finish: load.share < 0.5 ? a.finish : b.finish }])
    }
    case 'double': {
      const at = 1 - load.share
      const paints = [laidPaint(load.first, world), laidPaint(load.second, world)]
      return { paints, strips: null, stops: [Math.max(0, at - RUNS), Math.min(1, at + RUNS)] }
    }
    case 'cake':
      return chosenStrips(load, world)
  }
}
const even = (paints: LaidPaint[]): Across => ({ paints, strips: null, stops: undefined })

function chosenStrips(
  { cake, strips }: Extract<ToolLoad, { kind: 'cake' }>,
  world: Pick<World, 'paint' | 'memo'>,
): Across {
  const all = cakeStrips(cake, world)
  if (!strips) return { paints: all.paints, strips: all.ends, stops: undefined }
  // The kit's own cake may have fewer strips by now.
  const kept = strips.filter(n => n < all.paints.length)
  if (kept.length < 2) return even([all.paints[kept[0] ?? 0]!])
  const width = (n: number) => all.ends[n]! - (n ? all.ends[n - 1]! : 0)
  const total = kept.reduce((sum, n) => sum + width(n), 0)
  let sum = 0
  return {
    paints: kept.map(n => all.paints[n]!),
    strips: kept.map(n => (sum += width(n)) / total),
    stops: undefined,
  }
}
