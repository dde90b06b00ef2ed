import { createPinia, defineStore, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import {
  applied,
  freshGem,
  freshLook,
  freshSheet,
  ofKind,
  openingNumbers,
  type Command,
  type Look,
  type SheetStep,
  type Step,
} from '#core/look'
import { useChoice } from '../../../app/stores/choice'
import { useSelection } from '../../../app/stores/selection'
import { paint, sheets, world } from '../world'

const soot = paint('soot')
const edits: string[] = []
const looked = shallowRef<Look | null>(null)
const opened = ref(0)

// The session and the scene as far as these two stores see them; all else of them fetches and paints.
vi.mock('../../../app/stores/session', () => ({
  useSession: defineStore('session', () => {
    const edit = (label: string, command: Command): void => {
      edits.push(label)
      looked.value = applied(looked.value!, command)
    }
    return { look: looked, opened, edit }
  }),
}))
vi.mock('../../../app/stores/scene', () => ({
  useScene: defineStore('scene', () => ({ world: shallowRef(world) })),
}))

const gem = (id: string, group: string | null = null): Step => ({ ...freshGem(id, [40, 30]), group })
const sheet = (id: string): SheetStep => freshSheet(id, 'Feather', 'feather', [0, -48], soot)
const open = (...steps: Step[]): void => {
  looked.value = { ...freshLook('l', 'L'), steps }
  opened.value++
}
const count = sheets.get('feather')!.openings.length

beforeEach(() => {
  vi.stubGlobal('ref', ref)
  vi.stubGlobal('shallowRef', shallowRef)
  vi.stubGlobal('computed', computed)
  vi.stubGlobal('watch', watch)
  vi.stubGlobal('nextTick', nextTick)
  setActivePinia(createPinia())
  edits.length = 0
})

describe('what is selected', () => {
  beforeEach(() => open(gem('a', 'crown'), sheet('b'), gem('c', 'crown'), gem('d')))

  it('is nothing at first, then the step in hand as what it is', async () => {
    const selection = useSelection()
    expect([selection.step, selection.mark, selection.sheet, selection.steps]).toEqual([null, null, null, []])
    selection.id = 'b'
    await nextTick()
    expect(selection.sheet?.id).toBe('b')
    expect(selection.mark).toBeNull()
    expect(selection.byHandles).toBe(false)
    selection.id = 'a'
    await nextTick()
    expect(selection.mark?.id).toBe('a')
    expect(selection.byHandles).toBe(true)
  })

  it('takes more steps in and out again, in the order of painting', async () => {
    const selection = useSelection()
    selection.also('c')
    await nextTick()
    selection.also('a')
    expect([...selection.ids]).toEqual(['a', 'c'])
    expect(selection.id).toBe('c')
    selection.also('a')
    expect([...selection.ids]).toEqual(['c'])
    selection.also('c')
    expect([...selection.ids]).toEqual(['c'])
  })

  it('forgets the others when another step is taken in hand', async () => {
    const selection = useSelection()
    selection.take(['a', 'c'])
    await nextTick()
    expect(selection.steps.map(s => s.id)).toEqual(['a', 'c'])
    selection.id = 'd'
    await nextTick()
    expect(selection.steps.map(s => s.id)).toEqual(['d'])
  })

  it('takes everything, and keeps in hand what was', async () => {
    const selection = useSelection()
    selection.id = 'c'
    await nextTick()
    selection.takeAll()
    await nextTick()
    await nextTick()
    expect(selection.id).toBe('c')
    expect([...selection.ids]).toEqual(['a', 'b', 'c', 'd'])
  })

  it('takes the rest of an arrangement, and nothing where there is none', async () => {
    const selection = useSelection()
    selection.id = 'a'
    await nextTick()
    selection.takeGroup()
    expect([...selection.ids]).toEqual(['a', 'c'])
    selection.id = 'd'
    await nextTick()
    selection.takeGroup()
    expect([...selection.ids]).toEqual(['d'])
  })

  it('leaves out a step that is gone, and is nothing in another look', async () => {
    const selection = useSelection()
    selection.take(['a', 'c'])
    await nextTick()
    looked.value = { ...looked.value!, steps: looked.value!.steps.filter(s => s.id !== 'c') }
    expect(selection.steps.map(s => s.id)).toEqual(['a'])
    selection.spot = [1, 2]
    open(gem('a'))
    await nextTick()
    expect([selection.id, selection.spot]).toEqual([null, null])
  })
})

describe('choosing openings for a pass', () => {
  const passNow = () => ofKind('sheet', looked.value!.steps)[0]!.passes[0]!
  const dabbed = () => openingNumbers(passNow(), sheets.get('feather')!)
  /** The choice among the openings of the first pass of the one sheet. */
  async function choosing() {
    const selection = useSelection()
    const choice = useChoice()
    selection.id = 's'
    await nextTick()
    choice.pass = 0
    await nextTick()
    return { selection, choice }
  }
  beforeEach(() => open(sheet('s'), gem('g')))

  it('begins with what the pass dabs', async () => {
    const { choice } = await choosing()
    expect(choice.now?.words).toBe('openings for layer 1')
    expect(choice.now?.chosen.size).toBe(count)
    expect(choice.now?.may.size).toBe(count)
  })

  it('takes openings out and in', async () => {
    const { choice } = await choosing()
    choice.take([0], false)
    expect(dabbed()).not.toContain(0)
    expect(dabbed()).toHaveLength(count - 1)
    choice.take([0], true)
    expect(dabbed()).toHaveLength(count)
    expect(edits).toEqual(['choose openings', 'choose openings'])
  })

  it('keeps what the pass had while none is chosen yet, and begins from none with the next', async () => {
    const { choice } = await choosing()
    choice.none()
    expect(choice.now?.chosen.size).toBe(0)
    expect(dabbed()).toHaveLength(count)
    expect(edits).toEqual([])
    choice.take([2], true)
    expect(dabbed()).toEqual([2])
  })

  it('turns the choice over, and takes all', async () => {
    const { choice } = await choosing()
    choice.none()
    choice.take([1, 2], true)
    choice.invert()
    expect(dabbed()).toHaveLength(count - 2)
    expect(dabbed()).not.toContain(1)
    choice.all()
    expect(dabbed()).toHaveLength(count)
  })

  it('cannot choose what the stencil has not', async () => {
    const { choice } = await choosing()
    choice.none()
    choice.take([1, count, 999], true)
    expect(dabbed()).toEqual([1])
  })

  it('ends with another step in hand, and when it is ended', async () => {
    const { selection, choice } = await choosing()
    choice.end()
    expect(choice.now).toBeNull()
    choice.pass = 0
    expect(choice.now).not.toBeNull()
    selection.id = 'g'
    await nextTick()
    expect([choice.pass, choice.now]).toEqual([null, null])
  })

  it('is no choice for a pass that the stencil has not, and does nothing then', async () => {
    const { choice } = await choosing()
    choice.pass = 5
    expect(choice.now).toBeNull()
    choice.all()
    choice.take([1], true)
    expect(edits).toEqual([])
  })
})
