/** The shapes of several sheets: `?ids=a,b,c`. Unknown ids are passed over. */
export default defineEventHandler(event => {
  const { stencils } = useRepositories()
  const ids = String(getQuery(event).ids ?? '')
    .split(',')
    .filter(Boolean)
    .slice(0, 300)
  setHeader(event, 'content-type', 'application/json')
  return `{${ids
    .flatMap(id => {
      const json = stencils.geometry(id)
      return json ? [`${JSON.stringify(id)}:${json}`] : []
    })
    .join(',')}}`
})
