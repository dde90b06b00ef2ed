import { describe, expect, it } from 'vitest'
import { looks } from '../../looks'
import { boxOf, distance, type Point } from '#core/geometry'
import {
  freshLook,
  freshSheet,
  freshWash,
  kindOf,
  movedTo,
  NO_TWIN,
  parseLook,
  placementProblem,
  placementsOf,
  pointMap,
  seatingOf,
  spoiltShares,
  upgraded,
  withSmallerSheets,
  type Look,
  type SheetStep,
  type World,
} from '#core/look'
import { groundOf, landmarkList, PLAIN_FACE, type ArmCanvas, type Canvas } from '#core/skin'
import { analyse, type Candidate } from '#core/stencil'
import { ground, MIDLINE, paint, sheets, world } from '../world'

const ARM: ArmCanvas = { kind: 'arm', part: 'forearm', side: 'left', measures: null }
const stencil = world.stencil
const drawer: Candidate[] = [...sheets.values()].map(s => ({
  ...s,
  heading: 0,
  axes: analyse(s).symmetry.axes.map(a => a.angle),
  bridge: 1,
  zones: [],
}))
const child = groundOf(PLAIN_FACE, 4)
const withSteps = (steps: Look['steps']): Look => ({ ...freshLook('l', 'L'), steps })
const sheetOf = (look: Look, i = 0) => look.steps[i] as SheetStep

describe('the map from face to face', () => {
  it('brings every landmark onto its own', () => {
    const map = pointMap(ground, child)
    const there = new Map(landmarkList(child.face!.landmarks).map(m => [m.id, m.at]))
    for (const { id, at } of landmarkList(ground.face!.landmarks))
      expect(distance(map(at), there.get(id)!), id).toBeLessThan(0.5)
  })

  it('keeps the midline and the sides', () => {
    const map = pointMap(ground, child)
    for (const y of [-50, -20, 20, 60, 95]) expect(map([0, y])[0]).toBeCloseTo(0, 6)
    const [left, right] = [map([-40, 22]), map([40, 22])]
    expect(left[0]).toBeCloseTo(-right[0], 6)
    expect(left[1]).toBeCloseTo(right[1], 6)
  })

  it('there and back is nearly where it was', () => {
    const there = pointMap(ground, child)
    const back = pointMap(child, ground)
    for (const p of [
      [10, -30],
      [45, 30],
      [-20, 60],
      [-55, -5],
    ] as Point[])
      expect(distance(back(there(p)), p)).toBeLessThan(2)
  })
})

describe('a look moved to another canvas', () => {
  it('keeps its stencils and their sizes, and puts them at the same features', () => {
    const look = withSteps([
      { ...freshSheet('a', 'Heart', 'heart-crest', [0, -32], paint('soot')) },
      {
        ...freshSheet('b', 'Fern', 'leaf-spray', ground.face!.landmarks.right.cheekbone, paint('kelp')),
        tilt: 40,
        twin: MIDLINE,
      },
    ])
    const { look: moved } = movedTo(look, PLAIN_FACE, 4, stencil)
    expect(moved.skin.age).toBe(4)
    expect(sheetOf(moved).at[0]).toBe(0)
    expect(sheetOf(moved).tilt).toBe(0)
    expect(distance(sheetOf(moved, 1).at, child.face!.landmarks.right.cheekbone)).toBeLessThan(0.6)
    expect(moved.steps.map(s => kindOf(s).sheets(s))).toEqual(look.steps.map(s => kindOf(s).sheets(s)))
    expect(parseLook(JSON.parse(JSON.stringify(moved)))).toEqual({ ok: true, look: moved })
    // What was moved was a copy.
    expect(look.skin.age).toBe(30)
  })

  it('lists what no longer fits, with the best smaller stencil of the drawer', () => {
    const look = withSteps([freshSheet('a', 'Crown', 'crown-crest', [0, -46], paint('soot'))])
    const { misfits } = movedTo(look, { ...PLAIN_FACE, build: 'fine' }, 4, stencil, drawer)
    expect(misfits).toHaveLength(1)
    expect(misfits[0]!.sentence).toMatch(
      /^Crown: .* \(108 × 70 mm\) no longer fits; \d+ % of its print lies beside the skin\.$/,
    )
    const instead = sheets.get(misfits[0]!.instead!.id)!
    const crown = sheets.get('crown-crest')!
    expect(instead.width * instead.height).toBeLessThan(crown.width * crown.height)
    expect(instead.kind).toBe('crest')
  })

  it('takes a smaller stencil where the painter accepts it, and only there', () => {
    const look = withSteps([
      freshSheet('a', 'Crown', 'crown-crest', [0, -46], paint('soot')),
      freshSheet('b', 'Heart', 'heart-crest', [0, -33], paint('soot')),
    ])
    const { look: moved, misfits } = movedTo(look, PLAIN_FACE, 4, stencil, drawer)
    const first = misfits.find(m => m.stepId === 'a')!
    const next = withSmallerSheets(moved, [first], id => sheets.get(id)?.name)
    expect(sheetOf(next).stencil).toBe(first.instead!.id)
    expect(sheetOf(next).label).toBe(sheets.get(first.instead!.id)!.name)
    expect(sheetOf(next, 1)).toEqual(sheetOf(moved, 1))
    expect(sheetOf(moved).stencil).toBe('crown-crest')
  })

  it('fits without a word where it stays on a face of its size', () => {
    const look = withSteps([freshSheet('a', 'Heart', 'swirl-small', [0, -32], paint('soot'))])
    expect(movedTo(look, PLAIN_FACE, 40, stencil, drawer).misfits).toEqual([])
  })

  it("goes onto an arm: zones become bands, features' twins become mirrored ones, and all of it lies on the arm", () => {
    const look = withSteps([
      freshWash('w', 'Base', ['forehead', 'left.cheek'], [paint('sky'), paint('harbour')], ground),
      {
        ...freshSheet('a', 'Fern', 'leaf-spray', [37, -30], paint('kelp')),
        twin: { ...NO_TWIN, rule: 'features' },
      },
    ])
    const { look: moved, misfits } = movedTo(look, ARM, 30, stencil, drawer)
    const arm = groundOf(ARM, 30)
    const [wash, sheet] = moved.steps
    expect(wash).toMatchObject({ zones: ['upper band', 'middle band'] })
    expect(sheet).toMatchObject({ twin: { rule: 'midline' } })
    expect(misfits).toEqual([])
    const there: World = { ...world, ground: arm }
    for (const step of moved.steps)
      expect(
        kindOf(step)
          .prints(step, there)
          .every(p => p.rings.length > 0),
      ).toBe(true)
    // And back onto a face.
    const back = movedTo(moved, PLAIN_FACE, 30, stencil)
    expect(back.look.steps[0]).toMatchObject({ zones: ['forehead', 'left.cheek', 'right.cheek'] })
  })

  it('onto the board stays exactly where the printed face has its features', () => {
    const look = withSteps([freshSheet('a', 'Heart', 'heart-crest', [12, -30], paint('soot'))])
    expect(sheetOf(movedTo(look, { kind: 'board', build: 'fine' }, 30, stencil).look).at).toEqual([12, -30])
  })

  it('takes every demo look to every canvas', () => {
    const canvases: Canvas[] = [
      PLAIN_FACE,
      { ...PLAIN_FACE, part: 'left half' },
      ARM,
      { kind: 'arm', part: 'upper arm', side: 'right', measures: null },
      { kind: 'board', build: 'broad' },
    ]
    for (const look of looks)
      for (const canvas of canvases)
        expect(
          parseLook(JSON.parse(JSON.stringify(movedTo(look, canvas, 9, stencil).look))).ok,
          `${look.name} to ${canvas.kind}`,
        ).toBe(true)
  })

  it('to a canvas that cannot be is refused with its sentence', () => {
    expect(() =>
      movedTo(freshLook('l', 'L'), { ...ARM, measures: { upper: 260, lower: 1, length: 240 } }, 30, stencil),
    ).toThrow(/girth at the lower end/)
  })
})

describe('how a stencil seats', () => {
  const seat = (id: string, at: Point, tilt = 0, w: World = world) =>
    seatingOf(sheets.get(id)!, { at, tilt, side: 'A' }, w)

  it('is flat on the board and on an arm', () => {
    for (const canvas of [{ kind: 'board', build: 'fine' }, ARM] as Canvas[]) {
      const s = seat('swirl-small', [0, 0], 0, { ...world, ground: groundOf(canvas, 30) })
      expect(s.seated).toBe(1)
      expect(s.sentence).toMatch(/every opening touches the skin/)
      expect(Math.max(...s.gaps)).toBeLessThanOrEqual(0.5)
    }
  })

  it('is worse over the side of the nose than on the forehead, and says where to press', () => {
    const forehead = seat('swirl-small', [0, -38])
    const nose = seat('swirl-large', [22, 34])
    expect(forehead.seated).toBeGreaterThan(nose.seated)
    expect(Math.max(...nose.gaps)).toBeGreaterThan(Math.max(...forehead.gaps) + 0.5)
    expect(nose.sentence).toMatch(
      /^Rests on the .+; gap (\d+\.\d|over 10) mm .+: press this side down separately/,
    )
  })

  it('counts only the openings that are painted', () => {
    const s = seatingOf(
      sheets.get('honeycomb')!,
      { at: [30, 30], tilt: 0, side: 'A' },
      world,
      new Set([0, 1, 2]),
    )
    expect([...s.gaps].filter(g => !Number.isNaN(g))).toHaveLength(3)
  })

  it('better under the fingers, piece by piece, than by itself; but not over the side of the nose', () => {
    for (const id of ['moth', 'star-set', 'scales', 'heart-crest', 'lace']) {
      const s = seat(id, [0, -42])
      expect(s.seatedPressed, id).toBeGreaterThan(s.seated)
      s.pressed.forEach((gap, i) => expect(gap).toBeLessThanOrEqual(s.gaps[i]!))
    }
    expect(seat('lace', [0, -42]).seatedPressed).toBeGreaterThan(0.8)
    expect(seat('stripes', [24, 40]).seatedPressed).toBeLessThan(0.5)
    expect(Math.max(...seat('stripes', [24, 40]).pressed)).toBeGreaterThan(2)
  })

  it('beside the skin says so', () => {
    expect(seat('swirl-small', [300, 300]).sentence).toBe('The stencil lies beside the skin.')
  })
})

describe('places that cannot be', () => {
  it('off the skin, and stencils larger than the canvas, get a sentence', () => {
    expect(placementProblem(sheets.get('moth'), { at: [0, -30], tilt: 0, side: 'A' }, world)).toBeNull()
    expect(placementProblem(sheets.get('moth'), { at: [250, 0], tilt: 0, side: 'A' }, world)).toMatch(
      /no skin to lay a stencil on there: keep some of it on the face/,
    )
    expect(
      placementProblem(
        { ...sheets.get('moth')!, name: 'Giant', width: 500, height: 480 },
        { at: [0, 0], tilt: 0, side: 'A' },
        world,
      ),
    ).toMatch(/Giant \(500 × 480 mm\) is larger than the face/)
  })

  it('on eyes and hair are counted in shares', () => {
    const step = freshSheet('a', 'a', 'honeycomb', [31, 5], paint('soot'))
    const eye = spoiltShares(step, placementsOf(step, world)[0]!, world)
    const hair = spoiltShares({ ...step, at: [0, -90] }, { at: [0, -90], tilt: 0, side: 'A' }, world)
    expect(eye.spoilt).toContain('left eye')
    expect(eye.share).toBeGreaterThan(0.005)
    expect(hair.beside).toBeGreaterThan(0.5)
  })
})

describe('looks of version 1', () => {
  const old = {
    format: 'janusform-look',
    version: 1,
    id: 'old',
    name: 'Old',
    notes: '',
    tags: [],
    canvas: { kind: 'face' },
    skin: { colour: '#d9a98a', hair: '#3a2a20', eyes: 'open', age: 30 },
    focus: [0, 0],
    budget: null,
    steps: [
      {
        kind: 'sheet',
        id: 's',
        label: 'Moth',
        optional: false,
        worth: 5,
        twin: 'midline',
        stencil: 'moth',
        at: [12, -30],
        tilt: 4,
        side: 'A',
        passes: [
          {
            openings: { use: 'all' },
            load: { kind: 'one', paint: paint('soot') },
            tool: 'makeup',
            wetness: 'tacky',
            dabs: 4,
            glitter: false,
          },
        ],
      },
    ],
  }

  it('are read as they were meant', () => {
    const parsed = parseLook(old)
    if (!parsed.ok) throw new Error(parsed.errors.join())
    expect(parsed.look).toMatchObject({
      version: 5,
      canvas: PLAIN_FACE,
      sitting: { ticket: '', allergies: 'not asked' },
      steps: [
        {
          group: null,
          twin: { rule: 'midline', about: null, own: null },
          grip: [0, 0],
          register: null,
          dry: true,
          at: [12, -30],
          passes: [{ charge: 1 }],
        },
      ],
    })
    expect(upgraded(parsed.look)).toBe(parsed.look)
  })

  it('of version 4 keep the zones and the outlines of their bases', () => {
    const base = {
      kind: 'wash',
      id: 'a',
      label: 'Base',
      optional: false,
      worth: 5,
      twin: { rule: 'midline', about: null, own: null },
      group: null,
      colours: [paint('sky')],
      axis: { kind: 'out', from: [0, 0], reach: 40 },
      tool: 'openCell',
      wetness: 'damp',
      dabs: 2,
      glitter: false,
    }
    const outline = [
      [0, 0],
      [20, 0],
      [0, 20],
    ]
    const parsed = parseLook({
      ...old,
      version: 4,
      canvas: PLAIN_FACE,
      sitting: freshLook('x', 'x').sitting,
      steps: [
        { ...base, region: { zones: ['forehead'] } },
        { ...base, id: 'b', region: { outline } },
      ],
    })
    if (!parsed.ok) throw new Error(parsed.errors.join())
    // A base had a twin in name only.
    expect(parsed.look.steps).toMatchObject([
      { zones: ['forehead'], points: [], twin: NO_TWIN },
      { zones: [], points: outline, straight: true, twin: NO_TWIN },
    ])
  })

  it('that are wrong are still refused with a sentence', () => {
    const parsed = parseLook({ ...old, steps: [{ ...old.steps[0], twin: 'sideways' }] })
    expect(parsed.ok ? '' : parsed.errors.join()).toMatch(/Step 1 \(Moth\): "twin"/)
    expect(upgraded(null)).toBeNull()
    expect(upgraded({ format: 'other', version: 1 })).toEqual({ format: 'other', version: 1 })
  })
})

describe('canvases in a file', () => {
  const errors = (canvas: unknown, age = 30) => {
    const parsed = parseLook({
      ...JSON.parse(JSON.stringify(freshLook('l', 'L'))),
      canvas,
      skin: { ...freshLook('l', 'L').skin, age },
    })
    return parsed.ok ? '' : parsed.errors.join(' ')
  }
  it.each([
    [
      {
        ...PLAIN_FACE,
        measures: { temples: 118, hairlineToBrow: 50, browToChin: 40, innerEyes: 34, mouth: 47 },
      },
      /Brow to chin \(40 mm\) cannot be shorter than the mouth is wide/,
    ],
    [
      { ...PLAIN_FACE, nudges: { 'left.innerEye': [-30, 0] } },
      /canvas cannot be\. The right inner eye corner must stay/,
    ],
    [{ ...PLAIN_FACE, nudges: { nose: [1, 0] } }, /canvas/],
    [
      { kind: 'arm', part: 'forearm', side: 'left', measures: { upper: 90, lower: 300, length: 240 } },
      /does not go from 90 to 300/,
    ],
    [{ kind: 'leg' }, /known kind: face, arm, board/],
  ])('that cannot be are refused: %o', (canvas, sentence) => expect(errors(canvas)).toMatch(sentence))

  it('take a measured face and an age in bounds only', () => {
    expect(
      errors({
        ...PLAIN_FACE,
        measures: { temples: 118, hairlineToBrow: 50, browToChin: 121, innerEyes: 34, mouth: 47 },
      }),
    ).toBe('')
    expect(errors(PLAIN_FACE, 300)).toMatch(/age" must be at most 99/)
  })
})

it('a wash on zones that a canvas lacks says so on its card', () => {
  const wash = freshWash('w', 'w', ['forehead'], [paint('sky')], ground)
  const arm: World = { ...world, ground: groundOf(ARM, 30) }
  expect(kindOf(wash).lines(wash, arm)[0]!.text).toBe('forehead (there is none on a left forearm)')
  expect(kindOf(wash).prints(wash, arm)[0]!.rings).toEqual([])
  expect(boxOf(arm.ground.zone('arm')!).maxY).toBeGreaterThan(100)
})
