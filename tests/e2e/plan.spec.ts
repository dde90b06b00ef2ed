import { expect, test } from './site'
import { complaints, look, openBench, saved } from './helpers'

test('the shortest order is shown with its reasons, taken with one press, and undone', async ({ page }) => {
  const wrong = complaints(page)
  await openBench(page, 'plain-midnight-moth')
  const entered = (await look(page, 'plain-midnight-moth')).look.steps.map((s: { id: string }) => s.id)
  await page.getByRole('button', { name: 'Order', exact: true }).click()
  const told = page.getByTestId('plan-told')
  await expect(told).toContainText(/\d:\d\d min less/)
  await expect(told).toContainText('No order is shorter.')
  await expect(told.getByRole('listitem').first()).toContainText(/while ".*" dries|waits no longer/)
  const rows = page.getByTestId('plan-steps').getByRole('listitem')
  await expect(rows).toHaveCount(entered.length)
  await told.getByRole('button', { name: 'Take this order' }).click()
  await saved(page)
  const ids = async () =>
    (await look(page, 'plain-midnight-moth')).look.steps.map((s: { id: string }) => s.id)
  await expect.poll(ids).not.toEqual(entered)
  expect([...(await ids())].sort()).toEqual([...entered].sort())
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(ids).toEqual(entered)
  // A step that is locked keeps its place from then on.
  await page.getByRole('button', { name: 'Order', exact: true }).click()
  await rows.last().getByRole('button').click()
  await saved(page)
  const locked = (await look(page, 'plain-midnight-moth')).look.steps.filter(
    (s: { locked?: boolean }) => s.locked,
  )
  expect(locked).toHaveLength(1)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(ids).toEqual(entered)
  expect(wrong).toEqual([])
})

test('for a growing queue it is told what goes, with two pictures, and kept as a variant', async ({
  page,
}) => {
  const id = 'plain-barn-owl'
  await openBench(page, id)
  await page.getByRole('button', { name: 'Order', exact: true }).click()
  await page.getByRole('tab', { name: 'When the queue grows' }).click()
  const told = page.getByTestId('queue-told')
  await expect(told).toBeVisible({ timeout: 20_000 })
  await page.getByLabel('Time with three waiting').fill('soon')
  await page.getByLabel('Time with three waiting').press('Enter')
  await expect(page.getByRole('alert')).toContainText('Give minutes and seconds, such as 4:20')
  await page.getByLabel('Time with three waiting').fill('0:10')
  await page.getByLabel('Time with three waiting').press('Enter')
  await expect(told).toContainText('Not even what must be done can be painted in 0:10')
  await saved(page)
  expect((await look(page, id)).look.queue).toMatchObject({ three: 10 })
  await page.getByLabel('Time with three waiting').fill('60:00')
  await page.getByLabel('Time with three waiting').press('Enter')
  await expect(told).toContainText('Nothing has to go')
})

test('the look stands in time: it is played, and a step that cannot come earlier goes back', async ({
  page,
}) => {
  const wrong = complaints(page)
  const id = 'plain-midnight-moth'
  await openBench(page, id)
  await page.getByRole('button', { name: 'Order', exact: true }).click()
  await page.getByRole('tab', { name: 'In time' }).click()
  const rows = page.getByTestId('time-rows')
  const entered = (await look(page, id)).look.steps.map((s: { id: string }) => s.id)
  await expect(rows.locator('[data-bar]')).toHaveCount(entered.length)
  await expect(rows).toContainText('forehead')
  await page.getByRole('button', { name: '60×' }).click()
  await page.getByRole('button', { name: 'Play', exact: true }).last().click()
  await expect(page.getByTestId('time-face')).toHaveAttribute('data-done', String(entered.length), {
    timeout: 20_000,
  })
  // The last before the base: it lies on it.
  await rows
    .locator('[data-bar]')
    .last()
    .dragTo(rows.locator('[data-bar]').first(), { targetPosition: { x: 2, y: 20 } })
  await expect(page.getByRole('alert')).toContainText('comes after it')
  await expect(rows.locator('[data-bar]').first()).toHaveAttribute('data-bar', entered[0])
  expect((await look(page, id)).look.steps.map((s: { id: string }) => s.id)).toEqual(entered)
  expect(wrong).toEqual([])
})
