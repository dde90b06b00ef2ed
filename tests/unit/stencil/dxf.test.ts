import { describe, expect, it } from 'vitest'
import { boxAround, polygonArea } from '#core/geometry'
import { readDxf, type SheetGeometry } from '#core/stencil'
import { throughFitPoints } from '#core/stencil/dxf/curves'

const pairs = (...list: (string | number)[]) => `${list.join('\n')}\n`
const section = (name: string, body: string) => pairs(0, 'SECTION', 2, name) + body + pairs(0, 'ENDSEC')
const dxf = (entities: string, { blocks = '', tables = '', units = 4 } = {}) =>
  section('HEADER', pairs(9, '$INSUNITS', 70, units)) +
  (tables && section('TABLES', tables)) +
  (blocks && section('BLOCKS', blocks)) +
  section('ENTITIES', entities) +
  pairs(0, 'EOF')
const circle = (x: number, y: number, r: number, ...more: (string | number)[]) =>
  pairs(0, 'CIRCLE', 8, '0', 10, x, 20, y, 40, r, ...more)
const line = (layer: string, x0: number, y0: number, x1: number, y1: number) =>
  pairs(0, 'LINE', 8, layer, 10, x0, 20, y0, 11, x1, 21, y1)
const polyline = (points: [number, number][], ...more: (string | number)[]) =>
  pairs(
    0,
    'LWPOLYLINE',
    8,
    '0',
    90,
    points.length,
    70,
    1,
    ...more,
    ...points.flatMap(([x, y]) => [10, x, 20, y]),
  )
const block = (name: string, body: string, x = 0, y = 0) =>
  pairs(0, 'BLOCK', 8, '0', 2, name, 70, 0, 10, x, 20, y, 3, name) + body + pairs(0, 'ENDBLK', 8, '0')
const insert = (name: string, x: number, y: number, ...more: (string | number)[]) =>
  pairs(0, 'INSERT', 8, 'CUT', 2, name, 10, x, 20, y, ...more)
const area = (sheet: SheetGeometry) => sheet.openings.reduce((a, o) => a + polygonArea(o), 0)
const sizeOf = (sheet: SheetGeometry) => {
  const b = boxAround(sheet.openings)
  return [b.maxX - b.minX, b.maxY - b.minY]
}

describe('a DXF with blocks', () => {
  const one = block('dot', circle(5, 5, 3), 5, 5)

  it('draws them wherever they are inserted, turned, sized and in rows', () => {
    const file = dxf(
      insert('dot', 0, 0) +
        insert('dot', 30, 0, 41, 2, 42, 1) +
        insert('dot', 0, 30, 70, 3, 71, 2, 44, 8, 45, 8),
      { blocks: one },
    )
    const { sheet } = readDxf(file)
    expect(sheet.openings).toHaveLength(8)
    expect(area(sheet)).toBeCloseTo(Math.PI * 9 * (1 + 2 + 6), -1)
  })

  it('draws blocks within blocks, and stops at those that hold themselves', () => {
    const nested = block('pair', insert('dot', 0, 0) + insert('dot', 10, 0)) + one
    const turned = readDxf(dxf(insert('pair', 0, 0, 50, 90), { blocks: nested })).sheet
    expect(turned.openings).toHaveLength(2)
    expect(sizeOf(turned)[0]).toBeCloseTo(6, 1)
    expect(sizeOf(turned)[1]).toBeCloseTo(16, 1)
    const endless = block('loop', insert('loop', 1, 0) + circle(0, 0, 1))
    expect(() => readDxf(dxf(insert('loop', 0, 0), { blocks: endless }))).toThrow(/explode/)
    const wide = block('a', insert('b', 0, 0, 70, 999, 71, 999)) + block('b', circle(0, 0, 1))
    expect(() => readDxf(dxf(insert('a', 0, 0), { blocks: wide }))).toThrow(RangeError)
  })

  it('says when a block is not in the file', () => {
    expect(readDxf(dxf(circle(0, 0, 5) + insert('gone', 0, 0))).notes.join()).toMatch(/block/)
  })
})

describe('a DXF from a drawing program', () => {
  it('takes what is drawn twice once', () => {
    const square: [number, number][] = [
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ]
    const { sheet, notes } = readDxf(dxf(polyline(square) + polyline(square) + circle(30, 5, 4)))
    expect(area(sheet)).toBeCloseTo(100 + Math.PI * 16, 0)
    expect(notes.join()).toMatch(/drawn twice/)
    const sides = line('0', 0, 0, 10, 0) + line('0', 10, 0, 10, 10) + line('0', 10, 10, 0, 0)
    expect(area(readDxf(dxf(sides + line('0', 10, 0, 0, 0) + circle(30, 5, 4))).sheet)).toBeCloseTo(
      50 + Math.PI * 16,
      0,
    )
  })

  it.each([
    [8, 25.4e-6],
    [9, 0.0254],
    [10, 914.4],
    [11, 1e-7],
    [12, 1e-6],
    [13, 1e-3],
  ])('knows unit %d', (units, mm) => {
    const { sheet, sized } = readDxf(dxf(circle(0, 0, 10 / mm) + circle(30 / mm, 0, 2 / mm), { units }))
    expect(sized).toBe(true)
    expect(sizeOf(sheet)[1]).toBeCloseTo(20, 1)
  })

  it('mirrors what looks away, whatever draws it', () => {
    const away = [210, 0, 220, 0, 230, -1]
    const { sheet } = readDxf(dxf(circle(0, 0, 5) + circle(40, 0, 5, ...away) + circle(20, 0, 5)))
    // The circle at 40 lies at -40.
    expect(sizeOf(sheet)[0]).toBeCloseTo(70, 1)
    const turned = readDxf(
      dxf(
        circle(0, 0, 5) +
          polyline(
            [
              [20, 0],
              [30, 0],
              [30, 4],
            ],
            230,
            -1,
          ),
      ),
    ).sheet
    expect(sizeOf(turned)[0]).toBeCloseTo(35, 1)
  })

  it('leaves out paper space, layers that are off and the frame of a curve', () => {
    const off =
      pairs(0, 'TABLE', 2, 'LAYER', 70, 1) +
      pairs(0, 'LAYER', 2, 'NOTES', 70, 0, 62, -7, 6, 'CONTINUOUS') +
      pairs(0, 'ENDTAB')
    const { sheet, notes } = readDxf(
      dxf(circle(0, 0, 5) + circle(90, 0, 30, 67, 1) + pairs(0, 'CIRCLE', 8, 'NOTES', 10, 0, 20, 0, 40, 50), {
        tables: off,
      }),
    )
    expect(sheet.openings).toHaveLength(1)
    expect(area(sheet)).toBeCloseTo(Math.PI * 25, 0)
    expect(notes.join()).toMatch(/paper space/)
    expect(notes.join()).toMatch(/layer that is off/)
    const vertex = (x: number, y: number, flag: number) => pairs(0, 'VERTEX', 8, '0', 10, x, 20, y, 70, flag)
    const curve =
      pairs(0, 'POLYLINE', 8, '0', 66, 1, 70, 1) +
      vertex(-50, 50, 16) +
      vertex(0, 0, 8) +
      vertex(10, 0, 8) +
      vertex(10, 10, 8) +
      vertex(0, 10, 8) +
      pairs(0, 'SEQEND')
    expect(area(readDxf(dxf(curve)).sheet)).toBeCloseTo(100, 1)
  })

  it('joins loops whose pieces lie on several layers, and keeps apart those that close by themselves', () => {
    const { sheet } = readDxf(
      dxf(
        line('A', 0, 0, 20, 0) + line('B', 20, 0, 20, 10) + line('A', 20, 10, 0, 10) + line('C', 0, 10, 0, 0),
      ),
    )
    expect(area(sheet)).toBeCloseTo(200, 3)
  })

  it('draws splines through their fit points', () => {
    // Points of a circle: the curve through them is very nearly the circle.
    const fit = Array.from({ length: 16 }, (_, i) => {
      const a = (2 * Math.PI * i) / 16
      return [20 * Math.cos(a), 20 * Math.sin(a)]
    })
    const curve = throughFitPoints(fit.flat(), true)
    for (let i = 0; i < curve.length; i += 2)
      expect(Math.abs(Math.hypot(curve[i]!, curve[i + 1]!) - 20)).toBeLessThan(0.02)
    const spline =
      pairs(0, 'SPLINE', 8, '0', 70, 1, 71, 3, 72, 0, 73, 0, 74, 16) +
      fit.map(([x, y]) => pairs(11, x!, 21, y!, 31, 0)).join('')
    expect(area(readDxf(dxf(spline)).sheet)).toBeCloseTo(Math.PI * 400, -1)
    // Open, it runs straight where its points lie on a line.
    const straight = throughFitPoints([0, 0, 5, 5, 12, 12, 20, 20], false)
    for (let i = 0; i < straight.length; i += 2) expect(straight[i]).toBeCloseTo(straight[i + 1]!, 9)
  })
})
