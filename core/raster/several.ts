import { kindOf, showsOf, type Look, type Shows, type Step, type World } from '../look'
import { bareKey, type Bare } from './bareSkin'
import { IncrementalCompositor } from './compositor'

/** One of several looks, painted. */
export interface OneOfSeveral {
  /** Which of them it is. */
  readonly index: number
  readonly bare: Bare
  readonly rgba: Uint8ClampedArray<ArrayBuffer>
  readonly shows: readonly Shows[]
}

/**
 * Several looks painted one after the other: those on the same skin share a painting, in which only what is
 * another than in the look before is laid anew. Tries of a look share most of their steps.
 * @param bareOf the bare skin of a look
 * @param keyOf what a step's print depends on, as text
 */
export function* paintSeveral(
  looks: readonly { readonly look: Look; readonly world: World }[],
  pxPerMm: number,
  bareOf: (look: Look, world: World) => Bare,
  keyOf: (look: Look, world: World) => (step: Step) => string,
): Generator<OneOfSeveral, void> {
  const skins = new Map<string, number[]>()
  looks.forEach(({ look }, index) => {
    const key = bareKey(look, pxPerMm)
    skins.set(key, [...(skins.get(key) ?? []), index])
  })
  for (const list of skins.values()) {
    const first = looks[list[0]!]!
    const bare = bareOf(first.look, first.world)
    const painting = new IncrementalCompositor(bare, true)
    const known = new Map<string, Shows>()
    for (const index of list) {
      const { look, world } = looks[index]!
      for (const step of painting.toward(look.steps, world, keyOf(look, world))) {
        const pairs = painting.compared()
        if (pairs.length) known.set(step.id, showsOf(step.id, pairs, kindOf(step).judgedAt))
        else known.delete(step.id)
      }
      const shows = look.steps.flatMap(s => known.get(s.id) ?? [])
      yield { index, bare, rgba: painting.whole(), shows }
    }
  }
}
