import { describe, expect, it } from 'vitest'
import { wrapDegrees, distance, type Point } from '#core/geometry'
import { BRUSHES, brushFilm, widthAt, type BrushId } from '#core/paint'
import {
  hostsIn,
  ageOf,
  AROUND_IDS,
  bearingOn,
  brushesFor,
  fillOf,
  FILLS,
  flippedHandles,
  dotsOf,
  flowOf,
  freshAround,
  freshDots,
  freshGem,
  freshGlitter,
  freshLine,
  freshLips,
  freshLook,
  freshSheet,
  gemsOf,
  paintsOf,
  kindOf,
  liesOf,
  lookSchema,
  movedTo,
  NO_TWIN,
  parseLook,
  STARTER_IDS,
  starterOf,
  suits,
  turnedHandles,
  usualHeading,
  type LineStep,
  type Look,
  type Step,
  type World,
} from '#core/look'
import { groundOf, onSkin, PLAIN_FACE, type Ground } from '#core/skin'
import { DOT_RUNS, SHAPE_IDS, shapeOf, usualParams } from '#core/stroke'
import { ground, MIDLINE, paint, world } from '../world'

const soot = paint('soot')
const gull = paint('gull')
const linked = { ...MIDLINE, own: null }
const lookOf = (steps: Step[], more: Partial<Look> = {}): Look => ({ ...freshLook('x', 'x'), ...more, steps })
const worldOf = (steps: Step[], on: Ground = ground): World => ({ ...world, ground: on, ...hostsIn(steps) })
const arm = groundOf({ kind: 'arm', part: 'forearm', side: 'right', measures: null }, 20)
const extent = (step: Step, w: World) =>
  kindOf(step)
    .prints(step, w)
    .flatMap(p => p.rings)
    .reduce(
      (b, r) => r.reduce((c, v, i) => (i % 2 ? c : [Math.min(c[0]!, v), Math.max(c[1]!, v)]), b),
      [Infinity, -Infinity],
    )

describe('every stroke', () => {
  it.each(SHAPE_IDS)('%s is laid, prints, is timed, and is read back as it was', shape => {
    for (const on of [ground, arm]) {
      const step = { ...freshLine('a', shape, [22, 20], soot, on, [0, 0]), twin: linked }
      const w = worldOf([step], on)
      const kind = kindOf(step)
      expect(step.points).toHaveLength(shapeOf(shape).usual.length)
      const prints = kind.prints(step, w)
      expect(
        prints.every(
          p => p.rings.length > 0 && p.rings.every(r => r.length >= 6 && r.every(Number.isFinite)),
        ),
      ).toBe(true)
      // Its twin is as far on the other side.
      const [least, most] = extent(step, w)
      expect(least! + most!).toBeCloseTo(0, 0)
      expect(kind.effort(step, w)).toMatchObject({ seconds: expect.any(Number), loads: expect.any(Number) })
      expect(kind.effort(step, w).seconds).toBeGreaterThan(2)
      expect(kind.lines(step, w).length).toBeGreaterThan(1)
      expect(kind.lays(step, w)[0]!.mg).toBeGreaterThan(0.05)
      expect(kind.boxes(step, w).length).toBeGreaterThan(0)
    }
    const look = lookOf([freshLine('a', shape, [22, 20], soot, ground, [0, 0])])
    const parsed = parseLook(JSON.parse(JSON.stringify(look)))
    expect(parsed).toEqual({ ok: true, look })
  })

  it.each(SHAPE_IDS.filter(s => shapeOf(s).flow === 'to'))(
    '%s ends toward the focal point when it is fresh',
    shape => {
      const step = freshLine('a', shape, [44, 40], soot, ground, [0, 0])
      const aimed = (focus: Point) => {
        const [p] = kindOf(step).pointers(step, worldOf([step]))
        return Math.abs(wrapDegrees(p!.heading! - bearingOn(ground, p!.at, focus)))
      }
      // A curve's end leans; whatever it leans, it points there and not away.
      expect(aimed([0, 0])).toBeLessThan(35)
      expect(aimed([88, 80])).toBeGreaterThan(90)
    },
  )

  it('is refused with a sentence that names the number, the handles or the host', () => {
    const say = (change: Partial<LineStep>) => {
      const parsed = parseLook(
        lookOf([{ ...freshLine('a', 'swirl', [20, 20], soot, ground, [0, 0]), ...change }]),
      )
      return parsed.ok ? 'taken' : parsed.errors[0]
    }
    expect(say({})).toBe('taken')
    expect(say({ params: { ...usualParams(shapeOf('swirl').params), turns: 9 } })).toContain(
      'needs "turns" (turns) from 0.5 to 3',
    )
    expect(say({ params: { ...usualParams(shapeOf('swirl').params), wobble: 1 } })).toContain(
      'has no number called "wobble"',
    )
    expect(say({ points: [[0, 0]] })).toContain('must have 3 points')
    expect(say({ of: { use: 'step', step: 'b', openings: null } })).toContain('must be null for this stroke')
    expect(say({ shape: 'outline', points: [], params: { press: 40, distance: 0 } })).toContain(
      'must name what it goes around',
    )
  })

  it('is no wider than its brush, and every shape has brushes that suit it', () => {
    for (const shape of [...SHAPE_IDS, ...AROUND_IDS]) expect(brushesFor(shape).length).toBeGreaterThan(1)
    for (const id of Object.keys(BRUSHES) as BrushId[]) {
      expect(widthAt(id, 0)).toBe(BRUSHES[id].least)
      expect(widthAt(id, 1)).toBeCloseTo(BRUSHES[id].most, 9)
      expect(brushFilm(id)).toBeGreaterThan(2)
    }
    const line = freshLine('a', 'line', [0, 20], soot, ground, [0, 0])
    for (const press of [10, 50, 100])
      expect(
        Math.max(...shapeOf('line').draw(line.points, { press, even: 0 }, 'round4')[0]!.widths),
      ).toBeLessThanOrEqual(widthAt('round4', press / 100) + 1e-9)
  })

  it('with a split cake or two colours lays strips that cover the whole width', () => {
    const one = { ...freshLine('a', 'band', [30, 20], soot, ground, [0, 0]) }
    const double: LineStep = { ...one, load: { kind: 'double', light: gull, dark: soot } }
    const cake: LineStep = {
      ...one,
      load: {
        kind: 'cake',
        cake: {
          ...soot,
          strips: [
            { name: 'a', colour: '#ffffff', width: 4 },
            { name: 'b', colour: '#888888', width: 8 },
            { name: 'c', colour: '#000000', width: 4 },
          ],
        },
      },
    }
    const [least, most] = extent(one, worldOf([one]))
    for (const step of [double, cake]) {
      const [a, b] = extent(step, worldOf([step]))
      expect(a).toBeCloseTo(least!, 6)
      expect(b).toBeCloseTo(most!, 6)
    }
    expect(kindOf(cake).prints(cake, worldOf([cake]))).toHaveLength(3)
    expect(kindOf(double).prints(double, worldOf([double])).length).toBeGreaterThan(5)
    expect(paintsOf(double)).toEqual([gull, soot])
  })
})

describe('lines and dots around something', () => {
  const host = freshSheet('host', 'Heart', 'heart-crest', [0, -30], soot)

  it('go around the print at a distance, and only around what comes before', () => {
    const near = {
      ...freshAround('o', 'outline', { use: 'step', step: 'host', openings: null }, soot),
      params: { press: 20, distance: 0.5 },
    }
    const far = { ...near, params: { press: 20, distance: 6 } }
    const [a, b] = extent(near, worldOf([host, near]))
    const [c, e] = extent(far, worldOf([host, far]))
    // The skin falls away there: seen from the front it is less than the 5.5 mm that it is on the skin.
    for (const d of [a! - c!, e! - b!]) {
      expect(d).toBeGreaterThan(3.5)
      expect(d).toBeLessThan(5.5)
    }
    expect(kindOf(near).prints(near, worldOf([near, host]))[0]!.rings).toHaveLength(0)
    expect(kindOf(near).prints(near, worldOf([near]))[0]!.rings).toHaveLength(0)
  })

  it('take chosen openings, or zones', () => {
    const some = freshAround('o', 'halfOutline', { use: 'step', step: 'host', openings: [0, 1] }, soot)
    const zones = freshAround('z', 'outline', { use: 'zones', zones: ['left.cheek'] }, soot)
    expect(kindOf(some).prints(some, worldOf([host, some]))[0]!.rings).toHaveLength(2)
    const [, most] = extent(zones, worldOf([zones]))
    expect(most).toBeLessThan(0)
    const dots = freshDots(
      'd',
      'around',
      [0, 0],
      { use: 'step', step: 'host', openings: null },
      gull,
      ground,
      [0, 0],
    )
    expect(kindOf(dots).prints(dots, worldOf([host, dots]))[0]!.rings.length).toBeGreaterThan(18)
    expect(kindOf(dots).lines(dots, worldOf([host, dots]))[0]!.text).toMatch(/dots around/)
  })
})

describe('dots, gems, glitter and lips', () => {
  it.each(DOT_RUNS)('%s: sizes run from the first to the last', run => {
    const step = freshDots('d', run, [20, 30], null, gull, ground, [0, 0])
    const sized = { ...step, params: { ...step.params, first: 5, last: 2 } }
    const sizes = dotsOf(sized, worldOf([sized]))[0]!.dots.map(d => d.size)
    expect(sizes.length).toBeGreaterThanOrEqual(3)
    // A ring comes back to where it began; every other run falls all the way.
    const half = run === 'ring' ? sizes.slice(0, Math.floor(sizes.length / 2) + 1) : sizes
    expect(half[0]).toBeCloseTo(5, 6)
    expect(Math.min(...half)).toBeLessThan(run === 'cluster' ? 3 : 2.1)
    half.slice(1).forEach((size, i) => expect(size).toBeLessThanOrEqual(half[i]! + 1e-9))
    expect(parseLook(lookOf([sized])).ok).toBe(true)
  })

  it('a gem throws a shade, its drop points, and its twin points the mirrored way', () => {
    const gem = { ...freshGem('g', [30, -20], 'drop'), heading: 40, twin: linked }
    expect(gemsOf(gem, world).map(g => g.heading)).toEqual([40, -40])
    const prints = kindOf(gem).prints(gem, worldOf([gem]))
    expect(prints.map(p => p.particles?.kind ?? 'film')).toEqual(['film', 'gem', 'film', 'gem'])
    expect(kindOf(gem).effort(gem, worldOf([gem])).seconds).toBe(12)
  })

  it.each(['patch', 'trail', 'outline', 'zones'] as const)('glitter as %s lies somewhere', area => {
    const step = freshGlitter('g', area, [20, 30], null, ground)
    const [print] = kindOf(step).prints(step, worldOf([step]))
    expect(print!.rings.length).toBeGreaterThan(0)
    expect(print!.particles).toMatchObject({ kind: 'flakes' })
    expect(parseLook(lookOf([step])).ok).toBe(true)
  })

  it('glitter over a print lies where that print is', () => {
    const host = freshSheet('host', 'Heart', 'heart-crest', [0, -30], soot)
    const step = { ...freshGlitter('g', 'print', [0, 0], 'host', ground) }
    expect(extent(step, worldOf([host, step]))[0]).toBeCloseTo(extent(host, worldOf([host]))[0]!, 1)
  })

  it('lips are painted on a face and are none on an arm', () => {
    const step = freshLips('l', [paint('rosehip')])
    expect(extent(step, worldOf([step]))[1]).toBeGreaterThan(20)
    expect(kindOf(step).prints(step, worldOf([step], arm))).toEqual([])
    expect(kindOf(step).lines(step, worldOf([step], arm))[0]!.text).toContain('none')
    const upper = { ...step, which: 'upper' as const }
    expect(kindOf(upper).lays(upper, world)[0]!.mg).toBeLessThan(kindOf(step).lays(step, world)[0]!.mg)
  })
})

describe('handles', () => {
  const at: Point[] = [
    [30, 20],
    [40, 30],
    [34, 44],
  ]
  it('turn by a whole turn onto themselves, and flip twice onto themselves', () => {
    let turned: Point[] = at
    for (let i = 0; i < 8; i++) turned = turnedHandles(turned, world, 45)
    turned.forEach((p, i) => expect(distance(p, at[i]!)).toBeLessThan(0.8))
    flippedHandles(flippedHandles(at, world), world).forEach((p, i) =>
      expect(distance(p, at[i]!)).toBeLessThan(0.3),
    )
  })
  it('have their twin across the midline, by features, or half a turn away', () => {
    expect(liesOf({ points: at, twin: { ...NO_TWIN, rule: 'midline' } }, ground)[1]).toEqual({
      points: at.map(([x, y]) => [-x, y]),
      mirror: true,
      twin: true,
    })
    expect(
      liesOf({ points: at, twin: { ...NO_TWIN, rule: 'features' } }, ground)[1]!.points[0]![0],
    ).toBeCloseTo(-30, 6)
    const half = liesOf({ points: [[10, -20]], twin: { ...NO_TWIN, rule: 'turn', about: [0, 0] } }, arm)[1]!
    expect(half.mirror).toBe(false)
    expect(distance(half.points[0]!, [-10, 20])).toBeLessThan(1.5)
    expect(liesOf({ points: at, twin: NO_TWIN }, ground)).toHaveLength(1)
  })
})

describe('direction', () => {
  const drop = (id: string, a: Point, b: Point): LineStep => ({
    ...freshLine(id, 'teardrop', a, soot, ground, [0, 0]),
    points: [[...a], [...b]] as [number, number][],
  })

  it('is 1 when all point at the focus, 0 when as many point away, and names what breaks it', () => {
    const to = (['a', 'b', 'c'] as const).map((id, i): LineStep =>
      freshLine(
        id,
        'teardrop',
        [
          [40, 30],
          [-38, 36],
          [0, -44],
        ][i] as [number, number],
        soot,
        ground,
        [0, 0],
      ),
    )
    const flow = flowOf({ steps: to, focus: [0, 0] }, worldOf(to))
    expect(flow.toward).toBeGreaterThan(0.97)
    expect(flow.together).toBeGreaterThan(0.97)
    expect(flow.words).toBe('all flows to one point')
    const away = to.map(s => ({ ...s, points: [...s.points].reverse() }))
    const both = flowOf(
      { steps: [...to, ...away.map(s => ({ ...s, id: `${s.id}2` }))], focus: [0, 0] },
      worldOf(to),
    )
    expect(Math.abs(both.toward)).toBeLessThan(0.05)
    expect(both.elements.filter(e => Math.abs(e.off) > 35).map(e => e.stepId)).toEqual(['a2', 'b2', 'c2'])
    expect(flowOf({ steps: [], focus: [0, 0] }, worldOf([]))).toMatchObject({ elements: [], cascade: null })
  })

  it('is put right by aiming, for strokes, stencils and gems', () => {
    const steps: Step[] = [
      drop('a', [40, 20], [48, 40]),
      freshSheet('s', 's', 'feather', [44, 40], soot),
      { ...freshGem('g', [30, 50], 'drop'), heading: 170 },
    ]
    const named = { ...worldOf(steps), stencil: (id: string) => ({ ...world.stencil(id)!, heading: 70 }) }
    const before = flowOf({ steps, focus: [0, 0] }, named)
    steps.forEach(s => kindOf(s).moves.aim(s, named, [0, 0]))
    const after = flowOf({ steps, focus: [0, 0] }, named)
    expect(before.toward).toBeLessThan(0.5)
    for (const e of after.elements) expect(Math.abs(e.off)).toBeLessThan(e.stepId === 's' ? 12 : 3)
  })

  it('of whiskers and petals is away from their root', () => {
    const fan: LineStep = {
      ...freshLine('w', 'whiskers', [30, 60], soot, ground, [0, 0]),
      points: [
        [26, 62],
        [60, 70],
      ],
    }
    const [e] = flowOf({ steps: [fan], focus: [0, 55] }, worldOf([fan])).elements
    expect(Math.abs(e!.off)).toBeLessThan(25)
  })

  it('of a fresh texture is down on the forehead and up toward the nose on the cheeks', () => {
    expect(usualHeading(ground, [0, -40], [0, 0])).toBe(180)
    expect(usualHeading(ground, [40, 50], [0, 0])).toBeCloseTo(bearingOn(ground, [40, 50], [0, 0]), 6)
    expect(Math.abs(usualHeading(ground, [40, 50], [0, 0]))).toBeLessThan(90)
  })

  it('sizes grow about their middle with every length', () => {
    const step = freshLine('a', 'fur', [30, 30], soot, ground, [0, 0])
    const before = step.params.length!
    const reach = distance(step.points[0]!, step.points[2]!)
    kindOf(step).moves.grow(step, worldOf([step]), 1.5)
    expect(step.params.length).toBeCloseTo(before * 1.5, 6)
    expect(distance(step.points[0]!, step.points[2]!) / reach).toBeCloseTo(1.5, 0)
  })
})

describe('fillings', () => {
  it.each(FILLS)('%s stay inside the patch that they fill', fill => {
    for (const [at, r] of [
      [[40, 48], 6],
      [[-30, 60], 10],
    ] as [Point, number][]) {
      const step = fillOf(fill, 'f', at, r, gull, ground, [0, 0])
      const w = worldOf([step])
      for (const ring of kindOf(step)
        .prints(step, w)
        .flatMap(p => p.rings))
        for (let i = 0; i < ring.length; i += 2)
          expect(distance([ring[i]!, ring[i + 1]!], at)).toBeLessThan(r * 1.06)
      expect(parseLook(lookOf([step])).ok).toBe(true)
    }
  })
})

describe('arrangements', () => {
  const palette = { dark: soot, light: gull, body: paint('mulberry'), accent: paint('lantern') }
  const faces: [string, Ground, number][] = [
    ['a child of 4', groundOf(PLAIN_FACE, 4), 4],
    ['a grown face', ground, 30],
    ['a broad face of 12', groundOf({ ...PLAIN_FACE, build: 'broad' }, 12), 12],
  ]

  it('are at least a dozen, each of its own', () => {
    expect(STARTER_IDS.length).toBeGreaterThanOrEqual(12)
    expect(new Set(STARTER_IDS.map(id => starterOf(id).words)).size).toBe(STARTER_IDS.length)
  })

  it.each(STARTER_IDS)('%s lies on the skin of every canvas that it suits, in one group', id => {
    const host = freshSheet('host', 'Heart', 'heart-crest', [0, -30], soot)
    for (const [name, on, age] of suits(starterOf(id), arm) && starterOf(id).on === 'arm'
      ? [['an arm', arm, 20] as [string, Ground, number]]
      : faces) {
      let n = 0
      const steps = starterOf(id).make({ ground: on, focus: [0, 0], palette, id: () => `s${n++}`, host })
      const all = starterOf(id).on === 'sheet' ? [host, ...steps] : steps
      const w = worldOf(all, on)
      expect(steps.length, name).toBeGreaterThan(1)
      expect(new Set(steps.map(s => s.group)).size).toBe(1)
      expect(
        lookSchema.safeParse(
          lookOf(all, { canvas: on.canvas as Look['canvas'], skin: { ...freshLook('x', 'x').skin, age } }),
        ).success,
        name,
      ).toBe(true)
      for (const step of steps) {
        expect(
          kindOf(step)
            .prints(step, w)
            .flatMap(p => p.rings).length,
          `${name}: ${step.label}`,
        ).toBeGreaterThan(0)
        if ('points' in step)
          for (const p of step.points)
            expect(onSkin(on, p as Point), `${name}: ${step.label} ${p}`).toBe(true)
      }
    }
  })

  it('bring nothing when there is no stencil to frame', () => {
    expect(starterOf('frame').make({ ground, focus: [0, 0], palette, id: () => 'a', host: null })).toEqual([])
  })
})

describe('brushwork on another canvas', () => {
  it('follows the landmarks, shrinks with the face, and says what has no place', () => {
    const steps: Step[] = [
      { ...freshLine('a', 'fur', [30, 40], soot, ground, [0, 0]), twin: linked },
      freshLips('l', [gull]),
      freshGem('g', [0, -20]),
    ]
    const look = lookOf(steps)
    const child = movedTo(look, PLAIN_FACE, 4, world.stencil).look.steps[0] as LineStep
    expect(child.params.length!).toBeLessThan((steps[0] as LineStep).params.length!)
    expect(child.points[0]![0]).toBeLessThan((steps[0] as LineStep).points[0]![0])
    const onArm = movedTo(
      look,
      { kind: 'arm', part: 'forearm', side: 'right', measures: null },
      30,
      world.stencil,
    )
    expect(onArm.misfits.map(m => m.sentence)).toEqual(['Lips: there are no lips on a right forearm.'])
    expect(parseLook(onArm.look).ok).toBe(true)
  })
})

describe('a sitting', () => {
  it("has the person's age where it was asked, else the face's", () => {
    const look = lookOf([])
    expect(ageOf(look)).toBe(30)
    expect(ageOf({ ...look, sitting: { ...look.sitting, age: 2 } })).toBe(2)
  })
})
