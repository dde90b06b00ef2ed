<script setup lang="ts">
import { NumberParser } from '@internationalized/number'
import { NumberFieldInput, NumberFieldRoot } from 'reka-ui'
import type { ComponentPublicInstance } from 'vue'

/**
 * A field for a number, written as the painter's language writes it (decimal comma), with arrows for its step.
 * One that is out of bounds is told and changes nothing; an empty field means null where that may be.
 */
const value = defineModel<number | null>({ required: true })
const props = withDefaults(
  defineProps<{
    label?: string
    min?: number
    max?: number
    step?: number
    placeholder?: string
    disabled?: boolean
    /** Whether it may be empty. */
    clearable?: boolean
    /** Whether what is typed counts while it is typed, as in a form; else once the field is left. */
    live?: boolean
  }>(),
  { label: undefined, min: undefined, max: undefined, step: 1, placeholder: undefined },
)
defineOptions({ inheritAttrs: false })
const FORMAT = { maximumFractionDigits: 3, useGrouping: false } as const
const locale = navigator.language
const writer = new Intl.NumberFormat(locale, FORMAT)
const written = (v: number | null | undefined): string =>
  v === null || v === undefined || Number.isNaN(v) ? '' : writer.format(v)

/** The decimal sign of the language, and the one of others. */
const decimal = writer.formatToParts(0.5).find(part => part.type === 'decimal')!.value
const other = decimal === ',' ? '.' : ','
/** A point typed where a comma is written, or the other way round, is the decimal sign too: it is not lost. */
function takeSign(event: InputEvent): void {
  const { data } = event
  if (!data?.includes(other) || data.includes(decimal)) return
  event.preventDefault()
  const field = event.target as HTMLInputElement
  const [from, to] = [field.selectionStart ?? field.value.length, field.selectionEnd ?? field.value.length]
  field.setRangeText(data.replace(other, decimal), from, to, 'end')
  field.dispatchEvent(new Event('input', { bubbles: true }))
}

const reader = new NumberParser(locale, FORMAT)
/** Takes a number while it is typed, once it reads as it would be written: nothing jumps under the hand. */
function takeTyped(event: Event): void {
  if (!props.live) return
  const { value: text } = event.target as HTMLInputElement
  const typed = text === '' ? null : reader.parse(text)
  if (written(typed) !== text || (typed === null && !props.clearable)) return
  const { min = -Infinity, max = Infinity } = props
  if (typed !== null && (typed < min || typed > max)) return
  refused.value = ''
  value.value = typed
}

const refused = ref('')
const box = useTemplateRef<ComponentPublicInstance>('box')
/** Says why a number cannot be, and shows again what is kept. */
async function refuse(words: string): Promise<void> {
  refused.value = words
  await nextTick()
  const field = box.value?.$el as HTMLInputElement | undefined
  if (!field) return
  field.value = written(value.value)
  field.dispatchEvent(new Event('input', { bubbles: true }))
}
function put(next: number | undefined): Promise<void> | void {
  const asked = next === undefined || Number.isNaN(next) ? null : next
  // Left as it was, it changes nothing: what is kept may have more digits than are shown.
  if (written(asked) === written(value.value)) return
  refused.value = ''
  const { min = -Infinity, max = Infinity } = props
  if (asked === null && !props.clearable) return refuse('A number is needed here.')
  if (asked !== null && (asked < min || asked > max)) return refuse(bounds(asked))
  value.value = asked
}
function bounds(asked: number): string {
  const { min, max } = props
  if (min !== undefined && max !== undefined)
    return `${written(asked)} is out of bounds: ${written(min)} to ${written(max)}.`
  return min !== undefined ? `At least ${written(min)}.` : `At most ${written(max)}.`
}
</script>

<template>
  <NumberFieldRoot
    as="span"
    class="contents"
    :model-value="value"
    :min="min"
    :max="max"
    :step="step"
    :disabled="disabled"
    :locale="locale"
    :format-options="FORMAT"
    :step-snapping="false"
    allow-invalid
    disable-wheel-change
    @update:model-value="put"
  >
    <NumberFieldInput
      ref="box"
      class="field"
      v-bind="$attrs"
      :aria-label="label"
      :placeholder="placeholder"
      :aria-invalid="refused !== '' || undefined"
      :data-kept="written(value)"
      @beforeinput.capture="takeSign"
      @input="takeTyped"
    />
  </NumberFieldRoot>
  <span v-if="refused" role="alert" class="block text-[0.8rem] text-stop">{{ refused }}</span>
</template>
