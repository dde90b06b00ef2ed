import { expect, test, type Page } from './site'
import { Site } from '../server'
import { complaints, look } from './helpers'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

// Runs change the times of every look: they are gone with the test that made them.
test.afterEach(async ({ page }) => {
  for (const { run } of (await (await page.request.get('/api/runs')).json()) as KeptRun[])
    await page.request.delete(`/api/runs/${run.id}`)
})

interface KeptRun {
  run: {
    id: string
    endedAt: string | null
    seconds: number
    length: string
    note: string
    look: { id: string }
    steps: {
      id: string
      ending: string
      seconds: number | null
      went: string | null
      again: number
      swapped: boolean
    }[]
  }
}
const runsOf = async (page: Page, id: string): Promise<KeptRun[]> =>
  ((await (await page.request.get('/api/runs')).json()) as KeptRun[]).filter(r => r.run.look.id === id)

async function sit(page: Page, id: string): Promise<void> {
  await page.goto(`/looks/${id}/chair`)
  await page.getByTestId('begin').click()
  await expect(page.getByTestId('chair-step')).toBeVisible()
}
const done = (page: Page) => page.getByTestId('done').click()
const count = (page: Page) => page.getByTestId('count')

test('two tabs go on with one sitting: no deed of either is lost, and both show where it stands', async ({
  page,
  context,
}) => {
  const id = 'plain-midnight-moth'
  await sit(page, id)
  await done(page)
  const other = await context.newPage()
  await other.goto(`/looks/${id}/chair`)
  await expect(count(other)).toHaveText(/^2 of/)
  await done(other)
  await expect(count(page)).toHaveText(/^3 of/)
  await expect(page.getByText('Another tab goes on with this sitting')).toBeVisible()
  await done(page)
  await expect(count(other)).toHaveText(/^4 of/)
  await expect
    .poll(async () => {
      const runs = await runsOf(page, id)
      return [runs.length, runs[0]?.run.steps.filter(s => s.ending === 'done').length]
    })
    .toEqual([1, 3])
})

test('a whole look is taken through the chair, and its record is kept', async ({ page }) => {
  const wrong = complaints(page)
  const id = 'plain-midnight-moth'
  const { look: it } = await look(page, id)
  await page.goto(`/looks/${id}/chair`)
  await expect(page.getByTestId('forgotten')).toBeVisible()
  await page.getByLabel('Ticket number, no name').fill('027')
  await page.getByTestId('begin').click()
  // The place is painted, coarse and then fine; colours, tool and dabs stand below it.
  await expect(page.getByTestId('place')).toHaveAttribute('data-px', '4', { timeout: 20_000 })
  await expect(count(page)).toHaveText(`1 of ${it.steps.length}`)
  // Twice fast: two steps, as it was pressed.
  await done(page)
  await done(page)
  await expect(count(page)).toHaveText(`3 of ${it.steps.length}`)
  await page.getByRole('button', { name: 'Back to the step before' }).click()
  await expect(count(page)).toHaveText(`2 of ${it.steps.length}`)
  await page.keyboard.press('PageDown')
  await expect(count(page)).toHaveText(`3 of ${it.steps.length}`)
  await page.getByRole('button', { name: /^More/ }).click()
  await page.getByRole('button', { name: 'They moved: start it again' }).click()
  await page.getByRole('button', { name: /^More/ }).click()
  await page.getByRole('button', { name: 'Skip it' }).click()
  for (let n = 4; n <= it.steps.length; n++) await done(page)
  const after = page.getByTestId('chair-after')
  await expect(after).toBeVisible()
  const first = after.locator('[data-went]').first()
  await first.getByRole('button', { name: 'fine' }).click()
  await after.getByLabel('A note, no names').fill('sat still')
  await page.getByTestId('keep').click()
  // The next person is asked for at once; the log is a press away.
  const next = page.getByTestId('chair-next')
  await expect(next.getByRole('button', { name: `Next person: ${it.name}` })).toBeVisible()
  await next.getByRole('link', { name: 'See it in the log' }).click()
  await expect(page).toHaveURL(/\/log$/)
  const [kept, ...others] = await runsOf(page, id)
  expect(others).toEqual([])
  expect(kept!.run).toMatchObject({ ticket: '027', length: 'whole', note: 'sat still' })
  expect(kept!.run.endedAt).not.toBeNull()
  expect(kept!.run.steps.map(s => s.ending)).toEqual(
    it.steps.map((_: unknown, n: number) => (n === 2 ? 'skipped' : 'done')),
  )
  expect(kept!.run.steps[2]!.again).toBe(1)
  expect(kept!.run.steps[0]!.went).toBe('fine')
  expect(wrong).toEqual([])
})

test('dries, is paused, put later and made shorter', async ({ page }) => {
  // A base, a sheet that waits for it to dry, one elsewhere, and one that may go.
  const { look: plain } = await look(page, 'plain-fern-stag')
  const [wash, sheet] = plain.steps
  const id = `drying-${Date.now()}`
  const it = {
    ...plain,
    id,
    name: 'Drying',
    steps: [
      wash,
      { ...sheet, optional: false, dry: true },
      { ...sheet, id: 'far', label: 'Elsewhere', at: [0, 95], dry: false, optional: false },
      { ...sheet, id: 'extra', label: 'Extra', at: [0, 95], dry: false, optional: true, worth: 2 },
    ],
  }
  expect((await page.request.post('/api/looks', { data: it })).status()).toBe(201)
  await sit(page, id)
  await page.getByRole('button', { name: /^More/ }).click()
  await page.getByRole('button', { name: 'Pause' }).click()
  await page.getByTestId('resume').click()
  // What lies on the base cannot go before it; what lies elsewhere can.
  await page.getByRole('button', { name: /^More/ }).click()
  await page.getByRole('button', { name: 'Do it later' }).click()
  await expect(page.getByTestId('chair-step')).toHaveAttribute('data-step', 'far')
  await page.getByRole('button', { name: /^More/ }).click()
  await page.getByRole('button', { name: 'Do it later' }).click()
  await expect(page.getByTestId('chair-step')).toHaveAttribute('data-step', wash.id)
  // The sheet waits for the base to dry, and the time runs down.
  await done(page)
  const banner = page.locator('[data-testid="banner"][data-kind="dry"]')
  for (let n = 0; n < 2 && !(await banner.count()); n++) await done(page)
  await expect(banner).toBeVisible()
  const told = () => banner.locator('strong').textContent()
  const start = await told()
  await expect.poll(told).not.toBe(start)
  await page.getByRole('button', { name: /^More/ }).click()
  await page.getByRole('button', { name: 'ten waiting' }).click()
  await expect(page.getByRole('status')).toContainText(
    /Left out|Nothing has to go|Not even what must be done/,
  )
  await page.keyboard.press('Escape')
  // Sent as it goes: the log has it, not ended.
  await expect.poll(async () => (await runsOf(page, id))[0]?.run.length).toBe('ten waiting')
  const [kept] = await runsOf(page, id)
  expect(kept!.run.endedAt).toBeNull()
  expect(kept!.run.steps.find(s => s.id === wash.id)!.swapped).toBe(true)
  expect(kept!.run.steps).toHaveLength(it.steps.length)
  // Given up: nothing of it is kept.
  await page.getByRole('button', { name: /^More/ }).click()
  await page.getByRole('button', { name: 'Give up, keep nothing' }).click()
  await page.getByRole('button', { name: 'Surely? Press again' }).click()
  await expect(page.getByTestId('begin')).toBeVisible()
  await expect.poll(async () => (await runsOf(page, id)).length).toBe(0)
})

test('the look deleted meanwhile, and the same look on another device, are told; nothing is lost', async ({
  page,
  browser,
  site,
}) => {
  const { look: base } = await look(page, 'plain-fern-stag')
  const id = `chair-${Date.now()}`
  await page.request.post('/api/looks', { data: { ...base, id, name: 'Short stay' } })
  await sit(page, id)
  await expect.poll(async () => (await runsOf(page, id)).length).toBe(1)
  const context = await browser.newContext({ baseURL: site, viewport: { width: 820, height: 1180 } })
  const tablet = await context.newPage()
  await sit(tablet, id)
  await expect(tablet.getByRole('alert')).toContainText('on another device too')
  await page.request.delete(`/api/looks/${id}`)
  await done(page)
  await expect(page.getByText('The look was deleted meanwhile.')).toBeVisible()
  expect((await runsOf(page, id)).length).toBe(2)
  await context.close()
})

test('thirty steps with the server killed in the middle, and a reload without it: no time and no answer is lost', async ({
  browser,
}, info) => {
  test.setTimeout(150_000)
  // A server of its own, which can be killed.
  const own = new Site(4680 + info.parallelIndex)
  await own.begin('looks')
  const context = await browser.newContext({ baseURL: own.address, viewport: { width: 390, height: 844 } })
  const page = await context.newPage()
  // Thirty steps: those of a look, once more and once more.
  const { look: base } = await look(page, 'plain-fern-stag')
  const sheet = base.steps.find((s: { kind: string }) => s.kind === 'sheet')
  const steps = Array.from({ length: 30 }, (_, n) => ({
    ...sheet,
    dry: false,
    optional: false,
    id: `s${n}`,
    label: `Stroke ${n + 1}`,
  }))
  expect(
    (
      await page.request.post('/api/looks', { data: { ...base, id: 'thirty', name: 'Thirty', steps } })
    ).status(),
  ).toBe(201)
  await page.goto('/looks/thirty/chair')
  // The device has kept the application.
  await page.evaluate(() => navigator.serviceWorker.ready)
  await expect
    .poll(
      () =>
        page.evaluate(() =>
          caches
            .keys()
            .then(k =>
              Promise.all(k.map(n => caches.open(n).then(c => c.keys()))).then(l => l.flat().length),
            ),
        ),
      { timeout: 20_000 },
    )
    .toBeGreaterThan(30)
  await page.getByTestId('begin').click()
  for (let n = 0; n < 10; n++) {
    await done(page)
    await page.waitForTimeout(120)
  }
  await own.stop('SIGKILL')
  for (let n = 10; n < 14; n++) {
    await done(page)
    await page.waitForTimeout(120)
  }
  await expect(page.getByTestId('chair')).toHaveAttribute('data-away', 'true')
  // The page is loaded anew, with nobody to answer.
  await page.reload()
  await expect(count(page)).toHaveText('15 of 30', { timeout: 30_000 })
  for (let n = 14; n < 22; n++) await done(page)
  await own.start()
  for (let n = 22; n < 30; n++) await done(page)
  const after = page.getByTestId('chair-after')
  await expect(after.locator('[data-went]')).toHaveCount(30)
  await after.locator('[data-went="s12"]').getByRole('button', { name: 'smudged' }).click()
  await page.getByTestId('keep').click()
  await expect(page.getByTestId('chair-next')).toBeVisible()
  const kept = await runsOf(page, 'thirty')
  expect(kept).toHaveLength(1)
  const [{ run }] = kept as [KeptRun]
  expect(run.steps.map(s => s.ending)).toEqual(steps.map(() => 'done'))
  expect(run.steps.find(s => s.id === 's12')!.went).toBe('smudged')
  // All seconds are in the steps, those without a server too.
  const sum = run.steps.reduce((s, x) => s + (x.seconds ?? 0), 0)
  expect(Math.abs(sum - run.seconds)).toBeLessThan(30 * 0.05 + 0.1)
  expect(run.seconds).toBeGreaterThan(14 * 0.12)
  await context.close()
  await own.end()
})
