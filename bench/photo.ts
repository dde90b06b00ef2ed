import type { Browser } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { findCard, findSheet, frameOfCorners, prepare, readOpenings } from '../core/photo'
import { readSheetFile } from '../core/stencil'
import { photograph } from '../tests/photographs'
import type { Table } from './table'

/** A photograph of 12 megapixels read as the page's worker reads it. */
export function photoRows(table: Table): void {
  const { sheet } = readSheetFile(readFileSync('demo/stencils/lion-marks.svg', 'utf8'))
  const { picture, corners } = photograph({ sheet, fineness: 17, around: 22 })
  const timed = (job: () => unknown): number => {
    const begun = performance.now()
    job()
    return performance.now() - begun
  }
  const megapixels = ((picture.width * picture.height) / 1e6).toFixed(1)
  const looked = timed(() => {
    findSheet(picture)
    findCard(picture)
  })
  table.row(`a photograph of ${megapixels} MP: corners and card looked for`, looked, { most: 2500 })
  const frame = frameOfCorners(corners, sheet.width, sheet.height)
  const read = timed(() => readOpenings(prepare(picture, frame, 'sheet', null)))
  table.row(`a photograph of ${megapixels} MP: read, from corners to outlines`, read, { most: 4000 })
}

/** The page's longest task while a photograph is opened, read and its threshold moved, ms; 0 when none is over 50. */
async function longestTask(browser: Browser, site: string): Promise<number> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.goto(`${site}/drawer/photo`)
  await page.getByRole('button', { name: 'Try it with a sample' }).waitFor()
  await page.waitForTimeout(1500)
  await page.evaluate(`window.longest = 0; new PerformanceObserver(list => {
    for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration)
  }).observe({ type: 'longtask' })`)
  await page.getByRole('button', { name: 'Try it with a sample' }).click()
  await page.getByTestId('corner-stage').waitFor({ timeout: 60_000 })
  await page.getByRole('button', { name: 'Read it' }).click()
  await page.getByTestId('read').waitFor({ timeout: 60_000 })
  for (const level of ['0.55', '0.6', '0.65']) await page.getByLabel('Threshold').fill(level)
  await page.waitForTimeout(3000)
  const longest = (await page.evaluate('window.longest')) as number
  await context.close()
  return longest
}

/** The page while a photograph is read in its worker: the middle of three visits, as the machine has two cores. */
export async function photoPageRows(table: Table, browser: Browser, site: string): Promise<void> {
  const visits: number[] = []
  for (let n = 0; n < 3; n++) visits.push(await longestTask(browser, site))
  const [, middle] = visits.sort((a, b) => a - b)
  table.row('the page while a photograph is read: longest task', middle!, { most: 50 })
}
