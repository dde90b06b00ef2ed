import { describe, expect, it } from 'vitest'
import { looks } from '../../looks'
import { forgottenIn, habitsOf, type Habits } from '#core/checks'
import { gatesOf, handRestsOn, screensOf } from '#core/chair'
import {
  freshDots,
  freshGuide,
  freshLine,
  freshLook,
  freshOutline,
  freshSheet,
  parseLook,
  stepEffort,
  taskOf,
  withSteps,
  type Step,
  type World,
} from '#core/look'
import { ownTools } from '#core/paint'
import { DOT_RUNS } from '#core/stroke'
import { ground, MIDLINE, paint, world as bare } from '../world'

const soot = paint('soot')
const gull = paint('gull')
const worldOf = (...steps: Step[]): World => withSteps(bare, steps)
const screens = (...steps: Step[]) => screensOf(steps, worldOf(...steps), () => 1.3)
const base = freshOutline('base', 'Base', [0, -40], [gull], ground)
const scales = { ...freshSheet('scales', 'Scales', 'moth', [0, -40], soot), dry: true }
const chin = freshLine('chin', 'teardrop', [0, 85], soot, ground, [0, 0])

describe('the screens of the chair', () => {
  it('show tool, colour, wetness and dabs, and how the stencil is held', () => {
    const side = { ...scales, at: [45, 20] as [number, number], twin: MIDLINE, tilt: 30 }
    const [screen] = screens(side)
    expect(screen!.tools).toEqual([
      expect.objectContaining({
        tool: 'makeup sponge',
        wetness: side.passes[0]!.wetness,
        dabs: side.passes[0]!.dabs,
      }),
    ])
    expect(screen!.tools[0]!.paints.map(p => p.id)).toEqual([soot.id])
    expect(screen!.sheets.map(s => [s.side, s.tilt])).toEqual([
      ['A', 30],
      ['B', -30],
    ])
    expect(screen!.outlines).toHaveLength(2)
    expect(screen!.bridge).toEqual({ tool: 'makeup', wetness: side.passes[0]!.wetness, width: 1.3 })
  })

  it('show the side that is painted first, not the whole face, and mark what has no sheet', () => {
    const swirl = (x: number) => ({
      ...freshLine('swirl', 'swirl', [x, 20], soot, ground, [0, 0]),
      twin: { ...MIDLINE, own: null },
    })
    const [far] = screens(swirl(55))
    expect(far!.box!.minX).toBeGreaterThan(0)
    // Both sides of it are marked, and it says where.
    expect(far!.marks.some(r => r[0]! < 0)).toBe(true)
    expect(far!.place).toBe('on both cheeks')
    // Both sides of what lies near the midline are seen together.
    const [near] = screens(swirl(20))
    expect(near!.box!.minX).toBeLessThan(0)
    expect(near!.box!.maxX).toBeGreaterThan(0)
    expect(screens(scales)[0]!.marks).toEqual([])
  })

  it('ask for a clean sponge and a test on the hand once, and for shut eyes each time', () => {
    const again = { ...scales, id: 'again', eyes: 'shut' as const }
    const [first, second] = screens(scales, again)
    const asks = (s: typeof first) => s!.prompts.map(p => p.what)
    expect(asks(first)).toEqual(['sponge', 'hand test'])
    expect(asks(second)).toEqual(['eyes', 'eyes'])
    expect(second!.prompts.at(-1)).toMatchObject({ when: 'after', seconds: 10 })
  })

  it('say that a stencil is wiped before it is flipped for the other side', () => {
    const side = { ...scales, at: [45, 20] as [number, number], twin: MIDLINE }
    const world = worldOf(side)
    const sheet = { ...world, stencil: (id: string) => world.stencil(id) }
    const said = screensOf([side], sheet, () => null)[0]!.prompts.filter(p => p.when === 'between')
    expect(said.map(p => p.what)).toEqual([expect.stringMatching(/^(wipe|copy)$/)])
  })

  it('are made for every step of every demo look', () => {
    for (const look of looks) {
      const world = withSteps({ ...bare, ground: bare.ground }, look.steps)
      const all = screensOf(look.steps, world, () => null)
      expect(all.map(s => s.id)).toEqual(look.steps.map(s => s.id))
      for (const s of all) {
        expect(s.planned).toBeGreaterThanOrEqual(0)
        expect(s.label).not.toBe('')
      }
    }
  })

  it('tell what must be dry before what', () => {
    const gates = gatesOf({ steps: [base, scales] }, worldOf(base, scales))
    expect(gates).toEqual([expect.objectContaining({ from: 'base', to: 'scales', bound: true })])
    expect(gates[0]!.least).toBeGreaterThan(10)
  })

  it('see a hand that would rest on wet paint below, and none above', () => {
    const brow = freshLine('brow', 'teardrop', [0, -60], soot, ground, [0, 0])
    const mouth = freshLine('mouth', 'teardrop', [0, 5], soot, ground, [0, 0])
    expect(handRestsOn(brow, [mouth], worldOf(mouth, brow))?.id).toBe('mouth')
    expect(handRestsOn(mouth, [brow], worldOf(brow, mouth))).toBeNull()
  })

  it('plan at the own pace, and keep the starting value beside it', () => {
    const own = ownTools({ edges: [], tools: [], paces: [{ task: taskOf(chin), factor: 1.5 }] })
    const world = { ...worldOf(chin), ...own }
    const [screen] = screensOf([chin], world, () => null)
    expect(screen!.planned).toBeCloseTo(1.5 * screen!.usual, 10)
    expect(screen!.usual).toBe(stepEffort(chin, worldOf(chin)).seconds)
  })
})

describe('what may have been forgotten', () => {
  const told = (
    steps: Step[],
    habits: Habits | null = null,
    change: Partial<ReturnType<typeof freshLook>> = {},
  ) => forgottenIn({ ...freshLook('l', 'L'), ...change }, steps, worldOf(...steps), habits).map(f => f.what)
  const twinned = (id: string, x: number, y: number) => ({
    ...freshLine(id, 'teardrop', [x, y], soot, ground, [0, 0]),
    twin: { ...MIDLINE, own: null },
  })

  it('is one side of an even look', () => {
    const even = [twinned('a', 40, 20), twinned('b', 45, -20)]
    const alone = freshLine('c', 'teardrop', [40, 60], soot, ground, [0, 0])
    expect(told(even)).not.toContain('twin')
    expect(told([...even, { ...alone, twin: { ...alone.twin, rule: 'none' as const } }])).toContain('twin')
    // Two that mirror one another are a pair without being twins.
    const other = { ...freshLine('d', 'teardrop', [-40, 60], soot, ground, [0, 0]) }
    const none = (s: Step): Step => ({ ...s, twin: { ...s.twin, rule: 'none' } }) as Step
    expect(told([...even, none(alone), none(other)])).not.toContain('twin')
  })

  it('is the edge of a base that nothing cleans or goes around', () => {
    const drawn = {
      ...base,
      points: [
        [-20, -60],
        [20, -60],
        [20, -20],
        [-20, -20],
      ] as [number, number][],
      zones: [],
    }
    expect(told([drawn])).toContain('edge')
  })

  it('is what the other looks have by habit', () => {
    const lights = { steps: [freshDots('dots', DOT_RUNS[0]!, [0, 0], null, gull, ground, [0, 0])] }
    const habits = habitsOf([lights, lights, lights, lights])
    expect(habits.having).toMatchObject({ dots: 4, highlights: 4, lips: 0 })
    expect(told([chin], habits)).toEqual(expect.arrayContaining(['habit']))
    expect(told([chin], habitsOf([lights]))).not.toContain('habit')
    expect(told(lights.steps, habits)).not.toContain('habit')
  })

  it('is lips that were said yes to, and a mark without its use', () => {
    const yes = { sitting: { ...freshLook('l', 'L').sitting, lips: 'yes' as const } }
    expect(told([chin], null, yes)).toContain('asked')
    const mark = freshGuide('mark', 'dots', [0, -60], ground)
    expect(told([mark, chin])).toContain('mark')
    expect(told([mark, scales])).not.toContain('mark')
  })

  it('is told of the demo looks in sentences that end', () => {
    for (const look of looks) {
      const parsed = parseLook(look)
      expect(parsed.ok).toBe(true)
      for (const f of forgottenIn(look, look.steps, withSteps(bare, look.steps), null))
        expect(f.text).toMatch(/\.$/)
    }
  })
})
