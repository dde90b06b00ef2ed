import { readdirSync, renameSync, rmSync } from 'node:fs'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Routes } from './ask'
import { groups, untried } from './every'

const site = new Routes(4635)
beforeAll(() => site.begin('looks'), 60_000)
afterAll(() => site.end())

const LOOK = '/api/looks/plain-fern-stag'

describe('who may ask', () => {
  const status = async (path: string, headers: Record<string, string>) =>
    (await site.get(path, headers)).status
  it('is nobody but the own pages: no other site, and under no other name', async () => {
    for (const from of ['cross-site', 'same-site'])
      for (const path of [`${LOOK}/card.png`, '/mark.svg'])
        expect(await status(path, { 'sec-fetch-site': from, 'sec-fetch-mode': 'no-cors' }), path).toBe(403)
    const foreign = await site.ask('POST', '/api/looks', '{}', { origin: 'http://elsewhere.example' })
    expect([foreign.status, foreign.json.message]).toEqual([403, expect.stringMatching(/another site/)])
    for (const host of ['rebound.example', '127.0.0.1.example', '10.0.0.1:4600'])
      expect(await status('/api/looks', { host }), host).toBeGreaterThanOrEqual(400)
    expect(await status('/api/looks', { origin: site.address })).toBe(200)
    const link = {
      'sec-fetch-site': 'cross-site',
      'sec-fetch-mode': 'navigate',
      'sec-fetch-dest': 'document',
    }
    expect(await status('/', link)).toBe(200)
    expect(await status('/api/looks', link)).toBe(403)
  })

  it('is told what a page may do, with every answer', async () => {
    for (const path of ['/', '/mark.svg', LOOK, '/api/none']) {
      const { headers } = await site.get(path)
      expect(headers['x-content-type-options'], path).toBe('nosniff')
      expect(headers['cross-origin-resource-policy'], path).toBe('same-origin')
      expect(headers['cross-origin-opener-policy'], path).toBe('same-origin')
      expect(headers['content-security-policy'], path).toMatch(/script-src 'self'/)
      expect(headers['content-security-policy'], path).not.toMatch(/script-src[^;]*unsafe/)
    }
  })

  it('asks for what there is: other addresses and methods are refused as JSON', async () => {
    const refused: [method: string, path: string, status: number][] = [
      ['GET', '/api/nothing', 404],
      ['GET', '/api/looks/x/y/z', 404],
      ['PATCH', '/api/looks', 405],
      ['DELETE', '/api/paints', 405],
    ]
    for (const [method, path, expected] of refused) {
      const answer = await site.ask(method, path, {})
      expect([answer.status, answer.json.message], path).toEqual([expected, expect.stringMatching(/\.$/)])
    }
  })

  it('gets the list of the files that open without the server, each with what is in it', async () => {
    const { text } = await site.get('/offline.js')
    const files = [...text.matchAll(/url:"([^"]+)",revision:"([0-9a-f]{16})"/g)]
    expect(files.length).toBeGreaterThan(20)
    expect(text.match(/url:"/g)).toHaveLength(files.length)
  })
})

describe('the house', () => {
  it('tells where it is and that nothing is wrong', async () => {
    expect((await site.get('/api/house')).json).toMatchObject({
      folder: site.data,
      trouble: null,
      damaged: [],
      changed: [],
    })
  })

  it('is backed up into one file, and brought back from it, and from one that is sent', async () => {
    const made = await site.post('/api/house/backups')
    const { name } = made.json.find((b: { kind: string }) => b.kind === 'by-hand')
    const file = await site.get(`/api/house/backups/${name}`)
    expect(file.bytes.subarray(0, 2).toString()).toBe('PK')
    for (const other of ['none', '..%2Fjanusform.db', 'by-hand-2026-01-01-000000.zip'])
      expect((await site.get(`/api/house/backups/${other}`)).status, other).toBe(404)
    await site.delete(LOOK)
    expect((await site.post(`/api/house/restore?name=${name}`)).json.looks).toBeGreaterThan(5)
    expect((await site.get(LOOK)).status).toBe(200)
    await site.delete(LOOK)
    expect((await site.post('/api/house/restore', file.bytes)).status).toBe(200)
    expect((await site.get(LOOK)).status).toBe(200)
    expect((await site.get('/api/house')).json.earlier).toHaveLength(2)
  })

  it('takes nothing for a backup that is none, and leaves nothing behind', async () => {
    for (const sent of ['', 'hello', Buffer.from('PK\u0003\u0004'), Buffer.alloc(100_000, 7)]) {
      const refused = await site.post('/api/house/restore', sent)
      expect([refused.status, refused.json.message]).toEqual([
        422,
        expect.stringMatching(/no backup of Janusform/),
      ])
    }
    expect((await site.post('/api/house/restore?name=none')).status).toBe(404)
    expect(readdirSync(site.data).filter(name => /\.tmp/.test(name))).toEqual([])
    expect((await site.get(LOOK)).status).toBe(200)
  })

  it('gets what is missing of the demo, once', async () => {
    const added = (await site.post('/api/house/demo')).json
    expect(added).toMatchObject({ stencils: 0 })
    expect(added.looks).toBeGreaterThan(20)
    expect((await site.post('/api/house/demo')).json).toEqual({ stencils: 0, paints: 0, looks: 0 })
  })

  it('acknowledges nothing while its folder is away, makes no other, and goes on when it is back', async () => {
    const { look, version } = (await site.get(LOOK)).json
    const save = () => site.put(LOOK, { base: version, look: { ...look, name: 'Moved' } })
    renameSync(site.data, `${site.data}-away`)
    try {
      for (let n = 0; n < 3; n++) {
        const answer = await save()
        expect([answer.status, answer.json.message]).toEqual([
          503,
          expect.stringMatching(/moved, deleted or replaced/),
        ])
      }
      expect((await site.get('/api/looks')).status).toBe(503)
    } finally {
      rmSync(site.data, { recursive: true, force: true })
      renameSync(`${site.data}-away`, site.data)
    }
    expect((await site.get(LOOK)).json.look.name).toBe(look.name)
    expect((await save()).status).toBe(200)
  })
})

it('every route was asked well, and badly where it can refuse', () => {
  const never = ['GET /api/house', 'POST /api/house/backups', 'POST /api/house/demo']
  expect(untried(site, ['house'], never)).toEqual([])
})

it('the routes of every folder are tried in a file', () => {
  const tried = [
    'house',
    'looks',
    'paints',
    'readings',
    'ladder',
    'ways',
    'sparkles',
    'settings',
    'room',
    'stencils',
    'runs',
  ]
  expect(groups()).toEqual(tried.sort())
})
