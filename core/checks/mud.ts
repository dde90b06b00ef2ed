import { linearOf, masstone, mudOf } from '../paint'
import { laidPaint, type PaintRef, type Wash } from '../look'
import { ofOneKind, type Fix } from './finding'

/** Leaves one of two colours out: the lightest of the base stays. */
function withoutOne(step: Wash, first: PaintRef, second: PaintRef): Fix {
  const [lightest] = [...step.colours].sort((a, b) => linearOf(b.colour)[1] - linearOf(a.colour)[1])
  const out = second.id === lightest!.id ? first : second
  return {
    words: `Leave ${out.name} out`,
    sets: [{ path: ['colours'], to: step.colours.filter(c => c.id !== out.id) }],
  }
}

/** Opposite colours blended wet turn to mud. */
export const mud = ofOneKind('wash', ({ step, world }) =>
  step.colours.slice(1).flatMap((second, i) => {
    const first = step.colours[i]!
    const colourOf = (paint: PaintRef) => masstone(laidPaint(paint, world).optics)
    const found = mudOf(colourOf(first), colourOf(second))
    if (!found.muddy) return []
    return [
      {
        level: 'care' as const,
        title: `${first.name} and ${second.name} blend to mud`,
        why: `Blended wet their chroma falls to ${found.chroma.toFixed(0)}, less than half of ${found.parent.toFixed(0)}. Only neighbouring colours blend well; light belongs in the middle, dark outward.`,
        fix: withoutOne(step, first, second),
      },
    ]
  }),
)
