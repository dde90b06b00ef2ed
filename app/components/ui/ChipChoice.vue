<script setup lang="ts" generic="T extends string">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'

/** One of a few, as chips in a row; arrow keys go from one to the next. */
const model = defineModel<T>({ required: true })
defineProps<{ label: string; options: Readonly<Record<T, string>>; quiet?: boolean; disabled?: boolean }>()
</script>

<template>
  <RadioGroup v-model="model" :disabled="disabled">
    <RadioGroupLabel class="eyebrow" :class="quiet && 'sr-only'">{{ label }}</RadioGroupLabel>
    <div class="mt-1 flex flex-wrap gap-1">
      <RadioGroupOption v-for="(words, value) in options" :key="value" :value="value" as="template">
        <button type="button" class="chip">{{ words }}</button>
      </RadioGroupOption>
    </div>
  </RadioGroup>
</template>
