import { describe, expect, it } from 'vitest'
import { paints } from '../../../demo/paints'
import { afterFix, findingsOf, toned, type Finding } from '#core/checks'
import {
  areaOf,
  coverOf,
  freshGem,
  freshGlitter,
  freshLine,
  freshLook,
  freshOutline,
  freshSheet,
  freshWash,
  groundFor,
  showsOf,
  starterOf,
  STARTER_IDS,
  suits,
  withSteps,
} from '#core/look'
import type { CakeRef, GemStep, GlitterStep, Look, SheetStep, Step } from '#core/look'
import { ellipsePoints } from '#core/geometry'
import type { Paint } from '#core/paint'
import { FACE_ZONES, keptWords } from '#core/skin'
import { prepared } from '#core/stencil'
import { ground, paint, sheets } from '../world'

const soot = paint('soot')
const OPENING = { outer: Float64Array.from(ellipsePoints(0, 0, 30, 22, 0.05)), holes: [] }
/**
 * A sheet of one opening that is larger than an eye: its rim and its middle say nothing of what lies within.
 */
const PLATE = prepared({
  id: 'plate',
  name: 'Plate',
  kind: 'motif',
  width: 80,
  height: 60,
  outline: Float64Array.from([-40, -30, 40, -30, 40, 30, -40, 30]),
  openings: [OPENING],
})

interface More {
  age?: number
  eyes?: 'open' | 'closed'
  kit?: Paint[]
  canvas?: Look['canvas']
  sitting?: Partial<Look['sitting']>
  today?: string
}
function lookOf(steps: Step[], { age = 30, eyes = 'open', canvas, sitting }: More = {}): Look {
  const base = freshLook('x', 'x')
  return {
    ...base,
    ...(canvas && { canvas }),
    skin: { ...base.skin, age, eyes },
    sitting: { ...base.sitting, allergies: 'none', skin: 'sound', eyes: 'yes', lips: 'yes', ...sitting },
    steps,
  }
}
function told(look: Look, { kit = paints, today = '2026-06-01' }: More = {}): Finding[] {
  const known = new Map(kit.map(p => [p.id, p]))
  return findingsOf(
    look,
    withSteps(
      {
        ground: groundFor(look),
        stencil: id => (id === 'plate' ? PLATE : sheets.get(id)),
        paint: id => known.get(id),
      },
      look.steps,
    ),
    kit,
    [],
    today,
  )
}
const grave = (steps: Step[], more: More = {}) =>
  told(lookOf(steps, more), more)
    .filter(f => f.level !== 'tip')
    .map(f => `${f.check} ${f.level}`)
const glitter = (sort: GlitterStep['sort'], more: Partial<GlitterStep>): Step => ({
  ...freshGlitter('g', 'patch', [0, 0], null, ground),
  sort,
  ...more,
})
const band = (points: [number, number][]): Step => ({
  ...freshLine('b', 'band', [30, 4], soot, ground, [0, 0]),
  points,
})
const square = (x: number, y: number, r: number): [number, number][] => [
  [x - r, y - r],
  [x + r, y - r],
  [x + r, y + r],
  [x - r, y + r],
]

describe('the region that a step covers', () => {
  it('is what its prints enclose, whatever their outline points look at', () => {
    const eye = [{ outer: ground.keepOuts.find(k => keptWords(k) === 'left eye')!.ring, holes: [] }]
    const world = { ground, stencil: () => PLATE, paint: () => undefined }
    const over = coverOf(freshSheet('s', 's', 'plate', [32, 4], soot), world)
    expect(over.area(eye)).toBeCloseTo(areaOf(eye), 1)
    expect(over.distanceTo(eye)).toBe(0)
    const far = coverOf(freshSheet('s', 's', 'plate', [0, -60], soot), world)
    expect(far.area(eye)).toBe(0)
    expect(far.distanceTo(eye)).toBeGreaterThan(15)
  })

  it('counts both sides of a pair where they overlap, once', () => {
    const drop: Step = {
      ...freshGlitter('g', 'outline', [0, -40], null, ground),
      points: square(0, -40, 10),
      twin: { rule: 'midline', about: null, own: null },
    }
    expect(
      areaOf(coverOf(drop, { ground, stencil: () => undefined, paint: () => undefined }).region),
    ).toBeGreaterThan(380)
  })
})

describe('cautions find what covers a place, not only what has a point there', () => {
  it.each<[string, Step[], string]>([
    [
      'chunky glitter over the whole face',
      [glitter('chunky', { area: 'zones', zones: ['face'], points: [] })],
      'sparkle problem',
    ],
    [
      'chunky glitter over the zone of an eye',
      [glitter('chunky', { area: 'zones', zones: ['left.eye'], points: [] })],
      'sparkle problem',
    ],
    [
      'a patch of it centred on an open eye',
      [
        glitter('chunky', {
          points: [
            [32, 4],
            [32, -26],
          ],
        }),
      ],
      'sparkle problem',
    ],
    [
      'a flat-brush band over an open eye',
      [
        band([
          [10, 4],
          [32, 3],
          [56, 4],
        ]),
      ],
      'overEyes problem',
    ],
    [
      'a drawn base that rings an eye',
      [{ ...freshOutline('w', 'w', [32, 4], [soot], ground), points: square(32, 4, 24), straight: true }],
      'overEyes problem',
    ],
    [
      'a drawn base inside an eye',
      [{ ...freshOutline('w', 'w', [32, 4], [soot], ground), points: square(32, 4, 3), straight: true }],
      'overEyes problem',
    ],
    ['one large opening over an eye', [freshSheet('s', 's', 'plate', [32, 4], soot)], 'keepOut problem'],
    [
      'neon on the outer third of a lid',
      [{ ...freshOutline('w', 'w', [44, -6], [paint('flare')], ground), points: square(44, -6, 4) }],
      'safe problem',
    ],
    [
      'chunky glitter on the lips',
      [
        glitter('chunky', {
          points: [
            [0, 72],
            [0, 66],
          ],
        }),
      ],
      'sparkle problem',
    ],
    ['gel on the lips', [glitter('gel', { area: 'zones', zones: ['lips'], points: [] })], 'sparkle warning'],
    ['a glued gem on the lips', [{ ...freshGem('g', [0, 72]), fix: 'glued' } as GemStep], 'sparkle problem'],
  ])('%s', (_name, steps, wanted) => {
    expect(grave(steps)).toContain(wanted)
  })

  it('the whole face when eyes or lips are a no, and under six years', () => {
    const face = freshWash('w', 'w', ['face', 'lips'], [paint('gull')], ground)
    expect(grave([face], { sitting: { eyes: 'no' } })).toContain('answers problem')
    expect(grave([face], { sitting: { lips: 'no' } })).toContain('answers problem')
    expect(grave([{ ...face, zones: ['face'] }], { sitting: { lips: 'no' } })).not.toContain(
      'answers problem',
    )
    expect(grave([face], { age: 5 })).toContain('lids warning')
    expect(grave([face], { age: 6 })).not.toContain('lids warning')
  })

  it('prints over hair, of stencils and of strokes', () => {
    const titles = (steps: Step[]) =>
      told(lookOf(steps))
        .filter(f => /hair/.test(f.title))
        .map(f => f.check)
    expect(titles([freshSheet('s', 's', 'plate', [0, -95], soot)])).toEqual(['keepOut'])
    expect(
      titles([
        band([
          [-20, -92],
          [0, -95],
          [20, -92],
        ]),
      ]),
    ).toEqual(['overEyes'])
    expect(titles([freshSheet('s', 's', 'plate', [0, -40], soot)])).toEqual([])
  })
})

const CAKE: Paint = {
  ...paints.find(p => p.id === 'harbour-lights')!,
  id: 'own',
  name: 'Own cake',
  eyeSafe: true,
  lipSafe: true,
  strips: [
    { colour: '#1E8A8C', width: 8, name: 'Lagoon Teal', paint: 'lagoon' },
    { colour: '#FF3E8A', width: 8, name: 'Flare Pink', paint: 'flare' },
  ],
}
const cakeRef = ({ id, name, colour, strips }: Paint): CakeRef => ({
  id,
  name,
  colour,
  strips: strips.map(s => ({ ...s })),
})

describe('split cakes count as every paint in them', () => {
  const kit = [...paints, CAKE]
  const onLid = {
    ...freshSheet('s', 's', 'plate', [32, -14], soot),
    passes: [
      {
        ...freshSheet('s', 's', 'plate', [0, 0], soot).passes[0]!,
        load: { kind: 'cake' as const, cake: cakeRef(CAKE), direction: 180 },
      },
    ],
  }
  it('a neon strip near an eye is found, and another cake that may be there is offered', () => {
    const found = told(lookOf([onLid]), { kit }).find(f => f.check === 'safe')!
    expect(found).toMatchObject({
      level: 'problem',
      title: 'Own cake, for its strip Flare Pink, is not for near the eyes',
    })
    const next = afterFix([onLid], 's', found.fix!, () => 'n')
    expect(told(lookOf(next), { kit }).filter(f => f.check === 'safe')).toEqual([])
    expect((next[0] as SheetStep).passes[0]!.load.kind).toBe('cake')
  })

  it('an expired strip is found on the brush too, and a cake that the kit lacks is said', () => {
    const stroke: Step = {
      ...freshLine('l', 'band', [30, 50], soot, ground, [0, 0]),
      load: { kind: 'cake', cake: cakeRef(CAKE) },
    }
    const old = kit.map(p => (p.id === 'flare' ? { ...p, openedOn: '2020-01-01', months: 12 } : p))
    expect(told(lookOf([stroke]), { kit: old }).find(f => f.check === 'useBy')!.title).toBe(
      'Own cake, for its strip Flare Pink, is past its use-by',
    )
    const planned = kit.map(p => (p.id === CAKE.id ? { ...p, toMake: { length: 40, depth: 5 } } : p))
    expect(told(lookOf([stroke]), { kit: planned }).find(f => f.check === 'toMake')).toMatchObject({
      level: 'tip',
      title: 'Own cake is still to be made',
    })
    expect(told(lookOf([stroke]), { kit }).find(f => f.check === 'toMake')).toBeUndefined()
    expect(told(lookOf([stroke]), { kit: paints }).find(f => f.check === 'lacking')!.title).toBe(
      'Own cake is not in the kit',
    )
    expect(told(lookOf([onLid]), { kit: paints }).find(f => f.check === 'lacking')!.level).toBe('warning')
  })

  it('both paints of a double load count', () => {
    const stroke = (dark: string): Step => ({
      ...freshLine('l', 'band', [30, 18], soot, ground, [0, 0]),
      points: [
        [20, 18],
        [32, 17],
        [44, 18],
      ],
      load: { kind: 'double', light: paint('gull'), dark: paint(dark) },
    })
    expect(grave([stroke('flare')])).toContain('safe problem')
    expect(grave([stroke('soot')])).toEqual([])
  })
})

const FACES: [string, Pick<Look, 'canvas'> & { age: number }][] = [
  ...(['fine', 'broad'] as const).flatMap(build =>
    (build === 'fine' ? [3.2, 9, 34] : [6]).map((age): [string, Pick<Look, 'canvas'> & { age: number }] => [
      `${build}, ${age} years`,
      { age, canvas: { kind: 'face', build, part: 'whole', measures: null, nudges: {} } as Look['canvas'] },
    ]),
  ),
  [
    'uneven',
    {
      age: 30,
      canvas: {
        kind: 'face',
        build: 'fine',
        part: 'whole',
        measures: null,
        nudges: {
          'left.browPeak': [0, 3],
          'right.outerEye': [2, 1],
          'left.noseWing': [-1, 1],
          'mid.upperLip': [0, 1],
        },
      } as Look['canvas'],
    },
  ],
]
/** A kit whose labels forbid nothing: what is left is said of the shapes themselves. */
const HARMLESS = paints.map(p => ({ ...p, eyeSafe: true, lipSafe: true, openedOn: null }))

describe('the application does not contradict itself', () => {
  it.each(FACES)(
    'in its own zones and arrangements, on a face that is %s, with eyes open and shut',
    (_name, { age, canvas }) => {
      for (const eyes of ['open', 'closed'] as const) {
        // The face is a child's, the person is old enough for everything.
        const more: More = { age, eyes, canvas, kit: HARMLESS, sitting: { age: 30 } }
        const here = groundFor(lookOf([], more))
        let n = 0
        for (const zone of FACE_ZONES) {
          expect(grave([freshWash('w', 'w', [zone], [soot], here)], more), zone).toEqual([])
          expect(
            grave([{ ...freshGlitter('g', 'zones', [0, 0], null, here), zones: [zone] }], more),
            `glitter, ${zone}`,
          ).toEqual([])
        }
        for (const id of STARTER_IDS.filter(s => s !== 'frame' && suits(starterOf(s), here))) {
          const steps = starterOf(id).make({
            ground: here,
            focus: [0, 0],
            palette: { dark: soot, light: paint('gull'), body: paint('mulberry'), accent: paint('lantern') },
            id: () => `i${n++}`,
            host: null,
          })
          expect(grave(steps, more), id).toEqual([])
        }
      }
    },
  )

  it('and paints the lowered lid where the eyes are shut', () => {
    const lid = (eyes: 'open' | 'closed') => {
      const here = groundFor(lookOf([], { eyes }))
      const eye = [{ outer: here.keepOuts.find(k => keptWords(k) === 'left eye')!.ring, holes: [] }]
      return (
        coverOf(freshWash('w', 'w', ['right.lid'], [soot], here), {
          ground: here,
          stencil: () => undefined,
          paint: () => undefined,
        }).area(eye) / areaOf(eye)
      )
    }
    expect(lid('open')).toBeLessThan(0.001)
    expect(lid('closed')).toBeGreaterThan(0.99)
  })

  it('and says only what concerns paper on a practice board', () => {
    const board = { kind: 'board', build: 'fine' } as Look['canvas']
    const steps = [
      freshSheet('s', 's', 'plate', [32, 4], paint('flare')),
      glitter('chunky', {
        points: [
          [32, 4],
          [32, -26],
        ],
      }),
    ]
    expect(
      told(lookOf(steps, { canvas: board, age: 4, sitting: { eyes: 'no', allergies: 'not asked' } }), {
        today: '2026-04-20',
      }).filter(f => f.level !== 'tip'),
    ).toEqual([])
  })
})

describe('a fix keeps what the step is', () => {
  const after = (step: Step, check: string, more: More = {}) => {
    const look = lookOf([step], more)
    const found = told(look, more).find(f => f.check === check)!
    return { words: found.fix!.words, steps: afterFix(look.steps, step.id, found.fix!, () => 'n') }
  }
  it('a nose on the midline stays on it', () => {
    const nose: Step = {
      ...freshLine('n', 'leaf', [0, 44], soot, ground, [0, 0]),
      points: [
        [0, 58],
        [0, 38],
      ],
      params: { wide: 20, vein: 0 },
      twin: { rule: 'none', about: null, own: null },
    }
    const { steps } = after(nose, 'overEyes')
    expect((steps[0] as { points: number[][] }).points.every(p => p[0] === 0)).toBe(true)
    expect(told(lookOf(steps)).filter(f => f.check === 'overEyes')).toEqual([])
  })

  it('near an eye it is drawn narrower before it is taken out', () => {
    const wide: Step = {
      ...freshLine('b', 'band', [0, 16], soot, ground, [0, 0]),
      points: [
        [-60, 14],
        [0, 18],
        [60, 14],
      ],
      params: { ...freshLine('b', 'band', [0, 0], soot, ground, [0, 0]).params, press: 100 },
      brush: 'flat25' as never,
    }
    const { words, steps } = after(wide, 'overEyes')
    expect(words).not.toBe('Take this step out')
    expect(told(lookOf(steps)).filter(f => f.check === 'overEyes')).toEqual([])
  })

  it('a base over a whole face keeps the rest when the lids are to stay free', () => {
    const { words, steps } = after(freshWash('w', 'w', ['face'], [paint('gull')], ground), 'lids', { age: 5 })
    expect(words).toBe('Leave the lids free')
    expect(told(lookOf(steps, { age: 5 })).filter(f => f.check === 'lids')).toEqual([])
  })

  it('on lips only a paint that is safe for lips is proposed, also for one that is too old', () => {
    const kit = paints.map(p => (p.id === 'rosehip' ? { ...p, openedOn: '2020-01-01', months: 6 } : p))
    const lips: Step = { ...freshWash('w', 'w', ['lips'], [paint('rosehip')], ground) }
    const found = told(lookOf([lips]), { kit }).find(f => f.check === 'useBy')!
    expect(kit.find(p => p.name === found.fix!.words)!.lipSafe).toBe(true)
  })

  it('advice fits the step: what goes around something has no handles to move', () => {
    const host = freshSheet('s', 's', 'plate', [32, 30], soot)
    const line: Step = {
      ...freshLine('l', 'line', [0, 0], soot, ground, [0, 0]),
      shape: 'outline',
      points: [],
      params: { press: 45, distance: 0 },
      of: { use: 'step', step: 's', openings: null },
    }
    const why = told(lookOf([host, line]))
      .filter(f => f.stepId === 'l' && f.check === 'overEyes')
      .map(f => f.why)
    expect(why).toHaveLength(1)
    expect(why[0]).not.toMatch(/handles/)
  })
})

describe('what is meant is not called lost', () => {
  const world = {
    ground,
    stencil: (id: string) => sheets.get(id),
    paint: (id: string) => paints.find(p => p.id === id),
  }
  const shows = (beneath: [number, number, number], after: [number, number, number]) =>
    showsOf('s', [[beneath, after]])
  it('a tone of the same hue with little paint', () => {
    const sheet = freshSheet('s', 's', 'scales', [0, -34], paint('harbour'))
    const faint = { ...sheet, passes: [{ ...sheet.passes[0]!, charge: 0.35 }] }
    const blue = shows([0.03, 0.12, 0.4], [0.028, 0.1, 0.34])
    expect(blue.median).toBeLessThan(5)
    expect(toned(faint, blue, world)).toBe(true)
    expect(toned(sheet, blue, world)).toBe(false)
    expect(
      toned(
        { ...faint, passes: [{ ...faint.passes[0]!, load: { kind: 'one', paint: paint('ember') } }] },
        blue,
        world,
      ),
    ).toBe(false)
  })

  it('gel and chunky glitter hold on a dry print', () => {
    const base = freshWash('w', 'Base', ['forehead'], [soot], ground)
    const between = Array.from({ length: 6 }, (_, i) => freshSheet(`s${i}`, 's', 'honeycomb', [0, -30], soot))
    const on = (sort: GlitterStep['sort']): Step => ({
      ...freshGlitter('g', 'print', [0, 0], 'w', ground),
      sort,
    })
    const dry = (sort: GlitterStep['sort']) =>
      told(lookOf([base, ...between, on(sort)])).filter(f => f.check === 'glitterHost').length
    expect([dry('fine'), dry('gel'), dry('chunky')]).toEqual([1, 0, 0])
  })

  it('the same is not told twice, and one press mends both', () => {
    const sheet = freshSheet('s', 's', 'swirl-small', [0, -32], soot)
    const twice = { ...sheet, passes: [0, 1].map(() => ({ ...sheet.passes[0]!, tool: 'openCell' as const })) }
    const halos = told(lookOf([twice])).filter(f => f.check === 'halo')
    expect(halos).toHaveLength(1)
    expect(
      told(lookOf(afterFix([twice], 's', halos[0]!.fix!, () => 'n'))).filter(f => f.check === 'halo'),
    ).toEqual([])
  })
})
