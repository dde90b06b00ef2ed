import { linearOf, masstone, mudOf, type LinearRgb } from '../paint'
import {
  isKind,
  kindOf,
  laidPaint,
  paintsOf,
  type PaintRef,
  type Step,
  type ToolLoad,
  type Wash,
  type World,
} from '../look'
import type { Case, Check, Fix, Found } from './finding'
import { drawnLater } from './shift'

/** A colour that meets another wet. */
interface Colour {
  readonly name: string
  readonly colour: LinearRgb
}

/** Two colours that lie side by side while they are wet, and in what. */
interface Pair {
  readonly first: Colour
  readonly second: Colour
  readonly where: string
  readonly fix: Fix | null
  /** Whether a little of one only tinges the other, as where a brush draws over a wet base. */
  readonly tinges?: boolean
}

/** Leaves one of two colours out: the lightest of the base stays. */
function withoutOne(step: Wash, first: PaintRef, second: PaintRef): Fix {
  const [lightest] = [...step.colours].sort((a, b) => linearOf(b.colour)[1] - linearOf(a.colour)[1])
  const out = second.id === lightest!.id ? first : second
  return {
    words: `Leave ${out.name} out`,
    sets: [{ path: ['colours'], to: step.colours.filter(c => c.id !== out.id) }],
  }
}

const colourOf = (paint: PaintRef, world: World): Colour => ({
  name: paint.name,
  colour: masstone(laidPaint(paint, world).optics),
})

/** Neighbours in a list, two and two. */
const neighbours = <T>(list: readonly T[]): [T, T][] => list.slice(1).map((second, i) => [list[i]!, second])

/** The strips of a cake that touch, which the fold between them never is. */
const stripPairs = (strips: readonly { name: string; colour: string }[], where: string): Pair[] =>
  neighbours(strips.map(s => ({ name: s.name, colour: linearOf(s.colour) }))).map(([first, second]) => ({
    first,
    second,
    where,
    fix: null,
  }))

/** The colours on a sponge that run into one another: only strips that it really takes up. */
function ofTool(load: ToolLoad, world: World): Pair[] {
  switch (load.kind) {
    case 'one':
      return []
    case 'cake': {
      const { strips } = load.cake
      const kept = load.strips?.flatMap(n => strips[n] ?? []) ?? strips
      return stripPairs(kept, 'They lie side by side on the sponge.')
    }
    default:
      return [
        {
          first: colourOf(load.first, world),
          second: colourOf(load.second, world),
          where: load.kind === 'mixed' ? 'They are stirred together.' : 'They run into each other.',
          fix: null,
        },
      ]
  }
}

/** The colours of a step that run into one another within it. */
function within(step: Step, world: World): Pair[] {
  if (isKind('wash', step))
    return neighbours(step.colours).map(([a, b]) => ({
      first: colourOf(a, world),
      second: colourOf(b, world),
      where: 'Only neighbouring colours blend well; light belongs in the middle, dark outward.',
      fix: withoutOne(step, a, b),
    }))
  if (isKind('line', step) && step.load.kind === 'double')
    return [
      {
        first: colourOf(step.load.light, world),
        second: colourOf(step.load.dark, world),
        where: 'They run into each other across the brush.',
        fix: null,
      },
    ]
  if (isKind('line', step) && step.load.kind === 'cake')
    return stripPairs(step.load.cake.strips, 'They lie side by side in the cake.')
  if (isKind('pull', step)) return ofTool(step.load, world)
  if (isKind('sheet', step))
    return step.passes.flatMap(({ load }): Pair[] =>
      load.kind === 'over'
        ? [load.second, ...(load.more ?? [])].map((second, i, all) => ({
            first: colourOf(all[i - 1] ?? load.first, world),
            second: colourOf(second, world),
            where: 'One goes over the other on the sponge.',
            fix: null,
          }))
        : load.kind === 'cake'
          ? stripPairs(load.cake.strips, 'They lie side by side in the cake.')
          : [],
    )
  return []
}

/** The colours of a step that meet those of films beneath it while these are wet. */
function onWet(at: Case): Pair[] {
  const { step, look, world, under } = at
  if (kindOf(step).waits(step)) return []
  const fix: Fix | null = isKind('sheet', step)
    ? { words: 'Let it dry first', sets: [{ path: ['dry'], to: true }] }
    : drawnLater(at)
  return look.steps
    .filter(below => under.films.get(below.id) === 'wet')
    .flatMap(below =>
      paintsOf(below).flatMap(b =>
        paintsOf(step).map((a): Pair => ({
          first: colourOf(b, world),
          second: colourOf(a, world),
          where: `"${below.label}" is still wet then (estimate) and mixes with it.`,
          fix,
          tinges: kindOf(step).cautions.takesUpBase ?? false,
        })),
      ),
    )
}

/** Colours that meet wet and turn to mud: side by side in one load or base, or one laid on the other. */
export const mud: Check = at =>
  [...within(at.step, at.world), ...onWet(at)].flatMap(({ first, second, where, fix, tinges }): Found[] => {
    const found = mudOf(first.colour, second.colour)
    if (!found.muddy) return []
    return [
      {
        level: tinges ? 'tip' : 'warning',
        title: `${first.name} and ${second.name} blend to mud`,
        why: `Blended wet their chroma falls to ${found.chroma.toFixed(0)}, from ${found.parent.toFixed(0)} of the duller one (estimate). ${where}`,
        fix,
      },
    ]
  })
