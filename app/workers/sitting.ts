import { factsOf, gatesOf, type Gate, type StepFacts } from '#core/chair'
import { forgottenIn, type Forgotten, type Habits } from '#core/checks'
import { stepsOff, type Look, type World } from '#core/look'

/** What the chair needs to know of a look before anything is painted: none of it changes while it is painted. */
export interface SittingFacts {
  readonly steps: readonly StepFacts[]
  readonly gates: readonly Gate[]
}

/** The jobs of the chair that the painting worker does. */
export const sittingJobs = ({ worldOf }: { readonly worldOf: (look: Look) => World }) => ({
  /**
   * What is known of the steps of a look, and what must dry before what.
   * @param finger width of the painter's finger, mm
   * @param bridges the narrowest bridge of each sheet, mm; null where it has none
   */
  sitting(look: Look, finger: number, bridges: ReadonlyMap<string, number | null>): SittingFacts {
    const world: World = { ...worldOf(look), finger }
    return {
      steps: factsOf(paintedIn(look), world, id => bridges.get(id) ?? null),
      gates: gatesOf(look, world),
    }
  },
  /** What may have been forgotten in a look. */
  forgotten: (look: Look, habits: Habits | null): Forgotten[] =>
    forgottenIn(look, paintedIn(look), worldOf(look), habits),
})

const paintedIn = (look: Look) => {
  const off = stepsOff(look)
  return look.steps.filter(s => !off.has(s.id))
}
