import tailwindcss from '@tailwindcss/vite'

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
  vite: { plugins: [tailwindcss() as never], worker: { format: 'es' } },
  nitro: { esbuild: { options: { target: 'node20' } } },
  typescript: {
    strict: true,
    tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true }, include: ['../tests/unit/app/**/*.ts'] },
  },
})
