import { describe, expect, it } from 'vitest'
import {
  arcThrough,
  curvatureAt,
  DOTS,
  lengthOf,
  logSpiral,
  sCurve,
  SHAPES,
  usualParams,
  pathThrough,
  stationsAt,
} from '#core/stroke'
import {
  onSurfaceAway,
  meanResultantLength,
  rankCorrelation,
  sidesOf,
  kindOf,
  freshLine,
  type LineStep,
} from '#core/look'
import { freeCircles } from '#core/raster'
import { distance, ringHolds, ringOf, type Point, type Ring } from '#core/geometry'
import { luminance, masstone } from '#core/paint'
import { cone, heightField, metricAt, PLANE, ribbons, tabulated } from '#core/skin'
import { ground, MIDLINE, paint, world } from '../unit/world'

// Plane curves: J. D. Lawrence, A Catalog of Special Plane Curves (1972): circle, logarithmic spiral.
describe('strokes against closed forms', () => {
  it('a C curve is a circular arc: length r times angle, curvature 1 / r all along', () => {
    const r = 20
    const at = (a: number): Point => [r * Math.sin(a), -r * Math.cos(a)]
    const c = arcThrough(at(-1), at(0.1), at(1.2))
    expect(lengthOf(c)).toBeCloseTo(r * 2.2, 1)
    expect(lengthOf(c) / (r * 2.2)).toBeGreaterThan(0.9999)
    for (let i = 1; i < c.length - 1; i++) expect(curvatureAt(c, i)).toBeCloseTo(1 / r, 6)
  })

  it('an S curve is two arcs of one radius, bent opposite ways, that meet in one direction', () => {
    const s = sCurve([0, 0], [4, -6], [0, -40])
    const n = s.length
    const first = curvatureAt(s, 5)
    const middle = (n - 1) / 2
    expect(curvatureAt(s, n - 6)).toBeCloseTo(-first, 6)
    const before = Math.atan2(s[middle]![1] - s[middle - 1]![1], s[middle]![0] - s[middle - 1]![0])
    const after = Math.atan2(s[middle + 1]![1] - s[middle]![1], s[middle + 1]![0] - s[middle]![0])
    expect(after - before).toBeCloseTo(0, 9)
  })

  it.each([
    [1, 0.3],
    [1.5, 0.22],
    [2.5, 0.1],
    [-2, 0.4],
  ])(
    'a spiral of %s turns down to %s: length (r0 - r1) sqrt(1 + b2) / b, curvature 1 / (r sqrt(1 + b2))',
    (turns, shrink) => {
      const r0 = 12
      const b = -Math.log(shrink) / (2 * Math.PI * Math.abs(turns))
      const s = logSpiral([3, 4], [3, 4 - r0], turns, shrink)
      const closed = (r0 * (1 - shrink) * Math.sqrt(1 + b * b)) / b
      expect(Math.abs(lengthOf(s) / closed - 1)).toBeLessThan(0.002)
      for (let i = 4; i < s.length - 4; i += 7) {
        const r = distance(s[i]!, [3, 4])
        expect(Math.abs(curvatureAt(s, i)) * r * Math.sqrt(1 + b * b)).toBeCloseTo(1, 2)
        expect(Math.sign(curvatureAt(s, i))).toBe(Math.sign(turns))
      }
    },
  )

  it('a zigzag is as long as its straight pieces: 2 n sqrt(h2 + (w / 2n)2)', () => {
    const [z] = SHAPES.zigzag.draw(
      [
        [-20, 0],
        [20, 0],
      ],
      { press: 50, count: 8, height: 6 },
      'round2',
    )
    expect(lengthOf(z!.points)).toBeCloseTo(16 * Math.hypot(6, 40 / 16), 3)
  })

  it('scallops are arcs of a chord and a height: radius (c2 / 4 + h2) / 2h', () => {
    const arcs = SHAPES.scallops.draw(
      [
        [-30, 0],
        [30, 0],
      ],
      { press: 50, count: 5, height: 4 },
      'round2',
    )
    const radius = (12 ** 2 / 4 + 16) / 8
    for (const arc of arcs)
      expect(Math.abs(curvatureAt(arc.points, Math.floor(arc.points.length / 2)))).toBeCloseTo(1 / radius, 5)
  })

  it('what runs along a path stands at even shares of its length', () => {
    const path = pathThrough([
      [0, 0],
      [10, 14],
      [30, 4],
      [44, 20],
    ])
    const stops = stationsAt(path, [0, 0.25, 0.5, 0.75, 1])
    const whole = lengthOf(path)
    for (let i = 1; i < stops.length; i++) {
      const to = path.findIndex((_, k) => k > 0 && lengthOf(path.slice(0, k + 1)) >= (whole * i) / 4 - 1e-9)
      const along = lengthOf(path.slice(0, to)) + distance(path[to - 1] ?? path[0]!, stops[i]!.at)
      expect(along).toBeCloseTo((whole * i) / 4, 6)
    }
  })

  it('dots in a row with shrinking gaps keep one ratio of gap to dots', () => {
    const dots = DOTS.row.draw(
      [
        [0, 0],
        [60, 0],
      ],
      { ...usualParams(DOTS.row.params), count: 6, first: 6, last: 2, shrink: 1 },
    )
    const ratios = dots.slice(1).map((d, i) => distance(d.at, dots[i]!.at) / ((d.size + dots[i]!.size) / 2))
    for (const ratio of ratios) expect(ratio).toBeCloseTo(ratios[0]!, 6)
  })
})

// First fundamental form of the cylinder and of the plane: do Carmo, Differential Geometry of Curves and
// Surfaces, 2.5.
describe('a brush on the skin', () => {
  it('is as wide as it presses on a plane and round a cylinder', () => {
    const round = cone({ half: 40, growth: 0, flat: 1 })
    for (const surface of [PLANE, round]) {
      const [e, f, g] = metricAt(surface, 25, 10)
      expect([e, f, g]).toEqual([expect.closeTo(1, 3), expect.closeTo(0, 6), expect.closeTo(1, 6)])
      const [ring] = ribbons(surface, {
        points: [
          [-20, 0],
          [0, 0],
          [20, 0],
        ],
        widths: [5, 5, 5],
      })[0]!
      expect(
        Math.max(...ring!.filter((_, i) => i % 2 === 1)) - Math.min(...ring!.filter((_, i) => i % 2 === 1)),
      ).toBeCloseTo(5, 3)
    }
  })

  it('is as wide on steep skin as on level skin, measured in space', () => {
    const out = new Float64Array(6)
    const [ring] = ribbons(ground.surface, {
      points: [
        [56, -4],
        [57, 4],
        [57, 12],
      ],
      widths: [3, 3, 3],
    })[0]!
    ground.surface.position(ring![2]!, ring![3]!, out, 0)
    ground.surface.position(ring![8]!, ring![9]!, out, 3)
    expect(Math.hypot(out[0]! - out[3]!, out[1]! - out[4]!, out[2]! - out[5]!)).toBeCloseTo(3, 0)
    expect(Math.abs(ring![2]! - ring![8]!)).toBeLessThan(2.6)
  })
})

describe('the twin of a flat-brush band', () => {
  const band: LineStep = {
    ...freshLine('band', 'band', [40, 0], paint('soot'), ground, [0, 0]),
    points: [
      [30, -20],
      [46, 0],
      [44, 24],
    ],
    load: { kind: 'double', light: paint('gull'), dark: paint('soot') },
    dark: 'left',
    twin: { ...MIDLINE, own: null },
  }

  it('keeps its dark edge outward on both sides', () => {
    const prints = kindOf(band).prints(band, world)
    const half = prints.length / 2
    const far = (n: number) => Math.max(...prints[n]!.rings[0]!.filter((_, i) => i % 2 === 0).map(Math.abs))
    expect(prints.length % 2).toBe(0)
    for (const side of [0, half]) {
      const light = luminance(masstone(prints[side]!.paints[0]!.optics))
      const dark = luminance(masstone(prints[side + half - 1]!.paints[0]!.optics))
      expect(light).toBeGreaterThan(dark + 0.3)
      expect(far(side + half - 1)).toBeGreaterThan(far(side) + 5)
    }
  })

  it('is the exact mirror image, strip by strip', () => {
    const prints = kindOf(band).prints(band, world)
    const half = prints.length / 2
    for (let k = 0; k < half; k++) {
      const a = points(prints[k]!.rings[0]!)
      const b = points(prints[k + half]!.rings[0]!)
      for (const [x, y] of a)
        expect(Math.min(...b.map(q => Math.hypot(q[0] + x, q[1] - y)))).toBeLessThan(0.05)
    }
    expect(sidesOf(band, world)[1]!.mirror).toBe(true)
  })
})

const points = (ring: Ring): Point[] =>
  Array.from({ length: ring.length / 2 }, (_, i) => [ring[2 * i]!, ring[2 * i + 1]!])

// Mardia and Jupp, Directional Statistics (2000), 2.3: R = sqrt(C2 + S2). The first sample is their Example
// 1.1 of a roulette wheel's stops, with C, S and R as printed there (from memory, checked by hand): 43, 45,
// 52, 61, 75, 88, 88, 279, 357 degrees, R = 0.711.
describe('mean resultant length', () => {
  it('of the roulette wheel is 0.711', () => {
    expect(meanResultantLength([43, 45, 52, 61, 75, 88, 88, 279, 357])).toBeCloseTo(0.711, 3)
  })
  it('of angles spread evenly over an arc 2a is sin a / a, of equal ones 1, of opposite ones 0', () => {
    const n = 4000
    const a = 1.1
    const even = Array.from({ length: n }, (_, i) => (((2 * (i + 0.5)) / n - 1) * a * 180) / Math.PI)
    expect(meanResultantLength(even)).toBeCloseTo(Math.sin(a) / a, 5)
    expect(meanResultantLength([33, 33, 33])).toBeCloseTo(1, 12)
    expect(meanResultantLength([10, 190])).toBeCloseTo(0, 12)
    expect(meanResultantLength([])).toBe(0)
  })
})

// Kendall and Gibbons, Rank Correlation Methods (1990): rho = 1 - 6 sum d2 / (n3 - n) without ties.
describe('rank correlation', () => {
  it('agrees with the formula of squared rank differences', () => {
    const a = [3, 9, 1, 7, 5, 8]
    const b = [2.5, 4, 1, 9, 3, 8]
    const rank = (l: number[]) => l.map(v => l.filter(w => w <= v).length)
    const d2 = rank(a).reduce((s, r, i) => s + (r - rank(b)[i]!) ** 2, 0)
    expect(rankCorrelation(a, b)).toBeCloseTo(1 - (6 * d2) / (6 ** 3 - 6), 12)
  })
  it('is 1 for any rising relation, -1 for a falling one, and null where nothing varies', () => {
    expect(rankCorrelation([1, 2, 3, 4], [1, 10, 100, 1000])).toBeCloseTo(1, 12)
    expect(rankCorrelation([1, 2, 3, 4], [9, 8, 1, 0])).toBeCloseTo(-1, 12)
    expect(rankCorrelation([1, 2, 3], [5, 5, 5])).toBeNull()
    expect(rankCorrelation([1, 2], [1, 2])).toBeNull()
  })
})

describe('the largest empty circle against a brute-force grid', () => {
  const disc = (x: number, y: number, r: number): Ring =>
    ringOf(
      Array.from({ length: 64 }, (_, i): Point => [
        x + r * Math.cos((i / 32) * Math.PI),
        y + r * Math.sin((i / 32) * Math.PI),
      ]),
    )
  const box = { minX: 0, minY: 0, maxX: 60, maxY: 50 }
  const scenes: [string, [number, number, number][]][] = [
    [
      'a few discs',
      [
        [10, 10, 6],
        [45, 12, 9],
        [30, 40, 7],
        [5, 40, 4],
      ],
    ],
    [
      'a ring of discs',
      Array.from({ length: 10 }, (_, i): [number, number, number] => [
        30 + 20 * Math.cos((i * Math.PI) / 5),
        25 + 20 * Math.sin((i * Math.PI) / 5),
        5,
      ]),
    ],
    [
      'many small ones',
      Array.from({ length: 40 }, (_, i): [number, number, number] => [(i * 37) % 60, (i * 23) % 50, 2.2]),
    ],
  ]

  it.each(scenes)('%s', (_name, discs) => {
    const rings = discs.map(d => disc(...d))
    const inside = (p: Point) => p[0] > 4 && p[0] < 56 && p[1] > 4 && p[1] < 46
    let best = 0
    for (let x = 4.05; x < 56; x += 0.1)
      for (let y = 4.05; y < 46; y += 0.1)
        best = Math.max(best, Math.min(...discs.map(([cx, cy, r]) => Math.hypot(x - cx, y - cy) - r)))
    const [found] = freeCircles(rings, box, inside, 1, 1, 4)
    expect(found!.radius).toBeGreaterThan(best - 0.05)
    expect(found!.radius).toBeLessThan(best + 0.08)
    expect(rings.some(r => ringHolds(r, ...found!.at))).toBe(false)
  })

  it('gives circles that do not overlap each other', () => {
    const found = freeCircles(
      scenes[0]![1].map(d => disc(...d)),
      box,
      () => true,
      2,
      8,
      4,
    )
    expect(found.length).toBeGreaterThan(3)
    found.forEach((a, i) =>
      found
        .slice(i + 1)
        .forEach(b => expect(distance(a.at, b.at)).toBeGreaterThan(a.radius + b.radius - 0.6)),
    )
    expect(found.map(f => f.radius)).toEqual(found.map(f => f.radius).sort((a, b) => b - a))
  })
})

describe('an outline on skin that falls away', () => {
  // On a plane of slope m a step of dx along the fall is sqrt(1 + m2) as long on the skin, one across it as
  // long as it is (do Carmo, 2.5).
  it.each([0, 0.5, 1, 2])('lies at its distance as the skin measures it, at a slope of %s', m => {
    const box = { minX: -60, minY: -60, maxX: 60, maxY: 60 }
    const surface = heightField(
      tabulated(x => m * x, box),
      box,
    )
    const circle = (r: number): Point[] =>
      Array.from({ length: 240 }, (_, i) => [
        r * Math.cos((i * Math.PI) / 120),
        r * Math.sin((i * Math.PI) / 120),
      ])
    const print = [{ outer: ringOf(circle(20)), holes: [] }]
    for (const away of [1, 3]) {
      const line = onSurfaceAway(print, away, surface)(circle(20 + away))
      const along = line[0]!
      const across = line[60]!
      expect(along[0] - 20).toBeCloseTo(away / Math.sqrt(1 + m * m), 2)
      expect(across[1] - 20).toBeCloseTo(away, 2)
      const inner = onSurfaceAway(print, -away, surface)(circle(20 - away))
      expect(20 - inner[0]![0]).toBeCloseTo(away / Math.sqrt(1 + m * m), 2)
    }
  })
})
