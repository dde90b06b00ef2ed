<script setup lang="ts">
/** One switch beside the face. `held`: while it is on, the stage is given over to it. */
defineProps<{ title: string; label: string; held?: boolean }>()
const on = defineModel<boolean>({ required: true })
</script>

<template>
  <button
    class="icon-btn"
    v-tip="title"
    :aria-label="label"
    :aria-pressed="on"
    :class="on && (held ? 'bg-mulberry! text-on!' : 'text-mulberry')"
    @click="on = !on"
  >
    <slot />
  </button>
</template>
