import { test as base } from '@playwright/test'
import { spawn } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/**
 * Every worker has a server and a throwaway database of its own, a copy of the one that was seeded for the
 * run.
 */
export const test = base.extend<object, { site: string }>({
  site: [
    async ({}, use, worker) => {
      const port = 4611 + worker.parallelIndex
      const data = mkdtempSync(join(tmpdir(), 'janusform-e2e-'))
      const address = `http://127.0.0.1:${port}`
      cpSync(process.env.JANUSFORM_E2E_SEED!, data, { recursive: true })
      const server = spawn('node', ['.output/server/index.mjs'], {
        env: { ...process.env, JANUSFORM_DATA: data, NITRO_HOST: '127.0.0.1', NITRO_PORT: String(port) },
        stdio: 'ignore',
      })
      for (let n = 0; ; n++) {
        const up = await fetch(`${address}/api/paints`).then(
          r => r.ok,
          () => false,
        )
        if (up) break
        if (n > 200 || server.exitCode !== null) throw new Error(`The server at ${address} did not start.`)
        await new Promise(resolve => setTimeout(resolve, 150))
      }
      await use(address)
      server.kill()
      rmSync(data, { recursive: true, force: true })
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ site }, use) => use(site),
})
export { expect, type Page } from '@playwright/test'
