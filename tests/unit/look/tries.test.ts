import { describe, expect, it } from 'vitest'
import {
  applied,
  changesInWords,
  differencesOf,
  familyOf,
  freshLook,
  freshSheet,
  hostsIn,
  nextLetter,
  parseLook,
  Refused,
  stepsOff,
  takeOver,
  tryOf,
  type BeginsBy,
  type Look,
  type SheetStep,
  type Step,
} from '../../../core/look'
import { looks } from '../../../demo/looks'
import { ground, MIDLINE, paint, world } from '../world'

const leaf: SheetStep = {
  ...freshSheet('leaf', 'Leaf', 'leaf-spray', [40, 30], paint('thrift')),
  twin: MIDLINE,
}
const stars = freshSheet('stars', 'Stars', 'star-set', [0, -50], paint('gull'))
const plain: Look = { ...freshLook('plain', 'Plain'), steps: [leaf, stars] }
const withStep = (id: string, change: Partial<SheetStep>): Look => ({
  ...plain,
  id: 'other',
  steps: plain.steps.map(s => (s.id === id ? ({ ...s, ...change } as Step) : s)),
})
const inWorld = (look: Look) => ({ look, world: { ...world, ...hostsIn(look.steps), off: stepsOff(look) } })
const told = (a: Look, b: Look) => differencesOf(inWorld(a), inWorld(b)).map(d => d.words)
const changes = (a: Look, b: Look) => changesInWords(inWorld(a), inWorld(b))
const begun = (begins: BeginsBy): Look =>
  tryOf(plain, { id: 'b', letter: 'B', why: 'fans' }, begins, 'wiped', ground)

describe('what an edit has changed', () => {
  it('is told with what, where and by how much', () => {
    expect(changes({ ...plain, steps: [leaf] }, plain)).toEqual([
      expect.stringMatching(/^Laid: 2\. .*"Stars".*on the forehead\.$/),
    ])
    expect(changes(plain, { ...plain, steps: [stars] })).toEqual(['Taken out: step 1, Leaf.'])
    expect(changes(plain, withStep('stars', { at: [0, 60] }))).toEqual([
      expect.stringMatching(/^Step 2, Stars: .+ instead of on the forehead\.$/),
    ])
    expect(changes(plain, withStep('leaf', { tilt: leaf.tilt + 15, side: 'B' }))).toEqual([
      'Step 1, Leaf: turned by 15° clockwise, flipped to side B.',
    ])
    const alone = { ...leaf.twin, rule: 'none' as const }
    expect(changes(plain, withStep('leaf', { twin: alone }))[0]).toContain('without its twin')
    const passes = [{ ...stars.passes[0]!, dabs: 7 }]
    expect(changes(plain, withStep('stars', { passes }))[0]).toMatch(/7 dabs \(was .*dab/)
  })

  it('is not told of another order, and counted when it is much', () => {
    expect(changes(plain, { ...plain, steps: [stars, leaf] })).toEqual([])
    const many = [1, 2, 3, 4].map(n => ({ ...stars, id: `s${n}` }))
    expect(changes(plain, { ...plain, steps: [leaf, stars, ...many] })).toEqual([
      '4 steps changed; 6 in the look.',
    ])
  })
})

describe('families of tries', () => {
  it('takes a look that never had any for a family of its own', () => {
    expect(familyOf(plain)).toEqual({ id: 'plain', letter: 'A', why: '', kept: true })
  })

  it('gives the letter after the last, and a free one once Z is taken', () => {
    expect(nextLetter(['A'])).toBe('B')
    expect(nextLetter(['A', 'D'])).toBe('E')
    expect(nextLetter(['A', 'Z'])).toBe('B')
    expect(nextLetter([...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'])).toBeNull()
  })

  it('begins with everything as it stands, or with all or one step wiped off', () => {
    const copy = begun({ wipe: 'nothing' })
    expect(copy.steps).toEqual(plain.steps)
    expect(copy.family).toEqual({ id: 'plain', letter: 'B', why: 'fans', kept: false })
    expect(begun({ wipe: 'all' }).steps.at(-1)).toMatchObject({ kind: 'rework', act: 'wipe', area: 'all' })
    expect(begun({ wipe: 'step', step: 'leaf' }).steps.at(-1)).toMatchObject({
      area: 'print',
      over: ['leaf'],
    })
    for (const wipe of ['nothing', 'all'] as const) expect(parseLook(begun({ wipe })).ok).toBe(true)
  })

  it('keeps the family of the first when a try of a try is made', () => {
    const again = tryOf(
      begun({ wipe: 'nothing' }),
      { id: 'c', letter: 'C', why: '' },
      { wipe: 'all' },
      'w',
      ground,
    )
    expect(familyOf(again).id).toBe('plain')
  })
})

describe('what differs', () => {
  it('says nothing of two that are alike, whatever the order of their fields', () => {
    const turned = Object.fromEntries(Object.entries(leaf).reverse()) as SheetStep
    expect(told(plain, { ...plain, steps: [turned, stars] })).toEqual([])
  })

  it('tells another stencil, another colour, a turn and a twin that is gone', () => {
    const other = withStep('leaf', {
      stencil: 'fans',
      tilt: leaf.tilt + 30,
      twin: { ...MIDLINE, rule: 'none' },
      passes: [{ ...leaf.passes[0]!, load: { kind: 'one', paint: paint('soot') } }],
    })
    expect(told(plain, other)).toEqual([
      expect.stringMatching(
        /^Step 1, Leaf: the shell fans instead of the fern spray; black instead of pink; turned by 30° clockwise; without its twin/,
      ),
    ])
  })

  it('names paints that look alike by their own names', () => {
    const load = { kind: 'one' as const, paint: { id: 'chalk', name: 'Chalk', colour: '#F2EFE8' } }
    const other = withStep('stars', { passes: [{ ...stars.passes[0]!, load }] })
    expect(told(plain, other)[0]).toContain('Chalk instead of Gull White')
  })

  it('tells of a move where to, and of how a tool is used', () => {
    expect(told(plain, withStep('leaf', { at: [40, -45] }))[0]).toMatch(/on .*forehead instead of on .*cheek/)
    const wetter = withStep('stars', { passes: [{ ...stars.passes[0]!, wetness: 'runny' }] })
    expect(told(plain, wetter)[0]).toMatch(/colour: .*runny.*was .*/)
  })

  it('pairs a step that takes the place of another, and tells what is more or less', () => {
    const fans = { ...leaf, id: 'fans', label: 'Fans', stencil: 'fans' }
    const [instead] = differencesOf(inWorld(plain), inWorld({ ...plain, steps: [fans, stars] }))
    expect(instead).toMatchObject({ here: 'leaf', there: 'fans' })
    expect(instead!.words).toMatch(/the shell fans on .*cheek.* instead of the fern spray/)
    expect(told(plain, { ...plain, steps: [leaf] })).toEqual(['Step 2, Stars: not there.'])
    expect(told({ ...plain, steps: [leaf] }, plain)[0]).toMatch(/^Star set in white besides, on the forehead/)
  })

  it('tells the order, the person and steps that are left out', () => {
    expect(told(plain, { ...plain, steps: [stars, leaf] })).toEqual(['The steps in another order.'])
    expect(told(plain, { ...plain, skin: { ...plain.skin, eyes: 'closed' } })).toEqual(['With eyes closed.'])
    const shorter = { ...withStep('stars', { optional: true }), shorter: true }
    expect(told(withStep('stars', { optional: true }), shorter)).toEqual(['Step 2, Stars: left out.'])
  })

  it('passes over nothing, even where it has no words for it', () => {
    expect(told(plain, withStep('stars', { worth: 9 }))).toEqual(['Step 2, Stars: in its details.'])
  })

  it('tells of every pair of demo looks of one family', () => {
    const family = looks.filter(l => familyOf(l).id === 'demo-ember-wing')
    expect(family).toHaveLength(4)
    for (const other of family.slice(1)) expect(told(family[0]!, other).length).toBeGreaterThan(0)
  })
})

describe('taking a step over', () => {
  const fans = { ...leaf, id: 'fans', label: 'Fans', stencil: 'fans', group: 'g' }
  const other: Look = { ...plain, id: 'other', steps: [fans, stars], groups: [{ id: 'g', name: 'Wings' }] }

  it('changes, replaces, adds and takes out', () => {
    const moved = withStep('stars', { at: [10, -60] })
    const changed = applied(plain, takeOver({ here: 'stars', there: 'stars' }, moved))
    expect(changed.steps.map(s => s.id)).toEqual(['leaf', 'stars'])
    expect((changed.steps[1] as SheetStep).at).toEqual([10, -60])
    const replaced = applied(plain, takeOver({ here: 'leaf', there: 'fans' }, other))
    expect(replaced.steps.map(s => s.id)).toEqual(['fans', 'stars'])
    expect(replaced.groups).toEqual(other.groups)
    const added = applied(
      plain,
      takeOver({ here: null, there: 'fans' }, { ...other, steps: [leaf, fans, stars] }),
    )
    expect(added.steps.map(s => s.id)).toEqual(['leaf', 'fans', 'stars'])
    const less = applied(plain, takeOver({ here: 'leaf', there: null }, other))
    expect(less.steps.map(s => s.id)).toEqual(['stars'])
    expect(plain.steps).toHaveLength(2)
  })

  it('makes one look of two when every difference is taken over, in any demo family', () => {
    const [a, b] = looks.filter(l => familyOf(l).id === 'demo-ember-wing')
    let now = a!
    for (const difference of differencesOf(inWorld(a!), inWorld(b!)))
      if (difference.here ?? difference.there) now = applied(now, takeOver(difference, b!))
    expect(now.steps).toEqual(b!.steps)
  })

  it('refuses what would hang on nothing, with a sentence', () => {
    const held = {
      ...stars,
      id: 'held',
      label: 'Held',
      register: { on: 'leaf', way: 'edge' as const, turn: 0, shift: [0, 0] as [number, number] },
    }
    const hanging: Look = { ...plain, steps: [leaf, held] }
    const bare: Look = { ...plain, steps: [stars] }
    expect(() => applied(bare, takeOver({ here: null, there: 'held' }, hanging))).toThrow(Refused)
    expect(() => applied(bare, takeOver({ here: null, there: 'held' }, hanging))).toThrow(/"Leaf"/)
    expect(() => applied(hanging, takeOver({ here: 'leaf', there: null }, bare))).toThrow(/"Held"/)
  })
})
