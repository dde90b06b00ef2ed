import { describe, expect, it } from 'vitest'
import { freshGem, freshLips, freshOutline, freshSheet, stepAt, withSteps, type Step } from '#core/look'
import { boxOf, type Point } from '#core/geometry'
import { layOn } from '#core/skin'
import { ground, MIDLINE, paint, sheets, world as bare } from '../world'

const soot = paint('soot')
const SPOT: Point = [42, 25]
const feather = sheets.get('feather')!

const sheet = { ...freshSheet('sheet', 'Feather', 'feather', SPOT, soot), twin: MIDLINE }
const base = freshOutline('base', 'Base', SPOT, [soot], ground)
const laid = layOn(ground.surface, sheet)

/** A point of the skin inside an opening of the sheet. */
const printed = ((): Point => {
  const ring = feather.openings[0]!.outer
  const { minX, maxX, minY, maxY } = boxOf(ring)
  return laid.point([(minX + maxX) / 2, (minY + maxY) / 2])
})()
/** A point of the skin on the blank film between the openings and the rim of the sheet. */
const blank = laid.point([feather.width / 2 - 1.5, 0])

const gemAt = (id: string, at: Point) => freshGem(id, at)
const found = (steps: readonly Step[], at: Point, chosen: readonly Step[] = []) => {
  const [first] = chosen
  const own = first?.kind === 'sheet' ? first : null
  const hit = stepAt(steps, own, chosen, withSteps(bare, steps), at)
  return hit && [hit.step.id, hit.twin]
}

describe('what lies under a tap', () => {
  it('is nothing where nothing is', () => {
    expect(found([], SPOT)).toBeNull()
    expect(found([sheet, base], [-60, 80])).toBeNull()
  })

  it('is what was painted last where several lie', () => {
    const [under, over] = [gemAt('under', SPOT), gemAt('over', SPOT)]
    expect(found([under, over], SPOT)).toEqual(['over', false])
    expect(found([over, under], SPOT)).toEqual(['under', false])
  })

  it('is the brushwork in hand before what lies over it', () => {
    const [under, over] = [gemAt('under', SPOT), gemAt('over', SPOT)]
    expect(found([under, over], SPOT, [under])).toEqual(['under', false])
    expect(found([under, over], SPOT, [over, under])).toEqual(['over', false])
  })

  it('is a stencil only where it prints, until it is in hand', () => {
    expect(found([sheet], printed)).toEqual(['sheet', false])
    expect(found([sheet], blank)).toBeNull()
    expect(found([sheet], blank, [sheet])).toEqual(['sheet', false])
  })

  it('tells the twin of a stencil from the stencil', () => {
    expect(found([sheet], [-printed[0], printed[1]])).toEqual(['sheet', true])
  })

  it('is brushwork that lies on the stencil in hand, not the stencil', () => {
    const gem = gemAt('gem', printed)
    expect(found([gem, sheet], printed, [sheet])).toEqual(['gem', false])
  })

  it('is the stencil in hand before another that prints over it', () => {
    const other = { ...sheet, id: 'other' }
    expect(found([sheet, other], printed)).toEqual(['other', false])
    expect(found([sheet, other], printed, [sheet])).toEqual(['sheet', false])
  })

  it('is a base only once that is in hand, and beneath everything then', () => {
    const gem = gemAt('gem', SPOT)
    expect(found([base], SPOT)).toBeNull()
    expect(found([base], SPOT, [base])).toEqual(['base', false])
    expect(found([base, gem], SPOT, [base])).toEqual(['gem', false])
  })

  it('is the lips where they are painted, though they lie by no handles', () => {
    const lips = freshLips('lips', [soot])
    const on = ground.face!.landmarks.mid.lowerLip
    expect(found([lips], on)).toEqual(['lips', false])
    expect(found([lips], [on[0], on[1] + 20], [lips])).toBeNull()
  })

  it('is nothing of a stencil that the drawer has no more', () => {
    const gone = { ...sheet, stencil: 'gone' }
    expect(found([gone], printed, [gone])).toBeNull()
  })
})
