import { describe, expect, it } from 'vitest'
import { paints } from '../../../demo/paints'
import { findingsOf, type Finding } from '#core/checks'
import {
  hostsIn,
  freshAround,
  freshDots,
  freshGem,
  freshGlitter,
  freshLine,
  freshLips,
  freshLook,
  freshSheet,
  freshWash,
  groundFor,
  showsOf,
  type Look,
  type Sitting,
  type Step,
} from '#core/look'
import { ground, paint, world } from '../world'

const soot = paint('soot')
const asked: Partial<Sitting> = { allergies: 'none', skin: 'sound', eyes: 'yes', lips: 'yes' }
const lookOf = (steps: Step[], age = 30, sitting: Partial<Sitting> = {}): Look => {
  const base = freshLook('x', 'x')
  return { ...base, skin: { ...base.skin, age }, sitting: { ...base.sitting, ...asked, ...sitting }, steps }
}
const all = (look: Look): Finding[] =>
  findingsOf(
    look,
    { ...world, ground: groundFor(look), ...hostsIn(look.steps), paint: id => paints.find(p => p.id === id) },
    paints,
    [],
    '2026-06-01',
  )
const of = (look: Look, check: string) => all(look).filter(f => f.check === check)
const liner = (): Step => ({
  ...freshLine('l', 'eyeliner', [30, 3], soot, ground, [0, 0]),
  points: [
    [17, 5],
    [30, -3.5],
    [46, 3],
  ],
})

describe('what a person said', () => {
  it('no to the eyes or the lips stops the steps that concern them, and no others', () => {
    const steps = [
      liner(),
      freshLips('m', [paint('rosehip')]),
      freshLine('far', 'line', [0, -45], soot, ground, [0, 0]),
    ]
    expect(
      of(lookOf(steps, 30, { eyes: 'no', lips: 'no' }), 'answers').map(f => [f.stepId, f.level]),
    ).toEqual([
      ['l', 'problem'],
      ['m', 'problem'],
    ])
    expect(of(lookOf(steps), 'answers')).toEqual([])
  })

  it.each([
    ['not asked', { allergies: 'not asked' }, 'Ask before painting', 'tip'],
    ['allergies without a clear patch', { allergies: 'some' }, 'Allergies: test patch first', 'warning'],
    ['a patch that reacted', { patch: 'reacted' }, 'The test patch reacted', 'problem'],
    ['sore skin', { skin: 'broken or sore' }, 'No paint on broken or sore skin', 'problem'],
  ] as [string, Partial<Sitting>, string, string][])(
    '%s is told once, of the whole look',
    (_name, sitting, title, level) => {
      expect(of(lookOf([liner()], 30, sitting), 'sitting').map(f => [f.stepId, f.title, f.level])).toEqual([
        [null, title, level],
      ])
    },
  )

  it('allergies with a clear patch say nothing', () => {
    expect(of(lookOf([], 30, { allergies: 'some', patch: 'clear' }), 'sitting')).toEqual([])
  })

  it('under three years only the arm is painted, stated as common practice with local rules first', () => {
    const [found] = of(lookOf([], 8, { age: 2 }), 'sitting')
    expect(found).toMatchObject({ level: 'problem', title: 'Under 3 years: the arm only' })
    expect(found!.why).toMatch(/Common practice.*Local rules/)
    expect(
      of(
        {
          ...lookOf([], 8, { age: 2 }),
          canvas: { kind: 'arm', part: 'forearm', side: 'left', measures: null },
        },
        'sitting',
      ),
    ).toEqual([])
  })
})

describe('cautions by age and zone', () => {
  it('lids and lash line of children under six', () => {
    expect(of(lookOf([liner()], 5), 'lids')[0]).toMatchObject({ level: 'warning', stepId: 'l' })
    expect(of(lookOf([liner()], 6), 'lids')).toEqual([])
    expect(of(lookOf([freshWash('w', 'w', ['left.lid'], [soot], ground)], 4), 'lids')).toHaveLength(1)
  })

  it('chunky glitter and gel near eyes, and one press makes it fine', () => {
    const near = { ...freshGlitter('g', 'patch', [34, 20], null, ground), sort: 'chunky' as const }
    const far = { ...freshGlitter('g', 'patch', [0, -50], null, ground), sort: 'chunky' as const }
    const [found] = of(lookOf([near]), 'sparkle')
    expect(found).toMatchObject({ level: 'problem', fix: { sets: [{ path: ['sort'], to: 'fine' }] } })
    expect(of(lookOf([far]), 'sparkle')).toEqual([])
    expect(of(lookOf([{ ...near, sort: 'fine' }]), 'sparkle')).toEqual([])
  })

  it('glued gems near an eye stop, self-adhesive ones want care; far ones say nothing', () => {
    const gem = (x: number, y: number, fix: 'glued' | 'self-adhesive') =>
      of(lookOf([{ ...freshGem('g', [x, y]), fix }]), 'sparkle').map(f => f.level)
    expect(gem(50, 4, 'glued')).toEqual(['problem'])
    expect(gem(50, 4, 'self-adhesive')).toEqual(['warning'])
    expect(gem(0, -40, 'glued')).toEqual([])
  })

  it('gems within reach of very small children', () => {
    expect(of(lookOf([freshGem('g', [0, -40])], 4), 'sparkle').map(f => f.level)).toEqual(['warning'])
    expect(of(lookOf([freshGem('g', [0, -40])], 4, { age: 2 }), 'sparkle').map(f => f.level)).toEqual([
      'problem',
    ])
  })

  it('neon near eyes, and paint that is not for lips', () => {
    expect(
      of(
        lookOf([
          { ...(liner() as Extract<Step, { kind: 'line' }>), load: { kind: 'one', paint: paint('flare') } },
        ]),
        'safe',
      )[0],
    ).toMatchObject({ level: 'problem' })
    expect(of(lookOf([freshLips('m', [soot])]), 'safe')[0]!.title).toContain('not for lips')
    expect(of(lookOf([freshLips('m', [paint('rosehip')])]), 'safe')).toEqual([])
    expect(of(lookOf([freshLips('m', [paint('rosehip')])]), 'lipsShared')[0]).toMatchObject({ level: 'tip' })
  })

  it('strokes over an open eye, unless it is closed', () => {
    const over = {
      ...freshLine('o', 'line', [30, 4], soot, ground, [0, 0]),
      points: [
        [20, 4],
        [40, 4],
      ] as [number, number][],
    }
    expect(of(lookOf([over]), 'overEyes')[0]!.title).toContain('left eye')
    expect(of({ ...lookOf([over]), skin: { ...lookOf([]).skin, eyes: 'closed' } }, 'overEyes')).toEqual([])
    expect(of(lookOf([freshDots('d', 'row', [0, -40], null, soot, ground, [0, 0])]), 'overEyes')).toEqual([])
  })
})

describe('glitter on wet paint', () => {
  const base = freshWash('w', 'Base', ['forehead'], [soot], ground)
  const glitter = freshGlitter('g', 'print', [0, 0], 'w', ground)
  const between = Array.from({ length: 6 }, (_, i) => freshSheet(`s${i}`, 's', 'honeycomb', [0, -30], soot))
  it('follows its host at once, not after it has dried, and not before it', () => {
    expect(of(lookOf([base, glitter]), 'glitterHost')).toEqual([])
    expect(of(lookOf([base, ...between, glitter]), 'glitterHost')[0]!.title).toContain('dry by then')
    expect(of(lookOf([glitter, base]), 'glitterHost')[0]).toMatchObject({ level: 'problem' })
    expect(of(lookOf([{ ...glitter, area: 'zones', zones: ['forehead'] }]), 'glitterHost')[0]).toMatchObject({
      fix: { sets: [{ path: ['on'], to: null }] },
    })
  })
})

describe('linework', () => {
  const lost = (id: string) => [
    showsOf(id, [
      [
        [0.5, 0.4, 0.3],
        [0.5, 0.41, 0.31],
      ],
    ]),
  ]
  it('that gets lost says so, with a paint that shows; a print that does is offered an outline', () => {
    const line = freshLine('l', 'line', [0, -40], soot, ground, [0, 0])
    const sheet = freshSheet('s', 'Heart', 'heart-crest', [0, -30], soot)
    const look = lookOf([line, sheet])
    const there = { ...world, ...hostsIn(look.steps) }
    const found = findingsOf(look, there, paints, [...lost('l'), ...lost('s')], '2026-06-01')
    expect(found.find(f => f.check === 'lineContrast')).toMatchObject({
      stepId: 'l',
      level: 'warning',
      fix: { sets: [{ path: ['load', 'paint'] }] },
    })
    const outline = found.find(f => f.title.includes('outline'))!
    expect(outline.fix!.adds![0]).toMatchObject({ kind: 'line', shape: 'outline', of: { step: 's' } })
    const with_ = lookOf([
      line,
      sheet,
      freshAround('o', 'outline', { use: 'step', step: 's', openings: null }, soot),
    ])
    expect(
      findingsOf(with_, { ...world, ...hostsIn(with_.steps) }, paints, lost('s'), '2026-06-01').some(f =>
        f.title.includes('An outline would'),
      ),
    ).toBe(false)
  })
})
