import type { Box } from '../../geometry'

/**
 * A part of a solid model: triangles over points in space (mm, +z toward the painter), each with a place in
 * the skin's picture or a tint.
 */
export interface Part {
  readonly kind: 'skin' | 'back' | 'bare skin' | 'cloth' | 'hair' | 'scarf'
  readonly positions: Float32Array
  /**
   * Places in the picture of the skin, or of the back of the head, 0 to 1 from its top left corner; null for a part
   * of one colour.
   */
  readonly places: Float32Array | null
  readonly triangles: Uint32Array
  /** Points in a row of the grid that it is made of. */
  readonly columns: number
  /** Unit normals of the points where they are not to be worked out from the triangles; else null. */
  readonly normals: Float32Array | null
}

/** A grid of points `rows` by `columns` as triangles; `at(i, j)` writes the point of column i and row j. */
export function gridPart(
  kind: Part['kind'],
  columns: number,
  rows: number,
  at: (i: number, j: number, out: Float64Array) => void,
  place: ((out: Float64Array) => readonly [number, number]) | null,
): Part {
  const positions = new Float32Array(3 * columns * rows)
  const places = place && new Float32Array(2 * columns * rows)
  const triangles = new Uint32Array(6 * (columns - 1) * (rows - 1))
  const p = new Float64Array(5)
  let t = 0
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns; i++) {
      const n = j * columns + i
      at(i, j, p)
      positions.set([p[0]!, p[1]!, p[2]!], 3 * n)
      if (places && place) places.set(place(p), 2 * n)
      if (i === columns - 1 || j === rows - 1) continue
      // Counter-clockwise as seen by the painter, with y down.
      triangles.set([n, n + columns, n + 1, n + 1, n + columns, n + columns + 1], t)
      t += 6
    }
  }
  return { kind, positions, places, triangles, columns, normals: null }
}

/** A part in the form of an ellipsoid. */
export function ellipsoidPart(
  kind: Part['kind'],
  [x, y, z]: readonly [number, number, number],
  [rx, ry, rz]: readonly [number, number, number],
  turn = 0,
): Part {
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  return gridPart(
    kind,
    21,
    13,
    (i, j, out) => {
      const a = (2 * Math.PI * i) / 20
      const b = (Math.PI * j) / 12
      const u = rx * Math.sin(b) * Math.sin(a)
      const v = -ry * Math.cos(b)
      out[0] = x + c * u - s * v
      out[1] = y + s * u + c * v
      out[2] = z + rz * Math.sin(b) * Math.cos(a)
    },
    null,
  )
}

/** The place of a point of a picture's plane in the picture, 0 to 1. */
export const placeIn = (
  { minX, minY, maxX, maxY }: Readonly<Box>,
  u: number,
  v: number,
): readonly [number, number] => [(u - minX) / (maxX - minX), (v - minY) / (maxY - minY)]
