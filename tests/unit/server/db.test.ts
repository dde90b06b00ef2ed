import { beforeEach, describe, expect, it } from 'vitest'
import { seed } from '../../../demo/seed'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freshLook } from '#core/look'
import { cakeToMake } from '../../../demo/cakes'
import { looks as demoLooks } from '../../../demo/looks'
import { paints } from '../../../demo/paints'
import { shelf } from '../../../demo/shelf'
import { looksIn, StaleWrite } from '../../../server/db/looks'
import { openDb, type Db } from '../../../server/db/open'
import { revisionsIn } from '../../../server/db/revisions'
import { readingsIn } from '../../../server/db/readings'
import type { Sparkles } from '../../../core/look'
import { sparklesIn } from '../../../server/db/sparkles'
import { waysIn } from '../../../server/db/ways'
import { paintsIn } from '../../../server/db/paints'
import { stencilsIn } from '../../../server/db/stencils'

let db: Db
beforeEach(() => {
  db = openDb(':memory:')
})

describe('looks', () => {
  const at = '2026-05-01T10:00:00.000Z'
  const look = freshLook('a', 'First')

  it('keeps every revision and the same digits', () => {
    const looks = looksIn(db)
    const odd = { ...look, focus: [0.1 + 0.2, 1 / 3] as [number, number] }
    looks.create(odd, at)
    looks.save({ ...odd, name: 'Second' }, 1, at)
    expect(looks.find('a')).toEqual({ look: { ...odd, name: 'Second' }, version: 2, savedAt: at })
    expect(
      revisionsIn(db)
        .list('a')
        .map(r => r.name)
        .reverse(),
    ).toEqual(['First', 'Second'])
  })

  it('takes the same save a second time as done, since its answer may have got lost', () => {
    const looks = looksIn(db)
    looks.create(look, at)
    const mine = { ...look, name: 'Mine' }
    const first = looks.save(mine, 1, at)
    expect(looks.save(mine, 1, at)).toEqual(first)
    expect(
      revisionsIn(db)
        .list(look.id)
        .map(r => r.version)
        .reverse(),
    ).toEqual([1, 2])
    expect(() => looks.save({ ...mine, notes: 'other' }, 1, at)).toThrow(StaleWrite)
  })

  it('refuses a stale save and shows the newer version', () => {
    const looks = looksIn(db)
    looks.create(look, at)
    looks.save({ ...look, name: 'Theirs' }, 1, at)
    const stale = () => looks.save({ ...look, name: 'Mine' }, 1, at)
    expect(stale).toThrow(StaleWrite)
    try {
      stale()
    } catch (error) {
      expect((error as StaleWrite).theirs.look.name).toBe('Theirs')
    }
    expect(looks.find('a')!.version).toBe(2)
  })

  it('deletes so that it can be undone', () => {
    const looks = looksIn(db)
    looks.create(look, at)
    expect(looks.remove('a', at)).toBe(true)
    expect([
      looks.find('a'),
      looks.knows('a'),
      looks.all(),
      looks.remove('a', at),
      looks.save(look, 1, at),
    ]).toEqual([null, true, [], false, null])
    expect([looks.restore('a'), looks.restore('a')]).toEqual([true, false])
    expect(looks.find('a')!.look).toEqual(look)
  })
})

it('keeps readings of the ladder and of tools apart, and takes single ones back', () => {
  const readings = readingsIn(db, { paces: () => [], driesBy: () => 1 })
  const at = '2026-05-01T10:00:00.000Z'
  readings.addEdge({ tool: 'makeup', wetness: 'damp', bridge: 0.8 }, at)
  readings.addTool({ tool: 'dauber', measure: 'tip', value: 17 }, at)
  readings.addTool({ tool: 'dauber', measure: 'tip', value: 19 }, at)
  const { edges, tools } = readings.all()
  expect([edges, tools.map(t => t.value)]).toEqual([
    [{ id: 1, tool: 'makeup', wetness: 'damp', bridge: 0.8, readAt: at }],
    [17, 19],
  ])
  expect([
    readings.remove('tools', tools[0]!.id),
    readings.remove('tools', 99),
    readings.all().edges.length,
    readings.all().tools.map(t => t.value),
  ]).toEqual([true, false, 1, [19]])
  expect(() => readings.addTool({ tool: 'dauber', measure: 'tip', value: 0 }, at)).toThrow()
})

it('keeps what a strip cake is to be cut as, and changes several paints or none', () => {
  const kit = paintsIn(db)
  const plain = paints.find(p => p.id === 'gull')!
  kit.create(plain)
  kit.create(cakeToMake)
  expect(kit.find('rockpool')).toEqual(cakeToMake)
  expect(kit.find('gull')).not.toHaveProperty('toMake')
  const { toMake: _made, ...made } = cakeToMake
  expect(kit.changeAll([{ ...plain, grams: 3 }, made])).toBe(true)
  expect(kit.find('gull')!.grams).toBe(3)
  expect(kit.find('rockpool')).not.toHaveProperty('toMake')
  expect(
    kit.changeAll([
      { ...plain, grams: 1 },
      { ...plain, id: 'nobody' },
    ]),
  ).toBe(false)
  expect(kit.find('gull')!.grams).toBe(3)
})

it('runs with the settings that keep data safe', () => {
  const folder = mkdtempSync(join(tmpdir(), 'janusform-db-'))
  const file = openDb(join(folder, 'x.db'))
  expect(['journal_mode', 'foreign_keys', 'synchronous'].map(p => file.pragma(p, { simple: true }))).toEqual([
    'wal',
    1,
    2,
  ])
  file.close()
  rmSync(folder, { recursive: true })
})

it('seeds the demo once, and keeps what its user made of it', { timeout: 90_000 }, () => {
  const folder = mkdtempSync(join(tmpdir(), 'janusform-seed-'))
  const file = join(folder, 'x.db')
  const first = seed(file)
  // Beside the paints there is a cake that is still to be made.
  expect(first).toEqual({ looks: demoLooks.length, stencils: shelf.length, paints: paints.length + 1 })
  const opened = openDb(file)
  const looks = looksIn(opened)
  const [one, two] = looks.all()
  looks.save({ ...one!.look, name: 'Renamed' }, 1, 'later')
  looks.remove(two!.look.id, 'later')
  const drawer = stencilsIn(opened)
  // A stencil that is deleted is taken out once, stays for the looks that use it, and the seed leaves it so.
  expect([drawer.takeOut('moth', 'later'), drawer.takeOut('moth', 'later')]).toEqual([true, false])
  opened.close()
  expect(seed(file)).toEqual({ stencils: 0, paints: 0, looks: 0 })
  const again = openDb(file)
  expect(looksIn(again).find(one!.look.id)!.look.name).toBe('Renamed')
  expect(looksIn(again).find(two!.look.id)).toBeNull()
  const kept = stencilsIn(again)
  expect(kept.all()[0]!.width).toBeGreaterThan(0)
  expect([kept.find('moth')!.deletedAt, kept.geometry('moth') !== null]).toEqual(['later', true])
  expect([kept.bringBack('moth'), kept.bringBack('moth'), kept.bringBack('none')]).toEqual([
    true,
    false,
    false,
  ])
  expect(kept.find('moth')!.deletedAt).toBeNull()
  again.close()
  rmSync(folder, { recursive: true })
})

it('keeps own glitters and gems in their order, and passes by one that nobody can read any more', () => {
  const sparkles = sparklesIn(db)
  expect(sparkles.all()).toEqual({ glitters: [], gems: [] })
  const kept: Sparkles = {
    glitters: [
      { name: 'Tide', colour: '#3fa7b5', finish: 'iridescent', sort: 'chunky', flake: 0.6 },
      { name: 'Ash', colour: '#888888', sort: 'fine' },
    ],
    gems: [{ name: 'Moon', colour: '#eeeeee', finish: 'pearl', cut: 'round', size: 4 }],
  }
  sparkles.put(kept)
  sparkles.put(kept)
  db.prepare(
    "INSERT INTO sparkles (kind, place, value) VALUES ('gems', 7, '{\"name\":\"Odd\"}'), ('glitters', 7, '{')",
  ).run()
  expect(sparkles.all()).toEqual(kept)
})

it('keeps how the painter works, and passes by an answer that nobody understands any more', () => {
  const ways = waysIn(db)
  expect(ways.all()).toEqual({})
  ways.put({ tool: 'dauber', lidsFrom: 8 })
  ways.put({ tool: 'makeup', outline: 'none' })
  expect(ways.all()).toEqual({ tool: 'makeup', outline: 'none' })
  db.prepare("INSERT INTO ways (key, value) VALUES ('clean', '\"broom\"'), ('lids', '{')").run()
  expect(ways.all()).toEqual({ tool: 'makeup', outline: 'none' })
})
