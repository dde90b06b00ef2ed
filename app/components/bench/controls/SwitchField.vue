<script setup lang="ts">
import { Switch, SwitchGroup, SwitchLabel } from '@headlessui/vue'

const on = defineModel<boolean>({ required: true })
defineProps<{ label: string }>()
</script>

<template>
  <SwitchGroup as="div" class="flex items-center justify-between gap-2">
    <SwitchLabel class="text-[0.93rem]">{{ label }}</SwitchLabel>
    <Switch v-model="on" class="inline-flex w-9 shrink-0 items-center">
      <span class="h-5 w-9 rounded-full p-0.5 transition-colors" :class="on ? 'bg-mulberry' : 'bg-[#8d867b]'"
        ><span class="block size-4 rounded-full bg-white transition-transform" :class="on && 'translate-x-4'"
      /></span>
    </Switch>
  </SwitchGroup>
</template>
