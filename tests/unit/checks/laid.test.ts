import { describe, expect, it } from 'vitest'
import { findingsOf, laidWell, type ToLay } from '../../../core/checks'
import { freshLook, freshSheet, type Look, type World } from '../../../core/look'
import { groundOf, PLAIN_FACE, zoneAt, type Canvas } from '../../../core/skin'
import { prepared, readSheetFile } from '../../../core/stencil'
import { paints } from '../../../demo/paints'
import { shelf, shelfSvg } from '../../../demo/shelf'

const soot = paints[0]!
const TODAY = '2026-06-20'
const sheets = new Map<string, ToLay>(
  shelf.map(about => [
    about.id,
    { ...prepared({ ...about, ...readSheetFile(shelfSvg(about.id)).sheet }), zones: about.zones },
  ]),
)

function lay(id: string, asked: [number, number] | null = null, age = 30, canvas: Canvas = PLAIN_FACE) {
  const sheet = sheets.get(id)!
  const ground = groundOf(canvas, age)
  const world: World = { ground, stencil: () => sheet, paint: p => paints.find(q => q.id === p), flat: true }
  const empty = freshLook('l', 'l')
  const look: Look = { ...empty, canvas: canvas as Look['canvas'], skin: { ...empty.skin, age } }
  const usual: [number, number] = ground.face ? [0, ground.face.landmarks.mid.hairline[1] * 0.52] : [0, 0]
  const fresh = freshSheet('s', about(id), id, asked ?? usual, soot)
  const step = laidWell(fresh, sheet, { look, world, asked, usual, today: TODAY })
  const found = findingsOf({ ...look, steps: [step] }, world, [], [], TODAY)
  return {
    step,
    ground,
    problems: found.filter(f => f.stepId && f.level === 'problem'),
    // What one press would mend should have been laid so.
    seats: found.filter(f => f.check === 'seats' && f.fix),
  }
}
const about = (id: string) => shelf.find(s => s.id === id)!.name

describe('a stencil that is simply pressed', () => {
  it.each(shelf.map((s, n) => [s.id, n % 3 ? 30 : 6] as const))(
    '%s brings no problem on an empty face of %i years',
    (id, age) => {
      const { problems, seats } = lay(id, null, age)
      expect(problems).toEqual([])
      expect(seats.map(f => `${f.title}: ${f.fix!.words}`)).toEqual([])
    },
  )

  it('goes to a zone that it is made for', () => {
    const { step, ground } = lay('splashes')
    expect(zoneAt(ground, step.at)).toMatch(/cheek/)
    const scales = lay('scales')
    expect(zoneAt(scales.ground, scales.step.at)).toBe('forehead')
  })

  it('is laid on an arm too', () => {
    const arm: Canvas = { kind: 'arm', part: 'forearm', side: 'right', measures: null }
    expect(lay('swirl-small', null, 30, arm).problems).toEqual([])
  })
})

describe('a stencil that is dropped', () => {
  it('stays within a finger of where it was dropped', () => {
    for (const id of ['star-set', 'web', 'scales']) {
      const { step, problems } = lay(id, [-34, 30])
      expect(Math.hypot(step.at[0] + 34, step.at[1] - 30)).toBeLessThan(18)
      expect(problems).toEqual([])
    }
  })

  it('leaves the eye free when it is dropped on one', () => {
    const { step, problems } = lay('scales', [32, 4])
    expect(step.at).toEqual([32, 4])
    expect(problems).toEqual([])
    expect(step.passes[0]!.openings.use).toBe('chosen')
  })
})
