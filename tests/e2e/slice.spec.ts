import { expect, test, type Page } from './site'
import { readFileSync } from 'node:fs'
import { PDFDocument } from 'pdf-lib'
import { complaints, difference, idOf, look, openBench, painted, picture, saved } from './helpers'

test('a look with a base, a twinned stencil and two passes survives a reload, and leaves and comes back as a file', async ({
  page,
}) => {
  const wrong = complaints(page)
  await page.goto('/')
  await expect(page.locator('[data-look]').nth(3)).toBeVisible()
  await page.getByRole('button', { name: 'New look', exact: true }).click()
  await painted(page)
  await page.getByLabel('Name of the look').fill('Test Tide')
  await page.getByLabel('Name of the look').blur()

  await page.getByRole('tab', { name: 'Base' }).click()
  await page.getByRole('button', { name: 'Eyes', exact: true }).click()
  for (const colour of ['Morning Sky', 'Lagoon Teal'])
    await page.getByRole('button', { name: colour, exact: true }).click()
  await page.getByRole('button', { name: 'Lay this base' }).click()
  await expect(page.locator('[data-step]')).toHaveCount(1)

  await page.getByRole('tab', { name: 'Stencil' }).click()
  await page
    .locator('[data-sheet="leaf-spray"]')
    .dragTo(page.getByTestId('stage'), { targetPosition: { x: 460, y: 330 } })
  await expect(page.locator('[data-step]')).toHaveCount(2)
  await page.getByTestId('stage').focus()
  await page.keyboard.press('t')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Shift+ArrowDown')
  await page.keyboard.press(']')
  await page.getByRole('button', { name: 'Another colour layer' }).click()
  await page.getByRole('button', { name: 'Colour of layer 2' }).click()
  await page.getByRole('option', { name: 'Lantern Gold' }).click()
  await painted(page)
  await saved(page)

  const id = idOf(page)
  const before = await look(page, id)
  const shot = await picture(page, id)
  expect(
    before.look.steps.map((s: { kind: string; twin: { rule: string } }) => [s.kind, s.twin.rule]),
  ).toEqual([
    ['wash', 'none'],
    ['sheet', 'features'],
  ])
  expect(before.look.steps[1].passes).toHaveLength(2)
  expect(before.look.steps[1].tilt).toBe(1)
  await page.reload()
  await painted(page)
  expect(await look(page, id)).toEqual(before)
  expect(difference(shot, await picture(page, id))).toBe(0)
  const stage = await page.getByTestId('stage').screenshot()

  await page.getByRole('button', { name: 'Export' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: /JSON/ }).click(),
  ])
  const file = (await download.path())!
  expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(before.look)

  await page.goto('/')
  await page.getByRole('button', { name: 'More for Test Tide' }).click()
  await page.getByRole('menuitem', { name: 'Delete' }).click()
  await expect(page.locator(`[data-look="${id}"]`)).toHaveCount(0)
  await page.getByLabel('Look files').setInputFiles(file)
  const card = page.locator('[data-look]', { hasText: 'Test Tide' })
  await expect(card).toBeVisible()
  const copy = (await card.getAttribute('data-look'))!
  expect(difference(shot, await picture(page, copy))).toBeLessThan(0.001)
  await openBench(page, copy)
  expect(difference(stage, await page.getByTestId('stage').screenshot())).toBeLessThan(0.001)
  expect(wrong).toEqual([])
})

test('the gallery renames, copies, and undoes a deletion', async ({ page }) => {
  await page.goto('/')
  const more = (name: string) => page.getByRole('button', { name: `More for ${name}`, exact: true })
  // Only the cards that are in view are there, and other tests have made looks of their own.
  await page.getByLabel('Search looks').fill('Stag')
  await more('Plain Fern Stag').click()
  await page.getByRole('menuitem', { name: 'Duplicate' }).click()
  await more('Plain Fern Stag copy').click()
  await page.getByRole('menuitem', { name: 'Rename' }).click()
  await page.getByLabel('New name').fill('Moss Stag')
  // The copy's picture may come in while its name is being typed; the name stays as typed.
  await expect(page.locator('[data-look]', { hasText: 'painting' })).toHaveCount(0)
  await page.keyboard.press('Enter')
  const card = page.locator('[data-look]', { hasText: 'Moss Stag' })
  await expect(card).toBeVisible()
  await more('Moss Stag').click()
  await page.getByRole('menuitem', { name: 'Delete' }).click()
  await expect(card).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(card).toBeVisible()
})

test('steps are selected, moved with the pointer, reordered, deleted, undone and redone', async ({
  page,
}) => {
  await openBench(page, 'plain-midnight-moth')
  const before = await look(page, 'plain-midnight-moth')
  const steps = page.locator('[data-step]')
  await steps.nth(2).click()
  await expect(page.getByLabel('Name of the step')).toHaveValue('Moth on the brow')
  const stage = (await page.getByTestId('stage').boundingBox())!
  const x = stage.x + stage.width / 2 + 9
  const y = stage.y + 240
  await page.mouse.move(x, y)
  // Sent together: a hand that rests where it came down picks a spot, and a busy machine would make it rest.
  await Promise.all([page.mouse.down(), page.mouse.move(x + 60, y + 20, { steps: 6 })])
  await page.mouse.up()
  const moved = async () => Number(await page.getByLabel('Across, mm').inputValue())
  expect(await moved()).toBeGreaterThan(15)
  await page.keyboard.press('Control+z')
  expect(await moved()).toBe(0)
  await page.keyboard.press('Control+Shift+z')
  expect(await moved()).toBeGreaterThan(15)
  await page.keyboard.press('Control+z')

  await steps.nth(4).focus()
  await page.keyboard.press('Alt+ArrowLeft')
  await expect(steps.nth(3)).toContainText('Stars')
  await page.keyboard.press('Control+z')
  await expect(steps.nth(4)).toContainText('Stars')
  await steps.nth(4).click()
  await page.keyboard.press('Delete')
  await expect(steps).toHaveCount(4)
  await page.keyboard.press('Control+z')
  await expect(steps).toHaveCount(5)
  await saved(page)
  expect((await look(page, 'plain-midnight-moth')).look).toEqual(before.look)
})

test('keys turn, flip, twin, aim, dab and show themselves', async ({ page }) => {
  await openBench(page, 'plain-tide-queen')
  await page.locator('[data-step="tq4"]').click()
  const tilt = page.getByLabel('Tilt, degrees')
  await page.keyboard.press('Shift+]')
  await expect(tilt).toHaveValue('23')
  await page.keyboard.press('[')
  await expect(tilt).toHaveValue('22')
  await page.keyboard.press('f')
  await expect(page.getByRole('button', { name: 'Side B' })).toBeVisible()
  await page.keyboard.press('d')
  await expect(page.getByLabel('dabs', { exact: true }).last()).toHaveValue('7')
  await page.keyboard.press('t')
  await expect(page.getByText(/Take the second copy, flipped to side A/)).toBeVisible()
  await page.keyboard.press('a')
  await expect(tilt).toHaveValue(/^5[456]/)
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toContainText('Keys on the bench')
  await page.keyboard.press('Escape')
  await page.keyboard.press('p')
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible()
  await page.keyboard.press('p')
})

test('two pages that save the same look keep both versions', async ({ page, context }) => {
  await openBench(page, 'plain-hive-keeper')
  const other = await context.newPage()
  await openBench(other, 'plain-hive-keeper')
  await other.locator('[data-step]').nth(1).click()
  // In the strip the arrows go from step to step; on the face they move the step.
  await other.getByTestId('stage').focus()
  await other.keyboard.press('ArrowRight')
  await saved(other)
  await page.locator('[data-step]').nth(2).click()
  await page.getByTestId('stage').focus()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('dialog')).toContainText('saved from somewhere else')
  // The choice can be put off: the work goes on, and the header leads back to it.
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click()
  await expect(page.getByTestId('save-state')).toHaveText('two versions')
  await page.getByTestId('stage').focus()
  await page.keyboard.press('ArrowDown')
  await page.getByTestId('save-state').click()
  await page.getByRole('button', { name: 'Keep the other' }).click()
  await saved(page)
  await page.goto('/')
  await expect(page.locator('[data-look]', { hasText: 'Plain Hive Keeper (my version)' })).toBeVisible()
})

test('work done while the server is away comes back', async ({ page }) => {
  await openBench(page, 'plain-barn-owl')
  await page.route('**/api/looks/plain-barn-owl', (route, request) =>
    request.method() === 'PUT' ? route.abort() : route.continue(),
  )
  await page.locator('[data-step]').nth(2).click()
  await page.getByTestId('stage').focus()
  await page.keyboard.press('Shift+ArrowUp')
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'failed')
  const y = await page.getByLabel('Down, mm').inputValue()
  await page.unroute('**/api/looks/plain-barn-owl')
  await page.reload()
  await painted(page)
  await saved(page)
  await page.locator('[data-step]').nth(2).click()
  await expect(page.getByLabel('Down, mm')).toHaveValue(y)
})

/** The smallest letters on a page, CSS px. */
const smallest = (page: Page) =>
  page.evaluate(() =>
    Math.min(
      ...[...document.querySelectorAll('.print-sheet *')]
        .filter(e => [...e.childNodes].some(n => n.nodeType === 3 && n.textContent!.trim()))
        .map(e => parseFloat(getComputedStyle(e).fontSize)),
    ),
  )

test('the step list fits A4, names every step and what was asked, and is never under 9 pt', async ({
  page,
}) => {
  await page.goto('/looks/plain-midnight-moth/steps')
  await expect(page.getByRole('img', { name: 'Face after step 5' })).toBeVisible({ timeout: 20_000 })
  await expect(page.getByRole('listitem').filter({ hasText: 'Night Moth' }).first()).toContainText(
    'on the midline',
  )
  const pages = async () => (await PDFDocument.load(await page.pdf({ format: 'A4' }))).getPageCount()
  expect(await pages()).toBe(1)
  await expect(page.getByTestId('asked')).toContainText('not asked yet: allergies')
  expect(await smallest(page)).toBeGreaterThanOrEqual(12)
  // A long look takes a second sheet of paper rather than letters that nobody can read at the chair.
  const { look: moth } = await look(page, 'plain-midnight-moth')
  for (const times of [2, 4, 6]) {
    const steps = Array.from({ length: times }, (_, k) =>
      moth.steps.map((s: { id: string }) => ({ ...s, id: `${s.id}-${k}` })),
    ).flat()
    const id = `long-${times}`
    expect(
      (
        await page.request.post('/api/looks', { data: { ...moth, id, name: `Long ${times}`, steps } })
      ).status(),
    ).toBe(201)
    await page.goto(`/looks/${id}/steps`)
    await expect(page.getByRole('img', { name: `Face after step ${times * 5}`, exact: true })).toBeVisible({
      timeout: 20_000,
    })
    expect(await pages(), `${times * 5} steps`).toBeLessThanOrEqual(times / 2)
    expect(await smallest(page)).toBeGreaterThanOrEqual(12)
    await page.request.delete(`/api/looks/${id}`)
  }
})

test('the SVG export is at true size, with prints as paths and the stencils apart', async ({ page }) => {
  const text = await (await page.request.get('/api/looks/plain-midnight-moth/export.svg')).text()
  const [, width, height, w, h] = /width="([\d.]+)mm" height="([\d.]+)mm" viewBox="\S+ \S+ (\S+) (\S+)"/.exec(
    text,
  )!
  expect([width, height]).toEqual([w, h])
  expect(text.match(/<g id="step-/g)).toHaveLength(5)
  expect(/<g id="sheets"[^>]*>([\s\S]*)<\/g>/.exec(text)![1]!.match(/<path/g)).toHaveLength(6)
})
