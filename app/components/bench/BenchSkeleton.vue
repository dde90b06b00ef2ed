<script setup lang="ts">
import CardPicture from './CardPicture.vue'

/** The bench before its look is there: the look's last picture, exactly where it will be painted. */
const { id } = defineProps<{ id: string }>()
const bench = useBenchLayout()
</script>

<template>
  <main class="grid h-dvh overflow-hidden" :style="{ gridTemplate: bench.frame.value }" aria-busy="true">
    <div class="min-h-13 border-b border-rule bg-card" style="grid-area: head" />
    <div v-if="bench.wide.value" class="border-r border-rule bg-paper" style="grid-area: tray" />
    <div class="relative overflow-hidden bg-stage" style="grid-area: face" data-testid="skeleton">
      <CardPicture :id="id" />
      <p
        role="status"
        class="absolute bottom-2 left-6 flex gap-3 rounded-full bg-ink/85 px-3 py-0.5 text-sm text-paper"
      >
        Opening…
        <NuxtLink to="/" class="underline">Stop</NuxtLink>
      </p>
    </div>
    <div v-if="bench.wide.value" class="border-l border-rule bg-paper" style="grid-area: card" />
    <div v-if="bench.area('build')" class="border-t border-rule bg-card" style="grid-area: build" />
  </main>
</template>
