import { z } from 'zod'

const sent = z.strictObject({
  label: z
    .string()
    .trim()
    .min(1, 'must not be empty')
    .max(60, 'must not be longer than 60 letters')
    .nullable(),
})

/** Names an earlier version, so that it stays for good: `{ label }`; null takes the name away. */
export default defineEventHandler(async event => {
  const read = sent.safeParse(await bodyJson(event))
  if (!read.success) throw refusal(422, schemaSentences(read.error))
  const { revisions } = useRepositories()
  const id = getRouterParam(event, 'id') ?? ''
  if (!revisions.label(id, Number(getRouterParam(event, 'version')), read.data.label))
    throw refusal(404, 'There is no such version of this look.')
  return revisions.list(id)
})
