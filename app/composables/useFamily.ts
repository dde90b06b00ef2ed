import { toast } from 'vue-sonner'
import { applied, familyOf, Refused, sheetsOf, takeOver, type Difference, type Look } from '#core/look'
import type { LookRecord } from '~~/server/db/looks'

/** The tries of a look as they are kept, and what can be done with them; what goes wrong is said. */
export function useFamily(id: string) {
  const drawer = useDrawer()
  const records = shallowRef<readonly LookRecord[]>([])
  const failed = ref<string[]>([])
  const loading = ref(true)

  async function load(): Promise<void> {
    try {
      const [family] = await Promise.all([
        $fetch<LookRecord[]>(`/api/looks/${id}/family`),
        drawer.load(),
        useKit().load(),
        useWays().load(),
      ])
      await drawer.ensure(family.flatMap(r => sheetsOf(r.look)))
      records.value = family
      failed.value = []
    } catch (error) {
      failed.value = sentencesOf(error)
    }
    loading.value = false
  }
  async function attempt(job: () => Promise<unknown>): Promise<void> {
    try {
      await job()
    } catch (error) {
      toast.error(sentencesOf(error).join(' '), { duration: 9000 })
    }
    await load()
  }
  const find = (of: string) => records.value.find(r => r.look.id === of)
  const put = (look: Look, base: number) =>
    $fetch<{ version: number }, string>(`/api/looks/${look.id}`, { method: 'PUT', body: { base, look } })

  /** Makes a try the look; the others stay beside it. */
  const keep = (of: string) =>
    attempt(async () => {
      await $fetch<unknown, string>(`/api/looks/${of}/keep`, { method: 'POST' })
      toast(`Try ${familyOf(find(of)!.look).letter} is the look now; the others stay as tries.`)
    })
  const remove = (of: string) =>
    attempt(async () => {
      const { look } = find(of)!
      await $fetch<unknown, string>(`/api/looks/${of}`, { method: 'DELETE' })
      tellUndoable(`Try ${familyOf(look).letter} deleted`, () =>
        attempt(() => $fetch<unknown, string>(`/api/looks/${of}/restore`, { method: 'POST' })),
      )
    })
  /** Makes one step of a try as another has it. */
  const take = (into: string, from: string, difference: Difference) =>
    attempt(async () => {
      const [record, other] = [find(into)!, find(from)!]
      const next = changed(record.look, other.look, difference)
      const { version } = await put(next, record.version)
      const [a, b] = [familyOf(other.look).letter, familyOf(record.look).letter]
      tellUndoable(`Taken over from try ${a} into try ${b}`, () => attempt(() => put(record.look, version)))
    })

  return { records, failed, loading, load, keep, remove, take }
}

/** A look with one step as another try has it; a change that cannot be is an error with its sentence. */
function changed(look: Look, other: Look, difference: Difference): Look {
  try {
    return applied(look, tidied(takeOver(difference, other)))
  } catch (error) {
    throw error instanceof Refused ? new Error(error.message) : error
  }
}
