// The server's worker thread as one file, and the demo's things as another beside it.
import { build } from 'esbuild'
import { createHash } from 'node:crypto'
import { cpSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))

/**
 * Bundles a module with all that it imports into one file.
 * @param {string} entry the module, from the project's root
 * @param {string} outfile where the bundle is written
 */
async function bundle(entry, outfile) {
  await build({
    entryPoints: [join(root, entry)],
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

/**
 * Bundles the worker thread, and beside it the demo's things with the files of its stencils.
 * @param {string} outfile where the worker's bundle is written
 */
export async function bundleWorker(outfile) {
  const folder = dirname(outfile)
  await bundle('server/pool/worker.ts', outfile)
  await bundle('demo/seed.ts', join(folder, 'demo.mjs'))
  cpSync(join(root, 'demo/stencils'), join(folder, 'stencils'), { recursive: true })
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
