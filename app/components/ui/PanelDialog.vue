<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'

const props = defineProps<{ open: boolean; title: string; wide?: boolean; huge?: boolean }>()
const emit = defineEmits<{ close: [] }>()

/** What had the focus before it opened. */
let before: Element | null = null
watch(
  () => props.open,
  open => {
    if (open) before = document.activeElement
    else giveBack()
  },
  { immediate: true },
)
onUnmounted(giveBack)
/** Puts the focus back, where closing has left it nowhere. */
function giveBack(): void {
  const to = before
  setTimeout(() => {
    const lost = !document.activeElement || document.activeElement === document.body
    if (lost && to instanceof HTMLElement && to.isConnected) to.focus()
  }, 60)
}
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/40" aria-hidden="true" />
    <div class="fixed inset-0 grid grid-cols-[minmax(0,1fr)] place-items-center overflow-y-auto p-2 sm:p-4">
      <DialogPanel
        class="w-full min-w-0 overflow-x-auto rounded-2xl border border-rule bg-paper p-3 shadow-2xl sm:p-5"
        :class="huge ? 'max-w-6xl' : wide ? 'max-w-3xl' : 'max-w-lg'"
      >
        <div class="mb-3 flex items-start justify-between gap-3">
          <DialogTitle class="font-display text-xl font-semibold">{{ title }}</DialogTitle>
          <button class="icon-btn" aria-label="Close" @click="emit('close')"><X :size="18" /></button>
        </div>
        <slot />
      </DialogPanel>
    </div>
  </Dialog>
</template>
