// Gets a fresh machine ready: packages, and for tests a browser. Uses nothing but Node itself.
import { execFileSync, execSync, spawnSync } from 'node:child_process'
import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { createHash } from 'node:crypto'
import { join } from 'node:path'

export const root = new URL('..', import.meta.url).pathname

/** Runs a command in the project's folder with its output shown; throws when it fails. */
export function run(command, args, env = {}) {
  execFileSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } })
}

/** Installs the packages of the lock file when they are missing or the lock file has changed. */
export function installPackages() {
  const stamp = join(root, 'node_modules/.janusform-lock')
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  console.log('Installing packages (first run only) ...')
  // Not "npm ci": npm 11 leaves packages of other platforms out of the lock file and then refuses it for
  // lacking them.
  run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error'])
  writeFileSync(stamp, lock)
}

/** Path of Chromium; installs Debian's package when there is none and this machine has apt. */
export function chromium() {
  const find = () => spawnSync('sh', ['-c', 'command -v chromium'], { encoding: 'utf8' }).stdout.trim()
  if (!find()) {
    console.log("Installing Chromium from Debian's packages ...")
    const sudo = process.getuid?.() === 0 ? '' : 'sudo '
    execSync(`${sudo}apt-get update -qq && ${sudo}apt-get install -y -qq --no-install-recommends chromium`, {
      stdio: ['ignore', 'ignore', 'inherit'],
    })
  }
  const path = find()
  if (!path) throw new Error('Chromium is missing: install the package "chromium".')
  return path
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
  console.log('Building the application ...')
  run('npx', ['nuxt', 'build', '--logLevel=silent'])
}
