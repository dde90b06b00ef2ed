import { expect, test } from './site'
import { complaints, drawn, look, openBench, openNew, overWide, painted, saved } from './helpers'
import { BENCH, SCREENS } from './screens'

const WIDTHS = [360, 390, 768, 820, 1024, 1280, 1440, 1920, 2560]

test('nothing is cut and nothing scrolls sideways, from a phone to a large screen', async ({ page }) => {
  test.setTimeout(240_000)
  const wrong = complaints(page)
  const sizeOf = (width: number) => ({
    width,
    height: width < 700 ? 760 : Math.round(width * (width < 900 ? 1.3 : 0.62)),
  })
  for (const [words, path] of [...SCREENS, BENCH]) {
    await page.setViewportSize(sizeOf(WIDTHS[0]!))
    await page.goto(path)
    await page.waitForLoadState('networkidle')
    for (const width of WIDTHS) {
      await page.setViewportSize(sizeOf(width))
      await drawn(page)
      expect(await overWide(page), `${words} at ${width}`).toBeLessThanOrEqual(0)
    }
  }
  expect(wrong).toEqual([])
})

test('on a phone a stencil is laid, its colour changed and the build looked at, by touch alone', async ({
  browser,
  site,
}) => {
  const context = await browser.newContext({
    baseURL: site,
    viewport: { width: 390, height: 800 },
    hasTouch: true,
    isMobile: true,
  })
  const page = await context.newPage()
  const id = await openNew(page)
  await page.locator('[data-sheet="star-set"]').tap()
  await expect(page.getByLabel('Step card')).toBeVisible()
  await page.getByRole('button', { name: 'Colour of layer 1' }).tap()
  await page.getByRole('option', { name: 'Lantern Gold' }).tap()
  await page.getByRole('button', { name: 'Build', exact: true }).tap()
  await expect(page.locator('[data-step]')).toHaveCount(1)
  await page.getByRole('button', { name: 'Tray', exact: true }).tap()
  await expect(page.locator('[data-sheet="star-set"]')).toBeVisible()
  await painted(page)
  await saved(page)
  const { look: kept } = await look(page, id)
  expect(kept.steps[0].passes[0].load.paint.name).toBe('Lantern Gold')
  await context.close()
})

test('the main job is done by the keyboard alone, in at most 150 presses', async ({ page }) => {
  let presses = 0
  const press = async (...keys: string[]) => {
    for (const key of keys) {
      presses++
      await page.keyboard.press(key)
    }
  }
  const type = async (words: string) => {
    presses += words.length
    await page.keyboard.type(words)
  }
  /** Whatever the list of commands finds first for some words. */
  const command = async (words: string) => {
    await press('Control+k')
    // Nobody types before the list is there.
    await expect(page.getByRole('combobox', { name: 'Find a command' })).toBeFocused()
    await type(words)
    await expect(page.getByRole('option').first()).toContainText(new RegExp(words.split(' ').at(-1)!, 'i'))
    await press('Enter')
  }
  const id = await openNew(page)
  // A stencil at a spot that is picked by keys.
  await page.keyboard.press('Tab')
  await press('Enter')
  await expect(page.getByTestId('stage')).toBeFocused()
  await press('ArrowUp', 'Shift+ArrowLeft', 'Shift+ArrowLeft', 'Shift+ArrowDown')
  await expect(page.getByTestId('spot-told')).toContainText(/from|of/)
  await command('lay web')
  await expect(page.locator('[data-step]')).toHaveCount(1)
  // It is moved, turned and twinned where it lies.
  await press('ArrowLeft', 'Shift+ArrowUp', ']', 't')
  await command('lay star')
  await expect(page.locator('[data-step]')).toHaveCount(2)
  await press('d', 'Control+d')
  await expect(page.locator('[data-step]')).toHaveCount(3)
  await press('Control+z')
  await expect(page.locator('[data-step]')).toHaveCount(2)
  await painted(page)
  await saved(page)
  const { look: kept } = await look(page, id)
  expect(kept.steps.map((s: { stencil: string }) => s.stencil)).toEqual(['web', 'star-set'])
  expect(kept.steps[0].twin.rule).not.toBe('none')
  await command('to the chair')
  await expect(page.getByTestId('chair')).toBeVisible()
  expect(presses).toBeLessThanOrEqual(150)
})

test('steps are copied from one look into another', async ({ page }) => {
  await openBench(page, 'plain-midnight-moth')
  await page.locator('[data-step]').first().click()
  await page.keyboard.press('Control+a')
  await page.keyboard.press('Control+c')
  const steps = await page.locator('[data-step]').count()
  await openNew(page)
  await page.getByTestId('stage').focus()
  await page.keyboard.press('Control+v')
  await expect(page.locator('[data-step]')).toHaveCount(steps)
  await page.keyboard.press('Control+z')
  await expect(page.locator('[data-step]')).toHaveCount(0)
})

test('a new look on which nothing was done is not kept; looks stand in the chosen order', async ({
  page,
}) => {
  await page.goto('/')
  await page.waitForLoadState('networkidle')
  const { length } = await (await page.request.get('/api/looks')).json()
  await page.getByRole('button', { name: 'New look', exact: true }).click()
  await painted(page)
  await page.getByRole('link', { name: 'Looks' }).click()
  await expect(page.locator('[data-look]').first()).toBeVisible()
  expect((await (await page.request.get('/api/looks')).json()).length).toBe(length)
  await page.getByLabel('Order of the looks').selectOption('name')
  const names = await page.locator('[data-look] h2').allTextContents()
  expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)))
})

test('any stencil of the drawer that is pressed on an empty face brings no problem', async ({ page }) => {
  test.setTimeout(150_000)
  await openNew(page)
  for (const id of ['scales', 'bubbles', 'lion-base', 'wheel-draft', 'half-face']) {
    await page.locator(`[data-sheet="${id}"]`).click()
    await expect(page.locator('[data-step]')).toHaveCount(1)
    await expect(page.getByTestId('findings')).toHaveAttribute('data-checking', 'false', { timeout: 30_000 })
    await expect(page.getByTestId('findings'), id).toHaveText(/^(no problems(, \d+ tips?)?|\d+ warnings?)$/)
    await page.keyboard.press('Delete')
    await expect(page.locator('[data-step]')).toHaveCount(0)
  }
})
