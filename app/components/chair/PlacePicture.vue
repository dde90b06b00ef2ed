<script setup lang="ts">
import type { Screen } from '#core/chair'
import type { Box } from '#core/geometry'
import { pathData } from '#core/formats'
import type { PlaceShown } from '~/composables/usePlaces'

/** The face after a step, brought near to where it is painted, with its sheets as they lie or its shape marked; a tap shows all. */
const props = defineProps<{ screen: Screen; shown: PlaceShown | null }>()
const chair = useChair()
const ground = computed(() => chair.world.ground)
const whole = ref(false)
watch(
  () => props.screen.id,
  () => {
    whole.value = false
  },
)
/** At least so much of the skin is seen, so that one knows where one is, mm; and beside what is painted. */
const LEAST = 90
const MARGIN = 12
const inPicture = (rings: Screen['outlines']) => rings.map(r => pathData([ground.value.front.ring(r)]))
const sheets = computed(() => inPicture(props.screen.outlines))
const marks = computed(() => inPicture(props.screen.marks).join(''))
/** What is seen, mm of the picture. */
const view = computed<Box>(() => {
  const all = ground.value.box
  const { box } = props.screen
  if (whole.value || !box) return all
  const corners = [
    ground.value.front.point([box.minX, box.minY]),
    ground.value.front.point([box.maxX, box.maxY]),
    ground.value.front.point([box.minX, box.maxY]),
    ground.value.front.point([box.maxX, box.minY]),
  ]
  const xs = corners.map(c => c[0])
  const ys = corners.map(c => c[1])
  const near = (v: readonly number[], least: number, most: number): [number, number] => {
    const low = Math.max(least, Math.min(...v) - MARGIN)
    const high = Math.min(most, Math.max(...v) + MARGIN)
    const grow = Math.max(0, LEAST - (high - low)) / 2
    return [low - grow, high + grow]
  }
  const [minX, maxX] = near(xs, all.minX, all.maxX)
  const [minY, maxY] = near(ys, all.minY, all.maxY)
  return { minX, minY, maxX, maxY }
})
const viewBox = computed(() => {
  const { minX, minY, maxX, maxY } = view.value
  return `${minX} ${minY} ${maxX - minX} ${maxY - minY}`
})
const stroke = computed(() => (view.value.maxX - view.value.minX) / 260)
</script>

<template>
  <button
    class="absolute inset-0 block size-full overflow-hidden bg-stage"
    :aria-label="whole ? 'Show the place' : 'Show all of it'"
    data-testid="place"
    :data-px="shown?.px ?? 0"
    @click="whole = !whole"
  >
    <svg class="size-full" :viewBox="viewBox" preserveAspectRatio="xMidYMid meet" aria-hidden="true">
      <image
        v-if="shown"
        :href="shown.url"
        :x="ground.box.minX"
        :y="ground.box.minY"
        :width="ground.box.maxX - ground.box.minX"
        :height="ground.box.maxY - ground.box.minY"
        preserveAspectRatio="none"
      />
      <g v-if="marks" fill="none" stroke-linejoin="round" data-testid="marks">
        <path :d="marks" stroke="#fdfcf9" :stroke-width="2 * stroke" opacity="0.7" />
        <path
          :d="marks"
          stroke="#7a2e5d"
          :stroke-width="0.9 * stroke"
          :stroke-dasharray="`${3 * stroke} ${3 * stroke}`"
        />
      </g>
      <g v-for="(d, i) in sheets" :key="i" fill="none" stroke-linejoin="round">
        <path :d="d" stroke="#fdfcf9" :stroke-width="3 * stroke" opacity="0.85" />
        <path
          :d="d"
          stroke="#7a2e5d"
          :stroke-width="1.4 * stroke"
          :stroke-dasharray="i ? `${4 * stroke} ${3 * stroke}` : undefined"
        />
      </g>
    </svg>
    <span v-if="!shown" role="status" class="absolute inset-0 grid place-items-center text-soft"
      >painting the place…</span
    >
  </button>
</template>
