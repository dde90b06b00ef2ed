import Database from 'better-sqlite3'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { familyOf, freshLook, freshSheet, type Look } from '#core/look'
import { openHouse, type House } from '../../../server/db/house'
import { MIGRATIONS } from '../../../server/db/migrations'
import { FamilyFull, TryRefused } from '../../../server/db/tries'

const AT = '2026-05-01T10:00:00.000Z'
const paint = { id: 'gull', name: 'Gull', colour: '#F4F1EA' }
const look: Look = {
  ...freshLook('owl', 'Owl'),
  steps: [freshSheet('s', 'Stars', 'star-set', [0, -40], paint)],
}
let folder = ''
let house: House
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'janusform-tries-'))
  house = openHouse(join(folder, 'x.db'))
  house.looks.create(look, AT)
})
afterEach(() => {
  house.db.close()
  rmSync(folder, { recursive: true, force: true })
})
const add = (of: Look, why = '') => house.tries.add(of, why, { wipe: 'nothing' }, AT).look
const letters = () => house.tries.of('owl')!.map(r => [familyOf(r.look).letter, familyOf(r.look).kept])

describe('tries as they are kept', () => {
  it('have letters in turn, and leave the look as it was', () => {
    const b = add(look, 'cold')
    add(b, 'colder')
    expect(letters()).toEqual([
      ['A', true],
      ['B', false],
      ['C', false],
    ])
    expect(house.looks.find('owl')!.version).toBe(1)
    expect(house.looks.listed(b.id)).toMatchObject({ family: 'owl', letter: 'B', why: 'cold', kept: false })
  })

  it('never share a letter with one that was deleted, since it may come back', () => {
    const b = add(look)
    house.looks.remove(b.id, AT)
    expect(familyOf(add(look)).letter).toBe('C')
    house.looks.restore(b.id)
    expect(letters().map(([letter]) => letter)).toEqual(['A', 'B', 'C'])
  })

  it('are one the look at a time; the others stay', () => {
    const b = add(look)
    const family = house.tries.keep(b.id, AT)!
    expect(family.map(r => familyOf(r.look).kept)).toEqual([false, true])
    expect(house.looks.find('owl')!.version).toBe(2)
    house.tries.keep('owl', AT)
    expect(letters()).toEqual([
      ['A', true],
      ['B', false],
    ])
    // Keeping it once more changes nothing.
    house.tries.keep('owl', AT)
    expect(house.looks.find('owl')!.version).toBe(3)
  })

  it('get another letter when they come in from elsewhere and theirs is taken', () => {
    const b = add(look)
    expect(house.tries.incoming(look)).toBe(look)
    expect(house.tries.incoming(b).family).toMatchObject({ letter: 'C', kept: false })
    const other = { ...b, family: { ...b.family!, letter: 'K' } }
    expect(house.tries.incoming(other)).toBe(other)
  })

  it('stay a family when the look itself is deleted', () => {
    const b = add(look)
    house.looks.remove('owl', AT)
    expect(house.tries.of(b.id)!.map(r => r.look.id)).toEqual([b.id])
    expect(house.tries.of('owl')).toBeNull()
    expect(house.tries.keep('owl', AT)).toBeNull()
  })

  it('are refused with a sentence when there is no letter, or no room for what they begin with', () => {
    const full = {
      ...look,
      id: 'full',
      steps: Array.from({ length: 80 }, (_, i) => ({ ...look.steps[0]!, id: `s${i}` })),
    }
    house.looks.create(full, AT)
    expect(() => house.tries.add(full, '', { wipe: 'all' }, AT)).toThrow(TryRefused)
    for (let n = 0; n < 25; n++) add(look)
    expect(() => add(look)).toThrow(FamilyFull)
  })
})

it('looks from before there were tries are families of their own, and open', () => {
  const file = join(folder, 'old.db')
  const db = new Database(file)
  const before = MIGRATIONS.findIndex(({ sql }) => sql.includes('looks_of_family'))
  for (const { sql } of MIGRATIONS.slice(0, before)) db.exec(sql)
  db.prepare(
    "INSERT INTO looks (id, name, version, doc, created_at, updated_at, drawn) VALUES ('old', 'Old', 1, ?, ?, ?, 'x')",
  ).run(JSON.stringify(freshLook('old', 'Old')), AT, AT)
  db.pragma(`user_version = ${before}`)
  db.close()
  const opened = openHouse(file)
  expect(opened.looks.listed('old')).toMatchObject({ family: 'old', letter: 'A', kept: true })
  expect(opened.tries.of('old')).toHaveLength(1)
  opened.db.close()
})
