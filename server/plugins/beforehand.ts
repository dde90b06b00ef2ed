import { readFileSync } from 'node:fs'

/** The gallery asks for its list first of all: named in the page's head, it comes beside the script. */
const LIST = '<link rel="preload" as="fetch" crossorigin href="/api/looks">'

/** The chair's page and what it reads come beside the script that would ask for them. */
const CHAIR = /^\/looks\/([\w-]+)\/chair$/
const scripts = (): string[] => {
  try {
    return JSON.parse(readFileSync(new URL('./chair.json', import.meta.url), 'utf8')) as string[]
  } catch {
    // From the sources nothing is known ahead.
    return []
  }
}
const headOfChair = (id: string): string =>
  [
    ...scripts().map(file => `<link rel="modulepreload" crossorigin href="${file}">`),
    ...[`looks/${id}`, 'stencils', 'paints', 'readings'].map(
      path => `<link rel="preload" as="fetch" crossorigin href="/api/${path}">`,
    ),
  ].join('')

/** What is done before somebody asks for it, so that the first page of the day is as quick as the next. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('render:html', (html, { event }) => {
    const path = event.path.split('?')[0]!
    if (path === '/') html.head.push(LIST)
    const chair = CHAIR.exec(path)?.[1]
    if (chair) html.head.push(headOfChair(chair))
  })
  if (import.meta.dev) return
  // What makes pages is only read with the first of them (a fifth of a second): it is asked for at once.
  const { NITRO_HOST, NITRO_PORT } = process.env
  setTimeout(() => void fetch(`http://${NITRO_HOST}:${NITRO_PORT}/`).catch(() => {}))
})
