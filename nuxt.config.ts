import tailwindcss from '@tailwindcss/vite'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { bundleOffline, scriptsOf } from './scripts/offline.mjs'
import { bundleWorker, digestOfCore, workerOfSources } from './scripts/worker.mjs'

/** The scripts of the chair's page, which its address names ahead: known once the pages are built. */
let chairScripts: string[] = []

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  modules: ['@pinia/nuxt'],
  css: ['~/assets/main.css'],
  app: {
    head: {
      title: 'Janusform',
      htmlAttrs: { lang: 'en' },
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
    },
  },
  alias: { '#core': new URL('./core', import.meta.url).pathname },
  components: [{ path: '~/components', pathPrefix: false }],
  vite: {
    plugins: [tailwindcss() as never],
    worker: { format: 'es' },
    // Thirty small files take a page longer than ten larger ones. (The types are of another bundler.)
    build: { rollupOptions: { output: { experimentalMinChunkSize: 20_000 } as never } },
    // The version of what draws, for what is kept on the painter's device.
    define: { __RENDERER__: JSON.stringify(digestOfCore()) },
  },
  nitro: {
    esbuild: { options: { target: 'node20' } },
    errorHandler: '~~/server/error',
    compressPublicAssets: { gzip: true, brotli: true },
    hooks: {
      // The worker threads run a file of their own beside the server's.
      compiled: async ({ options }) => {
        if (options.dev) await workerOfSources()
        else {
          await bundleWorker(join(options.output.serverDir, 'worker.mjs'))
          await bundleOffline(options.output.publicDir, join(options.output.serverDir, 'offline.js'))
          writeFileSync(join(options.output.serverDir, 'chair.json'), JSON.stringify(chairScripts))
        }
      },
    },
  },
  // Pages are fetched when a link is pointed at: first of all comes what this page shows.
  experimental: { defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } } },
  hooks: {
    // What the bench needs is fetched once the gallery stands, not beside it.
    'build:manifest': manifest => {
      chairScripts = scriptsOf(manifest, 'pages/looks/[id]/chair.vue')
      for (const file of Object.values(manifest)) {
        file.prefetch = false
        // The two fonts that every page is set in come beside its style, not after it.
        if (/latin-wght-normal\.[\w-]*\.?woff2$/.test(file.file) && !/-ext-/.test(file.file))
          file.preload = true
      }
    },
  },
  typescript: {
    strict: true,
    tsConfig: {
      compilerOptions: {
        noUncheckedIndexedAccess: true,
        // What has not changed is not checked again.
        incremental: true,
        tsBuildInfoFile: '../node_modules/.cache/janusform/app.tsbuildinfo',
      },
      include: ['../tests/unit/app/**/*.ts', '../tests/components/**/*.ts'],
    },
  },
})
