import { sheetFromJson, sheetSvg } from '#core/formats'

/** A clean drawing of a sheet, made from its geometry alone: nothing of an uploaded file is passed on. */
export default defineEventHandler((event) => {
  const { stencils } = useHouse(), id = getRouterParam(event, 'id')!, meta = stencils.find(id), json = stencils.geometry(id)
  if (!meta || !json) throw refusal(404, 'There is no such sheet in the drawer.')
  setHeader(event, 'content-type', 'image/svg+xml')
  setHeader(event, 'cache-control', 'max-age=60')
  return sheetSvg(sheetFromJson(JSON.parse(json)), meta.name)
})
