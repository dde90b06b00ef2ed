import type { Point } from '../../../geometry'
import { linearOf, type LinearRgb } from '../../../paint/colour'
import type { Face, Form } from '../../../skin/faces/face'
import { hairCrown, hairline, hairPolar } from '../../../skin/faces/hair'
import { noise, smoothstep } from '../../grid'
import type { Light } from '../../../paint/lights'
import { lightOn } from '../lamp'
import { closedCurve, type SkinLayers } from '../skinLayers'
import { bandRing } from './shell'

/** How cloth is lit at (x, y): round like the head, in folds that run round the face. */
function clothLight(form: Form, lamp: Light, x: number, y: number): number {
  const cy = form.fromMean(10)
  const u = x / (96 * form.skullWidth)
  const v = (y - cy) / (y < cy ? cy - form.crown + 10 : 175 * form.ky)
  const q = Math.min(0.94, u * u + v * v)
  const { angle, r } = hairPolar(form, x, y)
  // A fold keeps its distance from the face, and wanders a little.
  const wander = 9 * noise(angle * 0.035, 4, 121) + 5 * noise(angle * 0.02 + x * 0.01, 9, 122)
  const phase = (r + wander) * 0.42
  const low = smoothstep(70, 130, angle)
  const fold = Math.sin(phase) * (0.1 + 0.16 * low) + 0.08 * Math.sin(phase * 2.3 + 1)
  const { light } = lightOn(lamp, u + 0.4 * fold * u, v + 0.3 * fold, Math.sqrt(1 - q))
  return light * (0.92 + 0.55 * fold)
}

const clothAt =
  (form: Form, base: LinearRgb, lamp: Light) =>
  (x: number, y: number): LinearRgb => {
    const l = clothLight(form, lamp, x, y) * (1 + 0.05 * (noise(x * 1.7, y * 1.7, 123) - 0.5))
    return [base[0] * l, base[1] * l, base[2] * l]
  }

/** The scarf round neck and shoulders: before the face is drawn, since that comes out of it. */
export function drawScarfAround(easel: SkinLayers, { form, landmarks }: Face, cloth: string): void {
  const [, chin] = landmarks.mid.chin
  const k = form.kx
  const down = (y: number) => chin + y * form.ky
  const half: Point[] = [
    [0, form.crown - 5],
    [60 * form.skullWidth, form.fromMean(-104)],
    [88 * form.skullWidth, form.fromMean(-40)],
    [92 * form.wide(20), form.fromMean(20)],
    [84 * k, down(-34)],
    [76 * k, down(0)],
    [92 * k, down(26)],
    [70 * k, down(44)],
    [0, down(50)],
  ]
  const ring = closedCurve([
    ...half,
    ...half
      .slice(1, -1)
      .toReversed()
      .map(([x, y]): Point => [-x, y]),
  ])
  const colour = clothAt(form, linearOf(cloth), easel.lamp)
  easel.each(easel.shape(ring, 0.2), (p, cover, x, y) => {
    const c = colour(x, y)
    // Under the chin it lies in the shadow of the face.
    const shade = 1 - 0.5 * Math.exp(-(((y - chin - 7) / 10) ** 2) - (x / (46 * k)) ** 4)
    for (let b = 0; b < 3; b++) easel.albedo[3 * p + b]! += (c[b]! * shade - easel.albedo[3 * p + b]!) * cover
    easel.light[p]! += (1 - easel.light[p]!) * cover
  })
}

/** The scarf over hairline and crown, with the edge of the cap beneath it. */
export function drawScarfOver(easel: SkinLayers, form: Form, cloth: string): void {
  const base = linearOf(cloth)
  const cap: LinearRgb = [base[0] * 0.3, base[1] * 0.3, base[2] * 0.3]
  const edge = (angle: number) => hairCrown(Math.min(angle, 112)) + 8
  const from = (by: number) => (a: number) => hairline(a) + by
  // The cap goes under the scarf before the ears.
  const shown = (a: number) => 6 * (1 - smoothstep(70, 104, a))
  const lower = (a: number) => hairline(a) + 4.5 - shown(a)
  easel.cover(easel.shape(bandRing(form, [-108, 108], lower, from(9)), 0.25), cap)
  easel.cover(easel.shape(bandRing(form, [-108, 108], from(3.2), from(6)), 1.2), [0, 0, 0], 0.5)
  easel.cover(
    easel.shape(bandRing(form, [-114, 114], from(4.5), edge), 0.25),
    clothAt(form, base, easel.lamp),
  )
}
