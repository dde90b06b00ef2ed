import { expect, test, type Page } from './site'
import { complaints } from './helpers'

// Runs and rooms change the times of every look: they are gone with the test that made them.
test.afterEach(async ({ page }) => {
  for (const { run: kept } of await (await page.request.get('/api/runs')).json())
    await page.request.delete(`/api/runs/${kept.id}`)
})

/** A room as usual, in which nothing dries otherwise. */
const usualRoom = (page: Page) =>
  page.request.put('/api/settings/room', { data: { temperature: 23, humidity: 0.5, air: 'still' } })

const step = (id: string, seconds: number, went: string | null) => ({
  id,
  label: `Step ${id}`,
  task: 'line',
  planned: 10,
  usual: 10,
  seconds,
  waited: 0,
  lost: 0,
  ending: 'done',
  swapped: false,
  again: 0,
  went,
  bridge: null,
})
const run = (id: string, name: string, note: string) => ({
  format: 'janusform-run',
  version: 1,
  id,
  look: { id: null, name, version: null },
  length: 'whole',
  device: 'test',
  typed: false,
  startedAt: '2026-11-20T18:00:00.000Z',
  endedAt: '2026-11-20T18:05:00.000Z',
  ticket: '031',
  room: { temperature: 21, humidity: 0.5, air: 'still' },
  planned: 240,
  seconds: 300,
  paused: 0,
  note,
  steps: [step('a', 10, 'bled'), step('b', 10, null)],
})

test('the log lists, searches, changes, deletes with undo, and goes out and comes in', async ({ page }) => {
  const wrong = complaints(page)
  for (const r of [run('log-a', 'Lantern cheek', 'windy'), run('log-b', 'Harbour mask', 'in the tent')])
    expect((await page.request.put(`/api/runs/${r.id}`, { data: { run: r, sent: 1 } })).status()).toBe(200)
  await page.goto('/log')
  const rows = page.locator('[data-run^="log-"]')
  await expect(rows).toHaveCount(2)
  await expect(rows.first()).toContainText('1 bled')
  await page.getByLabel('Search the log').fill('tent')
  await expect(rows).toHaveCount(1)
  await page.getByLabel('Search the log').fill('')
  await expect(page.getByTestId('paces')).toContainText('brushwork')
  await rows.filter({ hasText: 'Lantern cheek' }).getByRole('button').click()
  const detail = page.getByTestId('run-detail')
  await detail.getByLabel('How Step b went').selectOption('smudged')
  await expect
    .poll(
      async () =>
        (await (await page.request.get('/api/runs')).json()).find(
          (k: { run: { id: string } }) => k.run.id === 'log-a',
        ).run.steps[1].went,
    )
    .toBe('smudged')
  await detail.getByRole('button', { name: 'Delete this run' }).click()
  await expect(rows).toHaveCount(1)
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(rows).toHaveCount(2)
  // Out as a table, and in again: what is known stays as it is.
  const csv = await (await page.request.get('/api/runs/export.csv')).body()
  await page
    .getByLabel('Import a log, JSON or CSV')
    .setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: csv })
  await expect(page.getByText(/0 runs imported, \d+ were there already/)).toBeVisible()
  await page
    .getByLabel('Import a log, JSON or CSV')
    .setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from('name,colour\nx,#fff\n') })
  await expect(page.getByRole('alert')).toContainText('This is no log')
  expect(wrong).toEqual([])
})

test('a run is typed in, with a sentence for what is missing', async ({ page }) => {
  await page.goto('/log')
  await page.getByRole('button', { name: 'Type one in' }).click()
  await page.getByRole('button', { name: 'Keep it in the log' }).click()
  await expect(page.getByRole('alert')).toContainText('Give the minutes')
  await page.getByLabel('Minutes').fill('4:20')
  await page.getByRole('button', { name: 'Keep it in the log' }).click()
  await expect(page.getByRole('alert')).toContainText('Choose a look')
  await page.getByLabel('what was painted').fill('Two stars by ear')
  await page.getByRole('button', { name: 'Keep it in the log' }).click()
  await expect(page.getByRole('row', { name: /Two stars by ear typed in/ })).toContainText('4:20')
})

test('own times change the time of looks, and a room is kept for the house', async ({ page }) => {
  const fast = {
    ...run('log-fast', 'Quick lines', ''),
    steps: Array.from({ length: 40 }, (_, n) => step(`s${n}`, 5, 'fine')),
  }
  await page.request.put(`/api/runs/${fast.id}`, { data: { run: fast, sent: 1 } })
  const readings = await (await page.request.get('/api/readings')).json()
  expect(readings.paces.find((p: { task: string }) => p.task === 'line').factor).toBeLessThan(0.75)
  // Humidity is a share: what is past it is refused with a sentence.
  const wrong = await page.request.put('/api/settings/room', {
    data: { temperature: 20, humidity: 1.4, air: 'still' },
  })
  expect(wrong.status()).toBe(422)
  const room = { temperature: 12, humidity: 0.8, air: 'fan' }
  await page.request.put('/api/settings/room', { data: room })
  expect(await (await page.request.get('/api/settings/room')).json()).toEqual(room)
  // Cold and damp, with a fan: what dries takes its own time in every look and picture.
  expect((await (await page.request.get('/api/readings')).json()).driesBy).toBe(0.6)
  await usualRoom(page)
})
