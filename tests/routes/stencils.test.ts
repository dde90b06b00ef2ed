import { PDFDocument } from 'pdf-lib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { hostileFiles, svg } from '../hostile'
import { ofToday } from '../solved'
import { Routes } from './ask'
import { untried } from './every'

const site = new Routes(4633)
beforeAll(() => site.begin('looks'), 60_000)
afterAll(() => site.end())

const count = async (): Promise<number> => (await site.get('/api/stencils')).json.length
const send = (file: unknown, about: object = { name: 'Bad', kind: 'motif' }, more: object = {}) =>
  site.post('/api/stencils', { file, about, ...more })
const discs = svg('<circle cx="30" cy="30" r="10"/><circle cx="60" cy="30" r="5"/><script>1</script>')

describe('a file that is taken in', () => {
  it('becomes a stencil of its true size, measured, and nothing of the file is passed on', async () => {
    const answer = await send(discs, { name: 'Two discs', kind: 'motif' })
    expect(answer.status).toBe(201)
    const { stencil } = answer.json
    expect(stencil).toMatchObject({ name: 'Two discs', width: 100, height: 100, analysis: { bridge: 15 } })
    const drawn = await site.get(`/api/stencils/${stencil.id}/picture.svg`)
    expect(drawn.text.match(/<path/g)).toHaveLength(3)
    expect(drawn.text).not.toContain('script')
    const again = { 'if-none-match': drawn.headers.etag! }
    expect((await site.get(`/api/stencils/${stencil.id}/picture.svg`, again)).status).toBe(304)
  })

  it.each([
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
    ['no text', 7, 400, /"file"/],
  ])('of %s is refused, and the drawer stays as it was', async (_name, file, status, sentence) => {
    const before = await count()
    const answer = await send(file)
    expect([answer.status, answer.json.message]).toEqual([status, expect.stringMatching(sentence)])
    expect(await count()).toBe(before)
  })

  it('is refused where what is said of it cannot be, or what it was made from is not there', async () => {
    const before = await count()
    for (const about of [
      {},
      { name: '', kind: 'motif' },
      { name: 'x', kind: 'toy' },
      { name: 'x', kind: 'motif', copies: -1 },
    ])
      expect((await send(discs, about)).status).toBe(400)
    expect((await send(discs, undefined, { mendedFrom: 'none' })).json.message).toMatch(
      /was mended from is not/,
    )
    expect(await count()).toBe(before)
  })

  it('ends in a sentence while others are served, however hostile it is', async () => {
    for (const { name, file } of ofToday(hostileFiles(0.2), 3)) {
      const sent = send(file)
      // Somebody else asks meanwhile.
      expect((await site.get('/api/paints')).status, name).toBe(200)
      const answer = await sent
      expect([201, 400, 413, 422], name).toContain(answer.status)
      if (answer.status !== 201) expect(answer.json.message, name).toMatch(/\.$/)
    }
  }, 60_000)
})

describe('a stencil', () => {
  const at = '/api/stencils/honeycomb'
  it('prints at 1:1 on A4, and leaves as SVG and DXF in mm', async () => {
    const pdf = await site.get(`${at}/print.pdf`)
    expect(pdf.headers['content-type']).toBe('application/pdf')
    const pages = (await PDFDocument.load(pdf.bytes)).getPages().map(p => p.getSize())
    expect(pages).toHaveLength(1)
    const mm = [pages[0]!.width, pages[0]!.height].map(v => Math.round((v / 72) * 25.4))
    expect(mm.sort()).toEqual([210, 297])
    expect((await site.get(`${at}/file.svg`)).text).toContain('width="120mm" height="90mm"')
    expect((await site.get(`${at}/file.dxf`)).text).toMatch(/\$INSUNITS\n70\n4\n/)
    expect((await site.get(`${at}/cut?as=dxf`)).json.cuts).toBe((await site.get(`${at}/cut`)).json.cuts)
  })

  it('is changed where its owner says so, and not by what cannot be', async () => {
    const changed = await site.patch(at, { copies: 3, name: '\u202EHoney', tags: ['bee\u0007'] })
    expect(changed.json).toMatchObject({ copies: 3, name: 'Honey', tags: ['bee'] })
    const refused = await site.patch(at, { copies: -1 })
    expect([refused.status, refused.json.message]).toEqual([422, '"copies" must not be negative.'])
    const group = { name: 'far', openings: [99_999] }
    expect((await site.patch(at, { groups: [group] })).json.message).toMatch(
      /an opening that the stencil does not/,
    )
    expect((await site.patch('/api/stencils/none', { copies: 1 })).status).toBe(404)
  })

  it('keeps the photograph that it was read from', async () => {
    expect((await site.get(`${at}/photo.jpg`)).status).toBe(404)
    const jpeg = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3])
    expect((await site.put(`${at}/photo`, jpeg)).json.photo).toBe(true)
    expect((await site.get(`${at}/photo.jpg`)).bytes).toEqual(jpeg)
    expect((await site.put(`${at}/photo`, Buffer.from('GIF89a'))).status).toBe(422)
    expect((await site.put(`${at}/photo`, Buffer.concat([jpeg, Buffer.alloc(800_000)]))).status).toBe(413)
  })

  it('is taken out and brought back', async () => {
    expect((await site.delete(at)).json).toEqual({ deleted: true })
    expect((await site.delete(at)).status).toBe(404)
    expect((await site.post(`${at}/restore`)).json.deletedAt).toBeNull()
    expect((await site.post(`${at}/restore`)).status).toBe(404)
  })

  it('that is not there is told to be missing by everything that names it', async () => {
    for (const what of ['cut', 'file.svg', 'file.dxf', 'print.pdf', 'picture.svg', 'photo.jpg'])
      expect((await site.get(`/api/stencils/none/${what}`)).status, what).toBe(404)
    const shapes = await site.get('/api/stencils/shapes?ids=honeycomb,none,,__proto__')
    expect(Object.keys(shapes.json)).toEqual(['honeycomb'])
  })
})

it('every route was asked well, and badly where it can refuse', () => {
  expect(untried(site, ['stencils'], ['GET /api/stencils', 'GET /api/stencils/shapes'])).toEqual([])
})
