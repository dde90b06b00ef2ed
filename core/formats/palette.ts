import { parse, formatHex } from 'culori'

/** A colour of a palette. */
export interface Swatch { readonly name: string, readonly colour: string }

/** Colours as a GPL palette (plain text: three numbers and a name a line). */
export function gplOf(title: string, swatches: readonly Swatch[]): string {
  const rows = swatches.map(({ name, colour }) => `${[1, 3, 5].map(i => String(parseInt(colour.slice(i, i + 2), 16)).padStart(3)).join(' ')}\t${name.replace(/[\r\n\t]/g, ' ')}`)
  return ['GIMP Palette', `Name: ${title.replace(/[\r\n]/g, ' ')}`, 'Columns: 6', '#', ...rows, ''].join('\n')
}

const cell = (text: string) => /[",\n\r]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text

/** Colours as CSV with a head line. */
export const csvOf = (swatches: readonly Swatch[]): string => ['name,colour', ...swatches.map(s => `${cell(s.name)},${s.colour}`), ''].join('\r\n')

/**
 * Reads a palette from a GPL file or from CSV with the columns name and colour.
 * @returns the colours, and a note for each line that was passed over; throws RangeError when there is none
 */
export function readPalette(text: string): { swatches: Swatch[], notes: string[] } {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/), gpl = /^gimp palette/i.test(lines[0] ?? ''), swatches: Swatch[] = [], notes: string[] = []
  if (lines.length > 4000) throw new RangeError('The palette has more than 4,000 lines; palettes of up to that are read.')
  const add = (name: string, colour: string | undefined, n: number) => {
    if (colour) swatches.push({ name: name.trim().slice(0, 80) || `colour ${swatches.length + 1}`, colour })
    else notes.push(`Line ${n + 1} holds no colour and was passed over.`)
  }
  if (gpl) {
    lines.forEach((line, n) => {
      if (n === 0 || /^\s*(#|$|name:|columns:)/i.test(line)) return
      const m = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})\s*(.*)$/.exec(line), rgb = m ? [m[1], m[2], m[3]].map(Number) : []
      add(m?.[4] ?? '', m && rgb.every(v => v <= 255) ? `#${rgb.map(v => v.toString(16).padStart(2, '0')).join('')}` : undefined, n)
    })
  } else {
    const rows = lines.map(cells), head = rows[0]?.map(c => c.trim().toLowerCase()) ?? [], name = head.indexOf('name'), colour = head.findIndex(c => c === 'colour' || c === 'color' || c === 'hex')
    if (colour < 0) throw new RangeError('This is no palette: a GPL file begins with "GIMP Palette", and CSV has the columns "name" and "colour".')
    rows.slice(1).forEach((row, i) => {
      if (row.length === 1 && !row[0]!.trim()) return
      const parsed = parse((row[colour] ?? '').trim())
      add(name < 0 ? '' : row[name] ?? '', parsed ? formatHex(parsed) : undefined, i + 1)
    })
  }
  if (swatches.length === 0) throw new RangeError('The palette holds no colour.')
  return { swatches, notes }
}

/** The cells of a line of CSV. */
function cells(line: string): string[] {
  const out: string[] = []
  let text = '', quoted = false
  for (let i = 0; i < line.length; i++) {
    const c = line[i]!
    if (quoted && c === '"' && line[i + 1] === '"') {
      text += '"'
      i++
    } else if (c === '"') quoted = !quoted
    else if (c === ',' && !quoted) {
      out.push(text)
      text = ''
    } else text += c
  }
  return [...out, text]
}
