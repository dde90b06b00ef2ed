<script setup lang="ts">
import type { Point } from '#core/geometry'

/** The picture with the marks by which it is measured, each to be dragged under a magnifier. */
const props = defineProps<{
  url: string
  width: number
  height: number
  labels: readonly string[]
  closed: boolean
}>()
const points = defineModel<readonly Point[]>('points', { required: true })
/** Two more points, a known distance apart. */
const pair = defineModel<readonly Point[] | null>('pair', { default: null })

const svg = useTemplateRef<SVGSVGElement>('svg')
const { box, px, at, pan, zoomBy, whole } = useSheetView(svg, () => ({
  x: -0.03 * props.width,
  y: -0.03 * props.height,
  w: 1.06 * props.width,
  h: 1.06 * props.height,
}))
defineExpose({ zoomBy, whole })
const held = ref<{ of: 'points' | 'pair'; k: number } | null>(null)
const all = computed(() => [
  ...points.value.map((p, k) => ({ of: 'points' as const, k, at: p, words: props.labels[k]! })),
  ...(pair.value ?? []).map((p, k) => ({
    of: 'pair' as const,
    k,
    at: p,
    words: `${k ? 'Second' : 'First'} point`,
  })),
])
const within = ([x, y]: Point): Point => [
  Math.min(props.width, Math.max(0, x)),
  Math.min(props.height, Math.max(0, y)),
]
function put(of: 'points' | 'pair', k: number, to: Point): void {
  const model = of === 'points' ? points : pair
  model.value = model.value!.map((p, i) => (i === k ? within(to) : p))
}
function key(event: KeyboardEvent, of: 'points' | 'pair', k: number, [x, y]: Point): void {
  const by = event.shiftKey ? 10 : 1
  const step = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[event.key]
  if (!step) return
  event.preventDefault()
  put(of, k, [x + step[0]!, y + step[1]!])
}
const seen = computed(() =>
  held.value ? all.value.find(p => p.of === held.value!.of && p.k === held.value!.k) : null,
)
/** The magnifier stands in the corner that the hand is not in. */
const LENS = 150
const lens = computed(() => {
  const side = LENS * px.value
  const { at: p } = seen.value ?? { at: [0, 0] as Point }
  const left = p[0] > props.width / 2
  const top = p[1] > props.height / 2
  return { x: left ? 0 : props.width - side, y: top ? 0 : props.height - side, side }
})
const MAGNIFY = 5
</script>

<template>
  <svg
    ref="svg"
    :viewBox="box"
    class="block size-full touch-none select-none"
    role="group"
    aria-label="The picture with its corners"
    data-testid="corner-stage"
    @pointerdown="pan"
    @pointermove="held && put(held.of, held.k, at($event))"
    @pointerup="held = null"
    @pointercancel="held = null"
  >
    <image :href="url" :width="width" :height="height" preserveAspectRatio="none" />
    <polygon
      v-if="closed && points.length === 4"
      :points="points.map(p => p.join(',')).join(' ')"
      fill="#C2187A"
      fill-opacity="0.08"
      stroke="#C2187A"
      :stroke-width="2 * px"
    />
    <line
      v-if="pair"
      :x1="pair[0]![0]"
      :y1="pair[0]![1]"
      :x2="pair[1]![0]"
      :y2="pair[1]![1]"
      stroke="#0B7285"
      :stroke-width="2 * px"
    />
    <g
      v-for="p in all"
      :key="`${p.of}${p.k}`"
      tabindex="0"
      role="slider"
      :aria-label="p.words"
      :aria-valuetext="`${Math.round(p.at[0])}, ${Math.round(p.at[1])} pixels`"
      aria-valuenow="0"
      class="cursor-move"
      :data-handle="`${p.of}-${p.k}`"
      @pointerdown.stop="((held = { of: p.of, k: p.k }), svg?.setPointerCapture($event.pointerId))"
      @keydown="key($event, p.of, p.k, p.at)"
    >
      <circle
        :cx="p.at[0]"
        :cy="p.at[1]"
        :r="12 * px"
        :fill="p.of === 'pair' ? '#0B7285' : '#C2187A'"
        fill-opacity="0.25"
        stroke="#fff"
        :stroke-width="3.5 * px"
      />
      <circle
        :cx="p.at[0]"
        :cy="p.at[1]"
        :r="12 * px"
        fill="none"
        :stroke="p.of === 'pair' ? '#0B7285' : '#C2187A'"
        :stroke-width="2 * px"
      />
      <circle :cx="p.at[0]" :cy="p.at[1]" :r="1.5 * px" fill="#C2187A" />
    </g>
    <svg
      v-if="seen"
      :x="lens.x"
      :y="lens.y"
      :width="lens.side"
      :height="lens.side"
      :viewBox="`${seen.at[0] - lens.side / 2 / MAGNIFY} ${seen.at[1] - lens.side / 2 / MAGNIFY} ${lens.side / MAGNIFY} ${lens.side / MAGNIFY}`"
      data-testid="magnifier"
    >
      <rect
        :x="seen.at[0] - lens.side"
        :y="seen.at[1] - lens.side"
        :width="2 * lens.side"
        :height="2 * lens.side"
        fill="#e9e4da"
      />
      <image :href="url" :width="width" :height="height" preserveAspectRatio="none" />
      <path
        :d="`M${seen.at[0] - lens.side} ${seen.at[1]}h${2 * lens.side}M${seen.at[0]} ${seen.at[1] - lens.side}v${2 * lens.side}`"
        stroke="#C2187A"
        :stroke-width="(1.2 * px) / MAGNIFY"
      />
    </svg>
    <rect
      v-if="seen"
      :x="lens.x"
      :y="lens.y"
      :width="lens.side"
      :height="lens.side"
      fill="none"
      stroke="#23201D"
      :stroke-width="2 * px"
    />
  </svg>
</template>
