import { createHash } from 'node:crypto'

// However the server is started, it listens on this machine only; its port is the demo's.
process.env.NITRO_HOST ||= '127.0.0.1'
process.env.NITRO_PORT ||= process.env.PORT || '4600'

/** Digests of the scripts that a page holds itself. */
const inlineScripts = (html: string): string[] =>
  [
    ...html.matchAll(/<script(?![^>]*\bsrc=)(?![^>]*type="application\/json")[^>]*>([\s\S]*?)<\/script>/g),
  ].map(([, script]) => createHash('sha256').update(script!).digest('base64'))

/** Guards every request, files too, and lets pages run no script but their own. */
export default defineNitroPlugin(nitro => {
  const { h3App } = nitro
  h3App.use(eventHandler(guard))
  // Before the files, which are otherwise sent first.
  h3App.stack.unshift(h3App.stack.pop()!)
  nitro.router.use(
    '/api/**',
    eventHandler(() => {
      throw createError({ statusCode: 404 })
    }),
  )
  nitro.hooks.hook('render:before', ({ event }) => {
    // What comes here under /api is an address of ours that does not answer this method.
    if (event.path.startsWith('/api/')) throw createError({ statusCode: 405 })
  })
  nitro.hooks.hook('render:response', (response, { event }) => {
    setHeader(event, 'content-security-policy', policy(inlineScripts(String(response.body ?? ''))))
    delete response.headers?.['x-powered-by']
  })
})
