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
