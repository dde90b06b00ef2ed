import { difference, offset, type Point, type Polygon } from '../../core/geometry'
import { ellipsePoints } from '../../core/geometry/flatten'
import { among, band, disc, drop, leaf, polar, poly, regions, smooth, swell, type Shape } from './pen'
import type { Drawing } from './sheet'
import { regionsOf, spaced } from './spaced'

const discRegion = (x: number, y: number, r: number): Polygon => ({
  outer: Float64Array.from(ellipsePoints(x, y, r, r, 0.02)),
  holes: [],
})

/** Fans of three ribs standing over each other, as a row of open shells. */
function fans(): Drawing {
  const w = 126
  const h = 92
  const pitch = 19
  const rise = 9.5
  const shapes: Shape[] = []
  for (let row = -4; row <= 4; row++) {
    for (let col = -4; col <= 4; col++) {
      const x = (col + (row % 2 ? 0.5 : 0)) * pitch
      const y = row * rise + 4
      if (Math.abs(x) + 9.5 > w / 2 - 4 || y - 9.5 < -h / 2 + 4 || y > h / 2 - 5) continue
      const over = [-1, 1].map(s => discRegion(x + (s * pitch) / 2, y + rise, 10))
      const rings: [number, number][] = [
        [8.9, 7.3],
        [5.9, 4.4],
        [3, 0],
      ]
      for (const [outer, inner] of rings) {
        const ring = difference(
          [discRegion(x, y, outer)],
          [
            ...(inner ? [discRegion(x, y, inner)] : []),
            ...over,
            ...regionsOf(
              poly([
                [x - 20, y + (inner ? 0 : 1.6)],
                [x + 20, y + (inner ? 0 : 1.6)],
                [x + 20, y + 30],
                [x - 20, y + 30],
              ]),
            ),
          ],
        )
        // Each rib keeps a bridge at its crown, so that no rib holds a loose piece.
        shapes.push(
          ...regions(
            offset(
              offset(
                difference(
                  ring,
                  inner
                    ? regionsOf(
                        poly([
                          [x - 0.55, y - 12],
                          [x + 0.55, y - 12],
                          [x + 0.55, y],
                          [x - 0.55, y],
                        ]),
                      )
                    : [],
                ),
                -0.25,
              ),
              0.25,
            ),
          ),
        )
      }
    }
  }
  return {
    id: 'fans',
    name: 'Shell Fans',
    kind: 'texture',
    tags: ['sea', 'mermaid', 'fans'],
    zones: ['forehead', 'cheek'],
    width: w,
    height: h,
    shapes,
    heading: 0,
  }
}

/** Leopard rosettes: broken rings of two or three blots, none like another. */
function rosettes(): Drawing {
  const w = 120
  const h = 96
  const spots: [number, number, number][] = []
  const shapes: Shape[] = []
  for (let i = 0; i < 4000 && spots.length < 60; i++) {
    const r = among(4.2, 7.2, i, 1)
    const x = among(-w / 2 + 11, w / 2 - 11, i, 2)
    const y = among(-h / 2 + 11, h / 2 - 11, i, 3)
    if (spots.every(([u, v, q]) => Math.hypot(x - u, y - v) > r + q + 0.6)) spots.push([x, y, r])
  }
  spots.forEach(([x, y, r], n) => {
    const parts = n % 3 === 0 ? 3 : 2
    const turn = among(0, 360, n, 4)
    for (let k = 0; k < parts; k++) {
      const from = turn + (360 * k) / parts
      const sweep = 360 / parts - among(36, 58, n, k + 5)
      shapes.push(
        band(
          t => polar(x, y, from + sweep * t, r * (0.8 + 0.1 * Math.sin(9 * t + n + k))),
          t => r * (0.26 + 0.26 * Math.sin(Math.PI * t) + 0.08 * Math.sin(14 * t + 3 * n)),
          18,
        ),
      )
    }
  })
  for (let i = 0; i < 900; i++) {
    const r = among(0.7, 1.3, i, 31)
    const x = among(-w / 2 + 6, w / 2 - 6, i, 32)
    const y = among(-h / 2 + 6, h / 2 - 6, i, 33)
    if (spots.every(([u, v, q]) => Math.hypot(x - u, y - v) > r + q * 1.25 + 1)) {
      spots.push([x, y, r])
      shapes.push(smooth([0, 1, 2, 3, 4].map(k => polar(x, y, 72 * k, r * among(0.75, 1.3, i, k + 40)))))
    }
  }
  return {
    id: 'rosettes',
    name: 'Leopard Rosettes',
    kind: 'texture',
    tags: ['cat', 'leopard'],
    zones: ['forehead', 'cheek', 'temple'],
    width: w,
    height: h,
    shapes: spaced(shapes, 1.1),
    heading: 180,
  }
}

/** Stripes that taper and sway from both sides toward the middle. */
function stripes(): Drawing {
  const shapes: Shape[] = []
  for (let i = 0; i < 8; i++) {
    const y = -33 + 9.4 * i
    const long = 46 - (9 * Math.abs(i - 3)) / 3 + among(-5, 4, i, 1)
    for (const s of [-1, 1]) {
      const drop = 8 + 2 * i * 0.5
      const own = long + among(-6, 6, i, s + 3)
      shapes.push(
        band(
          t => [s * (57 - own * t), y + drop * t * (0.5 + 0.5 * t) + 1.4 * Math.sin(6 * t + i + s)] as Point,
          t => 5.6 * (1 - t) ** 0.8 * (0.9 + 0.16 * Math.sin(11 * t + i)) + 0.5,
          26,
        ),
      )
      if (i % 2 === 0 && i < 7)
        shapes.push(
          band(t => [s * (46 - own * 0.42 * t), y + 4.8 + drop * t * 0.7] as Point, swell(2.2, 0.5, 0.3), 14),
        )
    }
  }
  return {
    id: 'stripes',
    name: 'Tiger Stripes',
    kind: 'texture',
    tags: ['cat', 'tiger'],
    zones: ['forehead', 'cheek'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 1.3),
    heading: 180,
  }
}

/** A lace edging: scallops with flowers, eyelets and a picot rim. */
function lace(): Drawing {
  const shapes: Shape[] = []
  for (let n = -3; n <= 3; n++) {
    const x = 19 * n
    const y = 0
    for (let k = 0; k < 8; k++) shapes.push(leaf(...polar(x, y, 45 * k, 1.9), 45 * k, 4.9, 2.6))
    shapes.push(disc(x, y, 1.05))
    for (let k = 0; k < 9; k++) shapes.push(disc(...polar(x, y, 108 + 18 * k, 9.2), 0.75))
    for (let k = 0; k < 6; k++)
      shapes.push(drop(...polar(x, y, 121 + 23.5 * k, 12), 121 + 23.5 * k, 2.6, 0.75))
    if (n < 3) shapes.push(leaf(x + 9.5, -3.6, 180, 6.6, 2.6), disc(x + 9.5, 5.4, 0.9))
  }
  for (let i = -33; i <= 33; i++)
    if (Math.abs(2.05 * i) <= 67)
      shapes.push(i % 2 ? disc(2.05 * i, -9.2, 0.62) : leaf(2.05 * i, -11, 0, 3.4, 1.3))
  return {
    id: 'lace',
    name: 'Tidewrack Lace',
    kind: 'border',
    tags: ['lace', 'border'],
    zones: ['forehead', 'cheek', 'jaw'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 0.9, 0.45),
    heading: 180,
  }
}

/** A cobweb: cells between spokes and sagging threads. */
function web(): Drawing {
  const cx = -34
  const cy = -34
  const spokes = 8
  const shapes: Shape[] = []
  const angle = (k: number) => 90 + (90 * k) / (spokes - 1) + ((k % 3) - 1) * 1.4
  const radii = [7, 15, 25, 37, 51, 66]
  for (let k = 0; k < spokes - 1; k++) {
    for (let j = 0; j < radii.length - 1; j++) {
      const [a, b] = [angle(k), angle(k + 1)]
      const sag = 0.86
      const at = (ang: number, r: number) => polar(cx, cy, ang, r)
      const mid = (r: number) => polar(cx, cy, (a + b) / 2, r * sag)
      const [r0, r1] = [radii[j]!, radii[j + 1]!]
      const curve = (r: number, t: number): Point => {
        const [p, q, m] = [at(a, r), at(b, r), mid(r)]
        const u = 1 - t
        return [
          u * u * p[0] + 2 * u * t * m[0] + t * t * q[0],
          u * u * p[1] + 2 * u * t * m[1] + t * t * q[1],
        ]
      }
      const steps = Array.from({ length: 11 }, (_, i) => i / 10)
      const cell = poly([...steps.map(t => curve(r0, t)), ...steps.map(t => curve(r1, 1 - t))])
      shapes.push(...regions(offset(offset(regionsOf(cell), -0.95), 0.35)))
    }
  }
  return {
    id: 'web',
    name: 'Corner Web',
    kind: 'motif',
    tags: ['spider', 'web'],
    zones: ['temple', 'cheek', 'forehead'],
    width: 0,
    height: 0,
    shapes,
    heading: -45,
  }
}

/** Splashes: blots with runners and specks, from large to small. */
function splashes(): Drawing {
  const shapes: Shape[] = []
  const blot = (x: number, y: number, r: number, n: number) => {
    const points: Point[] = []
    for (let k = 0; k < 26; k++)
      points.push(polar(x, y, (360 * k) / 26, r * (k % 2 ? among(0.7, 0.86, n, k) : among(0.9, 1.75, n, k))))
    shapes.push(smooth(points))
    for (let k = 0; k < 11; k++) {
      const a = among(0, 360, n, k + 60)
      const d = r * among(1.9, 3, n, k + 80)
      shapes.push(
        k % 3
          ? disc(...polar(x, y, a, d), among(0.5, 1.3, n, k + 90))
          : drop(...polar(x, y, a, d), a + 180, r * 0.6, r * 0.13),
      )
    }
  }
  blot(-22, -4, 8.4, 1)
  blot(16, 8, 6, 2)
  blot(30, -16, 4, 3)
  blot(-4, 24, 3.6, 4)
  return {
    id: 'splashes',
    name: 'Splashes',
    kind: 'set',
    tags: ['paint', 'monster'],
    zones: ['cheek', 'temple', 'jaw'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 1.1, 0.6),
    heading: 0,
  }
}

/** A draft that is not fit to cut yet: rings that hold loose pieces, and spokes too near each other. */
function wheelDraft(): Drawing {
  const ring = (r: number, thick: number): Shape => disc(0, 0, r) + disc(0, 0, r - thick)
  const spokes = Array.from({ length: 12 }, (_, i) => leaf(...polar(0, 0, 30 * i, 14.6), 30 * i, 10, 4.6))
  return {
    id: 'wheel-draft',
    name: 'Lantern Wheel, draft',
    kind: 'motif',
    tags: ['lantern', 'draft'],
    zones: ['cheek'],
    width: 0,
    height: 0,
    heading: 0,
    shapes: [
      ring(30, 2.6),
      ring(12, 2),
      disc(0, 0, 3.4),
      ...spokes,
      ...Array.from({ length: 24 }, (_, i) => disc(...polar(0, 0, 15 * i + 7.5, 23.4), 1.1)),
    ],
    rule: 'evenodd',
  }
}

export const patterns = (): Drawing[] => [
  fans(),
  rosettes(),
  stripes(),
  lace(),
  web(),
  splashes(),
  wheelDraft(),
]
