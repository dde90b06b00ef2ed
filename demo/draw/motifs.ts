import type { Point } from '../../core/geometry'
import { band, disc, drop, flipped, leaf, polar, smooth, star, swell, type Shape } from './pen'
import type { Drawing } from './sheet'
import { spaced } from './spaced'

/** Wings, body and feelers of a moth: every region parted from the next by a bridge. */
function moth(): Drawing {
  const both: Shape[] = [
    smooth([
      [3.4, -9],
      [12, -21],
      [26, -29],
      [37, -30],
      [38.5, -26],
      [35, -14],
      [29, -5],
      [17, -3.4],
      [6, -4.6],
    ]),
    smooth([
      [4, -1.6],
      [15, -0.6],
      [25, 0.5],
      [28.5, 6],
      [27, 15],
      [21, 22],
      [16.5, 19.5],
      [11, 11],
      [5, 4],
    ]),
    leaf(4.6, 8.4, 150, 15, 4.4, 1.2),
    band(t => [1.4 + 11 * t + 2 * t * t, -15.5 - 15 * t + 5 * t * t * t] as Point, swell(1.5, 0.5, 0.3)),
    disc(15.6, -26.6, 1.1),
  ]
  const shapes = [
    smooth([
      [0, -13.6],
      [2, -11.4],
      [1.9, -8],
      [2, -5],
      [1.7, 0],
      [1.5, 8],
      [1, 15],
      [0, 20],
      [-1, 15],
      [-1.5, 8],
      [-1.7, 0],
      [-2, -5],
      [-1.9, -8],
      [-2, -11.4],
    ]),
  ]
  return {
    id: 'moth',
    name: 'Night Moth',
    kind: 'crest',
    tags: ['moth', 'wings'],
    zones: ['forehead', 'nose'],
    width: 92,
    height: 70,
    shapes: spaced([...shapes, ...both, ...both.map(flipped)], 1),
    heading: 0,
  }
}

/** Eye marks for the moth's wings, to be laid in the same place in another colour. */
function mothEyes(): Drawing {
  const both: Shape[] = [
    disc(24.5, -16.5, 3.6),
    drop(32.4, -23.6, 58, 5.2, 1.25),
    drop(29.6, -10.6, 110, 4.4, 1.05),
    disc(17.4, 8.2, 2.5),
    drop(21.4, 13.4, 140, 5, 1.1),
    drop(12, -10.2, 250, 5, 1.1),
  ]
  return {
    id: 'moth-eyes',
    name: 'Night Moth, eye marks',
    kind: 'crest',
    tags: ['moth', 'wings'],
    zones: ['forehead'],
    width: 92,
    height: 70,
    shapes: [disc(0, -9, 0.9), disc(0, 1, 0.75), disc(0, 9, 0.6)],
    both,
    heading: 0,
  }
}

function heartCrest(): Drawing {
  const both: Shape[] = [
    leaf(9.5, 4, 62, 17, 6.4, -2.6),
    leaf(10.5, 10, 96, 19, 5.4, 2.4),
    leaf(6.5, 14.5, 128, 12, 4, 1.4),
    band(
      t => polar(30 + 3.5 * Math.cos(5.2 * t), 1.5 + 3 * Math.sin(3 * t), 300 + 330 * t, 7.4 * (1 - t) + 2.2),
      swell(1.9, 0.5, 0.3),
      60,
    ),
    disc(33, 12.5, 1.5),
    disc(37.2, 10.4, 1.1),
    disc(40.4, 7.2, 0.8),
    drop(7.4, -10.5, 40, 9, 1.5, 1.4),
    drop(13.8, -7.6, 58, 8, 1.25, 1.2),
  ]
  return {
    id: 'heart-crest',
    name: 'Heart Crest',
    kind: 'crest',
    tags: ['heart', 'princess'],
    zones: ['forehead'],
    width: 100,
    height: 60,
    heading: 0,
    shapes: spaced(
      [
        smooth([
          [0, -5.6],
          [2.4, -8.9],
          [6, -9.6],
          [8, -6.6],
          [7.4, -2.2],
          [4, 3.6],
          [0.4, 9.6],
          [0, 10],
          [-0.4, 9.6],
          [-4, 3.6],
          [-7.4, -2.2],
          [-8, -6.6],
          [-6, -9.6],
          [-2.4, -8.9],
        ]),
        drop(0, 15.4, 180, 8, 1.7),
        disc(0, -14.2, 1.9),
        disc(0, -19.4, 1.3),
        disc(0, -23.4, 0.9),
        ...both,
        ...both.map(flipped),
      ],
      1,
    ),
  }
}

function crownCrest(): Drawing {
  const both: Shape[] = [
    leaf(9.4, 8, 14, 27, 8.4, 1.4),
    leaf(19, 9.4, 26, 21, 6.8, 1.4),
    leaf(27.8, 12.4, 38, 16, 5.4, 1.2),
    leaf(35.4, 17, 52, 12, 4.2, 1),
    disc(16, -19.4, 1.5),
    disc(29, -12.2, 1.25),
    disc(38.4, -2.4, 1.05),
    disc(45.2, 7, 0.85),
    band(
      t => [4 + 38 * t, 13.5 + 9.5 * t * t] as Point,
      t => 2.5 - 1.4 * t,
    ),
    ...[0, 1, 2, 3, 4].map(i => disc(5 + 8.4 * i, 18.2 + 0.36 * i * i * 1.3, 1.35 - 0.12 * i)),
  ]
  return {
    id: 'crown-crest',
    name: 'Tide Crown',
    kind: 'crest',
    tags: ['crown', 'princess', 'sea'],
    zones: ['forehead'],
    width: 108,
    height: 70,
    heading: 0,
    shapes: spaced(
      [
        leaf(0, 8, 0, 33, 10),
        disc(0, -28.4, 1.9),
        drop(0, 20, 180, 9, 1.9),
        star(0, 13.6, 2.5, 1.2, 4),
        ...both,
        ...both.map(flipped),
      ],
      1,
    ),
  }
}

function starSet(): Drawing {
  return {
    id: 'star-set',
    name: 'Star Set',
    kind: 'set',
    tags: ['star', 'night'],
    zones: ['cheek', 'temple', 'forehead'],
    width: 0,
    height: 0,
    heading: 0,
    shapes: [
      star(-22, -8, 13, 5.4, 5, 0),
      star(6, -14, 9, 3.7, 5, 12),
      star(25, -17, 6, 2.5, 5, -10),
      star(-3, 8, 6.4, 2.6, 5, 24),
      star(14, 6, 4.6, 1.9, 5, -14),
      star(28, 2, 3.4, 1.45, 5, 8),
      star(-26, 17, 4.4, 1.8, 5, -16),
      star(-12, 20, 3.2, 1.35, 5, 10),
      star(4, 22, 7.4, 1.6, 4, 0),
      star(20, 18, 5.6, 1.25, 4, 0),
      star(31, 15, 3.6, 0.95, 4, 0),
      disc(31, -6, 1.1),
      disc(12.5, 16, 0.9),
      disc(-6, -22, 1.2),
      disc(-33, 6, 1),
    ],
  }
}

/** A quill cut in barbs on both sides of a solid shaft. */
function feather(): Drawing {
  const spine = (t: number): Point => [-44 + 88 * t, 12 - 18 * t - 9 * Math.sin(Math.PI * t)]
  const shapes: Shape[] = []
  for (let i = 0; i < 12; i++) {
    const t = 0.2 + (0.76 * i) / 11
    const [x, y] = spine(t)
    const [u, v] = spine(t + 0.01)
    const along = (Math.atan2(u - x, -(v - y)) * 180) / Math.PI
    const length = 16.5 * Math.sin(Math.PI * (0.1 + 0.86 * (i / 11) ** 1.15)) ** 0.7 + 2.4
    for (const s of [-1, 1]) {
      const [fx, fy] = polar(x, y, along + 90 * s, 1)
      shapes.push(
        leaf(fx, fy, along + s * (46 - (14 * i) / 11), length * (s > 0 ? 0.84 : 1), 2.9, -s * 2.2, 0.5),
      )
    }
  }
  const [tx, ty] = spine(1)
  shapes.push(
    leaf(tx, ty, 66, 7, 2.6),
    band(
      t => spine(0.01 + 0.14 * t),
      t => 0.9 + 1.3 * t,
    ),
  )
  return {
    id: 'feather',
    name: 'Owl Feather',
    kind: 'motif',
    tags: ['bird', 'feather'],
    zones: ['cheek', 'temple'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 0.8),
    heading: 70,
  }
}

function leafSpray(): Drawing {
  const stem = (t: number): Point => [-36 + 72 * t, 14 - 26 * t * t]
  const shapes: Shape[] = []
  for (let i = 0; i < 8; i++) {
    const t = 0.08 + (0.84 * i) / 7
    const [x, y] = stem(t)
    const size = 17 - 8.5 * t
    for (const s of [-1, 1]) {
      const along = 90 - 36 * t
      const [fx, fy] = polar(x, y, along + 90 * s, 1.7)
      shapes.push(leaf(fx, fy, along + s * 52, size * (s < 0 ? 1 : 0.86), size * 0.4, -s * 1.6, 0.46))
    }
  }
  const [tx, ty] = stem(1)
  shapes.push(
    leaf(tx + 1.4, ty - 1, 50, 9, 4),
    ...[
      [0, 0],
      [4.2, -3],
      [1.4, -5.6],
    ].map(([dx, dy], i) => disc(-32 + dx!, 1 + dy! - 4, 1.7 - 0.25 * i)),
  )
  return {
    id: 'leaf-spray',
    name: 'Fern Spray',
    kind: 'motif',
    tags: ['leaf', 'forest'],
    zones: ['cheek', 'temple', 'forehead'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 1.1),
    heading: 70,
  }
}

function swirl(id: string, name: string, size: number): Drawing {
  const k = size / 40
  const arm =
    (turns: number, r0: number, r1: number, a0: number, cx: number, cy: number) =>
    (t: number): Point =>
      polar(cx * k, cy * k, a0 + 360 * turns * t, (r0 + (r1 - r0) * t ** 1.15) * k)
  return {
    id,
    name,
    kind: 'motif',
    tags: ['swirl'],
    zones: ['temple', 'cheek', 'eye'],
    width: 0,
    height: 0,
    heading: 90,
    shapes: [
      band(arm(1.45, 1.8, 17, 200, -6, 2), swell(3.2 * k, Math.max(0.55, 0.5 * k), 0.55), 90),
      band(arm(-0.95, 1.2, 9, 20, 17.5, -7.5), swell(2.2 * k, Math.max(0.55, 0.45 * k), 0.5), 60),
      drop(12 * k, 12.5 * k, 78, 13 * k, 1.9 * k, -3 * k),
      drop(17.5 * k, 5.4 * k, 60, 8 * k, 1.3 * k, -1.6 * k),
      disc(-6 * k, 2 * k, 0),
      disc(7.5 * k, 17.5 * k, 1.3 * k),
      disc(3 * k, 20 * k, 1 * k),
      disc(-26 * k, 14 * k, 1.4 * k),
      disc(-24 * k, 18 * k, 1 * k),
    ].filter(d => !d.includes('a0 0')),
  }
}

function waves(): Drawing {
  const shapes: Shape[] = []
  for (let i = 0; i < 6; i++) {
    const x = -58 + 22.4 * i
    // A curling crest, the trough beneath it and two flecks of spray.
    shapes.push(
      smooth(
        [
          [x - 7, 6.4],
          [x - 3.4, 4.6],
          [x, 0.6],
          [x + 2.4, -5.4],
          [x + 7, -10],
          [x + 12.6, -10.2],
          [x + 15.4, -6.6],
          [x + 14.4, -3.2],
          [x + 11.8, -2.6],
          [x + 11.4, -5],
          [x + 9.2, -5.6],
          [x + 7.6, -3],
          [x + 8.6, 1.4],
          [x + 12.4, 4.8],
          [x + 8, 7],
          [x, 7.6],
        ].map(([a, b]) => [a! * 0.98, b!] as Point),
      ),
      smooth(
        [
          [x - 6, 11],
          [x + 1, 10.4],
          [x + 8, 10],
          [x + 13, 8.8],
          [x + 10, 12],
          [x + 3, 13],
          [x - 3, 12.8],
        ].map(([a, b]) => [a! * 0.98, b!] as Point),
      ),
      disc(x * 0.98 + 1.4, -11.4, 1.05),
      disc(x * 0.98 - 2.2, -8.2, 0.75),
    )
  }
  return {
    id: 'waves',
    name: 'Breakwater Border',
    kind: 'border',
    tags: ['sea', 'border'],
    zones: ['jaw', 'forehead', 'cheek'],
    width: 0,
    height: 0,
    shapes,
    heading: 90,
  }
}

export const motifs = (): Drawing[] => [
  moth(),
  mothEyes(),
  heartCrest(),
  crownCrest(),
  starSet(),
  feather(),
  leafSpray(),
  swirl('swirl-small', 'Lantern Swirl, small', 28),
  swirl('swirl-medium', 'Lantern Swirl, medium', 40),
  swirl('swirl-large', 'Lantern Swirl, large', 56),
  waves(),
]
