import axe from 'axe-core'
import { expect, test, type Page } from './site'
import { drawn, openBench } from './helpers'
import { SCREENS } from './screens'

const STANDARD = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']

interface Violation {
  readonly id: string
  readonly nodes: readonly { readonly target: readonly string[]; readonly failureSummary: string }[]
}

/** What is pressed and is smaller than 24 px, and what is read and smaller than 12 px: axe lets much of it pass. */
const tooSmall = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const seen = (e: Element) => {
      const { width, height, right, bottom, top, left } = e.getBoundingClientRect()
      const { visibility, clip } = getComputedStyle(e)
      const inView = right > 0 && bottom > 0 && top < innerHeight && left < innerWidth
      return width > 1 && height > 1 && visibility !== 'hidden' && clip === 'auto' && inView
    }
    const pressed = 'button, a[href], input, select, summary, [role=button], [role=slider], [role=switch]'
    const targets = [...document.querySelectorAll(pressed)].filter(seen).flatMap(e => {
      // A box to tick is pressed by its words as well.
      const { width, height } = (e.closest('label') ?? e).getBoundingClientRect()
      const words = e.getAttribute('aria-label') ?? e.textContent
      // A link within a sentence is as high as its line (WCAG 2.5.8).
      const inline = e.tagName === 'A' && getComputedStyle(e).display === 'inline'
      return inline || (width >= 23.9 && height >= 23.9) ? [] : [`${width} x ${height} px: ${words}`]
    })
    const texts: string[] = []
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const size = parseFloat(getComputedStyle(node.parentElement!).fontSize)
      // What is written in a drawing grows with it.
      if (node.parentElement!.closest('svg')) continue
      if (node.textContent!.trim() && size < 11.99 && seen(node.parentElement!))
        texts.push(`${size} px: ${node.textContent!.trim()}`)
    }
    return [...targets, ...texts]
  })

/** Rules of axe: a standard's, or single ones. */
interface Rules {
  readonly type: 'tag' | 'rule'
  readonly values: readonly string[]
}
type AxeRun = (on: Document, options: object) => Promise<{ violations: Violation[] }>

/** What axe finds on the screen as it stands. */
async function broken(page: Page, rules: Rules): Promise<string[]> {
  // The policy of the pages lets no script in but their own; a test's comes through the debugger.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source)
  const found = await page.evaluate(async runOnly => {
    // What fades in or out is looked at when it has come to rest; what turns for ever is not waited for.
    const fading = document.getAnimations().map(a => (a.playState === 'running' ? a.finished : null))
    await Promise.race([Promise.allSettled(fading), new Promise(resolve => setTimeout(resolve, 400))])
    const { run } = (window as unknown as { axe: { run: AxeRun } }).axe
    const { violations } = await run(document, { runOnly, resultTypes: ['violations'] })
    return violations.map(({ id, nodes }) => ({
      id,
      nodes: nodes.map(({ target, failureSummary }) => ({ target, failureSummary })),
    }))
  }, rules)
  return found.flatMap(v =>
    v.nodes.map(n => `${v.id} ${n.target.join(' ')}: ${n.failureSummary.split('\n')[1]?.trim()}`),
  )
}

/** Changes the colours of the page as its switch does. */
const dark = (page: Page, on: boolean) =>
  page.evaluate(yes => void document.documentElement.classList.toggle('dark', yes), on)

/**
 * What axe finds against WCAG 2.2, A and AA, on the screen as it stands, and what is too small. In the dark theme
 * only colours are others.
 */
async function violations(page: Page): Promise<string[]> {
  const inLight = await broken(page, { type: 'tag', values: STANDARD })
  await dark(page, true)
  const inDark = await broken(page, { type: 'rule', values: ['color-contrast'] })
  await dark(page, false)
  return [...inLight, ...inDark.map(words => `dark: ${words}`), ...(await tooSmall(page))]
}

type State = readonly [words: string, press: (page: Page) => Promise<unknown>]
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first()

const onStencil = async (page: Page, then: () => Promise<unknown>) => {
  await page.locator('[data-step]').nth(2).click()
  await then()
}

/** What is pressed on the bench to come to a state. */
const BENCH: readonly State[] = [
  ['as it opens', async () => {}],
  ['a stencil selected', page => page.locator('[data-step]').nth(2).click()],
  ['its colours', page => onStencil(page, () => button(page, /^Colour of layer 1/).click())],
  ['its menu', page => page.locator('[data-step]').nth(2).click({ button: 'right' })],
  ['its ways side by side', page => onStencil(page, () => button(page, /^Compare/).click())],
  ['a base selected', page => page.locator('[data-step]').first().click()],
  ['bases', page => page.getByRole('tab', { name: 'Base' }).click()],
  ['lines', page => page.getByRole('tab', { name: 'Line' }).click()],
  ['sparkle', page => page.getByRole('tab', { name: 'Sparkle' }).click()],
  ['stencils', page => page.getByRole('tab', { name: 'Stencil' }).click()],
  ['what fits', page => page.getByRole('radio', { name: 'What fits' }).click()],
  ['the skin', page => button(page, /^skin/).click()],
  ['the check', page => page.getByTestId('findings').click()],
  ['the face in words', page => button(page, 'The face in words').click()],
  ['the keys', page => page.getByRole('button', { name: 'Keys', exact: true }).click()],
  ['the canvas', page => button(page, /face, \d+ y/).click()],
  ['other skins', page => button(page, 'Try on other skins').click()],
  ['the light', page => button(page, 'Light').click()],
  [
    'how it moves',
    async page => {
      await button(page, 'How it moves').click()
      await expect(page.getByTestId('moved-faces').locator('figure')).toHaveCount(4, { timeout: 30_000 })
    },
  ],
  ['order and time', page => page.getByRole('button', { name: 'Order', exact: true }).click()],
  ['earlier versions', page => page.getByTestId('save-state').click()],
  ['the list of commands', page => page.keyboard.press('Control+k')],
  ['the export menu', page => button(page, 'Export').click()],
  ['the flow', page => button(page, /^Flow/).click()],
  ['nothing selected', page => page.keyboard.press('Escape')],
]
/** The same elsewhere, by the page. */
const ELSEWHERE: readonly (readonly [path: string, states: readonly State[]])[] = [
  [
    '/',
    [
      ['the menu of a look', page => button(page, /^More for/).click()],
      ['what is kept safe', page => button(page, 'Kept safe').click()],
      ['no look that is called so', page => page.getByLabel('Search looks').fill('nothing like it')],
    ],
  ],
  [
    '/drawer',
    [
      ['importing', page => button(page, 'Import stencils').click()],
      ['export and import', page => button(page, 'Export and import').click()],
      ['no stencil like that', page => page.getByLabel('Search stencils').fill('nothing like it')],
    ],
  ],
  [
    '/drawer/scales',
    [
      ['groups', page => page.getByRole('tab', { name: 'Groups' }).click()],
      ['the cutter', page => page.getByRole('tab', { name: 'Cutter' }).click()],
      ['deleting', page => page.getByRole('button', { name: 'Delete', exact: true }).click()],
    ],
  ],
  [
    '/kit',
    [
      ['a paint', page => page.locator('[data-paint]').first().click()],
      ['adding a paint', page => button(page, 'Add paint').click()],
      [
        'strip cakes',
        async page => {
          await page.getByRole('tab', { name: 'Strip cakes' }).click()
          await button(page, /^Strip 2/).click()
        },
      ],
      ['a cake that is kept', page => button(page, 'Keep to make…').click()],
      ['tools', page => page.getByRole('tab', { name: 'Tools and calibration' }).click()],
      ['brushes', page => page.getByRole('tab', { name: 'Brushes and sparkle' }).click()],
    ],
  ],
  ['/log', [['typing a run in', page => button(page, /Type|typed|by hand/i).click()]]],
]

// A press that finds nothing fails at once: what is waited for here is seconds, not minutes.
const PRESS_MS = 10_000

async function sound(page: Page, states: readonly State[]): Promise<void> {
  page.setDefaultTimeout(PRESS_MS)
  for (const [words, press] of states) {
    await press(page)
    await drawn(page)
    expect(await violations(page), words).toEqual([])
    await page.keyboard.press('Escape')
  }
}

test.beforeEach(async ({ page }) => {
  await page.evaluate(() => localStorage.setItem('janusform-theme', 'light'))
})

test('no screen breaks a rule of WCAG 2.2, A or AA, in either theme', async ({ page }) => {
  test.setTimeout(180_000)
  const found: Record<string, string[]> = {}
  for (const [words, path] of SCREENS) {
    await page.goto(path)
    await page.waitForLoadState('networkidle')
    found[words] = await violations(page)
  }
  expect(found).toEqual(Object.fromEntries(SCREENS.map(([words]) => [words, []])))
})

test('no state of the bench breaks a rule of WCAG 2.2, A or AA, in either theme', async ({ page }) => {
  test.setTimeout(240_000)
  await openBench(page, 'plain-midnight-moth')
  await sound(page, BENCH)
})

test('no dialog or menu of the other pages breaks one, in either theme', async ({ page }) => {
  test.setTimeout(180_000)
  for (const [path, states] of ELSEWHERE) {
    await page.goto(path)
    await page.waitForLoadState('networkidle')
    await sound(page, states)
  }
})
