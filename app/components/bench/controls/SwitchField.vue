<script setup lang="ts">
import { Switch, SwitchGroup, SwitchLabel } from '@headlessui/vue'

const on = defineModel<boolean>({ required: true })
defineProps<{ label: string }>()
</script>

<template>
  <SwitchGroup as="div" class="flex items-center justify-between gap-2">
    <SwitchLabel class="text-[0.93rem]">{{ label }}</SwitchLabel>
    <Switch
      v-model="on"
      class="relative h-5 w-9 shrink-0 rounded-full transition-colors"
      :class="on ? 'bg-mulberry' : 'bg-[#8d867b]'"
    >
      <span
        class="absolute top-0.5 left-0.5 size-4 rounded-full bg-white transition-transform"
        :class="on && 'translate-x-4'"
      />
    </Switch>
  </SwitchGroup>
</template>
