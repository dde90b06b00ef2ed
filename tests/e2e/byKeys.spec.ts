import { expect, test, type Page } from './site'
import { look, openBench, openNew, painted, saved } from './helpers'

const keys = async (page: Page, ...list: string[]) => {
  for (const key of list) await page.keyboard.press(key)
}
const stage = (page: Page) => page.getByTestId('stage')
const laid = async (page: Page, sheet: string) => {
  const id = await openNew(page)
  await page.locator(`[data-sheet="${sheet}"]`).click()
  await expect(page.locator('[data-step]')).toHaveCount(1)
  return id
}

test('single openings are chosen by a cursor that keys move, and told with their state', async ({ page }) => {
  const id = await laid(page, 'star-set')
  await page.getByRole('button', { name: /^Choose/ }).click()
  await stage(page).focus()
  await keys(page, 'Enter', 'PageDown', 'PageDown')
  await expect(page.getByTestId('key-cursor')).toBeVisible()
  await expect(page.getByTestId('cursor-told')).toContainText(/opening 2 of 15, chosen/)
  await keys(page, 'Space')
  await expect(page.getByTestId('choice-bar')).toContainText('14 chosen')
  await expect(page.getByTestId('cursor-told')).toContainText(/opening 2 of 15, not chosen/)
  await saved(page)
  const { steps } = (await look(page, id)).look
  expect(steps[0].passes[0].openings.numbers).not.toContain(1)
  await keys(page, 'Escape')
  await expect(page.getByTestId('key-cursor')).toBeHidden()
})

test('a handle of a stroke is taken up, carried by mm and set down; Escape lets it go back', async ({
  page,
}) => {
  const id = await openNew(page)
  await page.getByRole('tab', { name: 'Line' }).click()
  await page.getByRole('button', { name: 'S curve' }).click()
  await expect(page.locator('[data-step]')).toHaveCount(1)
  await saved(page)
  const before = (await look(page, id)).look.steps[0].points
  await stage(page).focus()
  await keys(page, 'Enter', 'PageDown', 'PageDown', 'Enter', 'Shift+ArrowDown', 'ArrowRight', 'Enter')
  await saved(page)
  const after = (await look(page, id)).look.steps[0].points
  expect(after[1][0]).toBeCloseTo(before[1][0] + 1, 5)
  expect(after[1][1]).toBeCloseTo(before[1][1] + 5, 5)
  expect(after[0]).toEqual(before[0])
  await keys(page, 'Enter', 'Shift+ArrowDown', 'Escape')
  await saved(page)
  expect((await look(page, id)).look.steps[0].points).toEqual(after)
})

test('the focal point is moved by the cursor, and Home goes to a landmark', async ({ page }) => {
  const id = await openNew(page)
  await stage(page).focus()
  // Nothing is selected: the only thing to take hold of is the focal point.
  await keys(page, 'Enter', 'PageDown', 'Enter', 'Shift+ArrowDown', 'Shift+ArrowDown', 'Enter')
  await saved(page)
  const { focus } = (await look(page, id)).look
  expect(focus).toEqual([0, 10])
  await keys(page, 'Home')
  await expect(page.getByTestId('cursor-told')).toContainText(/^on the /)
})

test('arrows in the strip move nothing on the face', async ({ page }) => {
  const id = await laid(page, 'star-set')
  await saved(page)
  const before = (await look(page, id)).look.steps
  await page.locator('[data-step]').focus()
  await keys(page, 'ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight')
  await page.waitForTimeout(400)
  await saved(page)
  expect((await look(page, id)).look.steps).toEqual(before)
})

test('a letter of one’s own does what the usual one did; a taken one is refused', async ({ page }) => {
  await laid(page, 'star-set')
  await page.getByRole('button', { name: 'Keys', exact: true }).click()
  const twin = page.getByRole('button', { name: /^Key T: twin/ })
  await twin.click()
  await page.keyboard.press('f')
  await expect(page.getByRole('alert')).toContainText('F is taken')
  await page.keyboard.press('y')
  await expect(page.getByRole('button', { name: /^Key Y: twin/ })).toBeVisible()
  await keys(page, 'Escape')
  await stage(page).focus()
  await page.keyboard.press('t')
  await expect(page.locator('[data-step]')).not.toContainText('twin')
  await page.keyboard.press('y')
  await expect(page.locator('[data-step]')).toContainText('twin')
})

/** Everything that is told from now on: a message may be followed by the next before anybody looks. */
async function heardOn(page: Page): Promise<string[]> {
  const heard: string[] = []
  page.on('console', message => {
    const [, words] = message.text().match(/^told: (.*?)\s*$/) ?? []
    if (words) heard.push(words)
  })
  await page.getByTestId('told').evaluate(told => {
    const listener = new MutationObserver(() => console.info(`told: ${told.textContent}`))
    listener.observe(told, { characterData: true, childList: true, subtree: true })
  })
  return heard
}

test('what is laid, moved, turned, flipped, twinned and taken out is told with its place', async ({
  page,
}) => {
  await openBench(page, 'plain-midnight-moth')
  const heard = await heardOn(page)
  const told = (words: RegExp) =>
    expect.poll(() => heard.filter(h => words.test(h)).length, { timeout: 15_000 }).toBeGreaterThan(0)
  await page.locator('[data-step]').nth(2).click()
  await stage(page).focus()
  await page.keyboard.press('Shift+ArrowUp')
  await told(/^Step 3, .*(moved by \d+ mm|instead of)/)
  await page.keyboard.press(']')
  await told(/^Step 3, .*turned by \d+° clockwise/)
  await page.keyboard.press('f')
  await told(/^Step 3, .*flipped to side/)
  await page.keyboard.press('t')
  await told(/^Step 3, .*(with|without) (a|its) twin/)
  await page.keyboard.press('Delete')
  await told(/^Taken out: step 3, /)
  await page.locator('[data-sheet]').first().focus()
  await page.keyboard.press('Enter')
  await told(/^Laid: \d+\. stencil ".*, in .*, (on|by) /)
})

test('the focus comes back from nine others; colours are reached by their rows', async ({ page }) => {
  await openBench(page, 'plain-midnight-moth')
  await page.locator('[data-step]').nth(2).click()
  const nine = page.getByRole('button', { name: 'Nine others at a glance' })
  await nine.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('nine')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(nine).toBeFocused()
  await page.getByRole('tab', { name: 'Line' }).click()
  await page.getByRole('button', { name: 'Colour of the next stroke' }).click()
  const at = () =>
    page.evaluate(() => {
      const id = document.activeElement?.getAttribute('aria-activedescendant') ?? ''
      const active = document.getElementById(id)
      return active ? [...active.parentElement!.querySelectorAll('[role=option]')].indexOf(active) : -1
    })
  await expect.poll(at).toBeGreaterThanOrEqual(0)
  const from = await at()
  const presses = { ArrowDown: 6, ArrowRight: 7, ArrowUp: 1, ArrowLeft: 0 }
  for (const [press, by] of Object.entries(presses)) {
    await page.keyboard.press(press)
    await expect.poll(at).toBe(from + by)
  }
})

test('a save, an undo and a moved step are each told once', async ({ page }) => {
  await openBench(page, 'plain-midnight-moth')
  const heard = await heardOn(page)
  const patiently = { timeout: 15_000 }
  await page.locator('[data-step]').first().focus()
  await page.keyboard.press('Alt+ArrowRight')
  await expect.poll(() => heard, patiently).toEqual([expect.stringMatching(/is now step 2 of \d+/), 'Saved.'])
  await page.keyboard.press('Control+z')
  await expect.poll(() => heard.slice(2), patiently).toEqual(['Undone: reorder.', 'Saved.'])
})

test('the face is told in words, and a step is taken from there', async ({ page }) => {
  await openBench(page, 'plain-midnight-moth')
  await page.keyboard.press('Control+k')
  await expect(page.getByLabel('Find a command')).toBeFocused()
  await page.keyboard.type('in words')
  await page.keyboard.press('Enter')
  const words = page.getByTestId('in-words')
  await expect(words).toContainText(/Midnight Moth: a face/)
  const steps = await page.locator('[data-step]').count()
  await expect(words.locator('ol > li')).toHaveCount(steps)
  await words.getByRole('button').nth(1).click()
  await expect(page.locator('[data-step]').nth(1)).toHaveAttribute('aria-current', 'step')
})

test('a right press offers what can be done; tips come with the focus too', async ({ page }) => {
  await laid(page, 'star-set')
  await painted(page)
  await page.locator('[data-step]').click({ button: 'right' })
  await page.getByRole('menuitem', { name: 'The step once more' }).click()
  await expect(page.locator('[data-step]')).toHaveCount(2)
  const box = (await stage(page).boundingBox())!
  // The chin is bare: there its spot is picked.
  await page.mouse.click(box.x + box.width * 0.5, box.y + box.height * 0.85, { button: 'right' })
  await expect(page.getByRole('menuitem', { name: 'Forget this spot' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.locator('[data-sheet="web"]').click({ button: 'right' })
  await page.getByRole('menuitem', { name: 'Lay' }).click()
  await expect(page.locator('[data-step]')).toHaveCount(3)
  await page.getByRole('button', { name: 'Undo', exact: true }).focus()
  await expect(page.locator('.v-popper__popper--shown')).toContainText('Undo lay a stencil')
})

test('a number is written with the decimal sign of the language; out of bounds is told', async ({
  browser,
  site,
}) => {
  const context = await browser.newContext({
    baseURL: site,
    locale: 'de-DE',
    viewport: { width: 1280, height: 800 },
  })
  const page = await context.newPage()
  const id = await laid(page, 'star-set')
  const across = page.getByRole('spinbutton', { name: 'Across, mm' })
  await across.fill('12,5')
  await across.press('Enter')
  await saved(page)
  await expect(across).toHaveValue('12,5')
  // A point from the number pad is a decimal sign too.
  await across.fill('')
  await across.pressSequentially('13.5')
  await across.press('Enter')
  await expect(across).toHaveValue('13,5')
  await saved(page)
  const { steps: pointed } = (await look(page, id)).look
  await across.fill('900')
  await across.press('Enter')
  await expect(page.getByRole('alert')).toContainText('900 is out of bounds: -400 to 400')
  await expect(across).toHaveValue('13,5')
  expect((await look(page, id)).look.steps).toEqual(pointed)
  await context.close()
})
