/** The store of what the chair needs besides the application's own files. */
export const KEPT = 'janusform-chair'
