import { defineConfig } from '@playwright/test'
import { chromium } from './scripts/ready.mjs'

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results/e2e',
  fullyParallel: false,
  // Files run side by side, each worker with a server of its own; see tests/e2e/site.ts.
  workers: 2,
  globalSetup: './tests/e2e/setup.ts',
  timeout: 90_000,
  // A test that would pass only at the second go fails: it is the test that is wrong, or the page.
  retries: 0,
  // Two pages share two cores: what takes a second alone may take several.
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? chromium(),
      // Scrollbars take room in every browser that people use.
      ignoreDefaultArgs: ['--hide-scrollbars'],
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--use-angle=swiftshader',
        '--enable-unsafe-swiftshader',
      ],
    },
  },
})
