/** The list as it was told last, and of which state of the data. */
let told = { of: '', json: '' }

/** The gallery: what a card shows of each look, from columns alone; the same list is told again as it is. */
export default defineEventHandler(event => {
  const ahead = usePaintAhead()
  // Who looks at the gallery wants its pictures now.
  ahead.begin()
  const of = `${useRepositories().state()} ${ahead.failures}`
  if (told.of !== of)
    told = { of, json: JSON.stringify(ahead.keyed().map(entry => cardOf(entry.look, entry.key))) }
  setHeader(event, 'content-type', 'application/json')
  return told.json
})
