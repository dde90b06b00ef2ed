<script setup lang="ts">
import type { CakeRef } from '#core/look'

/** The strips of a cake, as wide as they are; a press takes one up or leaves it. */
defineProps<{ strips: CakeRef['strips']; taken: readonly number[] }>()
const emit = defineEmits<{ toggle: [n: number] }>()
</script>

<template>
  <div class="flex gap-0.5" role="group" aria-label="Strips that are taken up">
    <button
      v-for="(s, n) in strips"
      :key="n"
      class="h-6 min-w-0 rounded border"
      :class="taken.includes(n) ? 'border-mulberry ring-1 ring-mulberry' : 'border-rule opacity-30'"
      :style="{ background: s.colour, flexGrow: s.width }"
      v-tip="taken.includes(n) ? `${s.name}: leave it out` : `${s.name}: take it up too`"
      :aria-label="s.name"
      :aria-pressed="taken.includes(n)"
      @click="emit('toggle', n)"
    />
  </div>
</template>
