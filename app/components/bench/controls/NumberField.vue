<script setup lang="ts">
/** A number with its words and unit; one that is out of bounds is told and changes nothing. */
const value = defineModel<number>({ required: true })
const props = withDefaults(
  defineProps<{ label: string; unit?: string; least: number; most: number; step?: number }>(),
  { unit: '', step: 1 },
)
const words = computed(() => `${props.label}${props.unit ? `, ${props.unit}` : ''}`)
</script>

<template>
  <label class="block text-[0.87rem] leading-tight"
    >{{ words }}<NumberInput v-model="value" :min="least" :max="most" :step="step" :label="words"
  /></label>
</template>
