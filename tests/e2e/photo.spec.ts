import { readFileSync } from 'node:fs'
import { PNG } from 'pngjs'
import { readSheetFile } from '../../core/stencil'
import { photograph, SIDE, type Shot } from '../photographs'
import { expect, test, type Page } from './site'

const leaf = readSheetFile(readFileSync('demo/stencils/leaf-spray.svg', 'utf8')).sheet
function png(shot: Partial<Shot> = {}): Buffer {
  const { picture } = photograph({ sheet: leaf, fineness: 8, light: SIDE, ...shot })
  const image = new PNG({ width: picture.width, height: picture.height })
  image.data = Buffer.from(picture.data.buffer)
  return PNG.sync.write(image)
}
const file = (name: string, buffer: Buffer, mimeType = 'image/png') => ({ name, mimeType, buffer })
const sheets = async (page: Page) =>
  (await (await page.request.get('/api/stencils')).json()) as {
    id: string
    name: string
    kind: string
    width: number
    photo: boolean
    tags: string[]
    analysis: { openings: number; bridge: number }
  }[]
async function choose(page: Page, name: string, buffer: Buffer): Promise<void> {
  await page.goto('/drawer/photo')
  await page.getByLabel('Picture of a stencil').setInputFiles(file(name, buffer))
}
async function sized(page: Page): Promise<void> {
  await page.getByLabel('Upper side, mm').fill(String(leaf.width))
  await page.getByLabel('Left side, mm').fill(String(leaf.height))
  await page.keyboard.press('Tab')
}

test('a photograph becomes a stencil of true size, corrected by hand, with its picture', async ({ page }) => {
  await choose(page, 'my_own-spray.png', png())
  await expect(page.getByText('The corners were found')).toBeVisible()
  // Without a size nothing is read, and it is said what is missing.
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByRole('alert')).toContainText('Enter the length')
  await sized(page)
  // A handle is moved under the magnifier, and by keys back.
  const handle = page.locator('[data-handle="points-0"]')
  const box = (await handle.boundingBox())!
  const before = await handle.getAttribute('aria-valuetext')
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 6, box.y + box.height / 2)
  await expect(page.getByTestId('magnifier')).toBeVisible()
  await page.mouse.up()
  expect(await handle.getAttribute('aria-valuetext')).not.toBe(before)
  await handle.focus()
  for (let n = 0; n < 30 && (await handle.getAttribute('aria-valuetext')) !== before; n++)
    await page.keyboard.press('ArrowLeft')
  expect(await handle.getAttribute('aria-valuetext')).toBe(before)
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByText(`${leaf.openings.length} openings`)).toBeVisible({ timeout: 60_000 })
  // The threshold is drawn live, and read anew.
  await page.getByLabel('Threshold').fill('0.56')
  await expect(page.getByTestId('read')).toBeVisible()
  await page.getByRole('button', { name: 'Back to the middle' }).click()
  await expect(page.getByTestId('read')).toBeVisible()
  await page.getByRole('button', { name: 'Go on' }).click()

  // By hand: a circle added, an opening erased, undone, redone.
  const stage = page.getByTestId('draft-stage')
  await expect(stage).toBeVisible()
  await expect(stage.locator('[data-opening]')).toHaveCount(leaf.openings.length)
  await page.getByRole('button', { name: /^Add a circle/ }).click()
  const area = (await stage.boundingBox())!
  await page.mouse.move(area.x + 0.13 * area.width, area.y + 0.22 * area.height)
  await page.mouse.down()
  await page.mouse.move(area.x + 0.13 * area.width + 12, area.y + 0.22 * area.height)
  await page.mouse.up()
  await expect(stage.locator('[data-opening]')).toHaveCount(leaf.openings.length + 1)
  await page.getByRole('button', { name: /^Choose and move points/ }).click()
  await page.mouse.click(area.x + 0.13 * area.width, area.y + 0.22 * area.height)
  await expect(stage.locator('[data-node]')).toHaveCount(4)
  await page.keyboard.press('Delete')
  await expect(stage.locator('[data-opening]')).toHaveCount(leaf.openings.length)
  await page.keyboard.press('Control+z')
  await expect(stage.locator('[data-opening]')).toHaveCount(leaf.openings.length + 1)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(stage.locator('[data-opening]')).toHaveCount(leaf.openings.length)
  await page.getByText('show what was changed').click()
  await expect(page.getByTestId('draft-before')).toBeVisible()
  await page.getByRole('button', { name: 'Go on' }).click()

  await expect(page.getByLabel('Name')).toHaveValue('my own spray')
  await expect(page.getByText(/narrowest bridge/)).toBeVisible({ timeout: 30_000 })
  await page.getByLabel('Tags, with commas').fill('Mine, leaves')
  await page.getByRole('button', { name: 'Add to the drawer' }).click()
  await expect(page).toHaveURL(/drawer\/[\w-]{10,}/)
  await expect(page.getByAltText('The photograph that it was read from')).toBeVisible()
  const made = (await sheets(page)).find(s => s.name === 'my own spray')!
  expect(made.width).toBeCloseTo(leaf.width, 1)
  expect(made.analysis.openings).toBe(leaf.openings.length)
  expect(made.tags).toEqual(['mine', 'leaves'])
  expect(made.photo).toBe(true)
  const picture = await page.request.get(`/api/stencils/${made.id}/photo.jpg`)
  expect(picture.headers()['content-type']).toBe('image/jpeg')
})

test('a bad picture gets a sentence, and the drawer stays as it was', async ({ page }) => {
  const before = (await sheets(page)).length
  const told = async (name: string, buffer: Buffer, words: RegExp) => {
    await choose(page, name, buffer)
    await expect(page.getByRole('alert')).toContainText(words, { timeout: 30_000 })
  }
  await told('letter.jpg', Buffer.from('Dear painter'), /no picture that can be read/)
  await told('cut.png', png().subarray(0, 4000), /damaged/)
  const tiny = new PNG({ width: 40, height: 40 })
  await told('tiny.png', PNG.sync.write(tiny), /too small/)
  const huge = Buffer.from(PNG.sync.write(new PNG({ width: 1, height: 1 })))
  huge.writeUInt32BE(10_000, 16)
  huge.writeUInt32BE(10_000, 20)
  await told('huge.png', huge, /100 megapixels/)
  await choose(page, 'blurred.png', png({ blur: 5 }))
  await sized(page)
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByRole('alert')).toContainText(/too blurred: an edge is/, { timeout: 30_000 })
  expect(await sheets(page)).toHaveLength(before)
  const refused = await page.request.put(`/api/stencils/${(await sheets(page))[0]!.id}/photo`, {
    data: Buffer.from('no picture'),
    headers: { 'content-type': 'image/jpeg' },
  })
  expect(refused.status()).toBe(422)
})

test('a stencil is drawn from a motif, checked as it grows, and goes to a friend and back', async ({
  page,
}) => {
  await page.goto('/drawer/draw')
  await expect(page.getByText('Nothing is cut out yet')).toBeVisible()
  await page.getByLabel('Motif from').selectOption({ label: 'Honeycomb' })
  await page.locator('aside [data-opening="2"]').click()
  await page.getByRole('button', { name: 'Repeat', exact: true }).click()
  await expect(page.getByText(/Ready to be cut: one piece/)).toBeVisible({ timeout: 30_000 })
  // Steps too small for a bridge: it is shown where plastic would break.
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByLabel('step across, mm').fill('8.4')
  await page.getByRole('button', { name: 'Repeat', exact: true }).click()
  await expect(page.getByText(/under 0.8 mm/)).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Redo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Put it in the middle' }).click()
  await expect(page.getByText(/Ready to be cut: one piece, 1 opening/)).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'Into the drawer' }).click()
  await page.getByLabel('Name').fill('One cell')
  await page.getByRole('button', { name: 'Add to the drawer' }).click()
  await expect(page).toHaveURL(/drawer\/[\w-]{10,}/)

  await page.goto('/drawer')
  await page.getByLabel('Search stencils').fill('One cell')
  await page.getByRole('button', { name: 'Export and import' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'The 1 shown' }).click(),
  ])
  const zip = readFileSync((await download.path())!)
  const id = (await sheets(page)).find(s => s.name === 'One cell')!.id
  await page.request.patch(`/api/stencils/${id}`, { data: { tags: ['sky'] } })
  await page.reload()
  await page.getByRole('button', { name: 'Export and import' }).click()
  await page.getByLabel('File of stencils').setInputFiles(file('friend.zip', zip, 'application/zip'))
  await expect(page.getByText('0 new, 0 the same, 1 changed')).toBeVisible({ timeout: 30_000 })
  await page.getByRole('checkbox', { name: /One cell/ }).check()
  await page.getByRole('button', { name: 'Import 1' }).click()
  await expect(page.getByText('Its notes were taken over.')).toBeVisible()
  expect((await sheets(page)).find(s => s.id === id)!.tags).toEqual([])
  await page.getByLabel('File of stencils').setInputFiles(file('friend.zip', zip, 'application/zip'))
  await expect(page.getByText('0 new, 1 the same, 0 changed')).toBeVisible({ timeout: 30_000 })
  await page.getByLabel('File of stencils').setInputFiles(file('x.zip', Buffer.from('nothing')))
  await expect(page.getByRole('alert')).toContainText('no zip file')
})
