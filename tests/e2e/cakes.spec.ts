import { expect, test, type Page } from './site'
import { complaints } from './helpers'

const samples = (page: Page) => page.getByTestId('sample')
const add = (page: Page, id: string) => page.locator(`[data-cut="${id}"]`).click()
const paintOf = async (page: Page, id: string) =>
  ((await (await page.request.get('/api/paints')).json()) as { id: string; grams: number | null }[]).find(
    p => p.id === id,
  )!
const openCakes = async (page: Page) => {
  await page.goto('/kit')
  await page.getByRole('tab', { name: 'Strip cakes' }).click()
  await expect(samples(page).nth(2)).toBeVisible()
}
/** The picture of a sample once it is another one. */
async function repainted(page: Page, n: number, before: string | null): Promise<string> {
  const img = samples(page).nth(n).locator('img')
  await expect(img).toBeVisible()
  if (before) await expect(img).not.toHaveAttribute('src', before)
  return (await img.getAttribute('src'))!
}

test('strips are tried side by side: pressed in, widened, moved, taken out, and mud is told', async ({
  page,
}) => {
  const wrong = complaints(page)
  await openCakes(page)
  await repainted(page, 0, null)
  // The demo's first cake turns to mud, and its best order does not.
  const first = samples(page).first()
  await expect(first.locator('[data-verdict="mud"]')).toHaveCount(1)
  await first.getByRole('button', { name: 'Best order' }).click()
  await expect(first.locator('[data-verdict="mud"]')).toHaveCount(0)

  await page.getByRole('button', { name: 'Another sample' }).click()
  await expect(samples(page)).toHaveCount(4)
  const mine = samples(page).nth(3)
  for (const id of ['gull', 'beacon', 'dusk']) await add(page, id)
  await expect(mine.locator('[data-verdict]')).toHaveCount(2)
  await expect(mine.locator('[data-verdict="mud"]')).toContainText('Beacon Yellow and Dusk Violet')
  let src = await repainted(page, 3, null)

  await mine.getByRole('button', { name: /^Strip 2: Beacon Yellow/ }).click()
  await mine.getByLabel('Width of Beacon Yellow, mm').fill('12')
  await mine.getByLabel('Width of Beacon Yellow, mm').press('Enter')
  await expect(mine).toContainText('24 mm wide; the brush takes 19 mm of it')
  src = await repainted(page, 3, src)
  await mine.getByRole('button', { name: 'Strip to the right' }).click()
  await expect(mine.getByRole('button', { name: /^Strip 3: Beacon Yellow, 12 mm/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  src = await repainted(page, 3, src)
  await mine.getByRole('button', { name: 'Take the strip out' }).click()
  await expect(mine.getByRole('button', { name: /^Strip \d/ })).toHaveCount(2)
  await page.keyboard.press('Control+z')
  await expect(mine.getByRole('button', { name: /^Strip \d/ })).toHaveCount(3)

  src = await repainted(page, 3, null)
  await page.getByRole('radio', { name: 'until soft' }).click()
  src = await repainted(page, 3, src)
  await page.getByRole('button', { name: 'Try on dark skin' }).click()
  await repainted(page, 3, src)

  // What was tried is there again later.
  await expect.poll(async () => (await (await page.request.get('/api/settings/cakes')).json()).length).toBe(4)
  await page.reload()
  await page.getByRole('tab', { name: 'Strip cakes' }).click()
  await expect(samples(page)).toHaveCount(4)
  await expect(
    samples(page)
      .nth(3)
      .getByRole('button', { name: /^Strip \d/ }),
  ).toHaveCount(3)
  expect(wrong).toEqual([])
})

test('a paint is dragged onto a cake, and a strip to another place', async ({ page }) => {
  await openCakes(page)
  const second = samples(page).nth(1)
  const strips = second.getByRole('button', { name: /^Strip \d/ })
  await expect(strips).toHaveCount(5)
  const from = page.locator('[data-cut="ember"]')
  await from.dragTo(strips.nth(1))
  await expect(strips).toHaveCount(6)
  await expect(second.getByRole('button', { name: /^Strip \d: Ember Orange/ })).toHaveCount(1)
  // The paint itself stays on the wall.
  await expect(from).toBeVisible()
})

test('a cake is kept to make with what to cut, used in looks, and made', async ({ page }) => {
  await openCakes(page)
  await samples(page).nth(2).getByRole('button', { name: 'Keep to make…' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Name').fill('Rose Lantern')
  await dialog.getByLabel('Depth of the cake, mm').fill('10')
  // 6 x 40 x 10 mm of 1.5 g/cm3, and a tenth.
  await expect(dialog.getByRole('row', { name: /Sea Thrift Pink/ })).toContainText('4.0')
  await dialog.getByRole('button', { name: 'Keep to make', exact: true }).click()
  await expect(dialog).toBeHidden()
  const card = page.getByRole('region', { name: 'To make: Rose Lantern' })
  await expect(card).toContainText('40 mm long, 10 mm deep')

  const before = (await paintOf(page, 'thrift')).grams!
  await card.getByRole('button', { name: 'It is made' }).click()
  await expect(card).toBeHidden()
  expect((await paintOf(page, 'thrift')).grams).toBeCloseTo(before - 4, 6)
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click()
  await expect(card).toBeVisible()
  expect((await paintOf(page, 'thrift')).grams).toBe(before)
  await page.getByRole('tab', { name: 'Paints' }).click()
  await expect(page.getByRole('button', { name: /Rose Lantern/ })).toContainText('to make, 5 strips')
})
