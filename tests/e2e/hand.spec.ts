import { expect, test, type Page } from './site'
import { complaints, idOf, look, openBench, openNew, painted, saved } from './helpers'

/** What the stage tells of its picture: pixels across, millimetres across, and how many pixels a millimetre it wants. */
interface Fine { width: number, wide: number, fine: number }
const fine = (page: Page): Promise<Fine> => page.evaluate(() => (window as unknown as { faceStage: { picture: () => Fine } }).faceStage.picture())
/** Whether every pixel of the picture stands where the guides think it does. */
async function inRegister(page: Page): Promise<void> {
  await expect.poll(async () => {
    const { width, wide, fine: wanted } = await fine(page)
    return Math.abs(width / wide - wanted)
  }).toBeLessThan(0.02)
}
const tab = (page: Page, name: string) => page.getByRole('tab', { name }).click()

test('strokes are painted in a colour that was chosen before, and the look goes on', async ({ page }) => {
  const wrong = complaints(page)
  await openNew(page)
  await tab(page, 'Line')
  for (const paint of ['Mulberry', 'Gull White']) {
    await page.getByRole('button', { name: 'Colour of the next stroke' }).click()
    await page.getByRole('option').filter({ hasText: new RegExp(`^${paint}$`) }).first().click()
    await page.locator('[data-shape="teardrop"]').click()
    await painted(page)
  }
  await page.locator('[data-run="row"]').click()
  await painted(page)
  await saved(page)
  expect(wrong).toEqual([])
  await expect(page.getByRole('alert')).toHaveCount(0)
  const { look: kept } = await look(page, idOf(page))
  expect(kept.steps.map((s: { kind: string }) => s.kind)).toEqual(['line', 'line', 'dots'])
  expect(kept.steps[0].load.paint.name).toBe('Mulberry')
})

test('what fits ends its search when the zone is changed at once', async ({ page }) => {
  await openNew(page)
  await page.getByRole('button', { name: 'What fits', exact: true }).click()
  await page.getByLabel('Zone to fill').selectOption('right.cheek')
  await page.getByLabel('Zone to fill').selectOption('left.temple')
  await expect(page.getByRole('list', { name: 'What fits the left temple' }).locator('li').first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'Stop', exact: true })).toHaveCount(0)
})

test('the picture stays in register while the view changes quickly', async ({ page }) => {
  await openBench(page, 'plain-fern-stag?probe')
  await inRegister(page)
  expect((await fine(page)).fine).toBeGreaterThan(2)
  const zoom = page.getByRole('button', { name: 'Zoom in' })
  await page.locator('[data-step]').first().click()
  await page.keyboard.press('d')
  for (let n = 0; n < 3; n++) await zoom.click()
  await painted(page)
  await inRegister(page)
  const stage = (await page.getByTestId('stage').boundingBox())!
  await page.mouse.move(stage.x + 200, stage.y + 200)
  await page.mouse.wheel(0, -240)
  await page.keyboard.press('d')
  await page.mouse.wheel(0, 400)
  await page.keyboard.press('Shift+D')
  await painted(page)
  await inRegister(page)
})

test('a look of eighty steps says so instead of failing to save', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Line')
  await page.locator('[data-run="row"]').click()
  await saved(page)
  const { look: one, version } = await look(page, id), [dots] = one.steps
  const answer = await page.request.put(`/api/looks/${id}`, { data: { base: version, look: { ...one, steps: Array.from({ length: 80 }, (_, i) => ({ ...dots, id: `dot-${i}` })) } } })
  expect(answer.status()).toBe(200)
  await openBench(page, id)
  await page.locator('[data-step]').first().click()
  await page.getByRole('button', { name: 'Copy this step' }).click()
  await expect(page.getByText('A look has at most 80 steps')).toBeVisible()
  await expect(page.locator('[data-step]')).toHaveCount(80)
  await page.keyboard.press('ArrowUp')
  await saved(page)
})

test('an earlier version opens beside the present one', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Line')
  await page.locator('[data-shape="teardrop"]').click()
  await saved(page)
  await page.getByTitle('Earlier versions of this look').click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('listitem')).toHaveCount(2)
  await dialog.getByRole('button', { name: 'Open a copy' }).click()
  await expect(page.getByText('The build begins here')).toBeVisible()
  expect(idOf(page)).not.toBe(id)
  expect((await look(page, id)).look.steps).toHaveLength(1)
})

test('no demo look scrolls the bench into the blank', async ({ page }) => {
  const looks = (await (await page.request.get('/api/looks')).json() as { id: string }[]).filter(l => l.id.startsWith('demo-'))
  expect(looks.length).toBeGreaterThan(8)
  for (const { id } of looks) {
    await page.goto(`/looks/${id}`)
    await expect(page.locator('[data-step]').first()).toBeVisible()
    const over = await page.evaluate(() => [document.documentElement.scrollWidth - window.innerWidth, document.documentElement.scrollHeight - window.innerHeight])
    expect(over, id).toEqual([0, 0])
  }
})

test('every palette and popover opens whole inside the window', async ({ page }) => {
  await openNew(page)
  const inside = async () => {
    const box = (await page.locator('[data-floating]').boundingBox())!
    expect(box.x).toBeGreaterThanOrEqual(0)
    expect(box.y).toBeGreaterThanOrEqual(0)
    expect(box.x + box.width).toBeLessThanOrEqual(1280)
    expect(box.y + box.height).toBeLessThanOrEqual(800)
    // Whatever shows is not covered by anything: the middle of every corner cell takes the press.
    for (const [x, y] of [[box.x + 12, box.y + 12], [box.x + box.width - 24, box.y + 12], [box.x + 12, box.y + box.height - 12], [box.x + box.width - 24, box.y + box.height - 12]] as const) {
      expect(await page.evaluate(([a, b]) => Boolean(document.elementFromPoint(a!, b!)?.closest('[data-floating]')), [x, y])).toBe(true)
    }
  }
  for (const name of [/^skin/, 'Export']) {
    await page.getByRole('button', { name }).click()
    await inside()
    await page.keyboard.press('Escape')
  }
  await page.locator('[data-sheet]').first().click()
  await painted(page)
  await page.getByRole('button', { name: 'Test on the back of the hand' }).click()
  await inside()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Colour of pass 1' }).click()
  await inside()
  await page.keyboard.press('Escape')
  await tab(page, 'Line')
  await page.getByRole('button', { name: 'Colour of the next stroke' }).click()
  await inside()
  await page.keyboard.press('Escape')
  await page.locator('[data-shape="band"]').click()
  await page.getByLabel('How the brush is loaded').selectOption('double')
  await page.getByRole('button', { name: 'Light edge' }).click()
  await inside()
  await page.locator('[data-floating] [role="option"]').last().click()
  await painted(page)
})
