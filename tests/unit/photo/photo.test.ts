import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { added, blankDraft, circleAt, placed, polygonOf, rectangleOf } from '../../../core/draft'
import { polygonArea, type Point } from '../../../core/geometry'
import {
  bent,
  CARD,
  CARD_CROSSES,
  cardDots,
  cornerTrouble,
  findCard,
  findSheet,
  frameOfCorners,
  frameOfDistance,
  paperLike,
  prepare,
  proposalFor,
  readAsSet,
  readOpenings,
  sizeTrouble,
  unbent,
  type Corners,
  type Picture,
} from '../../../core/photo'
import { analyse, readSheetFile, type SheetGeometry } from '../../../core/stencil'
import { photograph, seeded, type Shot } from '../../photographs'

const demo = (name: string): SheetGeometry =>
  readSheetFile(readFileSync(`demo/stencils/${name}.svg`, 'utf8')).sheet
const small = demo('swirl-small')
const shotOf = (more: Partial<Shot> = {}) => photograph({ sheet: small, fineness: 8, ...more })
const frameOf = (corners: Corners) => frameOfCorners(corners, small.width, small.height)
const read = (more: Partial<Shot> = {}) => {
  const { picture, corners } = shotOf(more)
  return readOpenings(prepare(picture, frameOf(corners), 'sheet', null))
}
const picture = (width: number, height: number, of: (x: number, y: number) => number): Picture => {
  const data = new Uint8ClampedArray(4 * width * height).fill(255)
  for (let j = 0; j < height; j++)
    for (let i = 0; i < width; i++) data.fill(of(i, j), 4 * (j * width + i), 4 * (j * width + i) + 3)
  return { width, height, data }
}

describe('what a bad photograph is told', () => {
  it('corners that cross, or lie on one line', () => {
    const [a, b, c, d]: Corners = [[0, 0], [100, 0], [100, 80], [0, 80]] // prettier-ignore
    expect(cornerTrouble([a, b, c, d])).toBeNull()
    expect(cornerTrouble([a, c, b, d])).toMatch(/cross/)
    expect(cornerTrouble([[0, 0], [50, 0.5], [100, 0], [30, 0.2]])).toMatch(/one line/) // prettier-ignore
    expect(() => frameOfCorners([a, c, b, d], 60, 40)).toThrow(/cross/)
    expect(() => frameOfCorners([a, a, a, a], 60, 40)).toThrow(/one line/)
    expect(() => frameOfCorners([a, b, c, d], 2, 40)).toThrow(/between 15 and 500 mm/)
    expect(() => frameOfCorners([a, b, c, d], 40, 60)).toThrow(/Perhaps the two are swapped/)
  })
  it('far too blurred: by how much', () => {
    expect(() => read({ blur: 5 })).toThrow(/too blurred: an edge is \d\.\d mm wide/)
  })
  it('a picture of nothing', () => {
    const random = seeded(3)
    const nothing = picture(400, 300, () => 180 + 8 * random())
    expect(findSheet(nothing)).toBeNull()
    const corners: Corners = [[40, 30], [360, 30], [360, 270], [40, 270]] // prettier-ignore
    expect(() => readOpenings(prepare(nothing, frameOfCorners(corners, 50, 38), 'sheet', null))).toThrow(
      RangeError,
    )
  })
  it('a reflection over half the stencil', () => {
    const glare =
      '<defs><radialGradient id="g"><stop offset="0.3" stop-color="#fff"/><stop offset="1" stop-color="#fff" stop-opacity="0"/></radialGradient></defs><circle cx="-8" cy="0" r="26" fill="url(#g)"/>'
    expect(() => read({ stains: glare })).toThrow(/reflection/)
  })
  it('a stencil that runs off the picture', () => {
    const { picture: whole } = shotOf()
    const cut: Picture = {
      width: whole.width,
      height: Math.round(0.6 * whole.height),
      data: whole.data.slice(0, 4 * whole.width * Math.round(0.6 * whole.height)),
    }
    expect(findSheet(cut)!.cutOff).toContain('bottom')
  })
  it('a size that makes bridges of 0.05 mm, and pixels that are too few', () => {
    expect(sizeTrouble(0.05)).toMatch(/0\.05 mm, which no stencil has/)
    expect(sizeTrouble(0.9)).toBeNull()
    expect(sizeTrouble(null)).toBeNull()
    const { picture: one, corners } = shotOf()
    expect(() => prepare(one, frameOfCorners(corners, 400, 300), 'sheet', null)).toThrow(
      /pixels to the millimetre/,
    )
  })
})

describe('what is read', () => {
  it('a light stencil, a dark one, dried paint on it', () => {
    for (const more of [
      {},
      { material: '#efe9dd', ground: '#33404a' },
      { stains: '<circle cx="4" cy="3" r="9" fill="#c33b6e" fill-opacity="0.8"/>' },
    ]) {
      const { sheets } = read(more)
      expect(sheets).toHaveLength(1)
      expect(sheets[0]!.draft.openings).toHaveLength(small.openings.length)
    }
  })
  it('small openings in light that falls off by half are not taken for the light', () => {
    const sheet = demo('crosses')
    const { picture: one, corners } = photograph({
      sheet,
      fineness: 8,
      seed: 1,
      material: '#e8e4d8',
      ground: '#3a4a55',
    })
    const prepared = prepare(one, frameOfCorners(corners, sheet.width, sheet.height), 'sheet', null)
    expect(prepared.darkSheet).toBe(false)
    expect(readOpenings(prepared).sheets[0]!.draft.openings).toHaveLength(sheet.openings.length)
  })
  it('takes the ground past rounded corners for no opening, and rounds the edge', () => {
    const { draft } = read().sheets[0]!
    expect([draft.width, draft.height]).toEqual([small.width, small.height])
    expect(draft.outline.length).toBe(8)
  })
  it('several stencils on one paper are taken apart', () => {
    const pair: SheetGeometry = {
      ...small,
      width: 110,
      height: 50,
      outline: Float64Array.from([-55, -25, 55, -25, 55, 25, -55, 25]),
      openings: [],
    }
    const sheetPath = (x: number) =>
      [small.outline, ...small.openings.map(o => o.outer)]
        .map(r => `M${Array.from(r, (v, k) => (k % 2 ? v : v + x).toFixed(3)).join(' ')}Z`)
        .join('')
    const stains = `<path d="${sheetPath(-27)}${sheetPath(27)}" fill="#2b2f38" fill-rule="evenodd"/>`
    const { picture: one, corners } = photograph({
      sheet: pair,
      fineness: 9,
      material: '#f2efe8',
      ground: '#6b4a33',
      stains,
    })
    const { sheets } = readOpenings(
      prepare(one, frameOfCorners(corners, pair.width, pair.height), 'ground', null),
    )
    expect(sheets).toHaveLength(2)
    for (const { draft } of sheets) {
      expect(draft.openings).toHaveLength(small.openings.length)
      expect(draft.width).toBeCloseTo(small.width, 0)
    }
    expect(sheets[0]!.middle[0]).toBeLessThan(sheets[1]!.middle[0])
    const set = readAsSet(sheets.map(s => s.draft))
    expect(set.drafts[0]!.width).toBe(set.drafts[1]!.width)
  })
})

it('parts of a set are laid on the first by the round marks that they share', () => {
  const marks = [circleAt([-40, 28], 1.5), circleAt([40, 28], 1.5), circleAt([-40, -25], 2)]
  const first = added(blankDraft(100, 70), [...marks, circleAt([0, 0], 9)])
  // Photographed a little askew, and cut to another size.
  const second = added(
    blankDraft(96, 72),
    [...marks, rectangleOf([-6, -4], [6, 4])].map(o => placed(o, [1.4, -0.8], 2)),
  )
  const { drafts, shared } = readAsSet([first, second])
  expect(shared).toEqual([3, 3])
  expect(drafts.map(d => [d.width, d.height])).toEqual([[100, 72], [100, 72]]) // prettier-ignore
  for (const k of [0, 1, 2]) {
    const [a, b] = drafts.map(d => d.openings[k]!.outer[0]!.at)
    const off = Math.hypot(a![0] - b![0], a![1] - b![1])
    // The marks are the same circles begun at another point of their rim: turned by two degrees.
    expect(off).toBeLessThan(0.08)
  }
  const alone = readAsSet([first, added(blankDraft(100, 70), [rectangleOf([-6, -4], [6, 4])])])
  expect(alone.shared).toEqual([3, 0])
})

describe('sizes', () => {
  it('two points of known distance give the sides of a flat scan', () => {
    const corners: Corners = [[100, 100], [1300, 100], [1300, 900], [100, 900]] // prettier-ignore
    const frame = frameOfDistance(corners, [100, 950], [1100, 950], 100)
    expect(frame.width).toBeCloseTo(120, 6)
    expect(frame.height).toBeCloseTo(80, 6)
    expect(() => frameOfDistance(corners, [5, 5], [6, 5], 100)).toThrow(/too close/)
  })
  it('paper is proposed by its proportion', () => {
    expect(paperLike([[0, 0], [1480, 0], [1480, 2100], [0, 2100]])).toMatchObject({ paper: 'A5', width: 148 }) // prettier-ignore
    expect(paperLike([[0, 0], [2794, 0], [2794, 2159], [0, 2159]])).toMatchObject({ paper: 'letter' }) // prettier-ignore
    expect(paperLike([[0, 0], [1000, 0], [1000, 1000], [0, 1000]])).toBeNull() // prettier-ignore
  })
  it('a lens bends and is straightened again', () => {
    for (const k of [-0.12, 0.08]) {
      const p: Point = [1234, 333]
      const q = unbent({ k }, bent({ k }, p, 2000, 1500), 2000, 1500)
      expect(q[0]).toBeCloseTo(p[0], 3)
      expect(q[1]).toBeCloseTo(p[1], 3)
    }
  })
  it('the calibration card is found with its lens, and a stencil of any shape on it is true', () => {
    const sheet = demo('hare-head')
    const place = ([x, y]: Point): Point => [x - CARD.width / 2, y - CARD.height / 2]
    const cross = (p: Point) => {
      const [x, y] = place(p)
      return `<path d="M${x - 6} ${y - 1.5}h12v3h-12zM${x - 1.5} ${y - 6}h3v12h-3z"/>`
    }
    const dots = cardDots().map(p => `<circle cx="${place(p)[0]}" cy="${place(p)[1]}" r="1.2"/>`)
    const { picture: one } = photograph({
      sheet,
      fineness: 5,
      around: 80,
      lens: { k: -0.05 },
      beneath: `<g fill="#222">${CARD_CROSSES.map(cross).join('')}${dots.join('')}</g>`,
    })
    const card = findCard(one)!
    expect(card.marks).toBe(4 + cardDots().length)
    expect(card.frame.lens!.k).toBeCloseTo(-0.05, 2)
    expect(card.offMm).toBeLessThan(0.1)
    const { sheets } = readOpenings(prepare(one, card.frame, 'ground', null))
    expect(sheets).toHaveLength(1)
    expect(sheets[0]!.draft.width).toBeCloseTo(sheet.width, 0)
    const open = (list: number[]) => list.reduce((a, b) => a + b, 0)
    const truth = open(sheet.openings.map(polygonArea))
    expect(open(sheets[0]!.draft.openings.map(o => polygonArea(polygonOf(o)))) / truth).toBeCloseTo(1, 1)
    // A printer that made it 2 % larger: everything is 2 % larger.
    expect(findCard(one, 1.02)!.frame.width).toBeCloseTo(1.02 * card.frame.width, 6)
    expect(findCard(shotOf().picture)).toBeNull()
  }, 60_000)
})

it('kinds are proposed from the shape', () => {
  const kindOf = (name: string) => {
    const sheet = demo(name)
    return proposalFor(sheet, analyse(sheet)).kind
  }
  expect(kindOf('fans')).toBe('texture')
  expect(kindOf('waves')).toBe('border')
  expect(kindOf('crown-crest')).toBe('crest')
  expect(kindOf('half-face')).toBe('half face')
  expect(kindOf('swirl-small')).toBe('motif')
})
