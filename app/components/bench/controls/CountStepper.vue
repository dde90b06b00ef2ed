<script setup lang="ts">
import { Minus, Plus } from '@lucide/vue'

const count = defineModel<number>({ required: true })
withDefaults(defineProps<{ label: string; least?: number; most?: number }>(), { least: 1, most: 12 })
</script>

<template>
  <span
    class="inline-flex items-center rounded-lg border border-rule bg-field"
    role="group"
    :aria-label="label"
  >
    <button
      class="icon-btn size-7!"
      :disabled="count <= least"
      :aria-label="`fewer ${label}`"
      @click="count--"
    >
      <Minus :size="14" />
    </button>
    <output class="w-6 text-center font-semibold" :aria-label="label">{{ count }}</output>
    <button class="icon-btn size-7!" :disabled="count >= most" :aria-label="`more ${label}`" @click="count++">
      <Plus :size="14" />
    </button>
  </span>
</template>
