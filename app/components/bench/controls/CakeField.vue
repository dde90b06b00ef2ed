<script setup lang="ts">
import type { Wash } from '#core/look'

/** A base from a split cake: which cake, and which of its strips are taken up. */
const props = defineProps<{ step: Wash }>()
const steps = useSteps()
const load = computed(() => props.step.cake!)
const put = (next: NonNullable<Wash['cake']>) =>
  steps.editKind('wash', 'cake', s => {
    s.cake = next
  })
const single = () =>
  steps.editKind('wash', 'colours instead of a cake', s => {
    delete s.cake
  })
</script>

<template>
  <div class="space-y-1.5">
    <CakePicker :model-value="load" @update:model-value="put" />
    <button class="btn text-[0.87rem]" @click="single">Single colours instead</button>
  </div>
</template>
