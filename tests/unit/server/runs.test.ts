import { beforeEach, describe, expect, it } from 'vitest'
import { RUN_FORMAT, type Run } from '#core/chair'
import { openDb, type Db } from '../../../server/db/open'
import { readingsIn } from '../../../server/db/readings'
import { runsIn } from '../../../server/db/runs'
import { settingsIn } from '../../../server/db/settings'

let db: Db
beforeEach(() => {
  db = openDb(':memory:')
})
const at = '2026-11-26T15:00:00.000Z'
const run = (change: Partial<Run> = {}): Run => ({
  format: RUN_FORMAT,
  version: 1,
  id: 'one',
  look: { id: 'moth', name: 'Midnight Moth', version: 2 },
  length: 'whole',
  device: 'phone',
  typed: false,
  startedAt: '2026-11-26T14:00:00.000Z',
  endedAt: null,
  ticket: '014',
  room: null,
  planned: 60,
  seconds: 66,
  paused: 0,
  note: '',
  steps: [
    {
      id: 'a',
      label: 'Edge',
      task: 'line',
      planned: 10,
      usual: 10,
      seconds: 20,
      waited: 0,
      lost: 0,
      ending: 'done',
      swapped: false,
      again: 0,
      went: null,
      bridge: null,
    },
  ],
  ...change,
})

describe('the log', () => {
  it('keeps a run once, however often and in whatever order it is sent', () => {
    const runs = runsIn(db)
    expect(runs.put(run({ note: 'second' }), 2, at)).toBe('kept')
    expect(runs.put(run({ note: 'first' }), 1, at)).toBe('older')
    expect(runs.put(run({ note: 'second' }), 2, at)).toBe('kept')
    expect(runs.all()).toEqual([{ run: run({ note: 'second' }), picture: false }])
    expect(JSON.parse(runs.listed())).toEqual(runs.all())
    expect(runs.sent('one')).toBe(2)
  })

  it('deletes so that it can be brought back, and takes nothing for what was deleted', () => {
    const runs = runsIn(db)
    runs.put(run(), 1, at)
    expect([runs.remove('one', at), runs.remove('one', at), runs.all()]).toEqual([true, false, []])
    expect(runs.put(run(), 5, at)).toBe('deleted')
    expect([runs.restore('one'), runs.all().length, runs.restore('none')]).toEqual([true, 1, false])
  })

  it('takes from a file only what is not there yet, and passes over what is damaged', () => {
    const runs = runsIn(db)
    runs.put(run({ note: 'mine' }), 3, at)
    expect(runs.take([run({ note: 'theirs' }), run({ id: 'two' })], at)).toBe(1)
    expect(runs.find('one')!.run.note).toBe('mine')
    db.prepare("UPDATE runs SET doc = '{broken' WHERE id = 'two'").run()
    expect(JSON.parse(runs.listed())).toHaveLength(1)
    expect(runs.find('two')).toBeNull()
  })

  it('tells of the same look on another device while that is painted', () => {
    const runs = runsIn(db)
    const tablet = run({ id: 'two', device: 'tablet', ticket: '020' })
    runs.put(run(), 1, at)
    expect(runs.elsewhere(run(), new Date(at))).toEqual([])
    runs.put(tablet, 1, at)
    expect(runs.elsewhere(run(), new Date(at))).toEqual([{ startedAt: tablet.startedAt, ticket: '020' }])
    expect(runs.elsewhere(run(), new Date('2026-11-26T16:00:00.000Z'))).toEqual([])
    runs.put({ ...tablet, endedAt: at }, 2, at)
    expect(runs.elsewhere(run(), new Date(at))).toEqual([])
  })

  it('tells of the pace once a run was ended, with the readings of tools', () => {
    const runs = runsIn(db)
    const readings = readingsIn(db, { paces: () => runs.paces(), driesBy: () => 1.31 })
    runs.put(run(), 1, at)
    expect(readings.all()).toEqual({ edges: [], tools: [], driesBy: 1.3 })
    runs.put(run({ endedAt: at }), 2, at)
    // Twice the usual once: 2 to the power of a fifth, to a tenth.
    expect(readings.all().paces).toEqual([{ task: 'line', factor: 1.1 }])
    runs.remove('one', at)
    expect(readings.all().paces).toBeUndefined()
  })

  it('keeps a picture beside a run', () => {
    const runs = runsIn(db)
    runs.put(run(), 1, at)
    expect(runs.setPicture('one', Buffer.from([0x89, 0x50]))).toBe(true)
    expect([runs.find('one')!.picture, runs.picture('one')?.length]).toEqual([true, 2])
    runs.put(run({ note: 'later' }), 2, at)
    expect(runs.find('one')!.picture).toBe(true)
    runs.setPicture('one', null)
    expect(runs.picture('one')).toBeNull()
  })
})

it('a room is kept for the house, and one that nobody can read counts as none', () => {
  const settings = settingsIn(db)
  expect(settings.room()).toBeNull()
  settings.setRoom({ temperature: 19, humidity: 0.7, air: 'fan' })
  expect(settings.room()).toEqual({ temperature: 19, humidity: 0.7, air: 'fan' })
  db.prepare('UPDATE settings SET value = \'{"temperature":900}\'').run()
  expect(settings.room()).toBeNull()
})

it('strip cakes that are tried are kept, and those that nobody can read count as none', () => {
  const settings = settingsIn(db)
  expect(settings.cakes()).toEqual([])
  const strips = [{ name: 'Gull White', colour: '#f4f1ea', width: 6 }]
  settings.setCakes([{ id: 'a', name: 'First', strips }])
  expect(settings.cakes()).toEqual([{ id: 'a', name: 'First', strips }])
  db.prepare("UPDATE settings SET value = 'torn' WHERE key = 'cakes'").run()
  expect(settings.cakes()).toEqual([])
})
