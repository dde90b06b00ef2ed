import type { Box } from '../../core/geometry'
import { expect, test, type Page } from './site'
import { complaints, drawn, idOf, look, openBench, openNew, painted, saved } from './helpers'

/**
 * What the stage tells of its picture: pixels across, millimetres across, and how many pixels a millimetre it
 * wants.
 */
interface Fine {
  width: number
  wide: number
  fine: number
  /** The same of parts that were painted by themselves, and what is shown of each, mm. */
  parts: (Omit<Fine, 'parts'> & { seen: Box })[]
}
const fine = (page: Page): Promise<Fine> =>
  page.evaluate(() => (window as unknown as { faceStage: { picture: () => Fine } }).faceStage.picture())
/** Whether every pixel of the picture stands where the guides think it does. */
async function inRegister(page: Page): Promise<void> {
  await expect
    .poll(async () => {
      const { width, wide, fine: wanted } = await fine(page)
      return Math.abs(width / wide - wanted)
    })
    .toBeLessThan(0.02)
}
/** Lays a sheet from the tray, and waits until it lies in the strip: its shape is fetched first. */
async function lay(page: Page, sheet: string): Promise<void> {
  const strip = page.locator('[data-step]')
  const before = await strip.count()
  await page.locator(`[data-sheet="${sheet}"]`).press('Enter')
  await expect(strip).toHaveCount(before + 1)
}
const tab = (page: Page, name: string) => page.getByRole('tab', { name }).click()

test('strokes are painted in a colour that was chosen before, and the look goes on', async ({ page }) => {
  const wrong = complaints(page)
  await openNew(page)
  await tab(page, 'Line')
  for (const paint of ['Mulberry', 'Gull White']) {
    await page.getByRole('button', { name: 'Colour of the next stroke' }).click()
    await page
      .getByRole('option')
      .filter({ hasText: new RegExp(`^${paint}$`) })
      .first()
      .click()
    await page.locator('[data-shape="teardrop"]').click()
    await painted(page)
  }
  await page.locator('[data-run="row"]').click()
  await painted(page)
  await saved(page)
  expect(wrong).toEqual([])
  await expect(page.getByRole('alert')).toHaveCount(0)
  const { look: kept } = await look(page, idOf(page))
  expect(kept.steps.map((s: { kind: string }) => s.kind)).toEqual(['line', 'line', 'dots'])
  expect(kept.steps[0].load.paint.name).toBe('Mulberry')
})

test('what fits ends its search when the zone is changed at once', async ({ page }) => {
  await openNew(page)
  await page.getByRole('radio', { name: 'What fits', exact: true }).click()
  await page.getByLabel('Zone to fill').selectOption('right.cheek')
  await page.getByLabel('Zone to fill').selectOption('left.temple')
  await expect(
    page.getByRole('list', { name: 'What fits the right temple' }).locator('li').first(),
  ).toBeVisible()
  await expect(page.getByRole('button', { name: 'Stop', exact: true })).toHaveCount(0)
})

test('the picture stays in register while the view changes quickly', async ({ page }) => {
  await openBench(page, 'plain-fern-stag?probe')
  await inRegister(page)
  expect((await fine(page)).fine).toBeGreaterThan(2)
  const zoom = page.getByRole('button', { name: 'Zoom in' })
  await page.locator('[data-step]').first().click()
  await page.keyboard.press('d')
  for (let n = 0; n < 3; n++) await zoom.click()
  // What is seen from near is finer than the whole picture, and in register too.
  await expect
    .poll(async () => (await fine(page)).parts[0]?.fine ?? 0)
    .toBeGreaterThan((await fine(page)).fine)
  await painted(page)
  const { parts } = await fine(page)
  expect(parts.map(({ width, wide, fine: wanted }) => (width / wide / wanted).toFixed(3))).toEqual(['1.000'])
  await inRegister(page)
  const stage = (await page.getByTestId('stage').boundingBox())!
  await page.mouse.move(stage.x + 200, stage.y + 200)
  await page.mouse.wheel(0, -240)
  await page.keyboard.press('d')
  await page.mouse.wheel(0, 400)
  await page.keyboard.press('Shift+D')
  await painted(page)
  await inRegister(page)
})

test('from near the middle of what is seen stands before the rest of it, and goes when all of it stands', async ({
  page,
}) => {
  await openBench(page, 'plain-fern-stag?probe')
  await painted(page)
  // The worker that paints the middle has told what there is to say of the look.
  await expect(page.locator('[data-checking=false]')).toBeVisible()
  /** Each change of what is painted by itself: how much of the skin each part shows, mm2. */
  await page.evaluate(() => {
    type Part = { seen: { minX: number; minY: number; maxX: number; maxY: number } }
    const page = window as unknown as { stood: number[][]; faceStage: { picture: () => { parts: Part[] } } }
    page.stood = []
    setInterval(() => {
      const parts = page.faceStage
        .picture()
        .parts.map(({ seen }) => (seen.maxX - seen.minX) * (seen.maxY - seen.minY))
      if (JSON.stringify(parts) !== JSON.stringify(page.stood.at(-1))) page.stood.push(parts)
    }, 5)
  })
  const stage = (await page.getByTestId('stage').boundingBox())!
  await page.mouse.move(stage.x + stage.width / 2, stage.y + stage.height / 2)
  // One move: a view that goes on changing would ask for one middle after another.
  await page.mouse.wheel(0, -700)
  await expect.poll(async () => (await fine(page)).parts.length).toBeGreaterThan(0)
  await painted(page)
  const stood = await page.evaluate(() => (window as unknown as { stood: number[][] }).stood)
  expect(stood.map(parts => parts.length)).toEqual([0, 1, 1])
  const [[middle], [all]] = [stood[1]!, stood[2]!]
  expect(middle! / all!).toBeGreaterThan(0.2)
  expect(middle! / all!).toBeLessThan(0.3)
})

test('a look of eighty steps says so instead of failing to save', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Line')
  await page.locator('[data-run="row"]').click()
  await saved(page)
  const { look: one, version } = await look(page, id)
  const [dots] = one.steps
  const answer = await page.request.put(`/api/looks/${id}`, {
    data: {
      base: version,
      look: { ...one, steps: Array.from({ length: 80 }, (_, i) => ({ ...dots, id: `dot-${i}` })) },
    },
  })
  expect(answer.status()).toBe(200)
  await openBench(page, id)
  await page.locator('[data-step]').first().click()
  await page.getByRole('button', { name: 'Copy this step' }).click()
  await expect(page.getByText('A look has at most 80 steps')).toBeVisible()
  await expect(page.locator('[data-step]')).toHaveCount(80)
  await page.keyboard.press('ArrowUp')
  await saved(page)
})

test('an earlier version opens beside the present one', async ({ page }) => {
  const id = await openNew(page)
  await tab(page, 'Line')
  await page.locator('[data-shape="teardrop"]').click()
  await saved(page)
  await page.getByTestId('save-state').click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('listitem')).toHaveCount(2)
  await dialog.getByRole('button', { name: 'Open a copy' }).click()
  await expect(page.getByText('The build begins here')).toBeVisible()
  expect(idOf(page)).not.toBe(id)
  expect((await look(page, id)).look.steps).toHaveLength(1)
})

test('every palette and popover opens whole inside the window', async ({ page }) => {
  await openNew(page)
  const panel = page.locator('[data-floating]')
  /** Whether the panel lies in the window, and nothing lies over it: its corners take the press. */
  const whole = () =>
    panel.evaluate(shown => {
      const { left, top, right, bottom } = shown.getBoundingClientRect()
      const corners = [
        [left + 12, top + 12],
        [right - 24, top + 12],
        [left + 12, bottom - 12],
        [right - 24, bottom - 12],
      ] as const
      return {
        within: left >= 0 && top >= 0 && right <= innerWidth && bottom <= innerHeight,
        covered: corners.filter(
          ([x, y]) => document.elementFromPoint(x, y)?.closest('[data-floating]') !== shown,
        ).length,
      }
    })
  // A popover finds its place once it has its size, and its size once what it shows was fetched.
  const inside = () => expect.poll(whole).toEqual({ within: true, covered: 0 })
  const close = async () => {
    await inside()
    await page.keyboard.press('Escape')
    await expect(panel).toHaveCount(0)
  }
  for (const name of [/^skin/, 'Export']) {
    await page.getByRole('button', { name }).click()
    await close()
  }
  await page.locator('[data-sheet]').first().click()
  await painted(page)
  await page.getByRole('button', { name: 'Test on the back of the hand' }).click()
  await close()
  await page.getByRole('button', { name: 'Colour of layer 1' }).click()
  await close()
  await tab(page, 'Line')
  await page.getByRole('button', { name: 'Colour of the next stroke' }).click()
  await close()
  await page.locator('[data-shape="band"]').click()
  await page.getByLabel('How the brush is loaded').selectOption('double')
  await page.getByRole('button', { name: 'Light edge' }).click()
  await inside()
  await page.locator('[data-floating] [role="option"]').last().click()
  await painted(page)
})

interface Told {
  screen: (p: [number, number]) => [number, number]
}
/** Where a point of the skin stands on the page. */
async function onPage(page: Page, at: [number, number]): Promise<[number, number]> {
  const box = (await page.getByTestId('stage').boundingBox())!
  const [x, y] = await page.evaluate(p => (window as unknown as { faceStage: Told }).faceStage.screen(p), at)
  return [box.x + x, box.y + y]
}
const steps = async (page: Page, id: string) => {
  await saved(page)
  return (await look(page, id)).look.steps
}

test('no problems is said only once everything was checked', async ({ page }) => {
  await openNew(page)
  const verdict = page.getByTestId('findings')
  await expect(verdict).toHaveText(/^no problems/)
  await page.locator('[data-sheet="scales"]').press('Enter')
  // The very moment after, nothing of it has been checked.
  await expect(verdict).toHaveAttribute('data-checking', 'true')
  expect(await verdict.textContent()).not.toMatch(/^no problems/)
  await expect(verdict).toHaveAttribute('data-checking', 'false')
})

test('a spot is picked on painted skin, by pressing long, with Alt or by the switch, and what comes next lands there', async ({
  page,
}) => {
  const id = await openNew(page)
  await lay(page, 'heart-crest')
  await painted(page)
  const [heart] = await steps(page, id)
  const spot = await onPage(page, [heart.at[0] + 14, heart.at[1]])
  await page.mouse.move(...spot)
  await page.mouse.down()
  await expect(page.getByText('Spot picked')).toBeVisible()
  await page.mouse.up()
  await expect(page.getByText('Spot picked')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.down('Alt')
  await page.mouse.click(...spot)
  await page.keyboard.up('Alt')
  await expect(page.getByText('Spot picked')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Pick a spot' }).click()
  await page.mouse.click(...spot)
  await expect(page.getByText('Spot picked')).toBeVisible()
  await page.getByRole('radio', { name: 'What fits', exact: true }).click()
  await page.locator('[data-fit]').first().click()
  await expect(page.locator('[data-step]')).toHaveCount(2)
  const laid = (await steps(page, id))[1]
  expect(Math.hypot(laid.at[0] - heart.at[0], laid.at[1] - heart.at[1])).toBeLessThan(45)
  // Strokes for eyes land at an eye, wherever the spot is.
  await page.keyboard.press('Escape')
  await tab(page, 'Line')
  await page.locator('[data-shape="eyeliner"]').click()
  const liner = (await steps(page, id))[2]
  for (const [x, y] of liner.points as [number, number][])
    expect([Math.abs(x) > 12 && Math.abs(x) < 60, y > -12 && y < 14]).toEqual([true, true])
})

test('openings are chosen by click, drag and loop, all, none and inverted; a miss keeps choosing', async ({
  page,
}) => {
  const id = await openNew(page)
  const bar = page.getByTestId('choice-bar')
  await lay(page, 'star-set')
  await painted(page)
  const [sheet] = await steps(page, id)
  const count = Number(
    /all (\d+) openings/.exec(
      (await page.getByLabel('Openings of layer 1').locator('option').first().textContent()) ?? '',
    )![1],
  )
  await page.getByRole('button', { name: 'Choose', exact: true }).click()
  await expect(bar).toContainText(`${count} chosen`)
  await bar.getByRole('button', { name: 'None' }).click()
  await expect(bar).toContainText('none chosen')
  // Beside every opening nothing changes, and choosing goes on.
  await page.mouse.click(...(await onPage(page, [sheet.at[0] + 62, sheet.at[1] - 20])))
  await expect(bar).toContainText('none chosen')
  // A loop around the whole sheet takes every opening.
  const corners = await Promise.all(
    (
      [
        [-60, -48],
        [60, -48],
        [60, 48],
        [-60, 48],
      ] as const
    ).map(([x, y]) => onPage(page, [sheet.at[0] + x, sheet.at[1] + y])),
  )
  await page.mouse.move(...corners[0]!)
  await page.mouse.down()
  for (const c of [...corners.slice(1), corners[0]!]) await page.mouse.move(...c, { steps: 5 })
  await page.mouse.up()
  await expect(bar).toContainText(`${count} chosen`)
  await bar.getByRole('button', { name: 'None' }).click()
  await bar.getByRole('button', { name: 'Invert' }).click()
  await expect(bar).toContainText(`${count} chosen`)
  await bar.getByRole('button', { name: 'Done' }).click()
  expect((await steps(page, id))[0].passes[0].openings).toEqual({ use: 'all' })
})

test('a tap beside what a stencil prints does not take it, and strokes flip with the stencils that are selected with them', async ({
  page,
}) => {
  const id = await openNew(page)
  await lay(page, 'star-set')
  await painted(page)
  await page.getByRole('button', { name: 'Choose', exact: true }).click()
  await page.getByTestId('choice-bar').getByRole('button', { name: 'None' }).click()
  const [sheet] = await steps(page, id)
  // The opening nearest to the upper left of the sheet, wherever its stars stand.
  for (let n = 0; n < 60 && !/1 chosen/.test((await page.getByTestId('choice-bar').textContent()) ?? ''); n++)
    await page.mouse.click(
      ...(await onPage(page, [sheet.at[0] - 40 + (n % 8) * 5, sheet.at[1] - 26 + Math.floor(n / 8) * 5])),
    )
  await page.getByTestId('choice-bar').getByRole('button', { name: 'Done' }).click()
  await page.keyboard.press('Escape')
  await page.mouse.click(...(await onPage(page, [sheet.at[0] + 34, sheet.at[1] + 18])))
  await expect(page.getByText('Spot picked')).toBeVisible()
  await tab(page, 'Line')
  await page.locator('[data-shape="teardrop"]').click()
  await page.keyboard.press('Control+a')
  await expect(page.getByText('2 steps are selected')).toBeVisible()
  await page.keyboard.press('f')
  const [flipped] = await steps(page, id)
  expect(flipped.side).toBe('B')
})

test('fields, tabs and the card keep to themselves what is theirs', async ({ page }) => {
  const id = await openNew(page)
  await lay(page, 'heart-crest')
  await lay(page, 'moth')
  await lay(page, 'star-set')
  await painted(page)
  const at = async () => (await steps(page, id)).map((s: { at: number[] }) => s.at)
  const before = await at()
  // Arrows on the tabs change the tab and leave the sheet alone.
  await page.getByRole('tab', { name: 'Stencil' }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('tab', { name: 'Line' })).toHaveAttribute('aria-selected', 'true')
  expect(await at()).toEqual(before)

  // What was typed and kept is undone from the next field too, in the look and in the field.
  const name = page.getByLabel('Name of the step')
  const old = await name.inputValue()
  await name.fill('Tide of stars')
  await page.keyboard.press('Tab')
  await expect.poll(async () => (await steps(page, id))[2].label).toBe('Tide of stars')
  await name.focus()
  await page.keyboard.press('Control+z')
  await expect(name).toHaveValue(old)
  expect((await steps(page, id))[2].label).toBe(old)

  // A step goes to its place by number; the strip and the card agree.
  await page.getByLabel('Place of this step').fill('1')
  await page.keyboard.press('Enter')
  await expect.poll(async () => (await steps(page, id))[0].label).toBe(old)
  await expect(page.locator('[aria-current="step"]')).toContainText('1')
  await page.getByLabel('Place of this step').focus()
  await page.keyboard.press('Escape')
  await expect(name).toHaveCount(0)
  await page.locator('[data-step]').nth(1).click()
  await page.getByRole('button', { name: 'Close the card' }).click()
  await expect(name).toHaveCount(0)

  // What was folded stays folded.
  await page.locator('[data-step]').nth(1).click()
  await page.locator('[data-section="Twin"] summary').click()
  // A section tells that it was folded after the click has been dealt with.
  await drawn(page)
  await page.reload()
  await painted(page)
  await page.locator('[data-step]').nth(0).click()
  await expect(page.locator('[data-section="Twin"]')).not.toHaveAttribute('open', '')
  await expect(page.locator('[data-section="Colour layers"]')).toHaveAttribute('open', '')
})

test('a cake that looks use is not changed behind their backs, and is only as safe as its strips', async ({
  page,
}) => {
  const id = await openNew(page)
  await lay(page, 'heart-crest')
  await page.getByLabel('Colour of layer 1, how it is loaded').selectOption('cake')
  await saved(page)
  await page.goto('/kit')
  const cake = (await look(page, id)).look.steps[0].passes[0].load.cake
  await page
    .getByRole('button', { name: new RegExp(cake.name) })
    .first()
    .click()
  await page.getByLabel('Paint of strip 1').selectOption({ label: 'Flare Pink' })
  await expect(page.getByText('Flare Pink: not for near the eyes, so the cake is not either.')).toBeVisible()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('alert')).toContainText('Test look')
  await page.getByRole('button', { name: 'Keep as a new cake' }).click()
  await expect(page.getByText(`${cake.name} (new) kept`)).toBeVisible()
  const paints = (await (await page.request.get('/api/paints')).json()) as {
    id: string
    name: string
    eyeSafe: boolean
    strips: { name: string }[]
  }[]
  expect(paints.find(p => p.id === cake.id)!.strips[0]!.name).not.toBe('Flare Pink')
  expect(paints.find(p => p.name === `${cake.name} (new)`)).toMatchObject({ eyeSafe: false })
})

test('a stencil is drawn where the hand has it, at the edge of the stage too, and nothing stays when it is left', async ({
  page,
}) => {
  await openBench(page, 'plain-fern-stag?probe')
  await page.locator('[data-step]').nth(1).click()
  const outlines = page.getByTestId('sheet-outlines')
  /** Where something is drawn, px of the window; null where nothing is. */
  const drawnBox = () =>
    outlines.evaluate((canvas: HTMLCanvasElement) => {
      const at = canvas.getBoundingClientRect()
      const [width, height] = [Math.round(at.width), Math.round(at.height)]
      // A worker draws on it: its pixels are read off a copy.
      const copy = new OffscreenCanvas(width, height).getContext('2d')!
      copy.drawImage(canvas, 0, 0, width, height)
      const { data } = copy.getImageData(0, 0, width, height)
      let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity]
      for (let p = 0; p < width * height; p++) {
        if (data[4 * p + 3] === 0) continue
        left = Math.min(left, p % width)
        right = Math.max(right, p % width)
        top = Math.min(top, Math.floor(p / width))
        bottom = Math.max(bottom, Math.floor(p / width))
      }
      return right < 0
        ? null
        : { left: at.x + left, top: at.y + top, right: at.x + right, bottom: at.y + bottom }
    })
  const stage = (await page.getByTestId('stage').boundingBox())!
  const middle = () =>
    page.evaluate(
      () =>
        (
          window as unknown as { faceStage: { handles: () => { middle: [number, number] } | null } }
        ).faceStage.handles()!.middle,
    )
  await expect.poll(drawnBox).not.toBeNull()
  const rests = (await drawnBox())!
  const [x, y] = await middle()
  await page.mouse.move(stage.x + x, stage.y + y)
  await page.mouse.down()
  for (let i = 1; i <= 8; i++) await page.mouse.move(stage.x + x, stage.y + y + 10 * i)
  // As far as the hand went, it is drawn farther down.
  await expect.poll(async () => (await drawnBox())!.bottom - rests.bottom).toBeGreaterThan(40)
  await page.mouse.move(stage.x + stage.width - 4, stage.y + stage.height - 4, { steps: 6 })
  // Past the stage nothing is drawn, and the canvas is as large as it stays.
  const box = (await outlines.boundingBox())!
  expect(box.x + box.width).toBeLessThanOrEqual(stage.x + stage.width + 1)
  expect(box.y + box.height).toBeLessThanOrEqual(stage.y + stage.height + 1)
  await page.mouse.up()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await expect.poll(drawnBox).toBeNull()
})
