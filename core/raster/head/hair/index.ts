import { SAME } from '../../../skin/chart'
import type { Face, Form } from '../../../skin/faces/face'
import { HAIR_END, hairline, hairPolar, SCARF, type HairCut } from '../../../skin/faces/hair'
import { smoothstep } from '../../grid'
import type { SkinLayers } from '../skinLayers'
import { drawBand, drawParted, drawTiedBack } from './combed'
import { drawBraids, drawCrop, drawCurls, drawLengths } from './loose'
import { drawScarfAround, drawScarfOver } from './scarf'
import { Strands } from './strands'

export { drawCurl } from './loose'
export { Strands, wayOf } from './strands'

/** Hair as it is worn. */
export interface Hair {
  readonly cut: HairCut
  readonly colour: string
}

/** What bands are of. */
const CLOTH = '#7a5c7e'

/** What hangs behind the head, before anything of it is drawn. */
export function drawHairBehind(easel: SkinLayers, { form }: Face, { cut, colour }: Hair): void {
  if (cut === 'side parting') drawLengths(Strands.beneath(easel, form, colour))
}

/** What lies round the face, before the face itself is drawn. */
export function drawHairAround(easel: SkinLayers, face: Face, { cut }: Hair): void {
  if (cut === 'headscarf') drawScarfAround(easel, face, SCARF)
}

/** Hair over skin and paint. */
export function drawHair(easel: SkinLayers, { form }: Face, { cut, colour }: Hair): void {
  // On a chart it is worn by a model that is lit by itself.
  const hair =
    easel.chart === SAME ? new Strands(easel, form, colour) : Strands.inFlatLight(easel, form, colour)
  if (cut === 'tied back') drawTiedBack(hair)
  else if (cut === 'band') drawBand(hair, CLOTH)
  else if (cut === 'short crop') drawCrop(hair)
  else if (cut === 'curls') drawCurls(hair)
  else if (cut === 'headscarf') drawScarfOver(easel, form, SCARF)
  else if (cut !== 'bald') {
    drawParted(hair, cut === 'braids' ? 0 : -21)
    if (cut === 'braids' && hair.rimmed) drawBraids(hair)
  }
}

/** How much the hair's edge shades the skin at (x, y): 1 = none. */
export function hairShade(form: Form, cut: HairCut, x: number, y: number): number {
  if (cut === 'bald') return 1
  const { angle, r } = hairPolar(form, x, y)
  if (angle > HAIR_END) return 1
  const deep = cut === 'curls' || cut === 'headscarf' ? 0.4 : cut === 'short crop' ? 0.18 : 0.28
  return 1 - deep * smoothstep(-9, 1, r - hairline(angle)) * (1 - smoothstep(85, HAIR_END, angle))
}
