import { sendSittings } from '~/sitting/kept'

/** What was written down while the server was away is tried again so often, ms. */
const AGAIN_MS = 4000

/** Sends what was written down in the chair while the server did not answer, from whatever page is open. */
export default defineNuxtPlugin(() => {
  const again = () => void sendSittings().catch(() => {})
  setTimeout(again, AGAIN_MS / 2)
  setInterval(again, AGAIN_MS)
  window.addEventListener('online', again)
})
