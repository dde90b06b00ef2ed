<script setup lang="ts" generic="N extends string">
/** Measures taken with a tape, mm, each by its name. */
defineProps<{ fields: readonly { name: N; words: string; mm: number }[]; step?: number }>()
const emit = defineEmits<{ measure: [name: N, mm: number] }>()
</script>

<template>
  <div class="grid gap-x-3 gap-y-1.5">
    <label
      v-for="{ name, words, mm } in fields"
      :key="name"
      class="flex items-center justify-between gap-2 text-[0.87rem]"
      >{{ words
      }}<span class="flex items-center gap-1"
        ><NumberInput
          :model-value="mm"
          class="w-18!"
          :step="step"
          :label="`${words}, mm`"
          @update:model-value="v => emit('measure', name, v!)"
        />mm</span
      ></label
    >
  </div>
</template>
