import { describe, expect, it } from 'vitest'
import { distance, ringHolds, type Point } from '#core/geometry'
import { findingsOf } from '#core/checks'
import {
  aimSteps,
  applied,
  flowOf,
  focusFor,
  freshAround,
  freshDots,
  freshGlitter,
  freshLine,
  freshLook,
  freshOutline,
  freshPull,
  freshRework,
  freshSheet,
  freshWash,
  heldAll,
  kindOf,
  likeThat,
  timesOf,
  movedTo,
  otherSchools,
  parseLook,
  placeSheet,
  rideAlong,
  ridersOf,
  shifted,
  setTwin,
  stepsOff,
  swapPaint,
  turnedCopy,
  twinAll,
  twinByEye,
  exactTwin,
  USUAL_WAYS,
  waysFor,
  withSteps,
  baseUnder,
  coverOf,
  leftAfter,
  type Command,
  type DotsStep,
  type Look,
  type SheetStep,
  type Step,
  type ToolLoad,
  type Wash,
  type World,
} from '#core/look'
import { opticsOfColour, USED, wetBlend } from '#core/paint'
import { acrossTool } from '#core/look'
import { groundOf } from '#core/skin'
import { motifsOf } from '#core/stencil'
import { paints } from '../../../demo/paints'
import { ground, MIDLINE, paint, sheets, world as bare } from '../world'

const kit = new Map(paints.map(p => [p.id, p]))
const soot = paint('soot')
const gull = paint('gull')
const worldOf = (steps: readonly Step[], off?: ReadonlySet<string>): World =>
  withSteps({ ...bare, paint: id => kit.get(id) }, steps, off)
const lookOf = (...steps: Step[]): Look => ({ ...freshLook('l', 'L'), steps })
const after = (look: Look, command: Command): Look => applied(look, command)
const oval = (id = 'w'): Wash => freshOutline(id, 'Base', [0, -40], [gull, soot], ground)
const twin = { ...MIDLINE, own: null }

describe('what a tool is loaded with', () => {
  const cake = kit.get('bonfire')!
  const load: Extract<ToolLoad, { kind: 'cake' }> = {
    kind: 'cake',
    cake: { id: cake.id, name: cake.name, colour: cake.colour, strips: cake.strips.map(s => ({ ...s })) },
    strips: null,
  }

  it('of some strips keeps their widths against one another', () => {
    const { strips, paints: taken } = acrossTool({ ...load, strips: [0, 2] }, bare)
    const [a, , c] = cake.strips
    expect(taken).toHaveLength(2)
    expect(strips![0]).toBeCloseTo(a!.width / (a!.width + c!.width), 6)
    expect(strips![1]).toBe(1)
  })

  it('of two paints mixed is their wet mixture by shares', () => {
    const found = acrossTool({ kind: 'mixed', first: gull, second: soot, share: 0.3 }, bare)
    expect(found.paints).toHaveLength(1)
    expect(found.paints[0]!.optics).toEqual(
      wetBlend(opticsOfColour(gull.colour), opticsOfColour(soot.colour), 0.3),
    )
  })

  it('is refused with a sentence when it names a strip that the cake lacks', () => {
    const step = freshPull('p', 'drawn', [0, -40], { ...load, strips: [7] }, ground, [0, 0])
    const read = parseLook(lookOf(step))
    expect(read).toEqual({
      ok: false,
      errors: [expect.stringContaining('must name strips that the cake has')],
    })
  })
})

describe('a look', () => {
  /** One step of every new kind and with every new field. */
  const rich: Step[] = [
    {
      ...oval(),
      stops: [0.2, 0.8],
      runsOut: 0.5,
      free: ['jaw', 'left half'],
      holes: [
        [
          [0, 0],
          [4, 0],
          [2, 5],
        ],
      ],
    },
    freshPull('p', 'turned', [30, 0], { kind: 'one', paint: soot }, ground, [0, 0]),
    {
      ...freshSheet('s', 'S', 'scales', [0, -36], soot),
      passes: [
        {
          ...freshSheet('s', 'S', 'scales', [0, -36], soot).passes[0]!,
          part: { by: 'step', step: 'w', strips: null, fades: 2 },
          axis: { kind: 'out', from: [0, -36], reach: 20 },
          runsOut: 0.4,
          carries: true,
          glitter: true,
          sparkle: { sort: 'gel', colour: { name: 'Frost', colour: '#EEF1F6' }, amount: 0.4 },
        },
      ],
    },
    {
      ...freshLine('l', 'line', [20, 20], soot, ground, [0, 0]),
      times: 2,
      pressed: [0.2, 1, 0.4],
      fades: [1, 0],
    },
    freshRework('r', 'blend', 'rim', [0, 0], ['w'], ground),
    { ...freshGlitter('g', 'rim', [0, 0], 'w', ground), over: ['p'] },
    { ...freshDots('d', 'each', [0, 0], { use: 'step', step: 's', openings: null }, soot, ground, [0, 0]) },
    { ...freshAround('h', 'highlight', { use: 'steps', steps: ['w', 'p'] }, gull) },
  ]
  const whole: Look = {
    ...lookOf(...rich),
    foci: [[30, 0]],
    switches: [{ id: 'nose', name: 'with nose', on: false }],
    shorter: true,
    ways: { tool: 'dauber', lidsFrom: 8 },
  }

  it('with all of it comes through JSON unchanged', () => {
    expect(parseLook(JSON.parse(JSON.stringify(whole)))).toEqual({ ok: true, look: whole })
  })

  it('takes the drawn part and the gradient of a pass along to another face', () => {
    const sheet = freshSheet('s', 'S', 'scales', [30, 20], soot)
    const loop: [number, number][] = [
      [24, 14],
      [36, 14],
      [30, 26],
    ]
    const pass = {
      ...sheet.passes[0]!,
      part: { by: 'shape' as const, loop, fades: 2 },
      axis: { kind: 'line' as const, from: [30, 10] as [number, number], to: [30, 30] as [number, number] },
    }
    const look = lookOf({ ...sheet, passes: [pass] })
    const child = { ...look.canvas } as Look['canvas']
    const moved = movedTo(look, child, 5, sheets.get).look.steps[0] as SheetStep
    const { part, axis } = moved.passes[0]!
    expect(part).not.toEqual(pass.part)
    // On a smaller face all of it lies nearer to the middle.
    if (part?.by === 'shape') for (const [i, p] of part.loop.entries()) expect(p[0]).toBeLessThan(loop[i]![0])
    expect(axis!.from[0]).toBeLessThan(30)
  })

  it('is printed, timed, described and drawn on another face without a wrong number', () => {
    const steps = movedTo(whole, { ...whole.canvas, build: 'broad' } as Look['canvas'], 8, sheets.get).look
      .steps
    for (const list of [rich, steps]) {
      const world = worldOf(list)
      for (const step of list) {
        const kind = kindOf(step)
        for (const p of kind.prints(step, world))
          for (const ring of p.rings) expect([...ring].every(Number.isFinite), step.id).toBe(true)
        expect(kind.effort(step, world).seconds).toBeGreaterThan(0)
        for (const { text } of kind.lines(step, world)) expect(text).not.toMatch(/undefined|NaN|null/)
      }
    }
  })

  it.each([
    ['stops', { ...oval(), stops: [0.5] }, 'must have one place for each colour'],
    ['stops', { ...oval(), stops: [0.8, 0.2] }, 'must not fall'],
    [
      'holes',
      {
        ...oval(),
        holes: [
          [
            [0, 0],
            [1, 1],
          ],
        ],
      },
      'must have at least 3 points',
    ],
    ['over', { ...freshRework('r', 'wipe', 'print', [0, 0], ['a'], ground), over: [] }, 'must name a step'],
    [
      'points',
      { ...freshPull('p', 'turned', [0, 0], { kind: 'one', paint: soot }, ground, [0, 0]), points: [[0, 0]] },
      'must have 2 points',
    ],
  ])('with wrong %s is refused with a sentence', (_, step, words) => {
    const read = parseLook(lookOf(step as Step))
    expect(read.ok ? [] : read.errors.join(' ')).toContain(words)
  })
})

describe('variants', () => {
  const look: Look = {
    ...lookOf(
      oval('a'),
      { ...oval('b'), optional: true },
      { ...oval('c'), switch: 'nose' },
      freshAround('around', 'outline', { use: 'step', step: 'c', openings: null }, soot),
    ),
    switches: [{ id: 'nose', name: 'with nose', on: true }],
  }

  it('turn their steps off together, with time, print and what goes around them', () => {
    expect([...stepsOff(look)]).toEqual([])
    const off: Look = { ...look, switches: [{ id: 'nose', name: 'with nose', on: false }] }
    expect([...stepsOff(off)]).toEqual(['c'])
    const world = worldOf(off.steps, stepsOff(off))
    expect(timesOf(off, world).finish).toBeLessThan(timesOf(look, worldOf(look.steps)).finish)
    const around = off.steps[3]!
    expect(
      kindOf(around)
        .prints(around, world)
        .flatMap(p => p.rings),
    ).toEqual([])
    expect(
      kindOf(around)
        .prints(around, worldOf(look.steps))
        .flatMap(p => p.rings),
    ).not.toEqual([])
    expect(findingsOf(off, world, paints, [], '2026-11-26').some(f => f.stepId === 'c')).toBe(false)
  })

  it('in the shorter look the optional steps go', () => {
    expect([...stepsOff({ ...look, shorter: true })]).toEqual(['b'])
  })

  it('shut eyes count in the time, once for steps that follow one another', () => {
    const shut: Look = { ...look, steps: look.steps.map(s => ({ ...s, eyes: 'shut' as const })) }
    const longer = timesOf(shut, worldOf(shut.steps)).finish - timesOf(look, worldOf(look.steps)).finish
    expect(longer).toBeCloseTo(12, 6)
    // With a step between them for which they are open, they are asked twice.
    const twice: Look = {
      ...look,
      steps: look.steps.map((s, i) => ({ ...s, eyes: i === 1 ? 'open' : 'shut' })) as Look['steps'],
    }
    const apart = timesOf(twice, worldOf(twice.steps)).finish - timesOf(look, worldOf(look.steps)).finish
    expect(apart).toBeCloseTo(24, 6)
  })
})

describe('a tool that goes on without reloading', () => {
  const scales = (id: string, carries: boolean): SheetStep => {
    const step = freshSheet(id, id, 'scales', [0, -36], soot)
    return { ...step, passes: [{ ...step.passes[0]!, ...(carries && { carries }) }] }
  }

  it('begins with what the last one left, and falls exponentially with what it lays', () => {
    const steps = [scales('a', false), scales('b', true), scales('c', true)]
    const world = worldOf(steps)
    const held = heldAll(steps, world)
    const used = kindOf(steps[0]!).lays(steps[0]!, world)[0]!.mg / (USED * 250)
    const rest = Math.exp(-(used % 1))
    expect(held.get('b')![0]).toBeCloseTo(rest, 6)
    expect(held.get('c')![0]).toBeCloseTo(rest * Math.exp(-used), 6)
    expect(leftAfter(steps[2] as SheetStep, 0, world)).toBeCloseTo(rest * Math.exp(-2 * used), 6)
  })

  it('takes no load, lays less, and says when it will not be enough', () => {
    const steps = [scales('a', false), scales('b', true), scales('c', true), scales('d', true)]
    const world = worldOf(steps)
    const last = steps[3]!
    expect(kindOf(last).effort(last, world).loads).toBe(0)
    const mg = (s: Step) => kindOf(s).lays(s, world)[0]!.mg
    expect(mg(last)).toBeLessThan(mg(steps[1]!))
    const found = findingsOf(lookOf(...steps), world, paints, [], '2026-11-26')
    const dry = found.filter(f => f.check === 'runsOutOfPaint')
    expect(dry.map(f => f.stepId)).toContain('d')
    expect(dry[0]!.fix!.sets).toEqual([{ path: ['passes', 0, 'carries'], to: false }])
  })

  it('with another colour it begins full', () => {
    const other = scales('b', true)
    const steps = [
      scales('a', false),
      { ...other, passes: [{ ...other.passes[0]!, load: { kind: 'one' as const, paint: gull } }] },
    ]
    expect(heldAll(steps, worldOf(steps)).get('b')).toEqual([1])
  })
})

describe('things that follow things', () => {
  const petals = freshLine('p', 'petals', [0, -40], gull, ground, [0, 0])

  it('a light lies inside each petal, toward the side that is told', () => {
    const light = freshAround('h', 'highlight', { use: 'step', step: 'p', openings: null }, gull)
    const world = worldOf([petals, light])
    const host = kindOf(petals).contour(petals, world, null)
    const prints = kindOf(light).prints(light, world)
    expect(prints.flatMap(p => p.rings)).toHaveLength(host.length)
    for (const ring of prints.flatMap(p => p.rings))
      expect(host.some(h => ringHolds(h, ring[0]!, ring[1]!))).toBe(true)
  })

  it('a dot sits on each piece, and moves with it', () => {
    const dots = (steps: Step[]) => {
      const own = steps[1] as DotsStep
      return kindOf(own).boxes(own, worldOf(steps))
    }
    const each = freshDots(
      'd',
      'each',
      [0, 0],
      { use: 'step', step: 'p', openings: null },
      soot,
      ground,
      [0, 0],
    )
    const moved = { ...petals, points: petals.points.map(([x, y]): [number, number] => [x, y + 6]) }
    const before = dots([petals, each])
    const then = dots([moved, each])
    expect(before).toHaveLength(kindOf(petals).contour(petals, worldOf([petals]), null).length)
    for (const [i, b] of before.entries()) expect(then[i]!.minY - b.minY).toBeCloseTo(6, 0)
  })

  it('dots stand where strokes end', () => {
    const ends = freshDots(
      'd',
      'ends',
      [0, 0],
      { use: 'step', step: 'p', openings: null },
      soot,
      ground,
      [0, 0],
    )
    const world = worldOf([petals, ends])
    const tips = kindOf(petals).tips!(petals, world)
    const boxes = kindOf(ends).boxes(ends, world)
    expect(boxes).toHaveLength(tips.length)
    boxes.forEach((b, i) => {
      const middle: Point = [(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2]
      expect(distance(middle, tips[i]!.end)).toBeLessThan(0.5)
    })
  })

  it('an outline goes around several steps as one shape', () => {
    const [a, b] = [
      oval('a'),
      { ...oval('b'), points: oval().points.map(([x, y]): [number, number] => [x + 18, y]) },
    ]
    const joint = freshAround('o', 'outline', { use: 'steps', steps: ['a', 'b'] }, soot)
    const world = worldOf([a, b, joint])
    const lines = kindOf(joint).prints(joint, world)
    // One closed line: an outer ring and an inner one.
    expect(lines.flatMap(p => p.rings)).toHaveLength(2)
  })

  it('glitter along the edge of a print leaves its middle free', () => {
    const rim = { ...freshGlitter('g', 'rim', [0, 0], 'w', ground), width: 2 }
    const world = worldOf([oval(), rim])
    const cover = coverOf(rim, world)
    const inside = coverOf(oval(), world)
    expect(cover.region.length).toBeGreaterThan(0)
    const area = (list: typeof cover.region) => cover.area(list)
    expect(area(inside.region)).toBeLessThan(0.6 * inside.area(inside.region))
  })
})

describe('the other side', () => {
  it('of a one-sided design comes with one command, and what lies on the midline stays single', () => {
    const look = lookOf(
      { ...oval('mid') },
      freshLine('side', 'sCurve', [40, 20], soot, ground, [0, 0]),
      freshLine('done', 'sCurve', [40, 50], soot, ground, [0, 0]),
    )
    look.steps[2]!.twin = { ...twin }
    const next = after(look, twinAll(new Set(['mid', 'side', 'done']), 'features', worldOf(look.steps)))
    expect(next.steps.map(s => s.twin.rule)).toEqual(['none', 'features', 'midline'])
    expect(() => after(next, twinAll(new Set(['mid']), 'features', worldOf(next.steps)))).toThrow(
      /one side alone/,
    )
  })

  it('on an arm is turned over, what lies along its middle too', () => {
    const arm = groundOf({ kind: 'arm', part: 'forearm', side: 'left', measures: null }, 30)
    const band = freshLine('a', 'line', [0, -50], soot, arm, [0, 0])
    const look = lookOf(band, freshLine('b', 'line', [10, 20], soot, arm, [0, 0]))
    const world = { ...worldOf(look.steps), ground: arm }
    const next = after(look, twinAll(new Set(['a', 'b']), 'turn', world))
    expect(next.steps.map(s => s.twin.rule)).toEqual(['turn', 'turn'])
    expect(next.steps.every(s => s.twin.about !== null)).toBe(true)
  })

  it('placed by eye lies nearly where its rule puts it, the same each time', () => {
    const step = { ...freshSheet('s', 'S', 'feather', [40, 20], soot), twin: { ...MIDLINE } }
    const world = worldOf([step])
    const exact = exactTwin(step, world)!
    const own = (after(lookOf(step), twinByEye(step, world)).steps[0] as SheetStep).twin.own!
    const off = distance(own.at, exact.at)
    expect(off).toBeGreaterThan(0)
    expect(off).toBeLessThan(3)
    expect(after(lookOf(step), twinByEye(step, world))).toEqual(after(lookOf(step), twinByEye(step, world)))
  })

  it('a copy turned by half a turn about the middle lies opposite', () => {
    const line = freshLine('a', 'line', [20, -40], soot, ground, [0, 0])
    const other = freshLine('b', 'line', [-20, -40], soot, ground, [0, 0])
    const world = worldOf([line, other])
    let n = 0
    const next = after(
      lookOf(line, other),
      turnedCopy(new Set(['a', 'b']), 180, world, () => `new${n++}`),
    )
    expect(next.steps.map(s => s.id)).toEqual(['a', 'b', 'new0', 'new1'])
    const middle = (s: Step) => kindOf(s).anchor(s)!
    expect(distance(middle(next.steps[2]!), middle(other))).toBeLessThan(3)
    expect(distance(middle(next.steps[3]!), middle(line))).toBeLessThan(3)
  })

  it('a stroke made like another has its length, thickness and brush, and keeps its place', () => {
    const model = {
      ...freshLine('m', 'line', [30, 20], soot, ground, [0, 0]),
      times: 2,
      brush: 'round4' as const,
    }
    model.params.press = 80
    const short = freshLine('s', 'line', [-30, 20], gull, ground, [0, 0])
    short.points = short.points.map(([x, y]): [number, number] => [-30 + (x + 30) / 2, 20 + (y - 20) / 2])
    const next = after(lookOf(model, short), likeThat(short, model, worldOf([model, short])))
    const made = next.steps[1] as typeof model
    const long = (s: { points: [number, number][] }) =>
      s.points.slice(1).reduce((sum, p, i) => sum + distance(p, s.points[i]!), 0)
    expect(Math.abs(long(made) - long(model))).toBeLessThan(1.5)
    expect([made.brush, made.times, made.params.press]).toEqual(['round4', 2, 80])
    expect(made.load).toEqual(short.load)
    expect(distance(kindOf(made).anchor(made)!, kindOf(short).anchor(short)!)).toBeLessThan(2)
  })
})

describe('a base under a stencil', () => {
  const sheet = freshSheet('s', 'Moth', 'moth', [0, -36], soot)
  const world = worldOf([sheet])

  it('goes where the stencil goes, and is on both sides where the stencil is', () => {
    const wash = baseUnder(sheet, 'b', [gull], 3, world)!
    const look = lookOf(wash, sheet)
    const settled = (next: Look): Look =>
      after(next, draft => rideAlong(ridersOf(look.steps), draft.steps, ground))
    const moved = settled(after(look, placeSheet(sheet, false, shifted(5, 8), world)))
    const [base, lies] = moved.steps as [Wash, SheetStep]
    const there = worldOf(moved.steps)
    const outline = kindOf(base).contour(base, there, null)
    const print = kindOf(lies)
      .contour(lies, there, null)
      .flatMap(r => [[r[0]!, r[1]!] as const])
    expect(base.points).not.toEqual(wash.points)
    expect(print.every(p => outline.some(o => ringHolds(o, ...p)))).toBe(true)
    const twinned = settled(after(look, setTwin(sheet, 'features', look.focus, world)))
    expect(twinned.steps.map(s => s.twin.rule)).toEqual(['features', 'features'])
  })
})

describe('colours swapped throughout', () => {
  it('change every place of one paint, and no cake for a colour', () => {
    const look = lookOf(
      oval(),
      freshLine('l', 'line', [0, 0], soot, ground, [0, 0]),
      freshSheet('s', 'S', 'moth', [0, 0], soot),
    )
    const plum = paint('plum')
    const next = after(look, swapPaint('soot', plum))
    expect(JSON.stringify(next)).not.toContain('"soot"')
    expect(JSON.stringify(next).match(/"plum"/g)).toHaveLength(3)
    const { id, name, colour, strips } = kit.get('bonfire')!
    expect(after(look, swapPaint('soot', { id, name, colour, strips: strips.map(s => ({ ...s })) }))).toEqual(
      look,
    )
  })
})

describe('focal points', () => {
  const look: Look = {
    ...lookOf(),
    focus: [0, 0],
    foci: [
      [-30, 0],
      [30, 0],
    ],
  }

  it('the nearest one is aimed at, and counts in the flow', () => {
    expect(focusFor(look, [40, 20])).toEqual([30, 0])
    expect(focusFor(look, [2, 30])).toEqual([0, 0])
    const line = freshLine('l', 'teardrop', [46, 18], soot, ground, [-60, 60])
    const aimed = after({ ...look, steps: [line] }, aimSteps(new Set(['l']), worldOf([line])))
    const off = (foci: Look['foci']) =>
      Math.abs(flowOf({ ...aimed, foci }, worldOf(aimed.steps)).elements[0]!.off)
    expect(off(look.foci)).toBeLessThan(4)
    expect(off(undefined)).toBeGreaterThan(8)
  })
})

describe('ways of working', () => {
  it('of the look come before those of the house, the usual ones last', () => {
    const ways = waysFor({ tool: 'dauber' }, { tool: 'openCell', outline: 'none' })
    expect([ways.tool, ways.outline, ways.load]).toEqual(['dauber', 'none', USUAL_WAYS.load])
    expect(otherSchools('tool', 'dauber')).toBe(
      'Other painters: makeup sponge; ordinary sponge, used very dry.',
    )
  })

  it('change what a new stencil begins with', () => {
    const pass = (ways: Partial<typeof USUAL_WAYS>) =>
      freshSheet('s', 'S', 'moth', [0, 0], soot, { ...USUAL_WAYS, ...ways }).passes[0]!
    expect(pass({}).tool).toBe('makeup')
    expect([pass({ tool: 'openCell' }).tool, pass({ tool: 'openCell' }).wetness]).toEqual([
      'openCell',
      'chalky',
    ])
    expect(pass({ load: 'thick' }).dabs).toBeGreaterThan(pass({}).dabs)
  })

  it('change what the checks say, and name the other schools', () => {
    const look: Look = {
      ...lookOf(freshWash('w', 'W', ['right.lid'], [soot], ground)),
      skin: { ...freshLook('l', 'L').skin, age: 7 },
    }
    const lids = (ways: Partial<typeof USUAL_WAYS>) =>
      findingsOf(
        look,
        { ...worldOf(look.steps), ways: { ...USUAL_WAYS, ...ways } },
        paints,
        [],
        '2026-11-26',
      ).find(f => f.check === 'lids')
    expect(lids({})).toBeUndefined()
    expect(lids({ lidsFrom: 9 })).toMatchObject({
      level: 'warning',
      why: expect.stringContaining('under 9 years'),
    })
    expect(lids({ lidsFrom: 9, lids: 'paint' })).toMatchObject({
      level: 'tip',
      why: expect.stringContaining('Other painters: left clear under an age.'),
    })
  })
})

describe('motifs of a stencil', () => {
  const square = (x: number, y: number, s: number) => ({
    outer: Float64Array.of(x, y, x + s, y, x + s, y + s, x, y + s),
    holes: [],
  })
  it('are found by the gaps between their openings', () => {
    // Two paws: a pad with three toes each, 1.5 mm apart, and 20 mm between the paws.
    const paw = (x: number) => [
      square(x, 0, 8),
      square(x, -4, 2.5),
      square(x + 2.8, -5, 2.5),
      square(x + 5.6, -4, 2.5),
    ]
    const found = motifsOf({ openings: [...paw(0), ...paw(30)] })
    expect(found.map(list => [...list].sort((a, b) => a - b))).toEqual(
      expect.arrayContaining([
        [0, 1, 2, 3],
        [4, 5, 6, 7],
      ]),
    )
  })
  it('a texture is one', () => {
    expect(motifsOf(sheets.get('scales')!)).toHaveLength(1)
  })
})
