/** How files of pictures begin. */
const STARTS = [
  [0xff, 0xd8, 0xff],
  [0x89, 0x50, 0x4e, 0x47],
] as const
/** The largest picture that is kept, bytes: pages make them small before they are sent. */
const MOST = 1_500_000

/** Keeps a picture of what was painted, on this computer only; an empty body takes it away. */
export default defineEventHandler(async event => {
  const { runs } = useRepositories()
  const id = getRouterParam(event, 'id')!
  if (!runs.find(id)) throw refusal(404, 'There is no such run.')
  const bytes = await bodyBytes(event)
  if (bytes.length > MOST) throw refusal(413, 'The picture is larger than 1.5 MB.')
  if (bytes.length && !STARTS.some(start => start.every((b, i) => bytes[i] === b)))
    throw refusal(422, 'This is no picture: JPEG and PNG are kept.')
  runs.setPicture(id, bytes.length ? bytes : null)
  return { kept: bytes.length > 0 }
})
