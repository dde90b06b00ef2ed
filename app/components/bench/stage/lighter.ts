import { ringOf, type Point } from '#core/geometry'
import type { World } from '#core/look'
import { prepared, type PreparedSheet } from '#core/stencil'

/** As many points as a moving sheet's openings are drawn with. */
const MOVING_POINTS = 800
const lighter = new WeakMap<PreparedSheet, PreparedSheet>()

/** A sheet with fewer points, for what moves under the hand. */
export function lightened(sheet: PreparedSheet): PreparedSheet {
  let light = lighter.get(sheet)
  if (light) return light
  const points = sheet.openings.reduce(
    (n, o) => n + o.outer.length / 2 + o.holes.reduce((h, r) => h + r.length / 2, 0),
    0,
  )
  const every = Math.ceil(points / MOVING_POINTS)
  const thin = (ring: Float64Array) =>
    ring.length / 2 / every < 4
      ? ringOf(
          [0, 1, 2, 3].map((i): Point => {
            const k = Math.floor((i * ring.length) / 8)
            return [ring[2 * k]!, ring[2 * k + 1]!]
          }),
        )
      : ring.filter((_, i) => Math.floor(i / 2) % every === 0)
  // Of very many openings only some are shown while they move.
  const some = Math.ceil((sheet.openings.length * 4) / MOVING_POINTS)
  light =
    every === 1
      ? sheet
      : prepared({
          ...sheet,
          openings: sheet.openings
            .filter((_, i) => i % some === 0)
            .map(o => ({ outer: thin(o.outer), holes: o.holes.map(thin) })),
        })
  lighter.set(sheet, light)
  return light
}

/** While something moves it is laid more coarsely, so that no frame waits for it. */
export const coarse = (world: World): World => ({
  ...world,
  quick: true,
  stencil: id => {
    const sheet = world.stencil(id)
    return sheet && lightened(sheet)
  },
})
