import type { Box } from '../geometry'
import { HAIR_END, hairline, hairPolar } from './faces/hair'
import type { Ground } from './grounds'

/**
 * A part of a solid model: triangles over points in space (mm, +z toward the painter), each with a place in
 * the skin's picture or a tint.
 */
export interface Part {
  readonly kind: 'skin' | 'back' | 'bare skin' | 'cloth'
  readonly positions: Float32Array
  /** Places in the picture of the skin, 0 to 1 from its top left corner; null for a part of one colour. */
  readonly places: Float32Array | null
  readonly triangles: Uint32Array
  /** Share of hair in each point's colour, 0 = skin, 1 = hair; null for a part of one colour. */
  readonly hair: Float32Array | null
}

/** A grid of points `rows` by `columns` as triangles; `at(i, j)` writes the point of column i and row j. */
function gridPart(
  kind: Part['kind'],
  columns: number,
  rows: number,
  at: (i: number, j: number, out: Float64Array) => void,
  place: ((out: Float64Array) => readonly [number, number]) | null,
  hairy = false,
): Part {
  const positions = new Float32Array(3 * columns * rows)
  const places = place && new Float32Array(2 * columns * rows)
  const triangles = new Uint32Array(6 * (columns - 1) * (rows - 1))
  const hair = hairy ? new Float32Array(columns * rows) : null
  const p = new Float64Array(5)
  let t = 0
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns; i++) {
      const n = j * columns + i
      at(i, j, p)
      positions.set([p[0]!, p[1]!, p[2]!], 3 * n)
      if (places && place) places.set(place(p), 2 * n)
      if (hair) hair[n] = p[3]!
      if (i === columns - 1 || j === rows - 1) continue
      // Counter-clockwise as seen by the painter, with y down.
      triangles.set([n, n + columns, n + 1, n + 1, n + columns, n + columns + 1], t)
      t += 6
    }
  }
  return { kind, positions, places, triangles, hair }
}

/** Columns and rows of the model's skin. */
const COLUMNS = 141
const ROWS = 161
/** How thick hair lies on the skull, mm (common practice). */
const HAIR_MM = 5

/**
 * The solid model of what a look is painted on, for views from the side; its skin wears the picture printed
 * on the ground's wrap chart.
 */
export function modelOf(ground: Ground): Part[] {
  return ground.arm ? armModel(ground) : ground.relief ? headModel(ground) : boardModel(ground)
}

const placeIn = (
  { minX, minY, maxX, maxY }: Readonly<Box>,
  u: number,
  v: number,
): readonly [number, number] => [(u - minX) / (maxX - minX), (v - minY) / (maxY - minY)]

function headModel(ground: Ground): Part[] {
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
  const hairAt = (x: number, y: number): number => {
    const { angle, r } = hairPolar(form, x, y)
    if (angle > HAIR_END) return 0
    const ease = (t: number) => Math.min(1, Math.max(0, t))
    return ease((r - hairline(angle) + 1) / 7) * ease((HAIR_END - angle) / 10)
  }
  const raised = (x: number, y: number, out: Float64Array) => {
    const hair = hairAt(x, y) * HAIR_MM
    surface.position(x, y, here)
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
  return [front, backOfHead(ground, rowY, raised), neck(ground), ...ears(ground), shoulders(ground)]
}

/** Behind the ears: the skull, and below it the nape, on from the rim of the face. */
function backOfHead(
  ground: Ground,
  rowY: (j: number) => number,
  raised: (x: number, y: number, out: Float64Array) => void,
): Part {
  const relief = ground.relief!
  const { form } = ground.face!
  const rim = new Float64Array(3)
  const deep = 128 * form.skullHeight
  const middle = (form.crown + form.foot) / 2 - 8
  return gridPart(
    'back',
    73,
    ROWS,
    (i, j, out) => {
      const y = rowY(j)
      const a = (Math.PI * i) / 72
      const side = a < Math.PI / 2 ? 1 : -1
      raised(side * relief.halfWidth(y) * 0.998, y, rim)
      // The skull is deepest at eye level and ends above the nape; the jaw has nothing behind it but the
      // neck.
      const t = (y - middle) / (y < middle ? middle - form.crown : form.foot - middle)
      const low = Math.min(1, Math.max(0, t))
      const back =
        deep * Math.sqrt(Math.max(0, 1 - Math.min(1, Math.abs(t)) ** 2.4)) * (1 - 0.72 * low ** 1.5)
      const bulge = 1 + 0.055 * Math.sin(a) ** 1.4 * Math.max(0, 1 - Math.abs(t))
      // It goes on from the face's own rim, hair and all, so that there is no step between them.
      out[0] = Math.abs(rim[0]!) * bulge * Math.cos(a)
      out[1] = rim[1]! - HAIR_MM * Math.sin(a) * Math.max(0, -t) ** 6
      out[2] = rim[2]! - (back + HAIR_MM) * Math.sin(a) ** 0.9
      // Hair ends behind the ears and at the nape; before it the jaw is skin.
      const ym = form.toMean(y)
      const ramp = (v: number) => Math.min(1, Math.max(0, v))
      const end = 20 + 46 * Math.sin(a) ** 0.7
      out[3] = ramp((end - ym) / 6) * (1 - ramp((ym - 4) / 16) * (1 - ramp((Math.sin(a) - 0.16) / 0.14)))
    },
    null,
    true,
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

function ears({ face }: Ground): Part[] {
  const { form, landmarks } = face!
  return [-1, 1].map(side => {
    const [x, y] = landmarks[side > 0 ? 'right' : 'left'].earFront
    const k = form.ky
    return gridPart(
      'bare skin',
      25,
      17,
      (i, j, out) => {
        const a = (2 * Math.PI * i) / 24
        const b = (Math.PI * j) / 16
        const cup = 3.6 * k * Math.exp(-(((b - 1.2) / 0.5) ** 2)) * Math.max(0, Math.sin(a))
        // A flattened shell that leans out and back.
        const u = Math.sin(b) * Math.cos(a)
        const v = -Math.cos(b)
        const n = Math.sin(b) * Math.sin(a)
        const dent = n > 0 ? 5 * k * Math.exp(-((u + 0.15) ** 2 + (v - 0.05) ** 2) / 0.22) : 0
        const long = 12.5 * k * u * (1 - 0.25 * v)
        const tall = 29 * k * v
        const thick = 5 * k * n - cup - dent
        out[0] = x + side * (5 * k + 0.34 * (-long + 10 * k) + thick)
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

function armModel(ground: Ground): Part[] {
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

function boardModel(ground: Ground): Part[] {
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
