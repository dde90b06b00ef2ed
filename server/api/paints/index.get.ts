/** The kit's paints. */
export default defineEventHandler(() => useHouse().paints.all())
