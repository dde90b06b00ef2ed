<script setup lang="ts">
import { VueDraggable } from 'vue-draggable-plus'
import { MOST_STRIPS, type Join } from '#core/cake'
import type { Strip } from '#core/paint'

/** The strips of a cake as they lie, each as wide as it is: dragged into another order, taken from the paints. */
const strips = defineModel<Strip[]>({ required: true })
const at = defineModel<number | null>('at', { required: true })
const { joins, covered } = defineProps<{
  joins: readonly Join[]
  /** The part that the brush takes up, as shares of the width; null when it takes all. */
  covered: readonly [number, number] | null
}>()
const total = computed(() => strips.value.reduce((sum, s) => sum + s.width, 0))
/** How far across the cake each join lies, percent. */
const places = computed(() => {
  let sum = 0
  return strips.value.slice(0, -1).map(s => (100 * (sum += s.width)) / total.value)
})
const keyOf = (strip: Strip, i: number) =>
  `${strip.paint ?? strip.colour} ${strips.value.slice(0, i).filter(s => s.paint === strip.paint).length}`
const nameOf = (s: Strip) => s.name || s.colour
</script>

<template>
  <div>
    <VueDraggable
      v-model="strips"
      :group="{ name: 'strips', put: strips.length < MOST_STRIPS }"
      :animation="120"
      class="flex h-10 overflow-hidden rounded-lg border border-edge bg-field"
      role="group"
      aria-label="Strips, in order"
      @update="at = $event.newIndex ?? null"
    >
      <button
        v-for="(s, i) in strips"
        :key="keyOf(s, i)"
        type="button"
        class="h-full min-w-3 cursor-grab"
        :class="
          at === i && 'shadow-[inset_0_0_0_3px_var(--color-mulberry),inset_0_0_0_5px_var(--color-paper)]'
        "
        :style="{ background: s.colour, flex: `${s.width} 1 0` }"
        :aria-pressed="at === i"
        :aria-label="`Strip ${i + 1}: ${nameOf(s)}, ${s.width} mm`"
        v-tip="`${nameOf(s)}, ${s.width} mm`"
        @click="at = at === i ? null : i"
      />
    </VueDraggable>
    <div class="relative h-4" aria-hidden="true">
      <span
        v-if="covered"
        class="absolute top-0.5 h-1 rounded-full bg-mulberry"
        :style="{ left: `${100 * covered[0]}%`, width: `${100 * (covered[1] - covered[0])}%` }"
      />
      <span
        v-for="(j, i) in joins"
        :key="i"
        class="absolute top-1.5 -translate-x-1/2 text-[0.7rem] leading-none font-bold"
        :class="j.verdict === 'mud' ? 'text-stop' : 'text-soft'"
        :style="{ left: `${places[i]}%` }"
        >{{ j.verdict === 'mud' ? 'mud' : '·' }}</span
      >
    </div>
  </div>
</template>
