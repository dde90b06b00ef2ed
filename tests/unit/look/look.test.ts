import { describe, expect, it } from 'vitest'
import { looks } from '../../looks'
import { bearing } from '#core/geometry'
import {
  hostsIn,
  aimedTilt,
  clockOf,
  freshLook,
  freshSheet,
  freshWash,
  groundFor,
  KINDS,
  kindOf,
  timesOf,
  missingSheets,
  parseLook,
  placementsOf,
  sheetsOf,
  whereIs,
  type Look,
} from '#core/look'
import { ground, MIDLINE, paint, world } from '../world'

const valid = (): Look => ({
  ...freshLook('l1', 'Test'),
  steps: [
    freshWash('s1', 'Base', ['forehead'], [paint('gull'), paint('dusk')], ground),
    freshSheet('s2', 'Moth', 'moth', [12, -30], paint('soot')),
  ],
})
/** What is said of a look whose JSON has `value` at a path such as "steps.1.tilt". */
const errors = (path: string, value: unknown): string => {
  const data = JSON.parse(JSON.stringify(valid()))
  const keys = path.split('.')
  const last = keys.pop()!
  keys.reduce((at, key) => at[key], data)[last] = value
  const parsed = parseLook(data)
  return parsed.ok ? '' : parsed.errors.join(' ')
}

describe('parseLook', () => {
  it('takes a look through JSON without changing a digit', () => {
    const look = { ...valid(), focus: [0.1 + 0.2, -1e-7] as [number, number] }
    const parsed = parseLook(JSON.parse(JSON.stringify(look)))
    expect(parsed).toEqual({ ok: true, look })
  })

  it('takes every demo look', () => {
    for (const look of looks) expect(parseLook(JSON.parse(JSON.stringify(look))).ok, look.name).toBe(true)
  })

  it.each([
    ['another format', 'format', 'x', /not a look/],
    ['a later version', 'version', 99, /version.*later/],
    ['an unknown field', 'colour', 'red', /unknown field "colour"/],
    ['an unknown field in a step', 'steps.1.scale', 2, /Step 2 \(Moth\).*unknown field "scale"/],
    ['a number that is none', 'steps.1.tilt', null, /Step 2 \(Moth\): "tilt" must be a number/],
    ['a place off the skin', 'steps.1.at', [9999, 0], /"at.0" must be at most 400/],
    ['no dabs', 'steps.1.passes.0.dabs', -1, /dabs" must be at least 1/],
    ['half a dab', 'steps.1.passes.0.dabs', 1.5, /whole number/],
    ['an unknown tool', 'steps.0.tool', 'roller', /tool" must be one of/],
    ['an unknown kind', 'steps.0.kind', 'spray', /known kind: wash, sheet/],
    ['no colours', 'steps.0.colours', [], /at least one colour/],
    ['a strange colour', 'skin.colour', 'pink', /#7A2E5D/],
    ['two steps of one id', 'steps.1.id', 's1', /same id/],
    ['no name', 'name', '', /name" must not be empty/],
  ] as [string, string, unknown, RegExp][])(
    'refuses %s with a sentence that says where',
    (_name, path, value, sentence) => {
      expect(errors(path, value)).toMatch(sentence)
    },
  )

  it('refuses what is no object at all', () => {
    for (const data of [null, 4, 'look', [], {}]) expect(parseLook(data).ok).toBe(false)
  })

  it('names the stencils that are missing', () => {
    expect(sheetsOf(valid())).toEqual(['moth'])
    expect(missingSheets(valid(), () => false)[0]).toMatch(/"moth", which is not in the drawer/)
    expect(missingSheets(valid(), () => true)).toEqual([])
  })
})

describe('kinds', () => {
  it('says something of every demo step, and gives each a print and a time', () => {
    for (const look of looks) {
      const there = { ...world, ground: groundFor(look), ...hostsIn(look.steps) }
      for (const step of look.steps) {
        const kind = kindOf(step)
        expect(kind.lines(step, there).length).toBeGreaterThan(1)
        expect(
          kind.prints(step, there).every(p => p.rings.length > 0 && p.opacity > 0 && p.opacity <= 1),
        ).toBe(true)
        expect(kind.effort(step, there).seconds).toBeGreaterThan(0)
      }
      expect(timesOf(look, there).finish).toBeGreaterThan(30)
    }
    expect(Object.keys(KINDS)).toEqual([
      'wash',
      'sheet',
      'line',
      'dots',
      'gem',
      'glitter',
      'lips',
      'pull',
      'rework',
      'guide',
    ])
  })

  it('paints one set of films for each pass and side', () => {
    const step = { ...freshSheet('a', 'a', 'moth', [20, 0], paint('soot')), twin: MIDLINE }
    expect(kindOf(step).prints({ ...step, passes: [step.passes[0]!, step.passes[0]!] }, world)).toHaveLength(
      4,
    )
    expect(
      kindOf(step)
        .outlines(step, world)
        .map(o => o.twin),
    ).toEqual([false, true])
    expect(kindOf(step).lines(step, world).at(-1)!.text).toMatch(/wipe and flip to side B/)
  })

  it('paints only the chosen openings', () => {
    const step = freshSheet('a', 'a', 'moth', [0, 0], paint('soot'))
    step.passes[0]!.openings = { use: 'chosen', numbers: [0, 999] }
    expect(kindOf(step).prints(step, world)[0]!.rings).toHaveLength(1)
  })
})

describe('where', () => {
  it("puts places in a painter's words", () => {
    expect(whereIs(ground, [0, -28])).toMatchObject({
      landmark: '28 mm above the bridge of the nose',
      midline: 'on the midline',
    })
    const [px, py] = ground.face!.landmarks.right.browPeak
    expect(whereIs(ground, [-px, py]).landmark).toBe('on the right peak of the brow')
    expect(whereIs(ground, [px + 6, py - 2.5])).toMatchObject({
      landmark: '2.5 mm above and 6 mm out from the left peak of the brow',
    })
  })

  it('tells tilts as a clock', () => {
    expect([0, 90, -30, 15, 180].map(clockOf)).toEqual([
      "12 o'clock",
      "3 o'clock",
      "11 o'clock",
      'half past 12',
      "6 o'clock",
    ])
  })

  it('aims a heading at the focus', () => {
    expect(aimedTilt('A', 0, bearing([50, 0], [0, 0]))).toBeCloseTo(-90, 9)
    expect(aimedTilt('A', 180, bearing([0, -40], [0, 0]))).toBeCloseTo(0, 9)
    expect(aimedTilt('B', 70, bearing([50, 0], [0, 0]))).toBeCloseTo(-20, 9)
  })

  it('twins exactly: twice is the same place', () => {
    const step = { ...freshSheet('a', 'a', 'moth', [21.3, 4], paint('soot')), tilt: 17, twin: MIDLINE }
    const [own, twin] = placementsOf(step, world)
    expect(twin).toEqual({ at: [-21.3, 4], tilt: -17, side: 'B', grip: [0, 0] })
    expect(placementsOf({ ...step, at: [-21.3, 4], tilt: -17, side: 'B' }, world)[1]).toEqual(own)
  })
})
