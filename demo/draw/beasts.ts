import { difference, type Point } from '../../core/geometry'
import { band, disc, leaf, regions, smooth, star, swell, type Shape, scaled } from './pen'
import { smallHeads } from './craft'
import type { Drawing } from './sheet'
import { holding, regionsOf, spaced } from './spaced'

/** A horse with a horn, from the side: head, mane in locks, horn in turns. */
function horned(): Drawing {
  const eye = leaf(-6.6, -6.4, 96, 4.6, 2.4, 0.5)
  const nostril = disc(-19.4, 8.6, 0.85)
  const mouth = band(t => [-20.5 + 6.4 * t, 13.2 - 0.8 * t] as Point, swell(0.9, 0.5), 12)
  const outline = smooth([
    [-3, -17],
    [1, -22.6],
    [3.2, -15.6],
    [9, -8],
    [12.4, 4],
    [13, 18],
    [15, 29],
    [2, 31],
    [-0.6, 22],
    [-4.4, 15],
    [-11, 14],
    [-17, 17],
    [-22, 14],
    [-22.6, 8],
    [-16, -1],
    [-11, -10],
    [-8, -15.4],
  ])
  const shapes = holding(
    outline,
    [eye, nostril],
    [
      [
        [-4.6, -6.4],
        [-16, -14],
      ],
      [
        [-19.4, 8.6],
        [-28, 6],
      ],
    ],
  )
  shapes.unshift(mouth)
  for (let i = 0; i < 7; i++) {
    const [x, y] = [5 + 1.9 * i, -15 + 7 * i]
    shapes.push(
      band(t => [x + 12 * t - 3.5 * t * t, y - 4 * t + 9.5 * t * t] as Point, swell(3.7, 0.6, 0.35), 24),
    )
  }
  for (const [x, long] of [
    [-4.6, 7],
    [-1.4, 5],
  ] as const)
    shapes.push(band(t => [x - 5 * t, -17.6 + long * t * t] as Point, swell(1.9, 0.5, 0.3), 16))
  // The horn, in turns that taper.
  for (let i = 0; i < 5; i++) {
    const k = 1 - 0.17 * i
    const [x, y] = [-8.6 - 2.6 * i, -19.6 - 4.3 * i]
    shapes.push(
      smooth([
        [x - 2.3 * k, y + 0.6],
        [x + 0.4, y + 1.5 * k],
        [x + 2.3 * k, y - 1.2],
        [x + 1.4 * k, y - 3.1 * k - 0.2],
        [x - 0.8, y - 2.2 * k],
        [x - 2.4 * k, y - 1.7 * k],
      ]),
    )
  }
  shapes.push(
    star(-28, -34, 3.6, 1.224, 4),
    star(-26, -20, 2.6, 0.884, 4),
    star(16, -26, 2.8, 0.952, 4),
    disc(-31, -27, 0.9),
  )
  return {
    id: 'horned-horse',
    name: 'Tale Horse',
    kind: 'motif',
    tags: ['animal', 'horse', 'tale'],
    zones: ['cheek', 'arm'],
    width: 0,
    height: 0,
    shapes: spaced(
      shapes.map(d => scaled(d, 0.8)),
      1.25,
    ),
    heading: 0,
  }
}

/** A long-necked lizard of old, from the side, with plates along its back. */
function lizard(): Drawing {
  const eye = disc(-33.4, -11.8, 0.95)
  const bands = [-12, -3, 6, 15].map(x =>
    band(
      t => [x + 1.6 * t, -13 + 17 * t] as Point,
      t => 2 - 0.8 * t,
      16,
    ),
  )
  const body = smooth([
    [-40, -9.4],
    [-37.6, -14],
    [-32, -15.4],
    [-28, -12],
    [-24, -5],
    [-16, -5.6],
    [-4, -10],
    [8, -8.8],
    [18, -2.6],
    [28, 3],
    [38, 2],
    [45, -4.4],
    [41.6, 4.8],
    [31, 10.4],
    [20, 11.6],
    [19, 22],
    [12.6, 22],
    [11.6, 14.4],
    [-2, 14.8],
    [-3.4, 22.4],
    [-10, 22.4],
    [-11, 13],
    [-19, 8],
    [-26, 3],
    [-31, -5.4],
    [-37, -6.4],
  ])
  const slit = regions(difference(regionsOf(body), bands.flatMap(regionsOf)))
  const shapes = [
    eye,
    ...slit.flatMap(piece =>
      holding(
        piece,
        [eye],
        [
          [
            [-33.4, -11.8],
            [-36, -20],
          ],
        ],
      ).slice(1),
    ),
  ]
  const plates: readonly (readonly [number, number, number, number])[] = [
    [-21, -8.8, -14, 6.4],
    [-13, -11, -8, 8.6],
    [-4, -13.4, -2, 10],
    [5, -12.8, 8, 9.6],
    [13.6, -9, 18, 8.2],
    [21.4, -4, 24, 6.4],
    [28.6, -0.6, 22, 5],
  ]
  for (const [x, y, angle, long] of plates) shapes.push(leaf(x, y, angle, long, long * 0.62, 0, 0.36))
  shapes.push(band(t => [-39 + 4.6 * t, -8.2 + 0.5 * t] as Point, swell(0.8, 0.5), 10))
  return {
    id: 'old-lizard',
    name: 'Fen Lizard',
    kind: 'motif',
    tags: ['animal', 'lizard'],
    zones: ['cheek', 'forehead', 'arm'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 1.05),
    heading: 0,
  }
}

/** Stripes of a tiger for forehead and both cheeks, cut in pairs. */
function reedTiger(): Drawing {
  const stripe = (points: readonly Point[], wide: number, peak = 0.3): Shape =>
    band(
      t => {
        // A curve from the first point to the last that passes through the second halfway.
        const [a, m, b] = points as [Point, Point, Point]
        const along = (k: 0 | 1) =>
          (1 - t) ** 2 * a[k] + 2 * t * (1 - t) * (2 * m[k] - (a[k] + b[k]) / 2) + t * t * b[k]
        return [along(0), along(1)]
      },
      swell(wide, 0.6, peak),
      28,
    )
  const both: Shape[] = [
    stripe(
      [
        [4, -52],
        [9, -45],
        [8, -38],
      ],
      4.2,
    ),
    stripe(
      [
        [12, -54],
        [20, -47],
        [21, -38],
      ],
      4.6,
    ),
    stripe(
      [
        [23, -53],
        [32, -46],
        [34, -36],
      ],
      4.4,
    ),
    stripe(
      [
        [35, -49],
        [43, -41],
        [45, -31],
      ],
      3.8,
    ),
    stripe(
      [
        [3, -38],
        [5, -31],
        [3.4, -24],
      ],
      3,
    ),
    stripe(
      [
        [13, -33],
        [18, -29],
        [20, -23],
      ],
      2.8,
    ),
    stripe(
      [
        [58, 4],
        [48, 8],
        [39, 8.6],
      ],
      4,
    ),
    stripe(
      [
        [60, 13],
        [49, 18],
        [37, 18],
      ],
      4.6,
    ),
    stripe(
      [
        [58, 24],
        [48, 29],
        [36, 28],
      ],
      4.4,
    ),
    stripe(
      [
        [53, 36],
        [44, 40],
        [34, 38],
      ],
      4,
    ),
    stripe(
      [
        [46, 47],
        [39, 49],
        [31, 46],
      ],
      3.4,
    ),
    stripe(
      [
        [53, -6],
        [46, -3],
        [41, -3],
      ],
      2.8,
    ),
  ]
  return {
    id: 'reed-tiger',
    name: 'Reed Tiger',
    kind: 'set',
    tags: ['animal', 'tiger'],
    zones: ['face'],
    width: 0,
    height: 0,
    shapes: [],
    both: spaced(both, 1.1),
    heading: 0,
  }
}

export const beasts = (): Drawing[] => [smallHeads(), horned(), lizard(), reedTiger()]
