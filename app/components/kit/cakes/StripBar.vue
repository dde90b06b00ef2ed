<script setup lang="ts">
import { VueDraggable } from 'vue-draggable-plus'
import { MOST_STRIPS, type Join } from '#core/cake'
import type { Strip } from '#core/paint'

/** The strips of a cake as they lie, each as wide as it is: dragged into another order, taken from the paints. */
const strips = defineModel<Strip[]>({ required: true })
const at = defineModel<number | null>('at', { required: true })
const { joins, covered } = defineProps<{
  joins: readonly Join[]
  /** The part that the brush takes up, mm from its first edge; null when it takes all. */
  covered: readonly [number, number] | null
}>()
/** Columns as wide as the strips, none narrower than a finger can press. */
const columns = computed(() => strips.value.map(s => `minmax(24px, ${s.width}fr)`).join(' '))
/** Of each strip the part that the brush takes up: where it begins and how wide it is, as shares of the strip. */
const taken = computed(() => {
  let from = 0
  return strips.value.map(({ width }) => {
    const [a, b] = covered ?? [0, 0]
    const begin = Math.min(1, Math.max(0, (a - from) / width))
    const end = Math.min(1, Math.max(0, (b - from) / width))
    from += width
    return [begin, end - begin] as const
  })
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
      class="grid h-10 overflow-hidden rounded-lg border border-edge bg-field"
      :style="{ gridTemplateColumns: columns }"
      role="group"
      aria-label="Strips, in order"
      @update="at = $event.newIndex ?? null"
    >
      <button
        v-for="(s, i) in strips"
        :key="keyOf(s, i)"
        type="button"
        class="h-full cursor-grab"
        :class="
          at === i && 'shadow-[inset_0_0_0_3px_var(--color-mulberry),inset_0_0_0_5px_var(--color-paper)]'
        "
        :style="{ background: s.colour }"
        :aria-pressed="at === i"
        :aria-label="`Strip ${i + 1}: ${nameOf(s)}, ${s.width} mm`"
        v-tip="`${nameOf(s)}, ${s.width} mm`"
        @click="at = at === i ? null : i"
      />
    </VueDraggable>
    <div class="grid h-4" aria-hidden="true" :style="{ gridTemplateColumns: columns }">
      <span v-for="([begin, wide], i) in taken" :key="i" class="relative"
        ><span
          class="absolute top-0.5 h-1 bg-mulberry"
          :style="{ left: `${100 * begin}%`, width: `${100 * wide}%` }"
        /><span
          v-if="joins[i]"
          class="absolute top-1.5 right-0 translate-x-1/2 text-xs leading-none font-bold"
          :class="joins[i]!.verdict === 'mud' ? 'text-stop' : 'text-soft'"
          >{{ joins[i]!.verdict === 'mud' ? 'mud' : '·' }}</span
        ></span
      >
    </div>
  </div>
</template>
