import { boxOf, type Ring } from '../../../geometry'
import { effortFrom, HANDS, task } from '../../../order'
import { ribbons, roundOn } from '../../../skin'
import { lengthOf, pathThrough, spine } from '../../../stroke'
import { liesOf, onSkinBy } from '../../placement'
import type { CardLine, Effort, StepKind } from '../kind'
import { anchorOfMark, hitMark, markMoves, whereOfMark } from '../marks'
import type { World } from '../world'
import { GUIDE_TOOLS, guideSchema, MOST_GUIDES, type Guide } from './schema'

/** Width of a pencil's line and half of a dot's, mm, for the eye and the hand: neither is printed. */
const LINE = 0.8
const DOT = 1.2

/** Where it is marked on the skin. */
function guideRings(step: Guide, world: World): Ring[] {
  const { surface } = world.ground
  return liesOf(step, world.ground).flatMap(lie =>
    step.form === 'dots'
      ? lie.points.map(at => roundOn(surface, at, DOT, 12))
      : onSkinBy(
          lie,
          world,
          h => [spine(pathThrough(h), () => LINE)],
          (s, to) => ({ ...s, points: s.points.map(to) }),
        ).flatMap(s => ribbons(surface, s).flat()),
  )
}

/** Seconds for a dot, for a line and for each cm of it (common practice). */
const PER_DOT = 2
const PER_LINE = 2
const PER_CM = 0.4

function effortOf(step: Guide, world: World): Effort {
  const sides = liesOf(step, world.ground)
  const marked =
    step.form === 'dots'
      ? PER_DOT * sides.length * step.points.length
      : sides.reduce((sum, lie) => sum + PER_LINE + (PER_CM * lengthOf(lie.points)) / 10, 0)
  return effortFrom([task('mark', marked), task('wipe', step.wiped ? HANDS.wipe : 0)], 0)
}

function linesOf(step: Guide, world: World): CardLine[] {
  const n = step.points.length
  const what = step.form === 'line' ? 'a line' : n === 1 ? 'a dot' : `${n} dots`
  return [
    {
      label: 'mark',
      text: `${what} to go by, ${GUIDE_TOOLS[step.by]}${step.wiped ? '; wiped off after use' : ''}`,
    },
    { label: 'where', text: whereOfMark(step, world) ?? '' },
  ]
}

const silhouetteOf = (step: Guide, world: World) => guideRings(step, { ...world, flat: true, quick: true })

/** A mark to go by: nothing of it is painted. */
export const guideKind: StepKind<Guide> = {
  kind: 'guide',
  words: 'mark to go by',
  schema: guideSchema,
  sheets: () => [],
  paintPlaces: () => [],
  lays: () => [],
  tool: step => GUIDE_TOOLS[step.by],
  effort: effortOf,
  dries: () => 0,
  waits: () => false,
  prints: () => [],
  outlines: () => [],
  boxes: (step, world) => silhouetteOf(step, world).map(r => boxOf(r)),
  silhouette: silhouetteOf,
  contour: () => [],
  keepsFree: () => [],
  follows: () => [],
  boundTo: () => null,
  anchor: anchorOfMark,
  pointers: () => [],
  mayTwin: () => true,
  held: () => 'mark',
  hit: (step, world, at) => hitMark(step, silhouetteOf(step, world), world, at),
  handling: step => ({ room: [step.form === 'line' ? 2 : 1, MOST_GUIDES], outline: 'open', words: 'points' }),
  moves: markMoves<Guide>(() => []),
  cautions: { keepOff: () => [], byHand: () => null, laysNothing: true },
  lines: linesOf,
  fields: () => FIELDS,
}

const FIELDS = [
  { control: 'guide', path: '', label: 'Mark' },
  { control: 'handles', path: 'points', label: 'Where' },
  { control: 'twin', path: 'twin', label: 'Twin' },
] as const
