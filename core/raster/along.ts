import type { Axis, Print, Rails } from '../look'
import type { Point } from '../geometry'

/** How far along an axis a place lies, 0 to 1. `depth`: how far in from the print's edge it is, mm. */
export function along(axis: Axis, x: number, y: number, depth = 0): number {
  switch (axis.kind) {
    case 'out':
      return Math.min(1, Math.hypot(x - axis.from[0], y - axis.from[1]) / axis.reach)
    case 'line':
      return alongLine(axis, x, y)
    case 'edge':
      return 1 - Math.min(1, depth / axis.depth)
    case 'across':
      return onRails(axis.rails, x, y).across
  }
}

function alongLine({ from, to, every }: Extract<Axis, { kind: 'line' }>, x: number, y: number): number {
  const dx = to[0] - from[0]
  const dy = to[1] - from[1]
  const length2 = dx * dx + dy * dy
  if (length2 === 0) return 0
  const t = ((x - from[0]) * dx + (y - from[1]) * dy) / length2
  if (!every) return Math.min(1, Math.max(0, t))
  const turns = (t * Math.sqrt(length2)) / every
  return turns - Math.floor(turns)
}

/** Where a place lies on a band: across it from its left edge, and along it from its beginning, both 0 to 1. */
function onRails({ left, right }: Rails, x: number, y: number): { across: number; along: number } {
  let best = Infinity
  let at = 0
  let share = 0
  for (let i = 1; i < left.length; i++) {
    const ax = (left[i - 1]![0] + right[i - 1]![0]) / 2
    const ay = (left[i - 1]![1] + right[i - 1]![1]) / 2
    const dx = (left[i]![0] + right[i]![0]) / 2 - ax
    const dy = (left[i]![1] + right[i]![1]) / 2 - ay
    const l2 = dx * dx + dy * dy
    const t = l2 === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / l2))
    const ex = x - ax - t * dx
    const ey = y - ay - t * dy
    const d = ex * ex + ey * ey
    if (d >= best) continue
    best = d
    at = i - 1
    share = t
  }
  const l = between(left, at, share)
  const r = between(right, at, share)
  const wx = r[0] - l[0]
  const wy = r[1] - l[1]
  const w2 = wx * wx + wy * wy
  const across = w2 === 0 ? 0.5 : ((x - l[0]) * wx + (y - l[1]) * wy) / w2
  return {
    across: Math.min(1, Math.max(0, across)),
    along: (at + share) / Math.max(1, left.length - 1),
  }
}

function between(line: readonly Point[], i: number, share: number): Point {
  const a = line[i]!
  const b = line[Math.min(line.length - 1, i + 1)]!
  return [a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])]
}

/** The share of its thickness that a film has at a place, by where it runs out and thins. */
export function thinnedAt(print: Print, t: number, x: number, y: number): number {
  const { runsOut, thins } = print
  let share = 1
  if (runsOut !== undefined && t > runsOut) {
    const u = (t - runsOut) / Math.max(1e-6, 1 - runsOut)
    share = 1 - u * u * (3 - 2 * u)
  }
  if (!thins) return share
  const v = onRails(thins.rails, x, y).along * (thins.shares.length - 1)
  const i = Math.min(thins.shares.length - 2, Math.floor(v))
  return share * (thins.shares[i]! + (v - i) * (thins.shares[i + 1]! - thins.shares[i]!))
}
