import { expect, test, type Page } from './site'
import { complaints, look, openNew, painted, saved } from './helpers'

/** Fingers on the page, each with its own way; told to the page as a touch screen tells them. */
async function fingers(page: Page, ways: readonly (readonly [number, number])[][]): Promise<void> {
  const session = await page.context().newCDPSession(page)
  const steps = ways[0]!.length
  const at = (n: number) => ways.map((way, id) => ({ x: way[n]![0], y: way[n]![1], id }))
  await session.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at(0) })
  for (let n = 1; n < steps; n++)
    await session.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: at(n) })
  await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
}
const along = (from: readonly [number, number], to: readonly [number, number], n = 12) =>
  Array.from({ length: n + 1 }, (_, i): [number, number] => [
    from[0] + ((to[0] - from[0]) * i) / n,
    from[1] + ((to[1] - from[1]) * i) / n,
  ])
const zoom = (page: Page): Promise<number> =>
  page.evaluate(() => (window as unknown as { faceStage: { view: () => { k: number } } }).faceStage.view().k)

for (const [name, width, height] of [
  ['upright', 820, 1180],
  ['across', 1180, 820],
] as const)
  test(`the main job is done by touch on a tablet, ${name}`, async ({ browser, site }) => {
    test.setTimeout(120_000)
    const context = await browser.newContext({
      baseURL: site,
      viewport: { width, height },
      hasTouch: true,
      isMobile: true,
    })
    const page = await context.newPage()
    const wrong = complaints(page)
    const id = await openNew(page)
    // A base, a stencil on a spot that is pressed long, its colour, its twin.
    await page.getByRole('tab', { name: 'Base' }).tap()
    await page.getByRole('button', { name: 'Lagoon Teal' }).first().tap()
    await page.getByRole('button', { name: /^Lay/ }).first().tap()
    await expect(page.locator('[data-step]')).toHaveCount(1)
    const box = (await page.getByTestId('stage').boundingBox())!
    const cheek: [number, number] = [box.x + box.width * 0.6, box.y + box.height * 0.6]
    const session = await context.newCDPSession(page)
    await session.send('Input.dispatchTouchEvent', {
      type: 'touchStart',
      touchPoints: [{ x: cheek[0], y: cheek[1] }],
    })
    await page.waitForTimeout(800)
    await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
    await expect(page.getByText(/Spot picked/)).toBeVisible()
    if (width < 1100) await page.getByRole('button', { name: 'Tray', exact: true }).tap()
    await page.getByRole('tab', { name: 'Stencil' }).tap()
    await page.locator('[data-sheet="star-set"]').tap()
    await expect(page.locator('[data-step]')).toHaveCount(2)
    await page.getByRole('button', { name: 'Colour of layer 1' }).tap()
    await page.getByRole('option', { name: 'Lantern Gold' }).tap()
    await page
      .getByLabel('Twin by')
      .or(page.locator('[data-section="Twin"] select'))
      .first()
      .selectOption({ index: 1 })
    await painted(page)
    // Two fingers apart bring the picture nearer; two that go round turn what is in hand.
    const near = await zoom(page)
    const [cx, cy] = [box.x + box.width / 2, box.y + box.height / 3]
    await page.getByRole('button', { name: 'Close the card' }).tap()
    await fingers(page, [along([cx - 40, cy], [cx - 140, cy]), along([cx + 40, cy], [cx + 140, cy])])
    expect(await zoom(page)).toBeGreaterThan(near * 1.5)
    await saved(page)
    const { steps } = (await look(page, id)).look
    expect(steps).toHaveLength(2)
    expect(steps[1].passes[0].load.paint.name).toBe('Lantern Gold')
    await page.getByRole('button', { name: 'Chair', exact: true }).tap()
    await expect(page.getByTestId('chair')).toBeVisible()
    expect(wrong).toEqual([])
    await context.close()
  })

test('two fingers that go round turn the stencil in hand, as one step of undo', async ({ browser, site }) => {
  const context = await browser.newContext({
    baseURL: site,
    viewport: { width: 820, height: 1180 },
    hasTouch: true,
    isMobile: true,
  })
  const page = await context.newPage()
  const id = await openNew(page)
  await page.locator('[data-sheet="star-set"]').tap()
  await expect(page.locator('[data-step]')).toHaveCount(1)
  await painted(page)
  await saved(page)
  const before = (await look(page, id)).look.steps[0].tilt
  const box = (await page.getByTestId('stage').boundingBox())!
  const [cx, cy] = [box.x + box.width / 2, box.y + box.height / 3]
  const round = (half: number) =>
    Array.from({ length: 16 }, (_, i): [number, number] => {
      const angle = (i * 4 * Math.PI) / 180 + half
      return [cx + 90 * Math.cos(angle), cy + 90 * Math.sin(angle)]
    })
  await fingers(page, [round(0), round(Math.PI)])
  await saved(page)
  const after = (await look(page, id)).look.steps[0].tilt
  expect(Math.abs(after - before)).toBeGreaterThan(30)
  await page.getByRole('button', { name: 'Undo', exact: true }).tap()
  await saved(page)
  expect((await look(page, id)).look.steps[0].tilt).toBe(before)
  await context.close()
})
