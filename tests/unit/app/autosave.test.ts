import { FetchError } from 'ofetch'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ref, shallowRef } from 'vue'
import { freshLook, type Look } from '#core/look'
import { refusalData, sentencesOf } from '../../../app/composables/useApi'
import { Autosave } from '../../../app/stores/autosave'
import { draftsLeft, readDraft } from '../../../app/stores/drafts'

const stored = new Map<string, string>()
const fetched =
  vi.fn<
    (
      url: string,
      options: { body: { base: number; look: Look } },
    ) => Promise<{ version: number; savedAt: string }>
  >()
const at = '2026-05-01T18:00:00.000Z'
const named = (name: string): Look => ({ ...freshLook('l1', 'Look'), name })

/** An answer of the server with a status and data, as the page's fetch reports it. */
function refused(status: number, data: object): FetchError {
  const error = new FetchError('refused')
  Object.assign(error, { status, response: {}, data: { message: 'no', data } })
  return error
}

beforeEach(() => {
  vi.useFakeTimers()
  stored.clear()
  fetched.mockReset()
  vi.stubGlobal('ref', ref)
  vi.stubGlobal('shallowRef', shallowRef)
  vi.stubGlobal('$fetch', fetched)
  vi.stubGlobal('refusalData', refusalData)
  vi.stubGlobal('sentencesOf', sentencesOf)
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => stored.get(k) ?? null,
    setItem: (k: string, v: string) => void stored.set(k, v),
    removeItem: (k: string) => void stored.delete(k),
    key: (n: number) => [...stored.keys()][n] ?? null,
    get length() {
      return stored.size
    },
  })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('autosave', () => {
  it('waits for the hands to rest, then sends the newest state once, over its version', async () => {
    fetched.mockResolvedValue({ version: 5, savedAt: at })
    const saver = new Autosave(4, at)
    saver.push(named('one'))
    saver.push(named('two'))
    expect(saver.state.value).toBe('waiting')
    await vi.advanceTimersByTimeAsync(600)
    expect(fetched).toHaveBeenCalledTimes(1)
    expect(fetched.mock.calls[0]![1].body).toMatchObject({ base: 4, look: { name: 'two' } })
    expect(saver.state.value).toBe('saved')
  })

  it('keeps what waits on this device until the server has it', async () => {
    fetched.mockResolvedValue({ version: 2, savedAt: at })
    const saver = new Autosave(1, at)
    saver.push(named('kept'))
    expect(readDraft('l1')).toMatchObject({ base: 1, look: { name: 'kept' } })
    await saver.flush()
    expect(readDraft('l1')).toBeNull()
  })

  it('names the version of the last save in the next one', async () => {
    fetched
      .mockResolvedValueOnce({ version: 2, savedAt: at })
      .mockResolvedValueOnce({ version: 3, savedAt: at })
    const saver = new Autosave(1, at)
    saver.push(named('a'))
    await saver.flush()
    saver.push(named('b'))
    await saver.flush()
    expect(fetched.mock.calls.map(c => c[1].body.base)).toEqual([1, 2])
  })

  it('is never in its own way: changes that pile up behind a slow save go out once, over its version', async () => {
    // A server that knows its version, and takes its time.
    let version = 1
    fetched.mockImplementation(async (_url, { body }) => {
      if (body.base !== version)
        throw refused(409, { theirs: { look: named('theirs'), version, savedAt: at } })
      version++
      const saved = { version, savedAt: at }
      await new Promise(resolve => setTimeout(resolve, 3000))
      return saved
    })
    const saver = new Autosave(1, at)
    for (const name of ['a', 'b', 'c', 'd']) {
      saver.push(named(name))
      await vi.advanceTimersByTimeAsync(700)
    }
    await vi.advanceTimersByTimeAsync(20_000)
    expect(saver.state.value).toBe('saved')
    expect(fetched.mock.calls.map(c => [c[1].body.base, c[1].body.look.name])).toEqual([
      [1, 'a'],
      [2, 'd'],
    ])
  })

  it('sends again what changed while it was sending', async () => {
    let answer: (v: { version: number; savedAt: string }) => void = () => {}
    fetched
      .mockImplementationOnce(
        () =>
          new Promise(resolve => {
            answer = resolve
          }),
      )
      .mockResolvedValueOnce({ version: 3, savedAt: at })
    const saver = new Autosave(1, at)
    saver.push(named('first'))
    await vi.advanceTimersByTimeAsync(600)
    saver.push(named('second'))
    answer({ version: 2, savedAt: at })
    await vi.advanceTimersByTimeAsync(1300)
    expect(fetched.mock.calls.map(c => [c[1].body.base, c[1].body.look.name])).toEqual([
      [1, 'first'],
      [2, 'second'],
    ])
    expect(saver.state.value).toBe('saved')
  })

  it('says what went wrong and tries again by itself', async () => {
    fetched
      .mockRejectedValueOnce(new FetchError('no answer'))
      .mockResolvedValueOnce({ version: 2, savedAt: at })
    const saver = new Autosave(1, at)
    saver.push(named('a'))
    await vi.advanceTimersByTimeAsync(600)
    expect(saver.state.value).toBe('failed')
    expect(saver.problem.value).toMatch(/kept on this device/)
    expect(readDraft('l1')).not.toBeNull()
    await vi.advanceTimersByTimeAsync(6000)
    expect(saver.state.value).toBe('saved')
  })

  describe('when the look was saved from somewhere else', () => {
    const theirs = { look: named('theirs'), version: 7, savedAt: at }
    const clash = async () => {
      fetched.mockRejectedValueOnce(refused(409, { theirs }))
      const saver = new Autosave(1, at)
      saver.push(named('mine'))
      await saver.flush()
      return saver
    }

    it('keeps both and sends nothing more until one is chosen', async () => {
      const saver = await clash()
      expect(saver.state.value).toBe('conflict')
      expect(saver.theirs.value).toEqual(theirs)
      saver.push(named('mine, more'))
      await vi.advanceTimersByTimeAsync(9000)
      expect(fetched).toHaveBeenCalledTimes(1)
      expect(readDraft('l1')!.look.name).toBe('mine, more')
    })

    it('saves mine over their version', async () => {
      const saver = await clash()
      fetched.mockResolvedValueOnce({ version: 8, savedAt: at })
      await saver.keepMine()
      expect(fetched.mock.calls[1]![1].body).toMatchObject({ base: 7, look: { name: 'mine' } })
      expect(saver.state.value).toBe('saved')
    })

    it('goes on from theirs', async () => {
      const saver = await clash()
      expect(saver.keepTheirs()).toEqual(theirs)
      expect(readDraft('l1')).toBeNull()
      fetched.mockResolvedValueOnce({ version: 8, savedAt: at })
      saver.push(named('theirs, on'))
      await saver.flush()
      expect(fetched.mock.calls[1]![1].body.base).toBe(7)
    })
  })

  it('lives with a store that is full or closed', () => {
    vi.stubGlobal('localStorage', {
      getItem: () => '{broken',
      setItem: () => {
        throw new Error('full')
      },
      removeItem: () => {},
    })
    const saver = new Autosave(1, at)
    expect(() => saver.push(named('a'))).not.toThrow()
    expect(readDraft('l1')).toBeNull()
    saver.stop()
  })
})

describe('what a refusal says', () => {
  it('is its sentences, else its message, else that nothing answers', () => {
    expect(sentencesOf(refused(422, { sentences: ['One.', 'Two.'] }))).toEqual(['One.', 'Two.'])
    expect(sentencesOf(refused(422, {}))).toEqual(['no'])
    expect(sentencesOf(new FetchError('x'))[0]).toMatch(/does not answer/)
    expect(sentencesOf(new Error('plain'))).toEqual(['plain'])
    expect(sentencesOf('text')).toEqual(['text'])
  })

  it('carries data only for the status asked for', () => {
    expect(refusalData(refused(409, { theirs: 1 }), 409)).toEqual({ theirs: 1 })
    expect(refusalData(refused(422, { theirs: 1 }), 409)).toBeNull()
    expect(refusalData(new Error('x'), 409)).toBeNull()
  })
})

describe('drafts of several tabs', () => {
  const draft = (page: string, name: string, at: number) =>
    stored.set(`janusform-draft-l1~${page}`, JSON.stringify({ look: named(name), base: 3, at }))

  it('are each their own: what one tab saves drops no draft of another', async () => {
    fetched.mockResolvedValue({ version: 5, savedAt: at })
    draft('other', 'of the other tab', 1)
    const saver = new Autosave(4, at)
    saver.push(named('mine'))
    expect(stored.size).toBe(2)
    await vi.advanceTimersByTimeAsync(600)
    expect(saver.state.value).toBe('saved')
    expect([...stored.keys()]).toEqual(['janusform-draft-l1~other'])
  })

  it('that closed tabs have left come back, the newest first; those of open tabs do not', async () => {
    draft('closed', 'older', 1)
    draft('closed2', 'newer', 2)
    draft('open', 'open', 3)
    stored.set('janusform-draft-l1', JSON.stringify({ look: named('of an earlier version'), base: 2 }))
    stored.set('janusform-draft-l11~x', JSON.stringify({ look: named('of another look'), base: 2 }))
    vi.stubGlobal('navigator', {
      locks: { query: async () => ({ held: [{ name: 'janusform-page-open' }] }) },
    })
    const left = await draftsLeft('l1')
    expect(left.map(d => d.look.name)).toEqual(['newer', 'older', 'of an earlier version'])
    left[0]!.drop()
    expect(stored.has('janusform-draft-l1~closed2')).toBe(false)
    expect(stored.size).toBe(4)
  })

  it('are not said to be kept when the device is full', async () => {
    fetched.mockRejectedValue(new FetchError('away'))
    const full = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
    vi.stubGlobal('localStorage', { setItem: full, getItem: () => null, removeItem: () => {} })
    const removed: string[] = []
    vi.stubGlobal('caches', {
      keys: async () => ['janusform-offline', 'of others'],
      delete: async (name: string) => removed.push(name),
    })
    const saver = new Autosave(4, at)
    saver.push(named('mine'))
    await vi.advanceTimersByTimeAsync(600)
    expect(saver.state.value).toBe('failed')
    expect(saver.keeps.value).toBe(false)
    expect(removed).toEqual(['janusform-chair'])
  })
})
