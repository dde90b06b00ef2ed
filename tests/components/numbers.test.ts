import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import NumberInput from '../../app/components/ui/NumberInput.vue'
import CountStepper from '../../app/components/bench/controls/CountStepper.vue'
import { shown } from './bench'

/** A number field whose value is kept, as a form keeps it. */
function field(value: number | null, more: Record<string, unknown> = {}) {
  const page = shown(NumberInput, {
    'modelValue': value,
    'label': 'Width',
    'onUpdate:modelValue': (next: number | null) => page.setProps({ modelValue: next }),
    ...more,
  })
  return page
}
/** Types over what stands in the field, and leaves it. */
async function type(page: ReturnType<typeof field>, text: string): Promise<void> {
  const input = page.get('input')
  await input.setValue(text)
  await input.trigger('blur')
  await flushPromises()
}
const value = (page: ReturnType<typeof field>) => page.props('modelValue')
const refusal = (page: ReturnType<typeof field>) => {
  const alert = page.find('[role=alert]')
  return alert.exists() ? alert.text() : ''
}

describe('a field for a number', () => {
  it('takes a number within its bounds', async () => {
    const page = field(10, { min: 1, max: 50 })
    await type(page, '12.5')
    expect([value(page), refusal(page)]).toEqual([12.5, ''])
  })

  it.each([
    ['both bounds', { min: 1, max: 50 }, '60', '60 is out of bounds: 1 to 50.'],
    ['a least value', { min: 1 }, '0', 'At least 1.'],
    ['a greatest value', { max: 50 }, '51', 'At most 50.'],
  ])(
    'refuses what is beyond %s with a sentence, and shows again what is kept',
    async (_, bounds, text, why) => {
      const page = field(10, bounds)
      await type(page, text)
      expect([value(page), refusal(page)]).toEqual([10, why])
      expect(page.get('input').element.value).toBe('10')
      expect(page.get('input').attributes('aria-invalid')).toBe('true')
    },
  )

  it('takes a refusal back with the next good number', async () => {
    const page = field(10, { min: 1, max: 50 })
    await type(page, '60')
    await type(page, '20')
    expect([value(page), refusal(page)]).toEqual([20, ''])
  })

  it('needs a number where it may not be empty, and means none where it may', async () => {
    const needed = field(10)
    await type(needed, '')
    expect([value(needed), refusal(needed)]).toEqual([10, 'A number is needed here.'])
    const clearable = field(10, { clearable: true })
    await type(clearable, '')
    expect([value(clearable), refusal(clearable)]).toEqual([null, ''])
  })

  it('keeps more digits than it shows when it is only visited', async () => {
    const page = field(1 / 3)
    expect(page.get('input').element.value).toBe('0.333')
    await page.get('input').trigger('focus')
    await page.get('input').trigger('blur')
    expect(value(page)).toBe(1 / 3)
  })

  it('counts while it is typed only in a form that asks for it', async () => {
    const once = field(10)
    await once.get('input').setValue('12')
    expect(value(once)).toBe(10)
    const live = field(10, { live: true, min: 1, max: 50 })
    await live.get('input').setValue('12')
    expect(value(live)).toBe(12)
    await live.get('input').setValue('60')
    expect(value(live)).toBe(12)
  })
})

describe('a field for a number, where a comma is the decimal sign', () => {
  afterEach(() => vi.restoreAllMocks())

  it('is written with a comma and read with one', async () => {
    vi.spyOn(navigator, 'language', 'get').mockReturnValue('de-DE')
    const page = field(2.5)
    expect(page.get('input').element.value).toBe('2,5')
    await type(page, '3,75')
    expect(value(page)).toBe(3.75)
  })

  it('takes a point that is typed as its comma', async () => {
    vi.spyOn(navigator, 'language', 'get').mockReturnValue('de-DE')
    const page = field(2)
    const input = page.get('input').element
    input.value = '3'
    input.setSelectionRange(1, 1)
    const typed = new InputEvent('beforeinput', { data: '.', bubbles: true, cancelable: true })
    input.dispatchEvent(typed)
    expect([typed.defaultPrevented, input.value]).toEqual([true, '3,'])
  })
})

describe('a counter', () => {
  const counter = (count: number, more: Record<string, unknown> = {}) => {
    const page = shown(CountStepper, {
      'modelValue': count,
      'label': 'dabs',
      'onUpdate:modelValue': (next: number) => page.setProps({ modelValue: next }),
      ...more,
    })
    return page
  }

  it('goes one up and one down, and not past its bounds', async () => {
    const page = counter(2, { most: 3 })
    const press = (key: string) => page.get('input').trigger('keydown', { key })
    await press('ArrowUp')
    expect(page.props('modelValue')).toBe(3)
    expect(page.get('[aria-label="more dabs"]').attributes('disabled')).toBeDefined()
    await press('ArrowDown')
    expect(page.props('modelValue')).toBe(2)
    expect(page.get('[aria-label="more dabs"]').attributes('disabled')).toBeUndefined()
  })

  it('brings what is typed to the nearest whole number within its bounds', async () => {
    const page = counter(2, { most: 12 })
    for (const [text, count] of [
      ['40', 12],
      ['0', 1],
      ['3.6', 4],
    ] as const) {
      await page.get('input').setValue(text)
      await page.get('input').trigger('blur')
      await flushPromises()
      expect(page.props('modelValue'), text).toBe(count)
    }
  })
})
