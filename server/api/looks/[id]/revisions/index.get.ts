/** Every version of a look that was saved, the newest first, without the looks themselves. */
export default defineEventHandler(event => {
  const { look } = lookOf(event)
  return useRepositories()
    .looks.revisions(look.id)
    .map(({ version, savedAt, look: { name, steps } }) => ({ version, savedAt, name, steps: steps.length }))
    .reverse()
})
