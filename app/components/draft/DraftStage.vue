<script setup lang="ts">
import {
  brushed,
  circleAt,
  added,
  cutOut,
  filledUp,
  nodeMoved,
  pathThrough,
  rectangleOf,
  strip,
  placed,
  without,
  type Draft,
  type NodeAt,
} from '#core/draft'
import { curveData, type Point } from '#core/geometry'
import type { Analysis } from '#core/stencil'
import { pathData } from '#core/formats'
import type { DraftTool } from '~/utils/draftTools'

/** A sheet that is being drawn, over its photograph where there is one. */
const props = defineProps<{
  draft: Draft
  tool: DraftTool
  /** Width of the brush, and of bridges and slots, mm. */
  brush: number
  bridge: number
  smooth: boolean
  photo?: { url: string; x: number; y: number; width: number; height: number } | null
  opacity?: number
  /** The draft as it was, drawn under it to show what differs. */
  before?: Draft | null
  analysis?: Analysis | null
}>()
const emit = defineEmits<{
  change: [draft: Draft, words: string]
  line: [points: Point[]]
  say: [words: string]
}>()
const chosen = defineModel<number | null>('chosen', { default: null })

const svg = useTemplateRef<SVGSVGElement>('svg')
const { box, px, at, pan, zoomBy, whole, zoom } = useSheetView(svg, () => {
  const { width: w, height: h } = props.draft
  return { x: -w / 2 - 6, y: -h / 2 - 6, w: w + 12, h: h + 12 }
})
defineExpose({ zoomBy, whole, zoom })
const number = (v: number) => String(Math.round(v * 1e4) / 1e4)
const pathOf = (draft: Draft) =>
  draft.openings.map(o => [o.outer, ...o.holes].map(c => curveData(c, number)).join(''))
const paths = computed(() => pathOf(props.draft))
const outline = computed(() => curveData(props.draft.outline, number))
const was = computed(() => (props.before ? pathOf(props.before).join('') : ''))
watch(
  () => props.draft,
  draft => {
    if (chosen.value !== null && chosen.value >= draft.openings.length) chosen.value = null
  },
)

const nodes = computed(() => {
  const opening = chosen.value === null ? null : props.draft.openings[chosen.value]
  if (!opening || props.tool !== 'select') return []
  return [opening.outer, ...opening.holes].flatMap((curve, ring) =>
    curve.map((n, node) => ({ at: n.at, where: { opening: chosen.value!, ring, node } as NodeAt })),
  )
})

/** Points of what is being drawn now. */
const trail = shallowRef<Point[]>([])
const held = shallowRef<{ where: NodeAt; at: Point } | null>(null)
const open = shallowRef<Point[]>([])
watch(
  () => props.tool,
  () => (open.value = []),
)

function change(make: () => Draft, words: string): void {
  try {
    emit('change', make(), words)
  } catch (error) {
    emit('say', sentencesOf(error).join(' '))
  }
}
function press(event: PointerEvent): void {
  if (pan(event) || event.button !== 0) return
  const point = at(event)
  if (props.tool === 'select') {
    chosen.value = null
    return
  }
  if (props.tool === 'path' || props.tool === 'line') {
    open.value = [...open.value, point]
    return
  }
  svg.value!.setPointerCapture(event.pointerId)
  trail.value = [point]
}
function drag(event: PointerEvent): void {
  if (held.value) held.value = { ...held.value, at: at(event) }
  else if (trail.value.length) {
    const point = at(event)
    const brushing = props.tool === 'cut' || props.tool === 'fill'
    const last = trail.value.at(-1)!
    if (!brushing) trail.value = [trail.value[0]!, point]
    else if (Math.hypot(point[0] - last[0], point[1] - last[1]) > 1.5 * px.value)
      trail.value = [...trail.value, point]
  }
}
const long = (a: Point, b: Point) => Math.hypot(b[0] - a[0], b[1] - a[1])
/** What each tool that is dragged makes of where it went. */
const made: Partial<Record<DraftTool, (points: Point[]) => [() => Draft, string] | null>> = {
  cut: points => [() => cutOut(props.draft, brushed(points, props.brush)), 'cutting'],
  fill: points => [() => filledUp(props.draft, brushed(points, props.brush)), 'filling'],
  apart: ([a, b]) =>
    b && long(a!, b) > 0.3
      ? [() => filledUp(props.draft, strip(a!, b, props.bridge)), 'cutting apart']
      : null,
  join: ([a, b]) =>
    b && long(a!, b) > 0.3 ? [() => cutOut(props.draft, strip(a!, b, props.bridge)), 'joining'] : null,
  circle: ([a, b]) =>
    b && long(a!, b) > 0.2 ? [() => added(props.draft, [circleAt(a!, long(a!, b))]), 'the circle'] : null,
  rectangle: ([a, b]) =>
    b && Math.abs(b[0] - a![0]) > 0.2 && Math.abs(b[1] - a![1]) > 0.2
      ? [() => added(props.draft, [rectangleOf(a!, b)]), 'the rectangle']
      : null,
}
function release(): void {
  if (held.value) {
    const { where, at: to } = held.value
    held.value = null
    change(() => nodeMoved(props.draft, where, to), 'moving a point')
    return
  }
  const points = trail.value
  trail.value = []
  const result = points.length ? made[props.tool]?.(points) : null
  if (result) change(...result)
}
function close(): void {
  const points = open.value
  open.value = []
  if (props.tool === 'line' && points.length > 1) emit('line', points)
  else if (points.length > 2)
    change(() => added(props.draft, [pathThrough(points, props.smooth)]), 'the path')
}
function erase(): void {
  if (chosen.value === null) return
  const gone = chosen.value
  chosen.value = null
  change(() => without(props.draft, gone), 'erasing an opening')
}
function key(event: KeyboardEvent): void {
  if (event.key === 'Enter') close()
  else if (event.key === 'Escape') {
    open.value = []
    chosen.value = null
  } else if (event.key === 'Delete' || event.key === 'Backspace') {
    if (open.value.length) open.value = open.value.slice(0, -1)
    else erase()
  } else if (event.key.startsWith('Arrow') && chosen.value !== null) {
    const by = event.shiftKey ? 1 : 0.1
    const [dx, dy] = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[
      event.key
    ]!
    const n = chosen.value
    emit('change', { ...props.draft, openings: props.draft.openings.map((o, i) => (i === n ? placed(o, [dx!, dy!]) : o)) }, 'moving an opening') // prettier-ignore
  } else return
  event.preventDefault()
}
const preview = computed(() => {
  const [a, b] = [trail.value[0], trail.value.at(-1)]
  if (!a || !b) return null
  if (props.tool === 'circle') return { circle: { cx: a[0], cy: a[1], r: long(a, b) } }
  if (props.tool === 'rectangle')
    return { rect: { x: Math.min(a[0], b[0]), y: Math.min(a[1], b[1]), width: Math.abs(b[0] - a[0]), height: Math.abs(b[1] - a[1]) } } // prettier-ignore
  const width = props.tool === 'cut' || props.tool === 'fill' ? props.brush : props.bridge
  return { line: { points: trail.value.map(p => p.join(',')).join(' '), width } }
})
</script>

<template>
  <svg
    ref="svg"
    :viewBox="box"
    class="block size-full touch-none rounded-lg outline-offset-2 select-none"
    :class="tool === 'select' ? 'cursor-default' : 'cursor-crosshair'"
    tabindex="0"
    role="application"
    aria-label="The stencil; drag with the chosen tool, Delete erases the chosen opening, arrows move it"
    data-testid="draft-stage"
    @pointerdown="press"
    @pointermove="drag"
    @pointerup="release"
    @pointercancel="((trail = []), (held = null))"
    @dblclick="close"
    @keydown="key"
  >
    <path :d="outline" fill="#fff" stroke="#8f877b" :stroke-width="1.4 * px" />
    <image
      v-if="photo"
      :href="photo.url"
      :x="photo.x"
      :y="photo.y"
      :width="photo.width"
      :height="photo.height"
      preserveAspectRatio="none"
      :opacity="opacity ?? 1"
    />
    <path
      v-if="was"
      :d="was"
      fill="#d9822b"
      fill-opacity="0.55"
      fill-rule="evenodd"
      data-testid="draft-before"
    />
    <path
      v-for="(d, i) in paths"
      :key="i"
      :d="d"
      fill-rule="evenodd"
      :fill="i === chosen ? '#7A2E5D' : '#4A443D'"
      :fill-opacity="photo || was ? 0.5 : 1"
      :stroke="i === chosen ? '#7A2E5D' : photo ? '#C2187A' : 'none'"
      :stroke-width="1.2 * px"
      :class="tool === 'select' && 'cursor-pointer'"
      :data-opening="i"
      @pointerdown="
        tool === 'select' &&
        $event.button === 0 &&
        !$event.altKey &&
        ($event.stopPropagation(), (chosen = i), svg?.focus())
      "
    />
    <template v-if="analysis">
      <path
        v-for="(island, i) in analysis.islands"
        :key="`i${i}`"
        :d="pathData([island.ring])"
        fill="#A0331F"
        fill-opacity="0.35"
        stroke="#A0331F"
        :stroke-width="1.5 * px"
      />
      <line
        v-for="(b, i) in analysis.bridges.slice(0, 200)"
        :key="`b${i}`"
        :x1="b.from[0]"
        :y1="b.from[1]"
        :x2="b.to[0]"
        :y2="b.to[1]"
        stroke="#A0331F"
        :stroke-width="2 * px"
      />
    </template>
    <circle
      v-for="({ at: p, where }, i) in nodes"
      :key="`n${i}`"
      :cx="(held && held.where.ring === where.ring && held.where.node === where.node ? held.at : p)[0]"
      :cy="(held && held.where.ring === where.ring && held.where.node === where.node ? held.at : p)[1]"
      :r="5 * px"
      fill="#fff"
      stroke="#7A2E5D"
      :stroke-width="1.6 * px"
      class="cursor-move"
      data-node
      @pointerdown.stop="((held = { where, at: p }), svg?.setPointerCapture($event.pointerId))"
    />
    <circle v-if="preview?.circle" v-bind="preview.circle" fill="#7A2E5D" fill-opacity="0.5" />
    <rect v-if="preview?.rect" v-bind="preview.rect" fill="#7A2E5D" fill-opacity="0.5" />
    <polyline
      v-if="preview?.line"
      :points="preview.line.points"
      fill="none"
      stroke="#7A2E5D"
      stroke-opacity="0.5"
      stroke-linejoin="round"
      :stroke-linecap="tool === 'cut' || tool === 'fill' ? 'round' : 'butt'"
      :stroke-width="preview.line.width"
    />
    <template v-if="open.length">
      <polyline
        :points="open.map(p => p.join(',')).join(' ')"
        fill="none"
        stroke="#7A2E5D"
        :stroke-width="1.6 * px"
      />
      <circle v-for="(p, i) in open" :key="`o${i}`" :cx="p[0]" :cy="p[1]" :r="3.5 * px" fill="#7A2E5D" />
    </template>
  </svg>
</template>
