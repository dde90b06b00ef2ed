<script setup lang="ts">
import { ChevronDown, ChevronUp } from '@lucide/vue'
import type { BenchPanel } from '~/composables/useBenchLayout'

/** Which panel lies beside the face, where there is no room for all of them. */
const bench = useBenchLayout()
const { panels, shown } = bench
function press(id: BenchPanel): void {
  bench.panel.value = shown.value === id ? null : id
}
</script>

<template>
  <nav class="flex border-t border-rule bg-card" aria-label="Panels">
    <button
      v-for="[id, words] in panels"
      :key="id"
      class="flex min-h-11 flex-1 items-center justify-center gap-1 font-semibold"
      :class="shown === id ? 'border-b-2 border-mulberry text-mulberry' : 'text-soft'"
      :aria-expanded="shown === id"
      @click="press(id)"
    >
      {{ words }}<component :is="shown === id ? ChevronDown : ChevronUp" :size="15" />
    </button>
  </nav>
</template>
