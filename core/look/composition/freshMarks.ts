import type { Point } from '../../geometry'
import { layOn, type Face, type Ground } from '../../skin'
import { dotShape, shapeOf, usualParams, type DotRun, type ShapeId } from '../../stroke'
import { NO_TWIN, type PaintRef, type Source } from '../document'
import {
  AROUND,
  AROUND_DOTS,
  GEM_COLOURS,
  GLITTER_COLOURS,
  type AroundId,
  type DotsStep,
  type GemStep,
  type GlitterStep,
  type LineStep,
  type LipsStep,
} from '../kinds'
import { bearingOn, movedHandles } from '../placement'

const base = (id: string, label: string) => ({
  id,
  label,
  optional: false,
  worth: 5,
  twin: { ...NO_TWIN, own: null },
  group: null,
})

/** A new stroke about a point, its end toward the focal point when it has a way. */
export function freshLine(
  id: string,
  shape: ShapeId,
  at: Point,
  paint: PaintRef,
  ground: Ground,
  focus: Point,
): LineStep {
  const onEye = ground.face && shapeOf(shape).family === 'eye' ? eyePoints(shape, at, ground.face) : null
  if (onEye)
    return {
      kind: 'line',
      ...base(id, sentenceCase(shapeOf(shape).words)),
      shape,
      points: onEye,
      params: usualParams(shapeOf(shape).params),
      of: null,
      brush: shapeOf(shape).brush,
      load: { kind: 'one', paint },
      dark: at[0] >= 0 ? 'right' : 'left',
      softened: false,
    }
  const def = shapeOf(shape)
  const way = def.flow === 'none' ? 0 : bearingOn(ground, at, focus) + (def.flow === 'from' ? 180 : 0)
  const laid = layOn(
    ground.surface,
    { at, tilt: Math.hypot(at[0] - focus[0], at[1] - focus[1]) < 4 ? 0 : way, side: 'A' },
    true,
  )
  return {
    kind: 'line',
    ...base(id, sentenceCase(def.words)),
    shape,
    points: movedHandles(def.usual, laid.point),
    params: usualParams(def.params),
    of: null,
    brush: def.brush,
    load: { kind: 'one', paint },
    dark: at[0] >= 0 ? 'right' : 'left',
    softened: false,
  }
}

/**
 * Handles of a stroke along the lash line of the eye nearest to a point, from the inner corner out; sizes
 * grow with the face.
 */
function eyePoints(shape: ShapeId, [x]: Point, { landmarks, form: { kx, ky } }: Face): [number, number][] {
  const side = landmarks[x < 0 ? 'left' : 'right']
  const out = x < 0 ? -1 : 1
  const off = ([px, py]: Point, dx: number, dy: number): Point => [px + out * dx * kx, py + dy * ky]
  const line =
    shape === 'lashes'
      ? [off(side.pupil, 4, -9), off(side.outerEye, 0, -5), off(side.outerEye, 6, -3)]
      : [off(side.innerEye, 1, -1.5), off(side.pupil, 0, -8), off(side.outerEye, 2, -1.5)]
  return movedHandles(line, p => p)
}

/** A new line around the print of a step, or around zones. */
export function freshAround(id: string, shape: AroundId, of: Source, paint: PaintRef): LineStep {
  const def = AROUND[shape]
  return {
    kind: 'line',
    ...base(id, sentenceCase(def.words)),
    shape,
    points: [],
    params: usualParams(def.params),
    of,
    brush: def.brush,
    load: { kind: 'one', paint },
    dark: 'right',
    softened: false,
  }
}

/** A new run of dots about a point, or around something. */
export function freshDots(
  id: string,
  run: DotRun | 'around',
  at: Point,
  of: Source | null,
  paint: PaintRef,
  ground: Ground,
  focus: Point,
): DotsStep {
  const def = run === 'around' ? null : dotShape(run)
  const way = Math.hypot(at[0] - focus[0], at[1] - focus[1]) < 4 ? 0 : bearingOn(ground, at, focus)
  const laid = layOn(ground.surface, { at, tilt: way, side: 'A' })
  return {
    kind: 'dots',
    ...base(id, sentenceCase(def?.words ?? 'dots around')),
    run,
    points: def ? movedHandles(def.usual, laid.point) : [],
    params: usualParams(def?.params ?? AROUND_DOTS),
    of: def ? null : of,
    brush: 'round3',
    paint,
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
  }
  return {
    kind: 'glitter',
    ...base(id, 'Glitter'),
    sort: 'fine',
    area,
    points: movedHandles(usual[area], laid.point),
    width: 8,
    zones: area === 'zones' ? [ground.face ? 'forehead' : 'middle band'] : [],
    amount: 0.6,
    colour: { ...GLITTER_COLOURS[0] },
    on,
  }
}

export function freshLips(id: string, colours: PaintRef[]): LipsStep {
  return { kind: 'lips', ...base(id, 'Lips'), which: 'both', colours, tool: 'cotton bud' }
}

export const sentenceCase = (words: string) => `${words[0]!.toUpperCase()}${words.slice(1)}`
