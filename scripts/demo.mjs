// Installs, builds, seeds and starts the demo at http://127.0.0.1:4600. A second run keeps what the user
// made.
import { spawn } from 'node:child_process'
import { createServer } from 'node:net'
import { buildApp, installPackages, orSentence, root, run } from './ready.mjs'

const port = process.env.PORT ?? '4600'

/** Whether nobody listens on a port of this machine. */
const isFree = at =>
  new Promise(resolve => {
    const probe = createServer()
    probe.once('error', error => resolve(error.code !== 'EADDRINUSE'))
    probe.listen(Number(at), '127.0.0.1', () => probe.close(() => resolve(true)))
  })

if (!(await isFree(port))) {
  console.error(
    `Port ${port} is taken: Janusform or another program listens there. End it, or choose another: PORT=4601 npm run demo`,
  )
  process.exit(1)
}
orSentence(() => {
  installPackages()
  buildApp()
  console.log('Adding the demo to your data and painting its pictures (about a minute at first) ...')
  run('npx', ['tsx', 'demo/seed.ts'])
})
const server = spawn(process.execPath, ['.output/server/index.mjs'], {
  cwd: root,
  stdio: ['ignore', 'pipe', 'inherit'],
  env: { ...process.env, NITRO_HOST: '127.0.0.1', NITRO_PORT: port },
})
const kept = process.env.JANUSFORM_DATA ?? 'data/'
server.stdout.on('data', text => {
  if (!String(text).includes('Listening')) return
  console.log(`\nJanusform is ready: http://127.0.0.1:${port}`)
  console.log(`(Ctrl C stops it; your looks are in ${kept})`)
})
server.on('exit', code => process.exit(code ?? 0))
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => server.kill('SIGTERM'))
// "npm run" does not pass every signal on: when it ends, so does the server.
const parent = process.ppid
setInterval(() => process.ppid === parent || server.kill('SIGTERM'), 500).unref()
process.on('exit', () => server.kill('SIGTERM'))
