import { toRaw } from 'vue'

/** What has been looked through already: frozen, and plain all the way down. */
const known = new WeakSet<object>()

const isPlain = (value: object): boolean => {
  const kind: unknown = Object.getPrototypeOf(value)
  return Array.isArray(value) || kind === Object.prototype || kind === null
}

/**
 * A value as plain data: no reactive wrapper, no function, nothing that a message to a worker could not
 * carry. Parts that are plain already stay the same objects; what is given back is frozen. Typed arrays pass
 * as they are. Throws TypeError for what is no data, such as a function or an object of a class.
 */
export function plain<T>(value: T): T {
  if (typeof value === 'function' || typeof value === 'symbol')
    throw new TypeError(`A ${typeof value} is no plain data.`)
  if (typeof value !== 'object' || value === null) return value
  const raw = toRaw(value) as T & object
  if (known.has(raw) || ArrayBuffer.isView(raw)) return raw
  if (!isPlain(raw))
    throw new TypeError(`An object of ${raw.constructor?.name ?? 'a class'} is no plain data.`)
  let same = true
  const parts = Object.entries(raw).map(([key, part]: [string, unknown]): [string, unknown] => {
    const next = plain(part)
    if (next !== part) same = false
    return [key, next]
  })
  const whole =
    same && Object.isFrozen(raw)
      ? raw
      : (Object.freeze(Array.isArray(raw) ? parts.map(p => p[1]) : Object.fromEntries(parts)) as T & object)
  known.add(whole)
  return whole
}
