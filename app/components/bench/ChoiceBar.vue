<script setup lang="ts">
/** What can be done while openings are chosen on the face. */
const choice = useChoice()
</script>

<template>
  <p
    v-if="choice.now"
    class="flex items-center gap-1.5 rounded-full bg-ink/85 py-0.5 pr-1 pl-3 text-sm whitespace-nowrap text-paper"
    data-testid="choice-bar"
  >
    <span
      >Click, drag over or circle {{ choice.now.words }}: {{ choice.now.chosen.size || 'none' }} chosen</span
    >
    <button class="pill" @click="choice.all()">All</button
    ><button class="pill" @click="choice.none()">None</button
    ><button class="pill" @click="choice.invert()">Invert</button>
    <button class="rounded-full bg-paper px-2 font-semibold text-ink" @click="choice.end()">Done</button>
  </p>
</template>

<style scoped>
.pill {
  border-radius: 999px;
  background: rgb(246 244 239 / 0.18);
  padding: 0 0.5rem;
  font-weight: 600;
}
.pill:hover {
  background: rgb(246 244 239 / 0.35);
}
</style>
