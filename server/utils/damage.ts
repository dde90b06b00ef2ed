import { dataFile } from '../db/open'
import type { Damaged } from '../pool/damage'

let found: readonly Damaged[] = []

/** What was not as it was written when the data were last looked through. */
export const changedOnDisk = (): readonly Damaged[] => found

/** Looks for damage among all that is kept, and tells whoever started the server. */
export async function lookForDamage(): Promise<void> {
  const all = await usePool().run('findDamage', dataFile())
  const pictures = all.filter(damaged => damaged.kind === 'picture')
  const { pictures: kept } = useRepositories()
  for (const { id } of pictures) kept.drop(id)
  if (pictures.length) usePaintAhead().soon()
  found = all.filter(damaged => damaged.kind !== 'picture')
  for (const { kind, name } of found)
    console.error(`A ${kind} is not as it was written, by damage of the disk or by another program: ${name}`)
}
