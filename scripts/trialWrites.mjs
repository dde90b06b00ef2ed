// What the trial writes, of every kind, and how it looks for it afterwards.
export const port = 4987
export const base = `http://127.0.0.1:${port}`

export const json = (method, path, body) =>
  fetch(base + path, {
    method,
    headers: { 'content-type': 'application/json' },
    body: body === undefined ? undefined : JSON.stringify(body),
  })
export const read = path => fetch(base + path).then(r => r.json())

/** A look of the demo is what new ones are made of. */
const look = n => {
  const { family: _family, switches: _switches, groups: _groups, ...rest } = template
  return { ...rest, id: `trial-${n}`, name: `Look ${n}`, steps: [] }
}
const paint = n => ({
  name: `Paint ${n}`,
  finish: 'matte',
  colour: '#b7202b',
  overBlack: '#a01820',
  overWhite: '#c02a34',
  measured: false,
  strips: [],
  eyeSafe: null,
  lipSafe: null,
  openedOn: null,
  months: 24,
  grams: n % 1000,
  cakeGrams: 30,
  price: null,
})
const run = (id, n) => ({
  format: 'janusform-run',
  version: 1,
  id,
  look: { id: null, name: `Run ${n}`, version: null },
  length: 'whole',
  device: 'trial',
  typed: true,
  startedAt: '2026-05-01T10:00:00.000Z',
  endedAt: '2026-05-01T10:05:00.000Z',
  ticket: String(n % 1000),
  room: null,
  planned: 300,
  seconds: 300 + (n % 100),
  paused: 0,
  note: `note ${n}`,
  steps: [],
})

/**
 * What was acknowledged last of each thing, and how it is looked for after a start. What is being changed when the
 * server is killed may be as it was or as it was to be: it is not in the list until it is acknowledged again.
 */
const kept = new Map()
const versions = new Map()
const looks = []
const paints = []
let template = null
/** The look of which new ones are made. */
export const useTemplate = look => {
  template = look
}

/** One write of some kind; done once it is acknowledged, or fails because the server is gone. */
export const KINDS = {
  'a new look': async n => {
    const made = await json('POST', '/api/looks', look(n))
    if (!made.ok) throw new Error(`${made.status} ${await made.text()}`)
    const { look: l, version } = await made.json()
    versions.set(l.id, version)
    looks.push(l)
    kept.set(`look ${l.id}`, { path: `/api/looks/${l.id}`, of: r => r.look?.name, is: l.name })
  },
  'a saved look': async n => {
    const l = looks.pop()
    if (!l) return KINDS['a new look'](n)
    const next = { ...l, name: `Saved ${n}` }
    kept.delete(`look ${l.id}`)
    const answer = await json('PUT', `/api/looks/${l.id}`, { base: versions.get(l.id), look: next })
    if (!answer.ok) throw new Error(`${answer.status} ${await answer.text()}`)
    versions.set(l.id, (await answer.json()).version)
    looks.unshift(next)
    kept.set(`look ${l.id}`, { path: `/api/looks/${l.id}`, of: r => r.look?.name, is: next.name })
  },
  'a deleted look': async n => {
    const l = looks.length > 20 ? looks.pop() : null
    if (!l) return KINDS['a new look'](n)
    kept.delete(`look ${l.id}`)
    const answer = await fetch(`${base}/api/looks/${l.id}`, { method: 'DELETE' })
    if (!answer.ok) throw new Error(String(answer.status))
    kept.set(`look ${l.id}`, { path: '/api/looks/deleted', of: r => r.some(d => d.id === l.id), is: true })
  },
  'a paint': async n => {
    const answer = await json('POST', '/api/paints', paint(n))
    if (!answer.ok) throw new Error(`${answer.status} ${await answer.text()}`)
    const made = await answer.json()
    paints.push(made)
    kept.set(`paint ${made.id}`, {
      path: '/api/paints',
      of: r => r.find(p => p.id === made.id)?.name,
      is: made.name,
    })
  },
  'a changed paint': async n => {
    const p = paints.pop()
    if (!p) return KINDS['a paint'](n)
    const { id, ...rest } = { ...p, name: `Changed ${n}` }
    kept.delete(`paint ${id}`)
    const answer = await json('PUT', `/api/paints/${id}`, rest)
    if (!answer.ok) throw new Error(`${answer.status} ${await answer.text()}`)
    paints.unshift({ id, ...rest })
    kept.set(`paint ${id}`, { path: '/api/paints', of: r => r.find(x => x.id === id)?.name, is: rest.name })
  },
  'a run': async n => {
    const id = `run-${n}`
    const answer = await json('PUT', `/api/runs/${id}`, { run: run(id, n), sent: 1 })
    if (!answer.ok) throw new Error(`${answer.status} ${await answer.text()}`)
    kept.set(`run ${id}`, {
      path: '/api/runs',
      of: r => r.find(k => k.run.id === id)?.run.note,
      is: `note ${n}`,
    })
  },
  'the room': async n => {
    const temperature = 15 + (n % 15)
    const answer = await json('PUT', '/api/settings/room', { temperature, humidity: 0.5, air: 'still' })
    if (!answer.ok) throw new Error(`${answer.status} ${await answer.text()}`)
  },
}

/** Looks for everything that was acknowledged; returns what is missing or not as it was said. */
export async function missing() {
  const asked = new Map()
  const lost = []
  for (const [name, { path, of, is }] of kept) {
    if (!asked.has(path)) asked.set(path, await read(path))
    if (of(asked.get(path)) !== is) lost.push(name)
  }
  return lost
}
