import { nanoid } from 'nanoid'
import { defineStore } from 'pinia'
import { toast } from 'vue-sonner'
import {
  aimedTilt,
  bearingOn,
  atSoThat,
  exactTwin,
  freshOutline,
  freshSheet,
  freshWash,
  groundFor,
  halfTurnAbout,
  hostsIn,
  isMark,
  kindOf,
  liesAt,
  lookSeconds,
  MOST_STEPS,
  NO_TWIN,
  parseLook,
  placementOf,
  paintedOpenings,
  placementProblem,
  placementsOf,
  printedMiddle,
  registerFit,
  relationOf,
  reordered,
  settle as settleRegisters,
  boundOrder,
  sheetsOf,
  seatingOf,
  upgraded,
  usualHeading,
  type PaintUse,
  type Look,
  type MarkStep,
  type PaintRef,
  type RegisterWay,
  type SheetStep,
  type Shows,
  type Step,
  type TwinRule,
  type World,
} from '#core/look'
import { afterFix, type Finding, type Fix } from '#core/checks'
import { Memo } from '#core/memo'
import { ownTools } from '#core/paint'
import { layOn, type Placement, type ZoneId } from '#core/skin'
import { wrapDegrees, type Point } from '#core/geometry'
import type { LookRecord } from '~~/server/db/looks'
import type { Outcome } from '~/workers/painter'
import { Autosave, dropDraft, readDraft } from './autosave'
import { useDrawer } from './drawer'
import { History, RefusedEdit } from './history'
import { useKit } from './kit'
import { useSettings } from './settings'

/** The look on the bench: its state, its edits, what is selected and how it is saved. */
export const useBench = defineStore('bench', () => {
  const drawer = useDrawer()
  const kit = useKit()
  const settings = useSettings()
  const memo = markRaw(new Memo())
  let history: History<Look> | null = null
  const look = shallowRef<Look | null>(null)
  const saver = shallowRef<Autosave | null>(null)
  const selectedId = ref<string | null>(null)
  /** The pass whose openings are being chosen on the face; null when none is. */
  const choosing = ref<number | null>(null)
  watch(selectedId, () => {
    choosing.value = null
  })
  /** Steps that are selected together with the one in hand. */
  const alsoIds = ref<readonly string[]>([])
  watch(selectedId, () => {
    alsoIds.value = []
  })
  /** A spot picked on the face, where the next sheet goes. */
  const spot = ref<Point | null>(null)
  const undoWords = ref('')
  const redoWords = ref('')

  const selected = computed<Step | null>(() => look.value?.steps.find(s => s.id === selectedId.value) ?? null)
  /** Everything that is selected, in the order of painting. */
  const chosen = computed<Step[]>(
    () => look.value?.steps.filter(s => s.id === selectedId.value || alsoIds.value.includes(s.id)) ?? [],
  )
  /** Adds a step to what is selected, or takes it out again. */
  function alsoSelect(id: string): void {
    if (selectedId.value === null) selectedId.value = id
    else if (id !== selectedId.value)
      alsoIds.value = alsoIds.value.includes(id)
        ? alsoIds.value.filter(a => a !== id)
        : [...alsoIds.value, id]
  }
  /** Selects every step; the one in hand stays so. */
  function selectAll(): void {
    const ids = look.value?.steps.map(s => s.id) ?? []
    selectedId.value ??= ids[0] ?? null
    void nextTick(() => {
      alsoIds.value = ids.filter(id => id !== selectedId.value)
    })
  }
  const selectedMark = computed<MarkStep | null>(() =>
    selected.value && isMark(selected.value) ? selected.value : null,
  )
  const selectedSheet = computed<SheetStep | null>(() =>
    selected.value?.kind === 'sheet' ? selected.value : null,
  )
  /** What the look is painted on; worked out anew only when canvas or age change. */
  const ground = computed(() => groundFor({ canvas: look.value!.canvas, skin: look.value!.skin }))
  /** Which of a twinned pair the hand has: the sheet itself or its unlinked twin. */
  const holdsTwin = ref(false)
  watch(selectedId, () => {
    holdsTwin.value = false
  })
  const world = computed<World>(() => {
    const { shapes } = drawer
    return {
      ground: ground.value,
      ...hostsIn(look.value?.steps ?? []),
      stencil: id => shapes.get(id),
      paint: id => kit.find(id),
      ...ownTools(kit.readings),
      memo,
      flat: true,
      finger: settings.finger,
    }
  })
  /** How the selected sheet and its twin seat on the skin, while that is shown. */
  const seating = computed(() => {
    const step = selectedSheet.value
    const sheet = step && world.value.stencil(step.stencil)
    if (!settings.lift || !step || !sheet) return []
    const painted = paintedOpenings(step, world.value)
    return placementsOf(step, world.value).map((p, i) => seatingOf(sheet, p, world.value, painted[i]))
  })
  /** How the steps show, what there is to say of them and what comes of them, as the worker has found it for the newest picture. */
  const shows = shallowRef<ReadonlyMap<string, Shows>>(new Map())
  const findings = shallowRef<readonly Finding[]>([])
  const outcomes = shallowRef<ReadonlyMap<string, Outcome>>(new Map())
  const waits = shallowRef<ReadonlyMap<string, number>>(new Map())
  const amounts = shallowRef<readonly PaintUse[]>([])
  const painter = usePainter()
  /** The look whose picture is complete, and the one of which everything was checked: what is told of any other is of before. */
  const seen = shallowRef<Look | null>(null)
  const checked = shallowRef<Look | null>(null)
  const checking = computed(() => look.value === null || checked.value !== look.value)
  const check = newestOnly(async () => {
    const now = look.value
    if (!now || !loaded.value) return
    const complete = seen.value === now
    const found = await painter.findings(now, new Date().toISOString().slice(0, 10))
    if (look.value?.id !== now.id) return
    if (complete) checked.value = now
    findings.value = found.findings
    outcomes.value = new Map(found.outcomes.map(o => [o.stepId, o]))
    waits.value = new Map(found.waits)
    amounts.value = found.amounts
  })
  /** Takes in how steps show once their picture is painted, and has the look checked again. */
  function painted(of: Look, list: readonly Shows[]): void {
    if (of.id !== look.value?.id) return
    shows.value = new Map(list.map(s => [s.stepId, s]))
    seen.value = of
    check()
  }
  /** Makes the change that a finding proposes, as one step of undo. */
  function applyFix(stepId: string | null, fix: Fix): void {
    edit(fix.words, draft => {
      draft.steps = afterFix(draft.steps as Step[], stepId, toRaw(fix), () => nanoid(10)) as never
    })
  }
  const seconds = computed(() => (look.value ? lookSeconds(look.value, world.value) : 0))
  const loaded = computed(
    () => look.value !== null && sheetsOf(look.value).every(id => drawer.shapes.has(id)),
  )

  /** Opens a look; work on it that had not reached the server comes back first. */
  async function open(id: string): Promise<void> {
    close()
    const [record] = await Promise.all([$fetch<LookRecord>(`/api/looks/${id}`), drawer.load(), kit.load()])
    const found = readDraft(id)
    const draft = found && { ...found, look: upgraded(found.look) as Look }
    const restore = draft !== null && JSON.stringify(draft.look) !== JSON.stringify(record.look)
    saver.value = new Autosave(restore ? draft.base : record.version, record.savedAt)
    if (!restore) dropDraft(id)
    begin(restore ? draft.look : record.look)
    await drawer.ensure(sheetsOf(look.value!))
    if (restore) saver.value.push(draft.look)
  }

  function begin(next: Look): void {
    history = new History(next, problemOf)
    look.value = history.present
    selectedId.value = null
    tell()
  }

  /** What is wrong with a look that an edit would leave; nothing that the server would refuse gets into it. */
  function problemOf(next: Look): string | null {
    if (next.steps.length > MOST_STEPS) return `A look has at most ${MOST_STEPS} steps: take some out first.`
    const read = parseLook(next)
    return read.ok ? null : read.errors[0]!
  }

  function close(): void {
    saver.value?.stop()
    void saver.value?.flush()
    look.value = null
    history = null
    spot.value = null
    seen.value = checked.value = null
    findings.value = []
    shows.value = new Map()
    outcomes.value = new Map()
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

  /** Changes the look, as one step of undo; an edit that cannot be is refused with a sentence. Returns whether the look is another now. */
  function edit(label: string, recipe: (draft: Look) => void, merge: string | null = null): boolean {
    let changed = false
    try {
      changed =
        history?.edit(
          label,
          draft => {
            recipe(draft)
            // Sheets that are held in register go where their hosts went.
            settleRegisters(draft.steps as Step[])
            // Glitter that goes onto wet paint follows that paint.
            const bound = boundOrder(draft.steps as Step[])
            if (bound) draft.steps = bound
          },
          merge,
        ) ?? false
    } catch (error) {
      if (!(error instanceof RefusedEdit)) throw error
      toast.error(error.message)
    }
    if (changed) take()
    return changed
  }
  function undo(): void {
    if (history?.undo()) take()
  }
  function redo(): void {
    if (history?.redo()) take()
  }

  /** Changes the selected step. */
  function editStep(label: string, recipe: (step: Step) => void, merge: string | null = null): void {
    const id = selectedId.value
    if (!id) return
    edit(
      label,
      draft => {
        const step = draft.steps.find(s => s.id === id)
        if (step) recipe(step as Step)
      },
      merge === null ? null : `${merge}-${id}`,
    )
  }
  const editMark = (label: string, recipe: (step: MarkStep) => void, merge: string | null = null) =>
    editStep(
      label,
      step => {
        if (isMark(step)) recipe(step)
      },
      merge,
    )
  const editSheet = (label: string, recipe: (step: SheetStep) => void, merge: string | null = null) =>
    editStep(
      label,
      step => {
        if (step.kind === 'sheet') recipe(step)
      },
      merge,
    )

  function add(step: Step, label: string): void {
    if (edit(label, draft => void draft.steps.push(step as never))) selectedId.value = step.id
  }

  /** Lays a base over zones, or on an outline of its own where a spot is picked. */
  function addWash(zones: ZoneId[] | null, colours: PaintRef[], name: string): void {
    if (zones) return add(freshWash(nanoid(10), name, zones, colours, ground.value), 'lay a base')
    const at = spot.value ?? middleSpot()
    const drawn = freshOutline(nanoid(10), name, at, colours, ground.value)
    // Drawn to one side of the face it has its twin like any stroke.
    const twinned = settings.twinNew && ground.value.face && Math.abs(at[0]) > 24
    add(
      twinned ? { ...drawn, twin: { ...NO_TWIN, rule: settings.twinRule(ground.value), own: null } } : drawn,
      'lay a base',
    )
  }

  /** Lays a sheet on the skin: where it is told to, else on the picked spot, else on the forehead. */
  async function addSheet(
    stencilId: string,
    at: Point | null,
    seat: Partial<Placement> & { openings?: readonly number[] | null } = {},
  ): Promise<void> {
    const about = drawer.find(stencilId)
    const paint = lastPaint() ?? kit.singles[0]
    if (!about || !paint) return
    await drawer.ensure([stencilId])
    const [x, y] = at ?? spot.value ?? middleSpot()
    const step = freshSheet(nanoid(10), about.name, stencilId, [round(x), round(y)], {
      id: paint.id,
      name: paint.name,
      colour: paint.colour,
    })
    if (seat.openings) step.passes[0]!.openings = { use: 'chosen', numbers: [...seat.openings] }
    // A texture lies with the flow from the start: down on the forehead, up toward the nose on the cheeks.
    const usual =
      about.kind === 'texture' && typeof about.heading === 'number'
        ? aimedTilt('A', about.heading, usualHeading(ground.value, step.at, look.value!.focus))
        : 0
    add({ ...step, tilt: round(seat.tilt ?? usual), side: seat.side ?? 'A' }, 'lay a stencil')
  }

  /** Where a sheet goes when nobody says: the middle of the forehead, or of the arm. */
  function middleSpot(): Point {
    const { face, canvas } = ground.value
    if (canvas.kind === 'face' && canvas.part !== 'whole')
      return [
        (ground.value.box.minX + ground.value.box.maxX) / 2,
        (ground.value.box.minY + ground.value.box.maxY) / 2,
      ]
    return face ? [0, face.landmarks.mid.hairline[1] * 0.52] : [0, 0]
  }

  function lastPaint(): PaintRef | null {
    const load = look.value?.steps.findLast(s => s.kind === 'sheet')?.passes.at(-1)?.load
    return load ? (load.kind === 'one' ? load.paint : load.kind === 'over' ? load.second : null) : null
  }

  function remove(): void {
    const at = look.value?.steps.findIndex(s => s.id === selectedId.value) ?? -1
    const gone = new Set(chosen.value.map(s => s.id))
    if (at < 0) return
    edit(gone.size > 1 ? `delete ${gone.size} steps` : 'delete a step', draft => {
      draft.steps = draft.steps.filter(s => !gone.has(s.id))
    })
    selectedId.value = look.value!.steps[Math.min(at, look.value!.steps.length - 1)]?.id ?? null
  }

  function duplicate(): void {
    const step = selected.value
    if (!step) return
    const copy = { ...structuredClone(toRaw(step)), id: nanoid(10) }
    if (
      edit(
        'copy a step',
        draft => void draft.steps.splice(draft.steps.findIndex(s => s.id === step.id) + 1, 0, copy as never),
      )
    )
      selectedId.value = copy.id
  }

  function move(id: string, to: number): void {
    edit('reorder', draft => {
      draft.steps = reordered(draft.steps as Step[], id, to) as never
    })
  }

  const round = (v: number): number => Math.round(v * 10) / 10

  /**
   * Changes where the selected sheet lies, or its unlinked twin when that is held. A sheet moved by hand is let go of its register;
   * a place off the skin is refused with a sentence.
   */
  function place(
    label: string,
    recipe: (place: { at: [number, number]; tilt: number; side: 'A' | 'B' }) => void,
    merge: string | null = null,
  ): void {
    const step = selectedSheet.value
    if (!step) return
    const twin = holdsTwin.value ? step.twin.own : null
    const now = structuredClone(toRaw(twin ?? placementOf(step))) as {
      at: [number, number]
      tilt: number
      side: 'A' | 'B'
      grip: [number, number]
    }
    // What is moved by hand is held at its middle from now on.
    if (now.grip[0] !== 0 || now.grip[1] !== 0)
      now.at = [...layOn(ground.value.surface, now).point([0, 0])].map(round) as [number, number]
    now.grip = [0, 0]
    const pivot = printedMiddle(step, world.value)
    const there = liesAt(pivot, now, ground.value)
    const before = { ...now, at: [...now.at] }
    recipe(now)
    // What is turned or flipped stays where it prints, unless it was moved as well.
    const turned = now.tilt !== before.tilt || now.side !== before.side
    const still = now.at[0] === before.at[0] && now.at[1] === before.at[1]
    if (turned && still && (pivot[0] || pivot[1])) now.at = atSoThat(pivot, there, now, ground.value)
    const problem = placementProblem(drawer.shapes.get(step.stencil), now, world.value)
    if (problem) return void toast.error(problem)
    const { register } = step
    editSheet(
      label,
      s => {
        if (twin) s.twin.own = now
        else Object.assign(s, now, { register: null })
      },
      merge === null ? null : `${merge}-${twin ? 'twin' : 'own'}`,
    )
    if (register && !twin) toast('No longer held in register; undo brings it back.')
  }

  const nudge = (dx: number, dy: number) =>
    place(
      'move',
      s => {
        s.at = [round(s.at[0] + dx), round(s.at[1] + dy)]
      },
      'move',
    )
  const turn = (by: number) =>
    place(
      'turn',
      s => {
        s.tilt = round(wrapDegrees(s.tilt + by))
      },
      'turn',
    )
  const flip = () =>
    place('flip over', s => {
      s.side = s.side === 'A' ? 'B' : 'A'
    })
  /** The rule that places the twin; a twin of its own place goes back to it. */
  function setTwin(rule: TwinRule): void {
    const step = selected.value
    if (!step) return
    if (rule === 'turn' && ground.value.face)
      return void toast.error('Half a turn is for arms: on a face the other side is a mirror image.')
    const about = rule === 'turn' ? halfTurnAbout(plain(step), look.value!.steps, world.value) : null
    editTwin(rule, about)
  }
  const editTwin = (rule: TwinRule, about: [number, number] | null) =>
    editStep('twin', s => {
      holdsTwin.value = false
      if ((s.kind === 'wash' && !s.points.length) || s.kind === 'lips' || (s.kind === 'sheet' && s.register))
        return
      s.twin = { ...NO_TWIN, rule, about }
    })
  const twin = () => setTwin(selected.value?.twin.rule === 'none' ? settings.twinRule(ground.value) : 'none')
  /** Lets the twin go its own way from where it lies, or links it to its rule again. */
  function linkTwin(linked: boolean): void {
    const step = selectedSheet.value
    const exact = step && exactTwin(step, world.value)
    if (!step || !exact || step.register) return
    editSheet(linked ? 'link the twin' : 'unlink the twin', s => {
      s.twin.own = linked
        ? null
        : {
            at: [round(exact.at[0]), round(exact.at[1])],
            tilt: round(exact.tilt),
            side: exact.side,
            grip: [...(exact.grip ?? [0, 0])] as [number, number],
          }
    })
    holdsTwin.value = !linked
  }
  /** Registers the selected sheet on another step's; a sentence says when they do not go together. */
  function register(on: string | null, way: RegisterWay): void {
    const step = selectedSheet.value
    const host = look.value?.steps.find((s): s is SheetStep => s.id === on && s.kind === 'sheet')
    if (!step) return
    if (!host)
      return editSheet('let go of the register', s => {
        s.register = null
      })
    const a = drawer.shapes.get(host.stencil)
    const b = drawer.shapes.get(step.stencil)
    const hint = relationOf(placementOf(host), { ...placementOf(step), side: host.side })
    if (!a || !b || !hint) return
    const fit = registerFit(a, b, way, hint)
    if (typeof fit === 'string') return void toast.error(fit)
    editSheet('register', s => {
      s.register = { on: host.id, way, turn: fit.turn, shift: [fit.shift[0], fit.shift[1]] }
    })
  }
  /** Puts the look on another canvas as it stands, or says why that cannot be. */
  function setCanvas(label: string, recipe: (look: Look) => void): boolean {
    try {
      const next = structuredClone(toRaw(look.value!))
      recipe(next)
      groundFor(next)
    } catch (error) {
      if (!(error instanceof RangeError)) throw error
      toast.error(error.message)
      return false
    }
    return edit(label, recipe)
  }
  const dab = (by: number) =>
    editStep(
      'dabs',
      s => {
        const dabbed = s.kind === 'sheet' ? s.passes.at(-1)! : s.kind === 'wash' ? s : null
        if (dabbed) dabbed.dabs = Math.min(12, Math.max(1, dabbed.dabs + by))
      },
      'dabs',
    )
  /** Lets the pass that is being chosen for dab just these openings. */
  function chooseOnly(numbers: readonly number[]): void {
    const i = choosing.value
    const sheet = selectedSheet.value && drawer.shapes.get(selectedSheet.value.stencil)
    if (i === null || !sheet) return
    editSheet(
      'choose openings',
      s => {
        s.passes[i]!.openings =
          numbers.length === sheet.openings.length ? { use: 'all' } : { use: 'chosen', numbers: [...numbers] }
      },
      'choose',
    )
  }
  /** Turns all that is selected so that each points at the focal point. */
  function aim(): void {
    if (chosen.value.length === 1 && selectedSheet.value) {
      const step = selectedSheet.value
      return place('aim', s => {
        const there = liesAt(printedMiddle(step, world.value), s, ground.value)
        s.tilt = round(
          aimedTilt(
            s.side,
            drawer.find(step.stencil)?.heading ?? 0,
            bearingOn(ground.value, there, look.value!.focus),
          ),
        )
      })
    }
    const ids = new Set(chosen.value.map(s => s.id))
    const { focus } = look.value!
    edit(ids.size > 1 ? `aim ${ids.size} steps` : 'aim', draft =>
      draft.steps.forEach(s => {
        if (ids.has(s.id)) kindOf<Step>(s as Step).moves.aim(s as Step, world.value, focus)
      }),
    )
  }

  /** Settles a conflict: this page's version, or the newer one (this page's is then saved as a look of its own). */
  async function settle(choice: 'mine' | 'theirs'): Promise<void> {
    if (choice === 'mine') return saver.value!.keepMine()
    const mine = look.value!
    await $fetch('/api/looks', {
      method: 'POST',
      body: { ...mine, id: nanoid(12), name: `${mine.name.slice(0, 66)} (my version)` },
    })
    const theirs = saver.value!.keepTheirs()
    if (theirs) {
      begin(theirs.look)
      await drawer.ensure(sheetsOf(theirs.look))
    }
  }

  return {
    look,
    saver,
    selectedId,
    alsoIds,
    alsoSelect,
    selectAll,
    chosen,
    selected,
    selectedMark,
    selectedSheet,
    holdsTwin,
    spot,
    choosing,
    world,
    ground,
    seating,
    shows,
    findings,
    checking,
    outcomes,
    waits,
    amounts,
    painted,
    applyFix,
    seconds,
    loaded,
    undoWords,
    redoWords,
    open,
    close,
    edit,
    editStep,
    editSheet,
    editMark,
    add,
    undo,
    redo,
    addWash,
    addSheet,
    remove,
    duplicate,
    move,
    place,
    nudge,
    middleSpot,
    lastPaint,
    turn,
    flip,
    twin,
    setTwin,
    linkTwin,
    register,
    setCanvas,
    dab,
    aim,
    chooseOnly,
    settle,
    kindOf,
    round,
  }
})
