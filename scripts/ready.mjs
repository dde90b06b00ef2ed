// Gets a fresh machine ready: packages, and for tests a browser. Uses nothing but Node itself.
import { execFileSync, execSync, spawn, spawnSync } from 'node:child_process'
import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { createHash } from 'node:crypto'
import { join } from 'node:path'

export const root = new URL('..', import.meta.url).pathname

/** Runs a command in the project's folder with its output shown; throws when it fails. */
export function run(command, args, env = {}) {
  execFileSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } })
}

/** What cannot go on, as one sentence with its cure. */
class Trouble extends Error {}

/** Does some work; what is in its way is told in one sentence, and ends this program. */
export function orSentence(work) {
  try {
    if (Number(process.versions.node.split('.')[0]) < 20)
      throw new Trouble(`Node ${process.versions.node} is too old: install Node 20 and run this again.`)
    work()
  } catch (error) {
    console.error(error instanceof Trouble ? error.message : `It could not be done: ${error.message}`)
    process.exit(1)
  }
}

/** Runs something that takes long, and says every quarter of a minute for how long it has been at it. */
function patiently(words, work) {
  console.log(words)
  const begun = Date.now()
  const tell = `let s = 0; setInterval(() => console.log('  ... ' + (s += 15) + ' s'), 15000)`
  const clock = spawn(process.execPath, ['-e', tell], { stdio: ['ignore', 'inherit', 'ignore'] })
  try {
    return work()
  } finally {
    clock.kill()
    console.log(`  done after ${Math.round((Date.now() - begun) / 1000)} s`)
  }
}

/** Why packages could not be installed, by what npm has said. */
function whyNot(said) {
  const has = tool => spawnSync('sh', ['-c', `command -v ${tool}`]).status === 0
  if (/ENOTFOUND|EAI_AGAIN|ECONNREFUSED|ETIMEDOUT|ENETUNREACH|network/i.test(said))
    return 'The packages could not be fetched: connect this machine to the network, and run this again.'
  if (!has('c++') && !has('g++'))
    return 'SQLite could not be compiled, because there is no C++ compiler: install one (apt install build-essential python3), and run this again.'
  if (!has('make') || !has('python3'))
    return 'SQLite could not be compiled: install make and python3 (apt install build-essential python3), and run this again.'
  return `The packages could not be installed. npm said: ${said.trim().slice(-600)}`
}

/** Installs the packages of the lock file when they are missing or the lock file has changed. */
export function installPackages() {
  const stamp = join(root, 'node_modules/.janusform-lock')
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  // Not "npm ci": npm 11 leaves packages of other platforms out of the lock file and then refuses it for
  // lacking them.
  const npm = ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error']
  const words =
    'Installing packages (first run only); SQLite is compiled, which usually takes two to four minutes ...'
  const done = patiently(words, () =>
    spawnSync('npm', npm, { cwd: root, stdio: ['ignore', 'inherit', 'pipe'], encoding: 'utf8' }),
  )
  if (done.status !== 0) throw new Trouble(whyNot(`${done.stderr} ${done.error ?? ''}`))
  writeFileSync(stamp, lock)
}

/** The packages of Debian that hold a Chromium, the lightest first: the shell is the same browser without windows. */
const BROWSERS = ['chromium-headless-shell', 'chromium']
const whereIs = command =>
  spawnSync('sh', ['-c', `command -v ${command}`], { encoding: 'utf8' }).stdout.trim()

/** Installs a package of Debian where this machine has apt; says whether it is there. */
function installed(name) {
  if (whereIs(name)) return true
  if (!whereIs('apt-get')) return false
  console.log(`Installing ${name} from Debian's packages ...`)
  const sudo = process.getuid?.() === 0 ? '' : 'sudo '
  const get = `${sudo}apt-get update -qq && ${sudo}apt-get install -y -qq --no-install-recommends ${name}`
  spawnSync('sh', ['-c', get], { stdio: ['ignore', 'ignore', 'inherit'] })
  return whereIs(name) !== ''
}

/** Path of a Chromium that draws pages without a screen; installed when there is none and this machine has apt. */
export function chromium() {
  const name = BROWSERS.find(installed)
  if (!name) throw new Error(`Chromium is missing: install the package "${BROWSERS.join('" or "')}".`)
  return whereIs(name)
}

/** The newest change among the files that the built application is made of. */
function newestSource() {
  const files = execSync(
    'git ls-files -co --exclude-standard -- app core demo server public scripts nuxt.config.ts package-lock.json',
    { cwd: root, encoding: 'utf8', maxBuffer: 1 << 26 },
  )
    .trim()
    .split('\n')
  return Math.max(...files.filter(f => existsSync(join(root, f))).map(f => statSync(join(root, f)).mtimeMs))
}

/** Builds the application when its sources are newer than the last build. */
export function buildApp() {
  const built = join(root, '.output/server/index.mjs')
  if (existsSync(built) && statSync(built).mtimeMs > newestSource()) return
  patiently('Building the application, which usually takes one to two minutes ...', () =>
    run('npx', ['nuxt', 'build', '--logLevel=silent']),
  )
}
