import { BY_BRUSH, hostsIn } from '#core/look'
import { describe, expect, it } from 'vitest'
import { looks } from '../../looks'
import { ringOf, type Ring } from '#core/geometry'
import {
  along,
  blurred,
  coverageOf,
  maskOf,
  drawBare,
  finishedPicture,
  gridOver,
  layPrint,
  noise,
  printSteps,
  spongeGrain,
  type HeadPicture,
  type Mask,
  type Painted,
} from '#core/raster'
import { opticsFrom } from '#core/paint'
import { groundOf, PLAIN_FACE, SAME } from '#core/skin'
import { ground, world } from '../world'

const sum = (mask: Mask) => mask.data.reduce((a, v) => a + v, 0)
const disc = (x: number, y: number, r: number): Ring =>
  ringOf(
    Array.from(
      { length: 256 },
      (_, i) => [x + r * Math.cos((i / 128) * Math.PI), y + r * Math.sin((i / 128) * Math.PI)] as const,
    ),
  )

describe('coverage', () => {
  const grid = gridOver({ minX: -20, minY: -20, maxX: 20, maxY: 20 }, 3)

  it('is exact: it adds up to the area, wherever the shape lies', () => {
    for (const dx of [0, 0.13, 0.5, 2.71])
      expect(sum(coverageOf([disc(dx, -dx, 8)], grid)) / 9).toBeCloseTo(Math.PI * 64, 0)
    expect(
      sum(
        coverageOf(
          [
            ringOf([
              [-3.2, 1.1],
              [4.7, 2.9],
              [0.3, 8.8],
            ]),
          ],
          grid,
        ),
      ) / 9,
    ).toBeCloseTo(Math.abs((7.9 * 7.7 - 3.5 * 1.8) / 2), 3)
  })

  it('takes holes out, and does not mind which way a region runs', () => {
    const hole = disc(0, 0, 4).slice()
    const outer = disc(0, 0, 8)
    const back = new Float64Array(hole.length)
    for (let i = 0; i < hole.length; i += 2)
      back.set([hole[hole.length - 2 - i]!, hole[hole.length - 1 - i]!], i)
    const area = sum(coverageOf([outer, back], grid)) / 9
    expect(area).toBeCloseTo(Math.PI * 48, 0)
  })

  it("is clipped at the picture's edge", () => {
    expect(
      sum(
        coverageOf(
          [
            ringOf([
              [-40, -40],
              [0, -40],
              [0, 40],
              [-40, 40],
            ]),
          ],
          grid,
        ),
      ) / 9,
    ).toBeCloseTo(800, 3)
    expect(coverageOf([disc(90, 90, 5)], grid).data).toHaveLength(0)
  })

  it('keeps its amount when it is softened', () => {
    const sharp = coverageOf([disc(0, 0, 5)], grid, 20)
    const soft = blurred(sharp, 3)
    expect(sum(soft)).toBeCloseTo(sum(sharp), 0)
    expect(Math.max(...soft.data)).toBeLessThanOrEqual(1.0001)
  })

  it('refuses a fineness that is none', () => {
    for (const bad of [0, -1, NaN, 100]) expect(() => gridOver(ground.box, bad)).toThrow(RangeError)
  })
})

describe('prints', () => {
  const grid = gridOver({ minX: -10, minY: -10, maxX: 10, maxY: 10 }, 2)
  const n = grid.width * grid.height
  const flat = (): HeadPicture => ({
    grid,
    chart: SAME,
    albedo: new Float32Array(3 * n).fill(0.5),
    light: new Float32Array(n).fill(1),
    gloss: new Float32Array(n),
    skin: new Float32Array(n).fill(1),
    hair: new Float32Array(n),
    over: new Float32Array(4 * n),
  })
  const print = {
    rings: [
      ringOf([
        [-5, -5],
        [5, -5],
        [5, 5],
        [-5, 5],
      ]),
    ],
    spread: null,
    paints: [{ optics: opticsFrom([0.6, 0.05, 0.05], 0.98), finish: 'matte' as const }],
    axis: null,
    strips: null,
    film: 9,
    opacity: 1,
    softness: 0,
    grain: 0,
    ...BY_BRUSH,
    meets: null,
  }
  const at = (x: number, y: number) => 3 * (Math.round((y + 10) * 2) * grid.width + Math.round((x + 10) * 2))

  it('covers by its opacity inside and leaves the rest alone', () => {
    const head = flat()
    const painted = { paint: head.albedo.slice(), sheen: new Float32Array(n) }
    layPrint(painted, print, head, new Float32Array(n))
    const [r, g] = painted.paint.slice(at(0, 0), at(0, 0) + 3)
    expect(r).toBeCloseTo(0.6, 1)
    expect(g).toBeCloseTo(0.05, 1)
    expect(painted.paint[at(8, 8)]).toBe(0.5)
  })

  it('does not hold where there is no skin', () => {
    const head = flat()
    head.skin.fill(0)
    const painted = { paint: head.albedo.slice(), sheen: new Float32Array(n) }
    layPrint(painted, print, head, new Float32Array(n))
    expect(painted.paint).toEqual(head.albedo)
  })

  it('runs out from a point and along a line', () => {
    expect(along({ kind: 'out', from: [0, 0], reach: 10 }, 3, 4)).toBeCloseTo(0.5, 9)
    expect(along({ kind: 'line', from: [0, 0], to: [0, 10] }, 99, 0)).toBe(0)
    expect(along({ kind: 'line', from: [0, 0], to: [0, 10] }, -7, 12)).toBe(1)
  })

  it('grows by its spread with an edge as soft, and a film of less hides less', () => {
    const reach = (spread: number) => {
      const { data, width, i0, j0 } = maskOf({ ...print, spread: [spread] }, flat())
      const row = Math.round(10 * 2) - j0
      const line = Array.from(
        { length: width },
        (_, i) => [(i0 + i + 0.5) / 2 - 10, data[row * width + i]!] as const,
      )
      return line.filter(([, c]) => c > 0.5).at(-1)![0]
    }
    expect(reach(0)).toBeCloseTo(5, 0)
    expect(reach(1.6) - reach(0)).toBeGreaterThan(1.1)
    expect(reach(1.6) - reach(0)).toBeLessThan(2.1)
    const colour = (film: number) => {
      const head = flat()
      const painted = { paint: head.albedo.slice(), sheen: new Float32Array(n) }
      layPrint(painted, { ...print, film }, head, new Float32Array(n))
      return painted.paint[at(0, 0) + 1]!
    }
    expect([0.3, 1, 3, 9].map(colour)).toEqual([0.3, 1, 3, 9].map(colour).sort((a, b) => b - a))
    expect(colour(0.3)).toBeGreaterThan(0.11)
  })

  it('shows pearl and metal by a sheen of their own, and neon brighter than it can be', () => {
    const laid = (finish: 'matte' | 'pearl' | 'neon') => {
      const head = flat()
      const painted = { paint: head.albedo.slice(), sheen: new Float32Array(n) }
      layPrint(painted, { ...print, paints: [{ ...print.paints[0]!, finish }] }, head, new Float32Array(n))
      return [painted.sheen[at(0, 0) / 3]!, painted.paint[at(0, 0)]!] as const
    }
    expect(laid('matte')[0]).toBe(0)
    expect(laid('pearl')[0]).toBeGreaterThan(0.5)
    expect(laid('neon')[1]).toBeGreaterThan(laid('matte')[1] * 1.1)
  })

  it('paints the strips of a cake side by side, and one colour into another', () => {
    const two = [print.paints[0]!, { optics: opticsFrom([0.05, 0.05, 0.6], 0.98), finish: 'matte' as const }]
    const axis = { kind: 'line' as const, from: [-5, 0] as const, to: [5, 0] as const }
    const red = (strips: number[] | null, x: number) => {
      const head = flat()
      const painted = { paint: head.albedo.slice(), sheen: new Float32Array(n) }
      layPrint(painted, { ...print, paints: two, axis, strips }, head, new Float32Array(n))
      return painted.paint[at(x, 0)]!
    }
    expect([red([0.5, 1], -3), red([0.5, 1], -1.5)].every(v => v > 0.5)).toBe(true)
    expect([red([0.5, 1], 1.5), red([0.5, 1], 3)].every(v => v < 0.15)).toBe(true)
    expect(red([0.8, 1], 2)).toBeGreaterThan(0.5)
    expect(red(null, 0)).toBeLessThan(red(null, -4))
    expect(red(null, 0)).toBeGreaterThan(red(null, 4))
  })

  it('goes on being the same picture, and changes from the changed step on', () => {
    const small = gridOver(ground.box, 0.6)
    const look = looks[0]!
    const there = { ...world, ...hostsIn(look.steps) }
    const head = drawBare(small, ground, {
      skinColour: look.skin.colour,
      hair: { cut: 'tied back', colour: look.skin.hair },
      eyes: 'open',
    })
    const grain = spongeGrain(small)
    const seen: number[] = []
    const sample = ({ paint }: Painted) => paint.reduce((a, v) => a + v, 0)
    const first = printSteps(head, look.steps, there, grain, (_s, paint) => seen.push(sample(paint)))
    expect(new Set(seen).size).toBe(look.steps.length)
    expect(printSteps(head, look.steps, there, grain)).toEqual(first)
    expect(sample(printSteps(head, look.steps.slice(0, 2), there, grain))).toBe(seen[1])
    // Bytes hide what is no number; the painted skin does not.
    expect(first.paint.every(v => Number.isFinite(v) && v >= 0)).toBe(true)
    expect(first.sheen.every(v => Number.isFinite(v) && v >= 0)).toBe(true)
    expect(finishedPicture(head, first)).toHaveLength(4 * small.width * small.height)
  })
})

describe('the head', () => {
  const grid = gridOver(ground.box, 1)
  const open = drawBare(grid, ground, {
    skinColour: '#d9a98a',
    hair: { cut: 'tied back', colour: '#3a2a20' },
    eyes: 'open',
  })
  const pixel = (x: number, y: number) => Math.floor(y - grid.y0) * grid.width + Math.floor(x - grid.x0)

  it('takes paint on skin, and not on hair, eyes or the stage', () => {
    expect(open.skin[pixel(0, -30)]).toBe(1)
    expect(open.skin[pixel(-95, 0)]).toBe(0)
    expect(open.over[4 * pixel(0, -100) + 3]).toBeGreaterThan(0.95)
    expect(open.over[4 * pixel(31, 5) + 3]).toBeGreaterThan(0.9)
  })

  it.each([3, 8, 30])('lies in its own shade all along the rim of the chin, at %s years', age => {
    const person = groundOf(PLAIN_FACE, age)
    const grid = gridOver(person.box, 4)
    const { light } = drawBare(grid, person, {
      skinColour: '#84522f',
      hair: { cut: 'tied back', colour: '#3a2a20' },
      eyes: 'open',
    })
    const { foot } = person.face!.form
    const rim: number[] = []
    for (let j = 0; j < grid.height; j++)
      for (let i = 0; i < grid.width; i++)
        if (Math.abs(grid.x0 + (i + 0.5) / 4) < 18 && Math.abs(grid.y0 + (j + 0.5) / 4 - foot + 2.5) < 2)
          rim.push(light[j * grid.width + i]!)
    expect(rim.length).toBeGreaterThan(1000)
    expect(Math.max(...rim)).toBeLessThan(0.6)
  })

  it('shows skin where an open eye was, once it is closed', () => {
    const closed = drawBare(grid, ground, {
      skinColour: '#d9a98a',
      hair: { cut: 'tied back', colour: '#3a2a20' },
      eyes: 'closed',
    })
    expect(closed.over[4 * pixel(31, 3) + 3]).toBeLessThan(0.05)
  })
})

it('has noise that stays in its bounds and repeats', () => {
  for (let i = 0; i < 500; i++) {
    const v = noise(i * 0.37, i * 1.91, 4)
    expect(v).toBeGreaterThanOrEqual(0)
    expect(v).toBeLessThanOrEqual(1)
    expect(noise(i * 0.37, i * 1.91, 4)).toBe(v)
  }
})
