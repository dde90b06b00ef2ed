<script setup lang="ts">
import { Archive, Camera, FilePlus2 } from '@lucide/vue'

/** Ways to begin in a house where nothing is yet. */
const emit = defineEmits<{ brought: []; backup: []; lookAround: [] }>()
</script>

<template>
  <div>
    <h2 class="font-display text-xl">No looks yet</h2>
    <p class="text-soft">Three ways to begin:</p>
    <ul class="mx-auto mt-5 grid max-w-3xl gap-3 text-left sm:grid-cols-3">
      <li class="flex flex-col items-start gap-2 rounded-xl border border-rule bg-card p-4">
        <h3 class="font-display text-lg font-semibold">With the demo's things</h3>
        <p class="mb-auto text-soft">Stencils, paints and looks of the Saltmarsh Lantern Fair, to try.</p>
        <BringDemo @brought="emit('brought')" />
      </li>
      <li class="flex flex-col items-start gap-2 rounded-xl border border-rule bg-card p-4">
        <h3 class="font-display text-lg font-semibold">With your own</h3>
        <p class="mb-auto text-soft">Photograph your stencils, or bring a backup of another machine.</p>
        <NuxtLink to="/drawer/photo" class="btn"><Camera :size="16" />Photograph stencils</NuxtLink>
        <button class="btn" @click="emit('backup')"><Archive :size="16" />Bring a backup</button>
      </li>
      <li class="flex flex-col items-start gap-2 rounded-xl border border-rule bg-card p-4">
        <h3 class="font-display text-lg font-semibold">Only look around</h3>
        <p class="mb-auto text-soft">A bare face on the bench. Nothing is kept that you do not paint.</p>
        <button class="btn" @click="emit('lookAround')"><FilePlus2 :size="16" />Open a face</button>
      </li>
    </ul>
  </div>
</template>
