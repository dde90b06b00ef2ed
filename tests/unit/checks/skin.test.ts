import { describe, expect, it } from 'vitest'
import { afterFix, findingsOf, type Finding } from '#core/checks'
import {
  freshLook,
  freshSheet,
  freshWash,
  groundFor,
  kindOf,
  parseLook,
  spreadOf,
  withSteps,
  type Look,
  type Step,
  type Wash,
  type World,
} from '#core/look'
import { BareSkinCache, printSteps } from '#core/raster'
import { ground, paint, world as plain } from '../world'
import { paints } from '../../../demo/paints'

const kit = new Map(paints.map(p => [p.id, p]))
const world: World = { ...plain, paint: id => kit.get(id) }
const look = (steps: Step[], skin: Partial<Look['skin']> = {}): Look => {
  const l = freshLook('l', 'L')
  return { ...l, steps, skin: { ...l.skin, ...skin } }
}
const found = (l: Look, check: string): Finding[] =>
  findingsOf(l, { ...world, ground: groundFor(l) }, paints, [], '2026-06-01').filter(f => f.check === check)
const onBrows = (colour: string, dabs: number): Wash => ({
  ...freshWash('w', 'Base', ['left.brow', 'right.brow', 'forehead'], [paint(colour)], ground),
  dabs,
})

describe('brows', () => {
  it('under a light base want more layers, as many as are told, and none under a dark one', () => {
    const l = look([onBrows('gull', 1)])
    const [f] = found(l, 'brows')
    expect(f!.why).toMatch(/about \d layers hide the brows, and there are 1 layer/)
    const steps = afterFix(l.steps, f!.stepId, f!.fix!, () => 'x') as Step[]
    expect((steps[0] as Wash).dabs).toBeGreaterThan(1)
    expect(found({ ...l, steps: steps as Look['steps'] }, 'brows')).toEqual([])
    expect(found(look([onBrows('soot', 1)]), 'brows')).toEqual([])
    expect(found(look([freshWash('w', 'w', ['chin'], [paint('gull')], ground)]), 'brows')).toEqual([])
  })

  it('take less paint than the skin beside them', () => {
    const l = look([])
    const bare = new BareSkinCache(1e9).of(l, groundFor(l), 2)
    const { paint: painted } = printSteps(bare.head, [onBrows('gull', 1)], world, bare.grain)
    let hairy = 0
    let bald = 0
    let n = 0
    let m = 0
    for (let p = 0; p < bare.head.hair.length; p++) {
      const share = painted[3 * p]! === bare.head.albedo[3 * p]! ? -1 : bare.head.hair[p]!
      if (share > 0.6) {
        hairy += painted[3 * p]!
        n++
      } else if (share === 0) {
        bald += painted[3 * p]!
        m++
      }
    }
    expect(n).toBeGreaterThan(30)
    expect(hairy / n).toBeLessThan(0.85 * (bald / m))
  })
})

describe('a beard', () => {
  it('grows on the lower face alone, thicker than stubble, and leaves the lips free', () => {
    const hairOf = (beard?: 'stubble' | 'beard') => {
      const l = look([], beard ? { beard } : {})
      const { head } = new BareSkinCache(1e9).of(l, groundFor(l), 1)
      const at = (x: number, y: number) => {
        const { grid } = head
        return head.hair[Math.floor(y - grid.y0) * grid.width + Math.floor(x - grid.x0)]!
      }
      return { at, sum: head.hair.reduce((a, b) => a + b, 0) }
    }
    const [none, stubble, beard] = [hairOf(), hairOf('stubble'), hairOf('beard')]
    expect(stubble.sum).toBeGreaterThan(none.sum + 200)
    expect(beard.sum).toBeGreaterThan(1.5 * stubble.sum)
    const chin = groundFor(look([])).face!.landmarks.mid.chin
    expect(beard.at(chin[0], chin[1] - 8)).toBeGreaterThan(0.4)
    expect(beard.at(0, -45)).toBe(none.at(0, -45))
  })

  it('and oil are kept with the look, and what is neither is refused', () => {
    expect(parseLook(look([], { beard: 'stubble', oily: true })).ok).toBe(true)
    expect(parseLook(look([])).ok).toBe(true)
    expect(parseLook(look([], { beard: 'long' as 'beard' })).ok).toBe(false)
  })
})

describe('oily skin', () => {
  const step = freshSheet('s', 's', 'heart-crest', [0, -32], paint('gull'))

  it('lets paint creep farther and hold less, and is told once', () => {
    const dry = withSteps(world, [step])
    const oily = { ...dry, oily: true }
    const creep = (w: World) => spreadOf(step, step.passes[0]!, [0], null, w)[0]!
    expect(creep(oily)).toBeCloseTo(1.3 * creep(dry), 9)
    const film = (w: World) => kindOf(step).prints(step, w)[0]!.film
    expect(film(oily)).toBeLessThan(film(dry))
    expect(found(look([step], { oily: true }), 'sitting').map(f => f.title)).toContain('Oily or sweaty skin')
    expect(found(look([step]), 'sitting').map(f => f.title)).not.toContain('Oily or sweaty skin')
  })
})

describe('thick paint', () => {
  it('cracks over the forehead and beside the mouth, and not on the cheek', () => {
    const base = (zone: 'forehead' | 'left.cheek', dabs: number): Wash => ({
      ...freshWash('w', 'w', [zone], [paint('gull')], ground),
      dabs,
    })
    const l = look([base('forehead', 9)])
    const [f] = found(l, 'cracks')
    expect(f!.why).toMatch(/forehead/)
    const steps = afterFix(l.steps, f!.stepId, f!.fix!, () => 'x') as Look['steps']
    expect(found({ ...l, steps }, 'cracks')).toEqual([])
    expect(found(look([base('left.cheek', 9)]), 'cracks')).toEqual([])
    expect(found(look([base('forehead', 2)]), 'cracks')).toEqual([])
  })
})
