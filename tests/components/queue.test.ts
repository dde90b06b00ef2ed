import { flushPromises } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { freshDots, freshGem, type Step } from '#core/look'
import QueuePanel from '../../app/components/bench/plan/QueuePanel.vue'
import { paint, ground } from '../unit/world'
import { lookNow, openLook, shown } from './bench'

const soot = paint('soot')
const gem = (id: string, optional: boolean): Step => ({
  ...freshGem(id, [id.length * 10, 30]),
  label: `Gem ${id}`,
  optional,
})
/** The panel, once it has worked out what can go. */
async function panel() {
  const page = shown(QueuePanel)
  await vi.waitFor(() => expect(page.find('[data-testid=queue-told]').exists()).toBe(true), 10_000)
  await flushPromises()
  return page
}
const told = (page: Awaited<ReturnType<typeof panel>>) => page.get('[data-testid=queue-told]').text()
const give = async (page: Awaited<ReturnType<typeof panel>>, name: string, text: string) => {
  const field = page.get<HTMLInputElement>(`[aria-label="Time with ${name}"]`)
  field.element.value = text
  await field.trigger('change')
  await vi.waitFor(() => expect(page.find('[aria-busy=true]').exists()).toBe(false), 10_000)
  return field
}

/** Dots enough for half a minute. */
const run = freshDots('dots', 'row', [0, 60], null, soot, ground, [0, 0])
const row: Step = { ...run, params: { ...run.params, count: 40 } }

describe('what goes when others wait', () => {
  it('says how steps are marked while none may go', async () => {
    await openLook([gem('a', false)])
    expect((await panel()).text()).toContain('No step of this look may go yet.')
  })

  it('names what goes and what that saves, and keeps it as a variant', async () => {
    await openLook([gem('a', false), gem('bb', true), gem('ccc', true), gem('dddd', true)])
    const page = await panel()
    await give(page, 'three waiting', '0:20')
    expect(told(page)).toMatch(/Goes: Gem (bb|ccc|dddd)/)
    expect(told(page)).toMatch(/\d:\d\d less, 0:\d\d in all/)
    await page
      .findAll('button')
      .find(b => b.text() === 'Keep it as a variant')!
      .trigger('click')
    expect(lookNow().switches).toEqual([expect.objectContaining({ name: 'all but for 0:20' })])
    expect(page.emitted('close')).toHaveLength(1)
  })

  it('says so when all of it fits, and when not even what must be done does', async () => {
    await openLook([row, gem('a', true)])
    const page = await panel()
    await give(page, 'three waiting', '100:00')
    expect(told(page)).toContain('Nothing has to go')
    await give(page, 'three waiting', '0:10')
    expect(told(page)).toContain('Not even what must be done can be painted in 0:10')
  })

  it.each(['soon', '0:05', '121:00', '1:75'])(
    'refuses "%s" with a sentence and keeps what it had',
    async text => {
      await openLook([gem('a', false), gem('bb', true)], { queue: { three: 60, ten: 40 } })
      const page = await panel()
      const field = await give(page, 'ten waiting', text)
      expect(page.get('[role=alert]').text()).toBe(
        'Give minutes and seconds, such as 4:20, from 0:10 to 120:00.',
      )
      expect(field.element.value).toBe('0:40')
      expect(lookNow().queue).toEqual({ three: 60, ten: 40 })
    },
  )
})
