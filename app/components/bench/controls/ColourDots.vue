<script setup lang="ts" generic="C extends { readonly name: string; readonly colour: string }">
/** Colours of the kit to choose from by eye, of gems or of glitter. */
defineProps<{ colours: readonly C[]; name: string }>()
defineEmits<{ pick: [colour: C] }>()
</script>

<template>
  <div class="flex flex-wrap gap-1">
    <button
      v-for="c in colours"
      :key="c.name"
      class="size-6 rounded-full border border-ink/20"
      :class="name === c.name && 'ring-2 ring-mulberry ring-offset-1'"
      :style="{ background: c.colour }"
      v-tip="c.name"
      :aria-label="c.name"
      :aria-pressed="name === c.name"
      @click="$emit('pick', c)"
    />
  </div>
</template>
