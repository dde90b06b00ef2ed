<script setup lang="ts">
import { curveData } from '#core/geometry'
import type { SheetFound } from '#core/photo'
import type { Flat } from '~/workers/photo'

/** The levelled picture: live, what counts as open at a threshold; then the outlines that were read. */
const props = defineProps<{
  flat: Flat
  url: string
  level: number
  show: 'picture' | 'mask' | 'outlines'
  sheets: readonly SheetFound[]
}>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const svg = useTemplateRef<SVGSVGElement>('svg')
const { box, px, pan, zoomBy, whole } = useSheetView(svg, () => {
  const { width: w, height: h } = props.flat.frame
  return { x: -0.02 * w, y: -0.02 * h, w: 1.04 * w, h: 1.04 * h }
})
defineExpose({ zoomBy, whole })

/** The mask as an image: what is open at the threshold, in violet. */
const mask = ref('')
function draw(): void {
  const { width, height, values } = props.flat.open
  const surface = canvas.value
  if (props.show !== 'mask') mask.value = ''
  if (!surface || props.show !== 'mask') return
  surface.width = width
  surface.height = height
  const image = new ImageData(width, height)
  const pixels = new Uint32Array(image.data.buffer)
  const limit = 64 + 128 * props.level
  for (let k = 0; k < values.length; k++) pixels[k] = values[k]! > limit ? 0xd07a2e9a : 0
  surface.getContext('2d')!.putImageData(image, 0, 0)
  surface.toBlob(blob => {
    if (mask.value) URL.revokeObjectURL(mask.value)
    mask.value = blob ? URL.createObjectURL(blob) : ''
  })
}
watch(
  () => [props.flat, props.level, props.show],
  () => requestAnimationFrame(draw),
)
onMounted(draw)
onBeforeUnmount(() => mask.value && URL.revokeObjectURL(mask.value))
const number = (v: number) => String(Math.round(v * 1e3) / 1e3)
const drawn = computed(() =>
  props.sheets.map(({ draft, middle }) => ({
    at: `translate(${middle[0]} ${middle[1]})`,
    outline: curveData(draft.outline, number),
    openings: draft.openings.map(o => [o.outer, ...o.holes].map(c => curveData(c, number)).join('')).join(''),
  })),
)
</script>

<template>
  <svg
    ref="svg"
    :viewBox="box"
    class="block size-full touch-none select-none"
    role="img"
    aria-label="The stencil seen from above"
    data-testid="opening-stage"
    @pointerdown="pan"
  >
    <image :href="url" :width="flat.frame.width" :height="flat.frame.height" preserveAspectRatio="none" />
    <image
      v-if="mask"
      :href="mask"
      :width="flat.frame.width"
      :height="flat.frame.height"
      preserveAspectRatio="none"
      data-testid="mask"
    />
    <template v-if="show === 'outlines'">
      <g v-for="(d, i) in drawn" :key="i" :transform="d.at">
        <path :d="d.outline" fill="none" stroke="#0B7285" :stroke-width="2 * px" />
        <path
          :d="d.openings"
          fill="#C2187A"
          fill-opacity="0.25"
          fill-rule="evenodd"
          stroke="#C2187A"
          :stroke-width="1.6 * px"
          data-testid="read"
        />
      </g>
    </template>
  </svg>
  <canvas ref="canvas" class="hidden" />
</template>
