import { describe, expect, it } from 'vitest'
import {
  applied,
  freshLook,
  kindOf,
  parseLook,
  pasteSteps,
  Refused,
  type SheetStep,
  type Step,
} from '../../../core/look'
import { looks } from '../../../demo/looks'

const ids = () => {
  let n = 0
  return () => `new-${n++}`
}
const empty = freshLook('x', 'x')
const lion = looks.find(l => l.steps.some(s => s.kind === 'sheet' && s.register !== null))!
const held = lion.steps.find((s): s is SheetStep => s.kind === 'sheet' && s.register !== null)!
const host = lion.steps.find(s => s.id === held.register!.on)!

describe('pasting steps', () => {
  it('puts copies on top, with ids of their own, and leaves what was copied alone', () => {
    const before = structuredClone(lion.steps)
    const next = applied(empty, pasteSteps(lion.steps, ids()))
    expect(next.steps.map(s => s.label)).toEqual(lion.steps.map(s => s.label))
    const all = new Set(lion.steps.map(s => s.id))
    expect(next.steps.some(s => all.has(s.id))).toBe(false)
    expect(lion.steps).toEqual(before)
    expect(() => parseLook(structuredClone(next))).not.toThrow()
  })

  it('keeps what was copied together held on one another', () => {
    const next = applied(empty, pasteSteps([host, held], ids()))
    expect((next.steps[1] as SheetStep).register!.on).toBe(next.steps[0]!.id)
  })

  it('renames steps alone: a stencil or a label that is called as a step is keeps its name', () => {
    const twice = { ...host, id: (host as SheetStep).stencil }
    const copied = [twice, { ...held, label: twice.id, register: { ...held.register!, on: twice.id } }]
    const [first, second] = applied(empty, pasteSteps(copied, ids())).steps as [SheetStep, SheetStep]
    expect([first.stencil, second.label]).toEqual([twice.id, twice.id])
    expect(second.register!.on).toBe(first.id)
    expect(first.id).not.toBe(twice.id)
  })

  it('lets go of what was not copied, in place', () => {
    const [alone] = applied(empty, pasteSteps([held], ids())).steps as [SheetStep]
    expect(alone.register).toBeNull()
    expect([alone.at, alone.tilt]).toEqual([held.at, held.tilt])
  })

  it('refuses with a sentence when nothing can stand by itself', () => {
    const hung = (s: Step) => s.kind !== 'sheet' && kindOf(s).follows(s).length > 0
    const outlines = looks.flatMap(l => l.steps).filter(hung)
    expect(outlines.length).toBeGreaterThan(0)
    expect(() => applied(empty, pasteSteps(outlines.slice(0, 1), ids()))).toThrow(Refused)
  })
})
