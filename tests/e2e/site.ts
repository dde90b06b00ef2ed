import { expect, test as base, type Browser, type BrowserContext, type Page } from '@playwright/test'
import type { Beginning } from '../houses'
import { Site } from '../server'

/** A worker's server: every file of tests begins with a house as it was seeded. */
class House extends Site {
  private file = ''

  async ofFile(file: string, beginning: Beginning): Promise<void> {
    const asked = `${file} ${beginning}`
    if (asked === this.file) return
    this.file = asked
    await this.begin(beginning)
  }
}

type Options = Parameters<Browser['newContext']>[0]

/** Forgets what a page has kept on the device, but for the bare heads, which take seconds to draw. */
async function forget(page: Page): Promise<void> {
  // Of the same origin, and with no script of its own.
  await page.goto('/api/ways')
  await page.evaluate(async () => {
    localStorage.clear()
    for (const worker of await navigator.serviceWorker.getRegistrations()) await worker.unregister()
    for (const name of await caches.keys()) await caches.delete(name)
    for (const { name } of await indexedDB.databases())
      if (name !== 'janusform-heads')
        await new Promise(done => {
          const asked = indexedDB.deleteDatabase(name!)
          asked.onsuccess = asked.onerror = asked.onblocked = done
        })
  })
}

/**
 * One browser context and one page for the tests of a worker that ask for the same device: scripts stay compiled,
 * and a page need not be opened for each test. A test that changes what a page cannot forget, such as a script that
 * runs before all others, opens a context of its own.
 */
class Device {
  private context: BrowserContext | null = null
  private page: Page | null = null
  private made = ''

  constructor(private readonly browser: Browser) {}

  async begin(options: Options): Promise<{ context: BrowserContext; page: Page }> {
    const asked = JSON.stringify(options)
    if (asked !== this.made || !this.page || this.page.isClosed()) {
      await this.context?.close()
      this.context = await this.browser.newContext(options)
      this.page = await this.context.newPage()
      this.made = asked
    } else if (options?.viewport) await this.page.setViewportSize(options.viewport)
    await forget(this.page)
    return { context: this.context!, page: this.page }
  }

  /** Closes the pages that a test has opened besides its own, and ends what it has asked of that one. */
  async end(): Promise<void> {
    for (const page of this.context?.pages() ?? []) if (page !== this.page) await page.close()
    this.page?.removeAllListeners()
    await this.page?.unrouteAll({ behavior: 'ignoreErrors' })
  }
}

/** What the console says of faults of the program; what a server answers or fails to is up to each test. */
const FAULT = /DataCloneError|TypeError|ReferenceError|RangeError|\[Vue warn\]|Unhandled/

/** Every worker has a server of its own, begun anew for each file. */
export const test = base.extend<
  { begins: Beginning; fresh: void; used: { context: BrowserContext; page: Page } },
  { house: House; site: string; device: Device }
>({
  house: [
    async ({}, use, worker) => {
      const house = new House(4611 + worker.parallelIndex)
      await use(house)
      await house.end()
    },
    { scope: 'worker' },
  ],
  site: [async ({ house }, use) => use(house.address), { scope: 'worker' }],
  device: [async ({ browser }, use) => use(new Device(browser)), { scope: 'worker' }],
  begins: ['looks', { option: true }],
  used: async ({ device, viewport, hasTouch, baseURL, fresh: _ }, use) => {
    await use(await device.begin({ viewport, hasTouch, baseURL, acceptDownloads: true }))
    await device.end()
  },
  context: async ({ used }, use) => use(used.context),
  fresh: [
    async ({ house, begins }, use, info) => {
      await house.ofFile(info.file, begins)
      await use()
    },
    { auto: true },
  ],
  // Whatever a test looks at, an error that no code has caught fails it.
  page: async ({ used: { page } }, use) => {
    const thrown: string[] = []
    page.on('pageerror', error => thrown.push(error.message))
    page.on('console', message => {
      if (message.type() === 'error' && FAULT.test(message.text())) thrown.push(message.text())
    })
    await use(page)
    expect(thrown).toEqual([])
  },
  baseURL: async ({ site }, use) => use(site),
})
export { expect, type Page } from '@playwright/test'
