import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { hostileTables } from '../hostileFields'
import { Routes } from './ask'
import { untried } from './every'

const site = new Routes(4634)
beforeAll(() => site.begin('looks'), 60_000)
afterAll(() => site.end())

const run = (id: string, more: object = {}) => ({
  format: 'janusform-run',
  version: 1,
  id,
  look: { id: null, name: 'Moth', version: null },
  length: 'whole',
  device: 'phone',
  typed: false,
  startedAt: '2026-05-01T10:00:00.000Z',
  endedAt: '2026-05-01T10:05:00.000Z',
  ticket: '12',
  room: null,
  planned: 300,
  seconds: 290,
  paused: 0,
  note: '',
  steps: [],
  ...more,
})
const put = (id: string, more: object = {}, sent?: unknown) =>
  site.put(`/api/runs/${id}`, { run: run(id, more), sent })
const found = async (id: string) =>
  ((await site.get('/api/runs')).json as { run: { id: string; note: string } }[]).find(r => r.run.id === id)
    ?.run

describe('a run', () => {
  it('is kept once however often it is sent, and an older one never replaces a newer one', async () => {
    expect((await put('a', { note: 'two' }, 2)).json).toMatchObject({
      what: 'kept',
      sent: 2,
      lookGone: false,
    })
    expect((await put('a', { note: 'two' }, 2)).json.what).toBe('kept')
    expect((await put('a', { note: 'one' }, 1)).json).toMatchObject({ what: 'older', sent: 2 })
    // Of two with one count, that differ, the second is to be sent as newer.
    expect((await put('a', { note: 'other' }, 2)).json.what).toBe('older')
    expect((await found('a'))!.note).toBe('two')
    // One without a count comes after all that was sent.
    expect((await put('a', { note: 'typed' })).json.sent).toBe(3)
  })

  it.each([1e300, 2 ** 63, -5, 0, 1.5, '2', {}, true])('with %s as its count is refused', async sent => {
    const answer = await put('b', {}, sent)
    expect([answer.status, answer.json.message]).toEqual([422, expect.stringMatching(/whole number from 1/)])
    expect(await found('b')).toBeUndefined()
  })

  it('that is none, or of another id, is refused', async () => {
    for (const sent of [null, [], {}, { run: null }, { run: run('x', { seconds: -1 }), sent: 1 }])
      expect((await site.put('/api/runs/x', sent)).status).toBe(422)
    expect((await site.put('/api/runs/y', { run: run('x'), sent: 1 })).json.message).toMatch(/another id/)
  })

  it('holds no letters that nobody sees in what stands on one line', async () => {
    await put('c', { ticket: '1\u202E2', look: { id: null, name: 'Mo\u0007th', version: null } }, 1)
    expect(await found('c')).toMatchObject({ ticket: '12', look: { name: 'Moth' } })
  })

  it('hears of another device on which the same look is being painted', async () => {
    const look = { id: 'plain-fern-stag', name: 'Fern', version: 1 }
    await put('d', { look, endedAt: null, device: 'one' }, 1)
    const other = await put('e', { look, endedAt: null, device: 'two' }, 1)
    expect(other.json.elsewhere).toHaveLength(1)
    const gone = await put('f', { look: { ...look, id: 'none' }, endedAt: null }, 1)
    expect(gone.json.lookGone).toBe(true)
  })

  it('keeps a picture, and lets go of it', async () => {
    await put('g', {}, 1)
    const at = '/api/runs/g/picture'
    expect((await site.get(at)).status).toBe(404)
    const png = Buffer.from([0x89, 0x50, 0x4e, 0x47, 1, 2])
    expect((await site.put(at, png)).json).toEqual({ kept: true })
    const picture = await site.get(at)
    expect([picture.headers['content-type'], picture.bytes]).toEqual(['image/png', png])
    expect((await site.put(at, Buffer.from('hello'))).status).toBe(422)
    expect((await site.put(at, Buffer.concat([png, Buffer.alloc(1_600_000)]))).status).toBe(413)
    expect((await site.put('/api/runs/none/picture', png)).status).toBe(404)
    expect((await site.put(at, Buffer.alloc(0))).json).toEqual({ kept: false })
    expect((await site.get(at)).status).toBe(404)
  })

  it('is deleted and brought back, and sent meanwhile it stays deleted', async () => {
    await put('h', {}, 1)
    expect((await site.delete('/api/runs/h')).json).toEqual({ removed: true })
    expect((await site.delete('/api/runs/h')).status).toBe(404)
    expect((await put('h', {}, 5)).json.what).toBe('deleted')
    expect((await site.post('/api/runs/h/restore')).json.run.id).toBe('h')
    expect((await site.post('/api/runs/none/restore')).status).toBe(404)
  })
})

describe('the log', () => {
  it.each(['json', 'csv'])('leaves as %s and comes in again, and what is there stays', async as => {
    const before = (await site.get('/api/runs')).json.length
    const file = await site.get(`/api/runs/export.${as}`)
    expect(file.headers['content-disposition']).toMatch(new RegExp(`\\.${as}"$`))
    const again = await site.post('/api/runs', file.text)
    expect([again.status, again.json]).toEqual([201, { taken: 0, known: before }])
    expect((await site.get('/api/runs')).json).toHaveLength(before)
  })

  it('takes in no file that is none, in a sentence, while others are served', async () => {
    for (const { name, file } of hostileTables(0.3)) {
      const sent = site.post('/api/runs', file)
      expect((await site.get('/api/paints')).status, name).toBe(200)
      const answer = await sent
      expect([400, 422], name).toContain(answer.status)
      expect(answer.json.message, name).toMatch(/\.$/)
    }
  })
})

it('every route was asked well, and badly where it can refuse', () => {
  const never = ['GET /api/runs', 'GET /api/runs/export.csv', 'GET /api/runs/export.json']
  expect(untried(site, ['runs'], never)).toEqual([])
})
