<script setup lang="ts">
import { labOf, linearOf, typologyAngle } from '#core/paint'
import { ofKind } from '#core/look'
import { drawnIn, lyingSheets } from './drawnSheets'
import { heldHandles } from './handles'
import { inkOn } from './ink'
import { coarse } from './lighter'
import { outlinePen, type OutlinePen } from './outlinePen'
import type { Ghosts } from './tools'
import type { View } from './view'

/**
 * The sheets that are selected as they lie on the skin, the one in hand where the hand has it, with its handles, on
 * a canvas of their own.
 */
const { view, size, ghosts } = defineProps<{
  view: View
  /** Of the stage, px. */
  size: readonly [number, number]
  ghosts: Ghosts
}>()
const session = useSession()
const selection = useSelection()
const scene = useScene()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')

/** Skin of a typology angle below this is so dark that light shows better on it, degrees. */
const TAN = 20
const ink = computed(() => inkOn(typologyAngle(labOf(linearOf(session.look!.skin.colour))) < TAN))
const held = computed(() => ghosts.preview.value ?? selection.sheet)
const resting = computed(() =>
  ofKind('sheet', selection.steps)
    .filter(step => step.id !== selection.id)
    .flatMap(step => lyingSheets(step, scene.world, false)),
)
const inHand = computed(() => {
  const moving = ghosts.preview.value !== null
  return held.value ? lyingSheets(held.value, moving ? coarse(scene.world) : scene.world, moving) : []
})
const handles = computed(() => heldHandles(held.value, selection.holdsTwin, scene.world, view))

let pen: OutlinePen | null = null
function draw(): void {
  const sheets = [...resting.value, ...inHand.value]
  // Nobody draws before there is something to draw.
  if (!canvas.value || !(pen || sheets.length)) return
  pen ??= outlinePen(canvas.value)
  pen.draw({
    sheets: sheets.map(sheet => drawnIn(view, sheet)),
    ink: ink.value,
    handles: handles.value,
    size: [size[0], size[1]],
    fine: window.devicePixelRatio || 1,
  })
}
let frame = 0
watch(
  [canvas, resting, inHand, handles, ink, () => view, () => size],
  () => {
    cancelAnimationFrame(frame)
    frame = requestAnimationFrame(draw)
  },
  { immediate: true },
)
onBeforeUnmount(() => {
  cancelAnimationFrame(frame)
  pen?.end()
})
</script>

<template>
  <canvas
    ref="canvas"
    class="pointer-events-none absolute inset-0"
    :style="{ width: `${size[0]}px`, height: `${size[1]}px` }"
    aria-hidden="true"
    data-testid="sheet-outlines"
  />
</template>
