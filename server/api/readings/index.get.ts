/** The painter's readings of the bridge ladder and of the own tools. */
export default defineEventHandler(() => useRepositories().readings.all())
