import { describe, expect, it } from 'vitest'
import { polygonArea } from '#core/geometry'
import { cut } from '#core/cutter'
import { sheetSvg } from '#core/formats'
import { analyse, readSheetFile, readSvg } from '#core/stencil'
import { dxf, hostileFiles, line, ragged, roundOf } from '../../hostile'
import { hostileSheets } from '../../hostileFields'

/** What reading a file says: nothing when it was read. */
function saidOf(file: string): string | null {
  try {
    readSheetFile(file)
    return null
  } catch (error) {
    // Any other kind of error is a fault of the reader.
    if (!(error instanceof RangeError)) throw error
    return error.message
  }
}

describe('hostile and unlucky files', () => {
  // The runner's own limit of time catches a file that stalls the reader.
  it.each(hostileFiles().map(f => [f.name, f.file] as const))('%s', (_name, file) => {
    const said = saidOf(file)
    if (said !== null) expect(said).toMatch(/^[A-Z].{15,240}\.$/s)
    expect(said ?? '').not.toMatch(/call stack|Invalid (array|string)/)
  })

  it('with a hostile number in every field end in a sentence, or can be measured', () => {
    for (const { name, file } of hostileSheets()) {
      const said = saidOf(file)
      if (said !== null) expect(said, name).toMatch(/^[A-Z].{15,240}\.$/s)
      else if (readSheetFile(file).ask === null) analyse(readSheetFile(file).sheet)
    }
  })

  it('are bounded at every size on the way there', () => {
    for (const much of [0.01, 0.1])
      for (const { file } of hostileFiles(much)) expect(saidOf(file) ?? '').not.toMatch(/call stack|Invalid/)
  })

  it('a circle of 6,000 points is measured like one of few', () => {
    const many = analyse(readSvg(roundOf(6000)).sheet)
    const few = analyse(readSvg(roundOf(400)).sheet)
    expect(many.slot.width).toBeCloseTo(few.slot.width, 1)
    expect(many.margin.width).toBeCloseTo(few.margin.width, 1)
  })

  it('an outline too fine to be measured says so, and can still be read', () => {
    const { sheet } = readSvg(ragged(12_000, 0.8))
    expect(() => analyse(sheet)).toThrow(/too fine to be measured/)
  })

  it('a file of 30,000 points is cut', () => {
    const { sheet } = readSvg(roundOf(30_000))
    expect(cut(sheetSvg(sheet, 'round')).cuts).toBe(2)
  })
})

describe('a DXF made of short pieces of line', () => {
  /** A circle as straight LINE entities. */
  const circle = (x: number, y: number, r: number, pieces: number) =>
    Array.from({ length: pieces }, (_, i) => {
      const [a, b] = [i, i + 1].map(k => (2 * Math.PI * k) / pieces)
      const at = (v: number) => Math.round(v * 1e6) / 1e6
      return line(
        at(x + r * Math.cos(a!)),
        at(y + r * Math.sin(a!)),
        at(x + r * Math.cos(b!)),
        at(y + r * Math.sin(b!)),
      )
    })
  const areas = (file: string) =>
    readSheetFile(file)
      .sheet.openings.map(polygonArea)
      .sort((a, b) => a - b)

  it('keeps circles whose pieces are shorter than the gap that is closed', () => {
    // 40 circles of 2 mm with pieces of 0.1 mm, and one of 0.4 mm with pieces of 0.04 mm.
    const pieces = Array.from({ length: 40 }, (_, i) =>
      circle(10 + 5 * (i % 8), 10 + 5 * Math.floor(i / 8), 1, 63),
    )
    const found = areas(dxf([...pieces, circle(60, 10, 0.2, 32)].flat(2)))
    expect(found).toHaveLength(41)
    expect(found[0]).toBeCloseTo(Math.PI * 0.04, 2)
    for (const area of found.slice(1)) expect(area).toBeCloseTo(Math.PI, 1)
  })

  it('whatever their order and way', () => {
    const pieces = [...circle(20, 20, 3, 190), ...circle(30, 20, 1, 64)]
    const mixed = pieces.map((_, i) => {
      const [zero, kind, eight, layer, , x0, , y0, , x1, , y1] = pieces[(i * 37) % pieces.length]!
      return i % 2
        ? [zero!, kind!, eight!, layer!, 10, x1!, 20, y1!, 11, x0!, 21, y0!]
        : pieces[(i * 37) % pieces.length]!
    })
    const found = areas(dxf(mixed.flat()))
    expect(found).toHaveLength(2)
    expect(found[0]).toBeCloseTo(Math.PI, 1)
    expect(found[1]).toBeCloseTo(9 * Math.PI, 0)
  })

  it('closes what stands open by less than 0.2 mm, and goes on to a nearer piece first', () => {
    const open = (gap: number) =>
      dxf([line(0, 0, 20, 0), line(20, 0, 20, 20), line(20, 20, 0, 20), line(0, 20, 0, gap)].flat())
    expect(areas(open(0.15))).toHaveLength(1)
    expect(saidOf(open(0.3))).toMatch(/open by 0\.3 mm/)
    // Two squares whose corners nearly meet: each closes with its own piece.
    const square = (x: number, y: number, gap: number) =>
      [
        line(x, y, x + 9, y),
        line(x + 9, y, x + 9, y + 9),
        line(x + 9, y + 9, x, y + 9),
        line(x, y + 9, x, y + gap),
      ].flat()
    expect(areas(dxf([...square(0, 0, 0.05), ...square(9.15, 0, 0.05)]))).toHaveLength(2)
  })

  it('passes over pieces that lead nowhere', () => {
    expect(areas(dxf([...circle(20, 20, 3, 60), line(20, 20, 20, 20)].flat()))).toHaveLength(1)
  })
})
