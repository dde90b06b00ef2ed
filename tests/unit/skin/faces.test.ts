import { describe, expect, it } from 'vitest'
import { ringHolds } from '#core/geometry'
import {
  BUILDS,
  canvasWords,
  faceOf,
  groundOf,
  landmarkList,
  landmarkProblem,
  measuresAt,
  PLAIN_FACE,
  pupilDistance,
  reliefOf,
  silhouetteOf,
  tapeOf,
  tapeProblems,
  type FaceCanvas,
  type TapeMeasures,
} from '#core/skin'
import { Memo } from '#core/memo'

const plain = (build: (typeof BUILDS)[number]) => ({ build, measures: null, nudges: {} })
const PRESETS = BUILDS.flatMap(build => [3, 4, 6, 8, 11, 14, 18, 30, 70].map(age => [build, age] as const))

describe.each(PRESETS)('a %s face of %i years', (build, age) => {
  const face = faceOf(plain(build), age)
  const relief = reliefOf(face)
  const { surface } = groundOf({ ...PLAIN_FACE, build }, age)
  const { form } = face

  it('has its landmarks in order, and all of them on the head', () => {
    expect(landmarkProblem(face.landmarks)).toBeNull()
    for (const { id, at } of landmarkList(face.landmarks))
      expect(Math.abs(at[0]), id).toBeLessThan(relief.halfWidth(at[1]) + 2)
  })

  it('is even on both sides', () => {
    for (let y = form.crown + 8; y < form.foot - 4; y += 7) {
      for (let x = 2; x < relief.halfWidth(y); x += 6) expect(relief.z(-x, y)).toBeCloseTo(relief.z(x, y), 9)
    }
  })

  it('has no kink and no fold: normals turn by less than 34 degrees a millimetre (as on the edge of a lip) and always face the painter', () => {
    const n = new Float64Array(3)
    const m = new Float64Array(3)
    let worst = 0
    for (let y = form.crown + 12; y < form.foot - 8; y += 1.7) {
      for (let x = -relief.halfWidth(y) + 4; x < relief.halfWidth(y) - 4; x += 1.9) {
        surface.normal(x, y, n)
        expect(n[2]!).toBeGreaterThan(0.05)
        for (const [dx, dy] of [
          [0.5, 0],
          [0, 0.5],
        ] as const) {
          surface.normal(x + dx, y + dy, m)
          worst = Math.max(
            worst,
            (Math.acos(Math.min(1, n[0]! * m[0]! + n[1]! * m[1]! + n[2]! * m[2]!)) * 180) / Math.PI / 0.5,
          )
        }
      }
    }
    expect(worst).toBeLessThan(34)
  })

  it('stands highest at the nose and falls away to the rim', () => {
    const [, tip] = face.landmarks.mid.noseTip
    expect(relief.z(0, tip)).toBeGreaterThan(relief.z(26 * form.kx, tip) + 6 * form.kx)
    expect(relief.z(0, tip)).toBeGreaterThan(relief.z(relief.halfWidth(tip) * 0.95, tip) + 25)
    expect(relief.halfWidth(form.crown - 1)).toBe(0)
    expect(relief.halfWidth(form.foot + 1)).toBe(0)
  })
})

describe('ages', () => {
  it('let every breadth and height grow until eighteen', () => {
    for (const build of BUILDS) {
      const list = [3, 5, 7, 10, 13, 16, 18].map(age => measuresAt(age, build))
      for (const key of [
        'faceWidth',
        'faceHeight',
        'forehead',
        'innerEyes',
        'outerEyes',
        'noseWidth',
        'noseHeight',
        'mouth',
      ] as const) {
        const values = list.map(m => m[key])
        expect(values).toEqual([...values].sort((a, b) => a - b))
      }
      expect(measuresAt(18, build)).toEqual({
        ...measuresAt(60, build),
        pupils: expect.closeTo(pupilDistance(18, build), 6),
      })
    }
  })

  it('give a child a shorter face under a larger skull', () => {
    const child = faceOf(plain('fine'), 4)
    const grown = faceOf(plain('fine'), 30)
    const share = ({ landmarks, form }: typeof child) =>
      landmarks.mid.chin[1] / (landmarks.mid.chin[1] - form.crown)
    expect(share(child)).toBeLessThan(share(grown) - 0.02)
    expect(child.form.skullWidth / child.form.kx).toBeGreaterThan(
      grown.form.skullWidth / grown.form.kx + 0.04,
    )
  })

  it.each([300, -2, NaN, 2])('refuse %d with a sentence', age => {
    expect(() => measuresAt(age, 'fine')).toThrow(/cannot be: faces are drawn for 3 to 99 years/)
  })
})

describe('tape measures', () => {
  const tape: TapeMeasures = { temples: 118, hairlineToBrow: 50, browToChin: 121, innerEyes: 34, mouth: 47 }

  it('are what the face then measures', () => {
    for (const age of [5, 9, 40])
      for (const build of BUILDS)
        expect(tapeOf(faceOf({ build, measures: tape, nudges: {} }, age))).toEqual(tape)
  })

  it('of a face of its own age and build change next to nothing', () => {
    const face = faceOf(plain('broad'), 30)
    const same = faceOf({ build: 'broad', measures: tapeOf(face), nudges: {} }, 30)
    landmarkList(face.landmarks).forEach((m, i) => {
      const [x, y] = landmarkList(same.landmarks)[i]!.at
      expect(Math.hypot(x - m.at[0], y - m.at[1]), m.id).toBeLessThan(1.2)
    })
  })

  it.each([
    [
      { browToChin: 72, mouth: 74 },
      /Brow to chin \(72 mm\) cannot be shorter than the mouth is wide \(74 mm\)/,
    ],
    [{ temples: 20 }, /"temple to temple" of 20 mm cannot be: it is between 80 and 165 mm/],
    [{ innerEyes: 44, temples: 90 }, /too far apart/],
    [{ mouth: 74, temples: 90 }, /mouth of 74 mm does not fit/],
    [{ hairlineToBrow: NaN }, /hairline to brow/],
  ])('that cannot be are refused: %o', (wrong, sentence) => {
    expect(tapeProblems({ ...tape, ...wrong }).join(' ')).toMatch(sentence)
    expect(() => faceOf({ build: 'fine', measures: { ...tape, ...wrong }, nudges: {} }, 30)).toThrow(
      RangeError,
    )
  })
})

describe('landmarks', () => {
  const nudged = (nudges: FaceCanvas['nudges']) => faceOf({ build: 'fine', measures: null, nudges }, 30)

  it('are moved one side at a time, and the relief follows', () => {
    const { landmarks } = nudged({ 'left.browPeak': [1, -3] })
    const even = nudged({}).landmarks
    expect(landmarks.left.browPeak).toEqual([even.left.browPeak[0] + 1, even.left.browPeak[1] - 3])
    expect(landmarks.right).toEqual(even.right)
    const uneven = reliefOf(nudged({ 'left.pupil': [0, 2.5] }))
    expect(Math.abs(uneven.z(-30, 8) - uneven.z(30, 8))).toBeGreaterThan(0.2)
  })

  it.each([
    [
      { 'left.innerEye': [-20, 0] },
      /right inner eye corner must stay at least 4 mm nearer the midline than the right pupil/,
    ],
    [{ 'mid.mouth': [0, 30] }, /middle of the mouth must stay at least 1.5 mm above the lower lip/],
    [{ 'right.browStart': [-40, 0] }, /right start of the brow cannot cross the midline/],
    [{ 'mid.chin': [25, 0] }, /chin cannot lie more than 10 mm off the midline/],
    [{ 'right.mouthCorner': [0, 80] }, /must stay/],
  ] as [FaceCanvas['nudges'], RegExp][])('that cross one another are refused: %o', (nudges, sentence) => {
    expect(() => nudged(nudges)).toThrow(sentence)
  })
})

describe('grounds', () => {
  it('of a part of a face show and paint only that part', () => {
    const whole = groundOf(PLAIN_FACE, 30)
    const left = groundOf({ ...PLAIN_FACE, part: 'left half' }, 30)
    const cheek = groundOf({ ...PLAIN_FACE, part: 'right cheek' }, 30)
    const holds = (g: typeof whole, x: number, y: number) => g.extent.some(r => ringHolds(r, x, y))
    expect([
      holds(whole, 30, 40),
      holds(left, 30, 40),
      holds(left, -30, 40),
      holds(cheek, 30, 40),
      holds(cheek, -30, 40),
      holds(cheek, 30, -20),
    ]).toEqual([true, false, true, true, false, false])
    expect(cheek.box.maxX - cheek.box.minX).toBeLessThan(0.7 * (whole.box.maxX - whole.box.minX))
    expect([whole, left, cheek].map(g => g.words)).toEqual(['face', 'right half of the face', 'left cheek'])
  })

  it('all have pictures of the same proportions', () => {
    for (const canvas of [
      PLAIN_FACE,
      { ...PLAIN_FACE, part: 'left cheek' },
      { kind: 'board', build: 'fine' },
      { kind: 'arm', part: 'upper arm', side: 'left', measures: null },
    ] as const) {
      const { box } = groundOf(canvas, 30)
      expect((box.maxX - box.minX) / (box.maxY - box.minY)).toBeCloseTo(208 / 286, 9)
    }
  })

  it('are worked out once for each canvas by who keeps a memo, with lids down or not', () => {
    const memo = new Memo()
    const of = (age: number, shut = false) => groundOf({ ...PLAIN_FACE }, age, { eyesClosed: shut }, memo)
    expect(of(30)).toBe(of(30))
    expect(of(30, true)).toBe(of(30, true))
    expect(of(30, true)).not.toBe(of(30))
    expect(of(30)).not.toBe(of(31))
    expect(groundOf(PLAIN_FACE, 30)).not.toBe(groundOf(PLAIN_FACE, 30))
  })

  it('are named in words', () => {
    expect(
      [
        PLAIN_FACE,
        { ...PLAIN_FACE, part: 'left half' },
        { kind: 'board', build: 'fine' },
        { kind: 'arm', part: 'forearm', side: 'right', measures: null },
      ].map(c => canvasWords(c as never)),
    ).toEqual(['face', 'right half of the face', 'practice board', 'right forearm'])
  })

  it('show the silhouette as one ring round the head', () => {
    const face = faceOf(plain('fine'), 30)
    const ring = silhouetteOf(face, reliefOf(face))
    expect(ring.length).toBeGreaterThan(400)
    expect(Math.max(...ring.map(p => p[1]))).toBeCloseTo(face.form.foot, 6)
  })

  it.each([4, 30, 70])('of somebody bald at %i years end lower, and are the same face', age => {
    const haired = faceOf(plain('broad'), age)
    const bald = faceOf(plain('broad'), age, true)
    expect(bald.landmarks).toEqual(haired.landmarks)
    expect(bald.form.crown).toBeGreaterThan(haired.form.crown + 4)
    const [a, b] = [reliefOf(haired), reliefOf(bald)]
    const brow = haired.landmarks.right.browPeak[1]
    for (let y = brow; y < haired.form.foot - 6; y += 5)
      for (const x of [-40, -12, 0, 25, 45]) expect(Math.abs(b.z(x, y) - a.z(x, y))).toBeLessThan(0.6)
    // Round all the way up: each row narrower than the one beneath, and none by a leap.
    for (let y = bald.form.crown + 3; y < brow; y += 2) {
      const grows = b.halfWidth(y + 2) - b.halfWidth(y)
      expect(grows).toBeGreaterThan(-0.3)
      expect(grows).toBeLessThan(16)
    }
  })
})
