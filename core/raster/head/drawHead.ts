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
  const drawing = bareInTurns(grid, ground, look)
  for (;;) {
    const { done, value } = drawing.next()
    if (done) return value
  }
}

/** The same layer by layer: it rests after each, for whoever may be told meanwhile that nobody waits for it. */
export function* bareInTurns(grid: Grid, ground: Ground, look: BareLook): Generator<void, HeadPicture> {
  const easel = new SkinLayers(grid, ground.front, LIGHTS[look.light ?? 'lamp'])
  easel.prime(backdrop(easel))
  for (const draw of layersOf(ground, look)) {
    draw(easel)
    yield
  }
  return easel
}

/** What draws the layers of something unpainted, from behind. */
function layersOf(ground: Ground, look: BareLook): ((easel: SkinLayers) => void)[] {
  const skin = linearOf(look.skinColour)
  const { arm, face, relief, canvas } = ground
  if (arm) return [easel => drawArm(easel, arm, skin)]
  if (!relief) return [easel => drawBoard(easel, ground)]
  if (!face) return []
  const { beard, hair } = look
  return [
    easel => drawHairBehind(easel, face, hair),
    easel => neckAndCape(easel, face, relief, skin),
    easel => ears(easel, face, skin),
    easel => drawHairAround(easel, face, hair),
    easel => drawFace(easel, ground, face, relief, { skin, cut: hair.cut }),
    easel => look.freckles && drawFreckles(easel, face, skin),
    easel => drawFeatures(easel, face, skin, look),
    easel => beard && drawBeard(easel, ground, beard, hair.colour),
    easel => drawHair(easel, face, hair),
    easel => canvas.kind === 'face' && canvas.part !== 'whole' && veil(easel, ground),
  ]
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
