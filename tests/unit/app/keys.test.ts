import { beforeEach, describe, expect, it, vi } from 'vitest'
import { KEYS, pressKey } from '../../../app/components/bench/keys'

const names = ['nudge', 'turn', 'flip', 'twin', 'aim', 'dab', 'undo', 'redo', 'remove'] as const
const bench = {
  selectedSheet: {} as object | null,
  selectedId: 'a' as string | null,
  spot: [0, 0] as unknown,
  ...(Object.fromEntries(names.map(n => [n, vi.fn()])) as Record<
    (typeof names)[number],
    ReturnType<typeof vi.fn>
  >),
}
const brush = { many: false, shift: vi.fn(), turn: vi.fn(), flip: vi.fn(), takeGroup: vi.fn() }
const actions = { play: vi.fn(), help: vi.fn() }
const press = (key: string, mods: Partial<KeyboardEvent> = {}) =>
  pressKey(
    { key, shiftKey: false, ctrlKey: false, metaKey: false, altKey: false, ...mods } as KeyboardEvent,
    bench as never,
    brush as never,
    actions,
  )

beforeEach(() => {
  vi.clearAllMocks()
  brush.many = false
  Object.assign(bench, { selectedSheet: {}, selectedId: 'a', spot: [0, 0] })
})

describe("the bench's keys", () => {
  it.each([
    ['ArrowLeft', false, [-1, 0]],
    ['ArrowRight', false, [1, 0]],
    ['ArrowUp', false, [0, -1]],
    ['ArrowDown', true, [0, 5]],
  ] as const)('%s (shift %s) moves by %j mm', (key, shiftKey, by) => {
    expect(press(key, { shiftKey })).toBe(true)
    expect(bench.nudge).toHaveBeenCalledWith(...by)
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
    expect(bench.turn).toHaveBeenCalledWith(by)
  })

  it.each([
    ['t', 'twin'],
    ['T', 'twin'],
    ['f', 'flip'],
    ['a', 'aim'],
    ['Delete', 'remove'],
    ['Backspace', 'remove'],
  ] as const)('%s does %s', (key, name) => {
    expect(press(key)).toBe(true)
    expect(bench[name]).toHaveBeenCalledTimes(1)
  })

  it('moves, turns and flips brushwork, and several steps, by their handles', () => {
    brush.many = true
    press('ArrowDown', { shiftKey: true })
    press(']')
    press('f')
    press('g')
    expect(brush.shift).toHaveBeenCalledWith(0, 5)
    expect(brush.turn).toHaveBeenCalledWith(1)
    expect(brush.flip).toHaveBeenCalledTimes(1)
    expect(brush.takeGroup).toHaveBeenCalledTimes(1)
    expect(bench.nudge).not.toHaveBeenCalled()
  })

  it('dabs once more, or with Shift once less', () => {
    press('d')
    press('D', { shiftKey: true })
    expect(bench.dab.mock.calls).toEqual([[1], [-1]])
  })

  it('undoes and redoes', () => {
    press('z', { ctrlKey: true })
    press('z', { metaKey: true, shiftKey: true })
    press('y', { ctrlKey: true })
    expect([bench.undo.mock.calls.length, bench.redo.mock.calls.length]).toEqual([1, 2])
  })

  it('plays, shows its keys, and lets go', () => {
    press('p')
    press('?')
    press('Escape')
    expect(actions.play).toHaveBeenCalledTimes(1)
    expect(actions.help).toHaveBeenCalledTimes(1)
    expect([bench.selectedId, bench.spot]).toEqual([null, null])
  })

  it('leaves other keys, and those of the browser, alone', () => {
    expect(press('q')).toBe(false)
    expect(press('s', { ctrlKey: true })).toBe(false)
    expect(press('ArrowLeft', { altKey: true })).toBe(false)
    bench.selectedSheet = null
    expect(press('ArrowLeft')).toBe(false)
    for (const name of names) expect(bench[name]).not.toHaveBeenCalled()
  })

  it('are all told on the sheet of keys', () => {
    const told = KEYS.map(k => k.keys).join(' ')
    for (const key of ['T', 'F', '[', ']', 'A', 'D', 'P', '?', 'Delete', 'Esc', 'Ctrl Z', 'Enter'])
      expect(told).toContain(key)
  })
})
