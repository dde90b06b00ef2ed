import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const alias = { '#core': fileURLToPath(new URL('./core', import.meta.url)) }
const project = (name: string) => ({
  resolve: { alias },
  test: {
    name,
    include: [`tests/${name}/**/*.test.ts`],
    environment: 'node',
    testTimeout: 20_000,
  },
})

export default defineConfig({ test: { maxWorkers: 2, projects: [project('unit'), project('reference')] } })
