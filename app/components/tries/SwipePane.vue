<script setup lang="ts">
import type { PaintedTry } from '~/composables/useTryPictures'
import type { SharedView } from './sharedView'

/** Two tries over one another: a line that is pulled across parts them. */
defineProps<{
  first: PaintedTry | null
  second: PaintedTry | null
  letters: readonly [string, string]
  view: SharedView
  widest: number
}>()
/** Where the line is, % from the left. */
const at = ref(50)
</script>

<template>
  <div class="relative h-full" data-testid="swipe">
    <TryPane
      :painted="first"
      :view
      :widest
      :label="`Try ${letters[0]}, left of the line`"
      class="absolute! inset-0"
    />
    <TryPane
      :painted="second"
      :view
      :widest
      :label="`Try ${letters[1]}, right of the line`"
      class="absolute! inset-0"
      :style="{ clipPath: `inset(0 0 0 ${at}%)` }"
    />
    <div
      class="pointer-events-none absolute inset-y-0 w-0.5 bg-mulberry ring-1 ring-white"
      :style="{ left: `${at}%` }"
    />
    <span class="absolute top-2 left-2 rounded-full bg-ink/85 px-2.5 font-display text-lg text-paper">{{
      letters[0]
    }}</span>
    <span class="absolute top-2 right-2 rounded-full bg-ink/85 px-2.5 font-display text-lg text-paper">{{
      letters[1]
    }}</span>
    <input
      v-model.number="at"
      type="range"
      min="0"
      max="100"
      class="absolute inset-x-4 bottom-3 accent-mulberry"
      :aria-label="`How much of try ${letters[0]} is seen, per cent`"
    />
  </div>
</template>
