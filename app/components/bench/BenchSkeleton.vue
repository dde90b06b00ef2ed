<script setup lang="ts">
import CardPicture from './CardPicture.vue'

/** The bench before its look is there: the look's last picture, exactly where it will be painted. */
const { id } = defineProps<{ id: string }>()
</script>

<template>
  <main
    class="grid h-screen min-h-[560px] min-w-[1000px] grid-cols-[264px_minmax(0,1fr)_316px] grid-rows-[52px_minmax(0,1fr)_124px]"
    aria-busy="true"
  >
    <div class="col-span-3 border-b border-rule bg-card" />
    <div class="border-r border-rule bg-paper" />
    <div class="relative overflow-hidden bg-stage" data-testid="skeleton">
      <CardPicture :id="id" />
      <p
        role="status"
        class="absolute bottom-2 left-6 flex gap-3 rounded-full bg-ink/85 px-3 py-0.5 text-sm text-paper"
      >
        Opening…
        <NuxtLink to="/" class="underline">Stop</NuxtLink>
      </p>
    </div>
    <div class="border-l border-rule bg-paper" />
    <div class="col-span-3 border-t border-rule bg-card" />
  </main>
</template>
