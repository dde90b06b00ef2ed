import { expect, test, type Page } from './site'
import { complaints, difference, look, openBench, painted, saved } from './helpers'

const ID = 'plain-midnight-moth'
const stageOf = (page: Page) => page.getByTestId('stage').screenshot()
const skinOf = async (page: Page) => (await look(page, ID)).look.skin
/** Chooses under which light the look is seen. */
async function lightOf(page: Page, words: string): Promise<void> {
  await page.getByRole('button', { name: 'Light', exact: true }).click()
  await page.getByRole('radio', { name: words }).click()
}

test('hair is worn another way, in any colour, and freckles come: on the stage, kept, and taken back', async ({
  page,
}) => {
  const wrong = complaints(page)
  await openBench(page, ID)
  const before = await stageOf(page)
  await page.getByRole('button', { name: /^skin/ }).click()
  await page.getByLabel('Hair worn').selectOption('curls')
  await page.getByRole('button', { name: 'Hair fair' }).click()
  await page.getByRole('button', { name: 'Eyes blue' }).click()
  await page.getByRole('switch', { name: 'Freckles' }).click()
  await page.keyboard.press('Escape')
  await painted(page)
  await saved(page)
  expect(await skinOf(page)).toMatchObject({
    cut: 'curls',
    hair: '#c9a66b',
    iris: '#7890a2',
    freckles: true,
  })
  expect(difference(before, await stageOf(page))).toBeGreaterThan(0.05)
  // Bald, then all of it at once by the list of what can be undone.
  await page.getByRole('button', { name: /^skin/ }).click()
  await page.getByLabel('Hair worn').selectOption('bald')
  await page.keyboard.press('Escape')
  await painted(page)
  await saved(page)
  expect((await skinOf(page)).cut).toBe('bald')
  await page.getByRole('button', { name: 'Undo' }).click()
  await painted(page)
  await saved(page)
  expect((await skinOf(page)).cut).not.toBe('bald')
  expect(wrong).toEqual([])
})

test('a face gets other features as measures; its looks follow them; as usual again', async ({ page }) => {
  const wrong = complaints(page)
  await openBench(page, ID)
  const features = () => page.getByRole('group').filter({ hasText: 'Features' })
  const open = () => page.getByRole('button', { name: /, \d+ y$/ }).click()
  const take = async () => {
    const button = page.getByRole('button', { name: 'Move the look there' })
    await expect(button).toBeEnabled({ timeout: 20_000 })
    await button.click()
    await painted(page)
    await saved(page)
  }
  await open()
  await features().getByRole('button', { name: 'Another face' }).click()
  await expect(page.getByLabel('nose width, mm')).not.toHaveValue('')
  await page.getByLabel('lid fold, %').fill('80')
  await take()
  const { canvas } = (await look(page, ID)).look
  expect(canvas.traits).toMatchObject({ lidFold: 80 })
  expect(canvas.traits.noseWidth).toBeGreaterThan(30)
  await open()
  await expect(page.getByLabel('lid fold, %')).toHaveValue('80')
  await features().getByRole('button', { name: 'As usual' }).click()
  await take()
  expect((await look(page, ID)).look.canvas.traits).toBeUndefined()
  expect(wrong).toEqual([])
})

test('the look is seen under another light, on the stage and turned; the look itself stays as it is', async ({
  page,
}) => {
  const wrong = complaints(page)
  await openBench(page, ID)
  const { version } = await look(page, ID)
  const lamp = await stageOf(page)
  await lightOf(page, 'Evening lanterns')
  await painted(page)
  await expect.poll(async () => difference(lamp, await stageOf(page))).toBeGreaterThan(0.1)
  const lanterns = await stageOf(page)
  // What there is to say is said anew, of the look as it shows there.
  await expect(page.getByTestId('findings')).not.toContainText('checking', { timeout: 30_000 })
  // Two quick changes of mind: what was chosen last counts.
  await lightOf(page, 'The sun at noon')
  await lightOf(page, "The stall's lamp")
  await painted(page)
  await expect.poll(async () => difference(lamp, await stageOf(page))).toBeLessThan(0.01)
  await lightOf(page, 'Evening lanterns')
  await page.reload()
  await painted(page)
  await expect.poll(async () => difference(lanterns, await stageOf(page))).toBeLessThan(0.01)
  await page.getByRole('button', { name: 'Turn the head' }).click()
  const turned = page.getByTestId('turned')
  await expect(turned).toHaveAttribute('data-ready', 'true', { timeout: 30_000 })
  const warm = await turned.screenshot()
  await turned.getByRole('button', { name: 'Light', exact: true }).click()
  await page.getByRole('radio', { name: "The stall's lamp" }).click()
  await expect.poll(async () => difference(warm, await turned.screenshot())).toBeGreaterThan(0.1)
  expect((await look(page, ID)).version).toBe(version)
  expect(wrong).toEqual([])
})

test('the look moves with the face: four faces, and what cracks where brows go up', async ({ page }) => {
  const wrong = complaints(page)
  await openBench(page, ID)
  await page.getByRole('button', { name: 'How it moves' }).click()
  const faces = page.getByTestId('moved-faces').locator('figure')
  await expect(faces).toHaveCount(4, { timeout: 30_000 })
  const picture = async (words: string) =>
    Buffer.from(
      (await page.getByRole('img', { name: `The look, ${words}` }).getAttribute('src'))!.split(',')[1]!,
      'base64',
    )
  const calm = await picture('calm')
  for (const words of ['smile', 'brows up', 'eyes closed'])
    expect(difference(calm, await picture(words)), words).toBeGreaterThan(0.003)
  await expect(faces.nth(2)).toContainText(/% may crack, most on the forehead/)
  // Closed while it is being painted, and opened again at once.
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'How it moves' }).click()
  await expect(faces.first()).toBeVisible({ timeout: 30_000 })
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'How it moves' }).click()
  await expect(faces).toHaveCount(4, { timeout: 30_000 })
  expect(wrong).toEqual([])
})
