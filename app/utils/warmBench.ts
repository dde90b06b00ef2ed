import { sheetsOf } from '#core/look'
import type { LookRecord } from '~~/server/db/looks'

/**
 * Does once, while nobody waits, what opening a look does: fetches the kit and the sheets of this one, and has
 * the stage's worker paint it coarsely. What runs for the first time runs slowly; the look that is opened then
 * need not wait for that.
 */
export async function warmBench(id: string): Promise<void> {
  const drawer = useDrawer()
  const [{ look }] = await Promise.all([
    $fetch<LookRecord>(`/api/looks/${id}`),
    drawer.load(),
    useKit().load(),
  ])
  await drawer.ensure(sheetsOf(look))
  await usePainter().coarse(look, 'lamp')
}
