import { describe, expect, it } from 'vitest'
import { looks } from '../../../demo/looks'
import {
  addFocus,
  aimSteps,
  applied,
  cascade,
  dabMore,
  drawOutline,
  fewerHandles,
  flipSteps,
  fourFold,
  freeTwin,
  freshGuide,
  freshLook,
  groundFor,
  groupSteps,
  isMark,
  kindOf,
  KINDS,
  leaveOut,
  likeThat,
  moreHandles,
  moveHandle,
  ofKind,
  pasteSteps,
  placeSheet,
  plannedOrder,
  Refused,
  removeSteps,
  setTwin,
  shiftSteps,
  swapPaint,
  turned,
  turnedCopy,
  turnSteps,
  twinAll,
  twinByEye,
  withSteps,
  type Command,
  type Look,
  type World,
} from '#core/look'
import { ground, paint, sheets } from '../world'
import { History } from '../../../app/stores/history'

/** Ids for what commands add, the same for each run. */
const counting = () => {
  let n = 0
  return () => `new-${++n}`
}

/** Every command that changes steps, for one of them and for all together. */
function commandsFor(look: Look, world: World, newId: () => string): [string, Command][] {
  const all = new Set(look.steps.map(s => s.id))
  const each = look.steps.flatMap((step): [string, Command][] => {
    const ids = new Set([step.id])
    const said = (name: string, command: Command): [string, Command] => [`${name} ${step.kind}`, command]
    return [
      said('turned 180', turnedCopy(ids, 180, world, newId)),
      said('four-fold', fourFold(ids, world, newId)),
      said('flip', flipSteps(ids, look.focus, world)),
      said('turn', turnSteps(ids, 15, world)),
      said('aim', aimSteps(ids, world)),
      said('twin', setTwin(step, 'midline', look.focus, world)),
      said('half turn', setTwin(step, 'turn', look.focus, world)),
      said('dabs', dabMore(step.id, 1)),
      said('paste', pasteSteps([step], newId)),
      said('delete', removeSteps(ids)),
      ...(isMark(step)
        ? [
            said('free twin', freeTwin(step, newId(), world)),
            said('more handles', moreHandles(step.id, world.ground)),
            said('fewer handles', fewerHandles(step.id, world.ground)),
            ...(step.points.length
              ? [said('move a handle', moveHandle(step.id, 0, [2, 3], world.ground))]
              : []),
          ]
        : []),
    ]
  })
  const [sheet] = ofKind('sheet', look.steps)
  const [line] = ofKind('line', look.steps)
  const [wash] = ofKind('wash', look.steps)
  return [
    ...each,
    ['turned 90', turnedCopy(all, 90, world, newId)],
    ['all four-fold', fourFold(all, world, newId)],
    ['all twinned', twinAll(all, 'midline', world)],
    ['all shifted', shiftSteps(all, 1, 2, world.ground)],
    ['all grouped', groupSteps(all, newId(), 'all')],
    ['cascade', cascade(look.steps, world)],
    ['order', plannedOrder([...all].reverse())],
    ['leave out', leaveOut([...all], newId(), 'less')],
    ['another focus', addFocus([5, 5])],
    ['other paint', swapPaint('soot', paint('gull'))],
    ...(sheet
      ? ([
          ['sheet turned', placeSheet(sheet, false, turned(10), world)],
          ['twin by eye', twinByEye(sheet, world)],
        ] as [string, Command][])
      : []),
    ...(line ? ([['make alike', likeThat(line, line, world)]] as [string, Command][]) : []),
    ...(wash ? ([['draw its outline', drawOutline(wash.id, world.ground)]] as [string, Command][]) : []),
  ]
}

describe('commands on the look as it is edited, which is a draft and no plain data', () => {
  const kinds = new Set<string>()
  // No look of the demo is marked out first.
  const marked: Look = {
    ...freshLook('marked', 'Marked'),
    steps: [freshGuide('g', 'line', [0, 0], ground), freshGuide('h', 'dots', [30, 20], ground)],
  }
  it.each([...looks, marked].map(look => [look.name, look] as const))(
    '%s: each does or is refused',
    (_, look) => {
      const world = withSteps(
        { ground: groundFor(look), stencil: sheets.get, paint: () => undefined },
        look.steps,
      )
      const onDraft = commandsFor(look, world, counting())
      const onCopy = commandsFor(look, world, counting())
      onDraft.forEach(([name, command], n) => {
        let expected: Look | string
        try {
          expected = applied(look, onCopy[n]![1])
        } catch (error) {
          if (!(error instanceof Refused)) throw error
          expected = error.message
        }
        const history = new History(look)
        let said: Look | string
        try {
          history.edit(name, command)
          said = history.present
        } catch (error) {
          if (!(error instanceof Refused)) throw new Error(`${name}: ${String(error)}`, { cause: error })
          said = error.message
        }
        expect(said, name).toEqual(expected)
      })
      look.steps.forEach(s => kinds.add(kindOf(s).kind))
    },
  )
  it('are tried on every kind of step', () => {
    expect([...kinds].sort()).toEqual(Object.keys(KINDS).sort())
  })
})
