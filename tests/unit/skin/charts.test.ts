import { describe, expect, it } from 'vitest'
import { ringOf, signedArea, type Point } from '#core/geometry'
import {
  armMeasures,
  armProblems,
  groundOf,
  modelOf,
  onSkin,
  PLAIN_FACE,
  tabulated,
  type ArmCanvas,
  type Canvas,
} from '#core/skin'

const ARM: ArmCanvas = {
  kind: 'arm',
  part: 'forearm',
  side: 'left',
  measures: { upper: 260, lower: 170, length: 240 },
}
const arm = groundOf(ARM, 30)
const face = groundOf(PLAIN_FACE, 30)

describe('an arm', () => {
  it('has the girths and the length that were measured', () => {
    const { surface, length } = arm.arm!
    expect(2 * surface.across(Math.PI, -120)).toBeCloseTo(260, 1)
    expect(2 * surface.across(Math.PI, 120)).toBeCloseTo(170, 1)
    expect(length).toBe(240)
  })

  it('shows its front half in the picture, and nothing of what lies round the back', () => {
    const { front } = arm
    for (const p of [
      [0, 0],
      [40, -60],
      [-30, 80],
    ] as Point[]) {
      const [x, y] = front.point(p)
      const back = front.back([x, y])!
      expect(back[0]).toBeCloseTo(p[0], 4)
      expect(back[1]).toBeCloseTo(p[1], 9)
    }
    expect(front.back([90, 0])).toBeNull()
    const behind = front.ring(
      ringOf([
        [85, -5],
        [105, -5],
        [105, 5],
        [85, 5],
      ]),
    )
    expect(Math.abs(signedArea(behind))).toBeLessThan(0.01)
  })

  it('grows with age', () => {
    const sizes = [3, 8, 14, 30].map(age => armMeasures(ARM, age))
    for (const key of ['upper', 'lower', 'length'] as const)
      expect(sizes.map(s => s[key])).toEqual([...sizes.map(s => s[key])].sort((a, b) => a - b))
  })

  it.each([
    [{ upper: 260, lower: 10, length: 240 }, /girth at the lower end of 10 mm cannot be/],
    [{ upper: 90, lower: 300, length: 240 }, /does not go from 90 to 300/],
    [{ upper: 260, lower: 170, length: 4000 }, /length of 4000 mm/],
  ])('that cannot be is refused: %o', (measures, sentence) => {
    expect(armProblems(measures).join(' ')).toMatch(sentence)
    expect(() => groundOf({ ...ARM, measures }, 30)).toThrow(sentence)
  })

  it('of the other side has its thumb on the other side', () => {
    const thumb = (side: 'left' | 'right') =>
      groundOf({ ...ARM, side }, 30).marks.find(m => m.words === 'thumb side')!.at[0]
    expect(thumb('left')).toBeCloseTo(-thumb('right'), 9)
  })
})

describe('the chart for views from the side', () => {
  const { chart, box } = face.wrap()

  it('leads from the skin and back', () => {
    for (const p of [
      [0, 0],
      [50, -20],
      [-61, 30],
      [12.3, 88.8],
      [-40, -90],
    ] as Point[]) {
      const q = chart.back(chart.point(p))!
      expect(Math.hypot(q[0] - p[0], q[1] - p[1])).toBeLessThan(0.01)
    }
  })

  it('holds the whole face, and gives the temple more room than the picture from the front', () => {
    for (const ring of face.extent) {
      const there = chart.ring(ring)
      for (let i = 0; i < there.length; i += 2) {
        expect(there[i]!).toBeGreaterThan(box.minX - 1)
        expect(there[i]!).toBeLessThan(box.maxX + 1)
      }
    }
    const wide = (a: number, b: number) => chart.point([b, -10])[0] - chart.point([a, -10])[0]
    expect(wide(56, 64)).toBeGreaterThan(1.6 * wide(4, 12))
  })

  it('keeps lengths along a row of the skin', () => {
    const p = new Float64Array(3)
    const q = new Float64Array(3)
    let long = 0
    for (let x = 10; x < 60; x += 0.25) {
      face.surface.position(x, 20, p)
      face.surface.position(x + 0.25, 20, q)
      long += Math.hypot(p[0]! - q[0]!, p[2]! - q[2]!)
    }
    expect(chart.point([60, 20])[0] - chart.point([10, 20])[0]).toBeCloseTo(long, 0)
  })
})

describe.each([
  ['face', PLAIN_FACE, 30],
  ["a child's face", PLAIN_FACE, 4],
  ['arm', ARM, 30],
  ['board', { kind: 'board', build: 'fine' }, 30],
] as [string, Canvas, number][])('the model of a %s', (_name, canvas, age) => {
  const ground = groundOf(canvas, age)
  const parts = modelOf(ground)

  it('has sound triangles and no stray numbers', () => {
    for (const part of parts) {
      const n = part.positions.length / 3
      expect(part.positions.every(Number.isFinite)).toBe(true)
      expect(part.triangles.every(t => t < n)).toBe(true)
      expect(part.places === null || part.places.length === 2 * n).toBe(true)
    }
  })

  it('wears a picture on its skin, every point of it inside that picture', () => {
    const [skin] = parts
    expect(skin!.kind).toBe('skin')
    expect(skin!.places!.every(v => v > -0.02 && v < 1.02)).toBe(true)
  })
})

describe('a height table', () => {
  it('is exact for a cubic, with its slopes and second derivatives', () => {
    const f = (x: number, y: number) =>
      3 + 0.2 * x - 0.1 * y + 0.004 * x * y + 0.01 * x * x - 0.0005 * y * y * y
    const table = tabulated(f, { minX: -40, minY: -40, maxX: 40, maxY: 40 })
    const jet = new Float64Array(6)
    const x = 3.3
    const y = -7.7
    table.jet(Float64Array.of(x, y), jet)
    const exact = [
      f(x, y),
      0.2 + 0.004 * y + 0.02 * x,
      -0.1 + 0.004 * x - 0.0015 * y * y,
      0.02,
      0.004,
      -0.003 * y,
    ]
    exact.forEach((v, i) => expect(jet[i]!).toBeCloseTo(v, 6))
    expect(table.z(x, y)).toBeCloseTo(jet[0]!, 10)
  })

  it('has second derivatives without a jump from cell to cell', () => {
    const table = tabulated((x, y) => 8 * Math.sin(x / 6) * Math.cos(y / 7), {
      minX: -20,
      minY: -20,
      maxX: 20,
      maxY: 20,
    })
    const a = new Float64Array(6)
    const b = new Float64Array(6)
    for (let x = -10; x <= 10; x++) {
      table.jet(Float64Array.of(x - 1e-7, 3.4), a)
      table.jet(Float64Array.of(x + 1e-7, 3.4), b)
      for (let k = 0; k < 6; k++) expect(a[k]!).toBeCloseTo(b[k]!, 5)
    }
  })

  it('goes on with its rim outside', () => {
    const table = tabulated(() => 5, { minX: -5, minY: -5, maxX: 5, maxY: 5 })
    expect(table.z(400, -900)).toBeCloseTo(5, 6)
  })
})

it('skin is where the canvas is and no hair', () => {
  expect(
    [
      [0, -30],
      [0, -100],
      [150, 0],
      [40, 30],
    ].map(p => onSkin(face, p as unknown as Point)),
  ).toEqual([true, false, false, true])
})
