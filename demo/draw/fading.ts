import type { Point } from '../../core/geometry'
import { among, band, disc, leaf, polar, poly, smooth, star, swell, type Shape } from './pen'
import type { Drawing } from './sheet'
import { spaced } from './spaced'

/** 1 in the middle of a sheet, running out to 0 toward its edge. */
const fading = (x: number, y: number, w: number, h: number): number => {
  const q = Math.hypot(x / (w / 2), y / (h / 2))
  return Math.max(0, Math.min(1, 1.7 * (1 - q)))
}

/** Scales that grow downward and run out to specks at the edges. */
function spindrift(): Drawing {
  const [w, h] = [124, 92]
  const shapes: Shape[] = []
  let y = -38
  for (let row = 0; y < 36; row++) {
    const pitch = 5.2 + 0.13 * (y + 38)
    for (let col = -12; col <= 12; col++) {
      const x = (col + (row % 2 ? 0.5 : 0)) * pitch
      const k = fading(x, y, w - 12, h - 10)
      const r = (pitch / 2 - 0.6) * (0.35 + 0.65 * k)
      if (k < 0.06 || Math.abs(x) + r > w / 2 - 4.5) continue
      shapes.push(
        k < 0.3
          ? disc(x, y, Math.max(0.45, r * 0.5))
          : smooth([
              [x - r, y - 0.15 * r],
              [x - 0.72 * r, y + 0.62 * r],
              [x, y + 0.98 * r],
              [x + 0.72 * r, y + 0.62 * r],
              [x + r, y - 0.15 * r],
              [x + 0.5 * r, y - 0.42 * r],
              [x, y - 0.1 * r],
              [x - 0.5 * r, y - 0.42 * r],
            ]),
      )
    }
    y += 0.62 * pitch
  }
  return {
    id: 'spindrift',
    name: 'Spindrift Scales',
    kind: 'texture',
    tags: ['fish', 'sea', 'fading'],
    zones: ['forehead', 'cheek', 'temple'],
    width: w,
    height: h,
    shapes: spaced(shapes, 1),
    heading: 180,
  }
}

/** Serpent scales: long lozenges in rows that bow, largest along the back. */
function serpent(): Drawing {
  const [w, h] = [118, 84]
  const shapes: Shape[] = []
  for (let row = -7; row <= 7; row++) {
    for (let col = -8; col <= 8; col++) {
      const x = (col + (row % 2 ? 0.5 : 0)) * 6.6
      const y = row * 5.2 + 0.004 * x * x
      const k = fading(x, y, w - 8, h - 6)
      if (k < 0.08) continue
      const rx = 2.55 * (0.4 + 0.6 * k)
      const ry = 4.15 * (0.4 + 0.6 * k)
      shapes.push(
        smooth([
          [x, y - ry],
          [x + 0.62 * rx, y - 0.45 * ry],
          [x + rx, y + 0.1 * ry],
          [x + 0.55 * rx, y + 0.62 * ry],
          [x, y + ry],
          [x - 0.55 * rx, y + 0.62 * ry],
          [x - rx, y + 0.1 * ry],
          [x - 0.62 * rx, y - 0.45 * ry],
        ]),
      )
    }
  }
  return {
    id: 'serpent',
    name: 'Eelskin',
    kind: 'texture',
    tags: ['serpent', 'sea', 'fading'],
    zones: ['forehead', 'cheek', 'temple', 'arm'],
    width: w,
    height: h,
    shapes: spaced(shapes, 1.1),
    heading: 180,
  }
}

/** Lace that hangs from a line of arches and tapers to its point. */
function lanternLace(): Drawing {
  const shapes: Shape[] = []
  for (let row = 0; row < 6; row++) {
    const n = 7 - row
    const pitch = 13
    const y = -30 + row * 11
    for (let i = 0; i < n; i++) {
      const x = (i - (n - 1) / 2) * pitch
      const k = 1 - 0.07 * row
      shapes.push(disc(x, y + 3.4 * k, 1.5 * k))
      for (const turn of [-58, -29, 0, 29, 58])
        shapes.push(leaf(...polar(x, y + 3.4 * k, 180 + turn, 2.7 * k), 180 + turn, 5.2 * k, 1.9 * k))
      if (row === 0)
        shapes.push(band(t => polar(x, y + 2.2, -76 + 152 * t, 5.8) as Point, swell(1.5, 0.7), 24))
      shapes.push(disc(x - pitch / 2, y + 1.2, 0.85 * k))
      if (i === n - 1) shapes.push(disc(x + pitch / 2, y + 1.2, 0.85 * k))
    }
  }
  shapes.push(leaf(0, 36.5, 180, 9, 3))
  return {
    id: 'lantern-lace',
    name: 'Lantern Lace',
    kind: 'texture',
    tags: ['lace', 'fading'],
    zones: ['forehead', 'cheek', 'arm'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 0.95),
    heading: 180,
  }
}

/** Leopard spots: broken rings that shrink to specks toward the edge. */
function leopard(): Drawing {
  const [w, h] = [122, 88]
  const shapes: Shape[] = []
  for (let row = -4; row <= 4; row++) {
    for (let col = -5; col <= 5; col++) {
      const x = (col + (row % 2 ? 0.5 : 0)) * 11.6 + among(-1.4, 1.4, col, row, 301)
      const y = row * 9.6 + among(-1.2, 1.2, col, row, 302)
      const k = fading(x, y, w - 4, h - 4)
      if (k < 0.08) continue
      const r = 4.1 * (0.3 + 0.7 * k) * among(0.85, 1.1, col, row, 303)
      if (k < 0.3) {
        shapes.push(disc(x, y, Math.max(0.6, r * 0.55)))
        continue
      }
      const begin = among(0, 360, col, row, 304)
      const parts = among(0, 1, col, row, 305) < 0.5 ? 3 : 2
      for (let i = 0; i < parts; i++) {
        const from = begin + (360 / parts) * i + 16
        const long = 360 / parts - among(40, 62, col + i, row, 306)
        shapes.push(
          band(
            t => polar(x, y, from + long * t, r * (0.86 + 0.1 * Math.sin(3 * t))) as Point,
            swell(2.1 * (0.5 + 0.5 * k), 0.9),
            18,
          ),
        )
      }
    }
  }
  return {
    id: 'leopard',
    name: 'Quayside Leopard',
    kind: 'texture',
    tags: ['animal', 'leopard', 'fading'],
    zones: ['forehead', 'cheek', 'temple'],
    width: w,
    height: h,
    shapes: spaced(shapes, 1),
    heading: 0,
  }
}

/** A flake with six arms, each with its twigs. */
function flake(x: number, y: number, r: number, turn: number): Shape[] {
  return Array.from({ length: 6 }, (_, i) => turn + 60 * i).flatMap(a => {
    const [ax, ay] = polar(x, y, a, r * 0.2)
    const arm = leaf(ax, ay, a, r * 0.8, Math.max(1, r * 0.17))
    if (r < 4) return [arm]
    const twig = (s: number) =>
      leaf(
        ...polar(...polar(x, y, a, r * 0.56), a + s * 55, r * 0.17),
        a + s * 50,
        r * 0.34,
        Math.max(0.9, r * 0.12),
      )
    return [arm, twig(1), twig(-1)]
  })
}

/** Flakes large and small, drifting. */
function snow(): Drawing {
  const shapes: Shape[] = []
  const large: readonly (readonly [number, number, number, number])[] = [
    [-30, -12, 11, 8],
    [2, 8, 13, 20],
    [33, -9, 9.5, 0],
    [-14, 24, 7, 12],
    [27, 23, 7.5, 26],
    [4, -23, 7, 4],
    [-46, 14, 6.5, 15],
    [49, 12, 5.6, 22],
  ]
  for (const [x, y, r, turn] of large)
    shapes.push(...flake(x, y, r, turn), disc(x, y, Math.max(0.6, r * 0.1)))
  for (let i = 0; i < 60; i++) {
    const [x, y] = [among(-56, 56, i, 0, 311), among(-34, 34, i, 0, 312)]
    if (large.some(([a, b, r]) => Math.hypot(x - a, y - b) < r + 2.5)) continue
    const r = among(0.5, 1.3, i, 0, 313)
    shapes.push(i % 4 ? disc(x, y, r) : star(x, y, r + 1, 0.7, 4, 45))
  }
  return {
    id: 'snow',
    name: 'Drift of Snow',
    kind: 'texture',
    tags: ['winter', 'snow', 'fading'],
    zones: ['forehead', 'cheek', 'temple'],
    width: 122,
    height: 78,
    shapes: spaced(shapes, 0.95),
    heading: 0,
  }
}

/** Traces that run straight and at half right angles, from pad to pad. */
function circuit(): Drawing {
  const shapes: Shape[] = []
  const trace = (points: readonly Point[]) => {
    const pad = (at: Point, r: number) => shapes.push(disc(...at, r))
    pad(points[0]!, 1.7)
    pad(points.at(-1)!, 1.3)
    const long = points.slice(1).map((b, i) => Math.hypot(b[0] - points[i]![0], b[1] - points[i]![1]))
    points.slice(1).forEach((b, i) => {
      const a = points[i]!
      const [dx, dy] = [(b[0] - a[0]) / long[i]!, (b[1] - a[1]) / long[i]!]
      // Each piece ends before the bend: a bridge holds the sheet there.
      const from = i === 0 ? 2.8 : 0.7
      const to = i === long.length - 1 ? long[i]! - 2.4 : long[i]! - 0.7
      const at = (t: number, s: number): Point => [a[0] + dx * t - dy * s, a[1] + dy * t + dx * s]
      if (to - from > 2.6) shapes.push(poly([at(from, -0.6), at(to, -0.6), at(to, 0.6), at(from, 0.6)]))
    })
  }
  for (const s of [-1, 1]) {
    trace([
      [s * 5, -20],
      [s * 16, -20],
      [s * 24, -12],
      [s * 44, -12],
    ])
    trace([
      [s * 5, -13],
      [s * 12, -13],
      [s * 22, -3],
      [s * 50, -3],
    ])
    trace([
      [s * 5, -6],
      [s * 10, -6],
      [s * 22, 6],
      [s * 38, 6],
    ])
    trace([
      [s * 5, 1],
      [s * 8, 1],
      [s * 22, 15],
      [s * 46, 15],
    ])
    trace([
      [s * 5, 9],
      [s * 17, 21],
      [s * 33, 21],
    ])
    trace([
      [s * 34, -20],
      [s * 40, -20],
      [s * 46, -26],
    ])
    trace([
      [s * 22, -27],
      [s * 30, -27],
      [s * 34, -31],
    ])
    shapes.push(disc(s * 52, 8, 0.9), disc(s * 29, 0.8, 0.8), disc(s * 40, -19, 0.9))
  }
  return {
    id: 'circuit',
    name: 'Harbour Works',
    kind: 'texture',
    tags: ['robot', 'lines'],
    zones: ['forehead', 'temple', 'cheek'],
    width: 122,
    height: 76,
    shapes: spaced(shapes, 0.95),
    heading: 0,
  }
}

/** A swirl of stars: two arms of dots that shrink outward, with stars among them. */
function galaxy(): Drawing {
  const shapes: Shape[] = [star(0, 0, 5.2, 2.2, 8)]
  for (let i = 0; i < 74; i++) {
    const t = i / 74
    for (const arm of [0, 180]) {
      const a = arm + 430 * t ** 0.72 + among(-9, 9, i, arm, 321)
      const r = 8 + 40 * t + among(-1.8, 1.8, i, arm, 322) * (0.6 + 2 * t)
      const size = Math.max(0.62, 1.9 * (1 - t) * among(0.5, 1.15, i, arm, 323))
      const [x, y] = polar(0, 0, a, r)
      shapes.push(
        i % 9 === 4
          ? star(x, y * 0.8, size + 1.6, 0.95, 4, among(0, 45, i, arm, 324))
          : disc(x, y * 0.8, size),
      )
    }
  }
  return {
    id: 'galaxy',
    name: 'Night Whorl',
    kind: 'texture',
    tags: ['night', 'stars', 'fading'],
    zones: ['forehead', 'cheek', 'temple'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 1.2),
    heading: 0,
  }
}

export const fadingSheets = (): Drawing[] => [
  spindrift(),
  serpent(),
  lanternLace(),
  leopard(),
  snow(),
  circuit(),
  galaxy(),
]
