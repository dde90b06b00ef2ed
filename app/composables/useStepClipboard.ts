import { useLocalStorage } from '@vueuse/core'
import { nanoid } from 'nanoid'
import { pasteSteps, type Step } from '#core/look'

/** Steps that were copied, kept on this device so that they can be pasted into another look. */
export function useStepClipboard() {
  const session = useSession()
  const selection = useSelection()
  const notices = useNotices()
  const kept = useLocalStorage<Step[]>('janusform-copied-steps', [])
  const counted = (n: number) => `${n} ${n === 1 ? 'step' : 'steps'}`

  function copy(): void {
    const ids = selection.ids
    const steps = session.look!.steps.filter(s => ids.has(s.id))
    if (!steps.length) return
    kept.value = plain(steps)
    notices.tell(`${counted(steps.length)} copied; Ctrl V puts them on top, here or in another look.`)
  }
  function paste(): void {
    if (!kept.value.length) return notices.tell('Nothing is copied yet: select steps and press Ctrl C.')
    const before = session.look!.steps.length
    if (
      !session.edit(
        `paste ${counted(kept.value.length)}`,
        pasteSteps(kept.value, () => nanoid(10)),
      )
    )
      return
    selection.take(session.look!.steps.slice(before).map(s => s.id))
  }
  return { kept, copy, paste }
}
