import Database from 'better-sqlite3'
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { freshLook, parseLook, type Look } from '#core/look'
import { looks as demoLooks } from '../../../demo/looks'
import { openHouse } from '../../../server/db/house'
import { DamagedLook } from '../../../server/db/looks'
import { MIGRATIONS } from '../../../server/db/migrations'
import { openDb } from '../../../server/db/open'
import { HouseTrouble, troubleIn } from '../../../server/db/trouble'
import { readBackup, writeBackup } from '../../../server/pool/backup'

const AT = '2026-05-01T10:00:00.000Z'
let folder = ''
const at = (name: string) => join(folder, name)
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'janusform-house-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

/** A house with some looks in it, closed again. */
function houseWith(file: string, looks: readonly Look[]): void {
  const { db, looks: gallery } = openHouse(file)
  for (const look of looks) gallery.create(look, AT)
  db.close()
}
const named = (id: string, name = `Look ${id}`): Look => freshLook(id, name)

/** What a house says when it is opened or used. */
function saidBy(job: () => unknown): string {
  try {
    job()
  } catch (error) {
    const trouble = troubleIn(error, at('x.db'))
    expect(trouble).toBeInstanceOf(HouseTrouble)
    return trouble!.message
  }
  throw new Error('Nothing went wrong.')
}

describe('trouble with the house is told in a sentence', () => {
  it('when the file is damaged, and the file is left as it is', () => {
    const file = at('x.db')
    houseWith(
      file,
      Array.from({ length: 40 }, (_, i) => named(`l${i}`)),
    )
    const bytes = readFileSync(file)
    bytes.fill(0x55, 8192, 16384)
    writeFileSync(file, bytes)
    expect(saidBy(() => openDb(file))).toMatch(/damaged\. Nothing more is written to it.*newest backup/)
    expect(readFileSync(file).equals(bytes)).toBe(true)
  })

  it('when the file is no database, of a newer version, or the folder is a file', () => {
    writeFileSync(at('text.db'), 'A letter to a friend, long enough to be no header of anything.'.repeat(40))
    expect(saidBy(() => openDb(at('text.db')))).toMatch(/no database of Janusform, and was left alone/)
    const newer = new Database(at('newer.db'))
    newer.pragma('user_version = 99')
    newer.close()
    expect(saidBy(() => openDb(at('newer.db')))).toMatch(/newer version of Janusform/)
    writeFileSync(at('file'), 'x')
    expect(saidBy(() => openDb(join(at('file'), 'x.db')))).toMatch(/is no folder/)
    mkdirSync(at('folder.db'))
    expect(saidBy(() => openDb(at('folder.db')))).toMatch(/cannot be opened/)
  })

  it('when the disk is full, nothing that was saved is lost', () => {
    const house = openHouse(at('x.db'))
    house.looks.create(named('a'), AT)
    // A database that may grow no further answers as a full disk does.
    house.db.pragma(`max_page_count = ${house.db.pragma('page_count', { simple: true })}`)
    const large = { ...named('b'), notes: 'x'.repeat(4000) }
    const fill = () => {
      for (let i = 0; i < 50; i++) house.looks.create({ ...large, id: `b${i}` }, AT)
    }
    expect(saidBy(fill)).toMatch(/disk is full.*still there/)
    expect(house.looks.find('a')!.look.name).toBe('Look a')
    house.db.close()
  })

  it('when it may not be written, or another program holds it', () => {
    const house = openHouse(at('x.db'))
    house.db.pragma('query_only = ON')
    expect(saidBy(() => house.looks.create(named('a'), AT))).toMatch(/cannot be written/)
    house.db.pragma('query_only = OFF')
    const other = new Database(at('x.db'))
    other.exec('BEGIN IMMEDIATE')
    expect(saidBy(() => house.looks.create(named('a'), AT))).toMatch(/Another program holds/)
    other.exec('COMMIT')
    house.looks.create(named('a'), AT)
    other.close()
    house.db.close()
  })

  it('and errors of another kind are none of it', () => {
    expect(troubleIn(new Error('x'), 'x.db')).toBeNull()
    expect(
      troubleIn(Object.assign(new Error(), { code: 'ENOENT', path: '/elsewhere' }), '/a/x.db'),
    ).toBeNull()
    expect(troubleIn(Object.assign(new Error(), { code: 'SQLITE_CONSTRAINT_UNIQUE' }), 'x.db')).toBeNull()
    expect(troubleIn(Object.assign(new Error(), { code: 'SQLITE_IOERR_WRITE' }), 'x.db')!.code).toBe('IOERR')
    expect(troubleIn(Object.assign(new Error(), { code: 'ENOSPC' }), 'x.db')!.code).toBe('FULL')
  })
})

describe('every look of the demo', () => {
  it('is kept, saved, exported and taken in again as it is', () => {
    const house = openHouse(at('x.db'))
    expect(demoLooks.length).toBeGreaterThan(20)
    for (const look of demoLooks) {
      // The export of a look is its document.
      const read = parseLook(JSON.parse(JSON.stringify(look)))
      expect(read, look.name).toEqual({ ok: true, look })
      house.looks.create(look, AT)
      expect(house.looks.find(look.id)!.look).toEqual(look)
      expect(house.looks.save(look, 1, AT)!.version).toBe(2)
    }
    house.db.close()
  })
})

describe('a look that was kept before its numbers were bounded', () => {
  it('opens with the nearest that are allowed, and can be saved; a file says what they are', () => {
    const house = openHouse(at('x.db'))
    const star = demoLooks.flatMap(l => l.steps).find(s => 'params' in s && 'short' in s.params)!
    const wild = { ...named('wild'), steps: [{ ...star, params: { short: 140 } }] } as Look
    const [error] = (parseLook(wild) as { errors: string[] }).errors
    expect(error).toMatch(/"short" .* from 0 to 100%: 100 is the nearest to 140/)
    house.looks.create(wild, AT)
    const { look } = house.looks.find('wild')!
    expect(look.steps[0]).toMatchObject({ params: { short: 100 } })
    expect(parseLook(look).ok).toBe(true)
    house.db.close()
  })
})

describe('the state of the data', () => {
  it('is another after every change, by whoever made it, and the same otherwise', () => {
    const one = openHouse(at('x.db'))
    const two = openHouse(at('x.db'))
    const before = one.state()
    expect(one.looks.list()).toEqual([])
    expect(one.state()).toBe(before)
    one.looks.create(named('a'), AT)
    const own = one.state()
    expect(own).not.toBe(before)
    two.looks.remove('a', AT)
    expect(one.state()).not.toBe(own)
    one.db.close()
    two.db.close()
  })
})

describe('a damaged look', () => {
  it('is named and passed over; all others work', () => {
    const house = openHouse(at('x.db'))
    for (const id of ['a', 'b', 'c']) house.looks.create(named(id), AT)
    house.db.prepare("UPDATE looks SET doc = '{\"format\": tru' WHERE id = 'b'").run()
    expect(() => house.looks.find('b')).toThrow(DamagedLook)
    expect(() => house.looks.find('b')).toThrow(/"Look b" is damaged.*All other looks are whole/)
    expect(
      house.looks
        .all()
        .map(r => r.look.id)
        .sort(),
    ).toEqual(['a', 'c'])
    expect(house.looks.list()).toHaveLength(3)
    expect(house.revisions.find('b', 1)!.look.name).toBe('Look b')
    house.db.close()
  })
})

describe('a damaged stencil', () => {
  it('has no shape, and leaves the drawer standing', () => {
    const house = openHouse(at('x.db'))
    const shape = { geometry: '{"width":9,"height":9,"outline":[],"openings":[]}', width: 9, height: 9 }
    const about = {
      kind: 'motif',
      tags: [],
      zones: [],
      heading: null,
      copies: 1,
      notes: '',
      material: 'mylar',
      cleanedOn: null,
      groups: [],
      analysis: null,
      mendedFrom: null,
    } as const
    for (const id of ['a', 'b', 'c'])
      house.stencils.create(id, shape, { ...about, name: id, tags: [], zones: [], groups: [] }, '<svg/>', AT)
    house.db.prepare("UPDATE stencils SET geometry = '{\"width' WHERE id = 'a'").run()
    house.db.prepare("UPDATE stencils SET tags = '[' WHERE id = 'b'").run()
    expect(house.stencils.geometry('a')).toBeNull()
    expect(house.stencils.all().map(s => s.id)).toEqual(['a', 'c'])
    expect(house.stencils.geometry('c')).toBe(shape.geometry)
    house.db.close()
  })
})

describe('a database of an earlier version', () => {
  it('opens, with what lists show filled in; a damaged look stays as it is', () => {
    const file = at('old.db')
    const old = openDb(file, MIGRATIONS.slice(0, 4))
    const look = { ...named('a', 'Old look'), tags: ['fair'] }
    const insert = old.prepare(
      'INSERT INTO looks (id, name, version, doc, created_at, updated_at) VALUES (?, ?, 1, ?, ?, ?)',
    )
    insert.run('a', 'Old look', JSON.stringify(look), AT, AT)
    insert.run('bad', 'Bad look', '{', AT, AT)
    old
      .prepare('INSERT INTO look_revisions (look_id, version, doc, saved_at) VALUES (?, 1, ?, ?)')
      .run('a', JSON.stringify(look), AT)
    old.close()
    const house = openHouse(file)
    const [a, bad] = ['a', 'bad'].map(id => house.looks.listed(id)!)
    expect(a).toMatchObject({ name: 'Old look', tags: ['fair'], canvas: 'face', sheets: [], steps: 0 })
    expect(a!.drawn).toMatch(/^[0-9a-f]{40}$/)
    expect(bad).toMatchObject({ name: 'Bad look', drawn: '' })
    expect(house.revisions.list('a')).toEqual([
      { version: 1, savedAt: AT, name: 'Old look', steps: 0, label: null },
    ])
    house.db.close()
  })
})

describe('notes of a stencil', () => {
  it('that were changed from two pages are both kept', () => {
    const { stencils, db } = openHouse(':memory:')
    const shape = { geometry: '{"width":9,"height":9,"outline":[],"openings":[]}', width: 9, height: 9 }
    const notes = {
      name: 'S',
      kind: 'motif',
      tags: [],
      zones: [],
      heading: null,
      copies: 1,
      notes: '',
    } as const
    stencils.create(
      's',
      shape,
      {
        ...notes,
        tags: [],
        zones: [],
        material: 'mylar',
        cleanedOn: null,
        groups: [],
        analysis: null,
        mendedFrom: null,
      },
      '<svg/>',
      AT,
    )
    stencils.change('s', { copies: 3 })
    stencils.change('s', { notes: 'bent' })
    expect(stencils.find('s')).toMatchObject({ copies: 3, notes: 'bent', name: 'S' })
    expect(stencils.change('none', { copies: 3 })).toBeNull()
    db.close()
  })
})

describe('the backup of the day', () => {
  it('is due after a day, and after a clock ran ahead, whatever the times of files are', () => {
    const { settings, db } = openHouse(':memory:')
    const dueAt = (now: string) => settings.backupDue(Date.parse(now))
    expect(dueAt('2026-05-01T10:00:00.000Z')).toBe(true)
    settings.setDailyBackup('2026-05-01T10:00:00.000Z')
    expect(dueAt('2026-05-01T10:00:00.000Z')).toBe(false)
    expect(dueAt('2026-05-02T09:59:59.000Z')).toBe(false)
    expect(dueAt('2026-05-02T10:00:00.000Z')).toBe(true)
    expect(dueAt('2026-04-30T22:00:00.000Z')).toBe(false)
    expect(dueAt('2024-01-01T00:00:00.000Z')).toBe(true)
    const write = db.prepare<[string]>("UPDATE settings SET value = ? WHERE key = 'daily backup'")
    for (const value of ['"yesterday"', '7', '{']) {
      write.run(value)
      expect(dueAt('2026-05-01T10:00:00.000Z')).toBe(true)
    }
    db.close()
  })
})

describe('a backup', () => {
  it('holds everything, and brings it back as it was', () => {
    const file = at('x.db')
    houseWith(file, [named('a', 'Moth / one'), named('b')])
    const archive = join(folder, 'backups', 'b.zip')
    writeBackup({ database: file, target: archive, at: AT })
    const house = openHouse(file)
    house.looks.remove('a', AT)
    house.db.close()
    expect(readBackup({ archive, target: at('fresh.db') })).toEqual({ madeAt: AT, looks: 2, sheets: 0 })
    const back = openHouse(at('fresh.db'))
    expect(back.looks.find('a')!.look).toEqual(named('a', 'Moth / one'))
    expect(back.revisions.list('b')).toHaveLength(1)
    back.db.close()
  })

  it('that is damaged, none, or of something else is refused, and nothing is left behind', () => {
    const file = at('x.db')
    houseWith(file, [named('a')])
    const archive = at('b.zip')
    writeBackup({ database: file, target: archive, at: AT })
    const whole = readFileSync(archive)
    const read = (bytes: Uint8Array) => () => {
      writeFileSync(archive, bytes)
      readBackup({ archive, target: at('fresh.db') })
    }
    // Somewhere in the middle of the packed database.
    const bent = Uint8Array.from(whole)
    for (let i = 0; i < 40; i++) bent[Math.floor(whole.length / 3) + i]! ^= 0xff
    expect(read(bent)).toThrow(/damaged/)
    expect(read(whole.subarray(0, whole.length - 300))).toThrow(/no backup of Janusform/)
    expect(read(new TextEncoder().encode('hello'))).toThrow(/no backup of Janusform/)
    expect(() => readFileSync(at('fresh.db'))).toThrow()
    expect(dirname(archive)).toBe(folder)
  })
})
