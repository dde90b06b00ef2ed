import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { disableTypes, imageSize, types } from 'image-size'
import { describe, expect, it } from 'vitest'
import { csvOf, drawerZip, readDrawerZip, readPalette, runsFromText } from '#core/formats'
import { crc32 } from '../../../core/formats/zipChecked'
import { analyse, readDxf } from '#core/stencil'
import { dxf } from '../../hostile'
import { hostileBytes, hostileTables } from '../../hostileFields'
import { sheets } from '../world'

// What is quadratic here takes minutes to hours: that it ends at all is the check.
describe('a log as CSV', () => {
  it('of 8 MB is read in one go, whatever is large in it', () => {
    const row = (id: number, step: number) => `r${id},,Moth,1,whole,d,,2026-05-01T10:00:00.000Z,,s${step}`
    const head = 'run,look id,look,look version,length,device,typed,started,ended,step id'
    const rows = (runs: number, steps: number) =>
      Array.from({ length: runs * steps }, (_, i) => row(Math.floor(i / steps), i % steps))
    for (const [runs, steps] of [
      [1, 120_000],
      [20_001, 5],
    ] as const) {
      const read = runsFromText([head, ...rows(runs, steps)].join('\n'))
      expect(read.ok).toBe(false)
    }
    const digits = `${head}\nr,,Moth,${'9'.repeat(4_000_000)},whole,d,,2026-05-01T10:00:00.000Z,,`
    expect(runsFromText(digits).ok).toBe(false)
    // Names of columns that are the same are told apart by the parser, which takes ever longer.
    for (const cell of ['run', ''])
      expect(runsFromText(`${Array.from({ length: 120_000 }, () => cell).join(',')}\n1`)).toEqual({
        ok: false,
        errors: ['This is no log: its first line is far too long.'],
      })
  })
})

/** What goes wrong with something that is to end in a sentence or in nothing. */
function saidOf(job: () => unknown): string | null {
  try {
    job()
    return null
  } catch (error) {
    return error instanceof RangeError ? error.message : `not a sentence: ${error}`
  }
}

describe('hostile tables', () => {
  it.each(hostileTables().map(t => [t.name, t.file] as const))('%s', (_name, file) => {
    const log = runsFromText(file)
    if (!log.ok) expect(log.errors.join(' ')).toMatch(/\.$/)
    const said = saidOf(() => readPalette(file))
    if (said !== null) expect(said).toMatch(/^[A-Z].{15,240}\.$/s)
  })
})

describe('a palette', () => {
  it('with a number of 40,000 digits says which line holds no colour', () => {
    const digits = '9'.repeat(40_000)
    for (const colour of [`rgb(${digits} 0 0)`, `hsl(0.${digits} 1% 1%)`, digits]) {
      const { swatches, notes } = readPalette(`name,colour\nRed,#b7202b\nLong,${colour}`)
      expect(swatches).toHaveLength(1)
      expect(notes).toEqual(['Line 3 holds no colour and was passed over.'])
    }
    expect(readPalette(`GIMP Palette\n${digits} 0 0 a\n1 2 3 b`).swatches).toHaveLength(1)
  })

  it('takes no colour without numbers', () => {
    expect(readPalette('name,colour\nA,rgb(none none none)\nB,red').swatches).toEqual([
      { name: 'B', colour: '#ff0000' },
    ])
  })

  it('is written without formulas, in full width neither', () => {
    for (const sign of ['=', '+', '-', '@', '\uFF1D', '\uFF0B', '\uFF0D', '\uFF20']) {
      const text = csvOf([{ name: `${sign}1+1`, colour: '#000000' }])
      expect(text).toContain(`'${sign}1+1`)
      expect(readPalette(text).swatches[0]!.name).toBe(`${sign}1+1`)
    }
  })
})

describe('a DXF with curves that degenerate', () => {
  const read = (pairs: (string | number)[]) => () => readDxf(dxf(pairs))
  const bulged = (bulge: number) => [
    ...[0, 'LWPOLYLINE', 8, 0, 90, 2, 70, 1],
    ...[10, 10, 20, 10, 42, bulge, 10, 40, 20, 10, 42, bulge],
  ]
  const ellipse = (from: number, to: number) => [
    ...[0, 'ELLIPSE', 8, 0, 10, 50, 20, 50, 30, 0, 11, 30, 21, 0, 31, 0],
    ...[40, 0.5, 41, from, 42, to],
  ]
  const spline = (knots: number[]) => [
    ...[0, 'SPLINE', 8, 0, 70, 1, 71, 3, 72, knots.length, 73, 4],
    ...knots.flatMap(k => [40, k]),
    ...[10, 10, 20, 10, 10, 40, 20, 10, 10, 40, 20, 40, 10, 10, 20, 10],
  ]

  it('is refused in a sentence, before any work', () => {
    for (const bulge of [1e300, -1e300, 1e155]) expect(read(bulged(bulge)), `${bulge}`).toThrow(RangeError)
    for (const knots of [
      [1, 1, 1, 1, 1, 1, 1, 1],
      [0, 0, 0, 0, 1, 1, 1, 0.5],
      [9, 8, 7, 6, 5, 4, 3, 2],
    ])
      expect(read(spline(knots)), `${knots.join()}`).toThrow(/spline/)
  })

  it('goes round once, however many turns an ellipse says', () => {
    const area = (from: number, to: number) => {
      const { openings } = readDxf(dxf(ellipse(from, to))).sheet
      return openings.reduce((sum, o) => sum + o.outer.length, 0)
    }
    const whole = area(0, 2 * Math.PI)
    expect(whole).toBeGreaterThan(40)
    for (const turns of [1e9, 1e300, -1e9]) expect(read(ellipse(0, turns))).not.toThrow(TypeError)
    expect(area(0, 2 * Math.PI * 1000)).toBeLessThan(2 * whole)
  })
})

describe('a round hole', () => {
  it('is measured, with however many points it is drawn', () => {
    const outline = Float64Array.from([-60, -40, 60, -40, 60, 40, -60, 40])
    for (const n of [300, 1000, 1800, 2500, 3000, 6000]) {
      const outer = Float64Array.from({ length: 2 * n }, (_, i) => {
        const a = (2 * Math.PI * (i >> 1)) / n
        return 20 * (i % 2 ? Math.sin(a) : Math.cos(a))
      })
      const sheet = { width: 120, height: 80, outline, openings: [{ outer, holes: [] }] }
      expect(analyse(sheet).slot.width, `${n} points`).toBeCloseTo(40, 1)
    }
  })
})

describe('the head of a picture', () => {
  it('is read of JPEG, PNG and WebP alone: others cannot hold their reader up', () => {
    disableTypes(types.filter(t => !['jpg', 'png', 'webp'].includes(t)))
    // "icns" with an entry of no length.
    const icns = new Uint8Array(4096)
    icns.set(strToU8('icns'))
    icns.set([0, 0, 16, 0], 4)
    icns.set(strToU8('ic07'), 8)
    expect(() => imageSize(icns)).toThrow()
    disableTypes([])
  })
})

describe('bytes that begin as a picture or an archive', () => {
  it('and go on as none are refused by the reader of drawers', () => {
    for (const { name, bytes } of hostileBytes())
      expect(
        saidOf(() => readDrawerZip(bytes)),
        name,
      ).toMatch(/^[A-Z].{15,240}\.$/s)
  })

  it('hold up no reader of heads', () => {
    disableTypes(types.filter(t => !['jpg', 'png', 'webp'].includes(t)))
    for (const { bytes } of hostileBytes()) {
      try {
        imageSize(bytes)
      } catch (error) {
        expect(error).toBeInstanceOf(Error)
      }
    }
    disableTypes([])
  })
})

describe('the drawer as one file', () => {
  const about = {
    id: 's',
    name: 'S',
    kind: 'motif',
    tags: [],
    zones: [],
    heading: null,
    copies: 1,
    notes: '',
    material: 'mylar',
    groups: [],
  } as never
  const [sheet] = [...sheets.values()]

  it('is refused where a checksum does not agree', () => {
    const zip = drawerZip([{ about, sheet: sheet! }])
    expect(readDrawerZip(zip)).toHaveLength(1)
    const files = unzipSync(zip)
    // The same, stored, with one byte of a drawing changed after its checksum was taken.
    const stored = zipSync(files, { level: 0 })
    const at = Buffer.from(stored).indexOf('<svg')
    stored[at + 1]! ^= 1
    expect(() => readDrawerZip(stored)).toThrow(/damaged: ".*svg" in it is not as it was written/)
    // Published check value of CRC-32 (Rocksoft model): "123456789" gives cbf43926.
    expect(crc32(strToU8('123456789'))).toBe(0xcbf43926)
  })

  it('takes names of JavaScript for names', () => {
    const files = unzipSync(drawerZip([{ about, sheet: sheet! }]))
    const name = Object.keys(files).find(n => n.endsWith('.json'))!
    const list = JSON.parse(strFromU8(files[name]!))
    list.sheets[0].file = '__proto__'
    const [came] = readDrawerZip(zipSync({ [name]: strToU8(JSON.stringify(list)) }))
    expect(came).toEqual({ ok: false, name: 'S', sentence: 'Its drawing is missing in the file.' })
  })
})
