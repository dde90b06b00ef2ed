/**
 * Keeps the keyboard in the strip when the step that had it is taken out: it goes to the step that is selected then.
 * @param strip the element in which the steps are
 */
export function useKeptFocus(strip: Readonly<Ref<HTMLElement | null>>): void {
  const session = useSession()
  const selection = useSelection()
  let held = false
  watch(
    () => session.look?.steps.length,
    () => {
      held = strip.value?.contains(document.activeElement) ?? false
    },
    { flush: 'pre' },
  )
  watch(
    () => session.look?.steps.length,
    async (now, before) => {
      if (!held || (now ?? 0) >= (before ?? 0)) return
      await nextTick()
      strip.value?.querySelector<HTMLElement>(`[data-step="${selection.id}"]`)?.focus()
    },
    { flush: 'post' },
  )
}
