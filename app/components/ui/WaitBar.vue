<script setup lang="ts">
/** A wait that is told, with how far it is where that is known, and a way to end it. */
const { words, done = null } = defineProps<{ words: string; done?: number | null }>()
const emit = defineEmits<{ stop: [] }>()
</script>

<template>
  <div role="status" class="flex items-center gap-3 text-soft">
    <progress class="h-1.5 w-28 accent-mulberry" :max="1" :value="done ?? undefined" aria-hidden="true" />
    <span>{{ words }}</span>
    <button class="btn" @click="emit('stop')">Stop</button>
  </div>
</template>
