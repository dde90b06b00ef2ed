import { expect, test, type Page } from './site'
import { PDFDocument } from 'pdf-lib'
import { complaints, difference, look, openBench, openNew, painted, saved } from './helpers'

async function withSheet(page: Page, sheet: string): Promise<string> {
  const id = await openNew(page)
  await page.locator(`[data-sheet="${sheet}"]`).press('Enter')
  await expect(page.locator('[data-step]')).toHaveCount(1)
  await painted(page)
  return id
}
const pass = async (page: Page, id: string, n = 0) => (await look(page, id)).look.steps[n].passes[0]
/** Text that may change while the worker still checks is waited for this long. */
const SOON = { timeout: 15_000 }

test('runny paint is seen to bleed, told in numbers, and one press makes it clean again', async ({
  page,
}) => {
  const wrong = complaints(page)
  const id = await withSheet(page, 'scales')
  await expect(page.getByTestId('spread')).toContainText('0.', SOON)
  const clean = await page.getByTestId('stage').screenshot()
  await page.getByRole('radio', { name: 'runny' }).click()
  await painted(page)
  const finding = page.locator('[data-finding="bleed"]')
  await expect(finding).toContainText(/Problem Bleeding closes \d+ bridges/, SOON)
  await expect(page.getByTestId('findings')).toContainText('problem')
  await expect(page.getByTestId('spread')).toContainText('bridges close')
  expect(difference(clean, await page.getByTestId('stage').screenshot())).toBeGreaterThan(0.02)
  await finding.getByRole('button').click()
  await painted(page)
  await expect(finding).toHaveCount(0, SOON)
  await saved(page)
  expect((await pass(page, id)).wetness).not.toBe('runny')
  await page.keyboard.press('Control+z')
  await saved(page)
  expect((await pass(page, id)).wetness).toBe('runny')
  expect(wrong).toEqual([])
})

test('a print that gets lost says so, and another paint of the kit is one press away', async ({ page }) => {
  const id = await withSheet(page, 'moth')
  await page.getByRole('button', { name: /^Colour of layer 1:/ }).click()
  await page.getByRole('option', { name: 'Warm Sand' }).click()
  await painted(page)
  await expect(page.getByTestId('shows')).toContainText(/tone on tone|lost|readable/, SOON)
  const before = (await pass(page, id)).load.paint.id
  await page.locator('[data-finding="contrast"]').first().getByRole('button').click()
  await painted(page)
  await expect(page.getByTestId('shows')).toContainText(/readable|across the room/, SOON)
  await saved(page)
  expect((await pass(page, id)).load.paint.id).not.toBe(before)
})

test('a pass takes a split cake, a colour over another, and what is left on the tool', async ({ page }) => {
  const wrong = complaints(page)
  const id = await withSheet(page, 'honeycomb')
  const shot = () => page.getByTestId('stage').screenshot()
  const one = await shot()
  const loaded = page.getByLabel('Colour of layer 1, how it is loaded')
  await loaded.selectOption('cake')
  await painted(page)
  const cake = await shot()
  expect(difference(one, cake)).toBeGreaterThan(0.01)
  await page.getByRole('button', { name: 'down', exact: true }).click()
  await painted(page)
  expect(difference(cake, await shot())).toBeGreaterThan(0.005)
  await loaded.selectOption('over')
  await page.getByRole('switch', { name: /left on the tool/ }).click()
  await painted(page)
  await saved(page)
  expect(await pass(page, id)).toMatchObject({ charge: 0.35, load: { kind: 'over' } })
  await page.reload()
  await painted(page)
  await expect(page.locator('[data-step]')).toHaveCount(1)
  expect(wrong).toEqual([])
})

test('a stencil on a wet base is stopped, and a gate stands in the strip once it may dry', async ({
  page,
}) => {
  await openBench(page, 'plain-midnight-moth')
  await expect(page.locator('[data-gate]').first()).toContainText(/wait \d+ s/)
  await page.locator('[data-step="mm2"]').click()
  await page.getByRole('switch', { name: 'Let what lies beneath dry first' }).click()
  await expect(page.locator('[data-finding="wetGround"]')).toContainText('Laid on a wet base', SOON)
  await page.getByTestId('findings').click()
  await expect(page.getByRole('dialog')).toContainText('Laid on a wet base')
  await page.getByRole('dialog').getByRole('button', { name: 'Let it dry first' }).click()
  await expect(page.getByRole('dialog').locator('[data-finding="wetGround"]')).toHaveCount(0, SOON)
})

test('the same look is tried on six skins, each with its weakest step', async ({ page }) => {
  await openBench(page, 'plain-fern-stag')
  await page.getByRole('button', { name: 'Try on other skins' }).click()
  const row = page.getByTestId('six-skins')
  await expect(row.locator('figure')).toHaveCount(6, { timeout: 40_000 })
  for (const words of ['very light', 'light', 'intermediate', 'tan', 'brown', 'dark'])
    await expect(row.getByRole('img', { name: `The look on ${words} skin`, exact: true })).toBeVisible()
  await expect(row.locator('figcaption').first()).toContainText(/weakest \d .*: \d+, /)
  await row.getByRole('button', { name: 'Use this skin' }).last().click()
  await saved(page)
  expect((await look(page, 'plain-fern-stag')).look.skin.colour).toBe('#4f3222')
  await page.keyboard.press('Control+z')
  await saved(page)
})

test('the hand test shows what each wetness should look like', async ({ page }) => {
  await withSheet(page, 'moth')
  await page.getByRole('button', { name: 'Test on the back of the hand' }).click()
  const panel = page.getByTestId('hand-test')
  await expect(panel).toContainText('a closed, even print')
  for (const w of ['chalky', 'tacky', 'damp', 'runny'])
    await expect(panel.getByRole('img', { name: `A ${w} print` })).toBeVisible()
})

test('what a look takes of each paint is told, with its cost', async ({ page }) => {
  await openBench(page, 'plain-tide-queen')
  const amounts = page.getByTestId('amounts')
  await expect(amounts).toContainText(/Paint for this look: \d\.\d g/)
  await amounts.locator('summary').click()
  await expect(amounts.locator('li').first()).toContainText(/\d\.\d\d g/)
})

test('paints are made, read, changed and taken out; what cannot be is refused with a sentence', async ({
  page,
}) => {
  const wrong = complaints(page)
  await page.goto('/kit')
  await expect(page.locator('[data-paint]').nth(30)).toBeVisible()
  await page.getByRole('button', { name: 'Add paint' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Test Teal')
  await page.getByLabel('Swatch over black').fill('#102830')
  await page.getByLabel('Swatch over white').fill('#2a7f86')
  await page.getByLabel('Swatch over white').blur()
  await expect(page.getByTestId('hiding')).toContainText(/Hiding \d+\.\d %: sheer/)
  await page.getByRole('button', { name: 'Save' }).click()
  const mine = page.locator('[data-paint]', { hasText: 'Test Teal' })
  await expect(mine).toBeVisible()
  await mine.click()
  await page.getByLabel('Swatch over black').fill('#ffffff')
  await page.getByLabel('Swatch over black').blur()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('alert')).toContainText('cannot be lighter than over white')
  await page.getByRole('button', { name: 'Read (simulated reader)' }).click()
  await expect(page.getByLabel('Swatch over black')).toHaveValue(/^#(0f|10|11)(27|28|29)(2f|30|31)$/)
  await page.getByRole('button', { name: 'Save' }).click()
  // The editor closes once it is kept; what is opened before that would close with it.
  await expect(page.getByText('Choose a paint to see and change')).toBeVisible()
  await mine.click()
  await page.getByRole('button', { name: 'Delete', exact: true }).click()
  await expect(mine).toHaveCount(0)
  expect(wrong).toEqual([])
})

test('a swatch is picked from a picture of a card', async ({ page }) => {
  await page.goto('/kit')
  await page.locator('[data-paint="kelp"]').click()
  const card = await page.evaluate(() => {
    const c = document.createElement('canvas')
    c.width = 200
    c.height = 100
    const t = c.getContext('2d')!
    t.fillStyle = '#804020'
    t.fillRect(0, 0, 100, 100)
    t.fillStyle = '#c08060'
    t.fillRect(100, 0, 100, 100)
    return c.toDataURL('image/png').split(',')[1]!
  })
  await page
    .getByLabel('Picture of a swatch card')
    .setInputFiles({ name: 'card.png', mimeType: 'image/png', buffer: Buffer.from(card, 'base64') })
  const picture = page.locator('form canvas')
  await picture.click({ position: { x: 150, y: 40 } })
  await expect(page.getByLabel('Swatch over white')).toHaveValue('#c08060')
  await picture.click({ position: { x: 40, y: 40 } })
  await expect(page.getByLabel('Swatch over black')).toHaveValue('#804020')
  await page
    .getByLabel('Picture of a swatch card')
    .setInputFiles({ name: 'card.png', mimeType: 'image/png', buffer: Buffer.from('no picture') })
  await expect(page.getByText('This is no picture that can be read')).toBeVisible()
})

test('palettes leave as GPL and CSV and come in again', async ({ page }) => {
  await page.goto('/kit')
  const gpl = await (await page.request.get('/api/paints/palette?as=gpl')).text()
  expect(gpl).toContain('GIMP Palette')
  expect(gpl).toMatch(/244 241 234\tGull White/)
  expect(await (await page.request.get('/api/paints/palette?as=csv')).text()).toContain('Gull White,#F4F1EA')
  await expect(page.locator('[data-paint]').nth(30)).toBeVisible()
  const before = await page.locator('[data-paint]').count()
  await page.getByLabel('Palette file').setInputFiles({
    name: 'p.gpl',
    mimeType: 'text/plain',
    buffer: Buffer.from(`${gpl}12 34 56\tDeep Test\n`),
  })
  await expect(page.locator('[data-paint]')).toHaveCount(before + 1)
  await page
    .getByLabel('Palette file')
    .setInputFiles({ name: 'p.gpl', mimeType: 'text/plain', buffer: Buffer.from('dear painter') })
  await expect(page.getByText(/This is no palette/)).toBeVisible()
  await page.locator('[data-paint]', { hasText: 'Deep Test' }).click()
  await page.getByRole('button', { name: 'Delete', exact: true }).click()
  await expect(page.locator('[data-paint]')).toHaveCount(before)
})

test('readings of the ladder move the model, with mean, count and spread; the ladder prints on one A4', async ({
  page,
}) => {
  await page.goto('/kit')
  await page.getByRole('tab', { name: 'Tools and calibration' }).click()
  const cell = page.locator('[data-edge="dauber damp"]')
  await expect(cell).toHaveText('0.50')
  await cell.click()
  for (const value of ['1.8', '2.2']) {
    await page.getByLabel('Narrowest bridge still clear, mm').selectOption(value)
    await page.getByRole('button', { name: 'Keep this reading' }).click()
    await expect(page.getByLabel('Narrowest bridge still clear, mm')).toHaveValue('choose')
  }
  await expect(page.getByTestId('edge-known')).toContainText(
    '1.00 mm from 2 readings, give or take 0.14 mm; it was 0.50 mm',
  )
  await expect(cell).toHaveText('1.00×2')
  const back = page.getByRole('button', { name: 'Take this reading back' })
  for (const left of [1, 0]) {
    await back.first().click()
    await expect(back).toHaveCount(left)
  }
  await expect(cell).toHaveText('0.50')
  const pdf = await PDFDocument.load(await (await page.request.get('/api/ladder/pdf')).body())
  expect(pdf.getPageCount()).toBe(1)
  expect(await (await page.request.get('/api/ladder/svg')).text()).toContain('width="72mm"')
  expect(
    (
      await page.request.post('/api/readings/edges', {
        data: { tool: 'dauber', wetness: 'damp', bridge: 90 },
      })
    ).status(),
  ).toBe(422)
})

test('what a tool lets go, holds and how wide it is can be read without scales, and looks follow', async ({
  page,
}) => {
  // The house paints all its pictures anew, three times: about half a minute each with two cores to itself.
  test.setTimeout(420_000)
  await page.goto('/kit')
  await page.getByRole('tab', { name: 'Tools and calibration' }).click()
  const form = page.getByRole('form', { name: 'Reading of a tool' })
  const keep = form.getByRole('button', { name: 'Keep this reading' })
  const release = page.locator('[data-tool="makeup release"]')
  const capacity = page.locator('[data-tool="makeup capacity"]')
  const tip = page.locator('[data-tool="makeup tip"]')
  await expect(release).toHaveText('0.35 mg/cm²')
  const seconds = async () =>
    ((await (await page.request.get('/api/looks')).json()) as { seconds: number }[]).reduce(
      (sum, l) => sum + l.seconds,
      0,
    )
  /** The gallery once every picture, and so every look's time, is of the kit as it is now. */
  const settled = () =>
    expect
      .poll(
        async () =>
          (await (await page.request.get('/api/looks')).json()).some((l: { awaits: boolean }) => l.awaits),
        {
          timeout: 150_000,
        },
      )
      .toBe(false)
  await settled()
  const before = await seconds()
  await release.click()
  await form.getByRole('radio', { name: 'damp' }).click()
  await form.getByLabel('Layers until the line is hidden').fill('6')
  await expect(form).toContainText('That gives 0.50 mg/cm²')
  await keep.click()
  await expect(page.getByTestId('tool-known')).toContainText('0.50 mg/cm² from 1 reading; it was 0.35 mg/cm²')
  await capacity.click()
  await form.getByLabel('Area from one load, cm²').fill('60')
  await keep.click()
  await expect(capacity).toHaveText('50 mg×1')
  // A sponge that holds a fifth is loaded more often.
  await settled()
  expect(await seconds()).toBeGreaterThan(before + 3)
  await tip.click()
  await form.getByLabel('Print across, mm').fill('900')
  await keep.click()
  await expect(page.getByText('must be at most 120 mm')).toBeVisible()
  await expect(form.getByLabel('Print across, mm')).toHaveValue('900')
  await expect(tip).toHaveText('30 mm')
  for (const cell of [release, capacity]) {
    await cell.click()
    await page.getByRole('button', { name: 'Take this reading back' }).click()
  }
  await expect(release).toHaveText('0.35 mg/cm²')
  await expect(capacity).toHaveText('250 mg')
  await settled()
  expect(await seconds()).toBeCloseTo(before, 6)
})
