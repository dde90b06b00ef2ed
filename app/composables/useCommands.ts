/** Something that can be done from the list of commands. */
export interface Doing {
  /** Tells it apart from all others, whatever it is called. */
  readonly id: string
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

/** What a right press on a step offers, by id. */
export const STEP_COMMANDS = ['twin', 'flip', 'aim', 'nine', 'duplicate', 'copy', 'paste', 'delete'] as const

/** The same in the strip. */
export const STRIP_COMMANDS = STEP_COMMANDS.filter(id => id !== 'aim')

/** What a right press on bare skin offers. */
export const BARE_COMMANDS = ['paste', 'select-all', 'telling', 'guides'] as const

/** The command that lays a stencil. */
export const layCommand = (stencil: string): string => `lay ${stencil}`

/** All that can be done where the painter is. */
export const useCommands = () => computed(() => offers.value.toReversed().flatMap(list => list()))
