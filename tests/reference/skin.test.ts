import fc from 'fast-check'
import { Matrix, SingularValueDecomposition } from 'ml-matrix'
import { describe, expect, it } from 'vitest'
import { degrees, movedBack, movedBy, rigidFit, type Point } from '#core/geometry'
import { registerFit, twinOf } from '#core/look'
import {
  BUILDS,
  cone,
  faceOf,
  groundOf,
  halfWidthOfGirth,
  heightField,
  layOn,
  liftOf,
  measuresAt,
  mirroredPlacement,
  PLAIN_FACE,
  pressedGaps,
  PLANE,
  pupilDistance,
  tabulated,
  type Canvas,
  type Exponential,
  type Surface,
} from '#core/skin'
import { shelfSvg } from '../../demo/shelf'
import { prepared, readSvg } from '#core/stencil'

const box = { minX: -70, minY: -70, maxX: 70, maxY: 70 }
const fieldOf = (z: (x: number, y: number) => number) => heightField(tabulated(z, box), box)
const to = (e: Exponential, u: number, v: number): Point => {
  const out = Float64Array.of(u, v)
  e.to(out, 0)
  return [out[0]!, out[1]!]
}
/** Points all over a sheet of 60 mm, its corners too. */
const SHEET: Point[] = Array.from({ length: 169 }, (_, i) => [
  ((i % 13) - 6) * 5,
  (Math.floor(i / 13) - 6) * 5,
])
const PLACES: Point[] = [
  [0, 0],
  [22, 0],
  [-18, 14],
]

describe('stencils on skins with a closed form (do Carmo, Differential Geometry of Curves and Surfaces)', () => {
  it.each([
    ['the board', PLANE],
    ['a flat height field', fieldOf(() => 12)],
  ])('on a plane, %s, everything stays as it is', (_name, plane) => {
    for (const at of PLACES) {
      const e = plane.exponential(at)
      for (const [u, v] of SHEET) {
        const [x, y] = to(e, u, v)
        expect(Math.hypot(x - at[0] - u, y - at[1] - v)).toBeLessThan(1e-9)
        expect(Math.abs(e.stretch(u, v))).toBeLessThan(1e-9)
      }
    }
  })

  it('on a sphere the geodesics are great circles and the stretch is sin(r/R) / (r/R) - 1', () => {
    const R = 75
    const sphere = fieldOf((x, y) => Math.sqrt(Math.max(1, R * R - x * x - y * y)))
    for (const at of PLACES) {
      const e = sphere.exponential(at)
      const n = [at[0] / R, at[1] / R, Math.sqrt(R * R - at[0] ** 2 - at[1] ** 2) / R] as const
      const k = 1 + n[2]
      // The tangent plane's axes, turned from the picture's by the smallest turn.
      const e1 = [1 - (n[0] * n[0]) / k, (-n[0] * n[1]) / k]
      const e2 = [(-n[0] * n[1]) / k, 1 - (n[1] * n[1]) / k]
      for (const [u, v] of SHEET) {
        const r = Math.hypot(u, v)
        const c = Math.cos(r / R)
        const s = r ? (R * Math.sin(r / R)) / r : 0
        const [x, y] = to(e, u, v)
        expect(
          Math.hypot(
            x - (at[0] * c + s * (u * e1[0]! + v * e2[0]!)),
            y - (at[1] * c + s * (u * e1[1]! + v * e2[1]!)),
          ),
        ).toBeLessThan(0.1)
        if (r > 5 && at === PLACES[0]) expect(e.stretch(u, v)).toBeCloseTo(Math.sin(r / R) / (r / R) - 1, 3)
      }
    }
  })

  it('on a sphere a ring of geodesic radius r is 2 pi R sin(r/R) long, and a meridian keeps its length', () => {
    const R = 80
    const sphere = fieldOf((x, y) => Math.sqrt(Math.max(1, R * R - x * x - y * y)))
    const e = sphere.exponential([0, 0])
    const n = 720
    const here = new Float64Array(3)
    const last = new Float64Array(3)
    const space = (u: number, v: number, out: Float64Array) => sphere.position(...to(e, u, v), out)
    let round = 0,
      along = 0
    for (let i = 0; i <= n; i++) {
      space(30 * Math.cos((2 * Math.PI * i) / n), 30 * Math.sin((2 * Math.PI * i) / n), here)
      if (i) round += Math.hypot(here[0]! - last[0]!, here[1]! - last[1]!, here[2]! - last[2]!)
      last.set(here)
    }
    expect(Math.abs(round - 2 * Math.PI * R * Math.sin(30 / R))).toBeLessThan(0.1)
    for (let i = 0; i <= 60; i++) {
      space(0, i / 2, here)
      if (i) along += Math.hypot(here[0]! - last[0]!, here[1]! - last[1]!, here[2]! - last[2]!)
      last.set(here)
    }
    expect(Math.abs(along - 30)).toBeLessThan(0.02)
  })

  it('on a cylinder, as a height field and as an arm, stencils keep every distance', () => {
    const R = 48
    const field = fieldOf(x => Math.sqrt(Math.max(4, R * R - x * x)))
    const arm = cone({ half: R, growth: 0, flat: 1 })
    for (const at of [
      [0, 0],
      [14, -8],
      [-20, 10],
    ] as Point[]) {
      const e = field.exponential(at)
      const turned = Math.asin(at[0] / R)
      const round = arm.exponential([R * turned, at[1]])
      for (const [u, v] of SHEET.filter(p => Math.abs(turned + p[0] / R) < 1.05)) {
        const exact: Point = [R * Math.sin(turned + u / R), at[1] + v]
        const [x, y] = to(e, u, v)
        const [s, t] = to(round, u, v)
        const place = new Float64Array(3)
        expect(Math.hypot(x - exact[0], y - exact[1])).toBeLessThan(0.1)
        arm.position(s, t, place)
        expect(Math.hypot(place[0]! - exact[0], place[1]! - exact[1])).toBeLessThan(1e-4)
        expect(round.stretch(u, v)).toBe(0)
      }
      for (const [u, v] of [
        [20, 0],
        [0, 20],
        [14, 14],
      ] as const)
        expect(Math.abs(e.stretch(u, v))).toBeLessThan(0.002)
    }
  })

  it('on a circular cone two points are as far apart as in its unrolled sector (law of cosines)', () => {
    const growth = -0.16
    const half = 36
    const arm = cone({ half, growth, flat: 1 })
    const slope = Math.hypot(1, growth)
    const apex = -half / growth
    for (const [a, b] of [
      [
        [0, -40],
        [25, 30],
      ],
      [
        [-30, 10],
        [12, -50],
      ],
      [
        [40, 0],
        [-20, 60],
      ],
    ] as [Point, Point][]) {
      const far = (p: Point) => Math.abs(p[1] - apex) * slope
      const turn = arm.angle(...a) - arm.angle(...b)
      const sector = (turn * Math.abs(growth)) / slope
      const exact = Math.sqrt(far(a) ** 2 + far(b) ** 2 - 2 * far(a) * far(b) * Math.cos(sector))
      expect(Math.hypot(...arm.exponential(a).from(...b))).toBeCloseTo(exact, 4)
    }
  })

  it('an ellipse of half axes 2 and 1 is 9.688448 round (complete elliptic integral; from memory)', () => {
    const e = cone({ half: 2, growth: 0, flat: 0.5 })
    expect(2 * e.across(Math.PI, 0)).toBeCloseTo(9.688448, 5)
    expect(halfWidthOfGirth(9.688448, 0.5)).toBeCloseTo(2, 4)
  })

  it('an elliptic cone is laid without any stretch: short steps keep their length in space', () => {
    const arm = cone({ half: 38, growth: -0.09, flat: 0.84 })
    const e = arm.exponential([15, -20])
    const p = new Float64Array(3)
    const q = new Float64Array(3)
    for (const [u, v] of SHEET) {
      arm.position(...to(e, u, v), p)
      for (const [du, dv] of [
        [0.1, 0],
        [0, 0.1],
      ] as const) {
        arm.position(...to(e, u + du, v + dv), q)
        expect(Math.hypot(p[0]! - q[0]!, p[1]! - q[1]!, p[2]! - q[2]!)).toBeCloseTo(0.1, 3)
      }
    }
  })
})

describe('how a stencil lifts off', () => {
  const samples = (w: number, l: number): Point[] =>
    Array.from({ length: 41 * 41 }, (_, i) => [
      (((i % 41) - 20) / 20) * w,
      ((Math.floor(i / 41) - 20) / 20) * l,
    ])
  const lift = (surface: Surface, points: readonly Point[]) =>
    liftOf(surface, layOn(surface, { at: [0, 0], tilt: 0, side: 'A' }), points, 0)

  it('is nothing on a cylinder', () => {
    const R = 45
    const arm = cone({ half: R, growth: 0, flat: 1 })
    const field = fieldOf(x => Math.sqrt(Math.max(4, R * R - x * x)))
    expect(Math.max(...lift(field, samples(30, 30)).gaps)).toBeLessThan(0.1)
    expect(Math.max(...lift(arm, samples(90, 30)).gaps)).toBe(0)
  })

  it('tends to w squared over 2 R on a sphere, w being half the width over which the rulings are free', () => {
    const R = 400
    const sphere = fieldOf((x, y) => Math.sqrt(R * R - x * x - y * y))
    for (const w of [16, 24, 32])
      expect(Math.abs(Math.max(...lift(sphere, samples(w, w)).gaps) - (w * w) / 2 / R)).toBeLessThan(0.1)
  })
})

describe('a stencil pressed down piece by piece', () => {
  it.each([30, 45, 60, 90, 140])(
    'stands off a sphere of radius %d mm by w squared over 2 R less what the skin gives, w being half of what fingers press',
    R => {
      // On a height field a sphere ends at its equator: the samples stay on its cap.
      const reach = Math.min(60, 0.7 * R)
      const sphere = fieldOf((x, y) => Math.sqrt(Math.max(1, R * R - x * x - y * y)))
      const points = Array.from({ length: 61 * 61 }, (_, i): Point => [
        (((i % 61) - 30) / 30) * reach,
        ((Math.floor(i / 61) - 30) / 30) * reach,
      ])
      const gaps = pressedGaps(sphere, layOn(sphere, { at: [0, 0], tilt: 0, side: 'A' }), points)
      const middle = points.flatMap(([x, y], i) => (Math.abs(x) < 12 && Math.abs(y) < 12 ? [gaps[i]!] : []))
      expect(Math.abs(Math.max(...middle) - Math.max(0, (12 * 12) / 2 / R - 1))).toBeLessThan(0.3)
      // It is the same on a sphere wherever it is pressed, as long as its whole piece lies there.
      expect(Math.max(...middle)).toBeLessThan(
        Math.max(...liftOf(sphere, layOn(sphere, { at: [0, 0], tilt: 0, side: 'A' }), points).gaps),
      )
    },
  )
})

describe('faces', () => {
  it('keep the eye distance of MacLachlan and Howland 2002 at every age (coefficients from memory)', () => {
    for (const age of [3, 5, 8, 12, 16]) {
      for (const [build, exact] of [
        ['broad', 43.36 + 1.663 * age - 0.034 * age ** 2],
        ['fine', 41.76 + 1.891 * age - 0.052 * age ** 2],
      ] as const) {
        const { left, right } = faceOf({ build, measures: null, nudges: {} }, age).landmarks
        expect(pupilDistance(age, build)).toBeCloseTo(exact, 9)
        expect(right.pupil[0] - left.pupil[0]).toBeCloseTo(exact, 9)
      }
    }
  })

  it.each(BUILDS)(
    'of a grown %s build lie inside the panel of Zhuang, Bradtmiller and Shaffer 2007 (limits from memory)',
    build => {
      const m = measuresAt(30, build)
      expect(m.faceHeight).toBeGreaterThan(98.5)
      expect(m.faceHeight).toBeLessThan(138.5)
      expect(m.faceWidth).toBeGreaterThan(120.5)
      expect(m.faceWidth).toBeLessThan(158.5)
    },
  )

  it('have the grown means of Farkas 1994 between their landmarks (from memory)', () => {
    for (const [build, means] of [
      ['broad', [33.3, 91.2, 34.9, 54.5, 124.7, 67.1, 54.8]],
      ['fine', [31.8, 87.8, 31.4, 50.2, 111.4, 63, 50.6]],
    ] as const) {
      const { left: l, right: r, mid: m } = faceOf({ build, measures: null, nudges: {} }, 30).landmarks
      const got = [
        r.innerEye[0] - l.innerEye[0],
        r.outerEye[0] - l.outerEye[0],
        r.noseWing[0] - l.noseWing[0],
        r.mouthCorner[0] - l.mouthCorner[0],
        m.chin[1] - m.nasion[1],
        m.nasion[1] - m.hairline[1],
        m.noseBase[1] - m.nasion[1],
      ]
      got.forEach((v, i) => expect(v).toBeCloseTo(means[i]!, 9))
    }
  })
})

describe('rigid fits', () => {
  /**
   * Kabsch 1976 by the singular value decomposition of a linear-algebra library: the turn in degrees and what
   * is left.
   */
  function bySvd(pairs: [Point, Point][]): { turn: number; residual: number } {
    const mean = (k: 0 | 1) => [0, 1].map(d => pairs.reduce((s, p) => s + p[k][d]!, 0) / pairs.length)
    const [f, t] = [mean(0), mean(1)]
    const P = new Matrix(pairs.map(p => [p[0][0] - f[0]!, p[0][1] - f[1]!]))
    const Q = new Matrix(pairs.map(p => [p[1][0] - t[0]!, p[1][1] - t[1]!]))
    const svd = new SingularValueDecomposition(P.transpose().mmul(Q))
    const U = svd.leftSingularVectors
    const V = svd.rightSingularVectors
    const det = (m: Matrix) => m.get(0, 0) * m.get(1, 1) - m.get(0, 1) * m.get(1, 0)
    const d = Math.sign(det(V) * det(U))
    const R = V.mmul(Matrix.diag([1, d])).mmul(U.transpose())
    const off = Q.clone().sub(P.mmul(R.transpose()))
    return {
      turn: degrees(Math.atan2(R.get(1, 0), R.get(0, 0))),
      residual: off.norm('frobenius') / Math.sqrt(pairs.length),
    }
  }

  it('agree with a linear-algebra library on noisy pairs', () => {
    const value = fc.double({ min: -60, max: 60, noNaN: true })
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            value,
            value,
            fc.double({ min: -2, max: 2, noNaN: true }),
            fc.double({ min: -2, max: 2, noNaN: true }),
          ),
          { minLength: 6, maxLength: 30 },
        ),
        fc.double({ min: -179, max: 179, noNaN: true }),
        value,
        (points, turn, dx) => {
          // Points on one spot have no turn to find.
          if (Math.max(...points.map(p => p[0])) - Math.min(...points.map(p => p[0])) < 20) return
          const pairs = points.map(([x, y, ex, ey]): [Point, Point] => {
            const [u, v] = movedBy({ turn, shift: [dx, 4] }, [x, y])
            return [
              [x, y],
              [u + ex, v + ey],
            ]
          })
          const own = rigidFit(pairs)
          const other = bySvd(pairs)
          expect(Math.cos(((own.turn - other.turn) * Math.PI) / 180)).toBeGreaterThan(1 - 1e-9)
          expect(own.residual).toBeCloseTo(other.residual, 6)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('find a turn and shift without noise again', () => {
    const map = { turn: 33.5, shift: [12, -7] as Point }
    const fit = rigidFit(
      (
        [
          [0, 0],
          [30, 4],
          [-11, 25],
          [7, -19],
        ] as Point[]
      ).map(p => [p, movedBy(map, p)]),
    )
    expect(fit.turn).toBeCloseTo(33.5, 9)
    expect(fit.residual).toBeLessThan(1e-9)
    expect(movedBack(map, movedBy(map, [3, 5]))[0]).toBeCloseTo(3, 9)
  })
})

describe('twins', () => {
  const grounds: Canvas[] = [
    PLAIN_FACE,
    { kind: 'arm', part: 'forearm', side: 'left', measures: null },
    { kind: 'board', build: 'fine' },
  ]
  const placement = fc.record({
    x: fc.double({ min: -45, max: 45, noNaN: true }),
    y: fc.double({ min: -45, max: 60, noNaN: true }),
    tilt: fc.double({ min: -179, max: 179, noNaN: true }),
    side: fc.constantFrom('A' as const, 'B' as const),
  })

  it.each(grounds)('reflected twice are where they were, on $kind', canvas => {
    const ground = groundOf(canvas, 30)
    fc.assert(
      fc.property(placement, ({ x, y, tilt, side }) => {
        const own = { at: [x, y] as const, tilt, side }
        const back = mirroredPlacement(mirroredPlacement(own))
        expect(back.at[0]).toBeCloseTo(x, 12)
        expect([back.at[1], back.side]).toEqual([y, side])
        expect(back.tilt).toBeCloseTo(tilt, 9)
        // On an even face the other side's features say the same as a ruler from the midline.
        const rules = (['midline', 'features'] as const).map(rule => twinOf(ground, own, rule, null, null)!)
        expect(rules[1]!.at[0]).toBeCloseTo(rules[0]!.at[0], 6)
        expect(rules[1]!.at[1]).toBeCloseTo(rules[0]!.at[1], 6)
      }),
      { numRuns: 60 },
    )
  })

  it('turned by half a turn twice are where they were', () => {
    for (const canvas of grounds) {
      const ground = groundOf(canvas, 30)
      const own = { at: [14, 20] as const, tilt: 25, side: 'A' as const }
      const there = twinOf(ground, own, 'turn', [2, -4], null)!
      const back = twinOf(ground, there, 'turn', [2, -4], null)!
      expect(Math.hypot(back.at[0] - 14, back.at[1] - 20)).toBeLessThan(0.02)
      expect(there.side).toBe('A')
    }
  })
})

describe('registering', () => {
  const sheet = (id: string) => prepared({ id, name: id, kind: 'texture', ...readSvg(shelfSvg(id)).sheet })

  it('a lattice on its pair leaves a residual below 0.05 mm, however it lay before', () => {
    for (const hint of [
      { turn: 0, shift: [3, 2] },
      { turn: 4, shift: [-7, 11] },
      { turn: -6, shift: [1.4, -3] },
    ] as const) {
      const fit = registerFit(sheet('diamonds'), sheet('crosses'), 'openings', hint)
      if (typeof fit === 'string') throw new Error(fit)
      expect(fit.residual).toBeLessThan(0.05)
      expect(fit.matched).toBeGreaterThan(60)
      expect(Math.abs(fit.turn)).toBeLessThan(0.1)
      expect(fit.tolerance).toBeGreaterThan(1)
    }
  })
})

describe('rays between rays', () => {
  it('lie within 0.3 mm of geodesics that are followed by themselves, 50 mm out over the nose', () => {
    const { surface } = groundOf(PLAIN_FACE, 30)
    const here = new Float64Array(3)
    const z = (x: number, y: number): number => {
      surface.position(x, y, here)
      return here[2]!
    }
    const H = 0.05
    /** Acceleration of a geodesic of z(x, y) (do Carmo 4.4), by differences of the height alone. */
    const bend = (x: number, y: number, p: number, q: number): [number, number] => {
      const [c, e, w, s, n] = [z(x, y), z(x + H, y), z(x - H, y), z(x, y + H), z(x, y - H)]
      const cross = (z(x + H, y + H) - z(x - H, y + H) - z(x + H, y - H) + z(x - H, y - H)) / (4 * H * H)
      const zx = (e - w) / (2 * H)
      const zy = (s - n) / (2 * H)
      const xx = (e - 2 * c + w) / (H * H)
      const yy = (s - 2 * c + n) / (H * H)
      const k = (xx * p * p + 2 * cross * p * q + yy * q * q) / (1 + zx * zx + zy * zy)
      return [-zx * k, -zy * k]
    }
    const follow = ([x0, y0]: readonly [number, number], u: number, v: number): [number, number] => {
      const normal = new Float64Array(3)
      surface.normal(x0, y0, normal)
      const [nx, ny, l] = [normal[0]!, normal[1]!, normal[2]!]
      const steps = 250
      const r = Math.hypot(u, v)
      const h = r / steps
      let [x, y] = [x0, y0]
      let p = ((1 - (nx * nx) / (1 + l)) * u - ((nx * ny) / (1 + l)) * v) / r
      let q = (-((nx * ny) / (1 + l)) * u + (1 - (ny * ny) / (1 + l)) * v) / r
      for (let n = 0; n < steps; n++) {
        const [ax, ay] = bend(x, y, p, q)
        const [bx, by] = bend(x + (h / 2) * p, y + (h / 2) * q, p + (h / 2) * ax, q + (h / 2) * ay)
        x += h * p + (h * h * bx) / 2
        y += h * q + (h * h * by) / 2
        p += h * bx
        q += h * by
      }
      return [x, y]
    }
    const out = new Float64Array(2)
    for (const at of [
      [0, -35],
      [0, -5],
      [14, -25],
    ] as const) {
      const ex = surface.exponential(at)
      for (let angle = 1.3; angle < 360; angle += 7.1) {
        const u = 50 * Math.cos((angle * Math.PI) / 180)
        const v = 50 * Math.sin((angle * Math.PI) / 180)
        out.set([u, v])
        ex.to(out, 0)
        const [x, y] = follow(at, u, v)
        expect(Math.hypot(out[0]! - x, out[1]! - y), `${at} at ${angle.toFixed(0)} degrees`).toBeLessThan(0.3)
      }
    }
  })
})
