import { expect, test } from './site'
import { complaints, look, openBench, painted, saved } from './helpers'

const svg = (body: string, head = 'width="80mm" height="80mm" viewBox="0 0 80 80"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${body}</svg>`
const file = (name: string, text: string) => ({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(text) })

test('the drawer filters its stencils and opens one with its measures', async ({ page }) => {
  const wrong = complaints(page)
  await page.goto('/drawer')
  await expect(page.getByRole('status')).toContainText(/\d+ of \d+ stencils/)
  await page.getByLabel('Kind').selectOption('full face')
  await expect(page.locator('[data-sheet]')).toHaveCount(3)
  await page.getByRole('button', { name: 'Clear' }).click()
  await page.getByLabel('Finest detail').selectOption('1.5')
  await page.getByLabel('Zone').selectOption('cheek')
  await expect(page.locator('[data-sheet="leaf-spray"]')).toHaveCount(0)
  await page.getByRole('button', { name: 'Clear' }).click()
  await page.getByLabel('Search stencils').fill('honey')
  await page.locator('[data-sheet="honeycomb"]').click()
  await expect(page.getByRole('definition').filter({ hasText: '1.50 mm' })).toBeVisible()
  await expect(page.getByText('upright, across')).toBeVisible()
  await expect(page.getByText(/9\.60 and 9\.60 mm/)).toBeVisible()
  await expect(page.getByText('One piece: nothing falls out')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Plain Hive Keeper' }).first()).toBeVisible()
  await page.getByLabel('Copies owned').fill('3')
  await page.getByLabel('Copies owned').blur()
  await page.getByRole('button', { name: 'Today' }).click()
  await page.reload()
  await expect(page.getByLabel('Copies owned')).toHaveValue('3')
  await expect(page.getByLabel('Last cleaned')).not.toHaveValue('')
  expect(wrong).toEqual([])
})

test('files are taken in together, each with its own sentence, and asked for their size', async ({
  page,
}) => {
  await page.goto('/drawer')
  const before = (await (await page.request.get('/api/stencils')).json()).length
  await page.getByRole('button', { name: 'Import stencils' }).click()
  await page.getByLabel('Stencil files').setInputFiles([
    file('good-star.svg', svg('<path d="M40 10L50 35L75 40L50 45L40 70L30 45L5 40L30 35Z"/>')),
    file('not.svg', 'hello'),
    file('sizeless.svg', svg('<circle cx="20" cy="20" r="8"/>', 'viewBox="0 0 40 40"')),
    file('open.svg', svg('<path fill="none" stroke="red" d="M10 10h20v20"/>')),
    {
      name: 'binary.dxf',
      mimeType: 'image/vnd.dxf',
      buffer: Buffer.from('AutoCAD Binary DXF\r\n\u001a\0'),
    },
  ])
  await expect(page.getByLabel('good-star.svg', { exact: true })).toContainText('80.0 × 80.0 mm, 1 opening')
  await expect(page.getByLabel('not.svg', { exact: true })).toContainText('neither an SVG nor a DXF')
  await expect(page.getByLabel('open.svg', { exact: true })).toContainText('open by')
  await expect(page.getByLabel('binary.dxf', { exact: true })).toContainText('binary DXF')
  const sizeless = page.getByLabel('sizeless.svg', { exact: true })
  await expect(sizeless).toContainText('no real size')
  await expect(sizeless.getByRole('button', { name: 'Add to the drawer' })).toBeDisabled()
  await sizeless.getByLabel('Real width of sizeless.svg, mm').fill('60')
  await sizeless.getByLabel('Real width of sizeless.svg, mm').blur()
  await expect(sizeless).toContainText('60.0 × 60.0 mm')
  await page.getByRole('button', { name: 'Add all 2' }).click()
  await expect(page.getByText('In the drawer')).toHaveCount(2)
  const after = await (await page.request.get('/api/stencils')).json()
  expect(after).toHaveLength(before + 2)
  expect(after.at(-1)).toMatchObject({ name: 'sizeless', width: 60, height: 60 })
})

test('a draft is mended into a new stencil that cuts in one piece; the old one stays', async ({ page }) => {
  await page.goto('/drawer/wheel-draft')
  await expect(page.getByText('Problem: 2 loose pieces fall out')).toBeVisible()
  await page.getByRole('switch', { name: /Widen \d+ bridges/ }).click()
  await expect(page.getByText(/^0 loose pieces, narrowest bridge (0\.[89]|1)/)).toBeVisible({
    timeout: 15_000,
  })
  await page.getByRole('button', { name: 'Keep as a new stencil' }).click()
  await expect(page.getByRole('heading', { name: 'Lantern Wheel, draft, repaired' })).toBeVisible()
  await expect(page.getByText('One piece: nothing falls out')).toBeVisible()
  await page.getByRole('tab', { name: 'Cutter' }).click()
  await page.getByLabel('Cut from').selectOption('dxf')
  await page.getByRole('button', { name: 'Send to the simulated cutter' }).click()
  await expect(page.getByText('Nothing falls out.', { exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'Lantern Wheel, draft', exact: true }).click()
  await expect(page.getByText('Problem: 2 loose pieces fall out')).toBeVisible()
})

test('groups are made by clicking openings, and a pass can use one', async ({ page }) => {
  await page.goto('/drawer/moth')
  await page.getByRole('tab', { name: 'Groups' }).click()
  await page.getByRole('button', { name: 'New group' }).click()
  const last = page.getByLabel(/Name of group/).last()
  await last.fill('upper wings')
  await last.blur()
  await page.locator('[data-opening="3"]').click()
  await expect(page.getByRole('button', { name: '2 openings', pressed: true })).toBeVisible()

  await openBench(page, 'plain-midnight-moth')
  await page.locator('[data-step="mm3"]').click()
  await page.getByLabel('Openings of layer 1').selectOption('group:upper wings')
  await saved(page)
  expect((await look(page, 'plain-midnight-moth')).look.steps[2].passes[0].openings).toEqual({
    use: 'group',
    name: 'upper wings',
  })
  await page.getByRole('button', { name: 'Choose' }).click()
  const stage = (await page.getByTestId('stage').boundingBox())!
  await page.mouse.click(stage.x + stage.width / 2 + 9 + 25, stage.y + 225)
  await saved(page)
  expect((await look(page, 'plain-midnight-moth')).look.steps[2].passes[0].openings.use).toBe('chosen')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await saved(page)
})

test('the tray ranks what fits a zone and a picked spot, and lays the chosen stencil there', async ({
  page,
}) => {
  await openBench(page, 'plain-fern-stag')
  await page.getByRole('radio', { name: 'What fits' }).click()
  const fits = page.locator('[data-fit]')
  await expect(fits.first()).toBeVisible({ timeout: 20_000 })
  await expect(fits.first()).toContainText('even on the midline')
  await page.getByLabel('Zone to fill').selectOption('right.cheek')
  await expect(fits.first()).not.toContainText('even on the midline')
  const stage = (await page.getByTestId('stage').boundingBox())!
  await page.mouse.click(stage.x + stage.width / 2 + 9, stage.y + stage.height - 90)
  await expect(page.getByText('Spot picked: chin')).toBeVisible()
  await expect(
    page.getByRole('list', { name: 'What fits the picked spot' }).locator('li').first(),
  ).toBeVisible()
  await fits.first().click()
  await painted(page)
  await expect(page.locator('[data-step]')).toHaveCount(5)
  await expect.poll(async () => Number(await page.getByLabel('Down, mm').inputValue())).toBeGreaterThan(70)
  await page.keyboard.press('Control+z')
  await saved(page)
})
