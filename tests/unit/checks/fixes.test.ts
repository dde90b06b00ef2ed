import { describe, expect, it } from 'vitest'
import { paints } from '../../../demo/paints'
import { afterFix, EYE_CLEARANCE, eyeClearance, findingsOf, regionsOf, type Finding } from '#core/checks'
import {
  FOLLOWS,
  freshDots,
  freshGem,
  freshGlitter,
  freshLine,
  freshLips,
  freshLook,
  freshSheet,
  freshWash,
  groundFor,
  kindOf,
  movedBehind,
  paintedOpenings,
  placementsOf,
  reordered,
  seatingOf,
  withSteps,
  type GemStep,
  type Look,
  type SheetStep,
  type Step,
} from '#core/look'
import { pointsOf, ringHolds } from '#core/geometry'
import { ground, MIDLINE, paint, sheets } from '../world'

const kit = new Map(paints.map(p => [p.id, p]))
const soot = paint('soot')
const lookOf = (steps: Step[], age = 30): Look => {
  const base = freshLook('l', 'L')
  return {
    ...base,
    skin: { ...base.skin, age },
    sitting: { ...base.sitting, allergies: 'none', skin: 'sound', eyes: 'no', lips: 'no' },
    steps,
  }
}
const worldOf = (look: Look) =>
  withSteps({ ground: groundFor(look), stencil: id => sheets.get(id), paint: id => kit.get(id) }, look.steps)
const found = (look: Look, check: string): Finding[] =>
  findingsOf(look, worldOf(look), paints, [], '2026-06-01').filter(f => f.check === check)
const fixed = (look: Look, { stepId, fix }: Finding): Look => ({
  ...look,
  steps: afterFix(look.steps, stepId, fix!, () => 'added') as Look['steps'],
})
const ids = (steps: readonly Step[]) => steps.map(s => s.id)

describe('the order of steps', () => {
  const base = freshWash('base', 'Base', ['forehead'], [soot], ground)
  const shine: Step = { ...freshGlitter('shine', 'print', [0, 0], null, ground), on: 'base' }
  const line = freshLine('line', 'line', [0, 60], soot, ground, [0, 0])
  const steps: Step[] = [base, shine, line]
  it('keeps glitter with the wet paint that it goes on', () => {
    expect(ids(reordered(steps, 'base', 2))).toEqual(['line', 'base', 'shine'])
    expect(ids(movedBehind(steps, 'base', 'line'))).toEqual(['line', 'base', 'shine'])
    expect(ids(movedBehind(steps, 'line', 'base'))).toEqual(['base', 'line', 'shine'])
    expect(ids(movedBehind(steps, 'base', 'shine'))).toEqual(['shine', 'base'].concat('line'))
  })

  it('stays as it is where a step or place does not exist', () => {
    for (const same of [
      reordered(steps, 'none', 1),
      reordered(steps, 'line', 9),
      movedBehind(steps, 'line', 'none'),
      movedBehind(steps, 'line', 'line'),
    ])
      expect(ids(same)).toEqual(ids(steps))
  })
})

describe('a fix', () => {
  it('changes a copy and leaves what it does not touch as it is', () => {
    const a = freshGem('a', [0, -20])
    const b = freshGem('b', [0, -30])
    const next = afterFix(
      [a, b],
      'a',
      {
        words: 'x',
        sets: [
          { path: ['points', 0, 1], to: -25 },
          { path: ['cut'], to: 'star' },
        ],
        adds: [freshGem('z', [0, 0])],
      },
      () => 'new',
    )
    expect(next[0]).toEqual({ ...a, points: [[0, -25]], cut: 'star' })
    expect(a.points).toEqual([[0, -20]])
    expect(ids(next)).toEqual(['a', 'new', 'b'])
    expect(next[2]).toBe(b)
    expect(afterFix([a, b], 'gone', { words: 'x', sets: [], goes: 'out' }, () => 'new')).toEqual([a, b])
  })

  it('takes out what the person does not want, and nothing else', () => {
    const look = lookOf([
      freshLips('m', [paint('rosehip')]),
      {
        ...freshLine('l', 'eyeliner', [30, 3], soot, ground, [0, 0]),
        points: [
          [17, 5],
          [30, -3.5],
          [46, 3],
        ],
      },
      freshDots('d', 'row', [0, -40], null, soot, ground, [0, 0]),
    ])
    const next = found(look, 'answers').reduce(fixed, look)
    expect(ids(next.steps)).toEqual(['d'])
    expect(found(next, 'answers')).toEqual([])
  })

  it('moves a gem off the eye, both of a pair, no farther than needed', () => {
    const gem: GemStep = { ...freshGem('g', [50, 4]), twin: { rule: 'midline', about: null, own: null } }
    const look = lookOf([gem])
    const next = fixed(look, found(look, 'sparkle')[0]!)
    const moved = next.steps[0] as GemStep
    const world = worldOf(next)
    const clear = eyeClearance(moved, world, regionsOf(world.ground).eyes)
    expect(clear).toBeGreaterThanOrEqual(EYE_CLEARANCE)
    expect(clear).toBeLessThan(EYE_CLEARANCE + 2.2)
    expect(moved.points[0]![0]).toBeGreaterThan(50)
    expect(found(next, 'sparkle')).toEqual([])
  })

  it('moves a stroke off an open eye', () => {
    const look = lookOf([freshLine('l', 'line', [32, 12], soot, ground, [0, 0])])
    const [over] = found(look, 'overEyes')
    const next = fixed(look, over!)
    const eyes = groundFor(look).keepOuts.filter(k => k.kind === 'eye')
    expect(over!.fix!.words).toMatch(/^Move it \d+ mm off the eye$/)
    const points = kindOf(next.steps[0]!)
      .prints(next.steps[0]!, { ...worldOf(next), flat: true })
      .flatMap(p => p.rings.flatMap(pointsOf))
    expect(points.some(p => eyes.some(e => ringHolds(e.ring, ...p)))).toBe(false)
  })

  it('draws a line that would go into a wet base after steps elsewhere, when these take long enough', () => {
    const base = {
      ...freshWash('base', 'Base', ['forehead'], [paint('kelp')], ground),
      wetness: 'damp' as const,
    }
    const line = freshLine('line', 'line', [0, -35], paint('rosehip'), ground, [0, 0])
    const elsewhere = Array.from({ length: 4 }, (_, i): Step => ({
      ...freshSheet(`s${i}`, `Stencil ${i}`, 'swirl-small', [40, 62], soot),
      twin: MIDLINE,
    }))
    const look = lookOf([base, line, ...elsewhere])
    const [wet] = found(look, 'mud')
    const next = fixed(look, wet!)
    expect(wet!.fix!.words).toMatch(/^Draw it after "Stencil \d"$/)
    expect(found(next, 'mud')).toEqual([])
    // Alone, or with only a step that it touches behind it, it has nowhere to go.
    expect(found(lookOf([base, line]), 'mud')[0]!.fix).toBeNull()
    expect(
      found(
        lookOf([base, line, freshSheet('s', 'Crest', 'heart-crest', [0, -35], soot), ...elsewhere]),
        'mud',
      )[0]!.fix,
    ).toBeNull()
  })

  it('shifts a stencil to where it follows the skin, when that is near', () => {
    let shifted = 0
    for (const stencil of ['heart-crest', 'moth', 'leaf-spray', 'swirl-small', 'crown', 'flower']) {
      if (!sheets.has(stencil)) continue
      for (const at of [
        [0, 30],
        [20, 40],
        [30, 20],
        [50, 30],
        [58, 60],
        [0, 62],
        [62, -10],
      ] as const) {
        const look = lookOf([freshSheet('s', 'Stencil', stencil, [at[0], at[1]], soot)])
        for (const f of found(look, 'seats')) {
          if (!f.fix?.words.startsWith('Shift')) continue
          const next = fixed(look, f)
          const step = next.steps[0] as SheetStep
          const world = worldOf(next)
          const share = seatingOf(
            sheets.get(stencil)!,
            placementsOf(step, world)[0]!,
            world,
            paintedOpenings(step, world)[0],
          ).seatedPressed
          expect(share).toBeGreaterThanOrEqual(FOLLOWS)
          expect(Math.hypot(step.at[0] - at[0], step.at[1] - at[1])).toBeLessThanOrEqual(12.01)
          if (at[0] === 0) expect(step.at[0]).toBe(0)
          expect(found(next, 'seats')).toEqual([])
          shifted++
        }
      }
    }
    expect(shifted).toBeGreaterThan(3)
  })

  it('leaves the openings over an eye out on both sides of a pair', () => {
    const look = lookOf([{ ...freshSheet('s', 'Stencil', 'scales', [34, 10], soot), twin: MIDLINE }])
    const [over] = found(look, 'keepOut')
    const next = fixed(look, over!)
    expect(over!.fix!.words).toBe('Leave those openings out')
    expect(found(next, 'keepOut').filter(f => f.level === 'problem')).toEqual([])
  })
})
