import { nanoid } from 'nanoid'
import { defineStore } from 'pinia'
import { aimedTilt, freshSheet, freshWash, kindOf, lookSeconds, openingNumbers, sheetsOf, type Look, type PaintRef, type SheetStep, type Step, type World } from '#core/look'
import { ADULT_FACE, type Placement, type ZoneId } from '#core/skin'
import { wrapDegrees, type Point } from '#core/geometry'
import type { LookRecord } from '~~/server/db/looks'
import { Autosave, dropDraft, readDraft } from './autosave'
import { useDrawer } from './drawer'
import { History } from './history'
import { useKit } from './kit'

/** The look on the bench: its state, its edits, what is selected and how it is saved. */
export const useBench = defineStore('bench', () => {
  const drawer = useDrawer(), kit = useKit()
  let history: History<Look> | null = null
  const look = shallowRef<Look | null>(null)
  const saver = shallowRef<Autosave | null>(null)
  const selectedId = ref<string | null>(null)
  /** The pass whose openings are being chosen on the face; null when none is. */
  const choosing = ref<number | null>(null)
  watch(selectedId, () => { choosing.value = null })
  /** A spot picked on the face, where the next sheet goes. */
  const spot = ref<Point | null>(null)
  const undoWords = ref(''), redoWords = ref('')

  const selected = computed<Step | null>(() => look.value?.steps.find(s => s.id === selectedId.value) ?? null)
  const selectedSheet = computed<SheetStep | null>(() => selected.value?.kind === 'sheet' ? selected.value : null)
  const world = computed<World>(() => {
    const { shapes } = drawer, colours = new Map(kit.paints.map(p => [p.id, p.colour]))
    return { face: ADULT_FACE, stencil: id => shapes.get(id), paintColour: id => colours.get(id) }
  })
  const seconds = computed(() => look.value ? lookSeconds(look.value, world.value) : 0)
  const loaded = computed(() => look.value !== null && sheetsOf(look.value).every(id => drawer.shapes.has(id)))

  /** Opens a look; work on it that had not reached the server comes back first. */
  async function open(id: string): Promise<void> {
    close()
    const [record] = await Promise.all([$fetch<LookRecord>(`/api/looks/${id}`), drawer.load(), kit.load()])
    const draft = readDraft(id), restore = draft !== null && JSON.stringify(draft.look) !== JSON.stringify(record.look)
    saver.value = new Autosave(restore ? draft.base : record.version, record.savedAt)
    if (!restore) dropDraft(id)
    begin(restore ? draft.look : record.look)
    await drawer.ensure(sheetsOf(look.value!))
    if (restore) saver.value.push(draft.look)
  }

  function begin(next: Look): void {
    history = new History(next)
    look.value = next
    selectedId.value = null
    tell()
  }

  function close(): void {
    saver.value?.stop()
    void saver.value?.flush()
    look.value = null
    history = null
    spot.value = null
  }

  function tell(): void {
    undoWords.value = history?.canUndo ? history.undoLabel : ''
    redoWords.value = history?.canRedo ? history.redoLabel : ''
  }

  function take(): void {
    look.value = history!.present
    tell()
    void drawer.ensure(sheetsOf(look.value))
    saver.value!.push(look.value)
  }

  /** Changes the look, as one step of undo. */
  function edit(label: string, recipe: (draft: Look) => void, merge: string | null = null): void {
    if (history?.edit(label, recipe, merge)) take()
  }
  function undo(): void { if (history?.undo()) take() }
  function redo(): void { if (history?.redo()) take() }

  /** Changes the selected step. */
  function editStep(label: string, recipe: (step: Step) => void, merge: string | null = null): void {
    const id = selectedId.value
    if (!id) return
    edit(label, (draft) => {
      const step = draft.steps.find(s => s.id === id)
      if (step) recipe(step as Step)
    }, merge === null ? null : `${merge}-${id}`)
  }
  const editSheet = (label: string, recipe: (step: SheetStep) => void, merge: string | null = null) =>
    editStep(label, (step) => { if (step.kind === 'sheet') recipe(step) }, merge)

  function add(step: Step, label: string): void {
    edit(label, draft => void draft.steps.push(step as never))
    selectedId.value = step.id
  }

  function addWash(zones: ZoneId[], colours: PaintRef[], name: string): void {
    add(freshWash(nanoid(10), name, zones, colours, ADULT_FACE), 'lay a base')
  }

  /** Lays a sheet on the skin: where it is told to, else on the picked spot, else on the forehead. */
  async function addSheet(stencilId: string, at: Point | null, seat: Partial<Placement> & { openings?: readonly number[] | null } = {}): Promise<void> {
    const about = drawer.find(stencilId), paint = lastPaint() ?? kit.paints[0]
    if (!about || !paint) return
    await drawer.ensure([stencilId])
    const [x, y] = at ?? spot.value ?? [0, -34]
    const step = freshSheet(nanoid(10), about.name, stencilId, [round(x), round(y)], { id: paint.id, name: paint.name, colour: paint.colour })
    if (seat.openings) step.passes[0]!.openings = { use: 'chosen', numbers: [...seat.openings] }
    add({ ...step, tilt: round(seat.tilt ?? 0), side: seat.side ?? 'A' }, 'lay a stencil')
  }

  function lastPaint(): PaintRef | null {
    const steps = look.value?.steps.filter(s => s.kind === 'sheet') ?? []
    return steps.at(-1)?.passes.at(-1)?.load.paint ?? null
  }

  function remove(id = selectedId.value): void {
    const at = look.value?.steps.findIndex(s => s.id === id) ?? -1
    if (at < 0) return
    edit('delete a step', draft => void draft.steps.splice(at, 1))
    selectedId.value = look.value!.steps[Math.min(at, look.value!.steps.length - 1)]?.id ?? null
  }

  function duplicate(): void {
    const step = selected.value
    if (!step) return
    const copy = { ...structuredClone(toRaw(step)), id: nanoid(10) }
    edit('copy a step', draft => void draft.steps.splice(draft.steps.findIndex(s => s.id === step.id) + 1, 0, copy as never))
    selectedId.value = copy.id
  }

  function move(id: string, to: number): void {
    edit('reorder', (draft) => {
      const from = draft.steps.findIndex(s => s.id === id)
      if (from < 0 || to < 0 || to >= draft.steps.length) return
      const [step] = draft.steps.splice(from, 1)
      draft.steps.splice(to, 0, step!)
    })
  }

  const round = (v: number): number => Math.round(v * 10) / 10

  const nudge = (dx: number, dy: number) => editSheet('move', (s) => { s.at = [round(s.at[0] + dx), round(s.at[1] + dy)] }, 'move')
  const turn = (by: number) => editSheet('turn', (s) => { s.tilt = round(wrapDegrees(s.tilt + by)) }, 'turn')
  const flip = () => editSheet('flip over', (s) => { s.side = s.side === 'A' ? 'B' : 'A' })
  const twin = () => editSheet('twin', (s) => { s.twin = s.twin === 'none' ? 'midline' : 'none' })
  const dab = (by: number) => editStep('dabs', (s) => {
    if (s.kind === 'sheet') { const p = s.passes.at(-1)!; p.dabs = Math.min(12, Math.max(1, p.dabs + by)) } else s.dabs = Math.min(12, Math.max(1, s.dabs + by))
  }, 'dabs')
  /** Puts an opening into the pass that is being chosen for, or takes it out. The last one stays. */
  function choose(opening: number): void {
    const i = choosing.value, step = selectedSheet.value, sheet = step && drawer.shapes.get(step.stencil), pass = i === null ? undefined : step?.passes[i]
    if (i === null || !sheet || !pass) return
    const now = openingNumbers(pass, sheet), next = now.includes(opening) ? now.filter(n => n !== opening) : [...now, opening].sort((a, b) => a - b)
    if (next.length) editSheet('choose openings', (s) => { s.passes[i]!.openings = next.length === sheet.openings.length ? { use: 'all' } : { use: 'chosen', numbers: [...next] } })
  }
  const aim = () => editSheet('aim', (s) => { s.tilt = round(aimedTilt(s.at, s.side, drawer.find(s.stencil)?.heading ?? 0, look.value!.focus)) })

  /** Settles a conflict: this page's version, or the newer one (this page's is then saved as a look of its own). */
  async function settle(choice: 'mine' | 'theirs'): Promise<void> {
    if (choice === 'mine') return saver.value!.keepMine()
    const mine = look.value!
    await $fetch('/api/looks', { method: 'POST', body: { ...mine, id: nanoid(12), name: `${mine.name.slice(0, 66)} (my version)` } })
    const theirs = saver.value!.keepTheirs()
    if (theirs) {
      begin(theirs.look)
      await drawer.ensure(sheetsOf(theirs.look))
    }
  }

  return {
    look, saver, selectedId, selected, selectedSheet, spot, choosing, world, seconds, loaded, undoWords, redoWords,
    open, close, edit, editStep, editSheet, undo, redo, addWash, addSheet, remove, duplicate, move, nudge, turn, flip, twin, dab, aim, choose, settle, kindOf, round,
  }
})
