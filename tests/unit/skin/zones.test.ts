import { describe, expect, it } from 'vitest'
import { ringCentroid, signedArea } from '#core/geometry'
import { ADULT_FACE, keepOuts, landmarkList, layOn, mirroredPlacement, ZONE_IDS, zoneAt, zoneRing, zoneWords } from '#core/skin'

describe('zones', () => {
  it.each(ZONE_IDS)('%s is a region of a believable size', (id) => {
    const area = Math.abs(signedArea(zoneRing(ADULT_FACE, id)))
    expect(area).toBeGreaterThan(300)
    expect(area).toBeLessThan(23_000)
  })

  it('are mirror images of one another', () => {
    for (const name of ['eye', 'temple', 'cheek', 'jaw'] as const) {
      const [lx, ly] = ringCentroid(zoneRing(ADULT_FACE, `left.${name}`)), [rx, ry] = ringCentroid(zoneRing(ADULT_FACE, `right.${name}`))
      expect(lx).toBeCloseTo(-rx, 6)
      expect(ly).toBeCloseTo(ry, 6)
      expect(rx).toBeGreaterThan(0)
    }
    for (const name of ['forehead', 'nose', 'muzzle', 'chin', 'face'] as const) expect(ringCentroid(zoneRing(ADULT_FACE, name))[0]).toBeCloseTo(0, 1)
  })

  it('are found from a point', () => {
    expect([[0, -40], [32, 5], [-46, 40], [0, 30], [0, 105], [150, 0]].map(p => zoneAt(ADULT_FACE, p as [number, number]))).toEqual(['forehead', 'right.eye', 'left.cheek', 'nose', 'chin', null])
    expect(zoneWords('left.cheek')).toBe('left cheek')
  })

  it('keep eyes, nostrils and mouth free', () => {
    expect(keepOuts(ADULT_FACE).map(k => k.words)).toEqual(['left eye', 'right eye', 'left nostril', 'right nostril', 'mouth'])
    expect(keepOuts(ADULT_FACE).every(k => Math.abs(signedArea(k.ring)) > 10)).toBe(true)
    expect(landmarkList(ADULT_FACE)).toHaveLength(8 + 22)
  })
})

describe('placing', () => {
  const placement = { at: [30, -20] as const, tilt: 25, side: 'B' as const }

  it('comes back from the skin to the sheet', () => {
    const laid = layOn(placement), there = laid.point([11, 7])
    laid.back(there).forEach((v, i) => expect(v).toBeCloseTo([11, 7][i]!, 10))
  })

  it('mirrors every point of the sheet across the midline', () => {
    const [x, y] = layOn(placement).point([11, 7]), twin = layOn(mirroredPlacement(placement)).point([11, 7])
    expect(twin[0]).toBeCloseTo(-x, 10)
    expect(twin[1]).toBeCloseTo(y, 10)
    expect(mirroredPlacement(mirroredPlacement(placement))).toEqual(placement)
  })
})
