import { describe, expect, it } from 'vitest'
import { distance, ringHolds, type Point } from '#core/geometry'
import {
  baseUnder,
  freshLine,
  freshLook,
  freshOutline,
  freshPull,
  freshRework,
  freshSheet,
  groundFor,
  kindOf,
  NO_TWIN,
  withSteps,
  type Pull,
  type SheetStep,
  type Step,
  type ToolLoad,
  type Wash,
} from '#core/look'
import { labOf, masstone, opticsOfColour, labDifference, type LinearRgb } from '#core/paint'
import { BareSkinCache, finishedPicture, IncrementalCompositor, printSteps } from '#core/raster'
import { paints } from '../../../demo/paints'
import { MIDLINE, paint, world as bareWorld } from '../world'

// What hands do on a face, looked at in the pixels that come of it.

const look = freshLook('h', 'Hands')
const PX = 3
const bare = new BareSkinCache(1e9).of(look, groundFor(look), PX)
const { grid } = bare.head
const kit = new Map(paints.map(p => [p.id, p]))
const ground = groundFor(look)
const base = { ...bareWorld, ground, paint: (id: string) => kit.get(id) }
const worldOf = (steps: readonly Step[]) => withSteps(base, steps)

/** The colour of the skin at a place after some steps. */
function painted(...steps: Step[]): (x: number, y: number) => LinearRgb {
  const { paint: p } = printSteps(bare.head, steps, worldOf(steps), bare.grain)
  return (x, y) => colourIn(p, x, y)
}
function colourIn(p: Float32Array, x: number, y: number): LinearRgb {
  const n = 3 * (Math.floor((y - grid.y0) * PX) * grid.width + Math.floor((x - grid.x0) * PX))
  return [p[n]!, p[n + 1]!, p[n + 2]!]
}
const skin = (x: number, y: number): LinearRgb => colourIn(bare.head.albedo, x, y)
const differs = (a: LinearRgb, b: LinearRgb): number => labDifference(labOf(a), labOf(b))
const looksLike = (c: LinearRgb, hex: string): number => differs(c, masstone(opticsOfColour(hex)))
/** Which of some colours a colour is nearest to. */
const nearest = (c: LinearRgb, hexes: readonly string[]): number =>
  hexes.reduce((best, hex, i) => (looksLike(c, hex) < looksLike(c, hexes[best]!) ? i : best), 0)

const bonfire = kit.get('bonfire')!
const STRIPS = bonfire.strips.map(s => s.colour)
const cake: ToolLoad = {
  kind: 'cake',
  cake: {
    id: bonfire.id,
    name: bonfire.name,
    colour: bonfire.colour,
    strips: bonfire.strips.map(s => ({ ...s })),
  },
  strips: null,
}
/** A thick straight band across the forehead, from left to right. */
const band = (change: Partial<Pull> = {}): Pull => ({
  ...freshPull('p', 'drawn', [0, -40], cake, ground, [0, 0]),
  points: [
    [-26, -40],
    [26, -40],
  ],
  width: 24,
  dark: 'left',
  dabs: 5,
  ...change,
})

describe('a base from a split cake', () => {
  /** The strip that shows at a share of the band's width, from below up. */
  const stripAt = (step: Pull, share: number): number =>
    nearest(painted(step)(4, -40 + 12 - 24 * share), STRIPS)

  it('lies in the order of its strips, each as wide as it is in the cake', () => {
    const widths = bonfire.strips.map(s => s.width)
    const total = widths.reduce((a, b) => a + b, 0)
    let sum = 0
    widths.forEach((w, n) => {
      expect(stripAt(band(), (sum + w / 2) / total), `strip ${n}`).toBe(n)
      sum += w
    })
  })

  it('lies the other way round with the tool turned over', () => {
    expect(stripAt(band(), 0.9)).toBe(3)
    expect(stripAt(band({ dark: 'right' }), 0.9)).toBe(0)
  })

  it('takes up only the strips that were chosen', () => {
    const some = band({ load: { ...cake, strips: [1, 3] } as ToolLoad })
    expect(stripAt(some, 0.2)).toBe(1)
    expect(stripAt(some, 0.85)).toBe(3)
  })

  it.each(['drawn', 'stamped'] as const)('%s on one side has the same edge outward on its twin', manner => {
    const step: Pull = {
      ...freshPull('p', manner, [40, 34], cake, ground, [0, 0]),
      points: [
        [28, 26],
        [46, 40],
      ],
      width: 18,
      dabs: 5,
      twin: { ...MIDLINE, own: null },
    }
    const at = painted(step)
    for (const [x, y] of [
      [32, 24],
      [40, 36],
      [36, 40],
    ] as const)
      expect(differs(at(x, y), at(-x, y)), `${x}, ${y}`).toBeLessThan(14)
  })

  it('turned about a point has its near end in the middle and its far end outward', () => {
    const step: Pull = {
      ...freshPull('p', 'turned', [0, -30], cake, ground, [0, 0]),
      points: [
        [0, -26],
        [-26, -26],
      ],
      dabs: 5,
    }
    const at = painted(step)
    expect(nearest(at(0, -28), STRIPS)).toBe(0)
    expect(nearest(at(0, -48), STRIPS)).toBe(3)
    // Half a turn goes over the top and leaves what lies below.
    expect(differs(at(0, -14), skin(0, -14))).toBeLessThan(2)
  })

  it('runs out toward its end where it is told to', () => {
    const at = painted(band({ ends: 0 }))
    expect(differs(at(-20, -40), skin(-20, -40))).toBeGreaterThan(15)
    expect(differs(at(25, -40), skin(25, -40))).toBeLessThan(differs(at(-20, -40), skin(-20, -40)) / 2)
  })

  it('as a base over zones repeats its bands at the width of the sponge', () => {
    const wash: Wash = {
      ...freshOutline('w', 'w', [0, -40], [paint('gull')], ground),
      points: [
        [-40, -55],
        [40, -55],
        [40, -30],
        [-40, -30],
      ],
      straight: true,
      cake: cake as Wash['cake'],
      dabs: 6,
      axis: { kind: 'line', from: [-40, -40], to: [40, -40], every: 20 },
    }
    const at = painted(wash)
    for (const x of [-22, -18, -10])
      expect(nearest(at(x, -42), STRIPS)).toBe(nearest(at(x + 20, -42), STRIPS))
    const once = painted({ ...wash, axis: { kind: 'line', from: [-40, -40], to: [40, -40] } })
    expect(nearest(once(-34, -42), STRIPS)).toBe(0)
    expect(nearest(once(34, -42), STRIPS)).toBe(3)
  })
})

describe('a gradient', () => {
  const oval: Wash = {
    ...freshOutline('w', 'w', [0, -42], [paint('gull'), paint('soot')], ground),
    dabs: 6,
  }

  it('along the edge of a design is light inside and dark along the rim', () => {
    const at = painted({ ...oval, axis: { kind: 'edge', depth: 9 } })
    const light = (x: number, y: number) => labOf(at(x, y)).l
    expect(light(0, -42)).toBeGreaterThan(70)
    expect(light(17, -42)).toBeLessThan(light(0, -42) - 15)
    expect(light(0, -32)).toBeLessThan(light(0, -42) - 25)
    expect(Math.abs(light(15, -42) - light(-15, -42))).toBeLessThan(8)
  })

  it('has each colour where its stop is', () => {
    const line = { kind: 'line', from: [-18, -42], to: [18, -42] } as const
    const three = { ...oval, colours: [paint('gull'), paint('rosehip'), paint('soot')], axis: line }
    const red = (stops?: number[]) => {
      const at = painted({ ...three, ...(stops && { stops }) } as Wash)
      return looksLike(at(-8, -42), '#B3202C')
    }
    expect(red([0, 0.28, 1])).toBeLessThan(red() - 3)
  })

  it('runs out to nothing at its end', () => {
    const line = { kind: 'line', from: [-18, -42], to: [18, -42] } as const
    const one: Wash = { ...oval, colours: [paint('soot')], axis: { ...line } as Wash['axis'], runsOut: 0.2 }
    const at = painted(one)
    expect(differs(at(-14, -42), skin(-14, -42))).toBeGreaterThan(25)
    expect(differs(at(17, -42), skin(17, -42))).toBeLessThan(8)
  })
})

describe('a part of a stencil', () => {
  const sheet: SheetStep = {
    ...freshSheet('s', 'Scales', 'scales', [0, -36], paint('soot')),
  }
  const part = { by: 'shape', loop: disc([20, -40], 12), fades: 2 } as const
  const kept: SheetStep = {
    ...sheet,
    passes: [{ ...sheet.passes[0]!, part: { ...part, loop: [...part.loop] } }],
  }

  it('is dabbed inside the drawn shape and nowhere else', () => {
    const all = painted(sheet)
    const some = painted(kept)
    let inside = 0
    for (let x = -45; x <= 45; x += 1.5)
      for (let y = -60; y <= -20; y += 1.5) {
        const off = distance([x, y], [20, -40])
        if (off > 16) expect(differs(some(x, y), skin(x, y))).toBeLessThan(0.5)
        if (off < 8 && differs(all(x, y), skin(x, y)) > 20) {
          inside++
          expect(differs(some(x, y), all(x, y))).toBeLessThan(3)
        }
      }
    expect(inside).toBeGreaterThan(10)
  })

  it('takes less time and paint than all of it', () => {
    const effort = (s: SheetStep) => kindOf(s).effort(s, worldOf([s])).seconds
    const mg = (s: SheetStep) => kindOf(s).lays(s, worldOf([s]))[0]!.mg
    expect(effort(kept)).toBeLessThanOrEqual(effort(sheet))
    expect(mg(kept)).toBeLessThan(0.5 * mg(sheet))
    expect(mg(kept)).toBeGreaterThan(0.03 * mg(sheet))
  })

  it('keeps to where an earlier base lies, or to a strip of its cake', () => {
    const host = band({ dabs: 1 })
    const on = (strips: number[] | null): SheetStep => ({
      ...sheet,
      passes: [{ ...sheet.passes[0]!, part: { by: 'step', step: 'p', strips, fades: 0 } }],
    })
    const alone = painted(host)
    const whole = painted(host, on(null))
    const upper = painted(host, on([3]))
    let [everywhere, above, below] = [0, 0, 0]
    for (let x = -24; x <= 24; x += 1)
      for (let y = -56; y <= -24; y += 1) {
        if (differs(whole(x, y), alone(x, y)) > 8) everywhere++
        if (differs(upper(x, y), alone(x, y)) <= 8) continue
        if (y < -45) above++
        if (y > -40) below++
      }
    expect(everywhere).toBeGreaterThan(100)
    expect(above).toBeGreaterThan(10)
    expect(below).toBe(0)
    expect(differs(whole(0, -10), skin(0, -10))).toBeLessThan(1)
  })
})

/** Points round a place. */
function disc([x, y]: Point, r: number): [number, number][] {
  return Array.from({ length: 24 }, (_, i) => {
    const a = (2 * Math.PI * i) / 24
    return [x + r * Math.cos(a), y + r * Math.sin(a)]
  })
}

describe('going over', () => {
  it('wiped paint leaves its tint and no more', () => {
    const wipe = { ...freshRework('w', 'wipe', 'outline', [0, -40], [], ground), stays: 0.1, edge: 0.3 }
    const before = painted(band())(0, -40)
    const after = painted(band(), wipe)(0, -40)
    for (const b of [0, 1, 2] as const) {
      const bareThere = skin(0, -40)[b]
      expect(after[b] - bareThere).toBeCloseTo(0.1 * (before[b] - bareThere), 2)
    }
  })

  it('blending leaves one colour as it is, and makes strips run into one another', () => {
    const plain = band({ load: { kind: 'one', paint: paint('harbour') } })
    const blend = { ...freshRework('b', 'blend', 'print', [0, 0], ['p'], ground), reach: 4 }
    const one = painted(plain)(0, -40)
    expect(differs(painted(plain, blend)(0, -40), one)).toBeLessThan(3)
    // At the seam of yellow and orange the step from one to the other becomes a slope.
    const steep = (at: (x: number, y: number) => LinearRgb) =>
      Math.max(...[0, 1, 2, 3, 4, 5, 6, 7].map(k => differs(at(0, -44 + k), at(0, -43 + k))))
    expect(steep(painted(band(), blend))).toBeLessThan(0.6 * steep(painted(band())))
  })

  it('mixes as paint does: blue beside yellow blends to a green, not to a grey', () => {
    const two = band({
      load: { kind: 'double', first: paint('beacon'), second: paint('harbour'), share: 0.5 },
    })
    const blend = { ...freshRework('b', 'blend', 'print', [0, 0], ['p'], ground), reach: 5 }
    const at = painted(two, blend)
    const hues = [-44, -42, -40, -38, -36].map(y => labOf(at(0, y)))
    expect(Math.min(...hues.map(({ a }) => a))).toBeLessThan(-8)
  })

  it('paints the same picture whether it is painted at once or change by change', () => {
    const blend = freshRework('b', 'blend', 'rim', [0, 0], ['p'], ground)
    const wipe = freshRework('w', 'wipe', 'outline', [10, -44], [], ground)
    const line = freshLine('l', 'line', [0, -40], paint('soot'), ground, [0, 0])
    const steps: Step[][] = [
      [band(), blend, line, wipe],
      [band({ width: 18 }), blend, line, wipe],
      [band({ width: 18 }), { ...blend, reach: 6 }, line, wipe],
      [
        band({ width: 18 }),
        { ...blend, reach: 6 },
        {
          ...line,
          points: [
            [-8, -50],
            [0, -40],
            [9, -30],
          ],
        },
        wipe,
      ],
      [band({ width: 18 }), line, wipe],
    ]
    const kept = new IncrementalCompositor(bare)
    for (const list of steps) {
      // What goes over another depends on that one too.
      const key = (s: Step) =>
        JSON.stringify([s, list.filter(host => kindOf(s).follows(s).includes(host.id))])
      for (const _ of kept.toward(list, worldOf(list), key)) void _
      const fresh = printSteps(bare.head, list, worldOf(list), bare.grain)
      expect(Buffer.compare(Buffer.from(kept.whole()), Buffer.from(finishedPicture(bare.head, fresh)))).toBe(
        0,
      )
    }
  })
})

describe('left free', () => {
  it('keeps named places and drawn shapes bare, on both sides', () => {
    const cheeks = {
      ...freshOutline('w', 'w', [40, 30], [paint('harbour')], ground),
      twin: { ...MIDLINE, own: null },
      dabs: 5,
    }
    const hole = disc([40, 30], 6)
    const at = painted({ ...cheeks, holes: [hole] })
    for (const x of [40, -40]) {
      expect(differs(at(x, 30), skin(x, 30))).toBeLessThan(2)
      expect(differs(at(x + 12, 30), skin(x + 12, 30))).toBeGreaterThan(15)
    }
    const half = painted({ ...cheeks, free: ['left half'] })
    expect(differs(half(-40, 30), skin(-40, 30))).toBeLessThan(1)
    expect(differs(half(40, 30), skin(40, 30))).toBeGreaterThan(15)
  })

  it.each(['lids', 'brows', 'jaw'] as const)('leaves the %s free of a stencil', place => {
    const zone = ground.zone(`right.${place === 'jaw' ? 'jaw' : place === 'lids' ? 'lid' : 'brow'}`)!
    const mid: Point = [
      zone.reduce((s, v, i) => (i % 2 ? s : s + v), 0) / (zone.length / 2),
      zone.reduce((s, v, i) => (i % 2 ? s + v : s), 0) / (zone.length / 2),
    ]
    const sheet = { ...freshSheet('s', 's', 'scales', mid, paint('soot')) }
    const all = painted(sheet)
    const free = painted({ ...sheet, free: [place] })
    let [was, is] = [0, 0]
    for (let x = mid[0] - 14; x < mid[0] + 14; x++)
      for (let y = mid[1] - 14; y < mid[1] + 14; y++)
        if (ringHolds(zone, x, y)) {
          was += differs(all(x, y), skin(x, y))
          is += differs(free(x, y), skin(x, y))
        }
    expect(is).toBeLessThan(0.35 * was)
  })
})

describe('the base under a stencil', () => {
  it('lies beneath all that the stencil prints, and goes where it goes', () => {
    const sheet = { ...freshSheet('s', 'Moth', 'moth', [0, -36], paint('soot')), twin: { ...NO_TWIN } }
    const wash = baseUnder(sheet, 'b', [paint('gull')], 3, worldOf([sheet]))!
    expect(wash.rides).toBe('s')
    const outline = kindOf(wash).contour(wash, worldOf([wash]), null)
    const rings = kindOf(sheet).contour(sheet, { ...worldOf([sheet]), flat: true }, null)
    let [inside, all] = [0, 0]
    for (const ring of rings)
      for (let i = 0; i < ring.length; i += 2, all++)
        if (outline.some(o => ringHolds(o, ring[i]!, ring[i + 1]!))) inside++
    expect(inside).toBe(all)
  })
})

describe('brushwork', () => {
  const line = (change: object) => ({
    ...freshLine('l', 'line', [0, -40], paint('harbour'), ground, [0, 0]),
    points: [
      [-24, -40],
      [0, -40],
      [24, -40],
    ] as [number, number][],
    params: { press: 90, even: 100 },
    ...change,
  })

  it('that runs dry is full where it begins and gone where it ends', () => {
    const at = painted(line({ fades: [1, 0] }))
    expect(differs(at(-20, -40), skin(-20, -40))).toBeGreaterThan(20)
    expect(differs(at(23, -40), skin(23, -40))).toBeLessThan(12)
  })

  it('is as wide as it is pressed along its way', () => {
    const wide = (step: Step, x: number) => {
      const at = painted(step)
      let n = 0
      for (let y = -46; y < -34; y += 0.25) if (differs(at(x, y), skin(x, y)) > 15) n++
      return n / 4
    }
    const pressed = line({ pressed: [0.2, 1.4, 0.2] })
    expect(wide(pressed, 0)).toBeGreaterThan(wide(line({}), 0))
    expect(wide(pressed, -21)).toBeLessThan(0.75 * wide(line({}), -21))
  })
})
