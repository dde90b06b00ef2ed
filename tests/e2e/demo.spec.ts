import { expect, test } from './site'
import { complaints, openBench, overWide } from './helpers'
import { looks } from '../../demo/looks'

// Every look of the demo, each once: all the rest needs only some of them.
test.use({ begins: 'demo' })

for (const { id, name, steps } of looks)
  test(`${name} opens, is painted whole, tells its last step, and scrolls nothing into the blank`, async ({
    page,
  }) => {
    const wrong = complaints(page)
    await openBench(page, id)
    await expect(page.locator('[data-step]')).toHaveCount(steps.length)
    await page.locator('[data-step]').last().click()
    await expect(page.getByLabel('Name of the step')).toHaveValue(steps.at(-1)!.label)
    expect(await overWide(page)).toBe(0)
    expect(await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight)).toBe(0)
    expect(wrong).toEqual([])
  })

test('the step list of a look of the demo names its steps', async ({ page }) => {
  await page.goto('/looks/demo-storm-kite/steps')
  await expect(page.getByText('Kite', { exact: true }).first()).toBeVisible()
})
