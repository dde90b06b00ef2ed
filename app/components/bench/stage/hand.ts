import { nextTick, shallowRef, type Ref } from 'vue'
import { degrees, wrapDegrees, type Point } from '#core/geometry'
import {
  atSoThat,
  isMark,
  isOutline,
  liesAt,
  movedHandles,
  placementOf,
  placementsOf,
  printedMiddle,
  type MarkStep,
  type SheetStep,
} from '#core/look'
import { layOn, onSkin, type Placement } from '#core/skin'
import { useBench } from '~/stores/bench'
import { useBrushwork } from '~/stores/brushwork'
import { useChoice } from '~/stores/choice'
import { useSettings } from '~/stores/settings'
import { stepAt } from './hit'
import { gapAt, handleAt } from './marks'
import { handlesOf, openingAt, openingsIn } from './selection'
import { toPicture, toScreen, toSkin, type View } from './view'

/** What the hand does at the moment; the print follows when it lets go. */
type Grip =
  | { kind: 'move'; from: Point; start: Placement; along: Point }
  | { kind: 'turn'; start: Placement; about: Point; pivot: Point; from: number }
  | { kind: 'pan'; from: Point; view: View }
  | { kind: 'mark'; id: string; from: Point; start: Point }
  | { kind: 'choose'; into: boolean; over: Set<number> }
  | { kind: 'loop'; into: boolean; points: Point[] }
  | { kind: 'pick' }
  | { kind: 'rest' }
  | { kind: 'handle'; step: MarkStep; n: number }
  | { kind: 'carry'; from: Point; steps: MarkStep[]; along: Point }
  | { kind: 'focus'; at: Point }

/** A hand that has come down has not moved within this, px. */
const TREMBLE = 3

/** How long the hand must rest in one place to pick the spot there, ms. */
const LONG_MS = 550

const near = (a: Point, b: Point): boolean => Math.hypot(a[0] - b[0], a[1] - b[1]) < 13

/** The hand on the stage: what a press takes hold of, what is shown while it moves, and what comes of it when it lets go. */
export interface HandOn {
  holder: Readonly<Ref<HTMLElement | null>>
  view: Ref<View>
  whole: Readonly<Ref<View>>
  fitting: Readonly<Ref<boolean>>
  picking: Ref<boolean>
}
export function useHand({ holder, view, whole, fitting, picking }: HandOn) {
  const bench = useBench()
  const brush = useBrushwork()
  const choice = useChoice()
  const settings = useSettings()
  /** Where and when the hand came down: pressed long in one place it picks the spot there. */
  let down: Point = [0, 0],
    moved = false,
    long: ReturnType<typeof setTimeout> | undefined
  let grip: Grip | null = null
  const preview = shallowRef<SheetStep | null>(null)
  const shaped = shallowRef<readonly MarkStep[] | null>(null)
  const focusAt = shallowRef<Point | null>(null)
  const loop = shallowRef<readonly Point[] | null>(null)
  const mark = shallowRef<{ id: string; at: Point } | null>(null)

  const at = (event: { clientX: number; clientY: number }): Point => {
    const box = holder.value!.getBoundingClientRect()
    return [event.clientX - box.left, event.clientY - box.top]
  }

  /** The placement that the hand has of the selected step, held at its middle. */
  function heldPlacement(step: SheetStep): Placement {
    const own = (bench.holdsTwin ? step.twin.own : null) ?? placementOf(step)
    return { at: layOn(bench.ground.surface, own).point([0, 0]), tilt: own.tilt, side: own.side }
  }

  function handlesNow() {
    const step = bench.selectedSheet
    const sheet = step && bench.world.stencil(step.stencil)
    const held = step && placementsOf(step, bench.world)[bench.holdsTwin ? 1 : 0]
    return held && sheet ? handlesOf(held, bench.world, sheet, view.value) : null
  }

  function press(event: PointerEvent): void {
    if (!bench.look || event.button !== 0) return
    const point = at(event)
    const chosen = bench.selectedSheet
    holder.value!.setPointerCapture(event.pointerId)
    down = point
    moved = false
    clearTimeout(long)
    if (fitting.value) return pressMark(point)
    if (choice.now) return pressChoice(point, event)
    if (picking.value) {
      grip = { kind: 'pick' }
      return
    }
    long = setTimeout(() => {
      if (!grip || preview.value || shaped.value) return
      letGo()
      pickAt(point)
    }, LONG_MS)
    const handles = handlesNow()
    if (handles && near(point, handles.flip)) return bench.flip()
    if (handles && chosen && near(point, handles.turn)) {
      const start = heldPlacement(chosen)
      const about = printedMiddle(chosen, bench.world)
      const pivot = liesAt(about, start, bench.ground)
      grip = { kind: 'turn', start, about, pivot, from: angleAbout(pivot, point) - start.tilt }
      return
    }
    const own = bench.chosen.length === 1 ? bench.selectedMark : null
    const n = own && handleAt(own, view.value, point)
    if (own && n !== null && event.altKey && isOutline(own)) return brush.dropHandle(n)
    if (own && n !== null) {
      grip = { kind: 'handle', step: own, n }
      return
    }
    const gap = own && gapAt(own, view.value, point)
    const between = gap !== null && toSkin(view.value, point)
    if (own && gap !== null && between) {
      brush.insertHandle(gap, between)
      grip = { kind: 'handle', step: bench.selectedMark!, n: gap + 1 }
      return
    }
    if (settings.guides && near(point, toScreen(view.value, bench.look.focus)) && !event.shiftKey) {
      grip = { kind: 'focus', at: bench.look.focus }
      return
    }
    const skin = toSkin(view.value, point)
    const found = skin && stepAt(bench.look.steps, chosen, bench.chosen, bench.world, skin)
    if (found && (event.shiftKey || event.ctrlKey)) return bench.alsoSelect(found.step.id)
    if (skin && found && found.step.kind !== 'sheet') {
      if (!bench.chosen.some(s => s.id === found.step.id)) bench.selectedId = found.step.id
      bench.spot = null
      const held = bench.chosen.filter(isMark).filter(s => s.points.length)
      const along: Point = found.twin ? [-1, found.step.twin.rule === 'turn' ? -1 : 1] : [1, 1]
      // What follows something else has nothing to be carried by, but the hand is down all the same.
      grip = held.length ? { kind: 'carry', from: skin, steps: held, along } : { kind: 'rest' }
      return
    }
    const hit = found && found.step.kind === 'sheet' ? { step: found.step, twin: found.twin } : null
    if (skin && hit) {
      bench.selectedId = hit.step.id
      bench.spot = null
      void nextTick(() => {
        bench.holdsTwin = hit.twin && hit.step.twin.own !== null
      })
      // A linked twin pulls its original along as in a mirror.
      const linked = hit.twin && hit.step.twin.own === null
      const along: Point = !linked ? [1, 1] : hit.step.twin.rule === 'turn' ? [-1, -1] : [-1, 1]
      const own = (hit.twin && hit.step.twin.own) || placementOf(hit.step)
      grip = {
        kind: 'move',
        from: skin,
        start: { at: layOn(bench.ground.surface, own).point([0, 0]), tilt: own.tilt, side: own.side },
        along,
      }
      return
    }
    grip = { kind: 'pan', from: point, view: view.value }
  }

  /** How far from an opening a press still counts, mm: a fingertip's worth of the screen. */
  const reach = () => 9 / view.value.k
  /** While openings are chosen: a press on one takes it in or out, and all that is dragged over likewise; one beside them all begins a loop. */
  function pressChoice(point: Point, event: PointerEvent): void {
    const skin = toSkin(view.value, point)
    const { step, chosen, may } = choice.now!
    const n = skin && openingAt(step, bench.world, skin, reach())
    if (n !== null && may.has(n)) {
      grip = { kind: 'choose', into: !chosen.has(n), over: new Set([n]) }
      choice.take([n], grip.into)
    } else if (skin) grip = { kind: 'loop', into: !event.altKey, points: [skin] }
  }

  /** The direction of a point of the stage from one of the skin, degrees clockwise from up. */
  const angleAbout = (pivot: Point, [x, y]: Point): number => {
    const [mx, my] = toScreen(view.value, pivot)
    return degrees(Math.atan2(x - mx, my - y))
  }

  function pressMark(point: Point): void {
    const hit = bench.ground.marks.find(m => near(point, toScreen(view.value, m.at)))
    grip = hit
      ? { kind: 'mark', id: hit.id, from: toPicture(view.value, point), start: hit.at }
      : { kind: 'pan', from: point, view: view.value }
    if (hit) mark.value = { id: hit.id, at: hit.at }
  }

  function drag(event: PointerEvent): void {
    if (!grip) return
    const point = at(event)
    const skin = toSkin(view.value, point)
    const chosen = bench.selectedSheet
    // A hand that rests trembles, and browsers tell of moves where there were none.
    if (!moved && Math.hypot(point[0] - down[0], point[1] - down[1]) < TREMBLE) return
    moved = true
    clearTimeout(long)
    if (grip.kind === 'choose' && skin && choice.now) {
      const n = openingAt(choice.now.step, bench.world, skin, reach() / 2)
      if (n === null || grip.over.has(n)) return
      grip.over.add(n)
      choice.take([n], grip.into)
    } else if (grip.kind === 'loop' && skin) {
      grip.points.push(skin)
      loop.value = [...grip.points]
    } else if (grip.kind === 'pan') {
      if (view.value.k > whole.value.k)
        view.value = {
          ...grip.view,
          ox: grip.view.ox + point[0] - grip.from[0],
          oy: grip.view.oy + point[1] - grip.from[1],
        }
    } else if (grip.kind === 'mark') {
      const [x, y] = toPicture(view.value, point)
      mark.value = { id: grip.id, at: [grip.start[0] + x - grip.from[0], grip.start[1] + y - grip.from[1]] }
    } else if (grip.kind === 'focus' && skin) {
      grip = { kind: 'focus', at: skin }
      focusAt.value = skin
    } else if (grip.kind === 'handle' && skin) {
      const { step, n } = grip
      const points = step.points.map((p, i): [number, number] =>
        i === n
          ? [bench.round(Math.abs(skin[0]) < 0.8 && !event.altKey ? 0 : skin[0]), bench.round(skin[1])]
          : [p[0], p[1]],
      )
      shaped.value = [{ ...step, points }]
    } else if (grip.kind === 'carry' && skin) {
      const { from, along, steps } = grip
      const dx = along[0] * (skin[0] - from[0])
      const dy = along[1] * (skin[1] - from[1])
      if (Math.hypot(dx, dy) > 0.4)
        shaped.value = steps.map(s => ({
          ...s,
          points: movedHandles(s.points, ([x, y]) => [x + dx, y + dy]),
        }))
    } else if (chosen && grip.kind === 'move' && skin) {
      const x = bench.round(grip.start.at[0] + grip.along[0] * (skin[0] - grip.from[0]))
      const y = bench.round(grip.start.at[1] + grip.along[1] * (skin[1] - grip.from[1]))
      // A sheet pulled close to the midline snaps onto it, unless Alt is held.
      show(chosen, { ...grip.start, at: [Math.abs(x) < 1.2 && !event.altKey ? 0 : x, y] })
    } else if (chosen && grip.kind === 'turn') {
      const angle = angleAbout(grip.pivot, point) - grip.from
      const tilt = wrapDegrees(event.shiftKey ? Math.round(angle / 15) * 15 : Math.round(angle))
      const { side } = grip.start
      show(chosen, {
        ...grip.start,
        tilt,
        at:
          grip.about[0] || grip.about[1]
            ? atSoThat(grip.about, grip.pivot, { tilt, side }, bench.ground)
            : grip.start.at,
      })
    }
  }

  function show(step: SheetStep, { at: [x, y], tilt, side }: Placement): void {
    const place = { at: [x, y] as [number, number], tilt, side, grip: [0, 0] as [number, number] }
    preview.value =
      bench.holdsTwin && step.twin.own
        ? { ...step, twin: { ...step.twin, own: place } }
        : { ...step, ...place }
  }

  function release(event: PointerEvent): void {
    if (!grip) return
    const step = preview.value
    const done = grip
    const put = mark.value
    const forms = shaped.value
    grip = null
    shaped.value = null
    focusAt.value = null
    loop.value = null
    clearTimeout(long)
    if (done.kind === 'choose') return
    if (done.kind === 'loop') {
      if (choice.now && done.points.length > 3)
        choice.take(openingsIn(choice.now.step, bench.world, done.points), done.into)
      return
    }
    const tapped = !moved
    if (done.kind === 'pick' || (tapped && event.altKey && done.kind !== 'handle')) {
      picking.value = false
      return pickAt(at(event))
    }
    if (done.kind === 'focus' && done.at !== bench.look!.focus) return brush.moveFocus(done.at)
    if (done.kind === 'handle' && forms) return brush.moveHandle(done.n, forms[0]!.points[done.n]!)
    // A tap on the base that is held picks the spot for the next sheet, as one beside it does.
    if (done.kind === 'carry' && !forms && done.steps[0]!.kind === 'wash') return pick(event)
    if (done.kind === 'carry' && forms) {
      const [a] = forms[0]!.points
      const [b] = done.steps[0]!.points
      return brush.shift(a![0] - b![0], a![1] - b![1])
    }
    preview.value = null
    mark.value = null
    if (done.kind === 'mark' && put) moveMark(done.id, put.at[0] - done.start[0], put.at[1] - done.start[1])
    else if (step) {
      const to = bench.holdsTwin && step.twin.own ? step.twin.own : step
      bench.place(done.kind === 'turn' ? 'turn' : 'move', s => {
        s.at = [to.at[0], to.at[1]]
        s.tilt = to.tilt
      })
    } else if (done.kind === 'pan' && near(done.from, at(event)) && !fitting.value) pick(event)
  }

  /** A tap on bare skin picks the spot for the next sheet; one beside the head lets go of everything. */
  const pick = (event: PointerEvent): void => pickAt(at(event))
  function pickAt(point: Point): void {
    const skin = toSkin(view.value, point)
    bench.selectedId = null
    bench.spot = skin && onSkin(bench.ground, skin) ? [bench.round(skin[0]), bench.round(skin[1])] : null
  }

  /** Moves a landmark by some mm from where it is; one that would cross another stays where it was. */
  function moveMark(id: string, dx: number, dy: number): void {
    if (Math.hypot(dx, dy) < 0.3) return
    bench.setCanvas('move a landmark', look => {
      if (look.canvas.kind !== 'face') return
      const was = look.canvas.nudges[id] ?? [0, 0]
      look.canvas.nudges[id] = [bench.round(was[0] + dx), bench.round(was[1] + dy)]
    })
  }

  /** The hand lets go and nothing comes of it. */
  function letGo(): void {
    clearTimeout(long)
    loop.value = null
    grip = null
    preview.value = null
    mark.value = null
    shaped.value = null
    focusAt.value = null
  }
  return { at, handlesNow, preview, shaped, focusAt, mark, loop, press, drag, release, letGo }
}
