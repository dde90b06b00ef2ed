/** The store of what the chair needs besides the application's own files. */
export const KEPT = 'janusform-chair'

/** What the chair reads from the server: short texts, and the gallery's picture. */
export const NEEDED =
  /^\/api\/(looks\/[\w-]+(\/card\.png)?|stencils|stencils\/shapes|paints|readings|sparkles|ways|settings\/room)$/
