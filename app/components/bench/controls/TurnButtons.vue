<script setup lang="ts">
import { RotateCcw, RotateCw } from '@lucide/vue'

/** Turns what is in hand by a step to the left or to the right; degrees clockwise. */
defineEmits<{ turn: [degrees: number] }>()
</script>

<template>
  <button
    class="btn px-2"
    v-tip="'Turn 15° left (Shift [)'"
    aria-label="Turn 15 degrees left"
    @click="$emit('turn', -15)"
  >
    <RotateCcw :size="15" />
  </button>
  <button
    class="btn px-2"
    v-tip="'Turn 15° right (Shift ])'"
    aria-label="Turn 15 degrees right"
    @click="$emit('turn', 15)"
  >
    <RotateCw :size="15" />
  </button>
</template>
