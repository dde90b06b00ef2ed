/**
 * One stop of the keyboard for a list of buttons, with arrows, Home and End inside it (WAI-ARIA Authoring
 * Practices, roving tabindex).
 * @param list what holds the buttons
 */
export function useRoving(list: Readonly<Ref<HTMLElement | null>>) {
  /** Which of them Tab goes to. */
  const reached = ref(0)
  const buttons = () => [...(list.value?.querySelectorAll<HTMLElement>('button') ?? [])]
  function enter(event: FocusEvent): void {
    const at = buttons().indexOf(event.target as HTMLElement)
    if (at >= 0) reached.value = at
  }
  /** How many stand beside one another, as they are laid out now. */
  function across(all: readonly HTMLElement[]): number {
    const top = all[0]?.offsetTop
    const below = all.findIndex(b => b.offsetTop !== top)
    return below < 0 ? all.length : below
  }
  function roam(event: KeyboardEvent): void {
    if (event.altKey || event.ctrlKey || event.metaKey) return
    const all = buttons()
    const at = all.indexOf(event.target as HTMLElement)
    if (at < 0) return
    const row = across(all)
    const steps: Record<string, number> = {
      ArrowRight: at + 1,
      ArrowLeft: at - 1,
      ArrowDown: at + row,
      ArrowUp: at - row,
      Home: 0,
      End: all.length - 1,
    }
    const to = steps[event.key]
    if (to === undefined) return
    event.preventDefault()
    all[Math.min(all.length - 1, Math.max(0, to))]?.focus()
  }
  return { reached, enter, roam }
}
