import { parse, formatHex } from 'culori'
import Papa from 'papaparse'
import { FORMULA, unescaped } from './cells'

/** A colour of a palette. */
export interface Swatch {
  readonly name: string
  readonly colour: string
}

/** Colours as a GPL palette (plain text: three numbers and a name a line). */
export function gplOf(title: string, swatches: readonly Swatch[]): string {
  const rows = swatches.map(
    ({ name, colour }) =>
      `${[1, 3, 5].map(i => String(parseInt(colour.slice(i, i + 2), 16)).padStart(3)).join(' ')}\t${name.replace(/[\r\n\t]/g, ' ')}`,
  )
  return ['GIMP Palette', `Name: ${title.replace(/[\r\n]/g, ' ')}`, 'Columns: 6', '#', ...rows, ''].join('\n')
}

/** Colours as CSV with a head line; a name that begins like a formula gets an apostrophe, as spreadsheets do. */
export const csvOf = (swatches: readonly Swatch[]): string =>
  Papa.unparse(
    { fields: ['name', 'colour'], data: swatches.map(s => [s.name, s.colour]) },
    { newline: '\r\n', escapeFormulae: FORMULA },
  ) + '\r\n'

/** Letters of a palette at most. */
const MOST_TEXT = 1_000_000
/** Letters of the longest colour that is read: longer ones are none, and reading them takes ever longer. */
const MOST_LETTERS = 60

/** A colour in any notation of CSS, as hex; undefined for what is none, or is one without numbers. */
function colourIn(cell: string): string | undefined {
  const text = cell.trim()
  const parsed = text.length > MOST_LETTERS ? undefined : parse(text)
  if (!parsed) return undefined
  const { mode: _mode, alpha: _alpha, ...channels } = parsed as unknown as Record<string, unknown>
  const numbers = Object.values(channels)
  return numbers.length >= 3 && numbers.every(Number.isFinite) ? formatHex(parsed) : undefined
}

/**
 * Reads a palette from a GPL file or from CSV with the columns name and colour.
 * @returns the colours, and a note for each line that was passed over; throws RangeError when there is none
 */
export function readPalette(text: string): { swatches: Swatch[]; notes: string[] } {
  if (text.length > MOST_TEXT)
    throw new RangeError('The palette is longer than any palette, and was not read.')
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/)
  const gpl = /^gimp palette/i.test(lines[0] ?? '')
  const swatches: Swatch[] = []
  const notes: string[] = []
  if (lines.length > 4000)
    throw new RangeError('The palette has more than 4,000 lines; palettes of up to that are read.')
  const add = (name: string, colour: string | undefined, n: number) => {
    if (colour) swatches.push({ name: name.trim().slice(0, 80) || `colour ${swatches.length + 1}`, colour })
    else notes.push(`Line ${n + 1} holds no colour and was passed over.`)
  }
  if (gpl) {
    lines.forEach((line, n) => {
      if (n === 0 || /^\s*(#|$|name:|columns:)/i.test(line)) return
      const m = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})\s*(.*)$/.exec(line)
      const rgb = m ? [m[1], m[2], m[3]].map(Number) : []
      add(
        m?.[4] ?? '',
        m && rgb.every(v => v <= 255)
          ? `#${rgb.map(v => v.toString(16).padStart(2, '0')).join('')}`
          : undefined,
        n,
      )
    })
  } else {
    const { data: rows } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
    const head = rows[0]?.map(c => c.trim().toLowerCase()) ?? []
    const name = head.indexOf('name')
    const colour = head.findIndex(c => c === 'colour' || c === 'color' || c === 'hex')
    if (colour < 0)
      throw new RangeError(
        'This is no palette: a GPL file begins with "GIMP Palette", and CSV has the columns "name" and "colour".',
      )
    rows.slice(1).forEach((row, i) => {
      add(name < 0 ? '' : unescaped(row[name] ?? ''), colourIn(row[colour] ?? ''), i + 1)
    })
  }
  if (swatches.length === 0) throw new RangeError('The palette holds no colour.')
  return { swatches, notes }
}
