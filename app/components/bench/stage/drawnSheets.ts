import type { Ring } from '#core/geometry'
import { kindOf, type SheetStep, type World } from '#core/look'
import type { DrawnRings, DrawnSheet } from './outlines'
import type { View } from './view'

/** A sheet as it lies on the skin, its rings in skin coordinates; while it moves with its openings. */
interface LyingSheet {
  readonly twin: boolean
  readonly moving: boolean
  readonly edge: Ring
  readonly openings: readonly Ring[]
}

/** A step's sheet and its twin; while they move with their openings. */
export const lyingSheets = (step: SheetStep, world: World, moving: boolean): LyingSheet[] =>
  kindOf(step)
    .outlines(step, world)
    .map(({ twin, ring, openings }) => ({ twin, moving, edge: ring, openings: moving ? openings : [] }))

/** Rings of the skin as they are seen in a view. */
function ringsIn({ k, ox, oy, front }: View, rings: readonly Ring[]): DrawnRings {
  const seen = rings.map(front.ring)
  const xy = new Float32Array(seen.reduce((n, ring) => n + ring.length, 0))
  const ends = new Uint32Array(seen.length)
  let at = 0
  seen.forEach((ring, n) => {
    for (let i = 0; i < ring.length; i += 2) {
      xy[at++] = ox + k * ring[i]!
      xy[at++] = oy + k * ring[i + 1]!
    }
    ends[n] = at
  })
  return { xy, ends }
}

/** A sheet as it is seen in a view. */
export const drawnIn = (view: View, { edge, openings, ...sheet }: LyingSheet): DrawnSheet => ({
  ...sheet,
  edge: ringsIn(view, [edge]),
  openings: ringsIn(view, openings),
})
