import { describe, expect, it } from 'vitest'
import { looks } from '../../../demo/looks'
import { finishOf, gatesOf, screensOf } from '#core/chair'
import {
  beneathAll,
  effortsOf,
  freshAround,
  freshLine,
  freshLook,
  freshOutline,
  freshRework,
  freshSheet,
  groundFor,
  kindOf,
  planOf,
  Shortening,
  stepsOff,
  timesOf,
  withSteps,
  type Look,
  type Step,
  type World,
} from '#core/look'
import { clockwise, polygonArea, regionOf } from '#core/geometry'
import { Memo } from '#core/memo'
import { ground, MIDLINE, paint, world as bare } from '../world'

/** Every demo look is planned: what is checked here holds for the best that was found in this time, too. */
const SEARCH = { limitMs: 60, clock: () => performance.now() }
/** What was worked out for each look of the demo: several tests ask for the same prints. */
const memos = new Map(looks.map(look => [look.id, new Memo()]))
const worldOf = (look: Look): World => {
  const memo = memos.get(look.id)
  const own = memo ? { ...bare, memo } : bare
  return withSteps({ ...own, ground: groundFor(look, memo) }, look.steps, stepsOff(look))
}

describe('how long a look takes', { timeout: 90_000 }, () => {
  it('is one number: in the order as it stands, in the plan, in the chair and as the sum of its parts', () => {
    expect(looks.length).toBeGreaterThan(20)
    for (const look of looks) {
      const world = worldOf(look)
      const { finish, hands, waiting, waits } = timesOf(look, world)
      const painted = look.steps.filter(s => !world.off?.has(s.id))
      const efforts = [...effortsOf(painted, world).values()]
      expect(hands).toBeCloseTo(
        efforts.reduce((sum, e) => sum + e.seconds, 0),
        6,
      )
      expect(finish).toBeCloseTo(hands + waiting, 6)
      // Waits of under half a second are not told of.
      expect(Math.abs(waits.reduce((sum, w) => sum + w.seconds, 0) - waiting)).toBeLessThan(
        0.5 * painted.length,
      )
      const screens = new Map(screensOf(painted, world, () => null).map(s => [s.id, s.planned]))
      const inChair = finishOf(
        painted.map(s => s.id),
        id => screens.get(id)!,
        gatesOf(look, world),
      )
      expect(inChair).toBeCloseTo(finish, 6)
      const plan = planOf(look, world, SEARCH)
      if ('entered' in plan) expect(plan.entered.finish).toBeCloseTo(finish, 6)
    }
  })

  it('is one number for a shortened look: by its switch, in the chair and among what can be left out', () => {
    const shortened = looks.filter(l => l.steps.some(s => s.optional && !stepsOff(l).has(s.id)))
    expect(shortened.length).toBeGreaterThan(3)
    for (const look of shortened) {
      const least = new Shortening(look, worldOf(look), SEARCH).least()!
      const shorter = { ...look, shorter: true }
      const world = worldOf(shorter)
      expect(least.entered.finish).toBeCloseTo(timesOf(shorter, world).finish, 6)
      expect(least.planned.finish).toBeLessThanOrEqual(least.entered.finish)
      const painted = look.steps.filter(s => !world.off?.has(s.id))
      expect(least.entered.order).toEqual(painted.map(s => s.id))
      const screens = new Map(screensOf(painted, world, () => null).map(s => [s.id, s.planned]))
      const gates = gatesOf(look, worldOf(look))
      expect(finishOf(least.entered.order, id => screens.get(id)!, gates)).toBeCloseTo(
        least.entered.finish,
        6,
      )
    }
  })

  it('holds nobody up for a step that is left out', () => {
    // The stroke comes long after the base only because of what is done in between, far from both.
    const base = freshOutline('base', 'Base', [0, 85], [paint('sky')], ground)
    const between = Array.from({ length: 6 }, (_, i) => ({
      ...freshLine(`far${i}`, 'swirl', [50, -50 + 12 * i], paint('soot'), ground, [0, 0]),
      optional: true,
    }))
    const stroke = freshLine('stroke', 'teardrop', [0, 85], paint('soot'), ground, [0, 0])
    const look: Look = { ...freshLook('l', 'L'), steps: [base, ...between, stroke] }
    const shorter = new Shortening(look, worldOf(look), SEARCH)
    const least = shorter.least()!
    const own = timesOf({ steps: [base, stroke] }, worldOf({ ...look, steps: [base, stroke] }))
    expect(least.planned.finish).toBeCloseTo(own.finish, 6)
    // What the least takes is enough for it.
    expect(shorter.within(Math.ceil(own.finish))!.timeline.order).toEqual(['base', 'stroke'])
  })

  it('agrees with the checks on what is wet, and on how long the hands wait', () => {
    for (const look of looks) {
      const world = worldOf(look)
      const under = beneathAll(look.steps, world)
      const told = new Map(timesOf(look, world).waits.map(w => [w.before, w.seconds]))
      for (const step of look.steps.filter(s => !world.off?.has(s.id) && kindOf(s).waits(s)))
        expect(Math.abs((told.get(step.id) ?? 0) - under.get(step.id)!.wait)).toBeLessThan(1.01)
    }
  })

  it('knows no wait on bare skin, nor beside a base that a step does not touch', () => {
    const base = freshOutline('base', 'Base', [-45, 35], [paint('sky')], ground)
    const far = freshSheet('far', 'Far', 'heart-crest', [0, -40], paint('soot'))
    const look: Look = { ...freshLook('l', 'L'), steps: [base, far] }
    expect(timesOf(look, worldOf(look)).waits).toEqual([])
    expect(beneathAll(look.steps, worldOf(look)).get('far')).toMatchObject({ state: 'dry', wait: 0 })
  })

  it('lets a stencil touch the skin under all of its outline, not only under its openings', () => {
    const at: [number, number] = [0, -40]
    const sheet = freshSheet('s', 'S', 'heart-crest', at, paint('soot'))
    // Between its outermost opening, 39 mm from the midline as it lies, and its edge at 46.
    const edge: [number, number] = [-42.5, at[1]]
    const line = freshLine('dot', 'line', edge, paint('gull'), ground, [0, 0])
    const short: Step = { ...line, points: [edge, [edge[0], edge[1] + 2]] } as Step
    const look: Look = { ...freshLook('l', 'L'), steps: [short, sheet] }
    expect(timesOf(look, worldOf(look)).waits.map(w => [w.before, w.on])).toEqual([['s', 'dot']])
  })
})

describe('a brush of several colours that is gone over until it is soft', () => {
  const points = Array.from({ length: 9 }, (_, i): [number, number] => [
    -60 + 7 * i,
    -30 - 20 * Math.sin(i / 2.5),
  ])
  const fresh = freshLine('a', 'band', [0, 0], paint('gull'), ground, [0, 0])
  const soft: Step = {
    ...fresh,
    points,
    softened: true,
    load: { kind: 'double', light: paint('gull'), dark: paint('harbour') },
    twin: { ...MIDLINE, own: null },
  }

  it('covers the same skin as one in one colour, told in one ring for each pull', () => {
    const rings = kindOf<Step>(soft).contour(soft, bare, null)
    expect(rings).toHaveLength(2)
    const area = (list: readonly Float64Array[]) =>
      regionOf(clockwise(list), 'nonzero').reduce((sum, p) => sum + polygonArea(p), 0)
    const strips = kindOf<Step>(soft)
      .prints(soft, { ...bare, flat: true })
      .flatMap(p => p.rings)
    expect(strips.length).toBeGreaterThan(10)
    expect(area(rings)).toBeCloseTo(area(strips), 1)
  })

  it('is followed by what goes around it and over it without being worked out anew', () => {
    const steps: Step[] = [
      soft,
      freshRework('r', 'blend', 'print', [0, 0], ['a'], ground),
      freshAround('o', 'outline', { use: 'step', step: 'a', openings: null }, paint('soot')),
    ]
    const world = withSteps({ ...bare, memo: new Memo() }, steps)
    for (const step of steps.slice(1)) {
      const once = kindOf(step).prints(step, world)[0]!
      expect(once.rings.length).toBeGreaterThan(0)
      const again = kindOf(step).prints(step, world)[0]!
      if (step.kind === 'rework') expect(again.rings).toBe(once.rings)
      // Another host is another outline.
      const moved = { ...soft, points: points.map(([x, y]): [number, number] => [x, y + 9]) } as Step
      const after = withSteps(world, [moved, ...steps.slice(1)])
      expect(kindOf(step).prints(step, after)[0]!.rings).not.toEqual(once.rings)
    }
  })
})
