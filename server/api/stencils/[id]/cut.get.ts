/** Sends the cut file to the simulated cutter. `?as=dxf` cuts from the DXF, else from the SVG. */
export default defineEventHandler(event => {
  const { about, geometry } = sheetOf(event)
  const as = getQuery(event).as === 'dxf' ? 'dxf' : 'svg'
  return jobFor(event, 'cut', { geometry, name: about.name, as })
})
