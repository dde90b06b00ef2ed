import { defineConfig } from '@playwright/test'
import { execSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const port = 4611
// The whole run shares one throwaway database; workers of the run inherit the folder.
const data = process.env.JANUSFORM_E2E_DATA ??= mkdtempSync(join(tmpdir(), 'janusform-e2e-'))

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results/e2e',
  fullyParallel: false,
  workers: 1,
  timeout: 60_000,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? execSync('command -v chromium', { encoding: 'utf8' }).trim(),
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--use-angle=swiftshader', '--enable-unsafe-swiftshader'],
    },
  },
  webServer: {
    command: 'npx tsx demo/seed.ts && node .output/server/index.mjs',
    url: `http://127.0.0.1:${port}/api/paints`,
    env: { JANUSFORM_DATA: data, NITRO_HOST: '127.0.0.1', NITRO_PORT: String(port) },
    reuseExistingServer: false,
    timeout: 60_000,
  },
})
