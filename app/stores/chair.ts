import { useLocalStorage } from '@vueuse/core'
import { nanoid } from 'nanoid'
import { defineStore } from 'pinia'
import {
  mergedEvents,
  progressAfter,
  progressNow,
  putLater,
  runOf,
  type Deed,
  type Event,
  type Length,
  type Outcome,
  type RunFrame,
} from '#core/chair'
import { sheetsOf, type Look } from '#core/look'
import type { LookRecord } from '~~/server/db/looks'
import { sittingClock } from '~/sitting/clock'
import {
  keepSitting,
  keptSitting,
  onSittingChanged,
  openSitting,
  sendSitting,
  type Heard,
  type KeptSitting,
} from '~/sitting/kept'
import { sittingLook } from '~/sitting/look'
import { sittingView } from '~/sitting/view'

type Store = ReturnType<typeof sitting>

/** What there is of a sitting before anything is done. */
function sitting() {
  const events = shallowRef<readonly Event[]>([])
  const frame = shallowRef<RunFrame | null>(null)
  const problems = ref<string[]>([])
  const tell = (text: string): void => {
    if (!problems.value.includes(text)) problems.value = [...problems.value, text]
  }
  const of = sittingLook()
  const progress = computed(() => progressAfter(events.value, frame.value ? of.gates.value : []))
  const clock = sittingClock(() => frame.value !== null && !progress.value.ended, tell)
  /** Where it stands at this moment. */
  const live = computed(() =>
    frame.value ? progressNow(progress.value, clock.passed.value, of.gates.value) : progress.value,
  )
  const view = sittingView(of, progress, live)
  return { events, frame, problems, tell, of, progress, clock, live, view }
}

/** Keeps a sitting on this device and tells the server, which may be away. */
function keeping({ events, frame, tell, of, progress, clock, view }: Store) {
  const changes = ref(0)
  /** What the server last said; null before it said anything. */
  const heard = shallowRef<Heard | null>(null)
  const away = ref(false)
  /** As it stands here, to be kept on this device. */
  function account(closed: boolean, picture?: Blob) {
    const run = runOf(frame.value!, progress.value, view.screens.value, of.gates.value)
    const { went } = frame.value!
    const clocks = clock.clocks.value
    const worn = of.worn.value ?? undefined
    return { run, events: events.value, went, clocks, changes: changes.value, closed, picture, worn }
  }
  async function keep(closed = false, picture?: Blob): Promise<void> {
    if (!frame.value) return
    changes.value += 1
    const own = account(closed, picture)
    const { run } = own
    try {
      const kept = await keepSitting(own)
      changes.value = Math.max(changes.value, kept.changes)
      if (kept.events.length > own.events.length) {
        // Another tab did something meanwhile: the record is of both.
        if (events.value === own.events) events.value = kept.events
        tell(ELSEWHERE)
        await keepSitting(account(closed, picture))
      }
    } catch {
      tell('This device has no room for this: leave the page open until the server has answered.')
    }
    try {
      const answer = await sendSitting(run.id)
      away.value = answer === null
      if (!answer) return
      heard.value = answer
      // It was changed in the log meanwhile: what is done in the chair counts from there.
      changes.value = Math.max(changes.value, answer.sent)
    } catch (error) {
      tell(`The server does not keep this: ${sentencesOf(error).join(' ')} It stays on this device.`)
    }
  }
  /** Takes in what another tab has done in this sitting. */
  async function takeIn(id: string): Promise<void> {
    const kept = frame.value?.id === id ? await keptSitting(id).catch(() => undefined) : undefined
    if (!kept || !frame.value || kept.changes <= changes.value) return
    const { endedAt, note, ticket } = kept.run
    events.value = mergedEvents(events.value, kept.events)
    frame.value = { ...frame.value, endedAt, note, ticket, went: { ...frame.value.went, ...kept.went } }
    changes.value = kept.changes
    clock.goOn(kept.clocks)
    tell(ELSEWHERE)
  }
  onSittingChanged(id => void takeIn(id))
  return { changes, heard, away, keep }
}
const ELSEWHERE = 'Another tab goes on with this sitting: what is done there counts here as well.'

/** A deed as it is kept: other tabs know it by its id. */
const deedOf = (deed: Deed, passed: number, inHand?: string, more: Partial<Event> = {}): Event => ({
  deed,
  passed,
  id: nanoid(10),
  at: Date.now(),
  ...(inHand !== undefined && { of: inHand }),
  ...more,
})

/** What can be done in the chair. */
function deeds(
  { events, frame, problems, of, progress, clock }: Store,
  { changes, heard, keep }: ReturnType<typeof keeping>,
) {
  const settings = useSettings()
  const device = useLocalStorage('janusform-device', nanoid(8))

  function act(deed: Deed, more: Pick<Event, 'order' | 'length'> = {}): void {
    const passed = deed === 'begin' ? 0 : clock.sinceLast()
    clock.strike()
    events.value = [...events.value, deedOf(deed, passed, progress.value.left[0], more)]
    if (frame.value && progress.value.left.length === 0 && !progress.value.ended) {
      events.value = [...events.value, deedOf('end', 0)]
      frame.value = { ...frame.value, endedAt: new Date().toISOString() }
    } else if (frame.value?.endedAt && !progress.value.ended) {
      frame.value = { ...frame.value, endedAt: null }
    }
    void keep()
  }
  /** Begins with some of the steps, in an order. */
  function begin(steps: readonly string[], length: Length, ticket: string): void {
    const { id, name, family } = of.look.value!
    const title = family ? `${name}, try ${family.letter}`.slice(0, 80) : name
    const { temperature, humidity, air } = settings.room
    problems.value = []
    heard.value = null
    changes.value = 0
    frame.value = {
      id: nanoid(16),
      look: { id, name: title, version: of.record.value!.version },
      device: device.value,
      startedAt: new Date().toISOString(),
      endedAt: null,
      ticket,
      room: { temperature, humidity, air },
      note: '',
      went: {},
    }
    events.value = []
    // What is left out from the start is written down as that.
    const out = of.painted.value.map(s => s.id).filter(id => !steps.includes(id))
    act('begin', { order: [...steps, ...out], length })
    if (out.length) act('shorten', { order: [...steps], length })
  }
  /** Puts what is in hand behind the next that can go before it; false when none can. */
  function later(): boolean {
    const changed = putLater(progress.value, of.gates.value)
    if (changed) act('later', { order: changed })
    return changed !== null
  }
  function say(change: Partial<Pick<RunFrame, 'note' | 'went' | 'ticket'>>): void {
    if (!frame.value) return
    frame.value = { ...frame.value, ...change }
    void keep()
  }
  const went = (id: string, outcome: Outcome): void => say({ went: { ...frame.value!.went, [id]: outcome } })
  /** Nothing more is to be said: what was written down goes to the log, with a picture if there is one. */
  const close = (picture?: Blob): Promise<void> => keep(true, picture)
  return { act, begin, later, say, went, close }
}

/** Changing the look for this person alone. */
function wearing({ frame, tell, of }: Store) {
  const drawer = useDrawer()
  /** Lets this person wear another look than the menu has; null for the menu's own. */
  return async function wear(look: Look | null): Promise<void> {
    if (frame.value) return
    of.known.value = null
    of.worn.value = look
    try {
      await drawer.ensure(sheetsOf(of.look.value!))
      await of.work()
    } catch (error) {
      tell(sentencesOf(error).join(' '))
    }
  }
}

/** Fetches a look for the chair, and goes on with a sitting that was not brought to its end. */
function loading({ events, frame, tell, of, clock }: Store, { changes }: ReturnType<typeof keeping>) {
  const drawer = useDrawer()
  const kit = useKit()
  const settings = useSettings()
  function resume({ run, events: before, clocks, changes: n, went }: KeptSitting): void {
    const { id, look, device, startedAt, endedAt, ticket, room, note } = run
    // A step that the look has no more cannot be painted any more.
    const has = new Set(of.look.value!.steps.map(s => s.id))
    if (look.version !== of.record.value!.version)
      tell('The look was changed since this sitting began: it goes on with what is there now.')
    frame.value = { id, look, device, startedAt, endedAt, ticket, room, note, went }
    events.value = before.map(e => (e.order ? { ...e, order: e.order.filter(s => has.has(s)) } : e))
    changes.value = n
    clock.goOn(clocks)
  }
  return async (id: string): Promise<void> => {
    const rest = Promise.all([drawer.load(), kit.load(), settings.readRoom()])
    rest.catch(() => {})
    const [fetched, open] = await Promise.all([
      $fetch<LookRecord>(`/api/looks/${id}`),
      openSitting(id).catch(() => null),
    ])
    events.value = []
    frame.value = null
    of.filled.value = false
    of.known.value = null
    of.worn.value = null
    of.record.value = fetched
    // The look itself is shown at once; its sheets and paints come in a moment.
    const fill = async (): Promise<void> => {
      await rest
      await drawer.ensure(sheetsOf(of.look.value ?? fetched.look))
      of.filled.value = true
      await of.work()
    }
    of.worn.value = open?.worn ?? null
    if (!open) return void fill().catch(error => tell(sentencesOf(error).join(' ')))
    await fill()
    resume(open)
  }
}

/** A look in the chair: what is in hand, for how long, and the record of it. */
export const useChair = defineStore('chair', () => {
  const store = sitting()
  const { frame, problems, of, progress, live, view } = store
  const kept = keeping(store)
  const { record, worn, look, world, painted, filled, known, gates } = of
  return {
    ...{ record, worn, look, world, painted, filled, known, gates },
    wear: wearing(store),
    ...{ frame, problems, progress, live },
    ...view,
    heard: kept.heard,
    away: kept.away,
    ...deeds(store, kept),
    load: loading(store, kept),
  }
})
