import { bearing, boxOf, EMPTY_BOX, ringOf, signedArea, type Ring } from '../../../geometry'
import { effortFrom, STROKE_DRIES, strokeEffort, task } from '../../../order'
import { BRUSHES } from '../../../paint'
import { lengthOf, mapSpine, shapeOf } from '../../../stroke'
import { anchorOf, inTheFlat, liesOf } from '../../placement'
import { BY_DISTANCE, stepsOf } from '../contour'
import type { CardLine, Effort, PaintPlace, Pointer, StepKind } from '../kind'
import { anchorOfMark, hitMark, quickRings, whereOfMark } from '../marks'
import { printedRings } from '../print'
import type { World } from '../world'
import { endTangent, lineMoves, meanDirection } from './moves'
import { printsOf } from './prints'
import { isAround, lineSchema, roomFor, shapeWords, type LineStep } from './schema'
import { sidesOf } from './sides'

const areaOf = (rings: readonly Ring[]): number => Math.abs(rings.reduce((sum, r) => sum + signedArea(r), 0))

function placesOf({ load }: LineStep): PaintPlace[] {
  switch (load.kind) {
    case 'one':
      return [{ path: ['load', 'paint'], ref: load.paint }]
    case 'double':
      return [
        { path: ['load', 'light'], ref: load.light },
        { path: ['load', 'dark'], ref: load.dark },
      ]
    case 'cake':
      return [{ path: ['load', 'cake'], ref: load.cake }]
  }
}

function colourWords({ load, dark }: LineStep): string {
  switch (load.kind) {
    case 'one':
      return load.paint.name
    case 'double':
      return `${load.light.name} with ${load.dark.name} on its ${dark} edge`
    case 'cake':
      return `${load.cake.name} across the brush`
  }
}

/** How the hand leads the brush, where it is said. */
function handWords({ softened, times = 1, pressed, fades }: LineStep): string {
  const over = times > 1 ? `, gone over ${times} times` : ''
  const dry = fades ? `, running dry toward its ${fades[0] < fades[1] ? 'start' : 'end'}` : ''
  const press = pressed ? `, pressed ${pressed.map(p => `${Math.round(100 * p)} %`).join(', ')} along` : ''
  return `${softened ? ', gone over until soft' : ''}${over}${press}${dry}`
}

function linesOf(step: LineStep, world: World): CardLine[] {
  const where = isAround(step.shape) ? null : whereOfMark(step, world)
  const labels = stepsOf(step.of).flatMap(id => world.host?.(id)?.step.label || [])
  const of = labels.length ? ` of ${labels.map(l => `"${l}"`).join(' and ')}` : ''
  return [
    { label: 'stroke', text: `${shapeWords(step.shape)}${of}` },
    ...(where === null ? [] : [{ label: 'where', text: where }]),
    {
      label: 'colour',
      text: `${colourWords(step)}, ${BRUSHES[step.brush].name}${handWords(step)}`,
    },
  ]
}

function pointersOf(step: LineStep, world: World): Pointer[] {
  const { shape } = step
  if (isAround(shape)) return []
  const { flow, draw } = shapeOf(shape)
  return liesOf(step, world.ground).map((lie): Pointer => {
    const spines = inTheFlat(lie, world, h => draw(h, step.params, step.brush), mapSpine)
    const box = spines.reduce((b, s) => boxOf(ringOf(s.points), b), { ...EMPTY_BOX })
    const [first] = spines
    const along = () => bearing(first!.points[0]!, first!.points.at(-1)!)
    const mean =
      flow === 'none' || !first
        ? null
        : flow === 'both'
          ? along()
          : meanDirection(spines.map(s => endTangent(s.points)))
    return {
      at: anchorOf(lie.points),
      heading: mean === null ? null : flow === 'from' ? mean + 180 : mean,
      size: first ? Math.hypot(box.maxX - box.minX, box.maxY - box.minY) : 0,
      twin: lie.twin,
      both: flow === 'both',
    }
  })
}

/**
 * A step with one colour on its brush. It covers the same skin as with several, in one ring for each pull instead
 * of one for each strip: what only asks where it lies is answered many times as quickly.
 */
const inOneColour = (step: LineStep): LineStep =>
  step.load.kind === 'one'
    ? step
    : { ...step, load: { kind: 'one', paint: { id: 'any', name: '', colour: '#000000' } } }

const silhouetteOf = (step: LineStep, world: World): Ring[] => quickRings(printsOf, inOneColour(step), world)

/** Strokes along the lid and lashes are drawn on eyes that are shut. */
const SHUT: readonly string[] = ['eyeliner', 'lashes']

/** A stroke that is softened is gone over so many times in all (common practice). */
const GONE_OVER = 2.5

function effortOf(step: LineStep, world: World): Effort {
  const lengths = sidesOf(step, world).flatMap(s => s.spines.map(p => lengthOf(p.points, p.closed)))
  const { loads, loading, drawing } = strokeEffort(lengths, BRUSHES[step.brush].line)
  const times = (step.softened ? GONE_OVER : 1) * (step.times ?? 1)
  return effortFrom(
    [task('load', times * loading), task('stroke', times * drawing)],
    loads * (step.times ?? 1),
  )
}

/** Linework: a stroke by its handles, or a line around something. */
export const lineKind: StepKind<LineStep> = {
  kind: 'line',
  words: 'brushwork',
  schema: lineSchema,
  sheets: () => [],
  paintPlaces: placesOf,
  lays: (step, world) => [
    {
      refs: placesOf(step).map(({ ref: { id, name, colour } }) => ({ id, name, colour })),
      mg: printsOf(step, world).reduce((sum, print) => sum + (areaOf(print.rings) / 100) * print.film, 0),
    },
  ],
  tool: step => step.brush,
  effort: effortOf,
  dries: () => STROKE_DRIES,
  waits: () => false,
  prints: printsOf,
  outlines: () => [],
  boxes: (step, world) => sidesOf(step, world).flatMap(s => s.spines.map(p => boxOf(ringOf(p.points)))),
  silhouette: silhouetteOf,
  contour: (step, world) => printsOf(inOneColour(step), { ...world, flat: true }).flatMap(printedRings),
  tips: (step, world) =>
    sidesOf(step, world).flatMap(s =>
      s.spines.flatMap(p => (p.closed ? [] : [{ start: p.points[0]!, end: p.points.at(-1)! }])),
    ),
  ways: (step, world) => sidesOf(step, world).flatMap(s => s.spines.map(p => p.points)),
  keepsFree: () => [],
  follows: step => stepsOf(step.of),
  boundTo: () => null,
  anchor: anchorOfMark,
  pointers: pointersOf,
  mayTwin: () => true,
  held: () => 'mark',
  hit: (step, world, at) => hitMark(step, silhouetteOf(step, world), world, at),
  handling: step => ({ room: roomFor(step.shape), outline: 'open', words: 'handles' }),
  moves: lineMoves(pointersOf),
  cautions: {
    keepOff: () => ['shift', 'narrow'],
    byHand: step => (isAround(step.shape) ? BY_DISTANCE : 'move its handles, or make it smaller'),
    onShutLids: step => SHUT.includes(step.shape),
    takesUpBase: true,
  },
  lines: linesOf,
  fields: () => FIELDS,
}

const FIELDS = [
  { control: 'brushwork', path: '', label: 'Stroke' },
  { control: 'handles', path: 'points', label: 'Where' },
  { control: 'twin', path: 'twin', label: 'Twin' },
  { control: 'strokeHand', path: '', label: 'How it is led' },
  { control: 'switch', path: 'softened', label: 'Gone over until soft' },
] as const
