import { z } from 'zod'
import { idSchema, textSchema } from '../../../../core/look'
import { FamilyFull, TryRefused } from '../../../db/tries'

const sentSchema = z.strictObject({
  why: textSchema(120),
  begins: z.discriminatedUnion(
    'wipe',
    [
      z.strictObject({ wipe: z.literal('nothing') }),
      z.strictObject({ wipe: z.literal('all') }),
      z.strictObject({ wipe: z.literal('step'), step: idSchema }),
    ],
    { error: 'must be nothing, all or a step' },
  ),
})

/** Makes another try of a look: `{ why, begins }`, where `begins` says what is wiped off first. */
export default defineEventHandler(async event => {
  const { look } = lookOf(event)
  const sent = sentSchema.safeParse(await bodyJson(event))
  if (!sent.success) throw refusal(422, schemaSentences(sent.error))
  const { why, begins } = sent.data
  if (begins.wipe === 'step' && !look.steps.some(s => s.id === begins.step))
    throw refusal(422, 'The step that is to be wiped off is not in the look any more.')
  try {
    const made = useRepositories().tries.add(look, why.trim(), begins, now())
    usePaintAhead().soon()
    setResponseStatus(event, 201)
    return made
  } catch (error) {
    if (error instanceof FamilyFull || error instanceof TryRefused) throw refusal(422, error.message)
    throw error
  }
})
