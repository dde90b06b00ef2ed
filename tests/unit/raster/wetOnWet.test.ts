import { describe, expect, it } from 'vitest'
import {
  beneathAll,
  freshLine,
  freshLook,
  freshSheet,
  freshWash,
  groundFor,
  kindOf,
  withSteps,
  type LineStep,
  type SheetStep,
  type Step,
  type Wash,
  type World,
} from '#core/look'
import { BareSkinCache, finishedPicture, IncrementalCompositor, printSteps, type Painted } from '#core/raster'
import { hexOf, labOf, masstone, type FilmState, type LinearRgb } from '#core/paint'
import { paint, world } from '../world'

const look = freshLook('w', 'Wet')
const bare = new BareSkinCache(1e9).of(look, groundFor(look), 2)
const { grid } = bare.head
const yellow = { ...paint('beacon') }
const blue = { ...paint('harbour') }
const base = (id: string, colour: typeof yellow): Wash => ({
  ...freshWash(id, id, ['right.cheek'], [colour], world.ground),
  dabs: 3,
})
const at = ({ paint: p }: Painted, x: number, y: number): LinearRgb => {
  const n = 3 * (Math.floor((y - grid.y0) * 2) * grid.width + Math.floor((x - grid.x0) * 2))
  return [p[n]!, p[n + 1]!, p[n + 2]!]
}
/** The world in which every step finds the ones before it as told. */
const found = (state: FilmState, steps: readonly Step[]): World => ({
  ...world,
  wetUnder: id => {
    const before = steps.slice(
      0,
      steps.findIndex(s => s.id === id),
    )
    return new Map(state === 'dry' ? [] : before.map(s => [s.id, state]))
  },
})
const painted = (state: FilmState, steps: readonly Step[]): Painted =>
  printSteps(bare.head, steps, found(state, steps), bare.grain)
const hue = (c: LinearRgb): number => {
  const { a, b } = labOf(c)
  return ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360
}

describe('a base on a base', () => {
  const two = [base('a', yellow), { ...base('b', blue), dabs: 2 }]

  it('mixes with it while it is wet: blue over yellow is green', () => {
    const mean = (state: FilmState) => {
      const p = painted(state, two)
      return at(p, 46, 38)
    }
    const [dry, tacky, wet] = [mean('dry'), mean('tacky'), mean('wet')]
    expect(hue(wet), hexOf(wet)).toBeGreaterThan(110)
    expect(hue(wet), hexOf(wet)).toBeLessThan(215)
    // On a dry one it stays the blue that it is, on a tacky one it lies between.
    const towards = (c: LinearRgb) => c[1] - c[2]
    expect(towards(wet)).toBeGreaterThan(towards(tacky))
    expect(towards(tacky)).toBeGreaterThan(towards(dry))
  })

  it('of the same paint stays that paint', () => {
    const same = [base('a', blue), { ...base('b', blue), dabs: 2 }]
    const dry = at(painted('dry', same), 46, 38)
    const wet = at(painted('wet', same), 46, 38)
    dry.forEach((v, b) => expect(wet[b]).toBeCloseTo(v, 1))
  })

  it('is as it would be without, where nothing is wet', () => {
    const plain = printSteps(bare.head, two, world, bare.grain)
    expect(painted('dry', two).paint).toEqual(plain.paint)
  })
})

describe('a stencil on a wet base', () => {
  const sheet: SheetStep = {
    ...freshSheet('s', 's', 'heart-crest', [40, 30], paint('gull')),
    dry: false,
  }
  const steps = [base('a', yellow), sheet]

  it('drags it along, and leaves alone what is dry', () => {
    const wet = painted('wet', steps)
    const dry = painted('dry', steps)
    const only = painted('wet', [steps[0]!])
    let moved = 0
    for (let p = 0; p < wet.paint.length; p++)
      if (Math.abs(wet.paint[p]! - only.paint[p]!) > 0.01 && Math.abs(dry.paint[p]! - only.paint[p]!) < 1e-6)
        moved++
    expect(moved).toBeGreaterThan(200)
    // Far from the sheet nothing moves.
    expect(at(wet, 0, -60)).toEqual(at(only, 0, -60))
  })

  it('is told of by what lies beneath it, and not once it waits', () => {
    const told = withSteps(world, steps)
    expect([...told.wetUnder!('s')]).toEqual([['a', 'wet']])
    expect([...beneathAll(steps, world).get('s')!.films]).toEqual([['a', 'wet']])
    const waiting = withSteps(world, [steps[0]!, { ...sheet, dry: true }])
    expect(waiting.wetUnder!('s').size).toBe(0)
  })
})

describe('a picture that is painted anew where it changes', () => {
  const same = (a: Uint8ClampedArray, b: Uint8ClampedArray) => Buffer.from(a).equals(Buffer.from(b))
  const keyOf = (s: Step) => JSON.stringify(s)
  const sheet = (id: string, x: number): SheetStep =>
    freshSheet(id, id, 'heart-crest', [x, 30], paint('gull'))
  const steps: Step[] = [base('a', yellow), { ...base('b', blue), dabs: 1 }, sheet('s', 40), sheet('t', 52)]
  const fresh = (list: readonly Step[], w: World) =>
    finishedPicture(bare.head, printSteps(bare.head, list, w, bare.grain))
  const run = (c: IncrementalCompositor, list: readonly Step[], w: World) => {
    for (const _ of c.toward(list, w, keyOf)) void _
    return c.whole()
  }

  it('is the same as a fresh one, wet films and dragged ones in it', () => {
    const w = found('wet', steps)
    const c = new IncrementalCompositor(bare)
    expect(same(run(c, steps, w), fresh(steps, w))).toBe(true)
    const changes: Step[][] = [
      [steps[0]!, { ...steps[1]!, dabs: 3 } as Step, steps[2]!, steps[3]!],
      [{ ...base('a', paint('rosehip')) }, steps[1]!, steps[2]!, steps[3]!],
      [steps[0]!, steps[1]!, sheet('s', 44), steps[3]!],
      [steps[0]!, steps[2]!, steps[3]!],
      [...steps],
    ]
    for (const next of changes) {
      const now = found('wet', next)
      expect(same(run(c, next, now), fresh(next, now))).toBe(true)
    }
  })

  it('is painted anew once the first film is met wet', () => {
    const c = new IncrementalCompositor(bare)
    run(c, steps, found('dry', steps))
    const w = found('tacky', steps)
    expect(same(run(c, steps, w), fresh(steps, w))).toBe(true)
  })
})

describe('a stroke that is gone over until it is soft', () => {
  const leaf: LineStep = {
    ...freshLine('l', 'leaf', [0, -45], yellow, world.ground, [0, 0]),
    load: { kind: 'double', light: paint('gull'), dark: paint('rosehip') },
  }
  const sharp = freshCakeStroke(false)
  const soft = freshCakeStroke(true)
  function freshCakeStroke(softened: boolean): LineStep {
    const cake = {
      id: 'c',
      name: 'Cake',
      colour: '#1F4E9A',
      strips: [
        { name: 'blue', colour: '#1F4E9A', width: 8 },
        { name: 'yellow', colour: '#F2C230', width: 8 },
      ],
    }
    return { ...leaf, load: { kind: 'cake', cake }, ...(softened && { softened }) }
  }

  it('has strips that run into each other, a softer edge, and takes longer', () => {
    const prints = (step: LineStep) => kindOf(step).prints(step, world)
    expect(prints(soft).length).toBeGreaterThan(prints(sharp).length)
    expect(prints(soft)[0]!.softness).toBeGreaterThan(4 * prints(sharp)[0]!.softness)
    // Between blue and yellow lies green.
    const middle = prints(soft)[2]!.paints[0]!
    expect(hue(masstone(middle.optics))).toBeGreaterThan(110)
    expect(hue(masstone(middle.optics))).toBeLessThan(215)
    const seconds = (step: LineStep) => kindOf(step).effort(step, world).seconds
    expect(seconds(soft)).toBeGreaterThan(2 * seconds(sharp))
    expect(
      kindOf(soft)
        .lines(soft, world)
        .map(l => l.text)
        .join(),
    ).toMatch(/until soft/)
  })
})
