import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { paints } from '../../../demo/paints'
import { csvOf, gplOf, readPalette } from '#core/formats'
import {
  capacityOfArea,
  deltaE,
  EDGE_SPREAD,
  edgeKnown,
  edgeSpread,
  filmOf,
  HAND_TEST,
  hidingOf,
  linearOf,
  luminance,
  NO_READINGS,
  OPAQUE_FILM,
  ownTools,
  readSwatch,
  releaseOfDabs,
  TOOL_IDS,
  toolKnown,
  TOOLS,
  useBy,
  WETNESSES,
} from '#core/paint'
import { handPrint } from '#core/raster'
import { analyse, bridgeLadder, LADDER_MM, readSvg } from '#core/stencil'
import { loadsFor } from '#core/order'
import { sheetSvg } from '#core/formats'

describe('edge spread', () => {
  it('grows with wetness, gap and a wet ground, and with dabs only on a wet film', () => {
    for (const tool of TOOL_IDS) {
      const list = WETNESSES.map(w => EDGE_SPREAD[tool][w])
      expect(list).toEqual([...list].sort((a, b) => a - b))
    }
    expect(edgeSpread(0.15, 0, 'dry', 'tacky', 6)).toBe(0.15)
    expect(edgeSpread(0.15, 0.5, 'dry', 'tacky', 6)).toBeCloseTo(0.3, 12)
    expect(edgeSpread(0.15, 0, 'tacky', 'tacky', 1)).toBeCloseTo(0.24, 12)
    expect(edgeSpread(0.15, 0, 'wet', 'tacky', 1)).toBeCloseTo(0.45, 12)
    expect(edgeSpread(0.4, 0, 'dry', 'damp', 5)).toBeGreaterThan(edgeSpread(0.4, 0, 'dry', 'damp', 1))
  })

  it("follows the painter's own readings of the ladder: half the bridge, their mean, with spread and count", () => {
    expect(edgeKnown(NO_READINGS, 'makeup', 'tacky')).toEqual({ value: 0.15, readings: 0, spread: 0 })
    const readings = [0.4, 0.6, 0.5].map(bridge => ({
      tool: 'makeup' as const,
      wetness: 'tacky' as const,
      bridge,
    }))
    expect(
      edgeKnown(
        { edges: [...readings, { tool: 'dauber', wetness: 'tacky', bridge: 3 }], tools: [] },
        'makeup',
        'tacky',
      ),
    ).toEqual({ value: expect.closeTo(0.25, 9), readings: 3, spread: expect.closeTo(0.05, 9) })
  })
})

describe("the painter's own tools", () => {
  const tools = [
    { tool: 'makeup' as const, measure: 'release' as const, value: 0.5 },
    { tool: 'makeup' as const, measure: 'release' as const, value: 0.7 },
    { tool: 'makeup' as const, measure: 'tip' as const, value: 24 },
  ]

  it('take the mean of their readings, measure by measure; the others stay as they were', () => {
    expect(toolKnown({ edges: [], tools }, 'makeup', 'release')).toEqual({
      value: expect.closeTo(0.6, 9),
      readings: 2,
      spread: expect.closeTo(Math.SQRT2 / 10, 9),
    })
    expect(toolKnown({ edges: [], tools }, 'makeup', 'capacity')).toEqual({
      value: TOOLS.makeup.capacity,
      readings: 0,
      spread: 0,
    })
    const own = ownTools({ edges: [{ tool: 'dauber', wetness: 'damp', bridge: 2 }], tools })
    expect(own.tool('makeup')).toEqual({ ...TOOLS.makeup, release: expect.closeTo(0.6, 9), tip: 24 })
    expect(own.tool('dauber')).toBe(TOOLS.dauber)
    expect([own.edge('dauber', 'damp'), own.edge('dauber', 'tacky')]).toEqual([1, EDGE_SPREAD.dauber.tacky])
  })

  it('are read without scales: by the layers that hide a line, and by the area of one load', () => {
    for (const wetness of WETNESSES) {
      const release = releaseOfDabs(7, wetness)
      expect(filmOf({ release }, wetness, 7)).toBeCloseTo(OPAQUE_FILM, 9)
      const capacity = capacityOfArea(120, { release }, wetness)
      expect([
        loadsFor(12_000, filmOf({ release }, wetness, 1), 1, { capacity: capacity * 1.001 }),
        loadsFor(12_100, filmOf({ release }, wetness, 1), 1, { capacity }),
      ]).toEqual([1, 2])
    }
  })
})

describe('the demo kit', () => {
  it('has thirty paints and more, each name once', () => {
    expect(paints.length).toBeGreaterThanOrEqual(30)
    expect(new Set(paints.map(p => p.name)).size).toBe(paints.length)
    for (const finish of ['matte', 'pearl', 'metallic', 'neon'])
      expect(paints.filter(p => p.finish === finish).length).toBeGreaterThan(2)
    expect(paints.filter(p => p.strips.length > 1).length).toBeGreaterThan(1)
  })

  it('has believable optics: whites and black hide best, neons least, and nothing is lighter over black', () => {
    const hiding = (id: string) => hidingOf(paints.find(p => p.id === id)!)
    const neons = paints.filter(p => p.finish === 'neon').map(hidingOf)
    expect(hiding('gull')).toBeGreaterThan(0.97)
    expect(hiding('soot')).toBeGreaterThan(0.98)
    expect(Math.max(...neons)).toBeLessThan(
      Math.min(...paints.filter(p => p.finish !== 'neon' && !p.strips.length).map(hidingOf)),
    )
    for (const p of paints) {
      expect(luminance(linearOf(p.overBlack))).toBeLessThanOrEqual(luminance(linearOf(p.overWhite)) + 1e-9)
      if (p.finish === 'neon') expect(p.eyeSafe || p.lipSafe, p.name).toBe(false)
    }
  })
})

describe('use-by', () => {
  it('counts months from the day of opening, and stays within the month', () => {
    expect(useBy({ openedOn: '2026-01-31', months: 1 })).toBe('2026-02-28')
    expect(useBy({ openedOn: '2025-11-15', months: 24 })).toBe('2027-11-15')
    expect(useBy({ openedOn: null, months: 24 })).toBeNull()
  })
})

describe('the simulated colour reader', () => {
  it('reads near the swatch, scatters like a device, and repeats itself', () => {
    const gull = paints[0]!
    const list = Array.from({ length: 12 }, (_, n) => readSwatch(gull, n))
    expect(readSwatch(gull, 3)).toEqual(list[3])
    expect(new Set(list.map(r => r.overWhite)).size).toBeGreaterThan(3)
    for (const r of list) expect(deltaE(linearOf(r.overWhite), linearOf(gull.overWhite))).toBeLessThan(2)
  })
})

describe('palettes', () => {
  const colour = fc
    .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
    .map(rgb => `#${rgb.map(v => v.toString(16).padStart(2, '0')).join('')}`)
  const name = fc
    .stringMatching(/^[A-Za-z0-9,"' -]{1,30}$/)
    .map(s => s.trim())
    .filter(s => s.length > 0)

  it('go out and come in again, as GPL and as CSV', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ name, colour }), { minLength: 1, maxLength: 20 }), swatches => {
        expect(readPalette(gplOf('Test', swatches)).swatches).toEqual(swatches)
        expect(readPalette(csvOf(swatches)).swatches).toEqual(swatches)
      }),
      { numRuns: 60 },
    )
  })

  it('with bad lines take the good ones and say which were passed over', () => {
    expect(readPalette('GIMP Palette\nName: x\n#\n255 0 0 Red\n300 0 0 Too bright\nnonsense\n')).toEqual({
      swatches: [{ name: 'Red', colour: '#ff0000' }],
      notes: ['Line 5 holds no colour and was passed over.', 'Line 6 holds no colour and was passed over.'],
    })
    expect(readPalette('name,colour\nRed,#ff0000\nNone,\n').notes).toHaveLength(1)
  })

  it.each([
    ['nothing', ''],
    ['another file', '<svg/>'],
    ['no colour', 'GIMP Palette\n#\n'],
  ])('of %s are refused with a sentence', (_what, text) =>
    expect(() => readPalette(text)).toThrow(/palette/i),
  )
})

describe('the bridge ladder', () => {
  const ladder = bridgeLadder()

  it('has a bridge of every width it names, and nothing falls out', () => {
    const a = analyse(ladder, 4.2)
    const widths = a.bridges.map(b => b.width)
    for (const mm of LADDER_MM)
      expect(Math.min(...widths.map(w => Math.abs(w - mm))), `${mm} mm`).toBeLessThan(0.01)
    expect(a.bridge!.width).toBeCloseTo(0.3, 6)
    expect(a.islands).toEqual([])
  })

  it('fits A4 and leaves as a file of its true size', () => {
    expect(ladder.width).toBeLessThan(198)
    expect(ladder.height).toBeLessThan(260)
    expect(readSvg(sheetSvg(ladder, 'Ladder')).sheet.openings).toHaveLength(ladder.openings.length)
  })
})

describe('the test on the hand', () => {
  it('says what each wetness looks like, and draws it', () => {
    for (const w of WETNESSES) expect(Object.values(HAND_TEST[w]).every(s => s.length > 15)).toBe(true)
    const dark = WETNESSES.map(w => {
      const { rgba } = handPrint(TOOLS.makeup, EDGE_SPREAD.makeup[w], w, '#d9a98a', 60)
      return rgba.reduce((n, v, i) => n + (i % 4 === 1 && v < 110 ? 1 : 0), 0)
    })
    // A chalky print is broken, a runny one creeps farthest.
    expect(dark[0]).toBeLessThan(0.8 * dark[1]!)
    expect(dark[3]).toBeGreaterThan(1.2 * dark[0]!)
  })
})
