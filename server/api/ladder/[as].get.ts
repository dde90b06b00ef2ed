/** The bridge ladder as a cut file (svg, dxf) or a 1:1 print (pdf). */
export default defineEventHandler(async event => {
  const as = getRouterParam(event, 'as')
  if (as !== 'svg' && as !== 'dxf' && as !== 'pdf') throw refusal(404, 'The ladder comes as svg, dxf or pdf.')
  const file = await jobFor(event, 'ladder', as)
  setHeader(
    event,
    'content-disposition',
    `${as === 'pdf' ? 'inline' : 'attachment'}; filename="bridge-ladder.${as}"`,
  )
  setHeader(event, 'content-type', { svg: 'image/svg+xml', dxf: 'image/vnd.dxf', pdf: 'application/pdf' }[as])
  return file
})
