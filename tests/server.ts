import { spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { houseOf, type Beginning } from './houses'

/** How often, and after how many ms, a server that was started is asked whether it answers. */
const TRIES = 200
const PAUSE_MS = 100

/** The built server over a throwaway copy of a house. */
export class Site {
  readonly address: string
  /** The folder of its data. */
  data = ''
  private server: ChildProcess | null = null

  constructor(private readonly port: number) {
    this.address = `http://127.0.0.1:${port}`
  }

  /** Begins anew: what was done before is gone. */
  async begin(beginning: Beginning): Promise<void> {
    await this.end()
    this.data = mkdtempSync(join(tmpdir(), 'janusform-site-'))
    const seed = houseOf(beginning)
    if (seed) cpSync(seed, this.data, { recursive: true })
    await this.start()
  }

  /** Starts the server over what the house holds. */
  async start(): Promise<void> {
    const env = {
      ...process.env,
      JANUSFORM_DATA: this.data,
      NITRO_HOST: '127.0.0.1',
      NITRO_PORT: String(this.port),
    }
    this.server = spawn('node', ['.output/server/index.mjs'], { env, stdio: 'ignore' })
    await this.up()
  }

  /** Stops the server; the house stays. */
  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    if (!this.server || this.server.exitCode !== null || this.server.signalCode !== null) return
    const gone = once(this.server, 'exit')
    this.server.kill(signal)
    await gone
  }

  async end(): Promise<void> {
    await this.stop()
    if (this.data) rmSync(this.data, { recursive: true, force: true })
  }

  private async up(): Promise<void> {
    for (let n = 0; n < TRIES; n++) {
      const ok = await fetch(`${this.address}/api/paints`).then(
        r => r.ok,
        () => false,
      )
      if (ok) return
      if (this.server!.exitCode !== null) break
      await new Promise(resolve => setTimeout(resolve, PAUSE_MS))
    }
    throw new Error(`The server at ${this.address} did not start.`)
  }
}
