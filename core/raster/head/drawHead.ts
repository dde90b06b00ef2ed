import { ringOf, type Box, type Point } from '../../geometry'
import { linearOf, mixLinear, type LinearRgb } from '../../paint/colour'
import type { Chart } from '../../skin/chart'
import type { Face } from '../../skin/faces/face'
import type { Ground } from '../../skin/ground'
import { silhouetteOf, type Relief } from '../../skin/relief'
import { blurred, type Mask } from '../coverage'
import { noise, smoothstep, type Grid } from '../grid'
import { drawArm } from './arm'
import { drawBoard } from './board'
import { closedCurve, SkinLayers, strokeRing, tapered, type HeadPicture } from './skinLayers'
import { drawFeatures } from './features'
import { drawHair, hairShade } from './hair'
import { lay, lightOn, STAGE } from './lamp'

export interface BareLook {
  readonly skinColour: string
  readonly hairColour: string
  readonly eyes: 'open' | 'closed'
}

const CAPE = '#8d8791'
/** Height of the relief where its rim begins, mm: below it the table rings a little, since it falls off steeply. */
const RIM = 8

/** Draws what is painted on, unpainted: a practice head, an arm or a board, under a lamp from up left, as a picture seen from the front shows it. */
export function drawBare(grid: Grid, ground: Ground, look: BareLook): HeadPicture {
  const easel = new SkinLayers(grid, ground.front)
  const skin = linearOf(look.skinColour)
  const { face, relief } = ground
  easel.prime(linearOf(STAGE))
  if (ground.arm) drawArm(easel, ground.arm, skin)
  else if (!relief) drawBoard(easel, ground)
  else if (face) {
    neckAndCape(easel, face, relief, skin)
    ears(easel, face, skin)
    drawFace(easel, ground, face, relief, skin)
    drawFeatures(easel, face, skin, look.eyes)
    drawHair(easel, face.form, look.hairColour)
    if (ground.canvas.kind === 'face' && ground.canvas.part !== 'whole') veil(easel, ground)
  }
  return easel
}

/** Takes the rest of the face out where only a part of it is painted. */
function veil(easel: SkinLayers, { extent }: Ground): void {
  const stage = linearOf(STAGE)
  const mask = easel.shape(extent, 0.3)
  const inside = new Float32Array(easel.light.length)
  easel.each(mask, (p, cover) => {
    inside[p] = cover
  })
  for (let p = 0; p < inside.length; p++) {
    const a = 0.62 * (1 - inside[p]!)
    easel.skin[p]! *= inside[p]!
    for (let k = 0; k < 3; k++) easel.over[4 * p + k] = easel.over[4 * p + k]! * (1 - a) + stage[k]! * a
    easel.over[4 * p + 3] = easel.over[4 * p + 3]! * (1 - a) + a
  }
}

/** Draws the colours of an unpainted face or arm on another chart of it, without light: for views from the side. */
export function drawSkin(grid: Grid, ground: Ground, look: BareLook, chart: Chart): HeadPicture {
  const easel = new SkinLayers(grid, chart)
  const skin = linearOf(look.skinColour)
  easel.prime(skin)
  easel.skin.fill(1)
  if (ground.relief && ground.face) {
    drawFeatures(easel, ground.face, skin, look.eyes)
    drawHair(easel, ground.face.form, look.hairColour)
  } else if (!ground.arm) drawBoard(easel, ground)
  return easel
}

function neckAndCape(easel: SkinLayers, face: Face, relief: Relief, skin: LinearRgb): void {
  const { kx, ky, foot, grown } = face.form
  const slim = kx * (0.9 + 0.1 * grown)
  const to = ([x, y]: readonly [number, number]): Point => [x * slim, foot + (y - 120.5) * ky]
  const shape = (points: readonly (readonly [number, number])[]) => points.map(to)
  const neck = closedCurve(
    shape([
      [-43, 60],
      [-42.5, 95],
      [-43.5, 120],
      [-49, 138],
      [-75, 156],
      [0, 170],
      [75, 156],
      [49, 138],
      [43.5, 120],
      [42.5, 95],
      [43, 60],
    ]),
  )
  const shadow = easel.shape(ringOf(silhouetteOf(face, relief, 17 * ky)), 7 * ky)
  easel.each(easel.shape(neck), (p, cover, px, py) => {
    const x = px / slim
    const y = 120.5 + (py - foot) / ky
    const u = Math.min(1, Math.abs(x) / 52)
    const round = Math.sqrt(1 - 0.86 * u * u)
    const cords = 0.05 * grown * Math.exp(-(((Math.abs(x) - 20 + (y - 130) * 0.35) / 5) ** 2))
    lay(easel, p, cover, skin, 0.26 + 0.5 * round - (0.1 * x) / 50 + cords)
  })
  easel.each(shadow, (p, cover) => {
    if (easel.light[p]! < 0.999) easel.light[p]! *= 1 - 0.52 * cover
  })
  const cape = closedCurve(
    shape([
      [-58, 137],
      [-40, 141.5],
      [-20, 146.5],
      [0, 148],
      [20, 146.5],
      [40, 141.5],
      [58, 137],
      [86, 146],
      [112, 158],
      [118, 186],
      [0, 196],
      [-118, 186],
      [-112, 158],
      [-86, 146],
    ]),
  )
  easel.each(easel.shape(cape, 0.2), (p, cover, px, py) => {
    const x = px / slim
    const y = 120.5 + (py - foot) / ky
    const fold = 0.1 * Math.sin(x * 0.16 + 1.2 * noise(x * 0.05, y * 0.05, 9)) * smoothstep(140, 152, y)
    lay(easel, p, cover, linearOf(CAPE), 0.86 + fold - 0.0018 * x - 0.12 * smoothstep(60, 110, Math.abs(x)))
  })
  for (const s of [0.4, 2.2])
    easel.tint(
      easel.shape(
        strokeRing(
          shape([
            [-60, 137 + s],
            [-40, 141.5 + s],
            [-20, 146.5 + s],
            [0, 148 + s],
            [20, 146.5 + s],
            [40, 141.5 + s],
            [60, 137 + s],
          ]),
          () => 0.7,
        ),
        0.35,
      ),
      '#5f5966',
      0.6,
    )
}

function ears(easel: SkinLayers, { form }: Face, skin: LinearRgb): void {
  for (const s of [-1, 1]) {
    const to = (points: readonly (readonly [number, number])[]) =>
      points.map(([x, y]): Point => [x * s * form.wide(y), form.fromMean(y)])
    const outline = closedCurve(
      to([
        [66, -2],
        [71, -7],
        [77, -7.5],
        [81.5, -2],
        [82, 8],
        [80, 19],
        [77.5, 28],
        [75.5, 38],
        [72, 43.5],
        [68, 42],
        [64, 30],
      ]),
    )
    const warm = mixLinear(skin, [skin[0], skin[1] * 0.62, skin[2] * 0.58], 0.4)
    easel.each(easel.shape(outline), (p, cover, x, y) => {
      const ym = form.toMean(y)
      const d = (Math.abs(x) / form.wide(ym) - 74) / 8
      lay(easel, p, cover, warm, 0.72 - 0.14 * s + 0.12 * d - 0.1 * smoothstep(20, 44, ym))
    })
    const dark: LinearRgb = [skin[0] * 0.34, skin[1] * 0.2, skin[2] * 0.17]
    const k = form.kx
    easel.tint(
      easel.shape(
        strokeRing(
          to([
            [69.5, -1],
            [74.5, -3.6],
            [78, 0.6],
            [78, 9],
            [76, 18],
            [73.5, 26],
          ]),
          tapered(1.9 * k),
        ),
        0.7 * k,
      ),
      dark,
      0.55,
    )
    easel.tint(
      easel.shape(
        strokeRing(
          to([
            [70, 6],
            [74, 7.5],
            [74, 14],
            [71, 21],
          ]),
          tapered(3.4 * k),
        ),
        1.1 * k,
      ),
      dark,
      0.5,
    )
    easel.tint(
      easel.shape(
        strokeRing(
          to([
            [69, 12],
            [70.5, 18],
            [69, 24],
          ]),
          tapered(3 * k),
        ),
        k,
      ),
      dark,
      0.5,
    )
  }
}

/** The relief under the lamps. Shadowed folds come from how far the skin lies below its own blurred surface. */
function drawFace(easel: SkinLayers, { surface }: Ground, face: Face, relief: Relief, skin: LinearRgb): void {
  const { form } = face
  const wide = form.skullWidth * 84
  const here = new Float64Array(3)
  const normal = new Float64Array(3)
  const z = (x: number, y: number): number => {
    surface.position(x, y, here)
    return here[2]!
  }
  const smooth = blurredRelief(
    z,
    { minX: -wide, minY: form.crown - 5, maxX: wide, maxY: form.foot + 5 },
    6 * form.kx,
  )
  const mask = easel.shape(ringOf(silhouetteOf(face, relief)))
  const lit = onCells(mask, easel.grid, (x, y) => {
    // Below the rim, where the relief only goes on for sheets that wrap round it, light falls as it does on the rim.
    const height = z(x, y)
    let rx = x,
      ry = y
    for (let n = 0, h = height; n < 8 && h < RIM; n++, h = z(rx, ry)) {
      rx *= 0.97
      ry -= Math.sign(ry) * 0.8
    }
    surface.normal(rx, ry, normal)
    const steep = Math.sqrt(Math.max(0, 1 / normal[2]! ** 2 - 1))
    const ease = steep > 2.6 ? 2.6 / steep : 1
    // At the silhouette the relief stands nearly upright and its slope means nothing more than "edge".
    const k = 1 / Math.hypot(1, steep * ease)
    const nx = (normal[0]! / normal[2]!) * ease * k
    const ny = (normal[1]! / normal[2]!) * ease * k
    const rim = Math.min(1, steep / 5)
    const cavity = Math.min(1.07, Math.max(0.62, 1 + (0.07 / form.kx) * (height - smooth(x, y))))
    const { light, gloss } = lightOn(nx, ny, k)
    return [light * cavity * hairShade(form, x, y) * (1 - 0.12 * rim * rim), gloss * (1 - 0.5 * rim)]
  })
  easel.each(mask, (p, cover, x, y) => {
    const mottle =
      1 + 0.035 * (noise(x * 0.22, y * 0.22, 1) - 0.5) + 0.03 * (noise(x * 1.4, y * 1.4, 2) - 0.5)
    lay(easel, p, cover, [skin[0] * mottle, skin[1] * mottle * 0.995, skin[2] * mottle], lit.first(p))
    easel.skin[p] = Math.max(easel.skin[p]!, cover)
    easel.gloss[p]! += cover * lit.second(p)
  })
}

/** Two values that change slowly over the skin, worked out for cells of at most 0.75 mm of a mask and read linearly for each pixel of the grid. */
function onCells(
  mask: Mask,
  grid: Grid,
  values: (x: number, y: number) => readonly [number, number],
): { first: (pixel: number) => number; second: (pixel: number) => number } {
  const cell = Math.max(1, Math.floor(0.75 * grid.pxPerMm))
  const nx = Math.ceil(mask.width / cell) + 1
  const ny = Math.ceil(mask.height / cell) + 1
  const a = new Float32Array(nx * ny)
  const b = new Float32Array(nx * ny)
  for (let v = 0; v < ny; v++) {
    for (let u = 0; u < nx; u++)
      [a[v * nx + u], b[v * nx + u]] = values(
        grid.x0 + (mask.i0 + u * cell + 0.5) / grid.pxPerMm,
        grid.y0 + (mask.j0 + v * cell + 0.5) / grid.pxPerMm,
      )
  }
  const read =
    (data: Float32Array) =>
    (pixel: number): number => {
      const i = (pixel % grid.width) - mask.i0
      const j = Math.floor(pixel / grid.width) - mask.j0
      const u = Math.floor(i / cell)
      const v = Math.floor(j / cell)
      const s = i / cell - u
      const t = j / cell - v
      const p = v * nx + u
      return (
        (data[p]! * (1 - s) + data[p + 1]! * s) * (1 - t) +
        (data[p + nx]! * (1 - s) + data[p + nx + 1]! * s) * t
      )
    }
  return { first: read(a), second: read(b) }
}

/** The relief blurred by a Gaussian of `sigma` mm, tabulated to 2 mm and read linearly. */
function blurredRelief(
  z: (x: number, y: number) => number,
  box: Readonly<Box>,
  sigma: number,
): (x: number, y: number) => number {
  const step = 2
  const nx = Math.ceil((box.maxX - box.minX) / step) + 2
  const ny = Math.ceil((box.maxY - box.minY) / step) + 2
  const data = new Float32Array(nx * ny)
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) data[j * nx + i] = z(box.minX + i * step, box.minY + j * step)
  const { data: soft } = blurred({ i0: 0, j0: 0, width: nx, height: ny, data }, sigma / step)
  return (x, y) => {
    const u = Math.min(nx - 1.001, Math.max(0, (x - box.minX) / step))
    const v = Math.min(ny - 1.001, Math.max(0, (y - box.minY) / step))
    const i = Math.floor(u)
    const j = Math.floor(v)
    const s = u - i
    const t = v - j
    const p = j * nx + i
    return (
      (soft[p]! * (1 - s) + soft[p + 1]! * s) * (1 - t) +
      (soft[p + nx]! * (1 - s) + soft[p + nx + 1]! * s) * t
    )
  }
}
