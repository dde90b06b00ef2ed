import { ringOf, type Point } from '../../geometry'
import { linearOf, mixLinear, type LinearRgb } from '../../paint/colour'
import type { Face } from '../../skin/faces/face'
import type { HairCut } from '../../skin/faces/hair'
import type { Ground } from '../../skin/grounds'
import { silhouetteOf, type Relief } from '../../skin/relief'
import { hash, noise, smoothstep } from '../grid'
import { hairShade } from './hair'
import type { Light } from '../../paint/lights'
import { lightOn } from './lamp'
import { oval, type SkinLayers } from './skinLayers'
import { blurredRelief, onCells } from './softened'

/**
 * Height of the relief where its rim begins, mm: below it the table rings a little, since it falls off
 * steeply.
 */
const RIM = 8

/** What a face is drawn with besides its form. */
interface FaceLook {
  readonly skin: LinearRgb
  readonly cut: HairCut
}

/** Values of the skin that change slowly: how light falls, how it shines, how rosy it is. */
const LIGHT = 0
const GLOSS = 1
const ROSY = 2

/**
 * The relief under the lamps. Shadowed folds come from how far the skin lies below its own blurred surface.
 */
export function drawFace(
  easel: SkinLayers,
  ground: Ground,
  face: Face,
  relief: Relief,
  look: FaceLook,
): void {
  const { skin } = look
  const mask = easel.shape(ringOf(silhouetteOf(face, relief)))
  const lit = onCells(mask, easel.grid, 3, valuesOf(ground, face, look, easel.lamp))
  const rosy: LinearRgb = [skin[0] * 1.01, skin[1] * 0.8, skin[2] * 0.77]
  const here = new Float64Array(3)
  const { albedo, light, gloss } = easel
  easel.each(mask, (p, cover, x, y) => {
    lit(p, here)
    // Pores, and skin that is not the same all over.
    const fine = noise(x * 1.5, y * 1.5, 2)
    const pore = 1 + 0.034 * (fine - 0.5) - 0.05 * smoothstep(0.22, 0.05, fine)
    const r = here[ROSY]!
    const o = 3 * p
    for (let k = 0; k < 3; k++) {
      const c = (skin[k]! + (rosy[k]! - skin[k]!) * r) * pore
      albedo[o + k]! += (c - albedo[o + k]!) * cover
    }
    light[p]! += (here[LIGHT]! - light[p]!) * cover
    easel.skin[p] = Math.max(easel.skin[p]!, cover)
    gloss[p]! += cover * here[GLOSS]! * (0.75 + 0.5 * fine)
  })
}

/** What is worked out of a face for each cell. */
function valuesOf({ surface }: Ground, { form, landmarks }: Face, { cut }: FaceLook, lamp: Light) {
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
  const oily = oiliness(landmarks.mid.noseTip, form.kx)
  return (x: number, y: number, out: Float64Array): void => {
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
    const cavity = Math.min(1.06, Math.max(0.74, 1 + (0.05 / form.kx) * (height - smooth(x, y))))
    const { light, gloss } = lightOn(lamp, nx, ny, k)
    const mottle = 1 + 0.035 * (noise(x * 0.22, y * 0.22, 1) - 0.5)
    out[LIGHT] = light * cavity * mottle * hairShade(form, cut, x, y) * (1 - 0.12 * rim * rim)
    out[GLOSS] = gloss * (1 - 0.5 * rim) * oily(x, y)
    // Where light ends it comes back out of the skin, redder than it went in.
    const end = smoothstep(0.35, 0.6, light) * (1 - smoothstep(0.62, 0.95, light))
    out[ROSY] = 0.6 * end + 0.55 * (noise(x * 0.09 + 3, y * 0.09, 6) - 0.35) + 0.25 * rim
  }
}

/** How much more than elsewhere skin shines on nose and forehead. */
function oiliness([, tip]: Point, k: number): (x: number, y: number) => number {
  return (x, y) =>
    1 +
    0.9 * Math.exp(-((x / (7 * k)) ** 2) - ((y - tip + 10 * k) / (17 * k)) ** 2) +
    0.35 * Math.exp(-((x / (30 * k)) ** 2) - ((y + 38 * k) / (16 * k)) ** 2)
}

/** Freckles over nose and cheeks, some on the forehead. */
export function drawFreckles(easel: SkinLayers, { landmarks, form }: Face, skin: LinearRgb): void {
  const k = form.kx
  const brown = mixLinear(skin, linearOf('#6b3418'), 0.75)
  for (const side of [landmarks.left, landmarks.right]) {
    const out = Math.sign(side.pupil[0])
    for (let i = 0; i < 95; i++) {
      const a = 2 * Math.PI * hash(i, 201 + out)
      const r = Math.sqrt(-2 * Math.log(1 - 0.96 * hash(i, 202 + out)))
      const high = i > 74 ? 44 * k : 0
      const at: Point = [
        side.pupil[0] - 5 * out * k + r * Math.cos(a) * 11 * k,
        side.noseWing[1] - 17 * k - high + r * Math.sin(a) * 7 * k,
      ]
      const size = (0.32 + 0.5 * hash(i, 203 + out) ** 2) * k
      easel.stain(easel.shape(oval(at, size, size * 0.85), 0.16), brown, 0.25 + 0.4 * hash(i, 204 + out))
    }
  }
}
