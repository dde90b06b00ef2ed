import { expect, test, type Page } from './site'
import { complaints, drag, drawn, look, openNew, painted, saved, screen, tab } from './helpers'

// What is placed by marks, lines and numbers, and what belongs together.

const steps = async (page: Page, id: string) => (await look(page, id)).look.steps
/** Picks a spot of the skin. */
async function spot(page: Page, x: number, y: number): Promise<void> {
  await page.keyboard.press('Escape')
  const at = await screen(page, x, y)
  await page.mouse.click(at.x, at.y)
}

test('a mark stands before what it is for, is moved by numbers, and paints nothing', async ({ page }) => {
  const wrong = complaints(page)
  const id = await openNew(page)
  await tab(page, 'Line')
  await spot(page, 30, 20)
  await page.locator('[data-shape="teardrop"]').click()
  await painted(page)
  await page.locator('[data-guide="dots"]').click()
  await saved(page)
  const [mark, stroke] = await steps(page, id)
  expect([mark.kind, stroke.kind]).toEqual(['guide', 'line'])
  const before = await page.request.get(`/api/looks/${id}/picture.png?px=1`).then(r => r.body())
  await page.getByText('By numbers, from a landmark').click()
  await page.getByLabel('Landmark it is measured from').selectOption('mid.noseTip')
  await page.getByLabel('right of it, mm').fill('12.5')
  await page.getByLabel('right of it, mm').press('Enter')
  await saved(page)
  const [moved] = await steps(page, id)
  expect(moved.points[0][0]).toBeCloseTo(12.5, 1)
  expect(moved.points[0][1]).toBe(mark.points[0][1])
  const after = await page.request.get(`/api/looks/${id}/picture.png?px=1`).then(r => r.body())
  expect(after.equals(before)).toBe(true)
  await page.getByRole('button', { name: 'a line', exact: true }).first().click()
  await saved(page)
  expect((await steps(page, id))[0]).toMatchObject({ form: 'line' })
  await page.goto(`/looks/${id}/steps`)
  await expect(page.getByText('a line to go by, white pencil')).toBeVisible()
  expect(wrong).toEqual([])
})

test('steps become a group with a name, one figure for the flow, and leave it again', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Line')
  await spot(page, 35, 25)
  await page.locator('[data-shape="teardrop"]').click()
  await painted(page)
  await spot(page, 48, 32)
  await page.locator('[data-shape="teardrop"]').click()
  await painted(page)
  await page.keyboard.press('Control+a')
  await page.getByLabel('Name of a new group').fill('Spray')
  await page.getByLabel('Name of a new group').press('Enter')
  await expect(page.locator('[data-step]').first()).toContainText('Spray:')
  await page.getByRole('button', { name: 'Flow', exact: true }).click()
  // Each side of the face has one figure.
  await expect(page.getByTestId('flow').getByRole('img')).toHaveAttribute('aria-label', /^Deviations of 2 /)
  await page.getByRole('button', { name: 'Ungroup' }).click()
  await expect(page.getByTestId('flow').getByRole('img')).toHaveAttribute('aria-label', /^Deviations of 4 /)
  await saved(page)
  expect((await look(page, id)).look.groups).toBeUndefined()
})

/** Notes on the page whether anything is told to snap in any frame from now on. */
const watchSnaps = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const watched = window as unknown as {
      faceStage: { stage: { find: (s: string) => unknown[] } }
      snapped: boolean
    }
    watched.snapped = false
    const look = () => {
      watched.snapped ||= watched.faceStage.stage.find('.snap').length > 0
      requestAnimationFrame(look)
    }
    look()
  })

test('a stencil that is moved goes to a line of the face, not with the switch off', async ({ page }) => {
  const id = await openNew(page)
  await spot(page, 46, 30)
  await page.locator('[data-sheet="swirl-small"]').press('Enter')
  await expect(page.locator('[data-step]')).toHaveCount(1)
  await painted(page)
  // Where it lies is read off the server.
  await saved(page)
  const lies = async () => (await steps(page, id))[0].at as [number, number]
  /** Moves the sheet up in small steps; tells whether it moved, and whether it was ever drawn to something. */
  async function told(): Promise<{ moved: boolean; snapped: boolean }> {
    const [x, y] = await lies()
    const from = await screen(page, x, y)
    await watchSnaps(page)
    await page.mouse.move(from.x, from.y)
    await page.mouse.down()
    for (let n = 0.5; n <= 6; n += 0.5) {
      const to = await screen(page, x, y - n)
      await page.mouse.move(to.x, to.y)
      await drawn(page)
    }
    const snapped = await page.evaluate(() => (window as unknown as { snapped: boolean }).snapped)
    await page.mouse.up()
    await saved(page)
    return { moved: (await lies())[1] < y - 2, snapped }
  }
  expect(await told()).toEqual({ moved: true, snapped: true })
  await page.keyboard.press('Control+z')
  await saved(page)
  await page.getByRole('button', { name: 'Snap', exact: true }).click()
  await painted(page)
  expect(await told()).toEqual({ moved: true, snapped: false })
})

test("a painter's own glitter and gem are made in the kit and lie on the face", async ({ page }) => {
  await page.goto('/kit')
  await page.getByRole('tab', { name: 'Brushes and sparkle' }).click()
  const glitter = page.getByRole('form', { name: 'One more of glitters' })
  await glitter.getByLabel('Name').fill('Tide shimmer')
  await glitter.getByLabel('Finish').selectOption('iridescent')
  await glitter.getByLabel('Size of a flake, mm').fill('0.8')
  await glitter.getByRole('button', { name: 'Add' }).click()
  await expect(page.getByText('iridescent, chunky glitter, 0.8 mm flakes')).toBeVisible()
  await glitter.getByLabel('Name').fill('Tide shimmer')
  await glitter.getByRole('button', { name: 'Add' }).click()
  await expect(page.getByText('There is one called Tide shimmer already.')).toBeVisible()
  const gem = page.getByRole('form', { name: 'One more of gems' })
  await gem.getByLabel('Name').fill('Moon pearl')
  await gem.getByLabel('Finish').selectOption('pearl')
  await gem.getByLabel('Size, mm').fill('4')
  await gem.getByRole('button', { name: 'Add' }).click()
  await expect(page.getByText('pearl, 4 mm round')).toBeVisible()
  const id = await openNew(page)
  await tab(page, 'Sparkle')
  await page.locator('[data-gem="round"]').click()
  await page.getByRole('button', { name: 'Moon pearl' }).click()
  await saved(page)
  expect((await steps(page, id))[0]).toMatchObject({
    kind: 'gem',
    size: 4,
    colour: { name: 'Moon pearl', finish: 'pearl' },
  })
  const refused = await page.request.put('/api/sparkles', { data: { glitters: [], gems: [{ name: 'x' }] } })
  expect(refused.status()).toBe(422)
  await page.request.put('/api/sparkles', { data: { glitters: [], gems: [] } })
})

test('the picture of a step for which the eyes are shut shows the lids closed', async ({ page }) => {
  await openNew(page)
  await tab(page, 'Line')
  await spot(page, 0, 60)
  await page.locator('[data-shape="teardrop"]').click()
  await painted(page)
  const thumb = page.locator('[data-step] img').first()
  await expect(thumb).toBeVisible()
  const open = await thumb.getAttribute('src')
  await page.getByRole('switch', { name: 'Eyes shut while it is painted' }).click()
  await expect.poll(() => thumb.getAttribute('src'), { timeout: 15_000 }).not.toBe(open)
})

test('a band is set down flat and lifted with a flick, and drawn anew as it is told', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Line')
  await spot(page, 0, 70)
  await page.locator('[data-shape="band"]').click()
  await painted(page)
  await page.getByLabel('lifted', { exact: true }).selectOption('with a flick to the left')
  await saved(page)
  expect((await steps(page, id))[0].params).toMatchObject({ start: 0, end: 5 })
  await drag(page, [
    [0, 70],
    [10, 80],
  ])
  await saved(page)
})
