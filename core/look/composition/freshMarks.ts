import type { Point } from '../../geometry'
import { layOn, type Face, type Ground } from '../../skin'
import { dotShape, shapeOf, usualParams, type DotRun, type ShapeId } from '../../stroke'
import { NO_TWIN, type PaintRef, type Source, type ToolLoad } from '../document'
import {
  AROUND,
  isFollowing,
  paramsOfRun,
  RUN_WORDS,
  type AroundId,
  type DotsStep,
  type LineStep,
  type LipsStep,
  type Act,
  type FollowingRun,
  type Manner,
  type Pull,
  type Rework,
  type ReworkArea,
} from '../kinds'
import { bearingOn, movedHandles } from '../placement'

/** What every fresh step says. */
export const base = (id: string, label: string) => ({
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
  run: DotRun | FollowingRun,
  at: Point,
  of: Source | null,
  paint: PaintRef,
  ground: Ground,
  focus: Point,
): DotsStep {
  const def = isFollowing(run) ? null : dotShape(run)
  const way = Math.hypot(at[0] - focus[0], at[1] - focus[1]) < 4 ? 0 : bearingOn(ground, at, focus)
  const laid = layOn(ground.surface, { at, tilt: way, side: 'A' })
  return {
    kind: 'dots',
    ...base(id, sentenceCase(def?.words ?? RUN_WORDS[run])),
    run,
    points: def ? movedHandles(def.usual, laid.point) : [],
    params: usualParams(paramsOfRun(run)),
    of: def ? null : of,
    brush: 'round3',
    paint,
  }
}

/** A new base by sponge about a point: a band across it, a row of stamps, or a half moon. */
export function freshPull(
  id: string,
  manner: Manner,
  at: Point,
  load: ToolLoad,
  ground: Ground,
  focus: Point,
): Pull {
  const laid = layOn(ground.surface, { at, tilt: 0, side: 'A' })
  const tool = manner === 'drawn' ? 'openCell' : manner === 'stamped' ? 'petal' : 'halfMoon'
  const usual: Record<Manner, Point[]> = {
    drawn: [
      [-26, 2],
      [0, -3],
      [26, 2],
    ],
    stamped: [
      [-30, 6],
      [0, -6],
      [30, 6],
    ],
    turned: [
      [0, 0],
      [-26, 0],
    ],
  }
  return {
    kind: 'pull',
    ...base(id, sentenceCase(PULL_LABELS[manner])),
    manner,
    points: movedHandles(usual[manner], laid.point),
    width: manner === 'stamped' ? 22 : 30,
    sweep: 180,
    angle: 0,
    tool,
    load,
    // The way runs to the right, so that its left is up; a turn has its far end outward.
    dark: manner === 'turned' || at[1] > focus[1] ? 'right' : 'left',
    wetness: 'damp',
    dabs: 2,
    soft: false,
    ends: 1,
  }
}
const PULL_LABELS: Readonly<Record<Manner, string>> = {
  drawn: 'sponged band',
  stamped: 'row of stamps',
  turned: 'half moon',
}

/** Going over what lies there: in a drawn shape about a point, along a way, or over the print of some steps. */
export function freshRework(
  id: string,
  act: Act,
  area: ReworkArea,
  at: Point,
  over: readonly string[],
  ground: Ground,
): Rework {
  const laid = layOn(ground.surface, { at, tilt: 0, side: 'A' })
  const shape: Point[] = [
    [0, -11],
    [11, 0],
    [0, 11],
    [-11, 0],
  ]
  const way: Point[] = [
    [-14, 4],
    [0, 0],
    [14, 4],
  ]
  const drawn = area === 'outline' ? shape : area === 'trail' ? way : []
  return {
    kind: 'rework',
    ...base(id, sentenceCase(REWORK_LABELS[act])),
    act,
    area,
    points: movedHandles(drawn, laid.point),
    width: act === 'wetBrush' ? 3 : 10,
    over: [...over],
    edge: act === 'wetBrush' ? 0.4 : act === 'wipe' ? 1.2 : 3,
    stays: act === 'wipe' ? 0.12 : 0.06,
    reach: 3,
  }
}
const REWORK_LABELS: Readonly<Record<Act, string>> = {
  wipe: 'wipe',
  wetBrush: 'clean with a wet brush',
  blend: 'blend',
}

export function freshLips(id: string, colours: PaintRef[]): LipsStep {
  return { kind: 'lips', ...base(id, 'Lips'), which: 'both', colours, tool: 'cotton bud' }
}

export const sentenceCase = (words: string) => `${words[0]!.toUpperCase()}${words.slice(1)}`
