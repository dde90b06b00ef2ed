/**
 * What the gallery's pictures were painted from, of looks that were listed: the browser has those already. Null
 * where there is no picture yet.
 */
const listed = new Map<string, string | null>()

/** Notes which picture the gallery shows of a look; null when it shows none. */
export function noteCard(id: string, key: string | null): void {
  listed.set(id, key)
}

/** The address of the last picture of a look; null when it is known to have none. */
export function cardAddress(id: string): string | null {
  const key = listed.get(id)
  if (key === null) return null
  return `/api/looks/${id}/card.png${key ? `?key=${key}` : ''}`
}
