import type { Ring } from '../../geometry'
import { linearOf, mixLinear, type LinearRgb } from '../../paint/colour'
import type { Landmarks } from '../../skin/landmarks'
import { adultRelief, halfWidth } from '../../skin/relief'
import { tabulate } from '../../skin/table'
import { noise, smoothstep, type Grid } from '../grid'
import { closedCurve, Easel, strokeRing, tapered, type HeadPicture } from './easel'
import { drawFeatures } from './features'
import { drawHair, hairShade } from './hair'

/** The part of the skin frame that a picture of the head shows, mm. */
export const HEAD_BOX = { minX: -104, minY: -136, maxX: 104, maxY: 150 } as const

export interface HeadLook { skinColour: string, hairColour: string, eyes: 'open' | 'closed', landmarks: Landmarks }

const KEY = unit(-0.42, -0.5, 0.76), FILL = unit(0.75, 0.05, 0.55)
const STAGE = '#E9E6E0', CAPE = '#8d8791'

/** Draws an unpainted practice head on a grid: neck, cape, ears, relief under a lamp from up left, features and hair. */
export function drawHead(grid: Grid, look: HeadLook): HeadPicture {
  const easel = new Easel(grid), skin = linearOf(look.skinColour)
  backdrop(easel)
  neckAndCape(easel, skin)
  ears(easel, skin)
  face(easel, skin)
  drawFeatures(easel, look.landmarks, skin, look.eyes)
  drawHair(easel, look.hairColour)
  return easel
}

function unit(x: number, y: number, z: number): [number, number, number] {
  const l = Math.hypot(x, y, z)
  return [x / l, y / l, z / l]
}

function backdrop(easel: Easel): void {
  const stage = linearOf(STAGE)
  for (let p = 0; p < easel.light.length; p++) easel.albedo.set(stage, 3 * p)
}

/** The outline of the skin's silhouette. */
function silhouette(dy = 0): Ring {
  const points: number[] = []
  for (let y = -121; y <= 120.5; y += 0.5) points.push(halfWidth(y), y + dy)
  for (let y = 120.5; y >= -121; y -= 0.5) points.push(-halfWidth(y), y + dy)
  return Float64Array.from(points)
}

function lay(easel: Easel, pixel: number, cover: number, colour: LinearRgb, light: number): void {
  for (let k = 0; k < 3; k++) easel.albedo[3 * pixel + k]! += (colour[k]! - easel.albedo[3 * pixel + k]!) * cover
  easel.light[pixel]! += (light - easel.light[pixel]!) * cover
}

function neckAndCape(easel: Easel, skin: LinearRgb): void {
  const neck = closedCurve([[-43, 60], [-42.5, 95], [-43.5, 120], [-49, 138], [-75, 156], [0, 170], [75, 156], [49, 138], [43.5, 120], [42.5, 95], [43, 60]])
  const shadow = easel.shape(silhouette(17), 7)
  easel.each(easel.shape(neck), (p, cover, x, y) => {
    const u = Math.min(1, Math.abs(x) / 52), round = Math.sqrt(1 - 0.86 * u * u)
    const cords = 0.05 * Math.exp(-(((Math.abs(x) - 20 + (y - 130) * 0.35) / 5) ** 2))
    lay(easel, p, cover, skin, (0.26 + 0.5 * round - 0.1 * x / 50 + cords))
  })
  easel.each(shadow, (p, cover) => {
    if (easel.light[p]! < 0.999) easel.light[p]! *= 1 - 0.52 * cover
  })
  const cape = closedCurve([[-58, 137], [-40, 141.5], [-20, 146.5], [0, 148], [20, 146.5], [40, 141.5], [58, 137], [86, 146], [112, 158], [118, 186], [0, 196], [-118, 186], [-112, 158], [-86, 146]])
  easel.each(easel.shape(cape, 0.2), (p, cover, x, y) => {
    const fold = 0.1 * Math.sin(x * 0.16 + 1.2 * noise(x * 0.05, y * 0.05, 9)) * smoothstep(140, 152, y)
    lay(easel, p, cover, linearOf(CAPE), 0.86 + fold - 0.0018 * x - 0.12 * smoothstep(60, 110, Math.abs(x)))
  })
  for (const s of [0.4, 2.2]) easel.tint(easel.shape(strokeRing([[-60, 137 + s], [-40, 141.5 + s], [-20, 146.5 + s], [0, 148 + s], [20, 146.5 + s], [40, 141.5 + s], [60, 137 + s]], () => 0.7), 0.35), '#5f5966', 0.6)
}

function ears(easel: Easel, skin: LinearRgb): void {
  for (const s of [-1, 1]) {
    const outline = closedCurve([[66, -2], [71, -7], [77, -7.5], [81.5, -2], [82, 8], [80, 19], [77.5, 28], [75.5, 38], [72, 43.5], [68, 42], [64, 30]].map(([x, y]) => [x! * s, y!] as const))
    const warm = mixLinear(skin, [skin[0], skin[1] * 0.62, skin[2] * 0.58], 0.4)
    easel.each(easel.shape(outline), (p, cover, x, y) => {
      const d = (Math.abs(x) - 74) / 8
      lay(easel, p, cover, warm, 0.72 - 0.14 * s + 0.12 * d - 0.1 * smoothstep(20, 44, y))
    })
    const dark: LinearRgb = [skin[0] * 0.34, skin[1] * 0.2, skin[2] * 0.17]
    const groove = [[69.5, -1], [74.5, -3.6], [78, 0.6], [78, 9], [76, 18], [73.5, 26]] as const
    easel.tint(easel.shape(strokeRing(groove.map(([x, y]) => [x * s, y] as const), tapered(1.9)), 0.7), dark, 0.55)
    easel.tint(easel.shape(strokeRing([[70, 6], [74, 7.5], [74, 14], [71, 21]].map(([x, y]) => [x! * s, y!] as const), tapered(3.4)), 1.1), dark, 0.5)
    easel.tint(easel.shape(strokeRing([[69, 12], [70.5, 18], [69, 24]].map(([x, y]) => [x! * s, y!] as const), tapered(3)), 1), dark, 0.5)
  }
}

/** The relief under the lamps. Shadowed folds come from how far the skin lies below its own blurred surface. */
function face(easel: Easel, skin: LinearRgb): void {
  const table = tabulate(adultRelief, { minX: -80, minY: -126, maxX: 80, maxY: 126 })
  const smooth = tabulate(blurredRelief(table.z), { minX: -80, minY: -126, maxX: 80, maxY: 126 })
  const slope = new Float64Array(2)
  const half = unit(KEY[0], KEY[1], KEY[2] + 1)
  easel.each(easel.shape(silhouette()), (p, cover, x, y) => {
    table.slope(x, y, slope)
    const steep = Math.hypot(slope[0]!, slope[1]!), ease = steep > 2.6 ? 2.6 / steep : 1
    // At the silhouette the relief stands upright and its slope means nothing more than "edge".
    slope[0]! *= ease
    slope[1]! *= ease
    const rim = Math.min(1, steep / 6), k = 1 / Math.hypot(slope[0]!, slope[1]!, 1)
    const nx = -slope[0]! * k, ny = -slope[1]! * k, nz = k
    const key = Math.max(0, (nx * KEY[0] + ny * KEY[1] + nz * KEY[2]) * 0.9 + 0.1), fill = Math.max(0, nx * FILL[0] + ny * FILL[1] + nz * FILL[2])
    const cavity = Math.min(1.07, Math.max(0.62, 1 + 0.07 * (table.z(x, y) - smooth.z(x, y))))
    const light = (0.2 + 0.85 * key + 0.16 * fill - 0.05 * ny) * cavity * hairShade(x, y) * (1 - 0.12 * rim * rim)
    const mottle = 1 + 0.035 * (noise(x * 0.22, y * 0.22, 1) - 0.5) + 0.03 * (noise(x * 1.4, y * 1.4, 2) - 0.5)
    lay(easel, p, cover, [skin[0] * mottle, skin[1] * mottle * 0.995, skin[2] * mottle], light)
    easel.skin[p] = Math.max(easel.skin[p]!, cover)
    const h = Math.max(0, nx * half[0] + ny * half[1] + nz * half[2])
    easel.gloss[p]! += cover * 0.045 * h ** 22 * (1 - 0.5 * rim)
  })
}

function blurredRelief(z: (x: number, y: number) => number) {
  return (x: number, y: number) => {
    let sum = 0, weight = 0
    for (let v = -8; v <= 8; v += 4) {
      for (let u = -8; u <= 8; u += 4) {
        const w = Math.exp(-(u * u + v * v) / 60), at = z(x + u, y + v)
        sum += w * at
        weight += w
      }
    }
    return sum / weight
  }
}
