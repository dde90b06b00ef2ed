<script setup lang="ts">
import { KEYS } from './keys'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const settings = useSettings()
</script>

<template>
  <PanelDialog :open="open" title="Keys on the bench" wide @close="emit('close')">
    <dl class="grid grid-cols-2 gap-x-8 gap-y-1.5">
      <div v-for="k in KEYS" :key="k.keys" class="flex items-baseline gap-3 border-b border-rule pb-1.5">
        <dt class="w-28 shrink-0">
          <kbd class="rounded-md border border-rule bg-card px-1.5 py-0.5 font-sans text-sm font-semibold">{{
            k.keys
          }}</kbd>
        </dt>
        <dd>{{ k.does }}</dd>
      </div>
    </dl>
    <div class="mt-4 max-w-60">
      <SwitchField v-model="settings.letterKeys" label="Single letters do something" />
      <SwitchField v-model="settings.inches" class="mt-1.5" label="Show inches instead of mm" />
    </div>
  </PanelDialog>
</template>
