import { describe, expect, it } from 'vitest'
import { freshLook, freshSheet, groundFor, withSteps, type World } from '#core/look'
import { BareSkinCache, expressed, finishedPicture, strainedBy, strainWords } from '#core/raster'
import { EXPRESSIONS, faceOf, movedBy, PLAIN_FACE, type Expression } from '#core/skin'
import { prepared } from '#core/stencil'

const AGES = [3, 8, 30, 75]
const moved = (expression: Expression, age = 30) => {
  const face = faceOf(PLAIN_FACE, age)
  return { face, ...movedBy(expression, face) }
}

describe.each(EXPRESSIONS)('a face that shows "%s"', expression => {
  it('never folds its skin over, and finds every point of it again, at every age', () => {
    for (const age of AGES) {
      const { face, to, from, stretch } = moved(expression, age)
      for (let y = face.form.crown; y < face.form.foot; y += 4)
        for (let x = -70; x <= 70; x += 4) {
          const back = from(to([x, y]))
          expect(Math.hypot(back[0] - x, back[1] - y)).toBeLessThan(0.01)
          expect(stretch([x, y]).least).toBeGreaterThan(0.25)
        }
    }
  })

  it('moves both sides alike', () => {
    const { to } = moved(expression)
    for (const [x, y] of [
      [26, 74],
      [34, -18],
      [12, 30],
    ] as const) {
      const [rx, ry] = to([x, y])
      const [lx, ly] = to([-x, y])
      expect(lx).toBeCloseTo(-rx, 9)
      expect(ly).toBeCloseTo(ry, 9)
    }
  })
})

describe('what moves', () => {
  it('is the mouth in a smile: outward and up; the forehead stays', () => {
    const { face, to } = moved('smile')
    const [x, y] = face.landmarks.right.mouthCorner
    expect(to([x, y])[0]).toBeGreaterThan(x + 2.5)
    expect(to([x, y])[1]).toBeLessThan(y - 2.5)
    expect(to([20, -45])).toEqual([expect.closeTo(20, 1), expect.closeTo(-45, 1)])
  })

  it('is the forehead when brows go up: drawn together above them, stretched below', () => {
    const { face, stretch, to } = moved('brows up')
    const [x, y] = face.landmarks.right.browPeak
    expect(to([x, y])[1]).toBeLessThan(y - 4)
    expect(stretch([x - 8, y - 15]).least).toBeLessThan(0.88)
    expect(stretch([x - 4, y + 12]).most).toBeGreaterThan(1.1)
    expect(stretch([0, 100]).least).toBeCloseTo(1, 3)
  })

  it('measures the stretch of a known map', () => {
    // Far from all that moves, nothing is stretched; the measure itself is that of singular values.
    const { stretch } = moved('smile')
    expect(stretch([0, -110])).toEqual({ least: expect.closeTo(1, 6), most: expect.closeTo(1, 6) })
  })
})

const look = freshLook('e', 'E')
const paint = { id: 'p', name: 'p', colour: '#1F4E9A' }
const ring = Float64Array.from([-18, -9, 18, -9, 18, 9, -18, 9])
const plate = prepared({
  id: 'plate',
  name: 'Plate',
  kind: 'motif',
  width: 44,
  height: 26,
  outline: Float64Array.from([-22, -13, 22, -13, 22, 13, -22, 13]),
  openings: [{ outer: ring, holes: [] }],
})
const on = (at: [number, number]) => [freshSheet('s', 'Blue bar', 'plate', at, paint)]
const worldFor = (steps: ReturnType<typeof on>): World =>
  withSteps({ ground: groundFor(look), stencil: () => plate, paint: () => undefined }, steps)

describe('a look on a face that moves', () => {
  const ground = groundFor(look)
  const { head } = new BareSkinCache(1e9).of(look, ground, 1)
  const calm = finishedPicture(head)

  it('changes only where the skin moves', () => {
    const smiling = expressed(calm, head, ground, 'smile')
    const { grid } = head
    let changed = 0
    let high = 0
    for (let p = 0; p < head.light.length; p++) {
      if (smiling[4 * p] === calm[4 * p] && smiling[4 * p + 1] === calm[4 * p + 1]) continue
      changed++
      if (grid.y0 + Math.floor(p / grid.width) / grid.pxPerMm < -30) high++
    }
    expect(changed).toBeGreaterThan(1500)
    expect(high).toBe(0)
  })

  it('refuses what has no face', () => {
    const arm = groundFor({
      ...look,
      canvas: { kind: 'arm', part: 'forearm', side: 'left', measures: null },
    })
    expect(() => expressed(calm, head, arm, 'smile')).toThrow(/Only a face/)
    const board = groundFor({ ...look, canvas: { kind: 'board', build: 'fine' } })
    expect(() => expressed(calm, head, board, 'smile')).toThrow(/Only a face/)
  })

  it('tells that a print on the forehead cracks when brows go up, and not in a smile', () => {
    const steps = on([0, -38])
    const [worst] = strainedBy('brows up', steps, worldFor(steps), head)
    expect(worst?.cracks).toBeGreaterThan(0.15)
    expect(worst?.where).toBe('forehead')
    expect(strainWords(worst!, steps[0]!)).toMatch(/% may crack, most on the forehead\. It shrinks by \d+ %/)
    expect(strainedBy('smile', steps, worldFor(steps), head)).toEqual([])
  })

  it('tells nothing of a print on the chin', () => {
    const steps = on([0, 104])
    for (const expression of EXPRESSIONS)
      expect(strainedBy(expression, steps, worldFor(steps), head)).toEqual([])
  })
})
