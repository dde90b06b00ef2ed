import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Routes } from './ask'
import { untried } from './every'

const site = new Routes(4631)
beforeAll(() => site.begin('looks'), 60_000)
afterAll(() => site.end())

const ID = 'plain-fern-stag'
const path = `/api/looks/${ID}`
let made = 0
/** A new look, made of one that is there. */
async function fresh() {
  const { look } = (await site.get(path)).json
  const answer = await site.post('/api/looks', {
    ...look,
    id: `new-${made++}`,
    name: 'New',
    family: undefined,
  })
  expect(answer.status).toBe(201)
  return answer.json as { look: { id: string; name: string }; version: number }
}

describe('the gallery', () => {
  it('tells of every look what its card shows, and of some when they are asked for', async () => {
    const { json } = await site.get('/api/looks')
    const fern = json.find((l: { id: string }) => l.id === ID)
    expect(fern).toMatchObject({ version: 1, damaged: false, awaits: false, canvas: 'face' })
    expect(fern.seconds).toBeGreaterThan(30)
    const cards = await site.get(`/api/looks/cards?ids=${ID},none,`)
    expect(cards.json).toEqual([fern])
    expect((await site.get('/api/looks/cards')).json).toEqual([])
  })

  it('gives pictures that are kept by their address, and not twice', async () => {
    const { picture } = (await site.get(`/api/looks/cards?ids=${ID}`)).json[0]
    const card = await site.get(`${path}/card.png?key=${picture}`)
    expect(card.bytes.subarray(1, 4).toString()).toBe('PNG')
    expect(card.headers['cache-control']).toMatch(/immutable/)
    expect((await site.get(`${path}/card.png?key=old`)).headers['cache-control']).toBe('no-cache')
    expect((await site.get(`${path}/card.png`, { 'if-none-match': card.headers.etag! })).status).toBe(304)
    expect((await site.get('/api/looks/none/card.png')).status).toBe(404)
  })

  it('knows what the newest looks have by habit', async () => {
    expect((await site.get('/api/looks/habits')).json).toBeTypeOf('object')
  })
})

describe('a look', () => {
  it('is taken in, and gets a new id where its own is in use', async () => {
    const { look } = (await site.get(path)).json
    const again = await site.post('/api/looks', look)
    expect(again.status).toBe(201)
    expect(again.json.look.id).not.toBe(ID)
    const unseen = await site.post('/api/looks', { ...look, id: 'unseen', name: ' \u202Egnp\u0007 ' })
    expect(unseen.json.look.name).toBe('gnp')
  })

  it.each([
    ['{"format":', 400, /not JSON/],
    [{ format: 'janusform-look' }, 422, /\.$/],
    [null, 422, /\.$/],
    [[], 422, /\.$/],
    ['x'.repeat(9 * 1024 * 1024), 413, /is 9 MB; files of up to 8 MB/],
  ])('that is none is refused: %#', async (sent, status, sentence) => {
    const before = (await site.get('/api/looks')).json.length
    const answer = await site.post('/api/looks', sent)
    expect([answer.status, answer.json.message]).toEqual([status, expect.stringMatching(sentence)])
    expect((await site.get('/api/looks')).json).toHaveLength(before)
  })

  it('with what is unknown, missing or out of bounds is refused, and says which', async () => {
    const { look } = (await site.get('/api/looks/plain-tide-queen')).json
    const refused = async (changed: object) =>
      (await site.post('/api/looks', { ...look, ...changed })).json.message
    expect(await refused({ mood: 'calm' })).toMatch(/unknown field "mood"/)
    const steps = structuredClone(look.steps)
    steps[1].stencil = 'no-such-sheet'
    expect(await refused({ steps })).toMatch(/"no-such-sheet", which is not in the drawer/)
    steps[1].at = [1e9, 0]
    expect(await refused({ steps })).toMatch(/Step 2 .*at most 400/)
  })

  it('is saved over its version; a stale save gets the newer one, a repeated one is done', async () => {
    const { look, version } = await fresh()
    const at = `/api/looks/${look.id}`
    const one = await site.put(at, { base: version, look: { ...look, name: 'One' } })
    expect(one.json).toMatchObject({ version: version + 1 })
    expect((await site.put(at, { base: version, look: { ...look, name: 'One' } })).json.version).toBe(
      version + 1,
    )
    const stale = await site.put(at, { base: version, look: { ...look, name: 'Two' } })
    expect(stale.status).toBe(409)
    expect(stale.json.data.theirs).toMatchObject({ version: version + 1, look: { name: 'One' } })
    for (const base of [undefined, 0, 1.5, '1', null])
      expect((await site.put(at, { base, look })).status, String(base)).toBe(400)
    expect((await site.put('/api/looks/other', { base: 1, look })).json.message).toMatch(/another one/)
    expect((await site.put('/api/looks/none', { base: 1, look: { ...look, id: 'none' } })).status).toBe(404)
  })

  it('is deleted and brought back; one on which nothing was done is forgotten', async () => {
    const { look } = await fresh()
    const at = `/api/looks/${look.id}`
    // It has steps: it is not forgotten.
    expect((await site.delete(`${at}?untouched`)).json).toEqual({ removed: false })
    expect((await site.delete(at)).json).toEqual({ removed: true })
    expect((await site.delete(at)).status).toBe(404)
    expect((await site.get(at)).status).toBe(404)
    expect((await site.get('/api/looks/deleted')).json[0]).toMatchObject({ id: look.id })
    expect((await site.post(`${at}/restore`)).json.look.id).toBe(look.id)
    expect((await site.post(`${at}/restore`)).status).toBe(404)
    expect((await site.get(at)).json.look.name).toBe('New')
  })

  it('leaves as a file that comes in again, and as a drawing at true size', async () => {
    const file = await site.get(`${path}/export.json`)
    expect(file.headers['content-disposition']).toMatch(/\.janusform-look\.json"$/)
    expect((await site.post('/api/looks', file.text)).status).toBe(201)
    const svg = await site.get(`${path}/export.svg`)
    expect(svg.text).toMatch(/^<svg[^>]*width="[\d.]+mm"/)
    for (const what of ['export.json', 'export.svg', 'picture.png', ''])
      expect((await site.get(`/api/looks/none/${what}`)).status, what).toBe(404)
  })

  it('is painted as finely as is asked for', async () => {
    const coarse = await site.get(`${path}/picture.png?px=0.5`)
    expect(coarse.bytes.subarray(1, 4).toString()).toBe('PNG')
    expect(
      (await site.get(`${path}/picture.png?px=0.5`, { 'if-none-match': coarse.headers.etag! })).status,
    ).toBe(304)
    for (const px of ['NaN', '0', '13', 'x', '1e300'])
      expect((await site.get(`${path}/picture.png?px=${px}`)).status, px).toBe(400)
  })
})

describe('the versions of a look', () => {
  it('are listed, opened, pictured and named', async () => {
    const { look, version } = await fresh()
    const at = `/api/looks/${look.id}/revisions`
    await site.put(`/api/looks/${look.id}`, { base: version, look: { ...look, name: 'Later' } })
    expect((await site.get(at)).json.map((v: { version: number }) => v.version)).toEqual([2, 1])
    expect((await site.get(`${at}/1`)).json.look.name).toBe('New')
    expect((await site.get(`${at}/1/picture.png`)).bytes.subarray(1, 4).toString()).toBe('PNG')
    expect((await site.put(`${at}/1/label`, { label: ' first ' })).json[1].label).toBe('first')
    expect((await site.put(`${at}/1/label`, { label: null })).json[1].label).toBeNull()
    for (const label of ['', 7, 'x'.repeat(61)])
      expect((await site.put(`${at}/1/label`, { label })).status).toBe(422)
    expect((await site.put(`${at}/9/label`, { label: 'x' })).status).toBe(404)
    for (const version of ['9', 'x', '1e300'])
      for (const what of ['', '/picture.png'])
        expect((await site.get(`${at}/${version}${what}`)).status, version + what).toBe(404)
    expect((await site.get('/api/looks/none/revisions')).status).toBe(404)
  })
})

describe('tries of a look', () => {
  it('are a family, of which one is the look', async () => {
    const { look } = await fresh()
    const at = `/api/looks/${look.id}`
    const tried = await site.post(`${at}/tries`, { why: ' bolder ', begins: { wipe: 'nothing' } })
    expect([tried.status, tried.json.look.family]).toMatchObject([
      201,
      { letter: 'B', why: 'bolder', kept: false },
    ])
    const family = await site.get(`${at}/family`)
    expect(
      family.json.map((r: { look: { family?: { letter: string } } }) => r.look.family?.letter ?? 'A'),
    ).toEqual(['A', 'B'])
    const kept = await site.post(`/api/looks/${tried.json.look.id}/keep`)
    expect(kept.json.map((r: { look: { family: { kept: boolean } } }) => r.look.family.kept)).toEqual([
      false,
      true,
    ])
    for (const sent of [
      {},
      { why: 'x', begins: { wipe: 'half' } },
      { why: 'x', begins: { wipe: 'step', step: 'no' } },
    ])
      expect((await site.post(`${at}/tries`, sent)).status).toBe(422)
    for (const what of ['tries', 'keep'])
      expect((await site.post(`/api/looks/none/${what}`, {})).status).toBe(404)
    expect((await site.get('/api/looks/none/family')).status).toBe(404)
  })
})

it('every route was asked well, and badly where it can refuse', () => {
  const never = ['/api/looks', '/api/looks/cards', '/api/looks/deleted', '/api/looks/habits'].map(
    p => `GET ${p}`,
  )
  expect(untried(site, ['looks'], never)).toEqual([])
})
