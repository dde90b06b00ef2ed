/**
 * A monotone cubic through a table (Fritsch and Carlson 1980, SIAM J Numer Anal 17:238): smooth, and without
 * overshoot between entries.
 * @param table rows of [x, y] with rising x
 * @returns y at x; the end values outside the table
 */
export function monotoneCubic(table: readonly (readonly [number, number])[]): (x: number) => number {
  const n = table.length
  const xs = table.map(r => r[0])
  const ys = table.map(r => r[1])
  const slope = xs.slice(0, -1).map((x, i) => (ys[i + 1]! - ys[i]!) / (xs[i + 1]! - x))
  const tangent = xs.map((_, i) => {
    if (i === 0) return slope[0]!
    if (i === n - 1) return slope[n - 2]!
    const a = slope[i - 1]!
    const b = slope[i]!
    return a * b <= 0 ? 0 : (2 * a * b) / (a + b)
  })
  return x => {
    if (x <= xs[0]!) return ys[0]!
    if (x >= xs[n - 1]!) return ys[n - 1]!
    let i = 0
    while (x > xs[i + 1]!) i++
    const h = xs[i + 1]! - xs[i]!
    const t = (x - xs[i]!) / h
    const t2 = t * t
    const t3 = t2 * t
    return (
      (2 * t3 - 3 * t2 + 1) * ys[i]! +
      (t3 - 2 * t2 + t) * h * tangent[i]! +
      (3 * t2 - 2 * t3) * ys[i + 1]! +
      (t3 - t2) * h * tangent[i + 1]!
    )
  }
}
