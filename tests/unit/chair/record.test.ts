import { describe, expect, it } from 'vitest'
import {
  pacesIn,
  parseRun,
  progressAfter,
  readingsFrom,
  RUN_FORMAT,
  runOf,
  type Event,
  type Run,
  type RunStep,
  type Screen,
} from '#core/chair'
import { runsCsv, runsFromText } from '#core/formats'
import { pacesOf } from '#core/order'

const step = (change: Partial<RunStep> = {}): RunStep => ({
  id: 'a',
  label: 'Scales, "left"',
  task: 'stencil, makeup',
  planned: 20,
  usual: 20,
  seconds: 30,
  waited: 5,
  lost: 0,
  ending: 'done',
  swapped: false,
  again: 0,
  went: 'bled',
  bridge: { tool: 'makeup', wetness: 'damp', width: 1.2 },
  ...change,
})
const run = (change: Partial<Run> = {}): Run => ({
  format: RUN_FORMAT,
  version: 1,
  id: 'run-1',
  look: { id: 'moth', name: 'Midnight Moth', version: 3 },
  length: 'three waiting',
  device: 'tablet',
  typed: false,
  startedAt: '2026-11-26T14:00:00.000Z',
  endedAt: '2026-11-26T14:06:00.000Z',
  ticket: '014',
  room: { temperature: 19.5, humidity: 0.63, air: 'fan' },
  planned: 300,
  seconds: 341.5,
  paused: 12,
  note: 'sat still,\nsecond "time"',
  steps: [step(), step({ id: 'b', ending: 'skipped', seconds: null, went: null, bridge: null })],
  ...change,
})

describe('a run', () => {
  it('comes back from CSV and from JSON as it went out', () => {
    const other = run({
      id: 'run-2',
      room: null,
      endedAt: null,
      steps: [],
      look: { id: null, name: 'Cheek star', version: null },
    })
    const all = [run(), other]
    expect(runsFromText(runsCsv(all))).toEqual({ ok: true, runs: all })
    const json = JSON.stringify({ format: 'janusform-log', version: 1, runs: all })
    expect(runsFromText(json)).toEqual({ ok: true, runs: all })
  })

  it('never gives a spreadsheet a formula, and gives the cell back as it was', () => {
    const odd = run({ note: '=HYPERLINK("x")', ticket: '-5' })
    const csv = runsCsv([odd])
    expect(csv).not.toMatch(/(^|,|")=HYPER/m)
    expect(runsFromText(csv)).toEqual({ ok: true, runs: [odd] })
  })

  it.each([
    ['', 'The file is empty.'],
    ['{"format":"other"}', 'its "format" is not "janusform-log"'],
    ['{', 'not JSON'],
    ['name,colour\nx,#fff', 'no column "run" and "look" and "started"'],
    [runsCsv([run()]).replaceAll('2026-11-26T14:00:00.000Z', 'yesterday'), '"startedAt" must be a day'],
    [runsCsv([run()]).replaceAll(',0.63,', ',63,'), '"room.humidity" must be at most 1'],
    [runsCsv([run()]).replaceAll(',bled,', ',splendid,'), 'Step 1 of the run: "went" must be one of fine'],
  ])('is refused with a sentence: %#', (file, sentence) => {
    const read = runsFromText(file)
    expect(read.ok ? [] : read.errors.join(' ')).toContain(sentence)
  })

  it('does not end before it begins', () => {
    expect(parseRun(run({ endedAt: '2026-11-26T13:00:00.000Z' }))).toEqual({
      ok: false,
      errors: ['The run ends before it begins.'],
    })
  })

  it('offers a reading where a known bridge bled', () => {
    expect(readingsFrom(run())).toEqual([{ step: step(), bridge: 1.5 }])
    expect(readingsFrom(run({ steps: [step({ went: 'fine' })] }))).toEqual([])
  })

  it('is written from what was done', () => {
    const screen = (id: string): Screen => ({
      id,
      label: id.toUpperCase(),
      words: 'stencil',
      task: 'stencil, makeup',
      optional: false,
      planned: 25,
      usual: 20,
      tasks: [],
      lines: [],
      tools: [],
      sheets: [],
      prompts: [],
      place: '',
      outlines: [],
      marks: [],
      box: null,
      handTest: null,
      bridge: null,
    })
    const events: Event[] = [
      { deed: 'begin', passed: 0, order: ['a', 'b', 'c'], length: 'whole' },
      { deed: 'done', passed: 31 },
      { deed: 'shorten', passed: 2, order: ['b'], length: 'ten waiting' },
      { deed: 'skip', passed: 4 },
      { deed: 'end', passed: 0 },
    ]
    const frame = { ...run(), went: { a: 'smudged' as const } }
    const { id, look, device, startedAt, endedAt, ticket, room, note, went } = frame
    const written = runOf(
      { id, look, device, startedAt, endedAt, ticket, room, note, went },
      progressAfter(events, []),
      ['a', 'b', 'c'].map(screen),
      [],
    )
    expect(parseRun(written).ok).toBe(true)
    expect(written).toMatchObject({ length: 'ten waiting', seconds: 37, planned: 50 })
    expect(written.steps.map(s => [s.id, s.ending, s.seconds, s.lost, s.went])).toEqual([
      ['a', 'done', 31, 0, 'smudged'],
      ['b', 'skipped', null, 6, null],
      ['c', 'left out', null, 0, null],
    ])
  })
})

describe('the own pace', () => {
  const times = (task: string, ...ratios: number[]) => ratios.map(r => ({ task, usual: 10, seconds: 10 * r }))
  it('is drawn toward the starting value while there are few times, and follows many', () => {
    const one = pacesOf(times('line', 2))[0]!
    const many = pacesOf(times('line', ...Array.from({ length: 60 }, () => 2)))[0]!
    expect(one).toMatchObject({ count: 1, spread: 0 })
    // One time counts one part in five: 2 to the power of a fifth.
    expect(one.factor).toBeCloseTo(2 ** 0.2, 10)
    expect(many.factor).toBeGreaterThan(1.9)
    expect(many.factor).toBeLessThan(2)
  })
  it('tells how the times scatter', () => {
    const [pace] = pacesOf(times('dots', 0.5, 2))
    expect(pace!.factor).toBeCloseTo(1, 10)
    expect(Math.exp(pace!.spread)).toBeCloseTo(Math.exp(Math.SQRT2 * Math.log(2)), 10)
  })
  it('is not told by what was only pressed on, begun again or skipped', () => {
    expect(pacesOf(times('gem', 0.01, 9))).toEqual([])
    const steps = [step({ again: 1 }), step({ ending: 'skipped', seconds: null })]
    expect(pacesIn([run({ steps })])).toEqual([])
    expect(pacesIn([run()])).toHaveLength(1)
  })
})
