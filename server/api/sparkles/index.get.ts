/** Glitters and gems of the painter's own. */
export default defineEventHandler(() => useRepositories().sparkles.all())
