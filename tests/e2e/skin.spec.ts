import { expect, test, type Page } from './site'
import { complaints, difference, look, openBench, openNew, painted, saved } from './helpers'

/** Makes a new look with one sheet on it, opened so that the stage tells where things are. */
async function withSheet(page: Page, sheet: string): Promise<string> {
  const id = await openNew(page)
  await lay(page, sheet)
  return id
}
async function lay(page: Page, sheet: string): Promise<void> {
  const before = await page.locator('[data-step]').count()
  await page.locator(`[data-sheet="${sheet}"]`).press('Enter')
  await expect(page.locator('[data-step]')).toHaveCount(before + 1)
  await painted(page)
}
const step = async (page: Page, id: string, n = 0) => (await look(page, id)).look.steps[n]
/** Where a skin point of a face stands on the page. */
const onPage = async (page: Page, [x, y]: [number, number]): Promise<[number, number]> => {
  const box = (await page.getByTestId('stage').boundingBox())!
  const { k, ox, oy } = await page.evaluate(() => {
    const v = (
      window as unknown as { faceStage: { view: () => { k: number; ox: number; oy: number } } }
    ).faceStage.view()
    return { k: v.k, ox: v.ox, oy: v.oy }
  })
  return [box.x + ox + k * x, box.y + oy + k * y]
}
const openCanvas = (page: Page) => page.getByRole('button', { name: /, \d+ y$/ }).click()

test("a look moves to a child's face: what no longer fits is listed, a smaller stencil is taken, undo brings all back", async ({
  page,
}) => {
  const wrong = complaints(page)
  const id = await withSheet(page, 'crown-crest')
  await page.getByLabel('Down, mm').fill('-46')
  await page.getByLabel('Down, mm').blur()
  await saved(page)
  const before = await page.getByTestId('stage').screenshot()
  await openCanvas(page)
  await page.getByLabel('Age, years').fill('4')
  const misfit = page.locator('[data-misfit]')
  await expect(misfit).toContainText('no longer fits', { timeout: 20_000 })
  await misfit.getByRole('checkbox').check()
  await page.getByRole('button', { name: 'Move the look there' }).click()
  await painted(page)
  await saved(page)
  const after = (await look(page, id)).look
  expect(after.skin.age).toBe(4)
  expect(after.steps[0].stencil).not.toBe('crown-crest')
  await expect(page.getByRole('button', { name: 'face, 4 y' })).toBeVisible()
  expect(difference(before, await page.getByTestId('stage').screenshot())).toBeGreaterThan(0.1)
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('button', { name: 'face, 30 y' })).toBeVisible()
  await saved(page)
  expect((await step(page, id)).stencil).toBe('crown-crest')
  expect(wrong).toEqual([])
})

test('measures that cannot be get a sentence and change nothing; good ones make the face', async ({
  page,
}) => {
  const id = await withSheet(page, 'moth')
  await openCanvas(page)
  await page.getByLabel('Age, years').fill('300')
  await expect(page.getByRole('alert')).toContainText('An age of 300 cannot be')
  await expect(page.getByRole('button', { name: 'Move the look there' })).toBeDisabled()
  await page.getByLabel('Age, years').fill('30')
  await page.getByRole('switch', { name: 'Measured with a tape' }).click()
  await page.getByLabel('brow to chin, mm').fill('40')
  await page.getByLabel('brow to chin, mm').blur()
  await expect(page.getByRole('alert')).toContainText(
    'Brow to chin (40 mm) cannot be shorter than the mouth is wide',
  )
  await page.getByLabel('brow to chin, mm').fill('140')
  await page.getByLabel('brow to chin, mm').blur()
  await expect(page.getByRole('alert')).toHaveCount(0)
  await page.getByRole('button', { name: 'Move the look there' }).click()
  await saved(page)
  expect((await look(page, id)).look.canvas.measures.browToChin).toBe(140)
})

test('a look goes onto an arm and onto the board, and is painted there', async ({ page }) => {
  const wrong = complaints(page)
  const id = await withSheet(page, 'swirl-small')
  for (const [kind, name] of [
    ['An arm', 'left forearm, 30 y'],
    ['The practice board', 'practice board, 30 y'],
  ] as const) {
    await openCanvas(page)
    await page.getByRole('radio', { name: kind }).click()
    await expect(page.getByTestId('canvas-preview')).toBeVisible({ timeout: 20_000 })
    await page.getByRole('button', { name: 'Move the look there' }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await expect(page.getByRole('button', { name })).toBeVisible({ timeout: 20_000 })
    await painted(page)
  }
  await saved(page)
  expect((await look(page, id)).look.canvas.kind).toBe('board')
  await page.goto('/looks/plain-kelp-cuff')
  await painted(page)
  await page.locator('[data-step="kc3"]').click()
  await expect(page.getByTestId('twin-words')).toContainText('Lay the same stencil again as it is, side A')
  await page.getByTestId('stage').focus()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByTestId('where')).toContainText('44 mm (3 fingers) above the middle of the arm')
  await page.keyboard.press('Control+z')
  await saved(page)
  expect(wrong).toEqual([])
})

test('a landmark is dragged onto a person; one that would cross another stays where it was', async ({
  page,
}) => {
  const id = await withSheet(page, 'moth')
  const {
    look: { canvas },
  } = await look(page, id)
  expect(canvas.nudges).toEqual({})
  await page.getByRole('button', { name: 'Fit landmarks' }).click()
  const drag = async (from: [number, number], to: [number, number]) => {
    await page.mouse.move(...from)
    await page.mouse.down()
    await page.mouse.move(...to, { steps: 6 })
    await page.mouse.up()
  }
  // The left peak of the brow of a grown face of the fine build.
  const peak = await onPage(page, [-33.5, -16.5])
  await drag(peak, [peak[0], peak[1] - 9])
  await saved(page)
  const nudges = (await look(page, id)).look.canvas.nudges
  expect(Object.keys(nudges)).toEqual(['left.browPeak'])
  expect(nudges['left.browPeak'][1]).toBeLessThan(-2)
  const pupil = await onPage(page, [29.5, 4.5])
  const far = await onPage(page, [-20, 4])
  await drag(pupil, far)
  await expect(
    page.locator('[data-sonner-toast]').getByText(/right pupil|cannot cross the midline/),
  ).toBeVisible()
  expect((await look(page, id)).look.canvas.nudges).toEqual(nudges)
  await page.getByRole('button', { name: 'Even again' }).click()
  await saved(page)
  expect((await look(page, id)).look.canvas.nudges).toEqual({})
})

test('a twin is unlinked, moved by itself, told how far it is from exact, and linked again', async ({
  page,
}) => {
  const id = await withSheet(page, 'feather')
  await page.getByLabel('Across, mm').fill('34')
  await page.getByLabel('Across, mm').blur()
  await page.getByLabel('Twin', { exact: true }).selectOption('midline')
  await expect(page.getByTestId('twin-words')).toContainText('Wipe the stencil, flip it to side B')
  await expect(page.locator('[data-handling]')).toHaveText(['wipe and flip, twin'])
  await page.getByRole('button', { name: 'Unlink' }).click()
  await expect(page.getByTestId('twin-miss')).toContainText('nobody would notice')
  await page.getByTestId('stage').focus()
  await page.keyboard.press('Shift+ArrowDown')
  await expect(page.getByTestId('twin-miss')).toContainText(
    '5.0 mm and 0° from exact: Warning: people would notice',
  )
  await saved(page)
  const moved = await step(page, id)
  expect(moved.at[1] + 5).toBeCloseTo(moved.twin.own.at[1], 0)
  await page.getByRole('button', { name: 'Relink' }).click()
  await saved(page)
  expect((await step(page, id)).twin.own).toBeNull()
})

test('two stencils are held in register while the host moves, and a hand on the guest lets go', async ({
  page,
}) => {
  const id = await withSheet(page, 'diamonds')
  await lay(page, 'crosses')
  await page.locator('[data-section="Registered"] summary').click()
  await page.getByLabel('How to register').selectOption('openings')
  await page.getByRole('button', { name: 'Register', exact: true }).click()
  await expect(page.getByTestId('register-report')).toContainText(
    /Held on pattern on the openings: (no|0\.0\d) mm left over, \d+ points; it may slip \d\.\d mm/,
  )
  await saved(page)
  await page.locator('[data-step]').nth(0).click()
  await page.getByTestId('stage').focus()
  await page.keyboard.press('Shift+ArrowRight')
  await page.keyboard.press('Shift+]')
  await saved(page)
  const [host, guest] = [await step(page, id, 0), await step(page, id, 1)]
  expect(guest.at).toEqual(host.at)
  expect(Math.abs(guest.tilt - host.tilt)).toBeLessThan(0.2)
  await page.locator('[data-step]').nth(1).click()
  await page.getByTestId('stage').focus()
  await page.keyboard.press('ArrowUp')
  await expect(page.getByText('No longer held in register')).toBeVisible()
  await saved(page)
  expect((await step(page, id, 1)).register).toBeNull()
  // Patterns that do not go together are refused with a sentence.
  await lay(page, 'honeycomb')
  await page.getByLabel('How to register').selectOption('openings')
  await page.getByRole('button', { name: 'Register', exact: true }).click()
  await expect(page.getByText(/patterns do not go together|too far apart/)).toBeVisible()
})

test('lift and grid of a sheet are shown on demand, in colours, patterns and words', async ({ page }) => {
  await withSheet(page, 'swirl-large')
  await page.getByLabel('Across, mm').fill('22')
  await page.getByLabel('Across, mm').blur()
  await page.getByLabel('Down, mm').fill('34')
  await page.getByLabel('Down, mm').blur()
  await painted(page)
  const plain = await page.getByTestId('stage').screenshot()
  await page.getByRole('button', { name: 'Lift', exact: true }).click()
  await expect(page.getByTestId('seating')).toContainText(
    /\d+ % touches the skin by itself, \d+ % pressed down where you dab\. Rests on the .*gap (\d+\.\d|over 10) mm .*press this side down separately/,
  )
  const lift = await page.getByTestId('stage').screenshot()
  expect(difference(plain, lift)).toBeGreaterThan(0.005)
  await page.getByRole('button', { name: 'Stencil grid' }).click()
  expect(difference(lift, await page.getByTestId('stage').screenshot())).toBeGreaterThan(0.002)
})

test('a stencil dragged off the skin goes back to where it was, with a sentence', async ({ page }) => {
  const id = await withSheet(page, 'swirl-small')
  await saved(page)
  const before = await step(page, id)
  await page.getByLabel('Across, mm').fill('300')
  await page.getByLabel('Across, mm').blur()
  await expect(page.getByText('There is no skin to lay a stencil on there')).toBeVisible()
  await expect(page.getByLabel('Across, mm')).toHaveValue(String(before.at[0]))
  expect(await step(page, id)).toEqual(before)
})

test('the head turns by pointer and keys, and keeps three fixed views', async ({ page }) => {
  const wrong = complaints(page)
  await openBench(page, 'plain-midnight-moth')
  await page.getByRole('button', { name: 'Turn the head' }).click()
  const turned = page.getByTestId('turned')
  await expect(turned).toHaveAttribute('data-ready', 'true', { timeout: 30_000 })
  const first = await turned.screenshot()
  await page.keyboard.press('2')
  await expect(page.getByTestId('turn')).toHaveText('from the front')
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByTestId('turn')).toHaveText('15° from their right')
  expect(difference(first, await turned.screenshot())).toBeGreaterThan(0.1)
  const box = (await turned.boundingBox())!
  await page.mouse.move(box.x + 300, box.y + 300)
  await page.mouse.down()
  await page.mouse.move(box.x + 200, box.y + 300, { steps: 5 })
  await page.mouse.up()
  await expect(page.getByTestId('turn')).toHaveText('25° from their left')
  for (const name of ['from their right', 'front', 'from their left'])
    await expect(page.getByRole('img', { name: `The look ${name}`, exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'from their left' }).click()
  await expect(page.getByTestId('turn')).toHaveText('62° from their left')
  await page.keyboard.press('Escape')
  await expect(turned).toHaveCount(0)
  expect(wrong).toEqual([])
})

test('without WebGL the turned head says so and the rest works', async ({ browser, baseURL, viewport }) => {
  const context = await browser.newContext({ baseURL, viewport })
  const page = await context.newPage()
  await page.addInitScript(() => {
    const real = HTMLCanvasElement.prototype.getContext
    HTMLCanvasElement.prototype.getContext = function (
      this: HTMLCanvasElement,
      kind: string,
      ...more: unknown[]
    ) {
      return /webgl/.test(kind) ? null : (real as (...a: unknown[]) => unknown).call(this, kind, ...more)
    } as never
  })
  await openBench(page, 'plain-midnight-moth')
  await page.getByRole('button', { name: 'Turn the head' }).click()
  await expect(page.getByRole('alert')).toContainText('This browser has no WebGL')
  await page.getByRole('button', { name: 'Back to the front picture' }).click()
  await page.locator('[data-step]').nth(2).click()
  await expect(page.getByLabel('Name of the step')).toHaveValue('Moth on the brow')
  await context.close()
})

test('dragging a large twinned texture keeps the page answering', async ({ page }) => {
  await withSheet(page, 'halftone')
  await page.getByLabel('Twin', { exact: true }).selectOption('features')
  await painted(page)
  const [x, y] = await onPage(page, [0, -33])
  await page.mouse.move(x, y)
  await page.mouse.down()
  for (let i = 1; i <= 12; i++) await page.mouse.move(x + 4 * i, y + 2 * i)
  await page.mouse.up()
  await expect(page.getByLabel('Across, mm')).not.toHaveValue('0')
})
