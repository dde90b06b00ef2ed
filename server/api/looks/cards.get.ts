/** The cards of some looks: `?ids=a,b,c`. A page asks for those whose pictures are still to come. */
export default defineEventHandler(event => {
  const ids = new Set(String(getQuery(event).ids ?? '').split(','))
  return usePaintAhead()
    .keyed()
    .filter(({ look }) => ids.has(look.id))
    .map(({ look, key }) => cardOf(look, key))
})
