import type { Browser, Page } from '@playwright/test'
import { factsOf, handsRest, screensFrom } from '../core/chair'
import { freshAround, freshLine, freshRework, kindOf, withSteps, type Step, type World } from '../core/look'
import { Memo } from '../core/memo'
import { groundOf, PLAIN_FACE } from '../core/skin'
import { paints } from '../demo/paints'
import { median as medianTime, type Table } from './table'

const median = (values: number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1]!
/** The place of the step in hand, with a picture however coarse. */
const PLACE = '[data-testid=place]:not([data-px="0"])'
/** The way to begin, when it may be pressed. */
const BEGIN = '[data-testid=begin]:not(:disabled)'

/** Four bands of a flat brush in two colours, gone over until soft, blended into each other, each outlined. */
function softBands(): { steps: Step[]; world: World } {
  const ground = groundOf(PLAIN_FACE, 30)
  const paint = (id: string) => {
    const { name, colour } = paints.find(p => p.id === id)!
    return { id, name, colour }
  }
  const bands = [0, 22, 50, 75].map((down, n): Step => ({
    ...freshLine(`band-${n}`, 'band', [0, 0], paint('gull'), ground, [0, 0]),
    points: Array.from({ length: 9 }, (_, i): [number, number] => [
      -60 + 7 * i,
      down - 30 - 20 * Math.sin(i / 2.5),
    ]),
    softened: true,
    load: { kind: 'double', light: paint('gull'), dark: paint('harbour') },
    twin: { rule: 'midline', about: null, own: null },
  }))
  const ids = bands.map(b => b.id)
  const steps = [
    ...bands,
    freshRework('blend', 'blend', 'print', [0, 0], ids, ground),
    ...ids.map(id =>
      freshAround(`round-${id}`, 'outline', { use: 'step', step: id, openings: null }, paint('soot')),
    ),
  ]
  return { steps, world: { ground, stencil: () => undefined, paint: id => paints.find(p => p.id === id) } }
}

/** What the chair works out of a look of many-coloured brushwork, and what each "Done" costs. */
export function sittingRows(table: Table): void {
  const { steps, world } = softBands()
  const read = () => withSteps({ ...world, memo: new Memo() }, steps)
  const printed = medianTime(() => {
    const on = read()
    for (const step of steps) kindOf(step).prints(step, on)
  }, 3)
  const known = () => factsOf(steps, read(), () => null)
  table.row(
    'the chair: what it knows of four soft bands',
    medianTime(known, 3),
    { ratio: 3 },
    {
      words: 'printing them once',
      value: printed,
    },
  )
  const facts = new Map(known().map(f => [f.id, f]))
  const rests = handsRest(world)
  table.row(
    'the chair: the screens of four soft bands',
    medianTime(() => screensFrom(steps, facts, rests)),
    {
      most: 10,
    },
  )
}

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
