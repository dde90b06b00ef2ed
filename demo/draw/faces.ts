import type { Point } from '../../core/geometry'
import { band, disc, drop, leaf, polar, smooth, swell, type Shape } from './pen'
import type { Drawing } from './sheet'
import { spaced } from './spaced'

const flip = (shape: Point[]): Point[] => shape.map(([x, y]) => [-x, y])
/** Both halves of what is given for the right one. */
const pairOf = (points: Point[]): Shape[] => [smooth(points), smooth(flip(points))]
const line = (points: Point[], width: (t: number) => number, s = 1): Shape =>
  band(
    t => {
      const k = Math.min(points.length - 1.001, t * (points.length - 1))
      const i = Math.floor(k)
      const u = k - i
      const at = (n: number) => points[Math.min(points.length - 1, Math.max(0, n))]!
      const c = (a: number, b: number, d: number, e: number) =>
        0.5 * (2 * b + (d - a) * u + (2 * a - 5 * b + 4 * d - e) * u * u + (3 * b - a - 3 * d + e) * u ** 3)
      return [
        s * c(at(i - 1)[0], at(i)[0], at(i + 1)[0], at(i + 2)[0]),
        c(at(i - 1)[1], at(i)[1], at(i + 1)[1], at(i + 2)[1]),
      ]
    },
    width,
    40,
  )
const both = (points: Point[], width: (t: number) => number): Shape[] => [
  line(points, width),
  line(points, width, -1),
]

function owlFace(): Drawing {
  const shapes: Shape[] = [
    smooth([
      [0, 4],
      [2.6, 6.6],
      [2.2, 11],
      [0, 15.4],
      [-2.2, 11],
      [-2.6, 6.6],
    ]),
    ...[-1, 1].flatMap(s => {
      const x = 12.6 * s
      const rays: Shape[] = [
        disc(x, 0, 3.6),
        band(
          t => polar(x, 0, 25 * s + 335 * s * t, 6.4),
          () => 1.7,
          60,
        ),
      ]
      for (let k = 0; k < 17; k++) {
        const a = s * (12 + 19.6 * k)
        const long = k % 2 ? 6.6 : 8.6
        // Rays that would cross the midline are left out, so that both halves stay alike.
        if (s * polar(x, 0, a, 8.6 + long)[0] > 0.9) rays.push(leaf(...polar(x, 0, a, 8.6), a, long, 2.3))
      }
      return rays
    }),
    ...both(
      [
        [3, -7],
        [9, -14],
        [18, -20],
        [29, -27],
      ],
      t => 3.6 * (1 - t) + 0.9,
    ),
    ...both(
      [
        [6.4, -16],
        [13, -22],
        [21, -28],
      ],
      t => 2.4 * (1 - t) + 0.7,
    ),
    ...[0, 1, 2].flatMap(row =>
      Array.from({ length: 4 - row }, (_, i) =>
        leaf((i - (3 - row) / 2) * 7.4, 19 + row * 6.6, 180, 7.4, 4.2),
      ),
    ),
    disc(0, -5.4, 1.5),
    disc(0, -10.4, 1.15),
    disc(0, -14.6, 0.9),
  ]
  return {
    id: 'owl-face',
    name: 'Owl Face',
    kind: 'motif',
    tags: ['bird', 'owl'],
    zones: ['cheek', 'forehead'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 1.1),
    heading: 0,
  }
}

function hareHead(): Drawing {
  const shapes: Shape[] = [
    ...pairOf([
      [4.4, -11],
      [6.4, -22],
      [11.4, -36],
      [16.6, -42],
      [18.4, -36],
      [16, -24],
      [12, -12.6],
      [8.6, -9.4],
    ]),
    smooth([
      [0, -8.4],
      [7, -7.6],
      [12.4, -2],
      [13.8, 6],
      [10.6, 14.6],
      [4.6, 20.6],
      [0, 22],
      [-4.6, 20.6],
      [-10.6, 14.6],
      [-13.8, 6],
      [-12.4, -2],
      [-7, -7.6],
    ]),
  ]
  // Drawn features are bridges left in the head: eyes, nose and mouth stand as solid lines joined to the
  // sheet.
  return {
    id: 'hare-head',
    name: 'Snow Hare',
    kind: 'motif',
    tags: ['hare', 'winter'],
    zones: ['cheek', 'forehead'],
    width: 0,
    height: 0,
    heading: 0,
    shapes: [
      ...spaced(
        [
          ...shapes,
          ...both(
            [
              [17, 8],
              [24, 6.4],
              [31, 7],
            ],
            swell(1.5, 0.5, 0.3),
          ),
          ...both(
            [
              [16.4, 12],
              [23.4, 12.6],
              [30, 15.4],
            ],
            swell(1.5, 0.5, 0.3),
          ),
          leaf(-6, 26.4, 112, 11, 3, 1.2),
          leaf(6, 26.4, 248, 11, 3, -1.2),
          disc(0, -15.6, 1.5),
          disc(0, -20.6, 1.1),
          disc(0, -24.6, 0.8),
        ],
        1.3,
      ),
    ],
  }
}

function hareMarks(): Drawing {
  const shapes: Shape[] = [
    ...pairOf([
      [7, -16],
      [9.4, -26],
      [13, -35],
      [14.8, -36],
      [14.6, -29],
      [11.6, -18],
      [9, -14.6],
    ]),
    ...pairOf([
      [3.8, -0.6],
      [6.6, -2],
      [9, 0.2],
      [8.6, 3.4],
      [6, 4.2],
      [4, 2.4],
    ]),
    smooth([
      [0, 8.4],
      [2.8, 9.2],
      [2.2, 11.4],
      [0, 13],
      [-2.2, 11.4],
      [-2.8, 9.2],
    ]),
    ...both(
      [
        [0.9, 15],
        [2.8, 17],
        [5.6, 16.2],
      ],
      swell(1.2, 0.5, 0.5),
    ),
  ]
  return {
    id: 'hare-marks',
    name: 'Snow Hare, marks',
    kind: 'motif',
    tags: ['hare', 'winter'],
    zones: ['cheek', 'forehead'],
    width: 76,
    height: 86,
    shapes: spaced(shapes, 1.1),
    heading: 0,
  }
}

function pawSet(): Drawing {
  const paw = (x: number, y: number, k: number, turn: number): Shape[] => {
    const to = (px: number, py: number): Point =>
      polar(x, y, (Math.atan2(px, -py) * 180) / Math.PI + turn, Math.hypot(px, py) * k)
    return [
      smooth(
        (
          [
            [0, -1],
            [4.4, 0.4],
            [7.6, 5],
            [7, 9.4],
            [3.4, 9.6],
            [0, 8.6],
            [-3.4, 9.6],
            [-7, 9.4],
            [-7.6, 5],
            [-4.4, 0.4],
          ] as Point[]
        ).map(p => to(...p)),
      ),
      ...(
        [
          [-9.4, -3.4, 2.3, -24],
          [-3.9, -8.4, 2.6, -8],
          [3.9, -8.4, 2.6, 8],
          [9.4, -3.4, 2.3, 24],
        ] as const
      ).map(([px, py, r, lean]) =>
        smooth(
          Array.from({ length: 10 }, (_, i) => {
            const [ex, ey] = [r * Math.sin((i / 5) * Math.PI), -1.42 * r * Math.cos((i / 5) * Math.PI)]
            const c = Math.cos((lean * Math.PI) / 180)
            const s = Math.sin((lean * Math.PI) / 180)
            return to(px + c * ex - s * ey, py + s * ex + c * ey)
          }),
        ),
      ),
    ]
  }
  return {
    id: 'paw-set',
    name: 'Paw Prints',
    kind: 'set',
    tags: ['cat', 'dog', 'paw'],
    zones: ['cheek', 'temple'],
    width: 0,
    height: 0,
    heading: 0,
    shapes: spaced(
      [...paw(-22, 2, 1.25, -14), ...paw(7, -8, 0.92, 12), ...paw(27, 6, 0.66, -8), ...paw(11, 16, 0.5, 20)],
      1.1,
    ),
  }
}

/** Upper and lower row of teeth, for mouth and jaw. */
function teethRow(): Drawing {
  const shapes: Shape[] = []
  for (let i = -5; i <= 5; i++) {
    const x = 9.4 * i
    const bow = 0.0052 * x * x
    const long = 15.5 - 0.72 * Math.abs(i) + (Math.abs(i) === 3 ? 3.4 : 0)
    shapes.push(
      smooth([
        [x - 3.9, -3 + bow],
        [x, -4 + bow],
        [x + 3.9, -3 + bow],
        [x + 3.1, 3.5 + bow],
        [x + 0.6, long - 4 + bow],
        [x, long - 3.4 + bow],
        [x - 0.6, long - 4 + bow],
        [x - 3.1, 3.5 + bow],
      ]),
    )
    if (i < 5) {
      const u = x + 4.7
      const b = 0.0052 * u * u
      shapes.push(
        smooth([
          [u - 3.1, 25 + b * 0.6],
          [u, 26 + b * 0.6],
          [u + 3.1, 25 + b * 0.6],
          [u + 2.3, 20 + b * 0.6],
          [u + 0.4, 14.8 + b * 0.7],
          [u - 0.4, 14.8 + b * 0.7],
          [u - 2.3, 20 + b * 0.6],
        ]),
      )
    }
  }
  return {
    id: 'teeth-row',
    name: 'Row of Teeth',
    kind: 'border',
    tags: ['monster', 'teeth'],
    zones: ['jaw', 'muzzle'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 1.2),
    heading: 180,
  }
}

/** Half a tiger-like mask, from the midline to the temple; flipped over it makes the other side. */
function halfFace(): Drawing {
  const marks: Shape[] = [
    line(
      [
        [-38, -52],
        [-30, -58],
        [-16, -62],
      ],
      swell(4.6, 0.8, 0.4),
    ),
    line(
      [
        [-38, -42],
        [-26, -48],
        [-10, -54],
        [4, -56],
      ],
      swell(5.2, 0.8, 0.4),
    ),
    line(
      [
        [-38, -31],
        [-24, -36],
        [-6, -42],
        [12, -44],
      ],
      swell(5.4, 0.8, 0.4),
    ),
    smooth([
      [-26, -22],
      [-12, -29],
      [4, -30],
      [18, -24],
      [27, -14],
      [18, -18.6],
      [4, -23],
      [-10, -21.6],
      [-22, -16],
    ]),
    smooth([
      [-29, 4],
      [-24, -3],
      [-15, -9],
      [-6, -10.6],
      [3, -9],
      [10, -4],
      [15.5, 1],
      [9, -1.2],
      [1, -5],
      [-7, -6.2],
      [-15, -4.4],
      [-22, 0.4],
    ]),
    smooth([
      [-31, 9],
      [-26, 12],
      [-16, 15.6],
      [-6, 16],
      [4, 12.6],
      [12, 7],
      [7, 14],
      [-3, 20],
      [-15, 20],
      [-26, 16.6],
    ]),
    line(
      [
        [20, -34],
        [29, -30],
        [36, -22],
      ],
      swell(4, 0.7, 0.5),
    ),
    line(
      [
        [22, 4],
        [31, 2],
        [38, 4],
      ],
      swell(4.2, 0.7, 0.4),
    ),
    line(
      [
        [19, 13],
        [29, 14],
        [37, 19],
      ],
      swell(4.6, 0.7, 0.4),
    ),
    line(
      [
        [13, 22],
        [24, 26],
        [34, 34],
      ],
      swell(5, 0.7, 0.4),
    ),
    line(
      [
        [6, 30],
        [16, 36],
        [26, 47],
      ],
      swell(5, 0.7, 0.4),
    ),
    line(
      [
        [-4, 36],
        [6, 44],
        [14, 57],
      ],
      swell(4.6, 0.7, 0.4),
    ),
    smooth([
      [-38.6, 40],
      [-32, 39],
      [-27.6, 43],
      [-29, 47.4],
      [-34, 49.6],
      [-38.6, 50],
    ]),
    disc(-20, 50, 1.2),
    disc(-14, 47.4, 1.2),
    disc(-19, 55.4, 1.2),
    disc(-12.6, 53, 1.2),
    disc(-14.4, 60, 1),
    drop(-8.6, 57.6, 100, 6, 0.9),
  ]
  return {
    id: 'half-face',
    name: 'Half Tiger',
    kind: 'half face',
    tags: ['cat', 'tiger', 'mask'],
    zones: ['face'],
    width: 96,
    height: 146,
    shapes: spaced(marks, 1.5, 0.6),
    heading: 0,
  }
}

/** A lion-like face in three parts that lie in one place: base patches, dark marks, highlights. */
const PART = {
  kind: 'full face' as const,
  tags: ['cat', 'lion', 'mask'],
  zones: ['face'],
  width: 144,
  height: 176,
  heading: 0,
}

function lionParts(): Drawing[] {
  const base: Shape[] = [
    ...pairOf([
      [3, -52],
      [10, -62],
      [16, -50],
      [13, -36],
      [7, -24],
      [3, -34],
    ]),
    ...pairOf([
      [10, -20],
      [24, -28],
      [42, -26],
      [50, -16],
      [38, -14],
      [24, -13],
      [13, -9],
    ]),
    smooth([
      [0, -18],
      [6.6, -12],
      [7, 4],
      [8.6, 22],
      [11.6, 32],
      [0, 35],
      [-11.6, 32],
      [-8.6, 22],
      [-7, 4],
      [-6.6, -12],
    ]),
    ...pairOf([
      [3, 46],
      [12, 43],
      [24, 46],
      [32, 54],
      [28, 61],
      [14, 63],
      [4, 60],
    ]),
    ...pairOf([
      [22, 22],
      [36, 18],
      [50, 24],
      [54, 36],
      [44, 42],
      [30, 38],
      [20, 31],
    ]),
    ...[0, 1, 2, 3, 4, 5, 6].flatMap(k => {
      const a = 28 + 19 * k
      const [x, y] = polar(0, 0, a, 60 - 2.4 * k)
      return [
        leaf(x * 0.92, y * 1.06, a, 15 - 0.6 * k, 8, 1),
        leaf(-x * 0.92, y * 1.06, -a, 15 - 0.6 * k, 8, -1),
      ]
    }),
  ]
  const marks: Shape[] = [
    ...both(
      [
        [10.4, 1],
        [16, -5],
        [26, -9],
        [38, -7],
        [48, -12],
      ],
      swell(3.4, 0.7, 0.5),
    ),
    ...both(
      [
        [12, 11],
        [22, 15],
        [32, 13.6],
        [41, 7],
      ],
      swell(2.6, 0.7, 0.5),
    ),
    smooth([
      [0, 36],
      [8, 33.6],
      [12, 36],
      [9, 40.6],
      [3, 43.6],
      [0, 44],
      [-3, 43.6],
      [-9, 40.6],
      [-12, 36],
      [-8, 33.6],
    ]),
    ...both(
      [
        [0.9, 46.4],
        [5, 56],
        [15, 61.6],
        [27, 59],
      ],
      swell(2.4, 0.8, 0.4),
    ),
    ...both(
      [
        [7, -32],
        [12, -44],
        [14, -56],
      ],
      swell(3, 0.7, 0.4),
    ),
    ...both(
      [
        [17, -31],
        [24, -42],
        [27, -51],
      ],
      swell(3, 0.7, 0.4),
    ),
    ...both(
      [
        [28, -31],
        [36, -38],
        [41, -45],
      ],
      swell(2.6, 0.7, 0.4),
    ),
    leaf(0, -30, 0, 22, 4.6),
    ...(
      [
        [15, 50],
        [20.4, 47.6],
        [25.6, 50.6],
        [17, 55.4],
        [22.6, 55.6],
      ] as Point[]
    ).flatMap(([x, y]) => [disc(x, y, 1.15), disc(-x, y, 1.15)]),
    ...both(
      [
        [48, 26],
        [57, 30],
        [62, 38],
      ],
      swell(2.8, 0.7, 0.4),
    ),
    ...both(
      [
        [46, 38],
        [53, 44],
        [56, 52],
      ],
      swell(2.8, 0.7, 0.4),
    ),
    smooth([
      [0, 70],
      [6, 68.6],
      [9, 71.4],
      [5, 75],
      [0, 76.4],
      [-5, 75],
      [-9, 71.4],
      [-6, 68.6],
    ]),
  ]
  const lights: Shape[] = [
    ...both(
      [
        [14, -18],
        [26, -23],
        [38, -21],
      ],
      swell(2.2, 0.6, 0.4),
    ),
    ...both(
      [
        [30, 24],
        [40, 23],
        [47, 28],
      ],
      swell(2.2, 0.6, 0.4),
    ),
    leaf(0, 2, 0, 14, 2.6),
    ...both(
      [
        [6, 53],
        [11, 50],
        [13, 47],
      ],
      swell(1.8, 0.6, 0.4),
    ),
    drop(0, 31, 0, 7, 1.3),
    ...[0, 1, 2, 3, 4].flatMap(k => {
      const a = 34 + 20 * k
      const [x, y] = polar(0, 0, a, 67)
      return [leaf(x * 0.92, y * 1.06, a, 7.6, 2.2), leaf(-x * 0.92, y * 1.06, -a, 7.6, 2.2)]
    }),
    ...(
      [
        [4.6, -60],
        [-4.6, -60],
        [0, -64],
      ] as Point[]
    ).map(([x, y]) => disc(x, y, 1.1)),
  ]
  const dots: Shape[] = [disc(-64, -78, 1.2), disc(64, -78, 1.2), disc(0, 82, 1.2)]
  return [
    ['base', base],
    ['marks', marks],
    ['lights', lights],
  ].map(([part, shapes], i) => ({
    id: `lion-${part as string}`,
    name: `Sand Lion ${i + 1} of 3, ${part as string}`,
    ...PART,
    shapes: [...spaced(shapes as Shape[], 1.4, 0.6), ...dots],
  }))
}

export const faces = (): Drawing[] => [
  owlFace(),
  hareHead(),
  hareMarks(),
  pawSet(),
  teethRow(),
  halfFace(),
  ...lionParts(),
]
