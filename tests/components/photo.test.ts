import { describe, expect, it, vi } from 'vitest'
import { READ_CHOICES } from '#core/photo'
import OpeningsStep from '../../app/components/photo/OpeningsStep.vue'
import SizePanel, { type Size } from '../../app/components/photo/SizePanel.vue'
import { useReading } from '../../app/stores/reading'
import { shown } from './bench'

const SIZE: Size = { by: 'sides', of: 'sheet', width: null, height: null, mm: null, bar: 100 }
const panel = (size: Partial<Size> = {}) => {
  const page = shown(SizePanel, {
    'modelValue': { ...SIZE, ...size },
    'guess': 'Its corners lie like those of letter paper.',
    'onUpdate:modelValue': (next: Size) => page.setProps({ modelValue: next }),
  })
  return page
}
const press = (page: ReturnType<typeof panel>, words: string) =>
  page
    .findAll('button, [role=radio]')
    .find(b => b.text() === words)!
    .trigger('click')
const sizeOf = (page: ReturnType<typeof panel>) => page.props('modelValue') as Size

describe('how the size of a picture is known', () => {
  it('takes the sides of a paper by one press, upright or lying', async () => {
    const page = panel()
    await press(page, 'A5 portrait')
    expect([sizeOf(page).width, sizeOf(page).height]).toEqual([148, 210])
    await press(page, 'A5 landscape')
    expect([sizeOf(page).width, sizeOf(page).height]).toEqual([210, 148])
  })

  it('asks for what each way needs, and for nothing else', async () => {
    const page = panel()
    const asked = () => page.findAll('.eyebrow').map(e => e.text())
    expect(asked()).toEqual(expect.arrayContaining(['Upper side, mm', 'Left side, mm']))
    await press(page, 'Two points')
    expect(asked()).toEqual(expect.arrayContaining(['Distance between the blue points, mm']))
    expect(asked()).not.toContain('Upper side, mm')
    await press(page, '150 mm')
    expect(sizeOf(page)).toMatchObject({ by: 'distance', mm: 150 })
    await press(page, 'Calibration card')
    expect(asked()).toEqual(expect.arrayContaining(["The card's bar measures, mm"]))
    expect(page.text()).not.toContain('The four corners are those of')
  })

  it('says what corners of a paper are for, and what the corners look like', async () => {
    const page = panel()
    expect(page.text()).toContain('For one stencil with four straight sides.')
    expect(page.text()).toContain('Its corners lie like those of letter paper.')
    await press(page, 'the paper under it')
    expect(page.text()).toContain('For stencils of any shape')
    expect(sizeOf(page).of).toBe('ground')
  })

  it('refuses a side that no stencil has', async () => {
    const page = panel({ width: 100, height: 80 })
    const field = page.findAll('input')[0]!
    await field.setValue('900')
    await field.trigger('blur')
    await vi.waitFor(() => expect(page.get('[role=alert]').text()).toBe('900 is out of bounds: 15 to 500.'))
    expect(sizeOf(page).width).toBe(100)
  })
})

describe('the openings that are read', () => {
  const step = (more: object = {}) => {
    const reading = useReading()
    reading.flat = {
      histogram: Array.from({ length: 64 }, (_, i) => i + 1),
      otsu: 0.5,
      darkSheet: false,
    } as never
    reading.reading = { sheets: [{ draft: { openings: [{}] } }], edgeMm: 0.3, dropped: 0, ...more } as never
    return { reading, page: shown(OpeningsStep) }
  }

  it('tells how sharp the picture is, and what was left out', () => {
    expect(step().page.get('[role=status]').text()).toContain('Edges are 0.30 mm wide in the picture.')
    const soft = step({
      edgeMm: 0.7,
      dropped: 3,
      sheets: [{ draft: { openings: [{}] } }, { draft: { openings: [] } }],
    })
      .page.get('[role=status]')
      .text()
    expect(soft).toContain('on 2 stencils')
    expect(soft).toContain('a sharper one would show finer bridges')
    expect(soft).toContain('3 specks left out')
  })

  it('offers the middle only once the threshold was moved', async () => {
    const { page, reading } = step()
    const back = () => page.findAll('button').find(b => b.text() === 'Back to the middle')
    expect(back()).toBeUndefined()
    reading.choices.level = 0.7
    await vi.waitFor(() => expect(back()).toBeDefined())
    await back()!.trigger('click')
    expect(reading.choices.level).toBe(READ_CHOICES.level)
  })

  it('goes on only where something could be read', async () => {
    const { page, reading } = step()
    const onward = () => page.findAll('button').find(b => b.text() === 'Go on')!
    expect(onward().attributes('disabled')).toBeUndefined()
    reading.reading = null
    await vi.waitFor(() => expect(onward().attributes('disabled')).toBeDefined())
    expect(page.text()).toContain('Nothing could be read yet.')
  })
})
