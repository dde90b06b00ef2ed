import type { Drag } from '../look'
import type { FilmState } from '../paint'
import type { Mask } from './coverage'
import { boxOfMask, shared, type Painted, type PixelBox } from './painted'
import type { WetFilms } from './wetFilms'

/** The painted skin in a box as it was before a sheet was laid on it. */
export interface Before {
  readonly box: PixelBox
  /** Reflectance, three linear values a pixel of the box. */
  readonly paint: Float32Array
  /** What lies on top there; see WetFilms. */
  readonly top: Int32Array
}

/** So many places along the slip are looked at. */
const PLACES = 6
/** How much of its colour a film gives along the way, by how wet it is (common practice). */
const GIVES: Readonly<Record<FilmState, number>> = { wet: 1, tacky: 0.4, dry: 0 }

/**
 * Smears what is not dry along the way that a sheet slips on it: every pixel takes the mean of what was dragged
 * over it.
 * @param mask where the sheet lies
 * @param before the skin as it was; places outside its box are taken to be dry
 * @param states the steps whose films are not dry
 */
export function dragAlong(
  { paint }: Painted,
  wet: WetFilms,
  { slips }: Drag,
  mask: Mask,
  before: Before,
  states: ReadonlyMap<string, FilmState>,
  grid: { readonly width: number; readonly pxPerMm: number },
  clip: PixelBox = boxOfMask(mask),
): void {
  const worst: FilmState = [...states.values()].includes('wet') ? 'wet' : 'tacky'
  const { box } = before
  const wide = box.i1 - box.i0
  const gives = new Map<number, number>()
  const givesAt = (code: number): number => {
    let found = gives.get(code)
    if (found === undefined) {
      found = GIVES[(code > 0 && states.get(wet.stepOf(code) ?? '')) || 'dry']
      gives.set(code, found)
    }
    return found
  }
  const dx = (slips[worst][0] * grid.pxPerMm) / (PLACES - 1)
  const dy = (slips[worst][1] * grid.pxPerMm) / (PLACES - 1)
  const { i0, j0, i1, j1 } = shared(clip, boxOfMask(mask))
  for (let j = j0; j < j1; j++) {
    for (let i = i0; i < i1; i++) {
      const cover = mask.data[(j - mask.j0) * mask.width + i - mask.i0]!
      if (cover < 0.05) continue
      const own = 3 * ((j - box.j0) * wide + i - box.i0)
      let r = 0,
        g = 0,
        b = 0,
        any = 0
      for (let k = 1; k < PLACES; k++) {
        const si = Math.round(i - k * dx)
        const sj = Math.round(j - k * dy)
        if (si < box.i0 || si >= box.i1 || sj < box.j0 || sj >= box.j1) continue
        const s = (sj - box.j0) * wide + si - box.i0
        const give = givesAt(before.top[s]!)
        any += give
        r += give * (before.paint[3 * s]! - before.paint[own]!)
        g += give * (before.paint[3 * s + 1]! - before.paint[own + 1]!)
        b += give * (before.paint[3 * s + 2]! - before.paint[own + 2]!)
      }
      if (any === 0) continue
      const p = 3 * (j * grid.width + i)
      paint[p] = before.paint[own]! + (cover * r) / PLACES
      paint[p + 1] = before.paint[own + 1]! + (cover * g) / PLACES
      paint[p + 2] = before.paint[own + 2]! + (cover * b) / PLACES
    }
  }
}
