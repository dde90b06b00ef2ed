// The server's worker thread as one file.
import { build } from 'esbuild'
import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))

/**
 * Bundles the worker thread.
 * @param {string} outfile where the bundle is written
 */
export async function bundleWorker(outfile) {
  await build({
    entryPoints: [join(root, 'server/pool/worker.ts')],
    outfile,
    absWorkingDir: root,
    bundle: true,
    external: ['better-sqlite3'],
    // Without comments the bundle, and so its version, is the same wherever the project lies.
    minifyWhitespace: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    // Packages of the older kind ask for Node's own modules by require.
    banner: {
      js: 'import { createRequire as requireIn } from "node:module";const require = requireIn(import.meta.url);',
    },
    logLevel: 'error',
  })
}

/** Bundles the worker thread for what runs from the sources, and returns the file. */
export async function workerOfSources() {
  const file = join(root, 'node_modules/.cache/janusform/worker.mjs')
  await bundleWorker(file)
  return file
}

/** A digest of the core's sources: another one whenever a picture may come out otherwise. */
export function digestOfCore() {
  const hash = createHash('sha256')
  for (const file of readdirSync(join(root, 'core'), { recursive: true }).sort())
    if (String(file).endsWith('.ts')) hash.update(readFileSync(join(root, 'core', String(file))))
  return hash.digest('hex').slice(0, 12)
}
