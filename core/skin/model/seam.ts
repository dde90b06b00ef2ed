import type { Part } from './part'

/** Unit normals of a grid of points, from the points beside each. */
function gridNormals({ positions: p, columns }: Part): Float32Array {
  const n = p.length / 3
  const rows = n / columns
  const out = new Float32Array(3 * n)
  const u = [0, 0, 0]
  const v = [0, 0, 0]
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns; i++) {
      const at = (c: number, r: number) => 3 * (r * columns + c)
      const [w, e] = [at(Math.max(0, i - 1), j), at(Math.min(columns - 1, i + 1), j)]
      const [a, b] = [at(i, Math.max(0, j - 1)), at(i, Math.min(rows - 1, j + 1))]
      for (let k = 0; k < 3; k++) {
        u[k] = p[e + k]! - p[w + k]!
        v[k] = p[b + k]! - p[a + k]!
      }
      // Right across down, seen by the painter, points toward the painter.
      unit(
        out,
        at(i, j),
        u[1]! * v[2]! - u[2]! * v[1]!,
        u[2]! * v[0]! - u[0]! * v[2]!,
        u[0]! * v[1]! - u[1]! * v[0]!,
      )
    }
  }
  return out
}

function unit(out: Float32Array, o: number, x: number, y: number, z: number): void {
  const l = Math.hypot(x, y, z) || 1
  out[o] = x / l
  out[o + 1] = y / l
  out[o + 2] = z / l
}

/**
 * Two parts whose grids meet row by row, the first with its last and first columns, the other with its first and
 * last, so that no edge shows between them.
 * @param soft over so many columns from the seam on a part comes to its own normals
 */
export function joinedAtRims(front: Part, back: Part, soft: number): [Part, Part] {
  const own = [gridNormals(front), gridNormals(back)] as const
  const normals = own.map(n => n.slice()) as [Float32Array, Float32Array]
  const rows = front.positions.length / 3 / front.columns
  const rim = new Float32Array(3)
  for (let j = 0; j < rows; j++) {
    for (const right of [true, false]) {
      const at = [
        j * front.columns + (right ? front.columns - 1 : 0),
        j * back.columns + (right ? 0 : back.columns - 1),
      ] as const
      const sum = [0, 1, 2].map(k => own[0][3 * at[0] + k]! + own[1][3 * at[1] + k]!)
      unit(rim, 0, sum[0]!, sum[1]!, sum[2]!)
      for (const side of [0, 1] as const) {
        // The front runs away from its right rim to the left, the back to the right.
        const way = (side === 0) === right ? -1 : 1
        for (let c = 0; c < soft; c++) {
          const o = 3 * (at[side] + way * c)
          const t = 1 - c / soft
          const w = t * t * (3 - 2 * t)
          const [x, y, z] = [0, 1, 2].map(k => own[side][o + k]! * (1 - w) + rim[k]! * w)
          unit(normals[side], o, x!, y!, z!)
        }
      }
    }
  }
  return [
    { ...front, normals: normals[0] },
    { ...back, normals: normals[1] },
  ]
}
