// Tries to lose work: kills the built server in the middle of writes again and again and looks for every write that
// it has acknowledged, asks every route for nonsense, and takes the data folder away while it runs.
//   node scripts/trial.mjs [--writes 4000]      needs a build: npx nuxt build
import { spawn, spawnSync } from 'node:child_process'
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join, relative } from 'node:path'
import { root } from './ready.mjs'
import { base, forget, json, KINDS, missing, port, read, useTemplate } from './trialWrites.mjs'

const option = (name, usual) => {
  const at = process.argv.indexOf(`--${name}`)
  return at < 0 ? usual : Number(process.argv[at + 1])
}
const WRITES = option('writes', 4000)
/** As many writes are under way at once. */
const AT_ONCE = 8
/** Nobody may wait longer for an answer while somebody else's file is read, ms. */
const PATIENCE_MS = 1000
const data = mkdtempSync(join(tmpdir(), 'janusform-trial-'))
let house = join(data, 'house')

/** Numbers in [0, 1) that are the same at every run (a linear congruence; Numerical Recipes, 7.1). */
let state = 20261201
const random = () => {
  state = (Math.imul(state, 1664525) + 1013904223) >>> 0
  return state / 4294967296
}
const pick = list => list[Math.floor(random() * list.length)]
const pause = ms => new Promise(resolve => setTimeout(resolve, ms))

let server
async function start() {
  server = spawn(process.execPath, [join(root, '.output/server/index.mjs')], {
    env: { ...process.env, JANUSFORM_DATA: house, NITRO_HOST: '127.0.0.1', NITRO_PORT: String(port) },
    stdio: 'ignore',
  })
  for (let i = 0; i < 200; i++) {
    if (server.exitCode !== null) throw new Error(`Nothing starts on port ${port}: is another server there?`)
    if (
      await fetch(`${base}/api/paints`).then(
        r => r.ok,
        () => false,
      )
    )
      return
    await pause(50)
  }
  throw new Error('The server did not start.')
}
async function kill(signal = 'SIGKILL') {
  if (server.exitCode !== null || server.signalCode !== null) return
  const ended = new Promise(resolve => server.once('exit', resolve))
  server.kill(signal)
  await ended
}
async function kills() {
  let acknowledged = 0,
    n = 0,
    rounds = 0
  const lost = new Set()
  while (acknowledged < WRITES) {
    rounds++
    let going = true,
      trouble = null
    const worker = async () => {
      while (going) {
        const mine = ++n
        try {
          await KINDS[pick(Object.keys(KINDS))](mine)
          acknowledged++
        } catch (error) {
          // Refused is a fault of this trial; anything else is the server that was killed.
          if (/^\d{3} /.test(error.message)) trouble = error
          return
        }
      }
    }
    const workers = Array.from({ length: AT_ONCE }, worker)
    await pause(200 + 900 * random())
    await kill()
    going = false
    await Promise.all(workers)
    if (trouble) throw trouble
    await start()
    for (const name of await missing()) lost.add(name)
  }
  console.log(
    `kills: ${acknowledged} acknowledged writes of ${Object.keys(KINDS).length} kinds, ${rounds} kills, ${lost.size} lost`,
  )
  return lost.size
}

/** Every route of the server with its method, by the files that answer them. */
function routes(folder = join(root, 'server/api')) {
  return readdirSync(folder).flatMap(name => {
    const file = join(folder, name)
    if (statSync(file).isDirectory()) return routes(file)
    const [, path, method] =
      /^(.*)\.(get|post|put|patch|delete)\.ts$/.exec(relative(join(root, 'server/api'), file)) ?? []
    return path ? [{ path: `/api/${path.replace(/(^|\/)index$/, '')}`, method: method.toUpperCase() }] : []
  })
}
const JUNK = [
  undefined,
  null,
  0,
  -1,
  1e300,
  2 ** 63,
  '',
  'x',
  [],
  {},
  [null],
  true,
  'x'.repeat(70_000),
  '__proto__',
  { look: null },
  { look: { format: 'janusform-look' } },
  { run: null, sent: 1e300 },
  { run: {}, sent: -5 },
  { name: '\u202Egnp', colour: '#12' },
  { base: 'x', look: [] },
  [[[[[[]]]]]],
]
const IDS = ['x', '..%2F..%2Fetc', '%00', '<b>', 'a'.repeat(8000), '__proto__', 'constructor', '1e300']

async function nonsense() {
  let sent = 0
  const faults = []
  const slow = []
  for (const { path, method } of routes()) {
    // What restores or makes backups of megabytes is not asked a thousand times.
    for (const id of /\[/.test(path) ? IDS : ['x'])
      for (const junk of method === 'GET' || method === 'DELETE' ? [undefined] : JUNK) {
        const url = base + path.replace(/\[[^\]]*\]/g, id)
        const begun = performance.now()
        const answer = await fetch(url, {
          method,
          headers: { 'content-type': 'application/json' },
          body: junk === undefined ? undefined : typeof junk === 'string' ? junk : JSON.stringify(junk),
        }).catch(error => ({ status: 599, error }))
        sent++
        if (answer.status >= 500)
          faults.push(`${answer.status} ${method} ${path} ${JSON.stringify(junk)?.slice(0, 40)}`)
        await answer.arrayBuffer?.()
        if (performance.now() - begun > 5 * PATIENCE_MS) slow.push(`${method} ${path}`)
      }
  }
  console.log(
    `nonsense: ${sent} requests over ${routes().length} routes, ${faults.length} answers of 5xx, ${slow.length} over 5 s`,
  )
  for (const line of new Set([...faults, ...slow])) console.log(`  ${line}`)
  return faults.length
}

/** While a hostile file is read, others are answered within a second. */
async function patience() {
  const files = [
    ['/api/runs', `${'run,'.repeat(60_000)}\n1`],
    ['/api/runs', `run,look,started\n${'a,b,c\n'.repeat(700_000)}`],
    [
      '/api/stencils',
      JSON.stringify({
        file: `<svg xmlns="http://www.w3.org/2000/svg" width="99mm" height="99mm"><path d="M${Array.from({ length: 60_000 }, () => `${99 * random()} ${99 * random()}`).join('L')}"/></svg>`,
        name: 'x',
      }),
    ],
  ]
  let longest = 0
  for (const [path, body] of files) {
    let done = false
    const asked = fetch(base + path, { method: 'POST', body })
      .then(
        r => r.text(),
        () => '',
      )
      .finally(() => (done = true))
    while (!done) {
      const begun = performance.now()
      await read('/api/paints')
      longest = Math.max(longest, performance.now() - begun)
      await pause(20)
    }
    await asked
  }
  console.log(`patience: others waited ${Math.round(longest)} ms at most`)
  return longest > PATIENCE_MS ? 1 : 0
}

/** With its folder moved away nothing may be acknowledged; when it is back, everything is there and work goes on. */
async function folderGone() {
  renameSync(house, `${house}-moved`)
  const taken = []
  for (const kind of Object.keys(KINDS))
    await KINDS[kind](900_000 + taken.length).then(
      () => taken.push(kind),
      () => {},
    )
  const made = existsSync(house)
  if (made) rmSync(house, { recursive: true })
  renameSync(`${house}-moved`, house)
  const lost = await missing()
  await KINDS['a paint'](990_000)
  console.log(
    `folder moved away: ${taken.length} writes acknowledged in vain, a new house made: ${made ? 'yes' : 'no'}; back again ${lost.length} lost`,
  )
  return taken.length + lost.length + (made ? 1 : 0)
}

/** Bytes of the small disk. */
const DISK_BYTES = 40e6

/**
 * On a disk that is full nothing may be acknowledged, everything that was is there, and work goes on once there is
 * room. Needs the right to mount a disk in memory.
 */
async function diskFull() {
  await kill('SIGTERM')
  const disk = join(data, 'disk')
  mkdirSync(disk)
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${DISK_BYTES}`, 'tmpfs', disk]).status !== 0) {
    console.log('disk full: not tried, because this user may not mount a disk')
    await start()
    return 0
  }
  const usual = house
  let result
  try {
    forget()
    house = disk
    await start()
    for (let n = 0; n < 60; n++) await KINDS[pick(Object.keys(KINDS))](1_000_000 + n)
    const filler = join(disk, 'filler')
    for (let size = DISK_BYTES; size > 512;) {
      try {
        writeFileSync(filler, Buffer.alloc(size), { flag: 'a' })
      } catch {
        size = Math.floor(size / 2)
      }
    }
    let acknowledged = 0,
      unsaid = 0
    for (let n = 0; n < 60; n++)
      await KINDS[pick(Object.keys(KINDS))](1_100_000 + n).then(
        () => acknowledged++,
        error => (/^503 /.test(error.message) ? null : unsaid++),
      )
    await kill()
    await start()
    const lost = [...(await missing())]
    rmSync(filler)
    await KINDS['a paint'](1_200_000)
    lost.push(...(await missing()))
    console.log(
      `disk full: ${acknowledged} of 60 writes found room, ${unsaid} refused without the sentence for it, ${lost.length} lost`,
    )
    result = lost.length + unsaid
  } finally {
    await kill('SIGTERM')
    spawnSync('umount', [disk])
    house = usual
    forget()
  }
  await start()
  return result
}

let wrong = 0
try {
  await start()
  await json('POST', '/api/house/demo')
  const [first] = await read('/api/looks')
  useTemplate((await read(`/api/looks/${first.id}`)).look)
  wrong += await kills()
  wrong += await folderGone()
  wrong += await diskFull()
  wrong += await patience()
  wrong += await nonsense()
} finally {
  await kill('SIGTERM')
  rmSync(data, { recursive: true, force: true })
}
console.log(wrong ? `${wrong} wrong` : 'nothing wrong')
process.exit(wrong ? 1 : 0)
