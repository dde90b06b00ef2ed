import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { looks } from '../../looks'
import { shelf, shelfSvg } from '../../../demo/shelf'
import { readPalette, sheetDxf } from '#core/formats'
import { kindOf, groundFor, timesOf, parseLook, upgraded, withSteps } from '#core/look'
import { analyse, readSheetFile, readSvg } from '#core/stencil'
import { sheets, world } from '../world'

/** A sentence for a painter: it begins like one, ends like one, and shows nothing of the program. */
const SENTENCE = /^[A-Z"<][^\n]{8,400}[.!]$/
const PROGRAM = /NaN|undefined|\[object|null is|is not a function|Cannot read/
const junk = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    '',
    'x',
    -1,
    0,
    1e9,
    -1e-9,
    true,
    [],
    {},
    [null],
    '../../etc',
    '<script>',
    { kind: 'wash' },
    [[0, 0]],
    1e308,
  ),
  fc.string({ maxLength: 12 }),
  fc.double({ noNaN: true }),
)

/** All ways to a value in parsed JSON. */
function waysIn(value: unknown, way: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [way]
  return [
    way,
    ...Object.entries(value).flatMap(([k, v]) => waysIn(v, [...way, Array.isArray(value) ? Number(k) : k])),
  ]
}
/** JSON with one value replaced, left out, or given a field that nobody knows. */
function spoilt(json: unknown, at: number, how: 'put' | 'drop' | 'add', what: unknown): unknown {
  const next = structuredClone(json)
  const ways = waysIn(next).slice(1)
  const way = [...ways[at % ways.length]!]
  const last = way.pop()!
  const holder = way.reduce<Record<string | number, unknown>>(
    (o, k) => o[k] as Record<string | number, unknown>,
    next as Record<string | number, unknown>,
  )
  if (how === 'put') holder[last] = what
  else if (how === 'drop' && Array.isArray(holder)) holder.splice(Number(last), 1)
  else if (how === 'drop') delete holder[last]
  else if (typeof holder[last] === 'object' && holder[last] !== null)
    (holder[last] as Record<string, unknown>).surprise = what
  return next
}

describe('a look file that was spoilt', () => {
  it('is read, or refused in sentences; what is read can be painted', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...looks),
        fc.nat(5000),
        fc.constantFrom('put', 'drop', 'add'),
        junk,
        (look, at, how, what) => {
          const parsed = parseLook(spoilt(JSON.parse(JSON.stringify(look)), at, how as 'put', what))
          if (!parsed.ok) {
            expect(parsed.errors.length).toBeGreaterThan(0)
            for (const e of parsed.errors) {
              expect(e).toMatch(SENTENCE)
              expect(e).not.toMatch(PROGRAM)
            }
            return
          }
          const there = withSteps(
            { ...world, stencil: id => sheets.get(id), ground: groundFor(parsed.look) },
            parsed.look.steps,
          )
          expect(timesOf(parsed.look, there).finish).toBeGreaterThanOrEqual(0)
          for (const step of parsed.look.steps)
            for (const print of kindOf(step).prints(step, { ...there, quick: true, flat: true }))
              expect(
                print.rings.every(r => r.every(Number.isFinite)),
                step.label,
              ).toBe(true)
          for (const step of parsed.look.steps)
            expect(
              kindOf(step)
                .lines(step, there)
                .every(l => !PROGRAM.test(l.text)),
            ).toBe(true)
        },
      ),
      { numRuns: 200, seed: 3 },
    )
  }, 60_000)

  it('of any version is brought up to date or passed on, and never breaks', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...looks),
        fc.integer({ min: -1, max: 9 }),
        fc.nat(5000),
        junk,
        (look, version, at, what) => {
          const old = { ...(spoilt(JSON.parse(JSON.stringify(look)), at, 'put', what) as object), version }
          expect(() => parseLook(upgraded(old))).not.toThrow()
        },
      ),
      { numRuns: 150, seed: 4 },
    )
  })
})

/** A text with a piece cut out, doubled, or replaced by something else. */
const broken = (text: string, at: number, length: number, put: string) =>
  text.slice(0, at % text.length) + put + text.slice((at % text.length) + length)

describe('a stencil file that was spoilt', () => {
  const small = shelf.filter(s => shelfSvg(s.id).length < 40_000).slice(0, 12)
  const put = fc.constantFrom(
    '',
    '<',
    '>',
    '"',
    '-',
    'NaN',
    '1e999',
    '<g>',
    '</svg>',
    'transform="matrix(0 0 0 0 0 0)"',
    'L',
    'Z',
    '&nbsp;',
    '\u0000',
    '\nSECTION\n',
  )
  const tells = (read: () => ReturnType<typeof readSheetFile>) => {
    try {
      const { sheet } = read()
      expect(sheet.openings.length).toBeGreaterThan(0)
      expect(
        [sheet.width, sheet.height, ...sheet.openings.flatMap(o => [...o.outer])].every(Number.isFinite),
      ).toBe(true)
    } catch (error) {
      expect(error).toBeInstanceOf(RangeError)
      expect((error as Error).message).toMatch(SENTENCE)
      expect((error as Error).message).not.toMatch(/undefined|\[object|Cannot read/)
    }
  }

  it('as SVG is read, or refused with one sentence', () => {
    fc.assert(
      fc.property(fc.constantFrom(...small), fc.nat(40_000), fc.nat(60), put, ({ id }, at, length, piece) =>
        tells(() => readSheetFile(broken(shelfSvg(id), at, length, piece))),
      ),
      { numRuns: 150, seed: 6 },
    )
  }, 60_000)

  it('as DXF too', () => {
    const files = small.slice(0, 5).map(({ id }) => sheetDxf(readSvg(shelfSvg(id)).sheet))
    fc.assert(
      fc.property(fc.constantFrom(...files), fc.nat(400_000), fc.nat(60), put, (text, at, length, piece) =>
        tells(() => readSheetFile(broken(text, at, length, piece))),
      ),
      { numRuns: 60, seed: 7 },
    )
  }, 60_000)

  it('as DXF with a point that has no y is refused at once, where a parser would run in circles', () => {
    const lines = [
      '0',
      'SECTION',
      '2',
      'ENTITIES',
      '0',
      'LWPOLYLINE',
      '90',
      '4',
      '70',
      '1',
      '10',
      '5',
      '999',
      'x',
      '0',
      'ENDSEC',
      '0',
      'EOF',
      '',
    ]
    expect(() => readSheetFile(lines.join('\n'))).toThrow('This DXF is damaged')
  })

  it('is still measured when it is read', () => {
    fc.assert(
      fc.property(fc.constantFrom(...small.slice(0, 6)), fc.nat(40_000), fc.nat(40), ({ id }, at, length) => {
        let read
        try {
          read = readSheetFile(broken(shelfSvg(id), at, length, ''))
        } catch {
          return
        }
        const a = analyse(read.sheet)
        expect(a.openArea).toBeGreaterThan(0)
        expect(a.openShare).toBeLessThanOrEqual(1)
      }),
      { numRuns: 12, seed: 8 },
    )
  }, 60_000)
})

describe('a palette that was spoilt', () => {
  it('is read, or refused with one sentence', () => {
    const text = 'GIMP Palette\nName: Fair\nColumns: 4\n#\n255 0 0 Ember\n 12 40 200 Harbour\n0 0 0 Soot\n'
    fc.assert(
      fc.property(
        fc.oneof(
          fc
            .tuple(fc.nat(90), fc.nat(12), fc.string({ maxLength: 8 }))
            .map(([at, l, s]) => broken(text, at, l, s)),
          fc.string({ maxLength: 300 }),
        ),
        file => {
          try {
            expect(readPalette(file).swatches.every(s => /^#[0-9a-f]{6}$/i.test(s.colour))).toBe(true)
          } catch (error) {
            expect(error).toBeInstanceOf(RangeError)
            expect((error as Error).message).toMatch(SENTENCE)
          }
        },
      ),
      { numRuns: 400, seed: 9 },
    )
  })
})
