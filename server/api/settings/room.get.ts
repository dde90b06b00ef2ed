/** The room in which people are painted, as it was set for the house; null when nobody did. */
export default defineEventHandler(event => {
  // Nuxt answers null with 204, and pages want a value.
  setHeader(event, 'content-type', 'application/json')
  return JSON.stringify(useRepositories().settings.room())
})
