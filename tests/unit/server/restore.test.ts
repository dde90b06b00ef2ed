import Database from 'better-sqlite3'
import { strToU8, unzipSync, zipSync } from 'fflate'
import { createHash } from 'node:crypto'
import { existsSync, mkdtempSync, readFileSync, rmSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { freshLook } from '#core/look'
import { openHouse } from '../../../server/db/house'
import { MIGRATIONS } from '../../../server/db/migrations'
import { openDb } from '../../../server/db/open'
import { beforeFiles, swapped, tidiedFolder } from '../../../server/db/swap'
import { readBackup, writeBackup } from '../../../server/pool/backup'

const AT = '2026-05-01T10:00:00.000Z'
let folder = ''
const at = (name: string) => join(folder, name)
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'janusform-restore-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

function houseWith(file: string, ...names: string[]): string {
  const { db, looks } = openHouse(file)
  for (const name of names) looks.create(freshLook(name, name), AT)
  db.close()
  return file
}
const namesIn = (file: string): string[] => {
  const { db, looks } = openHouse(file)
  const names = looks.list().map(l => l.name)
  db.close()
  return names.sort()
}
const digest = (data: Uint8Array) => createHash('sha256').update(data).digest('hex')

/** A backup whose database was changed by hand, with digests that are right. */
function backupOf(change: (db: Database.Database) => void): string {
  const file = houseWith(at('own.db'), 'Moth')
  const archive = at('b.zip')
  writeBackup({ database: file, target: archive, at: AT })
  const files = unzipSync(readFileSync(archive))
  writeFileSync(at('inner.db'), files['janusform.db']!)
  const db = new Database(at('inner.db'))
  change(db)
  db.close()
  files['janusform.db'] = readFileSync(at('inner.db'))
  return packed(archive, files)
}
/** Files as a backup with right digests. */
function packed(archive: string, files: Record<string, Uint8Array>): string {
  const { 'manifest.json': list, ...others } = files
  const manifest = JSON.parse(new TextDecoder().decode(list)) as Record<string, unknown>
  manifest.files = Object.fromEntries(Object.entries(others).map(([n, d]) => [n, digest(d)]))
  writeFileSync(archive, zipSync({ 'manifest.json': strToU8(JSON.stringify(manifest)), ...others }))
  return archive
}
const reading = (archive: string) => () => readBackup({ archive, target: at('fresh.db') })

describe('a restore takes rows, and nothing else', () => {
  it('refuses triggers, views, tables of others and tables that are missing, and leaves nothing behind', () => {
    const wrong: [string, RegExp][] = [
      ['CREATE TRIGGER t AFTER UPDATE ON looks BEGIN DELETE FROM looks; END', /a trigger "t"/],
      ['CREATE VIEW v AS SELECT * FROM looks', /a view "v"/],
      ['CREATE TABLE others (id TEXT)', /a table "others"/],
      ['DROP TABLE runs', /table "runs" is missing/],
      ['ALTER TABLE looks DROP COLUMN why', /table "looks" is missing or not as it should be/],
    ]
    for (const [sql, words] of wrong) {
      expect(reading(backupOf(db => db.exec(sql))), sql).toThrow(words)
      expect(existsSync(at('fresh.db'))).toBe(false)
      expect(existsSync(at('fresh.db.source'))).toBe(false)
      rmSync(at('own.db'), { force: true })
    }
  })

  it('says rightly what is wrong with a newer version and with an empty database', () => {
    const newer = backupOf(db => db.pragma(`user_version = ${MIGRATIONS.length + 1}`))
    expect(reading(newer)).toThrow(/written by a newer version of Janusform/)
    rmSync(at('own.db'), { force: true })
    const files = unzipSync(readFileSync(newer))
    const empty = new Database(at('empty.db'))
    empty.exec('VACUUM')
    empty.close()
    files['janusform.db'] = readFileSync(at('empty.db'))
    expect(reading(packed(newer, files))).toThrow(/its database is empty|not whole/)
  })

  it('wants a digest for every file, and every file that has one', () => {
    const archive = backupOf(() => {})
    const files = unzipSync(readFileSync(archive))
    writeFileSync(archive, zipSync({ ...files, 'looks/more.json': strToU8('{}') }))
    expect(reading(archive)).toThrow(/"more.json" in it is not as it was written/)
    const [look] = Object.keys(files).filter(n => n.startsWith('looks/'))
    const { [look!]: _out, ...fewer } = files
    writeFileSync(archive, zipSync(fewer))
    expect(reading(archive)).toThrow(/is missing in it/)
  })

  it('does not unpack what grows beyond measure', () => {
    const archive = at('bomb.zip')
    writeFileSync(archive, zipSync({ 'janusform.db': new Uint8Array(60e6) }))
    const before = process.memoryUsage().arrayBuffers
    expect(reading(archive)).toThrow(/unpacks to far more/)
    expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(30e6)
  })

  it('brings a backup of every earlier version up to date', () => {
    for (let version = 5; version <= MIGRATIONS.length; version++) {
      const old = openDb(at(`v${version}.db`), MIGRATIONS.slice(0, version))
      old
        .prepare(
          'INSERT INTO looks (id, name, version, doc, created_at, updated_at) VALUES (?, ?, 1, ?, ?, ?)',
        )
        .run('a', 'Old look', JSON.stringify(freshLook('a', 'Old look')), AT, AT)
      old.close()
      const archive = at('old.zip')
      writeBackup({ database: at(`v${version}.db`), target: archive, at: AT })
      expect(reading(archive)()).toMatchObject({ looks: 1 })
      expect(namesIn(at('fresh.db'))).toEqual(['Old look'])
      rmSync(at('fresh.db'))
    }
  })
})

describe('the swap of a restore', () => {
  const DAY = (n: number) => new Date(Date.UTC(2026, 4, n))

  it('keeps the file of before, the last three of them', () => {
    const file = houseWith(at('janusform.db'), 'First')
    for (let n = 1; n <= 5; n++) swapped(file, houseWith(at('next.db'), `Look ${n}`), DAY(n))
    expect(namesIn(file)).toEqual(['Look 5'])
    expect(beforeFiles(file)).toHaveLength(3)
    expect(namesIn(at(beforeFiles(file)[0]!))).toEqual(['Look 4'])
  })

  it('keeps what had not been written back from the log', () => {
    const file = houseWith(at('janusform.db'), 'First')
    // Another program that was killed leaves its log behind.
    const open = openHouse(file)
    open.looks.create(freshLook('second', 'Second'), AT)
    const log = readFileSync(`${file}-wal`)
    const data = readFileSync(file)
    open.db.close()
    writeFileSync(file, data)
    writeFileSync(`${file}-wal`, log)
    swapped(file, houseWith(at('next.db'), 'Next'), DAY(1))
    expect(namesIn(file)).toEqual(['Next'])
    expect(namesIn(at(beforeFiles(file)[0]!))).toEqual(['First', 'Second'])
  })

  it('that an earlier version left half done is taken back; files left over go', () => {
    const file = houseWith(at('janusform.db'), 'First')
    swapped(file, houseWith(at('next.db'), 'Next'), DAY(1))
    rmSync(file)
    for (const name of ['received-17.tmp', 'restored-17.tmp', 'by-hand.zip.db.tmp', 'keep.zip']) {
      writeFileSync(at(name), 'x')
      utimesSync(at(name), 0, 0)
    }
    // Somebody may be writing this one now.
    writeFileSync(at('received-18.tmp'), 'x')
    tidiedFolder(file)
    expect(namesIn(file)).toEqual(['First'])
    expect(['received-17.tmp', 'restored-17.tmp', 'by-hand.zip.db.tmp'].some(n => existsSync(at(n)))).toBe(
      false,
    )
    expect(existsSync(at('keep.zip')) && existsSync(at('received-18.tmp'))).toBe(true)
  })
})

describe('the data file', () => {
  it('that is deleted, moved or replaced while it is open is seen', () => {
    const file = houseWith(at('janusform.db'), 'First')
    const house = openHouse(file)
    expect(house.stands()).toBe(true)
    house.looks.create(freshLook('b', 'B'), AT)
    expect(house.stands()).toBe(true)
    swapped(file, houseWith(at('next.db'), 'Next'), new Date(AT))
    expect(house.stands()).toBe(false)
    house.db.close()
    const again = openHouse(file)
    rmSync(file)
    expect(again.stands()).toBe(false)
    again.db.close()
  })

  it('has rows that are damaged: they are named and passed over, in every list', () => {
    const house = openHouse(houseWith(at('janusform.db'), 'First', 'Second'))
    house.db.exec(`UPDATE looks SET tags = '[1' WHERE id = 'First'`)
    house.db.exec(`UPDATE looks SET sheets = '{}' WHERE id = 'Second'`)
    expect(house.looks.list().map(l => [l.name, l.drawn])).toEqual([
      ['First', ''],
      ['Second', ''],
    ])
    house.db.exec(`UPDATE looks SET doc = '{"steps":[]}' WHERE id = 'First'`)
    expect(() => house.looks.find('First')).toThrow(/"First" is damaged/)
    house.db.close()
  })
})
