import { describe, expect, it } from 'vitest'
import { freshSheet, freshWash, type Step } from '#core/look'
import { drawBare, gridOver, printSteps, spongeGrain, type Grid } from '#core/raster'
import { layOn } from '#core/skin'
import { ground, MIDLINE, paint, sheets, world } from '../world'

const grid: Grid = gridOver(ground.box, 1)
const head = drawBare(grid, ground, {
  skinColour: '#d9a98a',
  hair: { cut: 'tied back', colour: '#3a2a20' },
  eyes: 'closed',
})
const grain = spongeGrain(grid)

/** How far each pixel's colour moved from the bare skin, summed over the bands. */
function change(steps: Step[]): (x: number, y: number) => number {
  const { paint: painted } = printSteps(head, steps, world, grain)
  return (x, y) => {
    const p =
      3 * (Math.floor((y - grid.y0) * grid.pxPerMm) * grid.width + Math.floor((x - grid.x0) * grid.pxPerMm))
    return [0, 1, 2].reduce((sum, k) => sum + Math.abs(painted[p + k]! - head.albedo[p + k]!), 0)
  }
}

describe('a base', () => {
  const base = freshWash('w', 'w', ['right.cheek'], [paint('harbour')], ground)

  it('colours its zone and leaves the rest of the face alone', () => {
    const at = change([base])
    expect(at(46, 38)).toBeGreaterThan(0.3)
    expect(at(-46, 38)).toBe(0)
    expect(at(0, -45)).toBe(0)
  })

  it('fades at its edge instead of stopping', () => {
    const at = change([base])
    const ring = ground.zone('right.cheek')!
    const lowest = Math.max(...ring.filter((_, i) => i % 2))
    const line = [-8, -5, -2, 1, 4].map(d => at(45, lowest + d))
    expect(line).toEqual([...line].sort((a, b) => b - a))
    expect(line[0]).toBeGreaterThan(3 * line[4]! + 0.05)
  })

  it('covers more with more layers', () => {
    const thin = change([{ ...base, dabs: 1 }])
    const thick = change([{ ...base, dabs: 5 }])
    expect(thick(46, 38)).toBeGreaterThan(1.04 * thin(46, 38))
  })

  it('runs from its first colour to its last', () => {
    const two = freshWash('w', 'w', ['forehead'], [paint('gull'), paint('soot')], ground)
    const { paint: painted } = printSteps(
      head,
      [{ ...two, dabs: 6, axis: { kind: 'line', from: [0, -60], to: [0, -20] } }],
      world,
      grain,
    )
    const bright = (y: number) =>
      painted[3 * (Math.floor(y - grid.y0) * grid.width + Math.floor(20 - grid.x0))]!
    expect(bright(-54)).toBeGreaterThan(bright(-40))
    expect(bright(-40)).toBeGreaterThan(bright(-28))
  })
})

describe('a stencil', () => {
  const at = [0, -34] as const
  const step = freshSheet('s', 's', 'heart-crest', [...at], paint('soot'))

  it('colours the skin under its openings and nothing under its bridges', () => {
    const heart = change([{ ...step, passes: [{ ...step.passes[0]!, dabs: 8 }] }])
    expect(heart(0, -34)).toBeGreaterThan(0.6)
    expect(heart(0, -70 + 15)).toBeLessThan(0.7)
    expect(heart(45, -34)).toBe(0)
  })

  it('goes where its placement puts it', () => {
    const moved = { ...step, at: [12, -30] as [number, number], tilt: 90, side: 'B' as const }
    const laid = layOn(ground.surface, moved)
    const colour = change([moved])
    // The heart's own middle, a leaf's middle and a point of bare sheet, followed to the skin.
    expect(colour(...laid.point([0, -2]))).toBeGreaterThan(0.2)
    expect(colour(...laid.point([-44, -24]))).toBe(0)
  })

  it('is the same on both sides when it is twinned', () => {
    const twinned = change([{ ...step, stencil: 'feather', at: [40, 20], tilt: 31, twin: MIDLINE }])
    let both = 0,
      one = 0
    for (let y = -20; y < 60; y += 2) {
      for (let x = 8; x < 64; x += 2) {
        const right = twinned(x + 0.5, y + 0.5) > 0.12
        const left = twinned(-x - 0.5, y + 0.5) > 0.12
        if (right && left) both++
        else if (right || left) one++
      }
    }
    expect(both).toBeGreaterThan(30)
    expect(one).toBeLessThan(0.2 * both)
  })

  it('lays a later step over an earlier one', () => {
    const dark = { ...step, passes: [{ ...step.passes[0]!, dabs: 12 }] }
    const light = {
      ...dark,
      id: 't',
      passes: [{ ...dark.passes[0]!, load: { kind: 'one' as const, paint: paint('gull') } }],
    }
    const pixel = 3 * (Math.floor(-34 - grid.y0) * grid.width + Math.floor(0.5 - grid.x0))
    expect(printSteps(head, [dark, light], world, grain).paint[pixel]!).toBeGreaterThan(0.5)
    expect(printSteps(head, [light, dark], world, grain).paint[pixel]!).toBeLessThan(0.2)
  })

  it('prints only what its group names', () => {
    const sheet = sheets.get('honeycomb')!
    const grouped = { ...world, stencil: () => ({ ...sheet, groups: [{ name: 'middle', openings: [47] }] }) }
    const one = { ...freshSheet('s', 's', 'honeycomb', [0, -34], paint('soot')) }
    one.passes[0]!.openings = { use: 'group', name: 'middle' }
    const { paint: painted } = printSteps(head, [one], grouped, grain)
    const moved = painted.reduce((n, v, i) => n + (Math.abs(v - head.albedo[i]!) > 0.05 ? 1 : 0), 0) / 3
    expect(moved).toBeGreaterThan(30)
    expect(moved).toBeLessThan(110)
    one.passes[0]!.openings = { use: 'group', name: 'gone' }
    expect(printSteps(head, [one], grouped, grain).paint).toEqual(head.albedo)
  })
})

describe('the bare head', () => {
  it.each(['#f3d6c2', '#d9a98a', '#84522f', '#4f3222'])(
    'of skin %s is that colour where nothing is drawn on it',
    skinColour => {
      const bare = drawBare(grid, ground, {
        skinColour,
        hair: { cut: 'tied back', colour: '#1c1512' },
        eyes: 'open',
      })
      const p = 3 * (Math.floor(-40 - grid.y0) * grid.width + Math.floor(20 - grid.x0))
      const wanted = [1, 3, 5]
        .map(i => parseInt(skinColour.slice(i, i + 2), 16) / 255)
        .map(v => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4))
      wanted.forEach((v, k) => expect(Math.abs(bare.albedo[p + k]! - v)).toBeLessThan(0.06 * v + 0.004))
    },
  )

  it('is lit from up left', () => {
    const light = (x: number, y: number) =>
      head.light[Math.floor(y - grid.y0) * grid.width + Math.floor(x - grid.x0)]!
    expect(light(-50, 25)).toBeGreaterThan(light(50, 25))
    expect(light(0, -40)).toBeGreaterThan(light(0, 112))
  })

  it('takes paint all over the face and nowhere off it', () => {
    const takes = (x: number, y: number) =>
      head.skin[Math.floor(y - grid.y0) * grid.width + Math.floor(x - grid.x0)]!
    for (const [x, y] of [
      [0, -55],
      [50, 20],
      [-50, 20],
      [0, 100],
      [20, 60],
    ] as const)
      expect(takes(x, y)).toBeGreaterThan(0.98)
    for (const [x, y] of [
      [95, 0],
      [-95, 0],
      [0, 140],
      [80, 100],
    ] as const)
      expect(takes(x, y)).toBe(0)
  })
})
