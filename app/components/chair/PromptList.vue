<script setup lang="ts">
import type { Prompt, Screen } from '#core/chair'

/** What is done or asked for a step, to be ticked off. */
defineProps<{ prompts: readonly Prompt[]; handTest: Screen['handTest'] }>()
const ticked = ref<string[]>([])
</script>

<template>
  <ul v-if="prompts.length" class="space-y-1">
    <li v-for="p in prompts" :key="p.text">
      <label class="flex min-h-9 items-center gap-3 leading-snug"
        ><input
          v-model="ticked"
          type="checkbox"
          class="size-6 shrink-0 accent-mulberry"
          :value="p.text"
        /><span :class="ticked.includes(p.text) && 'opacity-55'">{{ p.text }}</span></label
      >
      <HandPrints
        v-if="p.what === 'hand test' && handTest"
        class="mt-1 ml-9"
        :tool="handTest.tool"
        :wetness="handTest.wetness"
      />
    </li>
  </ul>
</template>
