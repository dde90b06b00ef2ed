import { readFileSync } from 'node:fs'
import { expect, test, type Page } from './site'
import { complaints, drawn, look, openBench, openNew, overWide, painted } from './helpers'
import { BENCH, SCREENS } from './screens'

/** Drops files on the page, as a hand does that drags them from a folder. */
async function drop(
  page: Page,
  files: readonly { name: string; type: string; text: string }[],
): Promise<void> {
  const data = await page.evaluateHandle(
    list => {
      const transfer = new DataTransfer()
      for (const { name, type, text } of list) transfer.items.add(new File([text], name, { type }))
      return transfer
    },
    files as { name: string; type: string; text: string }[],
  )
  for (const type of ['dragenter', 'dragover', 'drop'])
    await page.dispatchEvent('body', type, { dataTransfer: data })
}

test('look files that are dropped on the gallery come in, several at once; others are refused', async ({
  page,
}) => {
  await page.goto('/')
  await page.waitForLoadState('networkidle')
  const { look: base } = await look(page, 'plain-fern-stag')
  const file = (id: string, name: string) => ({
    name: `${name}.json`,
    type: 'application/json',
    text: JSON.stringify({ ...base, id, name }),
  })
  await drop(page, [file('dropped-one', 'Dropped One'), file('dropped-two', 'Dropped Two')])
  await expect(page.getByText('Dropped Two imported')).toBeVisible()
  expect((await page.request.get('/api/looks/dropped-one')).status()).toBe(200)
  await drop(page, [{ name: 'song.json', type: 'application/json', text: 'la la' }])
  await expect(page.getByText(/not JSON/)).toBeVisible()
})

test('stencil files that are dropped on the drawer are read', async ({ page }) => {
  await page.goto('/drawer')
  await page.waitForLoadState('networkidle')
  const text = readFileSync('demo/stencils/waves.svg', 'utf8')
  await drop(page, [{ name: 'my waves.svg', type: 'image/svg+xml', text }])
  await expect(page.getByRole('dialog')).toContainText('24 openings')
})

test('a stencil that looks use is deleted: they keep it, it is offered no more, and comes back', async ({
  page,
}) => {
  const wrong = complaints(page)
  const id = 'plain-midnight-moth'
  await page.goto('/drawer/moth')
  await page.getByRole('button', { name: 'Delete', exact: true }).click()
  await expect(page.getByTestId('used-by')).toContainText('Midnight Moth')
  await page.getByRole('dialog').getByRole('button', { name: 'Delete', exact: true }).click()
  await expect(page).toHaveURL(/\/drawer$/)
  await expect(
    page
      .getByText('Moth deleted')
      .or(page.getByText(/deleted$/))
      .first(),
  ).toBeVisible()
  const before = await (await page.request.get(`/api/looks/${id}/picture.png?px=1`)).body()
  expect(before.byteLength).toBeGreaterThan(1000)
  await openBench(page, id)
  await expect(page.locator('[data-sheet="moth"]')).toHaveCount(0)
  // What the look was is still painted and can be changed and saved.
  await page.locator('[data-step]').last().click()
  await page.keyboard.press('Delete')
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'saved', { timeout: 15_000 })
  await page.goto('/')
  await page.getByRole('button', { name: 'Kept safe' }).click()
  await page
    .getByRole('listitem')
    .filter({ has: page.locator('img[src*="/stencils/moth/"]') })
    .getByRole('button', { name: 'Bring back' })
    .click()
  await expect(page.getByText(/is back in the drawer/)).toBeVisible()
  await openNew(page)
  await expect(page.locator('[data-sheet="moth"]')).toHaveCount(1)
  expect(wrong).toEqual([])
})

test('a paint that looks use is deleted after it is told, and undo gives it back to them', async ({
  page,
}) => {
  await page.goto('/kit')
  await page.locator('[data-paint="gull-white"]').or(page.locator('[data-paint]').first()).first().click()
  const id = await page.locator('[data-paint]').first().getAttribute('data-paint')
  await page.getByRole('form', { name: 'Paint' }).getByRole('button', { name: 'Delete' }).click()
  await expect(page.getByTestId('used-by')).toContainText(/looks use this paint/)
  await page.getByTestId('used-by').getByRole('button', { name: 'Delete' }).click()
  await expect(page.locator(`[data-paint="${id}"]`)).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.locator(`[data-paint="${id}"]`)).toHaveCount(1)
  expect(
    (await (await page.request.get('/api/paints')).json()).some((p: { id: string }) => p.id === id),
  ).toBe(true)
})

test('Ctrl Z takes back what was deleted on any page, the latest first', async ({ page }) => {
  await page.goto('/')
  const cards = page.locator('[data-look]')
  await expect(cards.first()).toBeVisible()
  const names: string[] = []
  for (let n = 0; n < 2; n++) {
    const name = await cards.first().locator('h2').innerText()
    names.push(name)
    await page.getByRole('button', { name: `More for ${name}`, exact: true }).click()
    await page.getByRole('menuitem', { name: 'Delete' }).click()
    await expect(page.getByRole('button', { name: `More for ${name}`, exact: true })).toBeHidden()
  }
  for (const name of names.reverse()) {
    await page.locator('body').press('Control+z')
    await expect(page.getByRole('button', { name: `More for ${name}`, exact: true })).toBeVisible()
  }
})

test('changes of groups are undone and done again by keys', async ({ page }) => {
  await page.goto('/drawer/star-set')
  await page.getByRole('tab', { name: 'Groups' }).click()
  const groups = page.getByRole('region', { name: 'Groups of openings' }).getByRole('listitem')
  await expect(groups.first()).toBeVisible()
  const before = await groups.count()
  await page.getByRole('button', { name: 'New group' }).click()
  await expect(groups).toHaveCount(before + 1)
  await page.getByRole('button', { name: 'Undo the change of the groups' }).click()
  await expect(groups).toHaveCount(before)
  await page.keyboard.press('Control+Shift+Z')
  await expect(groups).toHaveCount(before + 1)
  await page.keyboard.press('Control+z')
  await expect(groups).toHaveCount(before)
  const kept = async () => {
    const all = await (await page.request.get('/api/stencils')).json()
    return all.find((s: { id: string }) => s.id === 'star-set').groups.length
  }
  await expect.poll(kept).toBe(before)
  await page.reload()
  await page.getByRole('tab', { name: 'Groups' }).click()
  await expect(groups).toHaveCount(before)
})

test('nothing is lost at 200 % zoom, or with text twice as large', async ({ page }) => {
  test.setTimeout(150_000)
  // A window of 1280 by 800 at 200 % has room for 640 by 400.
  for (const [words, path] of [...SCREENS, BENCH]) {
    await page.setViewportSize({ width: 640, height: 400 })
    await page.goto(path)
    await page.waitForLoadState('networkidle')
    expect(await overWide(page), words).toBeLessThanOrEqual(0)
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.evaluate(() => document.documentElement.style.setProperty('font-size', '30px', 'important'))
    await drawn(page)
    expect(await overWide(page), `${words}, large text`).toBeLessThanOrEqual(0)
  }
  await page.setViewportSize({ width: 640, height: 400 })
  await page.goto('/looks/plain-midnight-moth')
  await painted(page)
  await page.getByRole('button', { name: 'Step', exact: true }).click()
  await expect(page.getByLabel('Step card')).toBeVisible()
})
