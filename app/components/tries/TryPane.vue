<script setup lang="ts">
import type { PaintedTry } from '~/composables/useTryPictures'
import type { SharedView } from './sharedView'

/** One try: its picture in the view that all of them share, with what is said of it. */
const { painted, view, widest } = defineProps<{
  painted: PaintedTry | null
  view: SharedView
  /** Width of the widest of the pictures that stand side by side, mm: all are shown at one scale. */
  widest: number
  label: string
  /** Whether its picture is on its way. */
  waiting?: boolean
  /** Whether what stands there is of before. */
  old?: boolean
}>()
const holder = useTemplateRef<HTMLElement>('holder')
// The painted canvas itself is shown: a copy of each would cost memory and time.
watch(
  [() => painted?.canvas, holder],
  ([canvas, on]) => {
    if (!on) return
    on.replaceChildren(...(canvas ? [canvas] : []))
    if (canvas) canvas.className = 'block h-full w-full object-contain object-top'
  },
  { flush: 'post' },
)
const style = computed(() => ({
  width: `${painted ? (100 * painted.wide) / widest : 100}%`,
  transform: `translate(${view.x}%, ${view.y}%) scale(${view.zoom})`,
}))
</script>

<template>
  <div
    class="relative h-full touch-none overflow-hidden bg-stage"
    tabindex="0"
    role="img"
    :aria-label="label"
    :class="view.zoom > 1 ? 'cursor-grab' : ''"
    @wheel.prevent="view.wheel"
    @pointerdown="view.press"
    @pointermove="view.drag"
    @pointerup="view.release"
    @pointercancel="view.release"
    @keydown="view.key"
  >
    <div ref="holder" class="mx-auto h-full origin-center" :class="old && 'opacity-40'" :style="style" />
    <span
      v-if="old && painted"
      role="status"
      class="absolute top-2 left-1/2 -translate-x-1/2 rounded-full bg-ink/85 px-3 py-0.5 text-sm text-paper"
      >of before</span
    >
    <span
      v-if="!painted"
      class="absolute inset-0 grid place-items-center text-sm text-soft"
      aria-hidden="true"
      >{{ waiting ? 'painting…' : 'not painted' }}</span
    >
    <slot />
  </div>
</template>
