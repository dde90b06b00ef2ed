import type { Ground } from '../grounds'
import { gridPart, placeIn, type Part } from './part'

/** The solid model of an arm. */
export function armModel(ground: Ground): Part[] {
  const { surface, length } = ground.arm!
  const { box } = ground.wrap()
  const here = new Float64Array(3)
  const y0 = -length / 2
  const y1 = length / 2
  const skin = gridPart(
    'skin',
    129,
    61,
    (i, j, out) => {
      const y = y0 + ((y1 - y0) * j) / 60
      const x = surface.across(Math.PI * 0.9995 * ((2 * i) / 128 - 1), y)
      surface.position(x, y, here)
      out.set(here)
      out[3] = x
      out[4] = y
    },
    p => placeIn(box, p[3]!, p[4]!),
  )
  const end = (from: number, to: number, swell: number): Part =>
    gridPart(
      'bare skin',
      65,
      10,
      (i, j, out) => {
        const t = j / 9
        const y = from + (to - from) * t
        const at = from < y0 || to < y0 ? y0 : y1
        const x = surface.across(Math.PI * 0.9995 * ((2 * i) / 64 - 1), at)
        const k = from === y0 || from === y1 ? 1 + swell * t : 1 + swell * (1 - t)
        surface.position(x, at, here)
        out[0] = here[0]! * k
        out[1] = y
        out[2] = here[2]! * k
      },
      null,
    )
  return [
    skin,
    end(y0 - 0.22 * length, y0, 0.06),
    end(y1, y1 + 0.2 * length, ground.arm!.canvas.part === 'forearm' ? 0.35 : -0.05),
  ]
}

/** The solid model of a practice board. */
export function boardModel(ground: Ground): Part[] {
  const { box } = ground.wrap()
  return [
    gridPart(
      'skin',
      2,
      2,
      (i, j, out) => {
        out[0] = i ? box.maxX : box.minX
        out[1] = j ? box.maxY : box.minY
        out[2] = 0
        out[3] = out[0]!
        out[4] = out[1]!
      },
      p => placeIn(box, p[3]!, p[4]!),
    ),
  ]
}
