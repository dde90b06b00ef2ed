import { boxOf, holderOf, polygonHolds, ringCentroid, ringHolds, type Point, type Ring } from '../../geometry'
import type { Stencil } from '../../stencil'
import type { OnGround } from './handles'

/** Spacing of the samples over the sheet, mm. */
const SPACING = 3.5

/** Samples of a sheet, and which of them tell of each of its openings. */
interface SheetSamples {
  /** Its openings' middles first, in their order, then the solid all over it; mm. */
  readonly points: readonly Point[]
  /** Of each opening the sample in its middle, and of large ones all within. */
  readonly within: readonly (readonly number[])[]
}
const known = new WeakMap<Stencil, Map<number, SheetSamples>>()

/**
 * Samples of a sheet, made once: it lies elsewhere each time, and stays the same.
 * @param most as many of the solid at most
 */
export function samplesOf(sheet: Stencil, most: number): SheetSamples {
  const kept = known.get(sheet) ?? new Map<number, SheetSamples>()
  known.set(sheet, kept)
  const found = kept.get(most)
  if (found) return found
  const { minX, minY, maxX, maxY } = boxOf(sheet.outline)
  const step = Math.max(SPACING, Math.sqrt(((maxX - minX) * (maxY - minY)) / most))
  const points = sheet.openings.map(o => ringCentroid(o.outer))
  for (let y = minY + step / 2; y < maxY; y += step)
    for (let x = minX + step / 2; x < maxX; x += step) if (ringHolds(sheet.outline, x, y)) points.push([x, y])
  const samples = { points, within: sheet.openings.map((o, i) => [i, ...heldBy(o, points, sheet)]) }
  kept.set(most, samples)
  return samples
}

/** Which of the samples of the solid lie in an opening. */
function heldBy(opening: Stencil['openings'][number], points: readonly Point[], sheet: Stencil): number[] {
  const { minX, minY, maxX, maxY } = boxOf(opening.outer)
  const held: number[] = []
  for (let k = sheet.openings.length; k < points.length; k++) {
    const [x, y] = points[k]!
    if (x < minX || x > maxX || y < minY || y > maxY) continue
    if (polygonHolds(opening, x, y)) held.push(k)
  }
  return held
}

/** A ring of fewer points: whether a sample lies on the skin needs no fine edge. */
const coarse = (ring: Ring): Ring => (ring.length < 400 ? ring : ring.filter((_, i) => (i >> 1) % 8 === 0))

const skins = new WeakMap<OnGround['ground'], (x: number, y: number) => boolean>()

/** The test whether a point lies on the skin, made once for each ground. */
export function onSkinOf(ground: OnGround['ground']): (x: number, y: number) => boolean {
  const found = skins.get(ground)
  if (found) return found
  const rings = ground.extent.map(ring => holderOf(coarse(ring)))
  const made = (x: number, y: number) => rings.some(holds => holds(x, y))
  skins.set(ground, made)
  return made
}
