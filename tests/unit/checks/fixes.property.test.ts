import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { looks } from '../../looks'
import { paints } from '../../../demo/paints'
import { afterFix, findingsOf, type Finding } from '#core/checks'
import {
  freshDots,
  freshGem,
  freshGlitter,
  freshLine,
  freshLook,
  freshOutline,
  freshSheet,
  freshWash,
  groundFor,
  NO_TWIN,
  parseLook,
  withSteps,
  type Look,
  type Shows,
  type Step,
  type World,
} from '#core/look'
import { linearOf, TOOL_IDS, WETNESSES } from '#core/paint'
import { PLAIN_FACE } from '#core/skin'
import { SHAPE_IDS } from '#core/stroke'
import { ground, paint, sheets } from '../world'

const kit = new Map(paints.map(p => [p.id, p]))
const worldOf = (look: Look): World =>
  withSteps({ ground: groundFor(look), stencil: id => sheets.get(id), paint: id => kit.get(id) }, look.steps)
/** Every step hardly shows, so that what is said of that is said too. */
const weak = (look: Look): Shows[] =>
  look.steps.map(s => ({
    stepId: s.id,
    median: 4,
    tenth: 2,
    words: '',
    beneath: linearOf('#171E4C'),
    colour: linearOf('#1F4E9A'),
  }))
const told = (look: Look): Finding[] => findingsOf(look, worldOf(look), paints, weak(look), '2028-01-01')

/** The look after a fix, as the bench applies it. */
function fixed(look: Look, { stepId, fix }: Finding): Look {
  let added = 0
  return { ...look, steps: afterFix(look.steps, stepId, fix!, () => `added-${added++}`) as Look['steps'] }
}

/**
 * Each fix gives a look that can be kept, and what it was offered for is then said no more of that step, or
 * less of it.
 */
function holds(look: Look): void {
  expect(parseLook(JSON.parse(JSON.stringify(look)))).toMatchObject({ ok: true })
  const before = told(look)
  const tried = new Set<string>()
  for (const f of before) {
    expect(f.title.length).toBeGreaterThan(4)
    expect(`${f.title} ${f.why}`).not.toMatch(/NaN|undefined|Infinity|\[object/)
    // One of each kind is tried: the same is offered in the same way.
    if (!f.fix || tried.has(f.check)) continue
    tried.add(f.check)
    expect(f.fix.words.length).toBeGreaterThan(2)
    const next = fixed(look, f)
    const parsed = parseLook(JSON.parse(JSON.stringify(next)))
    expect(parsed.ok ? '' : `${f.check} ${f.fix.words}: ${parsed.errors.join()}`).toBe('')
    // Paint that hardly shows is told by the picture, which is not painted here.
    if (['contrast', 'lineContrast'].includes(f.check)) continue
    const same = (list: readonly Finding[]) =>
      list.filter(o => o.check === f.check && o.stepId === f.stepId && o.title === f.title && o.why === f.why)
        .length
    expect(same(told(next)), `${f.check}: ${f.title}, after "${f.fix.words}"`).toBeLessThan(same(before))
  }
}

describe('what one press mends', () => {
  it.each(looks.map(l => [l.name, l] as const))(
    'is mended in %s, and the look can still be kept',
    (_, look) => holds(look),
  )

  it('is mended in any look of stencils, bases and brushwork', () => {
    const at = fc.tuple(fc.integer({ min: -60, max: 60 }), fc.integer({ min: -60, max: 90 }))
    const pick = <T>(list: readonly T[]) => fc.constantFrom(...list)
    const colour = pick(paints.filter(p => !p.strips.length)).map(p => paint(p.id))
    const id = fc.nat(1e9).map(n => `s${n}`)
    const sheet = fc
      .record({
        id,
        at,
        stencil: pick([...sheets.keys()]),
        colour,
        tool: pick(TOOL_IDS),
        wetness: pick(WETNESSES),
        dabs: fc.integer({ min: 1, max: 12 }),
        tilt: fc.integer({ min: -180, max: 180 }),
        side: pick(['A', 'B'] as const),
        dry: fc.boolean(),
        twin: pick(['none', 'midline', 'features'] as const),
      })
      .map((r): Step => ({
        ...freshSheet(r.id, 'Stencil', r.stencil, r.at, r.colour),
        tilt: r.tilt,
        side: r.side,
        dry: r.dry,
        twin: { ...NO_TWIN, rule: r.twin },
        passes: [
          {
            ...freshSheet('x', 'x', r.stencil, [0, 0], r.colour).passes[0]!,
            tool: r.tool,
            wetness: r.wetness,
            dabs: r.dabs,
          },
        ],
      }))
    const other = fc
      .record({
        id,
        at,
        colour,
        shape: pick(SHAPE_IDS),
        kind: pick(['wash', 'drawn', 'line', 'dots', 'gem', 'glitter'] as const),
      })
      .map(({ id, at, colour, shape, kind }): Step =>
        kind === 'wash'
          ? freshWash(id, 'Base', ['forehead', 'left.lid', 'lips'], [colour], ground)
          : kind === 'drawn'
            ? freshOutline(id, 'Base', at, [colour], ground)
            : kind === 'line'
              ? freshLine(id, shape, at, colour, ground, [0, 0])
              : kind === 'dots'
                ? freshDots(id, 'row', at, null, colour, ground, [0, 0])
                : kind === 'gem'
                  ? freshGem(id, at)
                  : freshGlitter(id, 'patch', at, null, ground),
      )
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.oneof(sheet, other), { minLength: 1, maxLength: 5, selector: s => s.id }),
        pick([3, 7, 30]),
        (steps, age) => {
          const base = freshLook('l', 'L')
          holds({ ...base, canvas: { ...PLAIN_FACE, nudges: {} }, skin: { ...base.skin, age }, steps })
        },
      ),
      { numRuns: 12, seed: 11 },
    )
  }, 120_000)
})
