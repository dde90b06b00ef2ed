/** After so long a file that is being made is told of, ms. */
const LATE_MS = 400

/** The name that the server gives a file, if it does. */
const nameIn = (answer: Response): string | undefined =>
  /filename="([^"]+)"/.exec(answer.headers.get('content-disposition') ?? '')?.[1]

/** Hands a file to the browser, to be kept where it keeps files. */
function keep(file: Blob, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(file)
  link.download = name
  link.click()
  // The browser reads it a little later.
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000)
}

/** Files that the server makes: a long one is told of and can be stopped; what goes wrong is said. */
export function useExport() {
  const notices = useNotices()
  const exporting = shallowRef<{ words: string; stop: () => void } | null>(null)

  /**
   * Fetches a file and keeps it.
   * @param words what it is
   * @param otherwise its name, where the server gives none
   */
  async function fetchFile(words: string, address: string, otherwise: string): Promise<void> {
    exporting.value?.stop()
    const ending = new AbortController()
    const mine = { words: `Making the ${words}…`, stop: () => ending.abort() }
    const late = setTimeout(() => {
      exporting.value = mine
    }, LATE_MS)
    try {
      const answer = await fetch(address, { signal: ending.signal })
      if (!answer.ok) throw new Error(((await answer.json()) as { message: string }).message)
      keep(await answer.blob(), nameIn(answer) ?? otherwise)
    } catch (error) {
      if (!ending.signal.aborted) notices.refuse(sentencesOf(error).join(' '))
    } finally {
      clearTimeout(late)
      if (exporting.value === mine) exporting.value = null
    }
  }
  return { exporting, fetchFile }
}
