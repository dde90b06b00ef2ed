import { lookSvg } from '#core/formats'

/** The look as an SVG file at true size. */
export default defineEventHandler(event => {
  const { look } = lookOf(event)
  setHeader(event, 'content-disposition', `attachment; filename="${fileName(look.name)}.svg"`)
  setHeader(event, 'content-type', 'image/svg+xml')
  return lookSvg(look, worldsNow()(look))
})
