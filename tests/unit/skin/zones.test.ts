import { describe, expect, it } from 'vitest'
import { ringCentroid, ringHolds, signedArea } from '#core/geometry'
import {
  keptWords,
  FACE_ZONES,
  groundOf,
  landmarkList,
  layOn,
  mirroredPlacement,
  PLAIN_FACE,
  zoneAt,
  zoneWords,
  type Canvas,
  type ZoneId,
} from '#core/skin'
import { ground } from '../world'

const centre = (id: ZoneId) => ringCentroid(ground.zone(id)!)

describe('zones', () => {
  it.each(FACE_ZONES)('%s is a region of a believable size', id => {
    const area = Math.abs(signedArea(ground.zone(id)!))
    expect(area).toBeGreaterThan(id.endsWith('brow') ? 200 : 290)
    expect(area).toBeLessThan(23_000)
  })

  it('are mirror images of one another', () => {
    for (const name of ['eye', 'brow', 'lid', 'under-eye', 'temple', 'cheekbone', 'cheek', 'jaw'] as const) {
      const [lx, ly] = centre(`left.${name}`)
      const [rx, ry] = centre(`right.${name}`)
      expect(lx).toBeCloseTo(-rx, 6)
      expect(ly).toBeCloseTo(ry, 6)
      expect(rx).toBeGreaterThan(0)
    }
    for (const name of ['forehead', 'nose', 'muzzle', 'lips', 'chin', 'face'] as const)
      expect(centre(name)[0]).toBeCloseTo(0, 1)
  })

  it('lie in the order of a face: brow over lid over under-eye, cheekbone beside the cheek, lips within the muzzle', () => {
    const y = (id: ZoneId) => centre(id)[1]
    expect(y('left.brow')).toBeLessThan(y('left.lid'))
    expect(y('left.lid')).toBeLessThan(y('left.under-eye'))
    expect(y('left.under-eye')).toBeLessThan(y('left.cheek'))
    expect(Math.abs(centre('right.cheekbone')[0])).toBeGreaterThan(Math.abs(centre('right.cheek')[0]))
    expect(ringHolds(ground.zone('muzzle')!, ...centre('lips'))).toBe(true)
  })

  it('are found from a point', () => {
    expect(
      [
        [0, -40],
        [32, 5],
        [-46, 40],
        [0, 30],
        [0, 98],
        [150, 0],
      ].map(p => zoneAt(ground, p as [number, number])),
    ).toEqual(['forehead', 'right.eye', 'left.cheek', 'nose', 'chin', null])
    expect(['left.cheek', 'face', 'middle band', 'arm'].map(z => zoneWords(z as ZoneId))).toEqual([
      'right cheek',
      'whole face',
      'middle band',
      'whole arm',
    ])
  })

  it('keep eyes, nostrils, mouth and hair free', () => {
    expect(ground.keepOuts.map(keptWords)).toEqual([
      'right eye',
      'left eye',
      'right nostril',
      'left nostril',
      'mouth',
      'hair',
    ])
    expect(ground.keepOuts.every(k => Math.abs(signedArea(k.ring)) > 10)).toBe(true)
    expect(ringHolds(ground.keepOuts.at(-1)!.ring, 0, -95)).toBe(true)
    expect(ringHolds(ground.keepOuts.at(-1)!.ring, 0, -40)).toBe(false)
    expect(landmarkList(ground.face!.landmarks)).toHaveLength(8 + 22)
  })

  it('follow the landmarks of an uneven face', () => {
    const uneven = groundOf(
      {
        ...PLAIN_FACE,
        nudges: { 'left.browPeak': [0, -4], 'left.browStart': [0, -4], 'left.browTail': [0, -4] },
      },
      30,
    )
    expect(ringCentroid(uneven.zone('left.brow')!)[1]).toBeCloseTo(centre('left.brow')[1] - 4, 1)
    expect(ringCentroid(uneven.zone('right.brow')!)[1]).toBeCloseTo(centre('right.brow')[1], 6)
  })

  it('of an arm are bands that do not overlap', () => {
    const arm = groundOf({ kind: 'arm', part: 'forearm', side: 'left', measures: null }, 30)
    expect(arm.zones).toEqual(['arm', 'upper band', 'middle band', 'lower band'])
    expect(arm.zone('forehead')).toBeNull()
    expect([-70, 0, 70].map(y => zoneAt(arm, [10, y]))).toEqual(['upper band', 'middle band', 'lower band'])
  })
})

const CANVASES: [string, Canvas][] = [
  ['face', PLAIN_FACE],
  ['forearm', { kind: 'arm', part: 'forearm', side: 'left', measures: null }],
  [
    'straight arm',
    { kind: 'arm', part: 'upper arm', side: 'right', measures: { upper: 250, lower: 250, length: 220 } },
  ],
  ['board', { kind: 'board', build: 'broad' }],
]

describe.each(CANVASES)('placing on a %s', (_name, canvas) => {
  const { surface, face } = groundOf(canvas, 30)
  const placement = { at: [face ? 30 : 18, -24] as const, tilt: 25, side: 'B' as const }

  it('comes back from the skin to the stencil', () => {
    const laid = layOn(surface, placement)
    for (const p of [
      [11, 7],
      [-20, 14],
      [0, 0],
      [2, -25],
    ] as const)
      laid.back(laid.point(p)).forEach((v, i) => expect(v).toBeCloseTo(p[i]!, 4))
  })

  it('presses the grip down on its point', () => {
    const held = layOn(surface, { ...placement, grip: [8, -5] })
    expect(held.point([8, -5])[0]).toBeCloseTo(placement.at[0], 9)
    expect(held.point([8, -5])[1]).toBeCloseTo(placement.at[1], 9)
  })

  it('mirrors every point of the stencil across the midline', () => {
    for (const p of [
      [11, 7],
      [-14, 20],
    ] as const) {
      const [x, y] = layOn(surface, placement).point(p)
      const twin = layOn(surface, mirroredPlacement(placement)).point(p)
      expect(twin[0]).toBeCloseTo(-x, 9)
      expect(twin[1]).toBeCloseTo(y, 9)
    }
    expect(mirroredPlacement(mirroredPlacement(placement))).toEqual(placement)
  })

  it('is laid coarsely within a millimetre of where it is laid finely', () => {
    const fine = layOn(surface, placement)
    const quick = layOn(surface, placement, true)
    for (let x = -30; x <= 30; x += 15) {
      for (let y = -30; y <= 30; y += 15)
        expect(
          Math.hypot(
            fine.point([x, y])[0] - quick.point([x, y])[0],
            fine.point([x, y])[1] - quick.point([x, y])[1],
          ),
        ).toBeLessThan(1)
    }
  })
})
