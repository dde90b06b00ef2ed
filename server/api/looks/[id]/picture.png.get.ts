/** The painted face. `?px=` is its fineness in px/mm, 0.5 to 12. */
export default defineEventHandler(event => {
  const px = Number(getQuery(event).px ?? 1.2)
  if (!(px >= 0.5 && px <= 12))
    throw refusal(400, 'The fineness "px" must be a number from 0.5 to 12 (px/mm).')
  const { look, version } = lookOf(event)
  const tag = `"${look.id}-${version}-${px}-${kitStamp()}"`
  setHeader(event, 'etag', tag)
  setHeader(event, 'cache-control', 'no-cache')
  if (getRequestHeader(event, 'if-none-match') === tag) return sendNoContent(event, 304)
  setHeader(event, 'content-type', 'image/png')
  return (
    recalled<Uint8Array>(tag) ??
    inTurn(event, () => remembered(tag, () => lookPng(look, worldsNow()(look), px)))
  )
})
