import { z } from 'zod'
import {
  ARM_PARTS,
  armProblems,
  BUILDS,
  FACE_PARTS,
  tapeProblems,
  traitProblems,
  TRAITS,
  type Canvas,
  type FaceTraits,
  type TapeMeasures,
} from '../../skin'
import { bounded, pointSchema } from './parts'

const mm = bounded(0, 1000)
const builds = z.enum(BUILDS, { error: `must be ${BUILDS.join(' or ')}` })

/** Adds each sentence of a check as an issue of its own. */
function said<T>(problems: (value: T) => string[]) {
  return (value: T, context: z.RefinementCtx) =>
    problems(value).forEach(message =>
      context.addIssue({ code: 'custom', message: `cannot be. ${message.replace(/\.$/, '')}` }),
    )
}

const tapeSchema = z
  .strictObject({ temples: mm, hairlineToBrow: mm, browToChin: mm, innerEyes: mm, mouth: mm })
  .superRefine(said<TapeMeasures>(tapeProblems))
const traitsSchema = z
  .partialRecord(z.enum(TRAITS), bounded(-100, 1000), { error: 'must name traits of a face' })
  .superRefine(said<Partial<FaceTraits>>(traitProblems))
const armMeasuresSchema = z.strictObject({ upper: mm, lower: mm, length: mm }).superRefine(said(armProblems))

/** What a look is painted on, as a file says it. */
export const canvasSchema = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({
      kind: z.literal('face'),
      build: builds,
      part: z.enum(FACE_PARTS, { error: `must be one of ${FACE_PARTS.join(', ')}` }),
      measures: tapeSchema.nullable(),
      nudges: z.record(
        z.string().regex(/^(left|right|mid)\.[a-zA-Z]{3,20}$/, 'must name landmarks such as left.browPeak'),
        pointSchema,
      ),
      traits: traitsSchema.optional(),
    }),
    z.strictObject({
      kind: z.literal('arm'),
      part: z.enum(ARM_PARTS, { error: `must be ${ARM_PARTS.join(' or ')}` }),
      side: z.enum(['left', 'right'], { error: 'must be left or right' }),
      measures: armMeasuresSchema.nullable(),
    }),
    z.strictObject({ kind: z.literal('board'), build: builds }),
  ],
  { error: 'must be of a known kind: face, arm, board' },
) satisfies z.ZodType<Canvas>
