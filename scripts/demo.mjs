// Installs, builds, seeds and starts the demo at http://127.0.0.1:4600. A second run keeps what the user
// made.
import { spawn } from 'node:child_process'
import { buildApp, installPackages, root, run } from './ready.mjs'

installPackages()
buildApp()
run('npx', ['tsx', 'demo/seed.ts'])
const port = process.env.PORT ?? '4600'
const server = spawn(process.execPath, ['.output/server/index.mjs'], {
  cwd: root,
  stdio: ['ignore', 'pipe', 'inherit'],
  env: { ...process.env, NITRO_HOST: '127.0.0.1', NITRO_PORT: port },
})
server.stdout.on('data', text => {
  if (String(text).includes('Listening'))
    console.log(`\nJanusform is ready: http://127.0.0.1:${port}\n(Ctrl C stops it; your looks are in data/)`)
})
server.on('exit', code => process.exit(code ?? 0))
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
