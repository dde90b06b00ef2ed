import { readFile } from 'node:fs/promises'

/** The script that shows the chair while this server is away; it is built beside the server. */
export default defineEventHandler(async event => {
  setHeader(event, 'content-type', 'text/javascript; charset=utf-8')
  setHeader(event, 'cache-control', 'no-cache')
  return readFile(new URL('./offline.js', import.meta.url), 'utf8').catch(() => {
    throw refusal(404, 'This way of starting the application has no script for being offline.')
  })
})
