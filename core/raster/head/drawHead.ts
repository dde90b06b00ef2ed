import { linearOf, type LinearRgb } from '../../paint/colour'
import type { Chart } from '../../skin/chart'
import type { Ground } from '../../skin/grounds'
import type { Grid } from '../grid'
import { drawArm } from './arm'
import { drawBeard, type Beard } from './beard'
import { drawBoard } from './board'
import { ears, neckAndCape } from './bust'
import { drawFeatures } from './features'
import { drawFace, drawFreckles } from './face'
import { drawHair, drawHairAround, drawHairBehind, type Hair } from './hair'
import { LIGHTS, type LightId } from '../../paint/lights'
import { STAGE } from './lamp'
import { SkinLayers, type HeadPicture } from './skinLayers'

export interface BareLook {
  readonly skinColour: string
  readonly hair: Hair
  readonly eyes: 'open' | 'closed'
  /** Colour of the irises; brown when left out. */
  readonly iris?: string | undefined
  readonly beard?: Beard | undefined
  readonly freckles?: boolean | undefined
  /** Under which light it is drawn; the stall's lamp when left out. */
  readonly light?: LightId | undefined
}

/**
 * Draws what is painted on, unpainted: a practice head, an arm or a board, under a lamp from up left, as a
 * picture seen from the front shows it.
 */
export function drawBare(grid: Grid, ground: Ground, look: BareLook): HeadPicture {
  const easel = new SkinLayers(grid, ground.front, LIGHTS[look.light ?? 'lamp'])
  const skin = linearOf(look.skinColour)
  const { face, relief } = ground
  easel.prime(backdrop(easel))
  if (ground.arm) drawArm(easel, ground.arm, skin)
  else if (!relief) drawBoard(easel, ground)
  else if (face) {
    drawHairBehind(easel, face, look.hair)
    neckAndCape(easel, face, relief, skin)
    ears(easel, face, skin)
    drawHairAround(easel, face, look.hair)
    drawFace(easel, ground, face, relief, { skin, cut: look.hair.cut })
    if (look.freckles) drawFreckles(easel, face, skin)
    drawFeatures(easel, face, skin, look)
    if (look.beard) drawBeard(easel, ground, look.beard, look.hair.colour)
    drawHair(easel, face, look.hair)
    if (ground.canvas.kind === 'face' && ground.canvas.part !== 'whole') veil(easel, ground)
  }
  return easel
}

/** The quiet colour around, which is the page's own and under no light. */
function backdrop({ lamp: { tint } }: SkinLayers): LinearRgb {
  const [r, g, b] = linearOf(STAGE)
  return [r / tint[0], g / tint[1], b / tint[2]]
}

/** Takes the rest of the face out where only a part of it is painted. */
function veil(easel: SkinLayers, { extent }: Ground): void {
  const stage = backdrop(easel)
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
    if (look.freckles) drawFreckles(easel, ground.face, skin)
    drawFeatures(easel, ground.face, skin, look)
    if (look.beard) drawBeard(easel, ground, look.beard, look.hair.colour)
    drawHair(easel, ground.face, look.hair)
  } else if (!ground.arm) drawBoard(easel, ground)
  return easel
}
