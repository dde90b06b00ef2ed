/** How far along a segment from a to b the point nearest to p lies, 0 to 1. */
export function shareAlong(px: number, py: number, ax: number, ay: number, bx: number, by: number): number {
  const t = shareOnLine(px, py, ax, ay, bx, by)
  return t < 0 ? 0 : t > 1 ? 1 : t
}

/**
 * The same along the whole line through both: below 0 before a, above 1 past b; 0 when they are one point.
 */
export function shareOnLine(px: number, py: number, ax: number, ay: number, bx: number, by: number): number {
  const dx = bx - ax
  const dy = by - ay
  const l2 = dx * dx + dy * dy
  return l2 === 0 ? 0 : ((px - ax) * dx + (py - ay) * dy) / l2
}
