// The script that shows the chair while the server is away, with the list of the application's files.
import { build } from 'esbuild'
import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
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
    .map(entry => join(entry.parentPath, entry.name))
    .sort()
    .map(file => ({
      url: `/${file.slice(publicDir.length + 1)}`.split(sep).join('/'),
      // Not every name changes with what is in the file.
      revision: createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 16),
    }))
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

/**
 * The script of a page and all that it is sure to read, by a manifest of the build.
 * @param {Record<string, { file: string, src?: string, imports?: string[] }>} manifest
 * @param {string} page the page's file
 * @returns {string[]} their addresses
 */
export function scriptsOf(manifest, page) {
  const files = new Set()
  const read = key => {
    const entry = manifest[key]
    if (!entry || files.has(entry.file)) return
    files.add(entry.file)
    entry.imports?.forEach(read)
  }
  Object.keys(manifest)
    .filter(key => key.endsWith(page))
    .forEach(read)
  return [...files].filter(file => file.endsWith('.js')).map(file => `/_nuxt/${file}`)
}
