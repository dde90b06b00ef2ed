import { nanoid } from 'nanoid'

/** Variants inside a look: its shorter version, and switches that turn steps on and off together. */
export function useVariants() {
  const session = useSession()
  const selection = useSelection()
  const shorten = () =>
    session.edit('shorter or whole', d => {
      if (d.shorter) delete d.shorter
      else d.shorter = true
    })
  const turn = (id: string) =>
    session.edit('turn a variant', d => {
      const found = d.switches?.find(s => s.id === id)
      if (found) found.on = !found.on
    })
  /** A new switch, of the steps that are selected. */
  function add(name: string): void {
    const id = nanoid(10)
    const { ids } = selection
    session.edit('add a variant', d => {
      d.switches = [...(d.switches ?? []), { id, name, on: true }]
      for (const s of d.steps) if (ids.has(s.id)) s.switch = id
    })
  }
  const rename = (id: string, name: string) =>
    session.edit('rename a variant', d => {
      const found = d.switches?.find(s => s.id === id)
      if (found && name) found.name = name
    })
  /** Takes a switch away; its steps stay, in every variant. */
  const remove = (id: string) =>
    session.edit('delete a variant', d => {
      d.switches = d.switches?.filter(s => s.id !== id)
      if (!d.switches?.length) delete d.switches
      for (const s of d.steps) if (s.switch === id) delete s.switch
    })
  return { shorten, turn, add, rename, remove }
}
