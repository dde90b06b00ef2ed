import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { SheetStep } from '#core/look'
import { KEYS, keyNow, pressKey, withOwnKey, type OwnKeys } from '../../../app/components/bench/keys'

const selection = {
  id: 'a' as string | null,
  sheet: {} as SheetStep | null,
  byHandles: false,
  takeAll: vi.fn(),
  takeGroup: vi.fn(),
  letGo: vi.fn(),
}
const placing = { nudge: vi.fn(), turn: vi.fn(), flip: vi.fn(), aim: vi.fn() }
const shaping = { shift: vi.fn(), turn: vi.fn(), flip: vi.fn(), dab: vi.fn() }
const session = { undo: vi.fn(), redo: vi.fn() }
const steps = { remove: vi.fn(), duplicate: vi.fn() }
const clipboard = { copy: vi.fn(), paste: vi.fn() }
let letters = true
let own: OwnKeys = {}
const twins = { toggle: vi.fn() }
const actions = { play: vi.fn(), help: vi.fn(), nine: vi.fn() }
const press = (key: string, mods: Partial<KeyboardEvent> = {}) =>
  pressKey(
    { key, shiftKey: false, ctrlKey: false, metaKey: false, altKey: false, ...mods } as KeyboardEvent,
    {
      selection,
      placing,
      shaping,
      session,
      steps,
      clipboard,
      twins,
      letters: () => letters,
      own: () => own,
      ...actions,
    },
  )

beforeEach(() => {
  vi.clearAllMocks()
  own = {}
  Object.assign(selection, { sheet: {}, id: 'a', byHandles: false })
})

describe("the bench's keys", () => {
  it.each([
    ['ArrowLeft', false, [-1, 0]],
    ['ArrowRight', false, [1, 0]],
    ['ArrowUp', false, [0, -1]],
    ['ArrowDown', true, [0, 5]],
  ] as const)('%s (shift %s) moves by %j mm', (key, shiftKey, by) => {
    expect(press(key, { shiftKey })).toBe(true)
    expect(placing.nudge).toHaveBeenCalledWith(...by)
  })

  it.each([
    ['[', false, -1],
    [']', false, 1],
    ['[', true, -15],
    [']', true, 15],
    ['{', true, -15],
    ['}', true, 15],
  ] as const)('%s (shift %s) turns by %d degrees', (key, shiftKey, by) => {
    press(key, { shiftKey })
    expect(placing.turn).toHaveBeenCalledWith(by)
  })

  it.each([
    ['t', twins.toggle],
    ['T', twins.toggle],
    ['f', placing.flip],
    ['a', placing.aim],
    ['Delete', steps.remove],
    ['Backspace', steps.remove],
  ] as const)('%s does its own', (key, done) => {
    expect(press(key)).toBe(true)
    expect(done).toHaveBeenCalledTimes(1)
  })

  it('moves, turns and flips brushwork, and several steps, by their handles', () => {
    selection.byHandles = true
    press('ArrowDown', { shiftKey: true })
    press(']')
    press('f')
    press('g')
    expect(shaping.shift).toHaveBeenCalledWith(0, 5)
    expect(shaping.turn).toHaveBeenCalledWith(1)
    expect(shaping.flip).toHaveBeenCalledTimes(1)
    expect(selection.takeGroup).toHaveBeenCalledTimes(1)
    expect(placing.nudge).not.toHaveBeenCalled()
  })

  it('dabs once more, or with Shift once less', () => {
    press('d')
    press('D', { shiftKey: true })
    expect(shaping.dab.mock.calls).toEqual([[1], [-1]])
  })

  it('undoes and redoes', () => {
    press('z', { ctrlKey: true })
    press('z', { metaKey: true, shiftKey: true })
    press('y', { ctrlKey: true })
    expect([session.undo.mock.calls.length, session.redo.mock.calls.length]).toEqual([1, 2])
  })

  it('plays, shows its keys, and lets go', () => {
    press('p')
    press('?')
    press('Escape')
    expect(actions.play).toHaveBeenCalledTimes(1)
    expect(actions.help).toHaveBeenCalledTimes(1)
    expect(selection.letGo).toHaveBeenCalledTimes(1)
  })

  it('leaves other keys, and those of the browser, alone', () => {
    expect(press('q')).toBe(false)
    expect(press('s', { ctrlKey: true })).toBe(false)
    expect(press('ArrowLeft', { altKey: true })).toBe(false)
    selection.sheet = null
    expect(press('ArrowLeft')).toBe(false)
    for (const room of [placing, shaping, session, steps, twins])
      for (const act of Object.values(room)) expect(act).not.toHaveBeenCalled()
  })

  it('copies, pastes and doubles steps', () => {
    vi.stubGlobal('getSelection', () => '')
    for (const key of ['c', 'v', 'd']) expect(press(key, { ctrlKey: true })).toBe(true)
    for (const act of [clipboard.copy, clipboard.paste, steps.duplicate]) expect(act).toHaveBeenCalledTimes(1)
    vi.stubGlobal('getSelection', () => 'words that are marked')
    expect(press('c', { ctrlKey: true })).toBe(false)
  })

  it('does nothing for single letters when they are switched off, but for all else', () => {
    letters = false
    expect(press('t')).toBe(false)
    expect(press('[')).toBe(false)
    expect(press('Delete')).toBe(true)
    expect(press('ArrowLeft')).toBe(true)
    expect(press('?')).toBe(true)
    letters = true
    expect(twins.toggle).not.toHaveBeenCalled()
  })

  it("takes a letter of the painter's own instead of the usual one, which then does nothing", () => {
    own = withOwnKey({}, 'T', 'y') as OwnKeys
    expect(press('y')).toBe(true)
    expect(press('Y', { shiftKey: true })).toBe(true)
    expect(press('t')).toBe(false)
    expect(twins.toggle).toHaveBeenCalledTimes(2)
    expect([keyNow('T', own), keyNow('F', own)]).toEqual(['Y', 'F'])
  })

  it('lets two actions change letters, one after the other', () => {
    own = withOwnKey({}, 'T', 'q') as OwnKeys
    own = withOwnKey(own, 'F', 't') as OwnKeys
    own = withOwnKey(own, 'T', 'f') as OwnKeys
    press('f')
    expect(twins.toggle).toHaveBeenCalledTimes(1)
    press('t')
    expect(placing.flip).toHaveBeenCalledTimes(1)
  })

  it('refuses a letter that is taken and a key that is none, and gives the usual one back', () => {
    expect(withOwnKey({}, 'T', 'f')).toBe('F is taken: flip the stencil or stroke over.')
    expect(withOwnKey({ f: 'x' }, 'T', 'x')).toMatch(/^X is taken/)
    expect(withOwnKey({}, 'T', '[')).toMatch(/Only a letter/)
    expect(withOwnKey({}, 'T', 'F5')).toMatch(/Only a letter/)
    expect(withOwnKey({ t: 'y', f: 'x' }, 'T', 't')).toEqual({ f: 'x' })
  })

  it('are all told on the list of keys', () => {
    const told = KEYS.map(k => k.keys).join(' ')
    for (const key of ['T', 'F', '[', ']', 'A', 'D', 'P', '?', 'Delete', 'Esc', 'Ctrl Z', 'Enter'])
      expect(told).toContain(key)
  })
})
