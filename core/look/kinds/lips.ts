import { z } from 'zod'
import { boxOf, polygonArea, regionOf, type Point, type Ring } from '../../geometry'
import { HANDS } from '../../order'
import { opacityOf } from '../../paint'
import { lipRings } from '../../skin'
import { laidPaint } from '../load'
import { paintRefSchema, stepBase } from '../parts'
import type { Print, StepKind, World } from './kind'

export const lipsSchema = z.strictObject({
  kind: z.literal('lips'),
  ...stepBase,
  which: z.enum(['both', 'upper', 'lower'], { error: 'must be both, upper or lower' }),
  colours: z
    .array(paintRefSchema)
    .min(1, 'must have at least one colour')
    .max(2, 'must have at most two colours'),
  tool: z.enum(['cotton bud', 'own brush'], { error: 'must be cotton bud or own brush' }),
})
export type LipsStep = z.infer<typeof lipsSchema>

/** Film that a cotton bud leaves on lips, mg/cm2 (common practice). */
const FILM = 1.9

/** The lips of a step as rings on the skin; none on an arm. */
export function lipsRings({ which }: Pick<LipsStep, 'which'>, { ground }: Pick<World, 'ground'>): Ring[] {
  const lips = ground.face && lipRings(ground.face)
  return lips ? (which === 'both' ? [lips.upper, lips.lower] : [lips[which]]) : []
}

const area = (step: LipsStep, world: World): number =>
  regionOf(lipsRings(step, world), 'nonzero').reduce((s, q) => s + polygonArea(q), 0)

export const lipsKind: StepKind<LipsStep> = {
  kind: 'lips',
  words: 'lips',
  schema: lipsSchema,
  sheets: () => [],
  paints: step => step.colours,
  prints(step, world) {
    const rings = regionOf(lipsRings(step, world), 'nonzero').flatMap(q => [q.outer, ...q.holes])
    const middle: Point = world.ground.face?.landmarks.mid.mouth ?? [0, 0]
    const corner = world.ground.face?.landmarks.right.mouthCorner ?? [20, 0]
    return rings.length
      ? [
          {
            rings,
            spread: null,
            paints: step.colours.map(c => laidPaint(c, world)),
            axis:
              step.colours.length > 1
                ? { kind: 'out', from: middle, reach: Math.max(5, corner[0] - middle[0]) }
                : null,
            strips: null,
            film: FILM,
            opacity: opacityOf(FILM),
            softness: 0.4,
            grain: 0.12,
          } satisfies Print,
        ]
      : []
  },
  outlines: () => [],
  lines: (step, { ground }) => [
    {
      label: 'where',
      text: ground.face
        ? step.which === 'both'
          ? 'both lips'
          : `${step.which} lip`
        : `there are none on a ${ground.words}`,
    },
    { label: 'colour', text: step.colours.map(c => c.name).join(', outward to ') },
    {
      label: 'with',
      text: `${step.tool === 'cotton bud' ? 'a cotton bud' : "the person's own brush"}, never shared`,
    },
  ],
  effort: () => ({ seconds: HANDS.lips, loads: 1 }),
  fields: [
    { control: 'lips', path: '', label: 'Lips' },
    { control: 'paints', path: 'colours', label: 'Colours, from the middle out' },
  ],
  anchor: () => null,
  tool: step => step.tool,
  paintPaths: step => step.colours.map((_, i) => ['colours', i]),
  boxes: (step, world) => lipsRings(step, world).map(r => boxOf(r)),
  dries: () => 45,
  lays: (step, world) => [{ refs: step.colours, mg: (area(step, world) / 100) * FILM }],
  pointers: () => [],
}
