import type { Point } from '../../geometry'
import { layOn, type Ground } from '../../skin'
import { GEM_COLOURS, GLITTER_COLOURS, type GemStep, type GlitterStep, type Guide } from '../kinds'
import { movedHandles } from '../placement'
import { base } from './freshMarks'

/** A new mark to go by: a dot at a point, or a line up from it. */
export function freshGuide(id: string, form: Guide['form'], at: Point, ground: Ground): Guide {
  const laid = layOn(ground.surface, { at, tilt: 0, side: 'A' })
  const usual: Point[] =
    form === 'dots'
      ? [[0, 0]]
      : [
          [0, 14],
          [0, -14],
        ]
  return {
    kind: 'guide',
    ...base(id, form === 'dots' ? 'Dot to go by' : 'Line to go by'),
    form,
    points: movedHandles(usual, laid.point),
    by: 'pencil',
    wiped: false,
  }
}

export function freshGem(id: string, at: Point, cut: GemStep['cut'] = 'round'): GemStep {
  return {
    kind: 'gem',
    ...base(id, 'Gem'),
    points: movedHandles([at], q => q),
    cut,
    size: 6,
    heading: 0,
    colour: { ...GEM_COLOURS[0] },
    fix: 'self-adhesive',
  }
}

export function freshGlitter(
  id: string,
  area: GlitterStep['area'],
  at: Point,
  on: string | null,
  ground: Ground,
): GlitterStep {
  const laid = layOn(ground.surface, { at, tilt: 0, side: 'A' })
  const usual: Record<GlitterStep['area'], Point[]> = {
    patch: [
      [0, 0],
      [0, -12],
    ],
    trail: [
      [-14, 6],
      [0, 0],
      [14, 6],
    ],
    outline: [
      [-12, -8],
      [12, -8],
      [10, 10],
      [-10, 10],
    ],
    zones: [],
    print: [],
    rim: [],
    lowerLip: [],
  }
  return {
    kind: 'glitter',
    ...base(id, 'Glitter'),
    sort: 'fine',
    area,
    points: movedHandles(usual[area], laid.point),
    width: area === 'rim' ? 1.5 : 8,
    zones: area === 'zones' ? [ground.face ? 'forehead' : 'middle band'] : [],
    amount: 0.6,
    colour: { ...GLITTER_COLOURS[0] },
    on,
  }
}
