import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { freshGem, freshOutline, freshSheet, type Step } from '#core/look'
import ChairNow from '../../app/components/chair/ChairNow.vue'
import { useChair } from '../../app/stores/chair'
import { defineComponent, h } from 'vue'
import { ground, paint } from '../unit/world'
import { serveLook, shown } from './bench'

const base: Step = freshOutline('base', 'Red base', [0, -40], [paint('gull')], ground)
const stars: Step = freshSheet('stars', 'Stars', 'star-set', [0, -40], paint('soot'))
const gem: Step = { ...freshGem('gem', [30, 30]), label: 'Gem' }

// What a device keeps of a sitting has tests of its own.
vi.mock('../../app/sitting/kept', () => ({
  keepSitting: (own: object) => Promise.resolve({ ...own, heard: 0 }),
  keptSitting: () => Promise.resolve(undefined),
  openSitting: () => Promise.resolve(null),
  sendSitting: () => Promise.resolve(null),
  onSittingChanged: () => () => {},
}))

/** A look in the chair, begun, with what is in hand on the page. */
async function begun(...steps: Step[]) {
  const id = serveLook(steps)
  const chair = useChair()
  await chair.load(id)
  await vi.waitFor(() => expect(chair.known).not.toBeNull(), 10_000)
  chair.begin(
    steps.map(s => s.id),
    'whole',
    '018',
  )
  await flushPromises()
  // As on the page, where something else comes once all is done.
  return { chair, page: shown(defineComponent(() => () => (chair.now ? h(ChairNow) : null))) }
}
type Page = Awaited<ReturnType<typeof begun>>['page']
const done = async (page: Page) => {
  await page.get('[data-testid=done]').trigger('click')
  await flushPromises()
}
const inHand = (page: Page) => page.get('[data-testid=chair-step]').attributes('data-step')

describe('the step in hand', () => {
  beforeEach(() => {
    vi.spyOn(URL, 'createObjectURL').mockReturnValue('blob:picture')
  })

  it('is the first at first, with its tool and colours, and the next one below', async () => {
    const { page } = await begun(base, gem)
    expect(inHand(page)).toBe('base')
    expect(page.get('h1').text()).toBe('Red base')
    expect(page.get('[data-testid=chair-next]').text()).toContain('Gem')
    expect(page.get('[aria-label="Back to the step before"]').attributes('disabled')).toBeDefined()
  })

  it('goes on with "Done", and back again', async () => {
    const { page } = await begun(base, gem)
    await done(page)
    expect(inHand(page)).toBe('gem')
    expect(page.get('[data-testid=chair-next]').text()).toBe('the last one')
    await page.get('[aria-label="Back to the step before"]').trigger('click')
    await flushPromises()
    expect(inHand(page)).toBe('base')
  })

  it('ends after the last one, and writes down that it did', async () => {
    const { page, chair } = await begun(gem)
    await done(page)
    expect(chair.progress.ended).toBe(true)
    expect(chair.frame?.endedAt).toEqual(expect.any(String))
  })

  it('waits until what it lies on is dry, and says for what', async () => {
    const { page, chair } = await begun(base, stars)
    await done(page)
    expect(chair.gate).toMatchObject({ on: 'base', seconds: expect.any(Number) })
    expect(chair.gate.seconds).toBeGreaterThan(5)
    expect(page.text()).toContain('until "Red base" is dry: load meanwhile')
  })

  it('offers to go on where it pauses', async () => {
    const { page, chair } = await begun(base, gem)
    chair.act('pause')
    await flushPromises()
    expect(page.find('[data-testid=done]').exists()).toBe(false)
    await page.get('[data-testid=resume]').trigger('click')
    await flushPromises()
    expect(page.find('[data-testid=done]').exists()).toBe(true)
  })
})
