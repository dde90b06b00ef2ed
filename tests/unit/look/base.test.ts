import { describe, expect, it } from 'vitest'
import {
  boxOf,
  difference,
  distance,
  outlineThrough,
  polygonArea,
  regionOf,
  ringHolds,
  ringOf,
  signedArea,
  simplified,
  union,
  type Point,
  type Ring,
} from '#core/geometry'
import {
  anchorOf,
  axisAfter,
  axisFor,
  between,
  freshGlitter,
  freshLook,
  freshOutline,
  freshWash,
  handlesAround,
  isOutline,
  kindOf,
  leastMissed,
  mostHandles,
  movedTo,
  NO_TWIN,
  parseLook,
  washRings,
  washSides,
  widestGap,
  type Wash,
} from '#core/look'
import { groundOf, PLAIN_FACE, type Canvas } from '#core/skin'
import { ground, paint, world } from '../world'

const colours = [paint('sky'), paint('harbour')]
const area = (rings: readonly Ring[]) => regionOf(rings, 'nonzero').reduce((a, p) => a + polygonArea(p), 0)
const oval = (): Wash => freshOutline('b', 'Base', [34, 30], colours, ground)
const read = (wash: Wash) => parseLook({ ...freshLook('l', 'L'), steps: [wash] })

describe('an outline through handles', () => {
  it('runs through every one of them, and rounds those of a circle', () => {
    const circle = Array.from({ length: 8 }, (_, i): Point => [
      20 * Math.cos((i * Math.PI) / 4),
      20 * Math.sin((i * Math.PI) / 4),
    ])
    const flat = outlineThrough(circle, 10)
    circle.forEach((p, i) => expect(distance(p, [flat[20 * i]!, flat[20 * i + 1]!])).toBeLessThan(1e-9))
    for (let i = 0; i < flat.length; i += 2)
      expect(Math.abs(Math.hypot(flat[i]!, flat[i + 1]!) - 20)).toBeLessThan(0.3)
  })

  it('makes no loop of handles that lie unevenly', () => {
    const uneven: Point[] = [
      [0, 0],
      [60, 0],
      [62, 1],
      [63, 3],
      [63, 40],
      [30, 38],
      [0, 40],
    ]
    const ring = Float64Array.from(outlineThrough(uneven, 12))
    expect(regionOf([ring], 'nonzero')).toHaveLength(1)
    // What the two fill rules make of it is the same only when it never crosses itself.
    expect(area([ring])).toBeCloseTo(Math.abs(signedArea(ring)), 3)
  })
})

describe('a base on a drawn outline', () => {
  it('is laid, told and read back as it was', () => {
    const wash = oval()
    const kind = kindOf(wash)
    expect(read(JSON.parse(JSON.stringify(wash)))).toMatchObject({ ok: true, look: { steps: [wash] } })
    expect(area(washRings(wash, ground))).toBeGreaterThan(0.85 * Math.PI * 20 * 14)
    expect(area(washRings({ ...wash, straight: true }, ground))).toBeLessThan(area(washRings(wash, ground)))
    expect(kind.lines(wash, world)[0]!.text).toMatch(/^drawn outline, .+/)
    expect([isOutline(wash), isOutline(freshWash('a', 'Base', ['forehead'], colours, ground))]).toEqual([
      true,
      false,
    ])
  })

  it('leaves the lips free unless it names them, on both sides of a twin and by zones as well', () => {
    const mouth = ground.keepOuts.find(k => k.kind === 'mouth')!.ring
    const lips = Math.abs(signedArea(mouth))
    const across: Wash = {
      ...oval(),
      points: [
        [-5, 50],
        [30, 50],
        [30, 95],
        [-5, 95],
      ],
      twin: { ...NO_TWIN, rule: 'midline', own: null },
    }
    for (const wash of [across, freshWash('a', 'Base', ['face'], colours, ground)]) {
      const covered = regionOf(washRings(wash, ground), 'nonzero')
      expect(
        area(difference(covered, regionOf([mouth], 'nonzero')).flatMap(p => [p.outer, ...p.holes])),
      ).toBeCloseTo(area(washRings(wash, ground)), 2)
      expect(kindOf(wash).lines(wash, world)[0]!.text).toMatch(/; lips left free$/)
    }
    const named = freshWash('a', 'Base', ['face', 'lips'], colours, ground)
    expect(
      area(washRings(named, ground)) - area(washRings({ ...named, zones: ['face'] }, ground)),
    ).toBeCloseTo(lips, -1)
    expect(kindOf(named).lines(named, world)[0]!.text).not.toContain('free')
    expect(kindOf(oval()).lines(oval(), world)[0]!.text).not.toContain('free')
  })

  it('has a twin with the same light in it, and takes twice the paint', () => {
    const wash = oval()
    const both: Wash = { ...wash, twin: { ...NO_TWIN, rule: 'midline', own: null } }
    const [own, other] = kindOf(both).prints(both, world)
    const single = kindOf(wash).lays(wash, world)[0]!.mg
    expect(boxOf(other!.rings[0]!).minX).toBeCloseTo(-boxOf(own!.rings[0]!).maxX, 3)
    expect(other!.axis).toMatchObject({
      kind: 'out',
      from: [-(own!.axis as { from: Point }).from[0], (own!.axis as { from: Point }).from[1]],
    })
    expect(kindOf(both).lays(both, world)[0]!.mg / single).toBeCloseTo(2, 2)
    const half: Wash = {
      ...wash,
      points: [
        [-10, 0],
        [30, -10],
        [30, 20],
      ],
      twin: both.twin,
    }
    // Where both sides meet, skin is covered, and counted, once.
    expect(area(washRings(half, ground))).toBeLessThan(1.9 * area(washSides(half, ground)[0]!))
  })

  it.each<[string, Partial<Wash>, RegExp]>([
    ['neither zones nor an outline', { points: [] }, /must name zones, or the base must have an outline/],
    ['both', { zones: ['forehead'] }, /"points" must be empty/],
    [
      'two points',
      {
        points: [
          [0, 0],
          [1, 1],
        ],
      },
      /outline of three points/,
    ],
    [
      'a twin of zones',
      { points: [], zones: ['forehead'], twin: { ...NO_TWIN, rule: 'midline', own: null } },
      /"twin" must have the rule "none"/,
    ],
    [
      'a point far away',
      {
        points: [
          [0, 0],
          [9999, 0],
          [0, 9],
        ],
      },
      /points/,
    ],
  ])('with %s is refused with a sentence', (_, more, words) => {
    const parsed = read({ ...oval(), ...more })
    expect(parsed.ok ? '' : parsed.errors.join(' ')).toMatch(words)
  })

  it('takes its light along when it moves, and keeps a line of its own beside it', () => {
    const wash = oval()
    const moved = { ...wash, points: wash.points.map(([x, y]): [number, number] => [x - 10, y + 4]) }
    expect(axisAfter(wash, moved, ground)).toEqual(axisFor(washSides(moved, ground)[0]!))
    const line: Wash = { ...wash, axis: { kind: 'line', from: [30, 10], to: [30, 40] } }
    expect(axisAfter(line, moved, ground)).toEqual({
      kind: 'line',
      from: [expect.closeTo(20, 6), expect.closeTo(14, 6)],
      to: [expect.closeTo(20, 6), expect.closeTo(44, 6)],
    })
  })

  it('is told when nothing of it would be left on another canvas', () => {
    const off = {
      ...oval(),
      points: [
        [300, 300],
        [320, 300],
        [310, 320],
      ] as [number, number][],
    }
    const left = freshWash('n', 'Left cheek', ['left.cheek'], colours, ground)
    const labels = (canvas: Canvas) =>
      movedTo({ ...freshLook('l', 'L'), steps: [off, left] }, canvas, 5, () => undefined).misfits.map(
        m => m.label,
      )
    expect(labels(PLAIN_FACE)).toEqual(['Base'])
    // Zones always have a counterpart, also on an arm.
    expect(labels({ kind: 'arm', part: 'forearm', side: 'right', measures: null })).toEqual(['Base'])
  })

  it('goes to another face with its outline', () => {
    const child = groundOf(PLAIN_FACE, 5)
    const { look } = movedTo({ ...freshLook('l', 'L'), steps: [oval()] }, PLAIN_FACE, 5, () => undefined)
    const [wash] = look.steps as Wash[]
    expect(area(washRings(wash!, child))).toBeLessThan(area(washRings(oval(), ground)))
    expect(distance(anchorOf(wash!.points), child.face!.landmarks.right.cheekbone)).toBeLessThan(20)
  })
})

describe('handles', () => {
  it.each(['forehead', 'left.cheek', 'muzzle', 'face'] as const)(
    'few of them go on from the outline of the %s',
    zone => {
      const rings = washRings(freshWash('a', 'Base', [zone], colours, ground), ground)
      const points = handlesAround(rings)
      const drawn = washRings({ zones: [], points, straight: false, twin: { ...NO_TWIN, own: null } }, ground)
      expect(points.length).toBeGreaterThanOrEqual(3)
      expect(points.length).toBeLessThanOrEqual(16)
      const [a, b] = [regionOf(rings, 'nonzero'), regionOf(drawn, 'nonzero')]
      const size = (list: ReturnType<typeof regionOf>) => list.reduce((s, p) => s + polygonArea(p), 0)
      expect(size(difference(a, b)) + size(difference(b, a))).toBeLessThan(0.12 * size(union([...a, ...b])))
    },
  )

  it.each([
    ['glitter', freshGlitter('g', 'outline', [30, 30], null, ground)],
    ['a base', oval()],
  ])('of %s are as many as its file can hold', (_words, step) => {
    const full = {
      ...step,
      points: Array.from({ length: mostHandles(step) }, (_, i): [number, number] => [
        30 + i,
        30 + (i * i) / 9,
      ]),
    }
    expect(parseLook({ ...freshLook('l', 'L'), steps: [full] }).ok).toBe(true)
    expect(full.points.length).toBeGreaterThan(step.points.length)
  })

  it('are added where the gap is widest, and missed least on a straight side', () => {
    const points: Point[] = [
      [0, 0],
      [10, 0],
      [20, 0],
      [20, 30],
      [0, 30],
    ]
    expect([widestGap(points), leastMissed(points)]).toEqual([2, 1])
    expect(between(points, 4, true)).toEqual([0, 15])
    expect(
      ringHolds(
        ringOf(points),
        ...between(
          [
            [0, 0],
            [20, 0],
            [20, 30],
            [0, 30],
          ],
          0,
        ),
      ),
    ).toBe(false)
  })

  it('are dropped from a ring only as far as it may stray', () => {
    const even = ringOf(
      Array.from({ length: 200 }, (_, i): Point => [
        20 * Math.cos((i * Math.PI) / 100),
        20 * Math.sin((i * Math.PI) / 100),
      ]),
    )
    const few = simplified(even, 0.5)
    expect(few.length / 2).toBeLessThan(30)
    for (let i = 0; i < few.length; i += 2) expect(Math.hypot(few[i]!, few[i + 1]!)).toBeCloseTo(20, 3)
    expect(Math.abs(signedArea(few)) / (Math.PI * 400)).toBeGreaterThan(0.95)
  })
})
