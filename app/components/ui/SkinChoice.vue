<script setup lang="ts">
import { SIX_SKINS } from '#core/paint'

/** One of six skins, by its colour. */
const model = defineModel<string | null>({ required: true })
defineProps<{ label: string; what: string }>()
</script>

<template>
  <span class="flex items-center gap-1" role="group" :aria-label="label">
    <slot />
    <button
      v-for="s in SIX_SKINS"
      :key="s.colour"
      type="button"
      class="size-6 rounded-full border border-edge"
      :class="model === s.colour && 'ring-2 ring-mulberry ring-offset-2 ring-offset-paper'"
      :style="{ background: s.colour }"
      :aria-pressed="model === s.colour"
      :aria-label="`${what} ${s.words} skin`"
      v-tip="s.words"
      @click="model = s.colour"
    />
  </span>
</template>
