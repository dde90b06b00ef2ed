import { describe, expect, it } from 'vitest'
import { cut, CUTTER } from '#core/cutter'
import { pathData, sheetDxf, sheetSvg } from '#core/formats'
import { intersection, polygonArea, ringOf, union, type Polygon } from '#core/geometry'
import {
  analyse,
  assembleSheet,
  proposedJoins,
  readDxf,
  readSheetFile,
  readSvg,
  SizeError,
  withJoins,
  withWiderBridges,
  withWiderSlots,
  type SheetGeometry,
} from '#core/stencil'
import { sheets } from '../world'

const dxf = (entities: string, units = 4) =>
  `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n${units}\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`
const pairs = (...list: (string | number)[]) => `${list.join('\n')}\n`
const line = (x0: number, y0: number, x1: number, y1: number) =>
  pairs(0, 'LINE', 8, '0', 10, x0, 20, y0, 11, x1, 21, y1)
const circle = (x: number, y: number, r: number, layer = '0') =>
  pairs(0, 'CIRCLE', 8, layer, 10, x, 20, y, 40, r)
const area = (sheet: SheetGeometry) => sheet.openings.reduce((a, o) => a + polygonArea(o), 0)
const rect = (x: number, y: number, w: number, h: number): Polygon => ({
  outer: ringOf([
    [x, y],
    [x + w, y],
    [x + w, y + h],
    [x, y + h],
  ]),
  holes: [],
})

describe('DXF in', () => {
  it.each([
    [
      'lines that chain in any order',
      line(0, 0, 20, 0) + line(20, 10, 20, 0) + line(0, 10, 0, 0) + line(20, 10, 0, 10),
      200,
      1e-6,
    ],
    ['a circle', circle(5, 5, 10), Math.PI * 100, 1],
    [
      'arcs and a line',
      pairs(0, 'ARC', 8, '0', 10, 0, 20, 0, 40, 10, 50, 0, 51, 180) + line(-10, 0, 10, 0),
      Math.PI * 50,
      1,
    ],
    [
      'a polyline with a bulge: half a disc on a square',
      pairs(
        0,
        'LWPOLYLINE',
        8,
        '0',
        90,
        4,
        70,
        1,
        10,
        0,
        20,
        0,
        10,
        20,
        20,
        0,
        42,
        1,
        10,
        20,
        20,
        20,
        10,
        0,
        20,
        20,
      ),
      400 + Math.PI * 50,
      1,
    ],
    [
      'a bulge the other way',
      pairs(
        0,
        'LWPOLYLINE',
        8,
        '0',
        90,
        4,
        70,
        1,
        10,
        0,
        20,
        0,
        10,
        20,
        20,
        0,
        42,
        -1,
        10,
        20,
        20,
        20,
        10,
        0,
        20,
        20,
      ),
      400 - Math.PI * 50,
      1,
    ],
    [
      'an ellipse',
      pairs(0, 'ELLIPSE', 8, '0', 10, 0, 20, 0, 11, 12, 21, 5, 40, 0.5, 41, 0, 42, 6.283185307),
      Math.PI * 169 * 0.5,
      1.5,
    ],
    [
      'a spline closed by a line: a parabola of 2/3 w h',
      pairs(
        0,
        'SPLINE',
        8,
        '0',
        70,
        8,
        71,
        2,
        72,
        6,
        73,
        3,
        40,
        0,
        40,
        0,
        40,
        0,
        40,
        1,
        40,
        1,
        40,
        1,
        10,
        0,
        20,
        0,
        10,
        10,
        20,
        20,
        10,
        20,
        20,
        0,
      ) + line(0, 0, 20, 0),
      (2 / 3) * 200,
      0.5,
    ],
  ])('reads %s', (_name, entities, expected, slack) => {
    expect(Math.abs(area(readDxf(dxf(entities)).sheet) - expected)).toBeLessThan(slack)
  })

  it('knows units, edges and layers', () => {
    const inches = readDxf(dxf(circle(0, 0, 1), 1))
    expect(inches.sized).toBe(true)
    expect(area(inches.sheet)).toBeCloseTo(Math.PI * 25.4 ** 2, -1)
    expect(readDxf(dxf(circle(0, 0, 1), 0)).sized).toBe(false)
    const framed = readDxf(
      dxf(
        pairs(
          0,
          'LWPOLYLINE',
          8,
          'Stencil',
          90,
          4,
          70,
          1,
          10,
          -30,
          20,
          -20,
          10,
          30,
          20,
          -20,
          10,
          30,
          20,
          20,
          10,
          -30,
          20,
          20,
        ) + circle(0, 0, 5),
      ),
    )
    expect([framed.sheet.width, framed.sheet.height, framed.sheet.openings.length]).toEqual([60, 40, 1])
    const guessed = readDxf(dxf(circle(0, 0, 30) + circle(5, 0, 5) + circle(-10, 0, 5)))
    expect(guessed.sheet.openings).toHaveLength(2)
    expect(guessed.notes.join()).toMatch(/outermost loop/)
  })

  it('closes small gaps with a note', () => {
    expect(readDxf(dxf(line(0, 0, 20, 0) + line(20, 0.1, 20, 10) + line(20, 10, 0, 0))).notes.join()).toMatch(
      /gap of 0.10 mm/,
    )
  })

  it.each([
    ['binary', 'AutoCAD Binary DXF\r\n\u001a\0', /binary DXF/],
    ['nothing usable', dxf(pairs(0, 'TEXT', 8, '0', 1, 'hello')), /nothing to cut/],
    ['an open path', dxf(line(0, 0, 20, 0) + line(20, 0, 20, 10)), /open by/],
    ['no DXF', 'hello there', /damaged|nothing to cut/],
    ['a negative radius', dxf(circle(0, 0, -4)), /negative radius/],
  ])('refuses %s with a sentence', (_name, text, sentence) => {
    expect(() => readDxf(text)).toThrow(RangeError)
    expect(() => readDxf(text)).toThrow(sentence)
  })
})

describe('files of either kind', () => {
  const plain =
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20"><rect x="5" y="5" width="10" height="10"/></svg>'

  it('asks for the size when there is none, and takes it', () => {
    expect(readSheetFile(plain).ask).toMatch(/no real size/)
    const read = readSheetFile(plain, 80)
    expect([read.ask, read.sheet.width, area(read.sheet)]).toEqual([null, 80, 400])
    expect(() => readSheetFile(plain, -3)).toThrow(/between 5 and 1200/)
  })

  it('asks about a stencil of four metres instead of refusing it', () => {
    const huge =
      '<svg xmlns="http://www.w3.org/2000/svg" width="4000mm" height="2000mm" viewBox="0 0 40 20"><rect x="5" y="5" width="10" height="10"/></svg>'
    expect(() => readSvg(huge)).toThrow(SizeError)
    expect(readSheetFile(huge).ask).toMatch(/4.0 m long/)
    expect(readSheetFile(huge, 100).sheet.width).toBeCloseTo(100, 6)
  })

  it('tells of paths that cross themselves and of openings without area', () => {
    const notes = readSvg(
      '<svg xmlns="http://www.w3.org/2000/svg" width="40mm" height="20mm" viewBox="0 0 40 20"><path d="M5 5L15 15L15 5L5 15Z"/><path d="M20 5L30 5L25 5Z"/></svg>',
    ).notes.join(' ')
    expect(notes).toMatch(/crosses itself/)
    expect(notes).toMatch(/without area/)
  })

  it('comes back the same from SVG over DXF, within 0.01 mm', () => {
    for (const sheet of sheets.values()) {
      const { id } = sheet
      const there = readSheetFile(sheetDxf(sheet)).sheet
      const back = readSheetFile(sheetSvg(there, id)).sheet
      expect(back.openings.length, id).toBe(sheet.openings.length)
      expect([back.width, back.height]).toEqual([sheet.width, sheet.height].map(v => expect.closeTo(v, 2)))
      const off =
        area(sheet) +
        area(back) -
        2 * intersection(sheet.openings, back.openings).reduce((a, p) => a + polygonArea(p), 0)
      const rim = sheet.openings.reduce((l, o) => l + o.outer.length, 0)
      expect(off, id).toBeLessThan(0.01 * rim)
    }
  })
})

describe('mending', () => {
  const ring = readSvg(
    '<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="60mm" viewBox="0 0 60 60"><path fill-rule="evenodd" d="M10 10h40v40h-40zM15 15h30v30h-30z"/></svg>',
  ).sheet

  it('joins a large island at two opposite places and a small one at one, with bridges of the asked width', () => {
    const { islands } = analyse(ring)
    const joins = proposedJoins(ring, islands, 1.5)
    expect(joins).toHaveLength(2)
    const [a, b] = joins.map(j => Math.atan2(j.from[1], j.from[0]))
    expect(Math.abs(Math.atan2(Math.sin(a! - b!), Math.cos(a! - b!)))).toBeGreaterThan(1.5)
    const mended = analyse(withJoins(ring, joins))
    expect([mended.islands.length, mended.openings]).toEqual([0, 2])
    expect(mended.bridge!.width).toBeCloseTo(1.5, 3)
    expect(area(ring) - mended.openArea).toBeCloseTo(2 * 1.5 * 5, 1)
  })

  it('makes one piece of the draft wheel', () => {
    const wheel = sheets.get('wheel-draft')!
    const { islands } = analyse(wheel)
    expect(analyse(withJoins(wheel, proposedJoins(wheel, islands, 1.5))).islands).toEqual([])
    expect(withJoins(wheel, [])).toBe(wheel)
  })

  it('widens thin bridges and slots, there and nowhere else', () => {
    const sheet = assembleSheet([rect(-20, -5, 20, 10), rect(0.4, -5, 20, 10), rect(-20, 12, 30, 0.3)], null)
    const wide = withWiderBridges(sheet, analyse(sheet, 1).bridges, 1)
    const a = analyse(wide)
    expect(a.bridge!.width).toBeGreaterThan(0.99)
    expect(analyse(withWiderSlots(wide, a.slots, 0.8)).slot.width).toBeGreaterThan(0.79)
    expect(intersection(wide.openings, sheet.openings).length).toBe(3)
    expect(union(wide.openings)).toHaveLength(3)
  })
})

describe('the simulated cutter', () => {
  it('adds up lengths and time of two squares', () => {
    const sheet = assembleSheet(
      [rect(-20, -5, 10, 10), rect(5, -5, 10, 10)],
      ringOf([
        [-30, -15],
        [30, -15],
        [30, 15],
        [-30, 15],
      ]),
    )
    const report = cut(sheetSvg(sheet, 'two'))
    expect([report.cuts, report.cutLength]).toEqual([3, 40 + 40 + 180])
    expect(report.seconds).toBeCloseTo(
      260 / CUTTER.cutSpeed + report.travel / CUTTER.travelSpeed + 3 * CUTTER.liftSeconds,
      9,
    )
    expect([report.falling, report.close]).toEqual([[], []])
  })

  it('tells what falls out and what is too near', () => {
    const report = cut(sheetDxf(sheets.get('wheel-draft')!))
    expect(report.falling).toHaveLength(2)
    expect(report.close[0]!.gap).toBeLessThan(CUTTER.leastGap)
    expect(() => cut('nonsense')).toThrow(RangeError)
  })
})

it('writes paths without a trace of exponents or minus zeros', () => {
  expect(pathData([Float64Array.from([1e-9, -0, 12.34567, 3])])).toBe('M0 0L12.346 3Z')
})
