/** How paintings went, the newest first. */
export default defineEventHandler(() => useRepositories().runs.all())
