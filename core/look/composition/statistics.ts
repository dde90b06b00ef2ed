/**
 * Mean resultant length of some angles (degrees): 1 when all agree, 0 when they cancel (Mardia and Jupp,
 * Directional Statistics, 2.3).
 */
export function meanResultantLength(angles: readonly number[]): number {
  if (angles.length === 0) return 0
  const c = angles.reduce((s, a) => s + Math.cos((a * Math.PI) / 180), 0)
  const s = angles.reduce((t, a) => t + Math.sin((a * Math.PI) / 180), 0)
  return Math.hypot(c, s) / angles.length
}

/** Ranks of some numbers from 1 up; equal ones share the mean of theirs. */
function ranksOf(list: readonly number[]): number[] {
  return list.map(v => (list.filter(w => w < v).length + 1 + list.filter(w => w <= v).length) / 2)
}

/**
 * Spearman's rank correlation of two lists, -1 to 1; null for fewer than three pairs or where one list does
 * not vary.
 */
export function rankCorrelation(a: readonly number[], b: readonly number[]): number | null {
  if (a.length < 3) return null
  const p = ranksOf(a)
  const q = ranksOf(b)
  const n = p.length
  const m = (n + 1) / 2
  const cov = p.reduce((s, v, i) => s + (v - m) * (q[i]! - m), 0)
  const vp = p.reduce((s, v) => s + (v - m) ** 2, 0)
  const vq = q.reduce((s, v) => s + (v - m) ** 2, 0)
  return vp > 0 && vq > 0 ? cov / Math.sqrt(vp * vq) : null
}
