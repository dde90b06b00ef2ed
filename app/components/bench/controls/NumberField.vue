<script setup lang="ts">
/** A number with its words and unit; one that is out of bounds is told and changes nothing. */
const value = defineModel<number>({ required: true })
const props = withDefaults(
  defineProps<{ label: string; unit?: string; least: number; most: number; step?: number }>(),
  { unit: '', step: 1 },
)
const words = computed(() => `${props.label}${props.unit ? `, ${props.unit}` : ''}`)
function put(event: Event): void {
  const box = event.target as HTMLInputElement
  const v = box.valueAsNumber
  if (v >= props.least && v <= props.most) value.value = v
  else box.reportValidity()
}
</script>

<template>
  <label class="block text-[0.87rem] leading-tight"
    >{{ words
    }}<input
      v-kept="value"
      class="field"
      type="number"
      :min="least"
      :max="most"
      :step="step"
      :aria-label="words"
      @change="put"
  /></label>
</template>
