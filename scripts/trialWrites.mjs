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
/** Looks of which a try was made. */
const tried = new Set()
const nameOf = id => list => list.find(one => one.id === id)?.name
let template = null
/** The look of which new ones are made. */
export const useTemplate = look => {
  template = look
}

/** Sends a write, and returns what answers it; throws with its status where it is refused. */
async function sent(method, path, body) {
  const bytes = body instanceof Uint8Array
  const answer = bytes ? await fetch(base + path, { method, body }) : await json(method, path, body)
  const text = await answer.text()
  if (!answer.ok) throw new Error(`${answer.status} ${method} ${path} ${text.slice(0, 300)}`)
  return text ? JSON.parse(text) : null
}

/** Things of which there is one in the house, while one of them is being written. */
const busy = new Set()
/** Writes the only thing of its kind, unless it is just being written: of two that cross nobody knows the last. */
async function only(name, n, write, found) {
  if (busy.has(name)) return KINDS['a paint'](n)
  busy.add(name)
  kept.delete(name)
  try {
    await write()
    kept.set(name, found)
  } finally {
    busy.delete(name)
  }
}

const stencils = []
const runs = []
const svgOf = n =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="40mm" height="30mm" viewBox="0 0 40 30"><rect x="5" y="5" width="${5 + (n % 20)}" height="9"/></svg>`
/** Bytes that begin as a JPEG, and are told apart by their end. */
const jpegOf = n => Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.from(`picture ${n}`)])
const bytesAt = path =>
  fetch(base + path).then(async r => Buffer.from(await r.arrayBuffer()).toString('latin1'))

/** One write of some kind; done once it is acknowledged, or fails because the server is gone. */
export const KINDS = {
  'a new look': async n => {
    const { look: l, version } = await sent('POST', '/api/looks', look(n))
    versions.set(l.id, version)
    looks.push(l)
    kept.set(`look ${l.id}`, { path: `/api/looks/${l.id}`, of: r => r.look?.name, is: l.name })
  },
  'a saved look': async n => {
    const l = looks.pop()
    if (!l) return KINDS['a new look'](n)
    const next = { ...l, name: `Saved ${n}` }
    kept.delete(`look ${l.id}`)
    const { version } = await sent('PUT', `/api/looks/${l.id}`, { base: versions.get(l.id), look: next })
    versions.set(l.id, version)
    looks.unshift(next)
    kept.set(`look ${l.id}`, { path: `/api/looks/${l.id}`, of: r => r.look?.name, is: next.name })
  },
  'a named version': async n => {
    const l = looks.pop()
    if (!l) return KINDS['a new look'](n)
    const path = `/api/looks/${l.id}/revisions`
    kept.delete(`version ${l.id}`)
    await sent('PUT', `${path}/1/label`, { label: `Label ${n}` })
    looks.unshift(l)
    const of = r => r.find(v => v.version === 1)?.label
    kept.set(`version ${l.id}`, { path, of, is: `Label ${n}` })
  },
  'a try of a look': async n => {
    const l = looks.pop()
    if (!l || tried.has(l.id)) return KINDS['a new look'](n)
    tried.add(l.id)
    const made = await sent('POST', `/api/looks/${l.id}/tries`, {
      why: `why ${n}`,
      begins: { wipe: 'nothing' },
    })
    // Neither is changed any more: it is looked for as it is.
    kept.set(`try ${made.look.id}`, {
      path: `/api/looks/${made.look.id}`,
      of: r => r.look?.family.why,
      is: `why ${n}`,
    })
  },
  'a deleted look': async n => {
    const l = looks.length > 20 ? looks.pop() : null
    if (!l) return KINDS['a new look'](n)
    kept.delete(`look ${l.id}`)
    kept.delete(`version ${l.id}`)
    await sent('DELETE', `/api/looks/${l.id}`)
    kept.set(`look ${l.id}`, { path: '/api/looks/deleted', of: r => r.some(d => d.id === l.id), is: true })
  },
  'a paint': async n => {
    const made = await sent('POST', '/api/paints', paint(n))
    paints.push(made)
    kept.set(`paint ${made.id}`, { path: '/api/paints', of: nameOf(made.id), is: made.name })
  },
  'a changed paint': async n => {
    const p = paints.pop()
    if (!p) return KINDS['a paint'](n)
    const { id, ...rest } = { ...p, name: `Changed ${n}` }
    kept.delete(`paint ${id}`)
    await sent('PUT', `/api/paints/${id}`, rest)
    paints.unshift({ id, ...rest })
    kept.set(`paint ${id}`, { path: '/api/paints', of: nameOf(id), is: rest.name })
  },
  'a deleted paint': async n => {
    const p = paints.length > 20 ? paints.pop() : null
    if (!p) return KINDS['a paint'](n)
    kept.delete(`paint ${p.id}`)
    await sent('DELETE', `/api/paints/${p.id}`)
    kept.set(`paint ${p.id}`, { path: '/api/paints', of: nameOf(p.id), is: undefined })
  },
  'a stencil': async n => {
    const about = { name: `Stencil ${n}`, kind: 'motif' }
    const { stencil } = await sent('POST', '/api/stencils', { file: svgOf(n), about })
    stencils.push(stencil.id)
    kept.set(`stencil ${stencil.id}`, { path: '/api/stencils', of: nameOf(stencil.id), is: about.name })
  },
  'notes of a stencil': async n => {
    const id = stencils.pop()
    if (!id) return KINDS['a stencil'](n)
    kept.delete(`stencil ${id}`)
    await sent('PATCH', `/api/stencils/${id}`, { name: `Noted ${n}` })
    stencils.unshift(id)
    kept.set(`stencil ${id}`, { path: '/api/stencils', of: nameOf(id), is: `Noted ${n}` })
  },
  'the photograph of a stencil': async n => {
    const id = stencils.pop()
    if (!id) return KINDS['a stencil'](n)
    kept.delete(`photograph ${id}`)
    await sent('PUT', `/api/stencils/${id}/photo`, jpegOf(n))
    stencils.unshift(id)
    const path = `/api/stencils/${id}/photo.jpg`
    kept.set(`photograph ${id}`, { path, bytes: true, of: b => b.slice(4), is: `picture ${n}` })
  },
  'a run': async n => {
    const id = `run-${n}`
    await sent('PUT', `/api/runs/${id}`, { run: run(id, n), sent: 1 })
    runs.push(id)
    const of = r => r.find(k => k.run.id === id)?.run.note
    kept.set(`run ${id}`, { path: '/api/runs', of, is: `note ${n}` })
  },
  'the picture of a run': async n => {
    const id = runs.pop()
    if (!id) return KINDS['a run'](n)
    await sent('PUT', `/api/runs/${id}/picture`, jpegOf(n))
    const path = `/api/runs/${id}/picture`
    kept.set(`picture ${id}`, { path, bytes: true, of: b => b.slice(4), is: `picture ${n}` })
  },
  'a reading of the ladder': async n => {
    const bridge = 0.1 + (n % 39_000) / 10_000
    await sent('POST', '/api/readings/edges', { tool: 'makeup', wetness: 'tacky', bridge })
    const of = r => r.edges.some(e => e.bridge === bridge)
    kept.set(`ladder ${n}`, { path: '/api/readings', of, is: true })
  },
  'a reading of a tool': async n => {
    const value = 2 + (n % 79_000) / 10
    await sent('POST', '/api/readings/tools', { tool: 'makeup', measure: 'capacity', value })
    const of = r => r.tools.some(t => t.value === value)
    kept.set(`tool ${n}`, { path: '/api/readings', of, is: true })
  },
  'the room': n => {
    const temperature = 15 + (n % 150) / 10
    const write = () => sent('PUT', '/api/settings/room', { temperature, humidity: 0.5, air: 'still' })
    return only('room', n, write, { path: '/api/settings/room', of: r => r?.temperature, is: temperature })
  },
  'the ways': n => {
    const lidsFrom = 3 + (n % 10)
    const write = () => sent('PUT', '/api/ways', { lidsFrom })
    return only('ways', n, write, { path: '/api/ways', of: r => r.lidsFrom, is: lidsFrom })
  },
  'own gems': n => {
    const gems = [{ name: `Gem ${n}`, colour: '#aa2233', cut: 'round', size: 3 }]
    const write = () => sent('PUT', '/api/sparkles', { glitters: [], gems })
    return only('sparkles', n, write, { path: '/api/sparkles', of: r => r.gems[0]?.name, is: `Gem ${n}` })
  },
  'cakes that are tried': n => {
    const write = () => sent('PUT', '/api/settings/cakes', [{ id: 'c', name: `Cake ${n}`, strips: [] }])
    return only('cakes', n, write, { path: '/api/settings/cakes', of: r => r[0]?.name, is: `Cake ${n}` })
  },
}

/** Looks for everything that was acknowledged; returns what is missing or not as it was said. */
export async function missing() {
  const asked = new Map()
  const lost = []
  for (const [name, { path, bytes, of, is }] of kept) {
    if (!asked.has(path)) asked.set(path, await (bytes ? bytesAt(path) : read(path)))
    if (of(asked.get(path)) !== is) lost.push(name)
  }
  return lost
}

/** Forgets all that was written: what comes is written to another house. */
export function forget() {
  kept.clear()
  versions.clear()
  tried.clear()
  for (const list of [looks, paints, stencils, runs]) list.length = 0
}
