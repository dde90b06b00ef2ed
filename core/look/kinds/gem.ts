import { z } from 'zod'
import { boxOf, type Point } from '../../geometry'
import { HANDS } from '../../order'
import { linearOf, opacityOf, opticsOfColour } from '../../paint'
import { roundOn } from '../../skin'
import { anchorOf, liesOf } from '../handles'
import { bounded, handlesSchema, linkedTwinSchema, sparkColourSchema, stepBase, tiltSchema } from '../parts'
import { FINGER_MM, whereIs } from '../where'
import { GEM_CUTS, type GemCut, type Print, type StepKind, type World } from './kind'

export const gemSchema = z.strictObject({
  kind: z.literal('gem'),
  ...stepBase,
  twin: linkedTwinSchema,
  points: handlesSchema(16).min(1, 'must have at least one point'),
  cut: z.enum(GEM_CUTS, { error: `must be one of ${GEM_CUTS.join(', ')}` }),
  size: bounded(1, 25),
  /** The way it points, degrees clockwise from up. */
  heading: tiltSchema,
  colour: sparkColourSchema,
  fix: z.enum(['self-adhesive', 'glued'], { error: 'must be self-adhesive or glued' }),
})
export type GemStep = z.infer<typeof gemSchema>

/** Gem colours of the kit (common practice; made-up names). */
export const GEM_COLOURS = [
  { name: 'Clear', colour: '#DCE6EE' },
  { name: 'Rose', colour: '#E46A9A' },
  { name: 'Sea', colour: '#2F9FB5' },
  { name: 'Amber', colour: '#E3962E' },
  { name: 'Moss', colour: '#3E9A5B' },
  { name: 'Violet', colour: '#7B4CB8' },
  { name: 'Night', colour: '#26305E' },
  { name: 'Ruby', colour: '#B81F38' },
] as const

/** A drop's round end: its radius, and how far behind the middle it lies, as shares of half its size. */
const DROP = { radius: 0.6, back: 0.34 } as const

/** Distance from the middle of a gem to its rim in a direction (degrees from the way it points), as a share of half its size. */
export function rimOf(cut: GemCut, degrees: number): number {
  const a = Math.abs(((degrees + 540) % 360) - 180)
  if (cut === 'round') return 1
  if (cut === 'drop') {
    // A round end and two straight flanks that touch it, up to the tip.
    const rad = (a * Math.PI) / 180
    const flank = Math.asin(DROP.radius / (1 + DROP.back))
    const touch = Math.atan2(DROP.radius * Math.cos(flank), DROP.radius * Math.sin(flank) - DROP.back)
    return rad < touch
      ? Math.sin(flank) / Math.sin(rad + flank)
      : -DROP.back * Math.cos(rad) + Math.sqrt(DROP.radius ** 2 - (DROP.back * Math.sin(rad)) ** 2)
  }
  // A star of five points: straight edges from point to notch.
  const k = Math.PI / 5
  const t = Math.abs((((((degrees * Math.PI) / 180) % (2 * k)) + 3 * k) % (2 * k)) - k)
  const inner = 0.46
  const x = Math.cos(k) * inner
  const y = Math.sin(k) * inner
  return y / (Math.sin(t) * (1 - x) + Math.cos(t) * y)
}

/** The gems of a step with its twin's, on the skin. */
export const gemsOf = (
  step: GemStep,
  { ground }: Pick<World, 'ground'>,
): { at: Point; heading: number; twin: boolean }[] =>
  liesOf(step, ground).flatMap(lie =>
    lie.points.map(at => ({
      at,
      heading: lie.mirror ? -step.heading : lie.twin ? step.heading + 180 : step.heading,
      twin: lie.twin,
    })),
  )

export const gemKind: StepKind<GemStep> = {
  kind: 'gem',
  words: 'gems',
  schema: gemSchema,
  sheets: () => [],
  paints: () => [],
  prints(step, world) {
    const { surface } = world.ground
    const colour = linearOf(step.colour.colour)
    const optics = opticsOfColour('#120C10')
    return gemsOf(step, world).flatMap(({ at, heading }): Print[] => {
      const rim = (k: number) => (d: number) => (step.size / 2) * rimOf(step.cut, d - heading) * k
      const gem: Print = {
        rings: [roundOn(surface, at, rim(1), 60)],
        spread: null,
        paints: [{ optics: opticsOfColour(step.colour.colour), finish: 'metallic' }],
        axis: null,
        strips: null,
        film: 3,
        opacity: opacityOf(3),
        softness: 0,
        grain: 0,
        bits: { kind: 'gem', cut: step.cut, colour, at, size: step.size, heading },
      }
      // The shade that it throws, down and to the right of the lamp.
      return [
        {
          ...gem,
          rings: [roundOn(surface, [at[0] + 0.06 * step.size, at[1] + 0.12 * step.size], rim(1.05), 40)],
          paints: [{ optics, finish: 'matte' }],
          film: 0.55,
          opacity: 0.3,
          softness: 0.06 * step.size,
          bits: undefined,
        },
        gem,
      ]
    })
  },
  outlines: () => [],
  lines(step, world) {
    const w = whereIs(world.ground, anchorOf(step.points), null, world.finger ?? FINGER_MM)
    const n = gemsOf(step, world).length
    return [
      {
        label: 'gems',
        text: `${n} ${step.colour.name.toLowerCase()} ${step.cut === 'round' ? 'round' : step.cut}, ${step.size} mm, ${step.fix}`,
      },
      {
        label: 'where',
        text: `${[w.landmark, w.midline].join('; ')}${step.twin.rule === 'none' ? '' : ', and its twin'}`,
      },
    ]
  },
  effort: (step, world) => ({ seconds: HANDS.gem * gemsOf(step, world).length, loads: 0 }),
  fields: [
    { control: 'gem', path: '', label: 'Gems' },
    { control: 'handles', path: 'points', label: 'Where' },
    { control: 'twin', path: 'twin', label: 'Twin' },
  ],
  anchor: step => anchorOf(step.points),
  tool: () => 'tweezers',
  paintPaths: () => [],
  boxes: (step, world) =>
    gemsOf(step, world).map(g => boxOf(roundOn(world.ground.surface, g.at, step.size / 2, 8))),
  dries: step => (step.fix === 'glued' ? 30 : 0),
  lays: () => [],
  pointers: (step, world) =>
    gemsOf(step, world).map(g => ({
      at: g.at,
      heading: step.cut === 'drop' ? g.heading : null,
      size: step.size,
      twin: g.twin,
    })),
}
