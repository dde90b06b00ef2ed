import { describe, expect, it } from 'vitest'
import { looks } from '../../../demo/looks'
import { paints } from '../../../demo/paints'
import { afterFix, findingsOf, type Finding } from '#core/checks'
import {
  freshGlitter,
  freshLine,
  freshLook,
  freshOutline,
  freshRework,
  freshSheet,
  freshWash,
  groundFor,
  parseLook,
  withSteps,
  type Look,
  type Step,
} from '#core/look'
import { Memo } from '#core/memo'
import { ground, paint, sheets } from '../world'

const memo = new Memo()
const kit = new Map(paints.map(p => [p.id, p]))
const worldOf = (look: Look) =>
  withSteps(
    { ground: groundFor(look, memo), stencil: id => sheets.get(id), paint: id => kit.get(id), memo },
    look.steps,
  )
const told = (look: Look): Finding[] => findingsOf(look, worldOf(look), paints, [], '2026-06-01')
const GRAVE = { problem: 100, warning: 10, tip: 0 } as const
/**
 * How grave all that is told is together: tips weigh nothing, since a change may well bring one, and the limit is
 * left out, since nearly every change takes some seconds more or less.
 */
const weight = (list: readonly Finding[]) =>
  list.reduce((sum, f) => sum + (f.check === 'limit' ? 0 : GRAVE[f.level]), 0)
/** Every look of the demo is told in seconds: a fifth of them stand for all. */
const SOME = looks.filter((_, i) => i % 5 === 0)

const base = freshWash('base', 'Base', ['forehead'], [paint('kelp')], ground)
const lookOf = (name: string, ...steps: Step[]): Look => ({ ...freshLook('l', name), steps })
/** Looks in which something is wrong on purpose. */
const WRONG: readonly Look[] = [
  lookOf('wet', base, { ...freshSheet('s', 'Moth', 'moth', [0, -40], paint('soot')), dry: false }),
  lookOf(
    'spray before its second host',
    base,
    freshSheet('top', 'Mask top', 'heart-crest', [0, -40], paint('soot')),
    freshLine('far', 'swirl', [40, 70], paint('soot'), ground, [0, 0]),
    freshOutline('second', 'Second', [0, 60], [paint('sky')], ground),
    freshLine('far2', 'swirl', [40, 70], paint('soot'), ground, [0, 0]),
    freshLine('far3', 'swirl', [-40, 70], paint('soot'), ground, [0, 0]),
    freshLine('far4', 'swirl', [-40, 30], paint('soot'), ground, [0, 0]),
    freshLine('far5', 'swirl', [40, 30], paint('soot'), ground, [0, 0]),
    { ...freshGlitter('spray', 'print', [0, 0], 'top', ground), sort: 'spray', over: ['second'] },
  ),
  lookOf('line in mud', base, freshLine('line', 'swirl', [0, -40], paint('rosehip'), ground, [0, 0])),
  lookOf('over an eye', freshLine('line', 'swirl', [31, 3], paint('soot'), ground, [0, 0])),
  lookOf('runny', {
    ...freshSheet('s', 'Scales', 'scales', [0, -34], paint('soot')),
    passes: [
      {
        ...freshSheet('s', 'Scales', 'scales', [0, -34], paint('soot')).passes[0]!,
        wetness: 'runny',
        tool: 'openCell',
      },
    ],
  }),
  lookOf(
    'wiped out',
    freshSheet('s', 'Scales', 'scales', [0, -34], paint('soot')),
    freshRework('r', 'wetBrush', 'rim', [0, 0], ['s'], ground),
  ),
]

describe('a fix that is offered', () => {
  it.each([...SOME, ...WRONG].map(l => [l.name, l] as const))(
    'for %s mends what it says, and makes nothing worse',
    (_, look) => {
      const before = told(look)
      for (const finding of before) {
        const { fix, check, stepId, title } = finding
        if (!fix) continue
        const steps = afterFix(look.steps, stepId, fix, () => 'added') as Look['steps']
        const next = { ...look, steps }
        const read = parseLook(JSON.parse(JSON.stringify(next)))
        expect(read.ok, `${title}: ${read.ok ? '' : read.errors.join(' ')}`).toBe(true)
        const after = told(next)
        const said = `${look.name}, ${title}, ${fix.words}: ${after
          .filter(f => !before.some(b => b.title === f.title && b.stepId === f.stepId))
          .map(f => f.title)
          .join('; ')}`
        expect(
          after.some(f => f.check === check && f.stepId === stepId && f.title === title),
          said,
        ).toBe(false)
        expect(weight(after), said).toBeLessThanOrEqual(weight(before))
      }
    },
    90_000,
  )
})
