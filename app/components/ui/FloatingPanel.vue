<script setup lang="ts">
import { autoUpdate, flip, offset, shift, size, useFloating, type Placement } from '@floating-ui/vue'
import type { ComponentPublicInstance } from 'vue'

/**
 * A panel beside what opened it, kept whole inside the window: it flips, slides and, where it must, scrolls.
 */
const props = withDefaults(
  defineProps<{ anchor: HTMLElement | ComponentPublicInstance | null; placement?: Placement }>(),
  { placement: 'bottom-end' },
)
/** Room that stays between the panel and the window's edge, px. */
const EDGE = 8
const floating = useTemplateRef<HTMLElement>('floating')
const most = ref(600)
const anchorElement = computed(() =>
  props.anchor && '$el' in props.anchor
    ? (props.anchor.$el as HTMLElement)
    : (props.anchor as HTMLElement | null),
)
const { floatingStyles, isPositioned } = useFloating(anchorElement, floating, {
  strategy: 'fixed',
  placement: () => props.placement,
  whileElementsMounted: autoUpdate,
  middleware: [
    offset(4),
    flip({ padding: EDGE }),
    shift({ padding: EDGE, crossAxis: true }),
    size({
      padding: EDGE,
      apply: ({ availableHeight }) => {
        most.value = Math.max(160, availableHeight)
      },
    }),
  ],
})
</script>

<template>
  <div
    ref="floating"
    class="z-40 overflow-auto rounded-xl border border-rule bg-card shadow-xl"
    :style="{
      ...floatingStyles,
      maxHeight: `min(${most}px, calc(100vh - 16px))`,
      // Nothing is seen, and nothing pressed, at a place that is not its own yet.
      opacity: isPositioned ? 1 : 0,
      pointerEvents: isPositioned ? 'auto' : 'none',
    }"
    data-floating
  >
    <slot />
  </div>
</template>
