import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { distance, signedArea, type Point } from '#core/geometry'
import {
  hostsIn,
  anchorOf,
  boundOrder,
  flowOf,
  freshGlitter,
  freshLine,
  freshWash,
  kindOf,
  movedHandles,
  turnedHandles,
  type LineStep,
  type Step,
} from '#core/look'
import { groundOf, metricAt, onSkin, ribbons, roundOn } from '#core/skin'
import {
  arcThrough,
  curvatureAt,
  DOT_RUNS,
  dotShape,
  lengthOf,
  paramProblems,
  pathThrough,
  SHAPE_IDS,
  shapeOf,
  sharesOf,
  stationsAt,
  usualParams,
  type Params,
} from '#core/stroke'
import { ground, MIDLINE, paint, world } from '../world'

const soot = paint('soot')
/** Numbers of a shape anywhere between their bounds. */
const params = (
  list: readonly { name: string; least: number; most: number; unit: string; step: number }[],
): fc.Arbitrary<Params> =>
  fc.record(
    Object.fromEntries(
      list.map(q => [
        q.name,
        q.step >= 1 && q.unit === ''
          ? fc.integer({ min: q.least, max: Math.min(q.most, 24) })
          : fc.double({ min: q.least, max: q.most, noNaN: true }),
      ]),
    ),
  )
const near = (x: number, y: number, r: number): fc.Arbitrary<Point> =>
  fc.tuple(
    fc.double({ min: x - r, max: x + r, noNaN: true }),
    fc.double({ min: y - r, max: y + r, noNaN: true }),
  )

describe('strokes with any handles and numbers', () => {
  it.each(SHAPE_IDS)('%s is finite, never wider than asked, and keeps to its numbers', id => {
    const shape = shapeOf(id)
    fc.assert(
      fc.property(
        fc.tuple(...shape.usual.map(([x, y]) => near(x, y, 5))),
        params(shape.params),
        (handles, value) => {
          const spines = shape.draw(handles, value, shape.brush)
          for (const s of spines) {
            expect(s.points.length).toBe(s.widths.length)
            expect(s.points.flat().every(Number.isFinite)).toBe(true)
            expect(s.widths.every(w => Number.isFinite(w) && w >= 0 && w < 60)).toBe(true)
          }
          expect(paramProblems(shape.params, value)).toEqual([])
        },
      ),
      { numRuns: 25 },
    )
  })

  it.each(DOT_RUNS)('%s: dots lie where they are told and have sizes between the first and the last', run => {
    const shape = dotShape(run)
    fc.assert(
      fc.property(
        fc.tuple(...shape.usual.map(([x, y]) => near(x, y, 4))),
        params(shape.params),
        (handles, value) => {
          const dots = shape.draw(handles, value)
          const least = Math.min(value.first!, value.last!)
          const most = Math.max(value.first!, value.last!)
          expect(dots.length).toBeGreaterThan(0)
          for (const d of dots) {
            expect(d.size).toBeGreaterThanOrEqual(least - 1e-9)
            expect(d.size).toBeLessThanOrEqual(most + 1e-9)
            expect(d.at.every(Number.isFinite)).toBe(true)
          }
        },
      ),
      { numRuns: 25 },
    )
  })

  it('stations of a line are on it, in order, and their ways are unit vectors', () => {
    fc.assert(
      fc.property(fc.array(near(0, 0, 40), { minLength: 3, maxLength: 7 }), handles => {
        const path = pathThrough(handles)
        const stops = stationsAt(path, [0, 0.2, 0.5, 0.9, 1])
        expect(sharesOf(path).every((s, i, all) => i === 0 || s >= all[i - 1]!)).toBe(true)
        for (const s of stops) {
          expect(Math.min(...path.map(p => distance(p, s.at)))).toBeLessThan(lengthOf(path) / 20 + 1)
          expect(Math.hypot(...s.along) === 0 || Math.abs(Math.hypot(...s.along) - 1) < 1e-9).toBe(true)
        }
      }),
      { numRuns: 40 },
    )
  })

  it('an arc through handles that lie almost on one line stays as short as they are', () => {
    fc.assert(
      fc.property(near(40, 0, 0.001), fc.double({ min: -1e-3, max: 1e-3, noNaN: true }), (b, e) => {
        const arc = arcThrough([0, 0], b, [20, e])
        expect(arc.length).toBeLessThan(400)
        expect(lengthOf(arc)).toBeLessThan(65)
      }),
      { numRuns: 60 },
    )
  })

  it('a straight line bends nowhere', () => {
    const line = pathThrough([
      [0, 0],
      [30, 18],
    ])
    for (let i = 1; i < line.length - 1; i++) expect(Math.abs(curvatureAt(line, i))).toBeLessThan(1e-9)
  })
})

describe('twins and turns of strokes', () => {
  const step = (points: readonly Point[], shape: LineStep['shape'] = 'swirl'): LineStep => ({
    ...freshLine('a', 'swirl', [40, 30], soot, ground, [0, 0]),
    shape,
    points: movedHandles(points, p => p),
    twin: { ...MIDLINE, own: null },
  })

  it('a twin across the midline covers the mirror image of what its original covers', () => {
    fc.assert(
      fc.property(near(38, 34, 6), near(46, 36, 4), near(22, 26, 6), (a, b, c) => {
        const s = step([a, b, c])
        const [print, twin] = kindOf(s).prints(s, world)
        const area = (rings: readonly Float64Array[]) =>
          rings.reduce((sum, r) => sum + Math.abs(signedArea(r)), 0)
        expect(Math.abs(area(print!.rings) / area(twin!.rings) - 1)).toBeLessThan(0.02)
        const xs = (rings: readonly Float64Array[]) => rings[0]!.filter((_, i) => i % 2 === 0)
        expect(Math.max(...xs(print!.rings))).toBeCloseTo(-Math.min(...xs(twin!.rings)), 0)
      }),
      { numRuns: 12 },
    )
  })

  it('turning keeps every distance from the middle, and the way back leads home', () => {
    fc.assert(
      fc.property(
        fc.array(near(0, -36, 12), { minLength: 2, maxLength: 5 }),
        fc.integer({ min: -179, max: 179 }),
        (points, by) => {
          const there = turnedHandles(points, world, by)
          const back = turnedHandles(there, world, -by)
          back.forEach((p, i) => expect(distance(p, points[i]!)).toBeLessThan(0.6))
        },
      ),
      { numRuns: 20 },
    )
  })

  it("moving a look's focal point onto an element's way makes that element flow", () => {
    fc.assert(
      fc.property(fc.integer({ min: -60, max: 60 }), by => {
        const s = { ...freshLine('t', 'teardrop', [0, -40], soot, ground, [0, 0]) }
        const turned = { ...s, points: turnedHandles(s.points, world, by) }
        const w = { ...world, ...hostsIn([turned]) }
        const [e] = flowOf({ steps: [turned], focus: [0, 0] }, w).elements
        expect(Math.abs(Math.abs(e!.off) - Math.abs(by))).toBeLessThan(6)
      }),
      { numRuns: 20 },
    )
  })
})

describe('the brush on any skin', () => {
  it('leaves a ribbon whose width in space is what it presses, wherever there is skin', () => {
    for (const on of [
      ground,
      groundOf({ kind: 'arm', part: 'upper arm', side: 'left', measures: null }, 12),
    ]) {
      fc.assert(
        fc.property(
          near(20, 10, 26),
          fc.double({ min: 0, max: 360, noNaN: true }),
          fc.double({ min: 0.6, max: 3, noNaN: true }),
          ([x, y], a, w) => {
            fc.pre(onSkin(on, [x, y]))
            const d: Point = [Math.cos(a), Math.sin(a)]
            const line: Point[] = [-1, 0, 1].map(k => [x + k * d[0], y + k * d[1]])
            const [ring] = ribbons(on.surface, { points: line, widths: [w, w, w] })[0]!
            const out = new Float64Array(6)
            // The two edges at the middle point lie opposite each other.
            const n = ring!.length / 2
            const i = 1
            const j = n - 2
            on.surface.position(ring![2 * i]!, ring![2 * i + 1]!, out, 0)
            on.surface.position(ring![2 * j]!, ring![2 * j + 1]!, out, 3)
            expect(
              Math.abs(Math.hypot(out[0]! - out[3]!, out[1]! - out[4]!, out[2]! - out[5]!) / w - 1),
            ).toBeLessThan(0.08)
          },
        ),
        { numRuns: 40 },
      )
    }
  })

  it("makes round dots: every rim point is a radius away, in the skin's own measure", () => {
    fc.assert(
      fc.property(near(24, 20, 24), fc.double({ min: 0.5, max: 4, noNaN: true }), ([x, y], r) => {
        const [E, F, G] = metricAt(ground.surface, x, y)
        const ring = roundOn(ground.surface, [x, y], r)
        for (let i = 0; i < ring.length; i += 2) {
          const u = ring[i]! - x
          const v = ring[i + 1]! - y
          expect(Math.sqrt(E * u * u + 2 * F * u * v + G * v * v)).toBeCloseTo(r, 6)
        }
      }),
      { numRuns: 30 },
    )
  })
})

describe('glitter on wet paint in the order of steps', () => {
  const base = (id: string): Step => freshWash(id, id, ['forehead'], [soot], ground)
  const glitter = (id: string, on: string | null): Step =>
    freshGlitter(id, on ? 'print' : 'patch', [0, -30], on, ground)
  it('stands behind its paint again when it came before it, in its old order among others', () => {
    const order = (steps: Step[]) => boundOrder(steps)?.map(s => s.id) ?? null
    expect(order([base('a'), glitter('g', 'a'), base('b')])).toBeNull()
    expect(order([glitter('g', 'b'), base('a'), base('b'), base('c')])).toEqual(['a', 'b', 'g', 'c'])
    expect(order([glitter('g', 'b'), glitter('h', 'b'), base('b'), base('c')])).toEqual(['b', 'g', 'h', 'c'])
    expect(order([glitter('g', null), base('a')])).toBeNull()
    expect(order([glitter('g', 'gone'), base('a')])).toBeNull()
  })
  it('never loses or doubles a step', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(['a', 'b', 'c', 'ga', 'gb', 'gc'], { minLength: 6 }), ids => {
        const steps = ids.map(id => (id.length === 1 ? base(id) : glitter(id, id[1]!)))
        const next = boundOrder(steps) ?? steps
        expect(next.map(s => s.id).sort()).toEqual([...ids].sort())
        for (const s of next)
          if (s.kind === 'glitter')
            expect(next.indexOf(s)).toBeGreaterThan(next.findIndex(h => h.id === s.on))
      }),
      { numRuns: 60 },
    )
  })
})

it('handles have their middle', () => {
  expect(
    anchorOf([
      [0, 0],
      [10, 20],
    ]),
  ).toEqual([5, 10])
  expect(anchorOf([])).toEqual([0, 0])
  expect(usualParams(shapeOf('fur').params)).toMatchObject({ count: 22 })
})
