import { expect, test, type Page } from './site'
import { complaints, look, openBench, saved } from './helpers'

const nine = (page: Page) => page.getByTestId('nine')
const all = async (page: Page) => {
  await expect(nine(page)).toHaveAttribute('data-done', 'true', { timeout: 40_000 })
  return nine(page).locator('li')
}

test('nine others for a step: painted, really different, pinned, more like it, one put into the look', async ({
  page,
}) => {
  const wrong = complaints(page)
  await openBench(page, 'demo-ember-wing')
  const before = (await look(page, 'demo-ember-wing')).look
  await page.locator('[data-step="ember-wing-4"]').click()
  await page.keyboard.press('n')
  const first = await all(page)
  await expect(first).toHaveCount(9)
  // More than one sort of thing is offered, and no two look alike.
  const sorts = await first.evaluateAll(list => list.map(li => li.getAttribute('data-sort')))
  expect(new Set(sorts).size).toBeGreaterThan(2)
  const pictures = await first.locator('img').evaluateAll(list => list.map(i => i.getAttribute('src')))
  expect(new Set(pictures).size).toBe(9)
  await expect(page.getByTestId('apart')).toContainText(/differ in \d+ %/)

  const pin = first.nth(1).getByRole('button', { name: /^Pin/ })
  const why = await first.nth(1).locator('img').getAttribute('alt')
  await pin.click()
  await page.getByRole('button', { name: 'Nine more like this one' }).click()
  const second = await all(page)
  await expect(second.first().locator('img')).toHaveAttribute('alt', why!)

  await second.first().locator('button').first().click()
  await expect(nine(page)).toBeHidden()
  await saved(page)
  const after = (await look(page, 'demo-ember-wing')).look
  expect(after.steps).not.toEqual(before.steps)
  expect(after.steps[4]).toEqual(before.steps[4])
  await page.keyboard.press('Control+z')
  await saved(page)
  expect((await look(page, 'demo-ember-wing')).look.steps).toEqual(before.steps)
  expect(wrong).toEqual([])
})

test('without a step or a spot nothing is offered, and it says what to do', async ({ page }) => {
  await openBench(page, 'demo-ember-wing')
  await page.keyboard.press('Escape')
  await page.keyboard.press('n')
  await expect(page.getByRole('dialog')).toContainText('Select a step, or pick a spot')
})
