import { FetchError } from 'ofetch'

/** What a failed request says, as sentences for the painter. */
export function sentencesOf(error: unknown): string[] {
  if (error instanceof FetchError) {
    const data = error.data as { message?: string; data?: { sentences?: string[] } } | undefined
    if (data?.data?.sentences?.length) return data.data.sentences
    if (data?.message) return [data.message]
    if (!error.response)
      return [
        'The application\'s server does not answer. Your work is kept on this device; start it again with "npm run demo".',
      ]
  }
  return [error instanceof Error ? error.message : String(error)]
}

/** The data that came with a refusal, when its status is the one asked for. */
export function refusalData<T>(error: unknown, status: number): T | null {
  return error instanceof FetchError && error.status === status
    ? ((error.data as { data?: T } | undefined)?.data ?? null)
    : null
}

/** Minutes and seconds: 5:20. */
export const clock = (seconds: number): string =>
  `${Math.floor(Math.round(seconds) / 60)}:${String(Math.round(seconds) % 60).padStart(2, '0')}`

/** Seconds of minutes and seconds as they are typed, such as 4 or 4:20; null for what is none. */
export function secondsIn(text: string): number | null {
  const m = /^\s*(\d{1,3})(?::([0-5]\d))?\s*$/.exec(text)
  return m ? Number(m[1]) * 60 + Number(m[2] ?? 0) : null
}
