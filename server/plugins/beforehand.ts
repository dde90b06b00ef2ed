/** The gallery asks for its list first of all: named in the page's head, it comes beside the script. */
const LIST = '<link rel="preload" as="fetch" crossorigin href="/api/looks">'

/** What is done before somebody asks for it, so that the first page of the day is as quick as the next. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('render:html', (html, { event }) => {
    if (event.path.split('?')[0] === '/') html.head.push(LIST)
  })
  if (import.meta.dev) return
  // What makes pages is only read with the first of them (a fifth of a second): it is asked for at once.
  const { NITRO_HOST, NITRO_PORT } = process.env
  setTimeout(() => void fetch(`http://${NITRO_HOST}:${NITRO_PORT}/`).catch(() => {}))
})
