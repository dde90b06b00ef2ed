import { describe, expect, it } from 'vitest'
import type { z } from 'zod'
import {
  clockwise,
  difference,
  intersection,
  mirrored,
  pointsOf,
  polygonArea,
  regionOf,
  ringOf,
  type Point,
  type Ring,
} from '#core/geometry'
import {
  applied,
  copied,
  freshDots,
  freshLook,
  KINDS,
  rideAlong,
  ridersOf,
  turnedCopy,
  freshLine,
  freshOutline,
  freshPull,
  freshRework,
  freshSheet,
  kindOf,
  NO_TWIN,
  withSteps,
  type Print,
  type SheetStep,
  type Step,
  type World,
} from '#core/look'
import { ground, MIDLINE, paint, world as bare } from '../world'

const soot = paint('soot')
const gull = paint('gull')
const LOOP: [number, number][] = [
  [20, -50],
  [60, -50],
  [60, -10],
  [20, -10],
]
const HOLE: [number, number][] = [
  [30, 20],
  [40, 20],
  [40, 32],
]
const twin = { ...MIDLINE, own: null }
const cake = {
  id: 'bonfire',
  name: 'Bonfire',
  colour: '#E2611C',
  strips: [
    { name: 'ivory', colour: '#F0E2C2', width: 6 },
    { name: 'rosehip', colour: '#B3202C', width: 8 },
  ],
} as never

const base = freshOutline('base', 'Base', [40, 30], [soot, gull], ground)
/** Steps off the midline with as much said as their kinds can say, each with a twin in a mirror. */
const STEPS: readonly Step[] = [
  {
    ...base,
    twin,
    free: ['lids', 'eyes'],
    holes: [HOLE],
    runsOut: 0.3,
    glitter: true,
    axis: { kind: 'line', from: [25, 20], to: [60, 40] },
  },
  { ...base, id: 'out', twin, axis: { kind: 'out', from: [35, 25], reach: 30 } },
  ...(['heart-crest', 'swirl-small'] as const).flatMap((stencil, n): Step[] => {
    const sheet: SheetStep = {
      ...freshSheet(`s${n}`, 'S', stencil, [42, -34], soot),
      tilt: 20,
      twin: { ...MIDLINE },
    }
    const [pass] = sheet.passes
    return [
      {
        ...sheet,
        holes: [HOLE],
        free: ['brows'],
        passes: [{ ...pass!, part: { by: 'shape', loop: LOOP, fades: 4 } }],
      },
      {
        ...sheet,
        id: `z${n}`,
        passes: [
          { ...pass!, part: { by: 'zones', zones: ['left.temple', 'left.cheekbone', 'forehead'], fades: 2 } },
        ],
      },
      {
        ...sheet,
        id: `l${n}`,
        passes: [{ ...pass!, runsOut: 0.2, load: { kind: 'cake', cake, direction: 30 } }],
      },
      {
        ...sheet,
        id: `a${n}`,
        passes: [
          {
            ...pass!,
            load: { kind: 'over', first: soot, second: gull, direction: 0 },
            axis: { kind: 'line', from: [30, -50], to: [55, -20] },
            glitter: true,
          },
        ],
      },
    ]
  }),
  {
    ...freshLine('line', 'band', [40, 10], soot, ground, [0, 0]),
    twin,
    dark: 'left',
    load: { kind: 'double', light: gull, dark: soot },
    fades: [1, 0.2],
    pressed: [1, 0.4, 1],
  },
  { ...freshDots('dots', 'row', [40, 10], null, soot, ground, [0, 0]), twin },
  {
    ...freshPull('pull', 'drawn', [40, 20], { kind: 'one', paint: soot }, ground, [0, 0]),
    twin,
    free: ['brows'],
    holes: [HOLE],
    load: { kind: 'cake', cake, strips: null },
    ends: 0.3,
  },
  {
    ...freshPull('turned', 'turned', [40, 20], { kind: 'one', paint: soot }, ground, [0, 0]),
    twin,
    load: { kind: 'cake', cake, strips: null },
  },
  {
    ...freshRework('rework', 'blend', 'outline', [40, 20], [], ground),
    twin,
    free: ['brows'],
    holes: [HOLE],
  },
] as Step[]

const area = (rings: readonly Ring[]) => regionOf(clockwise(rings), 'nonzero')
const size = (polygons: ReturnType<typeof area>) => polygons.reduce((sum, p) => sum + polygonArea(p), 0)
const inMirror = (rings: readonly Ring[]): Ring[] => rings.map(r => ringOf(pointsOf(r).map(mirrored)))

/** What two sets of rings do not share, mm2. */
function apart(a: readonly Ring[], b: readonly Ring[]): number {
  const [p, q] = [area(a), area(b)]
  return size(difference(p, q)) + size(difference(q, p))
}

/** Points of something that a print says, in their order. */
const pointsIn = (value: unknown): Point[] =>
  JSON.stringify(value ?? null)
    .match(/\[-?[\d.e-]+,-?[\d.e-]+\]/g)
    ?.map(text => JSON.parse(text) as Point) ?? []

describe('a twin in a mirror', () => {
  const world: World = withSteps(bare, STEPS)
  it.each(STEPS.map(s => [s.id, s] as const))(
    'of %s is the mirror image of all that its step says',
    (_, step) => {
      const kind = kindOf(step)
      const prints = kind.prints(step, { ...world, flat: true })
      const own = kind.prints({ ...step, twin: { ...NO_TWIN } } as Step, { ...world, flat: true })
      if (prints.length === own.length) {
        // Dots, and what is gone over, are one print on both sides.
        const both = own.flatMap(p => [...p.rings, ...inMirror(p.rings)])
        return expect(
          apart(
            both,
            prints.flatMap(p => p.rings),
          ),
        ).toBeLessThan(0.5)
      }
      expect(prints).toHaveLength(2 * own.length)
      own.forEach((print: Print, n) => {
        const image = prints[own.length + n]!
        const whole = size(area(print.rings))
        expect(whole).toBeGreaterThan(1)
        expect(apart(inMirror(print.rings), image.rings)).toBeLessThan(0.02 * whole)
        // Zones are drawn by the features of their own side, which differ a little.
        const only = print.only?.rings ?? []
        expect(apart(inMirror(only), image.only?.rings ?? [])).toBeLessThanOrEqual(0.05 * size(area(only)))
        // Drawn shapes are left free on both sides of both.
        const free = (p: Print) =>
          (p.free ?? []).filter(r => pointsOf(r).every(([x]) => Math.abs(x) > 1 || Math.abs(x) < 0.5))
        expect(apart(inMirror(free(print)), free(image))).toBeLessThan(120)
        pointsIn(print.axis).forEach(([x, y], i) => {
          const [u, v] = pointsIn(image.axis)[i]!
          expect([Math.abs(u + x), Math.abs(v - y)].every(d => d < 0.6)).toBe(true)
        })
      })
    },
  )
})

describe('what is drawn on the skin over a stencil', () => {
  const fresh = freshSheet('s', 'S', 'swirl-small', [42, -34], soot)
  const drawn: SheetStep = {
    ...fresh,
    holes: [HOLE],
    passes: [
      {
        ...fresh.passes[0]!,
        part: { by: 'shape', loop: LOOP, fades: 4 },
        axis: { kind: 'line', from: [30, -50], to: [55, -20] },
      },
    ],
  }
  const printed = (step: SheetStep, side: number): number => {
    const prints = kindOf<Step>(step).prints(step, { ...bare, flat: true })
    const print = prints[side]!
    return size(area(print.only!.rings.length ? [...intersected(print)] : []))
  }
  const intersected = ({ rings, only }: Print): Ring[] =>
    intersection(area(rings), area(only!.rings)).flatMap(p => [p.outer, ...p.holes])

  it('goes with a twin in a place of its own', () => {
    const linked: SheetStep = { ...drawn, twin: { ...MIDLINE } }
    const own: SheetStep = {
      ...drawn,
      twin: { ...MIDLINE, own: { at: [-30, 30], tilt: -40, side: 'B', grip: [0, 0] } },
    }
    expect(printed(linked, 1)).toBeGreaterThan(20)
    expect(printed(own, 1)).toBeGreaterThan(0.8 * printed(linked, 1))
    // A part that a sheet of the same side would have, drawn where that lies.
    const same = { ...own, twin: { ...own.twin, own: { ...own.twin.own!, side: 'A' as const } } }
    expect(printed(same, 1)).toBeGreaterThan(0.8 * printed(linked, 1))
  })

  it('goes with the sheet when it is moved, turned or flipped, and stays where it was put by itself', () => {
    const before = ridersOf([drawn])
    const moved = copied(drawn)
    Object.assign(moved, { at: [-20, 20], tilt: 70, side: 'B' })
    rideAlong(before, [moved], ground)
    expect(printed(moved, 0)).toBeGreaterThan(0.8 * printed(drawn, 0))
    expect(moved.holes).not.toEqual(drawn.holes)
    expect(moved.passes[0]!.axis).not.toEqual(drawn.passes[0]!.axis)
    const redrawn = copied(drawn)
    redrawn.at = [10, 20]
    redrawn.passes[0]!.part = { by: 'shape', loop: HOLE, fades: 4 }
    rideAlong(before, [redrawn], ground)
    expect(redrawn.passes[0]!.part).toEqual({ by: 'shape', loop: HOLE, fades: 4 })
  })

  it('goes with a copy that is turned', () => {
    const look = { ...freshLook('l', 'L'), steps: [drawn] }
    const turned = applied(
      look,
      turnedCopy(new Set(['s']), 180, bare, () => 'copy'),
    )
    const copy = turned.steps[1] as SheetStep
    expect(printed(copy, 0)).toBeGreaterThan(0.8 * printed(drawn, 0))
  })
})

describe('the fields of every kind of step', () => {
  /** The paths of the fields of a schema, lists and choices looked through. */
  function paths(schema: z.core.$ZodType, at: string, into: Set<string>): void {
    const { def } = schema._zod as unknown as { def: Record<string, unknown> & { type: string } }
    const inner = (def.innerType ?? def.element ?? def.schema) as z.core.$ZodType | undefined
    if (def.type === 'object')
      for (const [key, of] of Object.entries(def.shape as Record<string, z.core.$ZodType>))
        paths(of, at ? `${at}.${key}` : key, into)
    else if (def.type === 'union')
      for (const option of def.options as z.core.$ZodType[]) paths(option, at, into)
    else if (inner) paths(inner, at, into)
    else into.add(at)
  }
  /** Fields that lie somewhere on the skin or name a side of it: a twin must turn every one of them over. */
  const PLACES =
    /point|from|to$|zones|loop|holes|free|about|own|^at|tilt|side|grip|dark|angle|direction|axis|part/
  it('that say where something is are all among those that the tests above mirror', () => {
    const found = new Set<string>()
    for (const [name, kind] of Object.entries(KINDS)) {
      const own = new Set<string>()
      paths(kind.schema, '', own)
      for (const path of own) if (PLACES.test(path)) found.add(`${name}.${path}`)
    }
    const places = [...found].map(p => p.replace(/^\w+\./, '')).filter(p => !/^twin|register/.test(p))
    // A field that is new here must be mirrored, and tried above, before it is added to this list.
    expect([...new Set(places)].sort()).toMatchSnapshot()
  })
})
