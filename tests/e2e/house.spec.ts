import { readFileSync } from 'node:fs'
import { complaints, look, openBench, openNew, painted } from './helpers'
import { expect, test, type Page } from './site'

/** Cards of the gallery as the server tells them. */
interface Card {
  id: string
  picture: string | null
  awaits: boolean
  seconds: number | null
}
const card = async (page: Page, id: string): Promise<Card> =>
  ((await (await page.request.get('/api/looks')).json()) as Card[]).find(c => c.id === id)!

test('the gallery shows kept pictures at once, and a changed look keeps its last one until the new one is there', async ({
  page,
}) => {
  const wrong = complaints(page)
  await page.goto('/')
  const shown = page.locator('[data-look="demo-ember-wing"] img')
  await expect(shown).toBeVisible()
  expect((await card(page, 'demo-ember-wing')).awaits).toBe(false)
  const before = await shown.getAttribute('src')
  const { look: ember, version } = await look(page, 'demo-ember-wing')
  const changed = { ...ember, skin: { ...ember.skin, colour: '#c98e6a' } }
  await page.request.put('/api/looks/demo-ember-wing', { data: { base: version, look: changed } })
  await page.reload()
  // The picture of before stands there while the new one is painted, which then comes in by itself.
  await expect(shown).toBeVisible()
  await expect(shown).not.toHaveAttribute('src', before!, { timeout: 60_000 })
  await expect(page.locator('[data-look="demo-ember-wing"]')).not.toContainText('painting')
  const now = await card(page, 'demo-ember-wing')
  expect(now.awaits).toBe(false)
  expect(await shown.getAttribute('src')).toContain(now.picture!)
  // A name is no part of a picture.
  const again = await look(page, 'demo-ember-wing')
  await page.request.put('/api/looks/demo-ember-wing', {
    data: { base: again.version, look: { ...again.look, name: 'Ember Wing again' } },
  })
  expect((await card(page, 'demo-ember-wing')).awaits).toBe(false)
  expect(wrong).toEqual([])
})

test('the stage is never empty: the last picture stands where the painting comes', async ({ page }) => {
  await page.goto('/')
  await expect(page.locator('[data-look="demo-barn-owl"] img')).toBeVisible()
  await page.evaluate(() => {
    const seen: string[] = []
    ;(window as unknown as { seen: string[] }).seen = seen
    new MutationObserver(() => {
      const state = document.querySelector<HTMLElement>('[data-testid=picture-state]')?.dataset.standing
      const now = document.querySelector('[data-testid=skeleton] img') ? 'skeleton' : state
      if (now && seen.at(-1) !== now) seen.push(now)
    }).observe(document, { subtree: true, childList: true, attributes: true })
  })
  await page.locator('[data-look="demo-barn-owl"] a').first().click()
  await painted(page)
  const seen = await page.evaluate(() => (window as unknown as { seen: string[] }).seen)
  expect(seen[0]).toBe('skeleton')
  expect(seen.at(-1)).toBe('fine')
  expect(seen).toContain('card')
})

test('a new look that is pressed for twice is one look, and asks for no picture that there is not', async ({
  page,
}) => {
  const missing: string[] = []
  page.on('response', r => {
    if (r.status() === 404) missing.push(r.url())
  })
  await page.goto('/')
  await expect(page.locator('[data-look="demo-ember-wing"] img')).toBeVisible()
  const before = ((await (await page.request.get('/api/looks')).json()) as Card[]).length
  await page.getByRole('button', { name: 'New look' }).dblclick()
  await painted(page)
  expect(((await (await page.request.get('/api/looks')).json()) as Card[]).length).toBe(before + 1)
  expect(missing).toEqual([])
})

test('the heads of the newest looks are drawn while nobody waits', async ({ page }) => {
  await page.goto('/')
  await expect(page.locator('[data-look="demo-ember-wing"] img')).toBeVisible()
  const kept = () =>
    page.evaluate(async () => {
      // A store that is asked for before it is there would be made, empty.
      if (!(await indexedDB.databases()).some(d => d.name === 'janusform-heads')) return 0
      return new Promise<number>(resolve => {
        const asked = indexedDB.open('janusform-heads')
        asked.onsuccess = () => {
          const all = asked.result.transaction('heads').objectStore('heads').getAllKeys()
          all.onsuccess = () => resolve(all.result.length - 1)
          asked.result.close()
        }
      })
    })
  await expect.poll(kept, { timeout: 60_000 }).toBeGreaterThan(1)
})

test('earlier versions have pictures, can be named, brought back and undone', async ({ page }) => {
  const id = await openNew(page)
  await page.getByRole('tab', { name: 'Line' }).click()
  const { look: empty, version } = await look(page, id)
  await page.request.put(`/api/looks/${id}`, {
    data: { base: version, look: { ...empty, notes: 'second', skin: { ...empty.skin, colour: '#553322' } } },
  })
  await openBench(page, id)
  await page.getByTestId('save-state').click()
  const dialog = page.getByRole('dialog', { name: 'Earlier versions' })
  const rows = dialog.getByRole('listitem')
  await expect(rows).toHaveCount(2)
  // An image without anything is complete too: what counts is that it has come.
  await expect
    .poll(() =>
      rows
        .nth(1)
        .locator('img')
        .evaluate((i: HTMLImageElement) => i.naturalWidth),
    )
    .toBeGreaterThan(50)
  await rows.nth(1).getByRole('textbox').fill('pale one')
  await rows.nth(1).getByRole('textbox').blur()
  await expect
    .poll(async () =>
      (
        (await (await page.request.get(`/api/looks/${id}/revisions`)).json()) as { label: string | null }[]
      ).map(r => r.label),
    )
    .toEqual([null, 'pale one'])
  await rows.nth(1).getByRole('button', { name: 'Bring back' }).click()
  await expect(dialog).toBeHidden()
  // The version is fetched first: only then is there something to save.
  const colour = async () => (await look(page, id)).look.skin.colour
  await expect.poll(colour).toBe(empty.skin.colour)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(colour).toBe('#553322')
})

test('everything is backed up into one file and brought back; deleted looks too', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Kept safe' }).click()
  const dialog = page.getByRole('dialog', { name: 'Kept safe' })
  await dialog.getByRole('button', { name: 'Back up now' }).click()
  const backup = dialog.getByRole('listitem').filter({ hasText: 'made by hand' }).first()
  await expect(backup).toBeVisible({ timeout: 60_000 })
  const [download] = await Promise.all([page.waitForEvent('download'), backup.getByRole('link').click()])
  const file = (await download.path())!
  expect(readFileSync(file).subarray(0, 2).toString()).toBe('PK')
  await page.request.delete('/api/looks/demo-tide-queen')
  await page.reload()
  await expect(page.locator('[data-look="demo-tide-queen"]')).toHaveCount(0)
  await page.getByRole('button', { name: 'Kept safe' }).click()
  await dialog
    .getByRole('listitem')
    .filter({ hasText: 'Tide Queen' })
    .getByRole('button', { name: 'Bring back' })
    .click()
  // In a long gallery it may stand below what is seen.
  await expect.poll(() => card(page, 'demo-tide-queen').then(Boolean)).toBe(true)
  // A file that is no backup is refused, and nothing changes.
  await dialog.getByLabel('Backup file').setInputFiles({
    name: 'x.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('no zip'),
  })
  await dialog.getByRole('button', { name: 'Restore', exact: true }).first().click()
  await expect(dialog.getByRole('alert')).toContainText('no backup of Janusform')
  await page.request.delete('/api/looks/demo-koi-lantern')
  await dialog.getByLabel('Backup file').setInputFiles(file)
  await dialog.getByRole('alertdialog').getByRole('button', { name: 'Restore', exact: true }).click()
  await expect(page.getByText(/Restored: \d+ looks/)).toBeVisible({ timeout: 60_000 })
  expect((await page.request.get('/api/looks/demo-koi-lantern')).status()).toBe(200)
})

test('pages run no script but their own', async ({ page }) => {
  await page.goto('/')
  await page.evaluate(() => {
    const script = document.createElement('script')
    script.textContent = 'window.intruder = true'
    document.body.append(script)
  })
  expect(await page.evaluate(() => 'intruder' in window)).toBe(false)
})

test('a look that is too much to paint says so, and nothing of it is lost', async ({ page }) => {
  const base = (await look(page, 'plain-fern-stag')).look
  const sheet = base.steps.find((s: { kind: string }) => s.kind === 'sheet')
  const pass = { ...sheet.passes[0], openings: { use: 'all' } }
  const steps = Array.from({ length: 80 }, (_, i) => ({
    ...sheet,
    id: `s${i}`,
    stencil: 'rosettes',
    register: null,
    passes: Array.from({ length: 8 }, () => pass),
  }))
  const made = await page.request.post('/api/looks', {
    data: { ...base, id: 'too-much', name: 'Too much', steps },
  })
  expect(made.status(), await made.text()).toBe(201)
  for (const path of ['picture.png', 'export.svg']) {
    const answer = await page.request.get(`/api/looks/too-much/${path}`)
    expect(answer.status()).toBe(422)
    expect((await answer.json()).message).toMatch(/too much to paint.*nothing of it is lost/)
  }
  await page.goto('/looks/too-much')
  await expect(page.getByRole('alert').filter({ hasText: 'too much to paint' })).toBeVisible({
    timeout: 60_000,
  })
  expect((await look(page, 'too-much')).look.steps).toHaveLength(80)
})

test('a long export is told of and can be stopped', async ({ page }) => {
  await openBench(page, 'plain-tide-queen')
  // A server that takes its time.
  await page.route('**/picture.png?px=8', async route => {
    await new Promise(done => setTimeout(done, 8000))
    await route.continue().catch(() => {})
  })
  await page.getByRole('button', { name: 'Export' }).click()
  await page.getByRole('menuitem', { name: /PNG/ }).click()
  await expect(page.getByText('Making the PNG…')).toBeVisible()
  await page.getByRole('button', { name: 'Stop', exact: true }).click()
  await expect(page.getByText('Making the PNG…')).toBeHidden()
})
