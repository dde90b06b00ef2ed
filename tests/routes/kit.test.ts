import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Routes } from './ask'
import { untried } from './every'

const site = new Routes(4632)
beforeAll(() => site.begin('looks'), 60_000)
afterAll(() => site.end())

const PAINT = {
  name: 'Marsh Red',
  finish: 'matte',
  colour: '#b7202b',
  overBlack: '#a01820',
  overWhite: '#c02a34',
  measured: false,
  strips: [],
  eyeSafe: null,
  lipSafe: null,
  openedOn: null,
  months: 24,
  grams: 20,
  cakeGrams: 30,
  price: null,
}
const names = async (): Promise<string[]> =>
  (await site.get('/api/paints')).json.map((p: { name: string }) => p.name)

describe('a paint', () => {
  it('is made, changed, taken out and put back under its id', async () => {
    const made = await site.post('/api/paints', PAINT)
    expect(made.status).toBe(201)
    const at = `/api/paints/${made.json.id}`
    expect((await site.put(at, { ...PAINT, name: 'Other' })).json.name).toBe('Other')
    expect(await names()).toContain('Other')
    expect((await site.delete(at)).json).toEqual({ removed: true })
    expect((await site.delete(at)).status).toBe(404)
    expect((await site.put(at, PAINT)).status).toBe(404)
    expect((await site.put(`${at}?back`, PAINT)).json.id).toBe(made.json.id)
    expect(await names()).toContain('Marsh Red')
  })

  it.each([
    { name: '' },
    { name: 'x'.repeat(81) },
    { name: '\u202Egnp' },
    { colour: 'red' },
    { overBlack: '#ffffff', overWhite: '#000000' },
    { overBlack: null, overWhite: 7 },
    { finish: 'shiny' },
    { months: 0 },
    { grams: -1 },
    { openedOn: 'yesterday' },
    { strips: [{ colour: '#112233', width: 6, name: 'one' }] },
    { more: true },
  ])('that cannot be is refused with a sentence: %o', async wrong => {
    const before = await names()
    const answer = await site.post('/api/paints', { ...PAINT, ...wrong })
    expect([answer.status, answer.json.message]).toEqual([422, expect.stringMatching(/\.$/)])
    expect(await names()).toEqual(before)
  })

  it('cannot have an id of other letters, or one that is far too long', async () => {
    for (const id of ['%3Cb%3E', 'a'.repeat(8000), '__proto__%20'])
      expect(
        (await site.put(`/api/paints/${id}?back`, PAINT)).status,
        id.slice(0, 20),
      ).toBeGreaterThanOrEqual(400)
    expect(await names()).not.toContain('<b>')
  })

  it('tells in which looks it is, and is read by the simulated reader', async () => {
    expect((await site.get('/api/paints/soot/looks')).json.length).toBeGreaterThan(1)
    expect((await site.get('/api/paints/none/looks')).json).toEqual([])
    const read = (await site.get('/api/paints/soot/reading?n=2')).json
    expect(read.overBlack).toMatch(/^#[0-9a-f]{6}$/)
    expect((await site.get('/api/paints/soot/reading?n=half')).status).toBe(400)
    expect((await site.get('/api/paints/none/reading')).status).toBe(404)
  })

  it('is changed with others at once, or none of them is', async () => {
    const all = (await site.get('/api/paints')).json as { id: string; grams: number }[]
    const two = all.slice(0, 2).map(p => ({ ...p, grams: 7 }))
    expect((await site.put('/api/paints', two)).json.map((p: { grams: number }) => p.grams)).toEqual([7, 7])
    const gone = await site.put('/api/paints', [
      { ...two[0]!, grams: 9 },
      { ...PAINT, id: 'none' },
    ])
    expect([gone.status, gone.json.message]).toEqual([404, expect.stringMatching(/none was changed/)])
    expect((await site.get('/api/paints')).json[0].grams).toBe(7)
    expect((await site.put('/api/paints', [{ ...two[0]!, grams: -9 }])).status).toBe(422)
    expect((await site.put('/api/paints', 'x')).status).toBe(400)
  })

  it('leaves with all others as a palette', async () => {
    expect((await site.get('/api/paints/palette?as=gpl')).text).toMatch(/^GIMP Palette/)
    expect((await site.get('/api/paints/palette?as=csv')).text).toMatch(/^name,/)
  })

  it('that is a cake to be made takes what was cut from its cakes, once', async () => {
    const cake = (await site.get('/api/paints')).json.find((p: { toMake?: object }) => p.toMake)
    const changed = await site.post(`/api/paints/${cake.id}/made`)
    expect(changed.json.some((p: { id: string; toMake?: object }) => p.id === cake.id && !p.toMake)).toBe(
      true,
    )
    expect((await site.post(`/api/paints/${cake.id}/made`)).status).toBe(409)
    expect((await site.post('/api/paints/none/made')).status).toBe(404)
  })
})

describe('readings', () => {
  it.each([
    ['edges', { tool: 'dauber', wetness: 'damp', bridge: 1.5 }, { bridge: 90 }],
    ['tools', { tool: 'makeup', measure: 'capacity', value: 200 }, { value: 1e300 }],
  ] as const)('of %s are taken, refused and taken back', async (of, reading, wrong) => {
    const taken = await site.post(`/api/readings/${of}`, reading)
    expect(taken.status).toBe(201)
    const [kept] = taken.json[of]
    expect(kept).toMatchObject(reading)
    expect((await site.post(`/api/readings/${of}`, { ...reading, ...wrong })).status).toBe(422)
    expect((await site.post(`/api/readings/${of}`, { ...reading, tool: 'spoon' })).status).toBe(422)
    expect((await site.delete(`/api/readings/${of}/${kept.id}`)).json[of]).toEqual([])
    for (const id of [kept.id, 'x', '1e300'])
      expect((await site.delete(`/api/readings/${of}/${id}`)).status).toBe(404)
    expect((await site.get('/api/readings')).json[of]).toEqual([])
  })

  it('begin with a ladder, as a file or on paper', async () => {
    expect((await site.get('/api/ladder/svg')).text).toMatch(/^<svg/)
    expect((await site.get('/api/ladder/dxf')).text).toMatch(/SECTION/)
    expect((await site.get('/api/ladder/pdf')).bytes.subarray(0, 4).toString()).toBe('%PDF')
    expect((await site.get('/api/ladder/png')).status).toBe(404)
  })
})

describe('what is set once', () => {
  const room = { temperature: 25, humidity: 0.4, air: 'fan' }
  const gem = { name: 'Drop', colour: '#aa2233', cut: 'round', size: 3 }
  it.each([
    ['ways', { lidsFrom: 8, tool: 'makeup' }, { tool: 'broom' }],
    ['sparkles', { glitters: [], gems: [gem] }, { glitters: [], gems: [{ ...gem, size: 1e6 }] }],
    ['settings/room', room, { ...room, temperature: 300 }],
    ['settings/cakes', [{ id: 'c', name: 'Cake', strips: [] }], [{ id: '<b>', name: 'Cake', strips: [] }]],
  ])('%s is kept as it was sent, and refused where it cannot be', async (what, good, bad) => {
    const at = `/api/${what}`
    expect((await site.put(at, good)).status).toBe(200)
    expect((await site.get(at)).json).toEqual(good)
    for (const sent of [bad, null, 7, 'x'.repeat(400_000)]) {
      const refused = await site.put(at, sent)
      expect(refused.status, String(sent).slice(0, 20)).toBeGreaterThanOrEqual(400)
      expect(refused.status).toBeLessThan(500)
      expect(refused.json.message).toMatch(/\.$/)
    }
    expect((await site.get(at)).json).toEqual(good)
  })

  it('the sensor of the room is a simulated one, and says so', async () => {
    expect((await site.get('/api/room')).json).toMatchObject({
      simulated: true,
      temperature: expect.any(Number),
    })
  })
})

it('every route was asked well, and badly where it can refuse', () => {
  const never = [
    'paints',
    'paints/palette',
    'paints/[id]/looks',
    'readings',
    'room',
    'ways',
    'sparkles',
    'settings/room',
    'settings/cakes',
  ]
  const mine = ['paints', 'readings', 'ladder', 'ways', 'sparkles', 'settings', 'room']
  expect(
    untried(
      site,
      mine,
      never.map(p => `GET /api/${p}`),
    ),
  ).toEqual([])
})
