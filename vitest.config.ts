import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const alias = { '#core': fileURLToPath(new URL('./core', import.meta.url)) }
// The core keeps no state that a test could spoil, so files share the modules they load.
const project = (name: string) => ({
  resolve: { alias },
  test: {
    name,
    include: [`tests/${name}/**/*.test.ts`],
    environment: 'node',
    testTimeout: 20_000,
    isolate: false,
  },
})

export default defineConfig({ test: { maxWorkers: 2, projects: [project('unit'), project('reference')] } })
