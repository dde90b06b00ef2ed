<script setup lang="ts">
import { useEventListener } from '@vueuse/core'

/** What is to be drawn on the face, and how it is given up. */
const drawing = useDrawing()
useEventListener(window, 'keydown', event => {
  if (event.key === 'Escape') drawing.asked = null
})
</script>

<template>
  <p
    v-if="drawing.asked"
    class="flex items-center gap-1.5 rounded-full bg-ink/85 py-0.5 pr-1 pl-3 text-sm whitespace-nowrap text-paper"
    data-testid="drawing-bar"
  >
    {{ drawing.asked.words
    }}<button class="rounded-full bg-paper px-2 font-semibold text-ink" @click="drawing.asked = null">
      Stop
    </button>
  </p>
</template>
