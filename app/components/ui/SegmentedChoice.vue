<script setup lang="ts" generic="T extends string">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'

/** One of a few that stand joined in a row; arrow keys go from one to the next. */
const model = defineModel<T>({ required: true })
defineProps<{ label: string; options: readonly (readonly [value: T, words: string])[] }>()
</script>

<template>
  <RadioGroup v-model="model" class="flex rounded-lg border border-rule bg-field p-0.5" :aria-label="label">
    <RadioGroupOption
      v-for="[value, words] in options"
      :key="value"
      v-slot="{ checked }"
      :value="value"
      as="template"
    >
      <button
        type="button"
        class="flex-auto rounded-md px-1 py-0.5 text-[0.87rem]"
        :class="checked ? 'bg-mulberry font-semibold text-on' : 'text-soft hover:text-ink'"
      >
        {{ words }}
      </button>
    </RadioGroupOption>
  </RadioGroup>
</template>
