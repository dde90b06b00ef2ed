<script setup lang="ts">
/** Links that the keyboard meets first: each leads at once to a part of the page. */
defineProps<{ to: readonly (readonly [words: string, selector: string])[] }>()
const skipTo = (selector: string) => document.querySelector<HTMLElement>(selector)?.focus()
</script>

<template>
  <nav class="fixed top-1 left-1 z-50 flex gap-1" aria-label="Skip to">
    <a
      v-for="[words, selector] in to"
      :key="selector"
      href="#"
      class="btn not-focus:sr-only"
      @click.prevent="skipTo(selector)"
      >{{ words }}</a
    >
  </nav>
</template>
