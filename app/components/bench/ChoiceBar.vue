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
      >{{ choice.motif ? 'Click one motif' : 'Click, drag or circle' }}:
      {{ choice.now.chosen.size || 'none' }} chosen</span
    >
    <button
      class="pill"
      :aria-pressed="choice.motif"
      v-tip="'A click takes one whole motif, and only that'"
      @click="choice.motif = !choice.motif"
    >
      One motif</button
    ><button class="pill" v-tip="'Every second one, one after another'" @click="choice.everyOther()">
      Every other</button
    ><button class="pill" v-tip="'Half of them, big and small mixed'" @click="choice.mixedSizes()">
      Some</button
    ><button class="pill" @click="choice.all()">All</button
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
.pill[aria-pressed='true'] {
  background: var(--color-paper);
  color: var(--color-ink);
}
.pill:hover {
  background: rgb(246 244 239 / 0.35);
}
</style>
