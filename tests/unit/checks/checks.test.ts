import { describe, expect, it } from 'vitest'
import { paints } from '../../../demo/paints'
import { afterFix, betterPaints, closedBridges, findingsOf, type Finding } from '#core/checks'
import {
  paintUseOf,
  freshGlitter,
  freshLine,
  freshLook,
  freshRework,
  freshSheet,
  freshWash,
  groundFor,
  placementsOf,
  beneathAll,
  timesOf,
  withSteps,
  type LineStep,
  type Look,
  type SheetStep,
  type Shows,
  type Step,
  type World,
} from '#core/look'
import { Memo } from '#core/memo'
import { linearOf } from '#core/paint'
import { analyse } from '#core/stencil'
import { ground, MIDLINE, paint, sheets, world as plain } from '../world'

const kit = new Map(paints.map(p => [p.id, p]))
const known = new Map([...sheets.values()].map(s => [s.id, { ...s, copies: 1 }]))
const world: World = { ...plain, stencil: id => known.get(id), paint: id => kit.get(id) }
const look = (steps: Step[]): Look => ({ ...freshLook('l', 'L'), steps })
const sheet = (stencil: string, at: readonly [number, number], more: Partial<SheetStep> = {}): SheetStep => ({
  ...freshSheet('s', 'Stencil', stencil, [at[0], at[1]], paint('soot')),
  ...more,
})
const pass = (s: SheetStep, more: Partial<SheetStep['passes'][number]>): SheetStep => ({
  ...s,
  passes: [{ ...s.passes[0]!, ...more }],
})
const shows = (median: number, beneath = '#171E4C', colour = '#1F4E9A'): Shows[] => [
  { stepId: 's', median, tenth: median / 2, words: '', beneath: linearOf(beneath), colour: linearOf(colour) },
]
const found = (l: Look, check: string, list: Shows[] = [], today = '2026-06-01', w = world): Finding[] =>
  findingsOf(l, { ...w, ground: groundFor(l) }, paints, list, today).filter(f => f.check === check)
/** The look after the fix of its only finding of a check. */
function fixed(l: Look, check: string, list: Shows[] = []): Look {
  const [f] = found(l, check, list)
  return { ...l, steps: afterFix(l.steps, f!.stepId, f!.fix!, () => 'added') as Look['steps'] }
}

describe('what lies beneath', () => {
  const base = { ...freshWash('w', 'Base', ['forehead'], [paint('sky')], ground), wetness: 'damp' as const }
  it('is wet right after a base, dry where nothing lies or time has passed', () => {
    const l = look([base, sheet('heart-crest', [0, -32], { dry: false })])
    const under = beneathAll(l.steps, world).get('s')!
    expect(under.state).toBe('wet')
    // A damp base of two layers dries in 60 s, and the sponge is loaded for 4 s of them.
    expect(under.wait).toBe(60 - 4)
    expect(
      beneathAll(look([base, sheet('swirl-small', [40, 60], { dry: false })]).steps, world).get('s')!.state,
    ).toBe('dry')
    const between = Array.from({ length: 6 }, (_, i) => ({ ...sheet('swirl-small', [40, 60]), id: `b${i}` }))
    expect(
      beneathAll([base, ...between, sheet('heart-crest', [0, -32], { dry: false })], world).get('s')!.state,
    ).toBe('dry')
  })

  it('makes the print creep farther, until it is let dry', () => {
    const l = look([base, sheet('heart-crest', [0, -32], { dry: false })])
    const wet = withSteps(world, l.steps)
    const step = l.steps[1] as SheetStep
    const creep = (s: SheetStep) => closedBridges(s, s.passes[0]!, known.get('heart-crest')!, wet).creep
    expect(creep(step)).toBeGreaterThan(2.5 * creep({ ...step, dry: true }))
  })

  it('is found, and the fix lets it dry', () => {
    const l = look([base, sheet('heart-crest', [0, -32], { dry: false })])
    expect(found(l, 'wetGround')).toMatchObject([
      { level: 'problem', stepId: 's', fix: { words: 'Let it dry first' } },
    ])
    expect(found(fixed(l, 'wetGround'), 'wetGround')).toEqual([])
  })
})

describe('a line', () => {
  const base = { ...freshWash('w', 'Base', ['forehead'], [paint('kelp')], ground), wetness: 'damp' as const }
  const drawn = (colour: string, at: [number, number] = [0, -34]) =>
    freshLine('l', 'swirl', at, paint(colour), ground, [0, 0])
  it('drawn into wet paint is told where the colours turn to mud, and only there', () => {
    expect(found(look([base, drawn('rosehip')]), 'mud')).toMatchObject([
      { level: 'tip', stepId: 'l', why: expect.stringContaining('"Base" is still wet then'), fix: null },
    ])
    // The same paint, black, a neighbour, and what lies elsewhere turn to nothing.
    for (const colour of ['kelp', 'soot', 'fern'])
      expect(found(look([base, drawn(colour)]), 'mud')).toEqual([])
    expect(found(look([base, drawn('rosehip', [40, 60])]), 'mud')).toEqual([])
    const between = Array.from({ length: 6 }, (_, i) => ({ ...sheet('swirl-small', [40, 60]), id: `b${i}` }))
    expect(found(look([base, ...between, drawn('rosehip')]), 'mud')).toEqual([])
  })

  it('that goes on from a line of its own colour need not show where they overlap', () => {
    const liner = { ...freshLine('k', 'eyeliner', [31, 3], paint('soot'), ground, [0, 0]) }
    const lashes = { ...freshLine('s', 'lashes', [31, 3], paint('soot'), ground, [0, 0]) }
    const same = shows(1, '#17151A', '#17151A')
    expect(found(look([lashes]), 'lineContrast', same)).toHaveLength(1)
    // Laid on the very line, as a second pull is.
    const again = { ...liner, id: 's' }
    expect(found(look([liner, again]), 'lineContrast', same)).toEqual([])
    // A line of another colour beneath is no excuse.
    const other = { ...liner, load: { kind: 'one' as const, paint: paint('gull') } }
    expect(found(look([other, again]), 'lineContrast', same)).toHaveLength(1)
  })

  it('on a lid whose eye is shut for it runs over no eye', () => {
    const over = { ...freshLine('s', 'swirl', [31, 3], paint('soot'), ground, [0, 0]) }
    expect(found(look([over]), 'overEyes')).toHaveLength(1)
    expect(found(look([{ ...over, eyes: 'shut' }]), 'overEyes')).toEqual([])
  })
})

describe('glitter over the print of a base', () => {
  it('leaves the eyes free that the base leaves free by itself', () => {
    const zones = ['left.lid', 'right.lid', 'left.under-eye', 'right.under-eye', 'face'] as const
    const base = freshWash('w', 'Eyes', [...zones], [paint('sky')], ground)
    const glitter: Step = { ...freshGlitter('s', 'print', [0, 0], 'w', ground), sort: 'fine' }
    expect(found(look([base]), 'overEyes')).toEqual([])
    expect(
      found(look([base, glitter]), 'overEyes', [], '2026-06-01', withSteps(world, [base, glitter])),
    ).toEqual([])
  })
})

describe('the limit of a look', () => {
  it('is held against hands and waiting together', () => {
    const base = freshWash('w', 'Base', ['forehead'], [paint('sky')], ground)
    const l = look([base, sheet('heart-crest', [0, -32])])
    const { finish, waiting } = timesOf(l, withSteps(world, l.steps))
    expect(waiting).toBeGreaterThan(20)
    expect(found({ ...l, budget: Math.ceil(finish) }, 'limit')).toEqual([])
    expect(found({ ...l, budget: Math.floor(finish - waiting) + 5 }, 'limit')).toMatchObject([
      {
        level: 'warning',
        stepId: null,
        title: expect.stringMatching(/^Takes 0:\d\d longer than its limit$/),
      },
    ])
  })
})

describe('the label of a paint', () => {
  const onLid = look([{ ...freshWash('s', 'Lid', ['left.lid'], [paint('sky')], ground) }])
  const withLabel = (eyeSafe: boolean | null) =>
    findingsOf(
      onLid,
      { ...world, paint: id => ({ ...paints.find(p => p.id === id)!, eyeSafe }) },
      paints.map(p => ({ ...p, eyeSafe })),
      [],
      '2026-06-01',
    ).filter(f => f.check === 'safe')
  it('counts as not safe while nobody has entered it, and says so', () => {
    expect(withLabel(true)).toEqual([])
    expect(withLabel(false)).toMatchObject([
      { level: 'problem', title: expect.stringContaining('is not for') },
    ])
    expect(withLabel(null)).toMatchObject([
      { level: 'warning', why: expect.stringContaining('Nobody has entered what its label says') },
    ])
  })
})

describe('bleeding', () => {
  it('closes the bridges that are narrower than it creeps from both sides, and no others', () => {
    const s = pass(sheet('scales', [0, -34]), { wetness: 'runny' })
    const { closed, creep } = closedBridges(s, s.passes[0]!, known.get('scales')!, world)
    expect(closed.length).toBeGreaterThan(10)
    expect(closed.every(b => b.width < 2 * creep + 1e-9)).toBe(true)
    const narrowest = analyse(known.get('scales')!).bridge!.width
    const dry = pass(s, { wetness: 'chalky' })
    expect(closedBridges(dry, dry.passes[0]!, known.get('scales')!, world).closed.length).toBe(
      narrowest < 0.05 ? 1 : 0,
    )
  })

  it('is found, and the fix is the nearest way of dabbing that closes nothing', () => {
    const l = look([pass(sheet('scales', [0, -34]), { wetness: 'runny', tool: 'openCell' })])
    expect(found(l, 'bleed')[0]).toMatchObject({
      level: 'problem',
      title: expect.stringMatching(/^Bleeding closes \d+ bridges$/),
    })
    expect(found(fixed(l, 'bleed'), 'bleed')).toEqual([])
  })

  it("follows the painter's own readings", () => {
    const l = look([pass(sheet('scales', [0, -34]), { wetness: 'tacky' })])
    expect(found(l, 'bleed')).toEqual([])
    expect(found(l, 'bleed', [], '2026-06-01', { ...world, edge: () => 1.2 }).length).toBe(1)
  })
})

describe('what shows', () => {
  const l = look([pass(sheet('moth', [0, -32]), { load: { kind: 'one', paint: paint('harbour') } })])
  it('weakly is told, with a paint of the kit that shows better, its own hue family first', () => {
    expect(found(l, 'contrast', shows(25))).toEqual([])
    expect(found(l, 'contrast', shows(7))[0]).toMatchObject({ level: 'tip', title: 'Tone on tone' })
    expect(found(l, 'contrast', shows(3))[0]).toMatchObject({
      level: 'warning',
      title: 'Gets lost on what lies beneath',
    })
    const list = betterPaints(paints, linearOf('#171E4C'), 2, 5, linearOf('#1F4E9A'))
    expect(list[0]!.sameFamily).toBe(true)
    expect(list.every(c => c.difference > 9)).toBe(true)
    const after = fixed(l, 'contrast', shows(3)).steps[0] as SheetStep
    expect(after.passes[0]!.load).not.toEqual((l.steps[0] as SheetStep).passes[0]!.load)
  })

  it('grey over the dark is offered a white under-base through the same openings', () => {
    const sheer = look([
      pass(sheet('moth', [0, -32]), { load: { kind: 'one', paint: paint('glowworm') }, dabs: 2 }),
    ])
    const under = found(sheer, 'contrast', shows(6)).find(f => f.title.includes('under-base'))!
    expect(under.fix!.words).toMatch(/Gull White first/)
    expect(under.fix!.sets[0]!.to).toHaveLength(2)
  })
})

describe('the other checks', () => {
  it('find mud between opposite colours blended wet, and leave neighbours alone', () => {
    const wash = (a: string, b: string) =>
      look([freshWash('w', 'Base', ['forehead'], [paint(a), paint(b)], ground)])
    expect(found(wash('beacon', 'ember'), 'mud')).toEqual([])
    const l = wash('rosehip', 'kelp')
    expect(found(l, 'mud')[0]).toMatchObject({
      level: 'warning',
      title: expect.stringContaining('blend to mud'),
    })
    expect(found(fixed(l, 'mud'), 'mud')).toEqual([])
  })

  it('find mud on one brush, on one sponge, and on a base that is still wet, until it may dry', () => {
    const line = freshLine('l', 'leaf', [0, -40], paint('rosehip'), ground, [0, 0])
    const two = (light: string, dark: string): LineStep => ({
      ...line,
      load: { kind: 'double', light: paint(light), dark: paint(dark) },
    })
    expect(found(look([two('rosehip', 'kelp')]), 'mud')).toHaveLength(1)
    expect(found(look([two('beacon', 'kelp')]), 'mud')).toEqual([])
    const s = sheet('heart-crest', [0, -32])
    const over = pass(s, {
      load: { kind: 'over', first: paint('dusk'), second: paint('beacon'), direction: 0 },
    })
    expect(found(look([over]), 'mud')).toHaveLength(1)
    const red = freshWash('w', 'Red base', ['forehead'], [paint('rosehip')], ground)
    const green = { ...pass(s, { load: { kind: 'one', paint: paint('kelp') } }), dry: false }
    const l = look([red, green])
    expect(found(l, 'mud')[0]!.why).toContain('"Red base" is still wet')
    expect(found(fixed(l, 'mud'), 'mud')).toEqual([])
  })

  it("find a tool that reaches past the stencil's rim, and name a smaller one", () => {
    const l = look([pass(sheet('swirl-small', [0, -32]), { tool: 'openCell' })])
    expect(found(l, 'halo')[0]!.title).toBe('Halo past the stencil')
    expect(found(fixed(l, 'halo'), 'halo')).toEqual([])
  })

  it('find openings of another colour that the tool would catch', () => {
    const s = sheet('star-set', [0, -32])
    const passes = [
      [0, 1],
      [2, 3],
    ].map((numbers, i) => ({
      ...s.passes[0]!,
      openings: { use: 'chosen' as const, numbers },
      tool: 'openCell' as const,
      load: { kind: 'one' as const, paint: paint(i ? 'sky' : 'soot') },
    }))
    const l = look([{ ...s, passes }])
    expect(found(l, 'neighbour').length).toBeGreaterThan(0)
    expect(found(look([{ ...s, passes: [passes[0]!] }]), 'neighbour')).toEqual([])
  })

  it('find openings over an eye, and leave them out', () => {
    const l = look([sheet('honeycomb', [31, 5])])
    expect(found(l, 'keepOut')[0]).toMatchObject({
      level: 'problem',
      title: expect.stringMatching(/lie over the .*left eye/),
    })
    expect(found(fixed(l, 'keepOut'), 'keepOut').filter(f => f.level === 'problem')).toEqual([])
    expect(
      found(
        { ...look([sheet('honeycomb', [31, 5])]), skin: { ...freshLook('l', 'L').skin, eyes: 'closed' } },
        'keepOut',
      ).filter(f => f.level === 'problem'),
    ).toEqual([])
  })

  it('find a stencil that does not seat, one to be wiped, and a pass of several loads', () => {
    expect(found(look([sheet('swirl-large', [22, 34])]), 'seats')[0]!.why).toMatch(
      /press this side down separately/,
    )
    expect(found(look([sheet('feather', [34, -20], { twin: MIDLINE })]), 'wipe')[0]!.title).toBe(
      'Wipe before the twin',
    )
    const l = look([pass(sheet('honeycomb', [0, -34]), { tool: 'point', dabs: 9 })])
    expect(found(l, 'reload')[0]!.title).toMatch(/^\d+ loads for this colour layer$/)
  })

  it('find paints that are not for near the eyes or for lips, and past their use-by', () => {
    const eyes = look([freshWash('w', 'Lids', ['left.lid'], [paint('flare')], ground)])
    expect(found(eyes, 'safe')[0]).toMatchObject({
      level: 'problem',
      title: 'Flare Pink is not for near the eyes',
    })
    expect(found(fixed(eyes, 'safe'), 'safe')).toEqual([])
    expect(
      found(look([freshWash('w', 'Lips', ['lips'], [paint('soot')], ground)]), 'safe')[0]!.title,
    ).toMatch(/not for lips/)
    expect(found(look([freshWash('w', 'Cheek', ['left.cheek'], [paint('flare')], ground)]), 'safe')).toEqual(
      [],
    )
    const old = look([freshWash('w', 'Cheek', ['left.cheek'], [paint('signal')], ground)])
    expect(found(old, 'useBy')[0]!.why).toBe('Opened 2023-05-20, good for 24 months: until 2025-05-20.')
    expect(found(old, 'useBy', [], '2025-05-20')).toEqual([])
    expect(found(fixed(old, 'useBy'), 'useBy')).toEqual([])
  })

  it('find a layer that is kept to a part which the stencil does not reach, and dab all over it instead', () => {
    const loop: [number, number][] = [
      [-60, 60],
      [-50, 60],
      [-55, 70],
    ]
    const aside = pass(sheet('moth', [0, -40]), { part: { by: 'shape', loop, fades: 0 } })
    expect(found(look([aside]), 'nothingDabbed')).toMatchObject([{ level: 'warning', stepId: 's' }])
    expect(fixed(look([aside]), 'nothingDabbed').steps[0]).toMatchObject({ passes: [{ part: undefined }] })
    expect(found(look([pass(sheet('moth', [0, -40]), {})]), 'nothingDabbed')).toEqual([])
  })

  it('find a cleaning that wipes a print out, and clean less of it', () => {
    const fine = { ...sheet('star-set', [0, -40]), id: 'fine' }
    const cleaned = (width: number): Look =>
      look([fine, { ...freshRework('s', 'wetBrush', 'rim', [0, 0], ['fine'], ground), width }])
    const told = (l: Look) =>
      found(l, 'wipedOut', [], '2026-06-01', withSteps({ ...world, memo: new Memo() }, l.steps))
    const [wiped] = told(cleaned(3))
    expect(wiped).toMatchObject({ level: 'warning', stepId: 's' })
    const mended = afterFix(cleaned(3).steps, 's', wiped!.fix!, () => 'added')
    expect(told(look(mended))).toEqual([])
  })

  it('ask for shut eyes where a lid is worked, until the step says so', () => {
    const onLid = { ...freshLine('s', 'eyeliner', [31, 3], paint('soot'), ground, [0, 0]) }
    expect(found(look([onLid]), 'shutEyes')).toMatchObject([{ level: 'tip', stepId: 's' }])
    expect(fixed(look([onLid]), 'shutEyes').steps[0]).toMatchObject({ eyes: 'shut' })
    expect(found(fixed(look([onLid]), 'shutEyes'), 'shutEyes')).toEqual([])
    const onCheek = freshLine('s', 'swirl', [40, 60], paint('soot'), ground, [0, 0])
    expect(found(look([onCheek]), 'shutEyes')).toEqual([])
  })

  it('say nothing of a clean step', () => {
    const l = look([pass(sheet('swirl-small', [0, -40]), { tool: 'dauber', wetness: 'tacky', dabs: 2 })])
    expect(
      findingsOf(
        { ...l, sitting: { ...l.sitting, allergies: 'none', skin: 'sound' } },
        { ...world, ground: groundFor(l) },
        paints,
        shows(40),
        '2026-06-01',
      ),
    ).toEqual([])
  })
})

describe('amounts', () => {
  it('are areas times films, both sides of a twin, and cost what the cake costs', () => {
    const one = paintUseOf(look([sheet('honeycomb', [30, -20])]), world)[0]!
    const two = paintUseOf(look([sheet('honeycomb', [30, -20], { twin: MIDLINE })]), world)[0]!
    const soot = kit.get('soot')!
    expect(two.grams).toBeCloseTo(2 * one.grams, 9)
    expect(one.cost).toBeCloseTo((soot.price! * one.grams) / soot.cakeGrams, 9)
    expect(one.lasts).toBe(Math.floor(soot.grams! / one.grams))
    expect(placementsOf(sheet('honeycomb', [30, -20]), world)).toHaveLength(1)
  })
})
