import { describe, expect, it } from 'vitest'
import { looks } from '../../looks'
import { dryingSeconds, leadOf } from '#core/order'
import {
  againstOrder,
  applied,
  beneathAll,
  freshGem,
  freshGlitter,
  freshGuide,
  freshLine,
  freshLook,
  freshOutline,
  freshRework,
  freshSheet,
  freshWash,
  groundFor,
  isHighlight,
  keepPlace,
  kindOf,
  leaveOut,
  orderRules,
  parseLook,
  plannedOrder,
  planOf,
  Shortening,
  stepEffort,
  stepsOff,
  timeRows,
  usualWorth,
  withSteps,
  workOf,
  type Look,
  type OrderPlan,
  type Step,
  type World,
} from '#core/look'
import { ground, paint, world as bare } from '../world'

const SEARCH = { limitMs: 20_000, clock: () => performance.now() }
const soot = paint('soot')
const gull = paint('gull')
const worldOf = (...steps: Step[]): World => withSteps(bare, steps)
const lookOf = (...steps: Step[]): Look => ({ ...freshLook('l', 'L'), steps })
const lagsOf = (...steps: Step[]) =>
  workOf({ steps }, worldOf(...steps)).lags.map(l => [l.from, l.to, l.why] as const)
const planned = (look: Look, stays?: ReadonlySet<string>): OrderPlan => {
  const found = planOf(look, worldOf(...look.steps), SEARCH, stays)
  if (!('planned' in found)) throw new Error(found.sentences.join(' '))
  return found
}

/** A base on the forehead, scales on it, and a stroke far from both. */
const base = freshOutline('base', 'Base', [0, -40], [gull], ground)
const scales = { ...freshSheet('scales', 'Scales', 'moth', [0, -40], soot), dry: true }
const chin = freshLine('chin', 'teardrop', [0, 85], soot, ground, [0, 0])
const cheek = freshLine('cheek', 'swirl', [50, 30], soot, ground, [0, 0])

describe('the tasks of a look', () => {
  it('are in order where their prints touch, and only there', () => {
    expect(lagsOf(base, scales, chin)).toEqual([[0, 1, 'must be dry']])
    const { lags } = workOf({ steps: [base, scales] }, worldOf(base, scales))
    expect(lags[0]).toMatchObject({
      // The sponge is loaded while the base still dries.
      least: kindOf(base).dries(base, bare) - leadOf(stepEffort(scales, bare).tasks),
      dry: kindOf(base).dries(base, bare),
      most: Infinity,
    })
  })

  it('lie over one another without a wait where nothing must be dry', () => {
    const wet = { ...scales, dry: false }
    expect(workOf({ steps: [base, wet] }, worldOf(base, wet)).lags[0]).toMatchObject({
      why: 'lies over',
      least: 0,
    })
  })

  it('are told apart by their prints and not by their boxes', () => {
    // Two diagonal strokes whose boxes overlap and which never meet.
    const line = (id: string, points: [number, number][]) => ({
      ...chin,
      id,
      shape: 'line' as const,
      points,
      params: {},
    })
    const one = line('one', [
      [-60, 20],
      [-40, 50],
    ])
    const two = line('two', [
      [-60, 40],
      [-52, 52],
    ])
    const boxes = [one, two].map(s => kindOf(s).boxes(s, worldOf(s))[0]!)
    expect(boxes[0]!.minX < boxes[1]!.maxX && boxes[1]!.minY < boxes[0]!.maxY).toBe(true)
    expect(lagsOf(one, two)).toEqual([])
  })

  it('give loose glitter the time that its base is wet, and gel all the time', () => {
    const loose = { ...freshGlitter('dust', 'print', [0, -40], 'base', ground), sort: 'fine' as const }
    const window = (step: Step) =>
      workOf({ steps: [base, step] }, worldOf(base, step)).lags.find(l => l.why === 'goes on wet')!.most
    expect(window(loose)).toBe(kindOf(base).dries(base, bare) / 2)
    expect(window({ ...loose, sort: 'gel' })).toBe(Infinity)
  })

  it('keep a mark before its use, going over all behind all, and a lock where it is', () => {
    const mark = freshGuide('mark', 'dots', [50, 30], ground)
    expect(lagsOf(chin, mark, cheek)).toEqual([[1, 2, 'marked for']])
    const wipe = freshRework('wipe', 'wipe', 'all', [0, 0], [], ground)
    expect(lagsOf(chin, cheek, wipe).filter(l => l[1] === 2)).toHaveLength(2)
    const locked = workOf({ steps: [chin, cheek, base] }, worldOf(chin, cheek, base), new Set(['cheek'])).lags
    expect(locked.filter(l => l.why === 'stays').map(l => [l.from, l.to])).toEqual([
      [0, 1],
      [1, 2],
    ])
  })

  it('leave out what is not painted now', () => {
    const look: Look = { ...lookOf(base, { ...chin, optional: true }), shorter: true }
    const world = withSteps(bare, look.steps, stepsOff(look))
    expect(workOf(look, world).steps.map(s => s.id)).toEqual(['base'])
  })
})

describe('the order of a look', () => {
  const look = lookOf(base, scales, chin, cheek)

  it('paints something else while a base dries, and says what', () => {
    const { entered, planned: best, why, proven } = planned(look)
    expect(proven).toBe(true)
    expect(entered.waits).toEqual([
      {
        before: 'scales',
        on: 'base',
        seconds: expect.closeTo(60 - leadOf(stepEffort(scales, bare).tasks), 6),
      },
    ])
    expect(best.finish).toBeLessThan(entered.finish - 4)
    expect(best.order[0]).toBe('base')
    expect(best.order.at(-1)).toBe('scales')
    // The cheek before the chin: a hand works from top to bottom.
    expect(why[0]).toMatch(
      /^Paint "Swirl with a tail" and "Teardrop" while "Base" dries, before "Scales": \d+ s less/,
    )
  })

  it('paints nothing onto what is wetter than it was as it was entered', () => {
    // The stroke on the chin's base came when that was dry, since the hands had waited for the forehead's.
    const both = freshWash('base', 'Base', ['forehead', 'chin'], [gull], ground)
    const over: Step = { ...chin, id: 'over' }
    const three = lookOf(both, scales, over)
    const { planned: best } = planned(three)
    const end = best.ends[best.order.indexOf('base')]!
    expect(best.starts[best.order.indexOf('over')]! - end).toBeGreaterThanOrEqual(
      kindOf(base).dries(base, bare) - 1e-6,
    )
    // One that was entered right after it was meant for the wet base, and may go there.
    const wet = lookOf(both, over, scales)
    const { lags } = workOf(wet, worldOf(...wet.steps))
    expect(lags.find(l => l.to === 1)).toMatchObject({ why: 'lies over', least: 0 })
  })

  it('stays as it was entered where nothing is gained', () => {
    const { entered, planned: same, why } = planned(lookOf(chin, cheek))
    expect(same.order).toEqual(entered.order)
    expect(why).toEqual([])
  })

  it('lets a locked step keep its place', () => {
    const { planned: best } = planned(look, new Set(['chin']))
    expect(best.order.indexOf('chin')).toBeGreaterThan(best.order.indexOf('scales'))
    expect(best.order.indexOf('chin')).toBeLessThan(best.order.indexOf('cheek'))
  })

  it('says which steps cannot be met together, and what would do', () => {
    const dust = { ...freshGlitter('dust', 'print', [0, -40], 'base', ground), sort: 'fine' as const }
    const long: Step[] = ['a', 'b', 'c'].map(id => ({ ...cheek, id, label: id, times: 4 }))
    const steps = [base, ...long, dust]
    const found = planOf(lookOf(...steps), worldOf(...steps), SEARCH, new Set(['a', 'b', 'c']))
    expect('sentences' in found && found.sentences[0]).toMatch(
      /^No order meets all of this: .*"Glitter" goes onto "Base" within 30 s/,
    )
    expect('sentences' in found && found.sentences[1]).toMatch(/^It can be done if /)
  })

  it('is taken with what is not painted now behind what it came after', () => {
    const next = applied(look, plannedOrder(['base', 'cheek', 'scales']))
    expect(next.steps.map(s => s.id)).toEqual(['base', 'cheek', 'scales', 'chin'])
    const kept = applied(look, keepPlace('chin', true))
    expect(kept.steps[2]).toMatchObject({ locked: true })
    expect(parseLook(JSON.parse(JSON.stringify(kept))).ok).toBe(true)
    expect(applied(kept, keepPlace('chin', false))).toEqual(look)
  })
})

describe('a shorter look', () => {
  const gem = { ...freshGem('gem', [40, -5]), optional: true, worth: 2 }
  const swirl = { ...cheek, optional: true, worth: 6 }
  const look = lookOf(base, scales, chin, swirl, gem)
  const shorter = () => new Shortening(look, worldOf(...look.steps), SEARCH)

  it('lets go what is worth least for the time that there is', () => {
    const whole = shorter().curve(8)[0]!
    expect(whole.without).toEqual([])
    expect(whole.worth).toBe(8)
    const least = shorter().least()!.planned.finish
    expect(shorter().within(least - 1)).toBeNull()
    // The gem and the swirl fit in while the base dries: nothing has to go.
    expect(shorter().within(whole.timeline.finish)!.without).toEqual([])
  })

  it('is kept as a variant that one press brings back', () => {
    const next = applied(look, leaveOut(['cheek', 'gem'], 'v', 'all but for 1:00'))
    expect([...stepsOff(next)].sort()).toEqual(['cheek', 'gem'])
    expect(next.switches).toEqual([{ id: 'v', name: 'all but for 1:00', on: false }])
    expect(applied(next, leaveOut(['gem'], 'w', 'again')).switches).toHaveLength(1)
  })
})

it('of every look of the tests is proven within a minute, and none is longer than it was entered', () => {
  for (const look of looks) {
    const world = withSteps({ ...bare, ground: groundFor(look) }, look.steps, stepsOff(look))
    const found = planOf(look, world, { ...SEARCH, limitMs: 60_000 })
    if (!('planned' in found)) throw new Error(found.sentences.join(' '))
    expect(found.proven).toBe(true)
    expect(found.planned.finish).toBeLessThanOrEqual(found.entered.finish + 1e-6)
    expect([...found.planned.order].sort()).toEqual([...found.entered.order].sort())
  }
})

describe('a look in time', () => {
  const lid = { ...chin, id: 'lid', eyes: 'shut' as const }
  const look = lookOf(base, scales, cheek, lid)
  const world = worldOf(...look.steps)
  const plan = planned(look)
  const rows = timeRows(look, world, plan.entered)

  it('has a bar of the hands for each step, and says where each film dries and how long', () => {
    expect(rows.hands.map(s => s.stepId)).toEqual(plan.entered.order)
    const films = rows.zones.flatMap(z => z.films)
    const film = films.find(f => f.stepId === 'base')!
    expect(film.from).toBe(plan.entered.ends[0])
    expect(film.to - film.from).toBeCloseTo(kindOf(base).dries(base, world), 9)
    expect(film.wetUntil - film.from).toBeCloseTo((film.to - film.from) / 2, 9)
    expect(rows.zones.find(z => z.films.includes(film))!.words).toBe('forehead')
    // The scales touch the skin when the base is dry, and no earlier.
    expect(rows.hands.find(s => s.stepId === 'scales')!.from).toBeGreaterThanOrEqual(
      film.to - leadOf(stepEffort(scales, world).tasks) - 1e-6,
    )
  })

  it('keeps the eyes shut for ten seconds more', () => {
    const span = rows.hands.find(s => s.stepId === 'lid')!
    expect(rows.eyes).toEqual([{ ...span, to: span.to + 10 }])
  })

  it('knows what cannot come before what, and says why', () => {
    const rules = orderRules(look, world)
    expect(againstOrder(['cheek', 'base', 'lid', 'scales'], rules)).toBeNull()
    expect(againstOrder(['scales', 'base', 'cheek', 'lid'], rules)).toBe(
      '"Scales" lies on, and waits for, "Base": it comes after it.',
    )
  })
})

describe('drying by the film', () => {
  it('takes a thick film longer than a thin one, within bounds', () => {
    const thin = freshWash('w', 'W', ['forehead'], [gull], ground)
    const seconds = (dabs: number) => kindOf(thin).dries({ ...thin, dabs }, bare)
    expect(seconds(4)).toBeCloseTo(2 * seconds(2), 9)
    expect(seconds(12)).toBe(3 * 60)
    expect(dryingSeconds('tacky', false, 0.01)).toBeCloseTo(20 / 3, 9)
    expect(dryingSeconds('tacky', false, 1.5)).toBe(20)
  })

  it('goes on everywhere while the hands wait for one place', () => {
    const cheekBase = {
      ...base,
      id: 'cheek base',
      points: base.points.map(([x, y]) => [x, y + 110] as [number, number]),
    }
    const onCheek = { ...scales, id: 'on cheek', at: [0, 70] as [number, number], dry: false }
    const steps: Step[] = [cheekBase, base, scales, onCheek]
    const under = beneathAll(steps, worldOf(...steps))
    // While the forehead dried the other base dried too.
    expect(under.get('scales')!.wait).toBeGreaterThan(10)
    expect(under.get('on cheek')!.state).toBe('dry')
    const alone: Step[] = [cheekBase, onCheek]
    expect(beneathAll(alone, worldOf(...alone)).get('on cheek')!.state).toBe('wet')
  })
})

describe('what a step is worth', () => {
  it('is as its kind usually is until the painter says', () => {
    const outline = { ...chin, of: { step: 'scales', openings: null } } as unknown as Step
    expect(usualWorth(chin)).toBeGreaterThan(usualWorth(outline))
    expect(usualWorth(base)).toBe(10)
    expect(usualWorth({ ...chin, worth: 2 })).toBe(2)
    expect(isHighlight(freshLine('h', 'teardrop', [0, 0], gull, ground, [0, 0]))).toBe(true)
    expect(isHighlight(chin)).toBe(false)
  })
})

describe('what the hands do for a step', () => {
  const what = (step: Step) => stepEffort(step, bare).tasks.map(t => t.what)

  it('comes in its order: loaded, placed, dabbed, lifted, wiped and flipped for the other side', () => {
    const side = {
      ...scales,
      at: [45, 20] as [number, number],
      twin: { ...scales.twin, rule: 'midline' as const },
    }
    const once = ['load', 'place', 'dab', 'lift']
    expect(what(scales)).toEqual(once)
    expect(what(side).filter(w => w !== 'wipe')).toEqual([...once, ...once])
    const glittered = { ...scales, passes: scales.passes.map(p => ({ ...p, glitter: true })) }
    expect(what(glittered)).toEqual(['load', 'place', 'dab', 'glitter', 'lift'])
  })

  it('takes all of its seconds, and begins with what touches nothing yet', () => {
    for (const step of [base, scales, chin, { ...chin, eyes: 'shut' as const }]) {
      const { seconds, tasks } = stepEffort(step, bare)
      expect(tasks.reduce((sum, t) => sum + t.seconds, 0)).toBeCloseTo(seconds, 9)
      expect(leadOf(stepEffort(step, bare).tasks)).toBeGreaterThan(0)
      expect(leadOf(stepEffort(step, bare).tasks)).toBeLessThan(seconds)
    }
    expect(what({ ...chin, eyes: 'shut' })).toEqual(['ask for shut eyes', 'load', 'stroke', 'shut eyes'])
  })
})
