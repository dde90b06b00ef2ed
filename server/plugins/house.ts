/** When the house is looked after first, and how often then, ms. */
const FIRST_MS = 4000
const HOUR_MS = 3_600_000

/** Thins out old versions, one look at a time, so that nobody waits. */
async function thin(): Promise<void> {
  const { revisions } = useRepositories()
  for (const id of revisions.several()) {
    revisions.thin(id, Date.now())
    await new Promise(resolve => setTimeout(resolve))
  }
}

/** Looks after the house once the server has begun to answer: missing pictures, old versions, damage, backups. */
export default defineNitroPlugin(nitro => {
  const { options } = nitro.h3App
  const before = options.onBeforeResponse
  options.onBeforeResponse = async (event, response) => {
    if (event.method !== 'GET' && event.method !== 'HEAD') confirmKept()
    await before?.(event, response)
  }
  const tend = async () => {
    // What one of them cannot do keeps none of the others from it: a backup most of all.
    for (const job of [() => usePaintAhead().begin(), thin, lookForDamage, dailyBackup])
      try {
        await job()
      } catch (error) {
        // Told to the painter by the first request; here for whoever started the server.
        console.error(houseTrouble(error)?.message ?? error)
      }
  }
  const first = setTimeout(() => void tend(), FIRST_MS)
  const hourly = setInterval(() => void tend(), HOUR_MS).unref()
  nitro.hooks.hook('close', async () => {
    clearTimeout(first)
    clearInterval(hourly)
    await usePool().close()
  })
})
