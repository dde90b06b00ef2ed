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
const sources = code.filter(file => /^(core|server|app|demo|tests\/unit)\//.test(file))

/** Runs a command, shows what it prints when it fails, and tells whether it did not. */
function run(name, command, args) {
  const started = Date.now()
  let text = ''
  return new Promise(resolve => {
    const child = spawn(command, args, { cwd: root })
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
const typed = code.some(file => /^(app|server)\//.test(file))
// The types take one core, everything else the other.
const types = run(
  'types',
  ...(typed ? ['npx', ['nuxt', 'typecheck']] : ['npx', ['tsc', '-p', 'tsconfig.core.json']]),
)
const rest = [
  await run('format', 'npx', ['prettier', '--check', '--ignore-unknown', '--log-level=warn', ...changed]),
  !code.length || (await run('lint', 'npx', ['eslint', '--max-warnings', '0', '--no-warn-ignored', ...code])),
  !sources.length ||
    (await run('tests of what is touched', 'npx', [
      ...['vitest', 'related', '--run', '--passWithNoTests', '--project', 'unit*', '--maxWorkers', '1'],
      ...sources,
    ])),
]
const good = (await types) && rest.every(Boolean)
console.log(
  `${good ? 'All as it should be' : 'Something failed'} (${((Date.now() - begun) / 1000).toFixed(1)} s)`,
)
process.exit(good ? 0 : 1)
