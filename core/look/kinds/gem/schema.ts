import { z } from 'zod'
import {
  bounded,
  handlesSchema,
  linkedTwinSchema,
  sparkColourSchema,
  stepBase,
  tiltSchema,
} from '../../document'
import { GEM_CUTS } from '../print'

/** Most gems of a step. */
export const MOST_GEMS = 16
/** Least and most size of a gem, mm. */
export const GEM_SIZE = [1, 25] as const

export const gemSchema = z.strictObject({
  kind: z.literal('gem'),
  ...stepBase,
  twin: linkedTwinSchema,
  points: handlesSchema(MOST_GEMS).min(1, 'must have at least one point'),
  cut: z.enum(GEM_CUTS, { error: `must be one of ${GEM_CUTS.join(', ')}` }),
  size: bounded(...GEM_SIZE),
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
