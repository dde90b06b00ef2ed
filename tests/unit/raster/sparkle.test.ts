import { describe, expect, it } from 'vitest'
import {
  hostsIn,
  fillOf,
  freshGem,
  freshGlitter,
  freshLine,
  freshSheet,
  kindOf,
  rimOf,
  type Step,
  type World,
} from '#core/look'
import {
  balanceOf,
  BareSkinCache,
  drawBare,
  emptySpots,
  gridOver,
  printSteps,
  spongeGrain,
  type HeadPicture,
  type Painted,
} from '#core/raster'
import { groundOf, PLAIN_FACE } from '#core/skin'
import { distance, hullOf, ringHolds, ringOf, signedArea } from '#core/geometry'
import { ground, MIDLINE, paint, world } from '../world'

const soot = paint('soot')
const skin = {
  skinColour: '#8d5a3b',
  hair: { cut: 'tied back' as const, colour: '#1c1512' },
  eyes: 'open' as const,
}
const heads = new Map<number, HeadPicture>()
function headAt(px: number): HeadPicture {
  const head = heads.get(px) ?? drawBare(gridOver(ground.box, px), ground, skin)
  heads.set(px, head)
  return head
}
const painted = (head: HeadPicture, steps: Step[]): Painted =>
  printSteps(head, steps, { ...world, steps } as World, spongeGrain(head.grid))
const mean = (
  head: HeadPicture,
  { paint: p }: Painted,
  x: number,
  y: number,
  r: number,
): [number, number] => {
  let sum = 0,
    most = 0,
    n = 0
  const { grid } = head
  for (let j = 0; j < grid.height; j++)
    for (let i = 0; i < grid.width; i++) {
      if (Math.hypot(grid.x0 + (i + 0.5) / grid.pxPerMm - x, grid.y0 + (j + 0.5) / grid.pxPerMm - y) > r)
        continue
      const v = p[3 * (j * grid.width + i) + 1]!
      sum += v
      most = Math.max(most, v)
      n++
    }
  return [sum / n, most]
}

describe('a finish', () => {
  const head = headAt(6)
  const at: [number, number] = [45, 20]
  /** Colours of the pixels within some mm of the spot, three linear values each. */
  const pixels = (step: Step, r: number): number[][] => {
    const { paint: p } = painted(head, [step])
    const { grid } = head
    return Array.from({ length: grid.width * grid.height }, (_, n) => n).flatMap(n => {
      const x = grid.x0 + ((n % grid.width) + 0.5) / grid.pxPerMm
      const y = grid.y0 + (Math.floor(n / grid.width) + 0.5) / grid.pxPerMm
      return Math.hypot(x - at[0], y - at[1]) < r ? [[p[3 * n]!, p[3 * n + 1]!, p[3 * n + 2]!]] : []
    })
  }
  it('that is iridescent gives flakes of one colour different hues', () => {
    const step = { ...freshGlitter('g', 'patch', at, null, ground), sort: 'chunky' as const, amount: 1 }
    const grey = { name: 'Own', colour: '#9aa4ad' }
    const plain = { ...step, colour: grey }
    const own = { ...step, colour: { ...grey, finish: 'iridescent' as const } }
    const before = pixels(plain, 8)
    const turns = pixels(own, 8).map(([r, , b], n) => Math.log((r! / b!) * (before[n]![2]! / before[n]![0]!)))
    // Some flakes turn toward red, others toward blue; skin between them stays.
    expect(Math.max(...turns)).toBeGreaterThan(0.2)
    expect(Math.min(...turns)).toBeLessThan(-0.2)
    expect(turns.filter(t => t === 0).length).toBeGreaterThan(0)
  })

  it('of pearl makes a gem smooth: it has no facets', () => {
    const gem = { ...freshGem('p', at), size: 9, colour: { name: 'Own', colour: '#d8d2c8' } }
    const pearl = { ...gem, colour: { ...gem.colour, finish: 'pearl' as const } }
    // A ring half-way out crosses every facet of a cut gem.
    const swing = (s: Step) => {
      const all = pixels(s, 2.6).map(c => c[1]!)
      return Math.max(...all) - Math.min(...all)
    }
    expect(swing(pearl)).toBeLessThan(swing(gem))
    expect(Math.min(...pixels(pearl, 2.6).map(c => c[1]!))).toBeGreaterThan(0.1)
  })
})

describe('glitter', () => {
  const step = { ...freshGlitter('g', 'patch', [0, -40], null, ground), amount: 0.8 }

  it('glints brighter than any paint, here and there, and leaves the rest dark', () => {
    const head = headAt(4)
    const bare = mean(head, { paint: head.albedo, sheen: new Float32Array() }, 0, -40, 9)
    const [level, most] = mean(head, painted(head, [step]), 0, -40, 9)
    expect(most).toBeGreaterThan(1)
    expect(level).toBeGreaterThan(bare[0])
    expect(level).toBeLessThan(0.75)
  })

  it('is about as bright at every size of the picture, and the same each time', () => {
    const levels = [1.5, 3, 4].map(px => {
      const head = headAt(px)
      return mean(head, painted(head, [step]), 0, -40, 8)[0]
    })
    for (const l of levels) expect(Math.abs(l / levels[2]! - 1)).toBeLessThan(0.3)
    const head = headAt(1.5)
    expect(painted(head, [step]).paint).toEqual(painted(head, [step]).paint)
  })

  it('lies thicker with more of it, and not beside its patch', () => {
    const head = headAt(3)
    const changed = (s: Step) =>
      painted(head, [s]).paint.reduce((n, v, i) => n + (Math.abs(v - head.albedo[i]!) > 0.01 ? 1 : 0), 0)
    expect(changed(step)).toBeGreaterThan(2 * changed({ ...step, amount: 0.2 }))
    expect(mean(head, painted(head, [step]), 0, 20, 6)).toEqual(
      mean(head, { paint: head.albedo, sheen: new Float32Array() }, 0, 20, 6),
    )
  })
})

describe('gems', () => {
  it.each(['round', 'drop', 'star'] as const)('%s: its rim is closed and as large as said', cut => {
    const rims = Array.from({ length: 360 }, (_, d) => rimOf(cut, d))
    expect(Math.max(...rims)).toBeCloseTo(1, 2)
    expect(Math.min(...rims)).toBeGreaterThan(0.2)
    for (let d = 1; d < 360; d++) expect(Math.abs(rims[d]! - rims[d - 1]!)).toBeLessThan(0.06)
    expect(rimOf(cut, 30)).toBeCloseTo(rimOf(cut, -30), 9)
  })

  it('catch the lamp on some facets and not on others', () => {
    const head = headAt(4)
    const gem = { ...freshGem('g', [0, -40]), size: 9, colour: { name: 'Sea', colour: '#2F9FB5' } }
    const p = painted(head, [gem])
    const values: number[] = []
    for (let a = 0; a < 16; a++)
      values.push(
        mean(head, p, 3.2 * Math.cos((a * Math.PI) / 8), -40 + 3.2 * Math.sin((a * Math.PI) / 8), 0.5)[0],
      )
    expect(Math.max(...values) - Math.min(...values)).toBeGreaterThan(0.3)
    expect(mean(head, p, 0.4, -40.6, 1)[1]).toBeGreaterThan(0.6)
  })
})

describe('empty patches', () => {
  const steps = [
    freshSheet('a', 'a', 'swirl-small', [-40, -30], soot),
    freshSheet('b', 'b', 'swirl-small', [40, -30], soot),
    freshLine('c', 'line', [0, 70], soot, ground, [0, 0]),
  ]

  it('lie between the elements, on skin, clear of paint, largest first; a filled one is smaller afterwards', () => {
    const spots = emptySpots(steps, { ...world, ...hostsIn(steps) })
    expect(spots.length).toBeGreaterThan(2)
    expect(spots.map(s => s.radius)).toEqual(spots.map(s => s.radius).sort((a, b) => b - a))
    const rings = steps.flatMap(s =>
      kindOf(s)
        .prints(s, { ...world, flat: true })
        .flatMap(p => p.rings),
    )
    for (const s of spots) expect(rings.some(r => ringHolds(r, ...s.at))).toBe(false)
    const first = spots[0]!
    const filled = [...steps, fillOf('dots', 'f', first.at, first.radius, soot, ground, [0, 0])]
    expect(
      emptySpots(filled, { ...world, ...hostsIn(filled) }).some(
        s => distance(s.at, first.at) < 1 && s.radius > first.radius * 0.7,
      ),
    ).toBe(false)
    expect(emptySpots([], world)).toEqual([])
  })
})

describe('balance', () => {
  it('is even for twins, leans to the side of a single motif, and says so', () => {
    const bare = new BareSkinCache(1e8).of(
      { skin: { colour: '#e8c3a4', hair: '#3a2a20', eyes: 'open', age: 30 }, canvas: PLAIN_FACE } as never,
      groundOf(PLAIN_FACE, 30),
      1,
    )
    const side = freshSheet('a', 'a', 'swirl-small', [-44, 40], soot)
    const of = (steps: Step[]) =>
      balanceOf(bare.head, printSteps(bare.head, steps, { ...world, steps } as World, bare.grain), 1)
    expect(of([{ ...side, twin: MIDLINE }]).words).toBe('balanced')
    const left = of([side])
    expect(left.area[0]).toBeGreaterThan(50)
    expect(left.area[1]).toBe(0)
    expect(left.words).toContain('heavier on their right')
    expect(of([]).words).toBe('nothing is painted yet')
  })
})

describe('the hull', () => {
  it('of a square with points inside is the square', () => {
    const hull = hullOf([
      ringOf([
        [0, 0],
        [10, 0],
        [10, 10],
        [0, 10],
      ]),
      ringOf([
        [3, 3],
        [5, 4],
        [4, 7],
      ]),
    ])
    expect(hull.length).toBe(8)
    expect(Math.abs(signedArea(hull))).toBeCloseTo(100, 9)
    expect(() => hullOf([])).toThrow(RangeError)
  })
})
