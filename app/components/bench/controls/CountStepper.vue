<script setup lang="ts">
import { Minus, Plus } from '@lucide/vue'
import { NumberFieldDecrement, NumberFieldIncrement, NumberFieldInput, NumberFieldRoot } from 'reka-ui'

const count = defineModel<number>({ required: true })
const props = withDefaults(defineProps<{ label: string; least?: number; most?: number }>(), {
  least: 1,
  most: 12,
})
/** Whole numbers within the bounds; what is typed beyond them comes to the nearest. */
function put(next: number | undefined): void {
  if (next === undefined || Number.isNaN(next)) return
  const whole = Math.min(props.most, Math.max(props.least, Math.round(next)))
  if (whole !== count.value) count.value = whole
}
</script>

<template>
  <NumberFieldRoot
    :model-value="count"
    :min="least"
    :max="most"
    :format-options="{ maximumFractionDigits: 0 }"
    disable-wheel-change
    :focus-on-change="false"
    class="inline-flex items-center rounded-lg border border-rule bg-field"
    @update:model-value="put"
  >
    <NumberFieldDecrement class="icon-btn size-7!" :aria-label="`fewer ${label}`"
      ><Minus :size="14"
    /></NumberFieldDecrement>
    <NumberFieldInput
      class="w-7 rounded bg-transparent text-center font-semibold"
      :aria-label="label"
      :data-kept="String(count)"
    />
    <NumberFieldIncrement class="icon-btn size-7!" :aria-label="`more ${label}`"
      ><Plus :size="14"
    /></NumberFieldIncrement>
  </NumberFieldRoot>
</template>
