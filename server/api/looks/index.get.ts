/** The gallery: what a card shows of each look, from columns alone. */
export default defineEventHandler(() => {
  const ahead = usePaintAhead()
  // Who looks at the gallery wants its pictures now.
  ahead.begin()
  return ahead.keyed().map(entry => cardOf(entry.look, entry.key))
})
