/** How the painter works: what was chosen. */
export default defineEventHandler(() => useRepositories().ways.all())
