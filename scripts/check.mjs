// The everyday gate: what the change since the last commit touches is formatted, clean, typed and tested.
import { execFileSync, spawn } from 'node:child_process'
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { installPackages, orSentence, root } from './ready.mjs'

orSentence(installPackages)
const begun = Date.now()
const lines = (...args) =>
  execFileSync('git', args, { cwd: root, encoding: 'utf8' }).split('\n').filter(Boolean)
const changed = [
  ...lines('diff', '--name-only', 'HEAD'),
  ...lines('ls-files', '-o', '--exclude-standard'),
].filter(file => existsSync(join(root, file)))
if (!changed.length) {
  console.log('Nothing has changed since the last commit.')
  process.exit(0)
}
const code = changed.filter(file => /\.(ts|mts|mjs|vue)$/.test(file))
/** The folders of tests of each room that was touched; a test that was touched is run itself. */
const tests = new Set(
  code.flatMap(file => {
    if (/\.test\.ts$/.test(file)) return /^tests\/(unit|components)\//.test(file) ? [file] : []
    const [top, room] = file.split('/')
    if (top === 'core') return [`tests/unit/${room.replace(/\.ts$/, '')}`]
    if (top === 'server') return ['tests/unit/server']
    return top === 'app' ? ['tests/unit/app', 'tests/components'] : []
  }),
)

/** Runs a command, shows what it prints when it fails, and tells whether it did not. */
function run(name, command, args, env = {}) {
  const started = Date.now()
  let text = ''
  return new Promise(resolve => {
    const child = spawn(command, args, { cwd: root, env: { ...process.env, ...env } })
    for (const stream of [child.stdout, child.stderr]) stream.on('data', data => (text += data))
    child.on('close', status => {
      const took = ((Date.now() - started) / 1000).toFixed(1)
      console.log(
        status === 0 ? `${name}: as it should be (${took} s)` : `${text}\n${name}: failed (${took} s)`,
      )
      resolve(status === 0)
    })
  })
}
const typed = code.some(file => /^(app|server|tests\/(components|unit\/app))\//.test(file))
// The types take one core, everything else the other.
const types = run(
  'types',
  ...(typed ? ['npx', ['nuxt', 'typecheck']] : ['npx', ['tsc', '-p', 'tsconfig.core.json']]),
)
const rest = [
  await run('format', 'npx', ['prettier', '--check', '--ignore-unknown', '--log-level=warn', ...changed]),
  !code.length ||
    (await run('lint with types', 'npx', ['eslint', '--max-warnings', '0', '--no-warn-ignored', ...code], {
      LINT_TYPES: '1',
    })),
  !tests.size ||
    (await run('tests of what is touched', 'npx', [
      ...['vitest', 'run', '--passWithNoTests', '--project', 'unit*', '--project', 'components'],
      ...tests,
    ])),
]
const good = (await types) && rest.every(Boolean)
console.log(
  `${good ? 'All as it should be' : 'Something failed'} (${((Date.now() - begun) / 1000).toFixed(1)} s)`,
)
process.exit(good ? 0 : 1)
