import { HAIR_END, hairBehind, hairline, hairPolar, type HairCut } from '../faces/hair'
import type { Ground } from '../grounds'
import { hangingParts } from './hanging'
import { gridPart, placeIn, type Part } from './part'
import { joinedAtRims } from './seam'

/** Columns and rows of the model's skin. */
const COLUMNS = 141
const ROWS = 161
/** How thick hair lies on the skull as it is worn, mm (common practice). */
const THICK: Readonly<Record<HairCut, number>> = {
  'tied back': 4,
  'short crop': 5,
  'side parting': 6,
  'band': 6,
  'curls': 13,
  'braids': 5,
  'headscarf': 7,
  'bald': 0,
}
/** Smooth hair and skin come to their own normals over so many columns from the seam of front and back on. */
const SOFT = 12
/** How high curls stand out of the mass of hair, mm. */
const CURL_MM = 2.4

/**
 * How far curls stand out of the mass of hair at a place in space, mm: the same in front and behind, so that
 * nothing shows where both meet. No period of it runs straight for long.
 */
function curlAt(x: number, y: number, z: number): number {
  const a = Math.sin(0.62 * x + 1.6 * Math.sin(0.21 * y + 0.17 * z))
  const b = Math.sin(0.58 * y + 1.5 * Math.sin(0.19 * z - 0.23 * x))
  const c = Math.sin(0.6 * z + 1.6 * Math.sin(0.22 * x + 0.2 * y))
  return (CURL_MM * (a * b + b * c + c * a)) / 1.5
}

/** The solid model of a head with its hair. */
export function headModel(ground: Ground, cut: HairCut): Part[] {
  const { surface } = ground
  const face = ground.face!
  const relief = ground.relief!
  const { form } = face
  const { chart, box } = ground.wrap()
  const here = new Float64Array(3)
  const normal = new Float64Array(3)
  const top = form.crown + 0.4
  const foot = form.foot - 0.4
  const rowY = (j: number) => {
    // Rows crowd toward crown and chin, where the head rounds off.
    const t = j / (ROWS - 1)
    return top + (foot - top) * (0.5 - 0.5 * Math.cos(Math.PI * t)) * 0.55 + (foot - top) * t * 0.45
  }
  const hairy = (x: number, y: number): number => {
    const { angle, r } = hairPolar(form, x, y)
    if (angle > HAIR_END) return 0
    const ease = (t: number) => Math.min(1, Math.max(0, t))
    return ease((r - hairline(angle) + 1) / 7) * ease((HAIR_END - angle) / 10)
  }
  const raised = (x: number, y: number, out: Float64Array) => {
    surface.position(x, y, here)
    const curl = cut === 'curls' ? curlAt(here[0]!, here[1]!, here[2]!) : 0
    const hair = hairy(x, y) * (THICK[cut] + curl)
    surface.normal(x, y, normal)
    for (let k = 0; k < 3; k++) out[k] = here[k]! + normal[k]! * hair
  }
  const front = gridPart(
    'skin',
    COLUMNS,
    ROWS,
    (i, j, out) => {
      const y = rowY(j)
      const x = relief.halfWidth(y) * 0.998 * Math.sin(Math.PI * (i / (COLUMNS - 1) - 0.5))
      raised(x, y, out)
      out[3] = x
      out[4] = y
    },
    p => {
      const [u, v] = chart.point([p[3]!, p[4]!])
      return placeIn(box, u, v)
    },
  )
  return [
    ...joinedAtRims(front, backOfHead(ground, rowY, raised, cut), cut === 'curls' ? 2 : SOFT),
    neck(ground),
    ...(cut === 'headscarf' || cut === 'curls' ? [] : ears(ground)),
    ...hangingParts(face, cut),
    shoulders(ground),
  ]
}

/** Behind the ears: the skull, and below it the nape, on from the rim of the face. */
function backOfHead(
  ground: Ground,
  rowY: (j: number) => number,
  raised: (x: number, y: number, out: Float64Array) => void,
  cut: HairCut,
): Part {
  const relief = ground.relief!
  const { form } = ground.face!
  const rim = new Float64Array(3)
  const deep = 128 * form.skullHeight
  const middle = (form.crown + form.foot) / 2 - 8
  // Curls are finer than a smooth back of the head.
  const last = cut === 'curls' ? 160 : 72
  return gridPart(
    'back',
    last + 1,
    ROWS,
    (i, j, out) => {
      const y = rowY(j)
      const a = (Math.PI * i) / last
      const side = a < Math.PI / 2 ? 1 : -1
      raised(side * relief.halfWidth(y) * 0.998, y, rim)
      // The skull is deepest at eye level and ends above the nape; the jaw has nothing behind it but the
      // neck.
      const t = (y - middle) / (y < middle ? middle - form.crown : form.foot - middle)
      const low = Math.min(1, Math.max(0, t))
      const back =
        deep * Math.sqrt(Math.max(0, 1 - Math.min(1, Math.abs(t)) ** 2.4)) * (1 - 0.72 * low ** 1.5)
      // It goes on from the rim of the face as steeply as that comes to it: so no edge shows between them.
      const round = Math.sin(a)
      const bulge = 1 + (0.055 * round ** 1.4 + 0.05 * (1 - Math.exp(-9 * round))) * Math.max(0, 1 - low)
      const thick = THICK[cut]
      out[0] = Math.abs(rim[0]!) * bulge * Math.cos(a)
      out[1] = rim[1]! - thick * round * Math.max(0, -t) ** 6
      out[2] = rim[2]! - (back + thick) * round ** 0.9
      if (cut === 'curls') {
        const stands = hairBehind(form, cut, i / last, y) * Math.min(1, 12 * round)
        const curl = stands * curlAt(out[0]!, out[1]!, out[2]!)
        out[0]! += curl * Math.cos(a)
        out[2]! -= curl * round
      }
      out[3] = i / last
      out[4] = (y - form.crown) / (form.foot - form.crown)
    },
    p => [p[3]!, p[4]!],
  )
}

function neck({ face }: Ground): Part {
  const { form } = face!
  const w = 43 * form.kx * (0.9 + 0.1 * form.grown)
  const y0 = form.foot - 100 * form.ky
  const y1 = form.foot + 46 * form.ky
  return gridPart(
    'bare skin',
    49,
    12,
    (i, j, out) => {
      const a = (2 * Math.PI * i) / 48
      const t = j / 11
      const wide = w * (1 + 0.5 * Math.max(0, t - 0.55) ** 2 * 6)
      out[0] = wide * Math.sin(a)
      out[1] = y0 + (y1 - y0) * t
      out[2] = -46 * form.ky + wide * 1.05 * Math.cos(a) - 14 * (1 - t)
    },
    null,
  )
}

/** How far an ear stands out at a place of it, as a share of how thick it is: its rim, folds and hollow. */
function earRelief(u: number, v: number): number {
  const r = Math.hypot(u, v)
  const bump = (x: number, y: number, s: number) => Math.exp(-((u - x) ** 2 + (v - y) ** 2) / s)
  const helix =
    0.75 * Math.exp(-(((r - 0.84) / 0.11) ** 2)) * (v < 0.55 ? 1 : Math.exp(-(((v - 0.55) / 0.2) ** 2)))
  const fold = 0.55 * Math.exp(-(((Math.hypot(u + 0.1, v - 0.05) - 0.5) / 0.12) ** 2)) * (u < 0.15 ? 1 : 0.3)
  const hollow = -1.15 * bump(0.16, 0.12, 0.09) - 0.5 * bump(-0.15, -0.35, 0.05)
  const flap = 0.6 * bump(0.62, 0.15, 0.03)
  return helix + fold + hollow + flap
}

function ears({ face }: Ground): Part[] {
  const { form, landmarks } = face!
  return [-1, 1].map(side => {
    const [x, y] = landmarks[side > 0 ? 'right' : 'left'].earFront
    const k = form.ky
    return gridPart(
      'bare skin',
      61,
      41,
      (i, j, out) => {
        const a = (2 * Math.PI * i) / 60
        const b = (Math.PI * j) / 40
        // A flattened shell that leans out and back.
        const u = Math.sin(b) * Math.cos(a)
        const v = -Math.cos(b)
        const n = Math.sin(b) * Math.sin(a)
        const relief = n > 0 ? 3.4 * k * earRelief(u, v) * Math.min(1, 3 * n) : 0
        const long = 13.5 * k * u * (1 - 0.28 * v)
        const tall = 29 * k * v
        const thick = 4.4 * k * n + relief
        out[0] = x + side * (5.5 * k + 0.34 * (-long + 10 * k) + thick)
        out[1] = y + 6 * k + tall
        out[2] = -20 * k + long - 0.12 * tall
      },
      null,
    )
  })
}

/** A cape over the shoulders. */
function shoulders({ face }: Ground): Part {
  const { form } = face!
  const k = form.kx * (0.86 + 0.14 * form.grown)
  const y0 = form.foot + 24 * form.ky
  return gridPart(
    'cloth',
    65,
    14,
    (i, j, out) => {
      const a = (2 * Math.PI * i) / 64
      const t = j / 13
      const wide = 47 + 92 * Math.sin((t * Math.PI) / 2)
      const deepness = 48 + 30 * Math.sin((t * Math.PI) / 2)
      out[0] = k * wide * Math.sin(a)
      out[1] = y0 + k * (78 * t * t + 10 * t + 5 * Math.cos(a) * (1 - t)) + k * 1.6 * Math.sin(7 * a) * t
      out[2] = -46 * form.ky + k * deepness * Math.cos(a)
    },
    null,
  )
}
