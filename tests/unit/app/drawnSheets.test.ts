import { describe, expect, it } from 'vitest'
import { ringOf, type Box } from '#core/geometry'
import { SAME } from '#core/skin'
import { roomFor } from '../../../app/components/bench/stage/drawnSheets'

const VIEW = { k: 2, ox: 350, oy: 300, front: SAME }
const SIZE = [700, 600] as const
const NONE: Box = { minX: 0, minY: 0, maxX: 0, maxY: 0 }
/** A sheet of 40 x 20 mm about a place of the skin, mm. */
const sheet = (x: number, y: number) => ({
  twin: false,
  moving: true,
  openings: [],
  edge: ringOf([
    [x - 20, y - 10],
    [x + 20, y - 10],
    [x + 20, y + 10],
    [x - 20, y + 10],
  ]),
})
const handles = (x: number, y: number) => ({
  top: [x, y - 20] as const,
  turn: [x, y - 60] as const,
  flip: [x + 60, y] as const,
  middle: [x, y] as const,
})
const holds = (box: Readonly<Box>, x: number, y: number) =>
  x >= box.minX && x <= box.maxX && y >= box.minY && y <= box.maxY

describe('the room that selected sheets are drawn in', () => {
  it('holds the sheets and their handles, and some more', () => {
    const room = roomFor([sheet(0, 0), sheet(60, 30)], handles(350, 300), VIEW, SIZE, NONE)
    for (const [x, y] of [
      [310, 280],
      [510, 380],
      [350, 230],
    ] as const)
      expect(holds(room, x, y)).toBe(true)
    expect(room.maxX - room.minX).toBeLessThan(400)
  })

  it('stays where it is for small moves, follows large ones, and shrinks when little is left in it', () => {
    const first = roomFor([sheet(0, 0)], null, VIEW, SIZE, NONE)
    expect(roomFor([sheet(5, -4)], null, VIEW, SIZE, first)).toBe(first)
    const moved = roomFor([sheet(60, 0)], null, VIEW, SIZE, first)
    expect(moved).not.toEqual(first)
    expect(holds(moved, 510, 300)).toBe(true)
    const both = roomFor([sheet(-90, -80), sheet(90, 80)], null, VIEW, SIZE, NONE)
    const one = roomFor([sheet(0, 0)], null, VIEW, SIZE, both)
    expect(one.maxX - one.minX).toBeLessThan(both.maxX - both.minX)
  })

  it('never passes the stage, however near one looks', () => {
    const near = roomFor([sheet(0, 0)], handles(350, 300), { ...VIEW, k: 40 }, SIZE, NONE)
    expect(near).toEqual({ minX: 0, minY: 0, maxX: 700, maxY: 600 })
    const outside = roomFor([sheet(400, 0)], null, VIEW, SIZE, NONE)
    expect(outside.maxX).toBeLessThanOrEqual(700)
  })
})
