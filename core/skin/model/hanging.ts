import type { Face } from '../faces/face'
import type { HairCut } from '../faces/hair'
import { ellipsoidPart, gridPart, type Part } from './part'

/** What hair or cloth hangs off the head as it is worn, beside what lies on the skull. */
export function hangingParts(face: Face, cut: HairCut): Part[] {
  if (cut === 'tied back') return [knot(face)]
  if (cut === 'braids') return [...braid(face, -1), ...braid(face, 1)]
  if (cut === 'side parting') return [lengths(face)]
  return cut === 'headscarf' ? [collar(face)] : []
}

/** The knot behind the crown. */
function knot({ form }: Face): Part {
  const k = form.skullWidth
  return ellipsoidPart('hair', [2 * k, form.crown + 2 * k, -34 * k], [22 * k, 15 * k, 20 * k])
}

/** How many locks a braid shows on each side. */
const LOCKS = 13

/** A braid from behind the ear over the shoulder. */
function braid({ form }: Face, side: number): Part[] {
  const k = form.kx * (0.9 + 0.1 * form.grown)
  const from = form.fromMean(30)
  const to = form.foot + 62 * form.ky
  return Array.from({ length: LOCKS }, (_, n) => {
    const t = (n + 0.5) / LOCKS
    const ease = Math.min(1, t / 0.6)
    const over = n % 2 ? 1 : -1
    return ellipsoidPart(
      'hair',
      [
        side * k * (83 - 15 * ease * ease * (3 - 2 * ease)) + over * 3.4 * k,
        from + (to - from) * t,
        (-34 + 40 * t) * k,
      ],
      [6.6 * k, 12.5 * k, 7.6 * k],
      -0.6 * over,
    )
  })
}

/** Long hair behind neck and shoulders. */
function lengths({ form }: Face): Part {
  const k = form.skullWidth
  const from = form.fromMean(-6)
  const to = form.foot + 60 * form.ky
  return gridPart(
    'hair',
    49,
    16,
    (i, j, out) => {
      const a = Math.PI * (0.05 + (0.9 * i) / 48)
      const t = j / 15
      const wave = 1 + 0.02 * Math.sin(13 * a)
      out[0] = 79 * k * wave * Math.cos(a)
      out[1] = from + (to - from) * t
      out[2] = (-36 - (72 - 26 * t) * Math.sin(a)) * k * wave
    },
    null,
  )
}

/** A scarf laid round neck and shoulders. */
function collar({ form }: Face): Part {
  const k = form.kx
  return gridPart(
    'scarf',
    65,
    18,
    (i, j, out) => {
      const a = (2 * Math.PI * i) / 64
      const t = j / 17
      const wide = 49 + 57 * t ** 1.3 + 2.2 * Math.sin(15 * t + 2 * Math.cos(a))
      out[0] = k * wide * 1.02 * Math.sin(a)
      out[1] = form.foot + (-66 + 116 * t) * form.ky + 14 * k * Math.cos(a) * (1 - t)
      out[2] = k * (-46 + wide * 0.98 * Math.cos(a) - 12 * (1 - t))
    },
    null,
  )
}
