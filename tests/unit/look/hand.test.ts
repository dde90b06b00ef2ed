import { describe, expect, it } from 'vitest'
import { shelf } from '../../../demo/shelf'
import { paints } from '../../../demo/paints'
import { closedBridges, findingsOf } from '#core/checks'
import { lookSvg } from '#core/formats'
import { ellipsePoints, intersection, regionOf, ringCentroid, type Point, type Polygon } from '#core/geometry'
import {
  hostsIn,
  areaOf,
  aroundSpines,
  atSoThat,
  coverOf,
  flipTogether,
  freshDots,
  freshGlitter,
  freshLine,
  freshLook,
  freshOutline,
  freshSheet,
  groundFor,
  halfTurnAbout,
  kindOf,
  laidOf,
  liesAt,
  movedTo,
  NO_TWIN,
  passLoads,
  placementOf,
  placementsOf,
  printedMiddle,
  proposedFit,
  registerFit,
  registerMeets,
  sourceRings,
  spoiltShares,
  spreadOf,
  withSteps,
} from '#core/look'
import type { LineStep, Look, Pass, SheetStep, Step, World } from '#core/look'
import { emptySpots } from '#core/raster'
import { groundOf, keptWords, PLAIN_FACE, zoneSpot } from '#core/skin'
import { prepared, fitsFor, type Candidate, type Stencil } from '#core/stencil'
import { ground, MIDLINE, paint, sheets, world } from '../world'

const soot = paint('soot')
const FOCUS: Point = [0, 0]
const sheet = (stencil: string, at: Point, more: Partial<SheetStep> = {}): SheetStep => ({
  ...freshSheet('s', 'Stencil', stencil, at, soot),
  ...more,
})
const pass = (more: Partial<Pass>): Pass => ({
  ...freshSheet('x', 'x', 'scales', [0, 0], soot).passes[0]!,
  ...more,
})
const chosen = (...numbers: number[]): Pass['openings'] => ({ use: 'chosen', numbers })
const within = (steps: readonly Step[], w: World = world): World => ({ ...w, ...hostsIn(steps) })
const arm = groundOf({ kind: 'arm', part: 'forearm', side: 'left', measures: null }, 30)

/** An even sheet: two discs beside its upright axis. */
const PAIR = prepared({
  id: 'pair',
  name: 'Pair',
  kind: 'motif',
  axes: [0],
  width: 40,
  height: 20,
  outline: Float64Array.from([-20, -10, 20, -10, 20, 10, -20, 10]),
  openings: [-10, 10].map((x): Polygon => ({
    outer: Float64Array.from(ellipsePoints(x, 0, 3, 3, 0.02)),
    holes: [],
  })),
})
const paired: World = { ...world, stencil: id => (id === 'pair' ? PAIR : sheets.get(id)) }

describe('what goes around a twin', () => {
  const host = sheet('pair', [40, 30], { twin: MIDLINE, passes: [pass({ openings: chosen(1) })] })
  it('follows the openings that the twin itself prints', () => {
    const rings = sourceRings(
      { use: 'step', step: 's', openings: [1] },
      'l',
      within([host, { ...freshLine('l', 'line', [0, 0], soot, ground, FOCUS) }], paired),
    )
    const xs = rings.map(r => ringCentroid(r)[0]).sort((a, b) => a - b)
    expect(xs).toHaveLength(2)
    // The outer disc of each, as in a mirror.
    expect(xs[0]!).toBeCloseTo(-xs[1]!, 1)
    expect(xs[1]!).toBeGreaterThan(44)
    const printed = kindOf(host)
      .prints(host, { ...paired, flat: true })
      .flatMap(p => p.rings)
    const middles = printed.map(r => ringCentroid(r)[0]).sort((a, b) => a - b)
    expect(xs[0]!).toBeCloseTo(middles[0]!, 1)
  })

  it('goes around nothing that is not printed', () => {
    expect(
      sourceRings(
        { use: 'step', step: 's', openings: [0] },
        'l',
        within([host, freshLine('l', 'line', [0, 0], soot, ground, FOCUS)], paired),
      ),
    ).toEqual([])
  })

  it('is not cancelled where a print and its mirror image overlap', () => {
    const over = sheet('heart-crest', [4, -34], { twin: MIDLINE })
    const steps = [over, freshLine('l', 'line', [0, 0], soot, ground, FOCUS)]
    const w = within(steps)
    const alone = areaOf(coverOf({ ...over, twin: NO_TWIN } as Step, world).region)
    const joint = regionOf(sourceRings({ use: 'step', step: 's', openings: null }, 'l', w), 'nonzero')
    expect(areaOf(joint)).toBeGreaterThan(alone)
    expect(
      aroundSpines(
        'outline',
        { use: 'step', step: 's', openings: null },
        { press: 40, distance: 1 },
        'round2',
        'l',
        w,
      ).length,
    ).toBeGreaterThan(0)
    // A dot in the overlap lies on paint, so no patch is empty there.
    const middle = ringCentroid(joint[0]!.outer)
    for (const spot of emptySpots([over, freshDots('d', 'row', [40, -60], null, soot, ground, FOCUS)], world))
      expect(Math.hypot(spot.at[0] - middle[0], spot.at[1] - middle[1])).toBeGreaterThan(1)
  })
})

describe('turning over', () => {
  const band = (points: [number, number][], dark: LineStep['dark']): LineStep => ({
    ...freshLine('b', 'band', [30, 30], soot, ground, FOCUS),
    points,
    dark,
    load: { kind: 'double', light: paint('gull'), dark: soot },
  })
  /** Whether the dark edge lies farther from the focal point than the light one. */
  const outward = (step: LineStep): boolean => {
    const prints = kindOf(step).prints(step, { ...world, flat: true, quick: true })
    const far = (i: number) => Math.hypot(...ringCentroid(prints.at(i)!.rings[0]!))
    return far(-1) > far(0)
  }
  it.each<[string, [number, number][]]>([
    [
      'level',
      [
        [20, 40],
        [38, 44],
        [56, 40],
      ],
    ],
    [
      'upright',
      [
        [60, -10],
        [64, 10],
        [60, 30],
      ],
    ],
    [
      'slanting',
      [
        [20, -50],
        [40, -44],
        [56, -30],
      ],
    ],
  ])('keeps the dark of a %s band outward', (_name, points) => {
    const dark = (['left', 'right'] as const).find(d => outward(band(points, d)))!
    const alone = structuredClone(band(points, dark))
    flipTogether([alone], world, FOCUS)
    expect(outward(alone)).toBe(true)
    const many = [
      structuredClone(band(points, dark)),
      structuredClone({ ...freshDots('d', 'row', [30, 20], null, soot, ground, FOCUS) }),
    ]
    flipTogether(many, world, FOCUS)
    expect(outward(many[0] as LineStep)).toBe(true)
  })

  it('takes stencils along, to their other side, in place', () => {
    const a = structuredClone(sheet('feather', [30, -30], { id: 'a', tilt: 20 }))
    const b = structuredClone(freshLine('l', 'teardrop', [50, -30], soot, ground, FOCUS))
    flipTogether([a, b], world, FOCUS)
    expect([a.side, a.tilt]).toEqual(['B', -20])
    expect(a.at[0]).toBeGreaterThan(40)
    flipTogether([a, b], world, FOCUS)
    expect([a.side, a.tilt]).toEqual(['A', 20])
    expect(a.at[0]).toBeCloseTo(30, 0)
  })

  it('a base drawn on one side has its dark outward on both', () => {
    const base: Step = {
      ...freshOutline('w', 'w', [44, 40], [paint('gull'), soot], ground),
      axis: { kind: 'line' as const, from: [24, 40] as [number, number], to: [64, 40] as [number, number] },
      twin: { ...NO_TWIN, rule: 'midline', own: null },
    }
    const [own, twin] = kindOf(base)
      .prints(base, world)
      .map(p => p.axis!)
    expect(own).toMatchObject({ kind: 'line', from: [24, 40], to: [64, 40] })
    if (twin?.kind === 'line') expect([twin.from[0], twin.to[0]]).toEqual([-24, -64])
    else throw new Error('The twin has no line.')
  })
})

describe('what is printed is the pivot', () => {
  const part = sheet('star-set', [20, -30], { passes: [pass({ openings: chosen(0) })] })
  it('of turns, whatever is left of the stencil', () => {
    const m = printedMiddle(part, world)
    expect(Math.hypot(...m)).toBeGreaterThan(5)
    const there = liesAt(m, placementOf(part), ground)
    for (const tilt of [40, -90, 170]) {
      const at = atSoThat(m, there, { tilt, side: 'A' }, ground)
      const now = liesAt(m, { at, tilt, side: 'A', grip: [0, 0] }, ground)
      expect(Math.hypot(now[0] - there[0], now[1] - there[1])).toBeLessThan(0.15)
    }
    expect(printedMiddle(sheet('heart-crest', [0, -30]), world)).toEqual([0, 0])
  })

  it('of half a turn on an arm: the focal point', () => {
    const w: World = { ...world, ground: arm }
    const a = sheet('swirl-small', [-10, -60], { id: 'a' })
    const about = halfTurnAbout(a, [0, -18], w)
    expect(about).toEqual([0, -18])
    const turned: SheetStep = { ...a, twin: { rule: 'turn', about, own: null } }
    const [own, twin] = laidOf(turned, w).map(l => l.point([0, 0]))
    expect((own![0] + twin![0]) / 2).toBeCloseTo(about[0], 0)
    expect((own![1] + twin![1]) / 2).toBeCloseTo(about[1], 0)
    // Alone it goes to the other edge instead of onto itself.
    const alone = halfTurnAbout(sheet('swirl-small', [25, -40]), [25, -40], w)
    expect(alone[0]).toBe(0)
  })
})

describe('passes of one stencil', () => {
  const gaps = null
  it('creep more over a pass that is runny, and no more over thin dry layers', () => {
    const over = (wetness: Pass['wetness']) => {
      const step = sheet('scales', [0, -34], { passes: [pass({ wetness }), pass({})] })
      return spreadOf(step, step.passes[1]!, [0], gaps, world, 1)[0]!
    }
    expect(over('runny')).toBeGreaterThan(2 * over('tacky'))
    expect(over('chalky')).toBe(over('tacky'))
    const elsewhere = sheet('scales', [0, -34], {
      passes: [pass({ wetness: 'runny', openings: chosen(3) }), pass({ openings: chosen(0) })],
    })
    expect(spreadOf(elsewhere, elsewhere.passes[1]!, [0], gaps, world, 1)[0]).toBe(over('tacky'))
  })

  it('close bridges between an opening of the one and an opening of the other', () => {
    const known = sheets.get('scales')!
    const wet = { wetness: 'runny' as const, tool: 'openCell' as const }
    const even = known.openings.map((_, n) => n).filter(n => n % 2 === 0)
    const odd = known.openings.map((_, n) => n).filter(n => n % 2)
    const step = sheet('scales', [0, -34], {
      passes: [pass({ ...wet, openings: chosen(...even) }), pass({ ...wet, openings: chosen(...odd) })],
    })
    const all = sheet('scales', [0, -34], { passes: [pass(wet)] })
    const counts = step.passes.map((p, i) => closedBridges(step, p, known, world, i).closed.length)
    const whole = closedBridges(all, all.passes[0]!, known, world).closed.length
    expect(counts[1]).toBeGreaterThan(counts[0]!)
    expect(counts[0]! + counts[1]!).toBeGreaterThanOrEqual(0.9 * whole)
  })

  it('are checked on stencils of more than 900 openings too', () => {
    const dots = Array.from({ length: 1000 }, (_, i): Polygon => ({
      outer: Float64Array.from(
        ellipsePoints(((i % 40) - 19.5) * 2.4, (Math.floor(i / 40) - 12) * 2.4, 1, 1, 0.05),
      ),
      holes: [],
    }))
    const many = prepared({
      id: 'many',
      name: 'Many',
      kind: 'texture',
      width: 104,
      height: 68,
      outline: Float64Array.from([-52, -34, 52, -34, 52, 34, -52, 34]),
      openings: dots,
    })
    const w: World = { ...world, stencil: () => many }
    const step = sheet('many', [0, -34], { passes: [pass({ wetness: 'runny', tool: 'openCell' })] })
    expect(closedBridges(step, step.passes[0]!, many, w).closed.length).toBeGreaterThan(500)
  })

  it('take as many loads on the card as in the finding', () => {
    const step = sheet('honeycomb', [20, -34], {
      twin: MIDLINE,
      passes: [pass({ tool: 'point', dabs: 9, charge: 0.6 })],
    })
    const known = sheets.get('honeycomb')!
    const each = passLoads(step.passes[0]!, known, world)
    expect(kindOf(step).effort(step, world).loads).toBe(2 * each)
    const look: Look = { ...freshLook('l', 'L'), steps: [step] }
    const found = findingsOf(
      look,
      withSteps({ ...world, ground: groundFor(look) }, look.steps),
      paints,
      [],
      '2026-06-01',
    ).find(f => f.check === 'reload')!
    expect(found.title).toBe(`${each} loads for this colour layer on each side`)
  })
})

describe('files and other canvases', () => {
  it('an SVG fills strokes where they cross, and keeps the colour of glitter', () => {
    const loop: Step = {
      ...freshLine('l', 'line', [0, 0], soot, ground, FOCUS),
      points: [
        [-20, 0],
        [10, 20],
        [20, 0],
        [-10, 20],
      ],
    }
    const dust: Step = {
      ...freshGlitter('g', 'patch', [0, -50], null, ground),
      colour: { name: 'Sea dust', colour: '#5CC0D6' },
    }
    const svg = lookSvg({ ...freshLook('l', 'L'), steps: [loop, dust] }, world)
    expect(svg).not.toContain('evenodd')
    expect(svg.match(/fill-rule="nonzero"/g)!.length).toBeGreaterThan(1)
    expect(svg.toLowerCase()).toContain('fill="#5cc0d6"')
  })

  it('named groups count when a look moves, and nothing is "NaN %"', () => {
    const scales = { ...sheets.get('scales')!, groups: [{ name: 'few', openings: [0, 1] }] }
    const w: World = { ...world, stencil: () => scales }
    const step = sheet('scales', [0, -62], { passes: [pass({ openings: { use: 'group', name: 'few' } })] })
    const part = spoiltShares(step, placementOf(step), w)
    const whole = spoiltShares(sheet('scales', [0, -62]), placementOf(step), w)
    expect(part.beside).not.toBeCloseTo(whole.beside, 3)
    const gone = sheet('scales', [0, -62], { passes: [pass({ openings: { use: 'group', name: 'gone' } })] })
    expect(spoiltShares(gone, placementOf(gone), w)).toEqual({ beside: 0, spoilt: [], share: 0 })
    const moved = movedTo(
      { ...freshLook('l', 'L'), steps: [gone, { ...step, id: 't' }] },
      { ...PLAIN_FACE, nudges: {} },
      4,
      () => scales,
    )
    moved.misfits.forEach(m => expect(m.sentence).not.toMatch(/NaN/))
  })
})

describe('what fits', () => {
  const drawer: (Candidate & Stencil)[] = shelf.map(d => ({
    ...d,
    axes: [],
    bridge: null,
    ...sheets.get(d.id)!,
  }))
  it.each(['forehead', 'right.cheek', 'left.temple', 'left.lid', 'muzzle', 'nose'] as const)(
    'is proposed for the %s only where it lies on the spot, on skin and on nothing that must stay free',
    zone => {
      const spot = zoneSpot(ground, zone)!
      const fits = fitsFor(
        { ...spot, keepOuts: ground.keepOuts, focus: FOCUS, zone: zone.split('.').at(-1)! },
        drawer,
      )
      const proposed = fits.flatMap(
        s =>
          proposedFit(
            s,
            drawer.find(d => d.id === s.id)!,
            spot.ring,
            ground,
          ) ?? [],
      )
      if (zone === 'forehead' || zone === 'right.cheek') expect(proposed.length).toBeGreaterThan(2)
      for (const fit of proposed) {
        const step = sheet(fit.id, fit.at, {
          tilt: fit.tilt,
          side: fit.side,
          passes: [pass({ openings: fit.openings ? chosen(...fit.openings) : { use: 'all' } })],
        })
        const cover = coverOf(step, world)
        const all = areaOf(cover.region)
        for (const k of ground.keepOuts)
          expect(cover.area(regionOf([k.ring], 'nonzero')), `${fit.id} over ${keptWords(k)}`).toBeLessThan(
            0.6,
          )
        const skin = areaOf(
          intersection(
            cover.region as Polygon[],
            ground.extent.map((outer): Polygon => ({ outer, holes: [] })),
          ),
        )
        expect(skin / all, `${fit.id} on skin`).toBeGreaterThan(0.97)
        expect(placementsOf(step, world)).toHaveLength(1)
      }
    },
  )
})

describe('a register', () => {
  it('is told when what both stencils dab never meets', () => {
    const host = sheets.get('diamonds')!
    const fit = registerFit(host, host, 'openings', { turn: 0, shift: [0, 0] })
    const all = new Set(host.openings.keys())
    if (typeof fit === 'string') throw new Error(fit)
    expect(registerMeets(host, host, { host: all, guest: all }, 'openings', fit)).toBe(host.openings.length)
    expect(
      registerMeets(
        host,
        host,
        { host: new Set([0]), guest: new Set([host.openings.length - 1]) },
        'openings',
        fit,
      ),
    ).toBe(0)
  })
})
