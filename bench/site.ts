import { chromium, type Browser, type Page } from '@playwright/test'
import { execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freshLook, freshSheet, NO_TWIN, type Look } from '../core/look'
import { openHouse } from '../server/db/house'
import { pictureKeys, rendererVersion } from '../server/pool/paintAhead'
import { looks as demoLooks } from '../demo/looks'
import { chromium as installedChromium } from '../scripts/ready.mjs'
import { chairRows } from './chair'
import { photoPageRows } from './photo'
import type { Table } from './table'

const WORKER = '.output/server/worker.mjs'
const PORT = 4690
const SITE = `http://127.0.0.1:${PORT}`
const wait = (ms: number) => new Promise(done => setTimeout(done, ms))

/** The built server on a data folder. */
class Server {
  private process: ChildProcess | null = null
  constructor(readonly data: string) {}

  async start(): Promise<void> {
    this.process = spawn('node', ['.output/server/index.mjs'], {
      env: { ...process.env, JANUSFORM_DATA: this.data, NITRO_PORT: String(PORT) },
      stdio: 'ignore',
    })
    for (let n = 0; n < 400; n++) {
      const up = await fetch(`${SITE}/api/paints`).then(
        r => r.ok,
        () => false,
      )
      if (up) return
      await wait(25)
    }
    throw new Error('The server did not start; build it first (npm run build).')
  }
  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    const { process: child } = this
    if (!child) return
    this.process = null
    await new Promise<void>(done => {
      child.once('exit', () => done())
      child.kill(signal)
    })
  }
  async again(): Promise<void> {
    await this.stop()
    await this.start()
  }
  /** Memory that the server holds, MB. */
  get memory(): number {
    const status = readFileSync(`/proc/${this.process!.pid}/status`, 'utf8')
    return Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1024
  }
}

const ms = async (job: () => Promise<unknown>): Promise<number> => {
  const t = performance.now()
  await job()
  return performance.now() - t
}
const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1]!

/** A page of its own, with nothing kept from another. */
async function freshPage(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  return context.newPage()
}

const PICTURES_SHOWN = () => {
  const list = [...document.querySelectorAll<HTMLImageElement>('li[data-look] img')]
  return list.length >= 12 && list.every(i => i.complete && i.naturalWidth > 0)
}

async function galleryRows(table: Table, server: Server, browser: Browser): Promise<void> {
  const shown: number[] = []
  const bare: number[] = []
  let bytes = 0
  for (let n = 0; n < 3; n++) {
    for (const pictures of [true, false]) {
      await server.again()
      const page = await freshPage(browser)
      const session = await page.context().newCDPSession(page)
      const scripts = new Set<string>()
      let loaded = 0
      await session.send('Network.enable')
      session.on('Network.responseReceived', e => {
        if (e.type === 'Script') scripts.add(e.requestId)
      })
      session.on('Network.loadingFinished', e => {
        if (scripts.has(e.requestId)) loaded += e.encodedDataLength
      })
      if (!pictures) await page.route('**/card.png*', route => route.abort())
      const t = performance.now()
      await page.goto(SITE)
      if (pictures) await page.waitForFunction(PICTURES_SHOWN)
      else await page.waitForSelector('li[data-look]')
      ;(pictures ? shown : bare).push(performance.now() - t)
      if (pictures) bytes = loaded
      await page.context().close()
    }
  }
  table.row(
    'gallery of 12 after a restart, all pictures',
    median(shown),
    { most: 1000, ratio: 10 },
    {
      words: 'the page without pictures',
      value: median(bare),
    },
  )
  table.row('script before the gallery is usable', bytes / 1024, { most: 150 }, undefined, 'kB')
}

/** Notes when something true, the coarse and the fine painting first stood on the stage; run in the page. */
const SEEN = `
  window.seen = {}
  new MutationObserver(() => {
    const note = name => { window.seen[name] ??= performance.now() }
    const early = document.querySelector('[data-testid=skeleton] img')
    // The gallery's picture is a whole painting at 1.5 px/mm: no coarser than the coarse one.
    if (early && early.complete && early.naturalWidth) { note('true'); note('coarse') }
    const state = document.querySelector('[data-testid=picture-state]')
    const standing = state && state.dataset.standing
    if (standing && standing !== 'nothing') { note('true'); note('coarse') }
    if (standing === 'fine') note('fine')
  }).observe(document, { subtree: true, childList: true, attributes: true })
`

/** A demo look opened from the gallery: something true, coarse, fine. */
async function openRows(table: Table, browser: Browser): Promise<void> {
  const page = await freshPage(browser)
  await page.addInitScript({ content: SEEN })
  const open = async (id: string): Promise<Record<string, number>> => {
    await page.goto(SITE)
    await page.waitForSelector(`[data-look="${id}"]`)
    await wait(4000)
    const t = (await page.evaluate('seen = {}, performance.now()')) as number
    await page.click(`[data-look="${id}"] a`)
    await page.waitForSelector('[data-testid=picture-state][data-standing=fine]', { state: 'attached' })
    const seen = (await page.evaluate('seen')) as Record<string, number>
    return Object.fromEntries(Object.entries(seen).map(([k, v]) => [k, v - t]))
  }
  for (const visit of ['first', 'second'] as const) {
    const all = [await open('demo-ember-wing'), await open('demo-barn-owl'), await open('demo-koi-lantern')]
    const of = (name: string) => median(all.map(a => a[name] ?? a.fine ?? Infinity))
    table.row(`a look opened (${visit} visit): something true`, of('true'), { most: 300 })
    table.row(`a look opened (${visit} visit): coarse`, of('coarse'), { most: 600 })
    table.row(`a look opened (${visit} visit): fine`, of('fine'), { most: 1200 })
  }
  await page.context().close()
}

/** A look zoomed into: when the middle of what is seen stands, and when all of it does. */
async function nearRow(table: Table, browser: Browser): Promise<void> {
  const page = await opened(browser, 'demo-ember-wing')
  await wait(3000)
  const stage = (await page.getByTestId('stage').boundingBox())!
  const middles: number[] = []
  const wholes: number[] = []
  for (const [n, zoom] of [-500, -250, -250].entries()) {
    await page.evaluate(NEAR_SEEN)
    await page.mouse.move(stage.x + stage.width / 2 + 9 * n, stage.y + stage.height / 2)
    await page.mouse.wheel(0, zoom)
    const [middle, whole] = (await page.evaluate('nearSeen')) as [number, number]
    middles.push(middle)
    wholes.push(whole)
  }
  table.row(
    'zoomed in: the middle of what is seen stands',
    median(middles),
    { ratio: 0.8 },
    { words: 'all of what is seen', value: median(wholes) },
  )
  await page.context().close()
}

/**
 * Tells when a part stands that was not there, and when the picture is painted, ms from when the view first moves;
 * run in the page.
 */
const NEAR_SEEN = `
  window.nearSeen = new Promise(done => {
    const told = () => JSON.stringify(faceStage.picture().parts)
    const state = () => document.querySelector('[data-testid=picture-state]').textContent.trim()
    const before = told()
    const k = faceStage.view().k
    let began = 0
    let middle = 0
    const ear = setInterval(() => {
      if (!began && faceStage.view().k !== k) began = performance.now()
      if (began && !middle && told() !== before) middle = performance.now() - began
      if (!middle || state() !== 'painted') return
      clearInterval(ear)
      done([middle, performance.now() - began])
    }, 5)
  })
  0
`

/** What a newcomer does: from the gallery to the first painted stencil, on a first and on a later visit. */
async function firstStencilRows(table: Table, browser: Browser): Promise<void> {
  const page = await freshPage(browser)
  const once = async (): Promise<number> => {
    await page.goto(SITE)
    await page.waitForSelector('li[data-look]')
    return ms(async () => {
      await page.getByRole('button', { name: 'New look', exact: true }).click()
      await page.locator('[data-sheet="star-set"]').click()
      await page.waitForSelector('[data-step]')
      await page.waitForFunction(
        () => document.querySelector('[data-testid=picture-state]')?.textContent === 'painted',
      )
    })
  }
  table.row('gallery to the first painted stencil (first visit)', await once(), { most: 6000 })
  const later = [await once(), await once(), await once()]
  table.row('gallery to the first painted stencil (later visits)', median(later), { most: 3500 })
  await page.context().close()
}

/** Fills a data folder with copies of a demo look, their pictures painted already. */
function filled(from: string, count: number): string {
  const data = mkdtempSync(join(tmpdir(), 'janusform-bench-'))
  cpSync(from, data, { recursive: true })
  const house = openHouse(join(data, 'janusform.db'))
  const at = new Date().toISOString()
  house.db.transaction(() => {
    for (let i = 0; i < count; i++) {
      const look = demoLooks[i % demoLooks.length]!
      house.looks.create({ ...look, id: `copy-${i}`, name: `${look.name} ${i}` }, at)
    }
    const keyOf = pictureKeys(house, rendererVersion(WORKER))
    const { png } = house.pictures.find(demoLooks[0]!.id)!
    for (const look of house.looks.list())
      house.pictures.put(look.id, { key: keyOf(look), png, seconds: 100 })
  })()
  house.db.close()
  return data
}

const listTime = async (): Promise<number> => {
  const times: number[] = []
  for (let n = 0; n < 9; n++) times.push(await ms(async () => (await fetch(`${SITE}/api/looks`)).text()))
  return median(times)
}

async function listRows(table: Table, seeded: string): Promise<void> {
  const times: number[] = []
  for (const count of [0, 988]) {
    const data = filled(seeded, count)
    const server = new Server(data)
    await server.start()
    times.push(await listTime())
    if (count)
      table.row('memory of the server with 1,000 looks', server.memory, { most: 600 }, undefined, 'MB')
    await server.stop()
    rmSync(data, { recursive: true, force: true })
  }
  table.row('list of 1,000 looks', times[1]!, { most: 100 }, { words: 'the list of 12', value: times[0]! })
}

/** Saves a look as a page does, each over the version before; returns the time of each. */
async function saves(count: number): Promise<number[]> {
  const { look, version } = (await (await fetch(`${SITE}/api/looks/demo-snow-hare`)).json()) as {
    look: Look
    version: number
  }
  let base = version
  const times: number[] = []
  for (let n = 0; n < count; n++) {
    const body = JSON.stringify({ base, look: { ...look, notes: `save ${base}` } })
    times.push(
      await ms(async () => {
        const answer = await fetch(`${SITE}/api/looks/${look.id}`, { method: 'PUT', body })
        base = ((await answer.json()) as { version: number }).version
      }),
    )
    await wait(20)
  }
  return times
}

async function saveRows(table: Table): Promise<void> {
  const idle = Math.max(...(await saves(100)))
  // 20 pictures of different fineness and two exports are asked for at once.
  const ending = new AbortController()
  const busy = [
    ...Array.from({ length: 20 }, (_, i) => `demo-tide-queen/picture.png?px=${(3 + i / 20).toFixed(2)}`),
    'demo-koi-lantern/picture.png?px=8',
    'demo-koi-lantern/export.svg',
  ].map(path => fetch(`${SITE}/api/looks/${path}`, { signal: ending.signal }).catch(() => null))
  const worst = Math.max(...(await saves(100)))
  ending.abort()
  await Promise.all(busy)
  table.row(
    'a save while 20 pictures are painted, worst of 100',
    worst,
    { most: 100 },
    {
      words: 'the worst of 100 with nothing else',
      value: idle,
    },
  )
}

/** Requests that are wrong in many ways, and none of which may be a fault of the server. */
async function badRequests(table: Table, count: number): Promise<void> {
  const methods = ['GET', 'POST', 'PUT', 'DELETE', 'PATCH']
  const paths = [
    'looks',
    'looks/x',
    'looks/%00',
    'looks/demo-ember-wing',
    'paints/x',
    'stencils/x',
    'nothing',
    'looks/x/revisions/9',
    'readings/edges',
    'looks/demo-ember-wing/picture.png?px=99',
    'house/backups/..%2f..%2fx',
    'ladder/exe',
  ]
  const bodies = [
    '',
    '{',
    '[]',
    'null',
    '{"base":1}',
    '{"look":{"format":"janusform-look"}}',
    '"x"',
    '\u0000',
    'x'.repeat(5000),
  ]
  let faults = 0
  for (let i = 0; i < count; i++) {
    const method = methods[i % methods.length]!
    // Nothing of the demo is to go.
    if (method === 'DELETE' && paths[i % paths.length]!.includes('demo')) continue
    const answer = await fetch(`${SITE}/api/${paths[i % paths.length]}`, {
      method,
      body: method === 'GET' ? undefined : bodies[i % bodies.length],
      headers: { 'content-type': i % 3 ? 'application/json' : 'text/plain' },
    })
    if (answer.status >= 500) faults++
    await answer.arrayBuffer()
  }
  table.row(`faults of the server in ${count} bad requests`, faults, { most: 0 }, undefined, '')
}

/** Kills the server in the middle of saves; every save that it had answered must be there afterwards. */
async function killRows(table: Table, server: Server, kills: number): Promise<void> {
  let lost = 0
  let kept = 0
  const id = 'demo-snow-hare'
  const read = async () =>
    (await (await fetch(`${SITE}/api/looks/${id}`)).json()) as { look: Look; version: number }
  for (let n = 0; n < kills; n++) {
    let { look, version } = await read()
    let answered = version
    // From the first answer on: a server that has just begun takes its time over its first save.
    let stop: ReturnType<typeof setTimeout> | undefined
    for (;;) {
      look = { ...look, notes: `kill ${n}, save over ${version}` }
      const answer = await fetch(`${SITE}/api/looks/${id}`, {
        method: 'PUT',
        body: JSON.stringify({ base: version, look }),
      }).catch(() => null)
      if (!answer?.ok) break
      version = answered = ((await answer.json()) as { version: number }).version
      kept++
      stop ??= setTimeout(() => void server.stop('SIGKILL'), (n * 7) % 90)
    }
    clearTimeout(stop)
    await server.stop('SIGKILL')
    await server.start()
    const now = await read()
    if (now.version < answered) lost++
  }
  table.row(`saves lost in ${kills} kills, of ${kept} answered`, lost, { most: 0 }, undefined, '')
}

/** A look of 80 steps, and a sheet of 2,000 openings dragged: what the page's own thread does. */
async function pageRows(table: Table, browser: Browser): Promise<void> {
  const dots = Array.from(
    { length: 2000 },
    (_, i) => `<circle cx="${4 + (i % 50) * 2.2}" cy="${4 + Math.floor(i / 50) * 2.2}" r="0.8"/>`,
  )
  const file = `<svg xmlns="http://www.w3.org/2000/svg" width="118mm" height="96mm" viewBox="0 0 118 96">${dots.join('')}</svg>`
  const sheet = (await (
    await fetch(`${SITE}/api/stencils`, {
      method: 'POST',
      body: JSON.stringify({ file, about: { name: '2,000 dots', kind: 'texture' } }),
    })
  ).json()) as { stencil: { id: string } }
  const paint = { id: 'gull', name: 'Gull', colour: '#F4F1EA' }
  const twin = { ...NO_TWIN, rule: 'midline' as const }
  const large: Look = {
    ...freshLook('bench-dots', 'Dots'),
    steps: [{ ...freshSheet('s', 'Dots', sheet.stencil.id, [0, -20], paint), twin }],
  }
  const eighty: Look = {
    ...freshLook('bench-eighty', 'Eighty'),
    steps: Array.from({ length: 80 }, (_, i) => ({
      ...freshSheet(
        `s${i}`,
        `Step ${i}`,
        ['star-set', 'paw-set', 'swirl-small'][i % 3]!,
        [(i % 9) * 12 - 48, (i % 7) * 14 - 50],
        paint,
      ),
      tilt: (13 * i) % 180,
    })),
  }
  for (const look of [large, eighty]) {
    const answer = await fetch(`${SITE}/api/looks`, { method: 'POST', body: JSON.stringify(look) })
    if (!answer.ok) throw new Error(await answer.text())
  }
  await dragRow(table, browser)
  await memoryRows(table, browser)
}

async function opened(browser: Browser, id: string): Promise<Page> {
  const page = await freshPage(browser)
  await page.goto(`${SITE}/looks/${id}?probe`)
  await page.waitForFunction(
    () => document.querySelector('[data-testid=picture-state]')?.textContent?.trim() === 'painted',
    null,
    { timeout: 120_000 },
  )
  return page
}

async function dragRow(table: Table, browser: Browser): Promise<void> {
  const page = await opened(browser, 'bench-dots')
  await page.locator('[data-step="s"]').click()
  await wait(1500)
  const box = (await page.getByTestId('stage').boundingBox())!
  const at = { x: box.x + box.width / 2 + 30, y: box.y + box.height * 0.36 }
  await page.mouse.move(at.x, at.y)
  await page.mouse.down()
  await page.mouse.move(at.x + 6, at.y + 2)
  await browser.startTracing(page, {
    categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline', 'toplevel'],
  })
  for (let i = 1; i <= 60; i++) await page.mouse.move(at.x + 6 + i, at.y + 2 + (i % 9))
  const trace = JSON.parse((await browser.stopTracing()).toString()) as {
    traceEvents: {
      name: string
      ph: string
      dur?: number
      tdur?: number
      pid: number
      tid: number
      args?: { name?: string }
    }[]
  }
  await page.mouse.up()
  // Each page has such a thread: this one's is the busiest.
  const mains = trace.traceEvents.filter(e => e.name === 'thread_name' && e.args?.name === 'CrRendererMain')
  const busy = (m: (typeof mains)[number]) =>
    trace.traceEvents.filter(e => e.pid === m.pid && e.tid === m.tid).length
  const [main] = mains.sort((a, b) => busy(b) - busy(a))
  const tasks = trace.traceEvents
    .filter(
      e => e.name === 'RunTask' && e.ph === 'X' && (!main || (e.pid === main.pid && e.tid === main.tid)),
    )
    .map(e => ({ wall: (e.dur ?? 0) / 1000, own: (e.tdur ?? e.dur ?? 0) / 1000 }))
    .sort((a, b) => b.own - a.own)
  const longest = (of: (t: (typeof tasks)[number]) => number) => tasks.slice(0, 8).map(t => of(t).toFixed(1))
  // The browser paints in software here, on the same cores: a task stands still while others have them.
  console.log(
    `  longest tasks of ${tasks.length} in the drag, ms of the thread: ${longest(t => t.own).join(', ')}`,
  )
  console.log(`  the same from beginning to end: ${longest(t => t.wall).join(', ')}`)
  table.row('a drag of 2,000 openings and their twin: longest task', tasks[0]?.own ?? 0, { most: 8 })
  await page.context().close()
}

async function memoryRows(table: Table, browser: Browser): Promise<void> {
  const page = await opened(browser, 'bench-eighty')
  const session = await page.context().newCDPSession(page)
  const heap = async () => {
    await session.send('HeapProfiler.collectGarbage')
    const { usedSize } = await session.send('Runtime.getHeapUsage')
    return usedSize / 1048576
  }
  await page.locator('[data-step="s40"]').click()
  const nudge = async (count: number) => {
    for (let i = 0; i < count; i++) await page.keyboard.press(i % 2 ? 'ArrowLeft' : 'ArrowRight')
    await page.waitForFunction(
      () => document.querySelector('[data-testid=picture-state]')?.textContent?.trim() === 'painted',
      null,
      { timeout: 120_000 },
    )
  }
  await nudge(20)
  const before = await heap()
  await nudge(200)
  const after = await heap()
  table.row('heap of the page with a look of 80 steps', before, { most: 250 }, undefined, 'MB')
  table.row('heap more after 200 edits', after - before, { most: 15 }, undefined, 'MB')
  await page.context().close()
}

/** The rows that need the built server and a browser. */
export async function siteRows(table: Table): Promise<void> {
  if (!existsSync(WORKER)) throw new Error('The application is not built: run npm run build first.')
  const seeded = mkdtempSync(join(tmpdir(), 'janusform-bench-seed-'))
  execFileSync('npx', ['tsx', 'demo/seed.ts'], {
    env: { ...process.env, JANUSFORM_DATA: seeded },
    stdio: 'ignore',
  })
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? installedChromium(),
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--use-angle=swiftshader',
      '--enable-unsafe-swiftshader',
    ],
  })
  const server = new Server(seeded)
  try {
    await galleryRows(table, server, browser)
    await openRows(table, browser)
    await nearRow(table, browser)
    await firstStencilRows(table, browser)
    await chairRows(table, browser, SITE)
    await photoPageRows(table, browser, SITE)
    await saveRows(table)
    await badRequests(table, 1000)
    await killRows(table, server, 100)
    await pageRows(table, browser)
    await server.stop()
    await listRows(table, seeded)
  } finally {
    await browser.close()
    await server.stop()
    rmSync(seeded, { recursive: true, force: true })
  }
}
