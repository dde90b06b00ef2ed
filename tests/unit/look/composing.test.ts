import { describe, expect, it } from 'vitest'
import { boxOf, distance, mix, type Point } from '#core/geometry'
import {
  applied,
  cardLines,
  featureSnaps,
  flowOf,
  fourFold,
  freshAround,
  freshGem,
  freshGlitter,
  freshGuide,
  freshLine,
  freshLook,
  freshSheet,
  groundFor,
  groupSteps,
  kindOf,
  liesOf,
  timesOf,
  nameGroup,
  parseLook,
  placeSheet,
  rideAlong,
  ridersOf,
  rimSnaps,
  shifted,
  snapAt,
  snapPointsOf,
  sparklesSchema,
  turned,
  ungroup,
  withSteps,
  type Command,
  type LineStep,
  type Look,
  type SheetStep,
  type SnapLine,
  type Step,
  type World,
} from '#core/look'
import { BRUSHES, linearOf } from '#core/paint'
import { layOn } from '#core/skin'
import { lengthOf, shapeOf, usualParams, type ShapeId } from '#core/stroke'
import { paints } from '../../../demo/paints'
import { ground, MIDLINE, paint, world as bare } from '../world'

const kit = new Map(paints.map(p => [p.id, p]))
const [soot, gull, plum] = ['soot', 'gull', 'plum'].map(paint) as [
  ReturnType<typeof paint>,
  ReturnType<typeof paint>,
  ReturnType<typeof paint>,
]
const worldOf = (...steps: Step[]): World => withSteps({ ...bare, paint: id => kit.get(id) }, steps)
const lookOf = (...steps: Step[]): Look => ({ ...freshLook('l', 'L'), steps })
const after = (look: Look, command: Command): Look => applied(look, command)
const stroke = (id: string, shape: ShapeId, at: Point = [30, 10]): LineStep =>
  freshLine(id, shape, at, soot, ground, [0, 0])
const spinesOf = (shape: ShapeId, params: Record<string, number>, handles: Point[]) =>
  shapeOf(shape).draw(handles, { ...usualParams(shapeOf(shape).params), ...params }, shapeOf(shape).brush)

describe('a curve drawn with a flat brush', () => {
  it.each(['line', 'swirl', 'cCurve', 'sCurve', 'scallops', 'teardrop'] as const)(
    '%s shows light and dark side by side along its way',
    shape => {
      expect(shapeOf(shape).forms).toEqual(expect.arrayContaining(['flat', 'angled', 'filbert']))
      const step: LineStep = {
        ...stroke('a', shape),
        brush: 'angled10',
        load: { kind: 'double', light: gull, dark: soot },
      }
      const read = parseLook(JSON.parse(JSON.stringify(lookOf(step))))
      expect(read.ok).toBe(true)
      const colours = kindOf(step)
        .prints(step, worldOf(step))
        .map(p => JSON.stringify(p.paints))
      expect(new Set(colours).size).toBeGreaterThan(4)
    },
  )
})

describe('the ends of a band', () => {
  const straight: Point[] = [
    [0, 0],
    [60, 0],
  ]
  const band = (start: number, end: number) => spinesOf('band', { start, end }, straight)[0]!
  const full = BRUSHES.flat13.most

  it('are set down and lifted each by itself', () => {
    const { widths } = band(1, 2)
    expect(widths[0]).toBeCloseTo(full, 6)
    expect(widths.at(-1)).toBeCloseTo(BRUSHES.flat13.least, 6)
    expect(Math.max(...widths)).toBeCloseTo(full, 6)
  })

  it('on a toe keep that edge straight, on the side that is asked for', () => {
    for (const [end, side] of [
      [3, -1],
      [4, 1],
    ] as const) {
      const { points, widths } = band(1, end)
      // The travel goes right, so that its left is up: y falls.
      const edges = points.map((p, i) => p[1] + (side * widths[i]!) / 2)
      expect(Math.max(...edges) - Math.min(...edges)).toBeLessThan(1e-6)
    }
  })

  it('with a flick go aside, and only there', () => {
    const { points } = band(1, 5)
    expect(points.at(-1)![1]).toBeLessThan(-5)
    expect(points.filter(p => p[0] < 35).every(p => Math.abs(p[1]) < 1e-9)).toBe(true)
    expect(band(1, 6).points.at(-1)![1]).toBeGreaterThan(5)
  })

  it('are as they were where nobody says how', () => {
    const usual = spinesOf('band', {}, straight)[0]!
    expect(usual.points.every(p => p[1] === 0)).toBe(true)
    expect(usual.widths[0]).toBeCloseTo(BRUSHES.flat13.least, 9)
    expect(usual.widths[0]).toBeCloseTo(usual.widths.at(-1)!, 9)
  })
})

describe('petals that fill a shape', () => {
  const rim: Point[] = [
    [0, -20],
    [20, 0],
    [0, 20],
    [-20, 0],
  ]
  const petals = (params: Record<string, number>) => spinesOf('petalFill', params, rim)

  it('reach its edge with the outer row, which is laid first, and stay within it', () => {
    const all = petals({ rows: 3 })
    const tips = all.map(s => distance(s.points.at(-1)!, [0, 0]))
    expect(tips[0]).toBeGreaterThan(19)
    expect(tips.every(r => r < 21)).toBe(true)
    expect(tips.at(-1)!).toBeLessThan(0.6 * tips[0]!)
    expect([...tips].sort((a, b) => b - a).map(Math.round)).toEqual(
      expect.arrayContaining([20, Math.round(tips.at(-1)!)]),
    )
  })

  it('are more where they are narrower, and leave the middle open where that is asked', () => {
    expect(petals({ wide: 3.5 }).length).toBeGreaterThan(1.6 * petals({ wide: 7 }).length)
    const nearest = (heart: number) =>
      Math.min(...petals({ heart }).flatMap(s => s.points.map(p => distance(p, [0, 0]))))
    expect(nearest(50)).toBeGreaterThan(nearest(0) + 6)
  })
})

describe('leaves on a stem', () => {
  const stem: LineStep = {
    ...stroke('stem', 'line'),
    points: [
      [-30, -45],
      [0, -52],
      [30, -45],
    ],
  }
  const leaves = (params: Record<string, number> = {}): LineStep => {
    const fresh = freshAround('leaves', 'leaves', { use: 'step', step: 'stem', openings: null }, plum)
    return { ...fresh, params: { ...fresh.params, ...params } }
  }
  const waysOf = (step: LineStep, host = stem) => kindOf(step).ways!(step, worldOf(host, step))

  it('stand one every so many mm, in turn on either side', () => {
    const found = waysOf(leaves({ every: 9 }))
    expect(found).toHaveLength(Math.round(lengthOf(waysOf(stem)[0]!) / 9))
    const above = found.map(way => way.at(-1)![1] < way[0]![1])
    expect(above.every((up, i) => i === 0 || up !== above[i - 1])).toBe(true)
  })

  it('stand in pairs, or on one side, where that is asked', () => {
    const n = waysOf(leaves()).length
    expect(waysOf(leaves({ sides: 1 }))).toHaveLength(2 * n)
    const left = waysOf(leaves({ sides: 2 }))
    expect(left.every(way => way.at(-1)![1] < way[0]![1])).toBe(true)
    expect(waysOf(leaves({ sides: 3 })).every(way => way.at(-1)![1] > way[0]![1])).toBe(true)
  })

  it('go where the stem goes, and onto its twin too', () => {
    const moved: LineStep = { ...stem, points: stem.points.map(([x, y]) => [x, y - 12]) }
    const [before, now] = [waysOf(leaves()), waysOf(leaves(), moved)]
    expect(now[0]![0]![1]).toBeLessThan(before[0]![0]![1] - 8)
    const aside: LineStep = {
      ...stem,
      twin: { ...MIDLINE, own: null },
      points: [
        [20, 20],
        [35, 30],
      ],
    }
    const both = waysOf(leaves(), aside)
    expect(both.some(w => w[0]![0] < 0)).toBe(true)
    expect(both.some(w => w[0]![0] > 0)).toBe(true)
  })

  it('grow along the outline of what is not drawn in pulls', () => {
    const moth = freshSheet('stem', 'Moth', 'moth', [0, -36], soot)
    const step = leaves({ every: 20 })
    const found = kindOf(step).ways!(step, worldOf(moth, step))
    expect(found.length).toBeGreaterThan(3)
  })
})

describe('a pass of several colours', () => {
  const sheet = (load: object): SheetStep => {
    const step = freshSheet('s', 'Moth', 'moth', [0, -36], soot)
    return { ...step, passes: [{ ...step.passes[0]!, load: load as SheetStep['passes'][0]['load'] }] }
  }
  const over = { kind: 'over', first: gull, second: plum, direction: 180 }

  it('lays them in their order, with their stops', () => {
    const step = sheet({ ...over, more: [soot], stops: [0, 0.2, 1] })
    const [print] = kindOf(step).prints(step, worldOf(step))
    expect(print!.paints).toHaveLength(3)
    expect(print!.stops).toEqual([0, 0.2, 1])
    expect(
      kindOf(step)
        .paintPlaces(step)
        .map(p => p.ref.id),
    ).toEqual(['gull', 'plum', 'soot'])
    expect(JSON.stringify(kindOf(step).lines(step, worldOf(step)))).toContain('into')
  })

  it('is refused where stops fall, or are not one for each colour', () => {
    for (const stops of [
      [0.5, 0.2, 1],
      [0, 1],
    ]) {
      const read = parseLook(lookOf(sheet({ ...over, more: [soot], stops })))
      expect(read.ok).toBe(false)
    }
  })

  it('takes the way in which its colours were dragged along with its stencil, turned as it is', () => {
    const axis = {
      kind: 'line' as const,
      from: [0, -50] as [number, number],
      to: [0, -20] as [number, number],
    }
    const step: SheetStep = { ...sheet(over), passes: [{ ...sheet(over).passes[0]!, axis }] }
    const look = lookOf(step)
    const settled = (next: Look): Look =>
      after(next, draft => rideAlong(ridersOf(look.steps), draft.steps, ground))
    const axisOf = (l: Look) => (l.steps[0] as SheetStep).passes[0]!.axis as typeof axis
    const moved = axisOf(settled(after(look, placeSheet(step, false, shifted(10, 6), worldOf(step)))))
    expect(moved.from[0]).toBeCloseTo(10, 0)
    expect(moved.from[1]).toBeCloseTo(-44, 0)
    const round = axisOf(settled(after(look, placeSheet(step, false, turned(90), worldOf(step)))))
    expect(Math.abs(round.to[1] - round.from[1])).toBeLessThan(4)
    expect(round.from[0]).toBeGreaterThan(round.to[0])
    // What an edit sets by itself stays as it was set.
    const set = after(look, draft => {
      const own = draft.steps[0] as SheetStep
      own.at = [own.at[0] + 5, own.at[1]]
      own.passes[0]!.axis = { kind: 'line', from: [1, 1], to: [2, 2] }
    })
    expect(axisOf(settled(set)).from).toEqual([1, 1])
  })
})

describe('a mark to go by', () => {
  const dot = freshGuide('g', 'dots', [20, 10], ground)
  const line = { ...freshGuide('g2', 'line', [0, -50], ground), by: 'sheet' as const, wiped: true }

  it('paints nothing and hosts nothing, but takes its time and stands on the list', () => {
    expect(kindOf(dot).prints(dot, worldOf(dot))).toEqual([])
    expect(kindOf(dot).contour(dot, worldOf(dot), null)).toEqual([])
    const seconds = (...steps: Step[]) => timesOf(lookOf(...steps), worldOf(...steps)).finish
    expect(seconds(dot)).toBe(2)
    const twinned = { ...dot, twin: { ...MIDLINE, own: null } }
    expect(seconds(twinned)).toBe(4)
    expect(seconds(line)).toBeGreaterThan(10)
    expect(cardLines(line, worldOf(line))[0]!.text).toBe(
      'a line to go by, edge of a stencil; wiped off after use',
    )
  })

  it('is refused as a line of one point', () => {
    const read = parseLook(lookOf({ ...dot, form: 'line' }))
    expect(read).toEqual({ ok: false, errors: [expect.stringContaining('two points or more for a line')] })
  })
})

describe('a stencil on the move', () => {
  const still = freshSheet('still', 'Moth', 'moth', [0, -36], soot)
  const sheet = freshSheet('s', 'Feather', 'feather', [40, 20], soot)
  const world = worldOf(still, sheet)
  const points = snapPointsOf(sheet, world)
  /** Where the sheet is first drawn to some lines on its way from one place to another, and by what. */
  const drawnOn = (from: Point, to: Point, lines: readonly SnapLine[]) => {
    for (let t = 0; t <= 1; t += 0.004) {
      const at = mix(from, to, t)
      const found = snapAt(points, lines, { ...sheet, at }, 1.6, world)
      if (found) return { at, found }
    }
    throw new Error('It is drawn to nothing on its way.')
  }
  const gapAfter = ({ at, found }: ReturnType<typeof drawnOn>, lines: readonly SnapLine[]) => {
    const there: Point = [at[0] + found.by[0], at[1] + found.by[1]]
    return Math.hypot(...snapAt(points, lines, { ...sheet, at: there }, 1.6, world)!.by)
  }

  it("is drawn to the rim of another print until its own print's rim touches it", () => {
    const rims = rimSnaps(still, world)
    expect(rims).toHaveLength(1)
    const drawn = drawnOn([30, 60], [30, -40], rims)
    expect(drawn.found.to.words).toBe('"Moth"')
    expect(Math.hypot(...drawn.found.by)).toBeGreaterThan(0.5)
    expect(gapAfter(drawn, rims)).toBeLessThan(0.3)
    const print = points.print.map(layOn(ground.surface, { ...sheet, at: drawn.at }, true).point)
    const hull = rims[0]!.line
    const apart = Math.min(...print.flatMap(p => hull.map(q => distance(p, q))))
    expect(apart).toBeGreaterThan(0.5)
  })

  it('is drawn to brow and cheekbone by its edge', () => {
    const features = featureSnaps(world)
    expect(features.map(f => f.words)).toEqual(
      expect.arrayContaining(['the right brow', 'the left cheekbone', 'the midline']),
    )
    const brow = features.filter(f => f.words === 'the left brow')
    const drawn = drawnOn([35, 70], [35, -10], brow)
    expect(gapAfter(drawn, brow)).toBeLessThan(0.3)
    expect(snapAt(points, brow, { ...sheet, at: [35, 70] }, 1.6, world)).toBeNull()
  })

  it('is drawn to no base and to nothing that is not painted', () => {
    const off: World = { ...world, off: new Set(['still']) }
    expect(rimSnaps(still, off)).toEqual([])
  })
})

describe('a group of the painter', () => {
  const parts = [
    stroke('a', 'teardrop', [40, -10]),
    stroke('b', 'teardrop', [50, 0]),
    stroke('c', 'teardrop', [45, 12]),
  ]
  const look = lookOf(...parts)
  const grouped = after(look, groupSteps(new Set(['a', 'b']), 'g', 'Wing'))

  it('counts as one figure in the flow, under its name', () => {
    const world = worldOf(...grouped.steps)
    expect(flowOf(look, worldOf(...parts)).elements.map(e => e.stepId)).toEqual(['a', 'b', 'c'])
    const found = flowOf(grouped, world).elements
    expect(found.map(e => e.label).sort()).toEqual(['Teardrop', 'Wing'])
    const wing = found.find(e => e.label === 'Wing')!
    const single = flowOf(look, world).elements
    expect(wing.at[0]).toBeGreaterThan(Math.min(single[0]!.at[0], single[1]!.at[0]))
    expect(wing.at[0]).toBeLessThan(Math.max(single[0]!.at[0], single[1]!.at[0]))
    expect(wing.size).toBeGreaterThan(single[0]!.size)
    expect(Math.abs(wing.off)).toBeLessThan(5)
  })

  it('is renamed, left, and forgotten with its last step', () => {
    expect(after(grouped, nameGroup('g', 'Left wing')).groups).toEqual([{ id: 'g', name: 'Left wing' }])
    const one = after(grouped, ungroup(new Set(['a'])))
    expect(one.steps.map(s => s.group)).toEqual([null, 'g', null])
    expect(one.groups).toHaveLength(1)
    expect(after(one, ungroup(new Set(['b']))).groups).toBeUndefined()
    expect(() => after(look, groupSteps(new Set(['a']), 'g', 'Wing'))).toThrow('two steps')
    expect(parseLook(JSON.parse(JSON.stringify(grouped)))).toEqual({ ok: true, look: grouped })
  })
})

describe('four-fold on an arm', () => {
  const look: Look = {
    ...freshLook('arm', 'Arm'),
    canvas: { kind: 'arm', part: 'forearm', side: 'right', measures: null },
    focus: [0, 0],
  }
  const arm = groundFor(look)
  const gem = freshGem('g', [15, -30])

  it('puts it across and along, each the mirror image of its neighbour', () => {
    const world = withSteps({ ...bare, ground: arm }, [gem])
    const next = after(
      { ...look, steps: [gem] },
      fourFold(new Set(['g']), world, () => 'copy'),
    )
    const places = next.steps.flatMap(s => liesOf(s as typeof gem, arm).map(l => l.points[0]!))
    expect(places).toHaveLength(4)
    const wanted: Point[] = [
      [15, -30],
      [-15, -30],
      [15, 30],
      [-15, 30],
    ]
    for (const w of wanted) expect(Math.min(...places.map(p => distance(p, w)))).toBeLessThan(0.5)
  })

  it('is refused on a face', () => {
    expect(() =>
      after(
        lookOf(gem),
        fourFold(new Set(['g']), worldOf(gem), () => 'x'),
      ),
    ).toThrow('mirror it')
  })
})

describe('glitters and gems of their own', () => {
  it('are kept as they are said, and refused with a sentence where they cannot be', () => {
    const kept = {
      glitters: [{ name: 'Tide', colour: '#3fa7b5', finish: 'iridescent', sort: 'chunky', flake: 0.6 }],
      gems: [{ name: 'Moon', colour: '#eeeeee', finish: 'pearl', cut: 'round', size: 4 }],
    }
    expect(sparklesSchema.parse(kept)).toEqual(kept)
    expect(sparklesSchema.safeParse({ ...kept, gems: [{ ...kept.gems[0], size: 90 }] }).success).toBe(false)
    expect(sparklesSchema.safeParse({ ...kept, glitters: [{ ...kept.glitters[0], name: '' }] }).success).toBe(
      false,
    )
  })

  it('have flakes of their size, the fewer the larger, and a finish', () => {
    const step = freshGlitter('gl', 'patch', [30, 10], null, ground)
    const own = {
      ...step,
      colour: { name: 'Tide', colour: '#3fa7b5', finish: 'iridescent' as const, flake: 0.88 },
    }
    const flakes = (s: typeof step) => kindOf(s).prints(s, worldOf(s))[0]!.particles
    expect(flakes(own)).toMatchObject({ finish: 'iridescent', size: 0.88, colour: linearOf('#3fa7b5') })
    const [usual, large] = [flakes(step), flakes(own)] as { density: number }[]
    expect(usual!.density / large!.density).toBeCloseTo((0.88 / 0.22) ** 2, 6)
    expect(boxOf(kindOf(own).prints(own, worldOf(own))[0]!.rings[0]!).minX).toBeGreaterThan(0)
  })
})
