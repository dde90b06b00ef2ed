<script setup lang="ts">
import { pathData } from '#core/formats'
import type { Analysis, Island, Join, SheetGeometry } from '#core/stencil'

/** A sheet drawn from its geometry, with measures on it as asked for. */
const props = withDefaults(
  defineProps<{
    sheet: SheetGeometry
    analysis?: Analysis | null
    show?: { bridges?: boolean; slot?: boolean; axes?: boolean; lattice?: boolean; islands?: boolean }
    joins?: readonly Join[]
    chosen?: ReadonlySet<number>
    pickable?: boolean
    heading?: number | null
  }>(),
  {
    analysis: null,
    show: () => ({}),
    joins: () => [],
    chosen: () => new Set<number>(),
    pickable: false,
    heading: null,
  },
)
const emit = defineEmits<{ pick: [opening: number]; island: [island: Island] }>()

const pad = 9
const box = computed(
  () =>
    `${-props.sheet.width / 2 - pad} ${-props.sheet.height / 2 - pad} ${props.sheet.width + 2 * pad} ${props.sheet.height + 2 * pad}`,
)
const openings = computed(() => props.sheet.openings.map(o => pathData([o.outer, ...o.holes])))
const outline = computed(() => pathData([props.sheet.outline]))
/** Lines keep their width whatever the sheet's size. */
/** Measures are drawn on lighter openings, so that they can be read. */
const marked = computed(
  () =>
    Object.values(props.show).some(Boolean) && !(props.show.islands && Object.keys(props.show).length === 1),
)
const px = computed(() => Math.max(props.sheet.width, props.sheet.height) / 520)
const axes = computed(
  () =>
    props.analysis?.symmetry.axes.map(({ angle }) => {
      const r = Math.hypot(props.sheet.width, props.sheet.height) / 2
      const a = (angle * Math.PI) / 180
      const [cx, cy] = props.analysis!.symmetry.centre
      return {
        x1: cx - r * Math.sin(a),
        y1: cy + r * Math.cos(a),
        x2: cx + r * Math.sin(a),
        y2: cy - r * Math.cos(a),
      }
    }) ?? [],
)
const node = computed(() => (props.analysis?.slots[0] ? props.analysis.symmetry.centre : ([0, 0] as const)))
const arrow = computed(() => {
  if (props.heading === null) return ''
  const a = (props.heading * Math.PI) / 180
  const r = Math.min(props.sheet.width, props.sheet.height) / 2 + 4
  const x = r * Math.sin(a)
  const y = -r * Math.cos(a)
  const s = 3
  return `M${x + s * Math.sin(a)} ${y - s * Math.cos(a)}L${x + s * Math.cos(a)} ${y + s * Math.sin(a)}L${x - s * Math.cos(a)} ${y - s * Math.sin(a)}Z`
})
</script>

<template>
  <svg :viewBox="box" class="block size-full" role="img" aria-label="The stencil with its openings">
    <defs>
      <pattern
        id="hatch"
        width="2.2"
        height="2.2"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="2.2" height="2.2" fill="#FBE9E5" />
        <line x1="0" y1="0" x2="0" y2="2.2" stroke="#A0331F" stroke-width="0.9" />
      </pattern>
    </defs>
    <path :d="outline" fill="#FFFFFF" stroke="#B9B2A6" :stroke-width="px" />
    <template v-if="show.islands && analysis">
      <path
        v-for="(island, i) in analysis.islands"
        :key="`i${i}`"
        :d="pathData([island.ring])"
        fill="url(#hatch)"
        stroke="#A0331F"
        :stroke-width="1.4 * px"
      />
    </template>
    <path
      v-for="(d, i) in openings"
      :key="i"
      :d="d"
      fill-rule="evenodd"
      :fill="chosen.has(i) ? '#7A2E5D' : analysis && marked ? '#9C9488' : '#4A443D'"
      :class="pickable && 'cursor-pointer hover:opacity-70'"
      :data-opening="i"
      @click="pickable && emit('pick', i)"
    />
    <line
      v-for="(j, i) in joins"
      :key="`j${i}`"
      :x1="j.from[0]"
      :y1="j.from[1]"
      :x2="j.to[0]"
      :y2="j.to[1]"
      stroke="#3F6B4B"
      :stroke-width="j.width"
    />
    <g v-if="show.axes" stroke="#7A2E5D" :stroke-width="1.3 * px" :stroke-dasharray="`${6 * px} ${4 * px}`">
      <line v-for="(a, i) in axes" :key="i" v-bind="a" />
    </g>
    <g
      v-if="show.lattice && analysis?.lattice"
      stroke="#1F6F8B"
      :stroke-width="2.6 * px"
      stroke-linecap="round"
    >
      <line
        v-for="v in [analysis.lattice.a, analysis.lattice.b]"
        :key="v[0]"
        :x1="node[0]"
        :y1="node[1]"
        :x2="node[0] + v[0]"
        :y2="node[1] + v[1]"
      />
      <circle :cx="node[0]" :cy="node[1]" :r="2.4 * px" fill="#1F6F8B" />
    </g>
    <template v-if="show.bridges && analysis">
      <line
        v-for="(b, i) in analysis.bridges.slice(1, 400)"
        :key="`b${i}`"
        :x1="b.from[0]"
        :y1="b.from[1]"
        :x2="b.to[0]"
        :y2="b.to[1]"
        stroke="#C98A2B"
        :stroke-width="1.6 * px"
      />
      <g v-if="analysis.bridge">
        <line
          :x1="analysis.bridge.from[0]"
          :y1="analysis.bridge.from[1]"
          :x2="analysis.bridge.to[0]"
          :y2="analysis.bridge.to[1]"
          stroke="#A0331F"
          :stroke-width="3 * px"
        />
        <circle
          :cx="(analysis.bridge.from[0] + analysis.bridge.to[0]) / 2"
          :cy="(analysis.bridge.from[1] + analysis.bridge.to[1]) / 2"
          :r="9 * px"
          fill="none"
          stroke="#A0331F"
          :stroke-width="1.6 * px"
        />
      </g>
    </template>
    <g v-if="show.slot && analysis">
      <line
        :x1="analysis.slot.from[0]"
        :y1="analysis.slot.from[1]"
        :x2="analysis.slot.to[0]"
        :y2="analysis.slot.to[1]"
        stroke="#7CC0DA"
        :stroke-width="3 * px"
      />
      <rect
        :x="(analysis.slot.from[0] + analysis.slot.to[0]) / 2 - 8 * px"
        :y="(analysis.slot.from[1] + analysis.slot.to[1]) / 2 - 8 * px"
        :width="16 * px"
        :height="16 * px"
        fill="none"
        stroke="#1F6F8B"
        :stroke-width="1.6 * px"
      />
    </g>
    <path v-if="arrow" :d="arrow" fill="#7A2E5D" />
    <text :x="0" :y="sheet.height / 2 + pad * 0.75" text-anchor="middle" :font-size="15 * px" fill="#5C564E">
      {{ sheet.width.toFixed(0) }} mm
    </text>
    <text
      :x="-sheet.width / 2 - pad * 0.35"
      :y="0"
      text-anchor="middle"
      :font-size="15 * px"
      fill="#5C564E"
      :transform="`rotate(-90 ${-sheet.width / 2 - pad * 0.35} 0)`"
    >
      {{ sheet.height.toFixed(0) }} mm
    </text>
  </svg>
</template>
