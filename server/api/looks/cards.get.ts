/** The cards of some looks: `?ids=a,b,c`. A page asks for those whose pictures are still to come. */
export default defineEventHandler(event => {
  const ids = String(getQuery(event).ids ?? '')
    .split(',')
    .slice(0, 100)
  return usePaintAhead()
    .keyedOf(ids)
    .map(({ look, key }) => cardOf(look, key))
})
