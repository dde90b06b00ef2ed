import { reactive, ref, shallowRef } from 'vue'
import { describe, expect, it } from 'vitest'
import { Refused } from '#core/look'
import { History } from '../../../app/stores/history'
import { plain } from '../../../app/utils/plain'

interface Doc {
  steps: { id: string; paint: { name: string } }[]
}
const doc = (): Doc => ({ steps: [{ id: 'a', paint: { name: 'white' } }] })

describe('plain data', () => {
  it('unwraps reactive objects at any depth, and keeps what is plain already', () => {
    const inner = reactive({ name: 'rose' })
    const made = plain({ list: [inner, ref({ name: 'x' }).value], n: 1 })
    expect(structuredClone(made)).toEqual({ list: [{ name: 'rose' }, { name: 'x' }], n: 1 })
    expect(plain(made)).toBe(made)
    expect(plain({ made }).made).toBe(made)
    expect(Object.isFrozen(made.list[0])).toBe(true)
  })

  it('lets typed arrays through and refuses what is no data', () => {
    const ring = Float64Array.of(1, 2)
    expect(plain({ ring }).ring).toBe(ring)
    expect(() => plain({ f: () => 1 })).toThrow(TypeError)
    expect(() => plain(new Map())).toThrow(/Map/)
  })
})

describe('what enters a document', () => {
  it('can always be sent to a worker, however it was chosen', () => {
    const history = new History(doc())
    const chosen = ref({ name: 'rose' })
    const shallow = shallowRef(reactive({ name: 'sea' }))
    history.edit('add', d => void d.steps.push({ id: 'b', paint: chosen.value }))
    history.edit('replace', d => {
      d.steps = [...d.steps, { id: 'c', paint: shallow.value }]
    })
    history.edit('set', d => {
      d.steps[0]!.paint = reactive({ name: 'moss' })
    })
    expect(structuredClone(history.present).steps.map(s => s.paint.name)).toEqual(['moss', 'rose', 'sea'])
    for (let n = 0; n < 3; n++) history.undo()
    expect(structuredClone(history.present)).toEqual(doc())
    for (let n = 0; n < 3; n++) history.redo()
    expect(structuredClone(history.present).steps.map(s => s.paint.name)).toEqual(['moss', 'rose', 'sea'])
  })

  it('does not follow what it was made from', () => {
    const history = new History(doc())
    const chosen = ref({ name: 'rose' })
    history.edit('add', d => void d.steps.push({ id: 'b', paint: chosen.value }))
    try {
      chosen.value.name = 'changed later'
    } catch {
      // A frozen source cannot change either.
    }
    expect(history.present.steps[1]!.paint.name).toBe('rose')
  })

  it('is refused with a sentence, and nothing is lost, where the document would be wrong', () => {
    const history = new History(doc(), d => (d.steps.length > 2 ? 'At most two steps.' : null))
    history.edit('add', d => void d.steps.push({ id: 'b', paint: { name: 'b' } }))
    const before = history.present
    expect(() => history.edit('add', d => void d.steps.push({ id: 'c', paint: { name: 'c' } }))).toThrow(
      new Refused('At most two steps.'),
    )
    expect(history.present).toBe(before)
    expect(history.undo()).toBe('add')
  })

  it('one that was wrong already can still be mended', () => {
    const long = { steps: ['a', 'b', 'c', 'd'].map(id => ({ id, paint: { name: id } })) }
    const history = new History<Doc>(long, d => (d.steps.length > 2 ? 'At most two steps.' : null))
    expect(history.edit('take one out', d => void d.steps.pop())).toBe(true)
    expect(history.edit('take one out', d => void d.steps.pop())).toBe(true)
    expect(() => history.edit('add', d => void d.steps.push({ id: 'e', paint: { name: 'e' } }))).toThrow(
      Refused,
    )
  })
})
