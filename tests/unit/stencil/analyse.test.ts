import { describe, expect, it } from 'vitest'
import { ringOf, type Point, type Polygon } from '#core/geometry'
import { ellipsePoints } from '../../../core/geometry/flatten'
import {
  analyse,
  assembleSheet,
  readSvg,
  samplePoints,
  fitsFor,
  summaryOf,
  type Candidate,
  type SheetGeometry,
} from '#core/stencil'
import { discAt } from '#core/skin'
import { ground, sheets } from '../world'

const disc = (x: number, y: number, r: number): Polygon => ({
  outer: Float64Array.from(ellipsePoints(x, y, r, r, 0.002)),
  holes: [],
})
const rect = (x: number, y: number, w: number, h: number): Polygon => ({
  outer: ringOf([
    [x, y],
    [x + w, y],
    [x + w, y + h],
    [x, y + h],
  ]),
  holes: [],
})
const on = (openings: Polygon[], w = 120, h = 80): SheetGeometry =>
  assembleSheet(
    openings,
    ringOf([
      [-w / 2, -h / 2],
      [w / 2, -h / 2],
      [w / 2, h / 2],
      [-w / 2, h / 2],
    ]),
  )

describe('bridges and slots', () => {
  it('measures two openings 0.3 mm apart, and says where', () => {
    const a = analyse(on([rect(-20, -5, 20, 10), rect(0.3, -5, 20, 10)]))
    expect(a.bridge!.width).toBeCloseTo(0.3, 6)
    expect([a.bridge!.from[0], a.bridge!.to[0]].sort((p, q) => p - q)).toEqual([0, 0.3])
    expect(a.bridge!.openings).toEqual([0, 1])
  })

  it('finds the bridge between two stretches of one opening', () => {
    // A C: a square ring 4 wide, its mouth closed by a tongue of sheet of 1.2 mm.
    const c: Polygon = {
      outer: ringOf([
        [-10, -10],
        [10, -10],
        [10, -0.6],
        [6, -0.6],
        [6, -6],
        [-6, -6],
        [-6, 6],
        [6, 6],
        [6, 0.6],
        [10, 0.6],
        [10, 10],
        [-10, 10],
      ]),
      holes: [],
    }
    const a = analyse(on([c]))
    expect(a.bridge!.width).toBeCloseTo(1.2, 6)
    expect(a.slot.width).toBeCloseTo(4, 6)
    expect(a.islands).toEqual([])
  })

  it('takes the neck of a dumb-bell, and no tapering tip, for its slot', () => {
    const bell: Polygon = {
      outer: ringOf([
        [-20, -8],
        [-4, -8],
        [-4, -1],
        [4, -1],
        [4, -8],
        [20, -8],
        [20, 8],
        [4, 8],
        [4, 1],
        [-4, 1],
        [-4, 8],
        [-20, 8],
      ]),
      holes: [],
    }
    expect(analyse(on([bell])).slot.width).toBeCloseTo(2, 6)
    const leaf: Polygon = {
      outer: ringOf([
        [-20, 0],
        [0, -5],
        [20, 0],
        [0, 5],
      ]),
      holes: [],
    }
    // The largest disc in a rhombus of half axes 20 and 5 has the radius 20 * 5 / hypot(20, 5).
    expect(analyse(on([leaf])).slot.width).toBeCloseTo(200 / Math.hypot(20, 5), 1)
  })

  it('lists the bridges below a width, narrowest first', () => {
    const row = [0, 1, 2, 3].map(i => disc(-30 + 20 * i + i * i * 0.25, 0, 9))
    const a = analyse(on(row), 3)
    expect(a.bridges.map(b => +b.width.toFixed(2))).toEqual([2.25, 2.75])
    expect(analyse(on(row), 1).bridge!.width).toBeCloseTo(2.25, 2)
  })

  it('measures the edge margin', () => {
    expect(analyse(on([rect(-56, -10, 10, 10)])).margin).toEqual({ width: 4, opening: 0 })
  })
})

describe('islands', () => {
  const read = (body: string) =>
    readSvg(
      `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100"><g fill-rule="evenodd">${body}</g></svg>`,
    ).sheet

  it('finds the piece inside a ring, and what is cut from it', () => {
    const a = analyse(
      read('<path d="M10 10h60v60h-60zM20 20h40v40h-40z"/><rect x="30" y="30" width="10" height="10"/>'),
    )
    expect(a.islands).toHaveLength(1)
    expect(a.islands[0]!.area).toBeCloseTo(1600 - 100, 3)
  })

  it('finds pieces inside pieces', () => {
    const a = analyse(
      read('<path d="M10 10h80v80h-80zM20 20h60v60h-60zM30 30h40v40h-40zM40 40h20v20h-20z"/>'),
    )
    expect(a.islands.map(i => Math.round(i.area))).toEqual([3600 - 1600, 400])
  })
})

describe('symmetry and lattice', () => {
  const gon = (n: number, r: number, turn = 0): Point[] =>
    Array.from({ length: n }, (_, i) => [
      r * Math.sin((2 * Math.PI * i) / n + turn),
      -r * Math.cos((2 * Math.PI * i) / n + turn),
    ])

  it('counts the axes of a rosette of discs', () => {
    const { symmetry } = analyse(on(gon(5, 20, 0.2).map(([x, y]) => disc(x, y, 4))))
    expect(symmetry.axes).toHaveLength(5)
    expect(symmetry.turns.map(t => t.order)).toEqual([5])
    expect(
      symmetry.axes.every(
        a => a.iou > 0.97 && Math.abs(((((a.angle - (0.2 * 180) / Math.PI) % 36) + 54) % 36) - 18) < 0.6,
      ),
    ).toBe(true)
  })

  it('finds turns without axes in a pinwheel, and neither in a lone hook', () => {
    const hook = (turn: number): Polygon => {
      const c = Math.cos(turn)
      const s = Math.sin(turn)
      return {
        outer: ringOf(
          (
            [
              [4, -2],
              [20, -2],
              [20, -10],
              [24, -10],
              [24, 2],
              [4, 2],
            ] as Point[]
          ).map(([x, y]): Point => [c * x - s * y, s * x + c * y]),
        ),
        holes: [],
      }
    }
    const wheel = analyse(
      on(
        [0, 1, 2, 3].map(k => hook((k * Math.PI) / 2)),
        90,
        90,
      ),
    ).symmetry
    expect([wheel.axes.length, wheel.turns.map(t => t.order)]).toEqual([0, [2, 4]])
    expect(analyse(on([hook(0.3)])).symmetry).toMatchObject({ axes: [], turns: [] })
  })

  it('reads the lattice of diamonds and of their crosses alike, so that they register', () => {
    const [a, b] = ['diamonds', 'crosses'].map(id => analyse(sheets.get(id)!).lattice!)
    for (const lattice of [a!, b!]) {
      expect([lattice.a, lattice.b].map(v => v.map(Math.abs).map(x => +x.toFixed(3)))).toEqual([
        [5, 7.5],
        [5, 7.5],
      ])
      expect(lattice.residual).toBeLessThan(0.01)
    }
    const middles = (id: string) =>
      sheets
        .get(id)!
        .openings.map(o =>
          o.outer.reduce(
            (s, v, i) => {
              s[i % 2]! += (2 * v) / o.outer.length
              return s
            },
            [0, 0],
          ),
        )
        .map(p => p.map(v => v.toFixed(1)).join())
    expect(new Set(middles('crosses'))).toEqual(new Set(middles('diamonds')))
  })

  it('finds none in bubbles, nor in a halftone that fades', () => {
    for (const id of ['bubbles', 'halftone', 'rosettes', 'moth'])
      expect(analyse(sheets.get(id)!).lattice, id).toBeNull()
  })
})

describe('the demo stencils can be cut', () => {
  it.each([...sheets.keys()].filter(id => id !== 'wheel-draft'))('%s', id => {
    const s = summaryOf(analyse(sheets.get(id)!))
    expect(s.islands).toBe(0)
    expect(s.bridge ?? 9).toBeGreaterThanOrEqual(0.7)
    expect(s.slot).toBeGreaterThanOrEqual(0.4)
    expect(s.margin).toBeGreaterThanOrEqual(3)
  })

  it('but for the draft, which is there to be mended', () =>
    expect(analyse(sheets.get('wheel-draft')!).islands).toHaveLength(2))
})

it('proposes groups by size and shape', () => {
  const { groups } = analyse(
    on([disc(-40, 0, 6), disc(-20, 0, 6), disc(0, 0, 2), disc(8, 0, 2), rect(20, -1, 30, 2)]),
  )
  expect(groups.map(g => g.openings)).toEqual([[0, 1], [4], [2, 3]])
  expect(groups.map(g => g.name)).toEqual(['medium dots', 'medium lines', 'small dots'])
})

it('tells how far it is', () => {
  const said: number[] = []
  analyse(sheets.get('scales')!, 2, (_words, done) => said.push(done))
  expect(said.length).toBeGreaterThan(3)
  expect([...said].sort((a, b) => a - b)).toEqual(said)
})

describe('what fits', () => {
  const candidates: Candidate[] = [...sheets.values()].map(s => ({
    ...s,
    heading: 0,
    axes: analyse(s).symmetry.axes.map(a => a.angle),
    bridge: 1,
    zones: s.id === 'crown-crest' ? ['forehead'] : [],
  }))
  const free = [...ground.keepOuts]

  it('lays crests upright on the midline of the forehead', () => {
    const fits = fitsFor(
      { ring: ground.zone('forehead')!, even: true, keepOuts: free, focus: [0, 0], zone: 'forehead' },
      candidates,
    )
    const crown = fits.find(s => s.id === 'crown-crest')!
    expect(crown.at[0]).toBe(0)
    expect(Math.abs(crown.tilt)).toBeLessThan(1)
    expect(crown.inside).toBeGreaterThan(0.9)
    expect(fits.indexOf(crown)).toBeLessThan(6)
    expect(crown.reasons.join()).toMatch(/made for the forehead.*even on the midline/)
    expect(fits.map(s => s.score)).toEqual([...fits.map(s => s.score)].sort((a, b) => b - a))
  })

  it('keeps off the eyes, and of a texture takes the openings inside', () => {
    const fits = fitsFor(
      { ring: ground.zone('right.cheek')!, even: false, keepOuts: free, focus: [0, 0], zone: 'cheek' },
      candidates,
    )
    expect(fits.slice(0, 5).every(s => s.kept < 0.01 || s.openings !== null)).toBe(true)
    const comb = fits.find(s => s.id === 'honeycomb')!
    expect(comb.openings!.length).toBeGreaterThan(10)
    expect(comb.openings!.length).toBeLessThan(95)
    expect(fits.find(s => s.id === 'lion-base')!.score).toBeLessThan(0.1)
  })

  it('ranks a stencil that fills a round spot above ones that are too large for it', () => {
    const spot = {
      ring: discAt([45, 45], 12),
      even: false,
      keepOuts: free,
      focus: [0, 0] as Point,
      zone: null,
    }
    const small: Candidate = {
      ...on([disc(0, 0, 8)], 30, 30),
      id: 'small',
      kind: 'motif',
      zones: [],
      heading: null,
      axes: [],
      bridge: null,
    }
    const large: Candidate = { ...small, ...on([disc(0, 0, 25)], 70, 70), id: 'large' }
    expect(fitsFor(spot, [large, small]).map(s => s.id)).toEqual(['small', 'large'])
  })

  it('stops when it is told to', () => {
    let calls = 0
    fitsFor(
      { ring: discAt([0, -40], 20), even: true, keepOuts: [], focus: [0, 0], zone: null },
      candidates,
      () => ++calls < 3,
    )
    expect(calls).toBe(3)
  })

  it('stands for every stencil with enough points', () => {
    for (const s of sheets.values()) expect(samplePoints(s).length, s.id).toBeGreaterThan(30)
  })
})
