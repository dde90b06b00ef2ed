import { describe, expect, it } from 'vitest'
import { distance, type Point } from '#core/geometry'
import {
  acrossByFeatures,
  exactTwin,
  fingersOf,
  freshSheet,
  handlingsOf,
  kindOf,
  NO_TWIN,
  paintedOpenings,
  placementOf,
  placementsOf,
  registerFit,
  registeredPlacement,
  relationOf,
  settle,
  twinHandling,
  twinMiss,
  withoutFlip,
  type SheetStep,
  type Twin,
  type World,
} from '#core/look'
import { groundOf, layOn, PLAIN_FACE } from '#core/skin'
import { analyse, prepared } from '#core/stencil'
import { ground, MIDLINE, paint, sheets, world } from '../world'

/** The demo drawer with the axes of its sheets, and so many copies of each. */
const drawer = (copies = 1): World => {
  const known = new Map(
    [...sheets.values()].map(s => [
      s.id,
      prepared({
        ...s,
        copies,
        axes: ['scales', 'honeycomb', 'moth', 'heart-crest'].includes(s.id)
          ? analyse(s).symmetry.axes.map(a => a.angle)
          : [],
      }),
    ]),
  )
  return { ...world, stencil: id => known.get(id) }
}
const one = drawer()
const step = (stencil: string, at: Point, more: Partial<SheetStep> = {}): SheetStep => ({
  ...freshSheet('a', 'a', stencil, at, paint('soot')),
  ...more,
})
const FEATURES: Twin = { ...NO_TWIN, rule: 'features' }
/** Where some points of a sheet come to lie on the skin. */
const prints = (s: SheetStep, n: number, w: World) => layOn(w.ground.surface, placementsOf(s, w)[n]!)

describe('a twin', () => {
  it('of a stencil with a mirror axis needs no flip: same side, and the print is the mirror image all the same', () => {
    for (const [id, tilt] of [
      ['moth', 17],
      ['honeycomb', -33],
      ['scales', 62],
    ] as const) {
      const s = step(id, [28, -10], { tilt, twin: MIDLINE })
      const [own, twin] = placementsOf(s, one)
      const axis = one.stencil(id)!.axes![0]!
      expect(twin!.side).toBe(own!.side)
      expect(twinHandling(s, one)).toBe('as it is')
      // Every opening's middle of the twin lies where the mirror image of some opening of the sheet itself
      // lies.
      const openings = one.stencil(id)!.openings
      const middles = openings.map(o => [o.outer[0]!, o.outer[1]!] as Point)
      const there = middles.map(prints(s, 1, one).point)
      const here = middles.map(prints(s, 0, one).point)
      expect(Number.isFinite(axis)).toBe(true)
      const rims = openings.flatMap(o =>
        Array.from({ length: o.outer.length / 2 }, (_, i): Point =>
          prints(s, 1, one).point([o.outer[2 * i]!, o.outer[2 * i + 1]!]),
        ),
      )
      for (const [x, y] of here.slice(0, 12))
        expect(Math.min(...rims.map(p => distance(p, [-x, y])))).toBeLessThan(0.9)
      expect(there).toHaveLength(here.length)
    }
  })

  it('of a stencil without an axis lies on the other side and must be wiped first, or be a second copy', () => {
    const s = step('feather', [30, -10], { twin: MIDLINE })
    expect(placementsOf(s, one)[1]!.side).toBe('B')
    expect(twinHandling(s, one)).toBe('wipe and flip')
    expect(twinHandling(s, drawer(2))).toBe('second copy')
    expect(kindOf(s).lines(s, one).at(-1)!.text).toMatch(/^wipe and flip to side B/)
    expect(kindOf(s).lines(s, drawer(2)).at(-1)!.text).toMatch(/^second copy, flipped to side B/)
  })

  it('laid without a flip paints the mirrored openings', () => {
    const chosen = [0, 1, 2, 11]
    const s = step('honeycomb', [30, 10], { twin: MIDLINE })
    s.passes[0]!.openings = { use: 'chosen', numbers: chosen }
    const [own, twin] = paintedOpenings(s, one)
    const middle = (n: number, side: 0 | 1): Point => {
      const o = one.stencil('honeycomb')!.openings[n]!.outer
      let x = 0,
        y = 0
      for (let i = 0; i < o.length; i += 2) {
        x += o[i]! / (o.length / 2)
        y += o[i + 1]! / (o.length / 2)
      }
      return prints(s, side, one).point([x, y])
    }
    expect([...own!]).toEqual(chosen)
    for (const n of chosen) {
      const [x, y] = middle(n, 0)
      expect(Math.min(...[...twin!].map(t => distance(middle(t, 1), [-x, y])))).toBeLessThan(0.3)
    }
    const [print, image] = kindOf(s).prints(s, one)
    const box = (rings: readonly Float64Array[], k: 0 | 1) =>
      rings.flatMap(r => [...r].filter((_, i) => i % 2 === k))
    expect(Math.max(...box(print!.rings, 0))).toBeCloseTo(-Math.min(...box(image!.rings, 0)), 0)
  })

  it('by features goes where an uneven brow is', () => {
    const uneven = groundOf(
      {
        ...PLAIN_FACE,
        nudges: { 'left.browStart': [0, -4], 'left.browPeak': [0, -4], 'left.browTail': [0, -4] },
      },
      30,
    )
    const [x, y] = uneven.face!.landmarks.right.browPeak
    const s = step('feather', [x, y - 1], { twin: FEATURES })
    const there: World = { ...one, ground: uneven }
    expect(exactTwin(s, there)!.at[1]).toBeCloseTo(y - 1 - 4, 0)
    expect(exactTwin({ ...s, twin: MIDLINE }, there)!.at[1]).toBeCloseTo(y - 1, 9)
    // Far from the brow nothing changes.
    expect(acrossByFeatures(uneven.face!.landmarks, [30, 85])[1]).toBeCloseTo(85, 0)
  })

  it('by features of an even face is the exact mirror image', () => {
    const s = step('feather', [33, 21], { tilt: 40 })
    const a = exactTwin({ ...s, twin: FEATURES }, one)!
    const b = exactTwin({ ...s, twin: MIDLINE }, one)!
    expect(distance(a.at, b.at)).toBeLessThan(1e-6)
    expect(a.tilt).toBeCloseTo(b.tilt, 4)
  })

  it('of half a turn lies about its point, upside down, on the same side', () => {
    const arm = groundOf(
      { kind: 'arm', part: 'forearm', side: 'left', measures: { upper: 240, lower: 240, length: 240 } },
      30,
    )
    const s = step('feather', [25, -30], { tilt: 12, twin: { rule: 'turn', about: [0, -10], own: null } })
    const twin = exactTwin(s, { ...one, ground: arm })!
    expect(twin.at[0]).toBeCloseTo(-25, 3)
    expect(twin.at[1]).toBeCloseTo(10, 3)
    expect([twin.side, Math.round(twin.tilt)]).toEqual(['A', -168])
    expect(twinHandling(s, { ...one, ground: arm })).toBe('as it is')
  })

  it('that is unlinked keeps its own place, and tells how far it is from exact', () => {
    const s = step('feather', [30, -10])
    const exact = exactTwin({ ...s, twin: MIDLINE }, one)!
    const own = {
      at: [exact.at[0] + 2, exact.at[1]] as [number, number],
      tilt: exact.tilt + 3,
      side: exact.side,
      grip: [0, 0] as [number, number],
    }
    const free = { ...s, twin: { ...MIDLINE, own } }
    expect(placementsOf({ ...free, at: [40, 0] }, one)[1]).toEqual(own)
    expect(twinMiss(own, exact, null)).toEqual({
      mm: expect.closeTo(2, 9),
      degrees: expect.closeTo(3, 9),
      noticed: false,
    })
    expect(twinMiss({ ...own, at: [own.at[0] + 2, own.at[1]] }, exact, null).noticed).toBe(true)
    expect(twinMiss({ ...own, tilt: exact.tilt + 6 }, exact, null).noticed).toBe(true)
    expect(twinMiss({ ...own, side: 'A' }, exact, null).degrees).toBe(180)
  })

  it('turned over in place twice is where it was', () => {
    const axis = { angle: 23, centre: [3, -2] as const }
    const own = { at: [12, 9] as const, tilt: 31, side: 'B' as const, grip: [4, 1] as const }
    const back = withoutFlip(withoutFlip(own, axis), axis)
    expect(back.tilt).toBeCloseTo(31, 9)
    expect(back.side).toBe('B')
    expect(distance(back.grip!, own.grip)).toBeLessThan(1e-9)
  })
})

describe('what the hands do between', () => {
  const list = (steps: SheetStep[], copies = 1) =>
    handlingsOf(
      steps.map((s, i) => ({ ...s, id: `s${i}` })),
      drawer(copies),
    ).map(h => `${h.stepId}${h.twin ? ' twin' : ''}: ${h.what}`)

  it('is a wipe and a flip wherever the other side comes onto the skin', () => {
    expect(list([step('feather', [30, 0], { twin: MIDLINE })])).toEqual(['s0 twin: wipe and flip'])
    expect(
      list([step('feather', [30, 0]), step('feather', [20, 0], { side: 'B' }), step('feather', [20, 0])]),
    ).toEqual(['s1: wipe and flip', 's2: wipe and flip'])
    expect(list([step('feather', [30, 0]), step('moth', [0, 0], { side: 'B' })])).toEqual([])
  })

  it('is a second copy where the drawer has one, and then nothing more', () => {
    expect(
      list([step('feather', [30, 0], { twin: MIDLINE }), step('feather', [20, 0], { twin: MIDLINE })], 2),
    ).toEqual(['s0 twin: second copy'])
  })

  it('is nothing for a stencil that is its own mirror image', () => {
    expect(list([step('honeycomb', [30, 0], { twin: MIDLINE })])).toEqual([])
  })
})

describe('registering', () => {
  const host = one.stencil('diamonds')!
  const guest = one.stencil('crosses')!
  const fitted = (
    way: Parameters<typeof registerFit>[2],
    hint = { turn: 0, shift: [2, 1] as Point },
    a = host,
    b = guest,
  ) => {
    const fit = registerFit(a, b, way, hint)
    if (typeof fit === 'string') throw new Error(fit)
    return fit
  }

  it('puts a lattice on the bridges as well as on the openings, and tells how far it may slip', () => {
    const on = fitted('openings')
    const between = fitted('bridges')
    expect(on.residual).toBeLessThan(0.05)
    expect(between.residual).toBeLessThan(0.05)
    // Half a step lies between both.
    expect(distance(on.shift, between.shift)).toBeGreaterThan(2)
    expect(on.tolerance).toBeGreaterThan(between.tolerance)
    expect(between.tolerance).toBeGreaterThan(0.2)
  })

  it('takes the nearest of the equally good places', () => {
    const near = fitted('openings', { turn: 1, shift: [10.4, 0.3] })
    expect(distance(near.shift, [10, 0])).toBeLessThan(0.1)
    expect(Math.abs(near.turn)).toBeLessThan(0.1)
  })

  it('puts a motif into the middle of the opening that holds it', () => {
    const big = prepared({
      ...host,
      id: 'big',
      openings: [{ outer: Float64Array.from([-40, -40, 40, -40, 40, 40, -40, 40]), holes: [] }],
      axes: [0],
      heading: null,
    })
    const moth = prepared({ ...one.stencil('swirl-small')!, heading: null, axes: [] })
    const fit = fitted('motif', { turn: 0, shift: [5, 6] }, big, moth)
    expect(fit.residual).toBeLessThan(1e-9)
    expect(fit.tolerance).toBeGreaterThan(10)
  })

  it('lays stencils edge to edge, and lets a common pattern go on', () => {
    const { shift, residual } = fitted('edge', { turn: 2, shift: [90, 0] }, host, { ...host, id: 'again' })
    expect(shift[0]).toBeGreaterThan(80)
    // A whole number of the pattern's steps of 10 x 7.5 mm (half steps together).
    expect(Math.abs(shift[0] / 5 - Math.round(shift[0] / 5))).toBeLessThan(0.01)
    expect(residual).toBeLessThan(0.05)
    const other = fitted('edge', { turn: 0, shift: [0, 100] }, host, one.stencil('teeth-row')!)
    expect(other.shift[1]).toBeGreaterThan(40)
    expect(other.tolerance).toBe(2)
  })

  it('says in a sentence why stencils do not go together', () => {
    expect(registerFit(one.stencil('moth')!, guest, 'openings', { turn: 0, shift: [0, 0] })).toMatch(
      /no regular pattern to register on; try motif in motif/,
    )
    expect(registerFit(host, one.stencil('honeycomb')!, 'openings', { turn: 0, shift: [0, 0] })).toMatch(
      /patterns do not go together|too far apart/,
    )
    expect(registerFit(host, guest, 'openings', { turn: 0, shift: [300, 0] })).toMatch(/too far apart/)
  })

  it("reads how one stencil lies in another's frame, and lays it there again, on both sides", () => {
    for (const side of ['A', 'B'] as const) {
      const a = { at: [10, -20] as const, tilt: 33, side, grip: [2, -1] as const }
      const relation = { turn: 14, shift: [6, -9] as Point }
      const b = registeredPlacement(a, relation)
      const back = relationOf(a, b)!
      expect(back.turn).toBeCloseTo(14, 9)
      expect(distance(back.shift, relation.shift)).toBeLessThan(1e-9)
      // Both frames agree on the skin: the guest's origin lies where the relation says.
      const skin = ground.surface
      expect(distance(layOn(skin, b).point([0, 0]), layOn(skin, a).point(relation.shift))).toBeLessThan(1e-6)
    }
    expect(relationOf({ at: [0, 0], tilt: 0, side: 'A' }, { at: [0, 0], tilt: 0, side: 'B' })).toBeNull()
  })

  const pair = (): SheetStep[] => {
    const fit = fitted('openings')
    return [
      step('diamonds', [20, 10], { id: 'host', tilt: 12, twin: MIDLINE }),
      step('crosses', [0, 0], {
        id: 'guest',
        register: { on: 'host', way: 'openings', turn: fit.turn, shift: [fit.shift[0], fit.shift[1]] },
      }),
    ]
  }

  it('holds while the host moves, on the skin, and of both twins', () => {
    const steps = pair()
    settle(steps)
    for (const at of [
      [20, 10],
      [33, 22],
      [5, -30],
    ] as [number, number][]) {
      steps[0]!.at = at
      settle(steps)
      const [host, guest] = steps as [SheetStep, SheetStep]
      expect(guest.twin.rule).toBe('midline')
      placementsOf(host, one).forEach((place, i) => {
        const a = layOn(ground.surface, place)
        const b = layOn(ground.surface, placementsOf(guest, one)[i]!)
        const { turn, shift } = guest.register!
        expect(turn).toBeCloseTo(0, 1)
        // Nodes of the guest fall on the same skin as the host's openings that they are registered on.
        for (const p of [
          [0, 0],
          [15, -7.5],
          [-20, 15],
        ] as Point[])
          expect(distance(b.point(p), a.point([p[0] + shift[0], p[1] + shift[1]]))).toBeLessThan(0.1)
      })
    }
  })

  it('is let go when the host is gone or the steps hold one another', () => {
    const [, lone] = pair()
    settle([lone!])
    expect(lone!.register).toBeNull()
    const [a, b] = pair() as [SheetStep, SheetStep]
    a.register = { on: 'guest', way: 'motif', turn: 0, shift: [0, 0] }
    settle([a, b])
    expect([a.register, b.register].filter(Boolean).length).toBeLessThan(2)
  })

  it('leaves alone what holds already', () => {
    const steps = pair()
    settle(steps)
    const once = JSON.stringify(steps)
    settle(steps)
    expect(JSON.stringify(steps)).toBe(once)
    expect(placementOf(steps[1]!)).toMatchObject({ at: [20, 10] })
  })
})

it('lengths are told in fingers', () => {
  expect([3, 8, 16, 25, 48, 41].map(v => fingersOf(v, 16))).toEqual([
    'under ½ finger',
    '½ finger',
    '1 finger',
    '1½ fingers',
    '3 fingers',
    '2½ fingers',
  ])
})
