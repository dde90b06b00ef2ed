import { describe, expect, it } from 'vitest'
import { freshLook, groundFor, type Look } from '#core/look'
import { BareSkinCache } from '#core/raster'

const look = (skin: Partial<Look['skin']>): Look => {
  const plain = freshLook('i', 'Irises')
  return { ...plain, skin: { ...plain.skin, ...skin } }
}
const bareOf = (of: Look) => new BareSkinCache(1e9).of(of, groundFor(of), 3).head
type HeadPicture = ReturnType<typeof bareOf>

/** Where two heads differ in what lies over the skin, mm, and by how much more the second is blue there. */
function differing(a: HeadPicture, b: HeadPicture): { x: number; y: number; bluer: number }[] {
  const { grid } = a
  const found = []
  for (let p = 0; p < grid.width * grid.height; p++) {
    const by = [0, 1, 2].map(k => b.over[4 * p + k]! - a.over[4 * p + k]!)
    if (Math.max(...by.map(Math.abs)) < 0.01) continue
    found.push({
      x: grid.x0 + ((p % grid.width) + 0.5) / grid.pxPerMm,
      y: grid.y0 + (Math.floor(p / grid.width) + 0.5) / grid.pxPerMm,
      bluer: by[2]! - by[0]!,
    })
  }
  return found
}

describe('the colour of eyes', () => {
  it('changes irises and nothing else, and a head that says nothing of it stays as it was', () => {
    const of = look({ age: 30 })
    const { right, left } = groundFor(of).face!.landmarks
    const changed = differing(bareOf(of), bareOf(look({ age: 30, iris: '#7890a2' })))
    expect(changed.length).toBeGreaterThan(300)
    for (const { x, y } of changed) {
      const [px, py] = (x < 0 ? left : right).pupil
      expect(Math.hypot(x - px, y - py)).toBeLessThan(8)
    }
    expect(changed.reduce((sum, c) => sum + c.bluer, 0) / changed.length).toBeGreaterThan(0.02)
  })

  it.each([3, 5, 9, 30])('stands near the middle between the corners at %i years: nobody squints', age => {
    const { right } = groundFor(look({ age })).face!.landmarks
    const changed = differing(bareOf(look({ age })), bareOf(look({ age, iris: '#9fc0d8' }))).filter(
      c => c.x > 0,
    )
    const middle = changed.reduce((sum, c) => sum + c.x, 0) / changed.length
    expect(Math.abs(middle - (right.innerEye[0] + right.outerEye[0]) / 2)).toBeLessThan(1.1)
  })

  it('shows not at all while the eyes are closed', () => {
    const shut = { age: 30, eyes: 'closed' } as const
    expect(differing(bareOf(look(shut)), bareOf(look({ ...shut, iris: '#7890a2' })))).toEqual([])
  })
})
