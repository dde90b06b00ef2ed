import { expect, test, type Page } from './site'
import { complaints, difference, drag, look, openNew, painted, saved, screen, tab } from './helpers'

const circle = (x: number, y: number, r: number): [number, number][] =>
  Array.from({ length: 17 }, (_, i) => [
    x + r * Math.sin((i * Math.PI) / 8),
    y - r * Math.cos((i * Math.PI) / 8),
  ])
const first = async (page: Page, id: string, n = 0) => (await look(page, id)).look.steps[n]

/** Lays the scales of the tray; the sheet's shape comes before the step does. */
async function layScales(page: Page): Promise<void> {
  await page.locator('[data-sheet="scales"]').press('Enter')
  await expect(page.locator('[data-step]')).toHaveCount(1)
  await painted(page)
}

test('a band from a split cake is laid, turned over, blended at its edge, and wiped in part', async ({
  page,
}) => {
  const wrong = complaints(page)
  const id = await openNew(page)
  await tab(page, 'Base')
  await page.getByRole('radio', { name: 'By sponge' }).click()
  await page.getByRole('button', { name: 'Bonfire', exact: true }).click()
  await page.locator('[data-manner="drawn"]').click()
  await painted(page)
  const laid = await page.getByTestId('stage').screenshot()
  await page.getByRole('button', { name: /far end left of the way/ }).click()
  await painted(page)
  expect(difference(laid, await page.getByTestId('stage').screenshot())).toBeGreaterThan(0.005)
  await page.getByRole('button', { name: 'ember', exact: true }).click()
  await saved(page)
  expect((await first(page, id)).load.strips).toEqual([0, 1, 3])
  await page.getByRole('radio', { name: 'Go over' }).click()
  await page.locator('[data-rework="blend rim"]').click()
  await painted(page)
  await page.locator('[data-rework="wipe outline"]').click()
  await painted(page)
  await saved(page)
  const { steps } = (await look(page, id)).look
  expect(steps.map((s: { kind: string }) => s.kind)).toEqual(['pull', 'rework', 'rework'])
  await page.reload()
  await painted(page)
  await expect(page.locator('[data-step]')).toHaveCount(3)
  expect(wrong).toEqual([])
})

test('only a drawn part of a stencil is dabbed, the part is moved, and a base lies under it', async ({
  page,
}) => {
  const id = await openNew(page)
  await layScales(page)
  const whole = await page.getByTestId('stage').screenshot()
  await page.getByLabel('Where layer 1 is dabbed').selectOption('shape')
  await expect(page.getByTestId('drawing-bar')).toContainText('Draw round the part')
  await drag(page, circle(14, -36, 10))
  await painted(page)
  expect(difference(whole, await page.getByTestId('stage').screenshot())).toBeGreaterThan(0.005)
  await saved(page)
  const before = (await first(page, id)).passes[0].part
  expect(before.by).toBe('shape')
  const middle = (loop: [number, number][]) => loop.reduce((s, p) => s + p[0], 0) / loop.length
  expect(Math.abs(middle(before.loop) - 14)).toBeLessThan(3)
  await drag(page, [
    [middle(before.loop), before.loop.reduce((s: number, p: number[]) => s + p[1]!, 0) / before.loop.length],
    [-12, -36],
  ])
  await saved(page)
  expect(Math.abs(middle((await first(page, id)).passes[0].part.loop) + 12)).toBeLessThan(3)
  await page.getByTestId('base-under').click()
  await painted(page)
  await saved(page)
  const { steps } = (await look(page, id)).look
  expect(steps.map((s: { kind: string }) => s.kind)).toEqual(['wash', 'sheet'])
  expect(steps[0].rides).toBe(steps[1].id)
  await page.keyboard.press('Control+z')
  await expect(page.locator('[data-step]')).toHaveCount(1)
})

test('Escape gives a shape up that was asked for, and nothing is changed', async ({ page }) => {
  const id = await openNew(page)
  await layScales(page)
  await page.getByLabel('Where layer 1 is dabbed').selectOption('shape')
  await expect(page.getByTestId('drawing-bar')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('drawing-bar')).toHaveCount(0)
  await saved(page)
  expect((await first(page, id)).passes[0].part).toBeUndefined()
})

test('where the colours of a base begin and end is dragged on the face', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Base')
  await page.getByRole('button', { name: 'Gull White', exact: true }).click()
  await page.getByRole('button', { name: 'Harbour Blue', exact: true }).click()
  await page.getByRole('button', { name: 'Lay this base' }).click()
  await painted(page)
  await saved(page)
  const { axis } = await first(page, id)
  expect(axis.kind).toBe('out')
  await drag(page, [axis.from, [20, -30]])
  await saved(page)
  const moved = (await first(page, id)).axis
  expect(Math.abs(moved.from[0] - 20)).toBeLessThan(2)
  expect(moved.reach).toBe(axis.reach)
  await page.getByLabel('How the colours run').selectOption('edge')
  await saved(page)
  expect((await first(page, id)).axis.kind).toBe('edge')
})

test('a look has variants, and a shorter version with its own time', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Line')
  await page.locator('[data-shape="teardrop"]').click()
  await painted(page)
  await page.locator('[data-shape="swirl"]').click()
  await painted(page)
  await page.getByRole('switch', { name: 'Can be left out when there is a queue' }).click()
  const time = () => page.getByTestId('time').innerText()
  const long = await time()
  await page.getByTestId('shorter').click()
  await expect.poll(time).not.toBe(long)
  await painted(page)
  await page.getByTestId('shorter').click()
  await expect.poll(time).toBe(long)
  await page.getByLabel('Variant that it belongs to').selectOption(' new')
  await page.getByRole('button', { name: 'with Swirl with a tail' }).click()
  await expect.poll(time).not.toBe(long)
  await saved(page)
  const kept = (await look(page, id)).look
  expect(kept.switches).toEqual([{ id: expect.any(String), name: 'with Swirl with a tail', on: false }])
  expect(kept.steps[1].switch).toBe(kept.switches[0].id)
})

test('the way of working is asked once, kept, and changes what the next stencil begins with', async ({
  page,
}) => {
  const id = await openNew(page)
  await page.getByTestId('ways-asked').getByRole('button', { name: 'Choose' }).click()
  await page.getByLabel('Tool through a stencil').selectOption('dauber')
  await expect(page.getByText('Other painters: makeup sponge; ordinary sponge, used very dry.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('ways-asked')).toHaveCount(0)
  await layScales(page)
  await saved(page)
  expect((await first(page, id)).passes[0].tool).toBe('dauber')
  expect(await (await page.request.get('/api/ways')).json()).toEqual({ tool: 'dauber' })
  const refused = await page.request.put('/api/ways', { data: { tool: 'roller' } })
  expect(refused.status()).toBe(422)
  expect(await refused.text()).toContain('must be makeup or dauber or openCell')
  await page.request.put('/api/ways', { data: {} })
})

test('a pass is compared with another way, and one press takes it', async ({ page }) => {
  const id = await openNew(page)
  await layScales(page)
  await page.getByLabel('Compare colour layer 1 with another way').click()
  const both = page.getByTestId('compare')
  await expect(both.getByRole('img')).toHaveCount(2, { timeout: 20_000 })
  await both.getByRole('button', { name: 'Take this one' }).click()
  await saved(page)
  expect((await first(page, id)).passes[0].tool).toBe('dauber')
})

test('a colour is swapped throughout, several steps are mirrored, and a tape is laid', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Line')
  await page.getByRole('switch', { name: 'New strokes get a twin' }).click()
  const spot = await screen(page, 40, 30)
  await page.mouse.click(spot.x, spot.y)
  await page.locator('[data-shape="teardrop"]').click()
  await painted(page)
  await page.locator('[data-shape="swirl"]').click()
  await painted(page)
  await page.keyboard.press('Control+a')
  await page.getByRole('button', { name: 'Mirror', exact: true }).click()
  await saved(page)
  const twins = (await look(page, id)).look.steps.map((s: { twin: { rule: string } }) => s.twin.rule)
  expect(twins).toEqual(['features', 'features'])
  await page.keyboard.press('Escape')
  await page.getByText('Swap a colour throughout').click()
  await page.getByTestId('scheme').getByRole('button').first().click()
  await page.getByRole('option', { name: 'Plum Dusk' }).click()
  await saved(page)
  const colours = (await look(page, id)).look.steps.map(
    (s: { load: { paint: { id: string } } }) => s.load.paint.id,
  )
  expect(colours).toEqual(['plum', 'plum'])
  await page.getByRole('button', { name: 'Tape' }).click()
  await drag(page, [
    [-20, 60],
    [20, 60],
  ])
  await expect(page.getByTestId('tape')).toContainText(/4\d\.\d mm, 1\.\d\d in, \d\.\d fingers/)
})
