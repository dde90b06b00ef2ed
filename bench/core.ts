import { Clipper, FillRule } from 'clipper2-ts'
import { shelf, shelfSvg } from '../demo/shelf'
import { ellipsePoints } from '../core/geometry/flatten'
import { mapRing, rotation, type Point } from '../core/geometry'
import { emberWing } from '../demo/looks/ember'
import { paints } from '../demo/paints'
import { findingsOf } from '../core/checks'
import {
  flowOf,
  freshLook,
  freshSheet,
  groundFor,
  kindOf,
  NO_TWIN,
  withSteps,
  type World,
} from '../core/look'
import {
  BareSkinCache,
  coverageOf,
  emptySpots,
  gridOver,
  IncrementalCompositor,
  type Mask,
} from '../core/raster'
import { Memo } from '../core/memo'
import { groundOf, layOn, liftOf, PLAIN_FACE } from '../core/skin'
import { lightened } from '../app/components/bench/stage/lighter'
import { analyse, prepared, readSvg, fitsFor, type Candidate, type SheetGeometry } from '../core/stencil'
import { twenty } from './twenty'
import { byTurns, median, medianOf, timed, type Limit, type Table } from './table'

/** The rows that need no browser and no server. */
export function coreRows(table: Table): void {
  /** A halftone of 2,000 dots, 50 x 40 at a pitch of 2.8 mm. */
  const dots = Array.from({ length: 2000 }, (_, i) =>
    Float64Array.from(
      ellipsePoints(
        ((i % 50) - 24.5) * 2.8,
        (Math.floor(i / 50) - 19.5) * 2.8,
        0.6 + (0.4 * (i % 50)) / 50,
        0.6 + (0.4 * (i % 50)) / 50,
        0.02,
      ),
    ),
  )
  const halftone: SheetGeometry = {
    width: 150,
    height: 120,
    outline: Float64Array.from([-75, -60, 75, -60, 75, 60, -75, 60]),
    openings: dots.map(outer => ({ outer, holes: [] })),
  }
  const paths = dots.map(ring =>
    Array.from({ length: ring.length / 2 }, (_, i) => ({
      x: Math.round(ring[2 * i]! * 1e4),
      y: Math.round(ring[2 * i + 1]! * 1e4),
    })),
  )
  const clipping = median(() => Clipper.union(paths, FillRule.NonZero), 3)
  const union = { words: 'one clipping-library union', value: clipping }
  table.row(
    'full analysis, 2,000 openings',
    median(() => analyse(halftone), 3),
    { ratio: 10 },
    union,
  )

  const ground = groundOf(PLAIN_FACE, 30)
  const drawer: Candidate[] = shelf.map(d => ({
    ...d,
    axes: [],
    bridge: null,
    ...readSvg(shelfSvg(d.id)).sheet,
  }))
  const sheets = Array.from({ length: 200 }, (_, i) => drawer[i % drawer.length]!)
  for (const zone of ['forehead', 'right.cheek'] as const) {
    const spot = {
      ring: ground.zone(zone)!,
      even: zone === 'forehead',
      keepOuts: ground.keepOuts,
      focus: [0, 0] as const,
      zone: zone.replace('right.', ''),
    }
    table.row(
      `what fits the ${zone}, 200 sheets`,
      median(() => void fitsFor(spot, sheets), 3),
      { most: 2000 },
      union,
    )
  }

  // Draping: a sheet of 2,000 openings and 30,000 points, pressed down at another place each time, as nothing
  // of it is kept then.
  const fifteen = Array.from({ length: 2000 }, (_, i) =>
    Float64Array.from({ length: 30 }, (_, k) => {
      const a = (2 * Math.PI * Math.floor(k / 2)) / 15
      const x = ((i % 50) - 24.5) * 2.2
      const y = (Math.floor(i / 50) - 19.5) * 2.2
      return k % 2 ? y + 0.8 * Math.sin(a) : x + 0.8 * Math.cos(a)
    }),
  )
  const many = {
    id: 'many',
    name: 'many',
    kind: 'texture' as const,
    width: 112,
    height: 90,
    outline: Float64Array.from([-56, -45, 56, -45, 56, 45, -56, 45]),
    openings: fifteen.map(outer => ({ outer, holes: [] })),
  }
  let shift = 0
  const at = (): Point => [20 + ((shift += 0.37) % 20), -10 + (shift % 13)]
  const grid = gridOver(ground.box, 4)
  const affine = median(() => {
    const map = rotation((shift += 0.37), 20, -10)
    coverageOf(
      fifteen.map(r => mapRing(map, r)),
      grid,
    )
  }, 15)
  const affineFill = { words: 'an affine map and fill of the same points', value: affine }
  const small = (name: string, ms: number, limit: Limit) => table.row(name, ms, limit, affineFill)
  layOn(ground.surface, { at: [0, 0], tilt: 0, side: 'A' }).point([50, 0])
  small(
    'drape 30,000 points',
    median(() => {
      const laid = layOn(ground.surface, { at: at(), tilt: 20, side: 'A' })
      fifteen.forEach(laid.ring)
    }, 15),
    { ratio: 3 },
  )
  const step = {
    ...freshSheet('s', 's', 'many', [30, 0], { id: 'p', name: 'p', colour: '#000000' }),
    twin: { ...NO_TWIN, rule: 'midline' as const },
  }
  const world: World = {
    ground,
    quick: true,
    paint: () => undefined,
    stencil: () => lightened(prepared(many)),
  }
  small(
    'a frame of a drag: that sheet and its twin',
    median(() => void kindOf(step).outlines({ ...step, at: [...at()] as [number, number] }, world), 25),
    { most: 8 },
  )
  const samples = Array.from({ length: 1200 }, (_, i): Point => [
    ((i % 40) - 19.5) * 2.6,
    (Math.floor(i / 40) - 14.5) * 2.8,
  ])
  small(
    'lift over 1,200 samples',
    median(
      () => void liftOf(ground.surface, layOn(ground.surface, { at: at(), tilt: 20, side: 'A' }), samples),
      7,
    ),
    {},
  )
  // The film engine: a look of 20 steps on a grown face at 4 px/mm, from nothing and after a change to its last
  // step, against filling the same paths with plain alpha.
  const shelfSheets = new Map(drawer.map(d => [d.id, prepared({ ...d, name: d.id, axes: [] })]))
  const all: World = { ground: groundFor(twenty), paint: () => undefined, stencil: id => shelfSheets.get(id) }
  const bare = new BareSkinCache(1e9).of(twenty, all.ground, 4)
  const keyOf = (s: object) => JSON.stringify(s)
  const fill = (steps: typeof twenty.steps) => {
    const paint = bare.head.albedo.slice()
    for (const step of steps) {
      for (const { rings } of kindOf(step).prints(step, { ...all, flat: true })) {
        const m: Mask = coverageOf(rings, bare.head.grid)
        for (let j = 0; j < m.height; j++)
          for (let i = 0; i < m.width; i++) {
            const a = 0.8 * m.data[j * m.width + i]!
            const p = 3 * ((m.j0 + j) * bare.head.grid.width + m.i0 + i)
            for (let k = 0; k < 3; k++) paint[p + k]! += (0.3 - paint[p + k]!) * a
          }
      }
    }
  }
  const plain = median(() => fill(twenty.steps), 5)
  const alphaFill = { words: 'filling the same paths with plain alpha', value: plain }
  const line = (name: string, ms: number, limit: Limit) => table.row(name, ms, limit, alphaFill)
  const coarseBare = new BareSkinCache(1e9).of(twenty, all.ground, 1)
  const compose = (painting: IncrementalCompositor, steps: typeof twenty.steps, world = all) => {
    for (const _ of painting.toward(steps, world, keyOf)) void _
    painting.patch()
  }
  const people = [4, 30].map((age, i) => ({
    ...freshLook('b', 'b'),
    skin: { ...freshLook('b', 'b').skin, age, colour: i ? '#d9a98a' : '#84522f' },
  }))
  // A head is painted from nothing, against what filling twenty steps takes.
  for (const look of people)
    line(
      `bare head of ${look.skin.age} years, 3 px/mm`,
      median(() => void new BareSkinCache(1e9).of(look, groundFor(look), 3), 3),
      { ratio: 5 },
    )

  line(
    '20 steps at 4 px/mm from nothing',
    median(() => compose(new IncrementalCompositor(bare), twenty.steps), 3),
    { ratio: 4 },
  )
  // On the stage a coarse painting comes first, and what both need alike is kept between them.
  line(
    'their fine painting, after the coarse one',
    medianOf(5, () => {
      const world = { ...all, memo: new Memo() }
      const paint = (px: number) => {
        const painting = new IncrementalCompositor(px === 4 ? bare : coarseBare)
        return compose(painting, twenty.steps, world)
      }
      paint(1)
      return timed(() => paint(4))
    }),
    { ratio: 2 },
  )
  const kept = new IncrementalCompositor(bare)
  compose(kept, twenty.steps)
  let moved = 0
  const changed = () =>
    compose(
      kept,
      twenty.steps.map((s, i) =>
        i === 19 ? { ...s, at: [s.at[0] + ((moved += 0.3) % 5), s.at[1]] as [number, number] } : s,
      ),
    )
  const [beside, last] = byTurns(5, [3, 9], [() => fill(twenty.steps), changed])
  table.row('the last step changed', last, { most: 50, ratio: 0.2 }, { ...alphaFill, value: beside })

  // An early step of many: what lies above it everywhere else stays.
  const many36 = {
    ...twenty,
    steps: Array.from({ length: 36 }, (_, i) => ({ ...twenty.steps[i % 20]!, id: `m${i}`, tilt: 11 * i })),
  }
  const whole36 = new IncrementalCompositor(bare)
  compose(whole36, many36.steps)
  line(
    'the first of 36 steps changed',
    median(
      () =>
        compose(
          whole36,
          many36.steps.map((s, i) =>
            i === 0 ? { ...s, at: [s.at[0] + ((moved += 0.3) % 5), s.at[1]] as [number, number] } : s,
          ),
        ),
      5,
    ),
    { ratio: 4 },
  )

  // Brushwork: a whole menu look with its strokes, gems and glitter, against the same plain fill; and what is
  // told of it.
  const ember: World = withSteps(
    { ground: groundFor(emberWing), paint: () => undefined, stencil: id => shelfSheets.get(id) },
    emberWing.steps,
  )
  const emberBare = new BareSkinCache(1e9).of(emberWing, ember.ground, 4)
  line(
    `a menu look of ${emberWing.steps.length} steps at 4 px/mm`,
    median(() => {
      for (const _ of new IncrementalCompositor(emberBare).toward(emberWing.steps, ember, keyOf)) void _
    }, 3),
    { most: 1500 },
  )
  const stroke = emberWing.steps.findIndex(s => s.label === 'Edge of the wing')
  const fresh = () => structuredClone(emberWing.steps[stroke]!)
  line(
    'a stroke and its twin laid on the skin',
    median(() => void kindOf(fresh()).prints(fresh(), ember), 15),
    { most: 16 },
  )
  line(
    'flow of a look',
    median(() => void flowOf(emberWing, ember), 5),
    {},
  )
  const kit = paints.map(p => ({ ...p }))
  line(
    'what there is to say of a look',
    median(
      () =>
        void findingsOf(
          emberWing,
          { ...ember, paint: id => kit.find(p => p.id === id) },
          kit,
          [],
          '2026-06-01',
        ),
      3,
    ),
    { most: 900 },
  )
  line(
    'empty patches of a look',
    median(() => void emptySpots(emberWing.steps, ember), 3),
    {},
  )
}
