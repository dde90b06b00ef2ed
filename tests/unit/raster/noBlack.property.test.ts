import fc from 'fast-check'
import { expect, it } from 'vitest'
import { freshLook, freshOutline, groundFor, laidPaint, type Step, type Wash } from '#core/look'
import { BareSkinCache, printSteps } from '#core/raster'
import { masstone, met, wetBlend, type FilmState, type Optics } from '#core/paint'
import { ground, paint, world } from '../world'

const look = freshLook('w', 'Wet')
const bare = new BareSkinCache(1e9).of(look, groundFor(look), 1)
const PAINTS = ['gull', 'soot', 'beacon', 'harbour', 'rosehip', 'oyster', 'lantern', 'flare']
const SHARES = [0, 0.25, 0.5, 0.75, 1]

const axis = fc.oneof(
  fc.record({ kind: fc.constant('edge' as const), depth: fc.double({ min: 0.5, max: 30, noNaN: true }) }),
  fc.record({
    kind: fc.constant('out' as const),
    from: fc.constant([0, 40] as [number, number]),
    reach: fc.double({ min: 2, max: 60, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('line' as const),
    from: fc.constant([-30, 40] as [number, number]),
    to: fc.constant([30, 40] as [number, number]),
  }),
)
const base = fc.record({
  paints: fc.subarray(PAINTS, { minLength: 1, maxLength: 2 }),
  axis,
  runsOut: fc.option(fc.double({ min: 0, max: 1, noNaN: true }), { nil: undefined }),
  dabs: fc.integer({ min: 1, max: 6 }),
  x: fc.integer({ min: -25, max: 25 }),
})

// A film that ran out to nothing used to mix with the wet one beneath it as 0 of 0, which is black.
it('leaves no pixel darker than the darkest of its films, their mixtures and the skin', () => {
  fc.assert(
    fc.property(base, base, fc.constantFrom<FilmState>('dry', 'tacky', 'wet'), (a, b, state) => {
      const steps = [a, b].map(({ paints, x, runsOut, ...of }, n): Step => {
        const fresh = freshOutline(`s${n}`, 'Base', [x, 40], paints.map(paint), ground)
        return { ...fresh, ...of, ...(runsOut !== undefined && { runsOut }) } as Wash
      })
      const wetUnder = (id: string) => new Map<string, FilmState>(id === 's1' ? [['s0', state]] : [])
      const { paint: laid } = printSteps(bare.head, steps, { ...world, wetUnder }, bare.grain)
      const optics = (s: typeof a): Optics[] => s.paints.map(id => laidPaint(paint(id), world).optics)
      const mixed = [...optics(a), ...optics(b)].flatMap((p, _, all) =>
        all.flatMap(q => SHARES.map(share => wetBlend(p, q, share))),
      )
      // The mixture of two mixtures may be a little darker than either.
      const least = [0, 1, 2].map(band => 0.8 * Math.min(...mixed.map(o => masstone(o)[band]!)))
      for (let i = 0; i < laid.length; i++) {
        const value = laid[i]!
        const skin = bare.head.albedo[i]!
        if (!(value >= Math.min(least[i % 3]!, skin) - 1e-4))
          throw new Error(`pixel ${Math.floor(i / 3)} is ${value}, skin ${skin}, least ${least[i % 3]}`)
      }
    }),
    { numRuns: 60, seed: 3 },
  )
})

it('mixes nothing with nothing, and keeps what there is of paint', () => {
  for (const state of [0, 0.25, 0.7])
    for (const [under, laid] of [
      [0, 0],
      [1, 0],
      [0, 1],
      [0.3, 0.6],
    ] as const) {
      const { left, mixed, share } = met(under, laid, state)
      expect(left + mixed).toBeCloseTo(under + laid, 12)
      expect(share).toBeGreaterThanOrEqual(0)
      expect(share).toBeLessThanOrEqual(1)
    }
})
