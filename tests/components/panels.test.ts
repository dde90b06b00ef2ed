import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Finding } from '#core/checks'
import { freshGem, freshSheet, type SheetStep } from '#core/look'
import BuildStrip from '../../app/components/bench/BuildStrip.vue'
import FindingList from '../../app/components/bench/FindingList.vue'
import PassesField from '../../app/components/bench/controls/PassesField.vue'
import SwitchField from '../../app/components/bench/controls/SwitchField.vue'
import { useAnalysis } from '../../app/stores/analysis'
import { useSelection } from '../../app/stores/selection'
import { useSession } from '../../app/stores/session'
import { MIDLINE, paint } from '../unit/world'
import { lookNow, openLook, shown } from './bench'

const soot = paint('soot')
const stars = freshSheet('stars', 'Stars', 'star-set', [0, -40], soot)
const gem = (id: string) => ({ ...freshGem(id, [30, 30]), label: `Gem ${id}` })
const sheetNow = () => lookNow().steps[0] as SheetStep

const finding = (more: Partial<Finding>): Finding => ({
  check: 'bleeding',
  stepId: 'stars',
  level: 'warning',
  title: 'The paint may run',
  why: 'The sponge is wet.',
  fix: null,
  ...more,
})

describe('the list of findings', () => {
  beforeEach(() => openLook([stars]))

  it('tells of each how grave it is, what it is and why', () => {
    const page = shown(FindingList, {
      findings: [
        finding({}),
        finding({ check: 'eyes', level: 'problem', title: 'On the eye', why: 'Move it.' }),
      ],
    })
    expect(page.findAll('[data-finding]').map(f => [f.attributes('data-finding'), f.text()])).toEqual([
      ['bleeding', 'Warning The paint may run. The sponge is wet.'],
      ['eyes', 'Problem On the eye. Move it.'],
    ])
  })

  it('mends by one press, as one step of undo', async () => {
    const fix = { words: 'Dab it three times', sets: [{ path: ['passes', 0, 'dabs'], to: 3 }] }
    const page = shown(FindingList, { findings: [finding({ fix })] })
    const before = lookNow()
    await page.get('button').trigger('click')
    expect(sheetNow().passes[0]!.dabs).toBe(3)
    useSession().undo()
    expect(lookNow()).toEqual(before)
  })

  it('says that it is of before the last change while the look is checked again', async () => {
    const page = shown(FindingList, { findings: [finding({})] })
    expect(useAnalysis().checking).toBe(true)
    expect(page.text()).toContain('Of before the last change; being checked again.')
    expect(page.get('ul').attributes('aria-busy')).toBe('true')
  })
})

describe('the colour layers of a stencil', () => {
  const layers = () => {
    const page = shown(PassesField, { step: sheetNow() })
    useSession().$subscribe(() => page.setProps({ step: sheetNow() }), { flush: 'sync' })
    return page
  }
  const press = async (page: ReturnType<typeof layers>, words: string) => {
    const found = page.findAll('button').find(b => b.text() === words || b.attributes('aria-label') === words)
    await found!.trigger('click')
    await flushPromises()
  }
  /** A switch by the words before it; undefined when there is none. */
  const switchOf = (page: ReturnType<typeof layers>, words: string) =>
    page
      .findAllComponents(SwitchField)
      .find(field => field.props('label') === words)
      ?.get('[role=switch]')
  beforeEach(() => openLook([stars]))

  it('gets another like its last, with two dabs, and loses the one that is deleted', async () => {
    const page = layers()
    await press(page, 'Another colour layer')
    expect(sheetNow().passes).toEqual([stars.passes[0], { ...stars.passes[0], dabs: 2 }])
    await press(page, 'Delete colour layer 1')
    expect(sheetNow().passes).toEqual([{ ...stars.passes[0], dabs: 2 }])
  })

  it('keeps its last layer, and has eight at most', async () => {
    const page = layers()
    expect(page.find('[aria-label="Delete colour layer 1"]').exists()).toBe(false)
    for (let n = 1; n < 8; n++) await press(page, 'Another colour layer')
    expect(sheetNow().passes).toHaveLength(8)
    expect(page.findAll('button').some(b => b.text() === 'Another colour layer')).toBe(false)
  })

  it('dabs all openings, or those of a group', async () => {
    await openLook([freshSheet('hare', 'Hare', 'hare-head', [0, -40], soot)])
    const page = layers()
    const select = page.get<HTMLSelectElement>('[aria-label="Openings of layer 1"]')
    const group = select.findAll('option')[1]!.element.value
    expect(group).toMatch(/^group:/)
    await select.setValue(group)
    expect(sheetNow().passes[0]!.openings).toEqual({ use: 'group', name: group.slice('group:'.length) })
    await select.setValue('all')
    expect(sheetNow().passes[0]!.openings).toEqual({ use: 'all' })
  })

  it('that runs out to nothing gets a way along which it does, and loses both again', async () => {
    const page = layers()
    const runsOut = () => switchOf(page, 'Runs out to nothing')!
    await runsOut().trigger('click')
    await flushPromises()
    expect(sheetNow().passes[0]).toMatchObject({ runsOut: 0.3, axis: expect.anything() })
    await runsOut().trigger('click')
    await flushPromises()
    expect(sheetNow().passes[0]).not.toHaveProperty('runsOut')
    expect(sheetNow().passes[0]).not.toHaveProperty('axis')
  })

  it('goes on without reloading only where the tool holds that colour already', async () => {
    const page = layers()
    const offered = () => switchOf(page, 'Goes on without reloading')
    expect(offered()).toBeUndefined()
    await press(page, 'Another colour layer')
    await offered()!.trigger('click')
    await flushPromises()
    expect(sheetNow().passes.map(p => p.carries)).toEqual([undefined, true])
  })
})

describe('the build strip', () => {
  const strip = () => shown(BuildStrip, { playTo: null })
  const card = (page: ReturnType<typeof strip>, id: string) => page.get(`[data-step="${id}"]`)

  it('says where the build begins while there is no step', async () => {
    await openLook([])
    expect(strip().text()).toContain('The build begins here')
  })

  it('shows each step with its number, name, group and twin, in the order in which it is painted', async () => {
    await openLook(
      [
        { ...stars, twin: MIDLINE },
        { ...gem('a'), group: 'crown', optional: true },
      ],
      {
        groups: [{ id: 'crown', name: 'Crown' }],
      },
    )
    const page = strip()
    expect(page.findAll('[data-step]').map(s => s.attributes('data-step'))).toEqual(['stars', 'a'])
    expect(card(page, 'stars').text()).toMatch(/^1twin.*Stars$/)
    expect(card(page, 'a').text()).toMatch(/^2.*, optional.*Crown: Gem a$/)
  })

  it('stands a gate where the hands wait, with its seconds and what they wait for', async () => {
    await openLook([stars, gem('a')])
    const page = strip()
    useAnalysis().times = { waits: [{ before: 'a', seconds: 31.6, on: 'stars' }] } as never
    await flushPromises()
    expect(page.get('[data-gate]').text()).toBe('wait 32 s')
    expect(page.get('[data-gate]').attributes('title')).toContain('"Stars" is dry')
  })

  it('marks a step by the gravest of its findings', async () => {
    await openLook([stars, gem('a')])
    const page = strip()
    useAnalysis().findings = [
      finding({}),
      finding({ level: 'problem' }),
      finding({ stepId: 'a', level: 'tip' }),
    ]
    await flushPromises()
    expect(card(page, 'stars').text()).toContain('problem')
    expect(card(page, 'a').text()).not.toMatch(/problem|warning/)
  })

  it('is one stop of the keyboard; arrows go from step to step, and with Alt they move it', async () => {
    await openLook([gem('a'), gem('b'), gem('c')])
    const page = strip()
    const selection = useSelection()
    const stops = () => page.findAll('[data-step]').map(s => s.attributes('tabindex'))
    expect(stops()).toEqual(['0', '-1', '-1'])
    await card(page, 'a').trigger('keydown', { key: 'ArrowRight' })
    expect(selection.id).toBe('b')
    await flushPromises()
    expect(stops()).toEqual(['-1', '0', '-1'])
    expect(document.activeElement?.getAttribute('data-step')).toBe('b')
    await card(page, 'b').trigger('keydown', { key: 'ArrowRight', altKey: true })
    await flushPromises()
    expect(lookNow().steps.map(s => s.id)).toEqual(['a', 'c', 'b'])
    await card(page, 'a').trigger('keydown', { key: 'ArrowLeft', altKey: true })
    expect(lookNow().steps.map(s => s.id)).toEqual(['a', 'c', 'b'])
  })

  it('selects several with Shift, and offers "shorter" where a step may go', async () => {
    await openLook([gem('a'), { ...gem('b'), optional: true }])
    const page = strip()
    await card(page, 'b').trigger('click', { shiftKey: true })
    expect([...useSelection().ids]).toEqual(expect.arrayContaining(['a', 'b']))
    await page.get('[data-testid=shorter]').trigger('click')
    expect(lookNow().shorter).toBe(true)
    await flushPromises()
    expect(card(page, 'b').text()).toContain('left out now')
  })
})
