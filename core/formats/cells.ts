/** What a spreadsheet would take for the beginning of a formula (OWASP, CSV injection), escaped or not; in full width too. */
export const FORMULA = /^'*[=+\-@\t\r\uFF1D\uFF0B\uFF0D\uFF20]/

/** A cell without the apostrophe that keeps it from being a formula. */
export const unescaped = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell
