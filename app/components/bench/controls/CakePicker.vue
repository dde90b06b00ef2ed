<script setup lang="ts">
import type { CakeRef } from '#core/look'

/** A split cake, and which of its strips are taken up; null for all of them. */
const load = defineModel<{ kind: 'cake'; cake: CakeRef; strips: number[] | null }>({ required: true })
const kit = useKit()
const taken = computed(() => load.value.strips ?? load.value.cake.strips.map((_, n) => n))
const choose = (event: Event): void => {
  const cake = kit.find((event.target as HTMLSelectElement).value)
  if (cake) load.value = { kind: 'cake', cake: kit.cakeRefOf(cake), strips: null }
}
function toggle(n: number): void {
  const next = taken.value.includes(n)
    ? taken.value.filter(k => k !== n)
    : [...taken.value, n].sort((a, b) => a - b)
  if (next.length)
    load.value = { ...load.value, strips: next.length === load.value.cake.strips.length ? null : next }
}
</script>

<template>
  <select class="field" :value="load.cake.id" aria-label="Split cake" @change="choose">
    <option v-for="c in kit.cakes" :key="c.id" :value="c.id">{{ c.name }}</option>
    <option v-if="!kit.find(load.cake.id)" :value="load.cake.id">{{ load.cake.name }}</option>
  </select>
  <StripButtons :strips="load.cake.strips" :taken="taken" @toggle="toggle" />
</template>
