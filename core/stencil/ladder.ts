import { ringOf, type Ring } from '../geometry'
import type { SheetGeometry } from './types'

/** Bridges of the ladder, mm, the narrowest first. */
export const LADDER_MM = [0.3, 0.4, 0.5, 0.6, 0.8, 1, 1.2, 1.5, 1.8, 2.2, 2.6, 3, 3.5, 4] as const
/** Length and width of its bars, mm. */
const LONG = 26
const WIDE = 5

const bar = (x: number, y: number, w: number, h: number): Ring =>
  ringOf([
    [x, y],
    [x + w, y],
    [x + w, y + h],
    [x, y + h],
  ])

/**
 * The bridge ladder: pairs of bars with a bridge between that grows from pair to pair, and as many notches
 * beside each pair as its number. Cut it, dab it, and tell which bridge is the narrowest still clear: twice
 * the edge spread is as wide.
 */
export function bridgeLadder(): SheetGeometry {
  const openings: Ring[] = []
  let y = 0
  LADDER_MM.forEach((bridge, i) => {
    openings.push(bar(0, y, LONG, WIDE), bar(0, y + WIDE + bridge, LONG, WIDE))
    // Notches tell the pairs apart: large ones count five.
    const fives = Math.floor((i + 1) / 5)
    const ones = (i + 1) % 5
    for (let n = 0; n < fives; n++) openings.push(bar(LONG + 4 + n * 5, y + 2, 3, 6))
    for (let n = 0; n < ones; n++) openings.push(bar(LONG + 4 + fives * 5 + n * 3.6, y + 3.5, 1.6, 3))
    y += 2 * WIDE + bridge + 4.5
  })
  const width = LONG + 46
  const height = y + 9.5
  const dx = -LONG / 2 - 13
  const dy = -height / 2 + 7
  const outline = ringOf([
    [-width / 2, -height / 2],
    [width / 2, -height / 2],
    [width / 2, height / 2],
    [-width / 2, height / 2],
  ])
  return {
    width,
    height,
    outline,
    openings: openings.map(r => ({ outer: r.map((v, i) => v + (i % 2 ? dy : dx)), holes: [] })),
  }
}
