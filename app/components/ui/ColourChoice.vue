<script setup lang="ts">
/** Colours of one thing to choose from, and any other: what it is of, and the colours with their words. */
const { what, colours } = defineProps<{
  what: string
  colours: readonly (readonly [colour: string, words: string])[]
}>()
const model = defineModel<string>({ required: true })
</script>

<template>
  <div>
    <h3 class="eyebrow mb-1">{{ what }}</h3>
    <div class="flex items-center gap-1.5">
      <button
        v-for="[c, words] in colours"
        :key="c"
        class="size-8 rounded-full border border-ink/20"
        :class="model === c && 'ring-2 ring-mulberry ring-offset-2'"
        :style="{ background: c }"
        v-tip="words"
        :aria-label="`${what} ${words}`"
        :aria-pressed="model === c"
        @click="model = c"
      />
      <input
        type="color"
        class="size-8 cursor-pointer rounded"
        v-kept="model"
        :aria-label="`Any ${what.toLowerCase()} colour`"
        @change="model = ($event.target as HTMLInputElement).value"
      />
    </div>
  </div>
</template>
