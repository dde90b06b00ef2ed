import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { freshLook } from '#core/look'
import { openHouse } from '../../../server/db/house'
import { thinnedOut, type VersionKept } from '../../../server/db/thinning'

const NOW = Date.parse('2026-06-15T12:00:00.000Z')
const HOUR = 3_600_000
const version = (n: number, hoursAgo: number, label: string | null = null): VersionKept => ({
  version: n,
  savedAt: new Date(NOW - hoursAgo * HOUR).toISOString(),
  label,
})

describe('versions are thinned out', () => {
  it('all of the last hour stay, then one an hour, a day, a week', () => {
    const list = [
      version(1, 24 * 50),
      version(2, 24 * 49.9),
      version(3, 24 * 10 + 2),
      version(4, 24 * 10 + 1),
      version(5, 5.4),
      version(6, 5.3),
      version(7, 0.9),
      version(8, 0.8),
      version(9, 0.1),
    ]
    expect(thinnedOut(list, NOW).sort((a, b) => a - b)).toEqual([1, 3, 5])
  })

  it('what has a name stays, and the newest, however old', () => {
    expect(thinnedOut([version(1, 5.4, 'before the fair'), version(2, 5.3)], NOW)).toEqual([])
    expect(thinnedOut([version(1, 9000), version(2, 8999.9)], NOW)).toEqual([1])
  })

  it('never the newest, never one with a name, never of the last hour; and thinning again changes nothing', () => {
    const any = fc.array(
      fc.tuple(fc.double({ min: 0, max: 5000, noNaN: true }), fc.option(fc.constant('kept'), { freq: 6 })),
      { minLength: 1, maxLength: 60 },
    )
    fc.assert(
      fc.property(any, raw => {
        const list = [...raw].sort((a, b) => b[0] - a[0]).map(([ago, label], i) => version(i + 1, ago, label))
        const going = new Set(thinnedOut(list, NOW))
        const staying = list.filter(v => !going.has(v.version))
        expect(going.has(list.length)).toBe(false)
        for (const v of list)
          if (v.label !== null || NOW - Date.parse(v.savedAt) < HOUR) expect(going.has(v.version)).toBe(false)
        expect(thinnedOut(staying, NOW)).toEqual([])
      }),
    )
  })

  it('in the database: only those go', () => {
    const { db, looks, revisions } = openHouse(':memory:')
    const look = freshLook('a', 'A')
    looks.create(look, version(1, 5.5).savedAt)
    for (const [n, ago] of [5.4, 5.3, 0.2].entries())
      looks.save({ ...look, name: `A${n}` }, n + 1, version(0, ago).savedAt)
    revisions.label('a', 1, 'first idea')
    expect(revisions.several()).toEqual(['a'])
    expect(revisions.thin('a', NOW)).toBe(1)
    expect(revisions.list('a').map(r => [r.version, r.label])).toEqual([
      [4, null],
      [3, null],
      [1, 'first idea'],
    ])
    expect(revisions.label('a', 2, 'gone')).toBe(false)
    db.close()
  })
})
