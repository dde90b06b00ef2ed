import { ringOf } from '../../geometry'
import { linearOf, type LinearRgb } from '../../paint/colour'
import type { Chart } from '../../skin/chart'
import type { Face } from '../../skin/faces/face'
import type { Ground } from '../../skin/grounds'
import { silhouetteOf, type Relief } from '../../skin/relief'
import { noise, type Grid } from '../grid'
import { drawArm } from './arm'
import { drawBeard, type Beard } from './beard'
import { drawBoard } from './board'
import { ears, neckAndCape } from './bust'
import { drawFeatures } from './features'
import { drawHair, hairShade } from './hair'
import { lay, lightOn, STAGE } from './lamp'
import { SkinLayers, type HeadPicture } from './skinLayers'
import { blurredRelief, onCells } from './softened'

export interface BareLook {
  readonly skinColour: string
  readonly hairColour: string
  readonly eyes: 'open' | 'closed'
  readonly beard?: Beard | undefined
}

/**
 * Height of the relief where its rim begins, mm: below it the table rings a little, since it falls off
 * steeply.
 */
const RIM = 8

/**
 * Draws what is painted on, unpainted: a practice head, an arm or a board, under a lamp from up left, as a
 * picture seen from the front shows it.
 */
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
    if (look.beard) drawBeard(easel, ground, look.beard, look.hairColour)
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

/**
 * Draws the colours of an unpainted face or arm on another chart of it, without light: for views from the
 * side.
 */
export function drawSkin(grid: Grid, ground: Ground, look: BareLook, chart: Chart): HeadPicture {
  const easel = new SkinLayers(grid, chart)
  const skin = linearOf(look.skinColour)
  easel.prime(skin)
  easel.skin.fill(1)
  if (ground.relief && ground.face) {
    drawFeatures(easel, ground.face, skin, look.eyes)
    if (look.beard) drawBeard(easel, ground, look.beard, look.hairColour)
    drawHair(easel, ground.face.form, look.hairColour)
  } else if (!ground.arm) drawBoard(easel, ground)
  return easel
}

/**
 * The relief under the lamps. Shadowed folds come from how far the skin lies below its own blurred surface.
 */
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
    // Below the rim, where the relief only goes on for sheets that wrap round it, light falls as it does on
    // the rim.
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
