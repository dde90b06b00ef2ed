import { FetchError } from 'ofetch'
import { nanoid } from 'nanoid'
import { createStore, del, entries, get, update } from 'idb-keyval'
import { inQueue } from '~/utils/inQueue'
import { keptWithRoom } from '~/utils/room'
import { plain } from '~/utils/plain'
import { mergedEvents, type Clocks, type Event, type Outcome, type Run } from '#core/chair'
import type { Look } from '#core/look'

/** A sitting as this device keeps it: its deeds, the record made of them, and what of it the server has. */
export interface KeptSitting {
  readonly run: Run
  readonly events: readonly Event[]
  readonly went: Readonly<Record<string, Outcome>>
  /** What the clocks said at the last deed. */
  readonly clocks: Clocks
  /** How often it changed, and the change that the server has heard of. */
  readonly changes: number
  readonly heard: number
  /** The look as this person wears it, where it was changed for them alone. */
  readonly worn?: Look | undefined
  /** Whether nothing more is to be said of it. */
  readonly closed: boolean
  /** A picture that waits to be sent. */
  readonly picture?: Blob | undefined
}

let opened: ReturnType<typeof createStore> | null = null
const sittings = () => (opened ??= createStore('janusform-chair', 'sittings'))
const all = async (): Promise<KeptSitting[]> =>
  (await entries<string, KeptSitting>(sittings())).map(([, s]) => s)

/** What the server says to a run. */
export interface Heard {
  readonly what: 'kept' | 'older' | 'deleted'
  /** How often the server has heard of it as changed. */
  readonly sent: number
  readonly elsewhere: readonly { readonly startedAt: string; readonly ticket: string }[]
  readonly lookGone: boolean
}

/** This page, until it is closed or loaded anew. */
const PAGE = nanoid(8)

/** Tells the other tabs of this device which sitting has changed. */
const channel = () =>
  typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('janusform-sittings')

/**
 * Hears of changes that another tab makes to sittings.
 * @returns ends the hearing
 */
export function onSittingChanged(heard: (id: string) => void): () => void {
  const open = channel()
  open?.addEventListener('message', ({ data }: MessageEvent<{ id: string; page: string }>) => {
    if (data.page !== PAGE) heard(data.id)
  })
  return () => open?.close()
}

/** A sitting as this device keeps it; undefined when it does not. */
export const keptSitting = (id: string): Promise<KeptSitting | undefined> => get<KeptSitting>(id, sittings())

/**
 * Keeps a sitting on this device, together with what another tab has done in it meanwhile; what of it was heard,
 * and a picture that waits, stay as they are. Returns it as it is kept.
 */
export async function keepSitting({ picture, ...rest }: Omit<KeptSitting, 'heard'>): Promise<KeptSitting> {
  let kept: KeptSitting | undefined
  const keep = () =>
    update<KeptSitting>(
      rest.run.id,
      before => {
        // Two tabs that count alike must not take one another's place.
        const changes = Math.max(rest.changes, (before?.changes ?? 0) + 1)
        const events = mergedEvents(before?.events ?? [], rest.events)
        const went = { ...before?.went, ...rest.went }
        const own = plain({ ...rest, events, went, changes })
        kept = { ...own, heard: before?.heard ?? 0, picture: picture ?? before?.picture }
        return kept
      },
      sittings(),
    )
  await keptWithRoom(keep)
  const told = channel()
  told?.postMessage({ id: rest.run.id, page: PAGE })
  told?.close()
  return kept!
}

/** A sitting that nobody touched for so long is not gone on with, ms. */
const OVER_MS = 6 * 3_600_000

/**
 * The sitting of a look that was not brought to its end; null when there is none. One that was left long ago is
 * closed: it is in the log as far as it went.
 */
export async function openSitting(lookId: string): Promise<KeptSitting | null> {
  const open = (await all())
    .filter(s => s.run.look.id === lookId && !s.closed)
    .sort((a, b) => a.clocks.wall - b.clocks.wall)
  const over = open.filter(s => Math.abs(Date.now() - s.clocks.wall) > OVER_MS)
  for (const s of over) await keepSitting({ ...s, closed: true, changes: s.changes + 1 })
  return open.filter(s => !over.includes(s)).at(-1) ?? null
}

/** Whether the server has answered that it does not keep what was sent. */
const refused = (error: unknown): boolean => error instanceof FetchError && error.response !== undefined
/** Statuses that say that the thing itself cannot be taken; a full disk or a pause is over some time. */
const FINAL = new Set([400, 404, 410, 413, 415, 422])
const refusedForGood = (error: unknown): boolean =>
  error instanceof FetchError && FINAL.has(error.response?.status ?? 0)

/** Sends one sitting, with its picture, and notes what of it was heard; what changed meanwhile stays to be sent. */
async function send(id: string): Promise<Heard | null> {
  const sitting = await get<KeptSitting>(id, sittings())
  if (!sitting) return null
  const { run, changes, picture, closed } = sitting
  const heard = await $fetch<Heard>(`/api/runs/${id}`, { method: 'PUT', body: { run, sent: changes } })
  if (picture && heard.what === 'kept')
    await $fetch(`/api/runs/${id}/picture`, { method: 'PUT', body: picture }).catch(error => {
      if (!refusedForGood(error)) throw error
    })
  let gone = false
  await update<KeptSitting | undefined>(
    id,
    now => {
      const older = heard.what === 'older'
      gone = now === undefined || (closed && now.changes === changes && !older)
      // It was changed in the log meanwhile: what was done in the chair counts, and is sent again as newer.
      const next = older ? heard.sent + 1 : (now?.changes ?? 0)
      return (
        now && {
          ...now,
          changes: next,
          heard: older ? 0 : changes,
          picture: now.picture === picture ? undefined : now.picture,
        }
      )
    },
    sittings(),
  )
  if (gone) await del(id, sittings())
  return heard
}

const inTurn = inQueue()

/**
 * Sends a sitting: one at a time, so that no older one overtakes a newer one.
 * @returns what the server said; null where it does not answer. Throws FetchError when it refuses it.
 */
export async function sendSitting(id: string): Promise<Heard | null> {
  try {
    return (await inTurn(() => send(id))).answer
  } catch (error) {
    if (refused(error)) throw error
    return null
  }
}

/** Gives a sitting up that is not to be written down, on this device and, after whatever is on its way, in the log. */
export async function dropSitting(id: string): Promise<void> {
  await del(id, sittings())
  await inTurn(async () => {
    await $fetch<unknown>(`/api/runs/${id}`, { method: 'DELETE' })
  }).catch(() => {})
}

/** Sends whatever the server has not heard of yet. */
export async function sendSittings(): Promise<void> {
  for (const { run, changes, heard } of await all())
    if (changes > heard) await sendSitting(run.id).catch(() => {})
}
