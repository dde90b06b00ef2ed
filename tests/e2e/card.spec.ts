import { expect, test, type Page } from './site'
import { PNG } from 'pngjs'
import { readFileSync } from 'node:fs'
import { drawn, complaints, difference, look, openBench, openNew, painted, saved } from './helpers'

const steps = async (page: Page, id: string) => (await look(page, id)).look.steps

test('a base takes zones, colours, an axis, a tool, wetness, layers and glitter', async ({ page }) => {
  const wrong = complaints(page)
  const id = await openNew(page)
  await page.getByRole('tab', { name: 'Base' }).click()
  await expect(page.getByRole('button', { name: 'Lay this base' })).toBeDisabled()
  // The first place that is pressed takes the place of the one that nobody has chosen.
  await page.getByRole('button', { name: 'Cheeks', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Forehead', exact: true })).toHaveAttribute(
    'aria-pressed',
    'false',
  )
  await page.getByRole('button', { name: 'Forehead', exact: true }).click()
  await page.getByRole('button', { name: 'Sea Thrift Pink', exact: true }).click()
  await page.getByRole('button', { name: 'Lay this base' }).click()
  const card = page.getByRole('complementary', { name: 'Step card' })
  await expect(card.getByLabel('Name of the step')).toHaveValue('Base, forehead and cheeks')

  await card.getByRole('button', { name: 'forehead' }).click()
  await card.getByRole('button', { name: 'Another colour' }).click()
  await card.getByRole('button', { name: /^Colour 2:/ }).click()
  await page.getByRole('option', { name: 'Mulberry' }).click()
  await card.getByLabel('How the colours run').selectOption('down')
  await card.getByLabel('Tool').selectOption('petal')
  await card.getByRole('radio', { name: 'runny' }).click()
  await card.getByRole('button', { name: 'more Layers' }).click()
  await card.getByRole('switch', { name: 'Fine glitter while wet' }).click()
  await card.getByRole('switch', { name: /left out/ }).click()
  await saved(page)
  expect((await steps(page, id))[0]).toMatchObject({
    kind: 'wash',
    zones: ['left.cheek', 'right.cheek'],
    points: [],
    tool: 'petal',
    wetness: 'runny',
    dabs: 3,
    glitter: true,
    optional: true,
    colours: [{ name: 'Sea Thrift Pink' }, { name: 'Mulberry' }],
    axis: { kind: 'line' },
  })
  await card.getByRole('button', { name: 'Take colour 1 out' }).click()
  await saved(page)
  expect((await steps(page, id))[0].colours).toHaveLength(1)
  for (const b = page.getByRole('button', { name: 'Undo' }); await b.isEnabled();) await b.click()
  await expect(page.locator('[data-step]')).toHaveCount(0)
  for (const b = page.getByRole('button', { name: 'Redo' }); await b.isEnabled();) await b.click()
  await saved(page)
  expect((await steps(page, id))[0].colours).toHaveLength(1)
  expect(wrong).toEqual([])
})

test('Enter on a stencil lays it on the picked spot; numbers typed in place it', async ({ page }) => {
  const id = await openNew(page)
  const stage = (await page.getByTestId('stage').boundingBox())!
  await page.mouse.click(stage.x + stage.width / 2 + 9 + 95, stage.y + 385)
  await expect(page.getByText('Spot picked: left cheek')).toBeVisible()
  await page.getByLabel('Search stencils').fill('paw')
  await page.locator('[data-sheet="paw-set"]').focus()
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-step]')).toHaveCount(1)
  await saved(page)
  const [paw] = await steps(page, id)
  expect(paw.at[0]).toBeGreaterThan(25)
  expect(paw.at[1]).toBeGreaterThan(20)
  await page.getByLabel('Across, mm').fill('-40.5')
  await page.getByLabel('Across, mm').blur()
  await page.getByLabel('Tilt, degrees').fill('30')
  await page.getByLabel('Tilt, degrees').blur()
  await expect(page.getByTestId('where')).toContainText(
    /40\.5 mm \(2½ fingers\) to their right of the midline\. Top at 1 o'clock/,
  )
  // A number out of bounds changes nothing.
  await page.getByLabel('Across, mm').fill('9000')
  await page.getByLabel('Across, mm').blur()
  await saved(page)
  expect((await steps(page, id))[0]).toMatchObject({ at: [-40.5, paw.at[1]], tilt: 30 })
})

test('a stencil is turned and flipped by its handles', async ({ page }) => {
  const id = await openNew(page)
  await page.goto(`/looks/${id}?probe`)
  await painted(page)
  await page.getByLabel('Search stencils').fill('heart')
  await page.locator('[data-sheet="heart-crest"]').click()
  await expect(page.locator('[data-step]')).toHaveCount(1)
  await painted(page)
  const stage = (await page.getByTestId('stage').boundingBox())!
  await saved(page)
  // It was shifted to where it touches the skin, on the midline; turning and flipping leave it there.
  const { at } = (await steps(page, id))[0] as { at: [number, number] }
  expect(at[0]).toBe(0)
  // The shape of the sheet comes when it is first laid; until then there is nothing to take hold of.
  const found = await page.waitForFunction(() =>
    (
      window as unknown as {
        faceStage: { handles: () => { turn: number[]; flip: number[]; middle: number[] } | null }
      }
    ).faceStage.handles(),
  )
  const handles = (await found.jsonValue())!
  await page.mouse.move(stage.x + handles.turn[0]!, stage.y + handles.turn[1]!)
  await page.mouse.down()
  await page.mouse.move(stage.x + handles.middle[0]! + 150, stage.y + handles.middle[1]!, { steps: 8 })
  await page.mouse.up()
  await expect(page.getByLabel('Tilt, degrees')).toHaveValue('90')
  await page.getByLabel('Tilt, degrees').fill('0')
  await page.getByLabel('Tilt, degrees').blur()
  await page.mouse.click(stage.x + handles.flip[0]!, stage.y + handles.flip[1]!)
  await saved(page)
  expect((await steps(page, id))[0]).toMatchObject({ side: 'B', tilt: 0, at })
})

test('the skin changes on the face, and with it the picture', async ({ page }) => {
  await openBench(page, 'plain-fern-stag')
  const before = await page.getByTestId('stage').screenshot()
  await page.getByRole('button', { name: /^skin/ }).click()
  await page.getByRole('button', { name: 'Skin dark', exact: true }).click()
  await page.getByRole('switch', { name: 'Eyes closed' }).click()
  await page.keyboard.press('Escape')
  await painted(page)
  await expect
    .poll(async () => difference(before, await page.getByTestId('stage').screenshot()))
    .toBeGreaterThan(0.15)
  const undo = page.getByRole('button', { name: 'Undo' })
  for (; await undo.isEnabled(); await drawn(page)) await undo.click()
  await saved(page)
  expect((await look(page, 'plain-fern-stag')).look.skin).toMatchObject({ colour: '#c58e66', eyes: 'open' })
})

test('stubble grows, oily skin is told of, and both are kept with the look', async ({ page }) => {
  await openBench(page, 'plain-midnight-moth')
  await page.getByRole('button', { name: /^skin/ }).click()
  const before = await page.getByTestId('stage').screenshot()
  await page.getByLabel('Beard').selectOption('stubble')
  await page.getByRole('switch', { name: 'Oily or sweaty' }).click()
  await painted(page)
  await expect
    .poll(async () => difference(before, await page.getByTestId('stage').screenshot()))
    .toBeGreaterThan(0.01)
  await page.keyboard.press('Escape')
  await saved(page)
  expect((await look(page, 'plain-midnight-moth')).look.skin).toMatchObject({ beard: 'stubble', oily: true })
  await page
    .getByRole('button', { name: /warning|tip|problem/ })
    .first()
    .click()
  await expect(page.getByRole('dialog')).toContainText('Oily or sweaty skin')
})

test('guides and rulers go away, inches come, and the view zooms', async ({ page }) => {
  await openBench(page, 'plain-midnight-moth')
  const stage = page.getByTestId('stage')
  const shown = await stage.screenshot()
  await page.getByRole('button', { name: 'Guides' }).click()
  const bare = await stage.screenshot()
  expect(difference(shown, bare)).toBeGreaterThan(0.0005)
  await page.getByRole('button', { name: 'Zoom in' }).click()
  await expect.poll(async () => difference(bare, await stage.screenshot())).toBeGreaterThan(0.2)
  await page.getByRole('button', { name: 'Zoom out' }).click()
  await page.keyboard.press('?')
  await page.getByRole('switch', { name: 'Show inches instead of mm' }).click()
  await page.keyboard.press('Escape')
  await expect(page.locator('[data-sheet="honeycomb"]')).toContainText('4.7 × 3.5 in')
  await page.evaluate(() => localStorage.clear())
})

test('time that is over the budget shows; a budget that is none is put back', async ({ page }) => {
  await openBench(page, 'plain-hive-keeper')
  const budget = page.getByLabel('Limit, minutes:seconds')
  await budget.fill('1:00')
  await budget.blur()
  await expect(page.getByTestId('time')).toHaveClass(/text-stop/)
  await budget.fill('soon')
  await budget.blur()
  await expect(budget).toHaveValue('1:00')
  await budget.fill('')
  await budget.blur()
  await saved(page)
  await expect.poll(async () => (await look(page, 'plain-hive-keeper')).look.budget).toBeNull()
})

test('the picture leaves as a PNG of its size, and the gallery finds looks by word and tag', async ({
  page,
}) => {
  await openBench(page, 'plain-tide-queen')
  await page.getByRole('button', { name: 'Export' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: /PNG/ }).click(),
  ])
  const png = PNG.sync.read(readFileSync((await download.path())!))
  // A grown face of the fine build, with room around it, at 8 px/mm.
  expect(png.width / png.height).toBeCloseTo(208 / 286, 2)
  expect(png.width).toBeGreaterThan(190 * 8)

  await page.goto('/')
  await page.getByLabel('Search looks').fill('tide')
  await expect(page.locator('[data-look]')).not.toHaveCount(0)
  await expect(page.locator('[data-look="plain-hive-keeper"]')).toHaveCount(0)
  await page.getByLabel('Search looks').fill('')
  await page.getByRole('button', { name: 'bird', exact: true }).click()
  await expect(page.locator('[data-look="plain-barn-owl"]')).toBeVisible()
  await expect(page.locator('[data-look="plain-tide-queen"]')).toHaveCount(0)
  await page.getByLabel('Search looks').fill('nothing like it')
  await expect(page.getByText('No look is called that')).toBeVisible()
})

test('files that are no looks are refused in the gallery with a sentence', async ({ page }) => {
  await page.goto('/')
  await expect(page.locator('[data-look]').first()).toBeVisible()
  const count = await page.locator('[data-look]').count()
  const file = (name: string, text: string) => ({
    name,
    mimeType: 'application/json',
    buffer: Buffer.from(text),
  })
  await page.getByLabel('Look files').setInputFiles(file('x.json', '{broken'))
  await expect(page.getByText('This is not JSON')).toBeVisible()
  await page.getByLabel('Look files').setInputFiles(file('y.json', '{"format":"other"}'))
  await expect(page.getByText(/This is not a look/)).toBeVisible()
  await expect(page.locator('[data-look]')).toHaveCount(count)
})

test('notes and tags of the look are kept, and stand on the step list', async ({ page }) => {
  await openBench(page, 'plain-barn-owl')
  await page.getByLabel('Notes for the chair').fill('Ticket 031. Left brow sits higher.')
  await page.getByLabel('Notes for the chair').blur()
  await page.getByLabel('Tags, with commas').fill('fair, Bird , bird, night')
  await page.getByLabel('Tags, with commas').blur()
  await saved(page)
  expect((await look(page, 'plain-barn-owl')).look).toMatchObject({
    notes: 'Ticket 031. Left brow sits higher.',
    tags: ['fair', 'bird', 'night'],
  })
  await page.getByRole('button', { name: 'Step list' }).click()
  await expect(page.getByText('Ticket 031. Left brow sits higher.')).toBeVisible()
})

test('cards, the placing template and the sheet of marks come as PDF', async ({ page }) => {
  const wrong = complaints(page)
  await page.goto('/looks/plain-barn-owl/steps')
  for (const [name, most] of [
    ['Step card, A4', 4_000_000],
    ['Step card, A6', 4_000_000],
    ['Placing template, 1:1', 1_000_000],
    ['Sheet of marks', 1_000_000],
  ] as const) {
    await page.getByRole('button', { name: 'PDF' }).click({ timeout: 30_000 })
    const coming = page.waitForEvent('download')
    await page.getByRole('menuitem', { name }).click()
    const file = await (await coming).createReadStream()
    const bytes = Buffer.concat(await file.toArray())
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-')
    expect(bytes.length).toBeGreaterThan(5_000)
    expect(bytes.length).toBeLessThan(most)
  }
  expect(wrong).toEqual([])
})
