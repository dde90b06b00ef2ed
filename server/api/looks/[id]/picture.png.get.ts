/** The painted face. `?px=` is its fineness in px/mm, 0.5 to 12. */
export default defineEventHandler(async event => {
  const px = Number(getQuery(event).px ?? 1.2)
  if (!(px >= 0.5 && px <= 12))
    throw refusal(400, 'The fineness "px" must be a number from 0.5 to 12 (px/mm).')
  const { sent, key } = lookSentOf(event)
  const tag = `"${key}-${px}"`
  setHeader(event, 'etag', tag)
  setHeader(event, 'cache-control', 'no-cache')
  if (getRequestHeader(event, 'if-none-match') === tag) return sendNoContent(event, 304)
  const png = paintedPngs.get(tag) ?? (await jobFor(event, 'picture', { look: sent, px }))
  paintedPngs.set(tag, png)
  setHeader(event, 'content-type', 'image/png')
  return png
})
