/** What the gallery's pictures were painted from, of looks that were listed: the browser has those already. */
const listed = new Map<string, string>()

/** Notes which picture the gallery shows of a look. */
export function noteCard(id: string, key: string | null): void {
  if (key) listed.set(id, key)
}

/** The address of the last picture of a look. */
export function cardAddress(id: string): string {
  const key = listed.get(id)
  return `/api/looks/${id}/card.png${key ? `?key=${key}` : ''}`
}
