// Makes docs/screenshots from a running demo (http://127.0.0.1:4600, or the address given).
import { chromium } from '@playwright/test'
import { chromium as installedChromium } from './ready.mjs'
import { mkdirSync } from 'node:fs'
import { runOf } from './evening.mjs'

const base = process.argv[2] ?? 'http://127.0.0.1:4600'
const folder = new URL('../docs/screenshots/', import.meta.url)
mkdirSync(folder, { recursive: true })
const ready = page =>
  page
    .locator('[data-testid="picture-state"]', { hasText: 'painted' })
    .waitFor({ state: 'attached', timeout: 30_000 })

/** Shows a changed copy of a look in the page alone: the server keeps its own. */
async function changed(page, id, change) {
  const record = await (await page.request.get(`${base}/api/looks/${id}`)).json()
  change(record.look)
  await page.route(`**/api/looks/${id}`, route =>
    route.request().method() === 'GET'
      ? route.fulfill({ json: record })
      : route.fulfill({ json: { version: record.version, savedAt: record.savedAt } }),
  )
  await page.reload()
  await ready(page)
}

/** Selects a step by its name. */
const pick = (page, label) => page.locator('[data-step]', { hasText: label }).first().click()
const tab = (page, name) => page.getByRole('tab', { name }).click()

/** Every main view: its file, its address, and what is done there before the picture. */
const views = [
  ['looks', '/', async page => page.waitForTimeout(1500)],
  [
    'bench',
    '/looks/demo-midnight-moth',
    async page => {
      await ready(page)
      await pick(page, 'Moth on the brow')
      // Checked, and every step of the strip with its picture.
      await page.locator('[data-testid=time][data-old=false]').waitFor({ timeout: 60_000 })
      await page.locator('[data-step] img').nth(7).waitFor({ timeout: 60_000 })
    },
  ],
  [
    'photo',
    '/drawer/photo',
    async page => {
      await page.getByRole('button', { name: 'Try it with a sample' }).click()
      await page.getByRole('button', { name: 'Read it' }).click({ timeout: 60_000 })
      await page.getByTestId('read').waitFor({ timeout: 60_000 })
    },
  ],
  [
    'draw',
    '/drawer/draw',
    async page => {
      await page.getByLabel('Motif from').selectOption({ label: 'Fern Spray' })
      await page.locator('aside [data-opening="5"]').click()
      await page.getByLabel('every other row mirrored').check()
      await page.getByRole('button', { name: 'Repeat', exact: true }).click()
      await page.getByText('Ready to be cut').waitFor({ timeout: 30_000 })
    },
  ],
  [
    'fits',
    '/looks/demo-fern-stag',
    async page => {
      await ready(page)
      await page.getByRole('radio', { name: 'What fits' }).click()
      await page.locator('[data-fit]').nth(3).waitFor()
    },
  ],
  [
    'turned',
    '/looks/demo-midnight-moth',
    async page => {
      await ready(page)
      await page.getByRole('button', { name: 'Turn the head' }).click()
      await page.locator('[data-testid="turned"][data-ready="true"]').waitFor({ timeout: 30_000 })
    },
  ],
  [
    'tries',
    '/looks/demo-ember-wing/tries',
    async page => {
      await page.locator('[data-testid="side-by-side"][data-painted="4"]').waitFor({ timeout: 60_000 })
      await page.locator('[data-differences="D"] li').first().waitFor()
    },
  ],
  [
    'paint',
    '/looks/demo-kelp-cuff',
    async page => {
      await ready(page)
      await changed(page, 'demo-kelp-cuff', look => {
        look.steps[2].passes[0].wetness = 'runny'
      })
      await pick(page, 'Wave, both edges')
      await page.locator('[data-finding="bleed"]').waitFor({ timeout: 30_000 })
    },
  ],
  [
    'nine',
    '/looks/demo-ember-wing',
    async page => {
      await ready(page)
      await pick(page, 'Swirl of heat')
      await page.getByRole('button', { name: 'Nine others at a glance' }).click()
      await page.locator('[data-testid="nine"][data-done="true"]').waitFor({ timeout: 60_000 })
    },
  ],
  [
    'kit',
    '/kit',
    async page => {
      await page.getByRole('tab', { name: 'Strip cakes' }).click()
      await page.locator('[data-testid="sample"] img').nth(2).waitFor()
      await page.mouse.move(640, 20)
      await page.waitForTimeout(600)
    },
  ],
  [
    'brush',
    '/looks/demo-ember-wing',
    async page => {
      await ready(page)
      await tab(page, 'Line')
      await pick(page, 'Long feathers')
      await page.getByRole('button', { name: 'Flow', exact: true }).click()
      await page.getByTestId('flow-number').waitFor()
    },
  ],
  [
    'order',
    '/looks/demo-fern-stag',
    async page => {
      await page.waitForTimeout(3000)
      await page.getByRole('button', { name: 'Order', exact: true }).click()
      await page.getByRole('button', { name: 'Take this order' }).waitFor()
    },
  ],
  [
    'sparkle',
    '/looks/demo-fern-stag',
    async page => {
      await page.evaluate(() => localStorage.setItem('janusform-theme', 'dark'))
      await page.reload()
      await ready(page)
      await tab(page, 'Sparkle')
      await page.getByRole('switch', { name: 'Show empty patches' }).click()
      await page.getByTestId('balance').waitFor()
      await page.getByTestId('sitting').locator('summary').click()
    },
  ],
  [
    'menu',
    '/',
    async page => {
      // Of each family the look itself, without its other tries.
      const looks = (await (await page.request.get(`${base}/api/looks`)).json()).filter(
        l => l.id.startsWith('demo-') && l.letter === 'A',
      )
      await page.setViewportSize({ width: 1740, height: 1600 })
      await page.setContent(
        `<body style="margin:0;display:grid;grid-template-columns:repeat(6,1fr);gap:8px;background:#E9E6E0">${looks.map(l => `<img src="${base}/api/looks/${l.id}/picture.png?px=2.6" style="width:100%;height:390px;object-fit:cover;object-position:top">`).join('')}</body>`,
      )
      await page.waitForLoadState('networkidle')
      await page.waitForTimeout(6000)
    },
  ],
  [
    'chair',
    '/',
    async page => {
      // A phone in the light and in the dark, and a tablet.
      const shots = []
      for (const [width, height, dark, steps] of [
        [390, 844, false, 3],
        [390, 844, true, 2],
        [820, 1180, false, 3],
      ]) {
        const context = await browser.newContext({
          viewport: { width, height },
          deviceScaleFactor: 844 / height,
          colorScheme: dark ? 'dark' : 'light',
        })
        const own = await context.newPage()
        await own.goto(`${base}/looks/demo-${dark ? 'koi-lantern' : 'ember-wing'}/chair`)
        await own.getByTestId('begin').click()
        for (let n = 0; n < steps; n++) {
          await own.waitForTimeout(1500)
          await own.getByTestId('done').click()
        }
        await own.locator('[data-testid=place][data-px="4"]').waitFor()
        await own.waitForTimeout(1500)
        shots.push((await own.screenshot()).toString('base64'))
        await context.close()
      }
      await page.setViewportSize({ width: 1420, height: 860 })
      await page.setContent(
        `<body style="margin:8px;display:flex;gap:16px;background:#B9AF9F">${shots.map(s => `<img style="height:844px;border-radius:16px" src="data:image/png;base64,${s}">`).join('')}</body>`,
      )
      await page.waitForTimeout(500)
    },
  ],
  [
    'log',
    '/log',
    async page => {
      const looks = (await (await page.request.get(`${base}/api/looks`)).json()).filter(l =>
        l.id.startsWith('demo-'),
      )
      for (const [n, look] of looks.slice(0, 9).entries())
        await page.request.put(`${base}/api/runs/shot-${n}`, { data: runOf(look, n) })
      await page.goto(`${base}/log`)
      await page.locator('[data-run]').first().waitFor()
      await page.waitForTimeout(1500)
    },
  ],
  ['drawer', '/drawer', async page => page.waitForTimeout(1200)],
  ['sheet', '/drawer/diamonds', async page => page.getByText('One piece').waitFor()],
  [
    'steps',
    '/looks/demo-midnight-moth/steps',
    async page => page.getByRole('img', { name: 'Face after step 5' }).waitFor(),
  ],
]

const browser = await chromium.launch({
  executablePath: installedChromium(),
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--use-angle=swiftshader',
    '--enable-unsafe-swiftshader',
  ],
})
const only = process.argv[3]
for (const [name, path, act] of views) {
  if (only && name !== only) continue
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  page.on('pageerror', error => console.error(name, error.message))
  await page.goto(base + path)
  await page.waitForLoadState('networkidle')
  await act(page)
  await page.waitForTimeout(900)
  await page.screenshot({ path: new URL(`${name}.png`, folder).pathname })
  await page.close()
  console.log(name)
}
await browser.close()
