import { execFileSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/**
 * What a house begins with: the tests' own looks and a few of the demo, with pictures; with all of the demo, whose
 * pictures are painted while the test runs; or nothing.
 */
export type Beginning = 'looks' | 'demo' | 'empty'

/** Where seeded houses are kept between runs. */
const KEPT = 'node_modules/.cache/janusform/houses'
/** Everything that a seeded house is made of. */
const SOURCES = ['.output/server/worker.mjs', 'demo', 'tests/looks.ts', 'tests/e2e/houses.ts']

const filesOf = (path: string): string[] =>
  path.includes('.')
    ? [path]
    : readdirSync(path, { recursive: true, withFileTypes: true })
        .filter(entry => entry.isFile())
        .map(entry => join(entry.parentPath, entry.name))
        .sort()

function digest(): string {
  const hash = createHash('sha256')
  for (const file of SOURCES.flatMap(filesOf)) hash.update(file).update(readFileSync(file))
  return hash.digest('hex').slice(0, 16)
}

/**
 * The folder of the data of a seeded house, which nobody changes; it is made when there is none of these sources.
 * @returns undefined for an empty house
 */
export function houseOf(kind: Beginning): string | undefined {
  if (kind === 'empty') return undefined
  const now = digest()
  const folder = join(KEPT, `${kind}-${now}`)
  if (existsSync(folder)) return folder
  mkdirSync(KEPT, { recursive: true })
  // Those of sources that are no more go.
  for (const name of readdirSync(KEPT))
    if (!name.includes(now)) rmSync(join(KEPT, name), { recursive: true, force: true })
  const data = mkdtempSync(join(tmpdir(), 'janusform-seed-'))
  const on = kind === 'demo' ? houseOf('looks') : undefined
  if (on) cpSync(on, data, { recursive: true })
  const env = { ...process.env, JANUSFORM_DATA: data }
  execFileSync('npx', ['tsx', 'tests/e2e/houses.ts', kind], { env, stdio: ['ignore', 'ignore', 'inherit'] })
  // Its name comes last: what was broken off is no house, and of two that are made at once one is enough.
  const whole = `${folder}-${process.pid}.tmp`
  cpSync(data, whole, { recursive: true })
  try {
    renameSync(whole, folder)
  } catch (error) {
    if (!existsSync(folder)) throw error
    rmSync(whole, { recursive: true, force: true })
  }
  rmSync(data, { recursive: true, force: true })
  return folder
}
