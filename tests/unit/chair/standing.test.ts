import { describe, expect, it } from 'vitest'
import { pacesIn, standingOf, timesIn, type Run, type RunStep } from '#core/chair'

const step = (task: string, usual: number, seconds: number | null): RunStep => ({
  id: task,
  label: task,
  task,
  planned: usual,
  usual,
  seconds,
  waited: 0,
  lost: 0,
  ending: 'done',
  swapped: false,
  again: 0,
  went: null,
  bridge: null,
})
const run = (steps: RunStep[], more: Partial<Run> = {}) => ({
  steps,
  endedAt: '2026-06-01T12:00:00.000Z',
  typed: false,
  seconds: steps.reduce((sum, s) => sum + (s.seconds ?? 0), 0),
  planned: steps.reduce((sum, s) => sum + s.planned, 0),
  ...more,
})

describe('a run', () => {
  const painted = run([step('line', 20, 24), step('dots', 30, 25), step('wash', 60, 70)])
  it('counts for the pace when it was painted to its end', () => {
    expect(standingOf(painted)).toBe('counts')
    expect(pacesIn([painted]).map(p => p.task)).toEqual(['line', 'dots', 'wash'])
  })

  it('that was only pressed through counts for nothing', () => {
    const pressed = run([step('line', 20, 1), step('dots', 30, 0.8), step('wash', 60, 55)])
    expect(standingOf(pressed)).toBe('clicked through')
    const quick = run([step('line', 20, 7), step('dots', 30, 9), step('wash', 60, 20)])
    expect(standingOf(quick)).toBe('clicked through')
    expect(pacesIn([pressed, quick])).toEqual([])
    // Somebody quick is no cheat.
    expect(standingOf(run([step('line', 20, 12), step('dots', 30, 14), step('wash', 60, 35)]))).toBe('counts')
  })

  it('that is open, or was left out by the painter, counts for nothing', () => {
    expect(standingOf({ ...painted, endedAt: null })).toBe('not ended')
    expect(standingOf({ ...painted, leftOut: true })).toBe('left out')
    expect(timesIn({ ...painted, leftOut: true })).toEqual([])
  })

  it('of which only the total was typed counts once for each kind of task, without the waiting', () => {
    const steps = [step('line', 20, null), step('line', 20, null), step('wash', 60, null)]
    // A hundred seconds of hands were planned and 40 of waiting: 190 in all are half as slow again.
    const typed = run(steps, { typed: true, planned: 140, seconds: 190 })
    expect(timesIn(typed)).toEqual([
      { task: 'line', usual: 40, seconds: 60 },
      { task: 'wash', usual: 60, seconds: 90 },
    ])
    expect(standingOf(run([], { typed: true, planned: 140, seconds: 190 }))).toBe('no times')
  })
})
