import type { Point } from '../../geometry'
import { linearOf } from '../../paint/colour'
import type { Form } from '../../skin/faces/face'
import { hairBehind, SCARF } from '../../skin/faces/hair'
import type { Ground } from '../../skin/grounds'
import { gridOver, hash, noise } from '../grid'
import type { BareLook } from './drawHead'
import { drawCurl, Strands, wayOf } from './hair'
import type { HeadPicture } from './skinLayers'
import { SkinLayers } from './skinLayers'

/** Way over the back of a grown head from rim to rim, mm: the picture of it is as wide. */
const ROUND_MM = 330
/** Fineness of that picture, px/mm: nothing is painted there. */
const FINENESS = 1.6

/**
 * Draws the back of a head, from one rim of the face over the back to the other and from the crown down, without
 * light: skin, and hair as it is worn. Null for what has no head.
 */
export function drawBack(ground: Ground, look: BareLook): HeadPicture | null {
  const { face } = ground
  if (!face || !ground.relief) return null
  const { form } = face
  const wide = ROUND_MM * form.skullWidth
  const grid = gridOver({ minX: 0, minY: form.crown, maxX: wide, maxY: form.foot }, FINENESS)
  const easel = new SkinLayers(grid)
  easel.prime(linearOf(look.skinColour))
  const { cut } = look.hair
  if (cut === 'headscarf') drawCloth(easel, form)
  else if (cut !== 'bald') drawMass(easel, form, wide, look)
  return easel
}

/** Cloth all over, in folds that run round the face. */
function drawCloth(easel: SkinLayers, form: Form): void {
  const base = linearOf(SCARF)
  const { grid, over } = easel
  for (let p = 0; p < easel.light.length; p++) {
    const x = (p % grid.width) / grid.pxPerMm
    const y = grid.y0 + Math.floor(p / grid.width) / grid.pxPerMm
    const away = Math.min(x, grid.width / grid.pxPerMm - x)
    const wander = 14 * noise(x * 0.02, y * 0.02, 131) + (y - form.crown) * 0.12
    const light = 0.86 + 0.13 * Math.sin((away + wander) * 0.3) + 0.05 * (noise(x * 1.5, y * 1.5, 132) - 0.5)
    over.set([base[0] * light, base[1] * light, base[2] * light, 1], 4 * p)
  }
}

/** Hair as far as it grows: a dark mass, and strands over it the way they are combed. */
function drawMass(easel: SkinLayers, form: Form, wide: number, { hair }: BareLook): void {
  const strands = Strands.inFlatLight(easel, form, hair.colour)
  const { grid, over } = easel
  const curly = hair.cut === 'curls'
  const mass = strands.colourAt(0, 0, 0.4, -1, curly ? 0.3 : 0.58, 1).slice()
  for (let p = 0; p < easel.light.length; p++) {
    const x = ((p % grid.width) + 0.5) / grid.pxPerMm
    const y = grid.y0 + (Math.floor(p / grid.width) + 0.5) / grid.pxPerMm
    const edge = curly
      ? 15 * (noise(x * 0.16, y * 0.16, 133) - 0.5)
      : 5 * (noise(x * 0.7, y * 0.12, 133) - 0.5)
    const a = hairBehind(form, hair.cut, x / wide, y + edge) * (curly ? besideRim(form, x, wide, y) : 1)
    if (a > 0) over.set([mass[0]! * a, mass[1]! * a, mass[2]! * a, a], 4 * p)
  }
  if (curly) return drawCurlsBehind(strands, form, wide)
  const n = strands.count(3600)
  for (let i = 0; i < n; i++) {
    const at: Point = [wide * hash(i, 141), form.crown + (form.foot - form.crown) * 0.8 * hash(i, 142)]
    if (hairBehind(form, hair.cut, at[0] / wide, at[1] + 4) < 0.9) continue
    const lock = noise(at[0] * 0.1, at[1] * 0.03, 143)
    strands.draw(
      wayBehind(hair.cut, form, wide, at, i),
      { shade: 0.58 + 0.36 * lock + 0.36 * hash(i, 144), strength: 0.7, taper: [0.15, 0.7] },
      i,
    )
  }
}

/** Below where curls of the front end, those behind begin raggedly beside the face, 0 to 1. */
function besideRim(form: Form, x: number, wide: number, y: number): number {
  const low = form.toMean(y) - 12
  if (low < 0) return 1
  const off = Math.min(x, wide - x) - 13 * noise(y * 0.13, x < wide / 2 ? 1 : 7, 134) * Math.min(1, low / 14)
  return Math.min(1, Math.max(0, off / 3))
}

/** Curls all over the back of the head, like those in front. */
function drawCurlsBehind(strands: Strands, form: Form, wide: number): void {
  const n = strands.count(2400)
  for (let i = 0; i < n; i++) {
    const at: Point = [wide * hash(i, 141), form.crown + (form.foot - form.crown) * 0.85 * hash(i, 142)]
    const grows = hairBehind(form, 'curls', at[0] / wide, at[1]) * besideRim(form, at[0], wide, at[1])
    // What lies deeper is drawn first.
    if (grows > 0.5) drawCurl(strands, at, i / n, i)
  }
}

/** How one strand runs over the back of the head from where it is seen first. */
function wayBehind(
  cut: BareLook['hair']['cut'],
  form: Form,
  wide: number,
  [x, y]: Point,
  key: number,
): Point[] {
  const long = cut === 'short crop' ? 14 : 55
  const lean = (hash(key, 147) - 0.5) * 5
  // Tied back it all runs to the knot behind the crown, else down to the nape or to the braids.
  const knot: Point = [wide / 2, form.crown + 34 * form.skullHeight]
  const aim: Point =
    cut === 'tied back' || cut === 'band'
      ? knot
      : cut === 'braids'
        ? [x < wide / 2 ? 0.1 * wide : 0.9 * wide, form.fromMean(36)]
        : [x + lean, y + 100]
  const far = Math.hypot(aim[0] - x, aim[1] - y) || 1
  const go = Math.min(long, far)
  const [dx, dy] = [(aim[0] - x) / far, (aim[1] - y) / far]
  return wayOf(8, t => [x + dx * go * t + lean * t * (1 - t), y + dy * go * t])
}
