import { expect, test } from './site'
import { complaints, overWide, painted } from './helpers'
import { looks } from '../../demo/looks'
import { ofToday } from '../solved'

// Every look of the demo, each once: all the rest needs only some of them.
test.use({ begins: 'demo' })

/** Painting takes seconds: every day others are waited for, and all within three. */
const paintedToday = new Set(ofToday(looks, 3))

for (const look of looks)
  test(`${look.id} opens, tells its last step, and scrolls nothing into the blank`, async ({ page }) => {
    const { id, steps } = look
    const wrong = complaints(page)
    await page.goto(`/looks/${id}`)
    await expect(page.locator('[data-step]')).toHaveCount(steps.length)
    await page.locator('[data-step]').last().click()
    await expect(page.getByLabel('Name of the step')).toHaveValue(steps.at(-1)!.label)
    expect(await overWide(page)).toBe(0)
    expect(await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight)).toBe(0)
    if (paintedToday.has(look)) await painted(page)
    expect(wrong).toEqual([])
  })

test('the step list of a look of the demo names its steps', async ({ page }) => {
  await page.goto('/looks/demo-storm-kite/steps')
  await expect(page.getByText('Kite', { exact: true }).first()).toBeVisible()
})
