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

/**
 * A house as tests begin with it.
 * @param on the folder of the house that it goes on from
 * @returns the folder of its data
 */
function seeded(kind: 'looks' | 'demo', digest: string, on?: string): string {
  const folder = join(KEPT, `${kind}-${digest}`)
  if (!existsSync(folder)) {
    const data = mkdtempSync(join(tmpdir(), 'janusform-seed-'))
    if (on) cpSync(on, data, { recursive: true })
    const env = { ...process.env, JANUSFORM_DATA: data }
    execFileSync('npx', ['tsx', 'tests/e2e/houses.ts', kind], { env, stdio: 'ignore' })
    // Its name comes last: what was broken off is no house.
    cpSync(data, `${folder}.tmp`, { recursive: true })
    renameSync(`${folder}.tmp`, folder)
    rmSync(data, { recursive: true, force: true })
  }
  return folder
}

/** Seeds the databases of the run; every worker gets copies. Those of sources that are no more go. */
export default function setup(): void {
  const hash = createHash('sha256')
  for (const file of SOURCES.flatMap(filesOf)) hash.update(file).update(readFileSync(file))
  const digest = hash.digest('hex').slice(0, 16)
  mkdirSync(KEPT, { recursive: true })
  for (const name of readdirSync(KEPT))
    if (!name.endsWith(digest)) rmSync(join(KEPT, name), { recursive: true, force: true })
  process.env.JANUSFORM_E2E_LOOKS = seeded('looks', digest)
  process.env.JANUSFORM_E2E_DEMO = seeded('demo', digest, process.env.JANUSFORM_E2E_LOOKS)
}
