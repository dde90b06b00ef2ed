import type { Point } from '../geometry'
import { kindOf, stepPrints, type Step, type World } from '../look'
import { linearOfByte, LIGHTS, srgbByte } from '../paint'
import { movedBy, zoneAt, zoneWords, type Expression, type Ground, type Moved } from '../skin'
import type { HeadPicture } from './head'
import { lightOn } from './head'
import { maskOf } from './printMask'

/** Light that a fold takes or gives, at most. */
const LEAST_LIGHT = 0.62
const MOST_LIGHT = 1.3

/** How much more or less light the moved skin has than the calm skin at a point of it, 1 = as much. */
function lightChange({ surface }: Ground, { swell }: Moved): (at: Point) => number {
  const n = new Float64Array(3)
  const h = 0.6
  return ([x, y]) => {
    const sx = (swell(x + h, y) - swell(x - h, y)) / (2 * h)
    const sy = (swell(x, y + h) - swell(x, y - h)) / (2 * h)
    if (Math.abs(sx) + Math.abs(sy) < 1e-4) return 1
    surface.normal(x, y, n)
    const before = lightOn(LIGHTS.lamp, n[0]!, n[1]!, n[2]!).light
    const nx = n[0]! / n[2]! - sx
    const ny = n[1]! / n[2]! - sy
    const l = 1 / Math.hypot(nx, ny, 1)
    const after = lightOn(LIGHTS.lamp, nx * l, ny * l, l).light
    return Math.min(MOST_LIGHT, Math.max(LEAST_LIGHT, after / before))
  }
}

/**
 * The finished picture of a calm face, brought to an expression: every point of the skin goes where it goes, with
 * all that is painted on it, and is lit as it stands there.
 * @param rgba the finished picture, four sRGB bytes a pixel
 * @throws RangeError when the ground has no face
 */
export function expressed(
  rgba: Uint8ClampedArray,
  { grid }: Pick<HeadPicture, 'grid'>,
  ground: Ground,
  expression: Expression,
): Uint8ClampedArray<ArrayBuffer> {
  // A practice board has a face that is printed on it.
  if (!ground.face || !ground.relief) throw new RangeError('Only a face has an expression.')
  const moved = movedBy(expression, ground.face)
  const change = lightChange(ground, moved)
  const { width, height, pxPerMm, x0, y0 } = grid
  const out = new Uint8ClampedArray(rgba)
  for (let j = 0; j < height; j++) {
    for (let i = 0; i < width; i++) {
      const q: Point = [x0 + (i + 0.5) / pxPerMm, y0 + (j + 0.5) / pxPerMm]
      const p = moved.from(q)
      const light = change(p)
      if (light === 1 && Math.abs(p[0] - q[0]) + Math.abs(p[1] - q[1]) < 1e-3) continue
      const u = Math.min(width - 1.001, Math.max(0, (p[0] - x0) * pxPerMm - 0.5))
      const v = Math.min(height - 1.001, Math.max(0, (p[1] - y0) * pxPerMm - 0.5))
      const a = Math.floor(u)
      const b = Math.floor(v)
      const s = u - a
      const t = v - b
      const o = 4 * (b * width + a)
      const low = o + 4 * width
      for (let k = 0; k < 3; k++) {
        const near = linearOfByte(rgba[o + k]!) * (1 - s) + linearOfByte(rgba[o + 4 + k]!) * s
        const far = linearOfByte(rgba[low + k]!) * (1 - s) + linearOfByte(rgba[low + 4 + k]!) * s
        out[4 * (j * width + i) + k] = srgbByte((near * (1 - t) + far * t) * light)
      }
    }
  }
  return out
}

/** A dry film cracks where the skin is drawn together by more than this (common practice, an estimate). */
const CRACKS_AT = 0.12
/** From this share of a step on it is told. */
const TOLD_FROM = 0.08
/** A motif that changes by more than this reads as another (an estimate). */
const READS_TO = 0.2

/** What an expression does to one step. */
export interface Strained {
  readonly stepId: string
  /** Share of its print that is drawn together so far that it cracks, 0 to 1. */
  readonly cracks: number
  /** Where most of that lies, in words. */
  readonly where: string
  /** Mean of the least stretch over its print, 1 = as it was. */
  readonly drawn: number
  /** Whether it still reads as what it is. */
  readonly reads: boolean
}

/**
 * What an expression does to each step that is painted, worst first; those that hardly move are left out.
 * @param head a coarse picture of the head, to find what each print covers
 */
export function strainedBy(
  expression: Expression,
  steps: readonly Step[],
  world: World,
  head: HeadPicture,
): Strained[] {
  const { face, relief } = world.ground
  if (!face || !relief) return []
  const { stretch } = movedBy(expression, face)
  const { grid } = head
  const list = steps.flatMap((step): Strained[] => {
    let all = 0
    let cracked = 0
    let least = 0
    const places = new Map<string, number>()
    for (const print of stepPrints(step, world)) {
      // Gems and glitter go along as they are, and wiping leaves nothing that could crack.
      if (print.particles || print.works) continue
      const mask = maskOf(print, head)
      for (let n = 0; n < mask.data.length; n++) {
        if (mask.data[n]! < 0.5) continue
        const at: Point = [
          grid.x0 + (mask.i0 + (n % mask.width) + 0.5) / grid.pxPerMm,
          grid.y0 + (mask.j0 + Math.floor(n / mask.width) + 0.5) / grid.pxPerMm,
        ]
        const drawn = stretch(at).least
        all++
        least += drawn
        if (drawn > 1 - CRACKS_AT) continue
        cracked++
        const zone = zoneAt(world.ground, at)
        const words = zone && zone !== 'face' ? zoneWords(zone) : 'face'
        places.set(words, (places.get(words) ?? 0) + 1)
      }
    }
    if (!all || cracked / all < TOLD_FROM) return []
    const [where] = [...places].sort((a, b) => b[1] - a[1])[0]!
    const drawn = least / all
    return [{ stepId: step.id, cracks: cracked / all, where, drawn, reads: drawn > 1 - READS_TO }]
  })
  return list.sort((a, b) => b.cracks - a.cracks)
}

/** What an expression does to a step, as a sentence. */
export const strainWords = ({ cracks, where, drawn, reads }: Strained, step: Step): string =>
  `${step.label || kindOf(step).words}: ${Math.round(100 * cracks)} % may crack, most on the ${where}. ` +
  `It shrinks by ${Math.round(100 * (1 - drawn))} % and ${reads ? 'still reads' : 'no longer reads as it was laid'}.`
