/** A look with the version that a save must name. */
export default defineEventHandler(event => lookOf(event))
