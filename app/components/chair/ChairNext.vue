<script setup lang="ts">
/** The sitting is in the log: the next person has the same look, or another. */
const emit = defineEmits<{ same: [] }>()
const chair = useChair()
</script>

<template>
  <div class="grid min-h-0 flex-1 content-center gap-3 p-6" data-testid="chair-next">
    <p class="text-center font-display text-2xl font-bold">It is in the log.</p>
    <button class="chair-main" @click="emit('same')">Next person: {{ chair.record?.look.name }}</button>
    <NuxtLink to="/" class="chair-btn justify-center">Next person: another look</NuxtLink>
    <NuxtLink to="/log" class="chair-btn justify-center">See it in the log</NuxtLink>
  </div>
</template>
