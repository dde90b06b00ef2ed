/** The look's last picture of the gallery, at once; 404 when none has been painted yet. */
export default defineEventHandler(event => {
  const found = useRepositories().pictures.find(getRouterParam(event, 'id') ?? '')
  if (!found) throw refusal(404, 'The picture of this look has not been painted yet.')
  const tag = `"${found.key}"`
  setHeader(event, 'etag', tag)
  // An address that names what was painted never shows anything else.
  setHeader(
    event,
    'cache-control',
    getQuery(event).key === found.key ? 'private, max-age=31536000, immutable' : 'no-cache',
  )
  if (getRequestHeader(event, 'if-none-match') === tag) return sendNoContent(event, 304)
  setHeader(event, 'content-type', 'image/png')
  return found.png
})
