import { nanoid } from 'nanoid'
import { defineStore } from 'pinia'
import { toast } from 'vue-sonner'
import { distance, type Point } from '#core/geometry'
import {
  anchorOf,
  AT_FOCUS,
  axisAfter,
  between,
  dotsOf,
  fillOf,
  flipTogether,
  freshAround,
  freshDots,
  freshGem,
  freshGlitter,
  freshLine,
  freshLips,
  handlesAround,
  isMark,
  isOutline,
  kindOf,
  leastMissed,
  liesOf,
  mostHandles,
  movedHandles,
  NO_TWIN,
  starterOf,
  turnedHandles,
  washRings,
  widestGap,
  type AroundId,
  type Fill,
  type GemStep,
  type GlitterStep,
  type MarkStep,
  type PaintRef,
  type Source,
  type StarterId,
  type Step,
  type Wash,
} from '#core/look'
import { EYE_CLEARANCE } from '#core/checks'
import { linearOf, luminance } from '#core/paint'
import { onSkin } from '#core/skin'
import type { DotRun, ShapeId } from '#core/stroke'
import type { Composition } from '~/workers/painter'

/** Brushwork, dots, gems and glitter on the bench: laying them, moving them by their handles, and how the whole flows. */
export const useBrushwork = defineStore('brushwork', () => {
  const bench = useBench()
  const kit = useKit()
  const settings = useSettings()
  const painter = usePainter()
  /** The colour of the next stroke; the last one used, else the darkest of the kit. */
  const paint = shallowRef<PaintRef | null>(null)
  const usable = computed(() => kit.singles.filter(p => p.finish === 'matte'))
  const byLight = computed(() =>
    [...usable.value].sort((a, b) => luminance(linearOf(a.colour)) - luminance(linearOf(b.colour))),
  )
  const colour = computed<PaintRef | null>(() =>
    paint.value && kit.find(paint.value.id)
      ? paint.value
      : byLight.value[0]
        ? kit.refOf(byLight.value[0])
        : null,
  )

  /** Where a new mark goes: the picked spot, else the middle of the canvas. */
  const spot = (): Point => bench.spot ?? bench.middleSpot()
  const focus = (): Point => bench.look!.focus
  /** A twin by the painter's usual rule for what lies off the midline. */
  function twinned<S extends MarkStep>(step: S): S {
    const at = step.points.length ? anchorOf(step.points) : [0, 0]
    return settings.twinNew && bench.ground.face && Math.abs(at[0]!) > 6
      ? { ...step, twin: { ...NO_TWIN, rule: settings.twinRule(bench.ground), own: null } }
      : step
  }
  /** What a line goes around: the selected step, else the last one that prints. */
  function source(): Source | null {
    const step =
      bench.selected && bench.selected.kind !== 'gem' && bench.selected.kind !== 'glitter'
        ? bench.selected
        : bench.look!.steps.findLast(s => s.kind === 'sheet' || s.kind === 'wash')
    return step ? { use: 'step', step: step.id, openings: null } : null
  }
  function need(): PaintRef | null {
    if (!colour.value) toast.error('The kit has no single colour yet: add one on the Kit page.')
    return colour.value
  }

  function addLine(shape: ShapeId): void {
    const ref = need()
    if (ref)
      bench.add(twinned(freshLine(nanoid(10), shape, spot(), ref, bench.ground, focus())), 'draw a stroke')
  }
  function addAround(shape: AroundId): void {
    const ref = need()
    const of = source()
    if (!of)
      return void toast.error('There is nothing to draw a line around yet: lay a base or a stencil first.')
    if (ref) bench.add(freshAround(nanoid(10), shape, of, ref), 'draw a line around')
  }
  function addDots(run: DotRun | 'around'): void {
    const ref = need()
    const of = run === 'around' ? source() : null
    if (run === 'around' && !of)
      return void toast.error('There is nothing to set dots around yet: lay a base or a stencil first.')
    if (ref)
      bench.add(twinned(freshDots(nanoid(10), run, spot(), of, ref, bench.ground, focus())), 'set dots')
  }
  const addGem = (cut: GemStep['cut']) => bench.add(twinned(freshGem(nanoid(10), spot(), cut)), 'set a gem')
  function addGlitter(area: GlitterStep['area']): void {
    const host = area === 'print' ? source() : null
    if (area === 'print' && host?.use !== 'step')
      return void toast.error('There is no print to strew glitter over yet: lay a base or a stencil first.')
    bench.add(
      twinned(freshGlitter(nanoid(10), area, spot(), host?.use === 'step' ? host.step : null, bench.ground)),
      'strew glitter',
    )
  }
  function addLips(): void {
    const ref = kit.singles.find(p => p.lipSafe) ?? kit.singles[0]
    if (!bench.ground.face) return void toast.error(`There are no lips on a ${bench.ground.words}.`)
    if (ref) bench.add(freshLips(nanoid(10), [kit.refOf(ref)]), 'paint the lips')
  }

  /** Lays an arrangement, in the colour in hand and what goes with it, as one step of undo. */
  function addStarter(which: StarterId): void {
    const starter = starterOf(which)
    const dark = byLight.value[0]
    const light = byLight.value.at(-1)
    const host = bench.selectedSheet ?? bench.look!.steps.findLast(s => s.kind === 'sheet') ?? null
    if (!dark || !light || !need()) return
    if (starter.on === 'sheet' && !host)
      return void toast.error('Lay a stencil first: this arrangement goes around one.')
    const accent = kit.find('lantern') ?? kit.singles.find(p => p.finish === 'metallic') ?? dark
    const body =
      colour.value!.id === dark.id
        ? (kit.find('mulberry') ?? kit.singles.find(p => p.id !== dark.id && p.id !== light.id) ?? dark)
        : kit.find(colour.value!.id)!
    const steps = starter.make({
      ground: bench.ground,
      focus: focus(),
      palette: {
        dark: kit.refOf(dark),
        light: kit.refOf(light),
        body: kit.refOf(body),
        accent: kit.refOf(accent),
      },
      id: () => nanoid(10),
      host: host as never,
    })
    if (!bench.edit(starter.words.toLowerCase(), draft => void draft.steps.push(...(steps as never[]))))
      return
    bench.selectedId = steps[0]!.id
    void nextTick(() => {
      bench.alsoIds = steps.slice(1).map(s => s.id)
    })
  }
  /** Selects all steps of the selected one's arrangement. */
  function takeGroup(): void {
    const group = bench.selected?.group
    if (group)
      bench.alsoIds = bench
        .look!.steps.filter(s => s.group === group && s.id !== bench.selectedId)
        .map(s => s.id)
  }

  /** Gives a step of a draft other handles; the colours of a base go along. */
  function put(step: MarkStep, points: [number, number][]): void {
    if (step.kind === 'wash') step.axis = axisAfter(step as Wash, { ...step, points }, bench.ground)
    step.points = points
  }
  /** Changes what is selected by its handles, all together; refused with a sentence when nothing of it would be left on the skin. */
  function reshape(
    label: string,
    map: (points: readonly Point[]) => [number, number][],
    merge: string | null = null,
  ): void {
    const marks = bench.chosen.filter(isMark).filter(s => s.points.length)
    const all = marks.flatMap(s => s.points as Point[])
    if (!all.length) return
    const moved = map(all)
    if (!moved.some(p => onSkin(bench.ground, p)))
      return void toast.error(`There is no skin there: keep some of it on the ${bench.ground.words}.`)
    bench.edit(
      label,
      draft => {
        let k = 0
        for (const { id, points } of marks)
          put(draft.steps.find(s => s.id === id) as MarkStep, moved.slice(k, (k += points.length)))
      },
      merge,
    )
  }
  const many = computed(() => bench.chosen.length > 1 || bench.selectedMark !== null)
  function shift(dx: number, dy: number): void {
    const sheets = bench.chosen.filter(s => s.kind === 'sheet')
    if (sheets.length)
      bench.edit(
        'move',
        draft =>
          draft.steps.forEach(s => {
            if (s.kind === 'sheet' && sheets.some(c => c.id === s.id))
              s.at = [bench.round(s.at[0] + dx), bench.round(s.at[1] + dy)]
          }),
        `shift-${bench.selectedId}`,
      )
    reshape('move', points => movedHandles(points, ([x, y]) => [x + dx, y + dy]), `shift-${bench.selectedId}`)
  }
  const turn = (by: number): void => {
    const gem = bench.selectedMark?.kind === 'gem' && bench.chosen.length === 1
    if (gem)
      return bench.editMark(
        'turn',
        s => {
          if (s.kind === 'gem') s.heading = bench.round(((s.heading + by + 540) % 360) - 180)
        },
        'turn',
      )
    reshape('turn', points => turnedHandles(points, bench.world, by), `turn-${bench.selectedId}`)
  }
  /** Turns over what is selected, sheets and brushwork together. */
  function flip(): void {
    const ids = new Set(bench.chosen.map(s => s.id))
    const world = bench.world
    const from = focus()
    bench.edit(ids.size > 1 ? `flip ${ids.size} steps over` : 'flip over', draft =>
      flipTogether(
        (draft.steps as Step[]).filter(s => ids.has(s.id)),
        world,
        from,
      ),
    )
  }
  function moveHandle(i: number, at: Point): void {
    const step = bench.selectedMark
    if (!step) return
    if (!onSkin(bench.ground, at) && !step.points.some((p, k) => k !== i && onSkin(bench.ground, p)))
      return void toast.error(`There is no skin there: keep some of it on the ${bench.ground.words}.`)
    bench.editMark('move a handle', s =>
      put(
        s,
        step.points.map((p, k): [number, number] =>
          k === i ? [bench.round(at[0]), bench.round(at[1])] : [p[0], p[1]],
        ),
      ),
    )
  }
  /** Adds a handle past the last one, or takes one out; on a closed outline in the middle of its widest gap, or where it is missed least. */
  function handles(add: boolean): void {
    const step = bench.selectedMark
    if (!step) return
    if (isOutline(step))
      return add ? insertHandle(widestGap(step.points)) : dropHandle(leastMissed(step.points))
    bench.editMark(add ? 'one more handle' : 'one handle less', s => {
      if (!add) return void s.points.pop()
      const [a, b] = [s.points.at(-2) ?? [s.points.at(-1)![0] - 8, s.points.at(-1)![1]], s.points.at(-1)!]
      s.points.push([bench.round(b[0] + (b[0] - a[0]!) * 0.7), bench.round(b[1] + (b[1] - a[1]!) * 0.7)])
    })
  }
  /** Puts a handle between one of a closed outline and the next, where told, else in the middle of the outline there. */
  function insertHandle(after: number, at: Point | null = null): void {
    const step = bench.selectedMark
    if (!step || step.points.length >= mostHandles(step)) return
    const [x, y] = at ?? between(step.points, after, step.kind === 'wash' && step.straight)
    bench.editMark('one more handle', s =>
      put(s, step.points.toSpliced(after + 1, 0, [bench.round(x), bench.round(y)]) as [number, number][]),
    )
  }
  function dropHandle(n: number): void {
    const step = bench.selectedMark
    if (step && step.points.length > 3)
      bench.editMark('one handle less', s => put(s, step.points.toSpliced(n, 1) as [number, number][]))
  }
  /** Lets the outline of a base over zones be drawn from there on. */
  function drawOutline(): void {
    bench.editMark('draw its outline', s => {
      if (s.kind !== 'wash') return
      const points = handlesAround(washRings(s, bench.ground))
      if (points.length >= 3) Object.assign(s, { zones: [], points, straight: false })
    })
  }

  /** Makes the twin of the selected step a step of its own, to be shaped by itself. */
  function freeTwin(): void {
    const step = bench.selectedMark
    const lie = step && liesOf(step, bench.ground)[1]
    if (!step || !lie) return
    const own = structuredClone(toRaw(step)) as MarkStep
    Object.assign(own, {
      id: nanoid(10),
      label: `${step.label.slice(0, 50)}, twin`,
      points: movedHandles(lie.points, p => p),
      twin: { ...NO_TWIN, own: null },
    })
    if (own.kind === 'wash') own.axis = axisAfter(step as Wash, own, bench.ground)
    if (own.kind === 'gem') own.heading = lie.mirror ? -own.heading : own.heading
    if (lie.mirror && own.kind === 'line') own.dark = own.dark === 'left' ? 'right' : 'left'
    bench.edit('free the twin', draft => {
      const at = draft.steps.findIndex(s => s.id === step.id)
      ;(draft.steps[at] as MarkStep).twin = { ...NO_TWIN, own: null }
      draft.steps.splice(at + 1, 0, own as never)
    })
  }

  /** The stencil step around whose openings the selected line goes, while they are chosen on the face. */
  const choosing = ref(false)
  watch(
    () => bench.selectedId,
    () => {
      choosing.value = false
    },
  )
  const host = computed(() => {
    const of = bench.selectedMark && 'of' in bench.selectedMark ? bench.selectedMark.of : null
    const step = of?.use === 'step' ? bench.look!.steps.find(s => s.id === of.step) : undefined
    return of?.use === 'step' && step?.kind === 'sheet' ? { step, openings: of.openings } : null
  })
  /** Outlines just these openings; none means all that is printed. */
  const chooseOnly = (numbers: readonly number[]) =>
    bench.editMark(
      'choose openings',
      s => {
        if ('of' in s && s.of?.use === 'step') s.of.openings = numbers.length ? [...numbers] : null
      },
      'choose',
    )

  /** Puts the gems of the selected step where painters put them. */
  function placeGems(where: 'midline' | 'eye corners' | 'dots'): void {
    const step = bench.selectedMark
    const { face } = bench.ground
    if (step?.kind !== 'gem') return
    if (where === 'midline')
      return bench.editMark('gem on the midline', s => {
        s.points = s.points.map(([, y]): [number, number] => [0, y])
        s.twin = { ...NO_TWIN, own: null }
      })
    if (where === 'eye corners' && face) {
      const [x, y] = face.landmarks.right.outerEye
      // Far enough out that it stays clear of the eye.
      return bench.editMark('gems at the eye corners', s => {
        s.points = [[bench.round(x + EYE_CLEARANCE + step.size / 2 + 0.5), bench.round(y)]]
        s.twin = { ...NO_TWIN, rule: 'features', own: null }
      })
    }
    const run = bench.look!.steps.findLast(s => s.kind === 'dots')
    if (run?.kind !== 'dots') return void toast.error('There are no dots yet to set gems on.')
    const largest = dotsOf(run, bench.world)[0]!
      .dots.toSorted((a, b) => b.size - a.size)
      .slice(0, 6)
    bench.editMark('gems on the dots', s => {
      s.points = movedHandles(
        largest.map(d => d.at),
        p => p,
      )
      s.twin = { ...NO_TWIN, rule: run.twin.rule, about: run.twin.about, own: null }
    })
  }

  const moveFocus = (at: Point) =>
    void bench.edit('move the focal point', draft => {
      draft.focus = [bench.round(at[0]), bench.round(at[1])]
    })
  const grow = (step: Step, by: number) => kindOf<Step>(step).moves.grow(step, bench.world, by)
  /** Lets the sizes of what is selected, or of all brushwork, fall from the farthest to the nearest of the focal point. */
  function cascade(): void {
    const list = (bench.chosen.length > 1 ? bench.chosen : bench.look!.steps)
      .flatMap(s => {
        const p = isMark(s) ? kindOf(s).pointers(s, bench.world)[0] : undefined
        return p && p.size > 0 && distance(p.at, focus()) > AT_FOCUS
          ? [{ id: s.id, size: p.size, far: distance(p.at, focus()) }]
          : []
      })
      .sort((a, b) => b.far - a.far)
    if (list.length < 2)
      return void toast.error(
        'Sizes can fall only among two strokes, runs of dots or gems, or more: sheets keep their size.',
      )
    const sizes = list.map(e => e.size).sort((a, b) => b - a)
    const most = sizes[0]!
    const least = Math.min(sizes.at(-1)!, most * 0.6)
    bench.edit('sizes fall', draft => {
      list.forEach((e, i) =>
        grow(
          draft.steps.find(s => s.id === e.id) as Step,
          Math.min(2.2, Math.max(0.45, (most + ((least - most) * i) / (list.length - 1)) / e.size)),
        ),
      )
    })
  }
  /** Turns every element that breaks the flow. */
  const breakers = computed(() => [
    ...new Set(
      composition.value?.flow.elements.filter(e => !e.twin && Math.abs(e.off) > 35).map(e => e.stepId) ?? [],
    ),
  ])
  function aimAll(): void {
    if (!breakers.value.length) return
    const ids = breakers.value
    bench.selectedId = ids[0]!
    void nextTick(() => {
      bench.alsoIds = ids.slice(1)
      bench.aim()
    })
  }

  /** How the look hangs together, while that is shown. */
  const composition = shallowRef<Composition | null>(null)
  const watching = ref(false)
  const showSpots = ref(false)
  const compose = newestOnly(async () => {
    if (bench.look && bench.loaded) composition.value = await painter.composition(bench.look)
  })
  watch([() => bench.look, () => bench.loaded, watching, showSpots], () => {
    if (watching.value || showSpots.value) compose()
  })

  /** Fills an empty patch, and tells how left and right weigh then. */
  function fill(how: Fill, at: Point, radius: number): void {
    const ref = need()
    if (ref)
      bench.add(
        fillOf(
          how,
          nanoid(10),
          at,
          radius,
          how === 'star' && byLight.value.length ? kit.refOf(byLight.value.at(-1)!) : ref,
          bench.ground,
          focus(),
        ),
        'fill a gap',
      )
  }
  return {
    paint,
    colour,
    many,
    addLine,
    addAround,
    addDots,
    addGem,
    addGlitter,
    addLips,
    addStarter,
    takeGroup,
    shift,
    turn,
    flip,
    moveHandle,
    handles,
    insertHandle,
    dropHandle,
    drawOutline,
    freeTwin,
    choosing,
    host,
    chooseOnly,
    placeGems,
    moveFocus,
    cascade,
    breakers,
    aimAll,
    composition,
    watching,
    showSpots,
    fill,
    source,
  }
})
