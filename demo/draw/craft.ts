import { difference, type Point } from '../../core/geometry'
import { among, band, disc, drop, leaf, polar, regions, smooth, star, swell, type Shape, scaled } from './pen'
import type { Drawing } from './sheet'
import { holding, regionsOf, spaced } from './spaced'

/** Tongues of flame from a bowed foot, each with a lighter heart that stands apart. */
function flames(): Drawing {
  const shapes: Shape[] = []
  const tongue = (x: number, y: number, tall: number, wide: number, lean: number) => {
    const at = (u: number, v: number): Point => [x + wide * u + lean * v * v, y - tall * v]
    const heart = smooth([
      at(0, 0.1),
      at(0.2, 0.2),
      at(0.15, 0.38),
      at(0.02, 0.56),
      at(-0.1, 0.36),
      at(-0.16, 0.2),
    ])
    const whole = smooth([
      at(-0.02, -0.04),
      at(0.4, 0.06),
      at(0.5, 0.26),
      at(0.3, 0.46),
      at(0.24, 0.62),
      at(0.32, 0.78),
      at(0.02, 1),
      at(0.04, 0.8),
      at(-0.14, 0.64),
      at(-0.34, 0.46),
      at(-0.5, 0.24),
      at(-0.38, 0.05),
    ])
    shapes.push(...holding(whole, [heart], [[at(0, 0.2), at(0, -0.3)]]))
  }
  const rows = [
    [0, 34, 17, 0],
    [-18, 28, 15, -4],
    [18, 28, 15, 4],
    [-34, 21, 13, -6],
    [34, 21, 13, 6],
    [-48, 14, 10, -5],
    [48, 14, 10, 5],
  ] as const
  for (const [x, tall, wide, lean] of rows) tongue(x, 14 - 0.0045 * x * x, tall, wide, lean)
  for (let i = 0; i < 14; i++) {
    const x = among(-50, 50, i, 0, 331)
    shapes.push(drop(x, -17 + 0.006 * x * x - among(2, 14, i, 0, 332), among(-20, 20, i, 0, 333), 3.4, 0.85))
  }
  return {
    id: 'flames',
    name: 'Bonfire',
    kind: 'crest',
    tags: ['fire'],
    zones: ['forehead', 'cheek'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 1.05),
    heading: 0,
  }
}

/** Drops that run from a wavy brim, long and short. */
function drips(): Drawing {
  const shapes: Shape[] = []
  for (let i = -6; i <= 6; i++) {
    const x = i * 8.4
    const long = 8 + 22 * among(0, 1, i, 0, 341) * (1 - Math.abs(i) / 9)
    const y = -18 + 0.0035 * x * x
    shapes.push(
      smooth([
        [x - 3.4, y - 5],
        [x, y - 6],
        [x + 3.4, y - 5],
        [x + 3, y - 1],
        [x + 1.4, y + 3],
        [x + 1.2, y + long * 0.6],
        [x + 2, y + long * 0.85],
        [x + 1.5, y + long],
        [x, y + long + 1],
        [x - 1.5, y + long],
        [x - 2, y + long * 0.85],
        [x - 1.2, y + long * 0.6],
        [x - 1.4, y + 3],
        [x - 3, y - 1],
      ]),
    )
    if (i % 2 === 0) shapes.push(drop(x, y + long + 7, 0, 4.6, 1.2))
  }
  return {
    id: 'drips',
    name: 'Tallow Drips',
    kind: 'crest',
    tags: ['night', 'drips'],
    zones: ['forehead', 'jaw', 'arm'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 1.1),
    heading: 180,
  }
}

/** A rose: petals that lap round a bud, with two leaves. */
function rose(): Drawing {
  const shapes: Shape[] = [
    smooth([
      [0, -3],
      [2.4, -1],
      [1.6, 2.4],
      [-1.2, 2.6],
      [-2.4, -0.4],
    ]),
  ]
  const ring = (n: number, r: number, wide: number, turn: number) => {
    for (let i = 0; i < n; i++) {
      const a = turn + (360 / n) * i
      const span = (360 / n) * 0.86
      const outer = Array.from({ length: 9 }, (_, k): Point => {
        const t = k / 8
        return polar(0, 0, a + span * (t - 0.5), r + wide * Math.sin(Math.PI * t) ** 0.6)
      })
      const inner = Array.from({ length: 7 }, (_, k): Point => {
        const t = 1 - k / 6
        return polar(0, 0, a + span * (t - 0.5) * 0.9, r - 0.2 + wide * 0.32 * Math.sin(Math.PI * t))
      })
      shapes.push(smooth([...outer, ...inner]))
    }
  }
  ring(3, 4.4, 3.4, 20)
  ring(4, 8.6, 4.6, 58)
  ring(5, 14, 6.2, 12)
  for (const [angle, bend] of [
    [128, 2.4],
    [-118, -2.4],
  ] as const) {
    const [x, y] = polar(0, 0, angle, 18.6)
    shapes.push(leaf(x, y, angle, 16, 8, bend))
  }
  return {
    id: 'rose',
    name: 'Quay Rose',
    kind: 'motif',
    tags: ['flower', 'rose'],
    zones: ['cheek', 'temple', 'forehead', 'arm'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 1.05),
    heading: 0,
  }
}

/** A leaf of a hothouse plant, slit toward its rib, and a fan of a palm beside it. */
function hothouse(): Drawing {
  const whole = smooth([
    [0, 26],
    [-9, 24],
    [-20, 14],
    [-24, 0],
    [-20, -14],
    [-10, -24],
    [0, -29],
    [10, -24],
    [20, -14],
    [24, 0],
    [20, 14],
    [9, 24],
  ])
  const slits: Shape[] = [
    band(
      t => [0, 27 - 52 * t] as Point,
      t => 1.5 - t,
      20,
    ),
  ]
  for (const s of [-1, 1])
    for (const [y, rise] of [
      [16, -5],
      [7, -8],
      [-2, -10],
      [-11, -10],
    ] as const)
      slits.push(
        band(
          t => [s * (4 + 23 * t), y + rise * t * t] as Point,
          t => 0.5 + 2.6 * t,
          20,
        ),
      )
  const shapes = regions(difference(regionsOf(whole), slits.flatMap(regionsOf)))
  for (const s of [-1, 1])
    for (let i = 0; i < 6; i++)
      shapes.push(
        leaf(...polar(s * 31, 24, s * (-22 + 21 * i), 4), s * (-22 + 21 * i), 17 - 1.1 * i, 3.6, s * 1.2),
      )
  return {
    id: 'hothouse',
    name: 'Hothouse Leaves',
    kind: 'motif',
    tags: ['leaf', 'forest'],
    zones: ['cheek', 'temple', 'forehead', 'arm'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 1.05),
    heading: 0,
  }
}

/** Three feathers that fan out, each with barbs that part along the shaft. */
function heron(): Drawing {
  const shapes: Shape[] = []
  for (const [angle, long] of [
    [-30, 44],
    [0, 54],
    [30, 44],
  ] as const) {
    const at = (t: number, side: number): Point => {
      const [x, y] = polar(0, 26, angle, 6 + long * t)
      const [dx, dy] = polar(0, 0, angle + 90, side)
      return [x + dx, y + dy]
    }
    shapes.push(band(t => at(t * 0.93, 0), swell(1.5, 0.6, 0.15), 24))
    for (const s of [-1, 1])
      for (let i = 0; i < 8; i++) {
        const t = 0.12 + 0.1 * i
        const barb = 9.6 * Math.sin(Math.PI * (0.16 + 0.8 * t)) ** 0.8
        shapes.push(leaf(...at(t, s * 1.7), angle + s * (44 - 2 * i), barb, 3.5, s * -0.8))
      }
    shapes.push(leaf(...at(0.96, 0), angle, 6, 3))
  }
  return {
    id: 'heron',
    name: 'Heron Plumes',
    kind: 'crest',
    tags: ['bird', 'feather'],
    zones: ['forehead', 'temple', 'arm'],
    width: 0,
    height: 0,
    shapes: spaced(shapes, 0.95, 0.6),
    heading: 0,
  }
}

/** One half of a skull: socket, half of the nose, teeth, cheekbone and a crack. */
function skull(): Drawing {
  const shapes: Shape[] = [
    smooth([
      [8, -12],
      [19, -17],
      [31, -14],
      [36, -4],
      [32, 8],
      [21, 12],
      [11, 7],
      [6, -2],
    ]),
    smooth([
      [2.4, 14],
      [4.4, 20],
      [8.6, 29],
      [6.8, 33],
      [3.4, 31],
      [1.6, 32.4],
      [1.4, 20],
    ]),
    smooth([
      [40, 10],
      [45, 18],
      [41, 33],
      [34, 44],
      [29, 46],
      [33, 34],
      [31, 24],
      [24, 19],
      [33, 17],
    ]),
    band(
      t => [16 + 16 * t + 2 * Math.sin(14 * t), -27 - 22 * t + 3 * Math.sin(9 * t)] as Point,
      swell(1.8, 0.7, 0.2),
    ),
    band(t => [24 + 9 * t, -37 - 1 * t + 4 * t * t] as Point, swell(1.3, 0.6, 0.2)),
    band(t => [21 - 8 * t, -34 - 4 * t] as Point, swell(1.2, 0.6, 0.2)),
  ]
  for (let i = 0; i < 5; i++) {
    const x = 3.2 + 5.6 * i
    const y = 47 - 0.008 * x * x
    const tall = 8.4 - 0.5 * i
    for (const [from, to] of [
      [-tall - 0.8, -0.9],
      [0.9, tall * 0.86],
    ] as const)
      shapes.push(
        smooth([
          [x - 2, y + from],
          [x, y + from - 0.7],
          [x + 2, y + from],
          [x + 1.8, y + to],
          [x, y + to + 0.5],
          [x - 1.8, y + to],
        ]),
      )
  }
  return {
    id: 'skull',
    name: 'Half a Skull',
    kind: 'set',
    tags: ['night', 'skull'],
    zones: ['face'],
    width: 0,
    height: 0,
    // As drawn it is of a small face.
    shapes: spaced(
      shapes.map(d => scaled(d, 1.25, 1.4)),
      1.1,
    ),
    heading: 0,
  }
}

export const craftSheets = (): Drawing[] => [flames(), drips(), rose(), hothouse(), heron(), skull()]

/** A head from its outline, with what is cut within it; each is held by a bar upward. */
const head = (
  outline: readonly Point[],
  within: readonly Shape[],
  held: readonly Point[],
  up: number,
): Shape[] =>
  holding(
    smooth(outline),
    within,
    held.map(
      ([x, y]) =>
        [
          [x, y],
          [x, up],
        ] as const,
    ),
  )

/** Three small heads: a cat, a dog and a fox. */
export function smallHeads(): Drawing {
  const moved = (list: readonly (readonly [number, number])[], x: number, s = 1): Point[] =>
    list.map(([a, b]): Point => [x + s * a, b])
  const even = (half: readonly (readonly [number, number])[], x: number): Point[] => [
    ...moved(half, x),
    ...moved(half, x, -1).reverse(),
  ]
  const face = (x: number, y: number, nose: number): Shape[] => [
    disc(x - 4.2, y, 1.3),
    disc(x + 4.2, y, 1.3),
    smooth([
      [x - 1.9, y + nose],
      [x + 1.9, y + nose],
      [x, y + nose + 2.4],
    ]),
  ]
  const eyes = (x: number, y: number, nose: number): Point[] => [
    [x - 4.2, y],
    [x + 4.2, y],
    [x, y + nose],
  ]
  const cat = even(
    [
      [0, -7],
      [4, -8],
      [9.5, -14],
      [10.6, -5],
      [11, 2],
      [8, 8.6],
      [3, 11],
      [0, 11.2],
    ],
    -30,
  )
  const dog = even(
    [
      [0, -10],
      [5, -10.6],
      [9, -8],
      [9, 0],
      [8.4, 6],
      [5, 11.6],
      [0, 13],
    ],
    0,
  )
  const fox = even(
    [
      [0, -5],
      [5, -7],
      [11.6, -14.6],
      [11.6, -4],
      [12.4, 1.4],
      [7, 6],
      [2.4, 12.6],
      [0, 13.4],
    ],
    30,
  )
  const ears = [-1, 1].map(s =>
    smooth([
      [s * 10.6, -9.4],
      [s * 14, -7],
      [s * 14.6, 2],
      [s * 12.6, 6.6],
      [s * 10.8, 0],
    ]),
  )
  const whiskers = [-1, 1].flatMap(s =>
    [-2, 1].map(d =>
      band(t => [-30 + s * (13 + 5.4 * t), 4 + d * (0.6 + 0.8 * t)] as Point, swell(1, 0.7, 0.3), 10),
    ),
  )
  return {
    id: 'small-heads',
    name: 'Three Small Heads',
    kind: 'set',
    tags: ['animal', 'cat', 'dog', 'fox'],
    zones: ['cheek', 'arm'],
    width: 0,
    height: 0,
    shapes: spaced(
      [
        ...head(cat, face(-30, -0.6, 4), eyes(-30, -0.6, 4), -20),
        ...whiskers,
        ...head(dog, face(0, -1.4, 5.4), eyes(0, -1.4, 5.4), -20),
        ...ears,
        ...head(fox, face(30, 0.4, 8.4), eyes(30, 0.4, 8.4), -20),
        star(-15, -16, 2.4, 1, 4),
        star(15, -16, 2.4, 1, 4),
      ],
      1.05,
    ),
    heading: 0,
  }
}
