import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import {
  added,
  blankDraft,
  bordered,
  brushed,
  circleAt,
  cutOut,
  draftOf,
  draftSvg,
  filledUp,
  mirroredHalf,
  nodeMoved,
  offersFor,
  pathThrough,
  placed,
  polygonOf,
  rectangleOf,
  repeated,
  sheetOfDraft,
  strip,
  turnedBy,
  without,
  type Draft,
} from '../../../core/draft'
import { drawerZip, readDrawerZip, standingOf, type SheetOnTheWay } from '../../../core/formats'
import { fittedCurve, flattened, polygonArea, sharpPoints, signedArea } from '../../../core/geometry'
import { analyse, readSheetFile } from '../../../core/stencil'

const fileOf = (name: string) => readFileSync(`demo/stencils/${name}.svg`, 'utf8')
const open = (draft: Draft) => draft.openings.reduce((s, o) => s + polygonArea(polygonOf(o)), 0)
const blank = blankDraft(100, 80, 6)

describe('curves through points', () => {
  it('a circle is smooth and true, a square keeps its corners and straight sides', () => {
    const ring = Float64Array.from({ length: 160 }, (_, k) =>
      k % 2 ? 6 * Math.sin((Math.PI * (k - 1)) / 80) : 6 * Math.cos((Math.PI * k) / 80),
    )
    const circle = fittedCurve(ring, [], 0.02)
    expect(Math.abs(signedArea(flattened(circle))) / (36 * Math.PI)).toBeCloseTo(1, 2)
    for (const { at, before, after } of circle) {
      const cross = (at[0] - before[0]) * (after[1] - at[1]) - (at[1] - before[1]) * (after[0] - at[0])
      const l =
        Math.hypot(at[0] - before[0], at[1] - before[1]) * Math.hypot(after[0] - at[0], after[1] - at[1])
      expect(Math.abs(cross / l)).toBeLessThan(0.06)
    }
    const square = Float64Array.from([0, 0, 5, 0, 10, 0, 10, 10, 0, 10])
    expect(sharpPoints(square)).toEqual([0, 2, 3, 4])
    expect(fittedCurve(square, sharpPoints(square), 0.02)).toHaveLength(4)
  })
})

describe('a draft', () => {
  it('leaves as an SVG with curves that is read to the same stencil', () => {
    const draft = draftOf(readSheetFile(fileOf('swirl-large')).sheet)
    const svg = draftSvg(draft)
    expect(svg).toMatch(/C-?\d/)
    const { sheet } = readSheetFile(svg)
    expect(sheet.openings).toHaveLength(draft.openings.length)
    expect(sheet.width).toBeCloseTo(draft.width, 3)
    const area = sheet.openings.reduce((s, o) => s + polygonArea(o), 0)
    expect(area / open(draft)).toBeCloseTo(1, 2)
  })
  it('is cut, filled, cut apart, joined, erased', () => {
    const two = added(blank, [circleAt([-12, 0], 8), circleAt([12, 0], 8)])
    const joined = cutOut(two, strip([-12, 0], [12, 0], 2))
    expect(joined.openings).toHaveLength(1)
    expect(open(joined)).toBeGreaterThan(open(two))
    const apart = filledUp(joined, strip([0, -10], [0, 10], 1.5))
    expect(apart.openings).toHaveLength(2)
    expect(analyse(sheetOfDraft(apart)).bridge!.width).toBeCloseTo(1.5, 1)
    expect(without(two, 0).openings).toEqual([two.openings[1]])
    const brush = cutOut(blank, brushed([[0, 0], [10, 0]], 3)) // prettier-ignore
    expect(open(brush)).toBeCloseTo(30 + Math.PI * 2.25, 1)
    expect(cutOut(blank, brushed([[5, 5]], 4)).openings).toHaveLength(1) // prettier-ignore
    // What is not touched stays the very same curves.
    expect(filledUp(two, brushed([[12, 0]], 3)).openings[0]).toBe(two.openings[0]) // prettier-ignore
  })
  it('has nodes that move with their handles, rectangles and paths', () => {
    const one = added(blank, [circleAt([0, 0], 5)])
    const moved = nodeMoved(one, { opening: 0, ring: 0, node: 0 }, [9, 0])
    const node = moved.openings[0]!.outer[0]!
    expect(node.at).toEqual([9, 0])
    expect(node.after[0]).toBeCloseTo(9, 9)
    expect(open(moved)).toBeGreaterThan(open(one))
    expect(open(added(blank, [rectangleOf([2, 3], [8, 7])]))).toBeCloseTo(24, 6)
    expect(open(added(blank, [pathThrough([[0, 0], [10, 0], [0, 10]], false)]))).toBeCloseTo(50, 6) // prettier-ignore
    expect(open(added(blank, [pathThrough([[0, 0], [10, 0], [10, 10], [0, 10]], true)]))).toBeGreaterThan(100) // prettier-ignore
    expect(polygonArea(polygonOf(placed(circleAt([0, 0], 5), [3, 3], 30, 2)))).toBeCloseTo(100 * Math.PI, 0)
  })
  it('refuses what lies outside, with a sentence', () => {
    expect(() => sheetOfDraft(added(blank, [circleAt([49, 0], 5)]))).toThrow(
      /reaches past the stencil's edge/,
    )
    expect(() => sheetOfDraft(blank)).toThrow(/no opening/)
  })
})

describe('what could be made even', () => {
  const crown = draftOf(readSheetFile(fileOf('crown-crest')).sheet)
  it('a crooked axis is straightened by what it is off', () => {
    const offer = offersFor(turnedBy(crown, 3)).find(o => o.kind === 'level')!
    expect(offer.words).toMatch(/3\.0°/)
    expect(offer.moves).toBeGreaterThan(1)
    const again = offersFor(offer.draft).find(o => o.kind === 'level')
    expect(again).toBeUndefined()
  })
  it('sides that are nearly alike become so, with how far points move', () => {
    const first = crown.openings.findIndex(o => o.outer.every(n => n.at[0] < -3))
    const off = { ...crown, openings: crown.openings.map((o, i) => (i === first ? placed(o, [0.3, 0]) : o)) }
    const offer = offersFor(off).find(o => o.kind === 'mirror')!
    expect(offer.moves).toBeGreaterThan(0.1)
    expect(offer.moves).toBeLessThan(0.5)
    expect(offersFor(offer.draft).find(o => o.kind === 'mirror')?.moves ?? 0).toBeLessThan(0.05)
  })
  it('a repeat that is nearly regular becomes so', () => {
    const grid = repeated(blank, [circleAt([0, 0], 2)], {
      across: 7,
      down: 7,
      shift: 0,
      margin: 5,
      flip: false,
    })
    const shaken = grid.map((o, i) => placed(o, [0.08 * Math.sin(7 * i), 0.08 * Math.cos(5 * i)]))
    const offer = offersFor(added(blank, shaken)).find(o => o.kind === 'lattice')!
    expect(offer.moves).toBeLessThan(0.3)
    const xs = new Set(offer.draft.openings.map(o => o.outer[0]!.at[0].toFixed(2)))
    expect(xs.size).toBeLessThan(40)
  })
})

describe('drawing one', () => {
  const motif = [circleAt([0, 0], 3)]
  it('repeats within the margin, in rows shifted or not', () => {
    const bricks = repeated(blank, motif, { across: 9, down: 8, shift: 0.5, margin: 6, flip: true })
    expect(bricks.length).toBeGreaterThan(40)
    for (const o of bricks)
      for (const { at } of o.outer) expect(Math.abs(at[0])).toBeLessThanOrEqual(50 - 6 + 1e-6)
    expect(analyse(sheetOfDraft(added(blank, bricks))).lattice).not.toBeNull()
    expect(() => repeated(blank, motif, { across: 0, down: 8, shift: 0, margin: 6, flip: false })).toThrow(
      /Steps/,
    )
    expect(() => repeated(blank, [], { across: 9, down: 8, shift: 0, margin: 6, flip: false })).toThrow(
      /Choose/,
    )
    expect(() => repeated(blank, motif, { across: 0.6, down: 0.6, shift: 0, margin: 6, flip: false })).toThrow(/more than/) // prettier-ignore
    expect(() => repeated(blank, motif, { across: 9, down: 8, shift: 0, margin: 45, flip: false })).toThrow(/larger than the stencil/) // prettier-ignore
  })
  it('sets a border along a line, turned with it, and mirrors a half', () => {
    const petal = [rectangleOf([0, 0], [4, 1])]
    const down = bordered(petal, [[0, -30], [0, 30]], 6) // prettier-ignore
    expect(down).toHaveLength(10)
    const [box] = down.map(o => o.outer.map(n => n.at[1]))
    expect(Math.max(...box!) - Math.min(...box!)).toBeCloseTo(4, 6)
    expect(() => bordered(petal, [[0, 0]], 6)).toThrow(/two points/) // prettier-ignore
    const half = mirroredHalf(
      added(blank, [circleAt([-20, 4], 3), circleAt([20, -9], 5), circleAt([0, 0], 4)]),
    )
    expect(half.openings).toHaveLength(3)
    expect(open(half)).toBeCloseTo(Math.PI * (9 + 9 + 16), 0)
  })
})

describe('a drawer in one file', () => {
  const sheet = (id: string, name: string): SheetOnTheWay => ({
    about: {
      id,
      name,
      kind: 'motif',
      tags: ['mine'],
      zones: [],
      heading: null,
      copies: 2,
      notes: '',
      material: 'mylar',
      groups: [],
    },
    sheet: readSheetFile(fileOf(id)).sheet,
  })
  it('goes out and comes in whole, and tells new, same and changed apart', () => {
    const mine = [sheet('swirl-small', 'Swirl'), sheet('star-set', 'Stars')]
    const came = readDrawerZip(drawerZip(mine))
    expect(came.every(c => c.ok)).toBe(true)
    const [swirl, stars] = came.map(c => (c.ok ? c : null)!)
    expect(standingOf(swirl!, mine)).toMatchObject({ standing: 'same' })
    expect(standingOf(stars!, mine.slice(0, 1))).toMatchObject({ standing: 'new' })
    const noted = [{ ...mine[0]!, about: { ...mine[0]!.about, tags: ['other'] } }]
    expect(standingOf(swirl!, noted)).toMatchObject({ standing: 'changed', shape: true })
    const other = [{ ...mine[1]!, about: { ...mine[1]!.about, id: 'swirl-small' } }]
    expect(standingOf(swirl!, other)).toMatchObject({ standing: 'changed', shape: false })
    // A friend's house has other numbers: name and shape say that it is the same.
    expect(standingOf({ ...swirl!, about: { ...swirl!.about, id: 'x' } }, mine).standing).toBe('same')
  })
  it('says what is wrong with a file, and loses only what is damaged', () => {
    expect(() => readDrawerZip(new Uint8Array([1, 2, 3]))).toThrow(/no zip file/)
    const bytes = drawerZip([sheet('star-set', 'Stars')])
    expect(() => readDrawerZip(bytes.slice(0, bytes.length - 40))).toThrow(RangeError)
  })
})
