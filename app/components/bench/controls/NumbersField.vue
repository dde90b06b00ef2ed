<script setup lang="ts" generic="K extends string">
/** Some numbers of a step side by side, each by its key, words, unit, bounds and step. */
defineProps<{
  numbers: readonly (readonly [
    key: K,
    words: string,
    unit: string,
    least: number,
    most: number,
    step: number,
  ])[]
  values: Readonly<Record<K, number>>
}>()
const emit = defineEmits<{ put: [key: K, words: string, value: number] }>()
</script>

<template>
  <NumberField
    v-for="[key, words, unit, least, most, by] in numbers"
    :key="key"
    :model-value="values[key]"
    :label="words"
    :unit="unit"
    :least="least"
    :most="most"
    :step="by"
    @update:model-value="v => emit('put', key, words, v)"
  />
</template>
