import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { freshSheet, type SheetStep } from '#core/look'
import PassesField from '../../app/components/bench/controls/PassesField.vue'
import BaseTray from '../../app/components/bench/BaseTray.vue'
import StepMenu from '../../app/components/bench/StepMenu.vue'
import { layCommand, offerCommands, useCommands } from '../../app/composables/useCommands'
import { useToolsByName } from '../../app/composables/useToolsByName'
import { paint } from '../unit/world'
import { lookNow, openLook, shown } from './bench'

const stars = freshSheet('stars', 'Stars', 'star-set', [0, -40], paint('soot'))

/** Opens the menu of a right press on something, where some commands are offered. */
async function menu(offered: Parameters<typeof offerCommands>[0], commands: readonly string[]) {
  const page = shown(
    defineComponent(() => {
      offerCommands(offered)
      return () => h(StepMenu, { commands }, () => h('button', 'here'))
    }),
  )
  await page.get('button').trigger('contextmenu')
  await flushPromises()
  return [...document.querySelectorAll<HTMLElement>('[role=menuitem]')]
}

describe('a command is known by its id', () => {
  beforeEach(() => openLook([stars]))

  it('lays the stencil that was pressed, where another has the same name', async () => {
    const laid = vi.fn()
    const lay = (id: string) => ({ id: layCommand(id), words: 'Lay Stars', run: () => laid(id) })
    const items = await menu(() => [lay('first'), lay('second')], [layCommand('second')])
    expect(items.map(item => item.textContent)).toEqual(['Lay Stars'])
    items[0]!.click()
    expect(laid.mock.calls).toEqual([['second']])
  })

  it('and no two of the tray have the same', () => {
    let ids: string[] = []
    shown(
      defineComponent(() => {
        offerCommands(useToolsByName())
        ids = useCommands().value.map(c => c.id)
        return () => null
      }),
    )
    expect(ids.length).toBeGreaterThan(30)
    expect(ids.filter((id, i) => ids.indexOf(id) !== i)).toEqual([])
  })
})

const LOOP: [number, number][] = [
  [0, -50],
  [12, -50],
  [6, -38],
]

it('the layer for which a part is drawn is the only one that says so', async () => {
  const part = { by: 'shape' as const, loop: LOOP, fades: 0 }
  const [pass] = stars.passes
  await openLook([
    {
      ...stars,
      passes: [
        { ...pass!, part },
        { ...pass!, part, dabs: 2 },
      ],
    },
  ])
  const page = shown(PassesField, { step: lookNow().steps[0] as SheetStep })
  const draws = () => page.findAll('button').filter(b => b.text() === 'Draw it anew')
  expect(draws()).toHaveLength(2)
  await draws()[1]!.trigger('click')
  await flushPromises()
  expect(draws().map(b => b.attributes('aria-pressed'))).toEqual(['false', 'true'])
})

it('a base is laid over the areas that were chosen, under their names', async () => {
  await openLook([])
  const page = shown(BaseTray)
  const press = (words: string) =>
    page
      .findAll('button')
      .find(b => b.text() === words || b.attributes('aria-label') === words)!
      .trigger('click')
  await press('Cheeks')
  await press('Chin')
  await press('Plum Dusk')
  await press('Lay this base')
  expect(lookNow().steps).toEqual([
    expect.objectContaining({ zones: ['left.cheek', 'right.cheek', 'chin'], label: 'Base, cheeks and chin' }),
  ])
})
