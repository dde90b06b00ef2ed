import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'
import { asNuxt } from './tests/components/asNuxt.ts'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))
const alias = { '#core': here('./core'), '~~': here('.'), '~': here('./app') }
/** Tests that stub globals or modules, each file in a world of its own. */
const APP = 'tests/unit/app/**/*.test.ts'
const project = (name: string, include: string, more: object) => ({
  resolve: { alias },
  test: { name, include: [include], environment: 'node', testTimeout: 20_000, ...more },
})
// The core keeps nothing between calls: its files share one world, which is read once.
const shared = { isolate: false }

export default defineConfig({
  test: {
    maxWorkers: 2,
    projects: [
      project('unit', 'tests/unit/**/*.test.ts', { ...shared, exclude: [APP] }),
      project('unit app', APP, {}),
      {
        ...project('components', 'tests/components/**/*.test.ts', {
          environment: 'happy-dom',
          setupFiles: 'tests/components/setup.ts',
        }),
        plugins: asNuxt(),
      },
      // Each file starts the built server, and asks it.
      project('routes', 'tests/routes/**/*.test.ts', { globalSetup: 'tests/e2e/setup.ts' }),
      project('reference', 'tests/reference/**/*.test.ts', shared),
    ],
  },
})
