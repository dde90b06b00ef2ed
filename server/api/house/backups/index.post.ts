/** Writes a backup of everything; returns the backups that are kept. */
export default defineEventHandler(async event => {
  await makeBackup('by-hand')
  setResponseStatus(event, 201)
  return backups()
})
