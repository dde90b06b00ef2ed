import { describe, expect, it } from 'vitest'
import { freshLook, groundFor, type Look } from '#core/look'
import { BareSkinCache } from '#core/raster'
import { HAIR_CUTS, hairAt, hairPolar, type HairCut } from '#core/skin'

const look = (skin: Partial<Look['skin']>): Look => {
  const plain = freshLook('h', 'Hair')
  return { ...plain, skin: { ...plain.skin, ...skin } }
}
const bareOf = (of: Look, seen: 'front' | 'wrap' = 'front') =>
  new BareSkinCache(1e9).of(of, groundFor(of), 1, { seen }).head
/** Share of what lies over the skin in a zone, 0 to 1. */
function hidden(
  of: Look,
  { grid, over }: ReturnType<typeof bareOf>,
  id: 'forehead' | 'left.cheek' | 'chin' | 'nose',
): number {
  const ring = groundFor(of).zone(id)!
  let sum = 0
  let n = 0
  for (let k = 0; k < ring.length; k += 2) {
    // A little inside the zone's edge.
    const x = ring[k]! * 0.96
    const y = ring[k + 1]! + (id === 'forehead' ? 2.5 : 0)
    const i = Math.round((x - grid.x0) * grid.pxPerMm)
    const j = Math.round((y - grid.y0) * grid.pxPerMm)
    sum += over[4 * (j * grid.width + i) + 3]!
    n++
  }
  return sum / n
}

describe('hair', () => {
  it.each(HAIR_CUTS)('worn as %s stays off the face that is painted, for a child and a grown person', cut => {
    for (const age of [4, 30]) {
      const of = look({ cut, age })
      const head = bareOf(of)
      for (const zone of ['forehead', 'left.cheek', 'chin', 'nose'] as const)
        expect(hidden(of, head, zone), `${zone} at ${age}`).toBeLessThan(0.08)
    }
  })

  it('covers the crown in its own colour, but for a bald head', () => {
    for (const cut of HAIR_CUTS) {
      const of = look({ cut, hair: '#c9a66b' })
      const head = bareOf(of)
      const { form } = groundFor(of).face!
      const [x, y] = hairAt(form, 8, 0.75)
      const p =
        Math.round((y - head.grid.y0) * head.grid.pxPerMm) * head.grid.width + Math.round(x - head.grid.x0)
      const cover = head.over[4 * p + 3]!
      if (cut === 'bald') expect(cover).toBe(0)
      else expect(cover, cut).toBeGreaterThan(0.9)
    }
  })

  it('has strands: neighbours across them differ more than along them', () => {
    const of = look({ cut: 'tied back', hair: '#c9a66b' })
    const head = new BareSkinCache(1e9).of(of, groundFor(of), 3).head
    const { grid, over } = head
    let across = 0
    let along = 0
    for (let dx = -20; dx < 20; dx++) {
      const at = (x: number, y: number) =>
        over[4 * (Math.round((y - grid.y0) * 3) * grid.width + Math.round((x - grid.x0) * 3)) + 1]!
      const y = groundFor(of).face!.form.crown + 28
      across += Math.abs(at(dx + 0.34, y) - at(dx, y))
      along += Math.abs(at(dx, y + 0.34) - at(dx, y))
    }
    expect(across).toBeGreaterThan(1.5 * along)
  })

  it('is the same picture every time, and on the wrap chart of the turned head too', () => {
    for (const seen of ['front', 'wrap'] as const) {
      const cut: HairCut = 'braids'
      expect(bareOf(look({ cut }), seen).over).toEqual(bareOf(look({ cut }), seen).over)
    }
    expect(bareOf(look({ cut: 'curls' }), 'wrap').over).not.toEqual(
      bareOf(look({ cut: 'short crop' }), 'wrap').over,
    )
  })

  it('keeps nothing of a bald head off', () => {
    const off = (cut: HairCut) => groundFor(look({ cut })).keepOuts.map(k => k.kind)
    expect(off('tied back')).toContain('hair')
    expect(off('bald')).toEqual(off('tied back').filter(w => w !== 'hair'))
  })

  it('finds a point of the hair again by angle and distance', () => {
    const { form } = groundFor(look({ age: 6 })).face!
    for (const angle of [-80, -20, 0, 35, 100]) {
      const [x, y] = hairAt(form, angle, 0.5)
      expect(hairPolar(form, x, y).angle).toBeCloseTo(Math.abs(angle), 0)
    }
  })
})

describe('freckles', () => {
  it('darken spots of the cheeks, and no spot of the chin', () => {
    const plain = bareOf(look({}))
    const freckled = bareOf(look({ freckles: true }))
    const { grid } = plain
    let changed = 0
    let low = 0
    for (let p = 0; p < plain.light.length; p++) {
      if (freckled.albedo[3 * p]! >= plain.albedo[3 * p]! - 0.004) continue
      changed++
      if (grid.y0 + Math.floor(p / grid.width) / grid.pxPerMm > 80) low++
    }
    expect(changed).toBeGreaterThan(60)
    expect(low).toBe(0)
  })
})
