<script setup lang="ts">
import { EMPTY_BOX } from '#core/geometry'
import { labOf, linearOf, typologyAngle } from '#core/paint'
import { ofKind } from '#core/look'
import { drawHandles, drawnSheets, drawSheet, inkOn, roomFor } from './drawnSheets'
import { heldHandles } from './handles'
import { coarse } from './lighter'
import type { Ghosts } from './tools'
import type { View } from './view'

/**
 * The sheets that are selected as they lie on the skin, the one in hand where the hand has it, with its handles. On
 * a canvas of their own, no larger than they are: a browser copies all of a canvas with every frame.
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
/** The part of the stage that the canvas covers, px. */
const room = shallowRef<typeof EMPTY_BOX>({ minX: 0, minY: 0, maxX: 0, maxY: 0 })

/** Skin of a typology angle below this is so dark that light shows better on it, degrees. */
const TAN = 20
const ink = computed(() => inkOn(typologyAngle(labOf(linearOf(session.look!.skin.colour))) < TAN))
const held = computed(() => ghosts.preview.value ?? selection.sheet)
const resting = computed(() =>
  ofKind('sheet', selection.steps)
    .filter(step => step.id !== selection.id)
    .flatMap(step => drawnSheets(step, scene.world, false)),
)
const inHand = computed(() => {
  const moving = ghosts.preview.value !== null
  return held.value ? drawnSheets(held.value, moving ? coarse(scene.world) : scene.world, moving) : []
})
const handles = computed(() => heldHandles(held.value, selection.holdsTwin, scene.world, view))

function draw(): void {
  const c = canvas.value?.getContext('2d')
  if (!c) return
  const { minX, minY, maxX, maxY } = room.value
  const fine = window.devicePixelRatio || 1
  const width = Math.round(fine * Math.max(0, maxX - minX))
  const height = Math.round(fine * Math.max(0, maxY - minY))
  // A size that is set clears a canvas, even to what it is; that takes longer than to clear it.
  if (c.canvas.width !== width || c.canvas.height !== height) Object.assign(c.canvas, { width, height })
  c.setTransform(fine, 0, 0, fine, -fine * minX, -fine * minY)
  c.clearRect(minX, minY, maxX - minX, maxY - minY)
  for (const sheet of resting.value) drawSheet(c, sheet, view, ink.value)
  for (const sheet of inHand.value) drawSheet(c, sheet, view, ink.value)
  if (handles.value) drawHandles(c, handles.value.at, handles.value.side)
}
let frame = 0
watch(
  [canvas, resting, inHand, handles, ink, () => view, () => size],
  () => {
    const all = [...resting.value, ...inHand.value]
    if (all.length) room.value = roomFor(all, handles.value?.at ?? null, view, size, room.value)
    cancelAnimationFrame(frame)
    frame = requestAnimationFrame(draw)
  },
  { immediate: true },
)
onBeforeUnmount(() => cancelAnimationFrame(frame))
</script>

<template>
  <canvas
    ref="canvas"
    class="pointer-events-none absolute"
    :style="{
      left: `${room.minX}px`,
      top: `${room.minY}px`,
      width: `${room.maxX - room.minX}px`,
      height: `${room.maxY - room.minY}px`,
    }"
    aria-hidden="true"
    data-testid="sheet-outlines"
  />
</template>
