import { describe, expect, it } from 'vitest'
import { looks } from '../../../demo/looks'
import { ringOf, type Ring } from '#core/geometry'
import { blurred, colourAlong, coverageOf, drawHead, finishedPicture, gridOver, HEAD_BOX, layPrint, noise, printSteps, spongeGrain, type HeadPicture, type Mask } from '#core/raster'
import { ADULT_FACE, adultRelief, tabulate } from '#core/skin'
import { world } from '../world'

const sum = (mask: Mask) => mask.data.reduce((a, v) => a + v, 0)
const disc = (x: number, y: number, r: number): Ring => ringOf(Array.from({ length: 256 }, (_, i) => [x + r * Math.cos(i / 128 * Math.PI), y + r * Math.sin(i / 128 * Math.PI)] as const))

describe('coverage', () => {
  const grid = gridOver({ minX: -20, minY: -20, maxX: 20, maxY: 20 }, 3)

  it('is exact: it adds up to the area, wherever the shape lies', () => {
    for (const dx of [0, 0.13, 0.5, 2.71]) expect(sum(coverageOf([disc(dx, -dx, 8)], grid)) / 9).toBeCloseTo(Math.PI * 64, 0)
    expect(sum(coverageOf([ringOf([[-3.2, 1.1], [4.7, 2.9], [0.3, 8.8]])], grid)) / 9).toBeCloseTo(Math.abs((7.9 * 7.7 - 3.5 * 1.8) / 2), 3)
  })

  it('takes holes out, and does not mind which way a region runs', () => {
    const hole = disc(0, 0, 4).slice(), outer = disc(0, 0, 8)
    const back = new Float64Array(hole.length)
    for (let i = 0; i < hole.length; i += 2) back.set([hole[hole.length - 2 - i]!, hole[hole.length - 1 - i]!], i)
    const area = sum(coverageOf([outer, back], grid)) / 9
    expect(area).toBeCloseTo(Math.PI * 48, 0)
  })

  it('is clipped at the picture\'s edge', () => {
    expect(sum(coverageOf([ringOf([[-40, -40], [0, -40], [0, 40], [-40, 40]])], grid)) / 9).toBeCloseTo(800, 3)
    expect(coverageOf([disc(90, 90, 5)], grid).data).toHaveLength(0)
  })

  it('keeps its amount when it is softened', () => {
    const sharp = coverageOf([disc(0, 0, 5)], grid, 20), soft = blurred(sharp, 3)
    expect(sum(soft)).toBeCloseTo(sum(sharp), 0)
    expect(Math.max(...soft.data)).toBeLessThanOrEqual(1.0001)
  })

  it('refuses a fineness that is none', () => {
    for (const bad of [0, -1, NaN, 100]) expect(() => gridOver(HEAD_BOX, bad)).toThrow(RangeError)
  })
})

describe('prints', () => {
  const grid = gridOver({ minX: -10, minY: -10, maxX: 10, maxY: 10 }, 2), n = grid.width * grid.height
  const flat = (): HeadPicture => ({ grid, albedo: new Float32Array(3 * n).fill(0.5), light: new Float32Array(n).fill(1), gloss: new Float32Array(n), skin: new Float32Array(n).fill(1), over: new Float32Array(4 * n) })
  const print = { rings: [ringOf([[-5, -5], [5, -5], [5, 5], [-5, 5]])], colours: [[1, 0, 0]] as const, axis: null, opacity: 0.8, softness: 0, grain: 0 }
  const at = (x: number, y: number) => 3 * (Math.round((y + 10) * 2) * grid.width + Math.round((x + 10) * 2))

  it('covers by its opacity inside and leaves the rest alone', () => {
    const head = flat(), paint = head.albedo.slice()
    layPrint(paint, print, head, new Float32Array(n))
    expect([...paint.slice(at(0, 0), at(0, 0) + 3)].map(v => +v.toFixed(4))).toEqual([0.9, 0.1, 0.1])
    expect(paint[at(8, 8)]).toBe(0.5)
  })

  it('does not hold where there is no skin', () => {
    const head = flat()
    head.skin.fill(0)
    const paint = head.albedo.slice()
    layPrint(paint, print, head, new Float32Array(n))
    expect(paint).toEqual(head.albedo)
  })

  it('runs colours out from a point and along a line', () => {
    const two = [[0, 0, 0], [1, 1, 1]] as const
    expect(colourAlong(two, { kind: 'out', from: [0, 0], reach: 10 }, 3, 4)[0]).toBeCloseTo(0.5, 9)
    expect(colourAlong(two, { kind: 'line', from: [0, 0], to: [0, 10] }, 99, 0)[0]).toBe(0)
    expect(colourAlong(two, { kind: 'line', from: [0, 0], to: [0, 10] }, -7, 12)[0]).toBe(1)
    expect(colourAlong([two[1]], null, 5, 5)).toEqual([1, 1, 1])
  })

  it('goes on being the same picture, and changes from the changed step on', () => {
    const small = gridOver(HEAD_BOX, 0.6), look = looks[0]!
    const head = drawHead(small, { skinColour: look.skin.colour, hairColour: look.skin.hair, eyes: 'open', landmarks: ADULT_FACE }), grain = spongeGrain(small), seen: number[] = []
    const sample = (paint: Float32Array) => paint.reduce((a, v) => a + v, 0)
    const first = printSteps(head, look.steps, world, grain, (_s, paint) => seen.push(sample(paint)))
    expect(new Set(seen).size).toBe(look.steps.length)
    expect(printSteps(head, look.steps, world, grain)).toEqual(first)
    expect(sample(printSteps(head, look.steps.slice(0, 2), world, grain))).toBe(seen[1])
    const picture = finishedPicture(head, first)
    expect(picture).toHaveLength(4 * small.width * small.height)
    expect(picture.some(v => Number.isNaN(v))).toBe(false)
  })
})

describe('the head', () => {
  const grid = gridOver(HEAD_BOX, 1), open = drawHead(grid, { skinColour: '#d9a98a', hairColour: '#3a2a20', eyes: 'open', landmarks: ADULT_FACE })
  const pixel = (x: number, y: number) => Math.floor(y - grid.y0) * grid.width + Math.floor(x - grid.x0)

  it('takes paint on skin, and not on hair, eyes or the stage', () => {
    expect(open.skin[pixel(0, -30)]).toBe(1)
    expect(open.skin[pixel(-95, 0)]).toBe(0)
    expect(open.over[4 * pixel(0, -100) + 3]).toBeGreaterThan(0.95)
    expect(open.over[4 * pixel(31, 5) + 3]).toBeGreaterThan(0.9)
  })

  it('shows skin where an open eye was, once it is closed', () => {
    const closed = drawHead(grid, { skinColour: '#d9a98a', hairColour: '#3a2a20', eyes: 'closed', landmarks: ADULT_FACE })
    expect(closed.over[4 * pixel(31, 3) + 3]).toBeLessThan(0.05)
  })

  it('has a relief that is even on both sides and highest at the nose', () => {
    for (const [x, y] of [[10, 20], [31, 5], [45, -30], [60, 40]] as const) expect(adultRelief(-x, y)).toBeCloseTo(adultRelief(x, y), 10)
    expect(adultRelief(0, 45)).toBeGreaterThan(adultRelief(25, 45) + 8)
    expect(adultRelief(200, 0)).toBe(0)
  })

  it('is read back from its table with its slopes', () => {
    const table = tabulate((x, y) => 3 + 0.2 * x - 0.1 * y + 0.004 * x * y, { minX: -20, minY: -20, maxX: 20, maxY: 20 }), slope = new Float64Array(2)
    expect(table.z(3.3, -7.7)).toBeCloseTo(3 + 0.66 + 0.77 - 0.004 * 3.3 * 7.7, 9)
    table.slope(3.3, -7.7, slope)
    expect(slope[0]).toBeCloseTo(0.2 - 0.004 * 7.7, 9)
    expect(slope[1]).toBeCloseTo(-0.1 + 0.004 * 3.3, 9)
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
