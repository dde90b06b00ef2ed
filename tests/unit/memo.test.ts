import { describe, expect, it, vi } from 'vitest'
import { Memo } from '#core/memo'

describe('a memo', () => {
  it('makes a result once for the very same things, and anew when one of them is another', () => {
    const memo = new Memo()
    const make = vi.fn(() => ({}))
    const from = [{}, 1]
    expect(memo.recall('key', from, make)).toBe(memo.recall('key', [...from], make))
    expect(make).toHaveBeenCalledTimes(1)
    memo.recall('key', [{}, 1], make)
    memo.recall('key', [], make)
    expect(make).toHaveBeenCalledTimes(3)
  })

  it('keeps apart what belongs to different objects', () => {
    const memo = new Memo()
    const [a, b] = [{}, {}]
    expect(memo.recall(a, [], () => 'a')).toBe('a')
    expect(memo.recall(b, [], () => 'b')).toBe('b')
    expect(memo.recall(a, [], () => 'other')).toBe('a')
  })

  it('is bounded: what is longest unused goes first, and heavy results take more room', () => {
    const memo = new Memo(10)
    const made = (key: string, weight = 1) => {
      const make = vi.fn(() => key)
      memo.recall(key, [], make, weight)
      return make.mock.calls.length === 1
    }
    for (let i = 0; i < 10; i++) made(`k${i}`)
    expect(made('k0')).toBe(false)
    made('heavy', 8)
    // The one that was asked for last is still there; the oldest are not.
    expect(made('k0')).toBe(false)
    expect(made('k1')).toBe(true)
  })
})
