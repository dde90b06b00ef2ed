import { describe, expect, it } from 'vitest'
import {
  addBehind,
  addSteps,
  aimed,
  aimSteps,
  applied,
  cascade,
  dabMore,
  dabOnly,
  dropHandle,
  fewerHandles,
  flipped,
  freeTwin,
  freshGem,
  freshLine,
  freshLook,
  freshOutline,
  freshSheet,
  freshWash,
  gemsAtEyeCorners,
  gemsOnMidline,
  goAroundOnly,
  insertHandle,
  kindOf,
  letGo,
  linkTwin,
  liesOf,
  moreHandles,
  moveOneFocus,
  moveHalfTurn,
  moveHandle,
  moveLandmark,
  moveStep,
  ofKind,
  onCanvas,
  parseLook,
  placeSheet,
  Refused,
  registerOn,
  removeSteps,
  setTwin,
  shifted,
  shiftSteps,
  turned,
  turnSteps,
  type Command,
  type KindName,
  type Look,
  type Step,
  type StepOf,
} from '#core/look'
import { groundOf, type ArmCanvas } from '#core/skin'
import { ground, MIDLINE, paint, sheets, world } from '../world'

const soot = paint('soot')
const gull = paint('gull')
const FOCUS = [0, 0] as const
const lookOf = (...steps: Step[]): Look => ({ ...freshLook('l', 'L'), steps })
const sheet = (id: string, at: [number, number] = [0, -48]) => freshSheet(id, id, 'feather', at, soot)
const line = (id: string, at: [number, number] = [40, 30]) => freshLine(id, 'cCurve', at, soot, ground, FOCUS)
const ids = (...list: string[]) => new Set(list)
/** The first step of a look, which is of a kind. */
function only<K extends KindName>(look: Look, kind: K): StepOf<K> {
  const [step] = ofKind(kind, look.steps)
  if (!step) throw new Error(`There is no ${kind}.`)
  return step
}
/** The look that a command makes, which must be one that the server takes, and leaves the first as it was. */
function after(look: Look, command: Command): Look {
  const before = JSON.stringify(look)
  const next = applied(look, command)
  expect(JSON.stringify(look)).toBe(before)
  expect(parseLook(next)).toMatchObject({ ok: true })
  return next
}
const refusal = (look: Look, command: Command): string => {
  try {
    applied(look, command)
  } catch (error) {
    if (error instanceof Refused) return error.message
    throw error
  }
  return ''
}

describe('commands on steps', () => {
  it('add, copy behind, order and take out', () => {
    const look = after(lookOf(line('a')), addSteps([line('b'), line('c')]))
    const copied = after(look, addBehind('a', { ...line('a'), id: 'd' }))
    expect(copied.steps.map(s => s.id)).toEqual(['a', 'd', 'b', 'c'])
    expect(after(copied, moveStep('c', 0)).steps.map(s => s.id)).toEqual(['c', 'a', 'd', 'b'])
    expect(after(copied, removeSteps(ids('a', 'b'))).steps.map(s => s.id)).toEqual(['d', 'c'])
  })

  it('dab more or less within bounds, on the last pass of a stencil, on a base, and on nothing else', () => {
    const base = freshWash('w', 'W', ['forehead'], [soot], ground)
    const look = lookOf(sheet('s'), base, line('l'))
    const dabs = (by: number) => {
      const [s, w] = after(after(after(look, dabMore('s', by)), dabMore('w', by)), dabMore('l', by)).steps
      return [(s as StepOf<'sheet'>).passes[0]!.dabs, (w as StepOf<'wash'>).dabs]
    }
    expect(dabs(1)).toEqual([5, 3])
    expect(dabs(40)).toEqual([12, 12])
    expect(dabs(-40)).toEqual([1, 1])
  })

  it('choose openings for a pass, all of them again, and those that a line goes around', () => {
    const known = sheets.get('feather')!
    const some = after(lookOf(sheet('s')), dabOnly('s', 0, [0], known))
    expect(only(some, 'sheet').passes[0]!.openings).toEqual({ use: 'chosen', numbers: [0] })
    const whole = known.openings.map((_, n) => n)
    expect(only(after(some, dabOnly('s', 0, whole, known)), 'sheet').passes[0]!.openings).toEqual({
      use: 'all',
    })
    const around: Step = { ...line('o'), shape: 'outline', points: [], params: { press: 40, distance: 1 } }
    const look = lookOf({ ...around, of: { use: 'step', step: 's', openings: null } })
    expect(only(after(look, goAroundOnly('o', [1, 2])), 'line').of).toMatchObject({ openings: [1, 2] })
    expect(only(after(look, goAroundOnly('o', [])), 'line').of).toMatchObject({ openings: null })
  })
})

describe('placing a stencil', () => {
  it('moves, turns and flips; what is turned stays where it prints', () => {
    const step = sheet('s')
    const look = lookOf(step)
    const moved = only(after(look, placeSheet(step, false, shifted(2, -3), world)), 'sheet')
    expect(moved.at).toEqual([2, -51])
    expect(only(after(look, placeSheet(step, false, turned(15), world)), 'sheet').tilt).toBe(15)
    expect(only(after(look, placeSheet(step, false, flipped, world)), 'sheet').side).toBe('B')
  })

  it('is refused where there is no skin, with a sentence, and lets go of a register', () => {
    const step = {
      ...sheet('s'),
      register: { on: 'h', way: 'motif' as const, turn: 0, shift: [0, 0] as [number, number] },
    }
    expect(refusal(lookOf(step), placeSheet(step, false, shifted(350, 0), world))).toMatch(/no skin/)
    expect(
      only(after(lookOf(step), placeSheet(step, false, shifted(1, 0), world)), 'sheet').register,
    ).toBeNull()
    expect(only(after(lookOf(step), letGo('s')), 'sheet').register).toBeNull()
  })

  it('moves only the unlinked twin when that is held', () => {
    const twinned = { ...sheet('s', [30, -40]), twin: MIDLINE }
    const free = only(after(lookOf(twinned), linkTwin(twinned, false, world)), 'sheet')
    expect(free.twin.own!.at[0]).toBeCloseTo(-30, 0)
    const moved = only(after(lookOf(free), placeSheet(free, true, shifted(-4, 0), world)), 'sheet')
    expect(moved.at).toEqual(free.at)
    expect(moved.twin.own!.at[0]).toBeCloseTo(free.twin.own!.at[0] - 4, 6)
    expect(only(after(lookOf(moved), linkTwin(moved, true, world)), 'sheet').twin.own).toBeNull()
  })

  it('aims at the focal point', () => {
    const step = sheet('s', [40, -30])
    const pointed = only(
      after(lookOf(step), placeSheet(step, false, aimed(step, FOCUS, world), world)),
      'sheet',
    )
    const both = only(after(lookOf(step), aimSteps(ids('s'), world)), 'sheet')
    expect(pointed.tilt).toBeCloseTo(both.tilt, 1)
  })

  it('registers on another, or says why not', () => {
    const host = freshSheet('h', 'h', 'diamonds', [0, -48], soot)
    const guest = freshSheet('g', 'g', 'crosses', [1, -47], gull)
    const held = after(lookOf(host, guest), registerOn(guest, host, 'openings', world))
    expect((held.steps[1] as StepOf<'sheet'>).register).toMatchObject({ on: 'h', way: 'openings' })
    const lone = freshSheet('g', 'g', 'feather', [1, -47], gull)
    expect(refusal(lookOf(host, lone), registerOn(lone, host, 'openings', world))).toMatch(
      /no regular pattern/,
    )
  })
})

describe('twins', () => {
  it('are given by a rule where a step may have one; half a turn is refused on a face', () => {
    const step = line('l')
    expect(only(after(lookOf(step), setTwin(step, 'features', [0, 0], world)), 'line').twin.rule).toBe(
      'features',
    )
    expect(refusal(lookOf(step), setTwin(step, 'turn', [0, 0], world))).toMatch(/for arms/)
    const zones = freshWash('w', 'W', ['forehead'], [soot], ground)
    expect(only(after(lookOf(zones), setTwin(zones, 'midline', [0, 0], world)), 'wash').twin.rule).toBe(
      'none',
    )
  })

  it('on an arm are half a turn about the focal point, which can be moved and then stays', () => {
    const arm: ArmCanvas = { kind: 'arm', part: 'forearm', side: 'right', measures: null }
    const there = { ...world, ground: groundOf(arm, 30) }
    const step = line('l', [20, 30])
    const look = { ...lookOf(step), canvas: arm }
    const turned = after(look, setTwin(step, 'turn', [0, 12], there))
    expect(only(turned, 'line').twin).toMatchObject({ rule: 'turn', about: [0, 12] })
    const moved = after(turned, moveHalfTurn('l', [3, -5]))
    expect(only(moved, 'line').twin.about).toEqual([3, -5])
    // It stays there whatever else is painted.
    const more = after(moved, addSteps([line('m', [-30, 80])]))
    expect(more.steps[0]!.twin.about).toEqual([3, -5])
  })

  it('become steps of their own where they lie, with what a mirror image changes', () => {
    const gem = { ...freshGem('g', [30, 40], 'drop'), heading: 20, twin: { ...MIDLINE, own: null } }
    const [own, freed] = after(lookOf(gem), freeTwin(gem, 'f', world)).steps as StepOf<'gem'>[]
    expect(own!.twin.rule).toBe('none')
    expect(freed).toMatchObject({ id: 'f', heading: -20, points: [[-30, 40]] })
  })
})

describe('shaping by handles', () => {
  it('moves and turns steps together, stencils too, as one change', () => {
    const look = lookOf(sheet('s'), line('a'), line('b', [-30, 20]))
    const moved = after(look, shiftSteps(ids('s', 'a'), 3, 4, ground))
    expect((moved.steps[0] as StepOf<'sheet'>).at).toEqual([3, -44])
    const [x, y] = (look.steps[1] as StepOf<'line'>).points[0]!
    expect((moved.steps[1] as StepOf<'line'>).points[0]).toEqual([
      expect.closeTo(x + 3, 6),
      expect.closeTo(y + 4, 6),
    ])
    expect(moved.steps[2]).toEqual(look.steps[2])
    expect(refusal(look, shiftSteps(ids('a'), 380, 0, ground))).toMatch(/no skin/)
  })

  it('turns a gem by itself, and other steps about their middle', () => {
    const gem = freshGem('g', [0, -40], 'drop')
    const spun = only(after(lookOf(gem), turnSteps(ids('g'), 30, world)), 'gem')
    expect([spun.heading, spun.points]).toEqual([30, gem.points])
    const bent = line('l')
    expect(only(after(lookOf(bent), turnSteps(ids('l'), 30, world)), 'line').points).not.toEqual(bent.points)
  })

  it('moves a handle, sets one between, and takes one out, down to three', () => {
    const base = freshOutline('w', 'W', [0, -40], [soot, gull], ground)
    const look = lookOf(base)
    const moved = only(after(look, moveHandle('w', 2, [14.26, -40], ground)), 'wash')
    expect(moved.points[2]).toEqual([14.3, -40])
    expect(only(after(look, insertHandle('w', 0, [3, -52], ground)), 'wash').points[1]).toEqual([3, -52])
    expect(only(after(look, moreHandles('w', ground)), 'wash').points).toHaveLength(9)
    let fewer = look
    for (let n = 0; n < 8; n++)
      fewer = after(fewer, n % 2 ? dropHandle('w', 0, ground) : fewerHandles('w', ground))
    expect(only(fewer, 'wash').points).toHaveLength(3)
    const open = freshLine('l', 'line', [30, 30], soot, ground, FOCUS)
    expect(only(after(lookOf(open), moreHandles('l', ground)), 'line').points).toHaveLength(4)
    expect(only(after(lookOf(open), fewerHandles('l', ground)), 'line').points).toHaveLength(2)
  })
})

describe('the flow', () => {
  it('follows the focal point, and sizes fall toward it', () => {
    const far = freshLine('a', 'teardrop', [40, 70], soot, ground, FOCUS)
    const near = freshLine('b', 'teardrop', [16, 26], soot, ground, FOCUS)
    const look = lookOf(far, near)
    expect(after(look, moveOneFocus(0, [3.14, -2])).focus).toEqual([3.1, -2])
    const fallen = after(look, cascade(look.steps, world))
    const [a, b] = fallen.steps.map(s => kindOf(s).pointers(s, world)[0]!.size)
    expect(a!).toBeGreaterThan(1.4 * b!)
    expect(refusal(lookOf(far), cascade([far], world))).toMatch(/among two/)
  })
})

describe('gems', () => {
  it('go onto the midline, and beside the corners of the eyes, clear of them', () => {
    const gem = freshGem('g', [20, 30])
    expect(only(after(lookOf(gem), gemsOnMidline('g')), 'gem').points).toEqual([[0, 30]])
    const set = only(after(lookOf(gem), gemsAtEyeCorners('g', ground.face!, 8)), 'gem')
    const [x] = ground.face!.landmarks.right.outerEye
    expect(set.points[0]![0] - gem.size / 2 - x).toBeGreaterThan(8)
    expect(liesOf(set, ground)).toHaveLength(2)
  })
})

describe('the canvas', () => {
  it('takes a landmark that is moved, and refuses a face that cannot be', () => {
    const look = lookOf()
    const moved = after(look, moveLandmark('mid.noseTip', 0, 1))
    expect(moved.canvas).toMatchObject({ nudges: { 'mid.noseTip': [0, 1] } })
    expect(refusal(look, moveLandmark('mid.noseTip', 0, 90))).not.toBe('')
    const none = onCanvas(({ canvas }) => {
      if (canvas.kind === 'face') canvas.nudges = {}
    })
    expect(after(moved, none).canvas).toMatchObject({ nudges: {} })
  })
})
