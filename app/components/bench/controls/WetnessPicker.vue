<script setup lang="ts">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
import { WETNESSES, type Wetness } from '#core/paint'

const wetness = defineModel<Wetness>({ required: true })
</script>

<template>
  <RadioGroup
    v-model="wetness"
    class="flex rounded-lg border border-rule bg-field p-0.5"
    aria-label="Wetness"
  >
    <RadioGroupOption v-for="w in WETNESSES" :key="w" v-slot="{ checked }" :value="w" as="template">
      <button
        class="flex-1 rounded-md px-1 py-0.5 text-[0.87rem]"
        :class="checked ? 'bg-mulberry font-semibold text-on' : 'text-soft hover:text-ink'"
      >
        {{ w }}
      </button>
    </RadioGroupOption>
  </RadioGroup>
</template>
