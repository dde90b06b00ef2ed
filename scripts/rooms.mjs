// Draws the rooms of the house and the arrows between them, as they are in the code, into
// docs/ARCHITECTURE.md.
// With --check it only says whether the drawing is up to date.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join, normalize } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { ROOMS, roomOf } from '../rooms.mjs'

const root = fileURLToPath(new URL('..', import.meta.url))
const DOC = join(root, 'docs/ARCHITECTURE.md')
const [BEGIN, END] = ['<!-- rooms -->', '<!-- /rooms -->']

const filesIn = folder =>
  readdirSync(join(root, folder), { withFileTypes: true, recursive: true })
    .filter(entry => entry.isFile() && /\.(ts|vue)$/.test(entry.name))
    .map(entry => join(entry.parentPath, entry.name).slice(root.length))

/** The path from the root of the repository that an import names; null for a package. */
function targetOf(file, spec) {
  if (spec.startsWith('#core')) return `core${spec.slice(5)}`
  if (spec.startsWith('~~/')) return spec.slice(3)
  if (spec.startsWith('~/')) return `app/${spec.slice(2)}`
  return spec.startsWith('.') ? normalize(join(dirname(file), spec)) : null
}
const asFile = path =>
  [path, `${path}.ts`, `${path}/index.ts`].find(p => /\.\w+$/.test(p) && existsSync(join(root, p)))

/** For each room the rooms that it uses. */
export function arrows() {
  const found = new Map(ROOMS.map(room => [room.path, new Set()]))
  for (const file of ['core', 'server', 'app', 'demo'].flatMap(filesIn)) {
    const from = roomOf(file)
    for (const [, spec] of readFileSync(join(root, file), 'utf8').matchAll(/from '([^']+)'/g)) {
      const target = targetOf(file, spec)
      const to = target && roomOf(asFile(target) ?? target)
      if (from && to && to !== from) found.get(from.path).add(to.path)
    }
  }
  return found
}

/** The drawing: the rooms from the ground up, each with what it does and what it uses. */
export function drawing() {
  const uses = arrows()
  const short = path => path.replace(/^core\//, '').replace(/\.ts$/, '')
  const width = Math.max(...ROOMS.map(r => r.path.length))
  const lines = ROOMS.map(({ path, does }, i) => {
    const below = ROOMS.slice(0, i).filter(r => uses.get(path).has(r.path))
    const arrow = below.length
      ? `\n${' '.repeat(width + 2)}-> ${below.map(r => short(r.path)).join(', ')}`
      : ''
    return `${path.padEnd(width)}  ${does}${arrow}`
  })
  return ['```', ...lines, '```'].join('\n')
}

/** The page with the drawing in its place. */
export function drawn(page) {
  const [head, rest] = page.split(BEGIN)
  return `${head}${BEGIN}\n${drawing()}\n${END}${rest.split(END)[1]}`
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  const page = readFileSync(DOC, 'utf8')
  const next = drawn(page)
  if (!process.argv.includes('--check')) writeFileSync(DOC, next)
  else if (next !== page) {
    console.error('docs/ARCHITECTURE.md does not show the rooms as they are: npm run rooms')
    process.exit(1)
  }
}
