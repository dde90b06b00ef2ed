// Makes docs/screenshots from a running demo (http://127.0.0.1:4600, or the address given).
import { chromium } from '@playwright/test'
import { execSync } from 'node:child_process'
import { mkdirSync } from 'node:fs'

const base = process.argv[2] ?? 'http://127.0.0.1:4600', folder = new URL('../docs/screenshots/', import.meta.url)
mkdirSync(folder, { recursive: true })
const ready = page => page.locator('[data-testid="picture-state"]', { hasText: 'painted' }).waitFor({ state: 'attached', timeout: 30_000 })

/** Every main view: its file, its address, and what is done there before the picture. */
const views = [
  ['looks', '/', async page => page.waitForTimeout(1500)],
  ['bench', '/looks/demo-midnight-moth', async (page) => {
    await ready(page)
    await page.locator('[data-step="mm3"]').click()
  }],
  ['fits', '/looks/demo-fern-stag', async (page) => {
    await ready(page)
    await page.getByRole('button', { name: 'What fits' }).click()
    await page.locator('[data-seat]').nth(3).waitFor()
  }],
  ['openings', '/looks/demo-midnight-moth', async (page) => {
    await ready(page)
    await page.locator('[data-step="mm2"]').click()
    await page.getByRole('button', { name: 'Choose' }).click()
  }],
  ['drawer', '/drawer', async page => page.waitForTimeout(1200)],
  ['sheet', '/drawer/diamonds', async page => page.getByText('One piece').waitFor()],
  ['mending', '/drawer/wheel-draft', async (page) => {
    await page.getByText('0 loose pieces').waitFor()
    await page.getByRole('switch', { name: /Widen/ }).click()
    await page.waitForTimeout(900)
    await page.mouse.wheel(0, 320)
  }],
  ['import', '/drawer', async (page) => {
    const svg = (body, head) => ({ mimeType: 'image/svg+xml', buffer: Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" ${head}>${body}</svg>`) })
    await page.getByRole('button', { name: 'Import sheets' }).click()
    await page.getByLabel('Stencil files').setInputFiles([
      { name: 'compass-star.svg', ...svg('<path d="M40 8L47 33L72 40L47 47L40 72L33 47L8 40L33 33Z"/><circle cx="62" cy="18" r="3"/><circle cx="18" cy="62" r="3"/>', 'width="80mm" height="80mm" viewBox="0 0 80 80"') },
      { name: 'ring-of-tide.svg', ...svg('<path fill-rule="evenodd" d="M4 20a16 16 0 1 1 32 0a16 16 0 1 1-32 0M8 20a12 12 0 1 1 24 0a12 12 0 1 1-24 0"/>', 'viewBox="0 0 40 40"') },
      { name: 'letter.svg', mimeType: 'image/svg+xml', buffer: Buffer.from('Dear painter') },
    ])
    await page.waitForTimeout(900)
  }],
  ['steps', '/looks/demo-midnight-moth/steps', async page => page.getByRole('img', { name: 'Face after step 5' }).waitFor()],
]

const browser = await chromium.launch({ executablePath: execSync('command -v chromium').toString().trim(), args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--use-angle=swiftshader', '--enable-unsafe-swiftshader'] })
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
