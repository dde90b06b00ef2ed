// Everything that must hold: lint, types, unit, reference, build, e2e. Ends with a line "N passed, N failed".
import { spawn, spawnSync } from 'node:child_process'
import { readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { buildApp, chromium, installPackages, orSentence, root } from './ready.mjs'

orSentence(installPackages)
const browser = chromium()
const started = Date.now()
let passed = 0,
  failed = 0

/** Runs one stage; a stage that reports tests counts them, another counts as one. */
function stage(name, command, args, report, env = {}) {
  const begun = Date.now()
  console.log(`\n== ${name}`)
  if (report) rmSync(join(root, report.file), { force: true })
  const ok =
    spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } }).status === 0
  let counts = { passed: ok ? 1 : 0, failed: ok ? 0 : 1 }
  if (report) {
    try {
      counts = report.read(JSON.parse(readFileSync(join(root, report.file), 'utf8')))
      if (!ok && counts.failed === 0) counts.failed = 1
    } catch {
      counts = { passed: 0, failed: 1 }
    }
  }
  passed += counts.passed
  failed += counts.failed
  console.log(
    `== ${name}: ${counts.passed} passed, ${counts.failed} failed (${((Date.now() - begun) / 1000).toFixed(1)} s)`,
  )
}

/** Runs one stage that counts as one while others go on; what it prints is shown when it ends. */
function beside(name, command, args) {
  const begun = Date.now()
  let text = ''
  return new Promise(resolve => {
    const child = spawn(command, args, { cwd: root })
    for (const stream of [child.stdout, child.stderr]) stream.on('data', data => (text += data))
    child.on('error', error => (text += `${error}\n`))
    child.on('close', code => {
      if (code === 0) passed++
      else failed++
      console.log(
        `\n== ${name}\n${text}== ${name}: ${code === 0 ? '1 passed, 0 failed' : '0 passed, 1 failed'} (${((Date.now() - begun) / 1000).toFixed(1)} s)`,
      )
      resolve()
    })
  })
}

const vitest = file => ({
  file,
  read: r => ({ passed: r.numPassedTests, failed: r.numFailedTests + r.numFailedTestSuites }),
})
const readPlaywright = ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky })
stage('prepare', 'npx', ['nuxt', 'prepare', '--logLevel=silent'])
// These only read, and each uses one core: the long one runs beside the short ones.
const typecheck = beside('types of app and server', 'npx', ['nuxt', 'typecheck'])
await beside('format', 'npx', ['prettier', '--check', '--log-level=warn', '.'])
await beside('rooms', 'node', ['scripts/rooms.mjs', '--check'])
await beside('unused exports', 'npx', ['knip'])
await beside('lint', 'npx', ['eslint', '.', '--max-warnings', '0'])
await beside('types of core', 'npx', ['tsc', '-p', 'tsconfig.core.json'])
await typecheck
for (const project of ['unit', 'reference']) {
  const file = `test-results/${project}.json`
  stage(
    project,
    'npx',
    [
      'vitest',
      'run',
      '--project',
      `${project}*`,
      '--reporter=default',
      '--reporter=json',
      `--outputFile=${file}`,
    ],
    vitest(file),
  )
}
console.log('\n== build')
try {
  buildApp()
  passed++
} catch (error) {
  failed++
  console.error(String(error))
}
stage(
  'e2e',
  'npx',
  ['playwright', 'test'],
  { file: 'test-results/e2e.json', read: readPlaywright },
  { CHROMIUM: browser, PLAYWRIGHT_JSON_OUTPUT_NAME: 'test-results/e2e.json' },
)
console.log(`\n${((Date.now() - started) / 1000).toFixed(0)} s\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
