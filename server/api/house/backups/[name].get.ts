import { createReadStream, statSync } from 'node:fs'

/** A backup as a file. */
export default defineEventHandler(event => {
  const name = getRouterParam(event, 'name') ?? ''
  const file = backupFile(name)
  if (!file) throw refusal(404, 'There is no such backup.')
  setHeader(event, 'content-type', 'application/zip')
  setHeader(event, 'content-length', statSync(file).size)
  setHeader(event, 'content-disposition', `attachment; filename="janusform-${name}"`)
  return sendStream(event, createReadStream(file))
})
