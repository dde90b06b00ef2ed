/** How paintings went, the newest first. */
export default defineEventHandler(event => {
  setHeader(event, 'content-type', 'application/json')
  return useRepositories().runs.listed()
})
