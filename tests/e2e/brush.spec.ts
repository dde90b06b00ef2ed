import { expect, test, type Page } from './site'
import { complaints, difference, look, openNew, painted, saved } from './helpers'

/** What the page reports wrong; checked after each test. */
let wrong: string[] = []
test.beforeEach(({ page }) => {
  wrong = complaints(page)
})
test.afterEach(() => {
  expect(wrong).toEqual([])
})

const tab = (page: Page, name: string) => page.getByRole('tab', { name }).click()
const steps = async (page: Page, id: string) => {
  await saved(page)
  return (await look(page, id)).look.steps
}
/** Where a point of the skin stands on the page. */
async function onPage(page: Page, at: [number, number]): Promise<[number, number]> {
  const box = (await page.getByTestId('stage').boundingBox())!
  const [x, y] = await page.evaluate(
    p =>
      (
        window as unknown as { faceStage: { screen: (p: [number, number]) => [number, number] } }
      ).faceStage.screen(p),
    at,
  )
  return [box.x + x, box.y + y]
}
async function drag(page: Page, from: [number, number], to: [number, number]): Promise<void> {
  await page.mouse.move(...from)
  await page.mouse.down()
  await page.mouse.move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2, { steps: 4 })
  await page.mouse.move(...to, { steps: 4 })
  await page.mouse.up()
}

test('a stroke is laid, shaped by its handles and numbers, twinned, turned and taken apart', async ({
  page,
}) => {
  const id = await openNew(page)
  const before = await page.getByTestId('stage').screenshot()
  await page.mouse.click(...(await onPage(page, [34, 44])))
  await expect(page.getByText('Spot picked')).toBeVisible()
  await tab(page, 'Line')
  await page.locator('[data-shape="teardrop"]').click()
  await expect(page.getByLabel('Name of the step')).toHaveValue('Teardrop')
  await painted(page)
  expect(difference(before, await page.getByTestId('stage').screenshot())).toBeGreaterThan(0.0005)
  const [drop] = await steps(page, id)
  // Off the midline it has its twin from the start, and its tail points at the focal point.
  expect(drop.twin.rule).toBe('features')
  expect(Math.hypot(...(drop.points[1] as [number, number]))).toBeLessThan(
    Math.hypot(...(drop.points[0] as [number, number])),
  )

  await drag(page, await onPage(page, drop.points[0]), await onPage(page, [40, 62]))
  await expect.poll(async () => (await steps(page, id))[0].points[0].map(Math.round)).toEqual([40, 62])
  await page.getByLabel('pressure, %').fill('100')
  await page.getByLabel('pressure, %').press('Tab')
  await page.keyboard.press('Escape')
  await page.mouse.click(...(await onPage(page, [37, 54])))
  await expect(page.getByLabel('Name of the step')).toHaveValue('Teardrop')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Shift+]')
  const [now] = await steps(page, id)
  expect(now.params.press).toBe(100)
  expect(now.points[0]).not.toEqual([40, 62])
  await page.getByLabel('pressure, %').fill('900')
  await page.getByLabel('pressure, %').press('Tab')
  expect((await steps(page, id))[0].params.press).toBe(100)

  await page.getByRole('button', { name: 'Unlink' }).click()
  await expect(page.locator('[data-step]')).toHaveCount(2)
  const [own, twin] = await steps(page, id)
  expect(own.twin.rule).toBe('none')
  expect(twin.points[0][0]).toBeCloseTo(-own.points[0][0], 0)
  await page.keyboard.press('Control+z')
  await expect(page.locator('[data-step]')).toHaveCount(1)
})

test('a flat brush takes two colours or a split cake, with its dark edge outward', async ({ page }) => {
  const id = await openNew(page)
  await page.mouse.click(...(await onPage(page, [40, 30])))
  await tab(page, 'Line')
  await page.locator('[data-shape="band"]').click()
  await page.getByLabel('How the brush is loaded').selectOption('double')
  await expect(page.getByRole('button', { name: 'dark right' })).toBeVisible()
  await expect(page.getByText('its dark edge stays outward')).toBeVisible()
  await page.getByRole('button', { name: 'dark right' }).click()
  expect((await steps(page, id))[0].dark).toBe('left')
  await page.getByLabel('How the brush is loaded').selectOption('cake')
  await page.getByLabel('Split cake').selectOption({ label: 'Bonfire' })
  await page.getByLabel('Brush', { exact: true }).selectOption('flat19')
  const [band] = await steps(page, id)
  expect([band.load.kind, band.load.cake.name, band.brush]).toEqual(['cake', 'Bonfire', 'flat19'])
  await expect(page.getByTestId('shows')).toBeVisible()
})

test('an arrangement fits itself, moves as a whole, and is undone as one', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Line')
  await page.getByRole('radio', { name: 'Arrangements' }).click()
  await page.locator('[data-starter="crown"]').click()
  await expect(page.locator('[data-step]')).toHaveCount(5)
  await expect(page.getByText('5 steps are selected')).toBeVisible()
  const before = await steps(page, id)
  await page.keyboard.press('Shift+ArrowDown')
  const after = await steps(page, id)
  for (const i of [0, 1, 2, 3, 4]) expect(after[i].points[0][1] - before[i].points[0][1]).toBeCloseTo(5, 1)
  await page.locator('[data-step]').nth(1).click()
  await expect(page.getByText('steps are selected')).toHaveCount(0)
  await page.keyboard.press('g')
  await expect(page.getByText('5 steps are selected')).toBeVisible()
  await page.keyboard.press('Delete')
  await expect(page.locator('[data-step]')).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(page.locator('[data-step]')).toHaveCount(5)
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(page.locator('[data-step]')).toHaveCount(0)
})

test('the flow is told in a number, the focal point moves, and what breaks it is aimed', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Line')
  for (const at of [
    [30, 50],
    [-34, 40],
  ] as [number, number][]) {
    await page.keyboard.press('Escape')
    await page.mouse.click(...(await onPage(page, at)))
    await page.locator('[data-shape="teardrop"]').click()
    await expect(page.getByLabel('Name of the step')).toHaveValue('Teardrop')
  }
  await page.getByRole('button', { name: 'Flow', exact: true }).click()
  await expect(page.getByTestId('flow-number')).toHaveText('1.00')
  await page.keyboard.press('Escape')
  await drag(page, await onPage(page, [0, 0]), await onPage(page, [0, 92]))
  await expect
    .poll(async () => {
      await saved(page)
      return Math.round((await look(page, id)).look.focus[1])
    })
    .toBe(92)
  await expect(page.getByTestId('flow')).toContainText('° off')
  await page.getByRole('button', { name: 'Aim those' }).click()
  await expect(page.getByTestId('flow-number')).toHaveText(/^(1\.00|0\.9\d)$/)
})

test('empty patches are shown, filled, and left and right are weighed', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Line')
  await page.getByRole('radio', { name: 'Arrangements' }).click()
  await page.locator('[data-starter="mask"]').click()
  await page.locator('[data-starter="muzzle"]').click()
  const count = await page.locator('[data-step]').count()
  await tab(page, 'Sparkle')
  await page.getByRole('switch', { name: 'Show empty patches' }).click()
  const spots = page.getByTestId('spots').locator('li')
  await expect(spots.first()).toContainText('mm across')
  await expect(page.getByTestId('balance')).toContainText('balanced')
  await spots.first().getByRole('button', { name: 'Dots' }).click()
  await expect(page.locator('[data-step]')).toHaveCount(count + 1)
  const filled = (await steps(page, id)).at(-1)
  expect(filled.kind).toBe('dots')
  await spots.nth(1).getByRole('button', { name: 'Motif' }).click()
  await expect(page.locator('[data-step]')).toHaveCount(count + 2, { timeout: 20_000 })
  expect((await steps(page, id)).at(-1).kind).toBe('sheet')
})

test('gems, glitter and lips are laid, and cautions name age, eyes and lips', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Sparkle')
  await page.mouse.click(...(await onPage(page, [52, 6])))
  await page.locator('[data-gem="drop"]').click()
  await page.getByLabel('What holds it').selectOption('glued')
  await expect(page.locator('[data-finding="sparkle"]')).toContainText('from an eye')
  await page
    .locator('[data-finding="sparkle"]')
    .getByRole('button', { name: /^Move it \d+ mm off the eye$/ })
    .click()
  await expect(page.getByText(/^(8|9|10) mm clear of the nearest eye/)).toBeVisible()
  await expect(page.locator('[data-finding="sparkle"]')).toHaveCount(0)
  await page.getByRole('button', { name: 'at the eye corners' }).click()
  await expect(page.getByText(/^(8|9|1\d) mm clear of the nearest eye/)).toBeVisible()
  await expect(page.locator('[data-finding="sparkle"]')).toHaveCount(0)
  await page.locator('[data-glitter="patch"]').click()
  await page.getByLabel('Sort').selectOption('chunky')
  await expect(page.locator('[data-finding="sparkle"]').first()).toContainText('Chunky glitter')
  await page.getByRole('button', { name: 'Paint the lips' }).click()
  await expect(page.locator('[data-finding="lipsShared"]')).toBeVisible()
  expect((await steps(page, id)).map((s: { kind: string }) => s.kind)).toEqual(['gem', 'glitter', 'lips'])

  // What the person says changes what is found.
  await page.keyboard.press('Escape')
  await page.getByTestId('sitting').locator('summary').click()
  await page.getByLabel('Age of the person').fill('2')
  await page.getByLabel('Age of the person').press('Tab')
  await page.getByLabel('Lips', { exact: true }).selectOption('no')
  await page.getByLabel('Ticket number').fill('014')
  await page.getByLabel('Ticket number').press('Tab')
  await expect(page.getByTestId('sitting')).toContainText('the arm only')
  await page.getByTestId('findings').click()
  await expect(page.getByRole('dialog')).toContainText('Before painting')
  await expect(page.getByRole('dialog')).toContainText('No paint on the lips was wanted')
  await saved(page)
  expect((await look(page, id)).look.sitting).toMatchObject({ ticket: '014', age: 2, lips: 'no' })
  await page
    .getByRole('dialog')
    .locator('[data-finding="answers"]')
    .getByRole('button', { name: 'Take this step out' })
    .click()
  await expect(page.locator('[data-step]')).toHaveCount(2)
  await page.keyboard.press('Escape')
  await page.keyboard.press('Control+z')
  await expect(page.locator('[data-step]')).toHaveCount(3)
  await saved(page)
})

test('a print that gets lost is outlined by one press, and several steps are selected on the face', async ({
  page,
}) => {
  const id = await openNew(page)
  await page.locator('[data-sheet="heart-crest"]').press('Enter')
  await painted(page)
  await page
    .getByLabel('Colour of layer 1')
    .or(page.getByRole('button', { name: /Colour/ }).first())
    .first()
    .click()
  await page.getByRole('option', { name: 'Warm Sand' }).click()
  const outline = page.getByRole('button', { name: /^Outline in/ })
  await expect(outline).toBeVisible({ timeout: 20_000 })
  await outline.click()
  await expect(page.locator('[data-step]')).toHaveCount(2)
  const [host, line] = await steps(page, id)
  expect(line).toMatchObject({ kind: 'line', shape: 'outline', of: { use: 'step', step: host.id } })
  // Some openings only, chosen on the face; then zones.
  await page.locator('[data-step]').nth(1).click()
  await page.getByRole('button', { name: 'Choose openings' }).click()
  await page.mouse.click(...(await onPage(page, [host.at[0], host.at[1] + 2])))
  await expect(page.getByTestId('choice-bar')).toContainText('1 chosen')
  await page.getByRole('button', { name: 'Done' }).click()
  expect((await steps(page, id))[1].of.openings).toHaveLength(1)
  await page.getByLabel('What it goes around').selectOption({ label: 'zones of the face' })
  await page.getByRole('button', { name: 'right cheek', exact: true }).click()
  expect((await steps(page, id))[1].of).toEqual({ use: 'zones', zones: ['right.cheek', 'left.cheek'] })
  await page.locator('[data-step]').nth(0).click()
  await page
    .locator('[data-step]')
    .nth(1)
    .click({ modifiers: ['Shift'] })
  await page.keyboard.press('Delete')
  await expect(page.locator('[data-step]')).toHaveCount(0)
})

test('glitter on wet paint follows it through the strip', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Base')
  await page.getByRole('button', { name: 'Lagoon Teal', exact: true }).click()
  await page.getByRole('button', { name: 'Lay this base' }).click()
  await tab(page, 'Sparkle')
  await page.locator('[data-glitter="print"]').click()
  await expect(page.getByLabel('When it goes on')).toContainText('is wet')
  await tab(page, 'Stencil')
  await page.locator('[data-sheet="moth"]').press('Enter')
  await expect(page.locator('[data-step]')).toHaveCount(3)
  expect((await steps(page, id)).map((s: { kind: string }) => s.kind)).toEqual(['wash', 'glitter', 'sheet'])
  // The base goes behind the sheet: its glitter comes along.
  await page.locator('[data-step]').nth(0).focus()
  await page.keyboard.press('Alt+ArrowRight')
  await page.keyboard.press('Alt+ArrowRight')
  await expect
    .poll(async () => (await steps(page, id)).map((s: { kind: string }) => s.kind))
    .toEqual(['sheet', 'wash', 'glitter'])
})

test('the kit tells what brushes, glitter and gems there are', async ({ page }) => {
  await page.goto('/kit')
  await page.getByRole('tab', { name: 'Brushes and sparkle' }).click()
  await expect(page.locator('[data-brush]')).toHaveCount(11)
  await expect(page.locator('[data-brush="round2"]')).toContainText('0.4 mm to 2.4 mm')
  await expect(page.getByText('Cosmetic grade only')).toBeVisible()
})

test('brushwork goes out as SVG, is read back from a file, and stands on the step list', async ({ page }) => {
  const svg = await (await page.request.get('/api/looks/demo-ember-wing/export.svg')).text()
  expect(svg).toContain('Long feathers')
  expect(svg.match(/<path /g)!.length).toBeGreaterThan(40)
  const file = await (await page.request.get('/api/looks/demo-ember-wing/export.json')).json()
  const copy = await page.request.post('/api/looks', { data: { ...file, name: 'Ember again' } })
  expect(copy.status()).toBe(201)
  expect((await copy.json()).look.steps).toEqual(file.steps)
  const broken = structuredClone(file)
  const n = broken.steps.findIndex((s: { label: string }) => s.label === 'Long feathers')
  broken.steps[n].params.count = 900
  const refused = await page.request.post('/api/looks', { data: broken })
  expect(refused.status()).toBe(422)
  expect(await refused.text()).toContain(`Step ${n + 1} (Long feathers)`)
  await page.goto('/looks/demo-ember-wing/steps')
  await expect(page.getByText('petals along a path').first()).toBeVisible()
  await expect(page.getByText(/Bonfire across the brush/).first()).toBeVisible()
})

test('a base is drawn by handles: on a picked spot or from its zones, with one more and one less, moved, with corners and a twin', async ({
  page,
}) => {
  const id = await openNew(page)
  const card = page.getByRole('complementary', { name: 'Step card' })
  await page.mouse.click(...(await onPage(page, [40, 34])))
  await tab(page, 'Base')
  await page.getByRole('button', { name: 'Its own outline' }).click()
  await page.getByRole('button', { name: 'Harbour Blue', exact: true }).click()
  await page.getByRole('button', { name: 'Lay this base' }).click()
  await expect(card.getByText('8 handles')).toBeVisible()
  const [oval] = await steps(page, id)
  expect(oval.points[0].map(Math.round)).toEqual([40, 20])

  await drag(page, await onPage(page, oval.points[2]), await onPage(page, [66, 30]))
  await expect.poll(async () => (await steps(page, id))[0].points[2].map(Math.round)).toEqual([66, 30])
  // The small handle between two pulls out one more.
  const [pulled] = await steps(page, id)
  const ring: [number, number][] = pulled.points
  const half = (a: [number, number], b: [number, number]): [number, number] => [
    (a[0] + b[0]) / 2,
    (a[1] + b[1]) / 2,
  ]
  await card.getByRole('switch', { name: 'Corners at the handles' }).click()
  await drag(page, await onPage(page, half(ring[4]!, ring[5]!)), await onPage(page, [28, 56]))
  await expect(card.getByText('9 handles')).toBeVisible()
  expect((await steps(page, id))[0]).toMatchObject({
    straight: true,
    points: { 5: [expect.closeTo(28, 0), expect.closeTo(56, 0)] },
  })
  await page.keyboard.down('Alt')
  await page.mouse.click(...(await onPage(page, [28, 56])))
  await page.keyboard.up('Alt')
  await expect(card.getByText('8 handles')).toBeVisible()
  await card.getByRole('button', { name: 'Remove point' }).click()
  await expect(card.getByText('7 handles')).toBeVisible()

  const before = (await steps(page, id))[0]
  await drag(page, await onPage(page, [42, 34]), await onPage(page, [42, 44]))
  await page.keyboard.press('ArrowLeft')
  const moved = (await steps(page, id))[0]
  expect(moved.points[0][1] - before.points[0][1]).toBeCloseTo(10, 0)
  expect([moved.axis.from[0] - before.axis.from[0], moved.axis.from[1] - before.axis.from[1]]).toEqual([
    expect.closeTo(moved.points[0][0] - before.points[0][0], 0),
    expect.closeTo(10, 0),
  ])
  await card.getByLabel('Twin').selectOption('midline')
  await painted(page)
  await card.getByRole('button', { name: 'Unlink' }).click()
  await expect(page.locator('[data-step]')).toHaveCount(2)
  const [own, other] = await steps(page, id)
  expect(other.points[0]).toEqual([-own.points[0][0], own.points[0][1]])
  // A tap on the base that is held lets go of it, and picks the spot for what comes next.
  await page.mouse.click(...(await onPage(page, [-42, 40])))
  await expect(page.getByText('Spot picked')).toBeVisible()

  await page.getByRole('button', { name: 'Forehead', exact: true }).click()
  await page.getByRole('button', { name: 'Lay this base' }).click()
  await card.getByRole('button', { name: 'Draw its outline' }).click()
  await expect(card.getByText(/^\d+ handles$/)).toBeVisible()
  const drawn = (await steps(page, id))[2]
  expect([drawn.zones, drawn.points.length <= 16]).toEqual([[], true])
  await card.getByRole('button', { name: 'forehead', exact: true }).click()
  expect((await steps(page, id))[2]).toMatchObject({ zones: ['forehead'], points: [] })
})
