/** The kit's paints. */
export default defineEventHandler(() => useRepositories().paints.all())
