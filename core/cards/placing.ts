import { boxOf, EMPTY_BOX, type Point, type Ring } from '../geometry'
import { cardLines, isBase, isKind, kindOf, type Look, type Step, type World } from '../look'
import { lipRings } from '../skin'
import type { Template, TemplateLine, TemplateMark } from './template'

/** What of a step is drawn on a template: its sheets with their openings, else its shape. */
function linesOf(step: Step, world: World): TemplateLine[] {
  const kind = kindOf(step)
  const sheets = kind
    .outlines(step, world)
    .flatMap(({ ring, openings, twin }): TemplateLine[] => [
      { ring, closed: true, look: twin ? 'twin' : 'sheet' },
      ...openings.map((o): TemplateLine => ({ ring: o, closed: true, look: 'opening' })),
    ])
  if (sheets.length) return sheets
  return kind
    .silhouette(step, world)
    .map(ring => ({ ring, closed: true, look: isBase(step) ? 'mark' : 'opening' }))
}

/** The points by which a step is placed. */
const pointsOf = (step: Step): Point[] => {
  if (isKind('guide', step)) return step.points.map(([x, y]): Point => [x, y])
  const at = kindOf(step).anchor(step)
  return at ? [at] : []
}

/** The features by which one finds one's way: eyes, nostrils, lips, and the rim of the skin. */
function features({ ground }: World): TemplateLine[] {
  const lips = ground.face ? lipRings(ground.face) : null
  const rings: Ring[] = [...ground.keepOuts.map(k => k.ring), ...(lips ? [lips.upper, lips.lower] : [])]
  return [
    ...ground.extent.map((ring): TemplateLine => ({ ring, closed: true, look: 'skin' })),
    ...rings.map((ring): TemplateLine => ({ ring, closed: true, look: 'feature' })),
  ]
}

const SAYS: ReadonlySet<string> = new Set(['where', 'sheet', 'twin', 'mark', 'stroke', 'base'])

/**
 * The template of a look: its features, sheets and marks in mm, and what the numbers mean.
 * @param steps those that are painted, in their order
 */
export function templateOf({ name }: Pick<Look, 'name'>, steps: readonly Step[], world: World): Template {
  const lines = [...features(world), ...steps.flatMap(s => linesOf(s, world))]
  const marks = steps.flatMap((step, i): TemplateMark[] =>
    pointsOf(step).map(at => ({ at, number: String(i + 1) })),
  )
  const key = steps.map((step, i) => ({
    number: String(i + 1),
    text: `${step.label || kindOf(step).words}: ${cardLines(step, world)
      .filter(l => SAYS.has(l.label))
      .map(l => l.text)
      .join('; ')}`,
  }))
  const box = lines.reduce((b, l) => boxOf(l.ring, b), { ...EMPTY_BOX })
  return { name, box, lines, marks, key }
}
