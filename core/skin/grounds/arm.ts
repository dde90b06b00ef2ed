import { boxOf, mirrored, ringOf, type Point, type Ring } from '../../geometry'
import { canvasWords, type ArmCanvas } from '../canvas'
import { chartOf, SAME, type Chart } from '../chart'
import type { NamedLandmark } from '../faces/landmarks'
import { monotoneCubic } from '../profile'
import { cone, halfWidthOfGirth, type ConeSurface } from '../surface'
import { ARM_ZONES, type ArmZone } from '../zones'
import { framed, lazily } from './framing'
import type { Ground } from './ground'

/**
 * Girth at the upper and lower end and length of a grown arm, mm, and the fraction reached at 3, 6, 10, 14
 * and 18 years (common practice, coarse).
 */
const GROWN_ARM = {
  'forearm': { upper: 262, lower: 168, length: 240 },
  'upper arm': { upper: 300, lower: 265, length: 270 },
} as const
const ages = [3, 6, 10, 14, 18]
const girthGrown = monotoneCubic(ages.map((a, i) => [a, [0.6, 0.66, 0.77, 0.9, 1][i]!] as const))
const lengthGrown = monotoneCubic(ages.map((a, i) => [a, [0.56, 0.69, 0.83, 0.95, 1][i]!] as const))
/** Depth of an arm against its width (common practice). */
const FLAT = 0.84

/** The measures that an arm of some age has when nobody measured it. */
export function armMeasures(
  { part }: Pick<ArmCanvas, 'part'>,
  age: number,
): NonNullable<ArmCanvas['measures']> {
  const g = GROWN_ARM[part]
  const tenth = (v: number) => Math.round(v)
  return {
    upper: tenth(g.upper * girthGrown(age)),
    lower: tenth(g.lower * girthGrown(age)),
    length: tenth(g.length * lengthGrown(age)),
  }
}

/** What is wrong with an arm's measures, one sentence each. */
export function armProblems({ upper, lower, length }: NonNullable<ArmCanvas['measures']>): string[] {
  const problems: string[] = []
  for (const [words, value, least, most] of [
    ['girth at the upper end', upper, 90, 600],
    ['girth at the lower end', lower, 80, 600],
    ['length', length, 80, 420],
  ] as const) {
    if (!(value >= least && value <= most))
      problems.push(`An arm's ${words} of ${value} mm cannot be: it is between ${least} and ${most} mm.`)
  }
  if (problems.length === 0 && (lower > upper * 1.3 || upper > lower * 2.4))
    problems.push(`An arm does not go from ${upper} to ${lower} mm of girth: measure both again.`)
  return problems
}

/** A band round an arm between two heights, as far round as a share of half a turn. */
const bandOn =
  (surface: ConeSurface) =>
  (from: number, to: number, round = 0.999): Ring => {
    const points = Array.from({ length: 13 }, (_, i): Point => {
      const y = from + ((to - from) * i) / 12
      return [surface.across(Math.PI * round, y), y]
    })
    return ringOf([...points, ...points.map(mirrored).reverse()])
  }

/** The arm as a picture from the front shows it. */
const frontChart = (surface: ConeSurface): Chart =>
  chartOf(
    (x, y) => {
      const a = surface.angle(x, y)
      // What lies round the back gathers on the edge, where it covers nothing.
      return [surface.halfWidth(y) * Math.sin(Math.max(-Math.PI / 2, Math.min(Math.PI / 2, a))), y]
    },
    ([x, y]) => {
      const t = x / surface.halfWidth(y)
      return Math.abs(t) > 1 ? null : [surface.across(Math.asin(t), y), y]
    },
  )

/** An arm. Throws RangeError with a sentence when it cannot be. */
export function armGround(canvas: ArmCanvas, age: number): Ground {
  const m = canvas.measures ?? armMeasures(canvas, age)
  const wrong = armProblems(m)
  if (wrong.length) throw new RangeError(wrong.join(' '))
  const top = halfWidthOfGirth(m.upper, FLAT)
  const end = halfWidthOfGirth(m.lower, FLAT)
  const surface = cone({ half: (top + end) / 2, growth: (end - top) / m.length, flat: FLAT })
  const y0 = -m.length / 2
  const y1 = m.length / 2
  const thumb = canvas.side === 'left' ? -1 : 1
  const band = bandOn(surface)
  const third = m.length / 3
  const bands: Record<ArmZone, Ring> = {
    'arm': band(y0 + 4, y1 - 4),
    'upper band': band(y0 + 4, y0 + third),
    'middle band': band(y0 + third, y1 - third),
    'lower band': band(y1 - third, y1 - 4),
  }
  const side = (words: string, out: number, y = 0): NamedLandmark => ({
    id: `arm.${words.split(' ')[0]}`,
    side: 'mid',
    words,
    at: [surface.across((out * Math.PI) / 2, y), y],
  })
  const upperWords = canvas.part === 'forearm' ? 'bend of the elbow' : 'top of the arm'
  const lowerWords = canvas.part === 'forearm' ? 'wrist' : 'bend of the elbow'
  const room = 0.2 * m.length
  return {
    kind: 'arm',
    eyesClosed: false,
    canvas,
    words: canvasWords(canvas),
    face: null,
    relief: null,
    arm: { surface, length: m.length, canvas },
    surface,
    zones: ARM_ZONES,
    keepOuts: [],
    extent: [band(y0, y1)],
    zone: id => bands[id as ArmZone] ?? null,
    marks: [
      { id: 'arm.upper', side: 'mid', words: upperWords, at: [0, y0] },
      { id: 'arm.lower', side: 'mid', words: lowerWords, at: [0, y1] },
      { id: 'arm.middle', side: 'mid', words: 'middle of the arm', at: [0, 0] },
      side('thumb side', thumb),
      side('little-finger side', -thumb),
    ],
    box: framed({ minX: -top - 14, maxX: top + 14, minY: y0 - room, maxY: y1 + room }),
    front: frontChart(surface),
    wrap: lazily(() => ({
      chart: SAME,
      box: { ...boxOf(band(y0 - room, y1 + room)), minY: y0 - room, maxY: y1 + room },
    })),
  }
}
