/** What a spreadsheet would take for the beginning of a formula (OWASP, CSV injection), escaped or not. */
export const FORMULA = /^'*[=+\-@\t\r]/

/** A cell without the apostrophe that keeps it from being a formula. */
export const unescaped = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell
