import { describe, expect, it } from 'vitest'
import { ringOf } from '#core/geometry'
import { SAME } from '#core/skin'
import { drawnIn } from '../../../app/components/bench/stage/drawnSheets'
import type { Pen } from '../../../app/components/bench/stage/ink'
import { drawOutlines, type Outlines } from '../../../app/components/bench/stage/outlines'

const VIEW = { k: 2, ox: 350, oy: 300, front: SAME }
const square = (x: number, y: number, half: number) =>
  ringOf([
    [x - half, y - half],
    [x + half, y - half],
    [x + half, y + half],
    [x - half, y + half],
  ])
const lying = (moving: boolean) => ({
  twin: false,
  moving,
  edge: square(0, 0, 20),
  openings: moving ? [square(-5, 0, 2), square(5, 0, 3)] : [],
})

/** A pen that notes what is done with it, and how large its canvas is made. */
function notingPen() {
  const done: string[] = []
  const canvas = { width: 1, height: 1 }
  const c = new Proxy({} as Record<string, unknown>, {
    get: (set, name: string) =>
      name === 'canvas'
        ? canvas
        : (set[name] ?? ((...values: unknown[]) => void done.push([name, ...values.flat()].join(' ')))),
    set: (set, name: string, value) => {
      set[name] = value
      return true
    },
  })
  return { pen: c as unknown as Pen, done, canvas }
}
const outlines = (moving: boolean): Outlines => ({
  sheets: [drawnIn(VIEW, lying(moving))],
  ink: '#722A57',
  handles: null,
  size: [700, 600],
  fine: 2,
})

describe('the selected sheets', () => {
  it('are brought to px of the stage, ring after ring', () => {
    const { edge, openings, twin, moving } = drawnIn(VIEW, lying(true))
    expect([twin, moving]).toEqual([false, true])
    expect([...edge.xy]).toEqual([310, 260, 390, 260, 390, 340, 310, 340])
    expect([...edge.ends]).toEqual([8])
    expect([...openings.ends]).toEqual([8, 16])
    expect([...openings.xy.subarray(8, 10)]).toEqual([350 + 2 * 2, 300 - 2 * 3])
  })

  it('are drawn on a canvas as fine as the screen, which is sized once and cleared each time', () => {
    const { pen, done, canvas } = notingPen()
    drawOutlines(pen, outlines(false))
    expect(canvas).toEqual({ width: 1400, height: 1200 })
    expect(done.slice(0, 2)).toEqual(['setTransform 2 0 0 2 0 0', 'clearRect 0 0 700 600'])
    expect(done).toContain('moveTo 310 260')
    expect(done.filter(d => d === 'closePath')).toHaveLength(1)
    // At rest it is tinted all over, and has no openings.
    expect(done.filter(d => d.startsWith('fill'))).toEqual(['fill'])
  })

  it('show their openings while they move, every ring by itself', () => {
    const { pen, done } = notingPen()
    drawOutlines(pen, outlines(true))
    expect(done.filter(d => d.startsWith('moveTo'))).toEqual([
      'moveTo 310 260',
      'moveTo 336 296',
      'moveTo 354 294',
    ])
    expect(done.filter(d => d.startsWith('lineTo'))).toHaveLength(9)
    expect(done.filter(d => d.startsWith('fill'))).toEqual(['fill evenodd'])
  })
})
