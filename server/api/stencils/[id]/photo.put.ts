/** A small picture's largest size, bytes. */
const MOST = 700_000

/** Keeps the photograph that a sheet was read from: a small JPEG. */
export default defineEventHandler(async event => {
  const { about } = sheetOf(event)
  const jpeg = await bodyBytes(event)
  const isJpeg = jpeg.length > 4 && jpeg[0] === 0xff && jpeg[1] === 0xd8 && jpeg[2] === 0xff
  if (!isJpeg) throw refusal(422, 'The picture of a stencil must be a JPEG.')
  if (jpeg.length > MOST) throw refusal(413, `The picture of a stencil may have up to ${MOST / 1000} kB.`)
  useRepositories().stencils.keepPhoto(about.id, jpeg)
  return useRepositories().stencils.find(about.id)
})
