/** Something that can be done from the list of commands. */
export interface Doing {
  readonly words: string
  /** Other words that people use for it: they are searched too, behind the name. */
  readonly also?: string
  /** The key that does it too, as it is shown. */
  readonly keys?: string
  readonly run: () => unknown
}

/** What the screens that are open offer, the newest last. */
const offers = shallowRef<readonly (() => readonly Doing[])[]>([])

/** Puts commands into the list as long as the screen that offers them is open. */
export function offerCommands(list: () => readonly Doing[]): void {
  offers.value = [...offers.value, list]
  onScopeDispose(() => {
    offers.value = offers.value.filter(other => other !== list)
  })
}

/** What a right press on a step offers, by its words. */
export const STEP_COMMANDS = [
  'Twin, or single again',
  'Flip over',
  'Aim at the focal point',
  'Nine others at a glance',
  'The step once more',
  'Copy the selected steps',
  'Paste steps',
  'Delete the step',
] as const

/** The same in the strip. */
export const STRIP_COMMANDS = STEP_COMMANDS.filter(words => words !== 'Aim at the focal point')

/** All that can be done where the painter is. */
export const useCommands = () => computed(() => offers.value.toReversed().flatMap(list => list()))
