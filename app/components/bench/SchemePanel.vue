<script setup lang="ts">
import { kindOf, swapPaint, type CakeRef, type PaintRef } from '#core/look'

/** The colours of a look: each can be swapped for another throughout. */
const session = useSession()
const kit = useKit()
const used = computed(() => {
  const found = new Map<string, PaintRef | CakeRef>()
  for (const step of session.look!.steps)
    for (const { ref } of kindOf(step).paintPlaces(step)) found.set(ref.id, ref)
  return [...found.values()]
})
const swap = (from: PaintRef | CakeRef, to: PaintRef | CakeRef) =>
  session.edit(`${from.name} for ${to.name}`, swapPaint(from.id, plain(to)))
const cake = (from: CakeRef, event: Event) => {
  const chosen = kit.find((event.target as HTMLSelectElement).value)
  if (chosen) swap(from, kit.cakeRefOf(chosen))
}
</script>

<template>
  <details v-if="used.length" class="rounded-lg border border-rule bg-card px-2.5 py-1.5 text-[0.93rem]">
    <summary class="font-semibold">Swap a colour throughout</summary>
    <ul class="mt-1 space-y-1" data-testid="scheme">
      <li v-for="ref in used" :key="ref.id" class="flex items-center">
        <select
          v-if="'strips' in ref"
          class="field"
          :value="ref.id"
          :aria-label="`Instead of ${ref.name}`"
          @change="cake(ref, $event)"
        >
          <option v-for="c in kit.cakes" :key="c.id" :value="c.id">{{ c.name }}</option>
          <option v-if="!kit.find(ref.id)" :value="ref.id">{{ ref.name }}</option>
        </select>
        <PaintPicker
          v-else
          :model-value="ref"
          :label="`Instead of ${ref.name}`"
          @update:model-value="to => swap(ref, to)"
        />
      </li>
    </ul>
  </details>
</template>
