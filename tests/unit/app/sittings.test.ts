import { FetchError } from 'ofetch'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Run } from '#core/chair'
import { keepSitting, keptSitting, sendSitting, sendSittings } from '../../../app/sitting/kept'

/** What the device keeps, by id: a store of IndexedDB without the browser. */
const device = vi.hoisted(() => new Map<string, unknown>())
/** How often in a row the device says that it is full. */
const full = vi.hoisted(() => ({ times: 0 }))
vi.mock('idb-keyval', () => ({
  createStore: () => null,
  clear: () => Promise.resolve(),
  get: (id: string) => Promise.resolve(device.get(id)),
  del: (id: string) => Promise.resolve(void device.delete(id)),
  entries: () => Promise.resolve([...device]),
  update(id: string, change: (before: unknown) => unknown) {
    if (full.times-- > 0) return Promise.reject(new DOMException('full', 'QuotaExceededError'))
    return Promise.resolve(void device.set(id, change(device.get(id))))
  },
}))
vi.mock('vue-sonner', () => ({ toast: { warning: vi.fn() } }))

const asked: string[] = []
/** What the server answers for a picture: a status, or nothing where it is away. */
let answer: number | null = 200
const heard = { what: 'kept', sent: 1, elsewhere: [], lookGone: false }

function failed(status: number | null): FetchError {
  const error = new FetchError('failed')
  if (status !== null) Object.defineProperty(error, 'response', { value: { status } })
  return error
}

beforeEach(() => {
  device.clear()
  full.times = 0
  asked.length = 0
  vi.stubGlobal('$fetch', (path: string) => {
    asked.push(path)
    if (path.endsWith('/picture') && answer !== 200) return Promise.reject(failed(answer))
    return Promise.resolve(heard)
  })
})

const finished = () =>
  keepSitting({
    run: { id: 'r', look: { id: 'l' } } as Run,
    events: [],
    went: {},
    clocks: { wall: 0, steady: 0 } as never,
    changes: 1,
    worn: undefined,
    closed: true,
    picture: new Blob(['painted']),
  })

describe('the picture of a finished sitting', () => {
  it.each([null, 401, 429, 500, 503, 507])('is kept and sent again after %s', async status => {
    answer = status
    await finished()
    await sendSitting('r').catch(() => {})
    expect((await keptSitting('r'))?.picture).toBeInstanceOf(Blob)
    answer = 200
    await sendSittings()
    expect(asked.filter(path => path === '/api/runs/r/picture')).toHaveLength(2)
    expect(await keptSitting('r')).toBeUndefined()
  })

  it.each([400, 404, 413, 415, 422])(
    'is given up after %s, which says that it cannot be taken',
    async status => {
      answer = status
      await finished()
      await sendSitting('r')
      expect(await keptSitting('r')).toBeUndefined()
    },
  )
})

describe('a sitting on a device that is full', () => {
  it('is kept once what can be made anew has gone', async () => {
    full.times = 1
    await finished()
    expect(await keptSitting('r')).toBeDefined()
  })

  it('is said not to be kept where there is no room even then', async () => {
    full.times = 9
    await expect(finished()).rejects.toThrow('full')
  })
})
