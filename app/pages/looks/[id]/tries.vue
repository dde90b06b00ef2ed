<script setup lang="ts">
/** The tries of a look side by side. */
const id = String(useRoute().params.id)
// What paints begins to load beside what it paints.
warmPainter()
const TriesRoom = defineAsyncComponent(() => import('~/components/tries/TriesRoom.vue'))
useHead({ title: 'Tries, Janusform' })
</script>

<template>
  <TriesRoom :id="id" />
</template>
