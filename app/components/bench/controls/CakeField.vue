<script setup lang="ts">
import type { Wash } from '#core/look'

/** A base from a split cake: which cake, and which of its strips are taken up. */
const props = defineProps<{ step: Wash }>()
const steps = useSteps()
const kit = useKit()
const load = computed(() => props.step.cake!)
const put = (next: NonNullable<Wash['cake']>) =>
  steps.editKind('wash', 'cake', s => {
    s.cake = next
  })
const taken = computed(() => load.value.strips ?? load.value.cake.strips.map((_, n) => n))
function toggle(n: number): void {
  const next = taken.value.includes(n)
    ? taken.value.filter(k => k !== n)
    : [...taken.value, n].sort((a, b) => a - b)
  if (next.length) put({ ...load.value, strips: next.length === load.value.cake.strips.length ? null : next })
}
const single = () =>
  steps.editKind('wash', 'colours instead of a cake', s => {
    delete s.cake
  })
</script>

<template>
  <div class="space-y-1.5">
    <select
      class="field"
      :value="load.cake.id"
      aria-label="Split cake"
      @change="
        put({
          kind: 'cake',
          cake: kit.cakeRefOf(kit.find(($event.target as HTMLSelectElement).value)!),
          strips: null,
        })
      "
    >
      <option v-for="c in kit.cakes" :key="c.id" :value="c.id">{{ c.name }}</option>
      <option v-if="!kit.find(load.cake.id)" :value="load.cake.id">{{ load.cake.name }}</option>
    </select>
    <StripButtons :strips="load.cake.strips" :taken="taken" @toggle="toggle" />
    <button class="btn text-[0.87rem]" @click="single">Single colours instead</button>
  </div>
</template>
