/** Looks that were deleted, the last one first. */
export default defineEventHandler(() => useRepositories().looks.deleted())
