import { describe, expect, it } from 'vitest'
import { freshLook, parseLook } from '#core/look'
import {
  BUILDS,
  faceOf,
  FACES_TO_BEGIN,
  groundOf,
  PLAIN_FACE,
  reliefOf,
  TRAIT_BOUNDS,
  TRAITS,
  traitProblems,
  traitsToBegin,
  type FaceTraits,
} from '#core/skin'

const plain = (traits?: Partial<FaceTraits>) => ({ ...PLAIN_FACE, traits })
const usualAt = (age: number) => faceOf(plain(), age).form.traits

describe('traits of a face', () => {
  it('are what its landmarks then measure', () => {
    for (const age of [4, 30]) {
      const { landmarks } = faceOf(plain({ noseWidth: 38, lips: 15, eyeTilt: 8 }), age)
      const { mid, right, left } = landmarks
      expect(right.noseWing[0] - left.noseWing[0]).toBeCloseTo(38, 9)
      expect(mid.lowerLip[1] - mid.upperLip[1]).toBeCloseTo(15, 9)
      const tilt = Math.atan2(right.innerEye[1] - right.outerEye[1], right.outerEye[0] - right.innerEye[0])
      expect((tilt * 180) / Math.PI).toBeCloseTo(8, 6)
    }
  })

  it('stay what they were said to be on a face that was measured with a tape', () => {
    const measures = { temples: 118, hairlineToBrow: 50, browToChin: 121, innerEyes: 34, mouth: 47 }
    const { landmarks } = faceOf({ ...plain({ noseWidth: 40 }), measures }, 30)
    expect(landmarks.right.noseWing[0] - landmarks.left.noseWing[0]).toBeCloseTo(40, 9)
  })

  it('change the relief: a high bridge stands out farther, a broad jaw reaches farther out', () => {
    const low = reliefOf(faceOf(plain({ noseBridge: 1 }), 30))
    const high = reliefOf(faceOf(plain({ noseBridge: 6 }), 30))
    expect(high.z(0, 4) - low.z(0, 4)).toBeGreaterThan(3)
    const [narrow, broad] = [92, 124].map(jaw => reliefOf(faceOf(plain({ jaw }), 30)).halfWidth(86))
    expect(broad! - narrow!).toBeGreaterThan(9)
  })

  it('leave every face to begin with without a fold, at every age and build', () => {
    const n = new Float64Array(3)
    for (const build of BUILDS)
      for (const age of [3, 10, 40, 80])
        for (let k = 0; k < FACES_TO_BEGIN; k++) {
          const usual = faceOf({ ...plain(), build }, age).form.traits
          const canvas = { ...plain(traitsToBegin(k, usual)), build }
          expect(traitProblems(canvas.traits ?? {})).toEqual([])
          const { surface, relief, face } = groundOf(canvas, age)
          const { form } = face!
          for (let y = form.crown + 12; y < form.foot - 8; y += 5)
            for (let x = 3 - relief!.halfWidth(y); x < relief!.halfWidth(y) - 3; x += 5) {
              surface.normal(x, y, n)
              expect(n[2]!).toBeGreaterThan(0.05)
            }
        }
  })

  it('differ from face to face, and follow age: a child has hardly a bridge, old lips are thin', () => {
    const all = Array.from({ length: FACES_TO_BEGIN }, (_, k) =>
      JSON.stringify(traitsToBegin(k, usualAt(30))),
    )
    expect(new Set(all).size).toBe(FACES_TO_BEGIN)
    expect(FACES_TO_BEGIN).toBeGreaterThanOrEqual(6)
    expect(usualAt(4).noseBridge).toBeLessThan(0.4 * usualAt(30).noseBridge)
    expect(usualAt(78).lips).toBeLessThan(0.85 * usualAt(30).lips)
    expect(usualAt(4).eyeOpening).toBeGreaterThan(0.95 * usualAt(30).eyeOpening)
  })
})

describe('a look with traits', () => {
  const withTraits = (traits: unknown) => {
    const look = freshLook('t', 'T')
    return parseLook({ ...look, canvas: { ...look.canvas, traits } })
  }
  it('is read back as it was written; one without any is as before', () => {
    const read = withTraits({ jaw: 100, lidFold: 40 })
    expect(read.ok && read.look.canvas).toMatchObject({ traits: { jaw: 100, lidFold: 40 } })
    expect(parseLook(freshLook('t', 'T')).ok).toBe(true)
  })
  it.each(TRAITS)('names a %s that cannot be', name => {
    const { words, most } = TRAIT_BOUNDS[name]
    const read = withTraits({ [name]: most + 20 })
    expect(read.ok).toBe(false)
    if (!read.ok) expect(read.errors.join(' ')).toContain(words)
  })
  it('names a trait that there is not', () => {
    expect(withTraits({ chin: 3 }).ok).toBe(false)
  })
})
