// The script that shows the chair while the server is away, with the list of the application's files.
import { build } from 'esbuild'
import { readdirSync } from 'node:fs'
import { join, sep } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))

/** Files that are not fetched as they are: they stand beside others, compressed or for looking into. */
const BESIDE = /\.(gz|br|map|json)$/

/**
 * Bundles the service worker.
 * @param {string} publicDir where the application's files were written
 * @param {string} outfile where the bundle is written
 */
export async function bundleOffline(publicDir, outfile) {
  const files = readdirSync(publicDir, { recursive: true, withFileTypes: true })
    .filter(entry => entry.isFile() && !BESIDE.test(entry.name))
    .map(entry => `/${join(entry.parentPath, entry.name).slice(publicDir.length + 1)}`.split(sep).join('/'))
    .sort()
  await build({
    entryPoints: [join(root, 'app/offline/serviceWorker.ts')],
    outfile,
    absWorkingDir: root,
    bundle: true,
    minify: true,
    platform: 'browser',
    format: 'iife',
    target: 'es2022',
    define: { '__FILES__': JSON.stringify(files), 'process.env.NODE_ENV': '"production"' },
    logLevel: 'error',
  })
}
