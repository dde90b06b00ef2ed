// Everything that must hold: format, lint, types, build, tests. Ends with a line "N passed, N failed".
import { spawn } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { durationsOf, slowest, tooLong } from './durations.mjs'
import { buildApp, chromium, installPackages, orSentence, root } from './ready.mjs'

orSentence(installPackages)
const browser = chromium()
const started = Date.now()
const counts = { passed: 0, failed: 0 }
const seconds = since => ((Date.now() - since) / 1000).toFixed(1)

/**
 * Runs a command. One whose tests are counted shows what it prints as it comes; another counts as one, and is shown
 * when it ends, so that several may go on side by side.
 */
function stage(name, command, args, { report, env = {} } = {}) {
  const begun = Date.now()
  let text = ''
  if (report) {
    console.log(`\n== ${name}`)
    rmSync(join(root, report.file), { force: true })
  }
  return new Promise(resolve => {
    const child = spawn(command, args, {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: report ? 'inherit' : ['ignore', 'pipe', 'pipe'],
    })
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', data => (text += data))
    child.on('error', error => (text += `${error}\n`))
    child.on('close', code => {
      const own = report ? counted(report, code) : { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 }
      counts.passed += own.passed
      counts.failed += own.failed
      if (!report) console.log(`\n== ${name}\n${text.trimEnd()}`)
      console.log(`== ${name}: ${own.passed} passed, ${own.failed} failed (${seconds(begun)} s)`)
      resolve()
    })
  })
}

/** What a report of tests says; a run that fails without a failed test counts as one. */
function counted({ file, read }, code) {
  try {
    const own = read(JSON.parse(readFileSync(join(root, file), 'utf8')))
    return { ...own, failed: own.failed || (code === 0 ? 0 : 1) }
  } catch {
    return { passed: 0, failed: 1 }
  }
}

/** Does some work that counts as one. */
function work(name, job) {
  const begun = Date.now()
  console.log(`\n== ${name}`)
  try {
    job()
    counts.passed++
  } catch (error) {
    counts.failed++
    console.error(String(error))
  }
  console.log(`== ${name}: ${seconds(begun)} s`)
}

const VITEST = 'test-results/vitest.json'
const BROWSER = 'test-results/e2e.json'
mkdirSync(join(root, 'test-results'), { recursive: true })
await stage('prepare', 'npx', ['nuxt', 'prepare', '--logLevel=silent'])
// These only read, and each uses one core: the long one runs beside the short ones.
const typecheck = stage('types of app and server', 'npx', ['nuxt', 'typecheck'])
await stage('format', 'npx', ['prettier', '--check', '--log-level=warn', '--cache', '.'])
await stage('lint', 'npx', ['eslint', '.', '--max-warnings', '0'])
await typecheck
const core = stage('types of core', 'npx', ['tsc', '-p', 'tsconfig.core.json'])
await stage('rooms', 'node', ['scripts/rooms.mjs', '--check'])
await stage('unused exports', 'npx', ['knip'])
await core
work('build', buildApp)
await stage(
  'unit, components, routes, reference',
  'npx',
  ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile=${VITEST}`],
  {
    report: {
      file: VITEST,
      // A test that fails fails what it stands in as well: that is no further failure.
      read: r => ({ passed: r.numPassedTests, failed: r.numFailedTests || r.numFailedTestSuites }),
    },
  },
)
await stage('browser', 'npx', ['playwright', 'test'], {
  report: {
    file: BROWSER,
    read: ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }),
  },
  env: { CHROMIUM: browser, PLAYWRIGHT_JSON_OUTPUT_NAME: BROWSER },
})

work('durations', () => {
  const durations = durationsOf({ vitest: join(root, VITEST), browser: join(root, BROWSER) })
  writeFileSync(join(root, 'test-results/durations.json'), JSON.stringify(durations, null, 1))
  console.log(`The twenty slowest tests, s:\n${slowest(durations, 20)}`)
  const { told, failing } = tooLong(durations)
  if (told.length) console.log(`Over the limit, without a reason in scripts/slow.json:\n${told.join('\n')}`)
  if (failing.length) throw new Error(`${failing.length} of these are over twice the limit.`)
})
console.log(`\n${seconds(started)} s\n${counts.passed} passed, ${counts.failed} failed`)
process.exit(counts.failed ? 1 : 0)
