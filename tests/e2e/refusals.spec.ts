import { expect, test } from './site'

test('a page that names no look says so', async ({ page }) => {
  await page.goto('/looks/none')
  await expect(page.getByRole('heading', { name: 'could not be opened' })).toBeVisible()
  await expect(page.getByText('There is no such look')).toBeVisible()
})
