import { describe, expect, it } from 'vitest'
import { closedBridges } from '#core/checks'
import { BY_BRUSH, freshSheet, kindOf, type SheetStep, type World } from '#core/look'
import { coverageOf, gridOver, maskOf, type Grid, type Mask } from '#core/raster'
import { boxOf, ringOf, type Point, type Ring } from '#core/geometry'
import { groundOf } from '#core/skin'
import { SAME } from '#core/skin/chart'
import { TOOL_IDS, WETNESSES } from '#core/paint'
import { bridgeLadder, LADDER_MM, prepared } from '#core/stencil'

const plain = {
  paints: [],
  axis: null,
  strips: null,
  film: 1,
  opacity: 1,
  softness: 0,
  grain: 0,
  ...BY_BRUSH,
  meets: null,
}
const covered = (rings: readonly Ring[], spread: readonly number[], grid: Grid): Mask =>
  maskOf({ ...plain, rings, spread }, { grid, chart: SAME })

/** Cover at a place in mm, read between the pixels' middles. */
function coverAt({ i0, j0, width, height, data }: Mask, grid: Grid, x: number, y: number): number {
  const u = (x - grid.x0) * grid.pxPerMm - 0.5 - i0
  const v = (y - grid.y0) * grid.pxPerMm - 0.5 - j0
  const at = (i: number, j: number) =>
    i < 0 || j < 0 || i >= width || j >= height ? 0 : data[j * width + i]!
  const i = Math.floor(u)
  const j = Math.floor(v)
  const [s, t] = [u - i, v - j]
  return (
    (1 - t) * ((1 - s) * at(i, j) + s * at(i + 1, j)) + t * ((1 - s) * at(i, j + 1) + s * at(i + 1, j + 1))
  )
}

/** Where along a ray from a point, mm, the cover falls to a half. */
function halfWay(mask: Mask, grid: Grid, [x, y]: Point, [dx, dy]: Point, most: number): number {
  for (let s = 0; s < most; s += 0.005) if (coverAt(mask, grid, x + s * dx, y + s * dy) < 0.5) return s
  return most
}

describe('paint that creeps past an edge', () => {
  it('knows of each row where it begins and ends, whatever the shape and wherever the picture cuts it', () => {
    const grid = gridOver({ minX: -10, minY: -8, maxX: 10, maxY: 8 }, 3)
    const star = (cx: number, cy: number, r: number, corners: number): Ring =>
      ringOf(
        Array.from({ length: 2 * corners }, (_, i): Point => {
          const a = (Math.PI * i) / corners + 0.3
          return [cx + (i % 2 ? r : 0.4 * r) * Math.cos(a), cy + (i % 2 ? r : 0.4 * r) * Math.sin(a)]
        }),
      )
    const RINGS = [
      [star(0, 0, 6, 5)],
      [star(-9, 0, 6, 7), star(9, -7, 5, 4)],
      // Two that cross, and one far off the picture.
      [star(-1, 1, 5, 3), star(2, -1, 5, 6), star(40, 0, 3, 5)],
    ]
    for (const rings of RINGS) {
      const { width, height, data, spans } = covered(
        rings,
        rings.map((_, n) => 0.2 + 0.3 * n),
        grid,
      )
      let outside = 0
      let tight = 0
      for (let j = 0; j < height; j++) {
        for (let i = 0; i < width; i++) {
          const within = i >= spans!.first[j]! && i < spans!.end[j]!
          if (!within && data[j * width + i] !== 0) outside++
          if (within) tight++
        }
      }
      expect(outside).toBe(0)
      expect(tight).toBeLessThan(width * height)
    }
  })

  const SPREADS = [0.05, 0.15, 0.4, 0.73, 1.8]

  it.each([1, 2, 3, 4, 8])('covers half at its spread, at %d px/mm and every angle', px => {
    const grid = gridOver({ minX: -14, minY: -14, maxX: 14, maxY: 14 }, px)
    for (const e of SPREADS) {
      for (let angle = 0; angle < 90; angle += 11) {
        const c = Math.cos((angle * Math.PI) / 180)
        const s = Math.sin((angle * Math.PI) / 180)
        const corners: Point[] = [
          [-7, -7],
          [7, -7],
          [7, 7],
          [-7, 7],
        ]
        // Off the middle of the grid, so that the edge falls between its pixels in another way each time.
        const [ox, oy] = [0.013 * angle, 0.17]
        const square = ringOf(corners.map(([x, y]): Point => [ox + c * x - s * y, oy + s * x + c * y]))
        const mask = covered([square], [e], grid)
        for (const [dx, dy] of [
          [c, s],
          [-s, c],
          [-c, -s],
        ] as const)
          expect(
            Math.abs(halfWay(mask, grid, [ox, oy], [dx, dy], 12) - 7 - e),
            `${e} mm at ${angle} degrees`,
          ).toBeLessThan(0.05)
      }
    }
  })

  it('rounds a corner, and fills a narrow slit', () => {
    const grid = gridOver({ minX: -10, minY: -10, maxX: 10, maxY: 10 }, 8)
    const corner = ringOf([
      [-6, -6],
      [2, -6],
      [2, 2],
      [-6, 2],
    ])
    const mask = covered([corner], [1], grid)
    const out = halfWay(mask, grid, [2, 2], [Math.SQRT1_2, Math.SQRT1_2], 5)
    expect(out).toBeCloseTo(1, 1)
    const slit: Ring[] = [
      ringOf([
        [-6, -3],
        [-0.3, -3],
        [-0.3, 3],
        [-6, 3],
      ]),
      ringOf([
        [0.3, -3],
        [6, -3],
        [6, 3],
        [0.3, 3],
      ]),
    ]
    expect(coverAt(covered(slit, [0.5, 0.5], grid), grid, 0, 0)).toBeGreaterThan(0.5)
    expect(coverAt(covered(slit, [0.1, 0.1], grid), grid, 0, 0)).toBeLessThan(0.02)
  })

  it('leaves an island free that is wider than it creeps, and drowns a narrower one', () => {
    const grid = gridOver({ minX: -10, minY: -10, maxX: 10, maxY: 10 }, 6)
    const round = (r: number, back: boolean) =>
      ringOf(
        Array.from({ length: 80 }, (_, i): Point => {
          const a = ((back ? -1 : 1) * 2 * Math.PI * i) / 80
          return [r * Math.cos(a), r * Math.sin(a)]
        }),
      )
    const middle = (e: number) =>
      coverAt(covered([round(8, false), round(1, true)], [e, e], grid), grid, 0, 0)
    expect(middle(0.4)).toBeLessThan(0.01)
    expect(middle(1.1)).toBeGreaterThan(0.5)
  })

  it('never covers less where openings touch', () => {
    const grid = gridOver({ minX: -10, minY: -10, maxX: 10, maxY: 10 }, 5)
    const box = (x0: number, x1: number) =>
      ringOf([
        [x0, -4],
        [x1, -4],
        [x1, 4],
        [x0, 4],
      ])
    const mask = covered([box(-5, 1), box(-1, 5)], [0.2, 0.2], grid)
    for (let x = -4.5; x < 4.6; x += 0.1) expect(coverAt(mask, grid, x, 0), `${x}`).toBeGreaterThan(0.99)
  })
})

describe('the ladder as it prints', () => {
  const ground = groundOf({ kind: 'board', build: 'fine' }, 30)
  const shape = bridgeLadder()
  const sheet = prepared({ id: 'ladder', name: 'Ladder', kind: 'texture', ...shape })
  const world: World = { ground, paint: () => undefined, stencil: () => sheet }
  const step = (tool: (typeof TOOL_IDS)[number], wetness: (typeof WETNESSES)[number]): SheetStep => {
    const s = freshSheet('l', 'Ladder', 'ladder', [0, 0], { id: 'p', name: 'p', colour: '#000000' })
    return { ...s, passes: [{ ...s.passes[0]!, tool, wetness, dabs: 2 }] }
  }
  const boxes = sheet.openings.map(o => boxOf(o.outer))
  const bars = boxes.flatMap((b, n) => (b.maxX - b.minX > 25 ? [n] : []))
  const pairs = LADDER_MM.map((mm, i) => {
    const [a, b] = [bars[2 * i]!, bars[2 * i + 1]!]
    const middle = (boxes[a]!.maxY + boxes[b]!.minY) / 2
    return { mm, both: [a, b], middle, x: boxes[a]!.minX + 13 }
  })

  it.each([2, 4, 8])('at %d px/mm closes exactly the bridges that the numbers call closed', px => {
    for (const tool of TOOL_IDS) {
      for (const wetness of WETNESSES) {
        const s = step(tool, wetness)
        const { closed, creep } = closedBridges(s, s.passes[0]!, sheet, world)
        const print = kindOf(s).prints(s, world)[0]!
        for (const { mm, both, middle, x } of pairs) {
          // At the very width both readings are right.
          if (Math.abs(mm - 2 * creep) < 0.01) continue
          // A row of pixels lies along the middle of the bridge: what the eye would find on finer paper.
          const box = { minX: x - 3, maxX: x + 3, minY: middle - 8 - 0.5 / px, maxY: middle + 8 }
          const grid = gridOver(box, px)
          const shut = coverAt(maskOf(print, { grid, chart: SAME }), grid, x, middle) >= 0.5
          const told = closed.some(n => both.every(o => n.openings.includes(o)))
          expect(shut, `${tool}, ${wetness}: ${mm} mm`).toBe(told)
        }
      }
    }
  })
})

describe('cover of a region', () => {
  it('is the same in a part of the picture as in all of it', () => {
    const all = gridOver({ minX: -20, minY: -20, maxX: 20, maxY: 20 }, 2)
    const part = gridOver({ minX: -5, minY: -5, maxX: 5, maxY: 5 }, 2)
    const strip = ringOf([
      [-18, -4.2],
      [18, -1.1],
      [17, 3.4],
      [-17, 0.6],
    ])
    const a = coverageOf([strip], all)
    const b = coverageOf([strip], part)
    for (let j = 0; j < b.height; j++)
      for (let i = 0; i < b.width; i++) {
        const whole = a.data[(j + b.j0 + 30 - a.j0) * a.width + i + b.i0 + 30 - a.i0]!
        expect(b.data[j * b.width + i], `${i}, ${j}`).toBeCloseTo(whole, 5)
      }
  })
})
