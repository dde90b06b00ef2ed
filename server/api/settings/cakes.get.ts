/** The strip cakes that are being tried side by side. */
export default defineEventHandler(() => useRepositories().settings.cakes())
