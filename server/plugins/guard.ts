import { createHash } from 'node:crypto'

// However the server is started, it listens on this machine only; its port is the demo's.
process.env.NITRO_HOST ||= '127.0.0.1'
process.env.NITRO_PORT ||= process.env.PORT || '4600'

/** Digests of the scripts that a page holds itself. */
const inlineScripts = (html: string): string[] =>
  [
    ...html.matchAll(/<script(?![^>]*\bsrc=)(?![^>]*type="application\/json")[^>]*>([\s\S]*?)<\/script>/g),
  ].map(([, script]) => createHash('sha256').update(script!).digest('base64'))

// Another server may listen there already: that is one sentence, and no fault.
process.prependListener('uncaughtException', error => {
  if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') return
  console.error(
    `Port ${process.env.NITRO_PORT} is taken: another program listens there. End it, or set NITRO_PORT.`,
  )
  process.exit(1)
})

/** Whatever under /api no route of ours answers. */
const NONE_OF_OURS = '/api/**'

/** Guards every request, files too, and lets pages run no script but their own. */
export default defineNitroPlugin(nitro => {
  const { h3App } = nitro
  h3App.use(eventHandler(guard))
  // Before the files, which are otherwise sent first.
  h3App.stack.unshift(h3App.stack.pop()!)
  nitro.router.use(
    NONE_OF_OURS,
    eventHandler(async event => {
      // The same address may answer another method.
      const found = await nitro.router.handler.__resolve__?.(event.path.split('?')[0]!)
      const known = found?.route !== undefined && found.route !== NONE_OF_OURS
      throw createError({ statusCode: known ? 405 : 404 })
    }),
  )
  nitro.hooks.hook('render:response', (response, { event }) => {
    setHeader(event, 'content-security-policy', policy(inlineScripts(String(response.body ?? ''))))
    delete response.headers?.['x-powered-by']
  })
})
