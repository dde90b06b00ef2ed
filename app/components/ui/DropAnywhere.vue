<script setup lang="ts">
import { useDropZone } from '@vueuse/core'

/** Files dropped anywhere on the window are taken. */
const props = defineProps<{ words: string }>()
const emit = defineEmits<{ files: [files: File[]] }>()
const { isOverDropZone } = useDropZone(document.body, {
  onDrop: files => {
    // A dialog takes what is dropped on it by itself.
    if (files?.length && !document.querySelector('[role="dialog"]')) emit('files', files)
  },
})
</script>

<template>
  <div
    v-if="isOverDropZone"
    class="pointer-events-none fixed inset-3 z-50 grid place-items-center rounded-3xl border-4 border-dashed border-mulberry bg-paper/85 font-display text-2xl font-bold"
  >
    {{ props.words }}
  </div>
</template>
