/** A sheet's shape as JSON. */
export default defineEventHandler((event) => {
  const json = useHouse().stencils.geometry(getRouterParam(event, 'id')!)
  if (!json) throw refusal(404, 'There is no such sheet in the drawer.')
  setHeader(event, 'content-type', 'application/json')
  return json
})
