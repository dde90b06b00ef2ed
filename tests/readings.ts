import { readdirSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { polygonOf, sheetOfDraft, type Draft } from '../core/draft'
import { polygonArea } from '../core/geometry'
import { findSheet, frameOfCorners, prepare, readOpenings } from '../core/photo'
import { analyse, readSheetFile } from '../core/stencil'
import { LAMP, photograph, SHADE, SIDE, type Shot } from './photographs'
import { ofToday } from './solved'

/** Reads a photograph by the true corners, as after a painter has set them. */
export function readShot(shot: Shot): { draft: Draft; corners: number } {
  const { picture, corners } = photograph(shot)
  const found = findSheet(picture)
  const off = found
    ? Math.max(...found.corners.map((c, k) => Math.hypot(c[0] - corners[k]![0], c[1] - corners[k]![1])))
    : Infinity
  // Where they are found, the reading goes by what was found.
  const frame = frameOfCorners(off < 3 ? found!.corners : corners, shot.sheet.width, shot.sheet.height)
  return { draft: readOpenings(prepare(picture, frame, 'sheet', null)).sheets[0]!.draft, corners: off }
}
/** Areas of the openings of a draft, mm2, the smallest first. */
export const areasOf = (draft: Draft) =>
  draft.openings.map(o => polygonArea(polygonOf(o))).sort((a, b) => a - b)

const LIGHTS = [SIDE, LAMP, SHADE]
const MATERIALS: Partial<Shot>[] = [
  {},
  { material: '#e8e4d8', ground: '#3a4a55' },
  { material: '#5d6064', ground: '#15161a' },
]
const files = readdirSync('demo/stencils').filter(f => f.endsWith('.svg'))

/** A reading takes five seconds alone, and several times that beside others. */
const READING_MS = 90_000

/** Each stencil is read within so many days; with ALL_PHOTOGRAPHS set in the environment all are read at once. */
const DAYS = process.env.ALL_PHOTOGRAPHS ? 1 : 3

/**
 * Tests that read photographs of demo stencils, in three kinds of light on three grounds. A reading takes seconds:
 * every day others are read, and all of them with "npm run photographs".
 * @param half which of them: every second one, so that two files share the work of two cores
 */
export function photographedHalf(half: 0 | 1): void {
  const offs: number[] = []
  const all = files.map((file, n) => [file.replace('.svg', ''), n] as const).filter(([, n]) => n % 2 === half)
  const mine = ofToday(all, DAYS)
  it.each(mine)(
    '%s',
    (name, n) => {
      const { sheet } = readSheetFile(readFileSync(`demo/stencils/${name}.svg`, 'utf8'))
      const fineness = n % 6 === 0 ? 12 : 8
      const { draft, corners } = readShot({
        sheet,
        fineness,
        light: LIGHTS[n % 3]!,
        seed: n,
        ...MATERIALS[(n >> 1) % 3],
      })
      offs.push(corners)
      const truth = sheet.openings.map(polygonArea).reduce((a, b) => a + b, 0)
      const found = areasOf(draft).reduce((a, b) => a + b, 0)
      expect(draft.openings).toHaveLength(sheet.openings.length)
      expect(Math.abs(found / truth - 1)).toBeLessThan(name === 'halftone' ? 0.025 : 0.01)
      const bridge = analyse(sheetOfDraft(draft)).bridge!.width
      expect(Math.abs(bridge - analyse(sheet).bridge!.width)).toBeLessThan(0.15)
    },
    READING_MS,
  )

  it('finds the corners without help on nine of ten, to half a pixel', () => {
    expect(offs).toHaveLength(mine.length)
    expect(offs.filter(off => off < 0.5).length).toBeGreaterThanOrEqual(Math.floor(0.9 * mine.length))
  })
}
