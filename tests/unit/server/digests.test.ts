import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { freshLook } from '#core/look'
import { damageIn } from '../../../server/db/digests'
import { openHouse } from '../../../server/db/house'
import { MIGRATIONS } from '../../../server/db/migrations'
import { openDb } from '../../../server/db/open'
import { schemaOf } from '../../../server/db/schema'
import { readBackup, writeBackup } from '../../../server/pool/backup'
import { findDamage, NAMINGS } from '../../../server/pool/damage'

const AT = '2026-05-01T10:00:00.000Z'
let folder = ''
const at = (name: string) => join(folder, name)
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'janusform-digests-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

/** Marks that are long and found once each in the file. */
const MARKS = {
  look: 'the notes of the look that was kept last',
  paint: 'Paint of a name that is found once only',
  stencil: 'a stencil that has only this one name',
  setting: 'a value that nobody else has written',
  picture: 'these bytes stand for a painted picture',
  photograph: 'these bytes stand for a photograph of one',
  sitting: 'these bytes stand for one picture of a run',
}

const EMPTY_ABOUT = { kind: 'motif', heading: null, copies: 1, notes: '', material: 'mylar' } as const
const NOTHING = { tags: [], zones: [], groups: [], cleanedOn: null, analysis: null, mendedFrom: null }

/** A house in which each mark lies once. */
function houseWithMarks(file: string): void {
  const house = openHouse(file)
  const first = freshLook('a', 'Moth')
  house.looks.create(first, AT)
  house.looks.save({ ...first, name: 'Moth two' }, 1, AT)
  house.pictures.put('a', { key: 'k', png: Buffer.from(MARKS.picture), seconds: 3 })
  house.paints.create({
    id: 'p',
    name: MARKS.paint,
    finish: 'matte',
    colour: '#102030',
    overBlack: '#102030',
    overWhite: '#102030',
    measured: false,
    strips: [],
    eyeSafe: true,
    lipSafe: true,
    openedOn: null,
    months: 12,
    grams: null,
    cakeGrams: 30,
    price: null,
  })
  const shape = { geometry: '{"width":9,"height":9,"outline":[],"openings":[]}', width: 9, height: 9 }
  house.stencils.create('s', shape, { ...EMPTY_ABOUT, ...NOTHING, name: MARKS.stencil }, '<svg/>', AT)
  house.stencils.keepPhoto('s', Buffer.from(MARKS.photograph))
  house.db.prepare("INSERT INTO settings (key, value) VALUES ('x', ?)").run(JSON.stringify(MARKS.setting))
  house.db
    .prepare(
      `INSERT INTO runs (id, started_at, device, sent, heard_at, times, doc, picture)
       VALUES ('r', ?, 'd', 1, ?, '[]', '{}', ?)`,
    )
    .run(AT, AT, Buffer.from(MARKS.sitting))
  house.looks.create({ ...freshLook('b', 'Fox'), notes: MARKS.look }, AT)
  // A revision of the look holds its notes as well; it is not what is damaged here.
  house.db.prepare("UPDATE look_revisions SET doc = '{}' WHERE look_id = 'b'").run()
  house.db.pragma('wal_checkpoint(TRUNCATE)')
  house.db.exec('VACUUM')
  house.db.close()
}

/** Flips one bit of every place where a mark lies; returns how many there were. */
function flip(file: string, mark: string): number {
  const bytes = readFileSync(file)
  let places = 0
  for (let from = bytes.indexOf(mark); from >= 0; from = bytes.indexOf(mark, from + 1)) {
    bytes[from + 5]! ^= 1
    places++
  }
  writeFileSync(file, bytes)
  return places
}

describe('a byte that is another than it was written', () => {
  it.each(Object.entries(MARKS))('is found in a %s, and its thing is named', (kind, mark) => {
    const file = at('x.db')
    houseWithMarks(file)
    expect(findDamage(file)).toEqual([])
    expect(flip(file, mark)).toBeGreaterThan(0)
    expect(findDamage(file).map(d => d.kind)).toEqual([kind])
  })

  it('is known until what is damaged is written again, whatever else of the row is', () => {
    const house = openHouse(at('x.db'))
    const look = freshLook('a', 'Moth')
    house.looks.create(look, AT)
    // As a disk would: past the triggers.
    house.db.exec('DROP TRIGGER looks_updated')
    house.db.prepare("UPDATE looks SET doc = replace(doc, 'Moth', 'Mothx')").run()
    house.db.close()
    const again = openHouse(at('x.db'))
    const damage = () => damageIn(again.db, schemaOf(again.db))
    const damaged = [{ table: 'looks', rowid: 1, columns: ['doc'] }]
    expect(damage()).toEqual(damaged)
    again.looks.remove('a', AT)
    again.looks.restore('a')
    expect(damage()).toEqual(damaged)
    again.looks.save({ ...look, name: 'Owl' }, 1, AT)
    expect(damage()).toEqual([])
    again.db.close()
  })

  it('is still known in what a backup brings back', () => {
    const file = at('x.db')
    houseWithMarks(file)
    flip(file, MARKS.stencil)
    writeBackup({ database: file, target: at('b.zip'), at: AT })
    readBackup({ archive: at('b.zip'), target: at('fresh.db') })
    expect(findDamage(at('fresh.db')).map(d => d.kind)).toEqual(['stencil'])
  })
})

describe('every table', () => {
  it('keeps digests, and its rows have names', () => {
    const db = openDb(':memory:')
    const tables = schemaOf(db)
    expect(tables.filter(t => !t.columns.includes('digests'))).toEqual([])
    expect(Object.keys(NAMINGS).sort()).toEqual(tables.map(t => t.name).sort())
    for (const { sql } of Object.values(NAMINGS)) expect(db.prepare(sql).get(1)).toBeUndefined()
    db.close()
  })

  it('of an earlier version gets them for what it holds', () => {
    const old = openDb(at('x.db'), MIGRATIONS.slice(0, 13))
    old.prepare("INSERT INTO ways (key, value) VALUES ('tool', '\"sponge\"')").run()
    old.close()
    expect(findDamage(at('x.db'))).toEqual([])
    expect(flip(at('x.db'), '"sponge"')).toBe(1)
    expect(findDamage(at('x.db'))).toMatchObject([{ kind: 'setting', name: 'tool' }])
  })
})
