import type { Browser, Page } from '@playwright/test'
import type { Table } from './table'

const median = (values: number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1]!
/** The place of the step in hand, with a picture however coarse. */
const PLACE = '[data-testid=place]:not([data-px="0"])'
/** The way to begin, when it may be pressed. */
const BEGIN = '[data-testid=begin]:not(:disabled)'

/** Notes on the page when something is first seen, ms from the beginning of the page. */
const watching = (selector: string): string =>
  `delete document.documentElement.dataset.seenAt; (function look() {
    if (document.querySelector(${JSON.stringify(selector)}))
      document.documentElement.dataset.seenAt = performance.now()
    else requestAnimationFrame(look)
  })()`
const seen = async (page: Page): Promise<number> => {
  await page.waitForSelector('html[data-seen-at]', { state: 'attached' })
  return Number(await page.getAttribute('html', 'data-seen-at'))
}

/** The chair on a page of a phone's size: from its address to the way to begin, and from there to the first step. */
export async function chairRows(table: Table, browser: Browser, site: string): Promise<void> {
  const opened: number[] = []
  const stepped: number[] = []
  for (let n = 0; n < 3; n++) {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, deviceScaleFactor: 2 })
    const page = await context.newPage()
    await page.addInitScript(`addEventListener('DOMContentLoaded', () => { ${watching(BEGIN)} })`)
    for (let visit = 0; visit < 2; visit++) {
      await page.goto(`${site}/looks/demo-ember-wing/chair`)
      const at = await seen(page)
      if (visit) opened.push(at)
      await page.waitForTimeout(2500)
    }
    const from = (await page.evaluate('performance.now()')) as number
    await page.evaluate(watching(PLACE))
    await page.click(BEGIN)
    stepped.push((await seen(page)) - from)
    await context.close()
  }
  table.row('the chair opened on a phone (second visit): ready to begin', median(opened), { most: 1500 })
  table.row('the chair: the first step with its picture', median(stepped), { most: 1000 })
}
