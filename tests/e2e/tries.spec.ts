import { readFile } from 'node:fs/promises'
import { expect, test, type Page } from './site'
import { complaints, idOf, look, openBench, painted, saved } from './helpers'

const MOTH = 'plain-midnight-moth'
const family = async (page: Page, id: string) => (await page.request.get(`/api/looks/${id}/family`)).json()
const sideBySide = async (page: Page, id: string, count: number) => {
  await page.goto(`/looks/${id}/tries`)
  await expect(page.getByTestId('side-by-side')).toHaveAttribute('data-painted', `${count}`, {
    timeout: 60_000,
  })
}
/** Makes a try of the look on the bench. */
async function attempt(page: Page, why: string, begins = 'Everything as it stands'): Promise<string> {
  const before = idOf(page)
  await page.getByRole('button', { name: /^(Tries|Try [A-Z])$/ }).click()
  await page.getByLabel('What shall be different').fill(why)
  await page.getByLabel(begins).check()
  await page.getByRole('button', { name: 'Make the try' }).click()
  await expect.poll(() => idOf(page)).not.toBe(before)
  await painted(page)
  return idOf(page)
}

test('try another way, wipe, compare, take a step over, keep', async ({ page }) => {
  const wrong = complaints(page)
  await openBench(page, MOTH)
  const before = (await look(page, MOTH)).look
  const b = await attempt(page, 'without the first step')
  await page.locator('[data-step]').first().click()
  const gone = before.steps[0].label
  await page.getByTestId('stage').focus()
  await page.keyboard.press('Delete')
  await saved(page)
  const c = await attempt(page, 'over what is left', 'Wiped off, all of it')
  await expect(page.locator('[data-step]')).toHaveCount(before.steps.length)

  await sideBySide(page, MOTH, 3)
  // The first look is as it was; each try knows its letter and its reason.
  expect((await look(page, MOTH)).look).toEqual(before)
  await expect(page.locator('[data-try]')).toHaveText([
    /A.*as it began/,
    /B.*without the first/,
    /C.*over what/,
  ])
  const table = page.getByTestId('try-table')
  await expect(table.locator('tbody tr')).toHaveCount(10)
  await expect(table).not.toContainText('…')
  // Wiping takes time, and is counted among the wipes.
  const seconds = async (n: number) => {
    const text = await table
      .locator('tr', { hasText: 'Time, drying included' })
      .locator('td')
      .nth(n)
      .innerText()
    return Number(text.split(':')[0]) * 60 + Number(text.split(':')[1]!.slice(0, 2))
  }
  expect(await seconds(2)).toBeGreaterThanOrEqual((await seconds(1)) + 40)

  const told = page.locator('[data-differences="B"]')
  await expect(told).toContainText(`Step 1, ${gone}: not there.`)
  await page.getByLabel('Told against try').selectOption({ label: 'B' })
  const back = page.locator('[data-differences="A"]')
  await back.getByRole('button', { name: 'Take over into B' }).first().click()
  await expect(back).toContainText('Nothing differs yet')
  expect((await look(page, b)).look.steps.map((s: { label: string }) => s.label)).toEqual(
    before.steps.map((s: { label: string }) => s.label),
  )
  await page.keyboard.press('Control+z')
  await expect(back).not.toContainText('Nothing differs yet')

  await page.locator('[data-try="C"]').getByRole('button', { name: 'Make it the look' }).click()
  await expect(page.locator('[data-try="C"]').getByRole('button', { name: 'Make it the look' })).toHaveCount(
    0,
  )
  const kept = (await family(page, MOTH)).map(
    (r: { look: { family?: { kept: boolean } } }) => r.look.family?.kept,
  )
  expect(kept).toEqual([false, false, true])

  await page.goto('/')
  const card = page.locator(`[data-look="${c}"]`)
  await expect(card.getByRole('button', { name: '3 tries' })).toBeVisible()
  await expect(page.locator(`[data-look="${MOTH}"]`)).toHaveCount(0)
  await card.getByRole('button', { name: '3 tries' }).click()
  await expect(page.locator(`[data-look="${MOTH}"]`)).toBeVisible()
  await expect(page.locator(`[data-look="${b}"]`)).toContainText('without the first step')
  expect(wrong).toEqual([])
})

test('two are swiped, laid over one another and turned together; a deleted one comes back', async ({
  page,
}) => {
  const wrong = complaints(page)
  await openBench(page, 'plain-barn-owl')
  await attempt(page, 'on its own')
  await page.locator('[data-step]').last().click()
  await page.getByTestId('stage').focus()
  await page.keyboard.press('Delete')
  await saved(page)
  await sideBySide(page, 'plain-barn-owl', 2)

  await page.getByRole('radio', { name: 'Difference' }).click()
  const share = async () => Number(await page.getByTestId('difference').getAttribute('data-share'))
  await expect.poll(share, { timeout: 20_000 }).toBeGreaterThan(0)
  expect(await share()).toBeLessThan(0.5)
  await page.getByRole('radio', { name: 'Swipe' }).click()
  const line = page.getByLabel(/How much of try A is seen/)
  await line.focus()
  await page.keyboard.press('End')
  await expect(line).toHaveValue('100')

  await page.getByRole('radio', { name: 'Side by side' }).click()
  const shot = () =>
    page.locator('[data-try="A"] canvas').evaluate((c: HTMLCanvasElement) => c.toDataURL().length)
  const front = await shot()
  await page.getByLabel('Turn of all heads, degrees').fill('40')
  await expect.poll(shot, { timeout: 30_000 }).not.toBe(front)
  await page.getByRole('button', { name: 'All on very light skin' }).click()
  await expect(page.getByRole('button', { name: 'All on very light skin' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )

  await page.getByRole('button', { name: 'Practice board' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'PDF, A5' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('Plain Barn Owl, practice board A5.pdf')
  expect((await readFile(await download.path())).subarray(0, 5).toString()).toBe('%PDF-')

  await page.getByRole('button', { name: 'Delete try B' }).click()
  await expect(page.locator('[data-try]')).toHaveCount(1)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('[data-try]')).toHaveCount(2)
  expect(wrong.filter(w => !w.includes('GL Driver'))).toEqual([])
})
