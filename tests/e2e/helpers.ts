import { expect, type Page } from '@playwright/test'
import { PNG } from 'pngjs'

/** Opens a look on the bench and waits for its picture. */
export async function openBench(page: Page, id: string): Promise<void> {
  await page.goto(`/looks/${id}`)
  await painted(page)
}

export async function painted(page: Page): Promise<void> {
  await expect(page.getByTestId('picture-state')).toHaveText('painted', { timeout: 40_000 })
}

/** Waits until the page has drawn itself anew, twice: what an event changed is seen by then. */
export const drawn = (page: Page): Promise<void> =>
  page.evaluate(
    () => new Promise<void>(resolve => requestAnimationFrame(() => requestAnimationFrame(() => resolve()))),
  )

/** By how many px the page is wider than its window: over 0 it scrolls sideways. */
export const overWide = (page: Page): Promise<number> =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)

export async function saved(page: Page): Promise<void> {
  // A change that was just made is told to be waiting once the page has drawn itself anew.
  await drawn(page)
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'saved', { timeout: 10_000 })
}

/** Collects what the page reports as wrong; the list must stay empty. */
export function complaints(page: Page): string[] {
  const list: string[] = []
  page.on('pageerror', error => list.push(error.message))
  page.on('console', message => {
    if (message.type() === 'error' && !/status of (4\d\d)/.test(message.text())) list.push(message.text())
  })
  return list
}

/** Share of pixels that differ between two PNG pictures, 0 to 1. */
export function difference(a: Buffer, b: Buffer): number {
  const p = PNG.sync.read(a)
  const q = PNG.sync.read(b)
  expect([p.width, p.height]).toEqual([q.width, q.height])
  let off = 0
  for (let i = 0; i < p.data.length; i += 4)
    if ([0, 1, 2].some(k => Math.abs(p.data[i + k]! - q.data[i + k]!) > 2)) off++
  return off / (p.data.length / 4)
}

export const picture = async (page: Page, id: string): Promise<Buffer> =>
  (await page.request.get(`/api/looks/${id}/picture.png?px=2`)).body()
// A connection that was kept may be closed by the server the moment it is used again: browsers then ask once more.
export const look = async (page: Page, id: string) =>
  (await page.request.get(`/api/looks/${id}`, { maxRetries: 2 })).json()
export const idOf = (page: Page): string => /looks\/([\w-]+)/.exec(page.url())![1]!

let made = 0
/**
 * Opens a new empty look of a grown face, told apart from others by its id; the stage then tells where things
 * are.
 */
export async function openNew(page: Page): Promise<string> {
  const { look: base } = await look(page, 'plain-fern-stag')
  const id = `test-${Date.now()}-${made++}`
  const answer = await page.request.post('/api/looks', {
    data: {
      ...base,
      id,
      name: 'Test look',
      notes: '',
      tags: [],
      budget: null,
      focus: [0, 0],
      steps: [],
      canvas: { kind: 'face', build: 'fine', part: 'whole', measures: null, nudges: {} },
      skin: { colour: '#d9a98a', hair: '#3a2a20', eyes: 'open', age: 30 },
    },
  })
  expect(answer.status()).toBe(201)
  await openBench(page, `${id}?probe`)
  return id
}

/** A point of the stage over a point of the skin. */
export const screen = (page: Page, x: number, y: number): Promise<{ x: number; y: number }> =>
  page.evaluate(
    ([px, py]) => {
      const stage = document.querySelector('[data-testid="stage"]')!.getBoundingClientRect()
      const { faceStage } = window as unknown as { faceStage: { screen: (p: number[]) => [number, number] } }
      const [sx, sy] = faceStage.screen([px!, py!])
      return { x: stage.left + sx, y: stage.top + sy }
    },
    [x, y],
  )
/** Drags over the skin along some points. */
export async function drag(page: Page, points: readonly (readonly [number, number])[]): Promise<void> {
  const [first, ...rest] = points
  const at = await screen(page, ...first!)
  await page.mouse.move(at.x, at.y)
  await page.mouse.down()
  for (const p of rest) {
    const to = await screen(page, ...p)
    await page.mouse.move(to.x, to.y, { steps: 3 })
  }
  await page.mouse.up()
}

/** Turns to one of the trays. */
export const tab = (page: Page, name: string) => page.getByRole('tab', { name }).click()
