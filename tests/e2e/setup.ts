import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** Seeds one database for the run; every worker gets a copy. */
export default function setup(): () => void {
  const data = mkdtempSync(join(tmpdir(), 'janusform-seed-'))
  const env = { ...process.env, JANUSFORM_DATA: data }
  // The tests' looks first, so that the seed paints all pictures.
  for (const file of ['tests/e2e/seed.ts', 'demo/seed.ts'])
    execFileSync('npx', ['tsx', file], { env, stdio: 'ignore' })
  process.env.JANUSFORM_E2E_SEED = data
  return () => rmSync(data, { recursive: true, force: true })
}
