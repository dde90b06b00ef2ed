import { expect, test as base } from '@playwright/test'
import { spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** A server over a throwaway copy of the house that was seeded for the run. */
class Site {
  readonly address: string
  private server: ChildProcess | null = null
  private data = ''
  private file = ''

  constructor(private readonly port: number) {
    this.address = `http://127.0.0.1:${port}`
  }

  /**
   * Every file of tests begins with the house as it was seeded, or with an empty one: what another file left
   * behind is gone.
   */
  async begin(file: string, seeded: boolean): Promise<void> {
    const asked = `${file} ${seeded}`
    if (asked === this.file) return
    await this.end()
    this.file = asked
    this.data = mkdtempSync(join(tmpdir(), 'janusform-e2e-'))
    if (seeded) cpSync(process.env.JANUSFORM_E2E_SEED!, this.data, { recursive: true })
    const env = {
      ...process.env,
      JANUSFORM_DATA: this.data,
      NITRO_HOST: '127.0.0.1',
      NITRO_PORT: String(this.port),
    }
    this.server = spawn('node', ['.output/server/index.mjs'], { env, stdio: 'ignore' })
    await this.up()
  }

  async end(): Promise<void> {
    if (this.server && this.server.exitCode === null) {
      const gone = once(this.server, 'exit')
      this.server.kill()
      await gone
    }
    if (this.data) rmSync(this.data, { recursive: true, force: true })
  }

  private async up(): Promise<void> {
    for (let n = 0; n < 200; n++) {
      const ok = await fetch(`${this.address}/api/paints`).then(
        r => r.ok,
        () => false,
      )
      if (ok) return
      if (this.server!.exitCode !== null) break
      await new Promise(resolve => setTimeout(resolve, 150))
    }
    throw new Error(`The server at ${this.address} did not start.`)
  }
}

/** What the console says of faults of the program; what a server answers or fails to is up to each test. */
const FAULT = /DataCloneError|TypeError|ReferenceError|RangeError|\[Vue warn\]|Unhandled/

/** Every worker has a server of its own, begun anew for each file. */
export const test = base.extend<{ seeded: boolean; fresh: void }, { house: Site; site: string }>({
  house: [
    async ({}, use, worker) => {
      const house = new Site(4611 + worker.parallelIndex)
      await use(house)
      await house.end()
    },
    { scope: 'worker' },
  ],
  site: [async ({ house }, use) => use(house.address), { scope: 'worker' }],
  seeded: [true, { option: true }],
  fresh: [
    async ({ house, seeded }, use, info) => {
      await house.begin(info.file, seeded)
      await use()
    },
    { auto: true },
  ],
  // Whatever a test looks at, an error that no code has caught fails it.
  page: async ({ page }, use) => {
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
