import { expect, test } from './site'

const svg = (body: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="60mm" viewBox="0 0 100 60">${body}</svg>`

test.describe('bad input gets a sentence and changes nothing', () => {
  const sheets: [string, string, number, RegExp][] = [
    ['not SVG', '<html/>', 422, /not an SVG/],
    ['neither SVG nor DXF', 'hello', 422, /neither an SVG nor a DXF/],
    [
      'no size',
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><rect width="5" height="5"/></svg>',
      422,
      /no real size/,
    ],
    ['no opening', svg('<text>x</text>'), 422, /no opening/],
    ['a size that is no number', svg('<circle cx="5" cy="5" r="NaN"/>'), 422, /not a number/],
    ['a negative size', svg('<circle cx="5" cy="5" r="-2"/>'), 422, /negative/],
    ['200,000 points', svg(`<path d="M0 0${'l.1 .1'.repeat(200_000)}z"/>`), 422, /more than 120,000 points/],
    ['50 MB', 'x'.repeat(50 * 1024 * 1024), 413, /50 MB; files of up to 8 MB/],
  ]
  for (const [name, data, status, sentence] of sheets) {
    test(`stencil: ${name}`, async ({ request }) => {
      const count = async () => (await (await request.get('/api/stencils')).json()).length
      const before = await count()
      const answer = await request.post('/api/stencils', {
        data: { file: data, about: { name: 'Bad', kind: 'motif' } },
      })
      expect(answer.status()).toBe(status)
      expect((await answer.json()).message).toMatch(sentence)
      expect(await count()).toBe(before)
    })
  }

  test('looks: damaged, unknown fields, stencils that are not there, no version named', async ({
    request,
  }) => {
    const { look } = await (await request.get('/api/looks/plain-tide-queen')).json()
    const post = async (data: unknown) => {
      const answer = await request.post('/api/looks', {
        data: Buffer.from(typeof data === 'string' ? data : JSON.stringify(data)),
        headers: { 'content-type': 'application/json' },
      })
      return [answer.status(), (await answer.json()).message]
    }
    // Pictures may come in meanwhile.
    const kept = async () =>
      ((await (await request.get('/api/looks')).json()) as Record<string, unknown>[]).map(l => [
        l.id,
        l.version,
        l.name,
        l.savedAt,
      ])
    const before = await kept()
    expect(await post('{"format":')).toEqual([400, expect.stringMatching(/not JSON/)])
    expect(await post({ ...look, mood: 'calm' })).toEqual([
      422,
      expect.stringMatching(/unknown field "mood"/),
    ])
    const steps = structuredClone(look.steps)
    steps[1].stencil = 'no-such-sheet'
    expect(await post({ ...look, steps })).toEqual([
      422,
      expect.stringMatching(/"no-such-sheet", which is not in the drawer/),
    ])
    steps[1].at = [1e9, 0]
    expect(await post({ ...look, steps })).toEqual([422, expect.stringMatching(/Step 2 .*at most 400/)])
    expect((await request.put(`/api/looks/${look.id}`, { data: { look } })).status()).toBe(400)
    expect((await request.get('/api/looks/none')).status()).toBe(404)
    expect((await request.get('/api/looks/plain-tide-queen/picture.png?px=NaN')).status()).toBe(400)
    expect(await kept()).toEqual(before)
  })

  test('a page that names no look says so', async ({ page }) => {
    await page.goto('/looks/none')
    await expect(page.getByRole('heading', { name: 'could not be opened' })).toBeVisible()
    await expect(page.getByText('There is no such look')).toBeVisible()
  })
})

test('an SVG that was taken in becomes a stencil of its true size', async ({ request }) => {
  const answer = await request.post('/api/stencils', {
    data: {
      file: svg('<circle cx="30" cy="30" r="10"/><circle cx="60" cy="30" r="5"/><script>1</script>'),
      about: { name: 'Two discs', kind: 'motif' },
    },
  })
  expect(answer.status()).toBe(201)
  const { stencil } = await answer.json()
  expect([stencil.name, stencil.width, stencil.height, stencil.analysis.bridge]).toEqual([
    'Two discs',
    100,
    60,
    15,
  ])
  const drawn = await (await request.get(`/api/stencils/${stencil.id}/picture.svg`)).text()
  expect(drawn.match(/<path/g)).toHaveLength(3)
  expect(drawn).not.toContain('script')
})

test("another site's page, or another name of the server, is refused", async ({ request, baseURL }) => {
  const foreign = await request.post('/api/looks', {
    data: '{}',
    headers: { origin: 'http://elsewhere.example' },
  })
  expect([foreign.status(), (await foreign.json()).message]).toEqual([
    403,
    expect.stringMatching(/another site/),
  ])
  const renamed = await request.get('/api/looks', { headers: { host: 'rebound.example' } })
  expect(renamed.status()).toBe(403)
  const own = await request.get('/api/looks', { headers: { origin: baseURL! } })
  expect(own.status()).toBe(200)
  expect(own.headers()['x-content-type-options']).toBe('nosniff')
})
