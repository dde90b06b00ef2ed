/** A list cut into rows of so many, the last one as long as it comes. */
export function inRows<T>(list: readonly T[], columns: number): T[][] {
  const rows: T[][] = []
  for (let i = 0; i < list.length; i += columns) rows.push(list.slice(i, i + columns))
  return rows
}
