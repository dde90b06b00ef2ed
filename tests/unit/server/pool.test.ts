import { pathToFileURL } from 'node:url'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { freshLook, type Look } from '#core/look'
import { openHouse, type House } from '../../../server/db/house'
import { PaintAhead, pictureKeys } from '../../../server/pool/paintAhead'
import { jobs } from '../../../server/pool/jobs'
import { Pool } from '../../../server/pool/pool'
import * as worker from '../../../server/pool/worker'
import type { LookSent } from '../../../server/pool/worldSent'
import { workerOfSources } from '../../../scripts/worker.mjs'
import { paints } from '../../../demo/paints'
import { hostileFiles } from '../../hostile'

const AT = '2026-05-01T10:00:00.000Z'
let house: House
beforeEach(() => {
  house = openHouse(':memory:')
})
const keyOf = (look: Look, renderer = 'r1'): string => {
  if (!house.looks.knows(look.id)) house.looks.create(look, AT)
  else house.looks.save(look, house.looks.find(look.id)!.version, AT)
  return pictureKeys(house, renderer)(house.looks.listed(look.id)!)
}

describe('a worker thread', () => {
  it('has a function for every job', () => {
    expect(Object.keys(worker).sort()).toEqual(Object.keys(jobs).sort())
  })
})

describe('the key of a picture', () => {
  const look = freshLook('a', 'A')
  it('follows what is painted, and not what the look is called', () => {
    const before = keyOf(look)
    expect(keyOf({ ...look, name: 'B', notes: 'x', tags: ['t'] })).toBe(before)
    expect(keyOf({ ...look, skin: { ...look.skin, colour: '#553311' } })).not.toBe(before)
  })
  it('follows the renderer and the tools, and no paint that the look does not use', () => {
    const before = keyOf(look)
    expect(keyOf(look, 'r2')).not.toBe(before)
    house.paints.create(paints[0]!)
    expect(keyOf(look)).toBe(before)
    house.readings.addTool({ tool: 'dauber', measure: 'tip', value: 17 }, AT)
    expect(keyOf(look)).not.toBe(before)
  })
})

/** A pool that paints at once, and tells what it painted. */
function paintingPool(painted: string[], fail: (name: string) => boolean = () => false): Pool {
  const run = async (_job: string, { doc }: LookSent) => {
    const { name } = JSON.parse(doc) as { name: string }
    painted.push(name)
    if (fail(name)) throw new Error('cannot be painted')
    return { png: new Uint8Array([painted.length]), seconds: painted.length }
  }
  return { run } as unknown as Pool
}

describe('pictures painted ahead', () => {
  it('are painted once, the newest look first, and anew only when something changed', async () => {
    const painted: string[] = []
    house.looks.create(freshLook('a', 'Older'), AT)
    house.looks.create(freshLook('b', 'Newer'), '2026-05-02T10:00:00.000Z')
    const told: [number, number][] = []
    const ahead = new PaintAhead(house, paintingPool(painted), 'r1')
    await ahead.now((done, of) => told.push([done, of]))
    expect([painted, told]).toEqual([
      ['Newer', 'Older'],
      [
        [1, 2],
        [2, 2],
      ],
    ])
    await ahead.now()
    // After a restart nothing is painted again; a new renderer paints everything anew.
    await new PaintAhead(house, paintingPool(painted), 'r1').now()
    expect(painted).toHaveLength(2)
    const anew = new PaintAhead(house, paintingPool(painted), 'r2')
    expect(anew.keyed().every(({ look, key }) => anew.awaits(look, key))).toBe(true)
    // Until then the picture before stays.
    expect(house.pictures.find('a')!.png).toEqual(Buffer.from([2]))
    await anew.now()
    expect(painted).toHaveLength(4)
    expect(anew.keyed().some(({ look, key }) => anew.awaits(look, key))).toBe(false)
  })

  it('are kept under the key of what they were painted from, though the kit changes and changes back', async () => {
    house.looks.create(freshLook('a', 'A'), AT)
    house.looks.create(freshLook('b', 'B'), '2026-05-02T10:00:00.000Z')
    const sent: string[] = []
    const run = async (_job: string, look: LookSent) => {
      // While the first is painted a reading is taken; the second is painted with it.
      if (sent.length === 0) house.readings.addTool({ tool: 'dauber', measure: 'tip', value: 17 }, AT)
      sent.push(`${look.readings.tools.length}`)
      return { png: new Uint8Array(1), seconds: look.readings.tools.length }
    }
    const ahead = new PaintAhead(house, { run } as unknown as Pool, 'r1')
    await ahead.now()
    house.readings.remove('tools', house.readings.all().tools[0]!.id)
    await ahead.now()
    expect(house.looks.list().map(l => l.seconds)).toEqual([0, 0])
  })

  it('one that cannot be painted is not tried for ever, and does not hold up the others', async () => {
    const painted: string[] = []
    const ahead = new PaintAhead(
      house,
      paintingPool(painted, name => name === 'Bad'),
      'r1',
    )
    house.looks.create(freshLook('a', 'Good'), AT)
    house.looks.create(freshLook('b', 'Bad'), '2026-05-02T10:00:00.000Z')
    await ahead.now()
    await ahead.now()
    // A few times, since it may only have waited too long.
    expect(painted.filter(name => name === 'Bad')).toHaveLength(3)
    expect(painted).toContain('Good')
    expect(house.looks.listed('b')!.pictureKey).toBeNull()
    // Another version of it is tried again.
    house.looks.save({ ...freshLook('b', 'Bad'), focus: [3, 3] }, 1, AT)
    house.looks.save({ ...freshLook('b', 'Mended'), skin: { ...freshLook('b', '').skin, age: 40 } }, 2, AT)
    await ahead.now()
    expect(painted.at(-1)).toBe('Mended')
  })
})

describe('the worker threads', () => {
  let pool: Pool
  beforeAll(async () => {
    pool = new Pool(pathToFileURL(await workerOfSources()).href)
  })
  afterAll(() => pool.close())
  const sent = (look: Look): LookSent => ({
    doc: JSON.stringify(look),
    sheets: [],
    paints: [],
    readings: { edges: [], tools: [] },
  })

  it('paint a look, and refuse a picture that is too large with a sentence', async () => {
    const look = sent(freshLook('a', 'A'))
    const png = await pool.run('picture', { look, px: 0.5 })
    expect(Buffer.from(png).subarray(1, 4).toString()).toBe('PNG')
    await expect(pool.run('picture', { look, px: 40 })).rejects.toThrow(
      /too large; it can have [\d.]+ px\/mm/,
    )
  })

  it('give up a job whose asker is gone, and go on with the next', async () => {
    const gone = new AbortController()
    const job = pool.run('picture', { look: sent(freshLook('a', 'A')), px: 6 }, gone.signal)
    setTimeout(() => gone.abort(), 60)
    await expect(job).rejects.toMatchObject({ reason: 'given up' })
    await expect(
      pool.run('picture', { look: sent(freshLook('a', 'A')), px: 6 }, gone.signal),
    ).rejects.toThrow()
    expect(await pool.run('ladder', 'svg')).toMatch(/^<svg/)
    expect(
      (await pool.run('picture', { look: sent(freshLook('b', 'B')), px: 0.5 })).byteLength,
    ).toBeGreaterThan(99)
  })

  it('serve short jobs while a long one paints', async () => {
    const ended: string[] = []
    const long = pool
      .run('picture', { look: sent(freshLook('a', 'A')), px: 5 })
      .then(() => ended.push('long'))
    await pool.run('ladder', 'dxf').then(() => ended.push('short'))
    await long
    expect(ended).toEqual(['short', 'long'])
  })

  it('outlive hostile files, and say why each cannot be used', async () => {
    for (const { file } of hostileFiles(0.2))
      await pool.run('readSheet', { file, widthMm: undefined }).catch((error: Error) => {
        expect(error.name).toBe('RangeError')
        expect(error.message).toMatch(/\.$/)
      })
    expect(await pool.run('ladder', 'svg')).toMatch(/^<svg/)
  })
})
